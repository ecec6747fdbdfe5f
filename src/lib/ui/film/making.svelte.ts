import { ulid } from 'ulid';
import { FILM_ROWS, filmColumn, known, nextFrameS, type FilmStrip, type Strip } from '$lib/core';
import { encodeColours } from '$lib/contract/film';
import type { JarRecord } from '$lib/contract/records/jar';
import type { RunRecord } from '$lib/contract/records/run';
import { problemText } from '$lib/browser/actions';
import { correctedNow } from '$lib/browser/clock.svelte';
import { send } from '$lib/browser/outbox.svelte';
import { PictureProblem, PictureWork } from '$lib/browser/picture-work';
import { keepScreenOn } from '$lib/browser/wake';
import { readDuration } from '$lib/workbench/entry/figure';
import { folderTimes, type FolderFile } from './times';

/** Columns of a folder go to the server in so many at once. */
const FRAMES_AT_ONCE = 40;

type BegunFilm = { filmId: string; strip: FilmStrip };

/** When a picture was taken, as its file says. */
async function fileTime(file: File): Promise<FolderFile> {
  // Fetched with the first folder: most films are taken by the camera.
  const { default: exifr } = await import('exifr');
  const tags = (await exifr.parse(file, ['DateTimeOriginal']).catch(() => undefined)) as
    { DateTimeOriginal?: Date } | undefined;
  return {
    name: file.name,
    lastModified: file.lastModified,
    takenAt: tags?.DateTimeOriginal?.getTime()
  };
}

/** A film in the making: from the camera, picture by picture as each falls due, or from a folder at once. */
export class FilmMaking {
  source = $state<'camera' | 'folder'>('camera');
  files = $state.raw<File[]>([]);
  /** How far apart the pictures of a folder were taken, as typed, and what is wrong with it. */
  every = $state('');
  everyError = $state('');
  problem = $state('');
  /** Id of the film that is being taken; the next picture is due at this time, ms UTC. */
  filming = $state<string>();
  nextAt = $state(0);
  taken = $state(0);
  busy = $state(false);

  #timer: ReturnType<typeof setTimeout> | undefined;
  #work: PictureWork | undefined;

  constructor(
    private jar: JarRecord,
    private run: RunRecord,
    /** A picture of what the camera sees now. */
    private grab: () => Promise<Blob>
  ) {}

  stop(): void {
    clearTimeout(this.#timer);
    keepScreenOn(false);
    this.filming = undefined;
  }

  close(): void {
    this.stop();
    this.#work?.close();
  }

  /** Takes the first picture through a strip, and each that falls due until it is stopped. */
  begin(strip: Strip): Promise<void> {
    return this.try(async () => {
      const film = await this.#start(strip);
      this.filming = film.filmId;
      this.taken = 0;
      keepScreenOn(true);
      await this.#frame(film);
    });
  }

  /** Reads every picture of the folder through a strip. */
  fromFolder(strip: Strip): Promise<void> {
    return this.try(async () => {
      this.everyError = '';
      const step = this.every.trim() === '' ? undefined : readDuration(this.every);
      if (step?.error) {
        this.everyError = step.error;
        return;
      }
      const times = folderTimes(await Promise.all(this.files.map(fileTime)), {
        setDownAt: this.run.setDownAt,
        now: correctedNow(),
        everyS: step?.value
      });
      if (times.error !== undefined) {
        this.everyError = times.error;
        return;
      }
      const film = await this.#start(strip);
      const byName = new Map(this.files.map((f) => [f.name, f]));
      this.taken = 0;
      const frames: { at: number; colours: string }[] = [];
      for (const { name, at } of times.times) {
        const file = known(byName.get(name), 'the times are of these files');
        frames.push({ at, colours: await this.#columnOf(file, film.strip) });
        this.taken += 1;
        if (frames.length === FRAMES_AT_ONCE)
          await send('film.frames', { filmId: film.filmId, frames: frames.splice(0) });
      }
      if (frames.length > 0) await send('film.frames', { filmId: film.filmId, frames });
      this.files = [];
    });
  }

  async #start(strip: Strip): Promise<BegunFilm> {
    const rows = { rowMm: (strip.toMm - strip.fromMm) / FILM_ROWS, rows: FILM_ROWS };
    const film = { filmId: ulid(), strip: { ...strip, ...rows } };
    await send('film.start', { ...film, testId: this.jar.id, runId: this.run.id, source: this.source });
    return film;
  }

  async #frame(film: BegunFilm): Promise<void> {
    if (this.filming !== film.filmId) return;
    const at = correctedNow();
    try {
      const colours = await this.#columnOf(await this.grab(), film.strip);
      await send('film.frames', { filmId: film.filmId, frames: [{ at, colours }] });
      this.taken += 1;
      this.problem = '';
    } catch (failed) {
      // One picture that fails does not end the film.
      this.#say(failed);
    }
    const { setDownAt } = this.run;
    this.nextAt = setDownAt + 1000 * nextFrameS((at - setDownAt) / 1000);
    this.#timer = setTimeout(() => void this.#frame(film), Math.max(500, this.nextAt - correctedNow()));
  }

  /** The kept column of one picture. */
  async #columnOf(picture: Blob, strip: FilmStrip): Promise<string> {
    this.#work ??= new PictureWork();
    await this.#work.open(picture);
    return encodeColours(filmColumn(await this.#work.profile(strip)));
  }

  /** Does something that takes a while; what goes wrong with it is said. */
  async try(act: () => Promise<void>): Promise<void> {
    this.problem = '';
    this.busy = true;
    try {
      await act();
    } catch (failed) {
      this.#say(failed);
    } finally {
      this.busy = false;
    }
  }

  #say(failed: unknown): void {
    this.problem = failed instanceof PictureProblem ? failed.message : problemText(failed);
  }
}
