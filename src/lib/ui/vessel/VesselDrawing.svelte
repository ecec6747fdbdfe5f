<!--
  @component Draws one vessel to scale: glass, dry-fill line, water line, deposit, cloud and tape marks.
  It draws what it is given and works nothing out.
-->
<script lang="ts">
  import type { LayerName, Vessel } from '$lib/core';
  import { outlineOf, tapePath, tenth, waterline } from './outline';

  /** A strip of tape. `on`: height measured; `guess`: drawn where the level should have been; `next`: to be made. */
  type Tape = { key: string; label: string; heightMm: number; state: 'on' | 'guess' | 'next' };

  type Props = {
    /** The glass, drawn to scale. */
    vessel: Vessel;
    /** px per mm */
    scale: number;
    /** What is written on it. */
    code: string;
    /** Height of the water over the inside bottom, mm. */
    waterMm: number;
    /** Top of the dry soil, mm; drawn as a dashed line. */
    soilMm: number;
    /** Layer tops bottom first; none draws the dry soil itself. */
    layers?: { layer: LayerName; topMm: number }[];
    /** Opacity of the turbidity from the water line down to the deposit, 0-1. */
    turbidity?: number[];
    /** Strips of tape, from the bottom up. */
    tapes?: Tape[];
    /** Whether its lid is on. */
    lid?: boolean;
    /** Something is to be done to it now: the label says so. */
    calling?: boolean;
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
    turbidity,
    tapes = [],
    lid = true,
    calling = false,
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
        const y = tenth(Math.min(lineY - TAPE_HEIGHT / 2, floor - TAPE_HEIGHT - 2));
        floor = y;
        return { ...tape, lineY, y };
      });
  });
  const tapeWidth = (label: string) => 18 + label.length * 7.2;
  const labelWidth = $derived(20 + code.length * 11);
  const labelY = $derived(
    tenth(Math.min(o.y(waterMm) + 10, o.y(depositMm) - 40, o.y(vessel.shoulderHeightMm) + 14))
  );
</script>

<svg width={tenth(o.width + tapeRoom)} height={o.height} class="block overflow-visible" aria-hidden="true">
  <defs>
    <clipPath id="{id}-in"><path id="{id}-wall" d={o.inner} /></clipPath>
    {#if turbidity}
      <linearGradient id="{id}-turbidity" x1="0" y1="0" x2="0" y2="1">
        {#each turbidity as opacity, i (i)}
          <stop offset={(i / (turbidity.length - 1)).toFixed(2)} stop-opacity={opacity.toFixed(2)} />
        {/each}
      </linearGradient>
    {/if}
  </defs>

  {#if o.foot}<path d={o.foot} class="glass" />{/if}
  <path d={o.outer} class="glass" />
  <g clip-path="url(#{id}-in)">
    <rect width={o.width} height={o.height} fill="var(--air)" />
    <rect y={o.y(waterMm)} width={o.width} height={o.height} fill="var(--clear)" />
    {#if turbidity}
      <rect
        y={o.y(waterMm)}
        width={o.width}
        height={tenth(Math.max(0, o.y(depositMm) - o.y(waterMm)))}
        fill="url(#{id}-turbidity)"
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
  <use href="#{id}-wall" class="inner" />
  {#each o.graduations as g (g.y)}
    <path d="M{o.innerLeft} {g.y}h{g.long ? 14 : 8}" class="graduation" />
  {/each}
  <rect
    x={tenth(o.innerLeft + 5)}
    y={o.y(vessel.shoulderHeightMm * 0.94)}
    width="3.5"
    height={tenth(Math.max(0, (o.y(0) - o.y(vessel.shoulderHeightMm)) * 0.72))}
    rx="1.7"
    class="sheen"
  />
  {#if lid && o.lid}
    <rect {...o.lid} rx="2.5" class="lid" />
    <path d={o.ribs} class="ribs" />
  {/if}

  {#each placed as tape (tape.key)}
    <g class="tape {tape.state}">
      <path d="M{o.innerLeft} {tape.lineY}H{o.innerRight}" class="line" />
      <path d={tapePath(o.innerRight - 10, tape.y, tapeWidth(tape.label), TAPE_HEIGHT)} class="strip" />
      <text x={tenth(o.innerRight - 2)} y={tenth(tape.y + 12.8)}>{tape.label}</text>
    </g>
  {/each}

  <g transform="translate({tenth(o.width / 2)} {labelY})rotate(-2)" class="code" class:calling>
    <rect x={-labelWidth / 2} width={labelWidth} height="28" />
    <text y="20.5">{code}</text>
  </g>
</svg>

<style>
  stop {
    stop-color: var(--cloud);
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
    fill: var(--gleam);
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
  .ribs {
    fill: none;
    stroke: var(--lid-edge);
    stroke-width: 0.8;
    opacity: 0.7;
  }
  .code rect {
    fill: var(--label);
    stroke: var(--tape-edge);
  }
  .code text {
    font: 700 var(--text-lg) var(--face-head);
    fill: var(--tape-ink);
    text-anchor: middle;
  }
  .calling rect {
    fill: var(--pen);
    stroke: var(--pen);
  }
  .calling text {
    fill: var(--on-pen);
  }
  .strip {
    fill: var(--tape);
    stroke: var(--tape-edge);
    stroke-width: 1;
  }
  .tape text {
    font: 650 var(--text-xs) var(--face-text);
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
