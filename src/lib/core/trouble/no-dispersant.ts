import type { TroubleRule } from './types.ts';

/** None was used although the method asks for it: clay stays in crumbs and counts as silt or sand. */
export const noDispersant: TroubleRule = ({ dispersantMl, method }) =>
  dispersantMl === 0 && method.dispersant.mlPerL > 0
    ? { id: 'no-dispersant', askedMlPerL: method.dispersant.mlPerL }
    : undefined;
