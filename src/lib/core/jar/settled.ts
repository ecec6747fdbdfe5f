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

/** Height of the top by its fit, mm, `timeS` after set-down: `h_end + a exp(-t/T)`. */
export const fittedTop = ({ endMm, leftMm, constantS }: TopFit, timeS: number): number =>
  endMm + leftMm * Math.exp(-timeS / constantS);

/** Reading error of the top, mm: a ruler's. */
export const TOP_SIGMA_MM = 0.5;

/** Readings that a fit takes. */
export const TOPS_NEEDED = 4;
/** Whether and when the top stands still. Times s after set-down. */
export type TopAnswer =
  | { kind: 'few'; missing: number }
  /** The readings bend towards no end yet, or lie on no one curve. */
  | { kind: 'unsure' }
  | { kind: 'moving'; leftMm: number; stillAtS: number; fit: TopFit }
  | { kind: 'still'; leftMm: number; stillAtS: number; fit: TopFit };

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
 * @param o.fit lays the curve through the readings, `fitTop`: given, so that whoever has too few readings need not carry it
 */
export function settledYet(o: {
  jar: CutInput;
  tops: readonly TopReading[];
  nowS: number;
  sigmaMm: number;
  clarity: Clarity;
  fit: (tops: readonly TopReading[]) => TopFit | undefined;
}): SettledAnswer {
  const [siltDoneS] = trueTimes(o.jar, [CLAY_LIMIT_UM]);
  const column = settlingColumn({ fractions: PLANNING_SOIL, ...o.jar });
  const cutUm = column.cutUm(Math.max(1, o.nowS));
  const usual = 100 * clayStillUp(cutUm);
  const coarse = 100 * clayStillUp(cutUm, clearClayFloor(cutUm));
  const top = answerTop(o);
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

function answerTop({ tops, nowS, sigmaMm, fit: fitTop }: Parameters<typeof settledYet>[0]): TopAnswer {
  if (tops.length < TOPS_NEEDED) return { kind: 'few', missing: TOPS_NEEDED - tops.length };
  const fit = fitTop(tops);
  if (!fit || fit.errorMm > MISS_MOST * sigmaMm) return { kind: 'unsure' };
  const { constantS } = fit;
  const first = Math.abs(fit.leftMm);
  const leftMm = first * Math.exp(-nowS / constantS);
  const stillAtS = first <= sigmaMm ? tops[0].timeS : constantS * Math.log(first / sigmaMm);
  return { kind: leftMm <= sigmaMm ? 'still' : 'moving', leftMm, stillAtS, fit };
}
