<!-- @component What is compared on the triangle: tests of one sample joined to their mean, and areas before and after. -->
<script lang="ts">
  import type { Fractions } from '$lib/core';
  import type { Frame } from '$lib/workbench/triangle/frame';
  import { arrowHead } from './dots';

  type Props = {
    frame: Frame;
    /** How near the drawing is: marks stay as large on the screen. */
    k: number;
    stars: { mean: Fractions; members: Fractions[] }[];
    arrows: { areaId: string; name: string; from: Fractions; to: Fractions }[];
  };
  let { frame, k, stars, arrows }: Props = $props();
</script>

{#each stars as star, i (i)}
  {@const mean = frame.place(star.mean)}
  {#each star.members as member, no (no)}
    {@const end = frame.place(member)}
    <path d="M{mean.x} {mean.y}L{end.x} {end.y}" class="join" />
  {/each}
  <path d="M{mean.x - 5 / k} {mean.y}h{10 / k}M{mean.x} {mean.y - 5 / k}v{10 / k}" class="mean" />
{/each}
{#each arrows as arrow (arrow.areaId)}
  {@const a = frame.place(arrow.from)}
  {@const b = frame.place(arrow.to)}
  <path d="M{a.x} {a.y}L{b.x} {b.y}" class="change" />
  <path d={arrowHead(a, b, 9 / k)} class="change" />
  <text x={b.x + 8 / k} y={b.y - 6 / k} class="what">{arrow.name}</text>
{/each}

<style>
  .join {
    stroke: var(--ink);
    stroke-width: 1.2;
    fill: none;
  }
  .mean {
    stroke: var(--ink);
    stroke-width: 2.4;
    fill: none;
  }
  .change {
    stroke: var(--alarm);
    stroke-width: 2.2;
    fill: none;
    stroke-linecap: round;
  }
</style>
