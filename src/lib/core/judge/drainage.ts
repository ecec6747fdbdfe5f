import { requirePositive, RangeProblem } from '../errors.ts';
import { lastOf } from '../known.ts';

/** How fast a hole drains, in words of one school. */
export type DrainageClass = 'very-slow' | 'slow' | 'well' | 'quick' | 'very-quick';

/** Upper bounds of the classes, mm/h. */
const CLASSES: readonly [DrainageClass, number][] = [
  ['very-slow', 5],
  ['slow', 25],
  ['well', 50],
  ['quick', 150],
  ['very-quick', Infinity]
];
/** Drops that differ by less than this share are one steady drop. */
const STEADY = 0.2;

/** Class of a drop rate, mm/h. */
export function drainageClass(dropMmH: number): DrainageClass {
  return (CLASSES.find(([, below]) => dropMmH < below) ?? lastOf([...CLASSES]))[0];
}

/** What a hole says of its ground. */
export type HoleDrainage = {
  /** How fast the water fell, mm/h: over the last steady stretch. */
  dropMmH: number;
  /** Conductivity of the ground: a bare drop overstates it, since the sides leak too, mm/h. */
  groundMmH: number;
  class: DrainageClass;
  /** Whether the last two stretches agree within a fifth; undefined with one alone. */
  steady?: boolean;
};

/**
 * Drainage of a hole from readings of its water after the refill.
 *
 * @param o.radiusMm radius of the hole, mm
 * @param o.readings height of the water over the bottom, mm, s after the refill; the refill itself among them
 * @throws {RangeProblem} on `radiusMm`, or `readings` with the place of the one that cannot be: `readings.2`
 * @source inverse auger hole: K = (r/2) ln((h0 + r/2) / (h1 + r/2)) / t (van Hoorn 1979)
 * @example drainageFromHole({ radiusMm: 150, readings: [{ timeS: 0, heightMm: 300 }, { timeS: 3600, heightMm: 262 }] }) // 38 and 8.0 mm/h
 */
export function drainageFromHole(o: {
  radiusMm: number;
  readings: readonly { timeS: number; heightMm: number }[];
}): HoleDrainage {
  requirePositive('radiusMm', o.radiusMm);
  const { readings } = o;
  if (readings.length < 2)
    throw new RangeProblem('readings', 'Read the water at the refill and once more at least.');
  readings.forEach((r, i) => {
    const before = i === 0 ? undefined : readings[i - 1];
    if (!(r.heightMm >= 0 && r.timeS >= 0))
      throw new RangeProblem(`readings.${i}`, 'Give a height from the bottom up.');
    if (!before) return;
    if (r.timeS <= before.timeS)
      throw new RangeProblem(`readings.${i}`, 'This reading is not later than the one before it.');
    if (r.heightMm > before.heightMm)
      throw new RangeProblem(
        `readings.${i}`,
        'The water rose since the reading before: was it filled again?'
      );
  });
  const half = o.radiusMm / 2;
  const stretches = readings.slice(1).map((r, i) => {
    const hours = (r.timeS - readings[i].timeS) / 3600;
    return {
      drop: (readings[i].heightMm - r.heightMm) / hours,
      ground: (half * Math.log((readings[i].heightMm + half) / (r.heightMm + half))) / hours
    };
  });
  const last = lastOf(stretches);
  const before = stretches.at(-2);
  return {
    dropMmH: last.drop,
    groundMmH: last.ground,
    class: drainageClass(last.drop),
    ...(before
      ? { steady: Math.abs(last.drop - before.drop) <= STEADY * Math.max(last.drop, before.drop) }
      : {})
  };
}

/**
 * Height of the water in a hole some time on: the equation of {@link drainageFromHole} the other way round.
 *
 * @param o.heightMm water over the bottom now, mm
 * @returns mm over the bottom, 0 once it is empty
 * @example waterInHole({ radiusMm: 150, heightMm: 300, groundMmH: 8.0, afterS: 3600 }) // 262
 */
export function waterInHole(o: {
  radiusMm: number;
  heightMm: number;
  groundMmH: number;
  afterS: number;
}): number {
  const half = o.radiusMm / 2;
  return Math.max(0, (o.heightMm + half) * Math.exp((-o.groundMmH * o.afterS) / 3600 / half) - half);
}

/** How long until a hole is empty, s; infinite where nothing sinks in. */
export function emptiesIn(o: { radiusMm: number; heightMm: number; groundMmH: number }): number {
  const half = o.radiusMm / 2;
  return ((3600 * half) / o.groundMmH) * Math.log((o.heightMm + half) / half);
}

/** A hole this many times slower or faster than its texture promises has another reason. */
const ANOTHER_REASON = 10;

/** What a hole says beside the conductivity that the texture promises, both mm/h. */
export function holeAgainstTexture(groundMmH: number, textureMmH: number): 'slower' | 'faster' | 'alike' {
  if (groundMmH * ANOTHER_REASON < textureMmH) return 'slower';
  return groundMmH > ANOTHER_REASON * textureMmH ? 'faster' : 'alike';
}
