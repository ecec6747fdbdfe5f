<script lang="ts">
  import { ulid } from 'ulid';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import {
    cylinderDoubts,
    cylinderWorking,
    formatDuration,
    workOutCylinder,
    workOutReadings,
    outcomeOf
  } from '$lib/core';
  import { toCylinderInput } from '$lib/contract/cylinder';
  import CurveSection from '$lib/ui/cylinder/CurveSection.svelte';
  import CylinderCue from '$lib/ui/cylinder/CylinderCue.svelte';
  import BlankPanel from '$lib/ui/cylinder/BlankPanel.svelte';
  import CylinderFigure from '$lib/ui/cylinder/CylinderFigure.svelte';
  import CylinderOutcome from '$lib/ui/cylinder/CylinderOutcome.svelte';
  import FactsPanel from '$lib/ui/cylinder/FactsPanel.svelte';
  import GaugeTable from '$lib/ui/cylinder/GaugeTable.svelte';
  import { drawnDarkness, readingRows } from '$lib/workbench/working/readings';
  import { CylinderWork } from '$lib/browser/work';
  import Working from '$lib/ui/cylinder/Working.svelte';
  import { formatFor } from '$lib/words/format';
  import { viewJar } from '$lib/workbench/jars';
  import { cutText } from '$lib/words/steps';
  import { record } from '$lib/browser/actions';
  import { clock } from '$lib/browser/clock.svelte';
  import { outbox } from '$lib/browser/outbox.svelte';
  import { withPending } from '$lib/workbench/pending';
  import { t } from '$lib/words';
  import Triangle from '$lib/ui/triangle/Triangle.svelte';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const jar = $derived({ ...data.test, ...withPending([data.test], outbox.waiting)[0] });
  const view = $derived(viewJar(jar, clock.now));
  const run = $derived(view.run);
  const step = $derived(view.step);
  const live = $derived(jar.status !== 'finished' && jar.binnedAt === null);
  const kept = $derived(data.test.results.findLast((r) => r.reopenedAt === null));
  const facts = $derived(jar.cylinder!.facts);
  const tool = $derived(jar.method.kind === 'pipette' ? ('pipette' as const) : ('hydrometer' as const));
  const blank = $derived(data.blanks.find((b) => b.id === jar.cylinder!.blankId));
  /** A finished test shows what it kept. */
  const input = $derived(
    kept && 'kind' in kept.snapshot ? kept.snapshot.input : toCylinderInput(jar, jar.run, blank)
  );
  const inputKey = $derived(JSON.stringify(input ?? null));
  /** The readings so far; and the whole, once they tell sand from clay. */
  const worked = $derived.by(() => {
    void inputKey;
    if (!input || input.readings.length === 0) return {};
    const so = outcomeOf(() => workOutReadings(input));
    const whole = so.done && outcomeOf(() => workOutCylinder(input, 'usda'));
    return { readings: so.done, worked: whole?.done, problem: so.problem ?? whole?.problem };
  });
  const wrongReadings = $derived.by((): Record<number, string> => {
    const no = /^reading\.(\d+)$/.exec(worked.problem?.field ?? '')?.[1];
    return no === undefined ? {} : { [Number(no)]: worked.problem!.message };
  });
  const work = new CylinderWork();
  let asked = '';
  $effect(() => {
    const key = worked.worked ? inputKey : '';
    if (key === asked) return;
    asked = key;
    void work.ask(worked.worked ? $state.snapshot(input) : undefined);
  });
  const answer = $derived(worked.worked ? work.answer : undefined);
  const shown = $derived(
    worked.readings && worked.readings.readings.length > 1 ? worked.readings : undefined
  );
  const doubts = $derived(
    input && worked.worked
      ? cylinderDoubts(input, worked.worked, {
          asked: (jar.method.readings ?? []).map((r) => r.atS),
          dispersed: jar.dispersantMl > 0
        })
      : []
  );
  const rows = $derived(readingRows(jar.method, jar.run, worked.readings, live ? step.no : undefined));
  const lastValue = $derived(
    rows.findLast((r) => r.gauge && r.gauge.value !== null)?.gauge?.value ?? undefined
  );
  const inWater = $derived(step.kind === 'lower' ? step.state === 'due' : step.kind === 'gauge');
  /** What is still in suspension by the last reading: how dark the water is drawn. */
  const dark = $derived(drawnDarkness(worked.readings, run ? (clock.now - run.setDownAt) / 1000 : undefined));

  async function finish() {
    if (
      await record(
        'cylinder.finish',
        { testId: jar.id, resultId: ulid() },
        t.cylinder.done.finished(jar.code)
      )
    ) {
      await goto(`/tests/${jar.id}`);
    }
  }
</script>

<div
  class="grid grid-cols-[auto_minmax(0,1fr)] gap-y-0 gap-x-8 pt-5 items-start max-md:grid-cols-1 print:grid-cols-[1fr]"
>
  <div class="sticky top-[96px] max-md:hidden print:hidden">
    <CylinderFigure
      code={jar.code}
      {tool}
      bulb={facts.bulb}
      scale={tool === 'pipette' ? (inWater ? 0 : undefined) : inWater ? (lastValue ?? 20) : undefined}
      {dark}
      settledMm={run ? 6 : 0}
      waterMm={jar.waterMm}
      heightMm={jar.vessel.innerHeightMm}
      innerMm={jar.vessel.innerDiameterMm}
      pipetteDepthMm={facts.pipette?.depthMm}
    />
    <div class="board" aria-hidden="true"></div>
  </div>

  <div class="grid grid-cols-1 gap-5 min-w-0 self-start">
    <div>
      <h1>{jar.code} <span class="faded font-medium text-xl">{jar.sample.name}</span></h1>
      <p class="faded">
        {jar.method.name}{#if run}&nbsp;· {t.jar.setDownAt(format.when(run.setDownAt, clock.now))}, {t.jar.elapsed(
            formatDuration(Math.max(0, clock.now - run.setDownAt) / 1000)
          )}{/if}
        · <a class="link" href="/tests/{jar.id}">{t.test.history}</a>
      </p>
    </div>

    {#if live}
      <CylinderCue {view} {tool} {format} now={clock.now} />
    {/if}

    <section aria-label={t.cylinder.table}>
      <h2 class="sr-only">{t.cylinder.table}</h2>
      <GaugeTable
        {jar}
        run={jar.run}
        {rows}
        {tool}
        bulb={facts.bulb}
        wrong={wrongReadings}
        {format}
        editable={live}
      />
      <p class="faded small no-print">{t.cylinder.lead(tool)}</p>
    </section>
    {#if worked.problem && Object.keys(wrongReadings).length === 0}
      {#if worked.problem.field === 'readings'}
        <p class="mt-6">{worked.problem.message}</p>
      {:else}
        <p class="wrong mt-6" role="alert">{worked.problem.message}</p>
      {/if}
    {/if}
    {#if answer}
      <section
        class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-y-5 gap-x-8 items-center mt-3 max-md:grid-cols-1 print:grid-cols-[0.8fr_1fr]"
        aria-label={t.cylinder.result}
      >
        <div class="max-w-[520px]">
          <Triangle
            point={answer.result.fractions}
            classId={answer.result.class.id}
            probabilities={Object.fromEntries(answer.result.classes.map((c) => [c.id, c.probability]))}
            region={answer.region}
            label={t.result.triangle(
              answer.result.class.name,
              Math.round(answer.result.fractions.sand),
              Math.round(answer.result.fractions.silt),
              Math.round(answer.result.fractions.clay)
            )}
          />
        </div>
        <div>
          <CylinderOutcome result={answer.result} />
          {#if doubts.length > 0}
            <h3>{t.cylinder.doubts}</h3>
            <ul class="doubts">
              {#each doubts as doubt (doubt.kind + ('no' in doubt ? doubt.no : ''))}<li
                  class="border-l-3 border-tape-edge pl-3"
                >
                  {t.cylinder.doubt(doubt)}
                </li>{/each}
            </ul>
          {/if}
          {#if input?.scheme === 'two-point'}
            <p class="small faded">
              {t.cylinder.customary(
                answer.result.readings
                  .map((r) => `${formatDuration(r.timeS)}: ${cutText(r.shownUm)} µm`)
                  .join('; ')
              )}
            </p>
          {/if}
          {#if live}
            <button type="button" class="btn btn-primary no-print" onclick={finish}
              >{t.cylinder.finish}</button
            >
          {/if}
        </div>
      </section>
    {/if}
  </div>
</div>

{#if shown}
  <CurveSection
    readings={shown}
    band={answer?.band}
    worked={worked.worked}
    code={jar.code}
    sampleName={jar.sample.name}
    methodName={jar.method.name}
    day={format.day(run?.setDownAt ?? clock.now)}
  />
{:else if live && run && !worked.problem}
  <p class="faded mt-6">{t.cylinder.wanting}</p>
{/if}

{#if live}
  <div
    class="grid grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)] gap-y-6 gap-x-9 mt-8 max-md:grid-cols-1 print:hidden"
  >
    <section>
      <h2 class="mb-3">{t.cylinder.weighed}</h2>
      <FactsPanel {jar} wrong={worked.problem ? { [worked.problem.field]: worked.problem.message } : {}} />
    </section>
    {#if tool === 'hydrometer'}
      <section>
        <h2 class="mb-3">{t.cylinder.blank}</h2>
        <BlankPanel {jar} blanks={data.blanks} {format} now={clock.now} />
      </section>
    {/if}
  </div>
{/if}

{#if input && worked.readings}
  <section class="mt-7">
    <div class="head">
      <h2>{t.cylinder.working}</h2>
      <p class="row-of-actions no-print">
        <button type="button" class="link" onclick={() => print()}>{t.cylinder.print}</button>
        <a class="link" href="/api/v1/tests/{jar.id}/working.pdf" target="_blank">{t.work.pdf}</a>
      </p>
    </div>
    <Working lines={cylinderWorking(input, worked.worked ?? worked.readings)} />
  </section>
{/if}
{#if data.simulated}
  <p class="no-print mt-6"><a class="link" href="/practice/cylinder">{t.cylinder.practice}</a></p>
{/if}

<style>
  .board {
    height: 18px;
    margin-top: -1px;
    background: linear-gradient(var(--shelf) 0 65%, var(--shelf-edge) 65% 100%);
  }
  .doubts {
    list-style: none;
    padding: 0;
    margin: var(--spacing-2) 0 var(--spacing-4);
    display: grid;
    gap: var(--spacing-2);
  }
  .head {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    justify-content: space-between;
    gap: var(--spacing-2) var(--spacing-7);
    margin-bottom: var(--spacing-3);
  }
  @media print {
    section {
      break-inside: avoid;
    }
  }
</style>
