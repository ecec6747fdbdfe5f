<!-- @component The spots of an area: dots from afar; from near, numbered in the order of the walk, ticked once taken. -->
<script lang="ts">
  import Check from '@lucide/svelte/icons/check';
  import type { Attachment } from 'svelte/attachments';
  import type { Point } from '$lib/core';
  import type { SpotRecord } from '$lib/contract/records/ground';
  import { t } from '$lib/words';
  import { placeByKey } from './keys';
  import { pathOf, toPx, type SketchView } from './view';

  type Props = {
    view: SketchView;
    spots: readonly SpotRecord[];
    near: boolean;
    /** Spot to go to next. */
    nextSpotId: string | null;
    /** Set while spots can be moved: lets the hand drag one. */
    drag?: (spotId: string) => Attachment<SVGElement>;
    /** Told of one that a key has moved. */
    onmove?: (spotId: string, place: Point) => void;
  };
  let { view, spots, near, nextSpotId, drag, onmove }: Props = $props();

  const places = $derived(spots.map((s): Point => [s.x, s.y]));
  const byKey = (spot: SpotRecord) =>
    drag
      ? {
          role: 'button',
          tabindex: 0,
          'aria-label': t.ground.moveSpot(spot.no),
          onkeydown: (event: KeyboardEvent) => {
            const to = placeByKey(event, [spot.x, spot.y]);
            if (to) onmove?.(spot.id, to);
          }
        }
      : { 'aria-hidden': true };
</script>

{#if near && spots.length > 1}<path class="walk" aria-hidden="true" d={pathOf(view, places, false)} />{/if}
{#each spots as spot, i (spot.id)}
  {@const at = toPx(view, places[i])}
  <g
    class:taken={spot.takenAt !== null}
    class:next={spot.id === nextSpotId}
    class:handled={drag}
    transform="translate({at[0]} {at[1]})"
    {...byKey(spot)}
    {@attach drag?.(spot.id)}
  >
    <circle class="grip" r="22" />
    <circle class="dot" r={near ? 12 : 3.2} />
    {#if near}
      {#if spot.takenAt === null}<text y="5">{spot.no}</text>
      {:else}<Check x="-8" y="-8" size={16} strokeWidth={3} aria-hidden="true" />{/if}
    {/if}
  </g>
{/each}

<style>
  .walk {
    fill: none;
    stroke: var(--faded);
    stroke-width: 1.2;
    stroke-dasharray: 3 5;
    pointer-events: none;
  }
  .dot {
    fill: var(--sheet);
    stroke: var(--ink);
    stroke-width: 2;
  }
  text {
    font: 700 var(--text-xs) var(--face-text);
    text-anchor: middle;
    fill: var(--ink);
    pointer-events: none;
  }
  .taken .dot {
    fill: var(--ink);
  }
  .taken :global(svg) {
    color: var(--sheet);
  }
  .taken text {
    fill: var(--sheet);
  }
  .next .dot {
    fill: var(--pen);
    stroke: var(--pen);
  }
  .next text {
    fill: var(--on-pen);
  }
  .handled {
    cursor: move;
  }
</style>
