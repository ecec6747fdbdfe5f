import { t } from '$lib/words';
import type { FieldErrors } from '../fields/command-form.svelte';
import { readNumber } from '$lib/workbench/entry/figure';

/** A window as its fields hold it. What is best within it is left empty where nothing is. */
export type WindowTexts<Of extends string> = {
  of: Of;
  least: string;
  most: string;
  bestLeast: string;
  bestMost: string;
  reason: string;
};

type Bounds = { least?: number; most?: number };
type Written<Of extends string> = Bounds & { of: Of; best?: Bounds; reason: string };

const textOf = (bound: number | undefined) => (bound === undefined ? '' : String(bound));

/** Windows as they stand in their fields. */
export const windowTexts = <Of extends string>(windows: readonly Written<Of>[]): WindowTexts<Of>[] =>
  windows.map(({ of, least, most, best, reason }) => ({
    of,
    least: textOf(least),
    most: textOf(most),
    bestLeast: textOf(best?.least),
    bestMost: textOf(best?.most),
    reason
  }));

/** The other way round; what is no number is told in `errors`, by the name of its field. */
export function readWindows<Of extends string>(
  texts: readonly WindowTexts<Of>[],
  errors: FieldErrors
): Written<Of>[] {
  const bound = (text: string, field: string) => {
    if (text.trim() === '') return undefined;
    const value = readNumber(text);
    if (Number.isNaN(value)) errors[field] = t.act.number;
    return value;
  };
  return texts.map(({ of, reason, ...w }, i) => {
    const best = {
      least: bound(w.bestLeast, `windows.${i}.best.least`),
      most: bound(w.bestMost, `windows.${i}.best.most`)
    };
    return {
      of,
      least: bound(w.least, `windows.${i}.least`),
      most: bound(w.most, `windows.${i}.most`),
      ...(best.least === undefined && best.most === undefined ? {} : { best }),
      reason
    };
  });
}
