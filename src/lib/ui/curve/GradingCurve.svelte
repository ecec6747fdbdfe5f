<!--
  @component A grading curve: size on a logarithmic scale, percent finer upward, the band about it, the limits of a system
  as lines, readings as circles and meshes as squares. Moving over it, or the arrow keys, reads a size off.
-->
<script lang="ts">
  import { keyStep } from '../kit/handle';
  import { scaleLinear, scaleLog } from 'd3-scale';
  import { area, line } from 'd3-shape';
  import {
    finerAt,
    textureSystems,
    type CurveBand,
    type CurvePoint,
    type GradingFigures,
    type SystemId
  } from '$lib/core';
  import { t } from '$lib/words';
  import Axis from '../kit/Axis.svelte';
  import { sizeText } from './sizes';

  type Props = {
    /** The curve, coarsest first, and its 90 % band. */
    curve: CurvePoint[];
    band?: CurveBand;
    /** D10 to D60, where they are reached. */
    figures?: GradingFigures;
    /** System whose limits are drawn. */
    system: SystemId;
    /** The drawing, for a file. */
    svg?: SVGSVGElement;
  };
  let { curve, band = [], figures = {}, system, svg = $bindable() }: Props = $props();

  /** Width on the screen, px: what is written keeps its size there. */
  let wide = $state(860);
  const width = $derived(Math.max(330, Math.min(1100, wide)));
  const height = $derived(Math.max(310, Math.min(470, width * 0.47)));
  const PAD = { left: 58, right: 22, top: 34, bottom: 62 };
  const x = $derived(
    scaleLog()
      .domain([0.5, 2000])
      .range([PAD.left, width - PAD.right])
  );
  const y = $derived(
    scaleLinear()
      .domain([0, 100])
      .range([height - PAD.bottom, PAD.top])
  );
  const PERCENTS = [0, 20, 40, 60, 80, 100];
  const DECADES = [1, 10, 100, 1000];
  const MINOR = DECADES.concat(0.1)
    .flatMap((d) => [2, 3, 4, 5, 6, 7, 8, 9].map((k) => k * d))
    .filter((d) => d >= 0.5 && d <= 2000);
  const labelled = $derived(
    width < 560 ? [0.5, 2, 10, 50, 200, 2000] : [0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000]
  );

  const limits = $derived(textureSystems[system].limitsUm);
  const shown = $derived(curve.filter((p) => p.diameterUm >= 0.5));
  const path = $derived(
    line<CurvePoint>()
      .x((p) => x(p.diameterUm))
      .y((p) => y(p.percentFiner))(shown) ?? ''
  );
  const bandPath = $derived(
    area<CurveBand[number]>()
      .x((p) => x(p.diameterUm))
      .y0((p) => y(p.lowPct))
      .y1((p) => y(p.highPct))(band.filter((p) => p.diameterUm >= 0.5)) ?? ''
  );
  /** Names of the parts between the limits, each in the middle of its stretch. */
  const parts = $derived([
    { name: t.layer.clay, fromUm: 0.5, toUm: limits[0] },
    { name: t.layer.silt, fromUm: limits[0], toUm: limits[1] },
    { name: t.layer.sand, fromUm: limits[1], toUm: limits[2] }
  ]);
  const marks = $derived(
    ([10, 30, 50, 60] as const).flatMap((pct) => {
      const at = figures[`d${pct}`];
      return at && at.value >= 0.5 ? [{ pct, um: at.value }] : [];
    })
  );

  let at = $state<number | undefined>();
  const read = $derived(at === undefined ? undefined : finerAt(curve, at));
  function follow(event: PointerEvent & { currentTarget: Element }) {
    const box = event.currentTarget.getBoundingClientRect();
    const um = x.invert(((event.clientX - box.left) / box.width) * width);
    at = um >= 0.5 && um <= 2000 ? um : undefined;
  }
  function key(event: KeyboardEvent) {
    const keys = keyStep(event);
    if (!keys) return;
    const factor = 1.05 ** (keys.right + keys.up) * 2 ** keys.page;
    at = Math.min(2000, Math.max(0.5, (at ?? limits[1]) * factor));
  }
</script>

<div
  class="curve"
  bind:clientWidth={wide}
  role="slider"
  tabindex="0"
  aria-valuemin={0.5}
  aria-valuemax={2000}
  aria-valuenow={at ?? limits[1]}
  aria-valuetext={at !== undefined && read
    ? t.curve.at(sizeText(at), `${read.value.toFixed(1)} %`)
    : undefined}
  aria-label={t.curve.label(sizeText(curve[0]?.diameterUm ?? 0.5))}
  onpointermove={follow}
  onpointerleave={() => (at = undefined)}
  onkeydown={key}
>
  <svg class="block w-full h-auto" bind:this={svg} viewBox="0 0 {width} {height}" aria-hidden="true">
    <rect
      x={PAD.left}
      y={PAD.top}
      width={width - PAD.left - PAD.right}
      height={height - PAD.top - PAD.bottom}
      class="sheet"
    />
    {#each MINOR as um (um)}<path d="M{x(um)} {y(0)}V{y(100)}" class="fine" />{/each}
    {#each PERCENTS as pct (pct)}<path d="M{PAD.left} {y(pct)}H{width - PAD.right}" class="fine" />{/each}
    <Axis
      side="left"
      line={PAD.left}
      ticks={PERCENTS.map((pct) => ({ at: y(pct), label: pct }))}
      stroke={0}
      away={10}
    />
    <Axis
      side="bottom"
      line={y(0)}
      ticks={labelled.map((um) => ({ at: x(um), label: um }))}
      stroke={6}
      away={22}
    />
    {#each parts as part (part.name)}
      <text x={(x(part.fromUm) + x(part.toUm)) / 2} y={PAD.top - 12} text-anchor="middle" class="part"
        >{part.name}</text
      >
    {/each}
    {#each limits.slice(0, 2) as um (um)}
      <path d="M{x(um)} {PAD.top - 26}V{y(0)}" class="limit" />
    {/each}
    <path d={bandPath} class="band" />
    {#each marks as mark (mark.pct)}
      <path d="M{PAD.left} {y(mark.pct)}H{x(mark.um)}V{y(0)}" class="mark" />
      <text x={PAD.left + 8} y={y(mark.pct) - 5} class="d">{t.curve.d(mark.pct)}</text>
    {/each}
    <path d={path} class="line" />
    {#each shown as p, i (i)}
      {#if p.from === 'reading'}
        <circle cx={x(p.diameterUm)} cy={y(p.percentFiner)} r="5" class="dot" />
      {:else if p.from === 'sieve'}
        <rect x={x(p.diameterUm) - 5} y={y(p.percentFiner) - 5} width="10" height="10" class="dot" />
      {/if}
    {/each}
    {#if at !== undefined && read}
      <path d="M{x(at)} {y(0)}V{y(read.value)}H{PAD.left}" class="ray" />
      <circle cx={x(at)} cy={y(read.value)} r="4" class="here" />
    {/if}
    <path d="M{PAD.left} {PAD.top}V{y(0)}H{width - PAD.right}" class="axis" />
    <text x={(PAD.left + width - PAD.right) / 2} y={height - 16} text-anchor="middle" class="name"
      >{t.curve.x}</text
    >
    <text transform="translate(16 {(PAD.top + y(0)) / 2}) rotate(-90)" text-anchor="middle" class="name"
      >{t.curve.y}</text
    >
  </svg>
  <p class="read">
    {#if at !== undefined && read}{t.curve.at(sizeText(at), `${read.value.toFixed(1)} %`)}{/if}
  </p>
</div>

<style>
  .curve {
    position: relative;
    touch-action: pan-y;
  }
  .read {
    position: absolute;
    right: 3.5%;
    bottom: 19%;
    margin: 0;
    padding: var(--spacing-1) var(--spacing-3);
    background: var(--paper);
    font-weight: 650;
    font-variant-numeric: tabular-nums;
  }
  .read:empty {
    display: none;
  }
  .sheet {
    fill: var(--sheet);
  }
  .fine {
    stroke: var(--hair);
    stroke-width: 1;
    fill: none;
  }
  .axis {
    stroke: var(--ink);
    stroke-width: 1.6;
    fill: none;
  }
  text {
    fill: var(--ink);
    font-family: var(--face-text);
    font-variant-numeric: tabular-nums;
  }
  .name {
    font-size: var(--text-xs);
  }
  .part {
    font-size: var(--text-sm);
    font-weight: 650;
  }
  .limit {
    stroke: var(--ink);
    stroke-width: 1.6;
  }
  .band {
    fill: var(--pen);
    fill-opacity: 0.16;
  }
  .line {
    fill: none;
    stroke: var(--pen);
    stroke-width: 2.6;
    stroke-linejoin: round;
  }
  .dot {
    fill: var(--sheet);
    stroke: var(--pen);
    stroke-width: 2.4;
  }
  .mark {
    fill: none;
    stroke: var(--faded);
    stroke-width: 1;
    stroke-dasharray: 2 4;
  }
  .d {
    font-size: var(--text-xs);
    fill: var(--faded);
  }
  .ray {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.3;
  }
  .here {
    fill: var(--ink);
  }
</style>
