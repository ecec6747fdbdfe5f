/** What slips at a reading of an instrument in a cylinder. */
export type GaugeSlip =
  | 'lowered-late'
  | 'lowered-early'
  | 'read-early'
  | 'read-late'
  | 'read-at-surface'
  | 'stem-misread'
  | 'thermometer'
  | 'blank-misread';

/** A reading as it was taken by hand: times s after set-down, scales in g/L. */
export type HandReading = {
  dueS: number;
  /** How long before the reading the method lowers the instrument, s; 0 where it stays in. */
  leadS: number;
  loweredS: number;
  readS: number;
  /** How far the surface stands under the rim of the meniscus, on the scale, g/L. */
  meniscusGL: number;
  /** What was written down of stem, thermometer and blank; none for what nobody reads. */
  typed: Partial<Shown>;
  /** What they showed at the top of the meniscus. */
  shown: Shown;
};

/** What stem and blank show, g/L, and the thermometer, degC. */
export type Shown = { stemGL: number; tempC: number; blankGL: number };

/** A reading tolerates a tenth of its time, and never less than two seconds. */
const FAIR_SHARE = 0.1;
const FAIR_S = 2;
/** How far a bulb that was just lowered swings, g/L, and in which time that falls to a third of it, s. Set by hand. */
const SWINGS_GL = 3;
const SWINGS_S = 3;
/** One that hangs in for over so long, or over so many times its lead, gathers grains, s. */
const HANGS_S = 60;
const HANGS_LEADS = 3;
/** A scale in half grams is read to one of them; what an eye reads of a thermometer, degC. */
const STEP_GL = 0.5;
const FAIR_TEMP_C = 0.5;

/**
 * What a stem shows so many seconds after it was lowered: it swings until it hangs still.
 *
 * @param stillGL what it comes to, g/L
 * @returns g/L, to the step of the scale
 */
export const swingingGL = (stillGL: number, sinceLoweredS: number): number =>
  Math.round((stillGL + SWINGS_GL * Math.exp(-Math.max(0, sinceLoweredS) / SWINGS_S)) / STEP_GL) * STEP_GL;

function stemSlip(typedGL: number, shownGL: number, meniscusGL: number): GaugeSlip | undefined {
  if (Math.abs(typedGL - shownGL) < STEP_GL + 1e-9) return undefined;
  return Math.abs(typedGL - shownGL - meniscusGL) < STEP_GL ? 'read-at-surface' : 'stem-misread';
}

/** What slipped at a reading taken by hand, in the order in which it was done. */
export function slipsOfReading({
  dueS,
  leadS,
  loweredS,
  readS,
  meniscusGL,
  typed,
  shown
}: HandReading): GaugeSlip[] {
  const slips: GaugeSlip[] = [];
  const inS = readS - loweredS;
  if (leadS > 0 && inS < leadS / 2) slips.push('lowered-late');
  if (leadS > 0 && inS > Math.max(HANGS_LEADS * leadS, HANGS_S)) slips.push('lowered-early');
  const lateS = readS - dueS;
  if (Math.abs(lateS) > Math.max(FAIR_S, FAIR_SHARE * dueS))
    slips.push(lateS < 0 ? 'read-early' : 'read-late');
  const stem = typed.stemGL === undefined ? undefined : stemSlip(typed.stemGL, shown.stemGL, meniscusGL);
  if (stem) slips.push(stem);
  if (typed.tempC !== undefined && Math.abs(typed.tempC - shown.tempC) > FAIR_TEMP_C)
    slips.push('thermometer');
  // A blank is clear: read at the surface it is as wrong.
  if (typed.blankGL !== undefined && stemSlip(typed.blankGL, shown.blankGL, meniscusGL))
    slips.push('blank-misread');
  return slips;
}
