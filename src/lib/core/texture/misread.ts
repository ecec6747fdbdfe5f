import { RangeProblem } from '../errors.ts';
import type { Fractions } from '../physics/bands.ts';

/** Where a misreading of the triangle leads. */
export type WrongWay = {
  /** The point one ends at. */
  lands: Fractions;
  /** Ends of the line that was drawn for the sand: on its scale, and where it leaves the triangle. */
  from: Fractions;
  to: Fractions;
};

/**
 * The classic error: from the sand's scale the line is taken up to the right, beside the clay-sand side, along which silt
 * stays the same, and not sand. With the clay line it meets in another soil: one with as much silt as that place on the
 * bottom has, `100 - sand`.
 *
 * @returns undefined where it meets the clay line outside the triangle
 */
export function sandTheWrongWay({ sand, clay }: Fractions): WrongWay | undefined {
  const silt = 100 - sand;
  if (silt + clay > 100) return undefined;
  return {
    lands: { sand: 100 - silt - clay, silt, clay },
    from: { sand, silt, clay: 0 },
    to: { sand: 0, silt, clay: 100 - silt }
  };
}

/**
 * The little triangle that three lines leave which do not meet, because one percentage was misread.
 *
 * @param read the three as read, percent, not summing to 100
 * @returns its corners: where clay and silt, silt and sand, sand and clay meet
 * @throws {RangeProblem} for three that meet
 */
export function linesThatMiss(read: Fractions): [Fractions, Fractions, Fractions] {
  const { sand, silt, clay } = read;
  if (Math.abs(sand + silt + clay - 100) < 1e-9) {
    throw new RangeProblem('sand', 'These three lines meet in one point.');
  }
  return [
    { sand: 100 - silt - clay, silt, clay },
    { sand, silt, clay: 100 - sand - silt },
    { sand, silt: 100 - sand - clay, clay }
  ];
}
