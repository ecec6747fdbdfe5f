import { RangeProblem } from '../errors.ts';

/** MPa in one of each. */
export const MPA_PER = { MPa: 1, psi: 0.006894757293168, bar: 0.1, kPa: 0.001 } as const;
export type PressureUnit = keyof typeof MPA_PER;

const UNITS = new Map((Object.keys(MPA_PER) as PressureUnit[]).map((unit) => [unit.toLowerCase(), unit]));

/**
 * Reads a pressure as a gauge shows it; without a unit it is taken for MPa, as `usual` says otherwise.
 *
 * @returns MPa, 0 or more
 * @throws {RangeProblem} on `pressure` where it is none
 * @example parsePressure('2,000 psi') // 13.79
 */
export function parsePressure(text: string, usual: PressureUnit = 'MPa'): number {
  const match = /^(\d+(?:,\d{3})*(?:\.\d+)?|\d+,\d{1,2}|\.\d+)\s*([a-z]+)?$/i.exec(text.trim());
  const unit = match?.[2] === undefined ? usual : UNITS.get(match[2].toLowerCase());
  const digits = match?.[1].replace(/,(?=\d{3})/g, '').replace(',', '.');
  if (!unit || digits === undefined)
    throw new RangeProblem('pressure', 'Type what the gauge shows, such as 13.8 MPa or 2000 psi.');
  return Number(digits) * MPA_PER[unit];
}

/** A strength or a pressure for display, in MPa and psi. @example formatPressure(13.79) // '13.8 MPa (2000 psi)' */
export function formatPressure(mpa: number): string {
  const psi = mpa / MPA_PER.psi;
  const step = psi >= 100 ? 10 : 1;
  return `${mpa.toFixed(mpa >= 100 ? 0 : 1)} MPa (${Math.round(psi / step) * step} psi)`;
}
