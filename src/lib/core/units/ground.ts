import { RangeProblem } from '../errors.ts';
import type { LengthUnit } from './length.ts';

const M_PER: Record<string, number> = { m: 1, km: 1000, cm: 0.01, ft: 0.3048, yd: 0.9144, "'": 0.3048 };

/**
 * Reads a distance on the ground, such as `12`, `12.5 m`, `40 ft`: metres if no unit is given.
 *
 * @returns m, above zero
 * @throws {RangeProblem} on `distance`, saying what to type
 */
export function parseMetres(text: string): number {
  const match = /^([\d.,]+)\s*([a-z']*)\.?$/.exec(text.trim().toLowerCase());
  const number = Number((match?.[1] ?? '').replace(',', '.'));
  const unit = match?.[2] || 'm';
  if (!match || !Number.isFinite(number)) {
    throw new RangeProblem('distance', 'Give a distance such as 12.5 m or 40 ft.');
  }
  if (!Object.hasOwn(M_PER, unit)) {
    throw new RangeProblem('distance', `"${unit}" is no unit of distance here. Use m, cm, ft or yd.`);
  }
  if (number <= 0) throw new RangeProblem('distance', 'Give a distance above zero.');
  return number * M_PER[unit];
}

/** Significant figures for a measured piece of ground: three, whole numbers from 100 on. */
function threeFigures(value: number): string {
  return value >= 100 ? String(Math.round(value)) : String(Number(value.toPrecision(3)));
}

/** A piece of ground in m2, or square feet for those who measure in inches. */
export function formatGround(squareMetres: number, unit: LengthUnit): string {
  return unit === 'in'
    ? `${threeFigures(squareMetres / 0.3048 ** 2)} ft²`
    : `${threeFigures(squareMetres)} m²`;
}

/** A distance on the ground in m, or feet for those who measure in inches. */
export function formatMetres(metres: number, unit: LengthUnit): string {
  return unit === 'in' ? `${threeFigures(metres / 0.3048)} ft` : `${threeFigures(metres)} m`;
}
