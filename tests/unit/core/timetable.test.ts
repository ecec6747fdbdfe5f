import { expect } from 'chai';
import fc from 'fast-check';
import {
  benchTasks,
  methodByKey,
  planBench,
  type BenchJob,
  type BenchTask,
  type ShutHours,
  type Timetable
} from '../../../src/lib/core/index.ts';

const START = Date.UTC(2026, 4, 4, 8);
const MIN = 60_000;
const HOUR = 60 * MIN;

const jobsOf = (...keys: string[]): BenchJob[] =>
  keys.map((key, i) => ({ id: `${key}-${i}`, tasks: benchTasks(methodByKey(key), 18) }));

/** Nights from 22 to 7, UTC. */
const nights = (days = 9): ShutHours[] =>
  Array.from({ length: days }, (_, i) => ({
    fromAt: Date.UTC(2026, 4, 3 + i, 22),
    toAt: Date.UTC(2026, 4, 4 + i, 7),
    why: 'quiet'
  }));

/** Holds a timetable against what every timetable must keep; unmet tasks excepted. */
function expectSound(plan: Timetable, jobs: readonly BenchJob[], shut: readonly ShutHours[] = []): void {
  const unmet = new Set(plan.unmet.map((u) => `${u.jobId} ${u.kind} ${u.layer ?? ''}`));
  const met = plan.tasks.filter((t) => !unmet.has(`${t.jobId} ${t.kind} ${t.layer ?? ''}`));
  expect(plan.tasks).to.have.length(jobs.reduce((n, j) => n + j.tasks.length, 0));
  met.forEach((task, i) => {
    expect(task.startAt).to.be.within(task.windowFromAt, task.windowToAt);
    if (i > 0) expect(task.startAt).to.be.at.least(met[i - 1].endAt);
    for (const hour of shut) expect(task.startAt >= hour.toAt || task.endAt <= hour.fromAt).to.equal(true);
  });
  for (const job of jobs) {
    const down = plan.setDownAt[job.id];
    for (const task of plan.tasks.filter((t) => t.jobId === job.id)) {
      const asked = job.tasks.find((t) => t.kind === task.kind && t.layer === task.layer)!;
      if (job.tasks.filter((t) => t.kind === task.kind).length === 1 || task.layer) {
        expect(task.askedAt - down).to.be.closeTo(asked.atS * 1000, 1);
      }
    }
  }
  expect(plan.finishAt).to.be.at.least(plan.boundAt - 1);
}

/** Tasks in minutes, in order and without overlap inside a jar. */
function laidOut(shakeMin: number, tasks: { at: number; slack: number; length: number }[]): BenchTask[] {
  const out: BenchTask[] = [
    {
      kind: 'shake',
      atS: -shakeMin * 60,
      fromS: -shakeMin * 60,
      toS: -shakeMin * 60,
      durationS: shakeMin * 60
    }
  ];
  let end = 0;
  const layers = ['sand', 'silt', 'clay', undefined] as const;
  for (const [i, task] of [...tasks].sort((a, b) => a.at - b.at).entries()) {
    const at = Math.max(task.at, end);
    out.push({
      kind: layers[i] ? 'mark' : 'read',
      layer: layers[i],
      atS: at * 60,
      fromS: at * 60,
      toS: (at + task.slack) * 60,
      durationS: task.length * 60
    });
    end = at + task.slack + task.length;
  }
  return out;
}

/** Least makespan in minutes over every set-down and every start on a grid of whole minutes. */
function exhaustive(jobs: readonly BenchJob[]): number {
  let best = 60;
  const busy = new Uint8Array(120);
  const free = (from: number, length: number) => {
    for (let i = from; i < from + length; i++) if (busy[i]) return false;
    return true;
  };
  const fill = (from: number, length: number, value: 0 | 1) => busy.fill(value, from, from + length);
  const go = (job: number, down: number, task: number, finish: number): void => {
    if (finish >= best) return;
    if (job === jobs.length) {
      best = finish;
      return;
    }
    const { tasks } = jobs[job];
    if (task === 0) {
      const shake = tasks[0].durationS / 60;
      for (let s = shake; s < best; s++) {
        if (!free(s - shake, shake)) continue;
        fill(s - shake, shake, 1);
        go(job, s, 1, finish);
        fill(s - shake, shake, 0);
      }
      return;
    }
    if (task === tasks.length) return go(job + 1, 0, 0, finish);
    const { fromS, toS, durationS } = tasks[task];
    const length = durationS / 60;
    for (let start = down + fromS / 60; start <= down + toS / 60; start++) {
      if (!free(start, length)) continue;
      fill(start, length, 1);
      go(job, down, task + 1, Math.max(finish, start + length));
      fill(start, length, 0);
    }
  };
  go(0, 0, 0, 0);
  return best;
}

describe('the timetable of a bench', () => {
  it('lets one jar begin at once', () => {
    const jobs = jobsOf('jar-timed');
    const plan = planBench({ jobs, earliestAt: START });
    expect(plan.setDownAt['jar-timed-0']).to.equal(START + 10 * MIN);
    expect(plan.finishAt).to.equal(plan.boundAt);
    expect(plan.unmet).to.deep.equal([]);
    expectSound(plan, jobs);
  });

  it('keeps three one-minute marks apart, by pausing between the jars', () => {
    const jobs = jobsOf('jar-timed', 'jar-timed', 'jar-timed');
    const plan = planBench({ jobs, earliestAt: START });
    expectSound(plan, jobs);
    expect(plan.unmet).to.deep.equal([]);
    // Shaking takes ten minutes of hands, so sand marks cannot stand nearer than that.
    const downs = Object.values(plan.setDownAt).sort();
    expect(downs[1] - downs[0]).to.be.at.least(10 * MIN);
    // The bound knows that a sand mark comes before the next shaking: all but seconds are proven.
    expect(plan.finishAt - plan.boundAt).to.be.below(MIN);
  });

  it('sets down first what takes longest', () => {
    const jobs = jobsOf('cylinder-volume', 'jar-timed', 'jar-builder');
    const plan = planBench({ jobs, earliestAt: START });
    expect(plan.setDownAt['jar-timed-1']).to.be.below(plan.setDownAt['jar-builder-2']);
    expect(plan.setDownAt['jar-builder-2']).to.be.below(plan.setDownAt['cylinder-volume-0']);
    expectSound(plan, jobs);
  });

  it('calls nobody in quiet hours when another hour will do', () => {
    const jobs = jobsOf('jar-bands', 'jar-timed', 'jar-half-hour', 'jar-builder');
    const evening = Date.UTC(2026, 4, 4, 19, 30);
    const plan = planBench({ jobs, earliestAt: evening, shut: nights() });
    expect(plan.unmet).to.deep.equal([]);
    expectSound(plan, jobs, nights());
  });

  it('sets nothing down later than it must, though the end would be the same', () => {
    const jobs = jobsOf('jar-timed', 'jar-timed', 'jar-bands');
    const early = Date.UTC(2026, 4, 4, 5);
    const plan = planBench({ jobs, earliestAt: early, shut: nights() });
    expect(plan.setDownAt['jar-bands-2']).to.be.below(Date.UTC(2026, 4, 4, 8));
    expectSound(plan, jobs, nights());
  });

  it('names what cannot be met, and what stands in its way', () => {
    const standing = { ...jobsOf('jar-timed')[0], setDownAt: Date.UTC(2026, 4, 4, 21) };
    const left = { ...standing, tasks: standing.tasks.filter((t) => t.layer === 'silt') };
    const plan = planBench({ jobs: [left], earliestAt: standing.setDownAt, shut: nights() });
    expect(plan.unmet).to.deep.equal([{ jobId: 'jar-timed-0', kind: 'mark', layer: 'silt', why: 'quiet' }]);
    expect(plan.tasks[0].startAt).to.equal(standing.setDownAt + 2 * HOUR);
    // What has a wide window is met all the same.
    const more = {
      ...standing,
      tasks: standing.tasks.filter((t) => t.layer === 'silt' || t.layer === 'clay')
    };
    const rest = planBench({ jobs: [more], earliestAt: standing.setDownAt, shut: nights() });
    expect(rest.unmet.map((u) => u.layer)).to.deep.equal(['silt']);
    expect(rest.tasks[1].startAt).to.equal(Date.UTC(2026, 4, 5, 21));
    const two = ['a', 'b'].map((id) => ({ ...left, id }));
    const clash = planBench({
      jobs: two.map((j) => ({ ...j, tasks: [{ ...left.tasks[0], fromS: 7200, toS: 7200 }] })),
      earliestAt: START
    });
    expect(clash.unmet.map((u) => u.why)).to.deep.equal(['hands']);
  });

  it('plans what remains around what stands already', () => {
    const [standing, fresh] = jobsOf('jar-timed', 'jar-timed');
    const setDownAt = START - 110 * MIN;
    const left = {
      ...standing,
      setDownAt,
      tasks: standing.tasks.filter((t) => t.layer === 'silt' || t.layer === 'clay')
    };
    const plan = planBench({ jobs: [left, fresh], earliestAt: START });
    expect(plan.setDownAt[standing.id]).to.equal(setDownAt);
    expectSound(plan, [left, fresh]);
  });

  it('goes by true durations when the clocks change', () => {
    const jobs = jobsOf('jar-timed');
    const night = Date.UTC(2026, 9, 24, 22, 30); // clocks go back in much of Europe at 01:00 UTC
    const plan = planBench({ jobs, earliestAt: night });
    const silt = plan.tasks.find((t) => t.layer === 'silt')!;
    expect(silt.startAt - plan.setDownAt['jar-timed-0']).to.equal(2 * HOUR);
  });

  it('refuses two jars of one id, and takes an empty bench', () => {
    const [job] = jobsOf('jar-timed');
    expect(() => planBench({ jobs: [job, job], earliestAt: START })).to.throw(/same id/);
    expect(planBench({ jobs: [], earliestAt: START })).to.deep.include({ tasks: [], finishAt: START });
  });

  it('finishes eight mixed jars within a tenth of what is possible at all', () => {
    const keys = [
      'jar-timed',
      'jar-timed',
      'jar-half-hour',
      'jar-builder',
      'jar-bands',
      'hydrometer-2pt',
      'cylinder-volume',
      'jar-quick-marks'
    ];
    const jobs = jobsOf(...keys);
    const plan = planBench({ jobs, earliestAt: START });
    expectSound(plan, jobs);
    expect(plan.unmet).to.deep.equal([]);
    expect(plan.finishAt - START).to.be.at.most(1.1 * (plan.boundAt - START));
  });

  it('takes forty jars, over several days of open hours', () => {
    const keys = Array.from(
      { length: 40 },
      (_, i) => ['jar-timed', 'jar-half-hour', 'jar-builder', 'jar-bands'][i % 4]
    );
    const jobs = jobsOf(...keys);
    const plan = planBench({ jobs, earliestAt: START, shut: nights() });
    expectSound(plan, jobs, nights());
    expect(plan.unmet).to.deep.equal([]);
  });

  it('is sound for any jars and any shut hours', () => {
    const anyTask = fc.record({
      at: fc.integer({ min: 1, max: 300 }),
      slack: fc.integer({ min: 0, max: 60 }),
      length: fc.integer({ min: 1, max: 5 })
    });
    const anyJob = fc.tuple(
      fc.integer({ min: 1, max: 15 }),
      fc.array(anyTask, { minLength: 1, maxLength: 4 })
    );
    const anyShut = fc.array(fc.tuple(fc.integer({ min: 0, max: 1500 }), fc.integer({ min: 10, max: 400 })), {
      maxLength: 4
    });
    fc.assert(
      fc.property(fc.array(anyJob, { minLength: 1, maxLength: 6 }), anyShut, (raw, closed) => {
        const jobs = raw.map(([shake, tasks], i) => ({ id: String(i), tasks: laidOut(shake, tasks) }));
        const shut = closed.map(([from, length]): ShutHours => ({
          fromAt: START + from * MIN,
          toAt: START + (from + length) * MIN,
          why: 'away'
        }));
        expectSound(planBench({ jobs, earliestAt: START, shut }), jobs, shut);
      }),
      { numRuns: 80 }
    );
  });

  it('comes within a tenth of the best that any choice of times could do', () => {
    const small = fc.tuple(
      fc.integer({ min: 1, max: 3 }),
      fc.tuple(fc.integer({ min: 2, max: 5 }), fc.integer({ min: 0, max: 1 })),
      fc.tuple(fc.integer({ min: 7, max: 14 }), fc.integer({ min: 0, max: 6 }))
    );
    let proven = 0;
    fc.assert(
      fc.property(fc.array(small, { minLength: 2, maxLength: 3 }), (raw) => {
        const jobs = raw.map(([shake, [mark, slack], [read, wait]], i) => ({
          id: String(i),
          tasks: laidOut(shake, [
            { at: mark, slack, length: 1 },
            { at: read, slack: wait, length: 2 }
          ])
        }));
        const plan = planBench({ jobs, earliestAt: START });
        const best = exhaustive(jobs);
        const took = (plan.finishAt - START) / MIN;
        expect(took, JSON.stringify(raw)).to.be.at.most(Math.max(1.1 * best, best + 1));
        expect((plan.boundAt - START) / MIN, `bound: ${JSON.stringify(raw)}`).to.be.at.most(best);
        if (took <= best) proven++;
      }),
      { numRuns: 150, seed: 7 }
    );
    expect(proven).to.be.at.least(125);
  });
});
