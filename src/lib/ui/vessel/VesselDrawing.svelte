<!--
  @component Draws one vessel to scale: glass, dry-fill line, water line, deposit, cloud and tape marks.
  It draws what it is given and works nothing out.
-->
<script lang="ts">
  import type { LayerName, Vessel } from '$lib/core';
  import { outlineOf, tapePath, waterline } from './outline';

  /** A strip of tape. `on`: height measured; `guess`: drawn where the level should have been; `next`: to be made. */
  type Tape = { key: string; label: string; heightMm: number; state: 'on' | 'guess' | 'next' };

  type Props = {
    vessel: Vessel;
    /** px per mm */
    scale: number;
    code: string;
    waterMm: number;
    /** Top of the dry soil, mm; drawn as a dashed line. */
    soilMm: number;
    /** Layer tops bottom first; none draws the dry soil itself. */
    layers?: { layer: LayerName; topMm: number }[];
    /** Opacity of the murk from the water line down to the deposit, 0-1. */
    murk?: number[];
    tapes?: Tape[];
    lid?: boolean;
    /** Extra room to the right for tape, px. */
    tapeRoom?: number;
  };

  let {
    vessel,
    scale,
    code,
    waterMm,
    soilMm,
    layers,
    murk,
    tapes = [],
    lid = true,
    tapeRoom = 44
  }: Props = $props();

  const TAPE_HEIGHT = 17;
  const id = $props.id();
  const o = $derived(outlineOf(vessel, scale));
  const strata = $derived.by(() => {
    let below = 0;
    return (layers ?? []).map(({ layer, topMm }) => {
      const from = below;
      below = Math.max(below, topMm);
      return { layer, fromMm: from, topMm: below };
    });
  });
  const depositMm = $derived(strata.at(-1)?.topMm ?? 0);
  /** Strips are moved apart where they would overlap; their lines stay where they are. */
  const placed = $derived.by(() => {
    let floor = Infinity;
    return [...tapes]
      .sort((a, b) => a.heightMm - b.heightMm)
      .map((tape) => {
        const lineY = o.y(tape.heightMm);
        const y = Math.min(lineY - TAPE_HEIGHT / 2, floor - TAPE_HEIGHT - 2);
        floor = y;
        return { ...tape, lineY, y };
      });
  });
  const tapeWidth = (label: string) => 18 + label.length * 7.2;
  const labelWidth = $derived(20 + code.length * 11);
  const labelY = $derived(
    Math.min(o.y(waterMm) + 10, o.y(depositMm) - 40, o.y(vessel.shoulderHeightMm) + 14)
  );
</script>

<svg
  width={o.width + tapeRoom}
  height={o.height}
  viewBox="0 0 {o.width + tapeRoom} {o.height}"
  class="vessel"
  aria-hidden="true"
>
  <defs>
    <clipPath id="{id}-in"><path d={o.inner} /></clipPath>
    {#if murk}
      <linearGradient id="{id}-murk" x1="0" y1="0" x2="0" y2="1">
        {#each murk as opacity, i (i)}
          <stop offset={i / (murk.length - 1)} stop-color="var(--cloud)" stop-opacity={opacity.toFixed(3)} />
        {/each}
      </linearGradient>
    {/if}
  </defs>

  {#if o.foot}<path d={o.foot} class="glass" />{/if}
  <path d={o.outer} class="glass" />
  <g clip-path="url(#{id}-in)">
    <rect x="0" y="0" width={o.width} height={o.height} fill="var(--air)" />
    <rect x="0" y={o.y(waterMm)} width={o.width} height={o.height} fill="var(--clear)" />
    {#if murk}
      <rect
        x="0"
        y={o.y(waterMm)}
        width={o.width}
        height={Math.max(0, o.y(depositMm) - o.y(waterMm))}
        fill="url(#{id}-murk)"
      />
    {/if}
    {#if layers}
      {#each strata.toReversed() as stratum, i (stratum.layer)}
        <path
          d="{waterline(o.innerLeft, o.innerRight, o.y(stratum.topMm), i * 2)}V{o.height}H{o.innerLeft}Z"
          fill="url(#grain-{stratum.layer})"
        />
      {/each}
    {:else}
      <path
        d="{waterline(o.innerLeft, o.innerRight, o.y(soilMm), 1)}V{o.height}H{o.innerLeft}Z"
        fill="url(#grain-dry)"
      />
    {/if}
    <path d={waterline(o.innerLeft, o.innerRight, o.y(waterMm), 0)} class="water" />
  </g>
  {#if layers}
    <path d="M{o.innerLeft} {o.y(soilMm)}h{Math.min(26, o.width / 4)}" class="dry-line" />
  {/if}
  <path d={o.inner} class="inner" />
  {#each o.graduations as g (g.y)}
    <path d="M{o.innerLeft} {g.y}h{g.long ? 14 : 8}" class="graduation" />
  {/each}
  <rect
    x={o.innerLeft + 5}
    y={o.y(vessel.shoulderHeightMm * 0.94)}
    width="3.5"
    height={Math.max(0, (o.y(0) - o.y(vessel.shoulderHeightMm)) * 0.72)}
    rx="1.7"
    class="sheen"
  />
  {#if lid && o.lid}
    <rect {...o.lid} rx="2.5" class="lid" />
    <g class="ribs">
      {#each { length: Math.floor(o.lid.width / 11) - 1 }, i (i)}
        <path d="M{o.lid.x + 10 + i * 11} {o.lid.y + 3}v{o.lid.height - 6}" />
      {/each}
    </g>
  {/if}

  {#each placed as tape (tape.key)}
    <g class="tape {tape.state}">
      <path d="M{o.innerLeft} {tape.lineY}H{o.innerRight}" class="line" />
      <path d={tapePath(o.innerRight - 10, tape.y, tapeWidth(tape.label), TAPE_HEIGHT)} class="strip" />
      <text x={o.innerRight - 2} y={tape.y + 12.8}>{tape.label}</text>
    </g>
  {/each}

  <g transform="rotate(-2 {o.width / 2} {labelY})" class="code">
    <rect x={o.width / 2 - labelWidth / 2} y={labelY} width={labelWidth} height="28" />
    <text x={o.width / 2} y={labelY + 20.5}>{code}</text>
  </g>
</svg>

<style>
  .vessel {
    display: block;
    overflow: visible;
  }
  .glass {
    fill: color-mix(in oklab, var(--glass) 22%, var(--paper));
    stroke: var(--glass);
    stroke-width: 1.5;
  }
  .inner {
    fill: none;
    stroke: var(--glass);
    stroke-width: 0.8;
    opacity: 0.6;
  }
  .water {
    fill: none;
    stroke: var(--glass);
    stroke-width: 1.2;
    opacity: 0.75;
  }
  .dry-line {
    stroke: var(--ink);
    stroke-width: 1.6;
    stroke-dasharray: 5 3;
    fill: none;
  }
  .graduation {
    stroke: var(--glass);
    stroke-width: 1.3;
  }
  .sheen {
    fill: #fff;
    opacity: 0.5;
  }
  :global([data-mode='dark']) .sheen {
    opacity: 0.14;
  }
  .lid {
    fill: var(--lid);
    stroke: var(--lid-edge);
    stroke-width: 1.2;
  }
  .ribs path {
    stroke: var(--lid-edge);
    stroke-width: 0.8;
    opacity: 0.7;
  }
  .code rect {
    fill: var(--label);
    stroke: var(--tape-edge);
  }
  .code text {
    font: 700 18px var(--face-head);
    fill: var(--tape-ink);
    text-anchor: middle;
  }
  .strip {
    fill: var(--tape);
    stroke: var(--tape-edge);
    stroke-width: 1;
  }
  .tape text {
    font: 650 12.5px var(--face-text);
    font-variant-numeric: tabular-nums;
    fill: var(--tape-ink);
  }
  .line {
    stroke: var(--ink);
    stroke-width: 1.5;
    fill: none;
  }
  .guess .line {
    stroke-dasharray: 2 3;
    opacity: 0.75;
  }
  .guess .strip {
    stroke-dasharray: 3 2;
  }
  .next .line {
    stroke: var(--pen);
    stroke-width: 2;
    stroke-dasharray: 4 3;
  }
  .next .strip {
    fill: var(--sheet);
    stroke: var(--pen);
    stroke-width: 1.5;
  }
  .next text {
    fill: var(--pen);
  }
</style>
