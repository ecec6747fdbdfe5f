import { RangeProblem } from '../errors.ts';
import { WATER_RANGE_C } from '../units/temperature.ts';

/** Dynamic viscosity of water at 20 degC, Pa s. */
const ETA_20 = 1.002e-3;

function requireWaterTemperature(tempC: number): void {
  if (!(tempC >= WATER_RANGE_C.low && tempC <= WATER_RANGE_C.high)) {
    throw new RangeProblem(
      'tempC',
      `Water temperature must be between ${WATER_RANGE_C.low} and ${WATER_RANGE_C.high} degC, not ${tempC}.`
    );
  }
}

/**
 * Dynamic viscosity of water.
 *
 * Source: Kestin, Sokolov & Wakeham 1978. Valid 0-40 degC.
 * @param tempC degC
 * @returns Pa s
 * @throws {RangeProblem} outside 0-40 degC
 * @example waterViscosity(20) // 0.001002
 */
export function waterViscosity(tempC: number): number {
  requireWaterTemperature(tempC);
  const below = 20 - tempC;
  const exponent = (below / (tempC + 96)) * (1.2364 - 1.37e-3 * below + 5.7e-6 * below * below);
  return ETA_20 * 10 ** exponent;
}

/**
 * Density of air-free water.
 *
 * Source: Kell 1975. Valid 0-40 degC.
 * @param tempC degC
 * @returns kg/m3
 * @throws {RangeProblem} outside 0-40 degC
 * @example waterDensity(20) // 998.20
 */
export function waterDensity(tempC: number): number {
  requireWaterTemperature(tempC);
  const T = tempC;
  const top =
    999.83952 +
    T * (16.945176 + T * (-7.9870401e-3 + T * (-46.170461e-6 + T * (105.56302e-9 + T * -280.54253e-12))));
  return top / (1 + 16.87985e-3 * T);
}
