import { asc, eq } from 'drizzle-orm';
import { figuresOf, type Figures } from '../../core/index.ts';
import { PROFILES, type Offered, type ProfileKind, type ProfileOf } from '../../workbench/profiles.ts';
import type { Reader } from '../db.ts';
import { judgingProfile } from '../schema.ts';

/** What is on offer of a kind: what ships, as it was changed, then one's own, the newest last. */
export async function offeredProfiles<K extends ProfileKind>(db: Reader, kind: K): Promise<Offered<K>[]> {
  const { ships, problems, is } = PROFILES[kind];
  const rows = await db
    .select()
    .from(judgingProfile)
    .where(eq(judgingProfile.kind, kind))
    .orderBy(asc(judgingProfile.createdAt), asc(judgingProfile.version));
  const latest = new Map<string, ProfileOf[K]>();
  for (const { key, definition, retiredAt } of rows) {
    // What cannot be judged by, as a row of another version, is passed over.
    if (retiredAt !== null || !definition || !is(definition)) continue;
    const profile = definition as ProfileOf[K];
    if (problems(profile).length > 0) continue;
    if (profile.version >= (latest.get(key)?.version ?? 0)) latest.set(key, profile);
  }
  const shipped = new Set(ships.map((p) => p.id));
  return [
    ...ships.map((p) => ({ profile: latest.get(p.id) ?? p, own: false, changed: latest.has(p.id) })),
    ...[...latest].flatMap(([key, profile]) =>
      shipped.has(key) ? [] : [{ profile, own: true, changed: false }]
    )
  ];
}

/** The same, as what is judged by. */
export const profilesOf = async <K extends ProfileKind>(db: Reader, kind: K): Promise<ProfileOf[K][]> =>
  (await offeredProfiles(db, kind)).map((o) => o.profile);

/** The figures that are counted with where nobody chose others. */
export async function usualFigures(db: Reader): Promise<Figures> {
  const [usual] = await profilesOf(db, 'figures');
  return figuresOf(usual);
}
