import { swapsOf, type Fractions, type Swap, type SystemId } from '../core/index.ts';
import { className } from './headline.ts';
import { t } from './index.ts';

/** English. What would have to be swapped in a soil for it to be another class. */

const textOf = (system: SystemId, { points, take, give, name }: Swap): string =>
  t.result.swap(
    points < 1 ? t.result.lessThanPoint : t.result.points(points),
    t.layer[take],
    t.layer[give],
    className(system, name)
  );

/** The smallest swaps, one a class. @param most so many */
export const swapTexts = (system: SystemId, f: Fractions, most: number): string[] =>
  swapsOf(system, f)
    .slice(0, most)
    .map((swap) => textOf(system, swap));

/** The smallest swap, in a sentence; empty where no swap of two parts leads out of the class. */
export const swapText = (system: SystemId, f: Fractions): string => swapTexts(system, f, 1).join('');
