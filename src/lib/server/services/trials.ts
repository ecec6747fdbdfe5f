import { and, asc, eq, like } from 'drizzle-orm';
import { among } from '../among.ts';
import { isSoaked, known, pieceProblems, trialProblems } from '../../core/index.ts';
import { planOf, seenOf } from '../../workbench/trials.ts';
import { refusals } from '../../words/refusals.ts';
import type { Reader } from '../db.ts';
import { added, changed, removed } from '../events.ts';
import { beside, CommandProblem, found, requireNone } from '../problem.ts';
import { photo, sample, trial, trialPiece } from '../schema.ts';
import type { Service, Services } from './service.ts';

type TrialRow = typeof trial.$inferSelect;
type PieceRow = typeof trialPiece.$inferSelect;

async function trialRow(db: Reader, id: string): Promise<TrialRow> {
  return found((await db.select().from(trial).where(eq(trial.id, id)))[0], 'This set');
}

/** When its pieces were formed, of a set whose pieces were. */
const formingOf = ({ formedAt }: TrialRow): number => known(formedAt, 'no other set is let through');

const piecesOf = (db: Reader, trialId: string): Promise<PieceRow[]> =>
  db.select().from(trialPiece).where(eq(trialPiece.trialId, trialId)).orderBy(asc(trialPiece.no));

/** Pictures of pieces go with them. */
const picturesOf = (db: Reader, pieceIds: readonly string[]) =>
  db
    .select()
    .from(photo)
    .where(and(eq(photo.subject, 'piece'), among(photo.subjectId, [...pieceIds])));

const line = (row: Pick<TrialRow, 'code'>, more: Record<string, string | number> = {}) => ({
  testId: null,
  detail: { code: row.code, ...more }
});

const planTrial: Service<'trial.plan'> = async ({ db, at }, { trialId, ...fields }) => {
  const soil = found(
    (await db.select().from(sample).where(eq(sample.id, fields.sampleId)))[0],
    'This sample'
  );
  requireNone(trialProblems(planOf(fields)));
  const begin = `${soil.code}t`;
  const taken = await db
    .select({ code: trial.code })
    .from(trial)
    .where(like(trial.code, `${begin}%`));
  const own = new RegExp(`^${begin}(\\d+)$`);
  const no = Math.max(0, ...taken.map(({ code }) => Number(own.exec(code)?.[1] ?? 0))) + 1;
  const row: TrialRow = {
    id: trialId,
    code: `${begin}${no}`,
    ...fields,
    formedAt: null,
    soakedAt: null,
    cared: [],
    finishedAt: null,
    createdAt: at
  };
  return { ...line(row), changes: [added('trial', row)] };
};

const editTrial: Service<'trial.edit'> = async ({ db }, { trialId, ...fields }) => {
  const row = await trialRow(db, trialId);
  const plan = planOf({ ...row, ...fields });
  requireNone(trialProblems(plan));
  const told = await piecesOf(db, trialId);
  if (told.some(({ no }) => no > fields.count)) throw beside('count', refusals.trials.toldAlready);
  // A piece that was crushed dry was not soaked.
  if (told.some(({ no }) => isSoaked(plan, no) !== isSoaked(row, no)))
    throw beside('soaked', refusals.trials.toldAlready);
  return { ...line(row), changes: [changed('trial', row, fields)] };
};

const formTrial: Service<'trial.form'> = async ({ db, at }, { trialId, formedAt }) => {
  const row = await trialRow(db, trialId);
  const when = formedAt ?? at;
  if (when > at) throw beside('formedAt', refusals.holes.noFuture);
  return { ...line(row), changes: [changed('trial', row, { formedAt: when })] };
};

const careTrial: Service<'trial.care'> = async ({ db, at }, { trialId, key }) => {
  const row = await trialRow(db, trialId);
  if (row.cared.some((one) => one.key === key))
    throw new CommandProblem(refusals.trials.caredAlready, {}, 409);
  return { ...line(row, { key }), changes: [changed('trial', row, { cared: [...row.cared, { key, at }] })] };
};

const soakTrial: Service<'trial.soak'> = async ({ db, at }, { trialId, soakedAt }) => {
  const row = await trialRow(db, trialId);
  const when = soakedAt ?? at;
  if (row.soaked === 0) throw new CommandProblem(refusals.trials.noneSoaked, {}, 409);
  if (when > at) throw beside('soakedAt', refusals.holes.noFuture);
  if (when <= formingOf(row)) throw beside('soakedAt', refusals.trials.soakAfterForming);
  return { ...line(row), changes: [changed('trial', row, { soakedAt: when })] };
};

const keepPiece: Service<'piece.keep'> = async ({ db, at }, { trialId, pieceId, no, ...told }) => {
  const row = await trialRow(db, trialId);
  const plan = planOf(row);
  if (isSoaked(plan, no) && row.soakedAt === null) throw beside('look', refusals.trials.soakFirst);
  requireNone(pieceProblems(plan, { no, seen: seenOf(told.seen) }));
  const before = (await piecesOf(db, trialId)).find((piece) => piece.no === no);
  if (before && before.id !== pieceId) throw beside('no', refusals.trials.pieceToldAlready(no));
  const change = before
    ? changed('trialPiece', before, told)
    : added('trialPiece', { id: pieceId, trialId, no, ...told, at });
  return { ...line(row, { no }), changes: [change] };
};

const removePiece: Service<'piece.remove'> = async ({ db }, { trialId, pieceId }) => {
  const row = await trialRow(db, trialId);
  const piece = found(
    (await piecesOf(db, trialId)).find((p) => p.id === pieceId),
    'This piece'
  );
  const pictures = await picturesOf(db, [pieceId]);
  const changes = [...pictures.map((one) => removed('photo', one)), removed('trialPiece', piece)];
  return { ...line(row, { no: piece.no }), changes };
};

const finishTrial: Service<'trial.finish'> = async ({ db, at }, { trialId }) => {
  const row = await trialRow(db, trialId);
  if ((await piecesOf(db, trialId)).length === 0)
    throw new CommandProblem(refusals.trials.nothingTold, {}, 409);
  return { ...line(row), changes: [changed('trial', row, { finishedAt: at })] };
};

const reopenTrial: Service<'trial.reopen'> = async ({ db }, { trialId }) => {
  const row = await trialRow(db, trialId);
  return { ...line(row), changes: [changed('trial', row, { finishedAt: null })] };
};

const removeTrial: Service<'trial.remove'> = async ({ db }, { trialId }) => {
  const row = await trialRow(db, trialId);
  const pieces = await piecesOf(db, trialId);
  const pictures = await picturesOf(
    db,
    pieces.map((piece) => piece.id)
  );
  return {
    ...line(row),
    changes: [
      ...pictures.map((one) => removed('photo', one)),
      ...pieces.map((piece) => removed('trialPiece', piece)),
      removed('trial', row)
    ]
  };
};

export const trialServices = {
  'trial.plan': planTrial,
  'trial.edit': editTrial,
  'trial.form': formTrial,
  'trial.care': careTrial,
  'trial.soak': soakTrial,
  'trial.finish': finishTrial,
  'trial.reopen': reopenTrial,
  'trial.remove': removeTrial,
  'piece.keep': keepPiece,
  'piece.remove': removePiece
} satisfies Partial<Services>;
