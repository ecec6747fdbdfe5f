<!-- @component A picture of the bench camera for a task, taken in the worker; what is to be drawn on it is given as a snippet. -->
<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { PictureTask } from '$lib/core';
  import { drawingOn } from '$lib/browser/canvas';
  import { simulateWorker } from '$lib/browser/workers';
  import { t } from '$lib/words';

  type Props = { task: PictureTask; children?: Snippet };
  let { task, children }: Props = $props();
  let canvas = $state<HTMLCanvasElement>();
  let drawn = $state(false);
  const { widthPx, heightPx } = $derived(task.shot);
  $effect(() => {
    void simulateWorker()
      .picture(task)
      .then(({ data, width, height }) => {
        // Whoever went on to another task has none any more.
        if (!canvas) return;
        drawingOn(canvas).putImageData(new ImageData(new Uint8ClampedArray(data), width, height), 0, 0);
        drawn = true;
      });
  });
</script>

<div
  class="relative w-[460px] max-w-full"
  role="img"
  aria-label={t.drills.fields.pictureAlt}
  aria-busy={!drawn}
>
  <canvas class="block w-full h-auto" bind:this={canvas} width={widthPx} height={heightPx}></canvas>
  {#if children}
    <svg class="absolute inset-0 w-full h-full" viewBox="0 0 {widthPx} {heightPx}" aria-hidden="true">
      {@render children()}
    </svg>
  {/if}
</div>
