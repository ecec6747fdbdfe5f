import { wantsMoisture } from './facts.ts';
import type { CylinderInput, WorkedCylinder, WorkedReading } from './worked.ts';

/** What makes a cylinder test doubtful; words are the interface's. */
export type CylinderDoubt =
  | { kind: 'rises'; no: number; beforeNo: number; by: number }
  | { kind: 'below-blank'; no: number; corrected: number }
  | { kind: 'late'; no: number; askedS: number; tookS: number; cutUm: number }
  | { kind: 'blank-after'; afterS: number }
  | { kind: 'blank-warmth'; no: number; apartC: number }
  | { kind: 'no-blank'; correction: number }
  | { kind: 'light'; ovenDryG: number; points: number }
  | { kind: 'not-dispersed' }
  | { kind: 'no-moisture' }
  | { kind: 'beyond' }
  | { kind: 'sand-by-reading'; no: number; cutUm: number };

/** A blank read this long after the last reading of the test no longer stands for it, s. */
const BLANK_AFTER_S = 1800;
/** Blank and suspension may differ by this much, degC: more moves a reading by over a third of a gram. */
const BLANK_APART_C = 1;
/** Under this mass half a gram a litre is five points, g. */
const LIGHT_G = 10;

/** What is doubtful about one reading of a hydrometer, beside the one before it. */
function readingDoubts(
  { no, tempC }: WorkedReading,
  { corrected, blank }: NonNullable<WorkedReading['hydrometer']>,
  before: WorkedReading | undefined
): CylinderDoubt[] {
  const out: CylinderDoubt[] = [];
  if (before?.hydrometer && corrected > before.hydrometer.corrected) {
    out.push({ kind: 'rises', no, beforeNo: before.no, by: corrected - before.hydrometer.corrected });
  }
  if (corrected < 0) out.push({ kind: 'below-blank', no, corrected });
  const apartC = blank ? Math.abs(blank.tempC - tempC) : 0;
  if (apartC > BLANK_APART_C) out.push({ kind: 'blank-warmth', no, apartC });
  return out;
}

/**
 * What is doubtful, though not impossible, about a cylinder test. What is impossible is an error of
 * {@link workOutCylinder}.
 *
 * @param asked times that the method asks for, s, by number of reading
 */
export function cylinderDoubts(
  input: CylinderInput,
  worked: WorkedCylinder,
  o: { asked: readonly (number | undefined)[]; dispersed: boolean }
): CylinderDoubt[] {
  const out: CylinderDoubt[] = [];
  const hydrometer = input.scheme !== 'pipette';
  if (!o.dispersed) out.push({ kind: 'not-dispersed' });
  if (wantsMoisture(input.facts)) out.push({ kind: 'no-moisture' });
  if (worked.ovenDryG < LIGHT_G && hydrometer) {
    out.push({ kind: 'light', ovenDryG: worked.ovenDryG, points: 50 / worked.ovenDryG });
  }
  worked.readings.forEach((r, i) => {
    if (r.hydrometer) out.push(...readingDoubts(r, r.hydrometer, worked.readings[i - 1]));
    const askedS = o.asked[r.no];
    if (askedS !== undefined && Math.abs(r.timeS - askedS) > Math.max(5, askedS * 0.1)) {
      out.push({ kind: 'late', no: r.no, askedS, tookS: r.timeS, cutUm: r.shownUm });
    }
  });
  const lastS = worked.readings[worked.readings.length - 1].timeS;
  const blankS = Math.min(...input.blanks.map((b) => b.timeS));
  if (input.blanks.length > 0 && blankS > lastS + BLANK_AFTER_S) {
    out.push({ kind: 'blank-after', afterS: blankS - lastS });
  }
  const first = worked.readings[0];
  if (first.hydrometer && input.blanks.length === 0) {
    out.push({ kind: 'no-blank', correction: first.hydrometer.corrected - first.hydrometer.grams });
  }
  if (worked.beyond) out.push({ kind: 'beyond' });
  if (input.scheme === 'two-point' && worked.sandFrom === 'reading') {
    out.push({ kind: 'sand-by-reading', no: first.no, cutUm: first.shownUm });
  }
  return out;
}
