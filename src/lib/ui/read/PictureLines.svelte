<!-- @component What lies on a picture that is read: the strip with its lines to be moved, or four corners to straighten by. -->
<script lang="ts">
  import { heightOfPixel, pixelOfHeight, stripAxes, type Strip } from '$lib/core';
  import { t } from '$lib/words';
  import type { Format } from '$lib/words/format';
  import { spreadMarks } from '../picture/marks';
  import OwnStrip from '../picture/OwnStrip.svelte';
  import PictureHandle from '../picture/PictureHandle.svelte';
  import type { FoundLine, PictureReading } from '../picture/reading.svelte';

  type Props = {
    pictureReading: PictureReading;
    strip: Strip | undefined;
    /** Px of the picture that are one on the screen. */
    unit: number;
    format: Format;
  };
  let { pictureReading, strip, unit, format }: Props = $props();

  const lineLabel = (line: FoundLine) =>
    t.picture.line(line.name ? t.layer[line.name] : t.picture.noName, format.length(line.heightMm, 1));
</script>

{#if pictureReading.squaring && pictureReading.corners}
  <path
    d="M{pictureReading.corners.map((c) => c.join(' ')).join('L')}Z"
    class="square"
    stroke-width={2 * unit}
  />
  {#each pictureReading.corners as corner, i (i)}
    <PictureHandle
      at={corner}
      label={t.picture.corner(i)}
      {unit}
      onmove={(to) => pictureReading.moveCorner(i, to)}
    />
  {/each}
{:else}
  <OwnStrip {pictureReading} {strip} {unit} />
  {#if strip}
    {@const { right } = stripAxes(strip)}
    {@const shifts = spreadMarks(
      pictureReading.lines.map((line) => pixelOfHeight(strip, line.heightMm)[1]),
      16 * unit
    )}
    {#each pictureReading.lines as line, i (line.key)}
      {@const [x, y] = pixelOfHeight(strip, line.heightMm)}
      {@const half = strip.widthPx / 2 + 14 * unit}
      <path
        d="M{x - right[0] * half} {y - right[1] * half}L{x + right[0] * half} {y + right[1] * half}"
        class="line"
        class:faint={(line.confidence ?? 1) < 0.7}
        stroke-width={2.6 * unit}
      />
      <PictureHandle
        at={[x + right[0] * half, y + right[1] * half]}
        label={lineLabel(line)}
        mark={line.name ? t.layer[line.name] : '?'}
        markShift={shifts[i]}
        {unit}
        shape="bar"
        onmove={(to) => pictureReading.moveLine(line, heightOfPixel(strip, to))}
      />
    {/each}
  {/if}
{/if}

<style>
  .line {
    stroke: var(--pen);
  }
  .line.faint {
    stroke-dasharray: 6 5;
  }
  .square {
    fill: none;
    stroke: var(--pen);
  }
</style>
