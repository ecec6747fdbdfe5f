import { toTriangle } from '../texture/geometry.ts';
import type { FractionDraws } from './draws.ts';

/** A density over a patch of the triangle, row by row from low clay up, for a contour to be drawn at `level`. */
export type DensityGrid = {
  /** Patch in triangle coordinates (see `toTriangle`). */
  x0: number;
  y0: number;
  cell: number;
  columns: number;
  rows: number;
  values: number[];
  /** Density whose contour holds the asked share of the draws. */
  level: number;
  /** Densities whose contours hold less and less of the draws: ink is laid on within each. */
  ink: number[];
};

/** Shares of the draws that each layer of ink holds. */
const INK = [0.75, 0.55, 0.35, 0.15];

const CELLS = 44;
/** Passes of smoothing; few draws take more, or each would stand for itself. */
const PASSES = 2;
const FEW = 1000;
const FEW_PASSES = 5;
/** Room about the draws, cells: what smoothing spreads stays on the patch. */
const ROOM = 6;

/**
 * Smoothed density of the draws on the triangle, with the level whose contour holds `share` of them.
 *
 * @param share 0.9 for the 90 % region
 */
export function densityGrid(draws: FractionDraws, share = 0.9): DensityGrid {
  const n = draws.kept;
  const xs = new Float64Array(n);
  const ys = new Float64Array(n);
  let [x0, x1, y0, y1] = [Infinity, -Infinity, Infinity, -Infinity];
  for (let i = 0; i < n; i++) {
    const k = i * 3;
    const at = toTriangle({
      sand: draws.fractions[k],
      silt: draws.fractions[k + 1],
      clay: draws.fractions[k + 2]
    });
    xs[i] = at.x;
    ys[i] = at.y;
    x0 = Math.min(x0, at.x);
    x1 = Math.max(x1, at.x);
    y0 = Math.min(y0, at.y);
    y1 = Math.max(y1, at.y);
  }
  const cell = Math.max(x1 - x0, y1 - y0, 0.004) / (CELLS - 2 * ROOM);
  const pad = ROOM * cell;
  const columns = Math.ceil((x1 - x0) / cell) + 2 * ROOM + 1;
  const rows = Math.ceil((y1 - y0) / cell) + 2 * ROOM + 1;
  const counts = new Float64Array(columns * rows);
  for (let i = 0; i < n; i++) {
    const column = Math.floor((xs[i] - x0 + pad) / cell);
    const row = Math.floor((ys[i] - y0 + pad) / cell);
    counts[row * columns + column] += 1 / n;
  }
  const values = smooth(counts, columns, rows, n < FEW ? FEW_PASSES : PASSES);
  return {
    x0: x0 - pad,
    y0: y0 - pad,
    cell,
    columns,
    rows,
    values: [...values],
    level: levelFor(values, share),
    ink: INK.map((held) => levelFor(values, held))
  };
}

/** Binomial smoothing, passes of (1 4 6 4 1)/16 each way. */
function smooth(values: Float64Array, columns: number, rows: number, passes: number): Float64Array {
  const kernel = [1 / 16, 4 / 16, 6 / 16, 4 / 16, 1 / 16];
  let from = values;
  for (let pass = 0; pass < 2 * passes; pass++) {
    const step = pass % 2 === 0 ? 1 : columns;
    const length = step === 1 ? columns : rows;
    const to = new Float64Array(from.length);
    for (let i = 0; i < from.length; i++) {
      const place = step === 1 ? i % columns : Math.floor(i / columns);
      for (let k = -2; k <= 2; k++) {
        if (place + k >= 0 && place + k < length) to[i] += kernel[k + 2] * from[i + k * step];
      }
    }
    from = to;
  }
  return from;
}

function levelFor(values: Float64Array, share: number): number {
  const order = Float64Array.from(values).sort();
  let sum = 0;
  const total = order.reduce((a, b) => a + b, 0);
  for (let i = order.length - 1; i >= 0; i--) {
    sum += order[i];
    if (sum >= share * total) return order[i];
  }
  return 0;
}
