import { RangeProblem } from '../errors.ts';
import { lastOf } from '../known.ts';
import { outside } from './bed.ts';
import { drainageClass, drainageFromHole, emptiesIn, type HoleDrainage } from './drainage.ts';

/** A hole that says anything, mm: what a spade digs and a bucket fills. */
const DEPTH = { least: 100, most: 1500 };
const WIDTH = { least: 80, most: 1500 };
/** Nobody stands in an unsupported hole deeper than this, mm. */
export const UNSAFE_DEPTH_MM = 1000;

/** What no hole is, a sentence a field; empty where all of it can be. Lengths in mm. */
export const holeProblems = (o: { depthMm: number; widthMm: number }): RangeProblem[] => [
  ...outside(
    'depth',
    o.depthMm,
    DEPTH.least,
    DEPTH.most,
    'Give the depth of the hole, from 100 mm to 1.5 m.'
  ),
  ...outside('width', o.widthMm, WIDTH.least, WIDTH.most, 'Give how wide the hole is, from 80 mm to 1.5 m.')
];

/** What was seen in a hole: how high the water stood, that it had gone, or that it still stood there. */
export type WaterSeen = 'height' | 'gone' | 'still';
export type HoleReading = {
  /** After the refill, s. */
  timeS: number;
  seen: WaterSeen;
  /** Water over the bottom, mm; null where nobody measured it yet. */
  heightMm: number | null;
};

/** What a hole comes to. */
export type HoleOutcome = {
  /** `at-most` where all that is known is that water still stood there. */
  kind: 'measured' | 'at-most';
  drainage: HoleDrainage;
  /** From the refill until it is empty, s; infinite where nothing sinks in. */
  emptyAfterS: number;
  /** Water stands in it for over a day: very poor. */
  poor: boolean;
};

const DAY_S = 86_400;

/**
 * What a hole comes to by what was seen in it: heights, "gone in 40 seconds", "still there next day".
 *
 * @param o.filledMm water over the bottom at the refill, mm
 * @param o.readings in order of their times; those without a height are left out, but for what they say by themselves
 * @returns undefined where nothing was seen yet
 * @throws {RangeProblem} as {@link drainageFromHole}, on `readings.N` with N the place among `readings`
 */
export function holeOutcome(o: {
  radiusMm: number;
  filledMm: number;
  readings: readonly HoleReading[];
}): HoleOutcome | undefined {
  const { radiusMm, filledMm } = o;
  const heights = o.readings.flatMap(({ timeS, seen, heightMm }, place) => {
    const height = seen === 'gone' ? 0 : heightMm;
    return height === null ? [] : [{ timeS, heightMm: height, place }];
  });
  const refill = { timeS: 0, heightMm: filledMm };
  const gone = o.readings.findIndex((r) => r.seen === 'gone');
  const again = o.readings.findIndex((r, i) => gone >= 0 && i > gone && r.seen === 'still');
  if (again >= 0) throw new RangeProblem(`readings.${again}`, 'It had gone by then: was it filled again?');
  if (heights.length > 0) {
    const drainage = told(heights, () => drainageFromHole({ radiusMm, readings: [refill, ...heights] }));
    const last = lastOf(heights);
    const rest = last.heightMm === 0 ? 0 : emptiesIn({ radiusMm, heightMm: last.heightMm, ...drainage });
    const emptyAfterS = last.timeS + rest;
    return { kind: 'measured', drainage, emptyAfterS, poor: emptyAfterS > DAY_S };
  }
  const still = o.readings.filter((r) => r.seen === 'still').at(-1);
  if (!still || still.timeS <= 0) return undefined;
  // It was not empty yet: it falls no faster than if it had just become so.
  const bound = drainageFromHole({ radiusMm, readings: [refill, { timeS: still.timeS, heightMm: 0 }] });
  return {
    kind: 'at-most',
    drainage: { ...bound, class: drainageClass(bound.dropMmH) },
    emptyAfterS: still.timeS,
    poor: still.timeS >= DAY_S
  };
}

/** Says a problem of a reading by its place among all that were made, not among those with a height. */
function told<T>(heights: readonly { place: number }[], work: () => T): T {
  try {
    return work();
  } catch (problem) {
    if (!(problem instanceof RangeProblem)) throw problem;
    const [, no] = problem.field.split('.');
    // The refill stands before the first of them.
    const at = heights[Number(no) - 1];
    throw at ? new RangeProblem(`readings.${at.place}`, problem.message) : problem;
  }
}

/** When the soak is looked at, and when the water is read after the refill, s. */
export const HOLE_PLAN = { soakS: 3600, readS: [1800, 3600, 7200, 14_400, DAY_S] } as const;
/** Late from here on: a tenth of the wait, ten minutes at least. */
const LATE = { share: 0.1, leastS: 600 };

/** What a hole waits for. Times in ms UTC. */
export type HoleStep =
  | { kind: 'soak' | 'finish'; state: 'ready' }
  | { kind: 'refill' | 'read'; state: 'waiting' | 'due' | 'late'; dueAt: number };

/**
 * What a hole waits for next: the soak, the refill once that has sunk in, then readings until two stretches agree, it is
 * empty, or a day has gone.
 *
 * @param o.steady whether the last two stretches agree
 * @returns undefined once it is finished
 */
export function nextOfHole(
  o: {
    soakedAt: number | null;
    refilledAt: number | null;
    finishedAt: number | null;
    readings: readonly { timeS: number; seen: WaterSeen }[];
    steady: boolean;
  },
  now: number
): HoleStep | undefined {
  if (o.finishedAt !== null) return undefined;
  const timed = (kind: 'refill' | 'read', fromAt: number, waitS: number): HoleStep => {
    const dueAt = fromAt + 1000 * waitS;
    const late = dueAt + 1000 * Math.max(LATE.leastS, LATE.share * waitS);
    return { kind, state: now < dueAt ? 'waiting' : now <= late ? 'due' : 'late', dueAt };
  };
  if (o.refilledAt === null)
    return o.soakedAt === null
      ? { kind: 'soak', state: 'ready' }
      : timed('refill', o.soakedAt, HOLE_PLAN.soakS);
  const lastS = Math.max(0, ...o.readings.map((r) => r.timeS));
  // A reading stands for the planned one that it is nearest to.
  const next = HOLE_PLAN.readS.find((s, i) => lastS < (i === 0 ? s / 2 : (s + HOLE_PLAN.readS[i - 1]) / 2));
  const done = o.steady || o.readings.some((r) => r.seen === 'gone') || next === undefined;
  return done ? { kind: 'finish', state: 'ready' } : timed('read', o.refilledAt, next);
}
