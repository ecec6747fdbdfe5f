<!--
  @component The inside of a vessel traced on a picture: two known heights give the scale and the axis of the vessel,
  points along one wall give its diameters.
-->
<script lang="ts">
  import { onDestroy, untrack } from 'svelte';
  import { mirroredWall, traceWall, type Pixel, type ProfilePoint, lastOf } from '$lib/core';
  import type { Format } from '$lib/words/format';
  import PictureChoice from '../picture/PictureChoice.svelte';
  import PictureHandle from '../picture/PictureHandle.svelte';
  import ScaleFields from '../picture/ScaleFields.svelte';
  import PictureStage from '../picture/PictureStage.svelte';
  import { PictureReading } from '../picture/reading.svelte';
  import { t } from '$lib/words';

  type Props = { format: Format; onpoints: (points: ProfilePoint[]) => void };
  let { format, onpoints }: Props = $props();

  const pictureReading = untrack(() => new PictureReading({ unit: format.profile.length, waterMm: 150 }));
  onDestroy(() => pictureReading.close());
  let wall = $state<Pixel[]>([]);
  const strip = $derived(pictureReading.strip);

  /** Five points up the wall to begin with. */
  function begin(): Pixel[] {
    const [a, b] = [pictureReading.low.at, pictureReading.high.at];
    return [0, 0.25, 0.5, 0.75, 1].map((s) => [
      a[0] + (b[0] - a[0]) * s + pictureReading.size.width * 0.2,
      a[1] + (b[1] - a[1]) * s
    ]);
  }
  async function open(picture: Blob) {
    await pictureReading.open(picture);
    if (pictureReading.url) wall = begin();
  }

  const points = $derived(strip ? traceWall(strip, wall) : []);
  /** The wall on the other side, for the eye. */
  const mirrored = $derived(strip ? mirroredWall(strip, points) : []);
</script>

<div class="grid gap-3 min-w-0">
  <p class="small">{t.vessel.traceHow}</p>
  <PictureChoice onpicture={open} />
  {#if pictureReading.problems.picture}<p class="wrong" role="alert">
      {pictureReading.problems.picture}
    </p>{/if}
  {#if pictureReading.url !== ''}
    <PictureStage
      src={pictureReading.url}
      width={pictureReading.size.width}
      height={pictureReading.size.height}
      label={t.picture.stage}
    >
      {#snippet children({ unit })}
        <path
          d="M{pictureReading.low.at.join(' ')}L{pictureReading.high.at.join(' ')}"
          class="axis"
          stroke-width={1.5 * unit}
          stroke-dasharray="{6 * unit} {5 * unit}"
        />
        {#if wall.length > 1}
          <path d="M{wall.map((p) => p.join(' ')).join('L')}" class="wall" stroke-width={2 * unit} />
        {/if}
        {#if mirrored.length > 1}
          <path
            d="M{mirrored.map((p) => p.join(' ')).join('L')}"
            class="wall other"
            stroke-width={2 * unit}
          />
        {/if}
        <PictureHandle
          at={pictureReading.low.at}
          label={t.picture.lowPoint}
          mark={pictureReading.low.text}
          {unit}
          onmove={(to) => (pictureReading.low.at = to)}
        />
        <PictureHandle
          at={pictureReading.high.at}
          label={t.picture.highPoint}
          mark={pictureReading.high.text}
          {unit}
          onmove={(to) => (pictureReading.high.at = to)}
        />
        {#each wall as point, i (i)}
          <PictureHandle
            at={point}
            label={t.vessel.wallPoint(i + 1)}
            {unit}
            shape="grip"
            onmove={(to) => (wall[i] = to)}
          />
        {/each}
      {/snippet}
    </PictureStage>
    <ScaleFields {pictureReading} />
    <p class="row-of-actions">
      <button
        type="button"
        class="link"
        onclick={() => wall.push([lastOf(wall)[0], lastOf(wall)[1] - pictureReading.size.height * 0.05])}
        >{t.vessel.moreWall}</button
      >
      <button
        type="button"
        class="btn btn-secondary"
        disabled={points.length < 2}
        onclick={() => onpoints(points)}>{t.vessel.useTrace}</button
      >
    </p>
  {/if}
</div>

<style>
  .axis {
    fill: none;
    stroke: var(--pen);
  }
  .wall {
    fill: none;
    stroke: var(--pen);
  }
  .other {
    opacity: 0.5;
  }
</style>
