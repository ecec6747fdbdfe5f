import { ulid } from 'ulid';
import {
  cameraPlaces,
  depositHeights,
  FILM_ROWS,
  fillPlan,
  filmColumn,
  lengthForField,
  methodByKey,
  nextFrameS,
  solidsFromDryFill,
  STANDARD_VESSELS,
  stripProfile,
  type FillPlan,
  type FilmStrip,
  type Vessel
} from '../src/lib/core/index.ts';
import { encodeColours } from '../src/lib/contract/film.ts';
import type { CommandDone, CommandName, PayloadInput } from '../src/lib/contract/commands.ts';
import type { ReadingEntry } from '../src/lib/contract/records/reading.ts';
import { readQuery } from '../src/lib/server/bench-camera.ts';
import { benchPicture, toPng } from '../src/lib/server/bench-picture.ts';
import { runCommand } from '../src/lib/server/commands.ts';
import type { Store } from '../src/lib/server/db.ts';
import { keepPhoto } from '../src/lib/server/photos.ts';
import { seedBeds, seedBottles, seedVerdicts } from './beds.ts';
import { seedCylinders } from './cylinders.ts';
import { seedLesson } from './lesson.ts';
import { profilePicture } from './pictures.ts';
import { seedFolder, seedTrials } from './trials.ts';
import { areas, SITE, type DemoArea } from './scenario/ground.ts';
import type { Purpose } from '../src/lib/contract/records/sample.ts';
import { person } from '../src/lib/server/schema.ts';
import { people } from './scenario/people.ts';
import { reports, samples } from './scenario/samples.ts';
import { tests, type DemoMark, type DemoTest } from './scenario/tests.ts';
import { HOUR, MINUTE } from './scenario/times.ts';

/** Heights are measured to half a millimetre. */
const half = (mm: number) => Math.round(mm * 2) / 2;

/** Plays the scenario into an empty database, as if it had happened up to `now` (ms UTC). */
export async function seedDemo(store: Store, now: number): Promise<void> {
  const play = <N extends CommandName>(
    name: N,
    agoS: number,
    payload: PayloadInput<N>
  ): Promise<CommandDone> => {
    const at = Math.round(now - agoS * 1000);
    return runCommand(store, name, { commandId: ulid(at), at, payload }, who, at);
  };
  const [keeper] = people;
  let who = keeper.name;
  const crewOf = (purpose: Purpose) => people.find(({ does }) => does.includes(purpose))?.name ?? keeper.name;
  await seedPeople(store, now - 432 * 86_400_000);
  const ground = await seedGround(now, play);
  const ids = new Map<string, string>();
  for (const s of [...samples].sort((a, b) => b.agoS - a.agoS)) {
    const sampleId = ulid(now - s.agoS * 1000);
    ids.set(s.key, sampleId);
    const { name, purpose, note } = s;
    who = crewOf(purpose);
    const from = ground.get(s.key) ?? { areaId: null, spotIds: [] };
    const record = { sampleId, name, purpose, note, ...from };
    await play('sample.add', s.agoS, record);
    if (!s.details) continue;
    const takenOn = new Date(now - s.agoS * 1000).toISOString().slice(0, 10);
    await play('sample.edit', s.agoS - HOUR, { ...record, details: { takenOn, ...s.details } });
    if (!s.picture) continue;
    const { id: fileId } = await keepPhoto(store, await profilePicture(s.picture), now - s.agoS * 1000);
    await play('photo.add', s.agoS - HOUR, {
      photoId: ulid(),
      fileId,
      subject: 'sample',
      subjectId: sampleId
    });
  }
  for (const { sample, lab, agoS, soil, ...fields } of reports) {
    const reportedOn = new Date(now - agoS * 1000).toISOString().slice(0, 10);
    const sampleId = ids.get(sample)!;
    await play('lab.add', agoS, { reportId: ulid(), sampleId, lab, reportedOn, ...soil, ...fields });
  }
  for (const demo of tests) {
    who = crewOf(samples.find(({ key }) => key === demo.sample)?.purpose ?? 'lesson');
    const stood = await playTest(demo, ids.get(demo.sample)!, now, play);
    if (stood) await playPictures(demo, stood, store, now, play);
  }
  who = keeper.name;
  await seedCylinders(ids, play);
  await seedBeds(new Map([...ground].map(([key, { areaId }]) => [key, areaId])), now, play);
  await seedBottles(store, ground.get('cut')!.areaId, play);
  await seedVerdicts(store, ids, now, play);
  await seedTrials(ids, play);
  await seedFolder(ids, now, play);
  await seedLesson(store, now);
}

async function seedPeople(store: Store, at: number): Promise<void> {
  await store.write((tx) =>
    tx.insert(person).values(
      people.map(({ name, role }) => ({
        id: ulid(at),
        name,
        role,
        createdAt: at,
        digest: null,
        endedAt: null
      }))
    )
  );
}

type FromGround = { areaId: string; spotIds: string[] };

/** Draws the site and walks its spots; answers with the area and the spots that each composite is from. */
async function seedGround(now: number, play: Play): Promise<Map<string, FromGround>> {
  const siteId = ulid(now - 431 * 86_400_000);
  await play('site.add', 431 * 24 * HOUR, { siteId, name: SITE });
  const out = new Map<string, FromGround>();
  for (const demo of [...areas].sort((a, b) => b.agoS - a.agoS)) {
    out.set(demo.key, await seedArea(demo, siteId, now, play));
  }
  return out;
}

async function seedArea(demo: DemoArea, siteId: string, now: number, play: Play): Promise<FromGround> {
  const { key: _, spots, seed, taken, depthsMm, agoS, outline, ...words } = demo;
  const drawnAgoS = agoS + 2 * HOUR;
  const areaId = ulid(now - drawnAgoS * 1000);
  const corners = outline.map(([x, y]): [number, number] => [x, y]);
  await play('area.add', drawnAgoS, { areaId, siteId, ...words, outline: corners });
  const spotIds = Array.from({ length: spots }, () => ulid());
  await play('spots.suggest', drawnAgoS - MINUTE, { areaId, seed, spotIds });
  const depth = (mm: number | undefined) => (mm === undefined ? null : { mm, text: `${mm} mm` });
  for (const [i, spotId] of spotIds.slice(0, taken).entries()) {
    await play('spot.take', agoS + (taken - i) * 4 * MINUTE, {
      spotId,
      taken: true,
      depthFrom: depth(depthsMm?.[0]),
      depthTo: depth(depthsMm?.[1])
    });
  }
  return { areaId, spotIds: spotIds.slice(0, taken) };
}

/** Does a command as it was done so long before the demo, s. */
export type Play = <N extends CommandName>(
  name: N,
  agoS: number,
  payload: PayloadInput<N>
) => Promise<CommandDone>;

/** A jar that was set down, for what else is kept of it. */
type Stood = { testId: string; runId: string; plan: FillPlan };

async function playTest(
  demo: DemoTest,
  sampleId: string,
  now: number,
  play: Play
): Promise<Stood | undefined> {
  const vessel = STANDARD_VESSELS.find((v) => v.id === demo.vesselId)!;
  const method = methodByKey(demo.methodKey);
  const plan = fillPlan(method, vessel, demo.fill);
  const firstAgoS = demo.lost?.setDownAgoS ?? demo.setDownAgoS ?? 0.1 * HOUR;
  const testId = ulid();
  await play('jar.prepare', firstAgoS + 1200, {
    testId,
    sampleId,
    vesselId: demo.vesselId,
    methodKey: demo.methodKey,
    tempC: demo.tempC,
    soilMm: plan.soilMm,
    waterMm: plan.waterMm,
    dispersantMl: plan.dispersantMl
  });
  if (demo.lost) {
    const runId = await playRun(demo, plan, testId, demo.lost.setDownAgoS, demo.lost.marks, play);
    await play('jar.shake-again', demo.lost.setDownAgoS - demo.lost.lastedS, {
      testId,
      runId,
      reason: demo.lost.reason
    });
  }
  if (demo.plannedInS !== undefined) {
    const setDownAt = Math.round((now + demo.plannedInS * 1000) / 60_000) * 60_000;
    await play('bench.plan', 0, { jars: [{ testId, setDownAt }] });
  }
  if (demo.setDownAgoS === undefined) return undefined;
  if (demo.planned) {
    const setDownAt = Math.round(now - demo.setDownAgoS * 1000);
    await play('bench.plan', demo.setDownAgoS + 900, { jars: [{ testId, setDownAt }] });
  }
  const runId = await playRun(demo, plan, testId, demo.setDownAgoS, demo.marks ?? [], play);
  const tops = demo.tops ?? [];
  for (const [i, mm] of heightsOf(demo, plan, tops).entries()) {
    const height = { mm, text: lengthForField(mm, 'mm') };
    await play('jar.top', demo.setDownAgoS - tops[i], {
      testId,
      runId,
      topId: ulid(),
      height,
      water: 'cloudy'
    });
  }
  for (const kind of demo.notes ?? []) {
    await play('jar.note', demo.setDownAgoS - 2 * HOUR, { testId, kind });
  }
  if (demo.finishedAfterS === undefined) return { testId, runId, plan };
  const readAgoS = demo.setDownAgoS - demo.finishedAfterS;
  const readingId = ulid();
  await play('jar.read', readAgoS, { testId, readingId, entry: entryOf(demo, plan) });
  await play('test.finish', readAgoS - 60, { testId, readingId, resultId: ulid() });
  return { testId, runId, plan };
}

/** Size and strip of the pictures of a film, as somebody would lay it. */
const FILM_SHOT = { width: '240', height: '320', tilt: '0', label: 'true', glare: '0.3' };

/** Pictures of the simulated bench camera, of the soil that the jar was made with. */
async function playPictures(
  demo: DemoTest,
  { testId, runId, plan }: Stood,
  store: Store,
  now: number,
  play: Play
): Promise<void> {
  const vessel = STANDARD_VESSELS.find((v) => v.id === demo.vesselId)!;
  const jar = { vessel, waterMm: plan.waterMm, soilMm: plan.soilMm, tempC: demo.tempC };
  const soil = Object.fromEntries(Object.entries(demo.soil).map(([k, v]) => [k, String(v)]));
  const query = (shot: Record<string, string>) => readQuery(new URLSearchParams({ ...soil, ...shot })).data!;
  if (demo.pictureAtS !== undefined) {
    const agoS = demo.setDownAgoS! - demo.pictureAtS;
    const picture = benchPicture(jar, query({ width: '600', height: '800', tilt: '1.5' }), demo.pictureAtS);
    const { id: fileId } = await keepPhoto(store, await toPng(picture), Math.round(now - agoS * 1000));
    await play('photo.add', agoS, { photoId: ulid(), fileId, subject: 'test', subjectId: testId });
  }
  if (demo.filmedToS === undefined) return;
  const strip = filmStripOf(jar, FILM_SHOT);
  const filmId = ulid();
  await play('film.start', demo.setDownAgoS! - 6, { filmId, testId, runId, source: 'camera', strip });
  const frames: { at: number; colours: string }[] = [];
  for (let timeS = 8; timeS <= demo.filmedToS; timeS = Math.max(nextFrameS(timeS), timeS * 1.14)) {
    const profile = stripProfile(benchPicture(jar, query(FILM_SHOT), timeS), strip);
    const at = Math.round(now - (demo.setDownAgoS! - timeS) * 1000);
    frames.push({ at, colours: encodeColours(filmColumn(profile)) });
  }
  await play('film.frames', demo.setDownAgoS! - demo.filmedToS, { filmId, frames });
}

/** Where heights lie in a straight picture of the bench camera. */
function filmStripOf(jar: { vessel: Vessel; waterMm: number }, shot: typeof FILM_SHOT): FilmStrip {
  const { pixelOf, pxPerMm } = cameraPlaces(jar.vessel, {
    widthPx: Number(shot.width),
    heightPx: Number(shot.height),
    seed: 1
  });
  const [fromMm, toMm] = [1, jar.waterMm - 4];
  return {
    low: { at: pixelOf(0), heightMm: 0 },
    high: { at: pixelOf(jar.waterMm), heightMm: jar.waterMm },
    asidePx: 0,
    widthPx: Math.round(12 * pxPerMm),
    fromMm,
    toMm,
    rowMm: (toMm - fromMm) / FILM_ROWS,
    rows: FILM_ROWS
  };
}

function heightsOf(demo: DemoTest, plan: FillPlan, timesS: number[]): number[] {
  const solidsKgM2 = solidsFromDryFill(plan.soilMm);
  return depositHeights({
    fractions: demo.soil,
    timesS,
    columnMm: plan.waterMm,
    tempC: demo.tempC,
    solidsKgM2
  }).map((mm) => half(mm + (demo.gravelMm ?? 0)));
}

async function playRun(
  demo: DemoTest,
  plan: FillPlan,
  testId: string,
  agoS: number,
  marks: DemoMark[],
  play: Play
) {
  const runId = ulid();
  await play('jar.set-down', agoS, { testId, runId });
  const times = marks.map((m) => m.atS);
  const heights = heightsOf(demo, plan, times);
  for (const [i, mark] of marks.entries()) {
    const markId = ulid();
    await play('jar.mark', agoS - mark.atS, { testId, runId, markId, layer: mark.layer });
    if (!mark.measured) continue;
    const height = { mm: heights[i], text: lengthForField(heights[i], 'mm') };
    await play('mark.height', agoS - mark.atS - 40, { testId, markId, height });
  }
  return runId;
}

/** The reading at the end: the timed marks, or for bands where the size limits lie. */
function entryOf(demo: DemoTest, plan: FillPlan): ReadingEntry {
  const line = (mm: number, sigmaMm?: number) => ({
    mm,
    text: lengthForField(mm, 'mm'),
    ...(sigmaMm ? { sigmaMm } : {})
  });
  const times = demo.marks?.map((m) => m.atS) ?? [95, 0.5 * demo.finishedAfterS!, demo.finishedAfterS!];
  const [sand, silt, clay] = heightsOf(demo, plan, times);
  return {
    ruler: 'mm',
    lines: {
      ...(demo.gravelMm ? { gravel: line(demo.gravelMm) } : {}),
      sand: line(sand),
      silt: line(silt, demo.fuzzySiltMm),
      clay: line(clay),
      ...(demo.skinMm ? { skin: line(clay + demo.skinMm) } : {})
    },
    ...(demo.water ? { water: demo.water } : {}),
    measuredTotal: line(clay + (demo.skinMm ?? 0))
  };
}
