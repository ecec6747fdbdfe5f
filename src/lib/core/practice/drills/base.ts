import { diceOf } from '../dice.ts';
import { scoreOff, slipOf, type Score } from '../score.ts';

/** A ruler stands on the table beside a jar with a thick bottom: how high does the layer stand inside? */
export type BaseTask = {
  key: 'base';
  level: number;
  seed: number;
  /** Glass under the inside bottom, and how far its middle is pushed up, mm. */
  baseMm: number;
  domeMm: number;
  /** Where the ruler's zero stands over the table, mm: some have a blank end. */
  zeroMm: number;
  /** Tops of what lies in it over the inside bottom at the wall, bottom first, mm; which of them is asked. */
  tops: { kind: 'sand' | 'silt' | 'clay'; topMm: number }[];
  asked: 'sand' | 'silt' | 'clay';
  trueMm: number;
};
export type BaseGiven = { mm: number };

/** What an eye reads a ruler to, mm. */
const FAIR_MM = 1;

/** By level: a thick bottom; several layers; a ruler with a blank end; half millimetres; a pushed-up bottom. */
export function baseTask(seed: number, level: number): BaseTask {
  const dice = diceOf(seed);
  const step = level >= 4 ? 0.5 : 1;
  const high = (from: number, to: number) => dice.whole(from / step, to / step) * step;
  const baseMm = high(4, 4 + 2 * level);
  const sand = high(12, 26);
  const silt = sand + high(8, 18);
  const clay = silt + high(4, 12);
  const tops: BaseTask['tops'] = [{ kind: 'sand', topMm: sand }];
  if (level >= 2) tops.push({ kind: 'silt', topMm: silt }, { kind: 'clay', topMm: clay });
  const asked = dice.pick(tops);
  return {
    key: 'base',
    level,
    seed,
    baseMm,
    domeMm: level >= 5 ? high(3, 6) : 0,
    zeroMm: level >= 3 ? high(2, 5) : 0,
    tops,
    asked: asked.kind,
    trueMm: asked.topMm
  };
}

/** mm off the height over the inside bottom. */
export function scoreBase(task: BaseTask, { mm }: BaseGiven): Score {
  const fair = task.level >= 4 ? FAIR_MM / 2 : FAIR_MM;
  const slip = slipOf(
    mm,
    {
      'outside-bottom': task.trueMm + task.baseMm - task.zeroMm,
      'edge-of-dome': task.domeMm > 0 ? task.trueMm - task.domeMm : undefined,
      'wrong-line': task.tops.find((top) => top.kind !== task.asked && Math.abs(top.topMm - mm) <= fair)
        ?.topMm
    },
    fair
  );
  return scoreOff({ by: mm - task.trueMm, unit: 'mm' }, fair, slip);
}
