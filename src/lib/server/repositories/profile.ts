import { eq } from 'drizzle-orm';
import { DEFAULT_PROFILE, type Profile } from '../../words/profile.ts';
import type { Reader } from '../db.ts';
import { profile } from '../schema.ts';

/** The id of the one profile. */
export const PROFILE_ID = 'bench';

export async function readProfile(db: Reader): Promise<Profile> {
  const rows = await db.select().from(profile).where(eq(profile.id, PROFILE_ID));
  return { ...DEFAULT_PROFILE, ...rows[0]?.settings, chosen: rows.length > 0 };
}
