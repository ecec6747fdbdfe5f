import type { TroubleRule } from './types.ts';

/** Foam hides the top, and may never clear. */
export const foam: TroubleRule = ({ notes }) => (notes.includes('foamed') ? { id: 'foam' } : undefined);
