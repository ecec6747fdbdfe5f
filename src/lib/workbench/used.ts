import { isDispersed, type JarRecord, type Used } from '../contract/records/jar.ts';
import type { Format } from '../words/format.ts';
import { t } from '../words/index.ts';

/** What was used on a jar where it is told, in the words of whoever did it. */
export function usedWords({ dispersant, soil, soaked, shaken }: Used): string[] {
  const w = t.used;
  const dose =
    dispersant && (dispersant.kind === 'none' ? w.noDose : w.dose(dispersant.text, w.kinds[dispersant.kind]));
  return [
    ...(dose ? [dose] : []),
    ...(soil ? [w.ofSoil(soil)] : []),
    ...(soaked ? [w.soakedFor(soaked)] : []),
    ...(shaken ? [w.shakenFor(shaken)] : [])
  ];
}

/** The dispersant of a jar: as it was told, as it was advised and ticked off, or that nobody said. */
export function doseWords(
  jar: Pick<JarRecord, 'used' | 'dispersantMl' | 'notMeasured'>,
  format: Format
): string {
  const [told] = jar.used.dispersant ? usedWords({ dispersant: jar.used.dispersant }) : [];
  if (told) return told;
  if (jar.dispersantMl === 0) return t.set.answerNoDose;
  const dose = format.dose(jar.dispersantMl);
  return isDispersed(jar) === undefined ? t.used.doseUntold(dose) : dose;
}
