import { depositTop, type TroubleRule } from './types.ts';

/** Under this the reading error of a ruler is points of every share, mm. */
const THIN_MM = 20;

/** Layers of millimetres: half a millimetre is then a share of its own. */
export const tooThin: TroubleRule = (facts) => {
  const totalMm = depositTop(facts);
  if (totalMm === undefined || totalMm >= THIN_MM || totalMm <= 0) return undefined;
  return { id: 'too-thin', totalMm, pointsPerHalfMm: 50 / totalMm };
};
