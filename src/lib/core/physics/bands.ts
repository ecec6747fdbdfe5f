import { requirePositive } from '../errors.ts';

/** Percent by mass of the earth under 2 mm unless said otherwise; sums to 100. */
export type Fractions = { sand: number; silt: number; clay: number };

/** A size band, log-uniform in diameter between its ends, um. */
export type Band = { fromUm: number; toUm: number };

/** Packing dry densities of fresh sediment, kg/m3. */
export type Packing = { sand: number; silt: number; clay: number };

export const DEFAULT_PACKING: Packing = { sand: 1500, silt: 1200, clay: 800 };

/** Upper end of clay, lower end of silt, um. */
export const CLAY_LIMIT_UM = 2;
/** Sand/silt limit of the USDA system, um. */
export const USDA_SAND_LIMIT_UM = 50;
/** Upper end of sand, um. */
export const SAND_TOP_UM = 2000;
/** Lower end of clay unless the water was seen to clear, um. */
export const CLAY_FLOOR_UM = 0.2;

/** The three bands in the order clay, silt, sand. */
export function textureBands(limitUm = USDA_SAND_LIMIT_UM, clayFloorUm = CLAY_FLOOR_UM): [Band, Band, Band] {
  return [
    { fromUm: clayFloorUm, toUm: CLAY_LIMIT_UM },
    { fromUm: CLAY_LIMIT_UM, toUm: limitUm },
    { fromUm: limitUm, toUm: SAND_TOP_UM }
  ];
}

/**
 * Share of a band that lies on the bottom when the cut diameter over the whole column is `cutUm`,
 * from a suspension that was uniform at set-down. Closed form for a log-uniform band under Stokes.
 *
 * @param band um
 * @param cutUm cut diameter over the column, um
 * @returns 0-1
 * @example settledShare({ fromUm: 2, toUm: 50 }, 50) // 0.1551
 */
export function settledShare(band: Band, cutUm: number): number {
  requirePositive('cutUm', cutUm);
  const { fromUm: d1, toUm: d2 } = band;
  const span = Math.log(d2 / d1);
  if (cutUm >= d2) return (d2 * d2 - d1 * d1) / (2 * cutUm * cutUm * span);
  if (cutUm <= d1) return 1;
  return ((cutUm * cutUm - d1 * d1) / (2 * cutUm * cutUm) + Math.log(d2 / cutUm)) / span;
}

/**
 * Share of a band still up at a depth where the cut diameter is `cutUm`: grains finer than the cut
 * have not yet fallen past that depth.
 *
 * @returns 0-1
 */
export function suspendedShare(band: Band, cutUm: number): number {
  if (cutUm >= band.toUm) return 1;
  if (cutUm <= band.fromUm) return 0;
  return Math.log(cutUm / band.fromUm) / Math.log(band.toUm / band.fromUm);
}
