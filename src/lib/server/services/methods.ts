import { desc, eq } from 'drizzle-orm';
import { METHODS, ownMethod } from '../../core/index.ts';
import type { Reader } from '../db.ts';
import { added, changed } from '../events.ts';
import { CommandProblem, found, ranged } from '../problem.ts';
import { methodRow } from '../repositories/methods.ts';
import { method } from '../schema.ts';
import type { Service } from './service.ts';
import { refusals } from '../../words/refusals.ts';

/** What the keys of one's own methods begin with. */
const OWN = /^own-[0-9a-hjkmnp-tv-z]{26}$/;

async function latestRow(db: Reader, key: string) {
  return (await db.select().from(method).where(eq(method.key, key)).orderBy(desc(method.version)))[0];
}

/** Keeps a method of one's own: a first version, or the next one. Earlier versions stay for the tests that used them. */
export const saveMethod: Service<'method.save'> = async ({ db, at }, { methodKey, fromKey, draft }) => {
  if (!OWN.test(methodKey)) {
    throw new CommandProblem(refusals.methods.methodShipsNotChanged, {}, 409);
  }
  const before = await latestRow(db, methodKey);
  const base = METHODS.find((m) => m.key === fromKey) ?? (await latestRow(db, fromKey))?.definition;
  const from = found(base, 'The method to copy');
  const offered = await db.select().from(method).where(eq(method.own, true));
  const name = draft.name.trim().toLowerCase();
  const latest = new Map<string, (typeof offered)[number]>();
  for (const row of offered) if (row.version > (latest.get(row.key)?.version ?? 0)) latest.set(row.key, row);
  const others = [
    ...METHODS.map((m) => m.name),
    ...[...latest.values()]
      .filter((r) => r.key !== methodKey && r.retiredAt === null)
      .map((r) => r.definition.name)
  ];
  if (others.some((other) => other.toLowerCase() === name)) {
    const message = refusals.methods.anotherMethodHasName;
    throw new CommandProblem(message, { name: message });
  }
  const version = (before?.version ?? 0) + 1;
  const made = ranged(() => ownMethod(draft, { key: methodKey, version, base: from }));
  const stand = before ? before.definition.stand : made.stand;
  return {
    testId: null,
    detail: { method: made.name, version },
    changes: [added('method', methodRow({ ...made, stand }, { own: true, createdAt: at }))]
  };
};

/** Takes a method of one's own off the list; tests that used it keep it. */
export const retireMethod: Service<'method.retire'> = async ({ db, at }, { methodKey }) => {
  const row = found(await latestRow(db, methodKey), 'This method');
  if (!row.own) throw new CommandProblem(refusals.methods.methodShipsStaysList, {}, 409);
  return {
    testId: null,
    detail: { method: row.definition.name },
    changes: [changed('method', row, { retiredAt: at })]
  };
};
