<!--
  @component A 1000 mL cylinder to scale with what is in it: the suspension as dark as it still is, the sediment, and the
  hydrometer as deep as it floats, its scale against the surface; or a pipette at its depth. Draws what it is given.
-->
<script lang="ts">
  import { effectiveDepth, type Bulb } from '$lib/core';
  import { tenth } from '../vessel/outline';

  type Props = {
    code: string;
    tool: 'hydrometer' | 'pipette';
    bulb: Bulb;
    /** What the scale shows at the surface; none: the instrument is out. */
    scale?: number;
    /** How dark the suspension is, 0-1, and how much has settled, mm. */
    dark: number;
    settledMm: number;
    waterMm: number;
    heightMm: number;
    innerMm: number;
    pipetteDepthMm?: number;
  };
  let {
    code,
    tool,
    bulb,
    scale,
    dark,
    settledMm,
    waterMm,
    heightMm,
    innerMm,
    pipetteDepthMm = 100
  }: Props = $props();

  const PX = 1;
  const WALL = 4;
  const PAD = $derived({ x: 34, top: scale === undefined ? 14 : 150 });
  const id = $props.id();
  const innerW = $derived(innerMm * PX);
  const width = $derived(innerW + 2 * WALL + 2 * PAD.x);
  const bottom = $derived(PAD.top + heightMm * PX);
  const height = $derived(bottom + 16);
  const y = (mm: number) => tenth(bottom - mm * PX);
  const mid = $derived(width / 2);
  const left = $derived(PAD.x + WALL);
  /** Middle of the bulb under the surface, mm. */
  const depth = $derived(scale === undefined ? undefined : effectiveDepth(bulb, scale));
  const bulbY = $derived(y(waterMm) + (depth ?? 0) * PX);
  const stemTop = $derived(bulbY - 250 * PX);
  const marks = $derived(
    (bulb === '152H' ? [0, 10, 20, 30, 40, 50, 60] : [1, 1.01, 1.02, 1.03]).map((value) => ({
      value,
      // Where this mark would float at the surface, measured on the stem from the middle of the bulb.
      y: bulbY - effectiveDepth(bulb, value) * PX
    }))
  );
</script>

<svg class="block overflow-visible" {width} {height} viewBox="0 0 {width} {height}" aria-hidden="true">
  <defs>
    <clipPath id="{id}-in"
      ><rect x={left} y={PAD.top} width={innerW} height={heightMm * PX} rx="6" /></clipPath
    >
    <linearGradient id="{id}-turbidity" x1="0" y1="0" x2="0" y2="1">
      <stop offset="0" stop-color="var(--cloud)" stop-opacity={dark * 0.35} />
      <stop offset="0.35" stop-color="var(--cloud)" stop-opacity={dark * 0.75} />
      <stop offset="1" stop-color="var(--cloud)" stop-opacity={Math.min(1, dark)} />
    </linearGradient>
  </defs>
  <path d="M{left - 16} {bottom + 6}h{innerW + 32}v9h-{innerW + 32}Z" class="glass" />
  <rect
    x={left - WALL}
    y={PAD.top}
    width={innerW + 2 * WALL}
    height={heightMm * PX + 6}
    rx="8"
    class="glass"
  />
  <g clip-path="url(#{id}-in)">
    <rect x={left} y={PAD.top} width={innerW} height={heightMm * PX} fill="var(--air)" />
    <rect x={left} y={y(waterMm)} width={innerW} height={waterMm * PX} fill="var(--clear)" />
    <rect x={left} y={y(waterMm)} width={innerW} height={waterMm * PX} fill="url(#{id}-turbidity)" />
    <rect x={left} y={y(settledMm)} width={innerW} height={settledMm * PX} fill="url(#grain-silt)" />
    <path d="M{left} {y(waterMm)}h{innerW}" class="water" />
    {#each Array.from({ length: 20 }, (_, i) => i + 1) as n (n)}
      <path d="M{left} {y((waterMm * n) / 20)}h{n % 2 === 0 ? 12 : 6}" class="graduation" />
    {/each}
  </g>
  {#if tool === 'hydrometer' && depth !== undefined}
    <g class="tool">
      <path
        d="M{mid - 4.5} {stemTop}V{bulbY - 62}C{mid - 4.5} {bulbY - 44} {mid - 15} {bulbY - 40} {mid -
          15} {bulbY - 20}V{bulbY + 34}C{mid - 15} {bulbY + 56} {mid + 15} {bulbY + 56} {mid + 15} {bulbY +
          34}V{bulbY - 20}C{mid + 15} {bulbY - 40} {mid + 4.5} {bulbY - 44} {mid + 4.5} {bulbY -
          62}V{stemTop}Z"
        class="float"
      />
      <path
        d="M{mid - 13} {bulbY + 32}C{mid - 12} {bulbY + 50} {mid + 12} {bulbY + 50} {mid + 13} {bulbY + 32}Z"
        class="shot"
      />
      {#each marks as mark (mark.value)}
        {#if mark.y > stemTop + 4}
          <path d="M{mid - 4} {mark.y}h8" class="mark" />
          <text x={mid + 8} y={mark.y + 4} class="value">{mark.value}</text>
        {/if}
      {/each}
    </g>
  {:else if scale !== undefined}
    <path d="M{mid} {PAD.top - 130}V{y(waterMm) + pipetteDepthMm * PX}" class="pipette" />
  {/if}
  <g transform="translate({mid - 26} {bottom - 64})">
    <rect width="52" height="26" class="tag" />
    <text x="26" y="19" text-anchor="middle" class="words">{code}</text>
  </g>
</svg>
<div class="board" aria-hidden="true"></div>

<style>
  .board {
    height: 18px;
    margin-top: -1px;
    background: linear-gradient(var(--shelf) 0 65%, var(--shelf-edge) 65% 100%);
  }
  .glass {
    fill: var(--glass);
    fill-opacity: 0.55;
    stroke: var(--ink);
    stroke-width: 1.4;
  }
  .water {
    stroke: var(--ink);
    stroke-width: 1.2;
  }
  .graduation {
    stroke: var(--ink);
    stroke-opacity: 0.55;
  }
  .float {
    fill: var(--sheet);
    fill-opacity: 0.92;
    stroke: var(--ink);
    stroke-width: 1.6;
  }
  .shot {
    fill: var(--ink);
  }
  .mark {
    stroke: var(--ink);
    stroke-width: 1.2;
  }
  .value {
    font: 600 var(--text-xs) var(--face-text);
    fill: var(--ink);
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3px;
  }
  .tool {
    transition: transform 0.5s ease-out;
  }
  .pipette {
    stroke: var(--ink);
    stroke-width: 5;
    stroke-linecap: round;
    fill: none;
  }
  .tag {
    fill: var(--label);
    stroke: var(--ink);
    stroke-width: 1.2;
  }
  .words {
    font: 700 var(--text-base) var(--face-head);
    fill: var(--sediment-ink);
  }
  @media (prefers-reduced-motion: reduce) {
    .tool {
      transition: none;
    }
  }
</style>
