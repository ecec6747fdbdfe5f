<!--
  @component The texture triangle: ink on paper, bare until there is something to say. Draws the point, its three
  reading lines, the 90 % region and the classes tinted by probability; works nothing out.
-->
<script lang="ts">
  import type { DensityGrid, Fractions } from '$lib/core';
  import { drawnClasses, frameOf, readingLines } from '$lib/workbench/triangle/frame';
  import { along, NAME_LINE, placeName } from '$lib/workbench/triangle/labels';
  import Ink from './Ink.svelte';
  import TriangleGround from './TriangleGround.svelte';

  type Props = {
    /** The soil, and where it lies in nine cases of ten. */
    point?: Fractions;
    /** The class the point is in, by id. */
    classId?: string;
    /** Classes that carry their names however small they are, by id. */
    naming?: readonly string[];
    /** By class id, 0-1. */
    probabilities?: Record<string, number>;
    region?: DensityGrid;
    /** Another view of the same soil: its point and region, drawn dashed. */
    other?: { point: Fractions; region?: DensityGrid };
    /** What it says to those who cannot see it. */
    label: string;
  };
  let { point, classId, naming = [], probabilities = {}, region, other, label }: Props = $props();

  const frame = frameOf(392);
  const { place } = frame;
  /** Class areas smaller than this, in points squared, carry no name unless the soil is in them. */
  const NAMED_AREA = 240;
  const classes = drawnClasses('usda', frame);

  const at = $derived(point && place(point));
  const lines = $derived(point && readingLines(point, frame));
  const obstacles = $derived(
    at && lines ? [{ ...at, clear: 15 }, ...lines.flatMap((line) => along(at, line.to, 1))] : []
  );
  const names = $derived(
    classes
      .filter((c) => c.area > NAMED_AREA || c.id === classId || naming.includes(c.id))
      .map((c) => ({ ...c, ...placeName(c.words, c.corners, obstacles) }))
  );
  const otherAt = $derived(other && place(other.point));
</script>

<svg
  class="block w-full h-auto overflow-visible"
  id="triangle"
  viewBox="0 0 {frame.width} {frame.height}"
  role="img"
  aria-label={label}
>
  <TriangleGround {frame} {classes} {probabilities} />

  {#if otherAt}<Ink region={other?.region} {frame} other />{/if}
  {#if at && lines}
    {#each lines as line (line.key)}
      <path d="M{at.x} {at.y}L{line.to.x} {line.to.y}" class="reading" />
    {/each}
    <Ink {region} {frame} />
  {/if}
  {#each names as c (c.id)}
    <text
      x={c.x}
      y={c.y - ((c.words.length - 1) * NAME_LINE) / 2 + 4}
      text-anchor="middle"
      class="name"
      class:own={c.id === classId}
    >
      {#each c.words as word, i (word)}<tspan x={c.x} dy={i === 0 ? 0 : NAME_LINE}>{word}</tspan>{/each}
    </text>
  {/each}

  {#if otherAt}
    {#if at}<path d="M{at.x} {at.y}L{otherAt.x} {otherAt.y}" class="between" />{/if}
    <path d="M{otherAt.x - 7} {otherAt.y}l7 -7l7 7l-7 7Z" class="diamond" />
  {/if}
  {#if at}<circle cx={at.x} cy={at.y} r="6.5" class="point" />{/if}
</svg>

<style>
  text {
    fill: var(--ink);
    font-family: var(--face-text);
    font-variant-numeric: tabular-nums;
  }
  .name {
    font-size: var(--text-xs);
    fill: var(--faded);
  }
  .name.own {
    font-weight: 750;
    fill: var(--ink);
  }
  .reading {
    stroke: var(--ink);
    stroke-width: 1.8;
    stroke-dasharray: 1.5 5;
    stroke-linecap: round;
  }
  .between {
    stroke: var(--ink);
    stroke-width: 1.2;
    stroke-dasharray: 2 3;
  }
  .diamond {
    fill: var(--sheet);
    stroke: var(--ink);
    stroke-width: 2;
  }
  .point {
    fill: var(--pen);
    stroke: var(--sheet);
    stroke-width: 2;
  }
</style>
