import type { WallSoil } from '../core/index.ts';
import { blendOf } from '../contract/act.ts';
import { wallSoilOf } from '../workbench/wall.ts';
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

/** Soils of other tests that are mixed into one in hand. @param text the materials, as an address holds them */
export async function soilsOfBlend(db: Reader, text: string | null) {
  const out: { id: string; code: string; soil: WallSoil }[] = [];
  for (const { of } of blendOf(text ?? '')) {
    const one = /^[0-9A-Z]{26}$/.test(of) ? await keptTest(db, of) : undefined;
    const soil = one && wallSoilOf(one.kept.snapshot, one.detail.sample.details);
    if (one && soil && !out.some((o) => o.id === of)) out.push({ id: of, code: one.detail.code, soil });
  }
  return out;
}
