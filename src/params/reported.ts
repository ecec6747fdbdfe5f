import type { ParamMatcher } from '@sveltejs/kit';

/** What a report can be of. */
export const match = ((kind: string): kind is 'test' | 'sample' | 'site' =>
  ['test', 'sample', 'site'].includes(kind)) satisfies ParamMatcher;
