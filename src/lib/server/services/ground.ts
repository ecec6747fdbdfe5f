import { eq } from 'drizzle-orm';
import { checkEarthPlace, checkOutline, distance, outcomeOf, type Point } from '../../core/index.ts';
import type { Payload } from '../../contract/commands.ts';
import { FURTHEST_M } from '../../contract/commands/values.ts';
import type { Sketch } from '../../contract/records/ground.ts';
import type { Reader } from '../db.ts';
import { added, changed, removed } from '../events.ts';
import { beside, CommandProblem, found, ranged } from '../problem.ts';
import { amendment, area, hole, photoFile, reminder, sample, site, type RowChange } from '../schema.ts';
import { nextAreaCode } from './codes.ts';
import type { Service, Services } from './service.ts';
import { areaRow, newSpot, photosOf, spotsOf } from './spots.ts';
import { refusals } from '../../words/refusals.ts';

/** Squared paper, one metre a square. */
const BARE: Sketch = { backdrop: null, scaled: true, earth: null };
/** Width that a picture is taken to show until it is scaled, m. */
const UNSCALED_WIDTH_M = 40;
/** Two points nearer than this on the paper give no scale, m as drawn. */
const SCALE_LEAST_M = 0.05;

async function siteRow(db: Reader, id: string) {
  return found((await db.select().from(site).where(eq(site.id, id)))[0], 'This site');
}

const addSite: Service<'site.add'> = async ({ at }, { siteId, name }) => ({
  testId: null,
  detail: { name },
  changes: [added('site', { id: siteId, name, sketch: BARE, createdAt: at })]
});

const editSite: Service<'site.edit'> = async ({ db }, { siteId, name, earth }) => {
  const row = await siteRow(db, siteId);
  if (earth) ranged(() => checkEarthPlace(earth));
  return {
    testId: null,
    detail: { name },
    changes: [changed('site', row, { name, sketch: { ...row.sketch, earth } })]
  };
};

/** Lays a picture under the sketch, or takes it away. Areas stay where they are. */
const setBackdrop: Service<'site.backdrop'> = async ({ db }, { siteId, fileId }) => {
  const row = await siteRow(db, siteId);
  if (fileId === null) {
    const sketch = { ...row.sketch, backdrop: null, scaled: true };
    return { testId: null, detail: { name: row.name }, changes: [changed('site', row, { sketch })] };
  }
  const [file] = await db
    .select({ width: photoFile.width, height: photoFile.height })
    .from(photoFile)
    .where(eq(photoFile.id, fileId));
  const { width, height } = found(file, 'This picture');
  const backdrop = { fileId, widthPx: width, heightPx: height, metresPerPx: UNSCALED_WIDTH_M / width };
  return {
    testId: null,
    detail: { name: row.name },
    changes: [changed('site', row, { sketch: { ...row.sketch, backdrop, scaled: false } })]
  };
};

/** Says how far apart two points of the sketch really are: everything drawn on it grows or shrinks with them. */
const scaleSite: Service<'site.scale'> = async ({ db }, { siteId, from, to, distanceM }) => {
  const row = await siteRow(db, siteId);
  const drawn = distance(from, to);
  if (drawn < SCALE_LEAST_M) {
    const message = refusals.ground.twoPointsAreOne;
    throw new CommandProblem(message, { to: message });
  }
  const factor = distanceM / drawn;
  const { backdrop } = row.sketch;
  const sketch: Sketch = {
    ...row.sketch,
    scaled: true,
    backdrop: backdrop && { ...backdrop, metresPerPx: backdrop.metresPerPx * factor }
  };
  const areas = await db.select().from(area).where(eq(area.siteId, siteId));
  const spots =
    areas.length === 0
      ? []
      : await spotsOf(
          db,
          areas.map((a) => a.id)
        );
  const scaled = ([x, y]: Point): Point => [x * factor, y * factor];
  const places = [...areas.flatMap((a) => a.outline), ...spots.map((s): Point => [s.x, s.y])];
  if (places.some((place) => scaled(place).some((m) => Math.abs(m) > FURTHEST_M)))
    throw beside('distanceM', refusals.ground.scaledTooFar);
  return {
    testId: null,
    detail: { name: row.name, metres: distanceM },
    changes: [
      changed('site', row, { sketch }),
      ...areas.map((a) => changed('area', a, { outline: a.outline.map(scaled) })),
      ...spots.map((s) => changed('spot', s, { x: s.x * factor, y: s.y * factor }))
    ]
  };
};

async function takenAreaCodes(db: Reader): Promise<string[]> {
  return (await db.select({ code: area.code }).from(area)).map((a) => a.code);
}

const addArea: Service<'area.add'> = async ({ db, at }, { areaId, ...fields }) => {
  await siteRow(db, fields.siteId);
  ranged(() => checkOutline(fields.outline));
  const code = nextAreaCode(fields.name, await takenAreaCodes(db));
  return {
    testId: null,
    detail: { code, name: fields.name },
    changes: [added('area', { id: areaId, code, ...fields, createdAt: at })]
  };
};

const editArea: Service<'area.edit'> = async ({ db }, { areaId, ...fields }) => {
  const row = await areaRow(db, areaId);
  ranged(() => checkOutline(fields.outline));
  return {
    testId: null,
    detail: { code: row.code, name: fields.name },
    changes: [changed('area', row, fields)]
  };
};

const removeArea: Service<'area.remove'> = async ({ db }, { areaId }) => {
  const row = await areaRow(db, areaId);
  const samples = await db.select({ code: sample.code }).from(sample).where(eq(sample.areaId, areaId));
  if (samples.length > 0) {
    const codes = samples.map((s) => s.code).join(', ');
    throw new CommandProblem(refusals.ground.areaHasSamples(codes), {}, 409);
  }
  const holes = await db.select({ code: hole.code }).from(hole).where(eq(hole.areaId, areaId));
  if (holes.length > 0)
    throw new CommandProblem(refusals.beds.areaHasHoles(holes.map((h) => h.code).join(', ')), {}, 409);
  const [done] = await db.select({ id: amendment.id }).from(amendment).where(eq(amendment.areaId, areaId));
  if (done) throw new CommandProblem(refusals.beds.areaWasAmended, {}, 409);
  const spots = await spotsOf(db, [areaId]);
  const photos = await photosOf(db, spots);
  return {
    testId: null,
    detail: { code: row.code, name: row.name },
    changes: [
      ...photos,
      ...(await db.select().from(reminder).where(eq(reminder.areaId, areaId))).map((r) =>
        removed('reminder', r)
      ),
      ...spots.map((s) => removed('spot', s)),
      removed('area', row)
    ]
  };
};

/** Areas and spots from a file, all or none. */
const importGround: Service<'ground.import'> = async ({ db, at }, p) => {
  const row = await siteRow(db, p.siteId);
  if (p.areas.length + p.spots.length === 0) throw new CommandProblem(refusals.ground.nothingToBring);
  const { earth } = p;
  if (earth) ranged(() => checkEarthPlace(earth));
  const codes = await takenAreaCodes(db);
  const brought = p.areas.map(({ areaId, ...fields }, i) => {
    const { problem } = outcomeOf(() => checkOutline(fields.outline));
    if (problem) {
      const message = `${fields.name}: ${problem.message}`;
      throw new CommandProblem(message, { [`areas.${i}.outline`]: message });
    }
    const code = nextAreaCode(fields.name, codes);
    codes.push(code);
    return { id: areaId, siteId: p.siteId, code, ...fields, createdAt: at };
  });
  return {
    testId: null,
    detail: { name: row.name, areas: p.areas.length, spots: p.spots.length },
    changes: [
      ...(p.earth ? [changed('site', row, { sketch: { ...row.sketch, earth: p.earth } })] : []),
      ...brought.map((a) => added('area', a)),
      ...(await broughtSpots(db, p, new Set(brought.map((a) => a.id))))
    ]
  };
};

async function broughtSpots(
  db: Reader,
  p: Payload<'ground.import'>,
  brought: ReadonlySet<string>
): Promise<RowChange[]> {
  const there = await db.select({ id: area.id }).from(area).where(eq(area.siteId, p.siteId));
  const known = new Set([...brought, ...there.map((a) => a.id)]);
  const last = new Map<string, number>();
  for (const s of await spotsOf(db, [...known])) last.set(s.areaId, Math.max(s.no, last.get(s.areaId) ?? 0));
  return p.spots.map(({ spotId, areaId, place, ...words }, i) => {
    if (!known.has(areaId)) {
      const message = refusals.ground.spotBelongsNoArea;
      throw new CommandProblem(message, { [`spots.${i}.areaId`]: message });
    }
    const no = (last.get(areaId) ?? 0) + 1;
    last.set(areaId, no);
    return added('spot', { ...newSpot(spotId, areaId, no, place), ...words });
  });
}

export const groundServices = {
  'site.add': addSite,
  'site.edit': editSite,
  'site.backdrop': setBackdrop,
  'site.scale': scaleSite,
  'area.add': addArea,
  'area.edit': editArea,
  'area.remove': removeArea,
  'ground.import': importGround
} satisfies Partial<Services>;
