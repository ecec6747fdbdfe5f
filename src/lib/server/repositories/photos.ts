import { and, asc, eq } from 'drizzle-orm';
import { among } from '../among.ts';
import type { PhotoRecord, PhotoSubject } from '../../contract/records/ground.ts';
import { readWallTime } from '../../contract/wall-time.ts';
import type { Reader } from '../db.ts';
import { photo, photoFile } from '../schema.ts';

/** Pictures of some samples or spots, oldest first, without their bytes. */
export async function photosOf(
  db: Reader,
  subject: PhotoSubject,
  subjectIds: string[]
): Promise<PhotoRecord[]> {
  if (subjectIds.length === 0) return [];
  const rows = await db
    .select({ photo, width: photoFile.width, height: photoFile.height, takenText: photoFile.takenText })
    .from(photo)
    .innerJoin(photoFile, eq(photo.fileId, photoFile.id))
    .where(and(eq(photo.subject, subject), among(photo.subjectId, subjectIds)))
    .orderBy(asc(photo.createdAt));
  // A picture that was kept before its time was checked may have one that no calendar knows.
  return rows.map(({ photo: row, takenText, ...file }) => ({
    ...row,
    ...file,
    takenText: readWallTime(takenText)
  }));
}
