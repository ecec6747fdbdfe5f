import { desc, eq } from 'drizzle-orm';
import { METHODS, ownMethod } from '../../core/index.ts';
import type { Reader } from '../db.ts';
import { added, changed } from '../events.ts';
import { CommandProblem, found, ranged } from '../problem.ts';
import { isRead, methodRow, offeredMethods, type ReadRow } from '../repositories/methods.ts';
import { method } from '../schema.ts';
import type { Service, Services } from './service.ts';
import { refusals } from '../../words/refusals.ts';

/** What the keys of one's own methods begin with. */
const OWN = /^own-[0-9a-hjkmnp-tv-z]{26}$/;

/** The versions of a method that can be read, the newest first, and the newest number of all. */
async function versionsIn(db: Reader, key: string): Promise<{ rows: ReadRow[]; newest: number }> {
  const rows = await db.select().from(method).where(eq(method.key, key)).orderBy(desc(method.version));
  return { rows: rows.filter(isRead), newest: rows.at(0)?.version ?? 0 };
}

/** Keeps a method of one's own: a first version, or the next one. Earlier versions stay for the tests that used them. */
const saveMethod: Service<'method.save'> = async ({ db, at }, { methodKey, fromKey, draft }) => {
  if (!OWN.test(methodKey)) {
    throw new CommandProblem(refusals.methods.methodShipsNotChanged, {}, 409);
  }
  const before = await versionsIn(db, methodKey);
  const base =
    METHODS.find((m) => m.key === fromKey) ?? (await versionsIn(db, fromKey)).rows.at(0)?.definition;
  const from = found(base, 'The method to copy');
  const name = draft.name.trim().toLowerCase();
  const others = (await offeredMethods(db)).map((one) => one.method).filter((one) => one.key !== methodKey);
  if (others.some((other) => other.name.toLowerCase() === name)) {
    const message = refusals.methods.anotherMethodHasName;
    throw new CommandProblem(message, { name: message });
  }
  const version = before.newest + 1;
  const made = ranged(() => ownMethod(draft, { key: methodKey, version, base: from }));
  const stand = before.rows.length > 0 ? before.rows[0].definition.stand : made.stand;
  return {
    testId: null,
    detail: { method: made.name, version },
    changes: [added('method', methodRow({ ...made, stand }, { own: true, createdAt: at }))]
  };
};

/** Takes a method of one's own off the list; tests that used it keep it. */
const retireMethod: Service<'method.retire'> = async ({ db, at }, { methodKey }) => {
  const row = found((await versionsIn(db, methodKey)).rows.at(0), 'This method');
  if (!row.own) throw new CommandProblem(refusals.methods.methodShipsStaysList, {}, 409);
  return {
    testId: null,
    detail: { method: row.definition.name },
    changes: [changed('method', row, { retiredAt: at })]
  };
};

export const methodServices = {
  'method.save': saveMethod,
  'method.retire': retireMethod
} satisfies Partial<Services>;
