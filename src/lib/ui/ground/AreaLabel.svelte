<!-- @component The label of an area: letters, name and size where they have room, else less of it. -->
<script lang="ts">
  import { areaOf, formatGround, innermost, type LengthUnit, type Point } from '$lib/core';
  import type { SiteDetail } from '$lib/contract/records/ground';
  import { labelPlace, toPx, type SketchView } from './view';

  type Props = {
    area: SiteDetail['areas'][number];
    view: SketchView;
    /** Spots that it keeps clear of. */
    spots: readonly Point[];
    unit: LengthUnit;
  };
  let { area, view, spots, unit }: Props = $props();

  const label = $derived.by(() => {
    const words = [area.name, formatGround(areaOf(area.outline), unit)];
    const wide = 8 * Math.max(...words.map((w) => w.length));
    const full = labelPlace(view, area.outline, spots, { wide, high: 60 });
    if (full) return { at: toPx(view, full), words, name: '' };
    const line = labelPlace(view, area.outline, spots, { wide: 8 * area.name.length + 14, high: 22 });
    if (line) return { at: toPx(view, line), words: [], name: area.name };
    const short = labelPlace(view, area.outline, spots, { wide: 14 * area.code.length, high: 24 });
    return { at: toPx(view, short ?? innermost(area.outline)), words: [], name: '' };
  });
</script>

<g class="name" transform="translate({label.at[0]} {label.at[1]})" aria-hidden="true">
  {#if label.words.length > 0}
    <text y="-13" class="code">{area.code}</text>
    {#each label.words as words, i (i)}<text y={7 + 17 * i} class="words">{words}</text>{/each}
  {:else}
    <text y="6">
      <tspan class="code">{area.code}</tspan>{#if label.name}<tspan class="words" dx="5">{label.name}</tspan
        >{/if}
    </text>
  {/if}
</g>

<style>
  .name {
    pointer-events: none;
    text-anchor: middle;
  }
  .name text {
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 5px;
    stroke-opacity: 0.95;
    stroke-linejoin: round;
  }
  .name .code {
    font: 700 var(--text-lg) var(--face-head);
    fill: var(--ink);
  }
  .name .words {
    font: var(--text-xs) var(--face-text);
    fill: var(--ink);
  }
</style>
