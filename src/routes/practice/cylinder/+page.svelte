<script lang="ts">
  import { onMount } from 'svelte';
  import { page } from '$app/state';
  import { fillPlan, formatDuration, methodByKey, pointsApart, STANDARD_VESSELS, known } from '$lib/core';
  import Choice from '$lib/ui/fields/Choice.svelte';
  import BackLink from '$lib/ui/kit/BackLink.svelte';
  import ByHand from '$lib/ui/cylinder/ByHand.svelte';
  import Figures from '$lib/ui/curve/Figures.svelte';
  import GradingCurve from '$lib/ui/curve/GradingCurve.svelte';
  import CylinderFigure from '$lib/ui/cylinder/CylinderFigure.svelte';
  import CylinderOutcome from '$lib/ui/cylinder/CylinderOutcome.svelte';
  import {
    madeUpSoil,
    SIMULATED_METHODS,
    SimulatedRun,
    type SimulatedMethod
  } from '$lib/ui/cylinder/simulated.svelte';
  import SimulatedReadings from '$lib/ui/cylinder/SimulatedReadings.svelte';
  import { cylinderAnswer } from '$lib/ui/cylinder/worked.svelte';
  import { formatFor } from '$lib/words/format';
  import { t } from '$lib/words';
  import { drawnDarkness } from '$lib/workbench/working/readings';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const vessel = known(
    STANDARD_VESSELS.find((v) => v.id === 'cylinder-1000'),
    'it ships'
  );
  let method = $state<SimulatedMethod>('hydrometer-curve');
  let way = $state<'watch' | 'hand'>('watch');
  let seconds = $state<'1' | '3'>('1');
  let run = $state.raw<SimulatedRun>();
  let holding = $state(false);
  const tool = $derived(run?.facts.pipette ? ('pipette' as const) : ('hydrometer' as const));
  const work = cylinderAnswer(() => run?.input);
  const worked = $derived(work.soFar.readings);
  const answer = $derived(work.answer);
  const last = $derived(run?.readings.at(-1));

  onMount(() => {
    let waited = 0;
    const beat = setInterval(() => {
      if (!run || run.done || holding) return;
      waited += 0.5;
      if (waited < Number(seconds)) return;
      waited = 0;
      run.next();
    }, 500);
    return () => clearInterval(beat);
  });
  function start() {
    run = new SimulatedRun(method, madeUpSoil(), Math.floor(Math.random() * 1e6));
    holding = false;
  }
</script>

<BackLink href="/practice" label={t.practice.back} />
<h1 class="mt-1 mb-1">{t.cylinder.run.title}</h1>
<p class="faded max-w-reading mb-5">{t.cylinder.run.lead}</p>
{#if !data.simulated}
  <p>{t.cylinder.run.switchedOff}</p>
{:else}
  <div class="flex flex-wrap items-end gap-y-4 gap-x-7 mb-5">
    <Choice
      label={t.cylinder.run.method}
      bind:value={method}
      options={SIMULATED_METHODS.map((key) => ({ value: key, label: methodByKey(key).name }))}
    />
    <Choice
      label={t.cylinder.run.way}
      bind:value={way}
      options={[
        { value: 'watch', label: t.cylinder.run.watch },
        { value: 'hand', label: t.cylinder.run.byHand }
      ]}
    />
    {#if way === 'watch'}
      <Choice
        label={t.cylinder.run.speed}
        bind:value={seconds}
        options={[
          { value: '1', label: '1' },
          { value: '3', label: '3' }
        ]}
      />
      <button type="button" class={run ? 'btn btn-secondary' : 'btn btn-primary'} onclick={start}
        >{run ? t.cylinder.run.again : t.cylinder.run.start}</button
      >
      {#if run && !run.done}
        <button type="button" class="btn btn-secondary" onclick={() => (holding = !holding)}
          >{holding ? t.cylinder.run.goOn : t.cylinder.run.stop}</button
        >
      {/if}
    {/if}
  </div>

  {#if way === 'hand'}
    {#key method}<ByHand {method} />{/key}
  {:else}
    <div
      class="grid grid-cols-[auto_minmax(0,1fr)] gap-y-0 gap-x-8 mb-6 max-md:grid-cols-1 max-md:justify-items-center"
    >
      <div>
        <CylinderFigure
          code="S"
          {tool}
          bulb="152H"
          scale={run && last ? (tool === 'pipette' ? 0 : last.value) : undefined}
          dark={drawnDarkness(worked, run?.goneS)}
          settledMm={run ? 6 : 0}
          waterMm={fillPlan(methodByKey(method), vessel).waterMm}
          heightMm={vessel.innerHeightMm}
          innerMm={vessel.innerDiameterMm}
        />
      </div>
      <div class="grid grid-cols-1 gap-4 content-start max-md:w-full">
        {#if run}
          <p class="font-head text-2xl font-[660] leading-[1.2] tabular-nums" aria-live="polite">
            {t.cylinder.run.gone(formatDuration(run.goneS))}
          </p>
          <SimulatedReadings readings={worked?.readings ?? []} {tool} {format} />
          {#if run.done && answer}
            <CylinderOutcome result={answer.result} />
            <p>
              {t.cylinder.run.truth(run.soil.sand, run.soil.silt, run.soil.clay)}
              {t.cylinder.run.off(pointsApart(answer.result.fractions, run.soil).toFixed(1))}
            </p>
          {/if}
        {:else}
          <p>{t.cylinder.run.what}</p>
          <p class="faded">{t.cylinder.run.begin}</p>
        {/if}
      </div>
    </div>
    {#if worked && worked.readings.length > 1}
      <GradingCurve curve={worked.curve} band={answer?.band} figures={worked.figures} system="usda" />
      <Figures figures={worked.figures} />
    {/if}
  {/if}
{/if}
