import { openDB, type IDBPDatabase } from 'idb';
import type { Command } from '../contract/commands.ts';

/** An entry of the queue as it lies in this browser: its number, and why it was refused if it was. */
export type Boxed = Command & { no?: number; refused?: string };

let opened: Promise<IDBPDatabase> | undefined;

function box(): Promise<IDBPDatabase> {
  if (opened) return opened;
  const own: Promise<IDBPDatabase> = openDB('tivrel', 1, {
    upgrade: (db) => void db.createObjectStore('outbox', { keyPath: 'commandId' }),
    blocking: () => {
      // Another page wants to clear it, or to change its form.
      void own.then((db) => db.close());
      forget(own);
    },
    terminated: () => forget(own)
  });
  own.catch(() => forget(own));
  opened = own;
  return own;
}

function forget(one: Promise<IDBPDatabase>): void {
  if (opened === one) opened = undefined;
}

/** Does something with the box. A browser may close it at any time: then once more, with a box that is opened anew. */
async function withBox<T>(work: (db: IDBPDatabase) => Promise<T>): Promise<T> {
  const first = box();
  try {
    return await work(await first);
  } catch {
    forget(first);
    return work(await box());
  }
}

const numberOf = (entry: unknown): number => Number((entry as Partial<Boxed> | null)?.no) || 0;

/**
 * Writes an entry down. Its number is one more than that of any that lies there, in whichever window it was made: a clock that is set
 * back puts nothing before what was pressed earlier.
 * @throws where the browser keeps nothing
 */
export const keepBoxed = (entry: Boxed): Promise<void> =>
  withBox(async (db) => {
    const { store, done } = db.transaction('outbox', 'readwrite');
    const there = (await store.getAll()) as Boxed[];
    const own = there.find((one) => one.commandId === entry.commandId);
    const no = numberOf(own) || 1 + Math.max(0, ...there.map(numberOf));
    await store.put({ ...entry, no });
    await done;
  });

/** Strikes an entry off. */
export const dropBoxed = (commandId: string): Promise<void> =>
  withBox((db) => db.delete('outbox', commandId));

/** What lies there, in the order in which it was pressed; whatever wrote it. */
export async function allBoxed(): Promise<unknown[]> {
  const found: unknown[] = await withBox((db) => db.getAll('outbox'));
  // Those that an older page wrote have no number: they are the oldest, in the order of their ids.
  return found.sort((a, b) => numberOf(a) - numberOf(b));
}
