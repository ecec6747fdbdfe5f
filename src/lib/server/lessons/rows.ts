import type { AnswerRecord, LearnerRecord } from '../../contract/records/lesson.ts';
import type { Store, Tx } from '../db.ts';
import { announce } from '../live.ts';
import type { learner, learnerAnswer } from '../schema.ts';

/**
 * Writes something of a lesson, and tells the windows that show it: a learner's work to the teacher, what a teacher did to the
 * learners too. Nothing of it stands in the record.
 */
export async function written<T>(
  store: Store,
  what: 'lesson.work' | 'lesson.change',
  work: (tx: Tx) => Promise<T>,
  how: 'write' | 'erase' = 'write'
): Promise<T> {
  const done = await store[how](work);
  announce({ what, testId: null });
  return done;
}

export const learnerOf = ({ digest, lessonId: _, ...one }: typeof learner.$inferSelect): LearnerRecord => ({
  ...one,
  onDevice: digest !== null
});

export const answerOf = ({
  id,
  no,
  given,
  score,
  mark,
  at
}: typeof learnerAnswer.$inferSelect): AnswerRecord => ({ id, no, given, score, mark, at });
