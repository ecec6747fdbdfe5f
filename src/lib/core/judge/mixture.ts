import { summariseDraws } from '../certainty/draws.ts';
import type { Fractions } from '../physics/bands.ts';
import { dryKg, sieved, type Material } from './material.ts';
import { sharesAbout } from './soil-draws.ts';
import { judgeTechnique, meshOf, type Technique, type TechniqueSaid, type WallSoil } from './technique.ts';

/** Steps through the draws of each material that meet no other twice: their errors are their own. */
const STRIDES = [1, 7, 11, 13, 17, 19, 23, 29];

/**
 * A mix of so many buckets of each, as a soil for a wall: balance of dry mass over the draws of all its soils.
 *
 * @returns undefined where there is nothing to mix
 */
export function mixOf(materials: readonly Material[], buckets: readonly number[]): WallSoil | undefined {
  const used = materials.flatMap((material, j) =>
    buckets[j] > 0 ? [{ material, kg: buckets[j] * dryKg(material) }] : []
  );
  if (used.length === 0) return undefined;
  const all = used.reduce((sum, u) => sum + u.kg, 0);
  const gravel = used.reduce((sum, { material, kg }) => sum + (kg * material.gravelPct) / 100, 0);
  const draws = used.map(({ material }) => sharesAbout(material.shares, material.sd));
  const count = draws[0].length / 3;
  const shares = new Float64Array(3 * count);
  for (let i = 0; i < count; i++)
    used.forEach(({ material, kg }, k) => {
      const from = 3 * ((i * STRIDES[k % STRIDES.length] + k) % count);
      const part = (kg * (1 - material.gravelPct / 100)) / (all - gravel);
      for (let p = 0; p < 3; p++) shares[3 * i + p] += part * draws[k][from + p];
    });
  const stones = used.map((u) => u.material.stoneMm);
  const organics = used.map((u) => u.material.organicPct);
  const organicPct = used.reduce((sum, u) => sum + (u.kg / all) * (u.material.organicPct ?? 0), 0);
  return {
    heights: shares,
    mass: shares,
    gravelPct: (100 * gravel) / all,
    ...(stones.includes(undefined) ? {} : { stoneMm: Math.max(...stones.map((s) => s ?? 0)) }),
    ...(organics.includes(undefined) ? {} : { organicPct })
  };
}

/** Materials as a technique takes them: stones over its mesh are sieved out. */
export const readyFor = (technique: Technique, materials: readonly Material[]): Material[] =>
  materials.map((m) => sieved(m, meshOf(technique) ?? Infinity));

/** A mix of so many buckets, its shares on average and their spread, percent of the earth under 2 mm, and how it stands to the technique. */
export type Mixed = { said: TechniqueSaid; shares: Fractions; sd: Material['sd'] };

/** What a mix of so many buckets comes to: what the hand that changes a bucket sees at once. Undefined where nothing is in it. */
export function judgeBuckets(
  technique: Technique,
  materials: readonly Material[],
  buckets: readonly number[]
): Mixed | undefined {
  const mix = mixOf(readyFor(technique, materials), buckets);
  const said = mix && judgeTechnique(technique, mix);
  if (!mix?.mass || !said) return undefined;
  const { mean, sd } = summariseDraws({ fractions: mix.mass, kept: mix.mass.length / 3 });
  return { said, shares: mean, sd };
}

/** A jar of a mix beside what the mix promised: what it reads more or less of, points, and whether that is within the errors. */
export type BesidePromise = { points: Fractions; within: boolean };

/** Two standard errors of the difference: nineteen in twenty jars of the very mix lie within. */
const WITHIN_SD = 2;

/** @param promised shares that the mix should have, and @param read those that a jar of it has; each with its standard errors, points */
export function besidePromise(
  promised: Pick<Material, 'shares' | 'sd'>,
  read: Pick<Material, 'shares' | 'sd'>
): BesidePromise {
  const points = { sand: 0, silt: 0, clay: 0 };
  for (const part of ['sand', 'silt', 'clay'] as const)
    points[part] = read.shares[part] - promised.shares[part];
  const within = (['sand', 'clay'] as const).every(
    (part) => Math.abs(points[part]) <= WITHIN_SD * Math.hypot(promised.sd[part], read.sd[part])
  );
  return { points, within };
}
