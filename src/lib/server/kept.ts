import type { WallSoil } from '../core/index.ts';
import { asc, and, eq, isNull } from 'drizzle-orm';
import type { KnownSoil } from '../workbench/judged-by.ts';
import { judgedBy } from '../workbench/judged-by.ts';
import type { SampleRecord } from '../contract/records/sample.ts';
import { among } from './among.ts';
import { labReports } from './repositories/lab.ts';
import { result, test } from './schema.ts';
import { blendOf } from '../contract/act.ts';
import { resultOf } from '../workbench/result.ts';
import type { Reader } from './db.ts';
import { testDetail, UnreadableTest } from './repositories/tests.ts';

/** A test as far as it can be read: one that cannot be is as one that is not there. */
export async function readable(db: Reader, id: string) {
  try {
    return await testDetail(db, id);
  } catch (problem) {
    if (problem instanceof UnreadableTest) return undefined;
    throw problem;
  }
}

/** A test with the result that is in force, by its id; undefined where there is none. */
export async function keptTest(db: Reader, id: string | null) {
  const detail = id ? await readable(db, id) : undefined;
  const kept = detail && resultOf(detail);
  return detail && kept ? { detail, kept } : undefined;
}

/** Everything on record that says what soil each of some samples is, by its id. */
export async function knownSoils(
  db: Reader,
  samples: readonly Pick<SampleRecord, 'id' | 'details'>[]
): Promise<Map<string, KnownSoil>> {
  const ids = samples.map(({ id }) => id);
  const labs = await labReports(db, ids);
  const kept = await db
    .select({ sampleId: test.sampleId, id: test.id, code: test.code, snapshot: result.snapshot })
    .from(result)
    .innerJoin(test, eq(result.testId, test.id))
    .where(
      and(
        among(test.sampleId, ids),
        isNull(result.reopenedAt),
        isNull(test.binnedAt),
        eq(test.status, 'finished')
      )
    )
    .orderBy(asc(result.at));
  return new Map(
    samples.map(({ id, details }) => [
      id,
      {
        details,
        labs: labs.filter((report) => report.sampleId === id),
        tests: kept
          .filter((one) => one.sampleId === id)
          .map(({ id: testId, code, snapshot }) => ({ id: testId, code, snapshot }))
      }
    ])
  );
}

/** The same of one sample. */
export async function knownSoil(
  db: Reader,
  sample: Pick<SampleRecord, 'id' | 'details'>
): Promise<KnownSoil> {
  return (await knownSoils(db, [sample])).get(sample.id) ?? { details: sample.details, labs: [], tests: [] };
}

/** Soils of other tests that are mixed into one in hand. @param text the materials, as an address holds them */
export async function soilsOfBlend(db: Reader, text: string | null) {
  const out: { id: string; code: string; soil: WallSoil }[] = [];
  for (const { of } of blendOf(text ?? '')) {
    const one = /^[0-9A-Z]{26}$/.test(of) ? await keptTest(db, of) : undefined;
    const soil = one && judgedBy(await knownSoil(db, one.detail.sample), of)?.wall;
    if (one && soil && !out.some((o) => o.id === of)) out.push({ id: of, code: one.detail.code, soil });
  }
  return out;
}
