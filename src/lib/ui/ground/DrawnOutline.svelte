<!-- @component An outline that is being drawn, in pen: its corners so far, the first to be pressed to close it; or the two points of a scale. -->
<script lang="ts">
  import type { Outline } from '$lib/core';
  import { t } from '$lib/words';
  import { pressByKey } from './keys';
  import { pathOf, toPx, type SketchView } from './view';

  type Props = {
    view: SketchView;
    drawn: Outline;
    /** Pressing the first corner closes it. */
    onclose?: () => void;
    /** Radius of its dots, px. */
    dotPx: number;
  };
  let { view, drawn, onclose, dotPx }: Props = $props();
</script>

<path d={pathOf(view, drawn, false)} aria-hidden="true" />
{#each drawn as corner, i (i)}
  {@const at = toPx(view, corner)}
  {#if i === 0 && onclose && drawn.length > 2}
    <g
      transform="translate({at[0]} {at[1]})"
      role="button"
      tabindex="0"
      aria-label={t.ground.closeHere}
      onclick={(e) => {
        e.stopPropagation();
        onclose();
      }}
      onkeydown={(e) => pressByKey(e, onclose)}
    >
      <circle class="grip" r="22" />
      <circle class="first" r="9" />
    </g>
  {:else}
    <circle class="dot" cx={at[0]} cy={at[1]} r={dotPx} aria-hidden="true" />
  {/if}
{/each}

<style>
  path {
    fill: none;
    stroke: var(--pen);
    stroke-width: 2.4;
    stroke-linejoin: round;
    pointer-events: none;
  }
  .first {
    fill: var(--sheet);
    stroke: var(--pen);
    stroke-width: 3;
  }
  .dot {
    fill: var(--pen);
    pointer-events: none;
  }
  g {
    cursor: pointer;
  }
</style>
