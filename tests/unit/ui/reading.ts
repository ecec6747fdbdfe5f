import { STANDARD_VESSELS, type LineName, type Vessel } from '../../../src/lib/core/index.ts';
import { rulerFor } from '../../../src/lib/workbench/entry/scale.ts';
import { ReadingForm } from '../../../src/lib/ui/read/form.svelte.ts';
import { blankTexts, mergeTexts, type KeptTexts } from '../../../src/lib/workbench/entry/texts.ts';

const vessel = (id: string): Vessel => STANDARD_VESSELS.find((v) => v.id === id)!;
export const JAR = vessel('jar-litre');
export const CYLINDER = vessel('cylinder-100');
export const TUMBLER: Vessel = {
  ...JAR,
  profile: [
    { heightMm: 0, diameterMm: 52 },
    { heightMm: 140, diameterMm: 84 }
  ],
  innerHeightMm: 140,
  shoulderHeightMm: 140
};

export type Setting = {
  unit?: 'mm' | 'cm' | 'in';
  vessel?: Vessel;
  waterMm?: number;
};
export function form(texts: KeptTexts = {}, o: Setting = {}): ReadingForm {
  const { unit = 'mm', vessel = JAR, waterMm = 120 } = o;
  return new ReadingForm(mergeTexts(blankTexts(texts.ruler ?? rulerFor(unit), unit), texts), {
    vessel,
    waterMm
  });
}
export const lines = (typed: Partial<Record<LineName, string>>) => typed as Record<LineName, string>;
/** No clay was seen. */
export const unplaced = { sand: '' as const, silt: '' as const, clay: 'none' as const };
export const kept = { lines: lines({ sand: '22', silt: '30.5', clay: '35' }) };
