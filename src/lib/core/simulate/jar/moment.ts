import type { Fractions } from '../../physics/bands.ts';
import { downAt, leftOf, TRACK_END_S, type JarTrack, type Settling } from './track.ts';

/** A jar at a moment: which settling is under way, between which of its steps, and its bed. Heights in mm over the inside bottom. */
export type Moment = {
  timeS: number;
  settling: Settling;
  /** The step last ended (-1 for none), and how far the next is, 0 to 1. */
  step: number;
  part: number;
  tauS: number;
  topMm: number;
  /** Tops of the layers that lie, bottom first: of the settling before, where the jar was knocked, and of this one. */
  before: Float64Array;
  tops: Float64Array;
};

/** Whole steps ended, and how far the next one is in the logarithm of time. */
function placeOf(times: Float64Array, s: number): { step: number; part: number } {
  let [low, high] = [-1, times.length - 1];
  while (low < high) {
    const mid = Math.ceil((low + high) / 2);
    if (times[mid] <= s) low = mid;
    else high = mid - 1;
  }
  if (low + 1 >= times.length) return { step: low, part: 0 };
  if (low < 0) return { step: -1, part: Math.max(0, s) / times[0] };
  return { step: low, part: Math.log(s / times[low]) / Math.log(times[low + 1] / times[low]) };
}

/**
 * How a jar stands at a time.
 *
 * @param timeS s after set-down, held between 0 and a week
 */
export function momentOf({ settlings }: JarTrack, timeS: number): Moment {
  const at = Math.min(TRACK_END_S, Math.max(0, timeS));
  const index = settlings.length > 1 && at >= settlings[1].fromS ? 1 : 0;
  const settling = settlings[index];
  const sinceS = at - settling.fromS;
  const { step, part } = placeOf(settling.timesS, sinceS);
  const from = step < 0 ? 0 : settling.tauS[step];
  const to = settling.tauS[Math.min(step + 1, settling.tauS.length - 1)];
  const earlier = index === 1 ? settlings[0] : undefined;
  let top = settlings[0].floorMm;
  const before = new Float64Array(earlier ? earlier.timesS.length : 0);
  const kept = settling.keptBefore;
  if (earlier && kept) {
    for (let i = 0; i < before.length; i++)
      before[i] = top += earlier.layerMm[i] * kept[i] * leftOf(earlier, i, at);
  }
  const count = Math.min(settling.timesS.length, step + 2);
  const tops = new Float64Array(count);
  for (let i = 0; i < count; i++) {
    const whole = settling.layerMm[i] * (i <= step ? leftOf(settling, i, sinceS) : part);
    tops[i] = top += whole;
  }
  return { timeS: at, settling, step, part, tauS: from + (to - from) * part, topMm: top, before, tops };
}

/** Shares of a class that lie now, 0 to 1: between two steps as far as the next one is. */
export const liesNow = ({ settling, step, part }: Moment, c: number): number => {
  const now = downAt(settling, c, step);
  const next = Math.min(step + 1, settling.tauS.length - 1);
  return now + (downAt(settling, c, next) - now) * part;
};

/**
 * What of a jar lies on the bottom at a moment, kg/m2 of sand, silt and clay; crumbs count as what they are made of.
 */
export function lying(track: JarTrack, moment: Moment): Fractions {
  const by = [0, 0, 0];
  const { settling } = moment;
  const earlier = track.settlings[0];
  const kept = settling.keptBefore;
  for (let c = 0; c < settling.share.length; c++) {
    by[settling.band[c]] += settling.loadKgM2 * settling.share[c] * liesNow(moment, c);
    if (!kept) continue;
    for (let i = 0; i < kept.length; i++)
      by[settling.band[c]] +=
        earlier.loadKgM2 * earlier.share[c] * kept[i] * (downAt(earlier, c, i) - downAt(earlier, c, i - 1));
  }
  const { fallsAsSand } = track.jar;
  return {
    sand: by[0] * fallsAsSand.sand,
    silt: by[1] + by[0] * fallsAsSand.silt,
    clay: by[2] + by[0] * fallsAsSand.clay
  };
}

/** All that is in a jar, kg/m2 of sand, silt and clay; what its foam holds too. */
export function wholeOf({ jar }: JarTrack): Fractions {
  const { make, held, fallsAsSand } = jar;
  const sand = make.loadKgM2 * make.sand;
  return {
    sand: sand * fallsAsSand.sand + held.sand,
    silt: make.loadKgM2 * make.silt + sand * fallsAsSand.silt + held.silt,
    clay: make.loadKgM2 * make.clay + sand * fallsAsSand.clay + held.clay
  };
}

/** What the water holds where it is even, as it is set down, g/L. */
export function evenGL(track: JarTrack): number {
  const { sand, silt, clay } = wholeOf(track);
  return ((sand + silt + clay) * 1000) / track.jar.columnMm;
}

/**
 * What the water holds at a height now: of each size the part that has not fallen past it, in g/L. Within a class mass is even
 * in the logarithm of size, as in the estimate's own water.
 *
 * @param share height over the floor as a share of the column, 0 to 1
 */
export function waterAt({ settling, tauS }: Moment, share: number): Fractions {
  const by = [0, 0, 0];
  const { fast, slow, band } = settling;
  /** What falls slower than this has not passed yet, columns a second. */
  const slower = tauS > 0 ? (1 - share) / tauS : Infinity;
  for (let c = 0; c < band.length; c++) {
    const up =
      slower >= fast[c]
        ? 1
        : slower <= slow[c]
          ? 0
          : Math.log(slower / slow[c]) / Math.log(fast[c] / slow[c]);
    by[band[c]] += settling.share[c] * up;
  }
  const gL = (settling.loadKgM2 * 1000) / settling.columnMm;
  return { sand: gL * by[0], silt: gL * by[1], clay: gL * by[2] };
}
