/** The curve of a top, in a file of its own: it is fetched where there are readings enough for one. */
export { fitTop } from '$lib/core';
