import {
  BED_PROFILES,
  BORE_LINE,
  drawsOf,
  isShare,
  judgeBore,
  judgeProfile,
  ORGANIC_UNKNOWN,
  sharesAbout,
  soilDraws,
  type BoreVerdict,
  type Fractions,
  type Judgement
} from '../core/index.ts';
import { isJarSnapshot, type Snapshot } from '../contract/records/result.ts';

/** A soil to be judged: its shares by mass, and soils that could be it. */
export type SoilInHand = {
  fractions: Fractions;
  /** Sand, silt and clay of each, percent. */
  shares: Float64Array;
  /** `typed` and `read` are as sure as somebody took them for. */
  basis: 'estimate' | 'weighed' | 'read' | 'typed';
};

/** Percentages from elsewhere are taken for as sure as this, and heights without an answer, points (standard error). */
export const TAKEN_FOR = { typed: 3, read: 10 };
const evenly = (sd: number) => ({ sand: sd, clay: sd });

/** What a finished test says of a soil; undefined where it read one share alone. */
export function soilOf(snapshot: Snapshot): SoilInHand | undefined {
  if (!isJarSnapshot(snapshot)) {
    const { fractions, sd } = snapshot.result;
    return { fractions, shares: sharesAbout(fractions, sd), basis: 'weighed' };
  }
  const { answer, mass, result } = snapshot;
  if (answer) return { fractions: answer.fractions, shares: drawsOf(answer).fractions, basis: 'estimate' };
  if (isShare(result)) return undefined;
  const { fractions } = mass ?? result;
  return { fractions, shares: sharesAbout(fractions, evenly(TAKEN_FOR.read)), basis: 'read' };
}

/** A soil by percentages that somebody has. */
export const soilTyped = (fractions: Fractions): SoilInHand => ({
  fractions,
  shares: sharesAbout(fractions, evenly(TAKEN_FOR.typed)),
  basis: 'typed'
});

/** What a soil comes to for what it was taken for: a bore by its usual line, else the first of the beds. */
export function usualVerdict(
  soil: SoilInHand,
  purpose: string
): { bore: BoreVerdict; line: number } | { bed: Judgement } {
  if (purpose === 'bore') return { bore: judgeBore(soil), line: BORE_LINE };
  return { bed: judgeProfile(BED_PROFILES[0], soilDraws(soil.shares, ORGANIC_UNKNOWN)) };
}
