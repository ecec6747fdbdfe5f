import type { Fractions } from '../../physics/bands.ts';
import { sandTheWrongWay } from '../../texture/misread.ts';
import { diceOf } from '../dice.ts';
import { scoreOff, type Score, type Slip } from '../score.ts';
import { pointsApart } from '../../certainty/calibration.ts';

/** Shares to be found on the triangle, or a point whose shares are to be read. */
export type LinesTask = {
  key: 'lines';
  level: number;
  seed: number;
  soil: Fractions;
  way: 'place' | 'read';
  /** What may be missed, points. */
  fair: number;
};
export type LinesGiven = { soil: Fractions };

/** By level: placed by tens, read by tens, placed by fives, read by fives, either to the point. */
export function linesTask(seed: number, level: number): LinesTask {
  const dice = diceOf(seed);
  const step = level <= 2 ? 10 : level <= 4 ? 5 : 1;
  const way = level === 5 ? dice.pick(['place', 'read'] as const) : level % 2 === 1 ? 'place' : 'read';
  let soil: Fractions;
  do {
    const sand = step * dice.whole(Math.ceil(10 / step), Math.floor(75 / step));
    const clay = step * dice.whole(Math.ceil(10 / step), Math.floor((90 - sand) / step));
    soil = { sand, silt: 100 - sand - clay, clay };
    // Two alike would hide which line went the wrong way.
  } while (soil.sand === soil.silt || soil.silt === soil.clay || soil.sand === soil.clay);
  return { key: 'lines', level, seed, soil, way, fair: step === 10 ? 2.5 : step === 5 ? 2 : 1.5 };
}

const near = (a: Fractions, b: Fractions, fair: number) => pointsApart(a, b) <= fair;

/** Points of soil that would have to be exchanged; and whether a line went the wrong way. */
export function scoreLines({ soil, fair }: LinesTask, given: LinesGiven): Score {
  const sum = given.soil.sand + given.soil.silt + given.soil.clay;
  if (Math.abs(sum - 100) > 1.5) {
    return { points: 0, off: { by: Math.abs(sum - 100), unit: 'points' }, slip: 'not-hundred' };
  }
  const { sand, silt, clay } = soil;
  const swaps: Fractions[] = [
    { sand: silt, silt: sand, clay },
    { sand: clay, silt, clay: sand },
    { sand, silt: clay, clay: silt },
    { sand: silt, silt: clay, clay: sand },
    { sand: clay, silt: sand, clay: silt }
  ];
  const wrong = sandTheWrongWay(soil);
  const slip: Slip | undefined = swaps.some((swap) => near(given.soil, swap, fair))
    ? 'swapped'
    : wrong && near(given.soil, wrong.lands, fair)
      ? 'wrong-line'
      : undefined;
  return scoreOff({ by: pointsApart(given.soil, soil), unit: 'points' }, fair, slip);
}
