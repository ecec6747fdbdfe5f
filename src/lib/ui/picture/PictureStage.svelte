<!-- @component A picture to work on: it can be drawn nearer, and what lies over it is placed in its own points. -->
<script lang="ts">
  import Slide from '../kit/Slide.svelte';
  import type { Snippet } from 'svelte';
  import { t } from '$lib/words';

  type Props = {
    /** Address of the picture, and its size, px. */
    src: string;
    width: number;
    height: number;
    /** What the stage is called. */
    label: string;
    /** An SVG filter by id, to spread pale colours. */
    filter?: string;
    /** What lies over the picture; `unit` is one px of the screen in points of the picture. */
    children: Snippet<[{ unit: number }]>;
  };
  let { src, width, height, label, filter, children }: Props = $props();

  let zoom = $state(1);
  let shownWidth = $state(400);
  const unit = $derived(width / Math.max(1, shownWidth));
</script>

<div class="stage" role="group" aria-label={label}>
  <div class="frame">
    <div class="sheet" style:width="calc(min(100cqw, 33rem * {width} / {height}) * {zoom})">
      <svg bind:clientWidth={shownWidth} viewBox="0 0 {width} {height}">
        <image href={src} {width} {height} style:filter={filter ? `url(#${filter})` : undefined} />
        {@render children({ unit })}
      </svg>
    </div>
  </div>
  <Slide label={t.picture.nearer} value={zoom} min={1} max={6} step={0.5} oninput={(to) => (zoom = to)} />
</div>

<style>
  .stage {
    container-type: inline-size;
  }
  .frame {
    width: fit-content;
    max-width: 100%;
    overflow: auto;
    max-height: 33rem;
    border: var(--line) solid var(--rule);
    background: var(--sheet);
  }
  svg {
    display: block;
    width: 100%;
    height: auto;
    user-select: none;
  }
</style>
