/** What the worker that keeps pages calls its box of them, by the version of the build. */
export const keptPages = (version: string): string => `pages-${version}`;

/** Drops all pages that a device keeps for when the server is away, of whatever build. */
export async function dropKeptPages(): Promise<void> {
  // Only where the site comes by a safe way has a browser such boxes.
  const boxes = (globalThis as { caches?: CacheStorage }).caches;
  for (const name of (await boxes?.keys()) ?? [])
    if (name.startsWith(keptPages(''))) await boxes?.delete(name);
}
