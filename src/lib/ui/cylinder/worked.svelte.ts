import { untrack } from 'svelte';
import { CylinderWork } from '$lib/browser/work';
import type { CylinderInput } from '$lib/core';
import { workedSoFar, wrongReadings } from '$lib/workbench/working/readings';

/**
 * What the readings of a cylinder come to as far as they go, and the answer with its chances once it is drawn. Worked out anew
 * only where a figure has changed. Call it while the page is set up.
 */
export function cylinderAnswer(input: () => CylinderInput | undefined) {
  const key = $derived(JSON.stringify(input() ?? null));
  const soFar = $derived.by(() => {
    void key;
    return workedSoFar(untrack(input));
  });
  const wrong = $derived(wrongReadings(soFar.problem));
  const work = new CylinderWork();
  let asked = '';
  $effect(() => {
    const question = soFar.worked ? key : '';
    if (question === asked) return;
    asked = question;
    void work.ask(soFar.worked ? $state.snapshot(input()) : undefined);
  });
  return {
    get soFar() {
      return soFar;
    },
    /** What is wrong with single readings, by their number. */
    get wrong() {
      return wrong;
    },
    get answer() {
      return soFar.worked ? work.answer : undefined;
    }
  };
}
