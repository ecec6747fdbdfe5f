import { EstimateWork, ReadingWork } from '$lib/browser/work';
import { toEstimate } from '$lib/contract/evidence';
import type { TestDetail } from '$lib/contract/records/result';
import type { RunRecord } from '$lib/contract/records/run';
import { isShare } from '$lib/core';
import { doubtsOf } from '$lib/workbench/doubts';
import { shareShort } from '$lib/words/headline';
import type { ReadingForm } from './form.svelte';

/**
 * What a reading comes to while it is typed: the shares of its heights, the answer from all that is known, and what to
 * doubt. Call it
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
  const doubts = $derived(
    result && form.entry ? doubtsOf(o.test(), o.run(), $state.snapshot(form.entry), result, o.minute()) : []
  );
  /** What is known of the soil from all of it; the water is asked for before. */
  const estimate = new EstimateWork();
  const possible = $derived(
    texture && form.entry ? toEstimate(o.test(), o.run(), form.entry, o.minute()) : undefined
  );
  const input = $derived(form.entry?.water ? possible : undefined);
  $effect(() => estimate.ask(input && ($state.snapshot(input) as typeof input)));
  const answer = $derived(texture && input ? estimate.answer : undefined);

  /** The result in a few words. */
  const named = $derived(
    result && isShare(result)
      ? shareShort(result)
      : (answer?.class.name ?? (possible ? '' : (texture?.class.name ?? '')))
  );

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
    get answer() {
      return answer;
    },
    get pending() {
      return !estimate.full;
    },
    get helps() {
      return estimate.helps;
    },
    /** There will be an answer, or is one. */
    get expected() {
      return possible !== undefined && estimate.problem === undefined;
    },
    get problem() {
      return input && estimate.problem;
    }
  };
}
