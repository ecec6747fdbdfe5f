import { onMount } from 'svelte';
import { dropDraft, keepDraft, readDraft } from './draft';

/**
 * Keeps what is being entered on a page in this browser, from the moment the page is awake; call it while the page is
 * set up.
 *
 * @param take puts what was kept back into the form
 * @param give a plain copy of the form as it stands
 * @returns how to forget it once it has been saved
 */
export function keepsDraft<T>(key: string, take: (kept: T) => void, give: () => T): () => void {
  let started = $state(false);
  onMount(() => {
    const kept = readDraft<T>(key);
    if (kept) take(kept);
    started = true;
  });
  $effect(() => {
    const now = give();
    if (started) keepDraft(key, now);
  });
  return () => {
    started = false;
    dropDraft(key);
  };
}
