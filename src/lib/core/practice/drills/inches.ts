import { MM_PER } from '../../units/length.ts';
import { diceOf } from '../dice.ts';
import { scoreOff, slipOf, type Score } from '../score.ts';

/** A ruler in inches beside a line: eighths or sixteenths; from the third level the thickness between two lines. */
export type InchesTask = {
  key: 'inches';
  level: number;
  seed: number;
  /** Lines of the ruler in an inch. */
  parts: 8 | 16;
  /** Where the lines stand, in parts of an inch from the zero: one, or two whose distance is asked. */
  from: number;
  to: number;
  thickness: boolean;
  trueMm: number;
};
export type InchesGiven = { mm: number };

/** By level: eighths, sixteenths, thickness in eighths, thickness in sixteenths, thickness over more than two inches. */
export function inchesTask(seed: number, level: number): InchesTask {
  const dice = diceOf(seed);
  const parts = level === 1 || level === 3 ? 8 : 16;
  const thickness = level >= 3;
  const from = thickness ? dice.whole(parts / 2, 2 * parts) : 0;
  let to = from + dice.whole(level >= 5 ? 2 * parts : parts / 2 + 1, level >= 5 ? 3 * parts : 2 * parts);
  // A whole or half inch needs no counting.
  while ((to - from) % (parts / 2) === 0) to++;
  return {
    key: 'inches',
    level,
    seed,
    parts,
    from,
    to,
    thickness,
    trueMm: ((to - from) / parts) * MM_PER.in
  };
}

/** A slip leads to a line of its own: an answer is it or is not, mm. */
const NEAR_MM = 0.3;

/** mm off; full within half a line of the ruler. */
export function scoreInches(task: InchesTask, { mm }: InchesGiven): Score {
  const { trueMm, parts, to, thickness } = task;
  const line = MM_PER.in / parts;
  const fair = line / 2 - 1e-6;
  const inches = trueMm / MM_PER.in;
  const whole = Math.floor(inches + 1e-9);
  const over = Math.round((inches - whole) * parts);
  const slip = slipOf(
    mm,
    {
      'next-line': mm > trueMm ? trueMm + line : trueMm - line,
      'top-for-thickness': thickness ? (to / parts) * MM_PER.in : undefined,
      'fractions-as-tenths': (whole + over / 10) * MM_PER.in,
      'eighths-as-sixteenths': (whole + (parts === 8 ? over / 16 : over / 8)) * MM_PER.in,
      'whole-inch': mm > trueMm ? trueMm + MM_PER.in : trueMm - MM_PER.in
    },
    NEAR_MM
  );
  return scoreOff({ by: mm - trueMm, unit: 'mm' }, fair, slip);
}
