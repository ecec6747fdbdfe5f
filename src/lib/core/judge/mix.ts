import { RangeProblem } from '../errors.ts';
import type { Fractions } from '../physics/bands.ts';
import { classifyTexture } from '../texture/classify.ts';
import type { SystemId } from '../texture/types.ts';
import { bedMass, whole, type Bed } from './bed.ts';

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

/** Building sand, percent; as it lies loose, kg/m3; and what a lorry brings, m3: all set by hand. */
const BUILDING_SAND: Fractions = { sand: 95, silt: 3, clay: 2 };
const LOOSE_SAND_KG_M3 = 1500;
const LORRY_M3 = 6;
/** From so much sand on a soil is none that anybody would put sand into, percent. */
const MOSTLY_SAND = 50;

/**
 * What it would take to move the class of a bed by sand: to be told as what it is, never as advice.
 *
 * @returns undefined where the bed is mostly sand already
 * @throws {RangeProblem} as {@link bedMass}
 */
export function sandToMove(
  soil: Fractions,
  bed: Bed
): { tonnes: number; m3: number; lorries: number; to: { id: string; name: string } } | undefined {
  if (soil.sand >= MOSTLY_SAND) return undefined;
  const moved = massToMoveClass({ ...soil, kg: bedMass(bed) }, BUILDING_SAND);
  if (!moved) return undefined;
  const m3 = moved.kg / LOOSE_SAND_KG_M3;
  return { tonnes: moved.kg / 1000, m3, lorries: whole(m3, LORRY_M3), to: moved.to };
}
