import { logToCsv, testToCsv } from '../../src/lib/formats/csv.ts';
import { logToJson, testToJson } from '../../src/lib/formats/json.ts';
import { amendmentsToJson, holesToCsv, holesToJson } from '../../src/lib/formats/beds.ts';
import { judgementsToCsv, judgementsToJson } from '../../src/lib/formats/judgements.ts';
import { resultsToJson, samplesToJson } from '../../src/lib/formats/api-json.ts';
import { foldersToJson, trialsToCsv, trialsToJson } from '../../src/lib/formats/trials.ts';
import type { Store } from '../../src/lib/server/db.ts';
import { amendmentsOf } from '../../src/lib/server/repositories/amendments.ts';
import { allFolders } from '../../src/lib/server/repositories/folders.ts';
import { holesOf } from '../../src/lib/server/repositories/holes.ts';
import { judgementsOf } from '../../src/lib/server/repositories/judgements.ts';
import { logLines } from '../../src/lib/server/repositories/log.ts';
import { offeredMethods } from '../../src/lib/server/repositories/methods.ts';
import { knowPoints, sandAlone } from '../../src/lib/server/repositories/points.ts';
import { offeredProfiles, usualFigures } from '../../src/lib/server/repositories/profiles.ts';
import { remindersOf } from '../../src/lib/server/repositories/reminders.ts';
import { allSamples } from '../../src/lib/server/repositories/samples.ts';
import { allSites, siteDetail } from '../../src/lib/server/repositories/sites.ts';
import { benchShelf, testDetail } from '../../src/lib/server/repositories/tests.ts';
import { trialsOf } from '../../src/lib/server/repositories/trials.ts';
import { viewHole } from '../../src/lib/workbench/holes.ts';
import { viewShelf } from '../../src/lib/workbench/jars.ts';
import { byPress } from '../../src/lib/workbench/press.ts';
import { viewTrial } from '../../src/lib/workbench/trials.ts';
import { callsOf } from '../../src/lib/workbench/calls.ts';

/** Reads all that pages and exports read, as they do. @throws where one row takes a page down */
export async function readAll({ db }: Store, now: number): Promise<{ tests: number }> {
  const { jars } = await benchShelf(db);
  callsOf(viewShelf(jars, now));
  const { holes } = await holesOf(db, { all: true });
  byPress(holes.map((hole) => viewHole(hole, now)));
  const by = await usualFigures(db);
  const views = (await trialsOf(db, { all: true })).trials.map((one) => viewTrial(one, by, now));
  byPress(views);
  const lines = [...(await logLines(db, 'kept')), ...(await logLines(db, 'bin'))];
  logToCsv(lines);
  logToJson(lines, now);
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
  samplesToJson(await allSamples(db));
  resultsToJson(await knowPoints(db));
  await sandAlone(db);
  await offeredMethods(db);
  for (const kind of ['bed', 'technique', 'figures'] as const) await offeredProfiles(db, kind);
  await remindersOf(db);
  return { tests: lines.length };
}
