import { onMount, tick } from 'svelte';
import { dropDraft, fitted, keepDraft, readDraft } from './draft';

/**
 * Keeps what is being entered on a page in this browser, from the moment the page is awake; call it while the page is
 * set up.
 *
 * @param take puts what was kept back into the form: what of it fits the form as it is today
 * @param give a plain copy of the form as it stands
 * @returns how to forget it once it has been saved; what is entered after that is kept again
 */
export function keepsDraft<T>(key: string, take: (kept: T) => void, give: () => T): () => void {
  let started = $state(false);
  /** The form when it was last forgotten: that is nothing entered. */
  let saved: string | undefined;
  onMount(() => {
    const kept = readDraft(key);
    if (kept !== undefined && kept !== null) take(fitted(kept, give()));
    started = true;
  });
  $effect(() => {
    const now = give();
    if (!started) return;
    if (now === null || JSON.stringify(now) === saved) dropDraft(key);
    else keepDraft(key, now);
  });
  return () => {
    const forget = () => {
      saved = JSON.stringify(give());
      dropDraft(key);
    };
    forget();
    // Whoever saves may empty the form in the same breath.
    void tick().then(forget);
  };
}
