import { RangeProblem } from '../errors.ts';
import { FILL } from './priors.ts';
import { levelOf, volumeToHeight } from '../vessel/geometry.ts';
import type { Vessel } from '../vessel/vessel.ts';

/** Dry soil that was weighed as it was filled in: how much, and to how much the scale reads, g. */
export type WeighedSoil = { grams: number; readsToG: number };

/** Dry soil as it is filled, kg/m3: from puffed organic crumbs to beaten sand. */
const FILLED_KG_M3 = { least: 400, most: 2200 } as const;

/**
 * Sets a weight against the height it was filled to.
 *
 * @param soilMm height of the dry soil, mm
 * @throws {RangeProblem} on `grams` where no soil fills so loosely or so tightly
 */
export function checkWeighed(vessel: Vessel, soilMm: number, { grams }: WeighedSoil): void {
  const ml = volumeToHeight(vessel, soilMm);
  const kgM3 = (1000 * grams) / ml;
  if (ml > 0 && kgM3 >= FILLED_KG_M3.least && kgM3 <= FILLED_KG_M3.most) return;
  const usual = (density: number) => Math.round((ml * density) / 1000 / 5) * 5;
  throw new RangeProblem(
    'grams',
    `${Math.round(ml)} mL of dry soil weigh about ${usual(1000)} to ${usual(1500)} g. Weigh the soil without its dish, or correct its height.`
  );
}

/**
 * What a weight says of the solids over the floor of a vessel.
 *
 * @param waterMm the water line, mm
 * @param gravelMm gravel at the bottom, which is no part of the soil that is told, mm
 * @returns kg/m2, and its error in ln: of the scale, half its last step, and of what air-dry soil holds besides grains
 */
export function weighedLoad(
  vessel: Vessel,
  waterMm: number,
  { grams, readsToG }: WeighedSoil,
  gravelMm = 0
): { kgM2: number; sigmaLn: number } {
  const all = grams / levelOf(vessel, waterMm).mlPerMm;
  const kgM2 = Math.max(all / 10, all - (gravelMm * FILL.gravelKgM3) / 1000);
  return { kgM2, sigmaLn: Math.hypot(FILL.weighedLn, readsToG / 2 / grams) };
}

/** The height of a dry fill less the gravel in it, mm: as much of it as weighs what the gravel does. */
export function fillLessGravel(soilMm: number, gravelMm: number): number {
  return Math.max(soilMm / 10, soilMm - (gravelMm * FILL.gravelKgM3) / FILL.kgM3);
}
