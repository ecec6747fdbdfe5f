import { notMeasuredBy } from './used.ts';
import type { Command, CommandName } from './commands.ts';
import type { HoleRecord } from './records/hole.ts';
import type { SpotRecord } from './records/ground.ts';
import type { TrialRecord } from './records/trial.ts';
import { NOTHING_PREPARED, type JarRecord } from './records/jar.ts';

/** What commands make of a record, as the server will. */
type Applied<R> = { [N in CommandName]?: (record: R, command: Command<N>) => R };

const onJar: Applied<JarRecord> = {
  'jar.prep': (jar, command) => {
    const { testId: _, ...prep } = command.payload;
    return { ...jar, prep, notMeasured: notMeasuredBy(jar, prep) };
  },
  'jar.set-down': (jar, command) => {
    const { runId } = command.payload;
    if (jar.run?.id === runId) return jar;
    const no = (jar.run?.no ?? 0) + 1;
    const run = {
      id: runId,
      no,
      setDownAt: command.at,
      stood: null,
      passed: [],
      endedAt: null,
      endReason: null,
      marks: [],
      tops: [],
      gauges: [],
      notes: [],
      stillAt: null,
      pending: true
    };
    return { ...jar, status: 'running', run };
  },
  'jar.mark': (jar, command) => {
    const { runId, markId, layer } = command.payload;
    if (jar.run?.id !== runId || jar.run.marks.some((m) => m.id === markId)) return jar;
    const mark = { id: markId, layer, at: command.at, heightMm: null, heightText: null, pending: true };
    return { ...jar, run: { ...jar.run, marks: [...jar.run.marks, mark] } };
  },
  'mark.height': (jar, command) => {
    const { markId, height } = command.payload;
    if (!jar.run) return jar;
    const marks = jar.run.marks.map((m) =>
      m.id === markId ? { ...m, heightMm: height?.mm ?? null, heightText: height?.text ?? null } : m
    );
    return { ...jar, run: { ...jar.run, marks } };
  },
  'jar.top': (jar, command) => {
    const { runId, topId, height, water = null } = command.payload;
    if (jar.run?.id !== runId || jar.run.tops.some((r) => r.id === topId)) return jar;
    const top = {
      id: topId,
      at: command.at,
      heightMm: height.mm,
      heightText: height.text,
      water,
      pending: true
    };
    return { ...jar, run: { ...jar.run, tops: [...jar.run.tops, top] } };
  },
  'gauge.take': (jar, command) => {
    const { runId, gaugeId, no, value = null, tempC = null } = command.payload;
    if (jar.run?.id !== runId || jar.run.gauges.some((g) => g.id === gaugeId)) return jar;
    const taken = { id: gaugeId, no, at: command.at, value, tempC, simulated: false, pending: true };
    return { ...jar, run: { ...jar.run, gauges: [...jar.run.gauges, taken] } };
  },
  'gauge.enter': (jar, command) => {
    const { gaugeId, value, tempC } = command.payload;
    if (!jar.run) return jar;
    const gauges = jar.run.gauges.map((g) => (g.id === gaugeId ? { ...g, value, tempC } : g));
    return { ...jar, run: { ...jar.run, gauges } };
  },
  'jar.shake-again': (jar, command) => {
    const { runId, reason } = command.payload;
    if (jar.run?.id !== runId) return jar;
    return {
      ...jar,
      status: 'ready',
      plannedAt: null,
      prep: NOTHING_PREPARED,
      // It has ended: what it was is gone from the bench, but its number is not given again.
      run: { ...jar.run, endedAt: command.at, endReason: reason }
    };
  }
};

const onHole: Applied<HoleRecord> = {
  'hole.soak': (hole, { at }) => ({ ...hole, soakedAt: hole.soakedAt ?? at }),
  'hole.refill': (hole, command) => {
    const { filled } = command.payload;
    return { ...hole, refilledAt: hole.refilledAt ?? command.at, filled: filled ?? hole.filled };
  },
  'hole.read': (hole, command) => {
    const { readingId, seen, height = null, afterS } = command.payload;
    if (hole.refilledAt === null || hole.readings.some((r) => r.id === readingId)) return hole;
    const at = afterS === null || afterS === undefined ? command.at : hole.refilledAt + 1000 * afterS;
    const readings = [...hole.readings, { id: readingId, at, seen, height, pending: true as const }];
    return { ...hole, readings: readings.sort((a, b) => a.at - b.at) };
  },
  'hole.height': (hole, command) => {
    const { readingId, height } = command.payload;
    return { ...hole, readings: hole.readings.map((r) => (r.id === readingId ? { ...r, height } : r)) };
  }
};

const onTrial: Applied<TrialRecord> = {
  'trial.form': (trial, { at }) => ({ ...trial, formedAt: trial.formedAt ?? at }),
  'trial.soak': (trial, { at }) => ({ ...trial, soakedAt: trial.soakedAt ?? at }),
  'trial.care': (trial, command) => {
    const { key } = command.payload;
    if (trial.cared.some((one) => one.key === key)) return trial;
    return { ...trial, cared: [...trial.cared, { key, at: command.at }] };
  }
};

const onSpot: Applied<SpotRecord> = {
  'spot.take': (spot, { at, payload: { taken, depthFrom, depthTo, note } }) => ({
    ...spot,
    depthFrom: depthFrom ?? null,
    depthTo: depthTo ?? null,
    note: note ?? spot.note,
    takenAt: taken ? at : null
  })
};

/** Pictures that wait are not shown before the server has them. */
const onFilm: Applied<{ id: string }> = { 'film.frames': (film) => film };

/** Records that change while their commands wait, and by what those name them. */
const RECORDS = {
  jar: { id: 'testId', applied: onJar },
  hole: { id: 'holeId', applied: onHole },
  trial: { id: 'trialId', applied: onTrial },
  spot: { id: 'spotId', applied: onSpot },
  film: { id: 'filmId', applied: onFilm }
} as const;
type Records = {
  jar: JarRecord;
  hole: HoleRecord;
  trial: TrialRecord;
  spot: SpotRecord;
  film: { id: string };
};

/**
 * Whether a command carries its own time and may wait in the browser: what happens at the jar and in the field, and can be drawn
 * before the server knows of it.
 */
export const mayWait = (name: CommandName): boolean =>
  Object.values(RECORDS).some(({ applied }) => name in applied);

/** Records as they stand once what waits in this browser is counted in: a mark pressed while the server is away is on the glass at once. */
export function withWaiting<K extends keyof Records>(
  kind: K,
  records: readonly Records[K][],
  waiting: readonly Command[]
): Records[K][] {
  const { id } = RECORDS[kind];
  const applied = RECORDS[kind].applied as Record<
    string,
    (record: Records[K], command: Command) => Records[K]
  >;
  const counted = (record: Records[K], command: Command): Records[K] =>
    (command.payload as Record<string, unknown>)[id] === record.id && command.name in applied
      ? applied[command.name](record, command)
      : record;
  return records.map((record) => waiting.reduce(counted, record));
}
