/** A place in px. */
export type Place = { x: number; y: number };

const LETTER = 6.9;
/** Line height of a class name, px. */
export const NAME_LINE = 14;
/** Grid on which places are tried, px. */
const STEP = 4;

/** What a name keeps clear of by so many px; a soft one only while there is room elsewhere. */
export type Obstacle = Place & { clear: number; soft?: boolean };

/** A line as soft obstacles, close enough to each other that no name slips between. */
export function along(from: Place, to: Place, clear: number): Obstacle[] {
  const steps = Math.max(1, Math.ceil(Math.hypot(to.x - from.x, to.y - from.y) / 6));
  return Array.from({ length: steps + 1 }, (_, i) => ({
    x: from.x + ((to.x - from.x) * i) / steps,
    y: from.y + ((to.y - from.y) * i) / steps,
    clear,
    soft: true
  }));
}

function inside(p: Place, corners: readonly Place[]): boolean {
  let within = false;
  for (let i = 0, j = corners.length - 1; i < corners.length; j = i++) {
    const [a, b] = [corners[i], corners[j]];
    if (a.y > p.y !== b.y > p.y && p.x < a.x + ((p.y - a.y) / (b.y - a.y)) * (b.x - a.x)) within = !within;
  }
  return within;
}

/** Middle of an area, and the area itself in px squared. */
export function middleOf(corners: readonly Place[]): Place & { area: number } {
  let [twice, x, y] = [0, 0, 0];
  corners.forEach((a, i) => {
    const b = corners[(i + 1) % corners.length];
    const cross = a.x * b.y - b.x * a.y;
    twice += cross;
    x += (a.x + b.x) * cross;
    y += (a.y + b.y) * cross;
  });
  return { x: x / (3 * twice), y: y / (3 * twice), area: Math.abs(twice / 2) };
}

/**
 * Where the name of a class stands: as near the middle of its area as can be, wholly inside it and clear of the
 * obstacles; where that cannot be, clear of the hard ones and on the fewest of the soft; then with its middle inside; then in
 * the middle.
 */
export function placeName(
  words: readonly string[],
  corners: readonly Place[],
  obstacles: readonly Obstacle[] = []
): Place {
  const middle = middleOf(corners);
  const half = {
    x: (Math.max(...words.map((w) => w.length)) * LETTER) / 2 + 1,
    y: (words.length * NAME_LINE) / 2
  };
  const hard = obstacles.filter((o) => !o.soft);
  const isClear = (p: Place, of: readonly Obstacle[]) =>
    of.every((o) => Math.abs(o.x - p.x) > half.x + o.clear || Math.abs(o.y - p.y) > half.y + o.clear);
  const fits = (p: Place) =>
    [-1, 1].every((sx) =>
      [-1, 1].every((sy) => inside({ x: p.x + sx * half.x, y: p.y + sy * half.y }, corners))
    );
  const away = (p: Place) => Math.hypot(p.x - middle.x, p.y - middle.y);
  const places = gridOver(corners)
    .filter((p) => inside(p, corners))
    .sort((a, b) => away(a) - away(b));
  const hits = (p: Place) =>
    obstacles.filter(
      (o) => Math.abs(o.x - p.x) <= half.x + o.clear && Math.abs(o.y - p.y) <= half.y + o.clear
    ).length;
  /** The first of those with the fewest in their way. */
  const freest = () => {
    let best: { place: Place; hits: number } | undefined;
    for (const place of places) {
      if (!isClear(place, hard) || !fits(place)) continue;
      const own = hits(place);
      if (!best || own < best.hits) best = { place, hits: own };
    }
    return best?.place;
  };
  return (
    places.find((p) => isClear(p, obstacles) && fits(p)) ??
    freest() ??
    places.find((p) => isClear(p, hard)) ??
    middle
  );
}

function gridOver(corners: readonly Place[]): Place[] {
  const [xs, ys] = [corners.map((c) => c.x), corners.map((c) => c.y)];
  const out: Place[] = [];
  for (let x = Math.min(...xs); x <= Math.max(...xs); x += STEP) {
    for (let y = Math.min(...ys); y <= Math.max(...ys); y += STEP) out.push({ x, y });
  }
  return out;
}
