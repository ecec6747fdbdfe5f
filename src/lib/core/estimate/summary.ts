import { countClasses, namedChances } from '../certainty/classes.ts';
import type { FractionDraws } from '../certainty/draws.ts';
import type { Fractions } from '../physics/bands.ts';
import type { SystemId } from '../texture/types.ts';

/** Weighed means of shares and of their squares: sand, silt, clay; weights sum to 1. */
export function momentsOf(shares: Float64Array, weights: Float64Array): { mean: number[]; square: number[] } {
  const mean = [0, 0, 0];
  const square = [0, 0, 0];
  for (let i = 0; i < weights.length; i++) {
    for (let j = 0; j < 3; j++) {
      const share = shares[3 * i + j];
      mean[j] += weights[i] * share;
      square[j] += weights[i] * share * share;
    }
  }
  return { mean, square };
}

/** Mean of weighed shares, percent; weights sum to 1. */
export function meanOf(shares: Float64Array, weights: Float64Array): Fractions {
  const [sand, silt, clay] = momentsOf(shares, weights).mean;
  return { sand, silt, clay };
}

/** Chance of a class by a set of draws. */
export type ClassChance = { id: string; name: string; probability: number };

/** Chances of the classes of a system over even draws, likeliest first. */
export function chancesOf(system: SystemId, shares: Float64Array): ClassChance[] {
  const count = shares.length / 3;
  const sample: FractionDraws = { fractions: shares, kept: count, asked: count };
  return namedChances(system, countClasses(system, sample));
}
