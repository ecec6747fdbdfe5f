import { createReadStream, createWriteStream, existsSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { ulid } from 'ulid';
import { refusals } from '../words/refusals.ts';
import type { ToRestore } from './archive.ts';
import { placeAside } from './aside.ts';
import type { Copies } from './copies.ts';
import type { Store } from './db.ts';
import { isImporting, takeBackLost } from './imports.ts';
import { announce } from './live.ts';
import { CommandProblem } from './problem.ts';
import { putBack } from './put-back.ts';
import { Thread } from './thread.ts';
import type { ArchiveAnswer, ArchiveQuestion } from './threads/archive.thread.ts';

const thread = new Thread<ArchiveQuestion, ArchiveAnswer>('archive');

async function asked(question: ArchiveQuestion, told?: (share: number) => void): Promise<ToRestore> {
  const answer = await thread.ask(question, { told });
  if ('problem' in answer) throw new CommandProblem(answer.problem, { file: answer.problem });
  return answer.found;
}

/** The archive of a bench as it is now. @returns what a browser saves; the file behind it goes when that is read, or nobody reads on */
export async function archiveOf(
  from: { url: string; token?: string },
  o: { root: string; now: number; told: (share: number) => void }
): Promise<{ body: ReadableStream<Uint8Array>; bytes: number }> {
  const aside = placeAside();
  const target = join(aside, 'bench.zip');
  const away = () => rmSync(aside, { recursive: true, force: true });
  try {
    await asked({ kind: 'write', from, target, root: o.root, now: o.now }, o.told);
    const file = createReadStream(target);
    file.once('close', away);
    return { body: Readable.toWeb(file) as ReadableStream<Uint8Array>, bytes: statSync(target).size };
  } catch (problem) {
    away();
    throw problem;
  }
}

/** A bench that waits to be put back: what it holds, in a database of its own. */
type Waiting = { aside: string; database: string; name: string; found: ToRestore };
const waiting = new Map<string, Waiting>();
/** It waits so long, ms. */
const WAIT_MS = 15 * 60_000;

async function waits(
  name: string,
  unpack: (aside: string, database: string) => Promise<ToRestore>
): Promise<{ id: string; name: string; found: ToRestore }> {
  const aside = placeAside();
  const database = join(aside, 'bench.db');
  try {
    const found = await unpack(aside, database);
    const id = ulid();
    waiting.set(id, { aside, database, name, found });
    setTimeout(() => letGo(id), WAIT_MS).unref();
    return { id, name, found };
  } catch (problem) {
    rmSync(aside, { recursive: true, force: true });
    throw problem;
  }
}

/** Lets go of what waits to be put back, and is not just being. */
export function letGo(id: string): void {
  if (id === puttingBack) return;
  const one = waiting.get(id);
  if (one) rmSync(one.aside, { recursive: true, force: true });
  waiting.delete(id);
}

/**
 * Takes up an archive and looks through all of it; nothing of the bench is changed.
 *
 * @returns what it holds, and the id by which it is put back
 * @throws {CommandProblem} for what is no archive, in a sentence
 */
export const takeUpArchive = (
  body: ReadableStream<Uint8Array>,
  name: string,
  o: { root: string; now: number }
) =>
  waits(name, async (aside, target) => {
    const file = join(aside, 'bench.zip');
    await pipeline(Readable.fromWeb(body as never), createWriteStream(file));
    return asked({ kind: 'unpack', file, target, ...o });
  });

/** The same with a copy that was kept. @throws {CommandProblem} where it is not there, or is damaged */
export const takeUpCopy = (copies: Copies, name: string, o: { root: string; now: number }) =>
  waits(name, async (_, target) => {
    const file = join(copies.folder, name);
    const listed = copies.list().some((copy) => copy.name === name);
    if (!listed || !existsSync(file)) throw new CommandProblem(refusals.copies.gone, {}, 404);
    return asked({ kind: 'copy', file, target, ...o });
  });

/** Makes a copy of what is there now: one that was being made, or bears this second, lacks what was written since. */
async function copyOfNow(copies: Copies | undefined, now: number): Promise<void> {
  const made = await copies?.make(now);
  if (made && made.at !== now) await copies?.make(now + 1000);
}

/** Id of the bench that is being put back, which is done one at a time. */
let puttingBack: string | undefined;

/**
 * Puts what waits in the place of the bench, after a copy of what is there. What is written meanwhile waits, and comes into the bench
 * that was put back: none of it is in neither.
 *
 * @throws {CommandProblem} where it waits no more, another is being put back, or no copy could be made
 */
export async function restoreWaiting(
  store: Store,
  id: string,
  o: { copies: Copies | undefined; who: string; now: number; told?: (share: number) => void }
): Promise<void> {
  const one = waiting.get(id);
  if (!one) throw new CommandProblem(refusals.copies.waitsNoMore, {}, 404);
  // Its rows would come to stand in another bench than the one it was begun in.
  if (isImporting()) throw new CommandProblem(refusals.copies.importing, {}, 409);
  if (puttingBack !== undefined) throw new CommandProblem(refusals.copies.another, {}, 409);
  puttingBack = id;
  try {
    const event = {
      sql: `insert into event (id, at, received_at, who, what, test_id, detail, changes, undone_at)
        values (?, ?, ?, ?, 'bench.restore', null, ?, '[]', null)`,
      args: [ulid(), o.now, o.now, o.who, JSON.stringify({ name: one.name })]
    };
    await putBack(store, one.database, event, { first: () => copyOfNow(o.copies, o.now), told: o.told });
    // A table that was half in when that bench was copied is not gone on with by anybody.
    await takeBackLost(store);
  } finally {
    puttingBack = undefined;
  }
  letGo(id);
  announce({ what: 'bench.restore', testId: null });
}
