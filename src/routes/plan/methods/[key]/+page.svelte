<script lang="ts">
  import DataTable from '$lib/ui/kit/DataTable.svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import {
    cueLead,
    fillPlan,
    formatDuration,
    methodCuts,
    settlingTime,
    columnFacts,
    trueTimes,
    usualVessel,
    markWindow
  } from '$lib/core';
  import { formatFor } from '$lib/words/format';
  import { cutText } from '$lib/words/steps';
  import SizeStrip from '$lib/ui/plan/SizeStrip.svelte';
  import { record } from '$lib/browser/actions';
  import { t } from '$lib/words';

  let { data } = $props();
  const method = $derived(data.method);
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const TEMP_C = 18;
  /** Shown in the vessel it is usually done in, at a usual warmth. */
  const vessel = $derived(usualVessel(method));
  const plan = $derived(fillPlan(method, vessel));
  const jar = $derived(columnFacts({ ...plan, tempC: TEMP_C }));
  const cuts = $derived(methodCuts(method, jar));
  const limits = $derived([50, 2].map((um, i) => ({ um, atS: trueTimes(jar, [50, 2])[i] })));

  async function retire() {
    const done = await record('method.retire', { methodKey: method.key }, t.methods.retiredNow(method.name));
    if (done) await goto('/plan/methods');
  }

  /** Every moment that wants hands, in order. */
  const cues = $derived([
    ...method.marks.map((m) => ({
      at: formatDuration(m.atS),
      until: formatDuration(markWindow(m).untilS),
      what: t.plan.cueMark(t.layer[m.layer]),
      lead: cueLead(m.atS),
      cut: cuts.find((c) => c.layer === m.layer)?.cutUm
    })),
    ...(method.readings ?? []).map((r, i) => ({
      at: formatDuration(r.atS ?? settlingTime({ diameterUm: r.limitUm!, fallMm: r.fallMm, tempC: TEMP_C })),
      until: '',
      what: t.plan.cueRead[method.kind === 'pipette' ? 'pipette' : 'hydrometer'],
      lead: r.leadS,
      cut: cuts[i]?.cutUm
    }))
  ]);
</script>

{#snippet cueWhat(cue: { what: string; lead: number })}
  {cue.what}{#if cue.lead > 0}<span class="faded small block">{t.plan.cueLead(formatDuration(cue.lead))}</span
    >{/if}
{/snippet}

<p class="mt-5"><a class="link" href="/plan/methods">{t.plan.back}</a></p>
<div class="head">
  <div>
    <h1>{method.name}</h1>
    <p class="text-lg my-2">{method.purpose}</p>
    <p class="faded">{method.stand}</p>
  </div>
  <div class="flex flex-wrap gap-y-3 gap-x-4 items-center">
    {#if data.retired}
      <p class="faded max-w-[18rem]">{t.methods.retired}</p>
    {:else if method.version < data.latest}
      <p class="faded max-w-[18rem]">{t.methods.older(method.version, data.latest)}</p>
      <a class="btn btn-secondary" href="/plan/methods/{method.key}">{t.methods.toLatest}</a>
    {:else}
      <a class="btn btn-primary" href="/set?method={method.key}">{t.plan.setThisWay}</a>
    {/if}
    {#if method.version === data.latest}
      <a class="btn btn-secondary" href="/plan/methods/{method.key}/edit"
        >{data.own ? t.methods.change : t.methods.copy}</a
      >
    {/if}
    {#if data.own && !data.retired}
      <button type="button" class="btn btn-secondary" onclick={retire}>{t.methods.retire}</button>
    {/if}
    {#if data.versions.length > 1}
      <p class="faded small max-w-[18rem] flex gap-3">
        {t.methods.versions}
        {#each data.versions as version (version)}
          {#if version === method.version}<b>{version}</b>{:else}<a
              class="link"
              href="/plan/methods/{method.key}?version={version}">{version}</a
            >{/if}
        {/each}
      </p>
    {/if}
  </div>
</div>

<div
  class="columns grid grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)] gap-y-0 gap-x-9 max-md:grid-cols-1 max-md:gap-6"
>
  <section>
    <h2>{t.plan.steps}</h2>
    <ol class="steps">
      {#each method.steps as step (step.text)}
        <li class="py-2 px-0 border-b border-hair">
          {step.text}{#if step.why}<span class="faded small block">{step.why}</span>{/if}
        </li>
      {/each}
    </ol>
  </section>
  <section>
    <h2>{t.plan.cues}</h2>
    {#if cues.length === 0}
      <p>{t.set.noMarks(method.end.note)}</p>
    {:else}
      <DataTable
        rows={cues}
        key={(cue) => cue.at + cue.what}
        columns={[
          {
            id: 'at',
            head: t.plan.after,
            class: 'whitespace-nowrap',
            strong: true,
            text: (cue) => (cue.until ? t.set.markWindow(cue.at, cue.until) : cue.at)
          },
          { id: 'what', head: t.plan.what, cell: cueWhat },
          {
            id: 'cut',
            head: t.plan.cutsTo,
            text: (cue) => (cue.cut === undefined ? '' : `${cutText(cue.cut)} µm`)
          }
        ]}
      />
    {/if}
    <h2>{t.plan.amounts}</h2>
    <dl>
      <div>
        <dt>{t.plan.soil}</dt>
        <dd>{method.fill.soilNote}</dd>
      </div>
      <div>
        <dt>{t.plan.water}</dt>
        <dd>{method.fill.waterNote}</dd>
      </div>
      <div>
        <dt>{t.plan.dispersant}</dt>
        <dd>
          {method.dispersant.mlPerL > 0
            ? `${format.dose(method.dispersant.mlPerL)} ${t.plan.aLitre}, `
            : ''}{method.dispersant.note}
        </dd>
      </div>
      <div>
        <dt>{t.plan.agitate}</dt>
        <dd>
          {method.agitate.how.toLowerCase()}, {t.set.markWindow(
            formatDuration(method.agitate.fromS),
            formatDuration(method.agitate.toS)
          )}
        </dd>
      </div>
      <div>
        <dt>{t.plan.over}</dt>
        <dd>{method.end.note}</dd>
      </div>
    </dl>
    <h2>{t.plan.schools}</h2>
    <ul class="schools">
      {#each method.schools as school (school)}<li>{school}</li>{/each}
    </ul>
  </section>
</div>

<section class="mt-7">
  <h2>{t.plan.inJar(vessel.name, format.temp(TEMP_C))}</h2>
  <SizeStrip rows={[{ method, cuts }]} {limits} linked={false} />
</section>

<style>
  .head {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: var(--spacing-5) var(--spacing-8);
    align-items: flex-end;
    margin-bottom: var(--spacing-6);
  }
  .head > div:first-child {
    flex: 1 1 26rem;
    max-width: 46rem;
  }
  .columns h2:not(:first-child) {
    margin-top: var(--spacing-6);
  }
  .steps {
    margin: var(--spacing-2) 0 0;
    padding-left: var(--spacing-6);
    list-style: decimal;
  }
  .steps li::marker {
    font-weight: 700;
  }
  dl > div {
    display: grid;
    grid-template-columns: 7rem 1fr;
    padding: var(--spacing-1) 0;
  }
  dt {
    color: var(--faded);
  }
  dd {
    margin: 0;
  }
  .schools {
    margin: var(--spacing-2) 0 0;
    padding-left: var(--spacing-5);
    list-style: '– ';
  }
</style>
