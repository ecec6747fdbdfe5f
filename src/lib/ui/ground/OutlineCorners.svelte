<!-- @component Corners of an area to take hold of: dragged, moved by arrow keys, taken out by Delete; a plus adds one. -->
<script lang="ts">
  import type { Attachment } from 'svelte/attachments';
  import type { Point } from '$lib/core';
  import { t } from '$lib/words';
  import { placeByKey, pressByKey } from './keys';
  import { toPx, type SketchView } from './view';

  type Props = {
    view: SketchView;
    corners: readonly Point[];
    /** Lets the hand drag a corner. */
    drag: (index: number) => Attachment<SVGElement>;
    onchange: (outline: Point[]) => void;
  };
  let { view, corners, drag, onchange }: Props = $props();

  /** An edge shorter than this, px, has no room for a plus. */
  const EDGE_LEAST_PX = 60;
  const next = (i: number) => corners[(i + 1) % corners.length];
  const middle = (i: number): Point => [(corners[i][0] + next(i)[0]) / 2, (corners[i][1] + next(i)[1]) / 2];

  function key(event: KeyboardEvent, index: number) {
    const to = placeByKey(event, corners[index]);
    if (to) onchange(corners.map((c, i) => (i === index ? to : c)));
    else if ((event.key === 'Delete' || event.key === 'Backspace') && corners.length > 3) {
      event.preventDefault();
      onchange(corners.filter((_, i) => i !== index));
    }
  }
  function add(index: number) {
    onchange([...corners.slice(0, index + 1), middle(index), ...corners.slice(index + 1)]);
  }
</script>

{#each corners as corner, i (i)}
  {@const at = toPx(view, corner)}
  {@const far = toPx(view, next(i))}
  {#if Math.hypot(far[0] - at[0], far[1] - at[1]) > EDGE_LEAST_PX}
    {@const half = toPx(view, middle(i))}
    <g
      class="between"
      transform="translate({half[0]} {half[1]})"
      role="button"
      tabindex="0"
      aria-label={t.ground.addCorner(i + 1)}
      onclick={() => add(i)}
      onkeydown={(e) => pressByKey(e, () => add(i))}
    >
      <circle class="grip" r="16" />
      <path d="M-5 0H5M0 -5V5" />
    </g>
  {/if}
  <g
    class="corner"
    transform="translate({at[0]} {at[1]})"
    role="button"
    tabindex="0"
    aria-label={t.ground.corner(i + 1, corner[0].toFixed(1), corner[1].toFixed(1))}
    {@attach drag(i)}
    onkeydown={(e) => key(e, i)}
  >
    <circle class="grip" r="22" />
    <rect x="-6" y="-6" width="12" height="12" />
  </g>
{/each}

<style>
  .corner {
    cursor: move;
  }
  .between {
    cursor: pointer;
  }
  .corner rect {
    fill: var(--sheet);
    stroke: var(--ink);
    stroke-width: 2.2;
  }
  .between path {
    stroke: var(--faded);
    stroke-width: 2;
  }
</style>
