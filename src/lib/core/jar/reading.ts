import { requirePositive, RangeProblem } from '../errors.ts';
import type { Fractions } from '../physics/bands.ts';
import { countClasses, BORDERLINE } from '../certainty/classes.ts';
import {
  DEFAULT_DRAWS,
  DEFAULT_SEED,
  drawFractions,
  summariseDraws,
  type BoundarySigmas
} from '../certainty/draws.ts';
import { densityGrid, type DensityGrid } from '../certainty/region.ts';
import { classifyTexture, textureSystems } from '../texture/classify.ts';
import { textureNeighbours, type Neighbour } from '../texture/neighbours.ts';
import type { SystemId } from '../texture/types.ts';
import {
  layersAsRead,
  LAYER_ORDER,
  sumCheck,
  thicknesses,
  type Layers,
  type LayerName,
  type LayerTops
} from './layers.ts';

/** A reading as it was taken: tops over the inside bottom, mm. */
export type JarReading = {
  tops: LayerTops;
  /** Reading error of one line, mm. */
  sigmaMm: number;
  /** Lines that were fuzzier than the rest, mm. */
  ownSigmaMm?: Partial<Record<LayerName, number>>;
  /** The whole deposit measured apart, mm. */
  measuredTotalMm?: number;
  /** Floating organics, mm: noted, never counted. */
  organicsMm?: number;
};

/** Everything worked out from a reading. */
export type JarResult = {
  system: SystemId;
  layers: Layers;
  fractions: Fractions;
  totalMm: number;
  gravelPct: number;
  class: { id: string; name: string };
  probability: number;
  borderline: boolean;
  /** Classes by probability, largest first. */
  classes: { id: string; name: string; probability: number }[];
  /** The other class that needs the smallest exchange. */
  nearest: Neighbour;
  mean: Fractions;
  sd: Fractions;
  sum?: { differenceMm: number; allowedMm: number; agrees: boolean };
};

/** Standard errors of every boundary of a reading, mm. */
export function sigmasOf(reading: JarReading): BoundarySigmas {
  const even = reading.sigmaMm;
  return { base: even, gravel: even, sand: even, silt: even, clay: even, ...reading.ownSigmaMm };
}

/**
 * Checks a reading against its vessel.
 * @throws {RangeProblem} with the line that is wrong as field
 */
export function checkReading(reading: JarReading, vesselHeightMm: number): void {
  requirePositive('sigmaMm', reading.sigmaMm);
  for (const name of LAYER_ORDER) {
    const top = reading.tops[name];
    if (top === undefined) continue;
    if (!(top >= 0)) throw new RangeProblem(name, 'A layer top cannot lie below the inside bottom.');
    if (top > vesselHeightMm) {
      throw new RangeProblem(
        name,
        `This vessel is only ${Math.round(vesselHeightMm)} mm high inside. Measure again.`
      );
    }
  }
  thicknesses(reading.tops);
}

/**
 * Works out a reading: fractions as read, class, probability, nearest other class, and the 90 % region.
 *
 * @param o.draws, o.seed for the Monte Carlo
 * @returns the result, and the density grid for the region (not part of the record)
 * @throws {RangeProblem} for lines out of order or no layer at all
 */
export function workOutReading(
  reading: JarReading,
  system: SystemId,
  o: { draws?: number; seed?: number } = {}
): { result: JarResult; region: DensityGrid } {
  const layers = thicknesses(reading.tops);
  const read = layersAsRead(layers);
  const draws = drawFractions({
    layers,
    sigmas: sigmasOf(reading),
    draws: o.draws ?? DEFAULT_DRAWS,
    seed: o.seed ?? DEFAULT_SEED
  });
  const probabilities = countClasses(system, draws);
  const own = classifyTexture(system, read.fractions);
  const names = new Map(textureSystems[system].classes.map((c) => [c.id, c.name]));
  const probability = probabilities[own.id] ?? 0;
  return {
    result: {
      system,
      layers,
      ...read,
      class: own,
      probability,
      borderline: probability < BORDERLINE,
      classes: Object.entries(probabilities).map(([id, p]) => ({ id, name: names.get(id)!, probability: p })),
      nearest: textureNeighbours(system, read.fractions)[0],
      ...summariseDraws(draws),
      ...(reading.measuredTotalMm === undefined
        ? {}
        : { sum: sumCheck(read.totalMm, reading.measuredTotalMm, reading.sigmaMm) })
    },
    region: densityGrid(draws)
  };
}
