import { resultOf } from '../workbench/result.ts';
import type { Reader } from './db.ts';
import { testDetail } from './repositories/tests.ts';

/** A test with the result that is in force, by its id; undefined where there is none. */
export async function keptTest(db: Reader, id: string | null) {
  const detail = id ? await testDetail(db, id) : undefined;
  const kept = detail && resultOf(detail);
  return detail && kept ? { detail, kept } : undefined;
}
