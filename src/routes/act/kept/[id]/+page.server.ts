import { error } from '@sveltejs/kit';
import { judgementsOf } from '$lib/server/repositories/judgements';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, depends }) => {
  depends('tivrel:data');
  const [judgement] = await judgementsOf((await store()).db, { id: params.id });
  if (!judgement) error(404, t.act.keptNot);
  return { title: t.act.keptTitle, judgement };
};
