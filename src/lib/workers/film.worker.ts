import { expose } from 'comlink';
import { readFilm } from '../core/photo/film-estimate.ts';

const endpoint = { readFilm };
export type FilmEndpoint = typeof endpoint;
expose(endpoint);
