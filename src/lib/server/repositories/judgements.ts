import { and, asc, desc, eq, isNull } from 'drizzle-orm';
import { BED_PROFILES, profileProblems, type JudgeProfile } from '../../core/index.ts';
import type { JudgementRecord } from '../../contract/records/judgement.ts';
import { refusals } from '../../words/refusals.ts';
import type { Reader } from '../db.ts';
import { bedProfile, judgement, sample, test } from '../schema.ts';
import { readableRows } from './rows.ts';

/** A bed as it is offered: by the profile in force, and whether it is as it ships. */
export type OfferedBed = { profile: JudgeProfile; own: boolean; changed: boolean };

/** Beds on offer: those that ship, as they were changed, then one's own, the newest last. */
export async function offeredBeds(db: Reader): Promise<OfferedBed[]> {
  const rows = await db.select().from(bedProfile).orderBy(asc(bedProfile.createdAt), asc(bedProfile.version));
  const latest = new Map<string, JudgeProfile>();
  for (const { key, definition, retiredAt } of rows) {
    // What cannot be judged by, as a row of another version, is passed over.
    if (retiredAt !== null || !definition || profileProblems(definition).length > 0) continue;
    if (definition.version >= (latest.get(key)?.version ?? 0)) latest.set(key, definition);
  }
  const ships = new Set(BED_PROFILES.map((p) => p.id));
  return [
    ...BED_PROFILES.map((p) => ({ profile: latest.get(p.id) ?? p, own: false, changed: latest.has(p.id) })),
    ...[...latest].flatMap(([key, profile]) =>
      ships.has(key) ? [] : [{ profile, own: true, changed: false }]
    )
  ];
}

/** The same, as what is judged by. */
export const bedProfiles = async (db: Reader): Promise<JudgeProfile[]> =>
  (await offeredBeds(db)).map((b) => b.profile);

/** Judgements on record, the newest first; those of a test, one by itself, or all. What cannot be read is left out. */
export async function judgementsOf(
  db: Reader,
  which: { testId?: string; id?: string; most?: number } = {}
): Promise<JudgementRecord[]> {
  const rows = await db
    .select({ own: judgement, code: test.code, sampleName: sample.name, areaId: sample.areaId })
    .from(judgement)
    .leftJoin(test, eq(judgement.testId, test.id))
    .leftJoin(sample, eq(test.sampleId, sample.id))
    .where(
      and(
        isNull(test.binnedAt),
        which.testId === undefined ? undefined : eq(judgement.testId, which.testId),
        which.id === undefined ? undefined : eq(judgement.id, which.id)
      )
    )
    .orderBy(desc(judgement.createdAt))
    .limit(which.most ?? -1);
  return readableRows(
    rows,
    ({ own }) => own.id,
    ({ own, code, sampleName, areaId }): JudgementRecord => {
      if (!own.kept) throw new Error(refusals.judgements.unreadable);
      return { ...own, kept: own.kept, code, sampleName, areaId };
    }
  ).shown;
}
