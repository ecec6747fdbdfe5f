import { createHash, randomBytes } from 'node:crypto';
import { eq, lt, ne, or } from 'drizzle-orm';
import type { Store } from './db.ts';
import type { Door } from './door.ts';
import { session } from './schema.ts';

const DAY_MS = 86_400_000;
/** A session ends after so long, and after so long in which nobody was seen, ms. */
export const SESSION = { mostMs: 180 * DAY_MS, idleMs: 30 * DAY_MS };
/** That somebody was seen is written down no oftener than this, ms. */
const SEEN_EACH_MS = 3_600_000;

const digestOf = (cookie: string): string => createHash('sha256').update(cookie).digest('base64url');

/** Lets a device in. @returns its cookie: random, and kept nowhere but there */
export async function openSession(store: Store, door: Door, now: number): Promise<string> {
  const cookie = randomBytes(32).toString('base64url');
  const by = await door.fingerprint();
  await store.write(async (tx) => {
    // Those that have ended go with it.
    await tx
      .delete(session)
      .where(
        or(
          ne(session.door, by),
          lt(session.createdAt, now - SESSION.mostMs),
          lt(session.seenAt, now - SESSION.idleMs)
        )
      );
    await tx.insert(session).values({ id: digestOf(cookie), door: by, createdAt: now, seenAt: now });
  });
  return cookie;
}

/** Whether a cookie is that of a device that is in: not signed out, by the passphrase of now, and not too long ago. */
export async function isIn(store: Store, door: Door, cookie: string, now: number): Promise<boolean> {
  if (cookie === '') return false;
  const id = digestOf(cookie);
  const [row] = await store.db.select().from(session).where(eq(session.id, id));
  if (row?.door !== (await door.fingerprint())) return false;
  if (now - row.createdAt > SESSION.mostMs || now - row.seenAt > SESSION.idleMs) return false;
  if (now - row.seenAt > SEEN_EACH_MS)
    await store.write(async (tx) => {
      await tx.update(session).set({ seenAt: now }).where(eq(session.id, id));
    });
  return true;
}

/** Ends the session of a device. */
export async function endSession(store: Store, cookie: string): Promise<void> {
  await store.write(async (tx) => {
    await tx.delete(session).where(eq(session.id, digestOf(cookie)));
  });
}
