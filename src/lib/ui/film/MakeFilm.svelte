<!--
  @component Making a film of a jar: with the camera of this device while the page is open, or from a folder of
  pictures. The strip is laid on one picture and holds for all.
-->
<script lang="ts">
  import FilePick from '../kit/FilePick.svelte';
  import { onDestroy, untrack } from 'svelte';
  import { formatTapeTime, known, type Strip } from '$lib/core';
  import type { JarRecord } from '$lib/contract/records/jar';
  import type { RunRecord } from '$lib/contract/records/run';
  import Choice from '../fields/Choice.svelte';
  import Field from '../fields/Field.svelte';
  import type { Format } from '$lib/words/format';
  import LiveCamera from '../picture/LiveCamera.svelte';
  import ScaleFields from '../picture/ScaleFields.svelte';
  import PictureStage from '../picture/PictureStage.svelte';
  import OwnStrip from '../picture/OwnStrip.svelte';
  import { PictureReading } from '../picture/reading.svelte';
  import { PICTURES } from '$lib/browser/upload';
  import { t } from '$lib/words';
  import { FilmMaking } from './making.svelte';

  type Props = {
    jar: JarRecord;
    /** The run that is filmed. */
    run: RunRecord;
    format: Format;
  };
  let { jar, run, format }: Props = $props();

  let camera: LiveCamera | undefined = $state();
  /** There is something to be taken. */
  let seeing = $state(false);
  const grab = () => known(camera, 'a film by the camera is taken where it is shown').grab();
  const pictureReading = untrack(
    () => new PictureReading({ unit: format.profile.length, waterMm: jar.waterMm })
  );
  const making = untrack(() => new FilmMaking(jar, run, grab));
  const strip = $derived(pictureReading.strip);
  onDestroy(() => {
    making.close();
    pictureReading.close();
  });

  const takeFirst = () => making.try(async () => pictureReading.open(await grab()));

  /** A folder of a camera that took a picture every ten seconds for a day. */
  const MANY_FILES = 10_000;
  async function chooseFolder(chosen: File[]) {
    making.files = chosen;
    making.problem = '';
    // The last picture shows the layers best.
    const last = [...chosen].sort((a, b) => a.name.localeCompare(b.name, 'en', { numeric: true })).at(-1);
    if (last) await pictureReading.open(last);
  }
  function make() {
    const laid = $state.snapshot(strip) as Strip | undefined;
    if (laid) void (making.source === 'camera' ? making.begin(laid) : making.fromFolder(laid));
  }
</script>

<div class="make grid gap-3 min-w-0 justify-items-start">
  {#if making.filming}
    <p role="status">
      <b>{t.film.filming(t.film.pictures(making.taken))}</b>
      {t.film.next(formatTapeTime(Math.max(1, (making.nextAt - run.setDownAt) / 1000)))}
    </p>
  {:else}
    <Choice
      label={t.film.source}
      bind:value={making.source}
      options={(['camera', 'folder'] as const).map((value) => ({ value, label: t.film.sources[value] }))}
    />
    <p class="small">{t.film.how[making.source]}</p>
  {/if}

  {#if making.source === 'camera'}
    <LiveCamera bind:this={camera} small={pictureReading.url !== ''} onseeing={() => (seeing = true)} />
    {#if seeing && !making.filming}
      <button type="button" class="btn btn-secondary" onclick={takeFirst}
        >{pictureReading.url === '' ? t.film.first : t.film.firstAgain}</button
      >
    {/if}
  {:else}
    <FilePick label={t.film.choose} accept={PICTURES} most={MANY_FILES} onpick={chooseFolder} />
    {#if making.files.length > 0}<p class="small">
        {t.film.chosen(t.film.pictures(making.files.length))}
      </p>{/if}
    <Field label={t.film.every} hint={t.film.everyHint} error={making.everyError}>
      {#snippet children(entry)}<input
          {...entry}
          class="input"
          bind:value={making.every}
          placeholder="30 s"
        />{/snippet}
    </Field>
  {/if}
  {#if pictureReading.problems.picture}<p class="wrong" role="alert">
      {pictureReading.problems.picture}
    </p>{/if}

  {#if pictureReading.url !== '' && !making.filming}
    <p class="small">{t.film.layStrip}</p>
    <PictureStage
      src={pictureReading.url}
      width={pictureReading.size.width}
      height={pictureReading.size.height}
      label={t.picture.stage}
    >
      {#snippet children({ unit })}
        <OwnStrip {pictureReading} {strip} {unit} />
      {/snippet}
    </PictureStage>
    <ScaleFields {pictureReading} />
  {/if}

  {#if making.problem}<p class="wrong" role="alert">{making.problem}</p>{/if}
  <p class="row-of-actions">
    {#if making.filming}
      <button type="button" class="btn btn-secondary" onclick={() => making.stop()}>{t.film.stop}</button>
    {:else if pictureReading.url !== ''}
      <button type="button" class="btn btn-primary" disabled={making.busy || !strip} onclick={make}
        >{making.busy
          ? t.film.reading(making.taken)
          : making.source === 'camera'
            ? t.film.begin
            : t.film.make}</button
      >
    {/if}
  </p>
</div>

<style>
  .make > :global(*) {
    max-width: 100%;
  }
  .make > :global(.stage) {
    width: 100%;
  }
</style>
