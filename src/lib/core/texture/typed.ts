import { RangeProblem } from '../errors.ts';
import type { Fractions } from '../physics/bands.ts';

/** Percentages as they were given: any two, or all three. */
export type GivenFractions = Partial<Fractions>;

const PARTS = ['sand', 'silt', 'clay'] as const;
/** Three rounded percentages may miss 100 by this much, points. */
const ROUNDING = 1;

/**
 * The shares of a laboratory's report as a point on the triangle: three that miss 100 by rounding are scaled.
 * @returns null where they cannot be one
 */
export function reportedShares({ sand, silt, clay }: Fractions): Fractions | null {
  try {
    return fractionsFromGiven({ sand, silt, clay });
  } catch (problem) {
    if (problem instanceof RangeProblem) return null;
    throw problem;
  }
}

/**
 * A point from two percentages, the third being the rest; or from three that agree.
 *
 * @returns fractions that sum to 100; three that miss it by rounding are scaled
 * @throws {RangeProblem} naming the part: fewer than two, below 0 or over 100, two over 100 together, or three that
 *   disagree by more than a point
 * @example fractionsFromGiven({ sand: 40, clay: 20 }) // { sand: 40, silt: 40, clay: 20 }
 */
export function fractionsFromGiven(given: GivenFractions): Fractions {
  const known = PARTS.flatMap((part) => {
    const value = given[part];
    return value === undefined ? [] : [{ part, value }];
  });
  const rest = PARTS.find((part) => given[part] === undefined);
  for (const { part, value } of known) {
    if (!(value >= 0 && value <= 100)) {
      throw new RangeProblem(part, `The ${part} lies between 0 and 100 percent.`);
    }
  }
  if (known.length < 2) {
    throw new RangeProblem(rest ?? 'clay', 'Give two of the three: the third is the rest.');
  }
  const sum = known.reduce((total, { value }) => total + value, 0);
  if (rest !== undefined) {
    if (sum > 100 + 1e-9) {
      throw new RangeProblem(
        known[1].part,
        `Together they come to ${sum.toFixed(1)} %: over 100. Check both.`
      );
    }
    return { sand: 0, silt: 0, clay: 0, ...given, [rest]: Math.max(0, 100 - sum) };
  }
  if (Math.abs(sum - 100) > ROUNDING + 1e-9) {
    throw new RangeProblem(
      'clay',
      `The three come to ${sum.toFixed(1)} %, not 100. Find the slip: leave one empty and see what it should be.`
    );
  }
  const [sand, silt, clay] = known.map(({ value }) => (value * 100) / sum);
  return { sand, silt, clay };
}
