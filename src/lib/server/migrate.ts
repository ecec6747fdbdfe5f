import { cpSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { sql } from 'drizzle-orm';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { METHODS, STANDARD_VESSELS, UNKNOWN_VESSEL } from '../core/index.ts';
import { backupTo } from './backup.ts';
import type { Store } from './db.ts';
import { method, vessel } from './schema.ts';
import { watchOutcomes } from './outcomes.ts';
import { methodRow } from './repositories/methods.ts';

const KEPT_BACKUPS = 10;

type Journal = { entries: { tag: string }[] };
const journalOf = (folder: string) =>
  JSON.parse(readFileSync(join(folder, 'meta', '_journal.json'), 'utf8')) as Journal;

/** A folder with the first so many migrations only: the tables as they once were. @param into where it is made */
export function migrationsUpTo(count: number, into: string, root = process.cwd()): string {
  const from = join(root, 'drizzle');
  const folder = join(into, `migrations-${count}`);
  mkdirSync(join(folder, 'meta'), { recursive: true });
  const journal = journalOf(from);
  journal.entries = journal.entries.slice(0, count);
  writeFileSync(join(folder, 'meta', '_journal.json'), JSON.stringify(journal));
  for (const { tag } of journal.entries) cpSync(join(from, `${tag}.sql`), join(folder, `${tag}.sql`));
  return folder;
}

/** How many migrations a database has gone through. */
export async function appliedMigrations(store: Pick<Store, 'client'>): Promise<number> {
  const there = await store.client.execute(
    "select count(*) as n from sqlite_master where type = 'table' and name = '__drizzle_migrations'"
  );
  if (Number(there.rows[0].n) === 0) return 0;
  const rows = await store.client.execute('select count(*) as n from __drizzle_migrations');
  return Number(rows.rows[0].n);
}

/** How long another server is given to bring a shared database up to date, and how often that is looked at, ms. */
const MEANWHILE = { most: 30_000, each: 300 };

/** Whether another server brings the database up to date. */
async function migratedMeanwhile(store: Store, wanted: number): Promise<boolean> {
  for (const until = Date.now() + MEANWHILE.most; Date.now() < until;) {
    const before = await appliedMigrations(store);
    if (before >= wanted) return true;
    await new Promise((resolve) => setTimeout(resolve, MEANWHILE.each));
    if ((await appliedMigrations(store)) === before) return false;
  }
  return false;
}

/**
 * Brings the database up to date, after a backup copy if it already holds something, and makes sure the
 * vessels and methods that ship are there, beside every earlier version of a method.
 *
 * @param stamp ms UTC, for the name of the backup
 * @param o.copyFirst left out for what is a copy itself
 */
export async function bringUpToDate(
  store: Store,
  root: string,
  stamp: number,
  { copyFirst = true } = {}
): Promise<void> {
  const folder = join(root, 'drizzle');
  const journal = journalOf(folder);
  const applied = await appliedMigrations(store);
  if (applied < journal.entries.length) {
    if (applied > 0 && store.file && copyFirst) {
      const backups = join(dirname(store.file), 'backups');
      await backupTo(store, join(backups, `before-migration-${stamp}.db`), root);
      pruneBackups(backups);
    }
    try {
      await migrate(store.db, { migrationsFolder: folder });
    } catch (problem) {
      // Another server may have done it at the same moment: each is one transaction, and one of the two came first.
      if (store.file || (await migratedMeanwhile(store, journal.entries.length)) !== true) throw problem;
    }
  }
  await watchOutcomes(store);
  await store.write(async (tx) => {
    for (const v of [...STANDARD_VESSELS, UNKNOWN_VESSEL]) {
      await tx
        .insert(vessel)
        .values({ ...v, createdAt: 0 })
        .onConflictDoNothing();
    }
    for (const m of METHODS) {
      await tx
        .insert(method)
        .values(methodRow(m, { own: false, createdAt: 0 }))
        .onConflictDoNothing();
    }
  });
}

function pruneBackups(folder: string): void {
  const old = readdirSync(folder)
    .filter((f) => f.startsWith('before-migration-'))
    .sort()
    .reverse();
  for (const name of old.slice(KEPT_BACKUPS)) rmSync(join(folder, name));
}

/** Answers whether the database can be read. */
export async function isAlive(store: Store): Promise<boolean> {
  const rows = await store.db.all<{ one: number }>(sql`select 1 as one`);
  return rows.length === 1;
}
