import { randomBytes } from 'node:crypto';
import { and, desc, eq, lt, ne, or } from 'drizzle-orm';
import type { Role, SessionRecord } from '../contract/records/person.ts';
import type { Store } from './db.ts';
import { digestOf } from './digest.ts';
import type { Door } from './door.ts';
import { person, session } from './schema.ts';

const DAY_MS = 86_400_000;
/** A session ends after so long, and after so long in which nobody was seen, ms. */
export const SESSION = { mostMs: 180 * DAY_MS, idleMs: 30 * DAY_MS };
/** That somebody was seen is written down no oftener than this, ms. */
const SEEN_EACH_MS = 3_600_000;

const doorOf = async (door: Door | undefined) => (door ? await door.fingerprint() : '');

/** Who comes in: by the passphrase of the bench, or as a person of it. */
type Comes = { door: Door } | { personId: string };

/** Lets a device in. @returns its cookie: random, and kept nowhere but there */
export async function openSession(store: Store, comes: Comes, device: string, now: number): Promise<string> {
  const cookie = randomBytes(32).toString('base64url');
  const by = 'door' in comes ? await doorOf(comes.door) : '';
  await store.write(async (tx) => {
    // Those that have ended go with it.
    await tx
      .delete(session)
      .where(
        or(
          ...('door' in comes ? [and(ne(session.door, by), ne(session.door, ''))] : []),
          lt(session.createdAt, now - SESSION.mostMs),
          lt(session.seenAt, now - SESSION.idleMs)
        )
      );
    const personId = 'personId' in comes ? comes.personId : null;
    await tx
      .insert(session)
      .values({ id: digestOf(cookie), door: by, personId, device, createdAt: now, seenAt: now });
  });
  return cookie;
}

/** Who a device is that is in: a person, or whoever knows the passphrase of the bench. */
export type Entered = { sessionId: string; person: { id: string; name: string; role: Role } | null };

/**
 * Who a cookie is of: not signed out, of a person who still comes in or by the passphrase of now, and not too long ago.
 *
 * @returns undefined for nobody
 */
export async function enteredBy(
  store: Store,
  door: Door | undefined,
  cookie: string,
  now: number
): Promise<Entered | undefined> {
  if (cookie === '') return undefined;
  const id = digestOf(cookie);
  const [row] = await store.db
    .select()
    .from(session)
    .leftJoin(person, eq(person.id, session.personId))
    .where(eq(session.id, id));
  if (!row) return undefined;
  const { session: own, person: who } = row;
  if (now - own.createdAt > SESSION.mostMs || now - own.seenAt > SESSION.idleMs) return undefined;
  if (own.personId === null && (!door || own.door !== (await doorOf(door)))) return undefined;
  if (own.personId !== null && (who?.endedAt !== null || who.digest === null)) return undefined;
  if (now - own.seenAt > SEEN_EACH_MS)
    await store.write(async (tx) => {
      await tx.update(session).set({ seenAt: now }).where(eq(session.id, id));
    });
  return { sessionId: id, person: who && { id: who.id, name: who.name, role: who.role } };
}

/** Devices that are in, the last seen first. @param of a person's own; all where it is left out */
export async function sessionsOf(
  { db }: Pick<Store, 'db'>,
  ownId: string | undefined,
  of?: string
): Promise<SessionRecord[]> {
  const rows = await db
    .select({ session, name: person.name })
    .from(session)
    .leftJoin(person, eq(person.id, session.personId))
    .where(of === undefined ? undefined : eq(session.personId, of))
    .orderBy(desc(session.seenAt));
  return rows.map(({ session: { id, personId, device, createdAt, seenAt }, name }) => ({
    id,
    personId,
    name,
    device,
    createdAt,
    seenAt,
    own: id === ownId
  }));
}

/** Ends the session of a device, by its cookie. */
export const endSession = (store: Store, cookie: string): Promise<void> =>
  endSessionById(store, digestOf(cookie));

/** Ends a session by its id. @param of only where it is this person's; whoever's where it is left out */
export async function endSessionById(store: Store, id: string, of?: string): Promise<void> {
  await store.write(async (tx) => {
    await tx
      .delete(session)
      .where(and(eq(session.id, id), of === undefined ? undefined : eq(session.personId, of)));
  });
}
