import { eq } from 'drizzle-orm';
import { ulid } from 'ulid';
import { checkScale } from '../../core/index.ts';
import { added, removed } from '../events.ts';
import { CommandProblem, found, ranged } from '../problem.ts';
import { film, frame } from '../schema.ts';
import { testRow, runOf } from './guard.ts';
import type { Service, Services } from './service.ts';
import { refusals } from '../../words/refusals.ts';

/** Most pictures of one film. */
const FRAMES_MOST = 2000;

/** A row of pictures of a run begins: where its strip lies is settled by the first of them. */
const startFilm: Service<'film.start'> = async ({ db, at }, p) => {
  const row = await testRow(db, p.testId);
  const runRow = await runOf(db, row, p.runId);
  ranged(() => checkScale(p.strip));
  const { filmId: id, ...fields } = p;
  return {
    testId: p.testId,
    detail: { code: row.code, run: runRow.no, source: p.source },
    changes: [added('film', { id, ...fields, createdAt: at })]
  };
};

/** Pictures that have been taken since the last were sent. */
const addFrames: Service<'film.frames'> = async ({ db }, p) => {
  const filmRow = found((await db.select().from(film).where(eq(film.id, p.filmId)))[0], 'This film');
  const row = await testRow(db, filmRow.testId);
  const there = await db.select({ id: frame.id }).from(frame).where(eq(frame.filmId, p.filmId));
  if (there.length + p.frames.length > FRAMES_MOST) {
    throw new CommandProblem(refusals.films.filmHoldsPictures(FRAMES_MOST), {}, 409);
  }
  return {
    testId: filmRow.testId,
    detail: { code: row.code, pictures: p.frames.length },
    changes: p.frames.map(({ at: takenAt, colours }) =>
      added('frame', { id: ulid(takenAt), filmId: p.filmId, at: takenAt, colours })
    )
  };
};

/** Takes a film out of the record, with its pictures. */
const removeFilm: Service<'film.remove'> = async ({ db }, p) => {
  const filmRow = found((await db.select().from(film).where(eq(film.id, p.filmId)))[0], 'This film');
  const row = await testRow(db, filmRow.testId);
  const frames = await db.select().from(frame).where(eq(frame.filmId, p.filmId));
  return {
    testId: filmRow.testId,
    detail: { code: row.code, pictures: frames.length },
    changes: [...frames.map((f) => removed('frame', f)), removed('film', filmRow)]
  };
};

export const filmServices = {
  'film.start': startFilm,
  'film.frames': addFrames,
  'film.remove': removeFilm
} satisfies Partial<Services>;
