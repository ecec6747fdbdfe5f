import { RangeProblem } from '../errors.ts';
import { CLAY_LIMIT_UM, SAND_TOP_UM, type Fractions } from '../physics/bands.ts';

/** Sizes at which laboratories part silt from sand, um. */
export const SAND_LIMITS_UM = [50, 63, 60, 20] as const;

/**
 * Fractions under another sand/silt limit: a straight line in (log size, percent finer) between the limits that are
 * known. An interpolation, not a measurement: to be said where it is shown.
 *
 * @param fromUm limit the fractions were measured by, um
 * @param toUm limit wanted, um
 * @throws {RangeProblem} for a limit outside silt and sand
 * @example convertLimit({ sand: 40, silt: 40, clay: 20 }, 63, 50) // { sand: 42.68, silt: 37.32, clay: 20 }
 */
export function convertLimit(f: Fractions, fromUm: number, toUm: number): Fractions {
  for (const [field, um] of [
    ['fromUm', fromUm],
    ['toUm', toUm]
  ] as const) {
    if (!(um > CLAY_LIMIT_UM && um < SAND_TOP_UM)) {
      throw new RangeProblem(field, `A limit of sand lies between ${CLAY_LIMIT_UM} and ${SAND_TOP_UM} µm.`);
    }
  }
  const finer =
    toUm <= fromUm
      ? f.clay + (f.silt * Math.log(toUm / CLAY_LIMIT_UM)) / Math.log(fromUm / CLAY_LIMIT_UM)
      : f.clay + f.silt + (f.sand * Math.log(toUm / fromUm)) / Math.log(SAND_TOP_UM / fromUm);
  return { sand: f.sand + f.silt + f.clay - finer, silt: finer - f.clay, clay: f.clay };
}
