import { isDeepStrictEqual } from 'node:util';
import type { Store } from '../../src/lib/server/db.ts';
import { freshen } from '../../src/lib/server/outcomes.ts';
import { outcome } from '../../src/lib/server/schema.ts';

/** What must never be so, each as a query for the rows in which it is. */
export const NEVER: Record<string, string> = {
  'a jar with two runs that are on':
    'select test_id as id from run where ended_at is null group by test_id having count(*) > 1',
  'a finished test without its time':
    "select id from test where (status = 'finished') <> (finished_at is not null)",
  'a finished test without one result in force': `select t.id from test t where t.status = 'finished' and
      (select count(*) from result r where r.test_id = t.id and r.reopened_at is null) <> 1`,
  'a result in force of a test that is open': `select t.id from test t where t.status <> 'finished' and
      exists (select 1 from result r where r.test_id = t.id and r.reopened_at is null)`,
  'a ready jar with a run that is on': `select t.id from test t where t.status = 'ready' and
      exists (select 1 from run r where r.test_id = t.id and r.ended_at is null)`,
  'a running jar without a run': `select t.id from test t where t.status = 'running' and
      not exists (select 1 from run r where r.test_id = t.id)`,
  'a mark before the set-down': `select m.id from mark m join run r on r.id = m.run_id where m.at < r.set_down_at`,
  'pieces soaked before they were formed':
    'select id from trial where soaked_at is not null and (formed_at is null or soaked_at <= formed_at)',
  'a piece that its set does not have':
    'select p.id from trial_piece p join trial t on t.id = p.trial_id where p.no < 1 or p.no > t.count',
  'a soaked piece that told before the soak': `select p.id from trial_piece p join trial t on t.id = p.trial_id
      where p.no > t.count - t.soaked and t.soaked_at is null`,
  'a reading of a hole that was not filled': `select r.id from hole_reading r join hole h on h.id = r.hole_id
      where h.refilled_at is null or r.at <= h.refilled_at`,
  'a picture of nothing': `select id from photo where subject_id not in (select id from sample union select id from spot
      union select id from test union select id from trial_piece)`,
  'a sample of a spot that is gone': `select s.id from sample s, json_each(s.spot_ids) e
      where e.value not in (select id from spot)`,
  'a cylinder by a blank that is gone': `select id from test where json_extract(cylinder, '$.blankId') is not null
      and json_extract(cylinder, '$.blankId') not in (select id from blank)`,
  'a folder of a sample that is gone': `select f.id from folder f, json_each(f.items) e
      where json_extract(e.value, '$.sampleId') not in (select id from sample)`,
  'a row without its parent': 'select "table" as id from pragma_foreign_key_check'
};

/** What is so that must never be, with how many rows; empty where the record is consistent. */
export async function inconsistencies({ client }: Store): Promise<Record<string, number>> {
  const out: Record<string, number> = {};
  for (const [what, sql] of Object.entries(NEVER)) {
    const { rows } = await client.execute(sql);
    if (rows.length > 0) out[what] = rows.length;
  }
  return out;
}

/** Tests whose outcome, as lists show it, is another once it is worked out from the rows of today. */
export async function outcomesBehind(store: Store): Promise<string[]> {
  const outcomes = async () => {
    await freshen(store);
    const rows = await store.db.select().from(outcome);
    return new Map(rows.map((row) => [row.testId, row]));
  };
  const shown = await outcomes();
  await store.client.execute(
    'insert into outcome_stale select id from test union select test_id from outcome'
  );
  const now = await outcomes();
  return [...new Set([...shown.keys(), ...now.keys()])].filter(
    (id) => !isDeepStrictEqual(shown.get(id), now.get(id))
  );
}
