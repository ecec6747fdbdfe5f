import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { createClient, type Client } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import * as schema from './schema.ts';

export type Db = LibSQLDatabase<typeof schema>;
/** A transaction, or the database itself: what repositories read from. */
export type Reader = Pick<Db, 'select'>;
export type Tx = Parameters<Parameters<Db['transaction']>[0]>[0];

/** An open database: reads go straight in, writes through one queue. */
export type Store = {
  db: Db;
  client: Client;
  /** The file behind it, if it is one. */
  file: string | undefined;
  /** Runs a write transaction after all that were asked for before it. */
  write<T>(work: (tx: Tx) => Promise<T>): Promise<T>;
  /**
   * A read that many pages share, answered from memory until the next write. What it answers must not be changed.
   * A database on a server is written by others too, so there it is asked every time.
   */
  shared<T>(name: string, ask: (db: Reader) => Promise<T>): Promise<T>;
  close(): void;
};

/** The file of a `file:` address, undefined for a server. */
function databaseFile(url: string): string | undefined {
  return url.startsWith('file:') ? url.slice('file:'.length).replace(/^\/\/(?=\/)/, '') : undefined;
}

/**
 * Opens the database. SQLite allows one writer; overlapping write transactions in one process block each other
 * and fail busy, so every write waits its turn here.
 */
export async function openStore(url: string, token?: string): Promise<Store> {
  const file = databaseFile(url);
  if (file) mkdirSync(dirname(file), { recursive: true });
  const client = createClient({ url, authToken: token, timeout: 5000 } as Parameters<typeof createClient>[0]);
  if (file) await client.execute('pragma journal_mode = wal');
  const db = drizzle(client, { schema });
  let last: Promise<unknown> = Promise.resolve();
  /** Raised when a write has ended: what was asked for before it no longer counts. */
  let written = 0;
  const kept = new Map<string, { written: number; answer: Promise<unknown> }>();
  return {
    db,
    client,
    file,
    write(work) {
      const turn = last.then(() => db.transaction(work)).finally(() => written++);
      last = turn.catch(() => undefined);
      return turn;
    },
    shared<T>(name: string, ask: (db: Reader) => Promise<T>): Promise<T> {
      const answered = kept.get(name);
      if (file && answered?.written === written) return answered.answer as Promise<T>;
      const answer = ask(db);
      kept.set(name, { written, answer });
      // A failed read is not kept.
      answer.catch(() => kept.delete(name));
      return answer;
    },
    close: () => client.close()
  };
}
