import type { TimedMark } from '../method/types.ts';

/** What hands are wanted for. */
export type TaskKind = 'shake' | 'set-down' | 'mark' | 'lower' | 'draw' | 'read';

/** A hands-on task of a jar, relative to its set-down. Times in s; the window is of its start. */
export type BenchTask = {
  kind: TaskKind;
  layer?: TimedMark['layer'];
  /** Which of the method's instrument readings it is for, from 0. */
  no?: number;
  /** Start the method asks for. */
  atS: number;
  /** Earliest and latest start that the method tolerates. */
  fromS: number;
  toS: number;
  /** How long it takes hands. */
  durationS: number;
};

/** A jar to be planned. Times in ms UTC. */
export type BenchJob = {
  id: string;
  tasks: readonly BenchTask[];
  /** It stands already, or is to be set down at this very time; undefined: free to choose. */
  setDownAt?: number;
};

/** Hours that are shut, ms UTC, from inclusive, to exclusive. */
export type ShutHours = { fromAt: number; toAt: number; why: 'quiet' | 'away' };

/** A task in its place. Times in ms UTC. */
export type PlannedTask = {
  jobId: string;
  kind: TaskKind;
  layer?: TimedMark['layer'];
  startAt: number;
  endAt: number;
  /** What the method asks for, and what it tolerates, as starts. */
  askedAt: number;
  windowFromAt: number;
  windowToAt: number;
};

/** A task that could not be met: what stands in its way. It is placed all the same, where the method asks for it. */
export type Unmet = {
  jobId: string;
  kind: TaskKind;
  layer?: TimedMark['layer'];
  why: 'quiet' | 'away' | 'hands';
};

/** A bench in time. */
export type Timetable = {
  /** By time. */
  tasks: PlannedTask[];
  setDownAt: Record<string, number>;
  /** End of the last task. */
  finishAt: number;
  /** Proven: no timetable can finish before this. What lies between is all that could still be won. */
  boundAt: number;
  unmet: Unmet[];
};
