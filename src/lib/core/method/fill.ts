import { RangeProblem } from '../errors.ts';
import type { RunMethod } from './types.ts';
import { startSpeed } from '../physics/column.ts';
import { QUARTZ_DENSITY } from '../physics/settling.ts';
import { requireInside } from '../vessel/checks.ts';
import { heightOfVolume, volumeToHeight } from '../vessel/geometry.ts';
import type { Vessel } from '../vessel/vessel.ts';

/** Bulk density of dry, crushed, loosely filled soil, kg/m3: what turns a dry-fill height into solids. */
export const LOOSE_SOIL_DENSITY = 1200;

/** How a vessel is to be filled for a method. */
export type FillPlan = {
  /** Top of the dry soil over the inside bottom, mm. */
  soilMm: number;
  /** Water line over the inside bottom once all is in, mm. */
  waterMm: number;
  soilMl: number;
  /** Water to have at hand, mL: the volume to the water line less the solids. */
  waterMl: number;
  /** 0 where the method uses none. */
  dispersantMl: number;
};

/**
 * Heights and amounts a method asks for in a vessel.
 * Soil share is of the height to the shoulder, where layers can be read; volumes go before shares where a method
 * gives them.
 *
 * @param own heights chosen instead of the method's, mm; the amounts follow them
 */
export function fillPlan(
  method: Pick<RunMethod, 'fill' | 'dispersant'>,
  vessel: Vessel,
  own: { soilMm?: number; waterMm?: number } = {}
): FillPlan {
  const { soilShare, soilMl: askedMl, water, waterLineMl } = method.fill;
  const askedSoil =
    askedMl === undefined ? vessel.shoulderHeightMm * soilShare : heightOfVolume(vessel, askedMl);
  const soilMm = own.soilMm ?? Math.round(askedSoil);
  const soilMl = volumeToHeight(vessel, soilMm);
  // Grains alone take room in the water; the air between them goes.
  const solidsMl = (soilMl * LOOSE_SOIL_DENSITY) / QUARTZ_DENSITY;
  const askedWater =
    waterLineMl !== undefined
      ? heightOfVolume(vessel, waterLineMl)
      : water === 'equal'
        ? heightOfVolume(vessel, solidsMl + soilMl)
        : waterLine(water, vessel);
  const waterMm = own.waterMm ?? Math.round(askedWater);
  const waterMl = Math.max(0, volumeToHeight(vessel, waterMm) - solidsMl);
  return { soilMm, waterMm, soilMl, waterMl, dispersantMl: (method.dispersant.mlPerL * waterMl) / 1000 };
}

/** Room left under the rim by a vessel filled near the top, mm. */
const NEAR_TOP_MM = 15;

function waterLine(water: Exclude<RunMethod['fill']['water'], 'equal'>, vessel: Vessel): number {
  if (water === 'neck') return vessel.shoulderHeightMm;
  return water === 'near-top' ? vessel.innerHeightMm - NEAR_TOP_MM : vessel.innerHeightMm * water;
}

/** Dry solids over the floor for a dry-fill height, kg/m2, at {@link LOOSE_SOIL_DENSITY}. */
export function solidsFromDryFill(soilMm: number): number {
  return soilMm * 1e-3 * LOOSE_SOIL_DENSITY;
}

/**
 * What a filled jar is to everything that settles in it: its height of water, its warmth, and its solids by the dry fill.
 *
 * @param jar heights over the inside bottom, mm; degC
 * @returns mm, degC, and kg/m2 of floor
 * @example columnFacts({ waterMm: 128, tempC: 18, soilMm: 43 }).solidsKgM2 // 51.6
 */
export function columnFacts({ waterMm, tempC, soilMm }: { waterMm: number; tempC: number; soilMm: number }): {
  columnMm: number;
  tempC: number;
  solidsKgM2: number;
} {
  return { columnMm: waterMm, tempC, solidsKgM2: solidsFromDryFill(soilMm) };
}

/**
 * Checks a fill against its vessel.
 * @throws {RangeProblem} with field `soilMm` or `waterMm`
 */
export function checkFill(vessel: Vessel, soilMm: number, waterMm: number): void {
  if (!(soilMm > 0)) {
    throw new RangeProblem('soilMm', 'Give the height of the dry soil, measured from the inside bottom.');
  }
  requireInside('soilMm', soilMm, vessel);
  if (waterMm > vessel.innerHeightMm) {
    throw new RangeProblem(
      'waterMm',
      `The vessel would overflow: it is ${Math.round(vessel.innerHeightMm)} mm high inside. Lower the water line.`
    );
  }
  if (!(waterMm > soilMm)) {
    throw new RangeProblem(
      'waterMm',
      'The water line is below the soil line. The water must stand over the soil.'
    );
  }
}

/** A doubt about a fill, with its figures, for the planner to put into words. */
export type FillDoubt =
  { kind: 'too-full'; soilSharePct: number; speedPct: number } | { kind: 'too-thin'; settledMm: number };

/** Settled depth under which reading error dominates, mm. */
const THIN_MM = 20;
/** Loose dry fill to settled depth: fill density over a usual mix of fresh packing densities. */
const SETTLED_PER_FILL = LOOSE_SOIL_DENSITY / 1200;

/** A fill is measured to a millimetre: half full is not over it by as much. */
const FILL_MM = 1;

/** Whether over half of the height to the shoulder is soil: grains then hinder each other. */
export const isOverfull = (vessel: Vessel, soilMm: number): boolean =>
  soilMm > vessel.shoulderHeightMm / 2 + FILL_MM;

/**
 * Doubts about how full a vessel is: over half full slows and blurs settling, under 20 mm settled is hard to read.
 *
 * @param phi0 volume fraction of solids at set-down, for the reason given
 */
export function fillDoubts(vessel: Vessel, soilMm: number, phi0: number): FillDoubt[] {
  const out: FillDoubt[] = [];
  if (isOverfull(vessel, soilMm)) {
    const soilSharePct = (100 * soilMm) / vessel.shoulderHeightMm;
    out.push({ kind: 'too-full', soilSharePct, speedPct: 100 * startSpeed(phi0) });
  }
  const settledMm = soilMm * SETTLED_PER_FILL;
  if (settledMm < THIN_MM) out.push({ kind: 'too-thin', settledMm });
  return out;
}
