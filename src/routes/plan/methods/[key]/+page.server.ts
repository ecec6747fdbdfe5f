import { error } from '@sveltejs/kit';
import { versionsOf } from '$lib/server/repositories/methods';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, url, depends }) => {
  depends('tivrel:data');
  const versions = await versionsOf((await store()).db, params.key);
  const asked = url.searchParams.get('version');
  const shown = asked === null ? versions[0] : versions.find((v) => String(v.method.version) === asked);
  if (!shown) error(404, t.plan.noMethod);
  return {
    title: shown.method.name,
    ...shown,
    latest: versions[0].method.version,
    retired: versions[0].retired,
    versions: versions.map((v) => v.method.version)
  };
};
