<!-- @component A place in a picture that is dragged, or moved with the arrow keys: a point of it a press, ten with shift. -->
<script lang="ts">
  import { known } from '$lib/core';
  import { draggable, keyStep } from '../kit/handle';
  import type { Pixel } from '$lib/core';

  type Props = {
    /** Where it stands on the picture, px of the picture. */
    at: Pixel;
    /** What it is called by those who cannot see it. */
    label: string;
    /** Short text beside it. */
    mark?: string;
    /** How far that text is moved from its place, in points of the picture, downward. */
    markShift?: number;
    /** One px of the screen in points of the picture. */
    unit: number;
    /** Told of a place, by hand or by keys. */
    onmove: (to: Pixel) => void;
    /** How it is drawn: a cross on a point, a grip of a strip, a bar on a line. */
    shape?: 'cross' | 'grip' | 'bar';
  };
  let { at, label, mark, markShift = 0, unit, onmove, shape = 'cross' }: Props = $props();

  let held = $state(false);
  let handle: SVGGElement | undefined = $state();

  function key(event: KeyboardEvent) {
    const by = event.shiftKey ? 10 : 1;
    const keys = keyStep(event);
    if (keys) onmove([at[0] + keys.right * by, at[1] - (keys.up + keys.page * 10) * by]);
  }
</script>

<g
  bind:this={handle}
  class="handle"
  class:held
  role="button"
  tabindex="0"
  aria-label={label}
  {@attach draggable({
    within: () => known(handle?.ownerSVGElement, 'a handle is drawn in its picture'),
    at: () => ({ x: at[0], y: at[1] }),
    onmove: ({ x, y }) => onmove([x, y]),
    onheld: (taken) => (held = taken)
  })}
  onkeydown={key}
>
  <circle cx={at[0]} cy={at[1]} r={(shape === 'bar' ? 14 : 22) * unit} class="room" />
  {#if shape === 'cross'}
    <circle cx={at[0]} cy={at[1]} r={9 * unit} class="ring" stroke-width={2.4 * unit} />
    <path
      d="M{at[0] - 15 * unit} {at[1]}h{30 * unit}M{at[0]} {at[1] - 15 * unit}v{30 * unit}"
      class="hair"
      stroke-width={1.2 * unit}
    />
  {:else if shape === 'bar'}
    <path
      d="M{at[0] - 3 * unit} {at[1]}l{9 * unit} {-7 * unit}v{14 * unit}Z"
      class="ring filled"
      stroke-width={2 * unit}
    />
  {:else}
    <rect
      x={at[0] - 8 * unit}
      y={at[1] - 8 * unit}
      width={16 * unit}
      height={16 * unit}
      class="ring filled"
      stroke-width={2.4 * unit}
    />
  {/if}
  {#if mark}
    <text x={at[0] + 18 * unit} y={at[1] + 5 * unit + markShift} font-size={15 * unit} stroke-width={4 * unit}
      >{mark}</text
    >
  {/if}
</g>

<style>
  .handle {
    cursor: move;
    touch-action: none;
    outline: none;
  }
  .room {
    fill: transparent;
  }
  .ring {
    fill: none;
    stroke: var(--pen);
  }
  .filled {
    fill: var(--paper);
  }
  .hair {
    stroke: var(--gleam);
    mix-blend-mode: difference;
  }
  text {
    font-family: var(--face-text);
    font-weight: 700;
    fill: var(--pen);
    stroke: var(--paper);
    paint-order: stroke;
  }
  .handle:focus-visible .ring,
  .held .ring {
    fill: color-mix(in oklab, var(--pen) 40%, transparent);
  }
</style>
