import { error } from '@sveltejs/kit';
import { versionsOf } from '$lib/server/repositories/methods';
import { store } from '$lib/server/store';
import { t } from '$lib/ui/strings';
import type { PageServerLoad } from './$types';

/** Hydrometer and pipette are read with an instrument: their figures are not a jar's to change. */
const CHANGEABLE = new Set(['jar', 'cylinder', 'bottle']);

export const load: PageServerLoad = async ({ params }) => {
  const [latest] = await versionsOf((await store()).db, params.key);
  if (!latest) error(404, t.plan.noMethod);
  if (!CHANGEABLE.has(latest.method.kind)) error(404, t.methods.notChangeable);
  return { title: latest.own ? t.methods.change : t.methods.copy, ...latest };
};
