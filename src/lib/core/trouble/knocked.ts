import type { TroubleRule } from './types.ts';

/** Knocked or moved while it stood: layers mix where they meet. */
export const knocked: TroubleRule = ({ notes }) =>
  notes.includes('knocked') || notes.includes('moved') ? { id: 'knocked' } : undefined;
