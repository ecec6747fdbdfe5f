<!-- @component One spot of a walk: ticked where the soil is taken, with how deep, a note and pictures. -->
<script lang="ts">
  import Check from '@lucide/svelte/icons/check';
  import type { SampleDepth } from '$lib/core';
  import { record } from '$lib/browser/actions';
  import type { PhotoRecord, SpotRecord } from '$lib/contract/records/ground';
  import { t } from '$lib/words';
  import type { Format } from '$lib/words/format';
  import Field from '../fields/Field.svelte';
  import Photos from '../photos/Photos.svelte';
  import { readSpot, spotTexts, type SpotTexts } from './spot';

  type Props = {
    spot: SpotRecord;
    /** Whether it is the one to go to next. */
    next: boolean;
    areaName: string;
    /** How deep soil is taken there, as the purpose asks. */
    asked: SampleDepth | undefined;
    photos: PhotoRecord[];
    /** What is typed at it; undefined while it stands as it was kept. */
    typed: SpotTexts | undefined;
    format: Format;
    now: number;
  };
  let { spot, next, areaName, asked, photos, typed = $bindable(), format, now }: Props = $props();

  const unit = $derived(format.profile.length);
  /** A taken spot that is looked at again. */
  let opened = $state(false);
  const words = $derived(typed ?? spotTexts(spot, unit));
  const read = $derived(readSpot(words, unit));

  function write(field: keyof SpotTexts, text: string) {
    typed = { ...words, [field]: text };
  }
  async function take(taken: boolean) {
    if (read.wrong) return;
    const said = taken ? t.ground.ticked(spot.no) : t.ground.unticked(spot.no);
    if (await record('spot.take', { spotId: spot.id, taken, ...read.payload }, said)) typed = undefined;
  }
</script>

<li class:here={next} class:taken={spot.takenAt !== null}>
  <div class="flex items-center gap-3">
    <span class="no" aria-hidden="true"
      >{#if spot.takenAt === null}{spot.no}{:else}<Check size="1em" />{/if}</span
    >
    <h2>{t.ground.spot(spot.no)}</h2>
    {#if spot.takenAt !== null}
      <span class="faded small">{t.ground.takenAt(format.when(spot.takenAt, now))}</span>
      <button
        type="button"
        class="link"
        aria-expanded={opened}
        aria-label={t.ground.changeSpot(spot.no)}
        onclick={() => (opened = !opened)}>{t.ground.change}</button
      >
    {/if}
  </div>
  {#if spot.takenAt === null || opened}
    <div class="grid grid-cols-[1fr_1fr] gap-5 my-3 items-start">
      <Field label={t.sample.fields.depthFrom} error={read.errors.from}>
        {#snippet children(entry)}
          <input
            {...entry}
            class="input"
            value={words.from}
            oninput={(e) => write('from', e.currentTarget.value)}
            placeholder={asked?.fromMm === undefined ? format.profile.length : format.length(asked.fromMm)}
          />
        {/snippet}
      </Field>
      <Field label={t.sample.fields.depthTo} error={read.errors.to}>
        {#snippet children(entry)}
          <input
            {...entry}
            class="input"
            value={words.to}
            oninput={(e) => write('to', e.currentTarget.value)}
            placeholder={asked?.toMm === undefined ? format.profile.length : format.length(asked.toMm)}
          />
        {/snippet}
      </Field>
    </div>
    <Field label={t.sample.fields.note}>
      {#snippet children(entry)}
        <input
          {...entry}
          class="input"
          value={words.note}
          oninput={(e) => write('note', e.currentTarget.value)}
          maxlength="500"
          placeholder={t.ground.spotNoteHint}
        />
      {/snippet}
    </Field>
    <div class="row-of-actions mt-3">
      {#if spot.takenAt === null}
        <button
          type="button"
          class={next ? 'btn btn-primary' : 'btn btn-secondary'}
          disabled={read.wrong}
          onclick={() => take(true)}
        >
          {t.ground.tick(spot.no)}
        </button>
      {:else}
        <button
          type="button"
          class="btn btn-secondary"
          disabled={read.wrong || !typed}
          onclick={() => take(true)}
        >
          {t.ground.keepWords}
        </button>
        <button type="button" class="btn btn-secondary" onclick={() => take(false)}>{t.ground.untick}</button>
      {/if}
    </div>
    <Photos
      {photos}
      subject="spot"
      subjectId={spot.id}
      name={t.ground.spotOf(spot.no, areaName)}
      {format}
      camera
    />
  {/if}
</li>

<style>
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
