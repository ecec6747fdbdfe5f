import { wantsMoisture } from './facts.ts';
import type { CylinderInput, WorkedCylinder } from './worked.ts';

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
    const before = worked.readings[i - 1];
    if (hydrometer && before && r.corrected! > before.corrected!) {
      out.push({ kind: 'rises', no: r.no, beforeNo: before.no, by: r.corrected! - before.corrected! });
    }
    if (hydrometer && r.corrected! < 0) out.push({ kind: 'below-blank', no: r.no, corrected: r.corrected! });
    if (r.blank && Math.abs(r.blank.tempC - r.tempC) > BLANK_APART_C) {
      out.push({ kind: 'blank-warmth', no: r.no, apartC: Math.abs(r.blank.tempC - r.tempC) });
    }
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
  if (hydrometer && input.blanks.length === 0) {
    out.push({ kind: 'no-blank', correction: worked.readings[0].corrected! - worked.readings[0].grams! });
  }
  if (worked.beyond) out.push({ kind: 'beyond' });
  const first = worked.readings[0];
  if (input.scheme === 'two-point' && worked.sandFrom === 'reading') {
    out.push({ kind: 'sand-by-reading', no: first.no, cutUm: first.shownUm });
  }
  return out;
}
