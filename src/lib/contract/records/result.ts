import type {
  CylinderInput,
  CylinderResult,
  JarAnswer,
  JarResult,
  MassEstimate,
  ReadingDoubt
} from '../../core/index.ts';
import type { ReadingEntry, ReadingRecord } from './reading.ts';
import type { RunRecord } from './run.ts';
import type { JarRecord } from './jar.ts';

/** What a finished cylinder test keeps: everything it was worked out from. */
export type CylinderSnapshot = {
  kind: 'cylinder';
  methodKey: string;
  methodVersion: number;
  input: CylinderInput;
  result: CylinderResult;
};

/** What a finished test keeps, so that history never changes silently. */
export type Snapshot = JarSnapshot | CylinderSnapshot;

/** Whether a snapshot is of a jar's layers. */
export function isJarSnapshot(snapshot: Snapshot): snapshot is JarSnapshot {
  return !('kind' in snapshot);
}

/** What a finished jar keeps. */
export type JarSnapshot = {
  readingId: string;
  entry: ReadingEntry;
  methodKey: string;
  methodVersion: number;
  result: JarResult;
  /** What is known of the soil from all of it, by mass; left out where the reading allows none. */
  answer?: JarAnswer;
  /** The estimate by mass that results of before the answer carry beside what was read. */
  mass?: MassEstimate;
  /** What stands against it; left out by results from before it was looked for. */
  doubts?: ReadingDoubt[];
};

export type ResultRecord = {
  id: string;
  at: number;
  coreVersion: string;
  snapshot: Snapshot;
  reopenedAt: number | null;
};

export type EventRecord = {
  id: string;
  at: number;
  receivedAt: number;
  who: string;
  what: string;
  detail: Record<string, string | number | null>;
  undoneAt: number | null;
};

/** Everything about one test. */
export type TestDetail = JarRecord & {
  runs: RunRecord[];
  readings: ReadingRecord[];
  results: ResultRecord[];
  events: EventRecord[];
};
