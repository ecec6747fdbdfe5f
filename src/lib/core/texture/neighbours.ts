import { known } from '../known.ts';
import type { Fractions } from '../physics/bands.ts';
import { requireFractions, textureSystems } from './classify.ts';
import type { SystemId } from './types.ts';

type Part = keyof Fractions;
const PARTS: Part[] = ['sand', 'silt', 'clay'];

/** A class that could be reached by exchanging some of the soil. */
export type Neighbour = {
  id: string;
  name: string;
  /** Smallest share of soil to exchange, points: half the sum of the absolute changes. */
  points: number;
  /** What that exchange takes most of and gives most of. */
  take: Part;
  give: Part;
};

/**
 * Other classes by how little soil would have to be exchanged to reach them, nearest first.
 * The distance is `1/2 * sum |delta|`, the smallest exchange in points of percent.
 *
 * @throws {RangeProblem} when the fractions are no point on the triangle
 */
export function textureNeighbours(system: SystemId, f: Fractions): Neighbour[] {
  requireFractions(f);
  const chosen = textureSystems[system];
  const own = chosen.indexByRules(f.sand, f.silt, f.clay);
  const out: Neighbour[] = [];
  chosen.classes.forEach((c, i) => {
    if (i === own) return;
    const delta = shortestExchange(f, c.polygon);
    const order = [...PARTS].sort((a, b) => delta[a] - delta[b]);
    out.push({ id: c.id, name: c.name, points: exchange(delta), take: order[0], give: order[2] });
  });
  return out.sort((a, b) => a.points - b.points);
}

/** Half the sum of absolute changes; for changes that sum to zero, the largest single one. */
function exchange(d: Fractions): number {
  return (Math.abs(d.sand) + Math.abs(d.silt) + Math.abs(d.clay)) / 2;
}

function shortestExchange(f: Fractions, polygon: Fractions[]): Fractions {
  let best: Fractions | undefined;
  for (let i = 0; i < polygon.length; i++) {
    const d = nearestOnEdge(f, polygon[i], polygon[(i + 1) % polygon.length]);
    if (!best || exchange(d) < exchange(best)) best = d;
  }
  return known(best, 'an outline has edges');
}

/** The exchange is piecewise linear along an edge: its least value is at an end or where a change passes zero. */
function nearestOnEdge(f: Fractions, a: Fractions, b: Fractions): Fractions {
  const at = (t: number): Fractions => ({
    sand: a.sand + t * (b.sand - a.sand) - f.sand,
    silt: a.silt + t * (b.silt - a.silt) - f.silt,
    clay: a.clay + t * (b.clay - a.clay) - f.clay
  });
  const candidates = [0, 1];
  for (const part of PARTS) {
    const slope = b[part] - a[part];
    if (slope !== 0) candidates.push(Math.min(1, Math.max(0, (f[part] - a[part]) / slope)));
  }
  return candidates.map(at).reduce((x, y) => (exchange(y) < exchange(x) ? y : x));
}
