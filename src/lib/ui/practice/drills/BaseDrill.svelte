<!-- @component A ruler on the table beside a jar with a thick bottom: a height over the inside bottom is to be read. -->
<script lang="ts">
  import { readNumber, type Given, type Task } from '$lib/core';
  import { rulerTicks } from '../../ruler/ticks';
  import { t } from '$lib/words';
  import NumberAnswer from './NumberAnswer.svelte';

  type Props = { task: Task<'base'>; answered: boolean; ongive: (given: Given<'base'> | undefined) => void };
  let { task, answered, ongive }: Props = $props();
  const w = t.drills;
  const SCALE = 5.2;
  const HIGH_MM = 82;
  const FOOT = 26;
  const RULER = 58;
  const WIDE = 210;
  const tableY = HIGH_MM * SCALE;
  /** Height over the table to a place on the paper. */
  const y = (mm: number) => tableY - mm * SCALE;
  const inside = $derived(task.baseMm);
  const ticks = $derived(rulerTicks(HIGH_MM - task.zeroMm - 3, 'mm'));
  const bottom = $derived(
    task.domeMm > 0
      ? `Q${RULER + 20 + WIDE / 2} ${y(inside + 2 * task.domeMm)} ${RULER + 24} ${y(inside)}`
      : `H${RULER + 24}`
  );
</script>

<div class="flex flex-wrap gap-x-8 gap-y-4 items-end">
  <svg width={RULER + WIDE + 60} height={tableY + FOOT} role="img" aria-label={w.fields.rulerAlt}>
    <path d="M{RULER + 16} {y(HIGH_MM - 4)}V{tableY}H{RULER + 16 + WIDE}V{y(HIGH_MM - 4)}" class="outer" />
    <clipPath id="base-in">
      <path d="M{RULER + 24} {y(HIGH_MM - 4)}H{RULER + 8 + WIDE}V{y(inside)}{bottom}Z" />
    </clipPath>
    <g clip-path="url(#base-in)">
      <rect x={RULER} y="0" width={WIDE + 30} height={tableY} class="water" />
      {#each task.tops.toReversed() as top (top.kind)}
        <rect
          x={RULER}
          y={y(inside + top.topMm)}
          width={WIDE + 30}
          height={tableY}
          fill="url(#grain-{top.kind})"
        />
      {/each}
    </g>
    <path
      d="M{RULER + 24} {y(HIGH_MM - 4)}V{y(inside)}H{RULER + 8 + WIDE}V{y(HIGH_MM - 4)}"
      class="inner"
      class:hidden={task.domeMm > 0}
    />
    <rect x="2" y={y(HIGH_MM)} width={RULER} height={HIGH_MM * SCALE} class="ruler" />
    {#each ticks as tick (tick.mm)}
      <path d="M{RULER + 2} {y(task.zeroMm + tick.mm)}h{-22 * tick.length}" class="tick" />
      {#if tick.label}
        <text x="10" y={y(task.zeroMm + tick.mm) + 5}>{tick.label}</text>
      {/if}
    {/each}
    <text x="10" y={Math.min(y(task.zeroMm) + 5, tableY - 7)}>0</text>
    {#each task.tops as top (top.kind)}
      <text x={RULER + WIDE + 22} y={y(inside + top.topMm) + 5} class="kind">{t.layer[top.kind]}</text>
    {/each}
    <path d="M0 {tableY}H{RULER + WIDE + 60}" class="table" />
  </svg>
  <NumberAnswer
    label={w.fields.mm}
    {answered}
    read={readNumber}
    ongive={(mm) => ongive(mm === undefined ? undefined : { mm })}
  />
</div>

<style>
  .outer {
    fill: color-mix(in oklab, var(--glass) 26%, var(--paper));
    stroke: var(--glass);
    stroke-width: 1.6;
  }
  .inner {
    fill: none;
    stroke: var(--glass);
  }
  .hidden {
    display: none;
  }
  .water {
    fill: var(--clear);
  }
  .ruler {
    fill: var(--tape);
    stroke: var(--tape-edge);
  }
  .tick {
    stroke: var(--tape-ink);
  }
  .table {
    stroke: var(--shelf-edge);
    stroke-width: 5;
  }
  text {
    font: 600 var(--text-sm) var(--face-text);
    font-variant-numeric: tabular-nums;
    fill: var(--tape-ink);
  }
  .kind {
    fill: var(--ink);
  }
</style>
