import { RangeProblem, requirePositive } from '../errors.ts';
import type { Bulb } from '../physics/bulb.ts';
import { waterDensity } from '../physics/water.ts';
import { QUARTZ_DENSITY } from '../physics/settling.ts';

/** What was weighed of a subsample dried at 105 degC: with its tin, moist and dry, and the tin alone, g. */
export type MoistureWeighing = { wetG: number; dryG: number; tinG: number };

/** What stayed on a mesh, oven-dry, g. */
export type SieveMass = { meshUm: number; retainedG: number };

/** What is weighed and known of a cylinder test besides its readings. */
export type CylinderFacts = {
  airDryG: number;
  /** Null where the soil went in oven-dry, or where its moisture has not been weighed yet. */
  moisture: MoistureWeighing | null;
  /** Whether it went in oven-dry; left out by tests from before it was asked: without a moisture they count as dry. */
  ovenDry?: boolean;
  particleDensity: number;
  bulb: Bulb;
  /** Added to a reading made at the top of the meniscus, g/L; for the depth of the bulb only. */
  meniscus: number;
  sieves: SieveMass[];
  /** Volume of the suspension, mL. */
  cylinderMl: number;
  pipette: {
    volumeMl: number;
    /** Depth of its tip, mm. */
    depthMm: number;
    /** Dry dispersant in one aliquot, g. */
    dispersantG: number;
  } | null;
};

/** Volume of a full suspension, mL. */
export const FULL_CYLINDER_ML = 1000;

/** Facts before anybody has weighed: air-dry soil of usual grains, the usual bulb. */
export const USUAL_FACTS: Omit<CylinderFacts, 'airDryG'> = {
  moisture: null,
  ovenDry: false,
  particleDensity: QUARTZ_DENSITY,
  bulb: '152H',
  meniscus: 0,
  sieves: [],
  cylinderMl: FULL_CYLINDER_ML,
  pipette: null
};

/** Moist soil loses no more than this of its dry mass before it can no longer be called air-dry, %. */
const MOST_WATER_PCT = 200;

/**
 * Gravimetric water content of a subsample: 100 (wet - dry) / dry.
 *
 * @returns percent of the oven-dry mass
 * @throws {RangeProblem} for a moist mass below the dry one, or a tin as heavy as either
 * @example waterContent({ wetG: 30.25, dryG: 30, tinG: 20 }) // 2.5
 */
export function waterContent({ wetG, dryG, tinG }: MoistureWeighing): number {
  if (!(tinG >= 0))
    throw new RangeProblem('moisture.tinG', 'The tin weighs nothing or more. Weigh it again.');
  if (!(dryG > tinG)) {
    throw new RangeProblem('moisture.dryG', 'Dry soil and tin must weigh more than the tin alone.');
  }
  if (!(wetG >= dryG)) {
    throw new RangeProblem(
      'moisture.wetG',
      'Moist soil cannot weigh less than the same soil dry. Check whether the two were exchanged.'
    );
  }
  const pct = (100 * (wetG - dryG)) / (dryG - tinG);
  if (pct > MOST_WATER_PCT) {
    throw new RangeProblem('moisture.wetG', 'This soil was a slurry, not air-dry. Weigh it again.');
  }
  return pct;
}

/**
 * Oven-dry mass of air-dry soil: air-dry / (1 + w/100).
 *
 * @param waterPct water content of the air-dry soil, percent of its dry mass
 * @returns g
 * @throws {RangeProblem} for a mass that is not above zero
 * @example ovenDryMass(40, 2.5) // 39.02
 */
export function ovenDryMass(airDryG: number, waterPct: number): number {
  requirePositive('airDryG', airDryG);
  if (!(waterPct >= 0)) throw new RangeProblem('waterContentPct', 'The water content is zero or more.');
  return airDryG / (1 + waterPct / 100);
}

/** Whether air-dry soil went in and nobody has weighed how much water it held. */
export function wantsMoisture({ moisture, ovenDry = true }: CylinderFacts): boolean {
  return moisture === null && !ovenDry;
}

/** Oven-dry mass and water content of a test, from what was weighed; what nobody weighed counts as nothing. */
export function dryMassOf(facts: CylinderFacts): { ovenDryG: number; waterPct: number } {
  const waterPct = facts.moisture ? waterContent(facts.moisture) : 0;
  return { ovenDryG: ovenDryMass(facts.airDryG, waterPct), waterPct };
}

/**
 * Checks what does not depend on readings.
 *
 * @throws {RangeProblem} naming the field
 */
export function checkFacts(facts: CylinderFacts, tempC: number): void {
  const { ovenDryG } = dryMassOf(facts);
  if (!(facts.particleDensity > waterDensity(tempC))) {
    throw new RangeProblem(
      'particleDensity',
      'Grains must be denser than water, or nothing settles. Usual is 2650 kg/m³.'
    );
  }
  if (facts.particleDensity > 6000) {
    throw new RangeProblem('particleDensity', 'No soil is denser than 6000 kg/m³. Usual is 2650.');
  }
  requirePositive('cylinderMl', facts.cylinderMl);
  if (facts.pipette) {
    requirePositive('pipette.volumeMl', facts.pipette.volumeMl);
    requirePositive('pipette.depthMm', facts.pipette.depthMm);
    if (!(facts.pipette.dispersantG >= 0)) {
      throw new RangeProblem('pipette.dispersantG', 'The dispersant in a draw weighs nothing or more.');
    }
    if (facts.pipette.volumeMl >= facts.cylinderMl) {
      throw new RangeProblem(
        'pipette.volumeMl',
        'A pipette holds less than the cylinder. Usual is 20 or 25 mL.'
      );
    }
  }
  checkSieves(facts.sieves, ovenDryG);
}

function checkSieves(sieves: readonly SieveMass[], ovenDryG: number): void {
  const seen = new Set<number>();
  let total = 0;
  for (const { meshUm, retainedG } of sieves) {
    if (!(meshUm >= 20 && meshUm <= 2000)) {
      throw new RangeProblem('sieves', 'A mesh under 2 mm soil lies between 20 and 2000 µm.');
    }
    if (seen.has(meshUm)) throw new RangeProblem('sieves', `The ${meshUm} µm mesh is there twice.`);
    seen.add(meshUm);
    if (!(retainedG >= 0)) throw new RangeProblem('sieves', 'What stays on a mesh weighs nothing or more.');
    total += retainedG;
  }
  if (total > ovenDryG * 1.005) {
    throw new RangeProblem('sieves', 'The meshes hold more than the whole soil weighs dry. Weigh again.');
  }
}
