import { RangeProblem } from '../errors.ts';
import { baseTask, scoreBase, type BaseGiven, type BaseTask } from './drills/base.ts';
import {
  borderlineTask,
  scoreBorderline,
  type BorderlineGiven,
  type BorderlineTask
} from './drills/borderline.ts';
import { decisionTask, scoreDecision, type DecisionGiven, type DecisionTask } from './drills/decision.ts';
import { inchesTask, scoreInches, type InchesGiven, type InchesTask } from './drills/inches.ts';
import { linesTask, scoreLines, type LinesGiven, type LinesTask } from './drills/lines.ts';
import { orderTask, scoreOrder, type OrderGiven, type OrderTask } from './drills/order.ts';
import { pictureTask, scorePicture, type PictureGiven, type PictureTask } from './drills/picture.ts';
import { scoreTotal, totalTask, type TotalGiven, type TotalTask } from './drills/total.ts';
import { scoreTrouble, troubleTask, type TroubleGiven, type TroubleTask } from './drills/trouble.ts';
import { scoreWhen, whenTask, type WhenGiven, type WhenTask } from './drills/when.ts';
import type { Score } from './score.ts';

/** A task of each drill, and an answer to it. */
export type Tasks = {
  order: { task: OrderTask; given: OrderGiven };
  when: { task: WhenTask; given: WhenGiven };
  base: { task: BaseTask; given: BaseGiven };
  inches: { task: InchesTask; given: InchesGiven };
  total: { task: TotalTask; given: TotalGiven };
  lines: { task: LinesTask; given: LinesGiven };
  picture: { task: PictureTask; given: PictureGiven };
  borderline: { task: BorderlineTask; given: BorderlineGiven };
  decision: { task: DecisionTask; given: DecisionGiven };
  trouble: { task: TroubleTask; given: TroubleGiven };
};
export type DrillKey = keyof Tasks;
export type Task<K extends DrillKey = DrillKey> = Tasks[K]['task'];
export type Given<K extends DrillKey = DrillKey> = Tasks[K]['given'];

type Drill<K extends DrillKey> = {
  make(seed: number, level: number): Tasks[K]['task'];
  score(task: Tasks[K]['task'], given: Tasks[K]['given']): Score;
};

const DRILLS: { [K in DrillKey]: Drill<K> } = {
  order: { make: orderTask, score: scoreOrder },
  when: { make: whenTask, score: scoreWhen },
  base: { make: baseTask, score: scoreBase },
  inches: { make: inchesTask, score: scoreInches },
  total: { make: totalTask, score: scoreTotal },
  lines: { make: linesTask, score: scoreLines },
  picture: { make: pictureTask, score: scorePicture },
  borderline: { make: borderlineTask, score: scoreBorderline },
  decision: { make: decisionTask, score: scoreDecision },
  trouble: { make: troubleTask, score: scoreTrouble }
};

/** The drills in the order in which they are learnt. */
export const DRILL_KEYS = Object.keys(DRILLS) as DrillKey[];
export const LEVELS = 5;

/**
 * The task of a seed: the same for everybody.
 *
 * @param level 1 to {@link LEVELS}
 * @throws {RangeProblem} for a level that there is not, or a seed that is no whole number
 */
export function makeTask<K extends DrillKey>(key: K, seed: number, level: number): Task<K> {
  if (!Number.isInteger(level) || level < 1 || level > LEVELS)
    throw new RangeProblem('level', `Choose a level from 1 to ${LEVELS}.`);
  if (!Number.isSafeInteger(seed)) throw new RangeProblem('seed', 'A seed is a whole number.');
  return DRILLS[key].make(seed, level);
}

/** What an answer to a task is worth, how far off it is, and which slip leads to it. */
export function scoreTask<K extends DrillKey>(task: Task<K>, given: Given<K>): Score {
  return DRILLS[task.key as K].score(task, given);
}
