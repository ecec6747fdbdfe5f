import { openStore } from '../../src/lib/server/db.ts';
import { freshen } from '../../src/lib/server/outcomes.ts';

/** Tables of which each test has rows. */
const OF_TEST = ['run', 'reading', 'result'];

/**
 * Writes the demo's finished tests over and over, with all that was read and kept of them, an hour apart, until there are so many;
 * half as many samples; and loose pictures. Straight into the tables of a bench that nobody serves.
 */
async function grow(url: string, tests: number, pictures = 0): Promise<void> {
  const store = await openStore(url);
  const { client } = store;
  const columnsOf = async (table: string) =>
    (await client.execute(`pragma table_info(${table})`)).rows.map((row) => String(row.name));
  const [{ there }] = (await client.execute("select count(*) as there from test where status = 'finished'"))
    .rows;
  const copies = Math.ceil(tests / Number(there));
  const numbers = `with recursive n(i) as (select 1 union all select i + 1 from n where i < ${copies})`;
  const copy = async (table: string, changed: Record<string, string>, from: string) => {
    const columns = await columnsOf(table);
    const values = columns.map((name) => changed[name] ?? `own.${name}`);
    await client.execute(
      `${numbers} insert into ${table} (${columns.join(', ')}) select ${values.join(', ')} from n, ${from}`
    );
  };
  const finished = "test t on t.id = own.test_id and t.status = 'finished'";
  await copy(
    'sample',
    { id: "own.id || '-' || i", code: "own.code || 'N' || i", created_at: 'own.created_at - i * 3600000' },
    'sample own where i % 2 = 0'
  );
  await copy(
    'test',
    {
      id: "own.id || '-' || i",
      code: "own.code || 'N' || i",
      sample_id: "own.sample_id || '-' || (i - i % 2 + 2 * (i < 2))",
      created_at: 'own.created_at - i * 3600000'
    },
    `test own where own.status = 'finished' and i - i % 2 + 2 * (i < 2) <= ${copies}`
  );
  for (const table of OF_TEST) {
    const changed: Record<string, string> = { id: "own.id || '-' || i", test_id: "own.test_id || '-' || i" };
    if (table === 'run') changed.set_down_at = 'own.set_down_at - i * 3600000';
    if (table === 'reading') changed.run_id = "own.run_id || '-' || i";
    await copy(
      table,
      changed,
      `${table} own join ${finished} where exists (select 1 from test where id = own.test_id || '-' || i)`
    );
  }
  await client.execute(
    `with recursive n(i) as (select 1 union all select i + 1 from n where i < ${pictures})
      insert into photo_file (id, bytes, width, height, created_at) select 'F' || i, zeroblob(64), 8, 8, i from n`
  );
  await freshen(store);
  store.close();
}

const [, own, url, tests, pictures = '0'] = process.argv;
// By itself: what the library leaves open goes with the process, and a server may have the file after it.
if (own?.endsWith('grow.ts')) await grow(url, Number(tests), Number(pictures));
