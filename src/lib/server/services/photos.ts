import { eq } from 'drizzle-orm';
import type { PhotoSubject } from '../../contract/records/ground.ts';
import type { Reader } from '../db.ts';
import { added, removed } from '../events.ts';
import { found } from '../problem.ts';
import { photo, photoFile, sample, spot, test, trialPiece } from '../schema.ts';
import type { Service, Services } from './service.ts';

const SUBJECTS = { sample, spot, test, piece: trialPiece } as const;

async function requireSubject(db: Reader, subject: PhotoSubject, id: string): Promise<void> {
  const table = SUBJECTS[subject] as typeof sample;
  found((await db.select({ id: table.id }).from(table).where(eq(table.id, id)))[0], 'What the picture shows');
}

const addPhoto: Service<'photo.add'> = async ({ db, at }, { photoId, ...fields }) => {
  await requireSubject(db, fields.subject, fields.subjectId);
  const [file] = await db.select({ id: photoFile.id }).from(photoFile).where(eq(photoFile.id, fields.fileId));
  found(file, 'This picture');
  return {
    // A picture of a jar stands in the jar's history.
    testId: fields.subject === 'test' ? fields.subjectId : null,
    detail: { subject: fields.subject },
    changes: [added('photo', { id: photoId, ...fields, createdAt: at })]
  };
};

/** Takes a picture off; its file stays for a while, so that this can be undone. */
const removePhoto: Service<'photo.remove'> = async ({ db }, { photoId }) => {
  const row = found((await db.select().from(photo).where(eq(photo.id, photoId)))[0], 'This picture');
  const testId = row.subject === 'test' ? row.subjectId : null;
  return { testId, detail: { subject: row.subject }, changes: [removed('photo', row)] };
};

export const photoServices = {
  'photo.add': addPhoto,
  'photo.remove': removePhoto
} satisfies Partial<Services>;
