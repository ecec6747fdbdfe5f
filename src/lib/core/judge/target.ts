import { RangeProblem } from '../errors.ts';
import type { Fractions } from '../physics/bands.ts';
import { fractionsFromGiven } from '../texture/typed.ts';

/** What many gardeners aim at, percent: a convention, and no need. */
export const USUAL_TARGET: Fractions = { sand: 40, silt: 40, clay: 20 };

/**
 * Reads a target: sand, silt and clay, parted by a slash or a space.
 *
 * @throws {RangeProblem} on `target` where it is no soil
 * @example readTarget('30/40/30') // { sand: 30, silt: 40, clay: 30 }
 */
export function readTarget(text: string): Fractions {
  const parts = text
    .split(/[/\s;]+/)
    .filter(Boolean)
    .map((part) => Number(part.replace(',', '.')));
  const [sand, silt, clay] = parts;
  try {
    if (parts.length === 3) return fractionsFromGiven({ sand, silt, clay });
  } catch (problem) {
    if (!(problem instanceof RangeProblem)) throw problem;
  }
  throw new RangeProblem('target', 'Give three shares that make 100, such as 40/40/20.');
}
