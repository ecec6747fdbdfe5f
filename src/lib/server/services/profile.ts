import { eq } from 'drizzle-orm';
import { DEFAULT_PROFILE } from '../../words/profile.ts';
import { added, changed } from '../events.ts';
import { PROFILE_ID } from '../repositories/profile.ts';
import { profile } from '../schema.ts';
import type { Service, Services } from './service.ts';

const setProfile: Service<'profile.set'> = async ({ db }, p) => {
  const [row] = await db.select().from(profile).where(eq(profile.id, PROFILE_ID));
  const settings = { ...DEFAULT_PROFILE, ...row?.settings, ...p };
  return {
    testId: null,
    detail: { fields: Object.keys(p).join(', ') },
    changes: [row ? changed('profile', row, { settings }) : added('profile', { id: PROFILE_ID, settings })]
  };
};

export const profileServices = {
  'profile.set': setProfile
} satisfies Partial<Services>;
