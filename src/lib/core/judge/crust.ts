import { checkOrganic } from './soil-water.ts';

/** Silt counts as fine by half where no curve tells. */
const FINE_SHARE = 0.5;

/**
 * How readily rain seals a bare soil: capping index.
 *
 * @param o silt, clay and organic matter, percent by mass; share of the silt that is fine, 0 to 1
 * @returns under 1.2 it does not cap, to 1.6 slightly, to 2 it does, over 2 hard
 * @throws {RangeProblem} on `organicPct`
 * @source Remy & Marin-Lafleche 1974
 * @example crustIndex({ silt: 65, clay: 12, organicPct: 1.5 }) // 2.71
 */
export function crustIndex(o: {
  silt: number;
  clay: number;
  organicPct: number;
  fineShare?: number;
}): number {
  checkOrganic(o.organicPct);
  const { fineShare = FINE_SHARE } = o;
  const feeds = o.clay + 10 * o.organicPct;
  return (1.5 * o.silt * fineShare + 0.75 * o.silt * (1 - fineShare)) / Math.max(feeds, 0.1);
}
