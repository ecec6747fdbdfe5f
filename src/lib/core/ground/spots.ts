import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { RangeProblem } from '../errors.ts';
import { checkOutline, distance, distanceToEdge, isInside, type Outline, type Point } from './polygon.ts';

/** How many spots make a composite, as taught; fewer and more are allowed. */
export const USUAL_SPOTS = { from: 4, to: 6 } as const;
export const MOST_SPOTS = 12;

/** Places tried inside the outline; more only sharpen the spread. */
const TRIES = 700;
/** Share of the widest distance from an edge that a spot keeps at least. */
const EDGE_SHARE = 0.35;
/** No spot needs to keep further from an edge than this, m. */
const EDGE_MOST_M = 2;
const ROUNDS = 24;

/**
 * Suggests spots for one composite: well spread, away from edges, and in a short order to walk.
 *
 * Places are tried at random inside the outline, those too near an edge dropped, and the rest parted into as many
 * neighbourhoods of like size as spots are wanted (Lloyd's rule); each spot is the place nearest the middle of its
 * neighbourhood.
 *
 * @param o.count spots wanted, 1 to {@link MOST_SPOTS}
 * @param o.seed any whole number; the same seed gives the same spots
 * @returns places in walking order, m
 * @throws {RangeProblem} on `outline` or `count`
 */
export function suggestSpots(o: { outline: Outline; count: number; seed: number }): Point[] {
  checkOutline(o.outline);
  if (!Number.isInteger(o.count) || o.count < 1 || o.count > MOST_SPOTS) {
    throw new RangeProblem('count', `Give a whole number of spots from 1 to ${MOST_SPOTS}.`);
  }
  const places = placesInside(o.outline, o.seed);
  return walkingOrder(spread(places, o.count));
}

function placesInside(outline: Outline, seed: number): Point[] {
  const rng = xoroshiro128plus(seed);
  const [xs, ys] = [outline.map((p) => p[0]), outline.map((p) => p[1])];
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const found: { place: Point; edge: number }[] = [];
  // A thin sliver fills little of its box: go on until enough has been found, but not for ever.
  for (let i = 0; i < TRIES * 200 && found.length < TRIES; i++) {
    const place: Point = [x0 + uniformFloat64(rng) * (x1 - x0), y0 + uniformFloat64(rng) * (y1 - y0)];
    if (isInside(outline, place)) found.push({ place, edge: distanceToEdge(outline, place) });
  }
  if (found.length < MOST_SPOTS) {
    throw new RangeProblem(
      'outline',
      'This area is too narrow to put spots in. Widen it, or put them by hand.'
    );
  }
  const keep = Math.min(EDGE_MOST_M, EDGE_SHARE * Math.max(...found.map((f) => f.edge)));
  const away = found.filter((f) => f.edge >= keep);
  return (away.length >= MOST_SPOTS ? away : found).map((f) => f.place);
}

function nearestOf(places: readonly Point[], to: Point): number {
  let best = 0;
  for (let i = 1; i < places.length; i++) {
    if (distance(places[i], to) < distance(places[best], to)) best = i;
  }
  return best;
}

function spread(places: Point[], count: number): Point[] {
  // Start far apart: each next spot is the place furthest from those there are.
  const spots: Point[] = [places[0]];
  while (spots.length < count) {
    const gap = (p: Point) => distance(p, spots[nearestOf(spots, p)]);
    spots.push(places.reduce((far, p) => (gap(p) > gap(far) ? p : far)));
  }
  for (let round = 0; round < ROUNDS; round++) {
    const sums = spots.map(() => [0, 0, 0]);
    for (const p of places) {
      const sum = sums[nearestOf(spots, p)];
      sum[0] += p[0];
      sum[1] += p[1];
      sum[2] += 1;
    }
    for (const [i, [x, y, n]] of sums.entries()) {
      if (n > 0) spots[i] = places[nearestOf(places, [x / n, y / n])];
    }
  }
  return spots;
}

/**
 * Puts places in the order of the shortest walk from one end to the other, which may be any two (exact, by dynamic
 * programming over the sets already visited).
 *
 * @param places at most {@link MOST_SPOTS}
 * @returns the same places, reordered; the walk starts at its western end
 */
export function walkingOrder(places: readonly Point[]): Point[] {
  const n = places.length;
  if (n < 3) return [...places].sort((a, b) => a[0] - b[0]);
  if (n > MOST_SPOTS)
    throw new RangeProblem('count', `A walk is put in order for ${MOST_SPOTS} places at most.`);
  const full = (1 << n) - 1;
  const length = new Float64Array((full + 1) * n).fill(Infinity);
  const from = new Int8Array((full + 1) * n).fill(-1);
  for (let i = 0; i < n; i++) length[(1 << i) * n + i] = 0;
  for (let set = 1; set <= full; set++) {
    for (let end = 0; end < n; end++) {
      const here = length[set * n + end];
      if (here === Infinity) continue;
      for (let next = 0; next < n; next++) {
        if (set & (1 << next)) continue;
        const at = (set | (1 << next)) * n + next;
        const there = here + distance(places[end], places[next]);
        if (there < length[at]) {
          length[at] = there;
          from[at] = end;
        }
      }
    }
  }
  let end = 0;
  for (let i = 1; i < n; i++) if (length[full * n + i] < length[full * n + end]) end = i;
  const order: Point[] = [];
  for (let set = full; end >= 0;) {
    order.push(places[end]);
    const before = from[set * n + end];
    set &= ~(1 << end);
    end = before;
  }
  return order[0][0] <= order[n - 1][0] ? order : order.reverse();
}

/** Length of a walk through places in their order, m. */
export function walkLength(places: readonly Point[]): number {
  return places.slice(1).reduce((sum, p, i) => sum + distance(places[i], p), 0);
}
