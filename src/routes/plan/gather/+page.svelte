<script lang="ts">
  import { page } from '$app/state';
  import { gatherFor } from '$lib/core';
  import { keepsDraft } from '$lib/ui/fields/kept.svelte';
  import { formatFor } from '$lib/words/format';
  import { viewShelf } from '$lib/workbench/jars';
  import PlanNav from '$lib/ui/plan/PlanNav.svelte';
  import { clock } from '$lib/browser/clock.svelte';
  import { t } from '$lib/words';

  let { data } = $props();
  const DRAFT = 'gather';
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const views = $derived(viewShelf(data.jars, clock.now).filter((v) => !v.run && v.step.kind !== 'finish'));
  const list = $derived(gatherFor(views.map(({ jar, method }) => ({ ...jar, method }))));
  const purposes = $derived(new Set(views.map((v) => v.jar.sample.purpose)));

  const things = $derived([
    ...list.vessels.map((v) => [`vessel ${v.name}`, t.gather.vessel(v.count, v.name)]),
    ['soil', t.gather.soil(format.volume(list.soilMl), format.volume(list.digMl))],
    ['water', t.gather.water(format.volume(list.waterMl))],
    ...(list.detergentMl > 0 ? [['dispersant', t.gather.detergent(format.dose(list.detergentMl))]] : []),
    ...(list.solutionMl > 0 ? [['solution', t.gather.solution(format.volume(list.solutionMl))]] : []),
    ...list.tools.map((tool) => [tool, t.gather.tools[tool]])
  ] as [string, string][]);
  const cautions = $derived([
    t.gather.cautions.dig,
    ...(purposes.has('bore') || purposes.has('build') ? [t.gather.cautions.trench] : []),
    t.gather.cautions.dust,
    t.gather.cautions.hygiene,
    ...(list.detergentMl + list.solutionMl > 0 ? [t.prepare.cautionDose] : []),
    t.gather.cautions.glass
  ]);

  let ticks = $state<string[]>([]);
  keepsDraft<string[]>(
    DRAFT,
    (kept) => (ticks = kept),
    () => $state.snapshot(ticks)
  );
</script>

<PlanNav />
<h1 class="mt-3 mb-1">{t.gather.title}</h1>
{#if views.length === 0}
  <p class="faded">{t.timetable.none}</p>
  <p><a class="btn btn-primary" href="/set">{t.bench.setJar}</a></p>
{:else}
  <p class="faded mb-4">{t.gather.lead(views.map((v) => v.jar.code).join(', '))}</p>
  <div
    class="grid grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)] gap-y-0 gap-x-9 items-start max-md:grid-cols-1 max-md:gap-6"
  >
    <ul class="plain-list things">
      {#each things as [key, words] (key)}
        <li class="border-b border-hair">
          <label>
            <input class="checkbox" type="checkbox" value={key} bind:group={ticks} />
            <span>{words}</span>
          </label>
        </li>
      {/each}
    </ul>
    <div>
      <h2>{t.gather.mind}</h2>
      <ul class="plain-list mt-3 mb-6">
        {#each cautions as caution (caution)}<li class="py-1 pr-0 pl-4 border-l-3 border-alarm">
            {caution}
          </li>{/each}
      </ul>
      <button type="button" class="btn btn-secondary no-print" onclick={() => print()}
        >{t.gather.print}</button
      >
    </div>
  </div>
{/if}

<style>
  .things label {
    display: flex;
    gap: var(--spacing-4);
    align-items: center;
    min-height: 48px;
    cursor: pointer;
    line-height: 1.3;
    font-size: var(--text-lg);
  }
  .things input:checked + span {
    color: var(--faded);
  }
</style>
