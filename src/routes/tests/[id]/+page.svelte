<script lang="ts">
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { formatDuration, methodByKey, roundShares, type DensityGrid } from '$lib/core';
  import { toJarReading } from '$lib/contract/reading';
  import { formatFor } from '$lib/ui/format';
  import { pictureOf, viewJar } from '$lib/ui/jar/view';
  import { chanceText, dueLine } from '$lib/ui/jar/words';
  import Outcome from '$lib/ui/read/Outcome.svelte';
  import { ReadingWork } from '$lib/ui/read/work.svelte';
  import { markLayer, record } from '$lib/ui/state/actions';
  import { clock } from '$lib/ui/state/clock.svelte';
  import { outbox } from '$lib/ui/state/outbox.svelte';
  import { withPending } from '$lib/ui/state/pending';
  import { picked } from '$lib/ui/state/picked.svelte';
  import Sheet from '$lib/ui/station/Sheet.svelte';
  import { t } from '$lib/ui/strings';
  import History from '$lib/ui/test/History.svelte';
  import MarksList from '$lib/ui/test/MarksList.svelte';
  import ShakeAgain from '$lib/ui/test/ShakeAgain.svelte';
  import Triangle from '$lib/ui/triangle/Triangle.svelte';
  import { drawnSizeMm } from '$lib/ui/vessel/outline';
  import { tapesOf } from '$lib/ui/vessel/tapes';
  import VesselDrawing from '$lib/ui/vessel/VesselDrawing.svelte';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const jar = $derived({ ...data.test, ...withPending([data.test], outbox.waiting)[0] });
  const view = $derived(viewJar(jar, clock.now));
  const method = $derived(methodByKey(jar.methodKey));
  const live = $derived(jar.status !== 'finished' && jar.binnedAt === null);
  const run = $derived(view.run);
  const kept = $derived(data.test.results.findLast((r) => r.reopenedAt === null));
  const shownMoment = $derived(jar.status === 'finished' ? (jar.finishedAt ?? clock.now) : clock.now);
  const lastReading = $derived(data.test.readings.at(-1));
  const picture = $derived(pictureOf(view, shownMoment));
  /** Once read, the glass shows the layers as they were read. */
  const layers = $derived.by(() => {
    const entry = kept?.snapshot.entry ?? lastReading?.entry;
    if (!entry || jar.status === 'running' || jar.status === 'ready') return picture?.layers;
    return (['gravel', 'sand', 'silt', 'clay'] as const)
      .filter((layer) => entry.lines[layer])
      .map((layer) => ({ layer, topMm: entry.lines[layer]!.mm }));
  });
  const result = $derived(kept?.snapshot.result);
  const sigmaMm = $derived(kept ? toJarReading(kept.snapshot.entry).sigmaMm : 0.5);
  const shares = $derived(
    result ? roundShares([result.fractions.sand, result.fractions.silt, result.fractions.clay]) : [0, 0, 0]
  );

  const work = new ReadingWork();
  const region = $derived<DensityGrid | undefined>(kept ? work.answer?.region : undefined);
  $effect(() => {
    void work.ask(kept ? toJarReading(kept.snapshot.entry) : undefined);
  });

  let shaking = $state(false);
  let reopening = $state(false);
  let why = $state('');
  onMount(() => {
    picked.id = data.test.id;
  });

  async function toBin() {
    if (await record('test.bin', { testId: jar.id }, t.done['test.bin'](jar.code))) await goto('/log');
  }
  async function reopen() {
    reopening = false;
    await record('test.reopen', { testId: jar.id, why }, t.done['test.reopen'](jar.code));
  }
</script>

<div class="test">
  <div class="glass">
    <VesselDrawing
      vessel={jar.vessel}
      scale={Math.min(2.5, 470 / drawnSizeMm(jar.vessel).heightMm)}
      code={jar.code}
      soilMm={jar.soilMm}
      waterMm={jar.waterMm}
      {layers}
      murk={jar.status === 'running' ? picture?.murk : undefined}
      tapes={jar.status === 'running' ? tapesOf(view, picture, true) : tapesOf(view, picture, false)}
      tapeRoom={70}
    />
    <div class="board" aria-hidden="true"></div>
  </div>

  <div class="body">
    <div class="head">
      <h1>{jar.code}</h1>
      <p>
        <a class="link ink" href="/samples/{jar.sample.id}">{jar.sample.name}</a>
        <span class="faded"> · {method.name} · {t.status[jar.status]}</span>
      </p>
      <p class="faded">
        {run
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
          <p class="due" class:alarm={view.step.state === 'late' || view.step.state === 'missed'}>
            {dueLine(jar.code, view.step, format, clock.now)}
          </p>
        {/if}
        <div class="row-of-actions">
          {#if view.step.kind === 'set-down' || view.step.kind === 'shake'}
            <a class="do" href="/set/{jar.id}">{t.jar.prepare}</a>
          {:else if view.step.kind === 'mark' && view.step.layer}
            <button
              type="button"
              class={view.step.state === 'waiting' ? 'may' : 'do'}
              onclick={() => markLayer(jar, view.step.layer!)}
            >
              {t.jar.markNow(t.layer[view.step.layer])}
            </button>
          {/if}
          {#if run}
            <a
              class={view.step.kind === 'read' || view.step.kind === 'finish' ? 'do' : 'may'}
              href="/read/{jar.id}"
            >
              {view.step.kind === 'mark' || view.step.state === 'waiting' ? t.jar.readEarly : t.jar.read}
            </a>
            <button type="button" class="may" onclick={() => (shaking = true)}>{t.jar.shakeAgain}</button>
          {/if}
          <button type="button" class="may" onclick={toBin}>{t.jar.bin}</button>
        </div>
      </section>
    {/if}

    {#if result && kept}
      <section class="result" aria-label={t.test.result}>
        <div class="tri">
          <Triangle
            point={result.fractions}
            classId={result.class.id}
            probabilities={Object.fromEntries(result.classes.map((c) => [c.id, c.probability]))}
            {region}
            label={t.result.triangle(result.class.name, shares[0], shares[1], shares[2])}
          />
        </div>
        <div>
          <Outcome
            {result}
            {sigmaMm}
            baseMm={kept.snapshot.entry.rulerZero ? jar.vessel.baseThicknessMm : 0}
            {format}
          />
          {#if kept.snapshot.entry.sumNote}<p class="small">
              {t.read.sumNote}: {kept.snapshot.entry.sumNote}
            </p>{/if}
          <p class="faded small">{t.test.kept(format.full(kept.at), kept.coreVersion)}</p>
          <div class="row-of-actions no-print">
            <button type="button" class="may" onclick={() => (reopening = true)}>{t.test.reopen}</button>
            <button type="button" class="may" onclick={() => print()}>{t.test.print}</button>
            {#if jar.binnedAt === null}<button type="button" class="may" onclick={toBin}>{t.jar.bin}</button
              >{/if}
          </div>
        </div>
      </section>
    {/if}

    <section>
      <h2>{t.jar.marks}</h2>
      {#each data.test.runs.length > 0 ? [...data.test.runs].reverse() : [] as old (old.id)}
        {@const current = run?.id === old.id ? run : old}
        {#if data.test.runs.length > 1}
          <h3>
            {t.jar.run(old.no)}
            {#if old.endReason}<span class="faded">{t.jar.ended(t.endReason[old.endReason])}</span>{/if}
          </h3>
        {/if}
        <MarksList {jar} run={current} {format} editable={live && old.endedAt === null} />
      {:else}
        {#if run}<MarksList {jar} {run} {format} editable={live} />{:else}<p class="faded">
            {t.jar.noMarks}
          </p>{/if}
      {/each}
    </section>

    <section>
      <h2>{t.jar.facts}</h2>
      <p>
        {jar.vessel.name} · {t.set.answerSoil(format.length(jar.soilMm))} · {t.set.water.toLowerCase()}
        {format.length(jar.waterMm)} ·
        {jar.dispersantMl > 0 ? format.dose(jar.dispersantMl) : t.set.answerNoDose} · {format.temp(jar.tempC)}
      </p>
    </section>

    {#if data.test.results.some((r) => r.reopenedAt !== null)}
      <section>
        <h2>{t.test.earlier}</h2>
        <ul class="plain-list">
          {#each data.test.results.filter((r) => r.reopenedAt !== null) as old (old.id)}
            <li>
              {t.result.headline(old.snapshot.result.class.name, chanceText(old.snapshot.result.probability))}
              <span class="faded small"
                >{t.test.kept(format.full(old.at), old.coreVersion)}
                {t.test.reopened(format.full(old.reopenedAt!))}</span
              >
            </li>
          {/each}
        </ul>
      </section>
    {/if}

    <section>
      <h2>{t.test.history}</h2>
      <History events={data.test.events} {format} />
      <p class="row-of-actions no-print exports">
        <a class="link" href="/api/v1/tests/{jar.id}?format=csv" download>{t.test.exportCsv}</a>
        <a class="link" href="/api/v1/tests/{jar.id}?format=json" download>{t.test.exportJson}</a>
      </p>
    </section>
  </div>
</div>

{#if run}<ShakeAgain {jar} bind:open={shaking} ondone={() => goto(`/set/${jar.id}`)} />{/if}
<Sheet bind:open={reopening} title={t.test.reopen}>
  <label class="why">
    <span>{t.test.reopenWhy}</span>
    <input class="entry" bind:value={why} maxlength="300" />
  </label>
  {#snippet actions()}<button type="button" class="do" disabled={why.trim() === ''} onclick={reopen}
      >{t.test.reopen}</button
    >{/snippet}
</Sheet>

<style>
  .test {
    display: grid;
    grid-template-columns: minmax(240px, auto) minmax(0, 1fr);
    gap: 0 3rem;
    padding-top: 1.8rem;
    align-items: start;
  }
  .glass {
    position: sticky;
    top: 104px;
  }
  .board {
    height: 18px;
    background: linear-gradient(var(--shelf) 0 65%, var(--shelf-edge) 65% 100%);
    margin-right: 40px;
  }
  .body {
    display: grid;
    gap: 1.7rem;
    min-width: 0;
  }
  .due {
    font: 660 1.5rem/1.2 var(--face-head);
    color: var(--pen);
    margin-bottom: 0.6rem;
    font-variant-numeric: tabular-nums;
  }
  .due.alarm {
    color: var(--alarm);
  }
  .result {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 1rem 2.4rem;
    align-items: center;
  }
  .result .row-of-actions {
    margin-top: 0.8rem;
  }
  h3 {
    margin-top: 0.7rem;
  }
  h3 span {
    font: 400 0.95rem var(--face-text);
  }
  .exports {
    margin-top: 0.8rem;
  }
  .why {
    display: grid;
    gap: 0.3rem;
    margin-top: 0.8rem;
    font-weight: 600;
  }
  @media (max-width: 900px) {
    .test {
      grid-template-columns: minmax(0, 1fr);
    }
    .glass {
      position: static;
      display: flex;
      flex-direction: column;
      align-items: center;
      margin-bottom: 1.2rem;
    }
    .board {
      align-self: stretch;
      margin: 0;
    }
    .result {
      grid-template-columns: minmax(0, 1fr);
    }
  }
  @media print {
    .test {
      grid-template-columns: auto 1fr;
      font-size: 11pt;
    }
    .glass {
      position: static;
      zoom: 0.6;
    }
    section {
      break-inside: avoid;
    }
  }
</style>
