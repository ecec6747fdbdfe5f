import { known } from '../known.ts';
import type { Fractions } from '../physics/bands.ts';
import type { TextureSystem } from './types.ts';

/** A place on the drawn triangle: x 0-1 along the base (sand corner at the left), y 0-1 up towards clay. */
export type TrianglePoint = { x: number; y: number };

/** Percent to a place on an equilateral triangle with side 1 (y is scaled by the caller by sqrt(3)/2). */
export function toTriangle(f: Fractions): TrianglePoint {
  return { x: (f.silt + f.clay / 2) / 100, y: f.clay / 100 };
}

/** The inverse of {@link toTriangle}. May lie outside the triangle: some fraction is then below zero. */
export function fromTriangle(point: TrianglePoint): Fractions {
  const clay = point.y * 100;
  const silt = point.x * 100 - clay / 2;
  return { sand: 100 - silt - clay, silt, clay };
}

/**
 * Class of a point by the outlines alone. On a shared boundary the system says who owns it: the point is moved a hair
 * that way (where that leaves the triangle at zero sand, the outlines are carried on beyond it), or the class that comes
 * first of those that hold it is taken.
 *
 * @returns index into the system's classes, -1 if no outline holds the point
 */
export function indexByPolygons(system: TextureSystem, f: Fractions): number {
  const hair = 1e-7;
  const { owns } = system;
  if ('first' in owns) {
    const polygonOf = (id: string) =>
      known(
        system.classes.find((c) => c.id === id),
        'the order names classes of its system'
      ).polygon;
    const id = owns.first.find((one) => holds(polygonOf(one), f));
    return system.classes.findIndex((c) => c.id === id);
  }
  const side = owns.atNoSand && f.sand < hair && f.silt > 10 * hair ? owns.atNoSand : owns.towards;
  const moved = {
    sand: f.sand + side.sand * hair,
    silt: f.silt + side.silt * hair,
    clay: f.clay + side.clay * hair
  };
  return system.classes.findIndex((c) => insidePolygon(moved, carriedOn(c.polygon)));
}

/** Moves the zero-sand vertices of an outline a little beyond the triangle, along the inner edge that ends there. */
function carriedOn(polygon: Fractions[]): Fractions[] {
  const beyond = 1e-3;
  return polygon.map((v, i) => {
    if (v.sand > 0) return v;
    const neighbours = [polygon[(i || polygon.length) - 1], polygon[(i + 1) % polygon.length]];
    const inner = neighbours.find((n) => n.sand > 0 && n.silt * v.silt + n.clay * v.clay > 0);
    if (!inner) return v;
    const back = beyond / inner.sand;
    return {
      sand: -beyond,
      silt: v.silt + (v.silt - inner.silt) * back,
      clay: v.clay + (v.clay - inner.clay) * back
    };
  });
}

/** Whether a point lies in an outline or on it, to within a hundred-millionth of a percent. */
function holds(polygon: Fractions[], f: Fractions): boolean {
  return (
    insidePolygon(f, polygon) ||
    polygon.some((a, i) => {
      const b = polygon[(i + 1) % polygon.length];
      const [dz, dc] = [b.silt - a.silt, b.clay - a.clay];
      const along = ((f.silt - a.silt) * dz + (f.clay - a.clay) * dc) / (dz * dz + dc * dc);
      const t = Math.min(1, Math.max(0, along));
      return Math.hypot(f.silt - a.silt - t * dz, f.clay - a.clay - t * dc) < 1e-8;
    })
  );
}

function insidePolygon(f: Fractions, polygon: Fractions[]): boolean {
  let inside = false;
  for (let i = 0, j = polygon.length - 1; i < polygon.length; j = i++) {
    const a = polygon[i];
    const b = polygon[j];
    if (a.clay > f.clay === b.clay > f.clay) continue;
    const silt = a.silt + ((f.clay - a.clay) / (b.clay - a.clay)) * (b.silt - a.silt);
    if (f.silt < silt) inside = !inside;
  }
  return inside;
}
