import type { StripProfile } from './strip.ts';

/** Square of a step over its standard error from part to part, at which it may as well be none. */
const THROUGH = 22;
/** So many parts must be seen for a step to be told from a mottle. */
const PARTS_LEAST = 3;

/**
 * How surely a line goes through the whole width of the strip, as a mottle or a finger does not: its step in each part against
 * how that differs from part to part.
 *
 * @returns 1 where it is as likely as not; more is surer
 */
export function goesThrough(
  parts: NonNullable<StripProfile['parts']>,
  { row, jump, step }: { row: number; jump: readonly number[]; step: number },
  { low, high, gap }: { low: number; high: number; gap: number }
): number {
  /** The mean of a part along the step; undefined where most of it is covered. */
  const along = (part: number, from: number, to: number): number | undefined => {
    let [n, sum] = [0, 0];
    for (let i = from; i < to; i++) {
      const colour = parts[i][part];
      if (!colour) continue;
      n += 1;
      for (let k = 0; k < 3; k++) sum += (colour[k] * jump[k]) / (step * step);
    }
    return n > (to - from) / 2 ? sum / n : undefined;
  };
  const below = Math.max(low + 1, Math.round(row - gap));
  const above = Math.min(high - 1, Math.round(row + gap));
  const shares = parts[0].flatMap((_, part) => {
    const [under, over] = [along(part, low, below), along(part, above, high)];
    return under === undefined || over === undefined ? [] : [over - under];
  });
  if (shares.length < PARTS_LEAST) return Infinity;
  const mean = shares.reduce((sum, v) => sum + v, 0) / shares.length;
  const variance = shares.reduce((sum, v) => sum + (v - mean) ** 2, 0) / (shares.length - 1);
  return (shares.length * mean * mean) / Math.max(1e-6, variance) / THROUGH;
}

/**
 * A bottom that is domed lets the glass be seen this far up, mm; glass is paler than what lies on it, and of hardly a colour:
 * so much at most, CIELAB units, and so much of that of what lies on it.
 */
const GLASS = { mm: 7, chroma: 12, ofNext: 0.5 };
/**
 * What is seen through clear water: so near to the colour at the top, of the way to what is least like it. Clear water is paler
 * than any soil by so much, CIELAB units, and has so much of its colour at most.
 */
const WATERY = { near: 0.3, paler: 4, ofSoil: 0.8 };

/**
 * Which lines are none of the deposit: the edge of a domed foot at the bottom, and the edge of a table or a wall that is seen
 * through clear water.
 *
 * @param pieces mean colours between the lines, from under the first to over the last
 */
export function notOfDeposit(
  lines: readonly { heightMm: number }[],
  pieces: readonly number[][]
): Set<number> {
  const out = new Set<number>();
  const chroma = ([, a, b]: number[]) => Math.hypot(a, b);
  const apart = (p: number[], q: number[]) => Math.hypot(...p.map((v, k) => v - q[k]));
  const [lowest, next] = pieces;
  if (
    lines.length > 1 &&
    lines[0].heightMm < GLASS.mm &&
    chroma(lowest) < GLASS.chroma &&
    chroma(lowest) < GLASS.ofNext * chroma(next) &&
    lowest[0] > next[0]
  )
    out.add(0);
  // Clear water is paler than any soil under it and has less colour; of cloudy water nobody can say where it ends.
  const top = pieces[pieces.length - 1];
  const most = Math.max(...pieces.slice(out.size).map((piece) => apart(piece, top)));
  for (let i = lines.length - 1; i > out.size; i--) {
    if (apart(pieces[i], top) > WATERY.near * most) break;
    const soil = pieces.slice(out.size, i);
    if (
      soil.every((piece) => top[0] > piece[0] + WATERY.paler && chroma(top) < WATERY.ofSoil * chroma(piece))
    )
      out.add(i);
  }
  return out;
}
