import { clayStillUp } from '../jar/mass.ts';
import type { TroubleRule } from './types.ts';

/** Share of the clay that should still be up, from which clear water is not to be believed, percent. */
const TOO_CLEAR_PCT = 60;

/** Clear too soon: the clay has come down in flocs, by lime, salt, hard water or for want of dispersant. */
export const clearedSoon: TroubleRule = ({ reading, column }) => {
  if (reading?.water !== 'clear') return undefined;
  const expectedUpPct = 100 * clayStillUp(column.cutUm(reading.atS));
  return expectedUpPct > TOO_CLEAR_PCT
    ? { id: 'cleared-soon', hours: reading.atS / 3600, expectedUpPct }
    : undefined;
};
