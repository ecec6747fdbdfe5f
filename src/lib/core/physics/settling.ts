import { RangeProblem, requirePositive } from '../errors.ts';
import { waterDensity, waterViscosity } from './water.ts';

/** Standard gravity, m/s2. */
export const GRAVITY = 9.80665;
/** Usual density of mineral grains, kg/m3. */
export const QUARTZ_DENSITY = 2650;
/** Largest diameter to which Stokes' law is taken, um. */
export const STOKES_LIMIT_UM = 60;

/** Shape factors of Ferguson & Church for natural grains. */
const FERGUSON_C1 = 18;
const FERGUSON_C2 = 1;

function submergedDensity(tempC: number, particleDensity: number): number {
  const excess = particleDensity - waterDensity(tempC);
  if (!(excess > 0)) {
    throw new RangeProblem('particleDensity', 'The grains must be denser than the water to settle.');
  }
  return excess;
}

/**
 * Settling velocity of a sphere by Stokes' law.
 *
 * @param o.diameterUm grain diameter, um
 * @param o.tempC water temperature, degC
 * @param o.particleDensity kg/m3, 2650 unless given
 * @returns m/s
 * @throws {RangeProblem} for a diameter that is not above zero, or a temperature outside 0-40 degC
 */
export function settlingVelocity(o: { diameterUm: number; tempC: number; particleDensity?: number }): number {
  requirePositive('diameterUm', o.diameterUm);
  const d = o.diameterUm * 1e-6;
  const excess = submergedDensity(o.tempC, o.particleDensity ?? QUARTZ_DENSITY);
  return (excess * GRAVITY * d * d) / (18 * waterViscosity(o.tempC));
}

/**
 * Time a grain needs to fall a height, by Stokes' law in quiet, uncrowded water.
 *
 * @param o.fallMm fall height, mm
 * @returns s
 * @example settlingTime({ diameterUm: 2, fallMm: 100, tempC: 20 }) / 3600 // 7.73
 */
export function settlingTime(o: {
  diameterUm: number;
  fallMm: number;
  tempC: number;
  particleDensity?: number;
}): number {
  requirePositive('fallMm', o.fallMm);
  return (o.fallMm * 1e-3) / settlingVelocity(o);
}

/**
 * Cut diameter: the smallest grain that has fallen the whole height by a given time, by Stokes' law.
 *
 * @param o.timeS time since set-down, s
 * @param o.fallMm fall height, mm
 * @returns um; above 60 um use {@link cutDiameterForDisplay}
 * @example cutDiameter({ timeS: 60, fallMm: 100, tempC: 20 }) // 43.1
 */
export function cutDiameter(o: {
  timeS: number;
  fallMm: number;
  tempC: number;
  particleDensity?: number;
}): number {
  requirePositive('timeS', o.timeS);
  requirePositive('fallMm', o.fallMm);
  const excess = submergedDensity(o.tempC, o.particleDensity ?? QUARTZ_DENSITY);
  const d2 = (18 * waterViscosity(o.tempC) * o.fallMm * 1e-3) / (excess * GRAVITY * o.timeS);
  return Math.sqrt(d2) * 1e6;
}

/**
 * Settling velocity of natural grains of any size.
 *
 * Source: Ferguson & Church 2004, C1 = 18, C2 = 1.0.
 * @param o.diameterUm um
 * @returns m/s
 * @example grainVelocity({ diameterUm: 1000, tempC: 20 }) // 0.126
 */
export function grainVelocity(o: { diameterUm: number; tempC: number; particleDensity?: number }): number {
  requirePositive('diameterUm', o.diameterUm);
  const { relative, nu } = grainConstants(o.tempC, o.particleDensity ?? QUARTZ_DENSITY);
  const d = o.diameterUm * 1e-6;
  return (relative * d * d) / (FERGUSON_C1 * nu + Math.sqrt(0.75 * FERGUSON_C2 * relative * d ** 3));
}

/**
 * The grain that falls at a given velocity: the inverse of {@link grainVelocity}, by Newton steps on sqrt(diameter).
 *
 * @param o.velocity m/s
 * @returns um
 */
export function grainDiameter(o: { velocity: number; tempC: number; particleDensity?: number }): number {
  requirePositive('velocity', o.velocity);
  const { relative, nu } = grainConstants(o.tempC, o.particleDensity ?? QUARTZ_DENSITY);
  const w = o.velocity;
  const drag = FERGUSON_C1 * nu * w;
  const form = w * Math.sqrt(0.75 * FERGUSON_C2 * relative);
  // relative x^4 - form x^3 - drag = 0 with x = sqrt(d); start above the root, where Newton falls monotonically.
  let x = Math.max((drag / relative) ** 0.25, form / relative) * 1.5;
  for (let i = 0; i < 60; i++) {
    const step = (relative * x ** 4 - form * x ** 3 - drag) / (4 * relative * x ** 3 - 3 * form * x * x);
    x -= step;
    if (Math.abs(step) < 1e-13 * x) break;
  }
  return x * x * 1e6;
}

function grainConstants(tempC: number, particleDensity: number): { relative: number; nu: number } {
  const water = waterDensity(tempC);
  return {
    relative: (submergedDensity(tempC, particleDensity) / water) * GRAVITY,
    nu: waterViscosity(tempC) / water
  };
}

/**
 * Cut diameter as it should be shown: Stokes to 60 um, beyond that the law for natural grains.
 *
 * @returns um
 */
export function cutDiameterForDisplay(o: {
  timeS: number;
  fallMm: number;
  tempC: number;
  particleDensity?: number;
}): number {
  const plain = cutDiameter(o);
  if (plain <= STOKES_LIMIT_UM) return plain;
  return grainDiameter({ ...o, velocity: (o.fallMm * 1e-3) / o.timeS });
}
