<!-- @component What a sketch is drawn on: squared paper, a picture under it, and a hatch for each question asked of the ground. -->
<script lang="ts">
  import type { Backdrop } from '$lib/contract/records/ground';
  import { squares, toPx, type SketchView } from './view';

  type Props = {
    view: SketchView;
    backdrop: Backdrop | null;
    /** What the ids of the hatches begin with. */
    hatch: string;
  };
  let { view, backdrop, hatch }: Props = $props();

  const grid = $derived(squares(view));
  const fifth = (metres: number) => Math.round(metres / grid.stepM) % 5 === 0;
</script>

<defs>
  <pattern
    id="{hatch}-garden"
    width="9"
    height="9"
    patternUnits="userSpaceOnUse"
    patternTransform="rotate(24)"
  >
    <path d="M0 4.5H9" />
  </pattern>
  <pattern id="{hatch}-build" width="22" height="14" patternUnits="userSpaceOnUse">
    <path d="M0 .5H22M0 7.5H22M6 0V7M17 7V14" />
  </pattern>
  <pattern id="{hatch}-bore" width="15" height="15" patternUnits="userSpaceOnUse">
    <circle cx="4" cy="4" r="2.4" /><circle cx="11.5" cy="11.5" r="2.4" />
  </pattern>
  <pattern id="{hatch}-lesson" width="11" height="11" patternUnits="userSpaceOnUse">
    <path d="M3 5.5H8M5.5 3V8" />
  </pattern>
</defs>
<rect class="paper" width={view.width} height={view.height} />
{#if backdrop}
  {@const at = toPx(view, [0, backdrop.heightPx * backdrop.metresPerPx])}
  {@const scale = backdrop.metresPerPx * view.pxPerM}
  <image
    href="/api/v1/photos/{backdrop.fileId}"
    x={at[0]}
    y={at[1]}
    width={backdrop.widthPx * scale}
    height={backdrop.heightPx * scale}
    preserveAspectRatio="none"
  />
{/if}
<g class="squares" class:over={backdrop} aria-hidden="true">
  {#each grid.xs as x (x)}
    {@const px = toPx(view, [x, 0])[0]}
    <line x1={px} x2={px} y1="0" y2={view.height} class:fifth={fifth(x)} />
  {/each}
  {#each grid.ys as y (y)}
    {@const py = toPx(view, [0, y])[1]}
    <line y1={py} y2={py} x1="0" x2={view.width} class:fifth={fifth(y)} />
  {/each}
</g>

<style>
  .paper {
    fill: var(--sheet);
  }
  .squares line {
    stroke: var(--hair);
    stroke-width: 0.5;
    opacity: 0.65;
  }
  .squares .fifth {
    stroke-width: 1;
    opacity: 0.9;
  }
  .squares.over {
    opacity: 0.35;
  }
  pattern path,
  pattern circle {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1;
    opacity: 0.16;
  }
</style>
