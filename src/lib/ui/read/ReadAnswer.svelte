<!-- @component What a reading says as it stands: its place on the triangle, and the outcome by height and by mass. -->
<script lang="ts">
  import type { Snippet } from 'svelte';
  import { isShare, roundShares, type ReadingDoubt } from '$lib/core';
  import type { Weighed, Worked } from '$lib/browser/work';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import Triangle from '../triangle/Triangle.svelte';
  import type { ReadingForm } from './form.svelte';
  import MassOutcome from './MassOutcome.svelte';
  import Outcome from './Outcome.svelte';
  import ShareOutcome from './ShareOutcome.svelte';
  import WaterNote from './WaterNote.svelte';

  type Props = {
    form: ReadingForm;
    worked: Worked | undefined;
    /** The same layers weighed, as far as they can be. */
    weighed: Weighed | undefined;
    /** Why they cannot be. */
    massProblem: Parameters<typeof t.mass.cannot>[0] | undefined;
    doubts: readonly ReadingDoubt[];
    /** Whether the estimate by mass stands large where there is one. */
    massLarge: boolean;
    format: Format;
    /** What is to be done with it. */
    children: Snippet;
  };
  let { form, worked, weighed, massProblem, doubts, massLarge, format, children }: Props = $props();

  const result = $derived(worked?.result);
  const texture = $derived(result && !isShare(result) ? result : undefined);
  const byMass = $derived(weighed !== undefined && massLarge);
  const main = $derived(byMass && weighed ? weighed.estimate : texture);
  const shares = $derived(
    main && roundShares([main.fractions.sand, main.fractions.silt, main.fractions.clay])
  );
</script>

<div class="answer max-lg:col-span-full max-lg:max-w-[34rem]">
  <Triangle
    point={main?.fractions}
    classId={main?.class.id}
    probabilities={main && Object.fromEntries(main.classes.map((c) => [c.id, c.probability]))}
    region={byMass ? weighed?.region : worked?.region}
    other={texture && weighed
      ? byMass
        ? { point: texture.fractions, region: worked?.region }
        : { point: weighed.estimate.fractions, region: weighed.region }
      : undefined}
    label={main && shares
      ? t.result.triangle(main.class.name, shares[0], shares[1], shares[2])
      : t.result.triangleEmpty}
  />
  <div aria-live="polite">
    {#if result && isShare(result)}
      <ShareOutcome {result} {format} />
    {:else if texture}
      <div class="water mb-4" class:asked={form.texts.water === ''}>
        {#if form.texts.water === ''}<p>{t.mass.askWater}</p>{/if}
        <WaterNote bind:value={form.texts.water} />
      </div>
      {#if weighed && byMass}<MassOutcome estimate={weighed.estimate} read={texture} {format} large />{/if}
      <Outcome
        result={texture}
        sigmaMm={form.sigmaMm}
        baseMm={form.offsetMm}
        {doubts}
        {format}
        small={byMass}
      />
      {#if weighed && !byMass}<MassOutcome estimate={weighed.estimate} read={texture} {format} />{/if}
      {#if massProblem}<p class="faded small">{t.mass.cannot(massProblem)}</p>{/if}
    {:else}
      <p class="faded">{t.result.pendingHint}</p>
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
