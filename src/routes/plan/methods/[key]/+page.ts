import { error } from '@sveltejs/kit';
import { METHODS } from '$lib/core';
import { t } from '$lib/ui/strings';
import type { PageLoad } from './$types';

export const load: PageLoad = ({ params }) => {
  const method = METHODS.find((m) => m.key === params.key);
  if (!method) error(404, t.plan.noMethod);
  return { title: method.name, method };
};
