<!--
  @component A soil as its column of sediment, sand below. Both lines can be dragged: what depends on the soil hangs beside it
  and moves with it.
-->
<script lang="ts">
  import { moveLine, type Fractions } from '$lib/core';
  import { t } from '$lib/words';
  import { wholeShares } from '$lib/words/headline';
  import { draggable, keyStep } from '../kit/handle';

  type Props = {
    soil: Fractions;
    /** A line across the column, percent from below, and what stands at it. */
    line?: { at: number; label: string };
    /** Only its sand is known: the rest is drawn as one. */
    onlySand?: boolean;
    onmove: (to: Fractions) => void;
  };
  let { soil, line, onlySand = false, onmove }: Props = $props();

  const [WIDTH, HEIGHT, FOOT] = [112, 330, 14];
  let drawing: SVGSVGElement;
  const y = (share: number) => FOOT + HEIGHT * (1 - share / 100);
  const whole = $derived.by(() => {
    const shares = wholeShares(soil);
    return onlySand ? { sand: shares.sand, silt: 100 - shares.sand, clay: 0 } : shares;
  });
  const strata = $derived([
    { part: 'sand' as const, from: 0, to: soil.sand },
    ...(onlySand
      ? [{ part: 'silt' as const, from: soil.sand, to: 100 }]
      : [
          { part: 'silt' as const, from: soil.sand, to: soil.sand + soil.silt },
          { part: 'clay' as const, from: soil.sand + soil.silt, to: 100 }
        ])
  ]);
  const handles = $derived([
    { part: 'sand' as const, at: soil.sand, least: 0, most: 100 - soil.clay },
    ...(onlySand ? [] : [{ part: 'silt' as const, at: soil.sand + soil.silt, least: soil.sand, most: 100 }])
  ]);

  const to = (part: 'sand' | 'silt', at: number) => onmove(moveLine(soil, part, at));
  function onkey(event: KeyboardEvent, part: 'sand' | 'silt', at: number) {
    const step = keyStep(event);
    if (step) to(part, at + step.up + step.right + 5 * step.page);
  }
</script>

<svg
  bind:this={drawing}
  viewBox="0 0 {WIDTH + 62} {HEIGHT + 2 * FOOT}"
  class="block w-full max-w-[200px] overflow-visible"
  role="group"
  aria-label={t.act.column}
>
  {#each strata as { part, from, to: top } (part)}
    <rect x="2" y={y(top)} width={WIDTH} height={Math.max(0, y(from) - y(top))} fill="url(#grain-{part})" />
  {/each}
  {#if line}
    <path d="M-4 {y(line.at)}H{WIDTH + 8}" class="across" />
    <text x={WIDTH + 12} y={y(line.at) + 4} class="at">{line.label}</text>
  {/if}
  {#each strata as { part, from, to: top } (part)}
    {#if top - from >= 7}
      <rect x="18" y={(y(from) + y(top)) / 2 - 10} width={WIDTH - 32} height="21" rx="2" class="behind" />
      <text x={WIDTH / 2 + 2} y={(y(from) + y(top)) / 2 + 5} text-anchor="middle" class="share"
        >{onlySand && part !== 'sand' ? t.act.finesOf(whole.silt) : `${whole[part]} % ${t.layer[part]}`}</text
      >
    {/if}
  {/each}
  <path d="M2 0V{y(0)}H{WIDTH + 2}V0" class="glass" />
  {#each handles as { part, at, least, most } (part)}
    <g
      role="slider"
      tabindex="0"
      aria-label={t.act.boundary[part]}
      aria-valuemin={Math.round(least)}
      aria-valuemax={Math.round(most)}
      aria-valuenow={Math.round(at)}
      aria-valuetext="{whole.sand} % {t.layer.sand}, {whole.silt} % {t.layer.silt}, {whole.clay} % {t.layer
        .clay}"
      class="handle"
      onkeydown={(e) => onkey(e, part, at)}
      {@attach draggable({
        within: () => drawing,
        at: () => ({ x: 0, y: y(at) }),
        onmove: (spot) => to(part, 100 * (1 - (spot.y - FOOT) / HEIGHT))
      })}
    >
      <rect x="-4" y={y(at) - 16} width={WIDTH + 54} height="32" fill="transparent" />
      <path d="M2 {y(at)}H{WIDTH + 12}" class="edge" />
      <path d="M{WIDTH + 12} {y(at)}l9 -11h24v22h-24z" class="grip" />
      <path d="M{WIDTH + 28} {y(at) - 4}v8m4 -8v8m4 -8v8" class="ridges" />
    </g>
  {/each}
</svg>

<style>
  .glass {
    fill: none;
    stroke: var(--glass);
    stroke-width: 2.5;
  }
  .share {
    fill: var(--sediment-ink);
    font: 700 var(--text-sm) var(--face-text);
  }
  .behind {
    fill: var(--label);
    opacity: 0.85;
  }
  .edge {
    stroke: var(--sediment-ink);
    stroke-width: 1.6;
  }
  .grip {
    fill: var(--tape);
    stroke: var(--tape-edge);
    stroke-width: 1.2;
  }
  .ridges {
    stroke: var(--tape-ink);
    stroke-width: 1.4;
    fill: none;
  }
  .across {
    stroke: var(--ink);
    stroke-width: 1.6;
    stroke-dasharray: 5 4;
  }
  .at {
    fill: var(--ink);
    font: 600 var(--text-xs) var(--face-text);
  }
  .handle {
    cursor: ns-resize;
  }
  @media print {
    .grip,
    .ridges {
      display: none;
    }
  }
</style>
