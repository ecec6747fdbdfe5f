import { error } from '@sveltejs/kit';
import { ORGANIC_UNKNOWN, soilWater } from '$lib/core';
import { holesOf } from '$lib/server/repositories/holes';
import { knowPoints } from '$lib/server/repositories/points';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

/** One hole, the others of its area, and the finished tests that stand beside them. */
export const load: PageServerLoad = async ({ params, depends }) => {
  depends('tivrel:data');
  const bench = await store();
  const { db } = bench;
  const [hole] = (await holesOf(db, { id: params.id })).holes;
  if (!hole) error(404, t.hole.notFound);
  const beside = await knowPoints(bench, { areaId: hole.areaId });
  return {
    title: `${hole.code} · ${t.hole.title}`,
    hole,
    others: (await holesOf(db, { areaId: hole.areaId })).holes.filter((h) => h.id !== hole.id),
    beside: beside.map(({ id, code, fractions: { sand, clay } }) => ({
      id,
      code,
      textureMmH: soilWater({ sand, clay, organicPct: ORGANIC_UNKNOWN.pct }).conductivityMmH
    }))
  };
};
