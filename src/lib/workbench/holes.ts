import {
  groundFromHoles,
  holeOutcome,
  nextOfHole,
  outcomeOf,
  waterInHole,
  type GroundDrainage,
  type HoleOutcome,
  type HoleStep
} from '../core/index.ts';
import type { HoleReadingRecord, HoleRecord } from '../contract/records/hole.ts';
import { t } from '../words/index.ts';
import type { Call } from './calls.ts';
import { byPress, calling } from './press.ts';

/** A hole with what it comes to and what it waits for. */
export type HoleView = {
  hole: HoleRecord;
  outcome?: HoleOutcome;
  /** Why it comes to nothing, and with which reading; a place among its readings, or -1 for the hole. */
  problem?: { place: number; message: string };
  step?: HoleStep;
  /** Readings that were pressed and not measured yet. */
  open: HoleReadingRecord[];
};

/** Time of a reading after the refill, s. */
export const afterRefillS = (hole: Pick<HoleRecord, 'refilledAt'>, at: number): number =>
  (at - (hole.refilledAt ?? at)) / 1000;

const seenOf = (hole: HoleRecord) =>
  hole.readings.map(({ at, seen, height }) => ({
    timeS: afterRefillS(hole, at),
    seen,
    heightMm: height?.mm ?? null
  }));

/** Half the width, mm. */
const radiusOf = (hole: Pick<HoleRecord, 'width'>): number => hole.width.mm / 2;

/** What a hole comes to, and what it waits for. */
export function viewHole(hole: HoleRecord, now: number): HoleView {
  const readings = seenOf(hole);
  const { done, problem } = outcomeOf(() =>
    holeOutcome({ radiusMm: radiusOf(hole), filledMm: hole.filled.mm, readings })
  );
  const [what, place] = problem?.field.split('.') ?? [];
  return {
    hole,
    outcome: done,
    problem: problem && {
      place: what === 'readings' && place ? Number(place) : -1,
      message: problem.message
    },
    step: nextOfHole({ ...hole, readings, steady: done?.drainage.steady === true }, now),
    open: hole.readings.filter((r) => r.seen === 'height' && r.height === null)
  };
}

/**
 * Where the water stands now, mm over the bottom: by what was read, and on by how fast it fell last while the hole is
 * open; undefined where nobody knows.
 */
export function waterNow(
  { hole, outcome }: Pick<HoleView, 'hole' | 'outcome'>,
  now: number
): number | undefined {
  if (hole.refilledAt === null) return hole.soakedAt === null ? 0 : undefined;
  const last = hole.readings.findLast((r) => r.seen === 'gone' || r.height !== null);
  // Water that still stood there was not measured: nobody knows how high.
  if (!last) return hole.readings.length > 0 ? undefined : hole.filled.mm;
  const heightMm = last.seen === 'gone' ? 0 : (last.height?.mm ?? 0);
  if (outcome?.kind !== 'measured' || hole.finishedAt !== null) return heightMm;
  const { groundMmH } = outcome.drainage;
  return waterInHole({
    radiusMm: radiusOf(hole),
    heightMm,
    groundMmH,
    afterS: Math.max(0, (now - last.at) / 1000)
  });
}

/** When a hole should be empty by how fast it fell last, ms UTC; undefined where that is not known or never. */
export function emptyAt({ hole, outcome }: Pick<HoleView, 'hole' | 'outcome'>): number | undefined {
  if (hole.refilledAt === null || outcome?.kind !== 'measured') return undefined;
  return Number.isFinite(outcome.emptyAfterS) ? hole.refilledAt + 1000 * outcome.emptyAfterS : undefined;
}

/** The hole whose water a key takes the moment of: that of the page, or else the one that calls to be read. */
export function keyHole(views: readonly HoleView[], ofPage: string | undefined): HoleView | undefined {
  const one = ofPage === undefined ? calling(views) : views.find(({ hole }) => hole.id === ofPage);
  return one?.step?.kind === 'read' ? one : undefined;
}

/** What will call of holes, or has. */
export function callsOfHoles(views: readonly HoleView[]): Call[] {
  return byPress(views).flatMap(({ hole, step }) =>
    step && 'dueAt' in step
      ? [
          {
            key: `${hole.id}:${step.kind}:${step.dueAt}`,
            path: `/holes/${hole.id}`,
            dueAt: step.dueAt,
            line: t.hole.call[step.kind](hole.code)
          }
        ]
      : []
  );
}

/** What the holes of an area say together; undefined where none has come to anything. */
export function groundOf(holes: readonly HoleRecord[], now: number): GroundDrainage | undefined {
  return groundFromHoles(
    holes.flatMap((hole) => {
      const { outcome } = viewHole(hole, now);
      if (!outcome) return [];
      const { groundMmH } = outcome.drainage;
      return [{ groundMmH, atMost: outcome.kind === 'at-most', soaked: hole.soakedAt !== null }];
    })
  );
}
