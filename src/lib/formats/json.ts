import { jsonParts } from './parts.ts';
import { iso, isoOrNull } from './values.ts';
import type { JarFact } from '../contract/records/jar.ts';
import type { z } from 'zod';
import { isShare, type Fractions, type JarAnswer, type JarResult, type MassEstimate } from '../core/index.ts';
import { isJarSnapshot, type Snapshot, type TestDetail } from '../contract/records/result.ts';
import type { LogLine } from '../contract/records/log.ts';
import type { logDocument, testDocument } from './json-schema.ts';

/** One test as a document. @param now ms UTC, when it is exported */
export function testToJson(test: TestDetail, now: number): z.infer<typeof testDocument> {
  const measured = (fact: JarFact) => (test.notMeasured.includes(fact) ? null : test[fact]);
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
      waterTempC: measured('tempC'),
      drySoilMm: measured('soilMm'),
      drySoilG: test.weighed?.grams ?? null,
      waterLineMm: measured('waterMm'),
      dispersantMl: measured('dispersantMl'),
      used: test.used,
      cylinder: test.cylinder?.facts ?? null,
      runs: test.runs.map((run) => ({
        no: run.no,
        setDownAt: run.stood === null ? iso(run.setDownAt) : null,
        stood: run.stood,
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
      byMass: massFields(snapshot.mass),
      answer: answerFields(snapshot.answer)
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
    byMass: null,
    answer: null
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
  if (isShare(result))
    return { ...none, share: { layer: result.layer, pct: result.pct, orMore: result.orMore ?? false } };
  const { fractions, gravelPct, probability, class: own, calibrated } = result;
  return { ...none, fractions, calibration: calibrated ?? null, gravelPct, class: own.name, probability };
}

function massFields(mass: MassEstimate | undefined) {
  if (!mass) return null;
  const { basis, fractions, probability, class: own } = mass;
  const { clayRange = null, doubtful = null } = mass;
  return { basis, fractions, class: own.name, probability, clayRange, doubtful };
}

function answerFields(answer: JarAnswer | undefined) {
  if (!answer) return null;
  const { fractions, sd, sandSilt, classes, draws, settled } = answer;
  const drawn = Array.from({ length: draws.length / 2 }, (_, i) => [draws[2 * i], draws[2 * i + 1]]);
  return {
    fractions,
    sd,
    sandSilt,
    classes: classes.map(({ name, probability }) => ({ class: name, probability })),
    draws: drawn,
    settled
  };
}

/** The share of a line of the log where it was read alone. */
function shareOf({ sand, silt, clay, clayOver }: LogLine) {
  if (silt !== null) return null;
  if (sand !== null) return { layer: 'sand' as const, pct: sand, orMore: false };
  const pct = clay ?? clayOver;
  return pct === undefined ? null : { layer: 'clay' as const, pct, orMore: clayOver !== undefined };
}

/** All three shares of a line, where it has them. */
const wholeOf = ({ sand, silt, clay }: LogLine): Fractions | null =>
  sand === null || silt === null || clay === null ? null : { sand, silt, clay };

const logHead = (now: number) => ({
  format: 'tivrel.log' as const,
  version: 1 as const,
  exportedAt: iso(now)
});

/**
 * The log as a document, or a page of it.
 *
 * @param now ms UTC, when it is exported
 * @param next where the page after this one begins
 */
export function logToJson(
  lines: readonly LogLine[],
  now: number,
  next: string | null = null
): z.infer<typeof logDocument> {
  return { ...logHead(now), next, tests: lines.map(logTest) };
}

/** The whole document, for lines that come so many at a time. */
export async function* logJsonParts(
  lists: AsyncIterable<readonly LogLine[]>,
  now: number
): AsyncGenerator<string> {
  yield* jsonParts({ ...logHead(now), next: null }, 'tests', lists, logTest);
}

function logTest(l: LogLine): z.infer<typeof logDocument>['tests'][number] {
  return {
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
    fractions: l.read ?? wholeOf(l),
    answer: l.read && wholeOf(l),
    gravelPct: l.gravelPct,
    class: l.class,
    probability: l.probability,
    verdict: l.act?.line ?? null,
    problem: l.problem
  };
}
