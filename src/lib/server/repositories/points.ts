import { and, asc, desc, eq, exists, isNotNull, sql, type SQL } from 'drizzle-orm';
import { among } from '../among.ts';
import type { ReadPoint } from '../../contract/records/log.ts';
import type { KnowChoices, KnowFilter } from '../../workbench/filter.ts';
import type { PointCell } from '../../workbench/points.ts';
import { codeKey } from '../../workbench/find.ts';
import type { Store } from '../db.ts';
import { freshen } from '../outcomes.ts';
import { area, outcome } from '../schema.ts';
import { choicesOf, passes } from './filter.ts';

/** Which points: of some tests, of a sample, or those that pass a filter. */
export type PointsAsked = Partial<KnowFilter> & {
  testIds?: readonly string[];
  sampleIds?: readonly string[];
};

function asked({ testIds, sampleIds, ...filter }: PointsAsked): SQL | undefined {
  return and(
    eq(outcome.binned, false),
    isNotNull(outcome.sandPct),
    testIds && among(outcome.testId, testIds),
    sampleIds && among(outcome.sampleId, sampleIds),
    passes(filter)
  );
}

/**
 * Kept results that are points on the triangle, oldest first.
 *
 * @param newest no more than so many, the newest
 */
export async function knowPoints(
  store: Store,
  which: PointsAsked = {},
  newest?: number
): Promise<ReadPoint[]> {
  await freshen(store);
  const rows = await store.db
    .select({ point: outcome.point })
    .from(outcome)
    .where(asked(which))
    .orderBy(desc(outcome.at), desc(outcome.testId))
    .limit(newest ?? -1);
  return rows.reverse().flatMap(({ point }) => point ?? []);
}

/** The newest point of an area, a sample or a code. */
export async function newestPoint(
  store: Store,
  of: { areaId: string } | { sampleId: string } | { code: string }
): Promise<ReadPoint | undefined> {
  await freshen(store);
  const own =
    'areaId' in of
      ? eq(outcome.areaId, of.areaId)
      : 'sampleId' in of
        ? eq(outcome.sampleId, of.sampleId)
        : eq(outcome.codeKey, codeKey(of.code));
  const [row] = await store.db
    .select({ point: outcome.point })
    .from(outcome)
    .where(and(asked({}), own))
    .orderBy(desc(outcome.at), desc(outcome.testId))
    .limit(1);
  return row?.point ?? undefined;
}

/** So many points are read at once where all are wanted. */
const AT_ONCE = 1000;

/**
 * All points, oldest first, so many at a time: however many there are, no more are in memory.
 *
 * @param o.after the id of a test; those that come after it
 * @param o.most how many in all
 */
export async function* eachPoint(
  store: Store,
  o: { after?: string; most?: number } = {}
): AsyncGenerator<ReadPoint[]> {
  await freshen(store);
  let { after, most: left = Infinity } = o;
  while (left > 0) {
    const rows = await store.db
      .select({ id: outcome.testId, point: outcome.point })
      .from(outcome)
      .where(
        and(
          asked({}),
          after === undefined
            ? undefined
            : sql`(${outcome.at}, ${outcome.testId}) > (select at, test_id from outcome where test_id = ${after})`
        )
      )
      .orderBy(asc(outcome.at), asc(outcome.testId))
      .limit(Math.min(left, AT_ONCE));
    if (rows.length === 0) return;
    yield rows.flatMap(({ point }) => point ?? []);
    left -= rows.length;
    after = rows[rows.length - 1].id;
  }
}

/** How many points lie where, in whole percent of sand and clay. */
export async function pointCells(store: Store, which: PointsAsked = {}): Promise<PointCell[]> {
  await freshen(store);
  const rows = await store.db
    .select({ sand: outcome.sandPct, clay: outcome.clayPct, count: sql<number>`count(*)` })
    .from(outcome)
    .where(asked(which))
    .groupBy(outcome.sandPct, outcome.clayPct);
  return rows.flatMap(({ sand, clay, count }) =>
    sand === null || clay === null ? [] : [{ sand, clay, count }]
  );
}

/** How many points pass. */
export async function countPoints(store: Store, which: PointsAsked = {}): Promise<number> {
  await freshen(store);
  const [{ n }] = await store.db
    .select({ n: sql<number>`count(*)` })
    .from(outcome)
    .where(asked(which));
  return n;
}

/** Areas that a point lies in, by name. */
export async function areasWithPoints({ db }: Store): Promise<{ id: string; name: string }[]> {
  const own = db
    .select({ one: sql`1` })
    .from(outcome)
    .where(and(asked({}), eq(outcome.areaId, area.id)));
  return inOrder(await db.select({ id: area.id, name: area.name }).from(area).where(exists(own)));
}

/** What there is to choose from among all points, each by its name. */
export async function pointChoices(store: Store): Promise<KnowChoices> {
  await freshen(store);
  return store.shared('point-choices', () =>
    choicesOf(store, ['siteId', 'areaId', 'year', 'methodKey'], asked({}))
  );
}

const inOrder = <T extends { name: string }>(named: T[]): T[] =>
  named.sort((a, b) => a.name.localeCompare(b.name));

/**
 * Finished tests that read one share alone, as a five-minute bottle reads its sand and a block maker the clay; oldest first, the
 * newest so many.
 */
export async function sharesAlone(
  store: Store,
  which: { sampleIds?: readonly string[]; layer?: 'sand' | 'clay' } = {},
  newest?: number
): Promise<{ id: string; code: string; name: string; sampleId: string; layer: 'sand' | 'clay' }[]> {
  await freshen(store);
  const rows = await store.db
    .select({ line: outcome.line, alone: outcome.alone })
    .from(outcome)
    .where(
      and(
        eq(outcome.binned, false),
        which.layer ? eq(outcome.alone, which.layer) : isNotNull(outcome.alone),
        which.sampleIds && among(outcome.sampleId, which.sampleIds)
      )
    )
    .orderBy(desc(outcome.at), desc(outcome.testId))
    .limit(newest ?? -1);
  return rows
    .reverse()
    .flatMap(({ line, alone }) =>
      line && alone
        ? [{ id: line.id, code: line.code, name: line.sampleName, sampleId: line.sampleId, layer: alone }]
        : []
    );
}
