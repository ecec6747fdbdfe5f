import { eq } from 'drizzle-orm';
import { ulid } from 'ulid';
import type { Store } from '../src/lib/server/db.ts';
import { knowPoints } from '../src/lib/server/repositories/points.ts';
import { samplesAlong } from '../src/lib/server/repositories/sites.ts';
import { spot } from '../src/lib/server/schema.ts';
import type { Play } from './seed.ts';
import { amendments, bottles, BOTTLES_AGO_S, holes, verdicts, walls } from './scenario/beds.ts';
import { HOUR, MINUTE } from './scenario/times.ts';

/** Holes and amendments of the areas, in the order of time. */
export async function seedBeds(areaIds: ReadonlyMap<string, string>, now: number, play: Play): Promise<void> {
  for (const { area, agoS, ...done } of amendments) {
    const doneOn = new Date(now - agoS * 1000).toISOString().slice(0, 10);
    await play('amend.add', agoS, { amendmentId: ulid(), areaId: areaIds.get(area)!, doneOn, ...done });
  }
  const length = (mm: number) => ({ mm, text: `${mm} mm` });
  for (const demo of holes) {
    const { refilledAgoS, soakedBeforeS = 0, notes, note } = demo;
    const holeId = ulid();
    const areaId = areaIds.get(demo.area)!;
    const [depth, width] = [length(demo.depthMm), length(demo.widthMm)];
    await play('hole.dig', refilledAgoS + soakedBeforeS + 600, { holeId, areaId, depth, width, notes, note });
    if (soakedBeforeS > 0) await play('hole.soak', refilledAgoS + soakedBeforeS, { holeId });
    await play('hole.refill', refilledAgoS, { holeId });
    for (const { afterS, is } of demo.seen) {
      const [seen, height] =
        typeof is === 'number' ? (['height', length(is)] as const) : ([is, null] as const);
      await play('hole.read', refilledAgoS - afterS, { holeId, readingId: ulid(), seen, height });
    }
    if (!demo.finished) continue;
    await play('hole.finish', refilledAgoS - Math.max(...demo.seen.map((s) => s.afterS)) - 60, { holeId });
  }
}

/** Bottles of the crew, and the verdict on the line they stand along. */
export async function seedBottles(store: Store, areaId: string, play: Play): Promise<void> {
  const stations: string[] = [];
  // The cutting runs east.
  const spots = await store.db.select().from(spot).where(eq(spot.areaId, areaId)).orderBy(spot.x);
  for (const [i, { name, packedMm, wholeMm }] of bottles.entries()) {
    const agoS = BOTTLES_AGO_S - i * 15 * MINUTE;
    const sampleId = ulid();
    await play('sample.add', agoS + 900, { sampleId, name, purpose: 'bore', areaId, spotIds: [spots[i].id] });
    const atM = (await samplesAlong(store.db, areaId)).find((s) => s.sampleId === sampleId)!.atM;
    const [testId, runId, markId, readingId] = [ulid(), ulid(), ulid(), ulid()];
    await play('jar.prepare', agoS + 300, {
      testId,
      sampleId,
      vesselId: 'jar-half-litre',
      methodKey: 'bottle-five-minute',
      tempC: 12,
      soilMm: 46,
      waterMm: 70,
      dispersantMl: 0
    });
    await play('jar.set-down', agoS, { testId, runId });
    await play('jar.mark', agoS - 5 * MINUTE - 10, { testId, runId, markId, layer: 'sand' });
    const line = (mm: number) => ({ mm, text: `${mm} mm` });
    const entry = {
      ruler: 'mm' as const,
      lines: { sand: line(packedMm) },
      measuredTotal: line(wholeMm)
    };
    await play('jar.read', agoS - 10 * MINUTE, { testId, readingId, entry });
    await play('test.finish', agoS - 11 * MINUTE, { testId, readingId, resultId: ulid() });
    stations.push(`${testId}@${atM}`);
  }
  const [testId] = stations[0].split('@');
  await play('judgement.keep', BOTTLES_AGO_S - 2 * HOUR, {
    judgementId: ulid(),
    testId,
    ask: 'bore',
    query: new URLSearchParams({ test: testId, ask: 'bore', along: stations.join(',') }).toString()
  });
}

/** Verdicts on beds, and the watering of one of them. */
export async function seedVerdicts(
  store: Store,
  ids: ReadonlyMap<string, string>,
  now: number,
  play: Play
): Promise<void> {
  const points = await knowPoints(store);
  for (const { sample, bedKey, agoS } of verdicts) {
    const testId = points.find((p) => p.sampleId === ids.get(sample))!.id;
    await play('judgement.keep', agoS, {
      judgementId: ulid(),
      testId,
      ask: 'bed',
      bedKey,
      query: new URLSearchParams({ test: testId, bed: bedKey }).toString()
    });
  }
  const testOf = (code: string) => points.find((p) => p.code === code)!.id;
  for (const { test, technique, blend, batch, agoS } of walls) {
    const testId = testOf(test);
    const materials = blend.map((of) => `${of === 'own' ? of : testOf(of)}~~~~~~`).join(';');
    await play('judgement.keep', agoS, {
      judgementId: ulid(),
      testId,
      ask: 'wall',
      wall: { blend: { techniqueKey: technique, materials, batch } },
      query: new URLSearchParams({ test: testId, ask: 'wall', technique, blend: materials, batch }).toString()
    });
  }
  const areaId = points.find((p) => p.sampleId === ids.get('north'))!.areaId;
  const DAY_MS = 86_400_000;
  await play('reminder.add', DAY_MS / 1000, {
    reminderId: ulid(),
    kind: 'water',
    name: 'Water the north bed',
    areaId,
    litres: 480,
    dueAt: now + 9 * HOUR * 1000,
    everyMs: 4 * DAY_MS
  });
}
