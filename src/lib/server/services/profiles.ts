import { and, desc, eq } from 'drizzle-orm';
import { PROFILES, type ProfileKind, type ProfileOf } from '../../workbench/profiles.ts';
import { refusals } from '../../words/refusals.ts';
import type { Reader } from '../db.ts';
import { added, changed, type Change } from '../events.ts';
import { beside, CommandProblem, requireNone } from '../problem.ts';
import { offeredProfiles } from '../repositories/profiles.ts';
import { judgingProfile } from '../schema.ts';
import type { Call, Service, Services } from './service.ts';

/** What the keys of one's own begin with. */
const OWN = /^own-[0-9a-hjkmnp-tv-z]{26}$/;

const rowsOf = (db: Reader, kind: ProfileKind, key: string) =>
  db
    .select()
    .from(judgingProfile)
    .where(and(eq(judgingProfile.kind, kind), eq(judgingProfile.key, key)))
    .orderBy(desc(judgingProfile.version));

/** Keeps the next version of what is judged by. Judgements that were kept hold the version they were made by. */
async function save<K extends ProfileKind>(
  { db, at }: Call,
  kind: K,
  names: { key: string; fromKey: string; field: string },
  written: Omit<ProfileOf[K], 'id' | 'version' | 'basis'>
): Promise<Change> {
  const { key, fromKey, field } = names;
  const { ships, problems } = PROFILES[kind];
  const shipped = ships.find((p) => p.id === key);
  const offered = await offeredProfiles(db, kind);
  const from = offered.find((o) => o.profile.id === fromKey);
  if (!from || (!shipped && !OWN.test(key))) throw beside(field, refusals.judgements.noProfile);
  const [latest] = await rowsOf(db, kind, key);
  const version = Math.max(shipped?.version ?? 0, latest?.version ?? 0) + 1;
  // What is not written, as its basis, is that of what it was copied from.
  const definition = { ...from.profile, ...written, id: key, version } as ProfileOf[K];
  requireNone(problems(definition));
  const { name } = definition;
  if (offered.some(({ profile }) => profile.id !== key && profile.name.toLowerCase() === name.toLowerCase()))
    throw beside('name', refusals.judgements.nameTaken);
  const id = `${kind}:${key}@${version}`;
  return {
    testId: null,
    detail: { name, version },
    changes: [added('judgingProfile', { id, kind, key, version, definition, retiredAt: null, createdAt: at })]
  };
}

/** Puts what ships back as it was, or takes one's own off the list. */
async function retire({ db, at }: Call, kind: ProfileKind, key: string): Promise<Change> {
  const inForce = (await rowsOf(db, kind, key)).filter((row) => row.retiredAt === null);
  if (inForce.length === 0) throw new CommandProblem(refusals.judgements.shipsStays, {}, 409);
  return {
    testId: null,
    detail: { name: inForce[0].definition?.name ?? key },
    changes: inForce.map((row) => changed('judgingProfile', row, { retiredAt: at }))
  };
}

const saveBed: Service<'bed.save'> = (call, { bedKey: key, fromKey, ...written }) =>
  save(call, 'bed', { key, fromKey, field: 'bedKey' }, written);
const retireBed: Service<'bed.retire'> = (call, { bedKey }) => retire(call, 'bed', bedKey);

const saveTechnique: Service<'technique.save'> = (call, { techniqueKey: key, fromKey, ...written }) =>
  save(call, 'technique', { key, fromKey, field: 'techniqueKey' }, written);
const retireTechnique: Service<'technique.retire'> = (call, { techniqueKey }) =>
  retire(call, 'technique', techniqueKey);

const saveFigures: Service<'figures.save'> = (call, { figuresKey: key, fromKey, ...written }) =>
  save(call, 'figures', { key, fromKey, field: 'figuresKey' }, written);
const retireFigures: Service<'figures.retire'> = (call, { figuresKey }) =>
  retire(call, 'figures', figuresKey);

export const profilesServices = {
  'bed.save': saveBed,
  'bed.retire': retireBed,
  'technique.save': saveTechnique,
  'technique.retire': retireTechnique,
  'figures.save': saveFigures,
  'figures.retire': retireFigures
} satisfies Partial<Services>;
