import { testToCsv } from '../../src/lib/formats/csv.ts';
import { logCsvParts } from '../../src/lib/formats/log-csv.ts';
import { logJsonParts, testToJson } from '../../src/lib/formats/json.ts';
import { amendmentsToJson, holesToCsv, holesToJson } from '../../src/lib/formats/beds.ts';
import { judgementsToCsv, judgementsToJson } from '../../src/lib/formats/judgements.ts';
import { resultsJsonParts, samplesJsonParts } from '../../src/lib/formats/api-json.ts';
import { foldersToJson, trialsToCsv, trialsToJson } from '../../src/lib/formats/trials.ts';
import type { Store } from '../../src/lib/server/db.ts';
import { amendmentsOf } from '../../src/lib/server/repositories/amendments.ts';
import { allFolders } from '../../src/lib/server/repositories/folders.ts';
import { holesOf } from '../../src/lib/server/repositories/holes.ts';
import { judgementsOf } from '../../src/lib/server/repositories/judgements.ts';
import { eachLine, logPage } from '../../src/lib/server/repositories/log.ts';
import { offeredMethods } from '../../src/lib/server/repositories/methods.ts';
import {
  eachPoint,
  pointCells,
  pointChoices,
  sharesAlone
} from '../../src/lib/server/repositories/points.ts';
import { offeredProfiles, usualFigures } from '../../src/lib/server/repositories/profiles.ts';
import { remindersOf } from '../../src/lib/server/repositories/reminders.ts';
import { eachSample } from '../../src/lib/server/repositories/samples.ts';
import { allSites, siteDetail } from '../../src/lib/server/repositories/sites.ts';
import { benchShelf, testDetail } from '../../src/lib/server/repositories/tests.ts';
import { trialsOf } from '../../src/lib/server/repositories/trials.ts';
import { LOG_SORTS, readLogAddress } from '../../src/lib/workbench/find.ts';
import { viewHole } from '../../src/lib/workbench/holes.ts';
import { viewShelf } from '../../src/lib/workbench/jars.ts';
import { byPress } from '../../src/lib/workbench/press.ts';
import { viewTrial } from '../../src/lib/workbench/trials.ts';
import { callsOf } from '../../src/lib/workbench/calls.ts';

async function read(parts: AsyncIterable<string>): Promise<void> {
  let text = '';
  for await (const part of parts) text += part;
  if (text.startsWith('{')) JSON.parse(text);
}

/** Reads all that pages and exports read, as they do. @throws where one row takes a page down */
export async function readAll(store: Store, now: number): Promise<{ tests: number }> {
  const { db } = store;
  const { jars } = await benchShelf(db);
  callsOf(viewShelf(jars, now));
  const { holes } = await holesOf(db, { all: true });
  byPress(holes.map((hole) => viewHole(hole, now)));
  const by = await usualFigures(db);
  const views = (await trialsOf(db, { all: true })).trials.map((one) => viewTrial(one, by, now));
  byPress(views);
  for (const sort of LOG_SORTS)
    await logPage(store, 'kept', { ...readLogAddress(new URLSearchParams('q=l')), sort });
  const lines = [];
  for (const part of ['kept', 'bin'] as const) {
    for await (const some of eachLine(store, part)) lines.push(...some);
    await read(logCsvParts(eachLine(store, part)));
    await read(logJsonParts(eachLine(store, part), now));
  }
  for (const { id } of lines) {
    const detail = await testDetail(db, id);
    if (!detail) continue;
    testToCsv(detail);
    testToJson(detail, now);
  }
  for (const site of await allSites(db)) await siteDetail(db, site.id);
  const judgements = await judgementsOf(db);
  judgementsToCsv(judgements);
  judgementsToJson(judgements);
  holesToCsv(holes, now);
  holesToJson(holes, now);
  amendmentsToJson(await amendmentsOf(db));
  trialsToCsv(views);
  trialsToJson(views);
  foldersToJson(await allFolders(db));
  await read(samplesJsonParts(eachSample(db)));
  await read(resultsJsonParts(eachPoint(store)));
  await pointCells(store);
  await pointChoices(store);
  await sharesAlone(store);
  await offeredMethods(db);
  for (const kind of ['bed', 'technique', 'figures'] as const) await offeredProfiles(db, kind);
  await remindersOf(db);
  return { tests: lines.length };
}
