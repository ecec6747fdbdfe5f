import { RangeProblem } from '../errors.ts';
import type { Fractions } from '../physics/bands.ts';
import type { SystemId, TextureSystem } from './types.ts';
import { fao } from './fao.ts';
import { german } from './german.ts';
import { international } from './international.ts';
import { uk } from './uk.ts';
import { usda } from './usda.ts';

/** Every classification system by its id. */
export const textureSystems: Record<SystemId, TextureSystem> = { usda, uk, international, fao, german };

/** Largest gap to 100 that counts as rounding, percent. */
const SUM_TOLERANCE = 0.01;

/**
 * Throws unless three fractions can be a point on the triangle.
 * @throws {RangeProblem} with what is wrong
 */
export function requireFractions(f: Fractions): void {
  for (const part of ['sand', 'silt', 'clay'] as const) {
    if (!(f[part] >= -1e-9 && f[part] <= 100 + 1e-9)) {
      throw new RangeProblem(part, `${part} must lie between 0 and 100 percent, not ${f[part]}.`);
    }
  }
  const sum = f.sand + f.silt + f.clay;
  if (Math.abs(sum - 100) > SUM_TOLERANCE) {
    throw new RangeProblem('fractions', `Sand, silt and clay must sum to 100, not ${sum.toFixed(2)}.`);
  }
}

/**
 * Texture class of a soil.
 *
 * @param system which classification
 * @param f percent by mass of the earth under 2 mm
 * @returns id and lower-case English name
 * @throws {RangeProblem} when a fraction is outside 0-100 or the sum misses 100 by more than 0.01
 * @example classifyTexture('usda', { sand: 40, silt: 40, clay: 20 }) // { id: 'loam', name: 'loam' }
 */
export function classifyTexture(system: SystemId, f: Fractions): { id: string; name: string } {
  requireFractions(f);
  const chosen = textureSystems[system];
  const { id, name } = chosen.classes[chosen.indexByRules(f.sand, f.silt, f.clay)];
  return { id, name };
}

/**
 * Classifies many points at once, without checks.
 *
 * @param fractions triples sand, silt, clay in percent, length 3n
 * @param out class indices, length n
 */
export function classifyMany(system: SystemId, fractions: Float64Array, out: Uint8Array): void {
  const index = textureSystems[system].indexByRules;
  for (let i = 0, k = 0; i < out.length; i++, k += 3)
    out[i] = index(fractions[k], fractions[k + 1], fractions[k + 2]);
}
