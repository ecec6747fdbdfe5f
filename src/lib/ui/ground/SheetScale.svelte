<!-- @component A length of a round number of metres in the corner of the sheet, and where north is if the site knows. -->
<script lang="ts">
  import { formatMetres, type LengthUnit } from '$lib/core';
  import { t } from '$lib/words';
  import { roundLength, type SketchView } from './view';

  type Props = {
    view: SketchView;
    unit: LengthUnit;
    /** Where up on the sheet points, degrees from north; null if nobody knows. */
    bearing: number | null;
  };
  let { view, unit, bearing }: Props = $props();

  const metres = $derived(roundLength(view, 130));
  const px = $derived(metres * view.pxPerM);
</script>

<g transform="translate(14 {view.height - 16})" aria-hidden="true">
  <rect x="-8" y="-24" width={px + 16} height="34" />
  <path d="M0 -6V0H{px}V-6" />
  <text x={px / 2} y="-9">{formatMetres(metres, unit)}</text>
</g>
{#if bearing !== null}
  <g transform="translate({view.width - 28} 34) rotate({-bearing})" aria-hidden="true">
    <path d="M0 14V-14M-6 -5L0 -14L6 -5" />
    <text y="-18">{t.ground.north}</text>
  </g>
{/if}

<style>
  g {
    pointer-events: none;
  }
  rect {
    fill: var(--sheet);
    opacity: 0.85;
  }
  path {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.6;
  }
  text {
    font: 600 var(--text-xs) var(--face-text);
    text-anchor: middle;
    fill: var(--ink);
  }
</style>
