import { RangeProblem } from '../errors.ts';
import { goesThrough, notOfDeposit } from './believed.ts';
import { channelsOf, grainRows, rowNoise, sumsOf, meanOf, lineAt, type Channels } from './channels.ts';
import { grainLine } from './grain-lines.ts';
import { REACH_MM, withoutRamps } from './ramps.ts';
import { scaleSigma, type StripProfile } from './strip.ts';

/** A line that was found on a strip. */
export type Boundary = {
  /** Height over the inside bottom, mm. */
  heightMm: number;
  /** Standard error from the width of its colour ramp, and from the scale where its error is told, mm. */
  sigmaMm: number;
  /** How plainly it stands out of the grain and the light around it, 0-1. */
  confidence: number;
};

/** A line on its way out, with the row it lies at. */
type FoundLine = Boundary & { row: number };

/** Fewest and most pieces a strip is cut into: a wide ramp takes one of its own, or two. */
const PIECES_LEAST = 2;
const PIECES_MOST = 9;
/** Rows that the exact search runs over; the places found are then made fine on the full profile. */
const SEARCH_ROWS = 500;
/** Thinnest piece, mm; two lines are no nearer to each other. */
const PIECE_LEAST_MM = 1.4;
/** A line under this confidence is not proposed. */
export const CONFIDENCE_LEAST = 0.5;
/** Difference that a person would still see, CIELAB units: what a step is measured against beside the noise. */
const JUST_SEEN = 1.3;
/**
 * Error of a perfect edge, mm, and as a share of a row; what the width of a ramp adds, as a share of it; and what the grain
 * around a faint one adds, in rows for each of noise over step; and of a line that shows by grain alone, mm. Set on the
 * simulated set.
 */
const SIGMA = { leastMm: 0.012, row: 0.024, ramp: 0.013, grain: 1.7, byGrainMm: 0.8 };
/** The grain of so much next to a line is not looked at: both layers are in it, mm. */
const GRAIN_CLEAR_MM = 0.8;

/** Standard error of a line that was made fine, mm. */
function sigmaOf({ widthRows, noise, step }: Line, rowMm: number): number {
  const grain = SIGMA.grain * (noise / step) * Math.sqrt(Math.max(1, widthRows));
  return Math.hypot(SIGMA.leastMm, rowMm * Math.hypot(SIGMA.row, SIGMA.ramp * widthRows, grain));
}

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

/**
 * The number of pieces whose cost with its penalty is least; a straight piece in three channels has seven numbers.
 *
 * @param together how many rows in a row are one grain, and count as one
 */
function choosePieces(
  found: { cost: number; cuts: number[] }[],
  n: number,
  noise: number,
  together: number
): number[] {
  const unit = Math.max(noise, 0.25) ** 2 * together;
  let chosen = found[PIECES_LEAST - 1] ?? found[0];
  let least = Infinity;
  found.forEach((option, i) => {
    if (i + 1 < PIECES_LEAST) return;
    const sum = option.cost / unit + (i + 1) * 7 * Math.log((3 * n) / together);
    if (sum < least) [least, chosen] = [sum, option];
  });
  return chosen.cuts;
}

/** A line as it was made fine; `jump` from the colour under it to that over it, `step` how much that is. */
type Line = { row: number; widthRows: number; jump: number[]; step: number; noise: number };

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
  return { row, widthRows, jump, step, noise: Math.sqrt(rest) };
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
  const noise = rowNoise(coarse, least);
  const chosen = choosePieces(bestCuts(coarse, most, least), bins, noise, grainRows(coarse, least, noise));
  const cuts = withoutRamps(
    fine,
    chosen.map((c) => Math.round(c * perBin)),
    rowMm
  );
  const [reach, gap] = [REACH_MM / rowMm, Math.max(2, Math.round(1 / rowMm))];
  // A row or two of the next colour would spoil the mean of a thin layer.
  const margin = 0.4 / rowMm;
  const fineLines: FoundLine[] = [];
  cuts.forEach(({ row, halfRows }, i) => {
    const low = Math.round(Math.max(i > 0 ? cuts[i - 1].row + margin : 0, row - halfRows - reach));
    const high = Math.round(
      Math.min(i + 1 < cuts.length ? cuts[i + 1].row - margin : colours.length, row + halfRows + reach)
    );
    const around = { low, high, gap: gap + Math.round(halfRows) };
    const line = fineLine(fine, row, low, high, around.gap);
    if (!line) return;
    const plain = line.step / Math.hypot(line.noise, JUST_SEEN);
    const through = o.parts ? goesThrough(o.parts, line, around) : Infinity;
    const confidence = Math.min(plain ** 2 / (plain ** 2 + 4), 1 - 1 / (1 + through));
    if (confidence < (o.minConfidence ?? CONFIDENCE_LEAST)) return;
    const heightMm = fromMm + (line.row - 0.5) * rowMm;
    fineLines.push({
      row: line.row,
      heightMm,
      sigmaMm: Math.hypot(sigmaOf(line, rowMm), o.scale ? scaleSigma(o.scale, heightMm) : 0),
      confidence
    });
  });
  const found = withoutTwins(fineLines);
  const edges = [0, ...found.map((line) => line.row), colours.length].map(Math.round);
  const pieces = edges
    .slice(1)
    .map((to, i) => meanOf(fine, Math.min(edges[i], to - 1), Math.max(to, edges[i] + 1)));
  const foreign = found.length > 0 ? notOfDeposit(found, pieces) : new Set<number>();
  const lines = found.filter((_, i) => !foreign.has(i));
  return [...lines, ...byGrain(o, found, foreign)]
    .sort((a, b) => a.heightMm - b.heightMm)
    .map(({ row: _, ...line }) => line);
}

/** Two that came nearer to each other than lines lie as they were made fine are one that was cut twice: it lies between them. */
function withoutTwins(lines: readonly FoundLine[]): FoundLine[] {
  const out: FoundLine[] = [];
  for (const line of lines) {
    const last = out.at(-1);
    const apart = last ? line.heightMm - last.heightMm : Infinity;
    if (!last || apart >= PIECE_LEAST_MM) {
      out.push(line);
      continue;
    }
    const share = line.confidence / (last.confidence + line.confidence);
    out[out.length - 1] = {
      row: last.row + share * (line.row - last.row),
      heightMm: last.heightMm + share * apart,
      sigmaMm: Math.hypot(Math.max(last.sigmaMm, line.sigmaMm), apart / 2),
      confidence: Math.max(last.confidence, line.confidence)
    };
  }
  return out;
}

/**
 * Lines that show by grain and not by colour, under each of those that do.
 * @param foreign which of those are none of the deposit: under them is glass, or water
 */
function byGrain(
  { grain, rowMm, fromMm, scale }: StripProfile,
  lines: readonly FoundLine[],
  foreign: ReadonlySet<number>
): FoundLine[] {
  if (!grain) return [];
  const margin = GRAIN_CLEAR_MM / rowMm;
  return lines.flatMap(({ row }, i) => {
    if (foreign.has(i)) return [];
    const from = Math.ceil(i > 0 ? lines[i - 1].row + margin : margin);
    const line = grainLine(grain, from, Math.floor(row - margin), rowMm);
    if (!line) return [];
    const heightMm = fromMm + (line.row - 0.5) * rowMm;
    const sigmaMm = Math.hypot(SIGMA.byGrainMm, scale ? scaleSigma(scale, heightMm) : 0);
    return [{ ...line, heightMm, sigmaMm }];
  });
}
