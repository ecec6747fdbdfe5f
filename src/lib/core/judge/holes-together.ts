import { DEFAULT_SEED, normalStream } from '../certainty/draws.ts';

/** What one hole says of the ground about it. */
export type HoleSays = {
  groundMmH: number;
  /** Water still stood there: it lets through less than that. */
  atMost: boolean;
  /** Whether it was soaked first: dry ground drinks faster than it drains. */
  soaked: boolean;
};

/** How fast the ground of an area lets water through, by its holes. */
export type GroundDrainage = {
  /** Middle of those that count, mm/h; the least bound where nothing was measured. */
  mmH: number;
  atMost: boolean;
  /** Spread of its logarithm. */
  lnSd: number;
  /** So many holes count. */
  holes: number;
  /** The fastest of them lets so many times as much through as the slowest; undefined where they are alike. */
  parts?: number;
};

/** Holes that part by less than this are alike, times: twice as much is what two holes differ by anyway. */
const PARTS_FROM = 3;

/** Two holes a metre apart differ like this, as a spread of the logarithm: set by hand. */
export const HOLE_LN_SD = 0.5;
/** Less than this nobody measures, mm/h. */
const LEAST_MM_H = 0.01;

/**
 * What the holes of an area say together: those that were soaked and measured count, else those that were measured, else
 * the least of the bounds.
 *
 * @returns undefined without a hole
 */
export function groundFromHoles(holes: readonly HoleSays[]): GroundDrainage | undefined {
  const measured = holes.filter((h) => !h.atMost);
  const soaked = measured.filter((h) => h.soaked);
  const counts = soaked.length > 0 ? soaked : measured;
  if (counts.length === 0) {
    if (holes.length === 0) return undefined;
    const mmH = Math.max(LEAST_MM_H, Math.min(...holes.map((h) => h.groundMmH)));
    return { mmH, atMost: true, lnSd: 2 * HOLE_LN_SD, holes: holes.length };
  }
  const logs = counts.map((h) => Math.log(Math.max(LEAST_MM_H, h.groundMmH)));
  const mean = logs.reduce((a, b) => a + b, 0) / logs.length;
  const own = Math.sqrt(logs.reduce((a, b) => a + (b - mean) ** 2, 0) / Math.max(1, logs.length - 1));
  const ratio = Math.exp(Math.max(...logs) - Math.min(...logs));
  return {
    mmH: Math.exp(mean),
    atMost: false,
    lnSd: Math.max(HOLE_LN_SD, own),
    holes: counts.length,
    ...(ratio > PARTS_FROM ? { parts: ratio } : {})
  };
}

/** Conductivities that could be this ground's, mm/h: about what was measured, or under the bound. */
export function groundDraws({ mmH, lnSd, atMost }: GroundDrainage, count: number): Float64Array {
  const normal = normalStream(DEFAULT_SEED + 3);
  return Float64Array.from({ length: count }, () => {
    const off = lnSd * normal();
    return mmH * Math.exp(atMost ? -Math.abs(off) : off);
  });
}
