import { doseMl, fillPlan, heightOfVolume, outcomeOf, parseDuration, readAmount } from '../core/index.ts';
import { refusals } from '../words/refusals.ts';
import type { JarFact, JarRecord, Prep, Used } from './records/jar.ts';

/** What is told of a jar's soil, water and dispersant, and what follows from it. */
type Told = Pick<JarRecord, 'used' | 'soilMm' | 'dispersantMl' | 'notMeasured'>;

/** What is wrong with what was used, a sentence a field of `used`; the server and the form go by the same. */
export function usedProblems({ dispersant, soil, soaked, shaken }: Used): Record<string, string> {
  const out: Record<string, string> = {};
  const amountOf = (text: string) => outcomeOf(() => readAmount(text));
  if (dispersant && dispersant.kind !== 'none') {
    const { problem } = amountOf(dispersant.text);
    if (problem) out['dispersant.text'] = problem.message;
  }
  if (soil !== undefined) {
    const { done, problem } = amountOf(soil);
    if (problem) out.soil = problem.message;
    else if (done && 'grams' in done) out.soil = refusals.jars.soilByMeasure;
  }
  for (const [field, text] of Object.entries({ soaked, shaken }))
    if (text !== undefined && outcomeOf(() => parseDuration(text)).problem)
      out[field] = refusals.jars.howLong;
  return out;
}

const without = (facts: readonly JarFact[]): JarFact[] => facts.filter((fact) => fact !== 'dispersantMl');

/**
 * A jar by what was used on it, in the measure of whoever did it. What is left out is as it was advised, and counts as told once
 * it was ticked off.
 *
 * @throws {RangeProblem} for what {@link usedProblems} names
 */
export function withUsed(
  jar: Told & Pick<JarRecord, 'waterMm' | 'prep' | 'vessel' | 'method'>,
  used: Used
): Told {
  const { vessel, method, waterMm } = jar;
  const soil = used.soil === undefined || used.soil === jar.used.soil ? undefined : readAmount(used.soil);
  const soilMm = soil && 'ml' in soil ? heightOfVolume(vessel, soil.ml) : jar.soilMm;
  const { dispersant } = used;
  if (dispersant) {
    const dispersantMl = dispersant.kind === 'none' ? 0 : doseMl(readAmount(dispersant.text));
    return { used, soilMm, dispersantMl, notMeasured: without(jar.notMeasured) };
  }
  if (!jar.used.dispersant)
    return { used, soilMm, dispersantMl: jar.dispersantMl, notMeasured: jar.notMeasured };
  const { dispersantMl } = fillPlan(method, vessel, { soilMm, waterMm });
  const isTold = jar.prep.ticks.includes('dose') || dispersantMl === 0;
  const facts = without(jar.notMeasured);
  return { used, soilMm, dispersantMl, notMeasured: isTold ? facts : [...facts, 'dispersantMl'] };
}

/** What nobody measured, once the dispersant was ticked off as the method advises it, or not any more. */
export function notMeasuredBy(
  jar: Pick<JarRecord, 'notMeasured' | 'used' | 'prep'>,
  { ticks }: Pick<Prep, 'ticks'>
): JarFact[] {
  const facts = without(jar.notMeasured);
  if (jar.used.dispersant || ticks.includes('dose')) return facts;
  return jar.prep.ticks.includes('dose') ? [...facts, 'dispersantMl'] : jar.notMeasured;
}
