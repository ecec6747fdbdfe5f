import { onMount, tick, untrack } from 'svelte';
import { page } from '$app/state';
import { clock } from '$lib/browser/clock.svelte';
import {
  draftOf,
  dropDraft,
  fitted,
  keepDraft,
  readDraft,
  underUnits,
  type Measured,
  type Units
} from './draft';

const unitsOfToday = (): Units => {
  const { length, temperature } = page.data.profile;
  return { length, temperature };
};

/**
 * Keeps what is being entered on a page in this browser, from the moment the page is awake; call it while the page is
 * set up. A figure keeps the unit that it was typed in, whatever the profile becomes meanwhile.
 *
 * @param key names what is entered and whose it is: a jar, a run, a hole
 * @param take puts what was kept back into the form: what of it fits the form as it is today; `at` is when it was left, ms
 * @param give a plain copy of the form as it stands
 * @param measured its fields whose figures have a unit of the profile
 * @returns how to forget it once it has been saved; what is entered after that is kept again
 */
export function keepsDraft<T>(
  key: string,
  take: (kept: T, at?: number) => void,
  give: () => T,
  measured: Measured = {}
): () => void {
  let started = $state(false);
  /** The form before anything was entered, or when it was last forgotten. */
  let saved: string | undefined;
  let units = untrack(unitsOfToday);
  onMount(() => {
    saved = JSON.stringify(give());
    const kept = draftOf(readDraft(key));
    if (kept?.typed !== undefined && kept.typed !== null) {
      const typed = fitted(kept.typed, give());
      take(kept.units ? underUnits(typed, measured, kept.units, units) : typed, kept.at);
    }
    started = true;
  });
  $effect(() => {
    const [was, now] = [units, unitsOfToday()];
    units = now;
    if (was.length === now.length && was.temperature === now.temperature) return;
    untrack(() => {
      const typed = give();
      if (typed !== null) take(underUnits(typed, measured, was, now));
    });
  });
  $effect(() => {
    const now = give();
    if (!started) return;
    if (now === null || JSON.stringify(now) === saved) dropDraft(key);
    else keepDraft(key, { typed: now, units: unitsOfToday(), at: untrack(() => clock.now) });
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
