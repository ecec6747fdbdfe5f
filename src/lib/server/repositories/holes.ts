import { asc, eq, isNull } from 'drizzle-orm';
import { among } from '../among.ts';
import { HOLE_NOTES, WATER_SEEN, type HoleRecord } from '../../contract/records/hole.ts';
import { refusals } from '../../words/refusals.ts';
import type { Reader } from '../db.ts';
import { area, hole, holeReading, spot } from '../schema.ts';
import { readableRows, type Unreadable } from './rows.ts';

/** Which holes: those on the bench, of one area, one by itself, or all. */
type Which = { bench: true } | { areaId: string } | { id: string } | { all: true };

function wanted(which: Which) {
  if ('bench' in which) return isNull(hole.finishedAt);
  if ('areaId' in which) return eq(hole.areaId, which.areaId);
  return 'id' in which ? eq(hole.id, which.id) : undefined;
}

/** Holes with what was seen in them, the oldest first; those that cannot be read are named. */
export async function holesOf(
  db: Reader,
  which: Which
): Promise<{ holes: HoleRecord[]; unreadable: Unreadable[] }> {
  const rows = await db
    .select()
    .from(hole)
    .innerJoin(area, eq(hole.areaId, area.id))
    .leftJoin(spot, eq(hole.spotId, spot.id))
    .where(wanted(which))
    .orderBy(asc(hole.createdAt));
  if (rows.length === 0) return { holes: [], unreadable: [] };
  const ids = rows.map((row) => row.hole.id);
  const readings = await db
    .select()
    .from(holeReading)
    .where(among(holeReading.holeId, ids))
    .orderBy(asc(holeReading.at));
  const { shown, unreadable } = readableRows(
    rows,
    (row) => row.hole.code,
    ({ hole: own, area: ground, spot: place }): HoleRecord => {
      if (!(own.depth.mm > 0 && own.width.mm > 0)) throw new Error(refusals.holes.noMeasures);
      return {
        ...own,
        filled: own.filled ?? own.depth,
        areaName: ground.name,
        siteId: ground.siteId,
        spotNo: place?.no ?? null,
        notes: own.notes.filter((note) => HOLE_NOTES.includes(note)),
        readings: readings
          .filter((r) => r.holeId === own.id)
          .map(({ holeId: _, ...r }) => ({ ...r, seen: WATER_SEEN.find((s) => s === r.seen) ?? 'still' }))
      };
    }
  );
  return { holes: shown, unreadable };
}
