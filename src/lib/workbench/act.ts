import {
  doubtedShares,
  drawsOf,
  isShare,
  judgeBore,
  judgeProfile,
  judgeTechnique,
  oneShare,
  ORGANIC_UNKNOWN,
  outcomeOf,
  sharesAbout,
  soilDraws,
  type BoreVerdict,
  type Figures,
  type Fractions,
  type GroundDrainage,
  type JudgeProfile,
  type Judgement,
  type Technique,
  type TechniqueSaid,
  type WallSoil,
  verdictOf,
  weighByRibbon
} from '../core/index.ts';
import type { Station } from '../contract/act.ts';
import { isJarSnapshot, type Snapshot } from '../contract/records/result.ts';
import type { Purpose, SampleDetails, TypedLength } from '../contract/records/sample.ts';

/** A soil to be judged: its shares by mass, and soils that could be it. */
export type SoilInHand = {
  fractions: Fractions;
  /** Sand, silt and clay of each, percent. */
  shares: Float64Array;
  /** `typed`, `read` and `bottle` are as sure as somebody took them for. */
  basis: 'laboratory' | 'estimate' | 'weighed' | 'read' | 'typed' | 'bottle';
  /** Length of its ribbon, mm, where one was pressed: the draws are weighed by it. */
  ribbonMm?: number;
  /** Only its sand is known: what stands as silt says nothing. */
  onlySand?: true;
};

/**
 * Percentages from elsewhere are taken for as sure as this, heights without an answer, and sand that was read alone, as of a bottle,
 * beside its reading error, points (standard error).
 */
export const TAKEN_FOR = { typed: 3, read: 10, bottle: 8 };
const evenly = (sd: number) => ({ sand: sd, clay: sd });

/** Why a finished test has no soil to judge: it read one share alone, or no settling makes its heights. */
export function whyNoSoil(snapshot: Snapshot): 'oneShare' | 'impossible' | undefined {
  if (!isJarSnapshot(snapshot)) return undefined;
  const { answer, result } = snapshot;
  if (answer) return verdictOf(answer).kind === 'impossible' ? 'impossible' : undefined;
  return isShare(result) ? 'oneShare' : undefined;
}

/** What a bottle, or a jar of two lines, says of a soil: its sand, of what settled. */
function soilOfSand(snapshot: Snapshot): SoilInHand | undefined {
  if (!isJarSnapshot(snapshot)) return undefined;
  const { answer, result } = snapshot;
  if (answer || !isShare(result) || result.layer !== 'sand') return undefined;
  const fractions = oneShare('sand', result.pct);
  const sd = Math.hypot(result.sd, TAKEN_FOR.bottle);
  return {
    fractions,
    shares: sharesAbout(fractions, { sand: sd, clay: 0 }),
    basis: 'bottle',
    onlySand: true
  };
}

/** A soil whose ribbon was pressed, too; a length that none has says nothing. */
export function withRibbon(soil: SoilInHand, ribbon: TypedLength | undefined): SoilInHand {
  const weighed = ribbon && outcomeOf(() => weighByRibbon(soil.shares, ribbon.mm)).done;
  return weighed ? { ...soil, ...weighed, ribbonMm: ribbon.mm } : soil;
}

type OfSample = Pick<SampleDetails, 'ribbon'>;

/** What a finished test says of a soil for a bore: a bottle that read its sand alone will do. */
export const soilForBore = (snapshot: Snapshot, details: OfSample = {}): SoilInHand | undefined =>
  soilOf(snapshot, details) ?? soilOfSand(snapshot);

/** What a finished test and the ribbon of its sample say of a soil; undefined where {@link whyNoSoil} says why. */
export function soilOf(snapshot: Snapshot, { ribbon }: OfSample = {}): SoilInHand | undefined {
  const soil = soilAsRead(snapshot);
  return soil && withRibbon(soil, ribbon);
}

function soilAsRead(snapshot: Snapshot): SoilInHand | undefined {
  if (!isJarSnapshot(snapshot)) {
    const { fractions, sd } = snapshot.result;
    return { fractions, shares: sharesAbout(fractions, sd), basis: 'weighed' };
  }
  const { answer, mass, result } = snapshot;
  if (whyNoSoil(snapshot)) return undefined;
  if (answer) return { fractions: answer.fractions, shares: drawsOf(answer).fractions, basis: 'estimate' };
  if (isShare(result)) return undefined;
  const { fractions } = mass ?? result;
  const shares = doubtedShares(sharesAbout(fractions, evenly(TAKEN_FOR.read)), snapshot.doubts ?? []);
  return { fractions, shares, basis: 'read' };
}

/** A soil by percentages that somebody has. */
export const soilTyped = (fractions: Fractions): SoilInHand => ({
  fractions,
  shares: sharesAbout(fractions, evenly(TAKEN_FOR.typed)),
  basis: 'typed'
});

/** A soil judged for a bed, over its draws. @param o.ground how it drains by its holes, where any were dug */
export function judgedBed(
  soil: Pick<SoilInHand, 'shares'>,
  o: { profile: JudgeProfile; organic: { pct: number; sd: number }; ground: GroundDrainage | null }
): Judgement {
  return judgeProfile(o.profile, soilDraws(soil.shares, o.organic, o.ground));
}

/**
 * What a soil comes to for what it was taken for: a bore by the line of the figures, a garden by the first of the beds as it is
 * asked for, a wall by every technique; undefined for other purposes, which have no verdict.
 */
export function usualVerdict(
  judged: { soil?: SoilInHand; bore?: SoilInHand; wall?: WallSoil },
  purpose: Purpose,
  by: {
    profile: JudgeProfile;
    ground: GroundDrainage | null;
    figures: Figures;
    /** What techniques ask. */
    techniques: readonly Technique[];
  }
):
  | { bore: BoreVerdict; line: number; soil: Fractions }
  | { bed: Judgement }
  | { wall: TechniqueSaid[] }
  | undefined {
  const { soil, bore, wall } = judged;
  if (purpose === 'bore' && bore) {
    return { bore: judgeBore(bore, by.figures), line: by.figures.boreLinePct, soil: bore.fractions };
  }
  if (purpose === 'build') {
    const { techniques } = by;
    const said = wall ? techniques.flatMap((technique) => judgeTechnique(technique, wall) ?? []) : [];
    return said.length > 0 ? { wall: said } : undefined;
  }
  if (purpose !== 'garden' || !soil) return undefined;
  return { bed: judgedBed(soil, { ...by, organic: ORGANIC_UNKNOWN }) };
}

const MINUTE_MS = 60_000;
const DAY_MINUTES = 24 * 60;
/** Beds are watered in the morning, minutes after midnight. */
const MORNING = 7 * 60;

/** Tomorrow morning, ms UTC. @param minuteOfDay minutes after local midnight, now */
export const firstWatering = (now: number, minuteOfDay: number): number =>
  (Math.floor(now / MINUTE_MS) + DAY_MINUTES + MORNING - minuteOfDay) * MINUTE_MS;

/** Needs by month, mm a week, January first; a month that is not given takes the usual one. */
export type MonthNeeds = readonly (number | null)[];

/** The need of the month of a moment, mm a week. */
export const needAt = (at: number, usual: number, byMonth?: MonthNeeds): number =>
  byMonth?.[new Date(at).getUTCMonth()] ?? usual;

const DAY_MS = DAY_MINUTES * MINUTE_MS;
const HALF_DAY_MS = DAY_MS / 2;

/** The hour of a watering stays that of the first: by whole days, or morning and evening where a dose lasts less than one. */
const nextWatering = (afterMs: number): number =>
  afterMs < DAY_MS ? HALF_DAY_MS : Math.floor(afterMs / DAY_MS) * DAY_MS;

/**
 * When a bed is watered: so many times from the first on, ms UTC, at the same hour as the first. Each dose lasts as long as the
 * need of its month lets it; what is left of a day is carried over to the next.
 *
 * @param o.doseMm what is given at a time; @param o.needMmWeek the usual need
 */
export function wateringTimes(
  from: number,
  times: number,
  o: { doseMm: number; needMmWeek: number; byMonth?: MonthNeeds }
): number[] {
  const out: number[] = [];
  let left = 0;
  for (let at = from; out.length < times;) {
    out.push(Math.round(at));
    const lastsMs = (o.doseMm / needAt(at, o.needMmWeek, o.byMonth)) * 7 * DAY_MS + left;
    const step = nextWatering(lastsMs);
    left = Math.max(0, lastsMs - step);
    at += step;
  }
  return out;
}

/**
 * When something that is done again and again falls due next: at the hour at which it fell due before, whatever the hour at which it
 * was done. Times in ms UTC.
 */
export function dueAgain(dueAt: number, doneAt: number, everyMs: number): number {
  const step = everyMs < DAY_MS ? HALF_DAY_MS : DAY_MS;
  const steps = Math.round((doneAt + everyMs - dueAt) / step);
  const next = dueAt + steps * step;
  return next > doneAt ? next : next + Math.ceil((doneAt - next + 1) / step) * step;
}

/** Tests as stations by where their samples were dug; none where all lie at one place, which is no line. */
export function stationsOf(
  tests: readonly { id: string; sampleId: string }[],
  along: readonly { sampleId: string; atM: number }[]
): Station[] {
  const places = new Map(along.map(({ sampleId, atM }) => [sampleId, atM]));
  const stations = tests.flatMap(({ id, sampleId }) => {
    const atM = places.get(sampleId);
    return atM === undefined ? [] : [{ id, atM }];
  });
  return new Set(stations.map((s) => s.atM)).size > 1 ? stations : [];
}
