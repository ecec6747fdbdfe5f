import { MassWork, ReadingWork } from '$lib/browser/work';
import { toMassInput } from '$lib/contract/reading';
import type { TestDetail } from '$lib/contract/records/result';
import type { RunRecord } from '$lib/contract/records/run';
import { isShare } from '$lib/core';
import { doubtsOf } from '$lib/workbench/doubts';
import { t } from '$lib/words';
import type { ReadingForm } from './form.svelte';

/**
 * What a reading comes to while it is typed: shares and their certainty, the same layers weighed, and what to doubt. Call it
 * while the page is set up.
 *
 * @param o.minute when the reading is of, ms: by the minute, for an estimate must not change with every second
 */
export function answerTo(
  form: ReadingForm,
  o: { test: () => TestDetail; run: () => RunRecord | null; minute: () => number }
) {
  const work = new ReadingWork();
  $effect(() => void work.ask(form.reading && $state.snapshot(form.reading)));
  const worked = $derived(form.reading ? work.answer : undefined);
  const result = $derived(worked?.result);
  const texture = $derived(result && !isShare(result) ? result : undefined);
  /** The result in a few words. */
  const named = $derived(
    result && isShare(result)
      ? t.read.share(t.layer[result.layer], t.common.percent(Math.round(result.pct)))
      : (texture?.class.name ?? '')
  );
  const doubts = $derived(
    result && form.entry ? doubtsOf(o.test(), o.run(), $state.snapshot(form.entry), result, o.minute()) : []
  );
  /** The same layers weighed, as far as they can be. */
  const massWork = new MassWork();
  const massInput = $derived(
    texture && form.entry?.water ? toMassInput(o.test(), o.run(), form.entry, o.minute()) : undefined
  );
  $effect(() => {
    void massWork.ask(massInput && ($state.snapshot(massInput) as typeof massInput));
  });
  const weighed = $derived(texture && massInput ? massWork.answer : undefined);

  return {
    get worked() {
      return worked;
    },
    get result() {
      return result;
    },
    get texture() {
      return texture;
    },
    get named() {
      return named;
    },
    get doubts() {
      return doubts;
    },
    get weighed() {
      return weighed;
    },
    get massProblem() {
      return massInput && massWork.problem;
    }
  };
}
