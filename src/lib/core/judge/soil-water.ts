import { RangeProblem } from '../errors.ts';

/** How a soil holds and lets go of water, percent of its volume and mm an hour. */
export type SoilWater = {
  wiltingPct: number;
  fieldCapacityPct: number;
  saturationPct: number;
  conductivityMmH: number;
  /** Outside the soils that the equations were fitted to: what stands here is that of their edge. */
  atEdge: boolean;
};

/** The equations were fitted to soils with no more than this, percent. */
const EDGE = { clay: 60, organic: 8 };
/** Tension at the wilting point and at field capacity, kPa. */
const WILTING_KPA = 1500;
const CAPACITY_KPA = 33;
/** Any soil holds so much of its volume at wilting, and twice that at field capacity. */
const LEAST_HELD = 0.005;
/** Conductivity of a soil that is all pores, mm/h. */
const OPEN_MM_H = 1930;

/** Makes sure that an organic share is one of soil, percent. @throws {RangeProblem} on `organicPct` */
export function checkOrganic(organicPct: number): void {
  if (!(organicPct >= 0 && organicPct <= 30))
    throw new RangeProblem(
      'organicPct',
      'Give the organic share from 0 to 30 %. Garden soil has 1 to 6; more is peat, and behaves as none of this says.'
    );
}

/**
 * Water that a soil holds, and how fast it lets water through when it is full.
 *
 * @param o sand and clay, percent by mass; organic matter, percent by mass
 * @returns volumes in percent, conductivity in mm/h; beyond 60 % clay or 8 % organic matter those of that edge
 * @throws {RangeProblem} on `sand`, `clay` or `organicPct`
 * @source Saxton & Rawls 2006, Soil Sci. Soc. Am. J. 70
 * @example soilWater({ sand: 40, clay: 20, organicPct: 2.5 }).conductivityMmH // 15.5
 */
export function soilWater(o: { sand: number; clay: number; organicPct: number }): SoilWater {
  checkOrganic(o.organicPct);
  for (const part of ['sand', 'clay'] as const)
    if (!(o[part] >= 0 && o[part] <= 100)) throw new RangeProblem(part, `Give ${part} from 0 to 100 %.`);
  if (o.sand + o.clay > 100 + 1e-6)
    throw new RangeProblem('clay', 'Sand and clay together come to more than 100 %.');
  const c = Math.min(o.clay, EDGE.clay) / 100;
  // What clay is over the edge goes to the sand and silt that are there.
  const s = (o.sand / 100) * (o.clay > EDGE.clay && o.clay < 100 ? (1 - c) / (1 - o.clay / 100) : 1);
  const om = Math.min(o.organicPct, EDGE.organic);
  const t1500 = -0.024 * s + 0.487 * c + 0.006 * om + 0.005 * s * om - 0.013 * c * om + 0.068 * s * c + 0.031;
  // Pure sand without organic matter would hold less than nothing.
  const wilting = Math.max(LEAST_HELD, t1500 + 0.14 * t1500 - 0.02);
  const t33 = -0.251 * s + 0.195 * c + 0.011 * om + 0.006 * s * om - 0.027 * c * om + 0.452 * s * c + 0.299;
  const capacity = Math.max(2 * LEAST_HELD, t33 + 1.283 * t33 * t33 - 0.374 * t33 - 0.015);
  const drained =
    0.278 * s + 0.034 * c + 0.022 * om - 0.018 * s * om - 0.027 * c * om - 0.584 * s * c + 0.078;
  const saturation = capacity + drained + 0.636 * drained - 0.107 - 0.097 * s + 0.043;
  const slope = (Math.log(WILTING_KPA) - Math.log(CAPACITY_KPA)) / (Math.log(capacity) - Math.log(wilting));
  return {
    wiltingPct: 100 * wilting,
    fieldCapacityPct: 100 * capacity,
    saturationPct: 100 * saturation,
    conductivityMmH: OPEN_MM_H * Math.max(0, saturation - capacity) ** (3 - 1 / slope),
    atEdge: o.clay > EDGE.clay || o.organicPct > EDGE.organic
  };
}

/** Bulk density of a soil that nobody weighed, g/cm3: what its pores leave of solid grains. */
export const bulkDensity = (water: Pick<SoilWater, 'saturationPct'>): number =>
  2.65 * (1 - water.saturationPct / 100);
