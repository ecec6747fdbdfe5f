import type { StripProfile } from './strip.ts';

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
