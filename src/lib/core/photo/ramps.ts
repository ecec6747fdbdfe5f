import { lineAt, meanOf, type Channels } from './channels.ts';

/** How far to either side of a line its two colours are taken, mm. */
export const REACH_MM = 5;
/** One colour goes into another over so much at most, mm; a thinner piece is a mixture if its colour says so. */
const RAMP_MM = 10;
const MIXTURE_MM = 1.6;
/** A picture keeps colour in coarser blocks than light: colour may change so far from where light does, mm. */
const COLOUR_BLOCK_MM = 3.6;
/** Light is that of one side up to here, of the way to the other. */
const ONE_SIDED = 0.15;
/**
 * A ramp climbs from the colour under it to that over it: where it begins and ends at the latest, how far a next piece may
 * begin behind the end of the last, and how much each climbs at least, of the way.
 */
const CLIMB = { from: 0.4, to: 0.6, back: 0.2, least: 0.1 };
/** A mixture between these lies in the middle of its piece; else the line is where the other colour begins, of the way. */
const EVEN = { from: 0.2, to: 0.8 };
/** How far beyond the two colours a mixture of them may seem, in light and in colour, of the way. */
const BEYOND = [0.15, 0.35, 0.35];
/** How far off the way between two colours a ramp may stray, CIELAB units, and as a share of the way. */
const ASIDE = { least: 1.5, share: 0.2, mixture: 0.06 };

/** A cut, and half the way over which one colour goes into the other where that was cut at both its ends. */
export type Cut = { row: number; halfRows: number };

/** Colour of a straight piece at one of its ends. */
function endOf(channels: Channels, from: number, to: number, at: number, least: number): number[] {
  return channels.map((values) => lineAt(values, from, to, at, least).value);
}

/**
 * A ramp between two colours is cut at both its ends, and perhaps in between: where the pieces between two cuts climb from
 * the colour under them to that over them, or are no more than a thin mixture of both, one cut is left. A layer of a colour
 * of its own stays.
 */
export function withoutRamps(channels: Channels, cuts: readonly number[], rowMm: number): Cut[] {
  const out: Cut[] = cuts.map((row) => ({ row, halfRows: 0 }));
  const n = channels[0].length;
  const reach = Math.round(REACH_MM / rowMm);
  const short = Math.round(1 / rowMm);
  const startOf = (i: number) => Math.round(out[i].row - out[i].halfRows);
  const endOfCut = (i: number) => Math.round(out[i].row + out[i].halfRows);
  const rampOf = (i: number, j: number): Cut | undefined => {
    const [low, high] = [startOf(i), endOfCut(j)];
    const mm = (high - low) * rowMm;
    if (mm > RAMP_MM) return undefined;
    const underFrom = Math.max(i > 0 ? endOfCut(i - 1) : 0, low - reach);
    const overTo = Math.min(j + 1 < out.length ? startOf(j + 1) : n, high + reach);
    if (low - underFrom < 2 || overTo - high < 2) return undefined;
    const under = endOf(channels, underFrom, low, low, 3 * short);
    const over = endOf(channels, high, overTo, high, 3 * short);
    const jump = over.map((v, k) => v - under[k]);
    const size = Math.hypot(...jump);
    const onWay = (colour: number[]) => {
      const share = colour.reduce((sum, v, k) => sum + (v - under[k]) * jump[k], 0) / (size * size);
      return { share, aside: Math.hypot(...colour.map((v, k) => v - under[k] - share * jump[k])) };
    };
    const stray = Math.max(ASIDE.least, ASIDE.share * size);
    if (mm <= COLOUR_BLOCK_MM) {
      const middle = meanOf(channels, low, high);
      const shares = middle.map((v, k) => (v - under[k]) / jump[k]);
      const mixed = middle.every(
        (v, k) =>
          (shares[k] > -BEYOND[k] && shares[k] < 1 + BEYOND[k]) ||
          Math.min(Math.abs(v - under[k]), Math.abs(v - over[k])) <
            Math.max(ASIDE.least, ASIDE.mixture * size)
      );
      const byLight = Math.abs(jump[0]) > size / 3;
      const oneSided = byLight && Math.min(Math.abs(shares[0]), Math.abs(1 - shares[0])) < ONE_SIDED;
      if (mixed && (mm <= MIXTURE_MM || oneSided)) {
        const share = byLight ? shares[0] : onWay(middle).share;
        const even = share > EVEN.from && share < EVEN.to;
        return even
          ? { row: Math.round((low + high) / 2), halfRows: (high - low) / 2 }
          : { row: share < 0.5 ? high : low, halfRows: 0 };
      }
    }
    let last = -BEYOND[0];
    let first = 1;
    for (let piece = i; piece < j; piece++) {
      const [from, to] = [endOfCut(piece), startOf(piece + 1)];
      if (to - from < 2) return undefined;
      const [start, end] = [from, to].map((at) => onWay(endOf(channels, from, to, at, 0)));
      if (Math.max(start.aside, end.aside) > stray) return undefined;
      // It climbs all the way: a step back, or a rest, is a layer.
      if (start.share < last - CLIMB.back || end.share < start.share + CLIMB.least) return undefined;
      if (piece === i) first = start.share;
      last = end.share;
    }
    if (first > CLIMB.from || last < CLIMB.to) return undefined;
    return { row: Math.round((low + high) / 2), halfRows: (high - low) / 2 };
  };
  for (let length = 1; length <= 3; length++) {
    for (let i = 0; i + length < out.length; i++) {
      const ramp = rampOf(i, i + length);
      if (!ramp) continue;
      out.splice(i, length + 1, ramp);
      length = 0;
      break;
    }
  }
  return out;
}
