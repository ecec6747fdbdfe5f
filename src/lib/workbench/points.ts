import { fractionsUnder, joinReplicates, type Fractions, type SystemId } from '../core/index.ts';
import type { KnowPoint } from '../contract/records/log.ts';
import { writeKnowFilter, type KnowFilter } from './filter.ts';

/** The season of a test: the year in which it was set down, by UTC; '' for a time that no calendar holds. */
export const yearOf = (at: number): string => {
  const year = new Date(at).getUTCFullYear();
  return Number.isNaN(year) ? '' : String(year);
};

/** The points that pass, in their order. */
export function filterPoints(points: readonly KnowPoint[], filter: KnowFilter): KnowPoint[] {
  const { siteId, areaId, year, methodKey } = filter;
  return points.filter(
    (p) =>
      (siteId === '' || p.siteId === siteId) &&
      (areaId === '' || p.areaId === areaId) &&
      (year === '' || yearOf(p.at) === year) &&
      (methodKey === '' || p.methodKey === methodKey)
  );
}

/** So many points are drawn one by one: of more, the newest, over a shade of them all. */
export const DOTS_MOST = 2000;

/** How many points lie at a whole percent of sand and of clay. */
export type PointCell = { sand: number; clay: number; count: number };

/** The address of the triangle with a test in hand and a filter. */
export function knowAddress(testId: string | undefined, filter: KnowFilter): string {
  const asked = new URLSearchParams([...(testId ? [['test', testId]] : []), ...writeKnowFilter(filter)]);
  const text = asked.toString();
  return text ? `/know?${text}` : '/know';
}

/**
 * Whether some have another view to choose: results of before there were answers, with an estimate by mass beside what was
 * read by height.
 */
export const someHaveTwoViews = (all: readonly Pick<KnowPoint, 'basis' | 'mass'>[]): boolean =>
  all.some(({ basis, mass }) => basis === 'height' && mass !== null);

/** The fractions of a point that are shown: by mass where that is wanted and there is one. */
export function shownFractions(p: KnowPoint, byMass: boolean, system: SystemId): Fractions {
  return fractionsUnder(system, (byMass && p.mass) || p.fractions, 50).fractions;
}

/** Tests of one sample with the mean that they are joined in. */
export type Joined = { sampleId: string; mean: Fractions; members: Fractions[]; spread: number };

/** Samples with more than one test, joined. */
export function replicates(points: readonly KnowPoint[], fractionsOf: (p: KnowPoint) => Fractions): Joined[] {
  const bySample = new Map<string, KnowPoint[]>();
  for (const p of points) {
    const tests = bySample.get(p.sampleId);
    if (tests) tests.push(p);
    else bySample.set(p.sampleId, [p]);
  }
  return [...bySample].flatMap(([sampleId, tests]) => {
    if (tests.length < 2) return [];
    const members = tests.map(fractionsOf);
    return [{ sampleId, members, ...joinReplicates(members) }];
  });
}

/** How far apart two tests of an area must lie to be before and after, ms. */
const APART_MS = 60 * 86_400_000;

/** An area before and after: from the mean of its first tests to that of its last. */
export type Change = {
  areaId: string;
  name: string;
  from: Fractions;
  to: Fractions;
  fromAt: number;
  toAt: number;
};

/** Areas whose tests lie a season apart. */
export function changes(points: readonly KnowPoint[], fractionsOf: (p: KnowPoint) => Fractions): Change[] {
  const byArea = new Map<string, KnowPoint[]>();
  for (const p of points) {
    if (p.areaId === null) continue;
    const tests = byArea.get(p.areaId);
    if (tests) tests.push(p);
    else byArea.set(p.areaId, [p]);
  }
  return [...byArea].flatMap(([areaId, tests]) => {
    const [first, last] = [tests[0], tests[tests.length - 1]];
    if (last.at - first.at < APART_MS) return [];
    const near = (at: number) => tests.filter((p) => Math.abs(p.at - at) < APART_MS / 2).map(fractionsOf);
    return [
      {
        areaId,
        name: first.areaName ?? '',
        from: joinReplicates(near(first.at)).mean,
        to: joinReplicates(near(last.at)).mean,
        fromAt: first.at,
        toAt: last.at
      }
    ];
  });
}

/** Samples with several tests, in the order of the points, and the tests of each. */
export function testedTwice(points: readonly KnowPoint[]): { name: string; ids: string[] }[] {
  const bySample = new Map<string, { name: string; ids: string[] }>();
  for (const { sampleId, sampleName, id } of points) {
    const sample = bySample.get(sampleId) ?? { name: sampleName, ids: [] };
    sample.ids.push(id);
    bySample.set(sampleId, sample);
  }
  return [...bySample.values()].filter((sample) => sample.ids.length > 1);
}

/** The latest test of a code, however that is written. */
export function pointOf(points: readonly KnowPoint[], code: string): KnowPoint | undefined {
  const wanted = code.trim().toLowerCase();
  return points.findLast((p) => p.code.toLowerCase() === wanted);
}
