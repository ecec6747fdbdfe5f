<!-- @component A picture to work on: it can be drawn nearer, and what lies over it is placed in its own points. -->
<script lang="ts">
  import type { Snippet } from 'svelte';
  import { t } from '$lib/words';

  type Props = {
    src: string;
    width: number;
    height: number;
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
  <label class="zoom small flex items-center gap-3 min-h-touch">
    {t.picture.nearer}
    <input type="range" min="1" max="6" step="0.5" bind:value={zoom} />
  </label>
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
  .zoom input {
    flex: 1;
    max-width: 14rem;
    accent-color: var(--ink);
    min-height: 32px;
  }
</style>
