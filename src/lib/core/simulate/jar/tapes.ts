import type { EstimateInput } from '../../estimate/estimate-jar.ts';
import { layersAsRead } from '../../layers/layers.ts';
import type { Fractions } from '../../physics/bands.ts';
import { lying, momentOf, wholeOf } from './moment.ts';
import type { JarTrack } from './track.ts';

/** A tape laid at the top of the sediment: when, s after set-down. */
export type LaidTape = { timeS: number };

/**
 * What one tape cuts: its height over the inside bottom as it is read on the right of the glass, mm, what a leaning jar adds to it
 * there, and of each size the percent of the soil that lies under it.
 */
export type TapeCut = { timeS: number; heightMm: number; leansMm: number; below: Fractions };

/** Shares of sand, silt and clay, percent, as three tapes have them. */
export type TapesSay = {
  /** Between the tapes by height, as a worksheet does it. */
  byHeight: Fractions;
  /** What really lies between them by mass, all sizes together. */
  byMass: Fractions;
};

const PARTS = ['sand', 'silt', 'clay'] as const;

/** What a lean adds to every height on the right of the glass, mm: levels stay level, the ruler leans. */
const leansMm = ({ jar }: JarTrack) => (jar.innerDiameterMm / 2) * Math.tan((jar.leanDeg * Math.PI) / 180);

/** What a tape laid at the top of the sediment at a time cuts. */
export function tapeCut(track: JarTrack, timeS: number): TapeCut {
  const moment = momentOf(track, timeS);
  const [lies, whole] = [lying(track, moment), wholeOf(track)];
  const below = { sand: 0, silt: 0, clay: 0 };
  for (const part of PARTS) below[part] = (100 * lies[part]) / whole[part];
  return { timeS, heightMm: moment.topMm + leansMm(track), leansMm: leansMm(track), below };
}

/** The tapes that count as marks of sand, silt and clay: the first three by their times. */
const inOrder = (tapes: readonly LaidTape[]) => tapes.toSorted((a, b) => a.timeS - b.timeS).slice(0, 3);

/**
 * What the first three tapes, in the order of their times, say of a jar. Stones are taken off, as in the product.
 *
 * @returns undefined for fewer than three, or where nothing lies under the last
 */
export function tapesSay(track: JarTrack, tapes: readonly LaidTape[]): TapesSay | undefined {
  if (tapes.length < 3) return undefined;
  const cuts = inOrder(tapes).map(({ timeS }) => momentOf(track, timeS));
  const floor = track.settlings[0].floorMm;
  const heights = cuts.map((cut, i) =>
    Math.max(0, cut.topMm - (i > 0 ? cuts[i - 1].topMm : floor - leansMm(track)))
  );
  if (!(heights[0] + heights[1] + heights[2] > 0)) return undefined;
  const masses = cuts.map((cut) => {
    const lies = lying(track, cut);
    return lies.sand + lies.silt + lies.clay;
  });
  const layers = masses.map((mass, i) => Math.max(0, mass - (i > 0 ? masses[i - 1] : 0)));
  const sum = layers[0] + layers[1] + layers[2];
  return {
    byHeight: layersAsRead({ sandMm: heights[0], siltMm: heights[1], clayMm: heights[2] }).fractions,
    byMass: {
      sand: (100 * layers[0]) / sum,
      silt: (100 * layers[1]) / sum,
      clay: (100 * layers[2]) / sum
    }
  };
}

/** The soil of a jar by mass, percent: the truth. */
export function truthOf(track: JarTrack): Fractions {
  const { sand, silt, clay } = wholeOf(track);
  const sum = sand + silt + clay;
  return { sand: (100 * sand) / sum, silt: (100 * silt) / sum, clay: (100 * clay) / sum };
}

/** Nothing lower is marked on a glass, mm. */
const LEAST_MM = 0.5;

/** The first three tapes of a jar, as they are read, as evidence for the estimate: the stones are taken off, the warmth is known. */
export function tapesAsEvidence(
  track: JarTrack,
  tapes: readonly LaidTape[],
  dispersant: boolean
): EstimateInput {
  const { columnMm, tempC, floorMm } = track.jar;
  return {
    columnMm,
    tempC,
    evidence: [
      ...inOrder(tapes).map(({ timeS }) => ({
        kind: 'mark' as const,
        timeS,
        heightMm: Math.max(LEAST_MM, tapeCut(track, timeS).heightMm - floorMm)
      })),
      { kind: 'dispersant', used: dispersant }
    ]
  };
}
