import { and, asc, eq } from 'drizzle-orm';
import { among } from '../among.ts';
import { isInside, suggestSpots, type Point } from '../../core/index.ts';
import { refusals } from '../../words/refusals.ts';
import type { Reader } from '../db.ts';
import { isNeeded } from '../depends.ts';
import { added, changed, removed } from '../events.ts';
import { CommandProblem, found, ranged } from '../problem.ts';
import { area, hole, photo, sample, spot, type RowChange } from '../schema.ts';
import type { Service, Services } from './service.ts';

type AreaRow = typeof area.$inferSelect;
type SpotRow = typeof spot.$inferSelect;

/** An area by its id. */
export async function areaRow(db: Reader, id: string): Promise<AreaRow> {
  return found((await db.select().from(area).where(eq(area.id, id)))[0], 'This area');
}

async function spotRow(db: Reader, id: string): Promise<SpotRow> {
  return found((await db.select().from(spot).where(eq(spot.id, id)))[0], 'This spot');
}

/** Spots of areas, in the order of their walk. */
export function spotsOf(db: Reader, areaIds: string[]): Promise<SpotRow[]> {
  return db.select().from(spot).where(among(spot.areaId, areaIds)).orderBy(asc(spot.no));
}

/** Photos go with their spots. */
export async function photosOf(db: Reader, spots: SpotRow[]): Promise<RowChange[]> {
  if (spots.length === 0) return [];
  const ids = spots.map((s) => s.id);
  const rows = await db
    .select()
    .from(photo)
    .where(and(eq(photo.subject, 'spot'), among(photo.subjectId, ids)));
  return rows.map((row) => removed('photo', row));
}

/** A spot where nothing was taken yet. */
export function newSpot(id: string, areaId: string, no: number, [x, y]: Point): SpotRow {
  return { id, areaId, no, x, y, takenAt: null, depthFrom: null, depthTo: null, note: '' };
}

/** Suggests spots; those taken stay, the others make room. */
const putSuggestedSpots: Service<'spots.suggest'> = async ({ db }, { areaId, seed, spotIds }) => {
  const row = await areaRow(db, areaId);
  const used = await db.select({ id: spot.id }).from(spot).where(among(spot.id, spotIds));
  if (used.length > 0 || new Set(spotIds).size < spotIds.length)
    throw new CommandProblem(refusals.database.idInUse, {}, 409);
  const there = await spotsOf(db, [areaId]);
  const [taken, free]: [SpotRow[], SpotRow[]] = [[], []];
  for (const s of there) {
    // One that a hole was dug at, or that a sample is mixed of, stays, as one does where soil was taken.
    const going = [{ table: 'spot' as const, id: s.id }, ...(await photosOf(db, [s]))];
    (s.takenAt !== null || (await isNeeded(db, going)) ? taken : free).push(s);
  }
  const places = ranged(() => suggestSpots({ outline: row.outline, count: spotIds.length, seed }));
  const last = Math.max(0, ...taken.map((s) => s.no));
  return {
    testId: null,
    detail: { code: row.code, spots: places.length },
    changes: [
      ...(await photosOf(db, free)),
      ...free.map((s) => removed('spot', s)),
      ...places.map((p, i) => added('spot', newSpot(spotIds[i], areaId, last + i + 1, p)))
    ]
  };
};

function requireInside(row: AreaRow, place: Point): void {
  if (isInside(row.outline, place)) return;
  const message = refusals.ground.spotOutside(row.name);
  throw new CommandProblem(message, { place: message });
}

const addSpot: Service<'spot.add'> = async ({ db }, { spotId, areaId, place }) => {
  const row = await areaRow(db, areaId);
  requireInside(row, place);
  const no = Math.max(0, ...(await spotsOf(db, [areaId])).map((s) => s.no)) + 1;
  return {
    testId: null,
    detail: { code: row.code, spot: no },
    changes: [added('spot', newSpot(spotId, areaId, no, place))]
  };
};

const moveSpot: Service<'spot.move'> = async ({ db }, { spotId, place }) => {
  const row = await spotRow(db, spotId);
  const ground = await areaRow(db, row.areaId);
  requireInside(ground, place);
  return {
    testId: null,
    detail: { code: ground.code, spot: row.no },
    changes: [changed('spot', row, { x: place[0], y: place[1] })]
  };
};

/** What was done at a spot: soil taken or not, from which depth, and what was seen. */
const takeSpot: Service<'spot.take'> = async ({ db, at }, { spotId, taken, ...words }) => {
  const row = await spotRow(db, spotId);
  const ground = await areaRow(db, row.areaId);
  const takenAt = taken ? (row.takenAt ?? at) : null;
  return {
    testId: null,
    detail: { code: ground.code, spot: row.no, taken: taken ? 'yes' : 'no' },
    changes: [changed('spot', row, { takenAt, ...words })]
  };
};

const removeSpot: Service<'spot.remove'> = async ({ db }, { spotId }) => {
  const row = await spotRow(db, spotId);
  const ground = await areaRow(db, row.areaId);
  const samples = await db.select().from(sample).where(eq(sample.areaId, row.areaId));
  const holder = samples.find((s) => s.spotIds.includes(spotId));
  if (holder) {
    throw new CommandProblem(refusals.ground.spotInSample(holder.code), {}, 409);
  }
  const [dug] = await db.select({ code: hole.code }).from(hole).where(eq(hole.spotId, spotId));
  if (dug) throw new CommandProblem(refusals.beds.spotHasHole(dug.code), {}, 409);
  return {
    testId: null,
    detail: { code: ground.code, spot: row.no },
    changes: [...(await photosOf(db, [row])), removed('spot', row)]
  };
};

export const spotServices = {
  'spots.suggest': putSuggestedSpots,
  'spot.add': addSpot,
  'spot.move': moveSpot,
  'spot.take': takeSpot,
  'spot.remove': removeSpot
} satisfies Partial<Services>;
