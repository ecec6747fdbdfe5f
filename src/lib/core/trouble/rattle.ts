import type { TroubleRule } from './types.ts';

/** It rattled while it was shaken: stones, or crumbs that the water has not taken apart. */
export const rattle: TroubleRule = ({ notes }) => (notes.includes('rattled') ? { id: 'rattle' } : undefined);
