import { ulid } from 'ulid';
import type { CommandFailure } from '../contract/commands.ts';
import type { PhotoSubject } from '../contract/records/ground.ts';
import { t } from '../words/index.ts';
import { CommandRefused, send, type Sent } from './outbox.svelte.ts';

/** Types of picture that can be taken in. */
export const PICTURES = 'image/jpeg,image/png,image/webp';

/**
 * Sends a picture to be kept.
 * @returns id of the kept file
 * @throws {CommandRefused} saying what to choose instead
 */
export async function upload(file: Blob): Promise<string> {
  let response: Response;
  try {
    response = await fetch('/api/v1/photos', {
      method: 'POST',
      headers: { 'content-type': 'application/octet-stream' },
      body: file
    });
  } catch {
    throw new CommandRefused({ message: t.outbox.unreachable, fields: {} });
  }
  if (response.status === 413) throw new CommandRefused({ message: t.photos.tooLarge, fields: {} });
  const answer = (await response.json().catch(() => undefined)) as
    { id: string } | CommandFailure | undefined;
  if (response.ok && answer && 'id' in answer) return answer.id;
  throw new CommandRefused(
    answer && 'fields' in answer ? answer : { message: t.outbox.unreachable, fields: {} }
  );
}

/** Keeps a picture of a sample or a spot. */
export async function addPhoto(subject: PhotoSubject, subjectId: string, file: Blob): Promise<Sent> {
  return send('photo.add', { photoId: ulid(), fileId: await upload(file), subject, subjectId });
}
