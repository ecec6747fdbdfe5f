<!-- @component Where many tests lie on the triangle, small: its outline, and a dot at each place, larger for more. -->
<script lang="ts">
  import { toTriangle } from '$lib/core';

  type Props = {
    cells: readonly { sand: number; clay: number; count: number }[];
    /** What is drawn, for those who listen. */
    label: string;
  };
  let { cells, label }: Props = $props();

  const SIDE = 100;
  const RISE = (SIDE * Math.sqrt(3)) / 2;
  const at = (sand: number, clay: number) => {
    const { x, y } = toTriangle({ sand, silt: 100 - sand - clay, clay });
    return { x: x * SIDE, y: (1 - y) * RISE };
  };
  const most = $derived(Math.max(1, ...cells.map(({ count }) => count)));
</script>

<svg viewBox="-5 -5 {SIDE + 10} {RISE + 10}" role="img" aria-label={label}>
  <path d="M0 {RISE}L{SIDE} {RISE}L{SIDE / 2} 0Z" />
  {#each [25, 50, 75] as pct (pct)}
    <path class="grid" d="M{pct / 2} {RISE * (1 - pct / 100)}H{SIDE - pct / 2}" />
  {/each}
  {#each cells as { sand, clay, count } (`${sand} ${clay}`)}
    {@const { x, y } = at(sand, clay)}
    <circle cx={x} cy={y} r={2.2 + 3.2 * Math.sqrt((count - 1) / most)} />
  {/each}
</svg>

<style>
  svg {
    display: block;
    width: 9rem;
    height: auto;
  }
  path {
    fill: var(--sheet);
    stroke: var(--ink);
    stroke-width: 1.2;
    stroke-linejoin: round;
  }
  .grid {
    stroke: var(--hair);
    stroke-width: 0.7;
  }
  circle {
    fill: var(--ink);
    fill-opacity: 0.72;
  }
</style>
