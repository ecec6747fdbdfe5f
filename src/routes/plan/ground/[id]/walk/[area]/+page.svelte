<script lang="ts">
  import Check from '@lucide/svelte/icons/check';
  import BackLink from '$lib/ui/kit/BackLink.svelte';
  import { untrack } from 'svelte';
  import { ulid } from 'ulid';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { sampleDepths } from '$lib/core';
  import type { SpotRecord } from '$lib/contract/records/ground';
  import Field from '$lib/ui/fields/Field.svelte';
  import { keepsDraft } from '$lib/ui/fields/kept.svelte';
  import { keptLength, readLength } from '$lib/ui/fields/read';
  import { formatFor } from '$lib/words/format';
  import { composite } from '$lib/ui/ground/composite';
  import SketchSheet from '$lib/ui/ground/SketchSheet.svelte';
  import Photos from '$lib/ui/photos/Photos.svelte';
  import { problemText, record } from '$lib/browser/actions';
  import { clock } from '$lib/browser/clock.svelte';
  import { outbox, send } from '$lib/browser/outbox.svelte';
  import { t } from '$lib/words';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const area = $derived(data.area);
  /** Spots that were ticked here and wait to be sent count as ticked. */
  const spots = $derived(
    area.spots.map((spot): SpotRecord => {
      const sent = outbox.waiting.findLast(
        (c) => c.name === 'spot.take' && (c.payload as { spotId: string }).spotId === spot.id
      );
      if (!sent) return spot;
      const { taken, ...words } = sent.payload as { taken: boolean } & Partial<SpotRecord>;
      return { ...spot, ...words, takenAt: taken ? sent.at : null };
    })
  );
  const next = $derived(spots.find((s) => s.takenAt === null));
  const done = $derived(spots.filter((s) => s.takenAt !== null).length);
  const asked = $derived(sampleDepths(area.purpose, area.history)[0]);
  let problem = $state('');
  /** A taken spot that is looked at again. */
  let opened = $state<string | null>(null);

  type Typed = { from: string; to: string; note: string };
  /** What is typed at each spot, by its id. */
  let typed = $state<Record<string, Typed>>({});
  keepsDraft<typeof typed>(
    untrack(() => `walk:${data.area.id}`),
    (kept) => (typed = { ...kept }),
    () => $state.snapshot(typed)
  );
  const words = (spot: SpotRecord): Typed =>
    typed[spot.id] ?? {
      from: keptLength(spot.depthFrom, format.profile.length),
      to: keptLength(spot.depthTo, format.profile.length),
      note: spot.note
    };
  function write(spot: SpotRecord, field: keyof Typed, text: string) {
    typed[spot.id] = { ...words(spot), [field]: text };
  }
  function read(spot: SpotRecord) {
    const { from, to, note } = words(spot);
    const unit = format.profile.length;
    const one = (text: string) => (text.trim() === '' ? undefined : readLength(text, unit));
    const [a, b] = [one(from), one(to)];
    const errors = { from: a?.error, to: b?.error };
    const depth = (r: typeof a, text: string) =>
      r?.value === undefined ? null : { mm: r.value, text: text.trim() };
    const [depthFrom, depthTo] = [depth(a, from), depth(b, to)];
    if (depthFrom && depthTo && depthTo.mm <= depthFrom.mm) errors.to = t.sample.depthOrder;
    return { errors, wrong: Boolean(errors.from || errors.to), payload: { depthFrom, depthTo, note } };
  }
  async function take(spot: SpotRecord, taken: boolean) {
    const { wrong, payload } = read(spot);
    if (wrong) return;
    const said = taken ? t.ground.ticked(spot.no) : t.ground.unticked(spot.no);
    if (await record('spot.take', { spotId: spot.id, taken, ...payload }, said)) delete typed[spot.id];
  }
  async function mix() {
    problem = '';
    try {
      const sampleId = ulid();
      await send('sample.add', composite({ ...area, spots }, sampleId, format.isoDay(clock.now)));
      await goto(`/samples/${sampleId}`);
    } catch (failed) {
      problem = problemText(failed);
    }
  }
</script>

<p class="mt-5">
  <BackLink label={t.ground.backToSketch} href="/plan/ground/{data.site.id}?area={area.id}" />
</p>
<h1 class="mt-2 mb-1"><span class="code">{area.code}</span> {t.ground.walkTitle(area.name)}</h1>
<p class="faded">
  {t.ground.spotsTaken(done, spots.length)}.
  {#each sampleDepths(area.purpose, area.history) as depth (depth.what)}
    {t.ground.depth[depth.what](
      depth.fromMm === undefined ? '' : format.length(depth.fromMm),
      depth.toMm === undefined ? '' : format.length(depth.toMm)
    )}
  {/each}
</p>
<p class="small max-w-[52rem] mt-2 mb-5">
  <b>{t.gather.mind}</b>
  {t.gather.cautions.dig}
  {t.gather.cautions.hygiene}
</p>

<div class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-7 items-start max-md:grid-cols-1 max-md:gap-5">
  <SketchSheet
    site={{ ...data.site, areas: [{ ...area, spots }] }}
    {format}
    tool="still"
    areaId={area.id}
    nextSpotId={next?.id}
  />
  <div>
    {#if spots.length === 0}<p>{t.ground.noSpotsYet}</p>{/if}
    <ol class="plain-list">
      {#each spots as spot (spot.id)}
        {@const { errors, wrong } = read(spot)}
        {@const here = spot.id === next?.id}
        <li class:here class:taken={spot.takenAt !== null}>
          <div class="flex items-center gap-3">
            <span class="no" aria-hidden="true"
              >{#if spot.takenAt === null}{spot.no}{:else}<Check size="1em" />{/if}</span
            >
            <h2>{t.ground.spot(spot.no)}</h2>
            {#if spot.takenAt !== null}
              <span class="faded small">{t.ground.takenAt(format.when(spot.takenAt, clock.now))}</span>
              <button
                type="button"
                class="link"
                aria-expanded={opened === spot.id}
                aria-label={t.ground.changeSpot(spot.no)}
                onclick={() => (opened = opened === spot.id ? null : spot.id)}>{t.ground.change}</button
              >
            {/if}
          </div>
          {#if spot.takenAt === null || opened === spot.id}
            <div class="grid grid-cols-[1fr_1fr] gap-5 my-3 items-start">
              <Field label={t.sample.fields.depthFrom} error={errors.from}>
                {#snippet children(entry)}
                  <input
                    {...entry}
                    class="input"
                    value={words(spot).from}
                    oninput={(e) => write(spot, 'from', e.currentTarget.value)}
                    placeholder={asked?.fromMm === undefined
                      ? format.profile.length
                      : format.length(asked.fromMm)}
                  />
                {/snippet}
              </Field>
              <Field label={t.sample.fields.depthTo} error={errors.to}>
                {#snippet children(entry)}
                  <input
                    {...entry}
                    class="input"
                    value={words(spot).to}
                    oninput={(e) => write(spot, 'to', e.currentTarget.value)}
                    placeholder={asked?.toMm === undefined
                      ? format.profile.length
                      : format.length(asked.toMm)}
                  />
                {/snippet}
              </Field>
            </div>
            <Field label={t.sample.fields.note}>
              {#snippet children(entry)}
                <input
                  {...entry}
                  class="input"
                  value={words(spot).note}
                  oninput={(e) => write(spot, 'note', e.currentTarget.value)}
                  maxlength="500"
                  placeholder={t.ground.spotNoteHint}
                />
              {/snippet}
            </Field>
            <div class="row-of-actions mt-3">
              {#if spot.takenAt === null}
                <button
                  type="button"
                  class={here ? 'btn btn-primary' : 'btn btn-secondary'}
                  disabled={wrong}
                  onclick={() => take(spot, true)}
                >
                  {t.ground.tick(spot.no)}
                </button>
              {:else}
                <button
                  type="button"
                  class="btn btn-secondary"
                  disabled={wrong || !typed[spot.id]}
                  onclick={() => take(spot, true)}
                >
                  {t.ground.keepWords}
                </button>
                <button type="button" class="btn btn-secondary" onclick={() => take(spot, false)}
                  >{t.ground.untick}</button
                >
              {/if}
            </div>
            <Photos
              photos={data.photos.filter((p) => p.subjectId === spot.id)}
              subject="spot"
              subjectId={spot.id}
              of={t.ground.spotOf(spot.no, area.name)}
              {format}
              camera
            />
          {/if}
        </li>
      {/each}
    </ol>
    {#if spots.length > 0 && !next}
      <div class="row-of-actions">
        <button type="button" class="btn btn-primary" onclick={mix}>{t.ground.mix(done)}</button>
      </div>
    {/if}
    {#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
  </div>
</div>

<style>
  .code {
    display: inline-block;
    padding: 0 var(--spacing-3);
    background: var(--label);
    border: var(--line) solid var(--tape-edge);
    color: var(--tape-ink);
    transform: rotate(-2deg);
  }
  li {
    padding: var(--spacing-3) 0 var(--spacing-4) var(--spacing-4);
    border-left: var(--line-heavy) solid transparent;
    border-bottom: var(--line) solid var(--hair);
  }
  li.here {
    border-left-color: var(--pen);
  }
  .no {
    display: grid;
    place-items: center;
    width: 2.1rem;
    height: 2.1rem;
    border: var(--line-strong) solid var(--ink);
    border-radius: 50%;
    font-weight: 700;
  }
  .here .no {
    background: var(--pen);
    border-color: var(--pen);
    color: var(--on-pen);
  }
  .taken .no {
    background: var(--ink);
    color: var(--sheet);
  }
  @media (max-width: 900px) {
    li .btn-primary {
      width: 100%;
      min-height: 56px;
    }
  }
</style>
