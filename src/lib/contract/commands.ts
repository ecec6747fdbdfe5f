import { z } from 'zod';
import { SAND_LIMITS_UM } from '../core/texture/limits.ts';
import { BULBS } from '../core/cylinder/facts.ts';
import { HISTORIES } from '../core/ground/guidance.ts';
import { WATERS } from '../core/jar/clarity.ts';
import { MOST_SPOTS } from '../core/ground/spots.ts';
import { MOST_READINGS } from '../core/method/own-instrument.ts';
import { TRUE_SAND_LIMITS_UM } from '../core/method/cuts.ts';
import { END_REASONS, GRAVEL_UNITS, JAR_NOTES, PHOTO_SUBJECTS, PURPOSES } from './records.ts';

/**
 * Everything that can be done, as commands. The browser makes the ids, so that a command which was sent twice
 * is done once, and one that was made offline can be drawn before the server knows of it.
 */

const id = z.string().regex(/^[0-9A-HJKMNP-TV-Z]{26}$/, 'This id is not in the right form.');
const ref = z.string().min(1).max(40);
const at = z.number().int().positive();
const mm = (what: string) =>
  z
    .number({ error: `Give ${what}.` })
    .finite()
    .min(0, `${what} cannot be below zero.`)
    .max(3000);
const line = z.object({
  mm: mm('the height'),
  text: z.string().max(40),
  sigmaMm: z.number().min(0).max(50).optional()
});

export const sampleFields = z.object({
  name: z
    .string()
    .trim()
    .min(1, 'Name the sample: where the soil came from.')
    .max(80, 'Keep the name under 80 letters.'),
  purpose: z.enum(PURPOSES),
  note: z.string().trim().max(500).default('')
});

/** The ground a sample is from; the spots are those mixed into it. */
const sampleGround = {
  areaId: ref.nullable().default(null),
  spotIds: z.array(ref).max(60).default([])
};

const typedLength = z.object({ mm: mm('the length'), text: z.string().max(40) });

export const sampleDetails = z
  .object({
    takenOn: z.iso.date('Give the date as a day, such as 2026-05-04.').optional(),
    depthFrom: typedLength.optional(),
    depthTo: typedLength.optional(),
    takenOut: z.string().trim().max(300).optional(),
    driedH: z
      .number()
      .min(0, 'Drying cannot take less than no time.')
      .max(2000, 'That is over two months. Give hours.')
      .optional(),
    sieve: typedLength
      .refine((s) => s.mm > 0 && s.mm <= 50, 'A mesh is wider than nothing and narrower than 50 mm.')
      .optional(),
    gravel: z
      .object({
        amount: z.number().min(0, 'Gravel cannot be less than nothing.').max(100_000),
        unit: z.enum(GRAVEL_UNITS)
      })
      .optional(),
    look: z.string().trim().max(500).optional()
  })
  .refine((d) => !d.depthFrom || !d.depthTo || d.depthTo.mm > d.depthFrom.mm, {
    path: ['depthTo'],
    message: 'The lower end must lie below the upper one.'
  });

/** A place on a sketch, metres. */
const place = z.tuple([z.number().finite().min(-1e6).max(1e6), z.number().finite().min(-1e6).max(1e6)]);

export const areaFields = z.object({
  name: z
    .string()
    .trim()
    .min(1, 'Name the area: what people on the ground call it.')
    .max(80, 'Keep the name under 80 letters.'),
  purpose: z.enum(PURPOSES),
  history: z.array(z.enum(HISTORIES)).max(4).default([]),
  note: z.string().trim().max(500, 'Keep the note under 500 letters.').default(''),
  outline: z.array(place).max(500, 'An area may have 500 corners.')
});

const spotWords = {
  depthFrom: typedLength.nullable().default(null),
  depthTo: typedLength.nullable().default(null),
  note: z.string().trim().max(500, 'Keep the note under 500 letters.').default('')
};

const depthsInOrder = {
  test: (s: { depthFrom: { mm: number } | null; depthTo: { mm: number } | null }) =>
    !s.depthFrom || !s.depthTo || s.depthTo.mm > s.depthFrom.mm,
  words: { path: ['depthTo'], message: 'The lower end must lie below the upper one.' }
};

const earthPlace = z.object({
  lat: z.number({ error: 'Give the latitude in degrees, such as 60.39.' }).finite(),
  lon: z.number({ error: 'Give the longitude in degrees, such as 5.32.' }).finite(),
  bearing: z.number({ error: 'Give the bearing in degrees, 0 for north.' }).finite()
});

const siteName = z
  .string()
  .trim()
  .min(1, 'Name the site: where the ground lies.')
  .max(80, 'Keep the name under 80 letters.');

/** How much one import may bring: a site, not a county. */
export const IMPORT_MOST = { areas: 200, spots: 2000 } as const;

export const vesselFields = z.object({
  name: z.string().trim().min(1, 'Give the vessel a name you will know it by.').max(60),
  kind: z.enum(['jar', 'cylinder']),
  innerHeightMm: mm('the inner height'),
  innerDiameterMm: mm('the inner diameter'),
  baseThicknessMm: mm('the thickness of the base'),
  shoulderHeightMm: mm('the height of the shoulder'),
  mouthDiameterMm: mm('the width of the mouth'),
  domeMm: mm('the height of the dome').default(0),
  /** Where given it rules: the other measures follow from it. */
  profile: z
    .array(z.object({ heightMm: mm('the height'), diameterMm: mm('the inner diameter') }))
    .min(2, 'Give the inner diameter at two heights at least: at the bottom and at the rim.')
    .max(40, 'Forty diameters are plenty.')
    .nullable()
    .default(null),
  graduationMl: z
    .number({ error: 'Give what a line of the scale stands for, in mL.' })
    .positive('A line of the scale stands for more than nothing.')
    .max(1000)
    .nullable()
    .default(null)
});

/** Dry solids in settled sediment, kg/m3: from fresh ooze to close-packed grains. */
const packingDensity = z
  .number({ error: 'Give the packing in kg/m³, such as 1200.' })
  .min(100, 'Fresh sediment packs to at least 100 kg/m³.')
  .max(2000, 'Grains cannot pack closer than 2000 kg/m³.');

/** Lines that can be read; only those that were seen. */
const readLines = z.object({
  gravel: line.optional(),
  coarse: line.optional(),
  sand: line.optional(),
  silt: line.optional(),
  clay: line.optional(),
  skin: line.optional(),
  surface: line.optional()
});
const reader = z.string().trim().min(1, 'Say who reads.').max(40, 'Keep it under 40 letters.');

export const readingEntry = z.object({
  ruler: z.enum(['mm', 'sixteenths', 'eye', 'mL']),
  rulerSigmaMm: z.number().positive().max(50).optional(),
  rulerZero: z.literal('table').optional(),
  lines: readLines,
  by: reader.optional(),
  second: z.object({ by: reader, lines: readLines }).optional(),
  photoFileId: ref.optional(),
  calibration: z
    .object({
      pairs: z.number().int().min(2).max(1000),
      siltLog: z.number().min(-5).max(5),
      clayLog: z.number().min(-5).max(5)
    })
    .optional(),
  water: z.enum(WATERS).optional(),
  assumed: z
    .object({
      packing: z.object({ sand: packingDensity, silt: packingDensity, clay: packingDensity }).optional(),
      hindered: z.boolean().optional(),
      tempC: z
        .number({ error: 'Give the temperature of the water.' })
        .min(0, 'The water must be between 0 and 40 °C.')
        .max(40, 'The water must be between 0 and 40 °C.')
        .optional(),
      limitUm: z.literal(SAND_LIMITS_UM).optional(),
      clayFloorUm: z
        .number({ error: 'Give the finest clay in µm, such as 0.2.' })
        .min(0.01, 'The finest clay is at least 0.01 µm.')
        .max(1.9, 'The finest clay must be under 1.9 µm: clay ends at 2.')
        .optional()
    })
    .optional(),
  organics: line.optional(),
  measuredTotal: line.optional(),
  sumNote: z.string().trim().max(300).optional()
});

const pixel = z.tuple([z.number().finite(), z.number().finite()]).readonly();
const knownHeight = z.object({ at: pixel, heightMm: z.number().finite().min(-100).max(3000) });

/** Where the strip of a film lies in its pictures. */
const filmStrip = z.object({
  low: knownHeight,
  high: knownHeight,
  asidePx: z.number().finite(),
  widthPx: z.number().finite().min(3).max(20_000),
  fromMm: z.number().finite().min(-100).max(3000),
  toMm: z.number().finite().min(-100).max(3000),
  rowMm: z.number().positive().max(50),
  rows: z.number().int().min(30).max(2000)
});

export const profileFields = z.object({
  length: z.enum(['mm', 'cm', 'in']),
  temperature: z.enum(['C', 'F']),
  volume: z.enum(['L', 'gal']),
  clock: z.enum(['24', '12']),
  theme: z.enum(['day', 'night', 'device']),
  sound: z.enum(['off', 'knock', 'bell', 'reed']),
  spoken: z.enum(['on', 'off']),
  notices: z.enum(['on', 'off']),
  headline: z.enum(['read', 'mass']),
  quietFrom: z.number().int().min(0).max(1439),
  quietTo: z.number().int().min(0).max(1439)
});

const seconds = z.number({ error: 'Give a time such as 2 h or 40 s.' }).finite();
const timedMark = z.object({
  layer: z.enum(['sand', 'silt', 'clay']),
  atS: seconds,
  untilS: seconds.optional()
});

/** What an instrument is read by; what it means is checked by the core. */
const instrumentDraft = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('hydrometer'),
    soilG: z.number({ error: 'Give the air-dry soil in grams.' }),
    readings: z.array(z.object({ atS: seconds, leadS: seconds })).max(MOST_READINGS)
  }),
  z.object({
    kind: z.literal('pipette'),
    soilG: z.number({ error: 'Give the air-dry soil in grams.' }),
    depthMm: z.number({ error: 'Give the depth of the tip in mm.' }),
    leadS: seconds,
    limitsUm: z.array(z.number({ error: 'Give the size in µm.' })).max(MOST_READINGS)
  })
]);

/** A method as it is changed; what it means is checked by the core. */
export const methodDraft = z.object({
  name: z.string().max(200),
  purpose: z.string().trim().max(300, 'Keep the purpose under 300 letters.'),
  vesselKind: z.enum(['jar', 'cylinder']),
  soilShare: z.number({ error: 'Give the soil as a share of the height.' }),
  water: z.union([z.literal('neck'), z.literal('near-top'), z.number()]),
  dispersantMlPerL: z.number({ error: 'Give the dispersant in mL a litre.' }),
  agitate: z.object({ how: z.string().trim().max(80), fromS: seconds, toS: seconds }),
  marks: z.array(timedMark).max(3),
  end: z.object({ fromS: seconds, toS: seconds }),
  instrument: instrumentDraft.optional(),
  steps: z
    .array(z.object({ text: z.string().trim().max(300), why: z.string().trim().max(300).optional() }))
    .max(30, 'Thirty steps are plenty. Put some together.')
});

const percent = (what: string) =>
  z
    .number({ error: `Give the ${what} in percent.` })
    .min(0, `The ${what} cannot be below zero.`)
    .max(100, `The ${what} cannot be over 100 %.`);

const waterTemp = z
  .number({ error: 'Give the temperature of the water.' })
  .min(0, 'The water must be between 0 and 40 °C.')
  .max(40, 'The water must be between 0 and 40 °C.');

/** A reading in the instrument's own scale; whether it can be right is for the core to say. */
const gaugeValue = z
  .number({ error: 'Give the reading as a number.' })
  .min(-10, 'No hydrometer shows less than -10.')
  .max(100, 'No hydrometer shows more than 100.');

const grams = (what: string) =>
  z
    .number({ error: `Give ${what} in grams.` })
    .min(0, `${what} cannot be below zero.`)
    .max(5000, 'That is over five kilograms. Give grams.');

/** What is weighed for a cylinder test; what it means is checked by the core. */
export const cylinderFacts = z.object({
  airDryG: grams('the air-dry soil').positive('Weigh the air-dry soil: it is more than nothing.'),
  moisture: z
    .object({
      wetG: grams('the moist subsample'),
      dryG: grams('the dry subsample'),
      tinG: grams('the tin')
    })
    .nullable(),
  particleDensity: z.number({ error: 'Give the grain density in kg/m³, such as 2650.' }).max(10_000),
  bulb: z.enum(BULBS),
  meniscus: z
    .number({ error: 'Give the meniscus in g/L, such as 0.5.' })
    .min(0, 'The meniscus is added: zero or more.')
    .max(3, 'A meniscus is under 3 g/L.'),
  sieves: z
    .array(
      z.object({
        meshUm: z.number({ error: 'Give the mesh in µm.' }),
        retainedG: grams('what stayed on the mesh')
      })
    )
    .max(12),
  cylinderMl: z.number().positive('A cylinder holds more than nothing.').max(2000),
  pipette: z
    .object({
      volumeMl: z.number({ error: 'Give the volume of the pipette in mL.' }).max(200),
      depthMm: z.number({ error: 'Give the depth of the tip in mm.' }).max(400),
      dispersantG: grams('the dispersant in a draw')
    })
    .nullable()
});

/** Command payloads by name. */
export const commandSchemas = {
  'lab.add': z
    .object({
      reportId: id,
      sampleId: ref,
      lab: z.string().trim().min(1, 'Name the laboratory.').max(80, 'Keep the name under 80 letters.'),
      reportedOn: z.iso.date('Give the date as a day, such as 2026-05-04.').nullable().default(null),
      sand: percent('sand'),
      silt: percent('silt'),
      clay: percent('clay'),
      sandLimitUm: z.literal(SAND_LIMITS_UM),
      organicPct: percent('organic matter').nullable().default(null),
      note: z.string().trim().max(500, 'Keep the note under 500 letters.').default('')
    })
    .refine((r) => Math.abs(r.sand + r.silt + r.clay - 100) <= 1, {
      path: ['clay'],
      message: 'Sand, silt and clay of a report come to 100, give or take one. Check them against the paper.'
    }),
  'lab.remove': z.object({ reportId: ref }),
  'site.add': z.object({ siteId: id, name: siteName }),
  'site.edit': z.object({ siteId: ref, name: siteName, earth: earthPlace.nullable() }),
  'site.backdrop': z.object({ siteId: ref, fileId: ref.nullable() }),
  'site.scale': z.object({
    siteId: ref,
    from: place,
    to: place,
    distanceM: z
      .number({ error: 'Give the distance between the two points.' })
      .positive('Two points of one place are no distance apart. Give more than nothing.')
      .max(100_000, 'That is over a hundred kilometres. Give metres.')
  }),
  'area.add': z.object({ areaId: id, siteId: ref, ...areaFields.shape }),
  'area.edit': z.object({ areaId: ref, ...areaFields.shape }),
  'area.remove': z.object({ areaId: ref }),
  'spots.suggest': z.object({
    areaId: ref,
    seed: z.number().int().min(0).max(2_147_483_647),
    spotIds: z
      .array(id)
      .min(1, `Give a whole number of spots from 1 to ${MOST_SPOTS}.`)
      .max(MOST_SPOTS, `Give a whole number of spots from 1 to ${MOST_SPOTS}.`)
  }),
  'spot.add': z.object({ spotId: id, areaId: ref, place }),
  'spot.move': z.object({ spotId: ref, place }),
  'spot.take': z
    .object({ spotId: ref, taken: z.boolean(), ...spotWords })
    .refine(depthsInOrder.test, depthsInOrder.words),
  'spot.remove': z.object({ spotId: ref }),
  'ground.import': z.object({
    siteId: ref,
    earth: earthPlace.nullable(),
    areas: z
      .array(z.object({ areaId: id, ...areaFields.shape }))
      .max(IMPORT_MOST.areas, `A file may bring ${IMPORT_MOST.areas} areas at a time. Split it.`),
    spots: z
      .array(z.object({ spotId: id, areaId: ref, place, ...spotWords }))
      .max(IMPORT_MOST.spots, `A file may bring ${IMPORT_MOST.spots} spots at a time. Split it.`)
  }),
  'photo.add': z.object({
    photoId: id,
    fileId: ref,
    subject: z.enum(PHOTO_SUBJECTS),
    subjectId: ref,
    caption: z.string().trim().max(120, 'Keep the caption under 120 letters.').default('')
  }),
  'photo.remove': z.object({ photoId: ref }),
  'sample.add': z.object({
    sampleId: id,
    ...sampleFields.shape,
    ...sampleGround,
    details: sampleDetails.default({})
  }),
  'sample.edit': z.object({
    sampleId: ref,
    ...sampleFields.shape,
    ...sampleGround,
    details: sampleDetails
  }),
  'vessel.add': z.object({ vesselId: id, ...vesselFields.shape }),
  'jar.prepare': z.object({
    testId: id,
    sampleId: ref.describe('an existing sample'),
    vesselId: ref,
    methodKey: ref,
    tempC: z
      .number({ error: 'Give the temperature of the water.' })
      .min(0, 'The water must be between 0 and 40 °C.')
      .max(40, 'The water must be between 0 and 40 °C.'),
    soilMm: mm('the height of the dry soil'),
    waterMm: mm('the height of the water line'),
    dispersantMl: z.number().min(0).max(500),
    /** Marks where the size limits really fall due, sand from this size up, um; null: as the method asks. */
    trueSandUm: z.literal(TRUE_SAND_LIMITS_UM).nullable().default(null),
    note: z.string().trim().max(500).default('')
  }),
  'jar.prep': z.object({
    testId: ref,
    ticks: z.array(z.string().max(40)).max(40),
    shakeStartedAt: at.nullable()
  }),
  'bench.plan': z.object({
    jars: z
      .array(z.object({ testId: ref, setDownAt: at.nullable() }))
      .min(1, 'Choose at least one jar.')
      .max(200)
  }),
  'jar.set-down': z.object({ testId: ref, runId: id }),
  'jar.mark': z.object({ testId: ref, runId: ref, markId: id, layer: z.enum(['sand', 'silt', 'clay']) }),
  'mark.height': z.object({ testId: ref, markId: ref, height: line.omit({ sigmaMm: true }).nullable() }),
  'jar.top': z.object({
    testId: ref,
    runId: ref,
    topId: id,
    height: line.omit({ sigmaMm: true }),
    water: z.enum(WATERS).nullable().default(null)
  }),
  'film.start': z.object({
    filmId: id,
    testId: ref,
    runId: ref,
    source: z.enum(['camera', 'folder']),
    strip: filmStrip
  }),
  'film.frames': z.object({
    filmId: ref,
    frames: z
      .array(z.object({ at, colours: z.base64('The colours of a picture are base 64.').max(8000) }))
      .min(1, 'Send at least one picture.')
      .max(200, 'Send at most 200 pictures at a time.')
  }),
  'film.remove': z.object({ filmId: ref }),
  'cylinder.facts': z.object({ testId: ref, facts: cylinderFacts, blankId: ref.nullable() }),
  'gauge.take': z.object({
    testId: ref,
    runId: ref,
    gaugeId: id,
    no: z.number().int().min(0).max(60),
    value: gaugeValue.nullable().default(null),
    tempC: waterTemp.nullable().default(null),
    simulated: z.boolean().default(false)
  }),
  'gauge.enter': z.object({
    testId: ref,
    gaugeId: ref,
    value: gaugeValue.nullable(),
    tempC: waterTemp.nullable()
  }),
  'gauge.remove': z.object({ testId: ref, gaugeId: ref }),
  'blank.add': z.object({
    blankId: id,
    name: z.string().trim().min(1, 'Name the blank, such as its cylinder.').max(60)
  }),
  'blank.read': z.object({ blankId: ref, readingId: id, value: gaugeValue, tempC: waterTemp }),
  'blank.unread': z.object({ readingId: ref }),
  'cylinder.finish': z.object({ testId: ref, resultId: id }),
  'jar.method': z.object({ testId: ref, methodKey: ref }),
  'jar.note': z.object({
    testId: ref,
    kind: z.enum(JAR_NOTES),
    words: z.string().trim().max(200, 'Keep it under 200 letters.').default('')
  }),
  'jar.shake-again': z.object({ testId: ref, runId: ref, reason: z.enum(END_REASONS) }),
  'jar.read': z.object({ testId: ref, readingId: id, entry: readingEntry }),
  'test.finish': z.object({ testId: ref, readingId: ref, resultId: id }),
  'test.reopen': z.object({
    testId: ref,
    why: z.string().trim().min(1, 'Say why it is opened again.').max(300)
  }),
  'test.bin': z.object({ testId: ref }),
  'test.restore': z.object({ testId: ref }),
  'bin.empty': z.object({}),
  'method.save': z.object({
    methodKey: ref.describe('of an own method to change, or a new key that begins with own-'),
    fromKey: ref.describe('the method it is copied from'),
    draft: methodDraft
  }),
  'method.retire': z.object({ methodKey: ref }),
  'profile.set': profileFields.partial(),
  undo: z.object({ eventId: ref })
} as const;

export type CommandName = keyof typeof commandSchemas;
export type Payload<N extends CommandName> = z.output<(typeof commandSchemas)[N]>;
export type PayloadInput<N extends CommandName> = z.input<(typeof commandSchemas)[N]>;

export const commandNames = Object.keys(commandSchemas) as CommandName[];

/** What goes over the wire with every command. */
export const envelope = z.object({
  /** Made by the sender; a second arrival with the same id is answered like the first. */
  commandId: id,
  /** When it happened, ms UTC, by the sender's clock corrected to the server's. */
  at,
  /** The device it was made on, by an id that the device keeps. */
  device: id.optional(),
  payload: z.unknown()
});

/** A command as it waits in the browser. */
export type Command<N extends CommandName = CommandName> = {
  commandId: string;
  at: number;
  device?: string;
  name: N;
  payload: PayloadInput<N>;
};

/** What a failed command answers: a sentence beside each field, or one for the whole. */
export type CommandFailure = { message: string; fields: Record<string, string> };

/** What a done command answers. */
export type CommandDone = { eventId: string; testId: string | null; code?: string };
