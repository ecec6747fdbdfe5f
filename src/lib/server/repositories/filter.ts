import { and, desc, eq, inArray, isNotNull, type SQL } from 'drizzle-orm';
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core';
import { classKey } from '../../workbench/find.ts';
import type { Choices, KnowFilter, LogFilter } from '../../workbench/filter.ts';
import { t } from '../../words/index.ts';
import type { Store } from '../db.ts';
import { area, outcome, site } from '../schema.ts';

const COLUMNS = {
  siteId: outcome.siteId,
  areaId: outcome.areaId,
  year: outcome.year,
  methodKey: outcome.methodKey,
  className: outcome.classKey,
  purpose: outcome.purpose,
  status: outcome.status,
  trouble: outcome.trouble
} satisfies Record<keyof LogFilter, SQLiteColumn>;

/** The outcomes that pass a filter. */
export function passes(filter: Partial<LogFilter>): SQL | undefined {
  const { trouble, ...fields } = filter;
  return and(
    ...Object.entries(fields).map(([key, value]) =>
      value ? eq(COLUMNS[key as keyof LogFilter], value) : undefined
    ),
    trouble ? eq(outcome.trouble, true) : undefined
  );
}

/** What there is to choose from among some outcomes, each by its name. */
export async function choicesOf<F extends KnowFilter>(
  { db }: Store,
  fields: readonly (keyof F & keyof LogFilter)[],
  among: SQL | undefined
): Promise<Choices<F>> {
  const held = async (key: keyof LogFilter) => {
    const rows = await db.selectDistinct({ value: COLUMNS[key] }).from(outcome).where(among);
    return rows.flatMap(({ value }) => (value === null || value === '' ? [] : [String(value)]));
  };
  /** Names of rows by their ids; one that is gone has none, and is left out. */
  const named = async (table: typeof site | typeof area, ids: string[]) =>
    db.select({ value: table.id, label: table.name }).from(table).where(inArray(table.id, ids));
  const methodName = async (key: string) => {
    const [newest] = await db
      .select({ line: outcome.line })
      .from(outcome)
      .where(and(eq(outcome.methodKey, key), isNotNull(outcome.line)))
      .orderBy(desc(outcome.at))
      .limit(1);
    return { value: key, label: newest?.line?.methodName ?? key };
  };
  const labelled = async (key: keyof LogFilter): Promise<{ value: string; label: string }[]> => {
    const values = await held(key);
    if (key === 'siteId') return named(site, values);
    if (key === 'areaId') return named(area, values);
    if (key === 'methodKey') return Promise.all(values.map(methodName));
    const words: Record<string, string> = { ...t.purpose, ...t.status };
    return values
      .filter((value) => value !== classKey(null))
      .map((value) => ({ value, label: words[value] ?? value }));
  };
  const out: Partial<Choices<F>> = {};
  for (const key of fields) out[key] = (await labelled(key)).sort((a, b) => a.label.localeCompare(b.label));
  return out as Choices<F>;
}
