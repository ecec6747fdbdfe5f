import type { Fractions } from '../physics/bands.ts';

/** Kinds of material that could be missing from a blend, as they would be at best, percent: set by hand. */
export const KINDS = {
  sand: { sand: 100, silt: 0, clay: 0 },
  'clay soil': { sand: 10, silt: 20, clay: 70 },
  'silty soil': { sand: 20, silt: 70, clay: 10 }
} as const satisfies Record<string, Fractions>;
export type MissingKind = keyof typeof KINDS;
export const MISSING_KINDS = Object.keys(KINDS) as [MissingKind, ...MissingKind[]];
