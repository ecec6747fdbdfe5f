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
  type Judgement,
  verdictOf
} from '../core/index.ts';
import { isJarSnapshot, type Snapshot } from '../contract/records/result.ts';
import type { Purpose } from '../contract/records/sample.ts';

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

/** Why a finished test has no soil to judge: it read one share alone, or no settling makes its heights. */
export function whyNoSoil(snapshot: Snapshot): 'oneShare' | 'impossible' | undefined {
  if (!isJarSnapshot(snapshot)) return undefined;
  const { answer, result } = snapshot;
  if (answer) return verdictOf(answer).kind === 'impossible' ? 'impossible' : undefined;
  return isShare(result) ? 'oneShare' : undefined;
}

/** What a finished test says of a soil; undefined where {@link whyNoSoil} says why. */
export function soilOf(snapshot: Snapshot): SoilInHand | undefined {
  if (!isJarSnapshot(snapshot)) {
    const { fractions, sd } = snapshot.result;
    return { fractions, shares: sharesAbout(fractions, sd), basis: 'weighed' };
  }
  const { answer, mass, result } = snapshot;
  if (whyNoSoil(snapshot)) return undefined;
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

/**
 * What a soil comes to for what it was taken for: a bore by its usual line, a garden by the first of the beds; undefined for
 * other purposes, which have no verdict yet.
 */
export function usualVerdict(
  soil: SoilInHand,
  purpose: Purpose
): { bore: BoreVerdict; line: number } | { bed: Judgement } | undefined {
  if (purpose === 'bore') return { bore: judgeBore(soil), line: BORE_LINE };
  if (purpose !== 'garden') return undefined;
  return { bed: judgeProfile(BED_PROFILES[0], soilDraws(soil.shares, ORGANIC_UNKNOWN)) };
}

const MINUTE_MS = 60_000;
const DAY_MINUTES = 24 * 60;
/** Beds are watered in the morning, minutes after midnight. */
const MORNING = 7 * 60;

/** Tomorrow morning, ms UTC. @param minuteOfDay minutes after local midnight, now */
export const firstWatering = (now: number, minuteOfDay: number): number =>
  (Math.floor(now / MINUTE_MS) + DAY_MINUTES + MORNING - minuteOfDay) * MINUTE_MS;

/** When a bed is watered: so many times from the first on, ms UTC. */
export const wateringTimes = (from: number, times: number, intervalDays: number): number[] =>
  Array.from({ length: times }, (_, i) => Math.round(from + i * intervalDays * DAY_MINUTES * MINUTE_MS));
