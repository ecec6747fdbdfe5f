import { asc, eq } from 'drizzle-orm';
import { among } from '../among.ts';
import { alongAxis, middleOf } from '../../core/index.ts';
import type { AreaRecord, SiteDetail, SiteRecord } from '../../contract/records/ground.ts';
import type { Reader } from '../db.ts';
import { area, sample, site, spot } from '../schema.ts';

/** Sites, the newest first. */
export async function allSites(db: Reader): Promise<SiteRecord[]> {
  return (await db.select().from(site).orderBy(asc(site.createdAt))).reverse();
}

/** Every area of every site, by name. */
export async function allAreas(db: Reader): Promise<AreaRecord[]> {
  return db.select().from(area).orderBy(asc(area.name));
}

/** A site with its areas, their spots and samples. */
export async function siteDetail(db: Reader, id: string): Promise<SiteDetail | undefined> {
  const [row] = await db.select().from(site).where(eq(site.id, id));
  if (!row) return undefined;
  const areas = await db.select().from(area).where(eq(area.siteId, id)).orderBy(asc(area.createdAt));
  const ids = areas.map((a) => a.id);
  if (ids.length === 0) return { ...row, areas: [] };
  const spots = await db.select().from(spot).where(among(spot.areaId, ids)).orderBy(asc(spot.no));
  const samples = await db
    .select({ id: sample.id, code: sample.code, name: sample.name, areaId: sample.areaId })
    .from(sample)
    .where(among(sample.areaId, ids))
    .orderBy(asc(sample.createdAt));
  return {
    ...row,
    areas: areas.map((a) => ({
      ...a,
      spots: spots.filter((s) => s.areaId === a.id),
      samples: samples.filter((s) => s.areaId === a.id).map(({ areaId: _, ...s }) => s)
    }))
  };
}

/** The site that an area lies on. */
export async function siteOfArea(db: Reader, areaId: string): Promise<SiteDetail | undefined> {
  const [row] = await db.select({ siteId: area.siteId }).from(area).where(eq(area.id, areaId));
  return row && siteDetail(db, row.siteId);
}

/**
 * Where the samples of an area were dug, along its long axis: the middle of their spots, m from its end further west. Samples
 * without a spot are left out.
 */
export async function samplesAlong(db: Reader, areaId: string): Promise<{ sampleId: string; atM: number }[]> {
  const [ground] = await db.select().from(area).where(eq(area.id, areaId));
  if (!ground) return [];
  const spots = new Map(
    (await db.select().from(spot).where(eq(spot.areaId, areaId))).map((s) => [s.id, [s.x, s.y] as const])
  );
  const dug = (await db.select().from(sample).where(eq(sample.areaId, areaId))).flatMap(({ id, spotIds }) => {
    const places = spotIds.flatMap((spotId) => {
      const place = spots.get(spotId);
      return place ? [place] : [];
    });
    return places.length > 0 ? [{ sampleId: id, place: middleOf(places) }] : [];
  });
  const along = alongAxis(
    ground.outline,
    dug.map((d) => d.place)
  );
  // To the decimetre: nobody digs more finely.
  return dug.map(({ sampleId }, i) => ({ sampleId, atM: Math.round(10 * along[i]) / 10 }));
}
