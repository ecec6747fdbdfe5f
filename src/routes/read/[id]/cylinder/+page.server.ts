import { error, redirect } from '@sveltejs/kit';
import { config } from '$lib/server/config';
import { allBlanks } from '$lib/server/repositories/blanks';
import { shownTest } from '$lib/server/shown';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, depends }) => {
  depends('tivrel:data');
  const { db } = await store();
  const test = await shownTest(db, params.id);
  if (!test) error(404, t.test.notFound);
  if (!test.cylinder) redirect(307, `/read/${test.id}`);
  return {
    title: `${t.read.title} ${test.code}`,
    test,
    blanks: await allBlanks(db),
    simulated: config().simulated
  };
};
