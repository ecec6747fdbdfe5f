import { alongOf } from '$lib/contract/act';
import { keptTest } from '$lib/server/kept';
import { holesOf } from '$lib/server/repositories/holes';
import { knowPoints } from '$lib/server/repositories/points';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

/** The finished tests there are; the one in hand, by `?test=` or `?ground=`, with the holes of its area; and those along a bore, by `?along=`. */
export const load: PageServerLoad = async ({ url, depends }) => {
  depends('tivrel:data');
  const { db } = await store();
  const points = await knowPoints(db);
  const asked = url.searchParams.get('ground');
  // Of an area the newest test is in hand.
  const newest = asked ? points.findLast((p) => p.areaId === asked)?.id : undefined;
  const inHand = await keptTest(db, newest ?? url.searchParams.get('test'));
  const areaId = inHand?.detail.sample.areaId;
  const stations = [];
  for (const { id, atM } of alongOf(url.searchParams.get('along'))) {
    const one = await keptTest(db, id);
    if (one) stations.push({ id, atM, code: one.detail.code, snapshot: one.kept.snapshot });
  }
  return {
    title: t.act.title,
    tests: points.map((p) => ({ id: p.id, code: p.code, name: p.sampleName })),
    areas: areasOf(points),
    ground: areaId ? (await holesOf(db, { areaId })).holes : [],
    chosen: inHand
      ? {
          id: inHand.detail.id,
          code: inHand.detail.code,
          sample: inHand.detail.sample,
          snapshot: inHand.kept.snapshot
        }
      : null,
    stations
  };
};

/** Areas that have a finished test, by name. */
function areasOf(points: readonly { areaId: string | null; areaName: string | null }[]) {
  const names = new Map(points.flatMap((p) => (p.areaId && p.areaName ? [[p.areaId, p.areaName]] : [])));
  return [...names].map(([id, name]) => ({ id, name })).sort((a, b) => a.name.localeCompare(b.name));
}
