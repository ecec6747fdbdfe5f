<!--
  @component One window of a technique as an opening in a wall, and the soil's spread that passes through it or strikes it.
-->
<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import type { WindowSaid } from '$lib/core';
  import { t } from '$lib/words';
  import { chanceText } from '$lib/words/headline';
  import { wallBounds } from '$lib/words/wall';

  let { said }: { said: WindowSaid } = $props();
  const { window, spread, chance } = $derived(said);

  const WIDE = 150;
  const HIGH = 40;
  const MIDDLE = HIGH / 2;
  /** Where the scale of each ends. */
  const ENDS = { grit: 100, silt: 60, clay: 60, clayToSilt: 3, stone: 30, organic: 5 } as const;
  const x = $derived(scaleLinear([0, ENDS[window.of]], [0, WIDE]).clamp(true));
  const from = $derived(x(window.least ?? 0));
  const to = $derived(window.most === undefined ? WIDE : x(window.most));
  const digits = $derived(window.of === 'clayToSilt' ? 1 : 0);
  const unit = $derived(t.wall.of[window.of].unit);
  const figure = (n: number) => `${n.toFixed(digits)} ${unit}`.trim();
</script>

<svg
  viewBox="-2 0 {WIDE + 4} {HIGH + 20}"
  class="block w-full max-w-[170px]"
  role="img"
  aria-label={spread
    ? t.wall.cell(wallBounds(window), figure(spread.low), figure(spread.high), chanceText(chance ?? null))
    : `${wallBounds(window)}; ${t.wall.unknown}`}
>
  {#if window.least !== undefined}<rect x="0" y="0" width={from} height={HIGH} class="stone" />{/if}
  {#if window.most !== undefined}<rect x={to} y="0" width={WIDE - to} height={HIGH} class="stone" />{/if}
  {#if window.best}
    <rect
      x={x(window.best.least ?? 0)}
      y={HIGH - 5}
      width={Math.max(2, x(window.best.most ?? ENDS[window.of]) - x(window.best.least ?? 0))}
      height="5"
      class="best"
    />
  {/if}
  {#if spread}
    <path d="M{x(spread.low)} {MIDDLE}H{Math.max(x(spread.high), x(spread.low) + 2)}" class="soil" />
    {#if window.least !== undefined && spread.low < window.least}
      <path d="M{x(spread.low)} {MIDDLE}H{Math.min(from, x(spread.high))}" class="soil struck" />
    {/if}
    {#if window.most !== undefined && spread.high > window.most}
      <path d="M{Math.max(to, x(spread.low))} {MIDDLE}H{x(spread.high)}" class="soil struck" />
    {/if}
    <circle cx={x(spread.middle)} cy={MIDDLE} r="5" class="middle" />
  {/if}
  {#if window.least !== undefined}
    <path d="M{from} 0V{HIGH}" class="jamb" />
    <text x={from} y={HIGH + 16} text-anchor={from < 10 ? 'start' : 'middle'}>{window.least}</text>
  {/if}
  {#if window.most !== undefined}
    <path d="M{to} 0V{HIGH}" class="jamb" />
    <text x={to} y={HIGH + 16} text-anchor={to > WIDE - 10 ? 'end' : 'middle'}>{window.most}</text>
  {/if}
</svg>

<style>
  .stone {
    fill: url(#grain-dry);
  }
  .best {
    fill: var(--glass);
    opacity: 0.55;
  }
  .jamb {
    stroke: var(--ink);
    stroke-width: 2;
  }
  .soil {
    stroke: var(--ink);
    stroke-width: 7;
    fill: none;
  }
  .struck {
    stroke: var(--alarm);
  }
  .middle {
    fill: var(--label);
    stroke: var(--sediment-ink);
    stroke-width: 2;
  }
  text {
    fill: var(--ink);
    font: 600 var(--text-base) var(--face-text);
  }
</style>
