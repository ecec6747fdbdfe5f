import { volumeToHeight } from '../vessel/geometry.ts';
import { depositTop, type TroubleRule } from './types.ts';

/** Under this the reading error of a ruler is points of every share, mm. */
const THIN_MM = 20;

/** Soil that is all there settles to this share of its loose volume at least. */
const SETTLES_TO = 0.4;

/** Layers of millimetres: half a millimetre is then a share of its own. */
export const tooThin: TroubleRule = (facts) => {
  const totalMm = depositTop(facts);
  if (totalMm === undefined || totalMm >= THIN_MM || totalMm <= 0) return undefined;
  // Where the method itself gives so little, as a school cylinder, more soil is no advice.
  const { soilMl } = facts.method.fill;
  if (soilMl !== undefined && volumeToHeight(facts.vessel, totalMm) >= SETTLES_TO * soilMl) return undefined;
  return { id: 'too-thin', totalMm, pointsPerHalfMm: 50 / totalMm };
};
