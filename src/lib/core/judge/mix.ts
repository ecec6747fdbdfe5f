import { RangeProblem } from '../errors.ts';
import type { Fractions } from '../physics/bands.ts';
import { classifyTexture } from '../texture/classify.ts';
import type { SystemId } from '../texture/types.ts';
import { bedMass, whole, type Bed } from './bed.ts';
import { USUAL_FIGURES, type Figures } from './figures.ts';

/** Soil by its dry mass under 2 mm, kg, and its shares, percent by mass. */
export type SoilMass = Fractions & { kg: number };

const PARTS = ['sand', 'silt', 'clay'] as const;
/** Shares further than this from 100 are none, points. */
const SUM_WITHIN = 0.5;

/**
 * Shares of soils that are mixed: balance of mass.
 *
 * @throws {RangeProblem} on `0.kg`, `1.sand` … for a mass below 0, all of nothing, or shares that miss 100
 * @example mixSoils([{ kg: 3, sand: 20, silt: 40, clay: 40 }, { kg: 1, sand: 100, silt: 0, clay: 0 }]).sand // 40
 */
export function mixSoils(soils: readonly SoilMass[]): SoilMass {
  const out: SoilMass = { kg: 0, sand: 0, silt: 0, clay: 0 };
  soils.forEach((soil, i) => {
    if (!(soil.kg >= 0 && Number.isFinite(soil.kg)))
      throw new RangeProblem(`${i}.kg`, 'Give how much of it there is, from 0 kg up.');
    const sum = PARTS.reduce((a, part) => a + soil[part], 0);
    if (!(Math.abs(sum - 100) <= SUM_WITHIN) || PARTS.some((part) => soil[part] < 0))
      throw new RangeProblem(`${i}.sand`, `These shares come to ${sum.toFixed(0)} %: they have to make 100.`);
    out.kg += soil.kg;
    for (const part of PARTS) out[part] += soil.kg * soil[part];
  });
  if (out.kg === 0) throw new RangeProblem('0.kg', 'There is nothing to mix.');
  for (const part of PARTS) out[part] /= out.kg;
  return out;
}

/** So many times its own mass is the most that is looked at: beyond it the bed is another's. */
const MOST_TIMES = 20;
const HALVINGS = 40;
/** Steps on the way up in which the first change of class is looked for. */
const LOOKS = 400;

/**
 * The least of a material that brings a soil over the bound of its class.
 *
 * @returns its mass and the class and shares it comes to; undefined where it stays what it is
 * @throws {RangeProblem} as {@link mixSoils}
 */
export function massToMoveClass(
  soil: SoilMass,
  material: Fractions,
  system: SystemId = 'usda'
): { kg: number; to: { id: string; name: string }; mix: Fractions } | undefined {
  const at = (kg: number) => mixSoils([soil, { ...material, kg }]);
  const classOf = (kg: number) => classifyTexture(system, at(kg));
  const own = classOf(0).id;
  // Evenly in the share of the material: classes are met one after the other along a straight line of the triangle.
  const kgAt = (i: number) => {
    const share = ((i / LOOKS) * MOST_TIMES) / (1 + MOST_TIMES);
    return (soil.kg * share) / (1 - share);
  };
  const first = Array.from({ length: LOOKS }, (_, i) => i + 1).find((i) => classOf(kgAt(i)).id !== own);
  if (first === undefined) return undefined;
  let [low, high] = [kgAt(first - 1), kgAt(first)];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (classOf(middle).id === own) low = middle;
    else high = middle;
  }
  const { sand, silt, clay } = at(high);
  return { kg: high, to: classOf(high), mix: { sand, silt, clay } };
}

/** A bed with a material worked into it: its shares and class, how much came in, and by how much it rises. */
export type Amended = {
  mix: Fractions;
  to: { id: string; name: string };
  kg: number;
  risesMm: number;
};

/**
 * What a bed becomes with so much of a material worked into it, by mass balance.
 *
 * @param o.litres of the material, loose; what it weighs so is among the figures
 * @throws {RangeProblem} on `litres`, or as {@link bedMass} and {@link mixSoils}
 */
export function amendWith(
  o: { soil: Fractions; bed: Bed; material: Fractions; litres: number },
  { looseKgM3 }: Figures = USUAL_FIGURES
): Amended {
  const { soil, bed, material, litres } = o;
  if (!(litres >= 0 && litres <= 1e7))
    throw new RangeProblem('litres', 'Give how many litres come in, from 0 up.');
  const kg = (litres / 1000) * looseKgM3;
  const { sand, silt, clay } = mixSoils([
    { ...soil, kg: bedMass(bed) },
    { ...material, kg }
  ]);
  const mix = { sand, silt, clay };
  return { mix, to: classifyTexture('usda', mix), kg, risesMm: litres / bed.areaM2 };
}

/** The least of a material that moves the class of a bed, in what it is carried in; barrows and lorries are whole ones. */
export type MaterialToMove = {
  kg: number;
  m3: number;
  barrows: number;
  lorries: number;
  to: { id: string; name: string };
};

/**
 * The least of a material that brings a bed over the bound of its class, as {@link massToMoveClass}.
 *
 * @returns undefined where no amount of it does
 * @throws {RangeProblem} as {@link bedMass} and {@link mixSoils}
 */
export function materialToMove(
  soil: Fractions,
  bed: Bed,
  material: Fractions,
  by: Figures = USUAL_FIGURES,
  looseKgM3 = by.looseKgM3
): MaterialToMove | undefined {
  const moved = massToMoveClass({ ...soil, kg: bedMass(bed) }, material);
  if (!moved) return undefined;
  const m3 = moved.kg / looseKgM3;
  return {
    kg: moved.kg,
    m3,
    barrows: whole(1000 * m3, by.barrowL),
    lorries: whole(m3, by.lorryM3),
    to: moved.to
  };
}

/** Building sand, percent: set by hand. */
export const BUILDING_SAND: Fractions = { sand: 95, silt: 3, clay: 2 };
/** From so much sand on a soil is none that anybody would put sand into; from so much on a material is a sand, percent. */
const MOSTLY_SAND = 50;
const IS_SAND = 85;

/** Whether a material is sand that would go into ground which is not mostly sand: no advice to give. */
export const isSandIntoFines = (soil: Fractions, material: Fractions): boolean =>
  material.sand >= IS_SAND && soil.sand < MOSTLY_SAND;

/**
 * What it would take to move the class of a bed by sand: to be told as what it is, never as advice.
 *
 * @returns undefined where the bed is mostly sand already
 * @throws {RangeProblem} as {@link bedMass}
 */
export const sandToMove = (
  soil: Fractions,
  bed: Bed,
  by: Figures = USUAL_FIGURES
): MaterialToMove | undefined =>
  soil.sand >= MOSTLY_SAND ? undefined : materialToMove(soil, bed, BUILDING_SAND, by, by.sandKgM3);
