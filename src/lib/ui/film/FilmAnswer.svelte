<!-- @component What a film tells: the layers by mass, when they were down, whether the jar is settled; and handing that on. -->
<script lang="ts">
  import { ulid } from 'ulid';
  import { goto } from '$app/navigation';
  import { formatTapeTime, keptTops, lastOf, type Film, type FilmReading } from '$lib/core';
  import { problemText } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { say } from '$lib/browser/toasts';
  import { toFilmEstimate, type JarFacts } from '$lib/contract/evidence';
  import type { RunRecord } from '$lib/contract/records/run';
  import { t } from '$lib/words';
  import type { Format } from '$lib/words/format';
  import { answerChance, answerHeadline } from '$lib/words/headline';
  import { settledTexts } from '$lib/words/settled';
  import { earlyAnswer } from '../answer/early.svelte';
  import DataTable from '../kit/DataTable.svelte';

  type Props = {
    test: JarFacts & { id: string };
    run: RunRecord;
    film: Film;
    reading: FilmReading;
    /** Whether the test goes on, so that something can still be kept. */
    live: boolean;
    format: Format;
    now: number;
  };
  let { test, run, film, reading, live, format, now }: Props = $props();

  let problem = $state('');
  const early = earlyAnswer(() => (reading.estimate ? toFilmEstimate(test, run, reading.curve) : undefined));
  const said = $derived(settledTexts(reading.settled, { setDownAt: run.setDownAt, now, format }));

  /** Hands what the film says of the layers to the page of the reading. */
  async function toReading() {
    if (!reading.estimate) return;
    const { sandMm, siltMm, endMm } = reading.estimate;
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
      const tops = keptTops(reading.curve);
      for (const top of tops) {
        await send(
          'jar.top',
          {
            testId: test.id,
            runId: run.id,
            topId: ulid(),
            height: { mm: top.heightMm, text: `${top.heightMm} mm` },
            water: null
          },
          run.setDownAt + top.timeS * 1000
        );
      }
      say(t.film.topsKept(tops.length));
    } catch (failed) {
      problem = problemText(failed);
    }
  }
  /** What the film saw come down, and when. */
  const seen = $derived.by(() => {
    const estimate = reading.estimate;
    if (!estimate) return [];
    return [
      { what: t.film.down(t.layer.sand), atS: estimate.sandS, mm: estimate.sandMm },
      { what: t.film.down(t.layer.silt), atS: estimate.siltS, mm: estimate.siltMm },
      { what: t.film.end, atS: lastOf(film.frames).timeS, mm: estimate.endMm }
    ];
  });
</script>

<div class="grid gap-6">
  <section aria-label={t.film.layers}>
    <h2 class="text-lg text-faded">{t.film.layers}</h2>
    {#if reading.estimate}
      {#if early.answer}
        <p class="font-head text-xl font-bold leading-[1.2]" data-testid="film-shares">
          {answerHeadline(early.answer)}
        </p>
        <p>{answerChance(early.answer)}</p>
      {:else if early.asked}
        <p>{t.answer.working}</p>
      {/if}
      <p class="small faded">{t.film.byMass}</p>
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
          <button type="button" class="btn btn-secondary" onclick={toReading}>{t.film.toReading}</button>
        </p>
      {/if}
    {:else}
      <p>{reading.problem}</p>
    {/if}
  </section>
  <section aria-label={t.settled.title}>
    <h2 class="text-lg text-faded">{t.settled.title}</h2>
    <p>{said.silt}</p>
    <p>{said.top}</p>
    {#if reading.front}
      <p>{t.film.front(reading.front.mmPerHour.toFixed(1), reading.front.diameterUm.toFixed(1))}</p>
    {/if}
    {#if live && run.endedAt === null}
      <p>
        <button type="button" class="btn btn-secondary" onclick={keepTops}>{t.film.keepTops}</button>
      </p>
    {/if}
  </section>
  {#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
</div>

<style>
  section p {
    margin-top: var(--spacing-3);
  }
</style>
