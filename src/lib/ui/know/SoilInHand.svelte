<!-- @component The soil in hand on the triangle, to be dragged, and where it stood before. -->
<script lang="ts">
  import type { Fractions } from '$lib/core';
  import { ontoPaper, type Frame } from '$lib/workbench/triangle/frame';
  import { draggable } from '../kit/handle';

  type Props = {
    /** The triangle's drawing. */
    within: () => SVGSVGElement;
    frame: Frame;
    point: Fractions;
    /** Where it stood before it was dragged. */
    from?: Fractions;
    /** How near the drawing is: marks stay as large on the screen. */
    k: number;
    onmove: (f: Fractions) => void;
    onheld: (held: boolean) => void;
  };
  let { within, frame, point, from, k, onmove, onheld }: Props = $props();
  const at = $derived(frame.place(point));
</script>

{#if from}
  {@const a = frame.place(from)}
  {#if Math.hypot(a.x - at.x, a.y - at.y) > 1}
    <path d="M{a.x} {a.y}L{at.x} {at.y}" class="drag" />
    <circle cx={a.x} cy={a.y} r={6 / k} class="was" />
  {/if}
{/if}
<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions (the triangle itself hears the keys) -->
<circle
  cx={at.x}
  cy={at.y}
  r={22 / k}
  class="grip"
  onclick={(e) => e.stopPropagation()}
  {@attach draggable({
    within,
    at: () => at,
    onmove: (to) => onmove(ontoPaper(frame.back(to))),
    onheld
  })}
/>
<circle cx={at.x} cy={at.y} r={8 / k} class="point" />

<style>
  .drag {
    stroke: var(--pen);
    stroke-width: 2;
    stroke-dasharray: 5 4;
    fill: none;
  }
  .was {
    fill: var(--sheet);
    stroke: var(--pen);
    stroke-width: 2;
  }
  .grip {
    fill: transparent;
    touch-action: none;
    cursor: grab;
  }
  .point {
    pointer-events: none;
    fill: var(--pen);
    stroke: var(--sheet);
    stroke-width: 2;
  }
</style>
