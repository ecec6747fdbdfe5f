import type { Fractions } from '../physics/bands.ts';
import { requireFractions, textureSystems } from './classify.ts';
import type { SystemId } from './types.ts';

type Part = keyof Fractions;
const PARTS: readonly Part[] = ['sand', 'silt', 'clay'];

/** So many points are exchanged in so many steps: a sentence says tenths. */
const TENTHS = 10;

/** A class that the exchange of one part for another reaches, and how many points it takes, to a tenth. */
export type Swap = { id: string; name: string; points: number; take: Part; give: Part };

/**
 * The smallest exchanges of one part for another, in tenths of a point, by which a soil becomes another class: said so, it is so.
 * Classes that no exchange of two parts reaches are left out.
 *
 * @returns one a class, the smallest first
 * @throws {RangeProblem} when the fractions are no point on the triangle
 * @example swapsOf('usda', { sand: 50, silt: 25, clay: 25 })[0] // 3.1 points of clay for silt: loam
 */
export function swapsOf(system: SystemId, f: Fractions): Swap[] {
  requireFractions(f);
  const { indexByRules, classes } = textureSystems[system];
  const own = indexByRules(f.sand, f.silt, f.clay);
  const found = new Map<number, Swap>();
  for (const take of PARTS)
    for (const give of PARTS.filter((part) => part !== take)) {
      const most = Math.floor(f[take] * TENTHS);
      for (let tenths = 1; tenths <= most; tenths++) {
        const points = tenths / TENTHS;
        const to = { ...f, [take]: f[take] - points, [give]: f[give] + points };
        const at = indexByRules(to.sand, to.silt, to.clay);
        const before = found.get(at);
        if (at === own || (before && before.points <= points)) continue;
        found.set(at, { id: classes[at].id, name: classes[at].name, points, take, give });
      }
    }
  return [...found.values()].sort((a, b) => a.points - b.points);
}
