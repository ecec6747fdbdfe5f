import { error } from '@sveltejs/kit';
import { logLines } from '$lib/server/repositories/log';
import { sampleById } from '$lib/server/repositories/samples';
import { store } from '$lib/server/store';
import { t } from '$lib/ui/strings';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, depends }) => {
  depends('tivrel:data');
  const { db } = await store();
  const sample = await sampleById(db, params.id);
  if (!sample) error(404, t.sample.notFound);
  return { title: sample.code, sample, lines: await logLines(db, 'kept', sample.id) };
};
