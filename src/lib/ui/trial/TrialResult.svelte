<!-- @component What a set of trial pieces comes to: the verdict, strengths dry and wet, and what else was measured. -->
<script lang="ts">
  import { formatPressure, type Strengths } from '$lib/core';
  import { page } from '$app/state';
  import type { TrialView } from '$lib/workbench/trials';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import { trialVerdict } from '$lib/words/trial';

  type Props = { view: TrialView; format: Format };
  let { view, format }: Props = $props();
  const { trial, tells } = $derived(view);
  const verdict = $derived(trialVerdict(tells, page.data.usual, format));
  const line = (s: Strengths) => t.trial.strengths(formatPressure(s.mean), formatPressure(s.lowest), s.count);
</script>

<p
  class="font-head text-2xl font-[650] leading-[1.2] max-w-[40rem]"
  data-testid="trial-verdict"
  aria-live="polite"
>
  {verdict ?? t.trial.none}
</p>
{#if verdict}
  <div class="grid gap-1 mt-3 text-lg">
    {#each [['dry', tells.dry], ['wet', tells.wet]] as const as [state, strengths] (state)}
      {#if strengths}
        <p>
          <strong>{t.trial.strength[state]}:</strong>
          {line(strengths)}
          {#if strengths.count > 1}<span class="faded small"
              >{t.trial.spread(formatPressure(strengths.sd))}</span
            >{/if}
        </p>
      {/if}
    {/each}
    {#if tells.fell > 0}<p>{t.trial.fell(tells.fell, trial.soaked)}</p>{/if}
    {#if tells.ratio !== undefined}<p>{t.trial.ratio(`${(100 * tells.ratio).toFixed(0)} %`)}</p>{/if}
    {#if tells.densityKgM3 !== undefined}<p>{t.trial.density(tells.densityKgM3.toFixed(0))}.</p>{/if}
  </div>
{/if}
