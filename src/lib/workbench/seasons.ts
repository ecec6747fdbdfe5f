import type { Fractions, SeasonTest } from '../core/index.ts';
import type { AmendmentRecord } from '../contract/records/amendment.ts';
import type { KnowPoint } from '../contract/records/log.ts';
import type { Snapshot } from '../contract/records/result.ts';
import { findingOf } from './result.ts';
import { TAKEN_FOR } from './act.ts';

/** A test of an area as it stands in its seasons. */
export type AreaTest = SeasonTest & { code: string };

/** A finished test among the seasons of its area; undefined for one share alone. */
export function seasonTest(
  snapshot: Snapshot,
  { id, code, at, sampleId, methodKey, basis }: KnowPoint
): AreaTest | undefined {
  const finding = findingOf(snapshot);
  if (finding.kind === 'share') return undefined;
  const evenly: Fractions = { sand: TAKEN_FOR.read, silt: TAKEN_FOR.read, clay: TAKEN_FOR.read };
  return { id, code, at, sampleId, methodKey, basis, fractions: finding.fractions, sd: finding.sd ?? evenly };
}

/** What was done to an area between two moments, by its day. */
export const doneBetween = (
  amendments: readonly AmendmentRecord[],
  fromDay: string,
  toDay: string
): AmendmentRecord[] => amendments.filter(({ doneOn }) => doneOn >= fromDay && doneOn <= toDay);
