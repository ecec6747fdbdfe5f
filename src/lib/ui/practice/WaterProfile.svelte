<!-- @component What the water of a jar holds, by height: sand, silt and clay beside each other in g/L, drawn at the heights of the jar beside it. -->
<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import { area } from 'd3-shape';
  import { waterAt, type JarTrack, type Moment } from '$lib/core';
  import Axis from '../kit/Axis.svelte';
  import { t } from '$lib/words';

  type Props = {
    track: JarTrack;
    moment: Moment;
    /** Height over the inside bottom, mm, to px; and the size of the drawing, px. */
    y: (mm: number) => number;
    height: number;
    /** Hold by height, g/L, at the start: the far end of its scale. */
    mostGL: number;
  };
  let { track, moment, y, height, mostGL }: Props = $props();

  const WIDTH = 160;
  const FOOT = 30;
  const ROWS = 70;
  const BANDS = ['sand', 'silt', 'clay'] as const;
  const x = $derived(scaleLinear([0, mostGL], [6, WIDTH - 8]));
  const rows = $derived.by(() => {
    const { floorMm, columnMm } = moment.settling;
    const top = floorMm + columnMm;
    return Array.from({ length: ROWS + 1 }, (_, i) => {
      const mm = moment.topMm + ((top - moment.topMm) * i) / ROWS;
      const up = waterAt(moment, (mm - floorMm) / columnMm);
      let sum = 0;
      const edges = [0, ...BANDS.map((band) => (sum += up[band]))];
      return { y: y(mm), edges };
    });
  });
  const shapes = $derived(
    BANDS.map((band, i) => ({
      band,
      d: area<(typeof rows)[number]>()
        .x0((row) => x(row.edges[i]))
        .x1((row) => x(row.edges[i + 1]))
        .y((row) => row.y)(rows)
    }))
  );
  const mid = $derived(waterAt(moment, 0.5));
  const middle = $derived(mid.sand + mid.silt + mid.clay);
</script>

<figure class="m-0">
  <svg
    width={WIDTH}
    height={height + FOOT}
    class="overflow-visible block"
    role="img"
    aria-label={t.practice.jar.waterAlt(middle < 10 ? middle.toFixed(2) : middle.toFixed(0))}
  >
    <rect
      x="6"
      y={y(track.jar.floorMm + track.jar.columnMm)}
      width={WIDTH - 14}
      height={y(moment.topMm) - y(track.jar.floorMm + track.jar.columnMm)}
      class="water"
    />
    {#each shapes as { band, d } (band)}<path {d} fill="var(--{band})" />{/each}
    <path d="M6 {y(moment.topMm)}H{WIDTH - 8}" class="bed" />
    <Axis side="bottom" line={y(0)} ticks={x.ticks(3).map((gL) => ({ at: x(gL), label: gL }))} away={20} />
  </svg>
  <figcaption class="small faded">{t.practice.jar.waterTitle}</figcaption>
</figure>

<style>
  .water {
    fill: var(--clear);
  }
  .bed {
    stroke: var(--ink);
    stroke-width: 1.5;
  }
</style>
