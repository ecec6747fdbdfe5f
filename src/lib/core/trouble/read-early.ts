import { clayStillUp } from '../jar/mass.ts';
import type { TroubleRule } from './types.ts';

/** A method that reads within this time does so by design, s. */
const QUICK_METHOD_S = 3600;
/** Share of the method's own wait under which a reading is early. */
const EARLY_SHARE = 0.25;

/** Read within minutes or hours of a method that waits for a day: the cloud has been counted as nothing or as clay. */
export const readEarly: TroubleRule = ({ reading, method, column }) => {
  if (!reading || method.end.fromS <= QUICK_METHOD_S) return undefined;
  if (reading.atS >= EARLY_SHARE * method.end.fromS) return undefined;
  const stillUpPct = 100 * clayStillUp(column.cutUm(reading.atS));
  return { id: 'read-early', minutes: reading.atS / 60, stillUpPct };
};
