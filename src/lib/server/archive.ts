import { createReadStream, createWriteStream, rmSync } from 'node:fs';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { createHash } from 'node:crypto';
import { createClient, type Client, type InValue, type Transaction } from '@libsql/client';
import { getTableColumns, getTableName, is, type Column } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { SQLiteTable } from 'drizzle-orm/sqlite-core';
import sharp from 'sharp';
import { known } from '../core/index.ts';
import { logCsvParts } from '../formats/log-csv.ts';
import { lineOf, type ArchiveManifest, type ArchiveRow } from '../formats/archive/manifest.ts';
import { ArchiveProblem } from '../formats/archive/problem.ts';
import { readArchive } from '../formats/archive/read.ts';
import { archiveParts, type ArchiveSource } from '../formats/archive/write.ts';
import { placeAside } from './aside.ts';
import { backupTo, checkBackup, knownMigrations } from './backup.ts';
import { openStore } from './db.ts';
import { readStrictly } from './json-column.ts';
import { freshen } from './outcomes.ts';
import { appliedMigrations, bringUpToDate, migrationsUpTo } from './migrate.ts';
import { SIDE_MOST_PX } from './photos.ts';
import { eachLine } from './repositories/log.ts';
import * as schema from './schema.ts';

/** What is no part of a bench: what is worked out from the rest, and who may come in. */
const NOT_TAKEN = ['__drizzle_migrations', 'outcome', 'outcome_stale', 'session', 'person', 'invite'];

/** So many rows, and pictures, are read at once. */
const AT_ONCE = { rows: 500, pictures: 20 };

/** The tables of a bench that go into an archive, or are put back, by name. */
export async function benchTables(client: Pick<Client, 'execute'>): Promise<string[]> {
  const { rows } = await client.execute(
    "select name from sqlite_master where type = 'table' and name not like 'sqlite_%' order by name"
  );
  return rows.map((row) => String(row.name)).filter((name) => !NOT_TAKEN.includes(name));
}

/** Columns of a table, but for those that hold bytes. */
export async function columnsOf(client: Pick<Client, 'execute'>, table: string): Promise<string[]> {
  const { rows } = await client.execute({
    sql: 'select name, type from pragma_table_info(?)',
    args: [table]
  });
  return rows.filter((row) => !/blob/i.test(String(row.type))).map((row) => String(row.name));
}

/** A name of a table or a column, for a statement. */
export const quoted = (name: string) => `"${name.replaceAll('"', '""')}"`;

/** The rows of a table in the order they were written, so many at a time. */
export async function* rowsOf(client: Pick<Client, 'execute'>, table: string): AsyncGenerator<ArchiveRow[]> {
  const columns = await columnsOf(client, table);
  const named = columns.map(quoted).join(', ');
  for (let after = 0; ;) {
    const { rows } = await client.execute({
      sql: `select rowid as "row", ${named} from ${quoted(table)} where rowid > ? order by rowid limit ?`,
      args: [after, AT_ONCE.rows]
    });
    if (rows.length === 0) return;
    yield rows.map((row) => Object.fromEntries(columns.map((name) => [name, row[name]])) as ArchiveRow);
    after = Number(rows[rows.length - 1].row);
  }
}

async function* picturesOf(client: Client): AsyncGenerator<{ id: string; bytes: Uint8Array }[]> {
  for (let after = ''; ;) {
    const { rows } = await client.execute({
      sql: 'select id, bytes from photo_file where id > ? order by id limit ?',
      args: [after, AT_ONCE.pictures]
    });
    if (rows.length === 0) return;
    yield rows.map((row) => ({ id: String(row.id), bytes: new Uint8Array(row.bytes as ArrayBuffer) }));
    after = String(rows[rows.length - 1].id);
  }
}

const countIn = async (client: Client, table: string): Promise<number> =>
  Number((await client.execute(`select count(*) as n from ${quoted(table)}`)).rows[0].n);

/**
 * Writes an archive of a whole bench as it is at one moment.
 *
 * @param from a database: of a file it is a copy that is read, so that what is written meanwhile does not matter
 * @param target the file that is written
 * @param told how much is in, 0 to 1
 * @throws {ArchiveProblem} for a bench with more pictures than a zip can hold
 */
export async function writeArchive(
  from: { url: string; token?: string },
  target: string,
  o: { root: string; now: number; told?: (share: number) => void }
): Promise<ArchiveManifest> {
  const aside = placeAside();
  const live = await openStore(from.url, from.token);
  try {
    if (live.file) await backupTo(live, join(aside, 'bench.db'), o.root);
    const still = live.file ? await openStore(`file:${join(aside, 'bench.db')}`) : live;
    try {
      const { client } = still;
      const rows: Record<string, number> = {};
      for (const table of await benchTables(client)) rows[table] = await countIn(client, table);
      if ((rows.photo_file ?? 0) > PICTURES_MOST) {
        throw new ArchiveProblem(
          `There are over ${PICTURES_MOST.toLocaleString('en')} pictures: an archive cannot hold them. Copy the database instead.`
        );
      }
      const manifest: ArchiveManifest = {
        format: 'tivrel.archive',
        version: 1,
        madeAt: new Date(o.now).toISOString(),
        migrations: await appliedMigrations(still),
        rows,
        pictures: rows.photo_file ?? 0
      };
      const source: ArchiveSource = {
        manifest,
        rowsOf: (table) => rowsOf(client, table),
        pictures: () => picturesOf(client),
        testsCsv: () => logCsvParts(eachLine(still, 'kept'))
      };
      const all = Object.values(rows).reduce((sum, n) => sum + n, manifest.pictures) || 1;
      await pipeline(
        archiveParts(source, (done) => o.told?.(done / all)),
        createWriteStream(target)
      );
      return manifest;
    } finally {
      if (still !== live) still.close();
    }
  } finally {
    live.close();
    rmSync(aside, { recursive: true, force: true });
  }
}

/** A zip counts its files in two bytes. */
const PICTURES_MOST = 60_000;

/** What a database holds that is to be put in the place of a bench. */
export type ToRestore = { madeAt: string | null; rows: Record<string, number>; pictures: number };

/** Refuses a picture that is not as one is kept here: whoever opens it shall get a picture, and no more of one. */
async function requireKeptPicture(id: string, bytes: Uint8Array): Promise<void> {
  const meta = await sharp(bytes, { limitInputPixels: SIDE_MOST_PX * SIDE_MOST_PX })
    .metadata()
    .catch(() => undefined);
  const fits = meta?.format === 'jpeg' && Math.max(meta.width, meta.height) <= SIDE_MOST_PX && !meta.exif;
  if (!fits) throw new ArchiveProblem(`Picture ${id} in this archive is none that was kept by a bench.`);
}

/** Puts rows into a table whose columns they must have, no more and no fewer. */
export async function putRows(
  tx: Pick<Client, 'execute'>,
  table: string,
  columns: readonly string[],
  rows: readonly ArchiveRow[]
): Promise<void> {
  const blank = table === 'photo_file' ? [', bytes', ", x''"] : ['', ''];
  const most = Math.max(1, Math.floor(900 / columns.length));
  for (let i = 0; i < rows.length; i += most) {
    const some = rows.slice(i, i + most);
    for (const row of some) {
      if (Object.keys(row).length !== columns.length || columns.some((name) => row[name] === undefined)) {
        throw new ArchiveProblem(`A row of ${table} in this archive has other columns than its version had.`);
      }
    }
    const one = `(${columns.map(() => '?').join(', ')}${blank[1]})`;
    await tx.execute({
      sql: `insert into ${quoted(table)} (${columns.map(quoted).join(', ')}${blank[0]}) values ${some.map(() => one).join(', ')}`,
      args: some.flatMap((row) => columns.map((name) => row[name] as InValue))
    });
  }
}

/** The SHA-256 of a table as an archive writes it. */
export async function sumOf(client: Pick<Client, 'execute'>, table: string): Promise<string> {
  const hash = createHash('sha256');
  for await (const rows of rowsOf(client, table)) for (const row of rows) hash.update(lineOf(row));
  return hash.digest('base64url');
}

/**
 * Unpacks an archive into a database of its own, checks it row by row against what was read, and brings that up to date.
 *
 * @param zip the file that came in
 * @param target the database that is made
 * @throws {ArchiveProblem} in a sentence; then nothing of it counts
 */
export async function unpackArchive(zip: string, target: string, root: string): Promise<ToRestore> {
  const aside = placeAside();
  const client = createClient({ url: `file:${target}` });
  try {
    let manifest: ArchiveManifest | undefined;
    const columns = new Map<string, string[]>();
    const sums = new Map<string, ReturnType<typeof createHash>>();
    const counts = new Map<string, number>();
    let tx: Transaction | undefined;
    for await (const found of readArchive(createReadStream(zip, { highWaterMark: 1 << 16 }))) {
      if ('manifest' in found) {
        manifest = found.manifest;
        if (manifest.migrations > knownMigrations(root)) {
          throw new ArchiveProblem(
            'This archive is of a newer version than this one. Bring Tivrel up to date first.'
          );
        }
        await migrate(drizzle(client), {
          migrationsFolder: migrationsUpTo(manifest.migrations, aside, root)
        });
        await client.execute('pragma foreign_keys = off');
        for (const table of await benchTables(client)) columns.set(table, await columnsOf(client, table));
        tx = await client.transaction('write');
      } else if ('table' in found) {
        const { table, rows } = found;
        const own = columns.get(table);
        if (!own) throw new ArchiveProblem(`This archive holds a table ${table}, which its version had not.`);
        await putRows(known(tx, 'the manifest comes first'), table, own, rows);
        const hash = sums.get(table) ?? createHash('sha256');
        for (const row of rows) hash.update(lineOf(row));
        sums.set(table, hash);
        counts.set(table, (counts.get(table) ?? 0) + rows.length);
      } else {
        await requireKeptPicture(found.picture, found.bytes);
        const put = await known(tx, 'the manifest comes first').execute({
          sql: 'update photo_file set bytes = ? where id = ?',
          args: [found.bytes, found.picture]
        });
        if (put.rowsAffected !== 1) {
          throw new ArchiveProblem(`Picture ${found.picture} in this archive belongs to nothing.`);
        }
      }
    }
    if (!manifest || !tx) throw new ArchiveProblem('This is no archive of a bench.');
    await tx.commit();
    for (const table of columns.keys()) {
      const same = (counts.get(table) ?? 0) === (manifest.rows[table] ?? 0);
      const hash = sums.get(table) ?? createHash('sha256');
      if (!same || (await sumOf(client, table)) !== hash.digest('base64url')) {
        throw new ArchiveProblem(`The rows of ${table} did not come out of this archive as they went in.`);
      }
    }
    await requireKeys(client);
    return { madeAt: manifest.madeAt, rows: manifest.rows, pictures: manifest.pictures };
  } catch (problem) {
    if (problem instanceof ArchiveProblem || !(problem instanceof Error)) throw problem;
    const { code = '' } = problem as { code?: string };
    if (!/^SQLITE_(CONSTRAINT|MISMATCH|ERROR)/.test(code)) throw problem;
    throw new ArchiveProblem('A row of this archive cannot be: it was changed, or damaged.', {
      cause: problem
    });
  } finally {
    client.close();
    rmSync(aside, { recursive: true, force: true });
  }
}

/** Refuses a database in which a row refers to one that is not there. */
async function requireKeys(client: Client): Promise<void> {
  const { rows } = await client.execute('pragma foreign_key_check');
  const lost = rows.find((row) => !NOT_TAKEN.includes(String(row.table)));
  if (lost) throw new ArchiveProblem(`A row of ${String(lost.table)} refers to one that is not there.`);
}

/** Whether a column can hold a value as it came out of the database: of its kind, one of its words, or of its shape. */
function holds(column: Column, value: unknown): boolean {
  if (value === null) return !column.notNull;
  const wanted = ['number', 'boolean'].includes(column.dataType) ? 'number' : 'string';
  if (typeof value !== wanted || (column.enumValues && !column.enumValues.includes(String(value))))
    return false;
  try {
    readStrictly(() => column.mapFromDriverValue(value));
    return true;
  } catch {
    return false;
  }
}

/**
 * Refuses a database in which a row could not be read: it was not written by a bench. What a bench itself keeps may be of a version
 * that it has read as blank since; an archive comes from elsewhere.
 */
async function requireShapes(client: Client): Promise<void> {
  for (const table of Object.values(schema)) {
    if (!is(table, SQLiteTable) || NOT_TAKEN.includes(getTableName(table))) continue;
    const name = getTableName(table);
    const columns = Object.values(getTableColumns(table)).filter((column) => column.getSQLType() !== 'blob');
    for await (const rows of rowsOf(client, name)) {
      for (const row of rows) {
        const wrong = columns.find((column) => !holds(column, row[column.name]));
        if (wrong)
          throw new ArchiveProblem(
            `A row of ${name} in this archive cannot be read: its ${wrong.name} is not as a bench keeps it.`
          );
      }
    }
  }
}

/** Copies a backup to be put back, as {@link unpackArchive} does with an archive. */
export async function unpackCopy(copy: string, target: string, root: string): Promise<ToRestore> {
  const { rows } = await checkBackup(copy, root);
  await pipeline(createReadStream(copy), createWriteStream(target));
  return { madeAt: null, rows, pictures: rows.photo_file ?? 0 };
}

/**
 * Brings a database that is to be put back to the tables of this version.
 *
 * @param from an archive comes from anywhere, so each of its rows is looked at; a copy was made here
 * @throws {ArchiveProblem} for a row that cannot be read
 */
export async function upToDate(
  target: string,
  root: string,
  { now, from }: { now: number; from: 'archive' | 'copy' }
): Promise<void> {
  const store = await openStore(`file:${target}`);
  try {
    await bringUpToDate(store, root, now, { copyFirst: false });
    if (from === 'archive') await requireShapes(store.client);
    await freshen(store);
  } finally {
    store.close();
  }
}
