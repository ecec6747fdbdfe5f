import { instrumentAt } from '../method/next.ts';
import { markWindow, TIME_TOLERANCE } from '../method/window.ts';
import type { RunMethod } from '../method/types.ts';
import type { BenchTask } from './types.ts';
import type { RunFacts } from '../method/next.ts';

/** How long hands are wanted, s: tape on the glass, an instrument read, the lines measured, a jar stood. */
export const HANDS_S = { 'set-down': 10, mark: 20, instrument: 5, read: 300 } as const;

/**
 * The hands-on tasks of a method, from shaking to the reading, with the windows it tolerates: its own where it gives
 * them, otherwise a tenth of the time either way (5 % in diameter).
 *
 * @param tempC for draws whose time follows from a size limit, degC
 */
export function benchTasks(method: RunMethod, tempC: number): BenchTask[] {
  const shakeS = method.agitate.fromS;
  const at = (
    kind: BenchTask['kind'],
    atS: number,
    durationS: number,
    window: [number, number] = [atS, atS]
  ) => ({
    kind,
    atS,
    fromS: window[0],
    toS: window[1],
    durationS
  });
  const marks = method.marks.map((mark) => ({
    ...at('mark', mark.atS, HANDS_S.mark, [
      mark.untilS === undefined ? markWindow(mark).fromS : mark.atS,
      markWindow(mark).untilS
    ]),
    layer: mark.layer
  }));
  const instruments = (method.readings ?? []).map((reading, no) => {
    const { leadS } = reading;
    const readS = instrumentAt(reading, tempC);
    const slackS = readS * TIME_TOLERANCE;
    const startS = readS - leadS;
    const kind = method.kind === 'pipette' ? ('draw' as const) : ('lower' as const);
    const window: [number, number] = [Math.max(0, startS - slackS), startS + slackS];
    return { ...at(kind, startS, leadS + HANDS_S.instrument, window), no };
  });
  const lastS = Math.max(
    0,
    ...marks.map((m) => m.atS + HANDS_S.mark),
    ...instruments.map((m) => m.atS + m.durationS)
  );
  const readFromS = Math.max(method.end.fromS, lastS);
  const reads =
    instruments.length > 0
      ? []
      : [at('read', readFromS, HANDS_S.read, [readFromS, Math.max(readFromS, method.end.toS)])];
  return [
    at('shake', -shakeS, shakeS),
    at('set-down', 0, HANDS_S['set-down']),
    ...marks,
    ...instruments,
    ...reads
  ];
}

/**
 * What of a jar's tasks still lies ahead once it stands: nothing that is done, and nothing whose window has gone by.
 *
 * @param run the run that is on; without a set-down all tasks lie ahead
 * @param now ms UTC
 */
export function tasksLeft(tasks: readonly BenchTask[], run: RunFacts, now: number): BenchTask[] {
  const start = run.setDownAt;
  if (start === undefined) return [...tasks];
  // Nothing of a jar that stood already has a time.
  if (run.stoodAlready) return [];
  return tasks.filter(
    (task) =>
      task.atS > 0 &&
      !run.marked.some((mark) => mark.layer === task.layer) &&
      !(task.layer && run.passed?.includes(task.layer)) &&
      !run.gauged?.some((gauge) => gauge.no === task.no) &&
      !(task.kind === 'read' && run.hasReading) &&
      start + task.toS * 1000 >= now
  );
}
