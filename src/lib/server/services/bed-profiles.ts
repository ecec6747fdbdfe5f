import { desc, eq } from 'drizzle-orm';
import { BED_PROFILES, profileProblems, type JudgeProfile } from '../../core/index.ts';
import { refusals } from '../../words/refusals.ts';
import type { Reader } from '../db.ts';
import { added, changed } from '../events.ts';
import { CommandProblem } from '../problem.ts';
import { offeredBeds } from '../repositories/judgements.ts';
import { bedProfile } from '../schema.ts';
import type { Service } from './service.ts';

/** What the keys of one's own beds begin with. */
const OWN = /^own-[0-9a-hjkmnp-tv-z]{26}$/;

async function latestOf(db: Reader, key: string) {
  return (
    await db.select().from(bedProfile).where(eq(bedProfile.key, key)).orderBy(desc(bedProfile.version))
  )[0];
}

/** Keeps what a bed is judged by: the next version of it. Judgements that were kept hold the version they were made by. */
export const saveBed: Service<'bed.save'> = async ({ db, at }, { bedKey, fromKey, name, windows }) => {
  const ships = BED_PROFILES.find((p) => p.id === bedKey);
  const beds = await offeredBeds(db);
  const from = beds.find((b) => b.profile.id === fromKey);
  if (!from || (!ships && !OWN.test(bedKey)))
    throw new CommandProblem(refusals.judgements.noBed, { bedKey: refusals.judgements.noBed });
  const [problem] = profileProblems({ name, windows });
  if (problem) throw new CommandProblem(problem.message, { [problem.field]: problem.message });
  const same = (b: (typeof beds)[number]) => b.profile.name.toLowerCase() === name.toLowerCase();
  if (beds.some((b) => b.profile.id !== bedKey && same(b)))
    throw new CommandProblem(refusals.judgements.nameTaken, { name: refusals.judgements.nameTaken });
  const version = Math.max(ships?.version ?? 0, (await latestOf(db, bedKey))?.version ?? 0) + 1;
  const definition: JudgeProfile = { id: bedKey, version, name, basis: from.profile.basis, windows };
  const id = `${bedKey}@${version}`;
  return {
    testId: null,
    detail: { name, version },
    changes: [added('bedProfile', { id, key: bedKey, version, definition, retiredAt: null, createdAt: at })]
  };
};

/** Puts a bed that ships back as it was, or takes one's own off the list. */
export const retireBed: Service<'bed.retire'> = async ({ db, at }, { bedKey }) => {
  const rows = await db.select().from(bedProfile).where(eq(bedProfile.key, bedKey));
  const inForce = rows.filter((row) => row.retiredAt === null);
  if (inForce.length === 0) throw new CommandProblem(refusals.judgements.shipsStays, {}, 409);
  return {
    testId: null,
    detail: { name: inForce.at(-1)?.definition?.name ?? bedKey },
    changes: inForce.map((row) => changed('bedProfile', row, { retiredAt: at }))
  };
};
