<!-- @component What would settle a verdict that is open: at most three steps, cheapest first, each leading to where it starts. -->
<script lang="ts">
  import type { SettlingId, SettlingStep } from '$lib/core';
  import { t } from '$lib/words';
  import { chanceText } from '$lib/words/headline';

  type Props = { steps: readonly SettlingStep[]; sampleId?: string; areaId?: string | null };
  let { steps, sampleId, areaId }: Props = $props();

  /** Where a step starts: at a new test of the same soil, or on the page of its sample. */
  function startOf(id: SettlingId): string {
    const of = sampleId ? `sample=${sampleId}` : '';
    if (id === 'hole') return areaId ? `/holes/new?area=${areaId}` : '/holes/new';
    if (id === 'hydrometer') return `/set?${of}&method=hydrometer-2pt`;
    if (id === 'second-jar' || id === 'weighed-jar') return `/set?${of}`;
    return sampleId ? `/samples/${sampleId}` : '/plan/methods';
  }
</script>

{#if steps.length > 0}
  <section aria-label={t.act.settle.title}>
    <h2 class="text-lg text-faded">{t.act.settle.title}</h2>
    <ol class="plain-list">
      {#each steps as { id, now, then } (id)}
        <li class="py-1">
          <a class="link" href={startOf(id)}>{t.act.settle.steps[id]}</a>:
          {t.act.settle.then(chanceText(now), chanceText(then))}
        </li>
      {/each}
    </ol>
  </section>
{/if}
