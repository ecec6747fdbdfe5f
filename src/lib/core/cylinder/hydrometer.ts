import { RangeProblem, requirePositive } from '../errors.ts';
import type { Fractions } from '../physics/bands.ts';
import { cutDiameter, QUARTZ_DENSITY } from '../physics/settling.ts';
import { effectiveDepth, SCALE_GRAINS, type Bulb } from '../physics/bulb.ts';
import { ovenDryMass } from './facts.ts';

/** Water that the usual scale was made for, degC, and what a degree moves a reading by where no blank is read, g/L. */
export const SCALE_TEMP_C = 20;
export const TEMP_CORRECTION = 0.36;

/** What part of a fraction may be read under nothing or over everything before it is called impossible, points. */
export const IMPOSSIBLE_BY = 0.5;

/**
 * Factor for grains of another density than 2.65: `a = Gs 1.65 / ((Gs - 1) 2.65)`.
 *
 * @param particleDensity kg/m3
 * @throws {RangeProblem} for grains that are not denser than water
 * @example densityFactor(2650) // 1
 */
export function densityFactor(particleDensity: number): number {
  const gs = particleDensity / 1000;
  if (!(gs > 1)) {
    throw new RangeProblem(
      'particleDensity',
      'Grains must be denser than water, or nothing settles. Usual is 2650 kg/m³.'
    );
  }
  return (gs * (SCALE_GRAINS - 1)) / ((gs - 1) * SCALE_GRAINS);
}

/**
 * Size that has just left the bulb's depth at a reading.
 *
 * @param o.scale as read; `o.meniscus` is added for the depth
 * @returns um
 */
export function sizeAtReading(o: {
  bulb?: Bulb;
  scale: number;
  meniscus?: number;
  timeS: number;
  tempC: number;
  particleDensity?: number;
}): number {
  return cutDiameter({
    timeS: o.timeS,
    fallMm: effectiveDepth(o.bulb ?? '152H', o.scale, o.meniscus),
    tempC: o.tempC,
    particleDensity: o.particleDensity ?? QUARTZ_DENSITY
  });
}

/** What a reading is moved by where no blank was read: +0.36 g/L a degree over 20 degC. */
export function temperatureCorrection(tempC: number): number {
  return TEMP_CORRECTION * (tempC - SCALE_TEMP_C);
}

/**
 * Corrected reading: the blank taken off in its sign; without one, moved by the temperature. Never both, for the blank
 * stands in the same warmth.
 */
export function correctedReading(reading: number, tempC: number, blank: number | undefined): number {
  return blank === undefined ? reading + temperatureCorrection(tempC) : reading - blank;
}

/**
 * Throws where a fraction lies further outside 0-100 than reading errors reach.
 *
 * @throws {RangeProblem} with the reading that is to blame as field
 */
export function requirePossible(f: Fractions, by: { sand: string; silt: string; clay: string }): void {
  const said = {
    sand: ['more is in suspension than the soil weighs', 'less than nothing is in suspension'],
    silt: ['there is more at the clay reading than before', 'silt comes to more than the whole'],
    clay: ['it lies under the blank', 'it holds more than the soil weighs']
  } as const;
  for (const part of ['sand', 'clay', 'silt'] as const) {
    const low = f[part] < -IMPOSSIBLE_BY;
    if (!low && f[part] <= 100 + IMPOSSIBLE_BY) continue;
    throw new RangeProblem(
      by[part],
      `This reading cannot be right: ${said[part][low ? 0 : 1]} (${part} ${f[part].toFixed(1)} %). Check it, the blank and the mass.`
    );
  }
}

/** Fractions put back onto the triangle: no part below nothing, sum 100. */
export function ontoTriangle(f: Fractions): Fractions {
  const parts = [f.sand, f.silt, f.clay].map((x) => Math.max(0, x));
  const sum = parts[0] + parts[1] + parts[2];
  return { sand: (100 * parts[0]) / sum, silt: (100 * parts[1]) / sum, clay: (100 * parts[2]) / sum };
}

/**
 * Sand, silt and clay from two readings of a 152H hydrometer, with the corrected readings taken as the grams a litre
 * in suspension of one litre.
 *
 * @param o.airDryMassG soil as weighed, g
 * @param o.waterContentPct of the air-dry soil, percent of its dry mass
 * @param o.sandReading, o.clayReading g/L at the sand and the clay time
 * @param o.blankAtSand, o.blankAtClay in their sign, g/L; the first counts for both where the second was not read.
 *   Without a blank the readings are corrected for temperature (20 degC unless given)
 * @param o.particleDensity kg/m3
 * @returns fractions in percent, and the oven-dry mass, g
 * @throws {RangeProblem} naming a reading that cannot be right
 * @example fractionsFromHydrometer({ airDryMassG: 40, waterContentPct: 2.5, sandReading: 21, clayReading: 12,
 *   blankAtSand: 2 }) // sand 51.3, silt 23.1, clay 25.6; 39.02 g
 */
export function fractionsFromHydrometer(o: {
  airDryMassG: number;
  waterContentPct: number;
  sandReading: number;
  clayReading: number;
  blankAtSand?: number;
  blankAtClay?: number;
  tempAtSandC?: number;
  tempAtClayC?: number;
  particleDensity?: number;
}): { fractions: Fractions; ovenDryMassG: number } {
  const ovenDryMassG = ovenDryMass(o.airDryMassG, o.waterContentPct);
  const a = densityFactor(o.particleDensity ?? QUARTZ_DENSITY);
  const blankAtClay = o.blankAtClay ?? o.blankAtSand;
  const tempAtSand = o.tempAtSandC ?? SCALE_TEMP_C;
  const rs = a * correctedReading(o.sandReading, tempAtSand, o.blankAtSand);
  const rc = a * correctedReading(o.clayReading, o.tempAtClayC ?? tempAtSand, blankAtClay);
  const sand = (100 * (ovenDryMassG - rs)) / ovenDryMassG;
  const clay = (100 * rc) / ovenDryMassG;
  const raw = { sand, silt: 100 - sand - clay, clay };
  requirePossible(raw, { sand: 'sandReading', silt: 'clayReading', clay: 'clayReading' });
  return { fractions: ontoTriangle(raw), ovenDryMassG };
}

/** Percent finer than a reading's size: `100 a Rcorr / Ms`, for a suspension of one litre. */
export function percentFinerAt(corrected: number, particleDensity: number, ovenDryG: number): number {
  requirePositive('ovenDryMassG', ovenDryG);
  return (100 * densityFactor(particleDensity) * corrected) / ovenDryG;
}
