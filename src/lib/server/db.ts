import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { createClient, type Client, type Transaction } from '@libsql/client';
import { sql } from 'drizzle-orm';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { isBusy } from './problem.ts';
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
   * The same for what takes out what nobody shall find again: of a file it is written over, where else SQLite would only let its room
   * go. On a server of a database that is for the server to do.
   */
  erase<T>(work: (tx: Tx) => Promise<T>): Promise<T>;
  /** The same for what knows tables by their names only, as a whole bench that is put back. */
  writeRaw<T>(work: (tx: Pick<Transaction, 'execute'>) => Promise<T>): Promise<T>;
  /**
   * A read that many pages share, answered from memory until the next write. What it answers must not be changed.
   * A database on a server is written by others too, so there it is asked every time.
   */
  shared<T>(name: string, ask: (db: Reader) => Promise<T>): Promise<T>;
  close(): void;
};

/** How long one call waits for a lock, how long is waited between two, and how long in all, ms. */
const LOCK_MS = { call: 40, between: 60, inAll: 5000 };

/**
 * Does something once no other program holds the database.
 *
 * @param dropped after a refusal: the connection that was refused keeps its failed BEGIN, and would refuse all that follows
 * @throws what the database says
 */
async function whenFree<T>(work: () => Promise<T>, dropped: () => Promise<void>): Promise<T> {
  const until = performance.now() + LOCK_MS.inAll;
  for (;;) {
    try {
      return await work();
    } catch (problem) {
      if (!isBusy(problem)) throw problem;
      await dropped();
      if (performance.now() > until) throw problem;
      await new Promise((resolve) => setTimeout(resolve, LOCK_MS.between));
    }
  }
}

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
  // Calls to a file hold up the whole process: they wait for a lock only a moment, and longer outside of it, below.
  const connect = () =>
    createClient({ url, authToken: token, timeout: LOCK_MS.call } as Parameters<typeof createClient>[0]);
  const client = connect();
  /** Writes have a client of their own: dropping its connection disturbs no read. Made when something is first written. */
  let writer: { client: Client; db: Db } | undefined;
  const writing = () => {
    const own = writer?.client ?? connect();
    return (writer ??= { client: own, db: drizzle(own, { schema }) });
  };
  if (file) await client.execute('pragma journal_mode = wal');
  const db = drizzle(client, { schema });
  let last: Promise<unknown> = Promise.resolve();
  /** Raised when a write has ended: what was asked for before it no longer counts. */
  let written = 0;
  const kept = new Map<string, { written: number; answer: Promise<unknown> }>();
  const inTurn = <T>(work: () => Promise<T>): Promise<T> => {
    const turn = last
      .then(() => whenFree(work, async () => writer?.client.reconnect()))
      .finally(() => written++);
    last = turn.catch(() => undefined);
    return turn;
  };
  return {
    db,
    client,
    file,
    write: (work) => inTurn(() => writing().db.transaction(work)),
    erase: (work) =>
      inTurn(async () => {
        const { client: own, db: writable } = writing();
        const done = await writable.transaction(async (tx) => {
          if (file) await tx.run(sql`pragma secure_delete = on`);
          return work(tx);
        });
        // What was written before stands in the write-ahead file too. While somebody reads it stays until that is written over.
        if (file) await own.execute('pragma wal_checkpoint(truncate)').catch(() => undefined);
        return done;
      }),
    writeRaw: (work) =>
      inTurn(async () => {
        const tx = await writing().client.transaction('write');
        try {
          const done = await work(tx);
          await tx.commit();
          return done;
        } finally {
          tx.close();
        }
      }),
    shared<T>(name: string, ask: (db: Reader) => Promise<T>): Promise<T> {
      const answered = kept.get(name);
      if (file && answered?.written === written) return answered.answer as Promise<T>;
      const answer = ask(db);
      kept.set(name, { written, answer });
      // A failed read is not kept.
      answer.catch(() => kept.delete(name));
      return answer;
    },
    close() {
      client.close();
      writer?.client.close();
    }
  };
}

/**
 * Takes a file database out of its write-ahead file, which needs it alone: SQLite lets nobody do so while another connection is open.
 * @returns whether it was
 */
export async function leaveWriteAhead(client: Client): Promise<boolean> {
  const mode = await client.execute('pragma journal_mode = delete').catch(() => undefined);
  return mode?.rows[0]?.journal_mode === 'delete';
}

/**
 * Makes sure that no other program has a file database open: two servers on one file would not know of each other's writes.
 *
 * @throws {Error} with a sentence for the operator
 */
export async function requireAlone({ client, file }: Pick<Store, 'client' | 'file'>): Promise<void> {
  if (!file) return;
  if (!(await leaveWriteAhead(client)))
    throw new Error(
      `${file} is in use by another server. Stop that one first, or give this one another DATABASE_URL.`
    );
  await client.execute('pragma journal_mode = wal');
}
