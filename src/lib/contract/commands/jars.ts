import { z } from 'zod';
import { WATERS } from '../../core/jar/clarity.ts';
import { TRUE_SAND_LIMITS_UM } from '../../core/method/cuts.ts';
import { LINE_ORDER } from '../../core/layers/layers.ts';
import { SAND_LIMITS_UM } from '../../core/texture/limits.ts';
import { END_REASONS, JAR_NOTES, STOOD, TAPED_LAYERS } from '../records/run.ts';
import { DISPERSANTS } from '../records/jar.ts';
import { SEVERAL_MOST } from '../records/log.ts';
import { FIGURES, RULERS, UNPLACED, WAYS } from '../records/reading.ts';
import { defineCommand } from './define.ts';
import { ofFilm, ofTest, OPEN, STANDS } from './states.ts';
import { at, id, line, mm, ref, waterTemp } from './values.ts';
import { refusals } from '../../words/refusals.ts';

/** Dry solids in settled sediment, kg/m3: from fresh ooze to close-packed grains. */
const packingDensity = z
  .number({ error: refusals.jars.givePackingKgM })
  .min(100, refusals.jars.freshSedimentPacksLeast)
  .max(2000, refusals.jars.grainsCannotPackCloser);

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
const reader = z.string().trim().min(1, refusals.jars.sayWhoReads).max(40, refusals.jars.keepUnder40Letters);

/** An amount or a length of time, as somebody says it. */
const amount = z.string().trim().min(1, refusals.jars.sayHowMuch).max(60, refusals.jars.keepUnder60Letters);

/** A figure to the letter. */
const figure = z.string().max(40, refusals.jars.keepUnder40Letters);
const figuresOfLines = z.partialRecord(z.enum(LINE_ORDER), figure);

/** A reading as it was typed. */
const typed = z.object({
  way: z.enum(WAYS),
  unit: z.enum(['mm', 'cm', 'in']),
  lines: figuresOfLines.optional(),
  sigmas: figuresOfLines.optional(),
  second: figuresOfLines.optional(),
  shares: z.partialRecord(z.enum(TAPED_LAYERS), figure).optional(),
  total: figure.optional(),
  organics: figure.optional(),
  exact: z
    .array(
      z.object({
        field: z.string().max(30),
        text: figure,
        mm: mm('the height'),
        mark: z.object({ timeS: z.number().min(0), heightMm: mm('the height') }).optional()
      })
    )
    .max(40)
    .optional()
});

export const readingEntry = z.object({
  /** Where it is given, all heights follow from it, and are worked out anew before they are kept. */
  typed: typed.optional(),
  ruler: z.enum(RULERS),
  rulerSigmaMm: z.number().positive().max(50).optional(),
  rulerZero: z.literal('table').optional(),
  lines: readLines,
  unplaced: z.partialRecord(z.enum(TAPED_LAYERS), z.enum(UNPLACED)).optional(),
  figures: z.enum(FIGURES).optional(),
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
  water: z.enum([...WATERS, 'unseen']).optional(),
  assumed: z
    .object({
      packing: z.object({ sand: packingDensity, silt: packingDensity, clay: packingDensity }).optional(),
      hindered: z.boolean().optional(),
      tempC: waterTemp.optional(),
      limitUm: z.literal(SAND_LIMITS_UM).optional(),
      clayFloorUm: z
        .number({ error: refusals.jars.giveFinestClayM })
        .min(0.01, refusals.jars.finestClayLeast0)
        .max(1.9, refusals.jars.finestClayMustUnder)
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

/** Tests that are done something with at once. */
const someTests = z
  .array(ref)
  .min(1, refusals.jars.chooseLeastTest)
  .max(SEVERAL_MOST, refusals.jars.fewerTests(SEVERAL_MOST));

const notInBin = refusals.results.testNotBin;
const NOT_IN_BIN = { ready: notInBin, running: notInBin, read: notInBin, finished: notInBin };

/** A jar from the table to the record. */
export const jarCommands = {
  'jar.prepare': defineCommand(
    z.object({
      testId: id,
      sampleId: ref.describe('an existing sample'),
      vesselId: ref,
      methodKey: ref,
      tempC: waterTemp,
      soilMm: mm('the height of the dry soil'),
      waterMm: mm('the height of the water line'),
      dispersantMl: z.number().min(0).max(500),
      /** Of these what is usual was taken: nobody has measured or told them yet. */
      notMeasured: z
        .array(z.enum(['tempC', 'dispersantMl']))
        .max(2)
        .default([]),
      /** Marks where the size limits really fall due, sand from this size up, um; null: as the method asks. */
      trueSandUm: z.literal(TRUE_SAND_LIMITS_UM).nullable().default(null),
      note: z.string().trim().max(500).default('')
    })
  ),
  'jar.prep': defineCommand(
    z.object({
      testId: ref,
      ticks: z.array(z.string().max(40)).max(40),
      shakeStartedAt: at.nullable(),
      soakStartedAt: at.nullable().optional()
    }),
    { states: ofTest(OPEN) }
  ),
  'bench.plan': defineCommand(
    z.object({
      jars: z
        .array(z.object({ testId: ref, setDownAt: at.nullable() }))
        .min(1, refusals.jars.chooseLeastJar)
        .max(200)
    }),
    {
      states: {
        of: 'plan',
        in: ['ready'],
        refuse: {
          running: refusals.jars.standsAlready,
          read: refusals.jars.standsAlready,
          finished: refusals.jars.standsAlready
        }
      }
    }
  ),
  /** A jar that stands already, as it is met: with what was read of it. */
  'jar.stood': defineCommand(
    z.object({
      testId: id,
      runId: id,
      readingId: id,
      stood: z.enum(STOOD),
      /** An existing sample, or the id of a new one with its name; it may be named later. */
      sampleId: ref,
      sampleName: z.string().trim().max(80, refusals.common.keepNameUnder80).default(''),
      vesselId: ref.nullable().default(null),
      methodKey: ref.nullable().default(null),
      entry: readingEntry
    })
  ),
  /** Set down by mistake: it stood already. */
  'run.stood': defineCommand(z.object({ testId: ref, runId: ref, stood: z.enum(STOOD) }), {
    states: ofTest(STANDS, {
      run: 'on',
      by: 'layers',
      refuse: { instrument: refusals.jars.cylinderReadInstrumentNeeds }
    })
  }),
  'jar.set-down': defineCommand(z.object({ testId: ref, runId: id }), {
    states: ofTest(['ready'], {
      refuse: { running: refusals.jars.jarAlreadyStands, read: refusals.jars.jarAlreadyStands }
    })
  }),
  'jar.mark': defineCommand(z.object({ testId: ref, runId: ref, markId: id, layer: z.enum(TAPED_LAYERS) }), {
    states: ofTest(STANDS, { run: 'seen' })
  }),
  'mark.height': defineCommand(
    z.object({
      testId: ref,
      markId: ref,
      height: line.pick({ mm: true, text: true }).nullable()
    }),
    { states: ofTest(OPEN) }
  ),
  'mark.correct': defineCommand(
    z
      .object({ testId: ref, markId: ref, layer: z.enum(TAPED_LAYERS).optional(), at: at.optional() })
      .refine((m) => m.layer !== undefined || m.at !== undefined, {
        path: ['time'],
        message: refusals.jars.giveAnotherLayer
      }),
    { states: ofTest(OPEN) }
  ),
  'mark.remove': defineCommand(z.object({ testId: ref, markId: ref }), { states: ofTest(OPEN) }),
  'mark.pass': defineCommand(
    z.object({
      testId: ref,
      runId: ref,
      layer: z.enum(TAPED_LAYERS),
      passed: z.boolean().default(true)
    }),
    { states: ofTest(STANDS, { run: 'on' }) }
  ),
  'run.zero': defineCommand(
    z.object({
      testId: ref,
      runId: ref,
      setDownAt: at,
      why: z.string().trim().min(1, refusals.jars.sayWhyTimeWrong).max(300, refusals.jars.keepUnder300Letters)
    }),
    { states: ofTest(STANDS, { run: 'on' }) }
  ),
  'top.remove': defineCommand(z.object({ testId: ref, topId: ref }), { states: ofTest(OPEN) }),
  'jar.top': defineCommand(
    z.object({
      testId: ref,
      runId: ref,
      topId: id,
      height: line.pick({ mm: true, text: true }),
      water: z.enum(WATERS).nullable().default(null)
    }),
    { states: ofTest(STANDS, { run: 'on' }) }
  ),
  'film.start': defineCommand(
    z.object({
      filmId: id,
      testId: ref,
      runId: ref,
      source: z.enum(['camera', 'folder']),
      strip: filmStrip
    }),
    { states: ofTest(OPEN) }
  ),
  'film.frames': defineCommand(
    z.object({
      filmId: ref,
      frames: z
        .array(z.object({ at, colours: z.base64(refusals.jars.coloursPictureBase64).max(8000) }))
        .min(1, refusals.jars.sendLeastPicture)
        .max(200, refusals.jars.sendMost200Pictures)
    }),
    { states: ofFilm(OPEN) }
  ),
  'film.remove': defineCommand(z.object({ filmId: ref }), { states: ofFilm(OPEN) }),
  'jar.method': defineCommand(z.object({ testId: ref, methodKey: ref }), { states: ofTest(OPEN) }),
  /** The dry soil, as it was weighed; null takes it back. */
  'jar.weigh': defineCommand(
    z.object({
      testId: ref,
      weighed: z
        .object({
          grams: z
            .number({ error: refusals.cylinders.giveGrams('the dry soil') })
            .positive(refusals.jars.soilOverNothing)
            .max(20_000, refusals.jars.overTwentyKilograms),
          readsToG: z.number().positive().max(100)
        })
        .nullable()
    }),
    { states: ofTest(OPEN) }
  ),
  /** What was used, and how long: in the measure of whoever did it, where it is not as the method advises. */
  'jar.used': defineCommand(
    z.object({
      testId: ref,
      used: z.object({
        dispersant: z
          .object({
            kind: z.enum(DISPERSANTS),
            text: z.string().trim().max(60, refusals.jars.keepUnder60Letters)
          })
          .optional(),
        soil: amount.optional(),
        soaked: amount.optional(),
        shaken: amount.optional()
      })
    }),
    { states: ofTest(OPEN) }
  ),
  'jar.note': defineCommand(
    z.object({
      testId: ref,
      kind: z.enum(JAR_NOTES),
      words: z.string().trim().max(200, refusals.jars.keepUnder200Letters).default('')
    }),
    { states: ofTest([...OPEN, 'finished']) }
  ),
  'jar.shake-again': defineCommand(z.object({ testId: ref, runId: ref, reason: z.enum(END_REASONS) }), {
    states: ofTest(STANDS, { run: 'on' })
  }),
  'jar.read': defineCommand(z.object({ testId: ref, readingId: id, entry: readingEntry }), {
    states: ofTest(STANDS, { by: 'layers' })
  }),
  'test.finish': defineCommand(z.object({ testId: ref, readingId: ref, resultId: id }), {
    states: ofTest(['read'], {
      by: 'layers',
      refuse: {
        ready: refusals.results.readItFirst,
        running: refusals.results.readItFirst,
        finished: refusals.results.testAlreadyFinished
      }
    })
  }),
  'test.reopen': defineCommand(
    z.object({
      testId: ref,
      why: z.string().trim().min(1, refusals.jars.sayWhyOpenedAgain).max(300)
    }),
    {
      states: ofTest(['finished'], {
        refuse: {
          ready: refusals.results.testOpenAlready,
          running: refusals.results.testOpenAlready,
          read: refusals.results.testOpenAlready
        }
      })
    }
  ),
  'test.bin': defineCommand(z.object({ testId: ref }), { states: ofTest([...OPEN, 'finished']) }),
  'test.restore': defineCommand(z.object({ testId: ref }), {
    states: ofTest(['bin'], { refuse: NOT_IN_BIN })
  }),
  /** Several at once: all of them or none. */
  'tests.bin': defineCommand(z.object({ testIds: someTests }), {
    states: { of: 'several', in: [...OPEN, 'finished'] }
  }),
  'tests.restore': defineCommand(z.object({ testIds: someTests }), {
    states: { of: 'several', in: ['bin'], refuse: NOT_IN_BIN }
  }),
  'bin.empty': defineCommand(z.object({}), { who: 'keeper', undo: false })
} as const;
