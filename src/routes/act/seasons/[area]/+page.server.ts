import { error } from '@sveltejs/kit';
import { amendmentsOf } from '$lib/server/repositories/amendments';
import { holesOf } from '$lib/server/repositories/holes';
import { keptTest } from '$lib/server/kept';
import { knowPoints } from '$lib/server/repositories/points';
import { allAreas } from '$lib/server/repositories/sites';
import { remindersOf } from '$lib/server/repositories/reminders';
import { store } from '$lib/server/store';
import { seasonTest } from '$lib/workbench/seasons';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

/** An area with its tests, what was done to it, and its holes. */
export const load: PageServerLoad = async ({ params, depends }) => {
  depends('tivrel:data');
  const bench = await store();
  const { db } = bench;
  const area = (await allAreas(db)).find((a) => a.id === params.area);
  if (!area) error(404, t.ground.notFound);
  const tests = [];
  for (const point of await knowPoints(bench, { areaId: area.id })) {
    const one = await keptTest(db, point.id);
    const test = one && seasonTest(one.kept.snapshot, point);
    if (test) tests.push(test);
  }
  return {
    title: t.seasons.of(area.name),
    area: { id: area.id, name: area.name, siteId: area.siteId },
    tests,
    amendments: await amendmentsOf(db, area.id),
    dug: (await holesOf(db, { areaId: area.id })).holes,
    again: (await remindersOf(db)).filter((one) => one.areaId === area.id && one.kind === 'test')
  };
};
