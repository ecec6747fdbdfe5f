import type { Fractions } from '../physics/bands.ts';
import { differenceOf, type Compared, type Difference } from '../certainty/difference.ts';

/** A test of an area, by its time, ms UTC. */
export type SeasonTest = Compared & { id: string; at: number };

/** A change between two tests of an area that follow each other. */
export type SeasonChange<T extends SeasonTest> = {
  from: T;
  to: T;
  difference: Difference;
  /** Each part: by how many points there is more of it, and how sure it is that there is more, or less. */
  parts: { part: keyof Fractions; points: number; sure: number }[];
  /** Whether it is more than reading and sampling make: nine times in ten. */
  real: boolean;
};

/** So sure a change has to be, to be one. */
export const CHANGE_SURE = 0.9;

/** An area from season to season: what changed between each test and the next, and whether it is more than the reading. */
export function seasonChanges<T extends SeasonTest>(tests: readonly T[]): SeasonChange<T>[] {
  const inOrder = [...tests].sort((a, b) => a.at - b.at);
  return inOrder.slice(1).map((to, i) => {
    // Tests of one area are set against each other as two soils on one footing: time lies between them.
    const difference = differenceOf(inOrder[i], to);
    const parts = (['sand', 'silt', 'clay'] as const).map((part) => {
      const [points, more] = [difference.points[part], difference.more[part]];
      return { part, points, sure: points >= 0 ? more : 1 - more };
    });
    return { from: inOrder[i], to, difference, parts, real: difference.surest.sure >= CHANGE_SURE };
  });
}
