import { linesOf } from '../../estimate/looks.ts';
import type { JarTrack } from './track.ts';
import type { Moment } from './moment.ts';

/** Where an eye would draw the tops of sand and silt in a jar at a moment, mm over the inside bottom: as the estimate draws them. */
export function linesNow({ settlings }: JarTrack, moment: Moment): { sandMm: number; siltMm: number } {
  const floorMm = settlings[0].floorMm;
  const parts = [...(moment.before.length > 0 ? [{ from: settlings[0], tops: moment.before }] : [])];
  parts.push({ from: moment.settling, tops: moment.tops });
  const layerM: number[] = [];
  const sandShare: number[] = [];
  const coarseShare: number[] = [];
  let below = floorMm;
  for (const { from, tops } of parts) {
    tops.forEach((top, i) => {
      layerM.push((top - below) / 1000);
      sandShare.push(from.sandShare[i]);
      coarseShare.push(from.coarseShare[i]);
      below = top;
    });
  }
  const n = layerM.length;
  const run = {
    timesS: new Float64Array(n),
    topM: new Float64Array(n),
    tauS: new Float64Array(n),
    met: new Float64Array(n),
    layerM: Float64Array.from(layerM),
    sinks: new Float64Array(n),
    sandShare: Float64Array.from(sandShare),
    coarseShare: Float64Array.from(coarseShare)
  };
  const { sandM, siltM } = linesOf(run, n - 1);
  return { sandMm: floorMm + 1000 * sandM, siltMm: floorMm + 1000 * siltM };
}
