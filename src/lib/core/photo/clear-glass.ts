import { outcomeOf } from '../errors.ts';
import type { LabColour, Picture } from './picture.ts';
import { stripProfile, type Strip, type StripProfile } from './strip.ts';

/** Under this share of a row left after trimming, something else than the jar's contents covers part of it. */
const COVERED_UNDER = 0.85;
/** Paper: lighter than any water, and without colour. */
const PAPER_LIGHTNESS = 90;
const PAPER_CHROMA = 10;
/** A label is at least so high, mm; what runs along nearly the whole strip is glare, which the mean leaves out. */
const LEAST_MM = 4;
const MOST_SHARE = 0.8;

/**
 * Where a strip lies on a label: rows that are partly or wholly covered by paper, between rows that are not.
 *
 * @returns heights over the inside bottom, mm; undefined where the strip lies on clear glass
 */
export function labelOnStrip(profile: StripProfile): { fromMm: number; toMm: number } | undefined {
  const { colours, kept, rowMm, fromMm } = profile;
  const covered = colours.map(
    ([l, a, b], i) => kept[i] < COVERED_UNDER || (l > PAPER_LIGHTNESS && Math.hypot(a, b) < PAPER_CHROMA)
  );
  let best: { from: number; to: number } | undefined;
  let from = -1;
  for (let i = 0; i <= covered.length; i++) {
    if (covered[i]) {
      if (from < 0) from = i;
      continue;
    }
    if (from >= 0 && (!best || i - from > best.to - best.from)) best = { from, to: i };
    from = -1;
  }
  if (!best) return undefined;
  const rows = best.to - best.from;
  if (rows * rowMm < LEAST_MM || rows > MOST_SHARE * covered.length) return undefined;
  return { fromMm: fromMm + (best.from - 0.5) * rowMm, toMm: fromMm + (best.to - 0.5) * rowMm };
}

/** A side of the strip is another thing where its colour is so far from the middle's, CIELAB units, in so many of the rows. */
const EDGE = { apart: 14, share: 0.22 };

/** Whether a side of a strip lies on the edge of the glass, or beside it. */
export function edgeOnStrip({ parts }: StripProfile): boolean {
  if (!parts) return false;
  const last = parts[0].length - 1;
  const middle = last >> 1;
  const off = (side: LabColour | undefined, inside: LabColour) =>
    !side || Math.hypot(...side.map((v, k) => v - inside[k])) > EDGE.apart;
  return [0, last].some((part) => {
    const seen = parts.flatMap((row) => (row[middle] ? [off(row[part], row[middle])] : []));
    return seen.filter(Boolean).length > EDGE.share * seen.length;
  });
}

/** Beside the glass everything has one colour; in it the bottom and the water differ by this at least, CIELAB units. */
const JAR = { ends: 0.12, apart: 5 };

/** Whether nothing but the jar's contents is seen in a strip. */
function isClear(profile: StripProfile): boolean {
  if (labelOnStrip(profile) || edgeOnStrip(profile)) return false;
  const rows = Math.ceil(JAR.ends * profile.colours.length);
  const mean = (some: readonly LabColour[]) =>
    [0, 1, 2].map((k) => some.reduce((sum, colour) => sum + colour[k], 0) / some.length);
  const [bottom, top] = [mean(profile.colours.slice(0, rows)), mean(profile.colours.slice(-rows))];
  return Math.hypot(...bottom.map((v, k) => v - top[k])) > JAR.apart;
}

/** Half a strip at a time, so many times to either side. */
const TRIES = 8;
/** Rows that are enough to see what covers a strip. */
const ROWS = 240;

/**
 * Where a strip that lies on a label or on the edge of the glass would lie on clear glass.
 *
 * @returns the nearest place aside, px; undefined where it is clear already, or nowhere near is
 */
export function clearAside(picture: Picture, strip: Strip): number | undefined {
  const clearAt = (asidePx: number) =>
    outcomeOf(() => isClear(stripProfile(picture, { ...strip, asidePx }, ROWS))).done === true;
  if (clearAt(strip.asidePx)) return undefined;
  for (let step = 1; step <= TRIES; step++) {
    for (const side of [-1, 1]) {
      const asidePx = Math.round(strip.asidePx + (side * step * strip.widthPx) / 2);
      if (clearAt(asidePx)) return asidePx;
    }
  }
  return undefined;
}
