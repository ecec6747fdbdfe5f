import type { Fractions } from '../physics/bands.ts';

/** A vertex of an outline, percent. */
export const vertex = (sand: number, silt: number, clay: number): Fractions => ({ sand, silt, clay });

/** Inputs within this of a bound count as on it, percent. */
export const ON = 1e-9;
