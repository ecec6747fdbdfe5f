<script lang="ts">
  import Fold from '$lib/ui/kit/Fold.svelte';
  import BackLink from '$lib/ui/kit/BackLink.svelte';
  import { untrack } from 'svelte';
  import { page } from '$app/state';
  import { solidsFromDryFill, type Film } from '$lib/core';
  import { toFrames } from '$lib/contract/film';
  import Choice from '$lib/ui/fields/Choice.svelte';
  import FilmAnswer from '$lib/ui/film/FilmAnswer.svelte';
  import FilmPicture from '$lib/ui/film/FilmPicture.svelte';
  import { FilmWork } from '$lib/browser/work';
  import { formatFor } from '$lib/words/format';
  import { record } from '$lib/browser/actions';
  import { clock } from '$lib/browser/clock.svelte';
  import Empty from '$lib/ui/station/Empty.svelte';
  import { t } from '$lib/words';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const test = $derived(data.test);
  let chosen = $state(0);
  let scale = $state<'log' | 'even'>('log');
  let stretched = $state(false);
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
  const live = $derived(test.status !== 'finished' && test.binnedAt === null);
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

      {#if reading}<FilmAnswer {test} {run} {film} {reading} {live} {format} now={clock.now} />{/if}
    </div>
    <p class="no-print">
      <button
        type="button"
        class="link small"
        onclick={() => record('film.remove', { filmId: kept.id }, t.film.removed)}>{t.film.remove}</button
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
      {#if live && !test.run}
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
</style>
