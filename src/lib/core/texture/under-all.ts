import { finerAt } from './grading.ts';
import type { Fractions } from '../physics/bands.ts';
import { classifyTexture, textureSystems } from './classify.ts';
import { convertLimit } from './limits.ts';
import type { SystemId } from './types.ts';

/** One soil under one system. */
export type UnderSystem = {
  system: SystemId;
  fractions: Fractions;
  class: { id: string; name: string };
  /** As it was measured; read off a grading curve; or moved to another limit by a straight line. */
  how: 'measured' | 'curve' | 'interpolated';
};

type Curve = readonly { diameterUm: number; percentFiner: number }[];

/**
 * Fractions under the limits of a system: off a grading curve where one reaches, else by interpolation.
 *
 * @param fromUm sand/silt limit that the fractions stand on, um
 */
export function fractionsUnder(
  system: SystemId,
  f: Fractions,
  fromUm: number,
  curve?: Curve
): Pick<UnderSystem, 'fractions' | 'how'> {
  const sandUm = textureSystems[system].limitsUm[1];
  if (sandUm === fromUm) return { fractions: f, how: 'measured' };
  const fines = curve && finerAt(curve, sandUm);
  if (fines && fines.value >= f.clay) {
    return { fractions: { sand: 100 - fines.value, silt: fines.value - f.clay, clay: f.clay }, how: 'curve' };
  }
  return { fractions: convertLimit(f, fromUm, sandUm), how: 'interpolated' };
}

/**
 * The same soil under every system, each by its own limits.
 *
 * @param fromUm sand/silt limit that the fractions stand on, um
 * @param curve its grading curve, finest first, where there is one
 */
export function underAllSystems(f: Fractions, fromUm: number, curve?: Curve): UnderSystem[] {
  return (Object.keys(textureSystems) as SystemId[]).map((system) => {
    const { fractions, how } = fractionsUnder(system, f, fromUm, curve);
    return { system, fractions, how, class: classifyTexture(system, fractions) };
  });
}
