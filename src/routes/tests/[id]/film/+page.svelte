<script lang="ts">
  import Fold from '$lib/ui/kit/Fold.svelte';
  import DataTable from '$lib/ui/kit/DataTable.svelte';
  import BackLink from '$lib/ui/kit/BackLink.svelte';
  import { untrack } from 'svelte';
  import { ulid } from 'ulid';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { formatTapeTime, keptTops, roundShares, solidsFromDryFill, type Film } from '$lib/core';
  import { toFrames } from '$lib/contract/film';
  import Choice from '$lib/ui/fields/Choice.svelte';
  import FilmPicture from '$lib/ui/film/FilmPicture.svelte';
  import { FilmWork } from '$lib/browser/work';
  import { formatFor } from '$lib/words/format';
  import { problemText, record } from '$lib/browser/actions';
  import { clock } from '$lib/browser/clock.svelte';
  import { send } from '$lib/browser/outbox.svelte';
  import { say } from '$lib/browser/toasts';
  import Empty from '$lib/ui/station/Empty.svelte';
  import { t } from '$lib/words';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const test = $derived(data.test);
  let chosen = $state(0);
  let scale = $state<'log' | 'even'>('log');
  let stretched = $state(false);
  let problem = $state('');
  /** Stays as it was opened: a film that begins must not fold away what makes it. */
  let making = $state(untrack(() => data.films.length === 0));

  const kept = $derived(data.films[Math.min(chosen, data.films.length - 1)]);
  const run = $derived(test.runs.find((r) => r.id === kept?.runId));
  const film = $derived.by((): Film | undefined => {
    if (!kept || !run) return undefined;
    const frames = toFrames(kept.frames, run.setDownAt);
    return frames.length < 3 ? undefined : { fromMm: kept.strip.fromMm, rowMm: kept.strip.rowMm, frames };
  });
  const work = new FilmWork();
  $effect(() => {
    void work.ask(
      film && {
        film,
        jar: { columnMm: test.waterMm, tempC: test.tempC },
        waterMm: test.waterMm,
        loadKgM2: solidsFromDryFill(test.soilMm)
      }
    );
  });
  const reading = $derived(film ? work.answer : undefined);
  const shares = $derived(
    reading?.estimate &&
      roundShares([
        reading.estimate.fractions.sand,
        reading.estimate.fractions.silt,
        reading.estimate.fractions.clay
      ])
  );
  const live = $derived(test.status !== 'finished' && test.binnedAt === null);
  const at = (timeS: number) => format.when(run!.setDownAt + timeS * 1000, clock.now);

  /** Hands what the film says of the layers to the page of the reading. */
  async function toReading() {
    const { sandMm, siltMm, endMm } = reading!.estimate!;
    const tops = { sand: sandMm, silt: siltMm, clay: endMm };
    const measured = (['sand', 'silt', 'clay'] as const).flatMap((name) => {
      const heightMm = tops[name];
      return heightMm === undefined ? [] : [{ name, heightMm }];
    });
    await goto(`/read/${test.id}`, { state: { measured } });
  }

  async function keepTops() {
    problem = '';
    try {
      const tops = keptTops(reading!.curve);
      for (const top of tops) {
        await send(
          'jar.top',
          {
            testId: test.id,
            runId: kept!.runId,
            topId: ulid(),
            height: { mm: top.heightMm, text: `${top.heightMm} mm` },
            water: null
          },
          run!.setDownAt + top.timeS * 1000
        );
      }
      say(t.film.topsKept(tops.length));
    } catch (failed) {
      problem = problemText(failed);
    }
  }
  /** What the film saw come down, and when. */
  const seen = $derived.by(() => {
    const estimate = reading?.estimate;
    if (!film || !estimate) return [];
    return [
      { what: t.film.down(t.layer.sand), atS: estimate.sandS, mm: estimate.sandMm },
      { what: t.film.down(t.layer.silt), atS: estimate.siltS, mm: estimate.siltMm },
      { what: t.film.end, atS: film.frames.at(-1)!.timeS, mm: estimate.endMm }
    ];
  });
</script>

<div class="pt-5 w-full">
  <p><BackLink label={test.code} href="/tests/{test.id}" /></p>
  <h1>{t.film.title}</h1>
  <p class="faded">{test.sample.name} · {test.method.name}</p>

  {#if film && run}
    <div class="how no-print">
      <Choice
        label={t.film.time}
        hideLabel
        bind:value={scale}
        options={(['log', 'even'] as const).map((value) => ({ value, label: t.film.scales[value] }))}
      />
      <label class="flex items-center gap-2 min-h-touch"
        ><input class="checkbox" type="checkbox" bind:checked={stretched} /> {t.picture.stretch}</label
      >
      {#if data.films.length > 1}
        <label>
          {t.film.which}
          <select class="select" bind:value={chosen}>
            {#each data.films as f, i (f.id)}
              <option value={i}>{format.full(f.createdAt)} · {t.film.pictures(f.frames.length)}</option>
            {/each}
          </select>
        </label>
      {/if}
    </div>
    <div
      class="grid grid-cols-[minmax(0,860px)_minmax(16rem,1fr)] gap-y-5 gap-x-8 items-start max-lg:grid-cols-1"
    >
      <div>
        <FilmPicture {film} {reading} waterMm={test.waterMm} {scale} {stretched} />
        <p class="small faded">{t.film.read}</p>
      </div>

      {#if reading}
        <div class="grid gap-6">
          <section aria-label={t.film.layers}>
            <h2 class="text-lg text-faded">{t.film.layers}</h2>
            {#if reading.estimate && shares}
              <p class="font-head text-2xl font-[650] leading-[1.2]" data-testid="film-shares">
                {t.mass.shares(shares[0], shares[1], shares[2])}
              </p>
              <p class="small">{t.film.byMass(reading.estimate.solidsKgM2.toFixed(0))}</p>
              <DataTable
                rows={seen}
                key={(row) => row.what}
                columns={[
                  { id: 'what', namesRow: true, text: (row) => row.what },
                  { id: 'at', num: true, text: (row) => formatTapeTime(row.atS) },
                  {
                    id: 'height',
                    num: true,
                    text: (row) => (row.mm === undefined ? '–' : format.length(row.mm, 1))
                  }
                ]}
              />
              {#if live}
                <p>
                  <button type="button" class="btn btn-secondary" onclick={toReading}
                    >{t.film.toReading}</button
                  >
                </p>
              {/if}
            {:else}
              <p>{reading.problem}</p>
            {/if}
          </section>
          <section aria-label={t.settled.title}>
            <h2 class="text-lg text-faded">{t.settled.title}</h2>
            <p>
              {t.settled.silt(
                at(reading.settled.siltDoneS),
                run.setDownAt + reading.settled.siltDoneS * 1000 <= clock.now
              )}
            </p>
            <p>
              {#if reading.settled.top.kind === 'few'}{t.settled.few(reading.settled.top.missing)}
              {:else if reading.settled.top.kind === 'unsure'}{t.settled.unsure}
              {:else if reading.settled.top.kind === 'still'}{t.settled.still(
                  format.length(reading.settled.top.leftMm, 1)
                )}
              {:else}{t.settled.moving(
                  at(reading.settled.readableAtS!),
                  format.length(reading.settled.top.leftMm, 1)
                )}{/if}
            </p>
            {#if reading.front}
              <p>{t.film.front(reading.front.mmPerHour.toFixed(1), reading.front.diameterUm.toFixed(1))}</p>
            {/if}
            {#if live && run.endedAt === null}
              <p>
                <button type="button" class="btn btn-secondary" onclick={keepTops}>{t.film.keepTops}</button>
              </p>
            {/if}
          </section>
        </div>
      {/if}
    </div>
    {#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
    <p class="no-print">
      <button
        type="button"
        class="link small"
        onclick={() => record('film.remove', { filmId: kept!.id }, t.film.removed)}>{t.film.remove}</button
      >
    </p>
  {:else if kept}
    <p>{t.film.few(t.film.pictures(kept.frames.length))}</p>
  {:else}
    <Empty lead={t.film.lead}>
      {#snippet outline()}
        <path d="M14 6V108H232" />
        <path d="M14 104C60 40 110 30 232 26M14 20C90 30 130 60 160 104" />
      {/snippet}
      {#if live && test.run}
        <button type="button" class="btn btn-primary" onclick={() => (making = true)}>{t.film.makeOne}</button
        >
      {:else if live}
        <span>{t.film.notSet}</span>
        <a class="btn btn-secondary" href="/set/{test.id}">{t.jar.prepare}</a>
      {/if}
    </Empty>
  {/if}

  {#if live && test.run}
    <Fold
      bind:open={making}
      label={data.films.length === 0 ? t.film.makeOne : t.film.makeAnother}
      class="no-print mt-6"
    >
      {#await import('$lib/ui/film/MakeFilm.svelte') then { default: MakeFilm }}
        {#if test.run}<MakeFilm jar={test} run={test.run} {format} />{/if}
      {/await}
    </Fold>
  {/if}
</div>

<style>
  .how {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: var(--spacing-3) var(--spacing-6);
    margin: var(--spacing-4) 0;
  }
  section p {
    margin-top: var(--spacing-3);
  }
</style>
