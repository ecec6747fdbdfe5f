import type {
  CylinderInput,
  CylinderResult,
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
  /** The estimate by mass beside it; left out where none could be made. */
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
