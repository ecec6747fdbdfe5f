<!-- @component What a hole comes to: its class, how fast the water falls, what the ground itself lets through, and what stands against it. -->
<script lang="ts">
  import { formatDuration, formatInchRate, formatRate } from '$lib/core';
  import { emptyAt, type HoleView } from '$lib/workbench/holes';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';

  type Props = { view: HoleView; format: Format; now: number };
  let { view, format, now }: Props = $props();
  const { hole, outcome } = $derived(view);
  const measured = $derived(outcome?.kind === 'measured');
  const emptyBy = $derived(emptyAt(view));
  const isEmpty = $derived(hole.readings.some((r) => r.seen === 'gone'));
</script>

{#if outcome}
  {@const { drainage } = outcome}
  <p class="font-head text-2xl font-[650] leading-[1.2]" data-testid="hole-result" aria-live="polite">
    {(measured ? t.hole.result : t.hole.atMost)[drainage.class]}.
  </p>
  <p class="text-lg mt-2">
    {(measured ? t.hole.drop : t.hole.dropAtMost)(
      formatRate(drainage.dropMmH),
      formatInchRate(drainage.dropMmH)
    )}
  </p>
  <p class="mt-1">{(measured ? t.hole.ground : t.hole.groundAtMost)(formatRate(drainage.groundMmH))}</p>
  {#if measured}
    <p class="mt-1">
      {#if isEmpty}{t.hole.empty(formatDuration(outcome.emptyAfterS))}
      {:else if emptyBy === undefined}{t.hole.never}
      {:else if hole.finishedAt !== null}{t.hole.emptyAbout(formatDuration(outcome.emptyAfterS))}
      {:else}{t.hole.emptyBy(format.when(emptyBy, now))}{/if}
    </p>
  {/if}
  {#if outcome.poor}<p class="mt-1 font-bold">{t.hole.poor}</p>{/if}
  {#if drainage.steady !== undefined}
    <p class="mt-1" class:faded={drainage.steady}>{drainage.steady ? t.hole.steady : t.hole.unsteady}</p>
  {/if}
{:else if hole.refilledAt !== null}
  <p class="faded">{view.problem?.place === -1 ? view.problem.message : t.hole.nothing}</p>
{/if}
{#if hole.refilledAt !== null && hole.soakedAt === null}<p class="caution small mt-3">
    {t.hole.unsoaked}
  </p>{/if}
