<!-- @component The triangle's paper: outline, class areas tinted by probability, ticks and the names of its three axes. -->
<script lang="ts">
  import { t } from '$lib/words';
  import { outlineOf, type DrawnClass, type Frame } from '$lib/workbench/triangle/frame';

  type Props = {
    /** The triangle's drawing. */
    frame: Frame;
    /** Classes as they are outlined, and how likely each is. */
    classes: DrawnClass[];
    probabilities?: Record<string, number>;
    /** Class of the soil that is shown. */
    ownId?: string;
  };
  let { frame, classes, probabilities = {}, ownId }: Props = $props();

  const outline = $derived(outlineOf(frame));
  const ticks = $derived(
    Array.from({ length: 9 }, (_, i) => (i + 1) * 10).map((n) => ({
      n,
      named: n % 20 === 0,
      clay: frame.place({ sand: 100 - n, silt: 0, clay: n }),
      silt: frame.place({ sand: 0, silt: n, clay: 100 - n }),
      sand: frame.place({ sand: n, silt: 100 - n, clay: 0 })
    }))
  );
  const axis = $derived({
    clay: frame.at({ x: 0.25, y: 0.5 }),
    silt: frame.at({ x: 0.75, y: 0.5 }),
    sand: frame.at({ x: 0.5, y: 0 })
  });
</script>

<path d={outline} class="ground" />
{#each classes as c (c.id)}
  <path
    d={c.d}
    class="area"
    class:own={c.id === ownId}
    style:fill-opacity={(probabilities[c.id] ?? 0) * 0.34}
  />
{/each}
<path d={outline} class="edge" />
{#each ticks as tick (tick.n)}
  <path d="M{tick.clay.x} {tick.clay.y}h{tick.named ? -10 : -6}" class="tick" />
  <path d="M{tick.silt.x} {tick.silt.y}l{tick.named ? 5 : 3} {tick.named ? -8.7 : -5.2}" class="tick" />
  <path d="M{tick.sand.x} {tick.sand.y}l{tick.named ? 5 : 3} {tick.named ? 8.7 : 5.2}" class="tick" />
  {#if tick.named}
    <text x={tick.clay.x - 14} y={tick.clay.y + 4} text-anchor="end" class="number">{tick.n}</text>
    <text x={tick.silt.x + 9} y={tick.silt.y - 9} class="number">{tick.n}</text>
    <text x={tick.sand.x + 7} y={tick.sand.y + 22} text-anchor="middle" class="number">{tick.n}</text>
  {/if}
{/each}
<text
  transform="translate({axis.clay.x - 42} {axis.clay.y - 24}) rotate(-60)"
  text-anchor="middle"
  class="axis">{t.result.axis.clay}</text
>
<text
  transform="translate({axis.silt.x + 42} {axis.silt.y - 24}) rotate(60)"
  text-anchor="middle"
  class="axis">{t.result.axis.silt}</text
>
<text x={axis.sand.x} y={axis.sand.y + 42} text-anchor="middle" class="axis">{t.result.axis.sand}</text>

<style>
  .ground {
    fill: var(--sheet);
  }
  .area {
    fill: var(--pen);
    stroke: var(--rule);
    stroke-width: 1;
  }
  .edge {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2.2;
    stroke-linejoin: round;
  }
  .tick {
    stroke: var(--ink);
    stroke-width: 1.2;
    fill: none;
  }
  text {
    fill: var(--ink);
    font-family: var(--face-text);
    font-variant-numeric: tabular-nums;
  }
  .number {
    font-size: var(--text-xs);
    fill: var(--faded);
  }
  .axis {
    font-size: var(--text-xs);
  }
</style>
