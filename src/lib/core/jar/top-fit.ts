import { lastOf } from '../known.ts';
import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { RangeProblem } from '../errors.ts';
import type { CutInput } from '../method/cuts.ts';
import { settledYet, TOPS_NEEDED, type TopFit, type TopReading } from './settled.ts';

/** Starts of the fit, as shares of the time that was watched: one alone may end in a wrong valley. */
const STARTS = [0.15, 0.5, 1.5, 5];

/**
 * Fits `h(t) = h_end + a exp(-t/T)` to readings of the top, a of either sign: it rises while clay arrives and falls while
 * it compacts (Levenberg & Marquardt).
 *
 * @param readings oldest first, four at least
 * @returns undefined where the readings do not bend, so that no end can be seen
 * @throws {RangeProblem} on `tops`: too few, or not in order of time
 */
export function fitTop(readings: readonly TopReading[]): TopFit | undefined {
  if (readings.length < TOPS_NEEDED) {
    throw new RangeProblem('tops', `Read the top ${TOPS_NEEDED - readings.length} more times.`);
  }
  for (const [i, r] of readings.entries()) {
    if (!(r.heightMm >= 0) || !(r.timeS > (readings[i - 1]?.timeS ?? 0))) {
      throw new RangeProblem(
        'tops',
        'Readings of the top go forward in time, and none lies below the bottom.'
      );
    }
  }
  const [first, last] = [readings[0], lastOf(readings)];
  const span = last.timeS - first.timeS;
  const heights = readings.map((r) => r.heightMm);
  const spread = Math.max(...heights) - Math.min(...heights);
  if (spread < 1e-6) return { endMm: last.heightMm, leftMm: 0, constantS: span, errorMm: 0 };
  // Time from the first reading in spans: the numbers are then of one size.
  const data = { x: readings.map((r) => (r.timeS - first.timeS) / span), y: heights };
  const curve =
    ([end, left, logT]: number[]) =>
    (x: number) =>
      end + left * Math.exp(-x / Math.exp(logT));
  let best: { p: number[]; error: number } | undefined;
  for (const start of STARTS) {
    const fit = levenbergMarquardt(data, curve, {
      initialValues: [last.heightMm, first.heightMm - last.heightMm || spread, Math.log(start)],
      damping: 1.5,
      centralDifference: true,
      gradientDifference: 1e-4,
      maxIterations: 300,
      errorTolerance: 1e-12
    });
    const p = fit.parameterValues as number[];
    if (!p.every(Number.isFinite)) continue;
    const f = curve(p);
    const error = Math.sqrt(data.x.reduce((sum, x, i) => sum + (f(x) - data.y[i]) ** 2, 0) / data.x.length);
    if (!best || error < best.error) best = { p, error };
  }
  if (!best) return undefined;
  const [endMm, left, logT] = best.p;
  const constant = Math.exp(logT);
  // A line that hardly bends has its end anywhere.
  if (constant > LONGEST_CONSTANT || endMm < 0) return undefined;
  return {
    endMm,
    leftMm: left * Math.exp(first.timeS / span / constant),
    constantS: constant * span,
    errorMm: best.error
  };
}

/** Time constant, in spans watched, beyond which an end is a guess. */
const LONGEST_CONSTANT = 4;

/**
 * When a jar is readable by its own readings: silt done and the top still.
 *
 * @returns s after set-down; undefined where they do not tell
 */
export function readableAt(jar: CutInput, tops: readonly TopReading[], sigmaMm: number): number | undefined {
  if (tops.length < TOPS_NEEDED) return undefined;
  const nowS = lastOf(tops).timeS;
  return settledYet({ jar, tops, nowS, sigmaMm, clarity: 'unseen', fit: fitTop }).readableAtS;
}
