import type { TroubleRule } from './types.ts';

/** What a bed may sink between two marks by packing alone, mm. */
const PACKING_MM = 2;

/** A later mark lies below an earlier one by more than packing explains: one of them was misread. */
export const marksFall: TroubleRule = ({ marks }) => {
  let under: number | undefined;
  for (const { layer, heightMm } of marks) {
    if (heightMm === null) continue;
    const byMm = (under ?? heightMm) - heightMm;
    if (layer !== 'sand' && byMm > PACKING_MM) return { id: 'marks-fall', lower: layer, byMm };
    under = heightMm;
  }
  return undefined;
};
