import { RangeProblem } from '../errors.ts';

/** Units of temperature in the profile. */
export type TempUnit = 'C' | 'F';

/** Lowest and highest water temperature for which the water equations hold, in degC. */
export const WATER_RANGE_C = { low: 0, high: 40 } as const;

/** degF to degC. */
export function celsius(value: number, unit: TempUnit): number {
  return unit === 'C' ? value : ((value - 32) * 5) / 9;
}

/** degC to the given unit. */
export function fromCelsius(tempC: number, unit: TempUnit): number {
  return unit === 'C' ? tempC : (tempC * 9) / 5 + 32;
}

/**
 * Reads a water temperature such as `18`, `18,5`, `64 F` or `18 °C`.
 *
 * @returns degC, within 0 to 40
 * @throws {RangeProblem} when it is no number or outside the range
 */
export function parseWaterTemperature(text: string, defaultUnit: TempUnit): number {
  const match = /^(-?\d+(?:[.,]\d+)?)\s*(?:°|deg)?\s*([cf])?$/i.exec(text.trim());
  if (!match) {
    throw new RangeProblem('tempC', 'Type the water temperature as a number, such as 18 or 64 F.');
  }
  const unit = (match[2]?.toUpperCase() as TempUnit | undefined) ?? defaultUnit;
  const tempC = celsius(Number(match[1].replace(',', '.')), unit);
  if (tempC < WATER_RANGE_C.low || tempC > WATER_RANGE_C.high) {
    const low = fromCelsius(WATER_RANGE_C.low, unit);
    const high = fromCelsius(WATER_RANGE_C.high, unit);
    throw new RangeProblem(
      'tempC',
      `The water must be between ${low} and ${high} °${unit}. Measure it again.`
    );
  }
  return tempC;
}

/** A temperature for display, to half a degree at most. */
export function formatTemperature(tempC: number, unit: TempUnit): string {
  const value = fromCelsius(tempC, unit);
  return `${Number.isInteger(Math.round(value * 10) / 10) ? Math.round(value) : value.toFixed(1)} °${unit}`;
}
