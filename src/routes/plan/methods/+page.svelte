<script lang="ts">
  import Slide from '$lib/ui/kit/Slide.svelte';
  import { untrack } from 'svelte';
  import { page } from '$app/state';
  import {
    formatDuration,
    fromCelsius,
    lengthForField,
    methodByKey,
    methodCuts,
    trueTimes,
    WATER_RANGE_C
  } from '$lib/core';
  import { keepsDraft } from '$lib/ui/fields/kept.svelte';
  import Field from '$lib/ui/fields/Field.svelte';
  import { formatFor } from '$lib/words/format';
  import PlanNav from '$lib/ui/plan/PlanNav.svelte';
  import SizeStrip from '$lib/ui/plan/SizeStrip.svelte';
  import { answerForm, FILL_MEASURED, jarOf, placeholder } from '$lib/ui/set/form';
  import { t } from '$lib/words';

  let { data } = $props();
  const DRAFT = 'plan-jar';
  /** Sizes at which schools part sand, silt and clay, um. */
  const LIMITS = [63, 60, 50, 20, 2];
  const format = $derived(formatFor(page.data.profile, page.data.zone));

  let form = $state(
    untrack(() => ({
      vesselId: 'jar-litre',
      temp: String(Math.round(fromCelsius(18, page.data.profile.temperature))),
      soil: '',
      water: ''
    }))
  );
  keepsDraft<typeof form>(
    DRAFT,
    (kept) => (form = { ...form, ...kept }),
    () => $state.snapshot(form),
    FILL_MEASURED
  );

  const vessel = $derived(data.vessels.find((v) => v.id === form.vesselId) ?? data.vessels[0]);
  const answer = $derived(answerForm(form, methodByKey('jar-timed'), vessel, format.profile));
  const jar = $derived(jarOf(answer));
  const limits = $derived(jar ? trueTimes(jar, LIMITS).map((atS, i) => ({ um: LIMITS[i], atS })) : undefined);
  const rows = $derived(
    jar ? data.methods.map(({ method }) => ({ method, cuts: methodCuts(method, jar) })) : []
  );

  const range = $derived({
    low: fromCelsius(WATER_RANGE_C.low, format.profile.temperature),
    high: fromCelsius(WATER_RANGE_C.high, format.profile.temperature)
  });
  const deepest = $derived(Math.floor(vessel.innerHeightMm));
  const shallowest = $derived(Math.ceil((answer.soilMm ?? 0) + 1));
</script>

<PlanNav />
<h1 class="mt-3 mb-1">{t.plan.title}</h1>
<p class="max-w-reading text-faded">{t.plan.lead}</p>

<div class="jar">
  <Field label={t.plan.vessel}>
    {#snippet children(entry)}
      <select {...entry} class="select" bind:value={form.vesselId}>
        {#each data.vessels as v (v.id)}<option value={v.id}>{v.name}</option>{/each}
      </select>
    {/snippet}
  </Field>
  <Field label={t.set.temperature} error={answer.errors.temp}>
    {#snippet children(entry)}
      <input {...entry} class="input" bind:value={form.temp} inputmode="decimal" />
      <Slide
        label={t.plan.slideTemp}
        labelUnseen
        min={range.low}
        max={range.high}
        value={fromCelsius(answer.tempC ?? 18, format.profile.temperature)}
        oninput={(to) => (form.temp = String(to))}
      />
    {/snippet}
  </Field>
  <Field label={t.set.soil} error={answer.errors.soilMm}>
    {#snippet children(entry)}
      <input
        {...entry}
        class="input"
        bind:value={form.soil}
        placeholder={placeholder(answer.asked?.soilMm, format.profile)}
      />
    {/snippet}
  </Field>
  <Field label={t.set.water} error={answer.errors.waterMm}>
    {#snippet children(entry)}
      <input
        {...entry}
        class="input"
        bind:value={form.water}
        placeholder={placeholder(answer.asked?.waterMm, format.profile)}
      />
      <Slide
        label={t.plan.slideWater}
        labelUnseen
        min={shallowest}
        max={deepest}
        value={answer.waterMm ?? deepest}
        oninput={(to) => (form.water = lengthForField(to, format.profile.length))}
      />
    {/snippet}
  </Field>
</div>

{#if limits}
  <section class="true" aria-label={t.plan.trueMarks}>
    <h2 class="text-lg">{t.plan.trueMarks}</h2>
    <ul class="plain-list flex flex-wrap gap-y-1 gap-x-7">
      {#each limits as limit (limit.um)}
        <li><b>{limit.um} µm</b> <span>{formatDuration(limit.atS)}</span></li>
      {/each}
    </ul>
  </section>
  <SizeStrip {rows} {limits} />
  <p class="faded small max-w-[52rem] mt-4">{t.plan.note}</p>
{/if}

<style>
  .jar {
    display: grid;
    grid-template-columns: 1.3fr 1fr 1fr 1fr;
    gap: var(--spacing-1) var(--spacing-6);
    margin: var(--spacing-5) 0 var(--spacing-4);
    align-items: start;
    max-width: 56rem;
  }
  .true {
    display: flex;
    flex-wrap: wrap;
    gap: var(--spacing-1) var(--spacing-7);
    align-items: baseline;
    margin: var(--spacing-2) 0 var(--spacing-1);
  }
  @media (max-width: 900px) {
    .jar {
      grid-template-columns: 1fr 1fr;
    }
  }
</style>
