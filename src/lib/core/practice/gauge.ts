import { scoreOff, type Score } from './score.ts';

/** What slips at a reading of an instrument in a cylinder. */
export type GaugeSlip =
  'lowered-late' | 'lowered-early' | 'read-early' | 'read-late' | 'read-at-surface' | 'thermometer';

/** A reading as it was taken by hand: times s after set-down, values in the unit of the instrument. */
export type HandReading = {
  dueS: number;
  /** How long before the reading the method lowers the instrument, s. */
  leadS: number;
  loweredS: number;
  readS: number;
  /** What was typed, and what stood there at the top of the meniscus; none for what a balance weighs. */
  typed?: number;
  shown?: number;
  /** How far the surface stands under the rim of the meniscus, on the scale. */
  meniscus: number;
  typedTempC?: number;
  tempC: number;
};

/** A reading tolerates a tenth of its time, and never less than two seconds. */
const FAIR_SHARE = 0.1;
const FAIR_S = 2;
/** A bulb hangs still within so many seconds of its lowering, halfway to it in each. */
const BOBS_S = 3;
/** How far a bulb that was just lowered swings, g/L. */
const BOBS_GL = 3;
/** What an eye reads of a stem, g/L, and of a thermometer, degC. */
const FAIR_GL = 0.5;
const FAIR_TEMP = 0.5;

/** How far off a bulb stands so many seconds after it was lowered, g/L: it swings until it hangs still. */
export const bobbing = (sinceLoweredS: number): number =>
  BOBS_GL * Math.exp(-Math.max(0, sinceLoweredS) / BOBS_S);

/** What slipped at a reading taken by hand, in the order in which it was done; and its score for time and for the scale. */
export function scoreHandReading(o: HandReading): { time: Score; scale?: Score; slips: GaugeSlip[] } {
  const slips: GaugeSlip[] = [];
  const fairS = Math.max(FAIR_S, FAIR_SHARE * o.dueS);
  const lead = o.readS - o.loweredS;
  if (o.leadS > 0 && lead < o.leadS / 2) slips.push('lowered-late');
  if (o.leadS > 0 && lead > Math.max(3 * o.leadS, 60)) slips.push('lowered-early');
  const by = o.readS - o.dueS;
  if (Math.abs(by) > fairS) slips.push(by < 0 ? 'read-early' : 'read-late');
  let scale: Score | undefined;
  if (o.typed !== undefined && o.shown !== undefined) {
    scale = scoreOff({ by: o.typed - o.shown, unit: 'points' }, FAIR_GL);
    if (Math.abs(o.typed - o.shown - o.meniscus) < FAIR_GL && Math.abs(o.typed - o.shown) >= FAIR_GL)
      slips.push('read-at-surface');
  }
  if (o.typedTempC !== undefined && Math.abs(o.typedTempC - o.tempC) > FAIR_TEMP) slips.push('thermometer');
  return { time: scoreOff({ by, unit: 's' }, fairS), scale, slips };
}
