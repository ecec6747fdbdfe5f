import type { LabColour } from './picture.ts';

/** Lightness and both colours of a strip, row by row. */
export type Channels = readonly [Float64Array, Float64Array, Float64Array];

export function channelsOf(colours: readonly LabColour[], bins: number): Channels {
  const out = [0, 1, 2].map(() => new Float64Array(bins)) as [Float64Array, Float64Array, Float64Array];
  for (let i = 0; i < bins; i++) {
    const from = Math.floor((i * colours.length) / bins);
    const to = Math.max(from + 1, Math.floor(((i + 1) * colours.length) / bins));
    for (let k = 0; k < 3; k++) {
      let sum = 0;
      for (let j = from; j < to; j++) sum += colours[j][k];
      out[k][i] = sum / (to - from);
    }
  }
  return out;
}

const median = (values: number[]) => values.sort((a, b) => a - b)[values.length >> 1];

/** Noise of a row: from the middle one of the differences of rows a little apart, which lines hardly touch. */
export function rowNoise(channels: Channels, apart: number): number {
  let square = 0;
  for (const values of channels) {
    const steps: number[] = [];
    for (let i = apart; i < values.length; i++) steps.push(Math.abs(values[i] - values[i - apart]));
    square += (median(steps) / 0.6745 / Math.SQRT2) ** 2;
  }
  return Math.sqrt(square);
}

/**
 * How many rows in a row are one grain or one mottle: by so much the means of short pieces are less sure than those of rows
 * that know nothing of each other. 1 at least.
 *
 * @param size rows of a short piece
 * @param noise of a row
 */
export function grainRows(channels: Channels, size: number, noise: number): number {
  const pieces = Math.floor(channels[0].length / size);
  if (pieces < 8 || !(noise > 0)) return 1;
  let square = 0;
  for (const values of channels) {
    const means = Array.from({ length: pieces }, (_, p) => {
      let sum = 0;
      for (let i = p * size; i < (p + 1) * size; i++) sum += values[i];
      return sum / size;
    });
    // Bent by so much from one piece to the next: even light falls out.
    const bends: number[] = [];
    for (let p = 2; p < pieces; p++) bends.push(Math.abs(means[p] - 2 * means[p - 1] + means[p - 2]));
    square += (median(bends) / 0.6745) ** 2 / 6;
  }
  return Math.min(size, Math.max(1, (size * square) / (noise * noise)));
}

/** Sums from the start of everything that the cost of a straight piece needs. */
export function sumsOf(channels: Channels) {
  const n = channels[0].length;
  const x = new Float64Array(n + 1);
  const xx = new Float64Array(n + 1);
  const ys = channels.map(() => new Float64Array(n + 1));
  const xys = channels.map(() => new Float64Array(n + 1));
  const yy = new Float64Array(n + 1);
  for (let i = 0; i < n; i++) {
    x[i + 1] = x[i] + i;
    xx[i + 1] = xx[i] + i * i;
    yy[i + 1] = yy[i];
    channels.forEach((values, k) => {
      ys[k][i + 1] = ys[k][i] + values[i];
      xys[k][i + 1] = xys[k][i] + i * values[i];
      yy[i + 1] += values[i] * values[i];
    });
  }
  /** Sum of squares about the straight line through rows from (with) to (without), over all channels. */
  return (from: number, to: number): number => {
    const m = to - from;
    const sx = x[to] - x[from];
    const sxx = xx[to] - xx[from] - (sx * sx) / m;
    let cost = yy[to] - yy[from];
    for (let k = 0; k < 3; k++) {
      const sy = ys[k][to] - ys[k][from];
      cost -= (sy * sy) / m;
      if (sxx > 0) {
        const sxy = xys[k][to] - xys[k][from] - (sx * sy) / m;
        cost -= (sxy * sxy) / sxx;
      }
    }
    return Math.max(0, cost);
  };
}

/** Mean colour of rows. */
export function meanOf(channels: Channels, from: number, to: number): number[] {
  return channels.map((values) => {
    let sum = 0;
    for (let i = from; i < to; i++) sum += values[i];
    return sum / (to - from);
  });
}

/** Straight line through rows of one channel, read at a place. */
export function lineAt(
  values: Float64Array,
  from: number,
  to: number,
  at: number,
  least: number
): { value: number; rest: number } {
  const n = to - from;
  let [sx, sy, sxx, sxy, syy] = [0, 0, 0, 0, 0];
  for (let i = from; i < to; i++) {
    sx += i;
    sy += values[i];
    sxx += i * i;
    sxy += i * values[i];
    syy += values[i] * values[i];
  }
  const spread = sxx - (sx * sx) / n;
  // Over a short piece the slope is all noise: its mean is read instead.
  const slope = n >= least ? (sxy - (sx * sy) / n) / spread : 0;
  const rest = Math.max(0, syy - (sy * sy) / n - slope * slope * spread);
  return { value: sy / n + slope * (at - sx / n), rest: rest / Math.max(1, n - 2) };
}
