<!-- @component The layers of a jar, drawn and numbered, to be named from the bottom up. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import type { Given, Task } from '$lib/core';
  import { t } from '$lib/words';
  import Field from '../../fields/Field.svelte';

  type Props = {
    task: Task<'order'>;
    answered: boolean;
    ongive: (given: Given<'order'> | undefined) => void;
  };
  let { task, answered, ongive }: Props = $props();
  const w = t.drills;
  let order = $state<string[]>(untrack(() => task.layers.map(() => '')));
  const PX_PER_MM = 3;
  const GRAIN: Record<string, string> = { 'coarse-sand': 'coarse', 'fine-sand': 'sand' };
  const strata = $derived.by(() => {
    let below = 0;
    return task.layers.map((layer, i) => {
      const y = below;
      below += layer.thickMm;
      return { ...layer, y, no: i + 1 };
    });
  });
  const high = $derived(strata.reduce((sum, s) => sum + s.thickMm, 0) * PX_PER_MM);
  const WIDE = 190;
  const WATER = 90;
  function pick(i: number, kind: string) {
    // A name lies in one place only.
    order = order.map((one, at) => (at === i ? kind : one === kind ? '' : one));
    ongive(order.every((one) => one !== '') ? { order } : undefined);
  }
</script>

<div class="flex flex-wrap gap-x-8 gap-y-4 items-end">
  <svg width={WIDE + 60} height={high + WATER} role="img" aria-label={w.fields.jarAlt}>
    <rect x="1" y="1" width={WIDE} height={high + WATER - 2} class="air" />
    <rect x="2" y="24" width={WIDE - 2} height={WATER - 24} class="clear" />
    {#each strata as s (s.no)}
      {@const y = WATER + high - (s.y + s.thickMm) * PX_PER_MM}
      <rect
        x="2"
        {y}
        width={WIDE - 2}
        height={s.thickMm * PX_PER_MM}
        fill="url(#grain-{GRAIN[s.kind] ?? s.kind})"
      />
      <path d="M{WIDE} {y + (s.thickMm * PX_PER_MM) / 2}h18" class="lead" />
      <text x={WIDE + 26} y={y + (s.thickMm * PX_PER_MM) / 2 + 6}>{s.no}</text>
    {/each}
    <path d="M2 2V{high + WATER - 12}q0 10 10 10H{WIDE - 10}q10 0 10 -10V2" class="glass" />
  </svg>
  <div class="grid gap-3 w-[16rem]">
    {#each strata.toReversed() as s (s.no)}
      <Field label={w.fields.place(s.no)}>
        {#snippet children(entry)}
          <select
            {...entry}
            class="select"
            disabled={answered}
            value={order[s.no - 1]}
            onchange={(e) => pick(s.no - 1, e.currentTarget.value)}
          >
            <option value="" disabled>{w.fields.pick}</option>
            {#each task.names as name (name)}<option value={name}>{w.layers[name]}</option>{/each}
          </select>
        {/snippet}
      </Field>
    {/each}
  </div>
</div>

<style>
  .air {
    fill: var(--air);
  }
  .glass {
    fill: none;
    stroke: var(--glass);
    stroke-width: 4;
  }
  .clear {
    fill: var(--clear);
  }
  .lead {
    stroke: var(--rule);
  }
  text {
    font: 700 var(--text-lg) var(--face-head);
    fill: var(--ink);
  }
</style>
