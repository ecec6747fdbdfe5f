import { config } from '$lib/server/config';
import { copiesOf } from '$lib/server/copies';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends, locals }) => {
  depends('tivrel:data');
  const { door, root } = config();
  const copies = copiesOf((await store()).file, root);
  return {
    title: t.profile.title,
    shared: door !== undefined || locals.people > 0,
    copies: copies ? { list: copies.list(), folder: copies.folder, problem: copies.problem ?? null } : null
  };
};
