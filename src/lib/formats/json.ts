import { z } from 'zod';
import { isShare, WATERS, type JarResult, type MassEstimate } from '../core/index.ts';
import { cylinderFacts } from '../contract/commands/cylinders.ts';
import { readingEntry } from '../contract/commands/jars.ts';
import { sampleDetails } from '../contract/commands/samples.ts';
import { END_REASONS } from '../contract/records/run.ts';
import { isJarSnapshot, type Snapshot, type TestDetail } from '../contract/records/result.ts';
import { PURPOSES } from '../contract/records/sample.ts';
import type { LogLine } from '../contract/records/log.ts';

/** Shapes of the JSON that goes out; the published JSON Schema is made from these. Times are ISO 8601 in UTC. */

const time = z.iso.datetime();
const percent = z.number().min(0).max(100);
const fractions = z.object({ sand: percent, silt: percent, clay: percent });

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
      waterTempC: z.number(),
      drySoilMm: z.number(),
      waterLineMm: z.number(),
      dispersantMl: z.number(),
      cylinder: cylinderFacts.nullable().describe('what was weighed, for tests read with an instrument'),
      runs: z.array(
        z.object({
          no: z.number().int(),
          setDownAt: time,
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
          fractions: fractions.nullable().describe('null where only one share was read'),
          share: z.object({ layer: z.enum(['sand', 'clay']), pct: percent }).nullable(),
          calibration: z
            .object({ asRead: fractions, pairs: z.number().int() })
            .nullable()
            .describe('set where jars were calibrated against a laboratory: the shares before that'),
          gravelPct: percent.nullable(),
          class: z.string().nullable(),
          probability: z.number().min(0).max(1).nullable(),
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
            .describe('the estimate by mass, beside what was read by height')
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
    tests: z.array(
      z.object({
        id: z.string(),
        code: z.string(),
        sample: z.string(),
        purpose: z.enum(PURPOSES),
        method: z.string(),
        methodName: z.string(),
        share: z
          .object({ layer: z.enum(['sand', 'clay']), pct: percent })
          .nullable()
          .describe('where only one share was read'),
        status: z.enum(['ready', 'running', 'read', 'finished']),
        setDownAt: time.nullable(),
        finishedAt: time.nullable(),
        waterTempC: z.number(),
        fractions: fractions.nullable(),
        gravelPct: percent.nullable(),
        class: z.string().nullable(),
        probability: z.number().min(0).max(1).nullable(),
        problem: z.string().nullable().describe('why what came of it cannot be shown')
      })
    )
  })
  .describe('The log: one entry a test, shares in percent by height as read.');

const iso = (at: number) => new Date(at).toISOString();
const isoOrNull = (at: number | null) => (at === null ? null : iso(at));

/** One test as a document. @param now ms UTC, when it is exported */
export function testToJson(test: TestDetail, now: number): z.infer<typeof testDocument> {
  const { id, code, status, sample, vessel } = test;
  return {
    format: 'tivrel.test',
    version: 1,
    exportedAt: iso(now),
    test: {
      id,
      code,
      status,
      createdAt: iso(test.createdAt),
      finishedAt: isoOrNull(test.finishedAt),
      sample: {
        id: sample.id,
        code: sample.code,
        name: sample.name,
        purpose: sample.purpose,
        note: sample.note,
        areaId: sample.areaId,
        spotIds: sample.spotIds,
        details: sample.details
      },
      vessel,
      method: {
        key: test.methodKey,
        version: test.methodVersion,
        name: test.method.name,
        marks: test.method.marks.map(({ layer, atS, untilS }) => ({
          layer,
          seconds: atS,
          ...(untilS === undefined ? {} : { untilSeconds: untilS })
        }))
      },
      waterTempC: test.tempC,
      drySoilMm: test.soilMm,
      waterLineMm: test.waterMm,
      dispersantMl: test.dispersantMl,
      cylinder: test.cylinder?.facts ?? null,
      runs: test.runs.map((run) => ({
        no: run.no,
        setDownAt: iso(run.setDownAt),
        endedAt: isoOrNull(run.endedAt),
        endReason: run.endReason,
        marks: run.marks.map(({ layer, at, heightMm, heightText }) => ({
          layer,
          at: iso(at),
          seconds: (at - run.setDownAt) / 1000,
          heightMm,
          heightText
        })),
        instrument: run.gauges.map(({ no, at, value, tempC, simulated }) => ({
          no: no + 1,
          at: iso(at),
          seconds: (at - run.setDownAt) / 1000,
          value,
          tempC,
          simulated
        })),
        tops: run.tops.map(({ at, heightMm, water }) => ({
          at: iso(at),
          seconds: (at - run.setDownAt) / 1000,
          heightMm,
          water
        }))
      })),
      readings: test.readings.map((r) => ({
        id: r.id,
        at: iso(r.at),
        run: test.runs.find((run) => run.id === r.runId)?.no ?? null,
        entry: r.entry
      })),
      results: test.results.map(({ at, coreVersion, snapshot, reopenedAt }) => ({
        at: iso(at),
        coreVersion,
        supersededAt: isoOrNull(reopenedAt),
        system: 'usda' as const,
        ...snapshotFields(snapshot)
      })),
      events: test.events.map((e) => ({
        at: iso(e.at),
        who: e.who,
        what: e.what,
        undone: e.undoneAt !== null,
        detail: e.detail
      }))
    }
  };
}

function snapshotFields(snapshot: Snapshot) {
  if (isJarSnapshot(snapshot)) {
    return {
      readingId: snapshot.readingId,
      basis: 'by height, as read' as const,
      curve: null,
      ...resultFields(snapshot.result),
      byMass: massFields(snapshot.mass)
    };
  }
  const { fractions, class: own, probability, curve } = snapshot.result;
  return {
    readingId: null,
    basis: 'by mass, weighed' as const,
    curve: curve.map(({ diameterUm, percentFiner, from }) => ({ diameterUm, percentFiner, from })),
    fractions,
    share: null,
    calibration: null,
    gravelPct: null,
    class: own.name,
    probability,
    byMass: null
  };
}

function resultFields(result: JarResult) {
  const none = {
    fractions: null,
    share: null,
    calibration: null,
    gravelPct: null,
    class: null,
    probability: null
  };
  if (isShare(result)) return { ...none, share: { layer: result.layer, pct: result.pct } };
  const { fractions, gravelPct, probability, class: own, calibrated } = result;
  return { ...none, fractions, calibration: calibrated ?? null, gravelPct, class: own.name, probability };
}

function massFields(mass: MassEstimate | undefined) {
  if (!mass) return null;
  const { basis, fractions, probability, class: own } = mass;
  const { clayRange = null, doubtful = null } = mass;
  return { basis, fractions, class: own.name, probability, clayRange, doubtful };
}

/** The share of a line of the log where it was read alone. */
function shareOf({ sand, silt, clay }: LogLine): { layer: 'sand' | 'clay'; pct: number } | null {
  if (silt !== null) return null;
  if (sand !== null) return { layer: 'sand', pct: sand };
  return clay === null ? null : { layer: 'clay', pct: clay };
}

/** The log as a document. @param now ms UTC, when it is exported */
export function logToJson(lines: readonly LogLine[], now: number): z.infer<typeof logDocument> {
  return {
    format: 'tivrel.log',
    version: 1,
    exportedAt: iso(now),
    tests: lines.map((l) => ({
      id: l.id,
      code: l.code,
      sample: l.sampleName,
      purpose: l.purpose,
      method: l.methodKey,
      methodName: l.methodName,
      share: shareOf(l),
      status: l.status,
      setDownAt: isoOrNull(l.setDownAt),
      finishedAt: isoOrNull(l.finishedAt),
      waterTempC: l.tempC,
      fractions:
        l.sand === null || l.silt === null || l.clay === null
          ? null
          : { sand: l.sand, silt: l.silt, clay: l.clay },
      gravelPct: l.gravelPct,
      class: l.class,
      probability: l.probability,
      problem: l.problem
    }))
  };
}
