import { RangeProblem } from '../errors.ts';
import { SAND_TOP_UM, type Fractions } from '../physics/bands.ts';
import { BORDERLINE, countClasses, namedChances } from '../certainty/classes.ts';
import { DEFAULT_SEED, normalStream, summariseDraws, type FractionDraws } from '../certainty/draws.ts';
import { densityGrid, type DensityGrid } from '../certainty/region.ts';
import { classifyTexture } from '../texture/classify.ts';
import { textureNeighbours, type Neighbour } from '../texture/neighbours.ts';
import type { SystemId } from '../texture/types.ts';
import { finerAt } from '../texture/grading.ts';
import type { CylinderFacts } from './facts.ts';
import type { CylinderInput, WorkedCylinder } from './worked.ts';
import { workOutCylinder } from './workout.ts';

/** One-sigma errors: of a reading and of the blank, g/L; of the warmth, degC; of a weighing and of a dried draw, g. */
export const CYLINDER_SIGMA = { reading: 0.5, tempC: 1, massG: 0.05, drawG: 0.0005 } as const;

/** Draws of a cylinder test: each is worked out in full, so there are fewer than for a jar. */
export const CYLINDER_DRAWS = 2000;

/** Percent finer between which nine draws in ten lie, at each size. */
export type CurveBand = { diameterUm: number; lowPct: number; highPct: number }[];

/** A cylinder test worked out, with its class and how sure it is. */
export type CylinderResult = WorkedCylinder & {
  kind: 'cylinder';
  class: { id: string; name: string };
  probability: number;
  borderline: boolean;
  classes: { id: string; name: string; probability: number }[];
  nearest: Neighbour;
  mean: Fractions;
  sd: Fractions;
};

/** One g/L of a 151H scale, in its own units. */
const PER_GRAM_151H = 1.65 / 2650;

/** The same test with every reading, weighing and the warmth moved by their errors. One blank errs once for all. */
function shaken(input: CylinderInput, normal: () => number): CylinderInput {
  const { facts, scheme } = input;
  const unit = facts.bulb === '151H' ? PER_GRAM_151H : 1;
  const valueSigma = scheme === 'pipette' ? CYLINDER_SIGMA.drawG : CYLINDER_SIGMA.reading * unit;
  const warmer = CYLINDER_SIGMA.tempC * normal();
  const mass = (g: number) => g + CYLINDER_SIGMA.massG * normal();
  const temp = (c: number) => Math.min(40, Math.max(0, c + warmer));
  const moved: CylinderFacts = {
    ...facts,
    airDryG: mass(facts.airDryG),
    moisture: facts.moisture && {
      ...facts.moisture,
      wetG: Math.max(facts.moisture.dryG, facts.moisture.wetG + 0.01 * normal())
    },
    sieves: facts.sieves.map((s) => ({ ...s, retainedG: Math.max(0, mass(s.retainedG)) }))
  };
  return {
    ...input,
    facts: moved,
    readings: input.readings.map((r) => ({
      ...r,
      value: r.value + valueSigma * normal(),
      tempC: temp(r.tempC)
    })),
    blanks: input.blanks.map((b) => ({ ...b, value: b.value + CYLINDER_SIGMA.reading * unit * normal() }))
  };
}

/** Sizes a band is drawn at, um: even steps of the logarithm from just under the finest reading to 2 mm. */
function bandSizes(worked: WorkedCylinder): number[] {
  const from = worked.curve[0].diameterUm;
  const steps = 60;
  return Array.from({ length: steps + 1 }, (_, i) => from * (SAND_TOP_UM / from) ** (i / steps));
}

const percentile = (sorted: Float64Array, share: number) =>
  sorted[Math.min(sorted.length - 1, Math.round(share * (sorted.length - 1)))];

/**
 * Works out a cylinder test with its class, how sure that is, and the band about its curve: Monte Carlo over the errors
 * of {@link CYLINDER_SIGMA}. A draw that could not happen is thrown away, as crossed lines of a jar are.
 *
 * @returns the result, and the density grid and the band, which are no part of the record
 * @throws {RangeProblem} as {@link workOutCylinder}; or where hardly any draw holds together
 */
export function judgeCylinder(
  input: CylinderInput,
  system: SystemId,
  o: { draws?: number; seed?: number } = {}
): { result: CylinderResult; region: DensityGrid; band: CurveBand } {
  const worked = workOutCylinder(input, system);
  const asked = o.draws ?? CYLINDER_DRAWS;
  const normal = normalStream(o.seed ?? DEFAULT_SEED);
  const sizes = bandSizes(worked);
  const finer = sizes.map(() => new Float64Array(asked));
  const reach = new Uint32Array(sizes.length);
  const draws: FractionDraws = { fractions: new Float64Array(asked * 3), kept: 0, asked };
  for (let i = 0; i < asked; i++) {
    let one: WorkedCylinder;
    try {
      one = workOutCylinder(shaken(input, normal), system);
    } catch (problem) {
      if (problem instanceof RangeProblem) continue;
      throw problem;
    }
    draws.fractions.set([one.fractions.sand, one.fractions.silt, one.fractions.clay], draws.kept * 3);
    draws.kept += 1;
    sizes.forEach((um, k) => {
      const at = finerAt(one.curve, um);
      if (at) finer[k][reach[k]++] = at.value;
    });
  }
  if (draws.kept < asked * 0.1) {
    throw new RangeProblem(
      'readings',
      'These readings lie so near the impossible that their errors cannot be told. Check them and the masses.'
    );
  }
  const kept = { ...draws, fractions: draws.fractions.subarray(0, draws.kept * 3) };
  const band = sizes.flatMap((diameterUm, k) => {
    if (reach[k] < draws.kept * 0.5) return [];
    const sorted = finer[k].subarray(0, reach[k]).sort();
    return [{ diameterUm, lowPct: percentile(sorted, 0.05), highPct: percentile(sorted, 0.95) }];
  });
  const probabilities = countClasses(system, kept);
  const own = classifyTexture(system, worked.fractions);
  const probability = probabilities[own.id] ?? 0;
  const result: CylinderResult = {
    kind: 'cylinder',
    ...worked,
    class: own,
    probability,
    borderline: probability < BORDERLINE,
    classes: namedChances(system, probabilities),
    nearest: textureNeighbours(system, worked.fractions)[0],
    ...summariseDraws(kept)
  };
  return { result, region: densityGrid(kept), band };
}
