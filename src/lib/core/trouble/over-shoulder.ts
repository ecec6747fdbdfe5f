import { depositTop, type TroubleRule } from './types.ts';

/** The layers reach beyond the straight wall: what lies in the shoulder cannot be read as a height. */
export const overShoulder: TroubleRule = (facts) => {
  const topMm = depositTop(facts);
  const shoulderMm = facts.vessel.shoulderHeightMm;
  if (topMm === undefined || topMm <= shoulderMm || shoulderMm >= facts.vessel.innerHeightMm)
    return undefined;
  return { id: 'over-shoulder', topMm, shoulderMm };
};
