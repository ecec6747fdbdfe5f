<!-- @component What decides in the end: the trial pieces of a soil and what they told, and where the next are made. -->
<script lang="ts">
  import type { Figures } from '$lib/core';
  import type { TrialRecord } from '$lib/contract/records/trial';
  import { clock } from '$lib/browser/clock.svelte';
  import { viewTrial } from '$lib/workbench/trials';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import { mixLine, trialVerdict } from '$lib/words/trial';
  import { stepTime } from '$lib/words/steps';

  type Props = {
    chosen: { sample: { id: string } } | null;
    pieces: readonly TrialRecord[];
    figures: Figures;
    format: Format;
  };
  let { chosen, pieces, figures, format }: Props = $props();
  const views = $derived(pieces.map((one) => viewTrial(one, figures, clock.now)));
</script>

{#if chosen}
  <section aria-label={t.trial.ofSample}>
    <h2>{t.trial.ofSample}</h2>
    {#if views.length > 0}
      <ul class="plain-list">
        {#each views as { trial, tells, step } (trial.id)}
          <li class="py-1">
            <a class="link font-bold" href="/trials/{trial.id}">{trial.code}</a>
            {t.trial.kinds[trial.kind].many}, {mixLine(trial)}: {trialVerdict(tells, figures, format) ??
              (step ? `${t.trial.short[step.kind]}, ${stepTime(step, format, clock.now)}` : t.trial.none)}
          </li>
        {/each}
      </ul>
    {/if}
    <p class="row-of-actions no-print mt-3">
      <a class="btn btn-secondary" href="/trials/new?sample={chosen.sample.id}">{t.trial.newTitle}</a>
      {#if views.length > 0}<a class="link" href="/trials">{t.trial.beside}</a>{/if}
    </p>
  </section>
{/if}
