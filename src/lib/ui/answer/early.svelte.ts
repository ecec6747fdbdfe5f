import { EarlyWork } from '$lib/browser/work';
import type { EstimateInput } from '$lib/core';

/**
 * What a jar says so far, worked out anew when what is known of it changes. Call it while a component is set up.
 * @param of what is known of it; undefined where there is nothing to go by
 */
export function earlyAnswer(of: () => EstimateInput | undefined) {
  const work = new EarlyWork();
  const input = $derived(of());
  // A copy: jars are made anew every second, and only what is asked counts.
  const asked = $derived(input && JSON.stringify(input));
  $effect(() => void work.ask(asked === undefined ? undefined : (JSON.parse(asked) as typeof input)));
  return {
    /** Whether there is anything to go by, and no reason against it. */
    get asked() {
      return input !== undefined && work.problem === undefined;
    },
    get answer() {
      return input && work.answer?.answer;
    },
    get helps() {
      return (input && work.answer?.helps) ?? [];
    }
  };
}
