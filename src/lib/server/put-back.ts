import { createClient, type Client, type InStatement } from '@libsql/client';
import { benchTables, columnsOf, putRows, quoted, rowsOf } from './archive.ts';
import type { Store } from './db.ts';

type Runs = Pick<Client, 'execute'>;

/** So many rows are taken out at once. */
const AT_ONCE = 2000;
/** What came of each test was worked out beside, and comes along. */
const WITH_THEM = 'outcome';

/** Tables in such an order that none refers to one before it. */
async function childrenFirst(client: Runs, tables: readonly string[]): Promise<string[]> {
  const refersTo = new Map<string, string[]>();
  for (const table of tables) {
    const { rows } = await client.execute({
      sql: 'select "table" as t from pragma_foreign_key_list(?)',
      args: [table]
    });
    refersTo.set(
      table,
      rows.map((row) => String(row.t)).filter((other) => other !== table)
    );
  }
  const parentsFirst: string[] = [];
  const visit = (table: string) => {
    if (parentsFirst.includes(table)) return;
    for (const parent of refersTo.get(table) ?? []) visit(parent);
    parentsFirst.push(table);
  };
  tables.forEach(visit);
  return parentsFirst.reverse();
}

/**
 * Puts another bench in the place of this one: all rows of it go, all of the other come, in one transaction; so it is done or it is
 * not. Who may come in stays as it is.
 *
 * @param from a database that was checked, with the tables of this version
 * @param last what is written beside, in the same transaction
 * @param o.first what is done before, while every other write waits already
 * @param o.told how much is done, 0 to 1
 */
export async function putBack(
  store: Store,
  from: string,
  last: InStatement,
  { first, told = () => {} }: { first?: () => Promise<void>; told?: (share: number) => void } = {}
): Promise<void> {
  const source = createClient({ url: `file:${from}` });
  try {
    await store.writeRaw(async (tx) => {
      await first?.();
      const tables = await childrenFirst(tx, [...(await benchTables(source)), WITH_THEM]);
      const counted = async (client: Runs, table: string) =>
        Number((await client.execute(`select count(*) as n from ${quoted(table)}`)).rows[0].n);
      let [all, done] = [1, 0];
      for (const table of tables) all += (await counted(source, table)) + (await counted(tx, table));
      await tx.execute('pragma defer_foreign_keys = on');
      // What watches rows would note each of them, though what came of them comes along.
      const watching = await tx.execute("select name, sql from sqlite_master where type = 'trigger'");
      for (const { name } of watching.rows) await tx.execute(`drop trigger ${quoted(String(name))}`);
      for (const table of ['outcome_stale', ...tables]) {
        const some = `delete from ${quoted(table)} where rowid in (select rowid from ${quoted(table)} limit ${AT_ONCE})`;
        for (let gone = AT_ONCE; gone === AT_ONCE;) {
          gone = (await tx.execute(some)).rowsAffected;
          told((done += gone) / all);
          await breathe();
        }
      }
      for (const table of tables.toReversed()) {
        const columns = await columnsOf(source, table);
        for await (const rows of rowsOf(source, table)) {
          await putRows(tx, table, columns, rows);
          told((done += rows.length) / all);
          await breathe();
        }
      }
      await putPictures(source, tx);
      for (const table of tables) {
        if ((await counted(source, table)) !== (await counted(tx, table)))
          throw new Error(`Not all rows of ${table} came back.`);
      }
      for (const { sql } of watching.rows) await tx.execute(String(sql));
      await tx.execute(last);
    });
  } finally {
    source.close();
  }
}

/** Others have their turn. */
const breathe = () => new Promise((resolve) => setImmediate(resolve));

async function putPictures(source: Runs, tx: Runs): Promise<void> {
  const { rows } = await source.execute('select id from photo_file');
  for (const { id } of rows) {
    const [picture] = (await source.execute({ sql: 'select bytes from photo_file where id = ?', args: [id] }))
      .rows;
    await tx.execute({ sql: 'update photo_file set bytes = ? where id = ?', args: [picture.bytes, id] });
    await breathe();
  }
}
