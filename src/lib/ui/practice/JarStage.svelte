<!--
  @component A jar that settles, to scale, with every grain at its height: a ruler stands beside it, tapes are on the glass.
  It draws the moment it is given and works nothing out.
-->
<script lang="ts">
  import {
    formatTapeTime,
    grainHeights,
    known,
    type Grains,
    type JarTrack,
    type Moment,
    type NamedVessel,
    type TapeCut
  } from '$lib/core';
  import { drawingOn } from '$lib/browser/canvas';
  import { outlineOf, tapePath } from '../vessel/outline';
  import { paintJar, paintsOf } from './paint';

  type Props = {
    track: JarTrack;
    grains: Grains;
    moment: Moment;
    vessel: NamedVessel;
    /** px per mm */
    scale: number;
    foam: boolean;
    tapes: readonly TapeCut[];
    /** What it says to those who cannot see it. */
    label: string;
  };
  let { track, grains, moment, vessel, scale, foam, tapes, label }: Props = $props();

  const RULER = 46;
  const TAPE_ROOM = 78;
  const TAPE_HEIGHT = 18;
  let canvas: HTMLCanvasElement;
  const outline = $derived(outlineOf(vessel, scale));
  const lean = $derived(track.jar.leanDeg);
  const width = $derived(Math.ceil(outline.width + RULER + TAPE_ROOM));
  const height = $derived(Math.ceil(outline.height + (lean ? 20 : 6)));
  const heights = $derived(new Float32Array(grains.band.length));

  $effect(() => {
    const pen = drawingOn(canvas);
    const fine = Math.min(2, window.devicePixelRatio);
    if (canvas.width !== width * fine) {
      canvas.width = width * fine;
      canvas.height = height * fine;
    }
    pen.setTransform(fine, 0, 0, fine, 0, 0);
    pen.clearRect(0, 0, width, height);
    grainHeights(track, grains, moment, heights);
    const paints = paintsOf(canvas);
    paintJar(pen, { track, grains, heights, moment, vessel, scale, foam, paints, at: { x: RULER, y: 0 } });
  });
  const ticks = $derived(
    Array.from({ length: Math.floor(vessel.innerHeightMm / 5) + 1 }, (_, i) => ({
      mm: 5 * i,
      y: outline.y(5 * i)
    }))
  );
  /** Strips are moved apart where they would overlap; their lines stay where they are. */
  const strips = $derived.by(() => {
    let floor = Infinity;
    return [...tapes]
      .sort((a, b) => a.heightMm - b.heightMm)
      .map((tape) => {
        const lineY = outline.y(tape.heightMm);
        const y = Math.min(lineY - TAPE_HEIGHT / 2, floor - TAPE_HEIGHT - 2);
        floor = y;
        return { tape, lineY, y, text: formatTapeTime(tape.timeS) };
      });
  });
  const turn = $derived(
    lean
      ? `rotate(${lean} ${RULER + outline.width / 2} ${known(outline.y(0), 'it has a bottom')})`
      : undefined
  );
</script>

<div class="relative" style:width="{width}px" style:height="{height}px" role="img" aria-label={label}>
  <canvas class="absolute inset-0 w-full h-full" bind:this={canvas} aria-hidden="true"></canvas>
  <svg class="absolute inset-0 overflow-visible" {width} {height} aria-hidden="true">
    <g transform={turn}>
      <path d="M{RULER - 8} {outline.y(vessel.innerHeightMm)}V{outline.y(0)}" class="edge" />
      {#each ticks as { mm, y } (mm)}
        <path d="M{RULER - 8} {y}h{mm % 10 === 0 ? -10 : -6}" class="tick" />
        {#if mm % 20 === 0}<text x={RULER - 22} y={y + 4} text-anchor="end">{mm}</text>{/if}
      {/each}
      {#each strips as { tape, lineY, y, text } (tape.timeS)}
        <path d="M{RULER + outline.innerLeft} {lineY}H{RULER + outline.innerRight}" class="line" />
        <path
          d={tapePath(RULER + outline.innerRight - 8, y, 18 + text.length * 7.2, TAPE_HEIGHT)}
          class="strip"
        />
        <text x={RULER + outline.innerRight} y={y + 13.4} class="time">{text}</text>
      {/each}
    </g>
  </svg>
</div>

<style>
  text {
    font: 500 var(--text-xs) var(--face-text);
    font-variant-numeric: tabular-nums;
    fill: var(--ink);
  }
  .time {
    font-weight: 650;
    fill: var(--tape-ink);
  }
  .edge,
  .tick {
    stroke: var(--rule);
    fill: none;
  }
  .line {
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .strip {
    fill: var(--tape);
    stroke: var(--tape-edge);
  }
</style>
