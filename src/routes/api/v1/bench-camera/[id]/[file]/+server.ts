import { error, json } from '@sveltejs/kit';
import { benchCamera, benchFilm, benchPng, benchSeries, readQuery } from '$lib/server/bench-camera';
import { serverNow } from '$lib/server/clock';
import { shownTest } from '$lib/server/shown';
import { fieldsProblem } from '$lib/server/problem';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';
import { refusals } from '$lib/words/refusals';

const file = (body: BodyInit, type: string) =>
  new Response(body, { headers: { 'content-type': type, 'cache-control': 'no-store' } });

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
  const { vessel, waterMm, tempC, soilMm } = test;
  const photographed = { vessel, waterMm, tempC, soilMm };
  switch (params.file) {
    case 'picture.png': {
      const stands = test.run ? (serverNow() - test.run.setDownAt) / 1000 : 1;
      const png = await benchPng(photographed, q, q.seconds?.[0] ?? Math.max(1, stands));
      return file(new Uint8Array(png), 'image/png');
    }
    case 'series.zip':
      return file(benchSeries(photographed, q), 'application/zip');
    case 'film.y4m':
      return file(benchFilm(photographed, q), 'application/octet-stream');
    default:
      error(404, refusals.api.benchCameraGivesPicture);
  }
};
