import { TRIAL_KINDS } from '$lib/core';
import { samplesToPick } from '$lib/server/repositories/samples';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

/** The samples that pieces can be made of, those for building first; what the address asks for. */
export const load: PageServerLoad = async ({ url, depends }) => {
  depends('tivrel:data');
  const all = await samplesToPick((await store()).db, url.searchParams.getAll('sample'));
  const samples = [...all]
    .sort((a, b) => Number(b.purpose === 'build') - Number(a.purpose === 'build'))
    .map(({ id, code, name }) => ({ id, code, name }));
  const { searchParams } = url;
  return {
    title: t.trial.newTitle,
    samples,
    asked: {
      sample: samples.find((one) => one.id === searchParams.get('sample'))?.id ?? null,
      kind: TRIAL_KINDS.find((kind) => kind === searchParams.get('kind')) ?? 'block',
      mix: (searchParams.get('mix') ?? '').slice(0, 300)
    }
  };
};
