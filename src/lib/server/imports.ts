import { and, eq, isNotNull, isNull, lt } from 'drizzle-orm';
import { known } from '../core/index.ts';
import type { TableAsked, TableLook } from '../formats/table/look.ts';
import type { ImportRecord } from '../contract/records/import.ts';
import { STOOD_MS } from '../contract/records/run.ts';
import { refusals } from '../words/refusals.ts';
import type { Reader, Store } from './db.ts';
import { digestOf } from './digest.ts';
import { writeEvent } from './events.ts';
import { batchOf, knownOf, methodsOfRows, nextId, writeBatch } from './import-rows.ts';
import { announce } from './live.ts';
import { freshen } from './outcomes.ts';
import { CommandProblem, databaseProblem, found } from './problem.ts';
import { importById, importOfBytes, takeOutSome, testsOfImport } from './repositories/imports.ts';
import { area, tableImport } from './schema.ts';
import { Thread } from './thread.ts';
import type { TableAnswer, TableQuestion } from './threads/table.thread.ts';

const thread = new Thread<TableQuestion, TableAnswer>('table');

/** So many rows are written in one go; between two others have their turn. */
const AT_ONCE = 200;
/** One of which nothing was heard for so long was left half by a server that is no more, ms. */
const LOST_MS = 120_000;

/** A table as it came in: its bytes, how it is read if somebody said so, and by whom. */
export type TableFile = Pick<TableAsked, 'bytes' | 'matching' | 'head' | 'usual'> & { now: number };

async function asked(db: Reader, { bytes, matching, head, usual, now }: TableFile): Promise<TableAsked> {
  const areas = await db.select({ name: area.name }).from(area);
  const methods = await methodsOfRows(db);
  return {
    bytes,
    matching,
    head,
    usual,
    today: new Date(now + STOOD_MS.yesterday).toISOString().slice(0, 10),
    areas: areas.map(({ name }) => name.toLowerCase()),
    methods: methods.flatMap((m) => [m.name.toLowerCase(), m.key])
  };
}

async function answered(question: TableQuestion): Promise<Exclude<TableAnswer, { problem: string }>> {
  const answer = await thread.ask(question);
  if ('problem' in answer) throw new CommandProblem(answer.problem, { file: answer.problem });
  return answer;
}

/**
 * Looks through a table without taking anything in.
 * @returns what was found, and the import that the same file came in with already
 * @throws {CommandProblem} where it is no table
 */
export async function lookAtTable(
  { db }: Pick<Store, 'db'>,
  file: TableFile
): Promise<TableLook & { already: ImportRecord | null }> {
  const answer = await answered({ kind: 'look', asked: await asked(db, file) });
  if (!('look' in answer)) throw new Error('The table was not looked through.');
  return { ...answer.look, already: (await importOfBytes(db, digestOf(file.bytes))) ?? null };
}

/** Imports of this server that are under way, by their id. */
const underWay = new Map<string, AbortController>();
/** Whether a table is being taken in by this server. */
export const isImporting = (): boolean => underWay.size > 0;

/** What stood in the way of those that failed, for whoever asks how far they are. */
const failed = new Map<string, string>();
/** So many are remembered. */
const FAILED_MOST = 50;

/**
 * Begins to take a table in. It goes on by itself: rows are written some at a time, so that marks have their turn, and all of them go
 * again where it is stopped, fails, or the server ends meanwhile.
 *
 * @param o.id of the import; the same again is answered like the first
 * @returns the import as it begins, and a promise of its end
 * @throws {CommandProblem} where no row of it can be taken in
 */
export async function beginImport(
  store: Store,
  file: TableFile,
  o: { id: string; name: string; who: string }
): Promise<{ record: ImportRecord; ended: Promise<void> }> {
  const before = await importById(store.db, o.id);
  if (before) return { record: before, ended: Promise.resolve() };
  const look = await lookAtTable(store, file);
  if (look.good === 0) {
    const message = refusals.imports.noGoodRow;
    throw new CommandProblem(message, { file: message });
  }
  const { now } = file;
  const row = {
    id: o.id,
    name: o.name,
    digest: digestOf(file.bytes),
    who: o.who,
    startedAt: now,
    movedAt: now,
    rows: look.good,
    done: 0
  };
  await store.write((tx) => tx.insert(tableImport).values(row));
  const stop = new AbortController();
  underWay.set(o.id, stop);
  const ended = take(store, file, {
    ...row,
    estimate: look.estimated,
    signal: stop.signal
  })
    .catch(async (problem: unknown) => {
      const said = databaseProblem(problem) ?? problem;
      if (failed.size >= FAILED_MOST) failed.clear();
      if (!stop.signal.aborted)
        failed.set(o.id, said instanceof CommandProblem ? said.message : refusals.imports.failed);
      if (!(said instanceof CommandProblem) && !stop.signal.aborted) console.error(problem);
      await takeBackHalf(store, row);
    })
    .finally(() => underWay.delete(o.id));
  return { record: known(await importById(store.db, o.id), 'it has just been written'), ended };
}

type Job = typeof tableImport.$inferInsert & { estimate: boolean; signal: AbortSignal };

async function take(store: Store, file: TableFile, job: Job): Promise<void> {
  const { id, signal, startedAt: now } = job;
  const bench = await knownOf(store.db);
  const next = () => answered({ kind: 'next', id, most: AT_ONCE });
  try {
    await answered({ kind: 'begin', id, asked: await asked(store.db, file) });
    let done = 0;
    // The next rows are worked out while these are written.
    let coming = next();
    for (;;) {
      const answer = await coming;
      const rows = 'rows' in answer ? answer.rows : [];
      if (rows.length === 0) break;
      coming = next();
      coming.catch(() => {});
      signal.throwIfAborted();
      const batch = await batchOf(store.db, rows, bench, { importId: id, now, estimate: job.estimate });
      signal.throwIfAborted();
      done += rows.length;
      await store.write(async (tx) => {
        await writeBatch(tx, batch);
        await tx.update(tableImport).set({ done, movedAt: Date.now() }).where(eq(tableImport.id, id));
      });
      await freshen(store);
    }
    if (done !== job.rows) throw new Error(`${done} of ${job.rows} rows of ${job.name} came.`);
    await store.write(async (tx) => {
      const head = { id, at: now, receivedAt: now, who: job.who, what: 'import.add' };
      await writeEvent(tx, head, { testId: null, detail: { name: job.name, count: done }, changes: [] });
      await tx.update(tableImport).set({ finishedAt: now, done }).where(eq(tableImport.id, id));
    });
    announce({ what: 'import.add', testId: null });
  } finally {
    await answered({ kind: 'end', id });
  }
}

/** Takes out what came in with a table and nobody went on with. @returns how many of its tests stay */
async function takeOut(store: Store, row: { id: string; startedAt: number }): Promise<number> {
  while ((await store.write((tx) => takeOutSome(tx, row, AT_ONCE))) > 0) {
    // Between two goes others have their turn.
    await new Promise((resolve) => setImmediate(resolve));
  }
  return testsOfImport(store.db, row.id);
}

/** Takes out what came in with an import that did not come to its end, and the import with it. */
async function takeBackHalf(store: Store, row: { id: string; startedAt: number }): Promise<void> {
  await takeOut(store, row);
  await store.write((tx) => tx.delete(tableImport).where(eq(tableImport.id, row.id)));
  announce({ what: 'import.stop', testId: null });
}

/**
 * Takes a table back that was taken in: its tests and samples go, but those that somebody went on with. Where the server ends
 * meanwhile it is gone on with at the next start.
 *
 * @throws {CommandProblem} while it is under way, and once it was taken back
 */
export async function undoImport(
  store: Store,
  id: string,
  o: { who: string; now: number }
): Promise<ImportRecord> {
  await store.write(async (tx) => {
    const [row] = await tx.select().from(tableImport).where(eq(tableImport.id, id));
    const { name, done, finishedAt, undoneAt } = found(row, 'This table');
    if (finishedAt === null) throw new CommandProblem(refusals.imports.underWay, {}, 409);
    if (undoneAt !== null) throw new CommandProblem(refusals.imports.takenBack, {}, 409);
    const head = { id: nextId(), at: o.now, receivedAt: o.now, who: o.who, what: 'import.undo' };
    await writeEvent(tx, head, { testId: null, detail: { name, count: done }, changes: [] });
    await tx.update(tableImport).set({ undoneAt: o.now }).where(eq(tableImport.id, id));
  });
  await endUndo(store, id);
  return known(await importById(store.db, id), 'it has just been written');
}

async function endUndo(store: Store, id: string): Promise<void> {
  const row = known(await importById(store.db, id), 'it was begun');
  const stayed = await takeOut(store, row);
  await store.write((tx) => tx.update(tableImport).set({ stayed }).where(eq(tableImport.id, id)));
  announce({ what: 'import.undo', testId: null });
}

/** Stops an import that is under way on this server. @returns whether it was */
export function stopImport(id: string): boolean {
  const stop = underWay.get(id);
  stop?.abort();
  return stop !== undefined;
}

/**
 * Takes back what a server left half that ended, and ends what was being taken back. On a database that others write to, only what
 * nothing was heard of for a while.
 */
export async function takeBackLost(store: Store): Promise<void> {
  const still = store.file ? undefined : lt(tableImport.movedAt, Date.now() - LOST_MS);
  const half = and(isNull(tableImport.finishedAt), still);
  for (const row of await store.db.select().from(tableImport).where(half)) await takeBackHalf(store, row);
  const going = and(isNotNull(tableImport.undoneAt), isNull(tableImport.stayed));
  for (const { id } of await store.db.select().from(tableImport).where(going)) await endUndo(store, id);
}

/** How far an import is; what stood in its way where it failed. @throws {CommandProblem} where it is not there */
export async function importState(
  { db }: Pick<Store, 'db'>,
  id: string
): Promise<{ record: ImportRecord } | { problem: string }> {
  const problem = failed.get(id);
  if (problem) return { problem };
  return { record: found(await importById(db, id), 'This table') };
}
