import { and, desc, eq, sql } from 'drizzle-orm';
import type { LogGroup } from '../../contract/records/log.ts';
import { classKey, type LogAsked } from '../../workbench/find.ts';
import type { Store } from '../db.ts';
import { freshen } from '../outcomes.ts';
import { area, outcome, site } from '../schema.ts';
import { among } from '../among.ts';
import { shown } from './log.ts';

/** So many groups stand on a page: the latest. */
const GROUPS_MOST = 60;

/**
 * Tests of the log by area and season, the latest season first: how many each holds, what they are, and where they lie on the triangle.
 * However many tests there are, a group is counted by the database.
 */
export async function logGroups(
  store: Store,
  asked: Pick<LogAsked, 'text' | 'filter'>
): Promise<{ groups: LogGroup[]; more: number }> {
  await freshen(store);
  const { db } = store;
  const where = and(eq(outcome.binned, false), shown(asked));
  const own = sql<string>`coalesce(${outcome.areaId}, '')`;
  const heads = await db
    .select({
      areaId: own,
      year: outcome.year,
      tests: sql<number>`count(*)`,
      last: sql<number>`max(${outcome.at})`
    })
    .from(outcome)
    .where(where)
    .groupBy(own, outcome.year)
    .orderBy(desc(outcome.year), desc(sql`max(${outcome.at})`));
  const listed = heads.slice(0, GROUPS_MOST);
  const within = and(where, among(own, [...new Set(listed.map(({ areaId }) => areaId))]));
  const places = await db
    .select({
      areaId: own,
      year: outcome.year,
      sand: outcome.sandPct,
      clay: outcome.clayPct,
      count: sql<number>`count(*)`
    })
    .from(outcome)
    .where(and(within, sql`${outcome.sandPct} is not null`))
    .groupBy(own, outcome.year, outcome.sandPct, outcome.clayPct);
  const classes = await db
    .select({ areaId: own, year: outcome.year, name: outcome.classKey, count: sql<number>`count(*)` })
    .from(outcome)
    .where(within)
    .groupBy(own, outcome.year, outcome.classKey);
  const names = new Map(
    (
      await db
        .select({ id: area.id, name: area.name, siteName: site.name })
        .from(area)
        .innerJoin(site, eq(site.id, area.siteId))
        .where(
          among(
            area.id,
            listed.map(({ areaId }) => areaId)
          )
        )
    ).map((one) => [one.id, one])
  );
  const keyOf = (one: { areaId: string; year: string }) => `${one.areaId} ${one.year}`;
  const placesOf = byKey(places, keyOf);
  const classesOf = byKey(classes, keyOf);
  const groups = listed.map((head): LogGroup => {
    const called = names.get(head.areaId);
    return {
      areaId: head.areaId || null,
      areaName: called?.name ?? null,
      siteName: called?.siteName ?? null,
      year: head.year,
      tests: head.tests,
      cells: (placesOf.get(keyOf(head)) ?? []).map(({ sand, clay, count }) => ({
        sand: sand ?? 0,
        clay: clay ?? 0,
        count
      })),
      classes: (classesOf.get(keyOf(head)) ?? [])
        .filter(({ name }) => name !== classKey(null))
        .sort((a, b) => b.count - a.count)
        .map(({ name, count }) => ({ name, count }))
    };
  });
  return { groups, more: heads.length - listed.length };
}

function byKey<T>(all: readonly T[], keyOf: (one: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const one of all) {
    const group = groups.get(keyOf(one)) ?? [];
    group.push(one);
    groups.set(keyOf(one), group);
  }
  return groups;
}
