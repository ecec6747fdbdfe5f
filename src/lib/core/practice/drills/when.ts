import { settlingTime } from '../../physics/settling.ts';
import { CLAY_LIMIT_UM, USDA_SAND_LIMIT_UM } from '../../physics/bands.ts';
import { known } from '../../known.ts';
import { diceOf } from '../dice.ts';
import { scoreOff, type Score } from '../score.ts';

/** When a mark is due in a jar: a warmth and a depth of a small table, s. */
export type DueTime = { tempC: number; columnMm: number; dueS: number };

/** A clock runs, faster than ours, and a mark is to be pressed when it is due. */
export type WhenTask = {
  key: 'when';
  level: number;
  seed: number;
  layer: 'sand' | 'silt';
  tempC: number;
  columnMm: number;
  dueS: number;
  /** Told outright at the first two levels; later it is to be found in the table. */
  told: boolean;
  table: DueTime[];
  /** Seconds of the jar in one of ours. */
  rate: number;
  /** What may be missed, as a share of the time. */
  fairShare: number;
};
export type WhenGiven = { atS: number };

const TEMPS = [8, 14, 20, 26] as const;
const COLUMNS = [100, 130, 160] as const;
/** How long the clock runs until the mark is due, our seconds. */
const WAIT_S = 12;

const dueOf = (layer: 'sand' | 'silt', tempC: number, fallMm: number) =>
  settlingTime({ diameterUm: layer === 'sand' ? USDA_SAND_LIMIT_UM : CLAY_LIMIT_UM, fallMm, tempC });

/**
 * By level: told, told for silt too, found in the table, found nearer to the time, found between two depths. Due is when the
 * limit of the layer has fallen the whole column, by Stokes.
 */
export function whenTask(seed: number, level: number): WhenTask {
  const dice = diceOf(seed);
  const layer = level >= 2 && dice.chance(0.5) ? 'silt' : 'sand';
  const tempC = dice.pick(TEMPS);
  const columnMm = level >= 5 ? dice.pick([115, 145]) : dice.pick(COLUMNS);
  const table = TEMPS.flatMap((t) =>
    COLUMNS.map((c) => ({ tempC: t, columnMm: c, dueS: Math.round(dueOf(layer, t, c)) }))
  );
  const exact = dueOf(layer, tempC, columnMm);
  return {
    key: 'when',
    level,
    seed,
    layer,
    tempC,
    columnMm,
    dueS: Math.round(exact),
    told: level <= 2,
    table,
    rate: exact / WAIT_S,
    fairShare: level >= 4 ? 0.05 : 0.1
  };
}

/** Seconds off; full within what the reading tolerates. */
export function scoreWhen(task: WhenTask, { atS }: WhenGiven): Score {
  const { dueS, table, fairShare } = task;
  const by = atS - dueS;
  const fair = fairShare * dueS;
  const other = table.find((row) => Math.abs(row.dueS - atS) <= fair && Math.abs(row.dueS - dueS) > 2 * fair);
  const slip = !task.told && other ? 'at-another-time' : by < 0 ? 'too-soon' : 'too-late';
  return scoreOff({ by, unit: 's' }, fair, slip);
}

/** The row of the table nearest to a task. */
export const nearestRow = ({ table, tempC, columnMm }: WhenTask): DueTime =>
  known(
    table.toSorted(
      (a, b) =>
        Math.abs(a.tempC - tempC) * 100 +
        Math.abs(a.columnMm - columnMm) -
        (Math.abs(b.tempC - tempC) * 100 + Math.abs(b.columnMm - columnMm))
    )[0],
    'the table has rows'
  );
