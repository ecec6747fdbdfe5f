<!-- @component One area of the site beside the sketch: what it is, where to dig, and what is next to do. -->
<script lang="ts">
  import BackLink from '../kit/BackLink.svelte';
  import { ulid } from 'ulid';
  import { goto } from '$app/navigation';
  import {
    areaOf,
    formatGround,
    formatMetres,
    MOST_SPOTS,
    sampleDepths,
    USUAL_SPOTS,
    walkLength
  } from '$lib/core';
  import type { AmendmentRecord } from '$lib/contract/records/amendment';
  import type { HoleRecord } from '$lib/contract/records/hole';
  import type { SiteDetail, SpotRecord } from '$lib/contract/records/ground';
  import Field from '../fields/Field.svelte';
  import type { Format } from '$lib/words/format';
  import { offerUndo, problemText, record } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { t } from '$lib/words';
  import AreaBeds from './AreaBeds.svelte';
  import { composite } from './composite';

  type Props = {
    site: SiteDetail;
    area: SiteDetail['areas'][number];
    /** What was dug in it, and put into it. */
    holes: readonly HoleRecord[];
    amendments: readonly AmendmentRecord[];
    format: Format;
    now: number;
    /** Spots are being put by hand. */
    placing: boolean;
    onplace: () => void;
    onedit: () => void;
    onleave: () => void;
  };
  let { site, area, holes, amendments, format, now, placing, onplace, onedit, onleave }: Props = $props();

  let count = $state('5');
  let problem = $state('');
  const unit = $derived(format.profile.length);
  const taken = $derived(area.spots.filter((s) => s.takenAt !== null));
  const wanted = $derived(Number(count));
  const badCount = $derived(
    Number.isInteger(wanted) && wanted >= 1 && wanted <= MOST_SPOTS ? '' : t.ground.badCount(MOST_SPOTS)
  );
  const walked = $derived(area.spots.length > 0 && taken.length === area.spots.length);
  const inSamples = $derived(area.samples.length > 0);
  const walkM = $derived(walkLength(area.spots.map((s) => [s.x, s.y] as const)));

  const wordsOf = (spot: SpotRecord) => {
    const depths = [spot.depthFrom, spot.depthTo].filter((d) => d !== null).map((d) => format.length(d.mm));
    const when = spot.takenAt === null ? t.ground.notTaken : t.ground.takenAt(format.when(spot.takenAt, now));
    return [when, depths.join(' – '), spot.note].filter(Boolean).join(' · ');
  };

  async function suggest() {
    if (badCount) return;
    const seed = Math.floor(Math.random() * 2 ** 31);
    const spotIds = Array.from({ length: wanted }, () => ulid());
    await record('spots.suggest', { areaId: area.id, seed, spotIds }, t.ground.suggested(wanted, area.name));
  }
  async function remove() {
    problem = '';
    try {
      const sent = await send('area.remove', { areaId: area.id });
      offerUndo(sent, t.ground.areaRemoved(area.name));
      onleave();
    } catch (failed) {
      problem = problemText(failed);
    }
  }
  async function mix() {
    problem = '';
    try {
      const sampleId = ulid();
      await send('sample.add', composite(area, sampleId, format.isoDay(now)));
      await goto(`/samples/${sampleId}`);
    } catch (failed) {
      problem = problemText(failed);
    }
  }
</script>

<section aria-labelledby="area-name">
  <p class="back"><BackLink label={t.ground.allAreas} onclick={onleave} /></p>
  <h2 class="text-2xl mt-1 mb-2" id="area-name"><span class="code">{area.code}</span> {area.name}</h2>
  <p class="faded">
    {t.purpose[area.purpose]} · {formatGround(areaOf(area.outline), unit)}{area.history
      .map((h) => ` · ${t.ground.histories[h]}`)
      .join('')}
  </p>
  {#if area.note}<p>{area.note}</p>{/if}
  <p class="guide">
    {#each sampleDepths(area.purpose, area.history) as depth (depth.what)}
      {t.ground.depth[depth.what](
        depth.fromMm === undefined ? '' : format.length(depth.fromMm),
        depth.toMm === undefined ? '' : format.length(depth.toMm)
      )}
    {:else}{t.sample.guidance.lesson}{/each}
  </p>

  <h3 class="mt-5 mb-1">{t.ground.spots}</h3>
  {#if area.spots.length > 0}
    <p>
      {t.ground.spotsTaken(taken.length, area.spots.length)}{walkM > 0
        ? `, ${t.ground.walkOf(formatMetres(walkM, unit))}`
        : ''}
    </p>
  {:else}
    <p class="faded">{t.ground.noSpots(USUAL_SPOTS.from, USUAL_SPOTS.to)}</p>
  {/if}
  <div class="row-of-actions">
    {#if area.spots.length > 0 && !walked}
      <a class="btn btn-primary" href="/plan/ground/{site.id}/walk/{area.id}">{t.ground.walk}</a>
    {:else if walked && !inSamples}
      <button type="button" class="btn btn-primary" onclick={mix}>{t.ground.mix(taken.length)}</button>
    {:else if walked}
      <button type="button" class="btn btn-secondary" onclick={mix}>{t.ground.mixAgain}</button>
    {/if}
  </div>
  <div class="suggest">
    <Field label={t.ground.howMany} error={badCount}>
      {#snippet children(entry)}
        <input {...entry} class="input" bind:value={count} inputmode="numeric" />
      {/snippet}
    </Field>
    <button
      type="button"
      class={area.spots.length === 0 ? 'btn btn-primary' : 'btn btn-secondary'}
      onclick={suggest}
    >
      {area.spots.length === 0 ? t.ground.suggest : t.ground.suggestOther}
    </button>
    <button type="button" class="btn btn-secondary" aria-pressed={placing} onclick={onplace}>
      {placing ? t.ground.placing : t.ground.place}
    </button>
  </div>
  {#if area.spots.length > 0}
    <ol class="plain-list">
      {#each area.spots as spot (spot.id)}
        <li class="grid grid-cols-[1.6rem_1fr_auto] gap-3 items-center min-h-[40px] border-b border-hair">
          <b>{spot.no}</b>
          <span class="faded small">{wordsOf(spot)}</span>
          <button
            type="button"
            class="link"
            aria-label={t.ground.removeSpot(spot.no)}
            onclick={() => record('spot.remove', { spotId: spot.id }, t.ground.spotRemoved(spot.no))}
            >{t.ground.takeOff}</button
          >
        </li>
      {/each}
    </ol>
  {/if}

  {#if area.samples.length > 0}
    <h3 class="mt-5 mb-1">{t.ground.samples}</h3>
    <ul class="plain-list">
      {#each area.samples as sample (sample.id)}
        <li><a class="link" href="/samples/{sample.id}">{sample.code}</a> {sample.name}</li>
      {/each}
    </ul>
  {/if}
  <AreaBeds {area} {holes} {amendments} {format} {now} />
  {#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
  <p class="foot">
    <button type="button" class="btn btn-secondary" onclick={onedit}>{t.ground.editWords}</button>
    <button type="button" class="btn btn-secondary" onclick={remove}>{t.ground.removeArea}</button>
  </p>
  <p class="faded small">{t.ground.cornerHint}</p>
</section>

<style>
  .back {
    margin: 0;
  }
  .code {
    display: inline-block;
    padding: 0 var(--spacing-3);
    margin-right: var(--spacing-1);
    background: var(--label);
    border: var(--line) solid var(--tape-edge);
    color: var(--tape-ink);
    transform: rotate(-2deg);
  }
  p {
    margin: var(--spacing-1) 0;
  }
  .guide {
    border-left: var(--line-heavy) solid var(--rule);
    padding-left: var(--spacing-3);
    margin: var(--spacing-3) 0;
  }
  .suggest {
    display: grid;
    grid-template-columns: 4.6rem auto auto;
    justify-content: start;
    gap: var(--spacing-1) var(--spacing-3);
    align-items: end;
    margin: var(--spacing-3) 0;
  }
  .suggest > button {
    padding-inline: var(--spacing-3);
    white-space: nowrap;
  }
  .btn-secondary[aria-pressed='true'] {
    border-bottom: var(--line-heavy) solid var(--pen);
  }
  .foot {
    display: flex;
    flex-wrap: wrap;
    gap: var(--spacing-4);
    margin-top: var(--spacing-5);
  }
</style>
