import {
  isSoaked,
  nextOfTrial,
  pieceProblems,
  pieceTells,
  trialTasks,
  trialTells,
  type Figures,
  type PieceSeen,
  type PieceTells,
  type TrialPlan,
  type TrialState,
  type TrialStep,
  type TrialTask,
  type TrialTells
} from '../core/index.ts';
import type { PieceRecord, TrialRecord, TypedSeen } from '../contract/records/trial.ts';
import { t } from '../words/index.ts';
import type { Call } from './calls.ts';
import { byPress } from './press.ts';

/** What was typed of a piece, as the core counts with it. */
export function seenOf({ length, sides, gauge, ...rest }: TypedSeen): PieceSeen {
  return {
    ...rest,
    ...(length ? { lengthMm: length.mm } : {}),
    ...(sides ? { sidesMm: [sides[0].mm, sides[1].mm, sides[2].mm] as const } : {}),
    ...(gauge ? { gaugeMpa: gauge.mpa } : {})
  };
}

type Planned = Omit<TrialPlan, 'pressureMpa' | 'pistonMm' | 'boxMm'> &
  Pick<TrialRecord, 'pressure' | 'piston' | 'box'>;

/** What a set is planned with, as the core counts with it. */
export function planOf({ pressure, piston, box, ...plan }: Planned): TrialPlan {
  return {
    ...plan,
    pressureMpa: pressure?.mpa ?? null,
    pistonMm: piston?.mm ?? null,
    boxMm: box?.mm ?? null
  };
}

const stateOf = (trial: TrialRecord): TrialState => ({
  ...planOf(trial),
  formedAt: trial.formedAt,
  soakedAt: trial.soakedAt,
  finishedAt: trial.finishedAt,
  cared: trial.cared.map((one) => one.key),
  told: trial.pieces.map((piece) => piece.no)
});

/** A piece of a set: told or not, soaked or not, and what it comes to. */
export type PieceView = {
  no: number;
  soaked: boolean;
  record?: PieceRecord;
  tells?: PieceTells;
  /** Why what was kept of it does not count. */
  problem?: string;
};

/** A set with what it comes to and what it waits for. */
export type TrialView = {
  trial: TrialRecord;
  tells: TrialTells;
  tasks: TrialTask[];
  step?: TrialStep;
  pieces: PieceView[];
};

/** What a set comes to, and what it waits for. @param now ms UTC */
export function viewTrial(trial: TrialRecord, by: Figures, now: number): TrialView {
  const plan = planOf(trial);
  const state = stateOf(trial);
  const pieces = Array.from({ length: trial.count }, (_, i): PieceView => {
    const no = i + 1;
    const soaked = isSoaked(plan, no);
    const record = trial.pieces.find((piece) => piece.no === no);
    if (!record) return { no, soaked };
    const piece = { no, seen: seenOf(record.seen) };
    const [problem] = pieceProblems(plan, piece);
    return problem
      ? { no, soaked, record, problem: problem.message }
      : { no, soaked, record, tells: pieceTells(plan, piece) };
  });
  const seen = trial.pieces.map(({ no, seen: typed }) => ({ no, seen: seenOf(typed) }));
  return {
    trial,
    tells: trialTells(plan, seen, by),
    tasks: trialTasks(state, now),
    step: nextOfTrial(state, now),
    pieces
  };
}

/** The task in which a piece tells. */
const TELLS_IN: ReadonlySet<TrialTask['kind']> = new Set(['try', 'measure', 'dry', 'wet']);

/** Whether the time of a piece has come: it has cured, or lain in the water, for as long as it is to. */
export const isRipe = ({ tasks }: TrialView, piece: PieceView, now: number): boolean =>
  tasks.some(
    ({ kind, dueAt }) =>
      TELLS_IN.has(kind) &&
      (kind === 'wet') === piece.soaked &&
      (kind === 'try' || (dueAt !== undefined && dueAt <= now))
  );

/** What will call of sets, or has. */
export const callsOfTrials = (views: readonly TrialView[]): Call[] =>
  byPress(views).flatMap(({ trial, step }) =>
    step?.dueAt === undefined
      ? []
      : [
          {
            key: `${trial.id}:${step.key}:${step.dueAt}`,
            path: `/trials/${trial.id}`,
            dueAt: step.dueAt,
            line: t.trial.call(trial.code, t.trial.short[step.kind])
          }
        ]
  );

/** Sets of blocks that have told, those that hold the most after the soak first, then by what they hold dry. */
export const bestFirst = (views: readonly TrialView[]): TrialView[] =>
  views
    .filter(({ tells }) => tells.dry ?? tells.wet)
    .sort(
      (a, b) =>
        (b.tells.wet?.mean ?? -1) - (a.tells.wet?.mean ?? -1) ||
        (b.tells.dry?.mean ?? 0) - (a.tells.dry?.mean ?? 0)
    );

/** All that is still to be done with sets and has its time, the earliest first. */
export const tasksAhead = (
  views: readonly TrialView[]
): { trial: TrialRecord; task: TrialTask & { dueAt: number } }[] =>
  views
    .flatMap(({ trial, tasks }) =>
      tasks.flatMap((task) =>
        task.done || task.dueAt === undefined || trial.finishedAt !== null
          ? []
          : [{ trial, task: { ...task, dueAt: task.dueAt } }]
      )
    )
    .sort((a, b) => a.task.dueAt - b.task.dueAt);
