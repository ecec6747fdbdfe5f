import type { RangeProblem } from '../errors.ts';
import { areaProblem, outside, throwFirst, whole } from './bed.ts';
import { FIGURES, USUAL_FIGURES, type Figures } from './figures.ts';
import { soilWater } from './soil-water.ts';

/** What a bed asks for and takes, for each square metre: 1 mm of water is 1 L. */
export type WateringPlan = {
  /** Water between full and wilting in the root zone, mm. */
  storeMm: number;
  /** What is given at a time, mm, and how often, days. */
  doseMm: number;
  intervalDays: number;
  /** Fastest rate that soaks in, mm/h. */
  maxRateMmH: number;
  /** Where a sprinkler gives faster: how long it may run before too much stands on top, h, and how long they take to go. */
  spell?: { runH: number; restH: number; times: number };
  drip: { everyM: number; litresH: number; how: 'close' | 'between' | 'wide' };
  /** The same store by a rule of thumb, mm, and the rule: what so much of which soil stores. */
  thumb: { mm: number; of: 'sand' | 'loam' | 'clay'; mmIn100: number };
  /** Beyond the soils that the equations were fitted to. */
  atEdge: boolean;
  /** A dose for the bed, or for a square metre of one without an area: L, and whole cans. */
  litres: number;
  cans: number;
};

/** What lies on a bed, and the figure that says how much of the conductivity then soaks in. */
const SOAKS = { bare: 'soaksBarePct', mulched: 'soaksMulchedPct' } as const;
/** What sprinklers give, mm/h. */
const RATE = { least: 0.1, most: 500 };
/** A need beyond this is more than the hottest week takes, mm. */
const NEED_MOST = FIGURES.needMmWeek.most;
/** Deepest roots that are reckoned with, mm. */
const ROOTS_MOST = FIGURES.rootDepthMm.most;
/** From so much sand, or clay, on a soil counts as one for the rule of thumb, percent. */
const THUMB_FROM = { sand: 70, clay: 40 };

/** How drippers are set, by how fast the soil takes water, mm/h. */
function dripFor(conductivityMmH: number): WateringPlan['drip'] {
  if (conductivityMmH > 50) return { everyM: 0.25, litresH: 4, how: 'close' };
  if (conductivityMmH >= 10) return { everyM: 0.35, litresH: 2, how: 'between' };
  return { everyM: 0.5, litresH: 1, how: 'wide' };
}

/** The bed and its plants, as {@link wateringPlan} takes them. */
export type WateringInput = {
  sand: number;
  clay: number;
  organicPct: number;
  rootDepthMm: number;
  stonesPct: number;
  needMmWeek: number;
  /** Share of the store that is used before it is filled up; that of the figures where it is left out. */
  depletion?: number;
  cover?: keyof typeof SOAKS;
  rateMmH?: number;
  areaM2?: number;
  /** How fast the ground lets water through by its holes, mm/h: where that is slower than its texture, it rules. */
  groundMmH?: number;
};

/** What no bed has, a sentence a field; empty where all of it can be. */
export function wateringProblems(
  o: Omit<WateringInput, 'sand' | 'clay' | 'organicPct' | 'cover' | 'groundMmH'>
): RangeProblem[] {
  const { depletion = USUAL_FIGURES.depletionPct / 100, rateMmH = RATE.least, areaM2 = 1 } = o;
  return [
    outside('rootDepthMm', o.rootDepthMm, 20, ROOTS_MOST, 'Give the depth of the roots from 20 mm to 2 m.'),
    outside('stonesPct', o.stonesPct, 0, 90, 'Give the stones from 0 to 90 % of the volume.'),
    outside(
      'needMmWeek',
      o.needMmWeek,
      1,
      NEED_MOST,
      `Give the need from 1 to ${NEED_MOST} mm a week: the hottest week takes some 60.`
    ),
    outside(
      'depletion',
      depletion,
      0.1,
      0.9,
      'Give the share of the store that may be used from 10 to 90 %.'
    ),
    outside(
      'rateMmH',
      rateMmH,
      RATE.least,
      RATE.most,
      `Give what the sprinkler gives from ${RATE.least} to ${RATE.most} mm an hour.`
    ),
    areaProblem(areaM2)
  ].flat();
}

/**
 * How much water a bed wants at a time, how often, and how fast it may come.
 *
 * @param o.rootDepthMm depth of the roots, mm
 * @param o.stonesPct stones by volume, percent: they hold no water
 * @param o.needMmWeek what plants and sun take, mm a week
 * @param by how much of the store may be used, how much soaks in, what a can holds, and the rules of thumb
 * @param o.areaM2 of the bed; a square metre where it is left out
 * @param o.rateMmH what the sprinkler gives, where there is one
 * @throws {RangeProblem} on the field that is out of bounds
 * @param o.groundMmH conductivity by holes; it holds water up, and lets no more through the surface than texture does
 * @source Saxton & Rawls 2006 for the store and the conductivity; the shares that soak in are set by hand
 * @example wateringPlan({ sand: 40, clay: 20, organicPct: 2.5, rootDepthMm: 300, stonesPct: 0, needMmWeek: 25 }).doseMm // 21.4
 */
export function wateringPlan(o: WateringInput, by: Figures = USUAL_FIGURES): WateringPlan {
  const { depletion = by.depletionPct / 100, cover = 'bare', rateMmH, areaM2 = 1 } = o;
  throwFirst(wateringProblems(o));
  const water = soilWater(o);
  // Cracks below let nothing more through the surface; a pan below holds it up.
  const takesMmH = Math.min(water.conductivityMmH, o.groundMmH ?? Infinity);
  const soil = 1 - o.stonesPct / 100;
  const storeMm = ((water.fieldCapacityPct - water.wiltingPct) / 100) * o.rootDepthMm * soil;
  const doseMm = storeMm * depletion;
  const maxRateMmH = (takesMmH * by[SOAKS[cover]]) / 100;
  const of = o.sand >= THUMB_FROM.sand ? 'sand' : o.clay >= THUMB_FROM.clay ? 'clay' : 'loam';
  const mmIn100 = { sand: by.thumbSandMm, loam: by.thumbLoamMm, clay: by.thumbClayMm }[of];
  return {
    storeMm,
    doseMm,
    intervalDays: doseMm / (o.needMmWeek / 7),
    maxRateMmH,
    ...(rateMmH !== undefined && rateMmH > maxRateMmH
      ? { spell: spellOf(doseMm, rateMmH, maxRateMmH, by.standsMm) }
      : {}),
    drip: dripFor(takesMmH),
    thumb: { mm: (mmIn100 / 100) * o.rootDepthMm * soil, of, mmIn100 },
    atEdge: water.atEdge,
    // A millimetre over a square metre is a litre.
    litres: doseMm * areaM2,
    cans: whole(doseMm * areaM2, by.canL)
  };
}

/** Spells of a sprinkler that gives faster than the soil takes: on until so much stands, off until it is gone. */
function spellOf(
  doseMm: number,
  rateMmH: number,
  takesMmH: number,
  standsMm: number
): NonNullable<WateringPlan['spell']> {
  const runH = Math.min(doseMm / rateMmH, standsMm / (rateMmH - takesMmH));
  return { runH, restH: standsMm / takesMmH, times: whole(doseMm, rateMmH * runH) };
}
