import { asc, eq } from 'drizzle-orm';
import { among } from '../among.ts';
import type { FrameRecord } from '../../contract/film.ts';
import type { FilmRecord } from '../../contract/records/run.ts';
import type { Reader } from '../db.ts';
import { film, frame } from '../schema.ts';

/** Films of a test with their pictures, oldest first. */
export async function filmsOf(
  db: Reader,
  testId: string
): Promise<(FilmRecord & { frames: FrameRecord[] })[]> {
  const films = await db.select().from(film).where(eq(film.testId, testId)).orderBy(asc(film.createdAt));
  if (films.length === 0) return [];
  const frames = await db
    .select()
    .from(frame)
    .where(
      among(
        frame.filmId,
        films.map((f) => f.id)
      )
    )
    .orderBy(asc(frame.at));
  return films.map((f) => ({
    ...f,
    frames: frames.filter((r) => r.filmId === f.id).map(({ id, at, colours }) => ({ id, at, colours }))
  }));
}
