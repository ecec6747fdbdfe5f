<!-- @component The height-time picture of a practice jar, shown as far as it has been played, with the tapes that were laid. -->
<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import { columnOfTime, formatTapeTime, type TapeCut } from '$lib/core';
  import { drawingOn } from '$lib/browser/canvas';
  import Axis from '../kit/Axis.svelte';
  import { t } from '$lib/words';

  type Props = {
    /** Red, green, blue and cover, row by row, `columns` by `rows`. */
    picture: Uint8ClampedArray;
    columns: number;
    rows: number;
    waterMm: number;
    timeS: number;
    tapes: readonly TapeCut[];
  };
  let { picture, columns, rows, waterMm, timeS, tapes }: Props = $props();

  const WIDTH = 620;
  const HEIGHT = 250;
  const LEFT = 44;
  const FOOT = 30;
  const TIMES = [1, 10, 60, 600, 7200, 43_200, 172_800];
  let canvas: HTMLCanvasElement;
  const x = (s: number) => LEFT + (WIDTH - LEFT) * columnOfTime(s);
  const y = $derived(scaleLinear([0, waterMm], [HEIGHT - FOOT, 6]));
  $effect(() => {
    drawingOn(canvas).putImageData(new ImageData(new Uint8ClampedArray(picture), columns, rows), 0, 0);
  });
  const now = $derived(x(timeS));
</script>

<figure class="m-0">
  <div class="relative max-w-[620px]" role="img" aria-label={t.practice.jar.pictureAlt}>
    <canvas
      class="absolute"
      style:left="{(100 * LEFT) / WIDTH}%"
      style:top="{(100 * 6) / HEIGHT}%"
      style:width="{(100 * (WIDTH - LEFT)) / WIDTH}%"
      style:height="{(100 * (HEIGHT - FOOT - 6)) / HEIGHT}%"
      bind:this={canvas}
      width={columns}
      height={rows}
    ></canvas>
    <svg class="relative block w-full h-auto" viewBox="0 0 {WIDTH} {HEIGHT}" aria-hidden="true">
      <rect x={now} y="6" width={Math.max(0, WIDTH - now)} height={HEIGHT - FOOT - 6} class="ahead" />
      <rect x={LEFT} y="6" width={WIDTH - LEFT} height={HEIGHT - FOOT - 6} class="frame" />
      <Axis side="left" line={LEFT} ticks={y.ticks(5).map((mm) => ({ at: y(mm), label: mm }))} unit="mm" />
      <Axis
        side="bottom"
        line={HEIGHT - FOOT}
        ticks={TIMES.map((s) => ({ at: x(s), label: formatTapeTime(s) }))}
        away={20}
      />
      {#each tapes as tape (tape.timeS)}
        <path d="M{x(tape.timeS)} {y(tape.heightMm - tape.leansMm)}m-7 0h14" class="tape" />
      {/each}
      <path d="M{now} 6V{HEIGHT - FOOT}" class="now" />
    </svg>
  </div>
  <figcaption class="small faded">{t.practice.jar.pictureTitle}</figcaption>
</figure>

<style>
  .ahead {
    fill: var(--paper);
  }
  .frame {
    fill: none;
    stroke: var(--rule);
  }
  .now {
    stroke: var(--ink);
    stroke-width: 2;
  }
  .tape {
    stroke: var(--pen);
    stroke-width: 4;
  }
  @media (max-width: 640px) {
    svg {
      --axis-type: var(--text-2xl);
    }
  }
</style>
