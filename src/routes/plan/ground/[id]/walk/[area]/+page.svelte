<script lang="ts">
  import BackLink from '$lib/ui/kit/BackLink.svelte';
  import { untrack } from 'svelte';
  import { ulid } from 'ulid';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { sampleDepths } from '$lib/core';
  import { keepsDraft } from '$lib/ui/fields/kept.svelte';
  import { formatFor } from '$lib/words/format';
  import { composite } from '$lib/ui/ground/composite';
  import SketchSheet from '$lib/ui/ground/SketchSheet.svelte';
  import type { SpotTexts } from '$lib/ui/ground/spot';
  import SpotWalk from '$lib/ui/ground/SpotWalk.svelte';
  import { problemText } from '$lib/browser/actions';
  import { clock } from '$lib/browser/clock.svelte';
  import { outbox, send } from '$lib/browser/outbox.svelte';
  import { withWaiting } from '$lib/contract/waiting';
  import { t } from '$lib/words';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const area = $derived(data.area);
  /** Spots that were ticked here and wait to be sent count as ticked. */
  const spots = $derived(withWaiting('spot', area.spots, outbox.waiting));
  const next = $derived(spots.find((s) => s.takenAt === null));
  const done = $derived(spots.filter((s) => s.takenAt !== null).length);
  const asked = $derived(sampleDepths(area.purpose, area.history)[0]);
  let problem = $state('');
  /** What is typed at each spot, by its id. */
  let typed = $state<Record<string, SpotTexts>>({});
  keepsDraft<typeof typed>(
    untrack(() => `walk:${data.area.id}`),
    (kept) => (typed = { ...kept }),
    () => $state.snapshot(typed),
    { lengths: ['from', 'to'] }
  );
  function type(spotId: string, to: SpotTexts | undefined) {
    if (to) typed[spotId] = to;
    else delete typed[spotId];
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
        <SpotWalk
          {spot}
          next={spot.id === next?.id}
          areaName={area.name}
          {asked}
          photos={data.photos.filter((p) => p.subjectId === spot.id)}
          bind:typed={() => typed[spot.id], (to) => type(spot.id, to)}
          {format}
          now={clock.now}
        />
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
</style>
