import { RangeProblem } from '../errors.ts';
import { channelsOf, rowNoise, sumsOf, meanOf, lineAt, type Channels } from './channels.ts';
import type { StripProfile } from './strip.ts';

/** A line that was found on a strip. */
export type Boundary = {
  /** Height over the inside bottom, mm. */
  heightMm: number;
  /** Standard error from the width of its colour ramp, mm. */
  sigmaMm: number;
  /** How plainly it stands out of the grain and the light around it, 0-1. */
  confidence: number;
};

/** Fewest and most pieces a strip is cut into. */
const PIECES_LEAST = 2;
const PIECES_MOST = 6;
/** Rows that the exact search runs over; the places found are then made fine on the full profile. */
const SEARCH_ROWS = 500;
/** Thinnest piece, mm. */
const PIECE_LEAST_MM = 1.5;
/** How far to either side of a line its two colours are taken, mm. */
const REACH_MM = 5;
/** A line under this confidence is not proposed. */
export const CONFIDENCE_LEAST = 0.5;
/** Difference that a person would still see, CIELAB units: what a step is measured against beside the noise. */
const JUST_SEEN = 0.8;
/** Error that a perfect edge still has, mm: where the ruler was clicked, and the thickness of the glass. */
const SIGMA_LEAST_MM = 0.2;

/** Two cuts this near to one another may be one ramp, mm. */
const RAMP_MM = 4;

/**
 * Best cuts for every number of pieces, by exact dynamic programming.
 *
 * Source: optimal partitioning, Auger & Lawrence 1989; each piece is a straight line over height in each channel, not
 * a constant, for light falls off over a jar and turbidity thickens downwards.
 * @returns for 1, 2, ... pieces the cost and the rows at which a new piece begins
 */
function bestCuts(channels: Channels, most: number, least: number): { cost: number; cuts: number[] }[] {
  const n = channels[0].length;
  const cost = sumsOf(channels);
  const best: Float64Array[] = [new Float64Array(n + 1).fill(Infinity)];
  const from: Int32Array[] = [new Int32Array(n + 1)];
  for (let j = least; j <= n; j++) best[0][j] = cost(0, j);
  for (let piece = 1; piece < most; piece++) {
    best[piece] = new Float64Array(n + 1).fill(Infinity);
    from[piece] = new Int32Array(n + 1);
    for (let j = (piece + 1) * least; j <= n; j++) {
      for (let i = piece * least; i <= j - least; i++) {
        const sum = best[piece - 1][i] + cost(i, j);
        if (sum < best[piece][j]) {
          best[piece][j] = sum;
          from[piece][j] = i;
        }
      }
    }
  }
  return best.map((row, piece) => {
    const cuts: number[] = [];
    for (let k = piece, j = n; k > 0; k--) cuts.unshift((j = from[k][j]));
    return { cost: row[n], cuts };
  });
}

/** The number of pieces whose cost with its penalty is least; a straight piece in three channels has seven numbers. */
function choosePieces(found: { cost: number; cuts: number[] }[], n: number, noise: number): number[] {
  const unit = Math.max(noise, 0.15) ** 2;
  let chosen = found[PIECES_LEAST - 1] ?? found[0];
  let least = Infinity;
  found.forEach((option, i) => {
    if (i + 1 < PIECES_LEAST) return;
    const sum = option.cost / unit + (i + 1) * 7 * Math.log(3 * n);
    if (sum < least) [least, chosen] = [sum, option];
  });
  return chosen.cuts;
}

type Line = { row: number; widthRows: number; step: number; noise: number };

/** A cut, and half the way over which one colour goes into the other where that was cut at both its ends. */
type Cut = { row: number; halfRows: number };

/**
 * A ramp between two colours is cut at both its ends: where the thin piece between two cuts is no more than a mixture
 * of what lies under and over it, one cut is left. A thin layer of a colour of its own stays.
 */
function withoutRamps(channels: Channels, cuts: readonly number[], thinRows: number): Cut[] {
  const out: Cut[] = cuts.map((row) => ({ row, halfRows: 0 }));
  const n = channels[0].length;
  for (let i = 0; i + 1 < out.length;) {
    const [low, high] = [out[i].row, out[i + 1].row];
    if (high - low > thinRows) {
      i += 1;
      continue;
    }
    const under = meanOf(channels, Math.round(Math.max(out[i - 1]?.row ?? 0, low - thinRows)), low);
    const over = meanOf(channels, high, Math.round(Math.min(out[i + 2]?.row ?? n, high + thinRows)));
    const between = meanOf(channels, low, high);
    const jump = over.map((v, k) => v - under[k]);
    const size = Math.hypot(...jump);
    const share = between.reduce((sum, v, k) => sum + (v - under[k]) * jump[k], 0) / (size * size);
    const aside = Math.hypot(...between.map((v, k) => v - under[k] - share * jump[k]));
    if (share > -0.1 && share < 1.1 && aside < Math.max(1.5, 0.12 * size)) {
      const even = share > 0.2 && share < 0.8;
      const row = even ? Math.round((low + high) / 2) : share < 0.5 ? high : low;
      out.splice(i, 2, { row, halfRows: even ? (high - low) / 2 : 0 });
    } else i += 1;
  }
  return out;
}

/** Makes a line fine: where the colours on its way from one side to the other are half-way, and how wide the way is. */
function fineLine(channels: Channels, cut: number, low: number, high: number, gap: number): Line | undefined {
  const below = [Math.max(low, 0), Math.max(low + 3, cut - gap)] as const;
  const above = [Math.min(high - 3, cut + gap), high] as const;
  if (below[1] - below[0] < 3 || above[1] - above[0] < 3) return undefined;
  const jump: number[] = [];
  const start: number[] = [];
  let rest = 0;
  for (const values of channels) {
    const a = lineAt(values, below[0], below[1], cut, 3 * gap);
    const b = lineAt(values, above[0], above[1], cut, 3 * gap);
    start.push(a.value);
    jump.push(b.value - a.value);
    rest += (a.rest + b.rest) / 2;
  }
  const step = Math.hypot(...jump);
  if (!(step > 0)) return undefined;
  // How far each row has come from the colour below to that above, 0-1, smoothed over three rows.
  const way = (row: number) => {
    let sum = 0;
    for (let i = row - 1; i <= row + 1; i++) {
      const r = Math.min(channels[0].length - 1, Math.max(0, i));
      for (let k = 0; k < 3; k++) sum += (channels[k][r] - start[k]) * jump[k];
    }
    return sum / 3 / (step * step);
  };
  const crossing = (share: number) => {
    // The crossing nearest to the cut, looked for outwards.
    for (let d = 0; d <= gap * 2; d++) {
      for (const row of d === 0 ? [cut] : [cut - d, cut + d]) {
        const [p, q] = [way(row - 1), way(row)];
        if ((p - share) * (q - share) <= 0 && p !== q) return row - 1 + (share - p) / (q - p) + 0.5;
      }
    }
    return undefined;
  };
  const row = crossing(0.5) ?? cut;
  const [from, to] = [crossing(0.16), crossing(0.84)];
  const widthRows = from === undefined || to === undefined ? gap : Math.abs(to - from);
  return { row, widthRows, step, noise: Math.sqrt(rest) };
}

/**
 * Finds the lines of a strip: an exact search for the best cut into 2-6 pieces, each line then made fine on the full
 * profile and judged by its step over the noise around it.
 *
 * @param o.minConfidence 0-1, {@link CONFIDENCE_LEAST} unless given
 * @returns lines from the bottom up; none where the strip is all of one colour
 * @throws {RangeProblem} on `strip` for a profile of fewer than 30 rows
 */
export function segmentProfile(o: StripProfile & { minConfidence?: number }): Boundary[] {
  const { colours, rowMm, fromMm } = o;
  if (colours.length < 30) {
    throw new RangeProblem(
      'strip',
      'The strip is too short. Draw it from the inside bottom to the water line.'
    );
  }
  const bins = Math.min(SEARCH_ROWS, colours.length);
  const coarse = channelsOf(colours, bins);
  const perBin = colours.length / bins;
  const least = Math.max(3, Math.round(PIECE_LEAST_MM / (rowMm * perBin)));
  const most = Math.min(PIECES_MOST, Math.floor(bins / least));
  const fine = channelsOf(colours, colours.length);
  const chosen = choosePieces(bestCuts(coarse, most, least), bins, rowNoise(coarse, least));
  const cuts = withoutRamps(
    fine,
    chosen.map((c) => Math.round(c * perBin)),
    RAMP_MM / rowMm
  );
  const [reach, gap] = [REACH_MM / rowMm, Math.max(2, Math.round(1 / rowMm))];
  // A row or two of the next colour would spoil the mean of a thin layer.
  const margin = 0.4 / rowMm;
  const out: Boundary[] = [];
  cuts.forEach(({ row, halfRows }, i) => {
    const low = Math.round(Math.max(i > 0 ? cuts[i - 1].row + margin : 0, row - halfRows - reach));
    const high = Math.round(
      Math.min(i + 1 < cuts.length ? cuts[i + 1].row - margin : colours.length, row + halfRows + reach)
    );
    const line = fineLine(fine, row, low, high, gap + Math.round(halfRows));
    if (!line) return;
    const plain = line.step / Math.hypot(line.noise, JUST_SEEN);
    const confidence = plain ** 2 / (plain ** 2 + 4);
    if (confidence < (o.minConfidence ?? CONFIDENCE_LEAST)) return;
    out.push({
      heightMm: fromMm + (line.row - 0.5) * rowMm,
      sigmaMm: Math.hypot(SIGMA_LEAST_MM, (line.widthRows * rowMm) / 2),
      confidence
    });
  });
  return out;
}
