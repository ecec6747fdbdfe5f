import { importsOf } from '$lib/server/repositories/imports';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends }) => {
  depends('tivrel:data');
  return { title: t.taking.title, imports: await importsOf((await store()).db) };
};
