import { packPoints } from '$lib/contract/points';
import { keptTest } from '$lib/server/kept';
import { countPoints, knowPoints, pointCells, pointChoices } from '$lib/server/repositories/points';
import { store } from '$lib/server/store';
import { readKnowFilter } from '$lib/workbench/filter';
import { DOTS_MOST } from '$lib/workbench/points';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

/** What the triangle shows of a test. */
const ofTriangle = ({ detail, kept }: NonNullable<Awaited<ReturnType<typeof keptTest>>>) => ({
  id: detail.id,
  code: detail.code,
  sampleName: detail.sample.name,
  jar: kept.kind === 'jar' && !kept.snapshot.answer ? kept.region : null,
  answer: kept.kind === 'jar' ? (kept.snapshot.answer ?? null) : null,
  cylinder: kept.kind === 'cylinder' ? kept.snapshot : null
});

/**
 * The newest tests that pass the filter of the address, how many there are, and where they lie if they are too many to be drawn one
 * by one; the test in hand, by `?test=`: what it kept, for the tint and the curve.
 */
export const load: PageServerLoad = async ({ url, depends }) => {
  depends('tivrel:data');
  const bench = await store();
  const inHand = await keptTest(bench.db, url.searchParams.get('test'));
  const filter = readKnowFilter(url.searchParams);
  const found = await countPoints(bench, filter);
  const newest = await knowPoints(bench, filter, DOTS_MOST);
  const own =
    inHand && !newest.some((p) => p.id === inHand.detail.id)
      ? await knowPoints(bench, { testIds: [inHand.detail.id] })
      : [];
  return {
    title: t.know.title,
    chosen: inHand ? ofTriangle(inHand) : null,
    /** Where the test in hand does not pass, it comes along all the same. */
    own: own.at(0) ?? null,
    packed: packPoints(newest),
    filter,
    found,
    all: await countPoints(bench),
    cells: found > newest.length ? await pointCells(bench, filter) : [],
    choices: await pointChoices(bench)
  };
};
