import { claysOver, doubtedShares, isShare, oneShare, sharesAbout, type WallSoil } from '../core/index.ts';
import { isJarSnapshot, type Snapshot } from '../contract/records/result.ts';
import type { SampleDetails } from '../contract/records/sample.ts';
import { soilOf, type SoilInHand } from './act.ts';

/** Heights as they were read, as soils that could have been read so; undefined where none were. */
function heightsOf(snapshot: Snapshot): Pick<WallSoil, 'heights' | 'only' | 'smeared'> {
  if (!isJarSnapshot(snapshot)) return {};
  const { result, doubts = [] } = snapshot;
  if (!isShare(result)) {
    const read = sharesAbout(result.calibrated?.asRead ?? result.fractions, result.sd);
    return { heights: doubtedShares(read, doubts) };
  }
  const { layer, pct } = result;
  const only = { layer, pct };
  if (result.orMore) return { heights: claysOver(pct), only, smeared: true };
  const spread = { sand: 0, clay: 0, [layer]: result.sd };
  return { heights: sharesAbout(oneShare(layer, pct), spread), only };
}

/** Gravel of the whole, percent: as read in the jar, else as it was weighed beside the sample. */
function gravelOf(snapshot: Snapshot, { gravel }: SampleDetails): number {
  const read = isJarSnapshot(snapshot) && !isShare(snapshot.result) ? snapshot.result.gravelPct : 0;
  if (read > 0) return read;
  return gravel?.whole ? (100 * gravel.amount) / gravel.whole : 0;
}

/** The skin of settled organics, percent of the deposit, where one was read. */
function skinOf(snapshot: Snapshot): number | undefined {
  if (!isJarSnapshot(snapshot) || isShare(snapshot.result)) return undefined;
  const { skinMm, totalMm } = snapshot.result;
  return skinMm === undefined || totalMm <= 0 ? undefined : (100 * skinMm) / totalMm;
}

/** What a finished test and its sample say of a soil for a wall; undefined where they say nothing. */
export function wallSoilOf(snapshot: Snapshot, details: SampleDetails): WallSoil | undefined {
  const read = heightsOf(snapshot);
  const mass = read.only ? undefined : soilOf(snapshot, details)?.shares;
  if (!read.heights && !mass) return undefined;
  const organicPct = skinOf(snapshot);
  return {
    ...read,
    ...(mass ? { mass } : {}),
    gravelPct: gravelOf(snapshot, details),
    // What went through a mesh is no bigger than it.
    ...(details.sieve ? { stoneMm: details.sieve.mm } : {}),
    ...(organicPct === undefined ? {} : { organicPct })
  };
}

/** A soil by percentages that somebody has: the same by height and by mass, for nobody knows which. */
export const wallSoilTyped = ({ shares }: Pick<SoilInHand, 'shares'>): WallSoil => ({
  heights: shares,
  mass: shares,
  gravelPct: 0
});
