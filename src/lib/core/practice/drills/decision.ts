import { diceOf } from '../dice.ts';
import type { Score } from '../score.ts';

/** What a decision hangs on: a share, all of them, the stones, or nothing that a jar shows. */
export type Needs = 'sand' | 'silt' | 'clay' | 'all' | 'gravel' | 'none';
/** Decisions of the trade and what each needs; harder ones are those that people take for another. */
const DECISIONS = [
  { id: 'bore-fluid', needs: 'sand', level: 1 },
  { id: 'wall-cracks', needs: 'clay', level: 1 },
  { id: 'texture-class', needs: 'all', level: 1 },
  { id: 'wall-stones', needs: 'gravel', level: 1 },
  { id: 'lead', needs: 'none', level: 1 },
  { id: 'crust', needs: 'silt', level: 2 },
  { id: 'block-sand', needs: 'sand', level: 2 },
  { id: 'swelling', needs: 'clay', level: 2 },
  { id: 'water-held', needs: 'all', level: 3 },
  { id: 'drains', needs: 'none', level: 3 },
  { id: 'feed', needs: 'none', level: 3 },
  { id: 'wind', needs: 'silt', level: 3 },
  { id: 'gauge-wall', needs: 'none', level: 4 },
  { id: 'press-sticks', needs: 'clay', level: 4 },
  { id: 'septic', needs: 'none', level: 4 },
  { id: 'blend', needs: 'all', level: 5 }
] as const satisfies { id: string; needs: Needs; level: number }[];
export type DecisionId = (typeof DECISIONS)[number]['id'];

/** A decision: which share does it need? */
export type DecisionTask = {
  key: 'decision';
  level: number;
  seed: number;
  id: DecisionId;
  choices: Needs[];
  right: Needs;
};
export type DecisionGiven = { needs: string };

export function decisionTask(seed: number, level: number): DecisionTask {
  const dice = diceOf(seed);
  const { id, needs } = dice.pick(DECISIONS.filter((d) => d.level <= level && d.level >= level - 2));
  return {
    key: 'decision',
    level,
    seed,
    id,
    choices: ['sand', 'silt', 'clay', 'all', 'gravel', 'none'],
    right: needs
  };
}

export function scoreDecision({ right }: DecisionTask, { needs }: DecisionGiven): Score {
  if (needs === right) return { points: 100, off: { by: 0, unit: 'classes' } };
  const slip = right === 'none' ? 'not-asked-of-texture' : 'another-share';
  return { points: 0, off: { by: 1, unit: 'classes' }, slip };
}
