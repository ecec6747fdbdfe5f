<!-- @component A column of sediment: sand below, silt, clay on top, each as thick as its share, with its percentage in it. -->
<script lang="ts">
  import type { Fractions } from '$lib/core';
  import { t } from '$lib/words';
  import { wholeShares } from '$lib/words/headline';

  type Props = { fractions: Fractions; width: number; height: number; label: string; plain?: boolean };
  let { fractions, width, height, label, plain = false }: Props = $props();

  const PARTS = ['clay', 'silt', 'sand'] as const;
  const shares = $derived(wholeShares(fractions));
  const strata = $derived.by(() => {
    let top = 0;
    return PARTS.map((part) => {
      const from = top;
      top += (fractions[part] / 100) * height;
      return { part, y: from, h: top - from, share: shares[part] };
    });
  });
</script>

<svg class="block" viewBox="0 0 {width} {height}" {width} {height} role="img" aria-label={label}>
  {#each strata as s (s.part)}
    <rect
      x="1"
      y={s.y}
      width={width - 2}
      height={s.h}
      fill={plain ? `var(--${s.part})` : `url(#grain-${s.part})`}
    />
    {#if s.y > 0}<path d="M1 {s.y}H{width - 1}" class="line" />{/if}
    {#if s.h > 17 && width > 40}
      <g transform="translate({width / 2} {s.y + s.h / 2 + 5})">
        <rect x="-27" y="-15" width="54" height="20" rx="2" class="behind" />
        <text text-anchor="middle">{t.common.percent(s.share)}</text>
      </g>
    {/if}
  {/each}
  <rect x="1" y="1" width={width - 2} height={height - 2} class="glass" />
</svg>

<style>
  .glass {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
  }
  .line {
    stroke: var(--ink);
    stroke-width: 1.2;
  }
  .behind {
    fill: var(--label);
    opacity: 0.92;
  }
  text {
    font: 700 var(--text-xs) var(--face-text);
    font-variant-numeric: tabular-nums;
    fill: var(--sediment-ink);
  }
</style>
