<!-- @component A vessel beside its ruler as far as the window of a reading shows it: water, layers, and what cannot be read. -->
<script lang="ts">
  import { LINE_ORDER, type Vessel } from '$lib/core';
  import { t } from '$lib/words';
  import { rulerTicks } from '../ruler/ticks';
  import { waterline } from '../vessel/outline';
  import type { ReadingForm } from './form.svelte';

  type Props = {
    form: ReadingForm;
    vessel: Vessel;
    waterMm: number;
    /** Height of the window, mm, and drawn, px. */
    rangeMm: number;
    height: number;
    /** Where a height over the inside bottom is drawn, px. */
    y: (mm: number) => number;
    /** Width of the ruler, and the two walls of the glass, px. */
    ruler: number;
    left: number;
    right: number;
  };
  let { form, vessel, waterMm, rangeMm, height, y, ruler, left, right }: Props = $props();

  const id = $props.id();
  const tops = $derived(form.tops);
  const unit = $derived(form.fieldUnit);
  const offsetMm = $derived(form.offsetMm);
  const width = $derived(right - left);
  const bottom = $derived(y(0));
  const table = $derived(y(-form.baseMm));
  const ticks = $derived(
    rulerTicks(rangeMm + offsetMm, unit, form.mmPerMl).map((tick) => ({ ...tick, y: y(tick.mm - offsetMm) }))
  );

  const strata = $derived.by(() => {
    let below = 0;
    // Coarse sand is drawn as sand under its own line; the water's surface is no layer.
    return LINE_ORDER.filter((line) => line !== 'surface' && tops[line] !== undefined).map((layer) => {
      const fromMm = below;
      below = Math.max(below, tops[layer] ?? 0);
      return { layer, fromMm, topMm: below };
    });
  });
</script>

<defs>
  <pattern
    id="{id}-unread"
    width="10"
    height="10"
    patternUnits="userSpaceOnUse"
    patternTransform="rotate(45)"
  >
    <path d="M0 0v10" class="hatch" />
  </pattern>
</defs>

<rect x="1" y="1" width={ruler} height={y(-offsetMm) - 1} class="ruler" />
{#each ticks as tick (tick.mm)}
  <path d="M{ruler + 1} {tick.y}h{-30 * tick.length}" class="tick" class:long={tick.length === 1} />
  {#if tick.label && tick.y > 14}<text x={ruler - 36} y={tick.y + 5.5} class="number">{tick.label}</text>{/if}
{/each}

<g>
  <path d="M{left - 4} 0V{table - 8}q0 8 8 8H{right - 4}q8 0 8 -8V0Z" class="base" />
  <rect x={left} y="0" {width} height={bottom} fill="var(--air)" />
  <rect
    x={left}
    y={Math.max(0, y(waterMm))}
    {width}
    height={bottom - Math.max(0, y(waterMm))}
    fill="var(--clear)"
  />
  {#each strata.toReversed() as stratum, i (stratum.layer)}
    <path
      d="{waterline(left, right, y(stratum.topMm), i)}V{bottom}H{left}Z"
      fill="url(#grain-{stratum.layer})"
    />
  {/each}
  {#each form.bands as band (band.line)}
    {@const [low, high] = [y(band.topMm - band.sigmaMm), y(band.topMm + band.sigmaMm)]}
    <rect x={left} y={high} {width} height={low - high} class="band" />
  {/each}
  {#if vessel.shoulderHeightMm < Math.min(rangeMm, vessel.innerHeightMm)}
    <rect x={left} y="0" {width} height={Math.max(0, y(vessel.shoulderHeightMm))} fill="url(#{id}-unread)" />
    {#if y(vessel.shoulderHeightMm) > 24}
      <text x={left + width / 2} y={y(vessel.shoulderHeightMm) - 8} class="unread">{t.read.unreadable}</text>
    {/if}
  {/if}
  {#if form.texts.floating && y(waterMm) > 0}
    <rect x={left} y={y(waterMm)} {width} height="12" fill="url(#grain-organics)" />
  {/if}
  <rect x={left + 10} y="24" width="5" height={height * 0.72} rx="2.5" class="sheen" />
  <path d="M{left} 0V{bottom}H{right}V0" class="wall" />
  <path d="M2 {table + 2.5}H{right + 20}" class="tabletop" />
</g>

<style>
  .ruler {
    fill: var(--label);
    stroke: var(--tape-edge);
  }
  .tick {
    stroke: var(--tape-ink);
    stroke-width: 0.9;
  }
  .tick.long {
    stroke-width: 1.6;
  }
  .number {
    font: 600 var(--text-sm) var(--face-text);
    font-variant-numeric: tabular-nums;
    fill: var(--tape-ink);
    text-anchor: end;
  }
  .wall {
    fill: none;
    stroke: var(--glass);
    stroke-width: 2.2;
  }
  .base {
    fill: color-mix(in oklab, var(--glass) 22%, var(--paper));
    stroke: var(--glass);
    stroke-width: 1.5;
  }
  .tabletop {
    stroke: var(--shelf-edge);
    stroke-width: 5;
  }
  .sheen {
    fill: var(--gleam);
    opacity: 0.45;
  }
  :global([data-mode='dark']) .sheen {
    opacity: 0.12;
  }
  .band {
    fill: var(--ink);
    opacity: 0.28;
  }
  .hatch {
    stroke: var(--ink);
    stroke-width: 2;
    opacity: 0.35;
  }
  .unread {
    font: 600 var(--text-xs) var(--face-text);
    text-anchor: middle;
    fill: var(--ink);
    stroke: var(--paper);
    stroke-width: 4px;
    paint-order: stroke;
  }
</style>
