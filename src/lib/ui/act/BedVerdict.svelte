<!-- @component What a soil comes to for a purpose: the verdict with its chance first, then what carries it. -->
<script lang="ts">
  import type { Judgement } from '$lib/core';
  import { t } from '$lib/words';
  import { chanceText } from '$lib/words/headline';
  import { bedVerdict, windowBounds } from '$lib/words/verdict';

  let { judged }: { judged: Omit<Judgement, 'holds'> } = $props();
</script>

<p
  class="font-head text-2xl print:text-xl font-[650] leading-[1.2] max-w-[46rem]"
  data-testid="act-verdict"
  aria-live="polite"
>
  {bedVerdict(judged)}
</p>
<ul class="plain-list windows print:text-xs print:leading-tight" aria-label={t.act.carries}>
  {#each judged.windows as { window, chance: own } (window.of)}
    <li>
      <strong>{t.act.window[window.of]}</strong>
      {windowBounds(window)}: <span class="num">{chanceText(own)}</span>
      <span class="faded small block">{window.reason}</span>
    </li>
  {/each}
</ul>

<style>
  .windows {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(13rem, 1fr));
    gap: var(--spacing-3) var(--spacing-6);
    margin-top: var(--spacing-4);
  }
  @media print {
    .windows {
      grid-template-columns: repeat(4, minmax(0, 1fr));
      gap: var(--spacing-3);
    }
  }
</style>
