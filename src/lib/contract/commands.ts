import { z } from 'zod';
import { END_REASONS, GRAVEL_UNITS, PURPOSES } from './records.ts';

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

export const vesselFields = z.object({
  name: z.string().trim().min(1, 'Give the vessel a name you will know it by.').max(60),
  kind: z.enum(['jar', 'cylinder']),
  innerHeightMm: mm('the inner height'),
  innerDiameterMm: mm('the inner diameter'),
  baseThicknessMm: mm('the thickness of the base'),
  shoulderHeightMm: mm('the height of the shoulder'),
  mouthDiameterMm: mm('the width of the mouth')
});

export const readingEntry = z.object({
  ruler: z.enum(['mm', 'sixteenths', 'eye']),
  rulerZero: z.literal('table').optional(),
  lines: z.object({
    gravel: line.optional(),
    sand: line.optional(),
    silt: line.optional(),
    clay: line.optional()
  }),
  organics: line.optional(),
  measuredTotal: line.optional(),
  sumNote: z.string().trim().max(300).optional()
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
  quietFrom: z.number().int().min(0).max(1439),
  quietTo: z.number().int().min(0).max(1439)
});

/** Command payloads by name. */
export const commandSchemas = {
  'sample.add': z.object({ sampleId: id, ...sampleFields.shape }),
  'sample.edit': z.object({ sampleId: ref, ...sampleFields.shape, details: sampleDetails }),
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
  payload: z.unknown()
});

/** A command as it waits in the browser. */
export type Command<N extends CommandName = CommandName> = {
  commandId: string;
  at: number;
  name: N;
  payload: PayloadInput<N>;
};

/** What a failed command answers: a sentence beside each field, or one for the whole. */
export type CommandFailure = { message: string; fields: Record<string, string> };

/** What a done command answers. */
export type CommandDone = { eventId: string; testId: string | null; code?: string };
