import { USDA_SAND_LIMIT_UM, type Fractions } from '../physics/bands.ts';
import { classifyTexture } from './classify.ts';
import { convertLimit } from './limits.ts';
import type { SystemId } from './types.ts';

/** Two views of one soil set against each other. */
export type Comparison = {
  /** The laboratory's fractions at the limit of the jar. */
  lab: Fractions;
  /** Set where they were measured by another limit and moved to this one. */
  interpolated: boolean;
  /** Jar less laboratory, points. */
  difference: Fractions;
  /** Share of soil that would have to be exchanged to go from one to the other: half the sum of differences, points. */
  points: number;
  labClass: { id: string; name: string };
  jarClass: { id: string; name: string };
};

/**
 * Compares a jar with a laboratory report of the same soil, point by point and class by class.
 *
 * @param o.labLimitUm sand/silt limit that the laboratory used, um
 */
export function compareWithLab(o: {
  jar: Fractions;
  lab: Fractions;
  labLimitUm: number;
  system: SystemId;
}): Comparison {
  const lab = convertLimit(o.lab, o.labLimitUm, USDA_SAND_LIMIT_UM);
  const difference = {
    sand: o.jar.sand - lab.sand,
    silt: o.jar.silt - lab.silt,
    clay: o.jar.clay - lab.clay
  };
  const { sand, silt, clay } = difference;
  return {
    lab,
    interpolated: o.labLimitUm !== USDA_SAND_LIMIT_UM,
    difference,
    points: (Math.abs(sand) + Math.abs(silt) + Math.abs(clay)) / 2,
    labClass: classifyTexture(o.system, lab),
    jarClass: classifyTexture(o.system, o.jar)
  };
}
