import { desc, eq } from 'drizzle-orm';
import {
  BED_PROFILES,
  BORE_LINE,
  judgeBore,
  ORGANIC_UNKNOWN,
  profileProblems,
  type JudgeProfile
} from '../../core/index.ts';
import type { Payload } from '../../contract/commands.ts';
import type { KeptVerdict } from '../../contract/records/judgement.ts';
import { judgedBed, soilForBore, soilOf, soilTyped, type SoilInHand } from '../../workbench/act.ts';
import { groundOf } from '../../workbench/holes.ts';
import { refusals } from '../../words/refusals.ts';
import type { Reader } from '../db.ts';
import { added, changed, removed } from '../events.ts';
import { keptTest } from '../kept.ts';
import { CommandProblem, found } from '../problem.ts';
import { holesOf } from '../repositories/holes.ts';
import { offeredBeds } from '../repositories/judgements.ts';
import { area, bedProfile, judgement, reminder } from '../schema.ts';
import type { Service } from './service.ts';

/** The soil that a judgement is of, and the area it is from. */
async function soilFor(
  db: Reader,
  { testId, typed, ask }: Payload<'judgement.keep'>
): Promise<{ soil: SoilInHand; areaId: string | null; code: string | null }> {
  if (typed) {
    const sum = typed.sand + typed.silt + typed.clay;
    if (Math.abs(sum - 100) > 1) {
      const message = refusals.samples.reportNotHundred;
      throw new CommandProblem(message, { typed: message });
    }
    return { soil: soilTyped(typed), areaId: null, code: null };
  }
  const one = await keptTest(db, testId);
  if (!one)
    throw new CommandProblem(refusals.judgements.notFinished, { testId: refusals.judgements.notFinished });
  const soil = ask === 'bore' ? soilForBore(one.kept.snapshot) : soilOf(one.kept.snapshot);
  if (!soil) throw new CommandProblem(refusals.judgements.noSoil, { testId: refusals.judgements.noSoil });
  return { soil, areaId: one.detail.sample.areaId, code: one.detail.code };
}

/** Keeps a judgement as it stands now: what changes later, of the soil or of the profile, leaves it as it is. */
export const keepJudgement: Service<'judgement.keep'> = async ({ db, at, now }, p) => {
  const { soil, areaId, code } = await soilFor(db, p);
  const { fractions, basis, onlySand } = soil;
  const head = { soil: fractions, basis, ...(onlySand ? { onlySand } : {}) };
  let kept: KeptVerdict;
  if (p.ask === 'bore') {
    const line = p.linePct ?? BORE_LINE;
    const { holds: _, ...verdict } = judgeBore(soil, line);
    kept = { ...head, ask: 'bore', line, verdict };
  } else {
    const bed = (await offeredBeds(db)).find((b) => b.profile.id === p.bedKey);
    if (!bed) throw new CommandProblem(refusals.judgements.noBed, { bedKey: refusals.judgements.noBed });
    const ground = (areaId ? groundOf((await holesOf(db, { areaId })).holes, now) : undefined) ?? null;
    const organic = p.organicPct === null ? ORGANIC_UNKNOWN : { pct: p.organicPct, sd: 0 };
    const { holds: _, ...judged } = judgedBed(soil, { profile: bed.profile, organic, ground });
    kept = { ...head, ask: 'bed', organic, ground, ...judged };
  }
  const row = { id: p.judgementId, testId: p.testId, query: p.query, kept, createdAt: at };
  return { testId: p.testId, detail: { code, ask: p.ask }, changes: [added('judgement', row)] };
};

export const removeJudgement: Service<'judgement.remove'> = async ({ db }, { judgementId }) => {
  const [row] = await db.select().from(judgement).where(eq(judgement.id, judgementId));
  const gone = found(row, 'This judgement');
  return { testId: gone.testId, changes: [removed('judgement', gone)] };
};

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

export const addReminder: Service<'reminder.add'> = async ({ db, at }, { reminderId, ...fields }) => {
  if (fields.areaId !== null)
    found((await db.select().from(area).where(eq(area.id, fields.areaId)))[0], 'This area');
  if (fields.dueAt <= at)
    throw new CommandProblem(refusals.judgements.dayGone, { dueAt: refusals.judgements.dayGone });
  return {
    testId: null,
    detail: { name: fields.name },
    changes: [added('reminder', { id: reminderId, ...fields, endedAt: null, createdAt: at })]
  };
};

async function openReminder(db: Reader, id: string) {
  const [row] = await db.select().from(reminder).where(eq(reminder.id, id));
  return found(row?.endedAt === null ? row : undefined, 'This reminder');
}

/** It is done: the next time comes after its interval, from when it was done; what is once is over. */
export const doneReminder: Service<'reminder.done'> = async ({ db, at }, { reminderId }) => {
  const row = await openReminder(db, reminderId);
  const next = row.everyMs === null ? { endedAt: at } : { dueAt: at + row.everyMs };
  return { testId: null, detail: { name: row.name }, changes: [changed('reminder', row, next)] };
};

export const endReminder: Service<'reminder.end'> = async ({ db, at }, { reminderId }) => {
  const row = await openReminder(db, reminderId);
  return { testId: null, detail: { name: row.name }, changes: [changed('reminder', row, { endedAt: at })] };
};
