import { and, desc, eq } from 'drizzle-orm';
import { among } from '../among.ts';
import { METHODS, type Method, type RunMethod } from '../../core/index.ts';
import type { MethodRecord } from '../../contract/records/jar.ts';
import type { Reader } from '../db.ts';
import { method } from '../schema.ts';

type MethodRow = typeof method.$inferSelect;

/** One that can be read. */
export type ReadRow = MethodRow & { definition: Method };
export const isRead = (row: MethodRow): row is ReadRow => row.definition !== null;

/** The row of a version of a method. */
export function methodRow(definition: Method, o: { own: boolean; createdAt: number }): MethodRow {
  const { key, version } = definition;
  return { id: methodId(key, version), key, version, definition, retiredAt: null, ...o };
}

/** Id of a version of a method. */
function methodId(key: string, version: number): string {
  return `${key}@${version}`;
}

/** Methods on offer, latest versions: those that ship in their order, then one's own, the newest last. */
export async function offeredMethods(db: Reader): Promise<MethodRecord[]> {
  const rows = await db.select().from(method).where(eq(method.own, true)).orderBy(method.createdAt);
  const latest = new Map<string, ReadRow>();
  for (const row of rows.filter(isRead)) {
    const before = latest.get(row.key);
    if (!before || row.version > before.version) latest.set(row.key, row);
  }
  const own = [...latest.values()].filter((row) => row.retiredAt === null);
  return [
    ...METHODS.map((m) => ({ method: m, own: false })),
    ...own.map((row) => ({ method: row.definition, own: true }))
  ];
}

/** Every version of a method that is known, the newest first. */
export async function versionsOf(db: Reader, key: string): Promise<(MethodRecord & { retired: boolean })[]> {
  const rows = await db.select().from(method).where(eq(method.key, key)).orderBy(desc(method.version));
  return rows
    .filter(isRead)
    .map((row) => ({ method: row.definition, own: row.own, retired: row.retiredAt !== null }));
}

/** A method that is offered now. */
export async function offeredMethod(db: Reader, key: string): Promise<Method | undefined> {
  return (await offeredMethods(db)).find((m) => m.method.key === key)?.method;
}

type OfMethod = { methodKey: string; methodVersion: number };

/** Finds methods of tests by key and version; an error where there is none. See {@link methodFinder}. */
export async function methodsFor(
  db: Reader,
  tests: readonly OfMethod[]
): Promise<(test: OfMethod) => RunMethod> {
  const find = await methodFinder(db, tests);
  return (test) => {
    const found = find(test);
    if (!found) throw new Error(`No method is called "${test.methodKey}".`);
    return found;
  };
}

/** Finds methods of tests by key and version; one that nobody wrote down is the shipped one of that key, if it ships. */
export async function methodFinder(
  db: Reader,
  tests: readonly OfMethod[]
): Promise<(test: OfMethod) => RunMethod | undefined> {
  const ids = [...new Set(tests.map((t) => methodId(t.methodKey, t.methodVersion)))];
  const rows =
    ids.length === 0
      ? []
      : await db
          .select()
          .from(method)
          .where(and(among(method.id, ids)));
  const known = new Map(rows.filter(isRead).map((row) => [row.id, withoutText(row.definition)]));
  return ({ methodKey, methodVersion }) => {
    const found = known.get(methodId(methodKey, methodVersion));
    if (found) return found;
    const shipped = METHODS.find((m) => m.key === methodKey);
    return shipped && withoutText(shipped);
  };
}

/** What a running jar needs of a method. */
function withoutText({ steps: _s, schools: _c, ...rest }: Method): RunMethod {
  return rest;
}
