import {
  closeSync,
  copyFileSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readFileSync,
  readSync,
  renameSync,
  rmSync,
  statSync
} from 'node:fs';
import { dirname, join } from 'node:path';
import { createClient, type Client } from '@libsql/client';
import { leaveWriteAhead, type Store } from './db.ts';

/** Something that stands in the way of a backup or a restore, in a sentence for the operator. */
export class BackupProblem extends Error {
  override name = 'BackupProblem';
}

const SAYS: Record<string, string> = {
  ENOSPC: 'the disk is full',
  EDQUOT: 'the disk is full',
  SQLITE_FULL: 'the disk is full',
  EACCES: 'nobody may write there',
  EPERM: 'nobody may write there',
  EROFS: 'nobody may write there',
  ENOENT: 'there is no such place',
  ENOTDIR: 'there is no such place',
  SQLITE_CANTOPEN: 'there is no such place',
  EISDIR: 'it is a folder'
};

/** Does something with files, and says in a sentence what stood in the way. @param what begins the sentence */
async function said<T>(what: string, work: () => T | Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (problem) {
    if (problem instanceof BackupProblem || !(problem instanceof Error)) throw problem;
    const { code = '' } = problem as { code?: string };
    const why = SAYS[code] ?? (/IOERR/.test(code) ? 'the disk is full, or fails' : problem.message);
    throw new BackupProblem(`${what}: ${why}.`, { cause: problem });
  }
}

/** What was written is on the disk, and so is its name. */
function synced(file: string): void {
  for (const path of [file, dirname(file)]) {
    const held = openSync(path, 'r');
    fsyncSync(held);
    closeSync(held);
  }
}

const MAGIC = 'SQLite format 3';

/** How many migrations this version knows. */
export function knownMigrations(root: string): number {
  const journal = readFileSync(join(root, 'drizzle', 'meta', '_journal.json'), 'utf8');
  return (JSON.parse(journal) as { entries: unknown[] }).entries.length;
}

const asNumber = async (client: Client, sql: string): Promise<number> =>
  Number((await client.execute(sql)).rows[0]?.n ?? 0);

/** What a copy holds: its version, and how many rows each of its tables has. */
export type Copy = { migrations: number; rows: Record<string, number> };

async function countsOf(client: Client): Promise<Copy> {
  const tables = await client.execute(
    "select name from sqlite_master where type = 'table' and name not like 'sqlite_%' order by name"
  );
  const names = tables.rows.map((row) => String(row.name));
  const rows: Record<string, number> = {};
  for (const name of names) rows[name] = await asNumber(client, `select count(*) as n from "${name}"`);
  return { migrations: rows.__drizzle_migrations ?? 0, rows };
}

/**
 * Looks through a file that is to be a backup of a bench.
 *
 * @throws {BackupProblem} where it is none, is damaged or half, or is of a newer version than this
 */
export async function checkBackup(file: string, root: string): Promise<Copy> {
  if (!existsSync(file)) throw new BackupProblem(`${file} is not there.`);
  if (statSync(file).isDirectory()) throw new BackupProblem(`${file} is a folder, and no backup.`);
  const head = Buffer.alloc(MAGIC.length);
  const held = openSync(file, 'r');
  readSync(held, head, 0, MAGIC.length, 0);
  closeSync(held);
  if (head.toString('latin1') !== MAGIC) throw new BackupProblem(`${file} is no backup of a bench.`);
  const client = createClient({ url: `file:${file}` });
  try {
    const found = await client.execute('pragma integrity_check').catch(() => undefined);
    if (found?.rows[0]?.integrity_check !== 'ok')
      throw new BackupProblem(`${file} is damaged, or only half of it is there.`);
    const copy = await countsOf(client);
    if (copy.migrations === 0) throw new BackupProblem(`${file} is no backup of a bench.`);
    if (copy.migrations > knownMigrations(root))
      throw new BackupProblem(`${file} is of a newer version than this one. Bring Tivrel up to date first.`);
    return copy;
  } finally {
    client.close();
  }
}

/** Refuses a copy that holds less or more than what was copied. What was written meanwhile may be in it, or not. */
function requireSame(copy: Copy, before: Copy, after: Copy): void {
  for (const [table, count] of Object.entries(before.rows)) {
    // What is worked out from other rows comes and goes between two looks.
    if (table.startsWith('outcome')) continue;
    if (after.rows[table] === count && copy.rows[table] !== count)
      throw new BackupProblem(
        `The copy does not hold what it should: ${copy.rows[table] ?? 0} of ${count} in ${table}.`
      );
  }
}

/**
 * Writes a consistent copy of a file database, while it is in use: under another name until it is whole, checked and on the disk.
 *
 * @throws {BackupProblem} in a sentence; then nothing stands under the name of the target
 */
export async function backupTo(
  store: Pick<Store, 'client' | 'file'>,
  target: string,
  root = process.cwd()
): Promise<Copy> {
  if (!store.file)
    throw new BackupProblem('A backup copies a file database; this one is on a server. Back it up there.');
  if (existsSync(target)) throw new BackupProblem(`${target} is already there. Choose another name.`);
  const part = `${target}.part`;
  return said(`${target} cannot be written`, async () => {
    mkdirSync(dirname(target), { recursive: true });
    rmSync(part, { force: true });
    try {
      const before = await countsOf(store.client);
      await store.client.execute({ sql: 'vacuum into ?', args: [part] });
      const copy = await checkBackup(part, root);
      requireSame(copy, before, await countsOf(store.client));
      synced(part);
      renameSync(part, target);
      synced(target);
      return copy;
    } finally {
      for (const end of ['', '-wal', '-shm', '-journal']) rmSync(part + end, { force: true });
    }
  });
}

/**
 * Takes a database out of its write-ahead file, so that it is one file with everything in it.
 *
 * @throws {BackupProblem} while another program has it open
 */
export async function inOneFile(file: string): Promise<void> {
  const client = createClient({ url: `file:${file}` });
  try {
    if (!(await leaveWriteAhead(client)))
      throw new BackupProblem(`${file} is in use: stop the server first.`);
  } finally {
    client.close();
  }
}

/**
 * Puts a backup in the place of a database. It is checked before anything is moved; what was there is kept beside the backups, and
 * is put back where the rest fails.
 *
 * @param aside where what was there is kept
 * @returns where that is; undefined where nothing was there
 * @throws {BackupProblem} in a sentence; then the database is as it was
 */
export async function restoreFrom(
  backup: string,
  file: string,
  o: { root: string; aside: string }
): Promise<string | undefined> {
  await checkBackup(backup, o.root);
  const coming = `${file}.restoring`;
  return said(`${file} cannot be restored`, async () => {
    const there = existsSync(file);
    if (there) await inOneFile(file);
    mkdirSync(dirname(file), { recursive: true });
    mkdirSync(dirname(o.aside), { recursive: true });
    try {
      copyFileSync(backup, coming);
      synced(coming);
      await checkBackup(coming, o.root);
      if (there) renameSync(file, o.aside);
      try {
        renameSync(coming, file);
      } catch (problem) {
        if (there) renameSync(o.aside, file);
        throw problem;
      }
      synced(file);
      return there ? o.aside : undefined;
    } finally {
      for (const end of ['', '-wal', '-shm', '-journal']) rmSync(coming + end, { force: true });
    }
  });
}
