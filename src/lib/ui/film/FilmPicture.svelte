<!--
  @component The height-time picture: time across, height up, a column a picture, with the top of the sediment and the
  falling front drawn over it, and the times at which sand and silt were down.
-->
<script lang="ts">
  import { scaleLinear, scaleLog } from 'd3-scale';
  import Axis from '../kit/Axis.svelte';
  import { formatTapeTime, rgbOf, type Film, type FilmReading, lastOf } from '$lib/core';
  import { drawingOn } from '$lib/browser/canvas';
  import { t } from '$lib/words';

  type Props = {
    film: Film;
    reading?: FilmReading;
    waterMm: number;
    scale: 'log' | 'even';
    stretched: boolean;
  };
  let { film, reading, waterMm, scale, stretched }: Props = $props();

  const WIDTH = 860;
  const HEIGHT = 430;
  const LEFT = 54;
  const FOOT = 34;
  const TIMES = [5, 15, 60, 300, 900, 3600, 21_600, 86_400, 172_800, 604_800];

  let canvas: HTMLCanvasElement;
  const first = $derived(film.frames[0].timeS);
  const last = $derived(lastOf(film.frames).timeS);
  const x = $derived(
    (scale === 'log' ? scaleLog() : scaleLinear())
      .domain([scale === 'log' ? first : 0, last])
      .range([LEFT, WIDTH - 8])
  );
  const topMm = $derived(film.fromMm + film.rowMm * film.frames[0].colours.length);
  const y = $derived(scaleLinear([film.fromMm, topMm], [HEIGHT - FOOT, 6]));
  const ticks = $derived(
    TIMES.filter((s) => s >= first * 0.99 && s <= last && (scale === 'log' || s > last / 14))
  );

  /** Each picture stands from half-way to the one before to half-way to the next. */
  const edges = $derived.by(() => {
    const at = film.frames.map((f) => x(f.timeS));
    return at.map((here, i) => ({
      from: i === 0 ? LEFT : (at[i - 1] + here) / 2,
      to: i === at.length - 1 ? WIDTH - 8 : (here + at[i + 1]) / 2
    }));
  });
  $effect(() => {
    const context = drawingOn(canvas);
    context.clearRect(0, 0, WIDTH, HEIGHT);
    const rows = film.frames[0].colours.length;
    const rowPx = (HEIGHT - FOOT - 6) / rows;
    const lights = film.frames.flatMap((f) => f.colours.map((c) => c[0])).sort((a, b) => a - b);
    const [dark, bright] = [
      lights[Math.floor(lights.length * 0.02)],
      lights[Math.floor(lights.length * 0.98)]
    ];
    film.frames.forEach((frame, i) => {
      const { from, to } = edges[i];
      frame.colours.forEach(([l, a, b], row) => {
        const light = stretched ? 8 + (84 * (l - dark)) / Math.max(4, bright - dark) : l;
        context.fillStyle = `rgb(${rgbOf([Math.min(100, Math.max(0, light)), a, b]).join(' ')})`;
        context.fillRect(from, HEIGHT - FOOT - (row + 1) * rowPx, to - from + 0.5, rowPx + 0.6);
      });
    });
  });

  const path = (points: readonly { timeS: number; heightMm: number }[]) =>
    points.length < 2
      ? ''
      : `M${points.map((p) => `${x(p.timeS).toFixed(1)} ${y(p.heightMm).toFixed(1)}`).join('L')}`;
  const downs = $derived(
    (['sand', 'silt'] as const)
      .map((layer) => ({ layer, timeS: reading?.estimate?.[`${layer}S`] }))
      .filter((d): d is { layer: 'sand' | 'silt'; timeS: number } => d.timeS !== undefined && d.timeS <= last)
  );
</script>

<div
  class="relative max-w-[860px]"
  role="img"
  aria-label={t.film.alt(film.frames.length, formatTapeTime(first), formatTapeTime(last))}
>
  <canvas class="block w-full h-auto" bind:this={canvas} width={WIDTH} height={HEIGHT}></canvas>
  <svg class="absolute inset-0 w-full h-full" viewBox="0 0 {WIDTH} {HEIGHT}" aria-hidden="true">
    <Axis side="left" line={LEFT} ticks={y.ticks(6).map((mm) => ({ at: y(mm), label: mm }))} unit="mm" />
    <Axis
      side="bottom"
      line={HEIGHT - FOOT}
      ticks={ticks.map((s) => ({ at: x(s), label: formatTapeTime(s) }))}
      stroke={6}
      away={FOOT - 10}
    />
    {#if waterMm < topMm}<path d="M{LEFT} {y(waterMm)}H{WIDTH - 8}" class="water" />{/if}
    {#if reading}
      {#each downs as down (down.layer)}
        <path d="M{x(down.timeS)} 6V{HEIGHT - FOOT}" class="down" />
        {@const late = x(down.timeS) > WIDTH * 0.8}
        <text x={x(down.timeS) + (late ? -5 : 5)} y="22" class="note" class:end={late}
          >{t.film.down(t.layer[down.layer])}</text
        >
      {/each}
      {#if reading.front}<path d={path(reading.front.points)} class="front" />{/if}
      <path d={path(reading.curve)} class="curve under" />
      <path d={path(reading.curve)} class="curve" />
    {/if}
  </svg>
</div>

<style>
  text {
    font: 500 var(--text-xs) var(--face-text);
    fill: var(--ink);
  }
  @media (max-width: 640px) {
    svg {
      --axis-type: var(--text-2xl);
    }
    text {
      font-size: var(--text-2xl);
    }
  }
  .end {
    text-anchor: end;
  }
  .note {
    font-weight: 700;
    stroke: var(--paper);
    stroke-width: 4px;
    paint-order: stroke;
  }
  .water,
  .down {
    fill: none;
    stroke: var(--ink);
    stroke-dasharray: 4 4;
  }
  .curve {
    fill: none;
    stroke: var(--pen);
    stroke-width: 2.4;
  }
  .curve.under {
    stroke: var(--paper);
    stroke-width: 5;
  }
  .front {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
    stroke-dasharray: 2 5;
    stroke-linecap: round;
  }
</style>
