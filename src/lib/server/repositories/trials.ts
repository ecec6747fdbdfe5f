import { asc, eq, isNull } from 'drizzle-orm';
import { among } from '../among.ts';
import { BINDERS, TRIAL_KINDS } from '../../core/index.ts';
import type { TrialRecord } from '../../contract/records/trial.ts';
import { refusals } from '../../words/refusals.ts';
import type { Reader } from '../db.ts';
import { sample, trial, trialPiece } from '../schema.ts';
import { readableRows, type Unreadable } from './rows.ts';

/** No set of any version has more: what says so is damaged. */
const MOST_PIECES = 1000;

/** Which sets: those on the bench, of some samples, one by itself, or all. */
type Which = { bench: true } | { sampleIds: readonly string[] } | { id: string } | { all: true };

function wanted(which: Which) {
  if ('bench' in which) return isNull(trial.finishedAt);
  if ('sampleIds' in which) return among(trial.sampleId, [...which.sampleIds]);
  return 'id' in which ? eq(trial.id, which.id) : undefined;
}

/** Sets of trial pieces with what the pieces told, the oldest first; those that cannot be read are named. */
export async function trialsOf(
  db: Reader,
  which: Which
): Promise<{ trials: TrialRecord[]; unreadable: Unreadable[] }> {
  const rows = await db
    .select({ own: trial, sampleCode: sample.code, sampleName: sample.name })
    .from(trial)
    .innerJoin(sample, eq(trial.sampleId, sample.id))
    .where(wanted(which))
    .orderBy(asc(trial.createdAt));
  if (rows.length === 0) return { trials: [], unreadable: [] };
  const ids = rows.map(({ own }) => own.id);
  const pieces = await db
    .select()
    .from(trialPiece)
    .where(among(trialPiece.trialId, ids))
    .orderBy(asc(trialPiece.no));
  const { shown, unreadable } = readableRows(
    rows,
    ({ own }) => own.code,
    ({ own, sampleCode, sampleName }): TrialRecord => {
      if (
        !TRIAL_KINDS.includes(own.kind) ||
        !BINDERS.includes(own.binder) ||
        !(own.count >= 1 && own.count <= MOST_PIECES)
      )
        throw new Error(refusals.trials.unreadable);
      return {
        ...own,
        sampleCode,
        sampleName,
        pieces: pieces.filter((p) => p.trialId === own.id).map(({ trialId: _, ...piece }) => piece)
      };
    }
  );
  return { trials: shown, unreadable };
}
