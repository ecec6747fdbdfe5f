<!-- @component What a reading says as it stands: its place on the triangle, the answer, and the heights it was read by. -->
<script lang="ts">
  import type { Snippet } from 'svelte';
  import { inkOf, isShare, type Help, type JarAnswer, type ReadingDoubt } from '$lib/core';
  import type { Worked } from '$lib/browser/work';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import { asReadText, wholeShares } from '$lib/words/headline';
  import Answer from '../answer/Answer.svelte';
  import Doubts from '../answer/Doubts.svelte';
  import Triangle from '../triangle/Triangle.svelte';
  import type { ReadingForm } from './form.svelte';
  import Outcome from './Outcome.svelte';
  import ShareOutcome from './ShareOutcome.svelte';
  import WaterNote from './WaterNote.svelte';

  type Props = {
    form: ReadingForm;
    worked: Worked | undefined;
    /** What is known of the soil from all that was read, as far as it can be. */
    answer: JarAnswer | undefined;
    /** It is not worked out to the end yet. */
    pending: boolean;
    /** What would make it surer. */
    helps: readonly Help[];
    /** There will be one: the heights have no class of their own. */
    expected: boolean;
    /** Why there is none. */
    problem: string | undefined;
    doubts: readonly ReadingDoubt[];
    format: Format;
    /** What is to be done with it. */
    children: Snippet;
  };
  let { form, worked, answer, pending, helps, expected, problem, doubts, format, children }: Props = $props();

  const result = $derived(worked?.result);
  const texture = $derived(result && !isShare(result) ? result : undefined);
  const main = $derived(texture && (answer ?? (expected ? undefined : texture)));
  const heights = $derived(texture && wholeShares(texture.fractions));
  const shares = $derived(main && wholeShares(main.fractions));
  const ink = $derived(answer && inkOf(answer));
</script>

<div class="answer max-lg:col-span-full max-lg:max-w-[34rem]">
  <Triangle
    point={(main ?? texture)?.fractions}
    classId={main?.class.id}
    probabilities={main && Object.fromEntries(main.classes.map((c) => [c.id, c.probability]))}
    region={answer ? ink : main && worked?.region}
    other={texture && answer ? { point: texture.fractions } : undefined}
    label={main && shares
      ? t.result.triangle(main.class.name, shares.sand, shares.silt, shares.clay)
      : heights
        ? t.result.triangle(t.answer.asHeights, heights.sand, heights.silt, heights.clay)
        : t.result.triangleEmpty}
  />
  <div aria-live="polite">
    {#if result && isShare(result)}
      <ShareOutcome {result} {format} figures={form.figures} />
    {:else if texture}
      {#if form.figures !== 'others'}
        <div class="water mb-4" class:asked={form.texts.water === ''}>
          {#if form.texts.water === ''}<p>{t.mass.askWater}</p>{/if}
          <WaterNote bind:value={form.texts.water} />
        </div>
      {/if}
      {#if answer}
        <Answer {answer} read={texture} {doubts} {pending} {helps} {format} />
      {:else if expected && heights}
        <p class="font-head text-xl font-bold" data-testid="as-read">
          {asReadText(texture.fractions)}
        </p>
        <Doubts {doubts} />
        {#if form.texts.water !== ''}<p class="faded">{t.answer.working}</p>{/if}
      {/if}
      <Outcome
        result={texture}
        sigmaMm={form.sigmaMm}
        baseMm={form.offsetMm}
        figures={form.figures}
        {doubts}
        {format}
        arithmetic={answer !== undefined || expected}
        byMass={answer?.fractions}
      />
      {#if problem}<p class="faded small">{t.answer.cannot(problem)}</p>{/if}
    {:else}
      <p class="faded">{form.against ?? t.result.pendingHint}</p>
    {/if}
  </div>
  {@render children()}
</div>

<style>
  .water.asked {
    border-left: var(--line-heavy) solid var(--pen);
    padding-left: var(--spacing-4);
  }
  .answer {
    display: flex;
    flex-direction: column;
    gap: var(--spacing-3);
    /* Down to the foot of the window: what is to be pressed keeps its place while answers come and go above it. */
    min-height: min(calc(100dvh - 112px), 46rem);
  }
  @media (max-width: 900px) {
    .answer {
      min-height: 0;
    }
  }
</style>
