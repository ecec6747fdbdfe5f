import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { RangeProblem } from '../errors.ts';
import { trueTimes, type CutInput } from '../method/cuts.ts';
import { CLAY_LIMIT_UM } from '../physics/bands.ts';
import { settlingColumn } from '../physics/column.ts';
import { PLANNING_SOIL } from '../method/cuts.ts';
import { clayStillUp, clearClayFloor } from './mass.ts';
import type { Clarity } from './clarity.ts';

/** The top of the sediment as it was read at a time, s after set-down. */
export type TopReading = { timeS: number; heightMm: number };

/** How the top moves: towards a height, by what is left at time zero, with a time constant. */
export type TopFit = { endMm: number; leftMm: number; constantS: number; errorMm: number };

/** Reading error of the top, mm: a ruler's. */
export const TOP_SIGMA_MM = 0.5;

/** Readings that a fit takes. */
export const TOPS_NEEDED = 4;
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
  const [first, last] = [readings[0], readings.at(-1)!];
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

/** Whether and when the top stands still. Times s after set-down. */
export type TopAnswer =
  | { kind: 'few'; missing: number }
  /** The readings bend towards no end yet, or lie on no one curve. */
  | { kind: 'unsure' }
  | { kind: 'moving'; leftMm: number; stillAtS: number; endMm: number }
  | { kind: 'still'; leftMm: number; stillAtS: number; endMm: number };

/** Two separate answers, and what is still up. */
export type SettledAnswer = {
  /** When 2 um has fallen the whole column, s after set-down. */
  siltDoneS: number;
  top: TopAnswer;
  /** When both are so, s after set-down; undefined where the top does not tell. */
  readableAtS?: number;
  /** Percent of the clay that is still up: by the usual clay, and by the finest that the water allows. */
  stillUpPct: { low: number; high: number };
};

/**
 * Is it settled? *Silt is done* when 2 um has fallen the column; the top stands still when what it will still move is
 * under the reading error; *readable* is the later of the two. What is still up is a range, for how fine the clay is
 * cannot be seen.
 *
 * @param o.jar depth, warmth and load, as for cut sizes
 * @param o.nowS s after set-down
 * @param o.sigmaMm reading error of the top, mm
 */
export function settledYet(o: {
  jar: CutInput;
  tops: readonly TopReading[];
  nowS: number;
  sigmaMm: number;
  clarity: Clarity;
}): SettledAnswer {
  const [siltDoneS] = trueTimes(o.jar, [CLAY_LIMIT_UM]);
  const column = settlingColumn({ fractions: PLANNING_SOIL, ...o.jar });
  const cutUm = column.cutUm(Math.max(1, o.nowS));
  const usual = 100 * clayStillUp(cutUm);
  const coarse = 100 * clayStillUp(cutUm, clearClayFloor(cutUm));
  const top = answerTop(o.tops, o.nowS, o.sigmaMm);
  const stillAtS = top.kind === 'moving' || top.kind === 'still' ? top.stillAtS : undefined;
  return {
    siltDoneS,
    top,
    readableAtS: stillAtS === undefined ? undefined : Math.max(siltDoneS, stillAtS),
    stillUpPct: {
      low: o.clarity === 'cloudy' ? usual : coarse,
      high: o.clarity === 'clear' ? coarse : usual
    }
  };
}

/** A curve that misses the readings by more than this many reading errors is not theirs. */
const MISS_MOST = 1;

function answerTop(tops: readonly TopReading[], nowS: number, sigmaMm: number): TopAnswer {
  if (tops.length < TOPS_NEEDED) return { kind: 'few', missing: TOPS_NEEDED - tops.length };
  const fit = fitTop(tops);
  if (!fit || fit.errorMm > MISS_MOST * sigmaMm) return { kind: 'unsure' };
  const { endMm, constantS } = fit;
  const first = Math.abs(fit.leftMm);
  const leftMm = first * Math.exp(-nowS / constantS);
  const stillAtS = first <= sigmaMm ? tops[0].timeS : constantS * Math.log(first / sigmaMm);
  return { kind: leftMm <= sigmaMm ? 'still' : 'moving', leftMm, stillAtS, endMm };
}

/**
 * When a jar is readable by its own readings: silt done and the top still.
 *
 * @returns s after set-down; undefined where they do not tell
 */
export function readableAt(jar: CutInput, tops: readonly TopReading[], sigmaMm: number): number | undefined {
  if (tops.length < TOPS_NEEDED) return undefined;
  const nowS = tops.at(-1)!.timeS;
  return settledYet({ jar, tops, nowS, sigmaMm, clarity: 'unseen' }).readableAtS;
}
