import { polygonArea, polygonCentroid, polygonContains } from 'd3-polygon';
import polylabel from 'polylabel';
import { RangeProblem } from '../errors.ts';

/** A place on a sketch: metres east and north of its lower left corner. */
export type Point = readonly [number, number];

/** An outline: corners in order, either way round, the first not repeated at the end. Metres. */
export type Outline = readonly Point[];

/** Smallest piece of ground that is an area, m2: less is a slip of the hand. */
export const SMALLEST_AREA_M2 = 0.01;

/** Most corners an outline may have. */
export const MOST_CORNERS = 500;

type Pair = [number, number];
const pairs = (outline: Outline) => outline as unknown as Pair[];

/**
 * Size of an area, m2, whichever way round its corners go.
 * @example areaOf([[0, 0], [4, 0], [4, 3], [0, 3]]) // 12
 */
export function areaOf(outline: Outline): number {
  return Math.abs(polygonArea(pairs(outline)));
}

/** Centre of gravity of an area. Of a bent one it may lie outside. */
export function centreOf(outline: Outline): Point {
  return polygonCentroid(pairs(outline));
}

/** Whether a place lies inside an outline. */
export function isInside(outline: Outline, place: Point): boolean {
  return polygonContains(pairs(outline), place as Pair);
}

/** Distance of two places, m. */
export function distance(a: Point, b: Point): number {
  return Math.hypot(a[0] - b[0], a[1] - b[1]);
}

function distanceToLine(p: Point, a: Point, b: Point): number {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const length2 = dx * dx + dy * dy;
  const along = length2 === 0 ? 0 : ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / length2;
  const t = Math.min(1, Math.max(0, along));
  return Math.hypot(p[0] - a[0] - t * dx, p[1] - a[1] - t * dy);
}

/** Distance from a place to the nearest edge of an outline, m, inside or out. */
export function distanceToEdge(outline: Outline, place: Point): number {
  let nearest = Infinity;
  for (let i = 0; i < outline.length; i++) {
    nearest = Math.min(nearest, distanceToLine(place, outline[i], outline[(i + 1) % outline.length]));
  }
  return nearest;
}

/** Which side of the line from a to b a place lies on: its sign. */
function side(a: Point, b: Point, p: Point): number {
  return Math.sign((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]));
}

function touch(a: Point, b: Point, c: Point, d: Point): boolean {
  const [s1, s2, s3, s4] = [side(a, b, c), side(a, b, d), side(c, d, a), side(c, d, b)];
  if (s1 !== s2 && s3 !== s4) return true;
  const between = (p: Point, q: Point, r: Point) =>
    Math.min(p[0], q[0]) <= r[0] &&
    r[0] <= Math.max(p[0], q[0]) &&
    Math.min(p[1], q[1]) <= r[1] &&
    r[1] <= Math.max(p[1], q[1]);
  return (
    (s1 === 0 && between(a, b, c)) ||
    (s2 === 0 && between(a, b, d)) ||
    (s3 === 0 && between(c, d, a)) ||
    (s4 === 0 && between(c, d, b))
  );
}

/** Two edges of an outline that cross or touch away from a shared corner, by their first corners; undefined if none do. */
export function crossingOf(outline: Outline): [number, number] | undefined {
  const n = outline.length;
  for (let i = 0; i < n; i++) {
    const [a, b] = [outline[i], outline[(i + 1) % n]];
    for (let j = i + 1; j < n; j++) {
      const [c, d] = [outline[j], outline[(j + 1) % n]];
      const next = j === i + 1;
      const last = i === 0 && j === n - 1;
      if (next || last) {
        // Neighbours share a corner; they must not fold back onto each other.
        const [corner, from, to] = next ? [b, a, d] : [a, b, c];
        const folded = side(from, corner, to) === 0 && dot(corner, from, to) > 0;
        if (folded) return [i, j];
      } else if (touch(a, b, c, d)) return [i, j];
    }
  }
  return undefined;
}

function dot(o: Point, p: Point, q: Point): number {
  return (p[0] - o[0]) * (q[0] - o[0]) + (p[1] - o[1]) * (q[1] - o[1]);
}

/**
 * Makes sure that an outline is a piece of ground.
 * @throws {RangeProblem} on `outline`: too few or too many corners, no number, edges that cross, no size
 */
export function checkOutline(outline: Outline): void {
  const refuse = (message: string): never => {
    throw new RangeProblem('outline', message);
  };
  if (outline.length < 3) refuse('An area needs at least three corners. Put one more.');
  if (outline.length > MOST_CORNERS) refuse(`An area may have ${MOST_CORNERS} corners. Leave some out.`);
  if (outline.some((p) => !p.every((v) => Number.isFinite(v) && Math.abs(v) <= 1e6))) {
    refuse('A corner is no place within a thousand kilometres. Check its numbers.');
  }
  if (isFlat(outline))
    refuse('This outline encloses nothing: its corners lie on one line. Move one of them.');
  const crossing = crossingOf(outline);
  if (crossing) {
    const [i, j] = crossing.map((edge) => edge + 1);
    refuse(`The edges after corner ${i} and after corner ${j} cross. Move a corner so that they do not.`);
  }
  if (areaOf(outline) < SMALLEST_AREA_M2) {
    refuse('This outline encloses next to nothing. Move its corners further apart.');
  }
}

/** Whether all corners lie on one line, to the millimetre. */
function isFlat(outline: Outline): boolean {
  const [first] = outline;
  const far = outline.reduce((a, b) => (distance(first, b) > distance(first, a) ? b : a));
  return outline.every((p) => distanceToLine(p, first, far) < 1e-3);
}

/**
 * The place of an area that lies furthest from its edges, to a hundredth of its size: where a label or a rectangle's middle
 * would be put by eye, inside even where the outline is bent.
 */
export function innermost(outline: Outline): Point {
  const [xs, ys] = [outline.map((p) => p[0]), outline.map((p) => p[1])];
  const size = Math.max(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys));
  const roomiest = polylabel([outline.map(([x, y]) => [x, y])], size / 100);
  const centre = centreOf(outline);
  const room = isInside(outline, centre) ? distanceToEdge(outline, centre) : -1;
  // The centre stands unless another place is clearly roomier: labels then sit where the eye looks.
  return roomiest.distance > room * 1.15 ? [roomiest[0], roomiest[1]] : centre;
}

/** Middle of places, of one at least, m. */
export function middleOf(places: readonly Point[]): Point {
  const sum = (axis: 0 | 1) => places.reduce((a, place) => a + place[axis], 0) / places.length;
  return [sum(0), sum(1)];
}

/**
 * How far places lie along the long axis of an area: between the two corners that are farthest apart, from the one further
 * west.
 *
 * @returns m from that end, a distance a place
 * @example alongAxis([[0, 0], [40, 0], [40, 4], [0, 4]], [[20, 2]]) // about 20
 */
export function alongAxis(outline: Outline, places: readonly Point[]): number[] {
  let ends: [Point, Point] = [
    [0, 0],
    [1, 0]
  ];
  let longest = 0;
  for (const a of outline)
    for (const b of outline) {
      const apart = distance(a, b);
      if (apart > longest && a[0] <= b[0]) [longest, ends] = [apart, [a, b]];
    }
  const [[x, y], [toX, toY]] = ends;
  const [dx, dy] = [(toX - x) / (longest || 1), (toY - y) / (longest || 1)];
  return places.map((place) => Math.max(0, (place[0] - x) * dx + (place[1] - y) * dy));
}
