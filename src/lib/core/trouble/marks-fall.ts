import type { TroubleRule } from './types.ts';

/** What a bed may sink between two marks by packing alone, mm. */
const PACKING_MM = 2;

/** A later mark lies below an earlier one by more than packing explains: one of them was misread. */
export const marksFall: TroubleRule = ({ marks }) => {
  const measured = marks.filter((m) => m.heightMm !== null);
  for (const [i, mark] of measured.entries()) {
    if (i === 0 || mark.layer === 'sand') continue;
    const byMm = measured[i - 1].heightMm! - mark.heightMm!;
    if (byMm > PACKING_MM) return { id: 'marks-fall', lower: mark.layer, byMm };
  }
  return undefined;
};
