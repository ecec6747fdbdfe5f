<!-- @component What would settle a verdict that is open: at most three steps, cheapest first, each leading to where it starts. -->
<script lang="ts">
  import { formatDuration, type SettlingId, type SettlingStep } from '$lib/core';
  import { t } from '$lib/words';
  import { chanceText } from '$lib/words/headline';

  type Props = {
    steps: readonly SettlingStep[];
    /** The test in hand, and its sample. */
    chosen: { id: string; code: string; sample: { id: string; areaId: string | null } } | null;
  };
  let { steps, chosen }: Props = $props();

  /** Where a step starts: at the jar itself, at a new test of the same soil, or on the page of its sample. */
  function startOf(id: SettlingId): string {
    const of = chosen ? `sample=${chosen.sample.id}` : '';
    if (id === 'ribbon') return '#ribbon';
    if (chosen && (id === 'note-water' || id === 'read-again')) return `/tests/${chosen.id}`;
    if (id === 'hole')
      return chosen?.sample.areaId ? `/holes/new?area=${chosen.sample.areaId}` : '/holes/new';
    if (id === 'hydrometer') return `/set?${of}&method=hydrometer-2pt`;
    if (id === 'second-jar' || id === 'weighed-jar') return `/set?${of}`;
    return chosen ? `/samples/${chosen.sample.id}` : '/plan/methods';
  }
  const nameOf = ({ id, atS }: SettlingStep) => {
    if (id === 'read-again') return t.act.settle.readAgain(formatDuration(atS ?? 0));
    return id === 'note-water' ? t.act.settle.noteWater(chosen?.code ?? '') : t.act.settle.steps[id];
  };
</script>

{#if steps.length > 0}
  <section aria-label={t.act.settle.title}>
    <h2 class="text-lg text-faded">{t.act.settle.title}</h2>
    <ol class="plain-list">
      {#each steps as step (step.id + step.atS)}
        <li class="py-1">
          <a class="link" href={startOf(step.id)}>{nameOf(step)}</a>:
          {t.act.settle.then(chanceText(step.now), chanceText(step.then))}
        </li>
      {/each}
    </ol>
  </section>
{/if}
