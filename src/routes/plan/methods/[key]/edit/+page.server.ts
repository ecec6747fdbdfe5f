import { error } from '@sveltejs/kit';
import { versionsOf } from '$lib/server/repositories/methods';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
  const [latest] = await versionsOf((await store()).db, params.key);
  if (!latest) error(404, t.plan.noMethod);
  return { title: latest.own ? t.methods.change : t.methods.copy, ...latest };
};
