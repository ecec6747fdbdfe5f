import { wrap, type Remote } from 'comlink';
import type { readFilm } from '$lib/core';
import { Latest } from '../state/latest.svelte';
import type { FilmEndpoint } from '$lib/workers/film.worker';

type Question = Parameters<typeof readFilm>[0];
type Answer = ReturnType<typeof readFilm>;

let remote: Remote<FilmEndpoint> | undefined;
function worker(): Remote<FilmEndpoint> {
  remote ??= wrap<FilmEndpoint>(
    new Worker(new URL('../../workers/film.worker.ts', import.meta.url), { type: 'module' })
  );
  return remote;
}

/** Reads films in the worker. */
export class FilmWork extends Latest<Question, Answer> {
  constructor() {
    super((question) => worker().readFilm(question) as Promise<Answer>);
  }
}
