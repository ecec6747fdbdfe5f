import { alongOf } from '$lib/contract/act';
import { toEstimate } from '$lib/contract/evidence';
import { keptTest, soilsOfBlend } from '$lib/server/kept';
import type { Reader } from '$lib/server/db';
import { judgementsOf } from '$lib/server/repositories/judgements';
import { profilesOf } from '$lib/server/repositories/profiles';
import { holesOf } from '$lib/server/repositories/holes';
import { knowPoints, sandAlone } from '$lib/server/repositories/points';
import { trialsOf } from '$lib/server/repositories/trials';
import { samplesAlong } from '$lib/server/repositories/sites';
import { store } from '$lib/server/store';
import { soilOf, stationsOf } from '$lib/workbench/act';
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
  const areas = areasOf(points);
  const stations = [];
  for (const { id, atM } of alongOf(url.searchParams.get('along'))) {
    const one = await keptTest(db, id);
    if (one)
      stations.push({
        id,
        atM,
        code: one.detail.code,
        snapshot: one.kept.snapshot,
        details: one.detail.sample.details
      });
  }
  const bottles = await sandAlone(db);
  const along = areaId ? await samplesAlong(db, areaId) : [];
  return {
    title: t.act.title,
    areas,
    bottles,
    byAxis: stationsOf([...points, ...bottles], along),
    beds: await profilesOf(db, 'bed'),
    figures: await profilesOf(db, 'figures'),
    techniques: await profilesOf(db, 'technique'),
    pieces: inHand ? (await trialsOf(db, { sampleIds: [inHand.detail.sample.id] })).trials : [],
    kept: inHand ? await judgementsOf(db, { testId: inHand.detail.id }) : [],
    beside: await soilBeside(db, url.searchParams.get('beside')),
    tests: points.map(({ id, code, sampleName, fractions }) => ({ id, code, name: sampleName, fractions })),
    ground: areaId ? (await holesOf(db, { areaId })).holes : [],
    chosen: inHand
      ? {
          id: inHand.detail.id,
          code: inHand.detail.code,
          sample: inHand.detail.sample,
          area: areas.find((a) => a.id === areaId) ?? null,
          snapshot: inHand.kept.snapshot,
          jar: jarOf(inHand) ?? null
        }
      : null,
    others: await soilsOfBlend(db, url.searchParams.get('blend')),
    stations
  };
};

/** What is known of the jar that a soil was read from: what would settle a verdict looks at it again. */
function jarOf({ detail, kept }: NonNullable<Awaited<ReturnType<typeof keptTest>>>) {
  if (kept.kind !== 'jar' || !kept.reading || !kept.snapshot.answer) return undefined;
  const input = toEstimate(detail, kept.run, kept.snapshot.entry, kept.reading.at);
  return input && kept.run && { input, setDownAt: kept.run.setDownAt };
}

/** Areas that have a finished test, by name. */
function areasOf(points: readonly { areaId: string | null; areaName: string | null }[]) {
  const names = new Map(points.flatMap((p) => (p.areaId && p.areaName ? [[p.areaId, p.areaName]] : [])));
  return [...names].map(([id, name]) => ({ id, name })).sort((a, b) => a.name.localeCompare(b.name));
}

/** Another soil to be watered beside the one in hand. */
async function soilBeside(db: Reader, id: string | null) {
  const one = await keptTest(db, id);
  const soil = one && soilOf(one.kept.snapshot, one.detail.sample.details);
  return one && soil ? { id: one.detail.id, code: one.detail.code, fractions: soil.fractions } : null;
}
