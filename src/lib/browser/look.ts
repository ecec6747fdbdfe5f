import { MediaQuery } from 'svelte/reactivity';
import { lookAgain } from './look-again.ts';

/** Whether the device asks for a dark screen: it may turn dark at dusk, with the bench open. */
export const nightfall = new MediaQuery('(prefers-color-scheme: dark)');

/**
 * Tells the server how this device looks and where its clock stands, for the pages that it draws from then on.
 *
 * @param zone the zone that this page was drawn for
 */
export function rememberDevice(zone: string): void {
  const kept = 'path=/; max-age=31536000; samesite=lax';
  document.cookie = `tivrel-dark=${nightfall.current ? 1 : 0}; ${kept}`;
  const here = Intl.DateTimeFormat().resolvedOptions().timeZone;
  document.cookie = `tivrel-zone=${here}; ${kept}`;
  if (here !== zone) void lookAgain().catch(() => {});
}
