<script lang="ts">
  import { formatDuration } from '$lib/core';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { isInstrument } from '$lib/contract/cylinder';
  import { formatFor } from '$lib/words/format';
  import { viewJar } from '$lib/workbench/jars';
  import { record } from '$lib/browser/actions';
  import { clock } from '$lib/browser/clock.svelte';
  import { outbox } from '$lib/browser/outbox.svelte';
  import { resultOf } from '$lib/workbench/result';
  import { withWaiting } from '$lib/contract/waiting';
  import { t } from '$lib/words';
  import Photos from '$lib/ui/photos/Photos.svelte';
  import History from '$lib/ui/test/History.svelte';
  import AllMarks from '$lib/ui/test/AllMarks.svelte';
  import EarlierResults from '$lib/ui/test/EarlierResults.svelte';
  import HowSet from '$lib/ui/test/HowSet.svelte';
  import SoFar from '$lib/ui/answer/SoFar.svelte';
  import NowDue from '$lib/ui/test/NowDue.svelte';
  import Reopen from '$lib/ui/test/Reopen.svelte';
  import TestGlass from '$lib/ui/test/TestGlass.svelte';
  import { judgedBy } from '$lib/workbench/judged-by';
  import { groundOf } from '$lib/workbench/holes';
  import KeptResult from '$lib/ui/test/KeptResult.svelte';
  import SettledYet from '$lib/ui/test/SettledYet.svelte';
  import { troubleFacts } from '$lib/workbench/troubles';
  import Troubles from '$lib/ui/test/Troubles.svelte';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const jar = $derived({ ...data.test, ...withWaiting('jar', [data.test], outbox.waiting)[0] });
  const view = $derived(viewJar(jar, clock.now));
  const method = $derived(jar.method);
  const live = $derived(jar.status !== 'finished' && jar.binnedAt === null);
  const run = $derived(view.run);
  const inForce = $derived(resultOf(data.test));
  const shownMoment = $derived(jar.status === 'finished' ? (jar.finishedAt ?? clock.now) : clock.now);
  const lastReading = $derived(data.test.readings.at(-1));
  const shownEntry = $derived(
    (inForce?.kind === 'jar' ? inForce.snapshot.entry : undefined) ?? lastReading?.entry
  );
  const facts = $derived.by(() => {
    const from = (inForce?.kind === 'jar' ? inForce.reading : undefined) ?? lastReading;
    return troubleFacts(data.test, from?.entry, from?.at);
  });

  let reopening = $state(false);

  async function toBin() {
    if (await record('test.bin', { testId: jar.id }, t.done['test.bin'](jar.code))) await goto('/log');
  }
</script>

<div
  class="grid grid-cols-[minmax(240px,auto)_minmax(0,1fr)] gap-y-0 gap-x-8 pt-7 items-start max-md:grid-cols-1 print:grid-cols-[auto_1fr] print:text-sm"
>
  <TestGlass {view} entry={shownEntry} at={shownMoment} />

  <div class="grid gap-7 min-w-0">
    <div class="head">
      <h1>{jar.code}</h1>
      <p>
        <a class="link ink" href="/samples/{jar.sample.id}">{jar.sample.name}</a>
        <span class="faded"> · {method.name} · {t.status[jar.status]}</span>
      </p>
      <p class="faded">
        {run?.stood
          ? t.stands.about[run.stood]
          : run
            ? `${t.jar.setDownAt(format.when(run.setDownAt, clock.now))}, ${t.jar.elapsed(formatDuration((clock.now - run.setDownAt) / 1000))}`
            : t.jar.notSet}
      </p>
    </div>

    {#if jar.binnedAt !== null}
      <p class="wrong">{t.test.inBin} <a class="link" href="/log/bin">{t.log.bin}</a></p>
    {/if}

    {#if live}
      <NowDue {view} {format} now={clock.now} onbin={toBin} />
    {/if}

    {#if inForce}
      <KeptResult
        {inForce}
        {jar}
        judged={judgedBy(data.known, jar.id)}
        by={{
          profile: data.bed,
          figures: data.figures,
          techniques: data.techniques,
          ground: groundOf(data.dug, clock.now) ?? null
        }}
        {format}
        onreopen={() => (reopening = true)}
        onbin={toBin}
      />
    {/if}

    {#if live && run && !data.test.hasReading && !isInstrument(method)}<SoFar {jar} {run} />{/if}

    {#if live && run && !run.stood && !data.test.hasReading && !isInstrument(method)}<SettledYet
        {jar}
        {run}
        {format}
        now={clock.now}
      />{/if}

    {#if !isInstrument(method)}<Troubles {facts} {format} />{/if}

    {#if isInstrument(method)}
      {#if live}<p><a class="link" href="/read/{jar.id}/cylinder">{t.cylinder.open}</a></p>{/if}
    {:else if !data.test.runs.every((r) => r.stood !== null && r.marks.length === 0) || data.test.runs.length === 0}
      <AllMarks {jar} runs={data.test.runs} {run} {format} now={clock.now} {live} />
    {/if}

    <HowSet
      {jar}
      {run}
      methods={data.methods}
      {format}
      changeable={live && (!data.test.hasReading || Boolean(run?.stood))}
    />

    <EarlierResults results={data.test.results} {format} />

    <section class:no-print={data.photos.length === 0}>
      <h2>{t.photos.title}</h2>
      <p><a class="link" href="/tests/{jar.id}/film">{t.film.open}</a></p>
      <Photos photos={data.photos} subject="test" subjectId={jar.id} name={jar.code} {format} camera />
    </section>

    <section>
      <h2>{t.test.history}</h2>
      <History events={data.test.events} {format} />
      <p class="row-of-actions no-print mt-4">
        {#if inForce}<a class="link" href="/reports/test/{jar.id}">{t.report.link}</a>
          <a class="link" href="/api/v1/tests/{jar.id}/working.pdf" target="_blank">{t.work.pdf}</a>{/if}
        <a class="link" href="/api/v1/tests/{jar.id}?format=csv" download>{t.test.exportCsv}</a>
        <a class="link" href="/api/v1/tests/{jar.id}?format=json" download>{t.test.exportJson}</a>
      </p>
    </section>
  </div>
</div>

<Reopen {jar} bind:open={reopening} />

<style>
  @media print {
    section {
      break-inside: avoid;
    }
  }
</style>
