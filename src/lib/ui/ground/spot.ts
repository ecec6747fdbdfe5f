import type { LengthUnit } from '$lib/core';
import type { SpotRecord } from '$lib/contract/records/ground';
import { t } from '$lib/words';
import { keptLength, readLength } from '$lib/workbench/entry/figure';

/** What is typed at a spot: from how deep to how deep soil was taken, and a note. */
export type SpotTexts = { from: string; to: string; note: string };

/** A spot as it was kept, as texts. */
export function spotTexts(spot: SpotRecord, unit: LengthUnit): SpotTexts {
  return { from: keptLength(spot.depthFrom, unit), to: keptLength(spot.depthTo, unit), note: spot.note };
}

/** Reads what is typed at a spot: depths in mm, or what is wrong beside which field. */
export function readSpot({ from, to, note }: SpotTexts, unit: LengthUnit) {
  const one = (text: string) => (text.trim() === '' ? undefined : readLength(text, unit));
  const [a, b] = [one(from), one(to)];
  const errors: { from?: string; to?: string } = { from: a?.error, to: b?.error };
  const depth = (r: typeof a, text: string) =>
    r?.value === undefined ? null : { mm: r.value, text: text.trim() };
  const [depthFrom, depthTo] = [depth(a, from), depth(b, to)];
  if (depthFrom && depthTo && depthTo.mm <= depthFrom.mm) errors.to = t.sample.depthOrder;
  return { errors, wrong: Boolean(errors.from || errors.to), payload: { depthFrom, depthTo, note } };
}
