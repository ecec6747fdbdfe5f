<!-- @component Where many tests lie, as a shade: the more there are at a percent of sand and of clay, the darker it is. -->
<script lang="ts">
  import type { PointCell } from '$lib/workbench/points';
  import type { Frame } from '$lib/workbench/triangle/frame';

  type Props = { cells: readonly PointCell[]; frame: Frame };
  let { cells, frame }: Props = $props();

  const STEPS = 6;
  /** A cell is as wide as a percent, and touches the next. */
  const side = $derived.by(() => {
    const [a, b] = [
      frame.place({ sand: 50, silt: 50, clay: 0 }),
      frame.place({ sand: 49, silt: 51, clay: 0 })
    ];
    return Math.abs(b.x - a.x);
  });
  /** Half as many is a step paler. */
  const most = $derived(Math.max(1, ...cells.map((cell) => cell.count)));
  const steps = $derived(
    Array.from({ length: STEPS }, (_, step) => ({
      opacity: (0.5 * (step + 1)) / STEPS,
      path: cells
        .filter((cell) => Math.max(0, STEPS - 1 - Math.floor(Math.log2(most / cell.count))) === step)
        .map(({ sand, clay }) => {
          const { x, y } = frame.place({ sand, silt: 100 - sand - clay, clay });
          return `M${(x - side / 2).toFixed(1)} ${(y - side / 2).toFixed(1)}h${side.toFixed(2)}v${side.toFixed(2)}h-${side.toFixed(2)}z`;
        })
        .join('')
    }))
  );
</script>

<g class="text-ink">
  {#each steps as { opacity, path }, i (i)}
    {#if path}<path d={path} fill="currentColor" fill-opacity={opacity} />{/if}
  {/each}
</g>
