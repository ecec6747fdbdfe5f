import { error } from '@sveltejs/kit';
import type { FolderSoil } from '$lib/workbench/folder';
import { keptTest, knownSoils } from '$lib/server/kept';
import { folderById } from '$lib/server/repositories/folders';
import { judgementsOf } from '$lib/server/repositories/judgements';
import { profilesOf } from '$lib/server/repositories/profiles';
import { samplesByIds, samplesToPick } from '$lib/server/repositories/samples';
import { trialsOf } from '$lib/server/repositories/trials';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

/** A folder with what is on record of its soils: newest finished test, newest verdict on a wall, trial pieces. */
export const load: PageServerLoad = async ({ params, depends }) => {
  depends('tivrel:data');
  const bench = await store();
  const { db } = bench;
  const folder = await folderById(db, params.id);
  if (!folder) error(404, t.folder.notFound);
  const sampleIds = folder.items.map((item) => item.sampleId);
  const samples = await samplesByIds(db, sampleIds);
  const known = await knownSoils(db, samples);
  const testIds = [...known.values()].flatMap(({ tests }) => tests.map((one) => one.id));
  const judgements = await judgementsOf(db, { testIds });
  const { trials } = await trialsOf(db, { sampleIds });
  const soils: FolderSoil[] = [];
  for (const { sampleId, theirs } of folder.items) {
    const sample = samples.find((one) => one.id === sampleId);
    if (!sample) continue;
    const of = known.get(sampleId) ?? { details: sample.details, labs: [], tests: [] };
    const own = of.tests;
    const kept = judgements.find((j) => j.kept.ask === 'wall' && own.some((p) => p.id === j.testId));
    // The verdict that was kept is of the test that it was kept of; else the newest tells.
    const one = await keptTest(db, kept?.testId ?? own.at(-1)?.id ?? null);
    soils.push({
      sample,
      theirs,
      known: of,
      test: one ? { id: one.detail.id, code: one.detail.code, snapshot: one.kept.snapshot } : null,
      kept: kept?.kept.ask === 'wall' ? { id: kept.id, kept: kept.kept, createdAt: kept.createdAt } : null,
      trials: trials.filter((trial) => trial.sampleId === sampleId)
    });
  }
  return {
    title: folder.name,
    folder,
    soils,
    techniques: await profilesOf(db, 'technique'),
    samples: (await samplesToPick(db)).map(({ id, code, name }) => ({ id, code, name }))
  };
};
