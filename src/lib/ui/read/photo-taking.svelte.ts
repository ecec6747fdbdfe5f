import { ulid } from 'ulid';
import { known, waterOnStrip, type LineName, type Water } from '$lib/core';
import { problemText } from '$lib/browser/actions';
import { send } from '$lib/browser/outbox.svelte';
import { upload } from '$lib/browser/upload';
import { t } from '$lib/words';
import type { FoundLine, PictureReading } from '../picture/reading.svelte';
import type { ReadingForm } from './form.svelte';

/** Taking the named lines of a picture into a reading, and keeping the picture they are from. */
export class PhotoTaking {
  problem = $state('');
  busy = $state(false);

  constructor(
    private picture: PictureReading,
    private form: ReadingForm,
    private testId: string
  ) {}

  /** The water over the uppermost named line, as far as the strip shows it. */
  get water(): Water | undefined {
    const tops = this.picture.lines
      .filter((l) => l.name !== '' && l.name !== 'surface')
      .map((l) => l.heightMm);
    return this.picture.read && tops.length > 0
      ? waterOnStrip(this.picture.read.profile, Math.max(...tops))
      : undefined;
  }

  /** Puts the lines into the reading. @returns whether they are in it */
  async take(): Promise<boolean> {
    const { picture, form } = this;
    const named = picture.lines.filter((l): l is FoundLine & { name: LineName } => l.name !== '');
    this.problem = picture.doubleName ?? (named.length === 0 ? t.picture.nameOne : '');
    if (this.problem) return false;
    this.busy = true;
    try {
      const fileId = (picture.fileId ??= await this.#keepPicture());
      form.takeLines(
        named.map(({ name, heightMm, sigmaMm }) => ({ name, heightMm: Math.max(0, heightMm), sigmaMm }))
      );
      form.texts.photoFileId = fileId;
      // What somebody has seen with their own eyes stands.
      if (form.texts.water === '' && this.water) form.texts.water = this.water;
      return true;
    } catch (failed) {
      this.problem = problemText(failed);
      return false;
    } finally {
      this.busy = false;
    }
  }

  async #keepPicture(): Promise<string> {
    const fileId = await upload(known(this.picture.file, 'lines are found on an open picture'));
    await send('photo.add', { photoId: ulid(), fileId, subject: 'test', subjectId: this.testId });
    return fileId;
  }
}
