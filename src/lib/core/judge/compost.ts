import { RangeProblem } from '../errors.ts';
import { bedMass, bedProblems, outside, throwFirst, whole, type Bed } from './bed.ts';
import { USUAL_FIGURES, type Figures } from './figures.ts';

/** How much compost brings a bed where it is wanted; barrows and bags are whole ones. */
export type CompostNeed = {
  dryKg: number;
  moistKg: number;
  m3: number;
  barrows: number;
  bags: number;
  spreadMm: number;
  years: number;
};

type CompostInput = Bed & { fromPct: number; toPct: number };

/** What no bed and no compost can be, a sentence a field; empty where all of it can be. */
export function compostProblems(o: CompostInput, by: Figures = USUAL_FIGURES): RangeProblem[] {
  const { compostOrganicPct: organicPct } = by;
  return [
    bedProblems(o),
    outside('fromPct', o.fromPct, 0, 30, 'Give the organic share there is from 0 to 30 %.'),
    outside(
      'toPct',
      o.toPct,
      0,
      Math.min(20, organicPct - 1),
      o.toPct >= organicPct
        ? `Compost is ${organicPct} % organic itself: give less than that.`
        : 'Give the organic share that is wanted from 0 to 20 %: 4 to 6 is rich.'
    )
  ].flat();
}

/**
 * Compost that brings a bed from one organic share to another: balance of organic mass.
 *
 * @param o.fromPct organic share now, percent by mass; `toPct` that which is wanted
 * @returns dry and as it comes, kg; m3; mm over the bed; and over how many years that is spread
 * @throws {RangeProblem} on the field that cannot be
 * @example compostFor({ areaM2: 10, depthMm: 200, bulkGCm3: 1.3, fromPct: 2, toPct: 4 }) // 144 kg dry, 263 moist, 0.44 m3, 44 mm
 */
export function compostFor(o: CompostInput, by: Figures = USUAL_FIGURES): CompostNeed {
  throwFirst(compostProblems(o, by));
  const soilKg = bedMass(o);
  const dryKg = Math.max(0, (soilKg * (o.toPct - o.fromPct)) / (by.compostOrganicPct - o.toPct));
  return spread(dryKg, o, by);
}

function spread(dryKg: number, { areaM2 }: Bed, by: Figures): CompostNeed {
  const moistKg = dryKg / (1 - by.compostMoisturePct / 100);
  const m3 = moistKg / by.compostKgM3;
  const spreadMm = (1000 * m3) / areaM2;
  return {
    dryKg,
    moistKg,
    m3,
    barrows: whole(1000 * m3, by.barrowL),
    bags: whole(1000 * m3, by.bagL),
    spreadMm,
    years: Math.max(1, whole(spreadMm, by.mostAYearMm))
  };
}

/** Organic share that a bed comes to with so many litres of compost: {@link compostFor} backwards. */
export function organicWith(
  o: Bed & { fromPct: number; litres: number },
  by: Figures = USUAL_FIGURES
): number {
  const soilKg = bedMass(o);
  if (!(o.litres >= 0)) throw new RangeProblem('litres', 'Give how much compost there is, from 0 up.');
  const dryKg = (o.litres / 1000) * by.compostKgM3 * (1 - by.compostMoisturePct / 100);
  return (soilKg * o.fromPct + dryKg * by.compostOrganicPct) / (soilKg + dryKg);
}

/**
 * What so many barrows bring in a year.
 *
 * @returns organic share that the bed comes to in the first, percent, the layer that they make, mm, and whether that is more
 *   than a year takes
 * @throws {RangeProblem} as {@link organicWith}
 */
export function barrowsAYear(
  o: Bed & { fromPct: number; barrows: number },
  by: Figures = USUAL_FIGURES
): {
  toPct: number;
  spreadMm: number;
  tooMuch: boolean;
} {
  const litres = o.barrows * by.barrowL;
  const spreadMm = litres / o.areaM2;
  return { toPct: organicWith({ ...o, litres }, by), spreadMm, tooMuch: spreadMm > by.mostAYearMm };
}

/** What compost by the bag costs, in the money of its price; undefined where that is none. */
export const costByBag = ({ bags }: Pick<CompostNeed, 'bags'>, price: number): number | undefined =>
  price >= 0 ? bags * price : undefined;
