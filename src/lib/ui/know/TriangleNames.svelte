<!-- @component Names of the classes, each in its area, giving way to the soil in hand, its lines and the dots. -->
<script lang="ts">
  import type { drawnClasses, readingLines } from '$lib/workbench/triangle/frame';
  import { along, NAME_LINE, placeName, type Place } from '$lib/workbench/triangle/labels';

  type Props = {
    classes: ReturnType<typeof drawnClasses>;
    /** Class of the soil in hand. */
    ownId?: string;
    /** Where the soil in hand stands, and its reading lines. */
    at?: Place;
    lines: ReturnType<typeof readingLines>;
    /** Dots that a name keeps clear of; none where they are a cloud. */
    dots: readonly Place[];
    /** How many times larger than the frame's own units type is drawn. */
    inType: number;
  };
  let { classes, ownId, at, lines, dots, inType }: Props = $props();

  const names = $derived.by(() => {
    const obstacles = [
      ...(at ? [{ ...at, clear: 14 }, ...lines.flatMap((line) => along(at, line.to, 1))] : []),
      ...dots.map(({ x, y }) => ({ x, y, clear: 4, soft: true }))
    ];
    return classes.map((c) => ({ ...c, ...placeName(c.words, c.corners, obstacles) }));
  });
</script>

{#each names as c (c.id)}
  <text
    x={c.x}
    y={c.y - ((c.words.length - 1) * NAME_LINE) / 2 / inType + 4 / inType}
    text-anchor="middle"
    class="name"
    class:own={c.id === ownId}
  >
    {#each c.words as word, i (word + i)}<tspan x={c.x} dy={i === 0 ? 0 : NAME_LINE / inType}>{word}</tspan
      >{/each}
  </text>
{/each}

<style>
  .name {
    fill: var(--faded);
  }
  .name.own {
    fill: var(--ink);
    font-weight: 750;
  }
</style>
