import { evenStream } from '../../certainty/draws.ts';
import { CLAY_LIMIT_UM, SAND_TOP_UM } from '../../physics/bands.ts';
import type { Moment } from './moment.ts';
import type { JarTrack, Settling } from './track.ts';

/** Grains as they are drawn: so many of each size as it has mass. */
export type Grains = {
  /** Across the glass, -1 to 1, and how large it is drawn, 0 (finest clay) to 1 (coarsest sand). */
  across: Float32Array;
  large: Float32Array;
  /** 0 sand, 1 silt, 2 clay. */
  band: Uint8Array;
  /** Whether it is a floc. */
  floc: Uint8Array;
  /** Of each settling, in the order of the grains: its fall. A grain that does not rise again has none of the second. */
  falls: Fall[];
};
/** Where each grain starts over the floor and how fast it falls, in columns; the step in which it lands, with its part. */
type Fall = { start: Float32Array; speed: Float32Array; lands: Float32Array };

const NEVER = Infinity;
const STAYS = -1;

/** In which step, and how far in it, a grain meets the bed. */
function landing(s: Settling, start: number, speed: number): number {
  let [low, high] = [0, s.timesS.length];
  while (low < high) {
    const mid = (low + high) >> 1;
    if (speed * s.tauS[mid] + s.met[mid] >= start) high = mid;
    else low = mid + 1;
  }
  if (low === s.timesS.length) return NEVER;
  const before = low > 0 ? speed * s.tauS[low - 1] + s.met[low - 1] : 0;
  const after = speed * s.tauS[low] + s.met[low];
  return low + (after > before ? (start - before) / (after - before) : 0);
}

/**
 * Scatters grains through a jar as they are when it is set down, and finds where each comes to rest: sizes by their mass, heights
 * evenly, both in strata so that few stand for many.
 *
 * @param count so many grains
 */
export function scatterGrains({ settlings }: JarTrack, count: number, seed: number): Grains {
  const [first, second] = settlings;
  const even = evenStream(seed);
  const across = new Float32Array(count);
  const large = new Float32Array(count);
  const band = new Uint8Array(count);
  const floc = new Uint8Array(count);
  const falls = settlings.map(() => ({
    start: new Float32Array(count),
    speed: new Float32Array(count),
    lands: new Float32Array(count)
  }));
  const flocsFrom = first.band.length - 2;
  const last = Math.log(SAND_TOP_UM);
  const span = last - Math.log(CLAY_LIMIT_UM / 10);
  let c = 0;
  let below = 0;
  for (let i = 0; i < count; i++) {
    const mass = (i + 0.5) / count;
    while (c < first.share.length - 1 && mass > below + first.share[c]) below += first.share[c++];
    // The golden ratio strews heights evenly, whatever their number.
    const start = (i * 0.618_033_988_75 + even() * 0.01) % 1;
    across[i] = 2 * even() - 1;
    band[i] = first.band[c];
    floc[i] = c >= flocsFrom ? 1 : 0;
    large[i] = Math.min(1, Math.max(0, 1 - (last - Math.log(first.sizeUm[c])) / span));
    const lands = landing(first, start, first.speed[c]);
    falls[0].start[i] = start;
    falls[0].speed[i] = first.speed[c];
    falls[0].lands[i] = lands;
    if (!second?.keptBefore) continue;
    const step = Math.floor(lands);
    const stays = lands !== NEVER && step < first.timesS.length && lands - step <= second.keptBefore[step];
    falls[1].start[i] = even();
    falls[1].speed[i] = second.speed[c];
    falls[1].lands[i] = stays ? STAYS : landing(second, falls[1].start[i], second.speed[c]);
  }
  return { across, large, band, floc, falls };
}

/** Height of a grain that came to rest in a step, mm. */
function restsAt(tops: Float64Array, floorMm: number, lands: number): number {
  const step = Math.min(tops.length - 1, Math.floor(lands));
  const below = step > 0 ? tops[step - 1] : floorMm;
  return below + (tops[step] - below) * Math.min(1, lands - step);
}

/**
 * Heights of all grains at a moment, mm over the inside bottom.
 *
 * @param out written and returned: so many as there are grains
 */
export function grainHeights(
  track: JarTrack,
  grains: Grains,
  moment: Moment,
  out: Float32Array
): Float32Array {
  const index = track.settlings.indexOf(moment.settling);
  const { floorMm, columnMm } = moment.settling;
  const now = moment.step + 1 + moment.part;
  const fall = grains.falls[index];
  const bottom = track.settlings[0].floorMm;
  const lowest = moment.before.length > 0 ? moment.before[moment.before.length - 1] : bottom;
  for (let i = 0; i < out.length; i++) {
    const lands = fall.lands[i];
    if (lands === STAYS) out[i] = restsAt(moment.before, bottom, grains.falls[0].lands[i]);
    else if (lands <= now) out[i] = restsAt(moment.tops, lowest, lands);
    else out[i] = floorMm + columnMm * (fall.start[i] - fall.speed[i] * moment.tauS);
  }
  return out;
}
