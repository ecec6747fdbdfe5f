import { RangeProblem } from '../errors.ts';
import { meanOf } from '../estimate/summary.ts';
import { drawByWeight, weightsOf } from '../estimate/weights.ts';
import type { Fractions } from '../physics/bands.ts';

/** A ribbon says the clay to within this, points (standard error); set by hand. */
export const RIBBON_SD = 8;
/** No ribbon that hangs from a hand is longer, mm. */
const LONGEST_MM = 200;

/** Shorter than the first a ribbon is of a loam, longer than the second of a clay, mm: bounds of the feel method (Thien 1979). */
export const RIBBON_MM = { loam: 25, clay: 50 } as const;

/** Length of a ribbon against clay, percent. */
const SAYS = [
  { mm: 0, clay: 8 },
  { mm: RIBBON_MM.loam, clay: 27 },
  { mm: RIBBON_MM.clay, clay: 40 },
  { mm: 75, clay: 55 },
  { mm: 100, clay: 65 }
];

/** @throws {RangeProblem} on `ribbon` for a length that no ribbon has */
export function checkRibbon(mm: number): void {
  if (!(mm >= 0 && mm <= LONGEST_MM))
    throw new RangeProblem('ribbon', `Give how long it grew before it broke, from 0 to ${LONGEST_MM} mm.`);
}

/**
 * Clay that a ribbon says, percent: moist soil pressed out between thumb and finger until it breaks of its own weight.
 *
 * @source bounds of the feel method (Thien 1979); between them a straight line
 * @throws {RangeProblem} as {@link checkRibbon}
 * @example ribbonClay(25) // 27
 */
export function ribbonClay(mm: number): number {
  checkRibbon(mm);
  const next = SAYS.findIndex((s) => s.mm >= mm);
  if (next < 0) return SAYS[SAYS.length - 1].clay;
  if (next === 0) return SAYS[0].clay;
  const [a, b] = [SAYS[next - 1], SAYS[next]];
  return a.clay + ((mm - a.mm) / (b.mm - a.mm)) * (b.clay - a.clay);
}

/**
 * Soils that could be this one, drawn anew as its ribbon makes them likely, and their mean.
 * @param shares sand, silt and clay of each, percent
 * @throws {RangeProblem} as {@link checkRibbon}
 */
export function weighByRibbon(
  shares: Float64Array,
  ribbonMm: number
): { shares: Float64Array; fractions: Fractions } {
  const says = ribbonClay(ribbonMm);
  const count = shares.length / 3;
  const logs = Float64Array.from(
    { length: count },
    (_, i) => -0.5 * ((shares[3 * i + 2] - says) / RIBBON_SD) ** 2
  );
  const weights = weightsOf(logs, 1);
  const out = new Float64Array(shares.length);
  drawByWeight(weights, count, 0.5).forEach((from, i) =>
    out.set(shares.subarray(3 * from, 3 * from + 3), 3 * i)
  );
  return { shares: out, fractions: meanOf(shares, weights) };
}
