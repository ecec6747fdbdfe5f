import { RangeProblem } from '../errors.ts';
import { bedMass, bedProblems, outside, throwFirst, whole, type Bed } from './bed.ts';

/** Compost as it is usually bought: organic share when dry, water in it as it comes, and what a cubic metre of it weighs. */
export type Compost = { organicPct: number; moisturePct: number; kgM3: number };
export const USUAL_COMPOST: Compost = { organicPct: 40, moisturePct: 45, kgM3: 600 };
/** A barrow and a bag, L. */
export const BARROW_L = 80;
export const BAG_L = 40;
/** More in a year brings salts and phosphorus, and sinks again, mm. */
export const MOST_A_YEAR_MM = 50;

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

type CompostInput = Bed & { fromPct: number; toPct: number; compost?: Compost };

/** What no bed and no compost can be, a sentence a field; empty where all of it can be. */
export function compostProblems(o: CompostInput): RangeProblem[] {
  const { organicPct } = o.compost ?? USUAL_COMPOST;
  return [
    bedProblems(o),
    outside('fromPct', o.fromPct, 0, 30, 'Give the organic share there is from 0 to 30 %.'),
    outside(
      'toPct',
      o.toPct,
      0,
      20,
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
export function compostFor(o: CompostInput): CompostNeed {
  const { compost = USUAL_COMPOST } = o;
  throwFirst(compostProblems(o));
  const soilKg = bedMass(o);
  const dryKg = Math.max(0, (soilKg * (o.toPct - o.fromPct)) / (compost.organicPct - o.toPct));
  return spread(dryKg, o, compost);
}

function spread(dryKg: number, { areaM2 }: Bed, compost: Compost): CompostNeed {
  const moistKg = dryKg / (1 - compost.moisturePct / 100);
  const m3 = moistKg / compost.kgM3;
  const spreadMm = (1000 * m3) / areaM2;
  return {
    dryKg,
    moistKg,
    m3,
    barrows: whole(1000 * m3, BARROW_L),
    bags: whole(1000 * m3, BAG_L),
    spreadMm,
    years: Math.max(1, whole(spreadMm, MOST_A_YEAR_MM))
  };
}

/** Organic share that a bed comes to with so many litres of compost: {@link compostFor} backwards. */
export function organicWith(o: Bed & { fromPct: number; litres: number; compost?: Compost }): number {
  const { compost = USUAL_COMPOST } = o;
  const soilKg = bedMass(o);
  if (!(o.litres >= 0)) throw new RangeProblem('litres', 'Give how much compost there is, from 0 up.');
  const dryKg = (o.litres / 1000) * compost.kgM3 * (1 - compost.moisturePct / 100);
  return (soilKg * o.fromPct + dryKg * compost.organicPct) / (soilKg + dryKg);
}

/**
 * What so many barrows bring in a year.
 *
 * @returns organic share that the bed comes to in the first, percent, the layer that they make, mm, and whether that is more
 *   than a year takes
 * @throws {RangeProblem} as {@link organicWith}
 */
export function barrowsAYear(o: Bed & { fromPct: number; barrows: number }): {
  toPct: number;
  spreadMm: number;
  tooMuch: boolean;
} {
  const litres = o.barrows * BARROW_L;
  const spreadMm = litres / o.areaM2;
  return { toPct: organicWith({ ...o, litres }), spreadMm, tooMuch: spreadMm > MOST_A_YEAR_MM };
}

/** What compost by the bag costs, in the money of its price; undefined where that is none. */
export const costByBag = ({ bags }: Pick<CompostNeed, 'bags'>, price: number): number | undefined =>
  price >= 0 ? bags * price : undefined;
