import { jsonParts } from './parts.ts';
import { time } from './values.ts';
import { z } from 'zod';
import {
  classifyTexture,
  fractionsFromGiven,
  SAND_LIMITS_UM,
  textureNeighbours,
  textureSystems,
  underAllSystems,
  type SystemId,
  known
} from '../core/index.ts';
import { sampleDetails } from '../contract/commands/samples.ts';
import { PURPOSES, type SampleRecord } from '../contract/records/sample.ts';
import { refusals } from '../words/refusals.ts';
import type { ReadPoint } from '../contract/records/log.ts';
import type { TestDetail } from '../contract/records/result.ts';

/** Shapes of the smaller answers of the API. Shares in percent by mass unless said otherwise, times ISO 8601 in UTC. */

const SYSTEM_IDS = Object.keys(textureSystems) as [SystemId, ...SystemId[]];
const percent = z.number().min(0).max(100);
const fractions = z.object({ sand: percent, silt: percent, clay: percent });
const named = z.object({ id: z.string(), name: z.string() });
const share = (part: string) =>
  z.coerce
    .number({ error: `Give the ${part} in percent, such as ${part}=40.` })
    .optional()
    .describe(`${part}, percent; two of the three are enough`);

/** So many of a list at most where pages of it are asked for. */
const PAGE_MOST = 1000;
const noLimit = { error: refusals.api.limit(PAGE_MOST) };

/** The part of a list that is asked for. */
export const pageQuery = z.object({
  limit: z.coerce
    .number(noLimit)
    .int(noLimit)
    .min(1, noLimit)
    .max(PAGE_MOST, noLimit)
    .optional()
    .describe(`how many at most, 1 to ${PAGE_MOST}; without it, all`),
  after: z.string().max(40, { error: refusals.api.after }).optional().describe('`next` of the page before')
});

/** What `results` is asked. */
export const resultsQuery = pageQuery.extend({
  code: z.string().optional().describe('the newest result of this code alone')
});

/** What `classify` is asked. */
export const classifyQuery = z.object({
  sand: share('sand'),
  silt: share('silt'),
  clay: share('clay'),
  system: z.enum(SYSTEM_IDS, { error: `Name a system: ${SYSTEM_IDS.join(', ')}.` }).default('usda'),
  limit: z.coerce
    .number()
    .refine(
      (um) => SAND_LIMITS_UM.some((known) => known === um),
      `A sand limit is one of ${SAND_LIMITS_UM.join(', ')} µm.`
    )
    .default(50)
    .describe('sand/silt limit that the shares were measured by, µm')
});

export const classifyAnswer = z
  .object({
    given: fractions,
    limitUm: z.number(),
    system: z.enum(SYSTEM_IDS),
    class: named,
    fractions: fractions.describe('by the limits of the system'),
    how: z.enum(['measured', 'curve', 'interpolated']),
    neighbours: z.array(
      z.object({
        id: z.string(),
        name: z.string(),
        points: z.number(),
        take: z.enum(['sand', 'silt', 'clay']),
        give: z.enum(['sand', 'silt', 'clay'])
      })
    ),
    systems: z.array(
      z.object({
        system: z.enum(SYSTEM_IDS),
        fractions,
        class: named,
        how: z.enum(['measured', 'curve', 'interpolated'])
      })
    )
  })
  .describe('A soil on the triangle: its class, how far the others are, and its class under every system.');

/**
 * Classifies what was asked.
 * @throws {RangeProblem} naming the part that is wrong
 */
export function classifyToJson(asked: z.output<typeof classifyQuery>): z.infer<typeof classifyAnswer> {
  const given = fractionsFromGiven(asked);
  const systems = underAllSystems(given, asked.limit);
  const own = known(
    systems.find((s) => s.system === asked.system),
    'all systems are asked'
  );
  return {
    given,
    limitUm: asked.limit,
    system: asked.system,
    class: classifyTexture(asked.system, own.fractions),
    fractions: own.fractions,
    how: own.how,
    neighbours: textureNeighbours(asked.system, own.fractions),
    systems
  };
}

export const samplesDocument = z
  .object({
    samples: z.array(
      z.object({
        id: z.string(),
        code: z.string(),
        name: z.string(),
        purpose: z.enum(PURPOSES),
        note: z.string(),
        areaId: z.string().nullable(),
        createdAt: time,
        details: sampleDetails
      })
    )
  })
  .describe('Every sample, by its code.');

/** The whole document, for samples that come so many at a time. */
export async function* samplesJsonParts(
  lists: AsyncIterable<readonly SampleRecord[]>
): AsyncGenerator<string> {
  yield* jsonParts({}, 'samples', lists, sampleItem);
}

function sampleItem(one: SampleRecord): z.infer<typeof samplesDocument>['samples'][number] {
  const { id, code, name, purpose, note, areaId, createdAt, details } = one;
  return { id, code, name, purpose, note, areaId, createdAt: new Date(createdAt).toISOString(), details };
}

export const resultsDocument = z
  .object({
    next: z
      .string()
      .nullable()
      .describe('where a `limit` was given and there is more: the `after` of the next page'),
    results: z.array(
      z.object({
        testId: z.string(),
        code: z.string(),
        sampleId: z.string(),
        sample: z.string(),
        method: z.string(),
        setDownAt: time,
        basis: z.enum(['height', 'mass']).describe('of `fractions`'),
        fractions: fractions.describe('deprecated: of a jar the heights as read'),
        byMass: fractions.nullable().describe('weighed, or estimated from a jar'),
        answer: fractions.describe('the best there is: weighed, estimated, or as read'),
        answerBasis: z.enum(['height', 'estimate', 'mass'])
      })
    )
  })
  .describe('Every kept result that is a point on the triangle, oldest first; sand from 50 µm up.');

export function resultsToJson(
  points: readonly ReadPoint[],
  next: string | null = null
): z.infer<typeof resultsDocument> {
  return { next, results: points.map(resultOfPoint) };
}

/** The whole document, for points that come so many at a time. */
export async function* resultsJsonParts(lists: AsyncIterable<readonly ReadPoint[]>): AsyncGenerator<string> {
  yield* jsonParts({ next: null }, 'results', lists, resultOfPoint);
}

function resultOfPoint(p: ReadPoint): z.infer<typeof resultsDocument>['results'][number] {
  return {
    testId: p.id,
    code: p.code,
    sampleId: p.sampleId,
    sample: p.sampleName,
    method: p.methodKey,
    setDownAt: new Date(p.at).toISOString(),
    basis: p.read ? 'height' : 'mass',
    fractions: p.read ?? p.fractions,
    byMass: p.mass,
    answer: p.fractions,
    answerBasis: p.basis
  };
}

export const readingsDocument = z
  .object({
    testId: z.string(),
    runs: z.array(
      z.object({
        no: z.number().int(),
        setDownAt: time.nullable().describe('null where it stood already when it was met'),
        marks: z.array(z.object({ layer: z.string(), seconds: z.number(), heightMm: z.number().nullable() })),
        tops: z.array(z.object({ seconds: z.number(), heightMm: z.number() })),
        instrument: z.array(
          z.object({
            no: z.number().int(),
            seconds: z.number(),
            value: z.number().nullable(),
            tempC: z.number().nullable(),
            simulated: z.boolean()
          })
        )
      })
    ),
    layers: z.array(
      z.object({
        at: time,
        lines: z.record(z.string(), z.number()).describe('tops over the inside bottom, mm; none of shares'),
        typed: z
          .record(z.string(), z.unknown())
          .nullable()
          .describe('as it was typed, in its way and unit; null where numbers were sent')
      })
    )
  })
  .describe('What was read of one test: marks, tops and instruments by seconds after set-down, and layers.');

export function readingsToJson(test: TestDetail): z.infer<typeof readingsDocument> {
  return {
    testId: test.id,
    runs: test.runs.map((run) => {
      const after = (at: number) => (at - run.setDownAt) / 1000;
      return {
        no: run.no,
        setDownAt: run.stood === null ? new Date(run.setDownAt).toISOString() : null,
        marks: run.marks.map((m) => ({ layer: m.layer, seconds: after(m.at), heightMm: m.heightMm })),
        tops: run.tops.map((r) => ({ seconds: after(r.at), heightMm: r.heightMm })),
        instrument: run.gauges.map((g) => ({
          no: g.no + 1,
          seconds: after(g.at),
          value: g.value,
          tempC: g.tempC,
          simulated: g.simulated
        }))
      };
    }),
    layers: test.readings.map((r) => ({
      at: new Date(r.at).toISOString(),
      lines: r.entry.figures
        ? {}
        : Object.fromEntries(Object.entries(r.entry.lines).map(([name, line]) => [name, line.mm])),
      typed: r.entry.typed ?? null
    }))
  };
}
