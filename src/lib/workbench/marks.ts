import { timingOf, type MarkTiming, type TimedMark } from '../core/index.ts';
import { standingMarks } from '../contract/reading.ts';
import type { JarRecord } from '../contract/records/jar.ts';
import type { MarkRecord, RunRecord } from '../contract/records/run.ts';

/** Seconds from set-down to a moment. */
export function secondsAfter(run: Pick<RunRecord, 'setDownAt'>, at: number): number {
  return (at - run.setDownAt) / 1000;
}

/** A mark of a run beside what its method asks for. */
export type JudgedMark = {
  mark: MarkRecord;
  /** When it was made, s after set-down. */
  timeS: number;
  /** The mark of the method; undefined where it has none of this layer. */
  plan?: TimedMark;
  timing?: MarkTiming;
  /** A later mark of the layer stands in its place. */
  replaced: boolean;
};

/** Every mark of a run, judged by the window of its method. */
export function judgedMarks(jar: Pick<JarRecord, 'method'>, run: RunRecord): JudgedMark[] {
  const standing = new Set(standingMarks(run.marks).map((m) => m.id));
  return run.marks.map((mark) => {
    const timeS = secondsAfter(run, mark.at);
    const plan = jar.method.marks.find((m) => m.layer === mark.layer);
    return { mark, timeS, plan, timing: plan && timingOf(plan, timeS), replaced: !standing.has(mark.id) };
  });
}
