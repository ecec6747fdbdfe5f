import { hash, verify } from '@node-rs/argon2';
import { and, asc, desc, eq, gt, isNotNull, isNull, ne, sql } from 'drizzle-orm';
import { ulid } from 'ulid';
import { z } from 'zod';
import { unseenIn } from '../contract/unseen.ts';
import { ROLES, type InviteRecord, type PersonRecord, type Role } from '../contract/records/person.ts';
import { t } from '../words/index.ts';
import { refusals } from '../words/refusals.ts';
import type { Reader, Store, Tx } from './db.ts';
import { digestOf } from './digest.ts';
import type { Guesses } from './door.ts';
import { writeEvent } from './events.ts';
import { announce } from './live.ts';
import { looksLike, nameKey } from './names.ts';
import { beside, CommandProblem, found } from './problem.ts';
import { invite, person, session } from './schema.ts';
import { codeAsKept, spokenCode } from './spoken-code.ts';

const DAY_MS = 86_400_000;
/** No more of a passphrase is measured, letters: a long one takes long. */
const TRIED_MOST = 1000;
/** An invitation is good for so long, ms. */
const INVITE_MS = 7 * DAY_MS;

/** What somebody is called, and what they come in by. */
export const newPerson = z.object({
  name: z
    .string()
    .trim()
    .min(1, refusals.people.giveName)
    .max(40, refusals.jars.keepUnder40Letters)
    .refine((name) => !unseenIn(name), refusals.sentences.control),
  passphrase: z.string().min(8, refusals.people.eightLetters).max(200, refusals.people.tooLong)
});
export const role = z.enum(ROLES, { error: refusals.people.chooseRole });

/** How many people come in by themselves: with none, the bench has no roles. */
export async function peopleThere(db: Reader): Promise<number> {
  const [{ n }] = await db
    .select({ n: sql<number>`count(*)` })
    .from(person)
    .where(and(isNull(person.endedAt), isNotNull(person.digest)));
  return n;
}

/** Everybody who is or was on the bench, those of today first. */
export async function allPeople(db: Reader): Promise<PersonRecord[]> {
  const rows = await db.select().from(person).orderBy(asc(person.endedAt), asc(person.name));
  return rows.map(({ digest, ...one }) => ({ ...one, comesIn: digest !== null && one.endedAt === null }));
}

/** Invitations that nobody has used and that are still good. */
export async function openInvites(db: Reader, now: number): Promise<InviteRecord[]> {
  const rows = await db
    .select()
    .from(invite)
    .where(and(isNull(invite.usedAt), gt(invite.expiresAt, now)))
    .orderBy(desc(invite.createdAt));
  return rows.map(({ usedAt: _, ...one }) => one);
}

const newCode = () => spokenCode(12).replace(/(.{4})(?=.)/g, '$1-');
/** A code as somebody types it, in the form of which a digest is kept. */
const inviteId = (code: string) => digestOf(codeAsKept(code));

type By = { who: string; now: number };

/** Writes that something was done with people: who did it, and to whom. */
async function noted(
  store: Store,
  what: string,
  by: By,
  detail: Record<string, string>,
  work: Parameters<Store['write']>[0]
): Promise<void> {
  await store.write(async (tx) => {
    await work(tx);
    const head = { id: ulid(), at: by.now, receivedAt: by.now, who: by.who, what };
    await writeEvent(tx, head, { testId: null, detail, changes: [] });
  });
  announce({ what, testId: null });
}

/** Whoever is called so, now or once. There are few: names are compared here, for the database knows no capitals but those of English. */
async function personByName(db: Reader, name: string) {
  const all = await db.select().from(person);
  return all.find((one) => nameKey(one.name) === nameKey(name));
}

/** Refuses a name that somebody comes in by, or that people would take for one of somebody who is or was here. */
async function requireFreeName(db: Reader, name: string): Promise<void> {
  const all = await db.select().from(person);
  const there = all.find((one) => nameKey(one.name) === nameKey(name));
  if (there && there.digest !== null) throw beside('name', refusals.people.nameTaken, 409);
  // Whoever was here by that very name comes back.
  if (!there && all.some((one) => looksLike(one.name, name)))
    throw beside('name', refusals.people.nameAlike, 409);
}

/** Puts somebody on the bench; whoever was on it by that name and has no passphrase any more comes back. */
async function join(
  store: Store,
  given: z.output<typeof newPerson>,
  as: Role,
  by: By,
  code?: string
): Promise<string> {
  await requireFreeName(store.db, given.name);
  const digest = await hash(given.passphrase);
  const id = ulid();
  let joined = id;
  await noted(
    store,
    'person.join',
    { ...by, who: given.name },
    { name: given.name, role: as },
    async (tx) => {
      await requireFreeName(tx, given.name);
      if (code !== undefined) {
        const used = await tx
          .update(invite)
          .set({ usedAt: by.now })
          .where(and(eq(invite.id, inviteId(code)), isNull(invite.usedAt), gt(invite.expiresAt, by.now)))
          .returning({ id: invite.id });
        if (used.length === 0) throw beside('code', refusals.people.noSuchCode, 404);
      } else if ((await peopleThere(tx)) > 0) throw new CommandProblem(refusals.people.notFirst, {}, 409);
      const before = await personByName(tx, given.name);
      if (before) {
        joined = before.id;
        await tx.update(person).set({ digest, role: as, endedAt: null }).where(eq(person.id, before.id));
      } else
        await tx
          .insert(person)
          .values({ id, name: given.name, role: as, digest, createdAt: by.now, endedAt: null });
    }
  );
  return joined;
}

/** Begins to share a bench: the first person is its keeper. @throws {CommandProblem} where there are people already */
export const firstKeeper = (store: Store, given: z.output<typeof newPerson>, by: By): Promise<string> =>
  join(store, given, 'keeper', by);

/** Makes an invitation. @returns its code, which is shown once and kept nowhere */
export async function invitePerson(store: Store, as: Role, by: By): Promise<string> {
  const code = newCode();
  const row = { role: as, who: by.who, createdAt: by.now, expiresAt: by.now + INVITE_MS, usedAt: null };
  await noted(store, 'person.invite', by, { role: as }, (tx) =>
    tx.insert(invite).values({ id: inviteId(code), ...row })
  );
  return code;
}

/** The role that a code invites to. @throws {CommandProblem} for a code that is none, was used, or is too old */
export async function invitedAs(db: Reader, code: string, now: number): Promise<Role> {
  const [row] = await db
    .select()
    .from(invite)
    .where(eq(invite.id, inviteId(code)));
  if (!row || row.usedAt !== null || row.expiresAt <= now)
    throw beside('code', refusals.people.noSuchCode, 404);
  return row.role;
}

/** Comes in by an invitation. @returns the person @throws {CommandProblem} beside the code, the name or the passphrase */
export async function acceptInvite(
  store: Store,
  code: string,
  given: z.output<typeof newPerson>,
  now: number
): Promise<string> {
  return join(store, given, await invitedAs(store.db, code, now), { who: given.name, now }, code);
}

/** Takes an invitation back. */
export const withdrawInvite = (store: Store, id: string, by: By): Promise<void> =>
  noted(store, 'person.uninvite', by, {}, (tx) => tx.delete(invite).where(eq(invite.id, id)));

/** Refuses to leave a bench without a keeper. */
async function requireOtherKeeper(db: Reader, id: string): Promise<void> {
  const others = await db
    .select({ id: person.id })
    .from(person)
    .where(
      and(eq(person.role, 'keeper'), isNull(person.endedAt), isNotNull(person.digest), ne(person.id, id))
    );
  if (others.length === 0) throw new CommandProblem(refusals.people.lastKeeper, {}, 409);
}

const personById = async (db: Reader, id: string) =>
  found((await db.select().from(person).where(eq(person.id, id)))[0], 'This person');

/** Takes back the invitations of somebody who keeps the bench no more: nobody comes in by them, and least of all they. */
const endInvites = (tx: Tx, name: string) =>
  tx.delete(invite).where(and(eq(invite.who, name), isNull(invite.usedAt)));

/** Gives somebody another role. @throws {CommandProblem} where no keeper would be left */
export async function changeRole(store: Store, id: string, as: Role, by: By): Promise<void> {
  const { name } = await personById(store.db, id);
  await noted(store, 'person.role', by, { name, role: as }, async (tx) => {
    if (as !== 'keeper') {
      await requireOtherKeeper(tx, id);
      await endInvites(tx, name);
    }
    await tx.update(person).set({ role: as }).where(eq(person.id, id));
  });
}

/** Lets somebody in no more: every device of theirs is out at once. @throws {CommandProblem} where no keeper would be left */
export async function endPerson(store: Store, id: string, by: By): Promise<void> {
  const { name } = await personById(store.db, id);
  await noted(store, 'person.end', by, { name }, async (tx) => {
    await requireOtherKeeper(tx, id);
    await tx.update(person).set({ endedAt: by.now, digest: null }).where(eq(person.id, id));
    await tx.delete(session).where(eq(session.personId, id));
    await endInvites(tx, name);
  });
}

/**
 * Takes another passphrase; every other device of the person is out. Guesses at the one of now are limited like those at the door.
 *
 * @throws {CommandProblem} where the one of now is wrong, or was guessed at too often (429)
 */
export async function changePassphrase(
  store: Store,
  id: string,
  given: { now: string; next: string },
  o: By & { sessionId: string; from: string; guesses: Guesses }
): Promise<void> {
  const row = await personById(store.db, id);
  const key = nameKey(row.name);
  const waitS = await o.guesses.count(o.from, key);
  if (waitS !== undefined) throw beside('now', t.enter.wait(waitS), 429);
  if (!row.digest || !(await verify(row.digest, given.now.slice(0, TRIED_MOST))))
    throw beside('now', refusals.people.wrong);
  await o.guesses.right(o.from, key);
  const next = newPerson.shape.passphrase.safeParse(given.next);
  if (!next.success) throw beside('next', next.error.issues[0].message);
  const digest = await hash(next.data);
  await noted(store, 'person.passphrase', o, { name: row.name }, async (tx) => {
    await tx.update(person).set({ digest }).where(eq(person.id, id));
    await tx.delete(session).where(and(eq(session.personId, id), ne(session.id, o.sessionId)));
  });
}

/** What a passphrase of nobody is measured against, so that a name that is there takes as long as one that is not. */
let nobody: Promise<string> | undefined;

/**
 * Tries a name and a passphrase; guesses are limited before anything is looked at.
 *
 * @returns the person; `wrong`; or how long to wait
 */
export async function tryPerson(
  { db }: Pick<Store, 'db'>,
  given: { name: string; passphrase: string },
  from: string,
  guesses: Guesses
): Promise<{ personId: string } | 'wrong' | { waitS: number }> {
  const key = nameKey(given.name);
  const waitS = await guesses.count(from, key);
  if (waitS !== undefined) return { waitS };
  const there = await personByName(db, given.name);
  const digest = there?.digest ?? (await (nobody ??= hash('nobody comes in by this')));
  const right = await verify(digest, given.passphrase.slice(0, TRIED_MOST));
  if (!right || !there?.digest || there.endedAt !== null) return 'wrong';
  await guesses.cameIn(from, key);
  return { personId: there.id };
}
