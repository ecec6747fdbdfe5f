import { formatWeight, volumeToHeight, type RunMethod, type Vessel, type WeighedSoil } from '$lib/core';
import type { JarRecord } from '$lib/contract/records/jar';
import type { RunRecord } from '$lib/contract/records/run';
import { formatDuration } from '$lib/core';
import type { Format } from '$lib/words/format';
import { t } from '$lib/words';

/** A height in a vessel as it is told there: on its own scale where it has one, else by a ruler. */
export function heightIn(vessel: Vessel, mm: number, format: Format): string {
  return vessel.graduationMl ? t.amount.line(millilitres(vessel, mm)) : format.length(mm);
}

/** The same, short, for a strip of tape. */
export function tapeIn(vessel: Vessel, mm: number, format: Format): string {
  return vessel.graduationMl ? t.amount.ml(millilitres(vessel, mm)) : format.length(mm).replace(/ \(.*/, '');
}

function millilitres(vessel: Vessel, mm: number): number {
  return Math.round(volumeToHeight(vessel, mm));
}

/** The dry soil as it was weighed. */
export function weighedWords({ grams, readsToG }: WeighedSoil): string {
  return t.weigh.weighed(formatWeight(grams), formatWeight(readsToG));
}

/** What is filled in: dry soil and water, in the words of the method. */
export function fillWords(
  method: Pick<RunMethod, 'fill'>,
  vessel: Vessel,
  soilMm: number,
  waterMm: number,
  format: Format
): { soil: string; water: string } {
  const soil = heightIn(vessel, soilMm, format);
  const water = heightIn(vessel, waterMm, format);
  if (method.fill.water !== 'equal') return { soil: t.amount.soil(soil), water: t.amount.water(water) };
  const measure = t.amount.ml(millilitres(vessel, soilMm));
  return {
    soil: vessel.graduationMl ? t.amount.soil(soil) : t.amount.soilMeasure(measure, soil),
    water: t.amount.waterMeasure(measure, water)
  };
}

/**
 * What is to be ticked off before a jar is set down, in order: by what, and the words. A jar that is shaken again holds its
 * soil and water already.
 */
export function prepareItems(
  jar: Pick<JarRecord, 'code' | 'method' | 'vessel' | 'soilMm' | 'waterMm' | 'dispersantMl' | 'cylinder'>,
  runs: readonly Pick<RunRecord, 'no'>[],
  format: Format
): [key: string, words: string][] {
  const say = t.prepare.items;
  const { method, vessel } = jar;
  const { fromS, toS, how } = method.agitate;
  const shakenBefore = runs.length > 0;
  if (jar.cylinder) {
    const lab = t.cylinder.items;
    const { airDryG, pipette, cylinderMl } = jar.cylinder.facts;
    const filled: [string, string][] = [
      ['soak', lab.soak(airDryG, method.dispersant.mlPerL)],
      ['moisture', lab.moisture],
      ...(pipette ? [['sieve', lab.sieve] as [string, string]] : []),
      ['rinse', lab.rinse(cylinderMl)],
      ...(pipette ? [] : [['blank', lab.blank] as [string, string]]),
      ['temper', lab.temper]
    ];
    return [
      ...(shakenBefore ? [] : filled),
      ['shake', lab.invert(formatDuration(fromS), formatDuration(toS))],
      ['seal', lab.seal]
    ];
  }
  const fill = fillWords(method, vessel, jar.soilMm, jar.waterMm, format);
  const marksFill = method.key === 'jar-builder';
  const filled: [string, string][] = [
    ['sieve', say.sieve],
    ['tape', say.tape(jar.code)],
    ['soil', marksFill || !vessel.graduationMl ? say.soilMarked(fill.soil) : say.soil(fill.soil)],
    ...(jar.dispersantMl > 0 ? [['dose', say.dose(format.dose(jar.dispersantMl))] as [string, string]] : []),
    ['water', vessel.kind === 'cylinder' ? say.waterStopper(fill.water) : say.water(fill.water)]
  ];
  return [
    ...(shakenBefore ? [['settled', say.settled] as [string, string]] : filled),
    ['shake', say.shake(how, formatDuration(fromS), formatDuration(toS))],
    ['place', say.place]
  ];
}
