<!-- @component An axis of a drawing: a stroke and a figure for each tick, beside a line or under it. -->
<script lang="ts">
  type Props = {
    /** Where figures stand: beside the line or under it. */
    side: 'left' | 'right' | 'bottom';
    /** Place of the line across the axis, in units of the drawing. */
    line: number;
    /** Places along the axis, and what stands at each. */
    ticks: readonly { at: number; label: string | number }[];
    /** How far a stroke goes out, and the figure beyond the line, in units of the drawing. */
    stroke?: number;
    away?: number;
    /** Unit, said once beside the first figure. */
    unit?: string;
  };
  let { side, line, ticks, stroke = 5, away = 8, unit }: Props = $props();
  const out = $derived(side === 'left' ? -1 : 1);
</script>

{#each ticks as { at, label }, i (at)}
  {#if stroke}
    <path d={side === 'bottom' ? `M${at} ${line}v${stroke}` : `M${line} ${at}h${out * stroke}`} />
  {/if}
  <text
    x={side === 'bottom' ? at : line + out * away}
    y={side === 'bottom' ? line + away : at + 4}
    text-anchor={side === 'bottom' ? 'middle' : side === 'left' ? 'end' : 'start'}
    >{label}{#if unit && i === 0}<tspan>{` ${unit}`}</tspan>{/if}</text
  >
{/each}

<style>
  path {
    stroke: var(--axis-ink, var(--ink));
    stroke-width: 1.2;
    fill: none;
  }
  text {
    fill: var(--axis-ink, var(--ink));
    font: 500 var(--axis-type, var(--text-xs)) var(--face-text);
    font-variant-numeric: tabular-nums;
  }
  @media (max-width: 640px) {
    tspan {
      display: none;
    }
  }
</style>
