import { and, asc, eq, sql, type SQL } from 'drizzle-orm';
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core';
import { classKey } from '../../workbench/find.ts';
import type { Choice, LogFilter } from '../../workbench/filter.ts';
import { t } from '../../words/index.ts';
import { among as amongIds } from '../among.ts';
import type { Store } from '../db.ts';
import { area, method, outcome, site, tableImport } from '../schema.ts';

const COLUMNS = {
  siteId: outcome.siteId,
  areaId: outcome.areaId,
  year: outcome.year,
  methodKey: outcome.methodKey,
  className: outcome.classKey,
  purpose: outcome.purpose,
  status: outcome.status,
  trouble: outcome.trouble,
  importId: outcome.importId
} satisfies Record<Exclude<keyof LogFilter, 'person'>, SQLiteColumn>;

/** The outcomes that pass a filter. */
export function passes(filter: Partial<LogFilter>): SQL | undefined {
  const { trouble, person, ...fields } = filter;
  return and(
    ...Object.entries(fields).map(([key, value]) =>
      value ? eq(COLUMNS[key as keyof typeof COLUMNS], value) : undefined
    ),
    trouble ? eq(outcome.trouble, true) : undefined,
    person ? sql`exists (select 1 from json_each(${outcome.people}) where value = ${person})` : undefined
  );
}

/**
 * What there is to choose from among some outcomes, each by its name.
 *
 * @param among which outcomes
 */
export async function choicesOf<K extends keyof typeof COLUMNS>(
  { db }: Store,
  fields: readonly K[],
  among: SQL | undefined
): Promise<Record<K, Choice[]>> {
  const methods = await db.select().from(method).orderBy(asc(method.version));
  /** By its newest version; one that is lost by its key. */
  const methodNames = new Map(
    methods.flatMap(({ key, definition }) => (definition ? [[key, definition.name]] : []))
  );
  const rowNames = async (table: typeof site | typeof area | typeof tableImport, ids: string[]) =>
    new Map(
      (await db.select({ id: table.id, name: table.name }).from(table).where(amongIds(table.id, ids))).map(
        ({ id, name }) => [id, name]
      )
    );
  /** What values of a field are called; those without a name are called as they are. */
  const namesOf = async (key: keyof LogFilter, values: string[]): Promise<ReadonlyMap<string, string>> => {
    if (key === 'siteId') return rowNames(site, values);
    if (key === 'areaId') return rowNames(area, values);
    if (key === 'methodKey') return methodNames;
    if (key === 'importId') return rowNames(tableImport, values);
    const words = key === 'purpose' ? t.purpose : key === 'status' ? t.status : {};
    return new Map(Object.entries(words));
  };
  const choices = async (key: K): Promise<Choice[]> => {
    const rows = await db.selectDistinct({ value: COLUMNS[key] }).from(outcome).where(among);
    const values = rows
      .map(({ value }) => String(value ?? ''))
      .filter((value) => value !== '' && value !== classKey(null));
    const names = await namesOf(key, values);
    return values
      .map((value) => ({ value, label: names.get(value) ?? value }))
      .sort((a, b) => a.label.localeCompare(b.label));
  };
  const pairs = [];
  for (const key of fields) pairs.push([key, await choices(key)] as const);
  return Object.fromEntries(pairs) as Record<K, Choice[]>;
}

/** Everybody who did something with some outcomes. @param among which outcomes */
export async function peopleAmong({ db }: Store, among: SQL | undefined): Promise<Choice[]> {
  const rows = await db
    .selectDistinct({ name: sql<string>`each.value` })
    .from(sql`${outcome}, json_each(${outcome.people}) as each`)
    .where(among);
  return rows
    .map(({ name }) => ({ value: name, label: name }))
    .sort((a, b) => a.label.localeCompare(b.label));
}
