import { isDeepStrictEqual } from 'node:util';
import { and, eq } from 'drizzle-orm';
import { definitionOf, isCommandName } from '../../contract/commands.ts';
import type { Reader } from '../db.ts';
import { currentRow } from '../events.ts';
import { isNeeded } from '../depends.ts';
import { CommandProblem, found } from '../problem.ts';
import { event, test, type RowChange } from '../schema.ts';
import type { Service, Services } from './service.ts';
import { refusals } from '../../words/refusals.ts';

/** The button shows for ten seconds; the server allows for a slow way here. */
const UNDO_WITHIN_MS = 60_000;

/** What is no command, as an import is, is not taken back by this one. */
const canBeUndone = (what: string): boolean => isCommandName(what) && definitionOf(what).undo;

/** Takes an event back by putting its rows as they were; refused once something later builds on them. */
const undoEvent: Service<'undo'> = async ({ db, at, now }, p) => {
  const past = found(
    (await db.select().from(event).where(eq(event.id, p.eventId)))[0],
    'What you want to undo'
  );
  // What was done to several that were all taken out for good has nothing left to put back; a note of one jar changes no row.
  const allGone = past.testId === null && past.changes.length === 0;
  if (!canBeUndone(past.what) || allGone) throw new CommandProblem(refusals.undo.cannotUndone, {}, 409);
  if (past.undoneAt !== null) throw new CommandProblem(refusals.undo.hasBeenUndoneAlready, {}, 409);
  if (now - past.receivedAt > UNDO_WITHIN_MS) {
    throw new CommandProblem(refusals.undo.tooLateUndo, {}, 409);
  }
  await requireThere(db, past.testId);
  await requireUnused(db, past.changes);
  // What it made goes: nothing may have come to depend on that.
  if (
    await isNeeded(
      db,
      past.changes.filter((change) => change.before === null)
    )
  )
    throw new CommandProblem(refusals.undo.somethingLaterBuilds, {}, 409);
  const changes = [];
  for (const change of past.changes.toReversed()) {
    const standing = await currentRow(db, change.table, change.id);
    if (!isAsLeft(standing, change.after)) {
      throw new CommandProblem(refusals.undo.somethingLaterBuilds, {}, 409);
    }
    changes.push({ table: change.table, id: change.id, before: change.after, after: change.before });
  }
  return {
    testId: past.testId,
    detail: { ...past.detail, what: past.what },
    changes,
    last: (tx) => tx.update(event).set({ undoneAt: at }).where(eq(event.id, past.id))
  };
};

/** What happened to a test that was taken out for good is over. */
async function requireThere(db: Reader, testId: string | null): Promise<void> {
  if (testId === null) return;
  const there = await db.select({ id: test.id }).from(test).where(eq(test.id, testId));
  if (there.length === 0) throw new CommandProblem(refusals.undo.cannotUndone, {}, 409);
}

/** A method that a jar was set by in the meantime stays. */
async function requireUnused(db: Reader, changes: readonly RowChange[]): Promise<void> {
  const made = changes.find((c) => c.table === 'method' && c.before === null)?.after;
  if (!made) return;
  const uses = and(eq(test.methodKey, made.key as string), eq(test.methodVersion, made.version as number));
  if ((await db.select({ id: test.id }).from(test).where(uses)).length > 0) {
    throw new CommandProblem(refusals.undo.jarHasBeenSet, {}, 409);
  }
}

/** Whether a row stands as an event left it. A column that the event did not know is empty as long as nobody has filled it. */
function isAsLeft(standing: object | null, left: object | null): boolean {
  if (!standing || !left) return standing === left;
  const unknown = Object.keys(standing).filter((key) => !(key in left));
  return isDeepStrictEqual(
    plain(standing),
    plain({ ...Object.fromEntries(unknown.map((key) => [key, null])), ...left })
  );
}

/** Rows as they look after a round trip through JSON, the form in which events keep them. */
function plain(row: unknown): unknown {
  return JSON.parse(JSON.stringify(row));
}

export const undoServices = {
  undo: undoEvent
} satisfies Partial<Services>;
