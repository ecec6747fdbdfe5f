import { keptTest } from '$lib/server/kept';
import { store } from '$lib/server/store';
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

/** The test in hand, by `?test=`: what it kept, for the tint and the curve. */
export const load: PageServerLoad = async ({ url, depends }) => {
  depends('tivrel:data');
  const { db } = await store();
  const inHand = await keptTest(db, url.searchParams.get('test'));
  const chosen = inHand ? ofTriangle(inHand) : null;
  return { title: t.know.title, chosen };
};
