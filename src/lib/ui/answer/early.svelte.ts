import { EarlyWork } from '$lib/browser/work';
import { toEarlyEstimate, type JarFacts } from '$lib/contract/evidence';
import type { RunRecord } from '$lib/contract/records/run';

/** What a jar that stands says so far, worked out anew when what is known of it changes. Call it while a component is set up. */
export function earlyAnswer(of: () => { jar: JarFacts; run: RunRecord }) {
  const work = new EarlyWork();
  const input = $derived(toEarlyEstimate(of().jar, of().run));
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
