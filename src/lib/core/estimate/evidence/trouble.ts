import { TROUBLE } from '../priors.ts';
import type { Evidence } from './kinds.ts';

/** What trouble adds to the error of one height, mm, and the place of that trouble in the evidence. */
export type Wider = { mm: number; from: number };

/** What trouble there is adds to the error of a height: only to what was read after it, and only where it has a meaning. */
export function widerBy(
  evidence: readonly Evidence[],
  h: { timeS: number; readMm: number; line?: 'sand' | 'silt' | 'clay'; hurried: boolean }
): Wider[] {
  // A top is a top whether tape or an eye tells it; the tape of the first minutes lies on the sand.
  const of = h.line === 'silt' ? 'silt' : h.line === 'sand' || h.hurried ? 'sand' : 'top';
  return evidence.flatMap((e, from) => {
    if (e.kind !== 'trouble' || h.timeS < e.atS) return [];
    const adds = TROUBLE[e.id][of];
    return adds ? [{ mm: Math.hypot(adds.mm, adds.share * h.readMm), from }] : [];
  });
}
