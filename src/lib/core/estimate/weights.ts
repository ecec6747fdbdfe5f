/** Weights that logs make at a share of them, `by`, on top of what they weigh already; they sum to 1. */
export function weightsOf(logs: Float64Array, by: number, already?: Float64Array): Float64Array {
  const out = new Float64Array(logs.length);
  let most = -Infinity;
  for (let i = 0; i < logs.length; i++) {
    out[i] = by * logs[i] + (already ? already[i] : 0);
    if (out[i] > most) most = out[i];
  }
  let sum = 0;
  for (let i = 0; i < out.length; i++) sum += out[i] = Math.exp(out[i] - most);
  for (let i = 0; i < out.length; i++) out[i] /= sum;
  return out;
}

/** How many even weights such weights are worth (Kish 1965). */
export function effective(weights: Float64Array): number {
  let square = 0;
  for (const w of weights) square += w * w;
  return 1 / square;
}

/** Which of the weighed are drawn when so many are, evenly spaced from a start of 0 to 1 (systematic resampling; Kitagawa 1996). */
export function drawByWeight(weights: Float64Array, count: number, start: number): Int32Array {
  const out = new Int32Array(count);
  let sum = weights[0];
  let at = 0;
  for (let i = 0; i < count; i++) {
    while (sum < (i + start) / count && at < weights.length - 1) sum += weights[++at];
    out[i] = at;
  }
  return out;
}
