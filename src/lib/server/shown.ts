import { error } from '@sveltejs/kit';
import type { TestDetail } from '../contract/records/result.ts';
import type { Reader } from './db.ts';
import { testDetail, UnreadableTest } from './repositories/tests.ts';

/** A test for its page; one that is there and cannot be shown is an answer with a sentence, and takes nothing else down. */
export async function shownTest(db: Reader, id: string): Promise<TestDetail | undefined> {
  try {
    return await testDetail(db, id);
  } catch (problem) {
    if (problem instanceof UnreadableTest) error(422, problem.message);
    throw problem;
  }
}
