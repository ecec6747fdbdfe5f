import { RangeProblem, requirePositive } from '../errors.ts';
import { settlingTime } from '../physics/settling.ts';

/**
 * When to draw: the time at which a size has just fallen past the tip.
 *
 * @param o.limitUm um; `o.depthMm` of the tip, mm
 * @returns s after set-down
 * @example drawTime({ limitUm: 2, depthMm: 100, tempC: 20 }) / 3600 // 7.73
 */
export function drawTime(o: {
  limitUm: number;
  depthMm: number;
  tempC: number;
  particleDensity?: number;
}): number {
  return settlingTime({ ...o, diameterUm: o.limitUm, fallMm: o.depthMm });
}

/**
 * Share of the soil that is finer than the size of a draw:
 * `100 (m_dry - dispersant in the aliquot) (V_cyl / V_pipette) / Ms`.
 *
 * @param o.dryG what the draw leaves when dried, g
 * @param o.dispersantG dry dispersant in it, g
 * @returns percent
 * @throws {RangeProblem} for a draw that weighs less than its dispersant
 * @example pipetteFiner({ dryG: 0.105, dispersantG: 0.005, cylinderMl: 1000, pipetteMl: 20, ovenDryG: 10 }) // 50
 */
export function pipetteFiner(o: {
  dryG: number;
  dispersantG: number;
  cylinderMl: number;
  pipetteMl: number;
  ovenDryG: number;
}): number {
  requirePositive('pipetteMl', o.pipetteMl);
  requirePositive('ovenDryG', o.ovenDryG);
  if (!(o.dryG >= o.dispersantG)) {
    throw new RangeProblem(
      'value',
      'This draw weighs less than the dispersant in it. Check the mass, and the tin it was dried in.'
    );
  }
  return (100 * (o.dryG - o.dispersantG) * (o.cylinderMl / o.pipetteMl)) / o.ovenDryG;
}
