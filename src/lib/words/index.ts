import { en } from './en/index.ts';

/** Every word on the screen. A second language is a file beside `en.ts` of the same shape. */
export const t = en;
