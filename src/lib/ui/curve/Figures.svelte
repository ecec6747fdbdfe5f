<!-- @component D10, D30, D50, D60, Cu and Cc of a curve, as far as it reaches. -->
<script lang="ts">
  import type { GradingFigures } from '$lib/core';
  import { t } from '$lib/words';
  import { sizeText } from './sizes';

  let { figures }: { figures: GradingFigures } = $props();
  const sizes = $derived(([10, 30, 50, 60] as const).map((pct) => ({ pct, at: figures[`d${pct}`] })));
</script>

<dl aria-label={t.curve.figures}>
  {#each sizes as { pct, at } (pct)}
    <div>
      <dt class="font-medium">{t.curve.d(pct)}</dt>
      <dd class="tabular-nums">
        {#if at}<b>{sizeText(at.value)} µm</b>{#if at.how === 'beyond'}<span class="faded small">
              {t.curve.beyond}</span
            >{/if}
        {:else}<span class="faded">{t.curve.notReached}</span>{/if}
      </dd>
    </div>
  {/each}
  {#each [{ key: t.curve.cu, hint: t.curve.cuHint, value: figures.cu }, { key: t.curve.cc, hint: t.curve.ccHint, value: figures.cc }] as f (f.key)}
    <div>
      <dt class="font-medium">{f.key} <span class="faded small">{f.hint}</span></dt>
      <dd class="tabular-nums">
        {#if f.value !== undefined}<b>{f.value.toPrecision(2)}</b>{:else}<span class="faded"
            >{t.curve.notReached}</span
          >{/if}
      </dd>
    </div>
  {/each}
</dl>

<style>
  dl {
    display: flex;
    flex-wrap: wrap;
    gap: var(--spacing-2) var(--spacing-8);
    margin: var(--spacing-3) 0 0;
  }
</style>
