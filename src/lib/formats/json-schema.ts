import { time } from './values.ts';
import { z } from 'zod';
import { WATERS } from '../core/index.ts';
import { cylinderFacts } from '../contract/commands/cylinders.ts';
import { readingEntry } from '../contract/commands/jars.ts';
import { sampleDetails } from '../contract/commands/samples.ts';
import { END_REASONS, STOOD } from '../contract/records/run.ts';
import { PURPOSES } from '../contract/records/sample.ts';

/** Shapes of the JSON that goes out; the published JSON Schema is made from these. Times are ISO 8601 in UTC. */

const percent = z.number().min(0).max(100);
const fractions = z.object({ sand: percent, silt: percent, clay: percent });
const shareAlone = z.object({
  layer: z.enum(['sand', 'clay']),
  pct: percent,
  orMore: z.boolean().default(false).describe('it is more than that: no line was seen')
});

export const testDocument = z
  .object({
    format: z.literal('tivrel.test'),
    version: z.literal(1),
    exportedAt: time,
    test: z.object({
      id: z.string(),
      code: z.string(),
      status: z.enum(['ready', 'running', 'read', 'finished']),
      createdAt: time,
      finishedAt: time.nullable(),
      sample: z.object({
        id: z.string(),
        code: z.string(),
        name: z.string(),
        purpose: z.enum(PURPOSES),
        note: z.string(),
        areaId: z.string().nullable(),
        spotIds: z.array(z.string()),
        details: sampleDetails
      }),
      vessel: z.object({
        id: z.string(),
        name: z.string(),
        kind: z.enum(['jar', 'cylinder']),
        innerHeightMm: z.number(),
        innerDiameterMm: z.number(),
        baseThicknessMm: z.number(),
        shoulderHeightMm: z.number(),
        mouthDiameterMm: z.number(),
        domeMm: z.number().optional(),
        profile: z
          .array(z.object({ heightMm: z.number(), diameterMm: z.number() }))
          .nullish()
          .describe('inner diameters by height, where the wall is not straight'),
        graduationMl: z.number().nullish()
      }),
      method: z.object({
        key: z.string(),
        version: z.number().int(),
        name: z.string(),
        marks: z
          .array(
            z.object({
              layer: z.enum(['sand', 'silt', 'clay']),
              seconds: z.number().describe('after set-down, as asked for in this jar'),
              untilSeconds: z.number().optional()
            })
          )
          .describe('true marks where the jar has them, else those of the method')
      }),
      waterTempC: z.number().nullable().describe('this and what follows: null where nobody measured it'),
      drySoilMm: z.number().nullable(),
      drySoilG: z.number().nullable().describe('the dry soil as it was weighed'),
      waterLineMm: z.number().nullable(),
      dispersantMl: z.number().nullable(),
      used: z
        .object({
          dispersant: z.object({ kind: z.string(), text: z.string() }).optional(),
          soil: z.string().optional(),
          soaked: z.string().optional(),
          shaken: z.string().optional()
        })
        .describe('what was used, as whoever did it says it'),
      cylinder: cylinderFacts.nullable().describe('what was weighed, for tests read with an instrument'),
      runs: z.array(
        z.object({
          no: z.number().int(),
          setDownAt: time.nullable().describe('null where it stood already when it was met'),
          stood: z.enum(STOOD).nullable(),
          endedAt: time.nullable(),
          endReason: z.enum(END_REASONS).nullable(),
          marks: z.array(
            z.object({
              layer: z.enum(['sand', 'silt', 'clay']),
              at: time,
              seconds: z.number().describe('after set-down'),
              heightMm: z.number().nullable(),
              heightText: z.string().nullable()
            })
          ),
          tops: z
            .array(
              z.object({
                at: time,
                seconds: z.number().describe('after set-down'),
                heightMm: z.number(),
                water: z.enum(WATERS).nullable()
              })
            )
            .describe('readings of the top of the sediment'),
          instrument: z
            .array(
              z.object({
                no: z.number().int().describe('which reading of the method, from 1'),
                at: time,
                seconds: z.number().describe('after set-down'),
                value: z.number().nullable(),
                tempC: z.number().nullable(),
                simulated: z.boolean()
              })
            )
            .describe('readings of a hydrometer (g/L or relative density), or dry grams of pipette draws')
        })
      ),
      readings: z.array(
        z.object({ id: z.string(), at: time, run: z.number().int().nullable(), entry: readingEntry })
      ),
      results: z.array(
        z.object({
          at: time,
          coreVersion: z.string(),
          readingId: z.string().nullable(),
          supersededAt: time.nullable(),
          system: z.literal('usda'),
          basis: z.enum(['by height, as read', 'by mass, weighed']),
          curve: z
            .array(z.object({ diameterUm: z.number(), percentFiner: percent, from: z.string() }))
            .nullable()
            .describe('grading curve of a cylinder test, finest first'),
          fractions: fractions
            .nullable()
            .describe('of a jar the heights as read, beside `answer`; null where only one share was read'),
          share: shareAlone.nullable(),
          calibration: z
            .object({ asRead: fractions, pairs: z.number().int() })
            .nullable()
            .describe('set where jars were calibrated against a laboratory: the shares before that'),
          gravelPct: percent.nullable(),
          class: z
            .string()
            .nullable()
            .describe('of a jar with `answer` deprecated: the class of the heights as read'),
          probability: z
            .number()
            .min(0)
            .max(1)
            .nullable()
            .describe('of a jar deprecated: it counts the error of the ruler alone'),
          byMass: z
            .object({
              basis: z.enum(['marks', 'bands']),
              fractions,
              class: z.string(),
              probability: z.number().min(0).max(1),
              clayRange: z
                .object({ clear: percent, cloudy: percent, seen: z.literal('hazy').optional() })
                .nullable(),
              doubtful: z.literal('not-dispersed').nullable()
            })
            .nullable()
            .describe('deprecated: the estimate by mass of results from before `answer`'),
          answer: z
            .object({
              fractions,
              sd: fractions.describe('standard errors, points'),
              sandSilt: z.number().describe('covariance of sand and silt, points squared'),
              classes: z
                .array(z.object({ class: z.string(), probability: z.number().min(0).max(1) }))
                .describe('likeliest first'),
              draws: z.array(z.array(percent).length(2)).describe('sand and silt of some draws, percent'),
              settled: z.boolean()
            })
            .nullable()
            .describe('what is known of the soil from everything that was read of a jar, by mass')
        })
      ),
      events: z.array(
        z.object({
          at: time,
          who: z.string(),
          what: z.string(),
          undone: z.boolean(),
          detail: z.record(z.string(), z.union([z.string(), z.number(), z.null()]))
        })
      )
    })
  })
  .describe('One sedimentation test with everything that happened to it.');

export const logDocument = z
  .object({
    format: z.literal('tivrel.log'),
    version: z.literal(1),
    exportedAt: time,
    next: z
      .string()
      .nullable()
      .describe('where a `limit` was given and there is more: the `after` of the next page'),
    tests: z.array(
      z.object({
        id: z.string(),
        code: z.string(),
        sample: z.string(),
        purpose: z.enum(PURPOSES),
        method: z.string(),
        methodName: z.string(),
        share: shareAlone.nullable().describe('where only one share was read'),
        status: z.enum(['ready', 'running', 'read', 'finished']),
        setDownAt: time.nullable(),
        finishedAt: time.nullable(),
        waterTempC: z.number().nullable(),
        fractions: fractions.nullable(),
        answer: fractions.nullable().describe('by mass, from all that is known of a jar; `class` goes by it'),
        gravelPct: percent.nullable(),
        class: z.string().nullable(),
        probability: z.number().min(0).max(1).nullable(),
        verdict: z.string().nullable().describe('the judgement that was kept of it last, in a sentence'),
        problem: z.string().nullable().describe('why what came of it cannot be shown')
      })
    )
  })
  .describe('The log: one entry a test, shares in percent by height as read.');
