<!--
  @component The colours of a strip, bottom to top as they lie on the glass: a band of the colours themselves and the
  curve of their lightness, with the lines that were found, so that one can see why.
-->
<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import Axis from '../kit/Axis.svelte';
  import { rgbOf, type StripProfile } from '$lib/core';
  import { t } from '$lib/words';

  type Props = {
    /** Colours of the strip, bottom first. */
    profile: StripProfile;
    /** Lines that were found, mm, with their errors. */
    lines: readonly { heightMm: number; sigmaMm: number }[];
    /** Height of the drawing, px. */
    height?: number;
  };
  let { profile, lines, height = 330 }: Props = $props();

  const BAND = 34;
  const WIDTH = 190;
  const ROWS = 220;
  const toMm = $derived(profile.fromMm + profile.rowMm * (profile.colours.length - 0.5));
  const y = $derived(scaleLinear([profile.fromMm - profile.rowMm / 2, toMm], [height - 4, 4]));
  const light = $derived.by(() => {
    const ls = profile.colours.map((c) => c[0]);
    return scaleLinear([Math.min(...ls) - 2, Math.max(...ls) + 2], [BAND + 10, WIDTH - 4]);
  });
  /** Few enough rows to draw. */
  const rows = $derived.by(() => {
    const n = profile.colours.length;
    return Array.from({ length: Math.min(ROWS, n) }, (_, i) => {
      const at = Math.floor((i * n) / Math.min(ROWS, n));
      return { mm: profile.fromMm + profile.rowMm * at, colour: profile.colours[at] };
    });
  });
  const path = $derived(
    'M' + rows.map((r) => `${light(r.colour[0]).toFixed(1)} ${y(r.mm).toFixed(1)}`).join('L')
  );
  const step = $derived(Math.abs(y(rows[1].mm) - y(rows[0].mm)) + 0.6);
</script>

<svg
  class="block w-full max-w-[15rem] h-auto"
  viewBox="0 0 {WIDTH} {height}"
  role="img"
  aria-label={t.picture.chart(lines.length)}
>
  {#each rows as row (row.mm)}
    <rect
      x="0"
      y={y(row.mm) - step / 2}
      width={BAND}
      height={step}
      fill="rgb({rgbOf(row.colour).join(' ')})"
    />
  {/each}
  <Axis side="right" line={BAND} ticks={y.ticks(8).map((mm) => ({ at: y(mm), label: mm }))} stroke={6} />
  <path d={path} class="curve" />
  {#each lines as found, i (i)}
    <rect
      x="0"
      y={y(found.heightMm + found.sigmaMm)}
      width={WIDTH}
      height={Math.max(1, y(found.heightMm - found.sigmaMm) - y(found.heightMm + found.sigmaMm))}
      class="spread"
    />
    <path d="M0 {y(found.heightMm)}H{WIDTH}" class="found" />
  {/each}
</svg>

<style>
  svg {
    --axis-ink: var(--faded);
  }
  .curve {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.6;
  }
  .found {
    stroke: var(--pen);
    stroke-width: 1.4;
    stroke-dasharray: 5 3;
  }
  .spread {
    fill: var(--pen);
    opacity: 0.16;
  }
</style>
