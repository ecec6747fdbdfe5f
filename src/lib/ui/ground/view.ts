import { distanceToEdge, innermost, isInside, type Outline, type Point } from '$lib/core';
import type { SiteDetail } from '$lib/contract/records/ground';
import { inSight, WHOLE, type Sheet, type Zoom } from '../kit/zoom';

/** What of a sketch is shown: metres at the lower left, and how many px a metre is. */
export type SketchView = { left: number; low: number; pxPerM: number; width: number; height: number };

export type Box = { left: number; low: number; right: number; top: number };

/** Smallest sheet, m: an empty sketch is squared paper of this size. */
const SHEET = { wide: 24, high: 15 };
/** Room around what is drawn, as a share. */
const ROOM = 0.06;

/** Everything that is on a sketch, with room around it. */
export function boxOf(site: SiteDetail, also: Outline = []): Box {
  const points: Point[] = [...site.areas.flatMap((a) => a.outline), ...also];
  const { backdrop } = site.sketch;
  if (backdrop) {
    points.push([0, 0], [backdrop.widthPx * backdrop.metresPerPx, backdrop.heightPx * backdrop.metresPerPx]);
  }
  if (points.length === 0) return { left: 0, low: 0, right: SHEET.wide, top: SHEET.high };
  const [xs, ys] = [points.map((p) => p[0]), points.map((p) => p[1])];
  const box = { left: Math.min(...xs), low: Math.min(...ys), right: Math.max(...xs), top: Math.max(...ys) };
  const room = ROOM * Math.max(box.right - box.left, box.top - box.low, 1);
  return { left: box.left - room, low: box.low - room, right: box.right + room, top: box.top + room };
}

/** Tallest and lowest a sketch stands on the page, px. */
const HEIGHTS = { least: 300, most: 560 };

/** How near a sketch may be come to. */
const NEAREST = 16;

/** The sheet that a box is drawn on, px, for a width. */
export function sheetOf(box: Box, width: number): Sheet {
  const [wide, high] = [box.right - box.left, box.top - box.low];
  const height = Math.round(Math.min(HEIGHTS.most, Math.max(HEIGHTS.least, (width * high) / wide)));
  return { width, height, most: NEAREST };
}

/** A view of a box on its sheet: the whole box in the middle, or what of it one has come nearer to. */
export function viewOf(box: Box, width: number, zoom: Zoom = WHOLE): SketchView {
  const sheet = sheetOf(box, width);
  const [wide, high] = [box.right - box.left, box.top - box.low];
  const pxPerM = Math.min(width / wide, sheet.height / high);
  const left = box.left + wide / 2 - width / 2 / pxPerM;
  const top = box.low + high / 2 + sheet.height / 2 / pxPerM;
  const part = inSight(zoom, sheet);
  return {
    left: left + part.x / pxPerM,
    low: top - (part.y + part.height) / pxPerM,
    pxPerM: pxPerM * zoom.k,
    width,
    height: sheet.height
  };
}

/** A place on the sketch as px on the sheet, from its upper left. */
export function toPx(view: SketchView, [x, y]: Point): [number, number] {
  return [(x - view.left) * view.pxPerM, view.height - (y - view.low) * view.pxPerM];
}

/** Px on the sheet as a place on the sketch, to the centimetre. */
export function toPlace(view: SketchView, px: number, py: number): Point {
  const round = (metres: number) => Math.round(metres * 100) / 100;
  return [round(view.left + px / view.pxPerM), round(view.low + (view.height - py) / view.pxPerM)];
}

/** A length of 1, 2 or 5 times a power of ten, m, that is near `px` long on the sheet. */
export function roundLength(view: SketchView, px: number): number {
  const metres = px / view.pxPerM;
  const power = 10 ** Math.floor(Math.log10(metres));
  const factor = [5, 2, 1].find((f) => f * power <= metres) ?? 1;
  return Number((factor * power).toPrecision(1));
}

/** Lines of squared paper in a view, m: every square, every fifth drawn stronger. */
export function squares(view: SketchView): { stepM: number; xs: number[]; ys: number[] } {
  const stepM = roundLength(view, 26);
  const lines = (from: number, to: number) => {
    const out: number[] = [];
    for (let i = Math.ceil(from / stepM); i * stepM <= to; i++) out.push(i * stepM);
    return out;
  };
  return {
    stepM,
    xs: lines(view.left, view.left + view.width / view.pxPerM),
    ys: lines(view.low, view.low + view.height / view.pxPerM)
  };
}

/** A path through px points. */
export function pathOf(view: SketchView, outline: Outline, closed = true): string {
  const points = outline.map((p) =>
    toPx(view, p)
      .map((v) => v.toFixed(1))
      .join(' ')
  );
  return points.length === 0 ? '' : `M${points.join('L')}${closed ? 'Z' : ''}`;
}

/** Room that a label takes up on the sheet, px, around its middle. */
export type LabelRoom = { wide: number; high: number };

const LABEL_TRIES = 24;
/** Half of a spot's dot and a little air, px. */
const SPOT_ROOM = 9;

/**
 * Where a label stands in an area: all of it inside the outline, clear of the spots, and as far from the edges as that
 * allows. Undefined if it has no room.
 */
export function labelPlace(
  view: SketchView,
  outline: Outline,
  spots: readonly Point[],
  room: LabelRoom
): Point | undefined {
  const half = { x: room.wide / 2 / view.pxPerM, y: room.high / 2 / view.pxPerM };
  const air = SPOT_ROOM / view.pxPerM;
  const fits = ([x, y]: Point) =>
    [-1, 0, 1].every((i) => [-1, 1].every((j) => isInside(outline, [x + i * half.x, y + j * half.y]))) &&
    spots.every(([sx, sy]) => Math.abs(sx - x) > half.x + air || Math.abs(sy - y) > half.y + air);
  const middle = innermost(outline);
  if (fits(middle)) return middle;
  const [xs, ys] = [outline.map((p) => p[0]), outline.map((p) => p[1])];
  const [left, low] = [Math.min(...xs), Math.min(...ys)];
  const [wide, high] = [Math.max(...xs) - left, Math.max(...ys) - low];
  let best: { place: Point; edge: number } | undefined;
  for (let i = 1; i < LABEL_TRIES; i++) {
    for (let j = 1; j < LABEL_TRIES; j++) {
      const place: Point = [left + (wide * i) / LABEL_TRIES, low + (high * j) / LABEL_TRIES];
      if (!fits(place)) continue;
      const edge = distanceToEdge(outline, place);
      if (!best || edge > best.edge) best = { place, edge };
    }
  }
  return best?.place;
}
