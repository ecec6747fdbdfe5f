import { eq } from 'drizzle-orm';
import { checkRibbon, checkVessel, vesselFromProfile } from '../../core/index.ts';
import type { SampleDetails } from '../../contract/records/sample.ts';
import type { Reader } from '../db.ts';
import { added, changed } from '../events.ts';
import { isDayAhead } from '../clock.ts';
import { beside, found, ranged } from '../problem.ts';
import { area, sample, spot, vessel } from '../schema.ts';
import { nextCode } from './codes.ts';
import type { Service, Services } from './service.ts';
import { refusals } from '../../words/refusals.ts';

function requirePast({ takenOn }: SampleDetails, now: number): void {
  if (takenOn && isDayAhead(takenOn, now)) throw beside('details.takenOn', refusals.samples.dayInFuture);
}

/** The area a sample is from, if any; its spots must be that area's, each once. */
async function groundOf(db: Reader, p: { areaId: string | null; spotIds: string[] }) {
  if (p.areaId === null) {
    if (p.spotIds.length > 0) throw beside('spotIds', refusals.samples.sayWhichAreaThese);
    return undefined;
  }
  const [row] = await db.select().from(area).where(eq(area.id, p.areaId));
  if (!row) throw beside('areaId', refusals.samples.areaGone);
  const own = (await db.select({ id: spot.id }).from(spot).where(eq(spot.areaId, p.areaId))).map((s) => s.id);
  if (p.spotIds.some((id) => !own.includes(id))) {
    throw beside('spotIds', refusals.samples.spotNotOfArea(row.name));
  }
  if (new Set(p.spotIds).size < p.spotIds.length) throw beside('spotIds', refusals.samples.spotNamedTwice);
  return row;
}

const addSample: Service<'sample.add'> = async ({ db, at, now }, p) => {
  requirePast(p.details, now);
  const ground = await groundOf(db, p);
  const taken = (await db.select({ code: sample.code }).from(sample)).map((t) => t.code);
  const code = nextCode(p.name, taken, ground?.code);
  const { sampleId: id, ...fields } = p;
  return {
    testId: null,
    detail: { code, name: p.name },
    changes: [added('sample', { id, code, ...fields, createdAt: at })]
  };
};

const mixSample: Service<'sample.mix'> = async ({ db, at }, { sampleId: id, name, mix }) => {
  const taken = (await db.select({ code: sample.code }).from(sample)).map((row) => row.code);
  const code = nextCode(name, taken);
  const fields = { purpose: 'build' as const, note: '', details: { mix }, areaId: null, spotIds: [] };
  return {
    testId: null,
    detail: { code, name },
    changes: [added('sample', { id, code, name, ...fields, createdAt: at })]
  };
};

const editSample: Service<'sample.edit'> = async ({ db, now }, p) => {
  const row = found((await db.select().from(sample).where(eq(sample.id, p.sampleId)))[0], 'This sample');
  requirePast(p.details, now);
  await groundOf(db, p);
  const { sampleId: _, ...fields } = p;
  // What the hand says, and what it was mixed of, is no part of that form.
  const { hand, ribbon, mix } = row.details;
  const details = {
    ...(hand ? { hand } : {}),
    ...(ribbon ? { ribbon } : {}),
    ...(mix ? { mix } : {}),
    ...fields.details
  };
  return {
    testId: null,
    detail: { code: row.code, name: p.name },
    changes: [changed('sample', row, { ...fields, details })]
  };
};

/** What hand and spade say of the ground of a sample. */
const noteHand: Service<'sample.hand'> = async ({ db }, { sampleId, hand, ribbon }) => {
  const row = found((await db.select().from(sample).where(eq(sample.id, sampleId)))[0], 'This sample');
  if (ribbon) ranged(() => checkRibbon(ribbon.mm));
  const { ribbon: pressed, ...rest } = row.details;
  const stays = ribbon === undefined ? pressed : ribbon;
  const details = { ...rest, ...(hand ? { hand } : {}), ...(stays ? { ribbon: stays } : {}) };
  return {
    testId: null,
    detail: { code: row.code },
    changes: [changed('sample', row, { details })]
  };
};

const addVessel: Service<'vessel.add'> = async ({ db, at }, p) => {
  const { vesselId: id, ...measures } = p;
  const shape = ranged(() => {
    if (p.profile) return vesselFromProfile(p.profile, p);
    checkVessel(measures);
    return measures;
  });
  const same = await db.select({ id: vessel.id }).from(vessel).where(eq(vessel.name, p.name));
  if (same.length > 0) {
    throw beside('name', refusals.samples.vesselNameAlreadyThere);
  }
  return {
    testId: null,
    detail: { name: p.name },
    changes: [added('vessel', { id, ...measures, ...shape, createdAt: at })]
  };
};

export const sampleServices = {
  'sample.add': addSample,
  'sample.edit': editSample,
  'sample.hand': noteHand,
  'sample.mix': mixSample,
  'vessel.add': addVessel
} satisfies Partial<Services>;
