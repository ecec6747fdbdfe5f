import { error, json } from '@sveltejs/kit';
import {
  benchCamera,
  benchFilm,
  benchPicture,
  benchSeries,
  readQuery,
  toPng
} from '$lib/server/bench-camera';
import { serverNow } from '$lib/server/clock';
import { shownTest } from '$lib/server/shown';
import { fieldsProblem } from '$lib/server/problem';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';
import { refusals } from '$lib/words/refusals';

const file = (body: Uint8Array, type: string) =>
  new Response(new Uint8Array(body), { headers: { 'content-type': type, 'cache-control': 'no-store' } });

/** The simulated bench camera: one picture of a jar as it should look now, a series of them, or a film. */
export const GET: RequestHandler = async ({ params, url }) => {
  const test = await shownTest((await store()).db, params.id);
  if (!test || !benchCamera(test.id)) error(404, refusals.api.benchCameraHasNo);
  const asked = readQuery(url.searchParams);
  if (!asked.success) {
    const { message, fields } = fieldsProblem(asked.error.issues);
    return json({ message, fields }, { status: 422 });
  }
  const q = asked.data;
  switch (params.file) {
    case 'picture.png': {
      const stands = test.run ? (serverNow() - test.run.setDownAt) / 1000 : 1;
      return file(await toPng(benchPicture(test, q, q.seconds?.[0] ?? Math.max(1, stands))), 'image/png');
    }
    case 'series.zip':
      return file(await benchSeries(test, q), 'application/zip');
    case 'film.y4m':
      return file(benchFilm(test, q), 'application/octet-stream');
    default:
      error(404, refusals.api.benchCameraGivesPicture);
  }
};
