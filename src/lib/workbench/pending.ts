import { notMeasuredBy } from '../contract/used.ts';
import type { Command, PayloadInput } from '../contract/commands.ts';
import type { HoleRecord } from '../contract/records/hole.ts';
import type { SpotRecord } from '../contract/records/ground.ts';
import type { TrialRecord } from '../contract/records/trial.ts';
import { NOTHING_PREPARED, type JarRecord } from '../contract/records/jar.ts';

/**
 * The jars as they stand once what waits in this browser is counted in: a mark pressed while the server is away
 * is on the glass at once.
 */
export function withPending(jars: readonly JarRecord[], waiting: readonly Command[]): JarRecord[] {
  let out = [...jars];
  for (const command of waiting) {
    const { testId } = command.payload as { testId?: string };
    out = out.map((jar) => (jar.id === testId ? applied(jar, command) : jar));
  }
  return out;
}

/** The spots of an area once what waits in this browser is counted in: those ticked while the server is away are ticked. */
export function spotsWithPending(spots: readonly SpotRecord[], waiting: readonly Command[]): SpotRecord[] {
  return spots.map((spot) => {
    const take = waiting.findLast(
      (c) => c.name === 'spot.take' && (c.payload as PayloadInput<'spot.take'>).spotId === spot.id
    );
    if (!take) return spot;
    const { taken, depthFrom, depthTo, note } = take.payload as PayloadInput<'spot.take'>;
    return {
      ...spot,
      depthFrom: depthFrom ?? null,
      depthTo: depthTo ?? null,
      note: note ?? spot.note,
      takenAt: taken ? take.at : null
    };
  });
}

/** Holes once what waits in this browser is counted in. */
export function holesWithPending(holes: readonly HoleRecord[], waiting: readonly Command[]): HoleRecord[] {
  return holes.map((hole) =>
    waiting.reduce(
      (one, command) =>
        (command.payload as { holeId?: string }).holeId === one.id ? appliedToHole(one, command) : one,
      hole
    )
  );
}

function appliedToHole(hole: HoleRecord, command: Command): HoleRecord {
  switch (command.name) {
    case 'hole.soak':
      return { ...hole, soakedAt: hole.soakedAt ?? command.at };
    case 'hole.refill': {
      const { filled } = command.payload as PayloadInput<'hole.refill'>;
      return { ...hole, refilledAt: hole.refilledAt ?? command.at, filled: filled ?? hole.filled };
    }
    case 'hole.read': {
      const { readingId, seen, height = null, afterS } = command.payload as PayloadInput<'hole.read'>;
      if (hole.refilledAt === null || hole.readings.some((r) => r.id === readingId)) return hole;
      const at = afterS === null || afterS === undefined ? command.at : hole.refilledAt + 1000 * afterS;
      const readings = [...hole.readings, { id: readingId, at, seen, height, pending: true as const }];
      return { ...hole, readings: readings.sort((a, b) => a.at - b.at) };
    }
    case 'hole.height': {
      const { readingId, height } = command.payload as PayloadInput<'hole.height'>;
      return { ...hole, readings: hole.readings.map((r) => (r.id === readingId ? { ...r, height } : r)) };
    }
    default:
      return hole;
  }
}

/** Sets of trial pieces once what waits in this browser is counted in. */
export function trialsWithPending(
  trials: readonly TrialRecord[],
  waiting: readonly Command[]
): TrialRecord[] {
  return trials.map((trial) =>
    waiting.reduce(
      (one, command) =>
        (command.payload as { trialId?: string }).trialId === one.id ? appliedToTrial(one, command) : one,
      trial
    )
  );
}

function appliedToTrial(trial: TrialRecord, command: Command): TrialRecord {
  switch (command.name) {
    case 'trial.form':
      return { ...trial, formedAt: trial.formedAt ?? command.at };
    case 'trial.soak':
      return { ...trial, soakedAt: trial.soakedAt ?? command.at };
    case 'trial.care': {
      const { key } = command.payload as PayloadInput<'trial.care'>;
      if (trial.cared.some((one) => one.key === key)) return trial;
      return { ...trial, cared: [...trial.cared, { key, at: command.at }] };
    }
    default:
      return trial;
  }
}

function applied(jar: JarRecord, command: Command): JarRecord {
  switch (command.name) {
    case 'jar.prep': {
      const { testId: _, ...prep } = command.payload as PayloadInput<'jar.prep'>;
      return { ...jar, prep, notMeasured: notMeasuredBy(jar, prep) };
    }
    case 'jar.set-down': {
      const { runId } = command.payload as PayloadInput<'jar.set-down'>;
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
    }
    case 'jar.mark': {
      const { runId, markId, layer } = command.payload as PayloadInput<'jar.mark'>;
      if (jar.run?.id !== runId || jar.run.marks.some((m) => m.id === markId)) return jar;
      const mark = { id: markId, layer, at: command.at, heightMm: null, heightText: null, pending: true };
      return { ...jar, run: { ...jar.run, marks: [...jar.run.marks, mark] } };
    }
    case 'mark.height': {
      const { markId, height } = command.payload as PayloadInput<'mark.height'>;
      if (!jar.run) return jar;
      const marks = jar.run.marks.map((m) =>
        m.id === markId ? { ...m, heightMm: height?.mm ?? null, heightText: height?.text ?? null } : m
      );
      return { ...jar, run: { ...jar.run, marks } };
    }
    case 'jar.top': {
      const { runId, topId, height, water = null } = command.payload as PayloadInput<'jar.top'>;
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
    }
    case 'gauge.take': {
      const {
        runId,
        gaugeId,
        no,
        value = null,
        tempC = null
      } = command.payload as PayloadInput<'gauge.take'>;
      if (jar.run?.id !== runId || jar.run.gauges.some((g) => g.id === gaugeId)) return jar;
      const taken = { id: gaugeId, no, at: command.at, value, tempC, simulated: false, pending: true };
      return { ...jar, run: { ...jar.run, gauges: [...jar.run.gauges, taken] } };
    }
    case 'gauge.enter': {
      const { gaugeId, value, tempC } = command.payload as PayloadInput<'gauge.enter'>;
      if (!jar.run) return jar;
      const gauges = jar.run.gauges.map((g) => (g.id === gaugeId ? { ...g, value, tempC } : g));
      return { ...jar, run: { ...jar.run, gauges } };
    }
    case 'jar.shake-again': {
      const { runId, reason } = command.payload as PayloadInput<'jar.shake-again'>;
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
    default:
      return jar;
  }
}
