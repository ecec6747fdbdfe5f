import { RangeProblem } from '../errors.ts';
import type { Fractions } from '../physics/bands.ts';
import { textureSystems } from '../texture/classify.ts';
import type { SystemId } from '../texture/types.ts';
import type { Layers } from '../layers/layers.ts';
import {
  drawFractions,
  summariseDraws,
  tellsApart,
  type BoundarySigmas,
  type FractionDraws
} from './draws.ts';

/** Under this probability of the first class a result is called borderline. */
export const BORDERLINE = 0.8;

/** Class probabilities of a reading. */
export type Certainty = {
  /** By class id, summing to 1; only classes that came up. */
  probabilities: Record<string, number>;
  mean: Fractions;
  sd: Fractions;
};

/** Counts the classes of a set of draws; probabilities by class id, largest first. */
export function countClasses(system: SystemId, draws: FractionDraws): Record<string, number> {
  const { classes, indexByRules } = textureSystems[system];
  const counts = new Uint32Array(classes.length);
  for (let i = 0, k = 0; i < draws.kept; i++, k += 3) {
    counts[indexByRules(draws.fractions[k], draws.fractions[k + 1], draws.fractions[k + 2])] += 1;
  }
  const order = [...counts.keys()].filter((i) => counts[i] > 0).sort((a, b) => counts[b] - counts[a]);
  return Object.fromEntries(order.map((i) => [classes[i].id, counts[i] / draws.kept]));
}

/** Chances of classes with their names, in the order of the chances. */
export function namedChances(
  system: SystemId,
  chances: Record<string, number>
): { id: string; name: string; probability: number }[] {
  const names = new Map(textureSystems[system].classes.map((c) => [c.id, c.name]));
  return Object.entries(chances).map(([id, probability]) => ({ id, name: names.get(id) ?? id, probability }));
}

/**
 * How sure a class is: Monte Carlo over the boundaries of a reading.
 *
 * @param o.layers thicknesses as read, mm
 * @param o.sigmas standard error of each boundary, mm
 * @throws {RangeProblem} on `sigmas` where hardly any draw keeps its lines in order
 * @param o.draws 20,000 unless given
 * @param o.seed fixed unless given, so that the same reading gives the same answer
 * @example classProbabilities({ layers: { gravelMm: 0, sandMm: 20, siltMm: 15, clayMm: 5 },
 *   sigmas: evenSigmas(0.5), system: 'usda' }).probabilities // { loam: 1 } or close to it
 */
export function classProbabilities(o: {
  layers: Layers;
  sigmas: BoundarySigmas;
  system: SystemId;
  draws?: number;
  seed?: number;
}): Certainty {
  const draws = drawFractions(o);
  if (!tellsApart(draws)) {
    throw new RangeProblem(
      'sigmas',
      'The lines are too unsure to tell the layers apart. Give smaller errors or read again.'
    );
  }
  return { probabilities: countClasses(o.system, draws), ...summariseDraws(draws) };
}
