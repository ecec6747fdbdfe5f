import { ulid } from 'ulid';
import { formatDuration } from '../core/index.ts';
import type { HoleReadingRecord, HoleRecord } from '../contract/records/hole.ts';
import type { TypedLength } from '../contract/records/sample.ts';
import { afterRefillS } from '../workbench/holes.ts';
import { t } from '../words/index.ts';
import { record } from './actions.ts';
import { correctedNow } from './clock.svelte.ts';

/** Filled for the first time, to be let go. @param at when, where it is told afterwards */
export const soakHole = (hole: HoleRecord, at?: number): Promise<boolean> =>
  record('hole.soak', { holeId: hole.id }, t.hole.done.soak(hole.code), at);

/** Filled again: the clock starts. @param filled water over the bottom, where it is not to the brim */
export const refillHole = (
  hole: HoleRecord,
  filled: TypedLength | null = null,
  at?: number
): Promise<boolean> => record('hole.refill', { holeId: hole.id, filled }, t.hole.done.refill(hole.code), at);

/** Takes the moment at which a hole is looked at; where there is water its height is typed afterwards. */
export function pressHole(hole: HoleRecord, seen: HoleReadingRecord['seen']): Promise<boolean> {
  const time = formatDuration(afterRefillS(hole, correctedNow()));
  const words = { height: t.hole.done.read, gone: t.hole.done.gone, still: t.hole.done.still }[seen];
  return record(
    'hole.read',
    { holeId: hole.id, readingId: ulid(), seen, height: null, afterS: null },
    words(hole.code, time)
  );
}
