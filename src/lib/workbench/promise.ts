import { besidePromise, type BesidePromise, type Fractions } from '../core/index.ts';
import type { Snapshot } from '../contract/records/result.ts';
import type { SampleDetails } from '../contract/records/sample.ts';
import { groundOf } from './blend.ts';
import { wallSoilOf } from './wall.ts';

/** A jar of a mix beside what the mix promised, percent and points. */
export type Promised = { read: Fractions } & BesidePromise;

/** What a finished jar of a mix reads beside the promise; undefined of what is no mix, or where all three shares were not read. */
export function besideMix(snapshot: Snapshot, details: SampleDetails): Promised | undefined {
  const { mix } = details;
  const soil = mix && wallSoilOf(snapshot, details);
  const read = soil && groundOf(soil, mix.on);
  if (!mix || !read) return undefined;
  return { read: read.shares, ...besidePromise(mix, read) };
}
