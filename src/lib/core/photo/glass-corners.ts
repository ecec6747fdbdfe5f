import { labOf, type LabColour, type Picture, type Pixel } from './picture.ts';
import type { Corners } from './straighten.ts';

/** Rows of the picture that the walls are looked for in, and the shares of the way up at which the corners are put. */
const ROWS = 48;
const SPAN = { from: 0.06, to: 0.85 };
/** Beside the glass the wall behind it shows: so near to it in colour and in light, CIELAB units, over so much of the picture's width. */
const BEHIND = { colour: 3.5, light: 16, run: 0.012, border: 0.02 };
/** Colours are means over so many points to each side. */
const BLUR = 2;
/**
 * A row belongs to a wall where it lies this near to the line of the others, as a share of the width; so many of them must, and
 * there must be so many of them. The middle between two walls lies this near to the middle that was given, as a share of what
 * is between. A wall is looked for anew from so many times `near` inside of where it should be.
 */
const WALL = { near: 0.006, share: 0.6, least: 6, aside: 0.1, inside: 2 };

/**
 * Four corners on the walls of a jar, to straighten its picture by: out from the middle the first place on either side where
 * what is behind the jar shows, over many rows, and the straight line through most of them (Theil 1950, Sen 1968).
 *
 * @param low a place on the middle of the jar, near its bottom
 * @param high one near its shoulder
 * @returns undefined where no two walls are seen: the shape is not straight, or the jar stands before something colourful
 */
export function glassCorners(picture: Picture, low: Pixel, high: Pixel): Corners | undefined {
  const rows = Array.from({ length: ROWS }, (_, i) => {
    const share = SPAN.from + ((SPAN.to - SPAN.from) * i) / (ROWS - 1);
    return [low[0] + (high[0] - low[0]) * share, low[1] + (high[1] - low[1]) * share].map(Math.round);
  });
  const near = WALL.near * picture.width;
  const [foot, head] = [rows[0], rows[ROWS - 1]];
  const walls = (side: -1 | 1) => {
    const edges = (from: (x: number, y: number) => number | undefined) =>
      rows.flatMap(([x, y]) => {
        const start = from(x, y);
        const edge = start === undefined ? undefined : edgeBeside(picture, start, y, side);
        return edge === undefined ? [] : [[edge, y] as const];
      });
    // Clear water may look like what is behind it: soil tells first, and the glass beside what it says then all the way up.
    const below = lineThrough(
      edges((x, y) => (isBehind(picture, x, y, side) ? undefined : x)),
      near
    );
    const outwards =
      below &&
      lineThrough(
        edges((_, y) => below(y) - side * WALL.inside * near),
        near
      );
    // A label may look like what is behind it too: then what comes first from the border tells, where no ruler stands.
    const inwards = lineThrough(
      rows.flatMap(([, y]) => {
        const edge = edgeFromBorder(picture, y, side);
        return edge === undefined ? [] : [[edge, y] as const];
      }),
      near
    );
    return [outwards, inwards].filter((line) => line !== undefined);
  };
  // A label or a ruler makes a wall where there is none: the other is then further off.
  const between = (left: Line, right: Line) =>
    [foot, head].every(([x, y]) => {
      const [l, r] = [left(y), right(y)];
      return r > l && Math.abs((l + r) / 2 - x) / (r - l) < WALL.aside;
    });
  const [lefts, rights] = [walls(-1), walls(1)];
  const pairs = lefts.flatMap((left, i) => rights.map((right, k) => ({ left, right, later: i + k })));
  const pair = pairs.sort((a, b) => a.later - b.later).find(({ left, right }) => between(left, right));
  if (!pair) return undefined;
  const { left, right } = pair;
  return [
    [left(head[1]), head[1]],
    [right(head[1]), head[1]],
    [right(foot[1]), foot[1]],
    [left(foot[1]), foot[1]]
  ];
}

/** A straight wall: x in the picture by y. */
type Line = (y: number) => number;

/** What is seen first in a row that is not what is behind the jar, in from the border. */
function edgeFromBorder(picture: Picture, y: number, side: -1 | 1): number | undefined {
  if (!inPicture(picture, 0, y)) return undefined;
  const near = nearBehind(picture, y, side);
  const run = Math.max(4, Math.round(BEHIND.run * picture.width)) >> 1;
  let since = 0;
  for (let i = 0; i < picture.width; i++) {
    const column = side < 0 ? i : picture.width - 1 - i;
    since = near(column) ? 0 : since + 1;
    if (since === run) return column + side * (run - 0.5);
  }
  return undefined;
}

/** How near a place of a row is to the colour that shows at the picture's border in it. */
function nearBehind(picture: Picture, y: number, side: -1 | 1): (column: number) => boolean {
  const { width } = picture;
  const border = Math.max(4, Math.round(BEHIND.border * width));
  const outermost = Array.from({ length: border }, (_, i) =>
    meanAround(picture, side < 0 ? i : width - 1 - i, y)
  );
  const [l, a, b] = [0, 1, 2].map((k) => middle(outermost.map((c) => c[k])));
  return (column) => {
    const [ownL, ownA, ownB] = meanAround(picture, column, y);
    // Light falls off over a picture: its colour tells more.
    return Math.hypot(ownA - a, ownB - b) < BEHIND.colour && Math.abs(ownL - l) < BEHIND.light;
  };
}

const inPicture = ({ width, height }: Picture, x: number, y: number) =>
  x >= 0 && x < width && y >= BLUR && y < height - BLUR;

/** Whether a place looks like what is behind the jar. */
const isBehind = (picture: Picture, x: number, y: number, side: -1 | 1) =>
  !inPicture(picture, x, y) || nearBehind(picture, y, side)(x);

/** Where the glass ends in a row, outwards from a place: what is behind it shows from there on, for a while. */
function edgeBeside(picture: Picture, from: number, y: number, side: -1 | 1): number | undefined {
  const x = Math.round(from);
  if (!inPicture(picture, x, y)) return undefined;
  const near = nearBehind(picture, y, side);
  const run = Math.max(4, Math.round(BEHIND.run * picture.width));
  let since = 0;
  for (let column = x; column >= 0 && column < picture.width; column += side) {
    since = near(column) ? since + 1 : 0;
    if (since === run) return column - side * (run - 0.5);
  }
  return undefined;
}

/** Mean colour of the points around a place of the picture. */
function meanAround({ width, data }: Picture, x: number, y: number): LabColour {
  let [r, g, b, n] = [0, 0, 0, 0];
  for (let py = y - BLUR; py <= y + BLUR; py++)
    for (let px = Math.max(0, x - BLUR); px <= Math.min(width - 1, x + BLUR); px++) {
      const at = 4 * (py * width + px);
      r += data[at];
      g += data[at + 1];
      b += data[at + 2];
      n += 1;
    }
  return labOf(Math.round(r / n), Math.round(g / n), Math.round(b / n));
}

const middle = (values: number[]) => values.sort((a, b) => a - b)[values.length >> 1];

/** The straight line x(y) that most places lie on; undefined where they are no line. */
function lineThrough(places: readonly (readonly [x: number, y: number])[], near: number): Line | undefined {
  if (places.length < WALL.least) return undefined;
  const slopes = places.flatMap(([x, y], i) =>
    places.slice(i + 1).flatMap(([otherX, otherY]) => (otherY === y ? [] : [(otherX - x) / (otherY - y)]))
  );
  if (slopes.length === 0) return undefined;
  const slope = middle(slopes);
  const start = middle(places.map(([x, y]) => x - slope * y));
  const on = places.filter(([x, y]) => Math.abs(x - slope * y - start) <= near);
  return on.length >= WALL.share * places.length ? (y) => start + slope * y : undefined;
}
