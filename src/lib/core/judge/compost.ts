import { RangeProblem } from '../errors.ts';

/** Compost as it is usually bought: organic share when dry, water in it as it comes, and what a cubic metre of it weighs. */
export type Compost = { organicPct: number; moisturePct: number; kgM3: number };
export const USUAL_COMPOST: Compost = { organicPct: 40, moisturePct: 45, kgM3: 600 };
/** A barrow and a bag, L. */
export const BARROW_L = 80;
export const BAG_L = 40;
/** More in a year brings salts and phosphorus, and sinks again, mm. */
export const MOST_A_YEAR_MM = 50;

/** The largest bed, m2. */
export const AREA_MOST = 1e6;
/** A bed by what is worked: area, depth, and how dense it lies. */
export type Bed = { areaM2: number; depthMm: number; bulkGCm3: number };

/** Mass of the dry soil of a bed, kg. @throws {RangeProblem} on its fields */
export function bedMass({ areaM2, depthMm, bulkGCm3 }: Bed): number {
  if (!(areaM2 > 0 && areaM2 <= AREA_MOST))
    throw new RangeProblem('areaM2', 'Give the area of the bed, above 0 m².');
  if (!(depthMm >= 10 && depthMm <= 1000))
    throw new RangeProblem('depthMm', 'Give the depth that is worked, from 10 mm to 1 m.');
  if (!(bulkGCm3 >= 0.3 && bulkGCm3 <= 2.2))
    throw new RangeProblem('bulkGCm3', 'Give the density of the soil from 0.3 to 2.2 g/cm³.');
  return areaM2 * depthMm * bulkGCm3;
}

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

/** Whole ones that hold so much: a hair over a whole one is that one. */
export const whole = (much: number, each: number): number => Math.ceil(much / each - 1e-9);

/**
 * Compost that brings a bed from one organic share to another: balance of organic mass.
 *
 * @param o.fromPct organic share now, percent by mass; `toPct` that which is wanted
 * @returns dry and as it comes, kg; m3; mm over the bed; and over how many years that is spread
 * @throws {RangeProblem} on the field that cannot be
 * @example compostFor({ areaM2: 10, depthMm: 200, bulkGCm3: 1.3, fromPct: 2, toPct: 4 }) // 144 kg dry, 263 moist, 0.44 m3, 44 mm
 */
export function compostFor(o: Bed & { fromPct: number; toPct: number; compost?: Compost }): CompostNeed {
  const { compost = USUAL_COMPOST } = o;
  const soilKg = bedMass(o);
  if (!(o.fromPct >= 0 && o.fromPct < 30))
    throw new RangeProblem('fromPct', 'Give the organic share there is from 0 to 30 %.');
  if (!(o.toPct < compost.organicPct))
    throw new RangeProblem(
      'toPct',
      `Compost is ${compost.organicPct} % organic itself: give less than that.`
    );
  if (!(o.toPct >= 0 && o.toPct <= 20))
    throw new RangeProblem('toPct', 'Give the organic share that is wanted from 0 to 20 %: 4 to 6 is rich.');
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
