<!--
  @component Making a film of a jar: with the camera of this device while the page is open, or from a folder of
  pictures. The strip is laid on one picture and holds for all.
-->
<script lang="ts">
  import FilePick from '../kit/FilePick.svelte';
  import exifr from 'exifr';
  import { onDestroy, untrack } from 'svelte';
  import { ulid } from 'ulid';
  import { FILM_ROWS, filmColumn, formatTapeTime, nextFrameS, type FilmStrip, type Strip } from '$lib/core';
  import { encodeColours } from '$lib/contract/film';
  import type { JarRecord } from '$lib/contract/records/jar';
  import type { RunRecord } from '$lib/contract/records/run';
  import Choice from '../fields/Choice.svelte';
  import Field from '../fields/Field.svelte';
  import { readDuration } from '../fields/read';
  import type { Format } from '$lib/words/format';
  import LiveCamera from '../picture/LiveCamera.svelte';
  import ScaleFields from '../picture/ScaleFields.svelte';
  import PictureStage from '../picture/PictureStage.svelte';
  import OwnStrip from '../picture/OwnStrip.svelte';
  import { PictureProblem, PictureWork } from '$lib/browser/picture-work';
  import { PictureReading } from '../picture/reading.svelte';
  import { problemText } from '$lib/browser/actions';
  import { correctedNow } from '$lib/browser/clock.svelte';
  import { send } from '$lib/browser/outbox.svelte';
  import { PICTURES } from '$lib/browser/upload';
  import { keepScreenOn } from '$lib/browser/wake';
  import { t } from '$lib/words';
  import { folderTimes, type FolderFile } from './times';

  type Props = { jar: JarRecord; run: RunRecord; format: Format };
  let { jar, run, format }: Props = $props();

  const pictureReading = untrack(
    () => new PictureReading({ unit: format.profile.length, waterMm: jar.waterMm })
  );
  let source = $state<'camera' | 'folder'>('camera');
  let camera: LiveCamera | undefined = $state();
  let files = $state.raw<File[]>([]);
  let every = $state('');
  let everyError = $state('');
  let problem = $state('');
  /** Id of the film that is being taken; the next picture is due at this time, ms UTC. */
  let filming = $state<string>();
  let nextAt = $state(0);
  let taken = $state(0);
  let busy = $state(false);
  const strip = $derived(pictureReading.strip);

  let timer: ReturnType<typeof setTimeout> | undefined;
  const work = { frames: undefined as PictureWork | undefined };
  function stop() {
    clearTimeout(timer);
    keepScreenOn(false);
    filming = undefined;
  }
  onDestroy(() => {
    stop();
    pictureReading.close();
    work.frames?.close();
  });

  async function firstPicture() {
    const picture = await camera?.grab();
    if (picture) await pictureReading.open(picture);
  }
  /** A folder of a camera that took a picture every ten seconds for a day. */
  const MANY_FILES = 10_000;
  async function chooseFolder(chosen: File[]) {
    files = chosen;
    problem = '';
    // The last picture shows the layers best.
    const last = [...files].sort((a, b) => a.name.localeCompare(b.name, 'en', { numeric: true })).at(-1);
    if (last) await pictureReading.open(last);
  }

  function filmStrip(): FilmStrip {
    const plain = $state.snapshot(strip) as Strip;
    return { ...plain, rowMm: (plain.toMm - plain.fromMm) / FILM_ROWS, rows: FILM_ROWS };
  }
  async function start(): Promise<{ filmId: string; strip: FilmStrip }> {
    const film = { filmId: ulid(), strip: filmStrip() };
    await send('film.start', { ...film, testId: jar.id, runId: run.id, source });
    return film;
  }
  /** The kept column of one picture. */
  async function columnOf(picture: Blob, filmStrip: FilmStrip): Promise<string> {
    work.frames ??= new PictureWork();
    await work.frames.open(picture);
    return encodeColours(filmColumn(await work.frames.profile(filmStrip)));
  }

  async function whileBusy(act: () => Promise<void>) {
    problem = '';
    busy = true;
    try {
      await act();
    } catch (failed) {
      problem = failed instanceof PictureProblem ? failed.message : problemText(failed);
    } finally {
      busy = false;
    }
  }

  const begin = () =>
    whileBusy(async () => {
      const film = await start();
      filming = film.filmId;
      taken = 0;
      keepScreenOn(true);
      await frame(film);
    });

  async function frame(film: { filmId: string; strip: FilmStrip }) {
    if (filming !== film.filmId) return;
    const at = correctedNow();
    try {
      const picture = await camera!.grab();
      const colours = await columnOf(picture, film.strip);
      await send('film.frames', { filmId: film.filmId, frames: [{ at, colours }] });
      taken += 1;
      problem = '';
    } catch (failed) {
      // One picture that fails does not end the film.
      problem = failed instanceof PictureProblem ? failed.message : problemText(failed);
    }
    nextAt = run.setDownAt + 1000 * nextFrameS((at - run.setDownAt) / 1000);
    timer = setTimeout(() => void frame(film), Math.max(500, nextAt - correctedNow()));
  }

  const fromFolder = () =>
    whileBusy(async () => {
      everyError = '';
      const step = every.trim() === '' ? undefined : readDuration(every);
      if (step?.error) {
        everyError = step.error;
        return;
      }
      const known = await Promise.all(files.map(fileTime));
      const times = folderTimes(known, {
        setDownAt: run.setDownAt,
        now: correctedNow(),
        everyS: step?.value
      });
      if (times.error !== undefined) {
        everyError = times.error;
        return;
      }
      const film = await start();
      const byName = new Map(files.map((f) => [f.name, f]));
      taken = 0;
      const frames: { at: number; colours: string }[] = [];
      for (const { name, at } of times.times) {
        frames.push({ at, colours: await columnOf(byName.get(name)!, film.strip) });
        taken += 1;
        if (frames.length === 40)
          await send('film.frames', { filmId: film.filmId, frames: frames.splice(0) });
      }
      if (frames.length > 0) await send('film.frames', { filmId: film.filmId, frames });
      files = [];
    });

  async function fileTime(file: File): Promise<FolderFile> {
    const tags = (await exifr.parse(file, ['DateTimeOriginal']).catch(() => undefined)) as
      { DateTimeOriginal?: Date } | undefined;
    const takenAt = tags?.DateTimeOriginal?.getTime();
    return { name: file.name, lastModified: file.lastModified, takenAt };
  }
</script>

<div class="make grid gap-3 min-w-0 justify-items-start">
  {#if filming}
    <p role="status">
      <b>{t.film.filming(t.film.pictures(taken))}</b>
      {t.film.next(formatTapeTime(Math.max(1, (nextAt - run.setDownAt) / 1000)))}
    </p>
  {:else}
    <Choice
      label={t.film.source}
      bind:value={source}
      options={(['camera', 'folder'] as const).map((value) => ({ value, label: t.film.sources[value] }))}
    />
    <p class="small">{t.film.how[source]}</p>
  {/if}

  {#if source === 'camera'}
    <LiveCamera bind:this={camera} small={pictureReading.url !== ''} />
    {#if !filming}
      <button type="button" class="btn btn-secondary" onclick={firstPicture}
        >{pictureReading.url === '' ? t.film.first : t.film.firstAgain}</button
      >
    {/if}
  {:else}
    <FilePick label={t.film.choose} accept={PICTURES} most={MANY_FILES} onpick={chooseFolder} />
    {#if files.length > 0}<p class="small">{t.film.chosen(t.film.pictures(files.length))}</p>{/if}
    <Field label={t.film.every} hint={t.film.everyHint} error={everyError}>
      {#snippet children(entry)}<input
          {...entry}
          class="input"
          bind:value={every}
          placeholder="30 s"
        />{/snippet}
    </Field>
  {/if}
  {#if pictureReading.problems.picture}<p class="wrong" role="alert">
      {pictureReading.problems.picture}
    </p>{/if}

  {#if pictureReading.url !== '' && !filming}
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

  {#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
  <p class="row-of-actions">
    {#if filming}
      <button type="button" class="btn btn-secondary" onclick={stop}>{t.film.stop}</button>
    {:else if pictureReading.url !== ''}
      <button
        type="button"
        class="btn btn-primary"
        disabled={busy || !strip}
        onclick={source === 'camera' ? begin : fromFolder}
        >{busy ? t.film.reading(taken) : source === 'camera' ? t.film.begin : t.film.make}</button
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
