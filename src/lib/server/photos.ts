import exifr from 'exifr';
import { and, eq, lt, sql, type AnyColumn } from 'drizzle-orm';
import sharp from 'sharp';
import { ulid } from 'ulid';
import { readWallTime } from '../contract/wall-time.ts';
import type { Store } from './db.ts';
import { CommandProblem } from './problem.ts';
import { photo, photoFile, reading, result, site } from './schema.ts';
import { refusals } from '../words/refusals.ts';

/** Largest upload, bytes. */
export const UPLOAD_MOST = 15_000_000;
/** Longest side that is kept, px. */
export const SIDE_MOST_PX = 2000;
/** Largest picture that is opened at all, px: a bomb is refused before it is unpacked. */
const PIXELS_MOST = 80_000_000;
const FORMATS = new Set(['jpeg', 'png', 'webp']);
/** A file that nothing refers to is let go after this long, ms: until then what took it off can be undone. */
const LOOSE_MS = 86_400_000;

export type KeptFile = { id: string; width: number; height: number; takenText: string | null };

function refuse(message: string): never {
  throw new CommandProblem(message, { file: message });
}

/** Reads what kind of picture it is, or says what to do. */
async function requirePicture(bytes: Buffer): Promise<void> {
  if (bytes.length === 0) refuse(refusals.photos.fileEmpty);
  if (bytes.length > UPLOAD_MOST) refuse(refusals.common.pictureTooLarge(UPLOAD_MOST / 1e6));
  if (/^ftyp(hei|hev|mif|msf)/.test(bytes.toString('latin1', 4, 12))) {
    refuse(refusals.photos.heicPicture);
  }
  const meta = await sharp(bytes, { limitInputPixels: PIXELS_MOST })
    .metadata()
    .catch(() => undefined);
  if (!meta || !FORMATS.has(meta.format ?? '')) {
    refuse(refusals.photos.notPictureTivrelCan);
  }
  if ((meta.pages ?? 1) > 1) refuse(refusals.photos.pictureMoves);
  if (meta.width * meta.height > PIXELS_MOST) {
    refuse(refusals.photos.pictureHasOver80);
  }
}

/** When the camera says it was taken: local wall time, without a zone; null where its clock was not set, or it says nothing. */
async function takenText(bytes: Buffer): Promise<string | null> {
  const options = { pick: ['DateTimeOriginal', 'CreateDate'], reviveValues: false };
  const tags = (await exifr.parse(bytes, options).catch(() => undefined)) as
    { DateTimeOriginal?: string; CreateDate?: string } | undefined;
  const match = /^(\d{4}):(\d\d):(\d\d) (\d\d:\d\d)/.exec(tags?.DateTimeOriginal ?? tags?.CreateDate ?? '');
  return match ? readWallTime(`${match[1]}-${match[2]}-${match[3]}T${match[4]}`) : null;
}

/**
 * Keeps a picture: turned upright, 2000 px at most, written anew as JPEG, so that nothing the camera or anybody else
 * put into the file stays in it. The file belongs to nothing until a command says what it shows.
 *
 * @throws {CommandProblem} on `file`, with what to choose instead
 */
export async function keepPhoto(store: Store, bytes: Buffer, now: number): Promise<KeptFile> {
  await requirePicture(bytes);
  const taken = await takenText(bytes);
  const made = await sharp(bytes, { limitInputPixels: PIXELS_MOST })
    .rotate()
    .flatten({ background: '#ffffff' })
    .resize({ width: SIDE_MOST_PX, height: SIDE_MOST_PX, fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: 84 })
    .toBuffer({ resolveWithObject: true })
    .catch(() => refuse(refusals.photos.pictureBreaksOffMiddle));
  const { width, height } = made.info;
  const id = ulid(now);
  await store.write(async (tx) => {
    await tx
      .insert(photoFile)
      .values({ id, bytes: made.data, width, height, takenText: taken, createdAt: now });
  });
  return { id, width, height, takenText: taken };
}

/** The bytes of a kept picture, JPEG. */
export async function photoBytes(store: Store, id: string): Promise<Buffer | undefined> {
  const [row] = await store.db.select({ bytes: photoFile.bytes }).from(photoFile).where(eq(photoFile.id, id));
  return row?.bytes;
}

/** An id that a JSON column holds, where it holds JSON at all. */
const within = (column: AnyColumn, path: string) =>
  sql`case when json_valid(${column}) then json_extract(${column}, ${path}) end`;

/**
 * Lets go of files that have belonged to nothing for a day: no picture, no sketch, and no reading or kept result that was read
 * from one. @returns how many
 */
export async function sweepFiles(store: Store, now: number): Promise<number> {
  return store.write(async (tx) => {
    const used = sql`
      select ${photo.fileId} as id from ${photo}
      union select ${within(site.sketch, '$.backdrop.fileId')} from ${site}
      union select ${within(reading.entry, '$.photoFileId')} from ${reading}
      union select ${within(result.snapshot, '$.entry.photoFileId')} from ${result}`;
    const gone = await tx
      .delete(photoFile)
      .where(
        and(
          lt(photoFile.createdAt, now - LOOSE_MS),
          sql`not exists (select 1 from (${used}) as used where used.id = ${photoFile.id})`
        )
      );
    return gone.rowsAffected;
  });
}
