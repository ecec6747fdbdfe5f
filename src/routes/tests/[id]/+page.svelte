<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { formatDuration, isAlarm } from '$lib/core';
  import { isInstrument } from '$lib/contract/cylinder';
  import { formatFor } from '$lib/words/format';
  import { pictureOf, readLayers, viewJar } from '$lib/workbench/jars';
  import { dueLine } from '$lib/words/steps';
  import { resultHeadline } from '$lib/words/headline';
  import { record } from '$lib/browser/actions';
  import { clock } from '$lib/browser/clock.svelte';
  import { outbox } from '$lib/browser/outbox.svelte';
  import { resultOf } from '$lib/workbench/result';
  import { withPending } from '$lib/workbench/pending';
  import { press, pressMark } from '$lib/browser/press.svelte';
  import Sheet from '$lib/ui/station/Sheet.svelte';
  import { t } from '$lib/words';
  import Photos from '$lib/ui/photos/Photos.svelte';
  import History from '$lib/ui/test/History.svelte';
  import KeptResult from '$lib/ui/test/KeptResult.svelte';
  import JarNotes from '$lib/ui/test/JarNotes.svelte';
  import MarksList from '$lib/ui/test/MarksList.svelte';
  import OpenMarks from '$lib/ui/test/OpenMarks.svelte';
  import OtherMethod from '$lib/ui/test/OtherMethod.svelte';
  import SettledYet from '$lib/ui/test/SettledYet.svelte';
  import StoodAlready from '$lib/ui/test/StoodAlready.svelte';
  import { heightIn } from '$lib/ui/set/amounts';
  import ShakeAgain from '$lib/ui/test/ShakeAgain.svelte';
  import { troubleFacts } from '$lib/workbench/troubles';
  import Troubles from '$lib/ui/test/Troubles.svelte';
  import { drawnSizeMm } from '$lib/ui/vessel/outline';
  import { tapesOf } from '$lib/workbench/tapes';
  import VesselDrawing from '$lib/ui/vessel/VesselDrawing.svelte';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const jar = $derived({ ...data.test, ...withPending([data.test], outbox.waiting)[0] });
  const view = $derived(viewJar(jar, clock.now));
  const method = $derived(jar.method);
  const live = $derived(jar.status !== 'finished' && jar.binnedAt === null);
  const run = $derived(view.run);
  /** A hand that has just pressed must not find another mark under it. */
  const held = $derived(press.heldAt(clock.now)?.jarId === jar.id);
  const inForce = $derived(resultOf(data.test));
  const shownMoment = $derived(jar.status === 'finished' ? (jar.finishedAt ?? clock.now) : clock.now);
  const lastReading = $derived(data.test.readings.at(-1));
  const picture = $derived(pictureOf(view, shownMoment));
  /** Once read, the glass shows the layers as they were read. */
  const layers = $derived.by(() => {
    const entry = (inForce?.kind === 'jar' ? inForce.snapshot.entry : undefined) ?? lastReading?.entry;
    if (!entry || jar.status === 'running' || jar.status === 'ready') return picture?.layers;
    return readLayers(jar, entry);
  });
  const facts = $derived.by(() => {
    const from = (inForce?.kind === 'jar' ? inForce.reading : undefined) ?? lastReading;
    return troubleFacts(data.test, from?.entry, from?.at);
  });

  let shaking = $state(false);
  let zeroing = $state(false);
  let turning = $state(false);
  let reopening = $state(false);
  let why = $state('');

  async function toBin() {
    if (await record('test.bin', { testId: jar.id }, t.done['test.bin'](jar.code))) await goto('/log');
  }
  async function reopen() {
    reopening = false;
    await record('test.reopen', { testId: jar.id, why }, t.done['test.reopen'](jar.code));
  }
</script>

<div
  class="grid grid-cols-[minmax(240px,auto)_minmax(0,1fr)] gap-y-0 gap-x-8 pt-7 items-start max-md:grid-cols-1 print:grid-cols-[auto_1fr] print:text-sm"
>
  <div class="glass sticky top-[104px]">
    <VesselDrawing
      vessel={jar.vessel}
      scale={Math.min(2.5, 470 / drawnSizeMm(jar.vessel).heightMm)}
      code={jar.code}
      soilMm={jar.soilMm}
      waterMm={jar.waterMm}
      {layers}
      turbidity={jar.status === 'running' ? picture?.turbidity : undefined}
      tapes={jar.status === 'running' ? tapesOf(view, picture, true) : tapesOf(view, picture, false)}
      tapeRoom={70}
    />
    <div class="board" aria-hidden="true"></div>
  </div>

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
      <section class="now no-print" aria-label={t.due.label}>
        {#if view.step.kind !== 'finish'}
          <p class="due" class:alarm={isAlarm(view.step)}>
            {dueLine(jar.code, view.step, format, clock.now)}
          </p>
        {/if}
        <div class="row-of-actions">
          {#if view.step.kind === 'set-down' || view.step.kind === 'shake'}
            <a class="btn btn-primary" href="/set/{jar.id}">{t.jar.prepare}</a>
          {:else if held}
            <button type="button" class="btn btn-secondary" disabled>{t.bench.do.marked}</button>
          {:else if view.step.kind === 'mark' && view.step.layer && view.step.state !== 'waiting'}
            <button type="button" class="btn btn-primary" onclick={() => pressMark(jar, view.step.layer!)}>
              {t.jar.markNow(t.layer[view.step.layer])}
            </button>
          {/if}
          {#if run}
            <a
              class={['read', 'gauge', 'lower', 'finish'].includes(view.step.kind)
                ? 'btn btn-primary'
                : 'btn btn-secondary'}
              href="/read/{jar.id}"
            >
              {isInstrument(method)
                ? t.cylinder.open
                : view.step.kind === 'mark' || view.step.state === 'waiting'
                  ? t.jar.readEarly
                  : t.jar.read}
            </a>
            <button type="button" class="btn btn-secondary" onclick={() => (shaking = true)}
              >{t.jar.shakeAgain}</button
            >
          {/if}
          <button type="button" class="btn btn-secondary" onclick={toBin}>{t.jar.bin}</button>
        </div>
        {#if run}<JarNotes {jar} />{/if}
        {#if run}
          <p>
            <button type="button" class="link" onclick={() => (zeroing = true)}>{t.correct.zeroLink}</button>
            {#if !run.stood && run.marks.length === 0 && !isInstrument(method)}
              <button type="button" class="link" onclick={() => (turning = true)}>{t.stands.turn}</button>
            {/if}
          </p>
        {/if}
      </section>
    {/if}

    {#if inForce}
      <KeptResult
        {inForce}
        {jar}
        {format}
        byMass={page.data.profile.headline === 'mass'}
        onreopen={() => (reopening = true)}
        onbin={toBin}
      />
    {/if}

    {#if live && run && !run.stood && !data.test.hasReading && !isInstrument(method)}<SettledYet
        {jar}
        {run}
        {format}
        now={clock.now}
      />{/if}

    {#if !isInstrument(method)}<Troubles {facts} {format} />{/if}

    {#if isInstrument(method)}
      <p><a class="link" href="/read/{jar.id}/cylinder">{t.cylinder.open}</a></p>
    {:else if !data.test.runs.every((r) => r.stood !== null && r.marks.length === 0) || data.test.runs.length === 0}
      <section>
        <h2>{t.jar.marks}</h2>
        {#each data.test.runs.length > 0 ? [...data.test.runs].reverse() : [] as old (old.id)}
          {@const current = run?.id === old.id ? run : old}
          {#if data.test.runs.length > 1}
            <h3 class="mt-3">
              {t.jar.run(old.no)}
              {#if old.endReason}<span class="faded font-text text-base font-normal leading-[normal]"
                  >{t.jar.ended(t.endReason[old.endReason])}</span
                >{/if}
            </h3>
          {/if}
          <MarksList {jar} run={current} {format} editable={live} />
          {#if live && old.endedAt === null && current.stood === null}
            <OpenMarks {jar} run={current} now={clock.now} />
          {/if}
        {:else}
          {#if run}<MarksList {jar} {run} {format} editable={live} />{:else}<p class="faded">
              {t.jar.noMarks}
            </p>{/if}
        {/each}
      </section>
    {/if}

    <section>
      <h2>{t.jar.facts}</h2>
      {#if run?.stood}<p>{t.stands.filledUnseen}</p>{:else}<p>
          {jar.vessel.name} · {t.set.answerSoil(heightIn(jar.vessel, jar.soilMm, format))} · {t.set.water.toLowerCase()}
          {heightIn(jar.vessel, jar.waterMm, format)} ·
          {jar.dispersantMl > 0 ? format.dose(jar.dispersantMl) : t.set.answerNoDose} · {format.temp(
            jar.tempC
          )}
        </p>{/if}
      <p>
        <a class="link ink" href="/plan/methods/{jar.methodKey}?version={jar.methodVersion}"
          >{t.jar.byMethod(method.name, jar.methodVersion)}</a
        >{jar.marks ? `, ${t.jar.withTrueMarks}` : ''}
      </p>
      {#if live && (!data.test.hasReading || run?.stood)}<OtherMethod {jar} methods={data.methods} />{/if}
    </section>

    {#if data.test.results.some((r) => r.reopenedAt !== null)}
      <section>
        <h2>{t.test.earlier}</h2>
        <ul class="plain-list">
          {#each data.test.results.filter((r) => r.reopenedAt !== null) as old (old.id)}
            <li>
              {resultHeadline(old.snapshot.result)}
              <span class="faded small"
                >{t.test.kept(format.full(old.at), old.coreVersion)}
                {t.test.reopened(format.full(old.reopenedAt!))}</span
              >
            </li>
          {/each}
        </ul>
      </section>
    {/if}

    <section class:no-print={data.photos.length === 0}>
      <h2>{t.photos.title}</h2>
      <p><a class="link" href="/tests/{jar.id}/film">{t.film.open}</a></p>
      <Photos photos={data.photos} subject="test" subjectId={jar.id} of={jar.code} {format} camera />
    </section>

    <section>
      <h2>{t.test.history}</h2>
      <History events={data.test.events} {format} />
      <p class="row-of-actions no-print mt-4">
        {#if inForce}<a class="link" href="/api/v1/tests/{jar.id}/working.pdf" target="_blank">{t.work.pdf}</a
          >{/if}
        <a class="link" href="/api/v1/tests/{jar.id}?format=csv" download>{t.test.exportCsv}</a>
        <a class="link" href="/api/v1/tests/{jar.id}?format=json" download>{t.test.exportJson}</a>
      </p>
    </section>
  </div>
</div>

{#if run}<StoodAlready {jar} {run} bind:open={turning} />{/if}
{#if run && zeroing}
  {#await import('$lib/ui/test/CorrectZero.svelte') then { default: CorrectZero }}
    <CorrectZero {jar} {run} {format} bind:open={zeroing} />
  {/await}
{/if}
{#if run}<ShakeAgain {jar} bind:open={shaking} ondone={() => goto(`/set/${jar.id}`)} />{/if}
<Sheet bind:open={reopening} title={t.test.reopen}>
  <label class="grid gap-2 mt-4 font-semibold">
    <span>{t.test.reopenWhy}</span>
    <input class="input" bind:value={why} maxlength="300" />
  </label>
  {#snippet actions()}<button
      type="button"
      class="btn btn-primary"
      disabled={why.trim() === ''}
      onclick={reopen}>{t.test.reopen}</button
    >{/snippet}
</Sheet>

<style>
  .board {
    height: 18px;
    background: linear-gradient(var(--shelf) 0 65%, var(--shelf-edge) 65% 100%);
    margin-right: var(--spacing-8);
  }
  .due {
    font: 660 var(--text-2xl)/1.2 var(--face-head);
    color: var(--pen);
    margin-bottom: var(--spacing-3);
    font-variant-numeric: tabular-nums;
  }
  .due.alarm {
    color: var(--alarm);
  }
  @media (max-width: 900px) {
    .glass {
      position: static;
      display: flex;
      flex-direction: column;
      align-items: center;
      margin-bottom: var(--spacing-5);
    }
    .board {
      align-self: stretch;
      margin: 0;
    }
  }
  @media print {
    .glass {
      position: static;
      zoom: 0.6;
    }
    section {
      break-inside: avoid;
    }
  }
</style>
