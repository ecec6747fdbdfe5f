import type { Trouble } from '../../trouble/types.ts';
import { diceOf } from '../dice.ts';
import type { Score } from '../score.ts';

type TroubleId = Trouble['id'];
/** Troubles of a jar that can be told by what is seen, the plainer first; and which are easily taken for each. */
const TROUBLES: { id: TroubleId; level: number; like: TroubleId[] }[] = [
  { id: 'foam', level: 1, like: ['dark-skin', 'cloudy-long', 'knocked'] },
  { id: 'stones', level: 1, like: ['too-full', 'rattle', 'crumbs'] },
  { id: 'knocked', level: 1, like: ['two-layers', 'too-full', 'stones'] },
  { id: 'too-thin', level: 1, like: ['two-layers', 'read-early', 'stones'] },
  { id: 'too-full', level: 2, like: ['knocked', 'two-layers', 'no-dispersant'] },
  { id: 'read-early', level: 2, like: ['two-layers', 'cloudy-long', 'too-thin'] },
  { id: 'dark-skin', level: 2, like: ['two-layers', 'foam', 'cleared-soon'] },
  { id: 'over-shoulder', level: 2, like: ['too-full', 'two-layers', 'stones'] },
  { id: 'cloudy-long', level: 3, like: ['read-early', 'cleared-soon', 'foam'] },
  { id: 'cleared-soon', level: 3, like: ['cloudy-long', 'no-dispersant', 'two-layers'] },
  { id: 'two-layers', level: 3, like: ['read-early', 'too-thin', 'cleared-soon'] },
  { id: 'marks-fall', level: 4, like: ['knocked', 'crumbs', 'read-early'] },
  { id: 'crumbs', level: 4, like: ['rattle', 'marks-fall', 'stones'] },
  { id: 'rattle', level: 4, like: ['crumbs', 'stones', 'knocked'] }
];

/** What is seen: which trouble is this? */
export type TroubleTask = {
  key: 'trouble';
  level: number;
  seed: number;
  right: TroubleId;
  choices: TroubleId[];
};
export type TroubleGiven = { trouble: string };

/** By level: plainer or less plain trouble; from the third on, among those that it is easily taken for. */
export function troubleTask(seed: number, level: number): TroubleTask {
  const dice = diceOf(seed);
  const within = TROUBLES.filter((one) => one.level <= level && one.level >= level - 2);
  const { id, like } = dice.pick(within);
  const others =
    level >= 3
      ? like
      : dice
          .shuffled(TROUBLES.filter((one) => one.id !== id && !like.includes(one.id)))
          .slice(0, 3)
          .map((one) => one.id);
  return { key: 'trouble', level, seed, right: id, choices: dice.shuffled([id, ...others]) };
}

export function scoreTrouble({ right }: TroubleTask, { trouble }: TroubleGiven): Score {
  const off = { by: trouble === right ? 0 : 1, unit: 'classes' } as const;
  return trouble === right ? { points: 100, off } : { points: 0, off, slip: 'another-cause' };
}
