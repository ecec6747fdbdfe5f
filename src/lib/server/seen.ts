import { isDeepStrictEqual } from 'node:util';
import { desc, sql } from 'drizzle-orm';
import { definitionOf, type CommandName, type Meanwhile } from '../contract/commands.ts';
import { isDevice } from '../contract/records/person.ts';
import { refusals } from '../words/refusals.ts';
import type { Tx } from './db.ts';
import { currentRow } from './events.ts';
import { CommandProblem } from './problem.ts';
import { event } from './schema.ts';

/** Two people edited one record: the second is told what the first made of it. */
export class MeanwhileProblem extends CommandProblem {
  constructor(readonly meanwhile: Meanwhile) {
    super(refusals.seen.meanwhile(meanwhile.who), {}, 409);
    this.name = 'MeanwhileProblem';
  }
}

const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value ?? null));

/**
 * Refuses an edit of a record that somebody else changed since it was opened, unless both mean the same.
 *
 * @param seen the record as it was when it was opened; fields it does not have are not compared
 * @throws {MeanwhileProblem} with each field that is another now
 */
export async function requireSeen(
  tx: Tx,
  name: CommandName,
  payload: unknown,
  seen: Record<string, unknown>
): Promise<void> {
  const { edits } = definitionOf(name);
  if (!edits) return;
  const id = String((payload as Record<string, unknown>)[edits.id]);
  const row = await currentRow(tx, edits.table, id);
  if (!row) return;
  const wanted = payload as Record<string, unknown>;
  const now: Record<string, unknown> = {};
  for (const [key, was] of Object.entries(seen)) {
    if (!(key in row) || isDeepStrictEqual(plain(row[key]), plain(was))) continue;
    if (key in wanted && isDeepStrictEqual(plain(row[key]), plain(wanted[key]))) continue;
    now[key] = plain(row[key]);
  }
  if (Object.keys(now).length === 0) return;
  const [last] = await tx
    .select({ who: event.who, at: event.at })
    .from(event)
    .where(sql`${event.changes} like ${`%"${id}"%`}`)
    .orderBy(desc(event.receivedAt), desc(sql`rowid`))
    .limit(1);
  const who = last && !isDevice(last.who) ? last.who : refusals.seen.somebody;
  throw new MeanwhileProblem({ who, at: last?.at ?? 0, now });
}
