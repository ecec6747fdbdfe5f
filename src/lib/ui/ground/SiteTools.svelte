<!-- @component What can be done to the whole sketch: its picture, its scale, its place on the earth, files in and out. -->
<script lang="ts">
  import FilePick from '../kit/FilePick.svelte';
  import Fold from '../kit/Fold.svelte';
  import { untrack } from 'svelte';
  import { outcomeOf, parseMetres, type Outline } from '$lib/core';
  import type { FoundGround } from '$lib/formats/geojson';
  import type { SiteDetail } from '$lib/contract/records/ground';
  import BothVersions from '../fields/BothVersions.svelte';
  import { commandForm } from '../fields/command-form.svelte';
  import Field from '../fields/Field.svelte';
  import { offerUndo, problemText, record } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { PICTURES, upload } from '$lib/browser/upload';
  import { readNumber } from '$lib/workbench/entry/figure';
  import { t } from '$lib/words';
  import { importOf, readGround } from './files';

  type Props = {
    site: SiteDetail;
    /** The two points of a scale that have been pressed so far. */
    points: Outline;
    scaling: boolean;
    onscale: (on: boolean) => void;
  };
  let { site, points, scaling, onscale }: Props = $props();

  let busy = $state(false);
  let backdropProblem = $state('');
  async function lay(file: File | undefined) {
    if (!file) return;
    busy = true;
    backdropProblem = '';
    try {
      const sent = await send('site.backdrop', { siteId: site.id, fileId: await upload(file) });
      offerUndo(sent, t.ground.backdropLaid);
      onscale(true);
    } catch (failed) {
      backdropProblem = problemText(failed);
    } finally {
      busy = false;
    }
  }

  let apart = $state('');
  let apartProblem = $state('');
  async function scale() {
    const { done: distanceM, problem } = outcomeOf(() => parseMetres(apart));
    apartProblem = problem?.message ?? '';
    if (distanceM === undefined) return;
    try {
      const sent = await send('site.scale', {
        siteId: site.id,
        from: [...points[0]],
        to: [...points[1]],
        distanceM
      });
      offerUndo(sent, t.ground.scaled);
      apart = '';
      onscale(false);
    } catch (failed) {
      apartProblem = problemText(failed);
    }
  }

  let found = $state<FoundGround>();
  let foundName = $state('');
  let fileProblem = $state('');
  async function readFile(file: File | undefined) {
    if (!file) return;
    foundName = file.name;
    ({ found, problem: fileProblem = '' } = await readGround(file, site.sketch.earth));
  }
  async function bringIn() {
    if (!found) return;
    try {
      const sent = await send('ground.import', importOf(site.id, found));
      offerUndo(sent, t.ground.broughtIn(found.areas.length, found.spots.length));
      found = undefined;
    } catch (failed) {
      fileProblem = problemText(failed);
    }
  }

  let words = $state(
    untrack(() => ({
      name: site.name,
      lat: site.sketch.earth ? String(site.sketch.earth.lat) : '',
      lon: site.sketch.earth ? String(site.sketch.earth.lon) : '',
      bearing: site.sketch.earth ? String(site.sketch.earth.bearing) : ''
    }))
  );
  const wordsForm = commandForm({
    id: 'site-words',
    texts: () => words,
    read: (texts) => {
      const given = texts.lat.trim() !== '' || texts.lon.trim() !== '';
      const [lat, lon, bearing] = [texts.lat, texts.lon, texts.bearing || '0'].map(readNumber);
      const bad = (value: number) => (given && Number.isNaN(value) ? t.ground.badDegrees : undefined);
      const errors = { lat: bad(lat), lon: bad(lon), bearing: bad(bearing) };
      if (Object.values(errors).some(Boolean)) return { errors };
      const earth = given ? { lat, lon, bearing } : null;
      return { errors, payload: { siteId: site.id, name: texts.name, earth } };
    },
    names: { 'earth.lat': 'lat', 'earth.lon': 'lon', 'earth.bearing': 'bearing' },
    record: () => ({ name: site.name }),
    refill: () => (words = { ...words, name: site.name }),
    keep: async (payload, seen) =>
      offerUndo(await send('site.edit', payload, undefined, seen), t.ground.siteKept(payload.name))
  });
  const wordProblems = $derived(wordsForm.errors);
</script>

<section class="no-print mt-5" aria-label={t.ground.tools}>
  {#if scaling}
    <div class="border-l-3 border-pen py-1 pr-0 pl-4">
      <h3>{t.ground.scaleTitle}</h3>
      <p class="mt-2 mb-3">{t.ground.scaleLead[Math.min(points.length, 2) as 0 | 1 | 2]}</p>
      {#if points.length === 2}
        <Field label={t.ground.apart} hint={t.ground.apartHint} error={apartProblem}>
          {#snippet children(entry)}<input {...entry} class="input" bind:value={apart} />{/snippet}
        </Field>
        <div class="row-of-actions">
          <button type="button" class="btn btn-primary" onclick={scale}>{t.ground.scaleDo}</button>
        </div>
      {/if}
      <p class="mt-2 mb-3">
        <button type="button" class="btn btn-secondary" onclick={() => onscale(false)}
          >{t.common.cancel}</button
        >
      </p>
    </div>
  {:else}
    <Fold heading label={t.ground.paper} class="border-t border-hair">
      <p class="faded small">{site.sketch.backdrop ? t.ground.onPicture : t.ground.onSquares}</p>
      <div class="row-of-actions">
        <FilePick
          label={busy ? t.photos.sending : site.sketch.backdrop ? t.ground.otherBackdrop : t.ground.backdrop}
          accept={PICTURES}
          disabled={busy}
          onpick={([file]) => lay(file)}
        />
        {#if site.sketch.backdrop}
          <button
            type="button"
            class="btn btn-secondary"
            onclick={() => record('site.backdrop', { siteId: site.id, fileId: null }, t.ground.backdropTaken)}
            >{t.ground.noBackdrop}</button
          >
        {/if}
        <button
          type="button"
          class={site.sketch.scaled ? 'btn btn-secondary' : 'btn btn-primary'}
          onclick={() => onscale(true)}
        >
          {t.ground.scaleIt}
        </button>
      </div>
      {#if backdropProblem}<p class="wrong small" role="alert">{backdropProblem}</p>{/if}
    </Fold>
    <Fold heading label={t.ground.files} class="border-t border-hair">
      <p class="faded small">{site.sketch.earth ? t.ground.filesEarth : t.ground.filesLocal}</p>
      <div class="row-of-actions">
        <a class="btn btn-secondary" href="/api/v1/sites/{site.id}/geojson" download>{t.ground.exportFile}</a>
        <FilePick
          label={t.ground.importFile}
          accept=".geojson,.json,application/geo+json,application/json"
          onpick={([file]) => readFile(file)}
        />
      </div>
      {#if found}
        <p role="status">
          {t.ground.foundIn(foundName, found.areas.length, found.spots.length)}
          {found.local ? t.ground.foundLocal : t.ground.foundEarth}
          {found.left.length > 0 ? t.ground.foundLeft(found.left.join(', ')) : ''}
        </p>
        <div class="row-of-actions">
          <button type="button" class="btn btn-primary" onclick={bringIn}>{t.ground.bringIn}</button>
          <button type="button" class="btn btn-secondary" onclick={() => (found = undefined)}
            >{t.common.cancel}</button
          >
        </div>
      {/if}
      {#if fileProblem}<p class="wrong small" role="alert">{fileProblem}</p>{/if}
    </Fold>
    <Fold heading label={t.ground.siteWords} class="border-t border-hair">
      <form class="grid gap-3 justify-items-start" use:wordsForm.enhance method="POST" novalidate>
        <BothVersions form={wordsForm} />
        <Field label={t.ground.siteName} error={wordProblems.name}>
          {#snippet children(entry)}
            <input {...entry} class="input" bind:value={words.name} maxlength="80" />
          {/snippet}
        </Field>
        <div class="grid grid-cols-[1fr_1fr_1fr] gap-4 items-start">
          <Field label={t.ground.lat} error={wordProblems.lat}>
            {#snippet children(entry)}
              <input {...entry} class="input" bind:value={words.lat} inputmode="decimal" />
            {/snippet}
          </Field>
          <Field label={t.ground.lon} error={wordProblems.lon}>
            {#snippet children(entry)}
              <input {...entry} class="input" bind:value={words.lon} inputmode="decimal" />
            {/snippet}
          </Field>
          <Field label={t.ground.bearing} error={wordProblems.bearing}>
            {#snippet children(entry)}
              <input {...entry} class="input" bind:value={words.bearing} inputmode="decimal" />
            {/snippet}
          </Field>
        </div>
        <p class="faded small">{t.ground.earthHint}</p>
        {#if wordProblems['']}<p class="wrong small" role="alert">{wordProblems['']}</p>{/if}
        <button class="btn btn-secondary">{t.ground.keepSite}</button>
      </form>
    </Fold>
  {/if}
</section>

<style>
  form > :global(*) {
    width: 100%;
  }
  form > button {
    width: auto;
  }
</style>
