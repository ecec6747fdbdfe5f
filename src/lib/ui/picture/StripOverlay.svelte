<!-- @component What lies over a picture that is measured: the two known heights, and the strip between them. -->
<script lang="ts">
  import { asideOfPixel, heightOfPixel, pixelOfHeight, type Pixel, type Strip } from '$lib/core';
  import { t } from '$lib/words';
  import PictureHandle from './PictureHandle.svelte';

  type Props = {
    /** The strip as it lies; none while its scale does not hold. */
    strip: Strip | undefined;
    /** The two known heights, px, and what is written at them. */
    low: Pixel;
    high: Pixel;
    lowMark: string;
    highMark: string;
    /** Corners of the strip, px. */
    outline: Pixel[];
    /** Px of the picture that are one on the screen. */
    unit: number;
    /** Told of a known height or the strip that is moved. */
    onlow: (to: Pixel) => void;
    onhigh: (to: Pixel) => void;
    onstrip: (change: { asidePx?: number; fromMm?: number; toMm?: number }) => void;
  };
  let { strip, low, high, lowMark, highMark, outline, unit, onlow, onhigh, onstrip }: Props = $props();

  const middle = $derived(strip && pixelOfHeight(strip, (strip.fromMm * 2 + strip.toMm * 3) / 5));
  const foot = $derived(strip && pixelOfHeight(strip, strip.fromMm));
  const head = $derived(strip && pixelOfHeight(strip, strip.toMm));
</script>

<path
  d="M{low[0]} {low[1]}L{high[0]} {high[1]}"
  class="axis"
  stroke-width={1.6 * unit}
  stroke-dasharray="{6 * unit} {5 * unit}"
/>
{#if strip && middle && foot && head}
  <path d="M{outline.map((p) => p.join(' ')).join('L')}Z" class="strip" stroke-width={2 * unit} />
  <PictureHandle
    at={middle}
    label={t.picture.moveStrip}
    {unit}
    shape="grip"
    onmove={(to) => onstrip({ asidePx: asideOfPixel(strip, to) })}
  />
  <PictureHandle
    at={foot}
    label={t.picture.stripFoot}
    {unit}
    shape="grip"
    onmove={(to) => onstrip({ fromMm: Math.min(heightOfPixel(strip, to), strip.toMm - 5) })}
  />
  <PictureHandle
    at={head}
    label={t.picture.stripHead}
    {unit}
    shape="grip"
    onmove={(to) => onstrip({ toMm: Math.max(heightOfPixel(strip, to), strip.fromMm + 5) })}
  />
{/if}
<PictureHandle at={low} label={t.picture.lowPoint} mark={lowMark} {unit} onmove={onlow} />
<PictureHandle at={high} label={t.picture.highPoint} mark={highMark} {unit} onmove={onhigh} />

<style>
  .axis {
    stroke: var(--pen);
    fill: none;
  }
  .strip {
    fill: color-mix(in oklab, var(--paper) 14%, transparent);
    stroke: var(--paper);
  }
</style>
