<script lang="ts">
  import { ulid } from 'ulid';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { cylinderWorking, formatDuration, known } from '$lib/core';
  import { toCylinderInput } from '$lib/contract/cylinder';
  import CurveSection from '$lib/ui/cylinder/CurveSection.svelte';
  import CylinderAnswer from '$lib/ui/cylinder/CylinderAnswer.svelte';
  import CylinderCue from '$lib/ui/cylinder/CylinderCue.svelte';
  import CylinderInUse from '$lib/ui/cylinder/CylinderInUse.svelte';
  import GaugeTable from '$lib/ui/cylinder/GaugeTable.svelte';
  import { readingRows } from '$lib/workbench/working/readings';
  import Weighed from '$lib/ui/cylinder/Weighed.svelte';
  import { cylinderAnswer } from '$lib/ui/cylinder/worked.svelte';
  import Working from '$lib/ui/cylinder/Working.svelte';
  import { formatFor } from '$lib/words/format';
  import { viewJar } from '$lib/workbench/jars';
  import { record } from '$lib/browser/actions';
  import { clock } from '$lib/browser/clock.svelte';
  import { outbox } from '$lib/browser/outbox.svelte';
  import { resultOf } from '$lib/workbench/result';
  import { withWaiting } from '$lib/contract/waiting';
  import { t } from '$lib/words';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const jar = $derived({ ...data.test, ...withWaiting('jar', [data.test], outbox.waiting)[0] });
  const view = $derived(viewJar(jar, clock.now));
  const run = $derived(view.run);
  const step = $derived(view.step);
  const live = $derived(jar.status !== 'finished' && jar.binnedAt === null);
  const kept = $derived(resultOf(data.test));
  const { facts, blankId } = $derived(known(jar.cylinder, 'the server sends others away from here'));
  const tool = $derived(jar.method.kind === 'pipette' ? ('pipette' as const) : ('hydrometer' as const));
  const blank = $derived(data.blanks.find((b) => b.id === blankId));
  /** A finished test shows what it kept. */
  const input = $derived(kept?.kind === 'cylinder' ? kept.region : toCylinderInput(jar, jar.run, blank));
  const work = cylinderAnswer(() => input);
  const { soFar, wrong, answer } = $derived(work);
  const shown = $derived(soFar.readings && soFar.readings.readings.length > 1 ? soFar.readings : undefined);
  const rows = $derived(readingRows(jar.method, jar.run, soFar.readings, live ? step.no : undefined));
  async function finish() {
    const payload = { testId: jar.id, resultId: ulid() };
    if (await record('cylinder.finish', payload, t.cylinder.done.finished(jar.code)))
      await goto(`/tests/${jar.id}`);
  }
</script>

<div
  class="grid grid-cols-[auto_minmax(0,1fr)] gap-y-0 gap-x-8 pt-5 items-start max-md:grid-cols-1 print:grid-cols-[1fr]"
>
  <div class="sticky top-[96px] max-md:hidden print:hidden">
    <CylinderInUse {jar} {view} {facts} {tool} {rows} readings={soFar.readings} now={clock.now} />
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
      <GaugeTable {jar} run={jar.run} {rows} {tool} bulb={facts.bulb} {wrong} {format} editable={live} />
      <p class="faded small no-print">{t.cylinder.lead(tool)}</p>
    </section>
    {#if soFar.problem && Object.keys(wrong).length === 0}
      {#if soFar.problem.field === 'readings'}
        <p class="mt-6">{soFar.problem.message}</p>
      {:else}
        <p class="wrong mt-6" role="alert">{soFar.problem.message}</p>
      {/if}
    {/if}
    {#if answer && input && soFar.worked}
      <CylinderAnswer {jar} {input} worked={soFar.worked} {answer}>
        {#if live}
          <button type="button" class="btn btn-primary no-print" onclick={finish}>{t.cylinder.finish}</button>
        {/if}
      </CylinderAnswer>
    {/if}
  </div>
</div>

{#if shown}
  <CurveSection
    readings={shown}
    band={answer?.band}
    worked={soFar.worked}
    code={jar.code}
    sampleName={jar.sample.name}
    methodName={jar.method.name}
    day={format.day(run?.setDownAt ?? clock.now)}
  />
{:else if live && run && !soFar.problem}
  <p class="faded mt-6">{t.cylinder.wanting}</p>
{/if}

{#if live}
  <Weighed {jar} blanks={data.blanks} {tool} problem={soFar.problem} {format} now={clock.now} />
{/if}

{#if input && soFar.readings}
  <section class="mt-7">
    <div class="head">
      <h2>{t.cylinder.working}</h2>
      <p class="row-of-actions no-print">
        <button type="button" class="link" onclick={() => print()}>{t.cylinder.print}</button>
        <a class="link" href="/api/v1/tests/{jar.id}/working.pdf" target="_blank">{t.work.pdf}</a>
      </p>
    </div>
    <Working lines={cylinderWorking(input, soFar.worked ?? soFar.readings)} />
  </section>
{/if}
{#if data.simulated}
  <p class="no-print mt-6"><a class="link" href="/practice/cylinder">{t.cylinder.practice}</a></p>
{/if}

<style>
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
