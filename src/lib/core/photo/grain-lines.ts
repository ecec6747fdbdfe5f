/**
 * Thinnest layer that is told by its grain alone, mm; how much coarser one grain is than another at least, as a share of the
 * coarser; and how plainly, as the square of the step over its standard error.
 */
const GRAIN = { leastMm: 2.5, coarser: 0.3, plain: 60 };

/** A line between two layers of one colour but of another grain: a row, and how plain it is, 0-1. */
export type GrainLine = { row: number; confidence: number };

/**
 * Where grain changes within a piece of one colour, as between sand and silt from one rock: the best cut into two pieces of
 * even grain each, where that is plain (as many rows as share a grain count as one).
 *
 * @param grain of each row
 * @param from first row of the piece
 * @param to first row over it
 * @param rowMm height of a row, mm
 */
export function grainLine(
  grain: readonly number[],
  from: number,
  to: number,
  rowMm: number
): GrainLine | undefined {
  const n = to - from;
  const least = Math.max(3, Math.round(GRAIN.leastMm / rowMm));
  if (n < 2 * least) return undefined;
  const sums = new Float64Array(n + 1);
  let square = 0;
  for (let i = 0; i < n; i++) {
    sums[i + 1] = sums[i] + grain[from + i];
    square += grain[from + i] ** 2;
  }
  let [cut, rest] = [0, Infinity];
  for (let i = least; i <= n - least; i++) {
    const left = square - sums[i] ** 2 / i - (sums[n] - sums[i]) ** 2 / (n - i);
    if (left < rest) [cut, rest] = [i, left];
  }
  const [under, over] = [sums[cut] / cut, (sums[n] - sums[cut]) / (n - cut)];
  const step = Math.abs(over - under);
  if (step < GRAIN.coarser * Math.max(under, over)) return undefined;
  const together = rowsTogether(grain, from, to, from + cut, under, over);
  const variance = (rest / n) * together * (1 / cut + 1 / (n - cut));
  const plain = (step * step) / Math.max(1e-9, variance) / GRAIN.plain;
  return plain > 1 ? { row: from + cut, confidence: 1 - 1 / (1 + plain) } : undefined;
}

/**
 * How many rows share a grain, from how alike neighbours are about their means; 1 at least. Source: effective number of
 * observations that follow one another, (1 + r) / (1 - r) (Bayley & Hammersley 1946).
 */
function rowsTogether(
  grain: readonly number[],
  from: number,
  to: number,
  cut: number,
  under: number,
  over: number
): number {
  let [own, next] = [0, 0];
  const off = (i: number) => grain[i] - (i < cut ? under : over);
  for (let i = from; i + 1 < to; i++) {
    own += off(i) ** 2;
    next += off(i) * off(i + 1);
  }
  const alike = Math.min(0.9, Math.max(0, next / Math.max(1e-9, own)));
  return (1 + alike) / (1 - alike);
}
