import { known } from '$lib/core';
import { error } from '@sveltejs/kit';
import { z } from 'zod';
import { config } from '$lib/server/config';
import { LABEL_SHEETS } from '$lib/formats/labels';
import { pdfAnswer } from '$lib/server/pdf';
import { samplesByIds, secondJars } from '$lib/server/repositories/samples';
import { allAreas } from '$lib/server/repositories/sites';
import { store } from '$lib/server/store';
import { formatFor } from '$lib/words/format';
import type { RequestHandler } from './$types';
import { refusals } from '$lib/words/refusals';

const query = z.object({
  samples: z.string().max(9000, refusals.api.fewerLabels).default(''),
  /** Jars after the first of their sample, each with a code of its own. */
  tests: z.string().max(5000, refusals.api.fewerLabels).default(''),
  sheet: z.enum(LABEL_SHEETS.map((s) => s.id)),
  skip: z.coerce.number().int().min(0).max(100).default(0),
  copies: z.coerce.number().int().min(1).max(20).default(1),
  /** A name of one's own, by which it can be asked how far they are. */
  watch: z.ulid().optional()
});

/** Labels of samples as a PDF; the code in the square opens the sample on the server that was asked. */
export const GET: RequestHandler = async ({ url, request, locals }) => {
  const asked = query.safeParse(Object.fromEntries(url.searchParams));
  if (!asked.success) error(400, asked.error.issues[0].message);
  const { samples: ids, tests, sheet, skip, copies, watch } = asked.data;
  if (ids === '' && tests === '') error(400, refusals.api.sayWhichSamples);
  const origin = config().origin ?? `http://${request.headers.get('host')}`;
  const format = formatFor(locals.profile, locals.zone);
  const { db } = await store();
  const [sampleIds, testIds] = [ids.split(','), tests.split(',')];
  const jars = new Map((await secondJars(db, { ids: testIds })).map((j) => [j.id, j]));
  const all = await samplesByIds(db, [...sampleIds, ...[...jars.values()].map((jar) => jar.sampleId)]);
  const byId = new Map(all.map((s) => [s.id, s]));
  const areas = new Map((await allAreas(db)).map((a) => [a.id, a.name]));
  const wanted = [
    ...sampleIds.map((id) => ({ sample: byId.get(id), code: undefined, path: '/samples/' + id })),
    ...testIds.map((id) => {
      const jar = jars.get(id);
      return { sample: jar && byId.get(jar.sampleId), code: jar?.code, path: '/tests/' + id };
    })
  ];
  const labels = wanted.flatMap(({ sample: s, code, path }) => {
    if (!s) return [];
    const day = s.details.takenOn ? format.dayOf(s.details.takenOn) : format.day(s.createdAt);
    const label = {
      code: code ?? s.code,
      name: s.name,
      area: s.areaId ? areas.get(s.areaId) : undefined,
      day,
      link: `${origin}${path}`
    };
    return Array.from({ length: copies }, () => label);
  });
  if (labels.length === 0) error(404, refusals.api.noneTheseSamples);
  const on = known(
    LABEL_SHEETS.find((s) => s.id === sheet),
    'the query takes no other'
  );
  return pdfAnswer({ kind: 'labels', labels, on, skip }, 'tivrel-labels.pdf', {
    signal: request.signal,
    watch
  });
};
