<!-- @component Trial pieces that are under way, on their boards under the bench, each set with what it waits for. -->
<script lang="ts">
  import type { TrialView } from '$lib/workbench/trials';
  import { stepTime } from '$lib/words/steps';
  import { mixLine } from '$lib/words/trial';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import TrialDrawing from './TrialDrawing.svelte';
  import TrialPress from './TrialPress.svelte';

  type Props = { views: readonly TrialView[]; now: number; format: Format };
  let { views, now, format }: Props = $props();
</script>

{#if views.length > 0}
  <section class="mt-6" aria-label={t.trial.onBench}>
    <ul class="plain-list flex flex-wrap gap-x-8 gap-y-5">
      {#each views as view (view.trial.id)}
        {@const { trial, step } = view}
        <li class="grid grid-cols-[210px_auto] gap-4 items-center max-sm:grid-cols-1">
          <a href="/trials/{trial.id}" aria-label={`${trial.code}, ${trial.sampleName}`}>
            <TrialDrawing {view} small />
          </a>
          <div class="grid gap-1 max-w-[17rem]">
            <a class="font-head text-lg font-[650]" href="/trials/{trial.id}">{trial.code}</a>
            <span class="faded small">{t.trial.made(trial.count, trial.kind)} · {mixLine(trial)}</span>
            {#if step}
              <span class={step.state === 'due' || step.state === 'late' ? 'font-bold text-pen' : ''}>
                {t.trial.short[step.kind]}{step.state === 'ready' ? '' : ` · ${stepTime(step, format, now)}`}
              </span>
              <TrialPress {view} />
            {/if}
          </div>
        </li>
      {/each}
    </ul>
  </section>
{/if}
