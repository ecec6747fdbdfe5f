import { asc, eq } from 'drizzle-orm';
import { holeOutcome, holeProblems, known } from '../../core/index.ts';
import type { TypedLength } from '../../contract/records/sample.ts';
import { afterRefillS } from '../../workbench/holes.ts';
import { refusals } from '../../words/refusals.ts';
import type { Reader } from '../db.ts';
import { added, changed, removed } from '../events.ts';
import { beside, CommandProblem, found, ranged, requireNone } from '../problem.ts';
import { area, hole, holeReading, spot } from '../schema.ts';
import type { Service, Services } from './service.ts';

type HoleRow = typeof hole.$inferSelect;
type ReadingRow = typeof holeReading.$inferSelect;

async function holeRow(db: Reader, id: string): Promise<HoleRow> {
  return found((await db.select().from(hole).where(eq(hole.id, id)))[0], 'This hole');
}

/** When it was filled again, of a hole that was. */
const refillOf = ({ refilledAt }: HoleRow): number => known(refilledAt, 'no other hole is let through');

function readingsOf(db: Reader, holeId: string): Promise<ReadingRow[]> {
  return db.select().from(holeReading).where(eq(holeReading.holeId, holeId)).orderBy(asc(holeReading.at));
}

/** Water over the bottom at the refill. */
const filledOf = (row: HoleRow): TypedLength => row.filled ?? row.depth;

function requireHole({ depth, width }: { depth: TypedLength; width: TypedLength }): void {
  requireNone(holeProblems({ depthMm: depth.mm, widthMm: width.mm }));
}

/** Refuses what was seen where it cannot have been: the core judges all readings together. */
function requirePossible(row: HoleRow, readings: readonly ReadingRow[], field: string): void {
  const refilled = { refilledAt: row.refilledAt };
  const seen = [...readings]
    .sort((a, b) => a.at - b.at)
    .map((r) => ({ timeS: afterRefillS(refilled, r.at), seen: r.seen, heightMm: r.height?.mm ?? null }));
  const o = { radiusMm: row.width.mm / 2, filledMm: filledOf(row).mm, readings: seen };
  try {
    ranged(() => holeOutcome(o));
  } catch (problem) {
    if (!(problem instanceof CommandProblem)) throw problem;
    throw beside(field, problem.message);
  }
}

const line = (row: HoleRow, more: Record<string, string | number> = {}) => ({
  testId: null,
  detail: { code: row.code, ...more }
});

const digHole: Service<'hole.dig'> = async ({ db, at }, { holeId, spotId, ...fields }) => {
  const ground = found((await db.select().from(area).where(eq(area.id, fields.areaId)))[0], 'This area');
  requireHole(fields);
  if (spotId !== null) {
    const [place] = await db.select().from(spot).where(eq(spot.id, spotId));
    if (place?.areaId !== ground.id) throw beside('spotId', refusals.samples.spotNotOfArea(ground.name));
  }
  const codes = (await db.select({ code: hole.code }).from(hole)).map((h) => h.code);
  const own = new RegExp(`^${ground.code}h(\\d+)$`);
  const no = Math.max(0, ...codes.map((code) => Number(own.exec(code)?.[1] ?? 0))) + 1;
  const row: HoleRow = {
    id: holeId,
    code: `${ground.code}h${no}`,
    spotId,
    ...fields,
    soakedAt: null,
    refilledAt: null,
    filled: null,
    finishedAt: null,
    createdAt: at
  };
  return { ...line(row), changes: [added('hole', row)] };
};

const editHole: Service<'hole.edit'> = async ({ db }, { holeId, ...fields }) => {
  const row = await holeRow(db, holeId);
  requireHole(fields);
  requirePossible({ ...row, ...fields }, await readingsOf(db, holeId), 'depth');
  return { ...line(row), changes: [changed('hole', row, fields)] };
};

const soakHole: Service<'hole.soak'> = async ({ db, at }, { holeId }) => {
  const row = await holeRow(db, holeId);
  return { ...line(row), changes: [changed('hole', row, { soakedAt: at })] };
};

const refillHole: Service<'hole.refill'> = async ({ db, at }, { holeId, filled }) => {
  const row = await holeRow(db, holeId);
  if (filled && (filled.mm > row.depth.mm || filled.mm <= 0)) throw beside('filled', refusals.holes.overFull);
  if (row.soakedAt !== null && at <= row.soakedAt) throw beside('at', refusals.holes.refilledBeforeSoak);
  return { ...line(row), changes: [changed('hole', row, { refilledAt: at, filled })] };
};

const readHole: Service<'hole.read'> = async ({ db, at, now }, p) => {
  const row = await holeRow(db, p.holeId);
  const refilledAt = refillOf(row);
  const when = p.afterS === null ? at : Math.round(refilledAt + 1000 * p.afterS);
  if (when > now + 1000) throw beside('afterS', refusals.holes.noFuture);
  if (when <= refilledAt) throw beside('afterS', refusals.holes.afterRefill);
  const height = p.seen === 'gone' ? null : p.height;
  if (height && height.mm > filledOf(row).mm) throw beside('height', refusals.holes.overFull);
  const reading: ReadingRow = { id: p.readingId, holeId: row.id, at: when, seen: p.seen, height };
  requirePossible(row, [...(await readingsOf(db, row.id)), reading], height ? 'height' : 'afterS');
  return { ...line(row, { seen: p.seen }), changes: [added('holeReading', reading)] };
};

async function readingIn(db: Reader, holeId: string, readingId: string) {
  const readings = await readingsOf(db, holeId);
  return {
    readings,
    reading: found(
      readings.find((r) => r.id === readingId),
      'This reading'
    )
  };
}

const measureHole: Service<'hole.height'> = async ({ db }, { holeId, readingId, height }) => {
  const row = await holeRow(db, holeId);
  const { readings, reading } = await readingIn(db, holeId, readingId);
  if (reading.seen === 'gone' || height.mm > filledOf(row).mm)
    throw beside('height', refusals.holes.overFull);
  const measured = readings.map((r) => (r.id === readingId ? { ...r, height } : r));
  requirePossible(row, measured, 'height');
  return { ...line(row), changes: [changed('holeReading', reading, { height })] };
};

const unreadHole: Service<'hole.unread'> = async ({ db }, { holeId, readingId }) => {
  const row = await holeRow(db, holeId);
  const { reading } = await readingIn(db, holeId, readingId);
  return { ...line(row), changes: [removed('holeReading', reading)] };
};

const finishHole: Service<'hole.finish'> = async ({ db, at }, { holeId }) => {
  const row = await holeRow(db, holeId);
  const readings = await readingsOf(db, holeId);
  if (readings.length === 0) throw new CommandProblem(refusals.holes.nothingSeen, {}, 409);
  if (readings.some((r) => r.seen === 'height' && r.height === null))
    throw new CommandProblem(refusals.holes.measureFirst, {}, 409);
  return { ...line(row), changes: [changed('hole', row, { finishedAt: at })] };
};

const reopenHole: Service<'hole.reopen'> = async ({ db }, { holeId }) => {
  const row = await holeRow(db, holeId);
  return { ...line(row), changes: [changed('hole', row, { finishedAt: null })] };
};

const removeHole: Service<'hole.remove'> = async ({ db }, { holeId }) => {
  const row = await holeRow(db, holeId);
  const readings = await readingsOf(db, holeId);
  return {
    ...line(row),
    changes: [...readings.map((r) => removed('holeReading', r)), removed('hole', row)]
  };
};

export const holeServices = {
  'hole.dig': digHole,
  'hole.edit': editHole,
  'hole.soak': soakHole,
  'hole.refill': refillHole,
  'hole.read': readHole,
  'hole.height': measureHole,
  'hole.unread': unreadHole,
  'hole.finish': finishHole,
  'hole.reopen': reopenHole,
  'hole.remove': removeHole
} satisfies Partial<Services>;
