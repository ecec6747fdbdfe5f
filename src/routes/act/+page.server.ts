import { alongOf } from '$lib/contract/act';
import { toEstimate } from '$lib/contract/evidence';
import { keptTest, knownSoil, soilsOfBlend } from '$lib/server/kept';
import type { Reader } from '$lib/server/db';
import { judgementsOf } from '$lib/server/repositories/judgements';
import { profilesOf } from '$lib/server/repositories/profiles';
import { holesOf } from '$lib/server/repositories/holes';
import { areasWithPoints, knowPoints, newestPoint, sharesAlone } from '$lib/server/repositories/points';
import { trialsOf } from '$lib/server/repositories/trials';
import { samplesAlong } from '$lib/server/repositories/sites';
import { store } from '$lib/server/store';
import { stationsOf } from '$lib/workbench/act';
import { judgedBy } from '$lib/workbench/judged-by';
import { PICKED_MOST } from '$lib/workbench/find';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

/** The finished tests there are; the one in hand, by `?test=` or `?ground=`, with the holes of its area; and those along a bore, by `?along=`. */
export const load: PageServerLoad = async ({ url, depends }) => {
  depends('tivrel:data');
  const bench = await store();
  const { db } = bench;
  const asked = url.searchParams.get('ground');
  // Of an area the newest test is in hand.
  const newest = asked ? (await newestPoint(bench, { areaId: asked }))?.id : undefined;
  const inHand = await keptTest(db, newest ?? url.searchParams.get('test'));
  const areaId = inHand?.detail.sample.areaId;
  const areas = await areasWithPoints(bench);
  const stations = [];
  for (const { id, atM } of alongOf(url.searchParams.get('along'))) {
    const one = await keptTest(db, id);
    if (one) stations.push({ id, atM, code: one.detail.code, known: await knownSoil(db, one.detail.sample) });
  }
  const along = areaId ? await samplesAlong(db, areaId) : [];
  const onBore = { sampleIds: along.map((one) => one.sampleId) };
  const points = await knowPoints(bench, {}, PICKED_MOST);
  // An older one stands in the list once it is in hand.
  const inList = !inHand || points.some((p) => p.id === inHand.detail.id);
  const own = inList ? [] : await knowPoints(bench, { testIds: [inHand.detail.id] });
  return {
    title: t.act.title,
    areas,
    alone: await sharesAlone(bench, {}, PICKED_MOST),
    byAxis: stationsOf(
      [...(await knowPoints(bench, onBore)), ...(await sharesAlone(bench, { ...onBore, layer: 'sand' }))],
      along
    ),
    beds: await profilesOf(db, 'bed'),
    figures: await profilesOf(db, 'figures'),
    techniques: await profilesOf(db, 'technique'),
    pieces: inHand ? (await trialsOf(db, { sampleIds: [inHand.detail.sample.id] })).trials : [],
    kept: inHand ? await judgementsOf(db, { testId: inHand.detail.id }) : [],
    beside: await soilBeside(db, url.searchParams.get('beside')),
    tests: [...own, ...points].map(({ id, code, sampleName, fractions }) => ({
      id,
      code,
      name: sampleName,
      fractions
    })),
    ground: areaId ? (await holesOf(db, { areaId })).holes : [],
    chosen: inHand
      ? {
          id: inHand.detail.id,
          code: inHand.detail.code,
          sample: inHand.detail.sample,
          area: areas.find((a) => a.id === areaId) ?? null,
          snapshot: inHand.kept.snapshot,
          known: await knownSoil(db, inHand.detail.sample),
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

/** Another soil to be watered beside the one in hand. */
async function soilBeside(db: Reader, id: string | null) {
  const one = await keptTest(db, id);
  const soil = one && judgedBy(await knownSoil(db, one.detail.sample), one.detail.id)?.soil;
  return one && soil ? { id: one.detail.id, code: one.detail.code, fractions: soil.fractions } : null;
}
