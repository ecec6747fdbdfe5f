<!-- @component Where a soil lies: ink that is denser where it is likelier, in the outline of nine cases of ten, within the paper. -->
<script lang="ts">
  import type { DensityGrid } from '$lib/core';
  import { outlineOf, type Frame } from '$lib/workbench/triangle/frame';
  import { inkShapes, regionShape } from './region';

  type Props = {
    region?: DensityGrid;
    frame: Frame;
    /** The outline alone, dashed: another view of the soil. */
    other?: boolean;
  };
  let { region, frame, other = false }: Props = $props();

  const outline = $derived(outlineOf(frame));
  const clipId = $props.id();
</script>

<clipPath id={clipId}><path d={outline} /></clipPath>
<g clip-path="url(#{clipId})">
  {#if !other}
    {#each inkShapes(region, frame) as layer, i (i)}<path d={layer} class="ink" />{/each}
  {/if}
  <path d={regionShape(region, frame)} class="region" class:other />
</g>

<style>
  .region {
    fill: var(--pen);
    fill-opacity: 0.14;
    stroke: var(--pen);
    stroke-width: 1.6;
  }
  .ink {
    fill: var(--pen);
    fill-opacity: 0.14;
  }
  .region.other {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.3;
    stroke-dasharray: 4 4;
  }
</style>
