<!-- @component A ruler in inches with a line beside it, or two: eighths or sixteenths are to be counted. -->
<script lang="ts">
  import { parseLength, type Given, type Task } from '$lib/core';
  import { t } from '$lib/words';
  import NumberAnswer from './NumberAnswer.svelte';

  type Props = {
    task: Task<'inches'>;
    answered: boolean;
    ongive: (given: Given<'inches'> | undefined) => void;
  };
  let { task, answered, ongive }: Props = $props();
  const w = t.drills;
  const PX_PER_INCH = 124;
  const WIDE = 90;
  const inches = $derived(Math.ceil(task.to / task.parts + 0.3));
  const high = $derived(inches * PX_PER_INCH + 34);
  const y = (parts: number) => high - 10 - (parts / task.parts) * PX_PER_INCH;
  /** How long a line of the ruler is: the inch, the half, the quarter, the eighth, the sixteenth. */
  function long(i: number): number {
    const each = task.parts;
    if (i % each === 0) return 56;
    if (i % (each / 2) === 0) return 42;
    if (i % (each / 4) === 0) return 31;
    return each === 16 && i % 2 === 1 ? 14 : 22;
  }
  const lines = $derived(task.thickness ? [task.from, task.to] : [task.to]);
</script>

<div class="flex flex-wrap gap-x-8 gap-y-4 items-end">
  <svg width="320" height={high} role="img" aria-label={w.fields.inchAlt}>
    <rect x="1" y="1" width={WIDE} height={high - 2} class="ruler" />
    {#each { length: inches * task.parts + 1 } as _, i (i)}
      <path d="M{WIDE} {y(i)}h{-long(i)}" class="tick" class:whole={i % task.parts === 0} />
      {#if i % task.parts === 0}<text x="10" y={y(i) - 4}>{i / task.parts}</text>{/if}
    {/each}
    {#if task.thickness}
      <rect
        x={WIDE + 6}
        y={y(task.to)}
        width="150"
        height={y(task.from) - y(task.to)}
        fill="url(#grain-silt)"
      />
    {:else}
      <rect x={WIDE + 6} y={y(task.to)} width="150" height={y(0) - y(task.to)} fill="url(#grain-sand)" />
    {/if}
    {#each lines as line (line)}<path d="M{WIDE} {y(line)}h170" class="line" />{/each}
  </svg>
  <NumberAnswer
    label={w.fields.inches}
    {answered}
    read={(text) => parseLength(text, 'in')}
    ongive={(mm) => ongive(mm === undefined ? undefined : { mm })}
  />
</div>

<style>
  .ruler {
    fill: var(--tape);
    stroke: var(--tape-edge);
  }
  .tick {
    stroke: var(--tape-ink);
    stroke-width: 1.4;
  }
  .whole {
    stroke-width: 2.2;
  }
  .line {
    stroke: var(--ink);
    stroke-width: 2.2;
  }
  text {
    font: 700 var(--text-lg) var(--face-head);
    fill: var(--tape-ink);
  }
</style>
