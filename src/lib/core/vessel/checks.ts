import { RangeProblem, requirePositive } from '../errors.ts';
import { waterDensity } from '../physics/water.ts';
import { volumeToHeight } from './geometry.ts';
import type { Vessel } from './vessel.ts';

/**
 * Sets the volume by the measures of a vessel against water that was weighed in it.
 *
 * @param waterG mass of the water, g
 * @param toMm how high it stood over the inside bottom, mm
 * @param tempC warmth of the water, degC; 20 unless given
 * @returns both volumes in mL, the difference in percent of the weighed one, what the ruler allows (half a mm on each
 *   diameter and on the height), whether they agree, and by what all diameters would have to be multiplied
 * @throws {RangeProblem} on `waterG` or `toMm`
 */
export function volumeCheck(
  vessel: Vessel,
  o: { waterG: number; toMm: number; tempC?: number }
): {
  byMeasuresMl: number;
  weighedMl: number;
  differencePct: number;
  allowedPct: number;
  agrees: boolean;
  diameterFactor: number;
} {
  if (!(o.waterG > 0) || !Number.isFinite(o.waterG)) {
    throw new RangeProblem('waterG', 'Give the weight of the water alone, in grams: full less empty.');
  }
  if (!(o.toMm > 0) || o.toMm > vessel.innerHeightMm + 1e-9) {
    throw new RangeProblem('toMm', 'Give how high the water stood over the inside bottom, the rim at most.');
  }
  const weighedMl = (1000 * o.waterG) / waterDensity(o.tempC ?? 20);
  const byMeasuresMl = volumeToHeight(vessel, o.toMm);
  const differencePct = (100 * (byMeasuresMl - weighedMl)) / weighedMl;
  const allowedPct = 100 * Math.hypot((2 * 0.5) / vessel.innerDiameterMm, 0.5 / o.toMm) * 2;
  return {
    byMeasuresMl,
    weighedMl,
    differencePct,
    allowedPct,
    agrees: Math.abs(differencePct) <= allowedPct,
    diameterFactor: Math.sqrt(weighedMl / byMeasuresMl)
  };
}

/**
 * Checks the measures of a vessel against each other.
 * @throws {RangeProblem} naming the field and what to measure
 */
export function checkVessel(v: Vessel): void {
  requirePositive('innerHeightMm', v.innerHeightMm);
  requirePositive('innerDiameterMm', v.innerDiameterMm);
  requirePositive('mouthDiameterMm', v.mouthDiameterMm);
  if (!(v.baseThicknessMm >= 0) || v.baseThicknessMm > v.innerHeightMm / 2) {
    throw new RangeProblem(
      'baseThicknessMm',
      'The base is thicker than half the jar. Measure the glass below the inside bottom.'
    );
  }
  if (!(v.shoulderHeightMm > 0) || v.shoulderHeightMm > v.innerHeightMm) {
    throw new RangeProblem('shoulderHeightMm', 'The shoulder must lie between the bottom and the rim.');
  }
  if (v.mouthDiameterMm > v.innerDiameterMm * 1.5) {
    throw new RangeProblem('mouthDiameterMm', 'The mouth is far wider than the jar. Measure both inside.');
  }
  if (!((v.domeMm ?? 0) >= 0) || (v.domeMm ?? 0) > v.innerDiameterMm / 4) {
    throw new RangeProblem(
      'domeMm',
      'The dome is higher than a quarter of the width. Measure its middle again.'
    );
  }
}

/**
 * Checks that a height lies in a vessel.
 *
 * @param field what the height is called where it was entered
 * @param heightMm over the inside bottom, mm
 * @throws {RangeProblem} on `field` for a height over the rim
 */
export function requireInside(field: string, heightMm: number, vessel: Pick<Vessel, 'innerHeightMm'>): void {
  if (heightMm <= vessel.innerHeightMm) return;
  throw new RangeProblem(
    field,
    `This vessel is only ${Math.round(vessel.innerHeightMm)} mm high inside. Measure again.`
  );
}
