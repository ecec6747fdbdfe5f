<!-- @component Days from the forming of pieces to the last that is crushed, a flag for each thing that is done, and where now is. -->
<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import { daysFormed, type TrialTask } from '$lib/core';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';

  type Props = {
    tasks: readonly TrialTask[];
    /** ms UTC; null before they are formed. */
    formedAt?: number | null;
    now?: number;
    format?: Format;
  };
  let { tasks, formedAt = null, now = 0, format }: Props = $props();

  const flags = $derived(
    tasks
      .flatMap((task) => (task.day === undefined ? [] : [{ ...task, day: task.day }]))
      .sort((a, b) => a.day - b.day)
  );
  const last = $derived(Math.max(1, ...flags.map((flag) => flag.day)));
  const x = $derived(scaleLinear().domain([0, last]).range([0, 96]).clamp(true));
  const ticks = $derived(x.ticks(last > 14 ? 5 : 7).filter(Number.isInteger));
  const today = $derived(formedAt === null ? undefined : daysFormed(formedAt, now));
</script>

{#if flags.length > 0}
  <figure class="line" style:--rows={flags.length} aria-label={t.trial.line}>
    <ol class="plain-list">
      {#each flags as { key, kind, day, dueAt, done }, row (key)}
        <li style:left="{x(day)}%" style:--row={row} class:back={x(day) > 55} class:done>
          <span
            >{t.trial.short[kind]}{dueAt !== undefined && !done && format
              ? ` · ${format.when(dueAt, now)}`
              : ''}</span
          >
        </li>
      {/each}
    </ol>
    {#if today !== undefined && today <= last}
      <span class="now" style:left="{x(today)}%">{t.common.now}</span>
    {/if}
    {#each ticks as tick (tick)}
      <span class="tick" class:zero={tick === 0} style:left="{x(tick)}%" aria-hidden="true"
        >{t.trial.day(tick)}</span
      >
    {/each}
  </figure>
{/if}

<style>
  .line {
    position: relative;
    height: calc(var(--rows) * 30px + 34px);
    margin-top: var(--spacing-4);
  }
  ol {
    position: relative;
    height: calc(100% - 24px);
    border-bottom: var(--line-strong) solid var(--rule);
  }
  li {
    position: absolute;
    top: calc(var(--row) * 30px);
    bottom: 0;
    border-left: var(--line-strong) solid var(--ink);
    width: 0;
  }
  li span {
    position: absolute;
    left: 0;
    padding: 0 var(--spacing-3);
    font: 650 var(--text-xs)/24px var(--face-text);
    white-space: nowrap;
    color: var(--tape-ink);
    background: var(--tape);
    z-index: 1;
  }
  .back span {
    left: auto;
    right: 0;
  }
  .done span {
    background: var(--paper);
    color: var(--faded);
    text-decoration: line-through;
  }
  .now,
  .tick {
    position: absolute;
    bottom: 0;
    font-size: var(--text-xs);
    line-height: 20px;
    color: var(--faded);
    transform: translateX(-50%);
    white-space: nowrap;
  }
  .zero {
    transform: none;
  }
  .now {
    bottom: 24px;
    padding: 0 var(--spacing-2);
    background: var(--pen);
    color: var(--on-pen);
    font-weight: 650;
    transform: none;
  }
</style>
