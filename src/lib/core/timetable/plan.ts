import { RangeProblem } from '../errors.ts';
import { afterOpenTime, merged, nextClear, shutStretches, type Stretch } from './hours.ts';
import { arrange, placeEarliest, placeFixed, setDownsWorthTrying, takeHands, type Placed } from './place.ts';
import type { BenchJob, PlannedTask, ShutHours, Timetable, Unmet } from './types.ts';

/** Placements that the search may spend. */
const BUDGET = 4000;
/** Up to this many jars every order is tried, as far as the bound does not rule it out. */
const ALL_ORDERS_UP_TO = 8;

/** What a job wants of hands around its set-down, and how long it then goes on, ms. */
type Shape = {
  /** Shaking and setting down. */
  leadMs: number;
  /** Least time from then to its end. */
  tailMs: number;
  /** From then to the end of marks so early that no other jar can be shaken before them. */
  earlyMs: number;
};

/** @param shortestMs the shortest shaking and the shortest shut stretch: an earlier window end cannot be jumped over */
function shapeOf(job: BenchJob, shortestMs: number): Shape {
  let [lead, tail, early] = [0, 0, 0];
  for (const task of job.tasks) {
    const end = task.fromS + task.durationS;
    if (task.kind === 'shake' || task.kind === 'set-down') lead += task.durationS;
    else if (task.toS * 1000 < shortestMs) early = Math.max(early, end);
    tail = Math.max(tail, end);
  }
  const standS = job.tasks.find((t) => t.kind === 'set-down')?.durationS ?? 0;
  const ms = (s: number) => Math.round(Math.max(0, s) * 1000);
  return { leadMs: ms(lead), tailMs: ms(tail - standS), earlyMs: ms(early - standS) };
}

/**
 * No order can finish before this: with the longest tails first, the k-th jar stands only when k jars have been shaken
 * in open hours, and its tail follows (Jackson 1955, one pair of hands). Between two jars the early marks of the first
 * must be over before the second is shaken; only the last of the k is spared that.
 */
function lowerBound(jobs: readonly BenchJob[], earliestAt: number, shut: readonly Stretch[]): number {
  const shakes = jobs.map((job) => (job.tasks.find((t) => t.kind === 'shake')?.durationS ?? 0) * 1000);
  const shortestMs = Math.min(...shakes, ...shut.map((s) => s.to - s.from));
  const shapes = jobs.map((job) => shapeOf(job, shortestMs)).sort((a, b) => b.tailMs - a.tailMs);
  let hands = 0;
  let spared = 0;
  let bound = earliestAt;
  for (const { leadMs, tailMs, earlyMs } of shapes) {
    hands += leadMs + earlyMs;
    spared = Math.max(spared, earlyMs);
    bound = Math.max(bound, afterOpenTime(shut, earliestAt, hands - spared) + tailMs);
  }
  return bound;
}

type Found = { placed: Map<string, Placed>; finishAt: number };

/** Search over the orders in which jars are set down; every jar takes the earliest place that is left to it. */
class Search {
  best: Found | undefined;
  spent = 0;
  readonly #jobs: readonly BenchJob[];
  readonly #earliestAt: number;
  readonly #boundAt: number;

  constructor(jobs: readonly BenchJob[], earliestAt: number, boundAt: number) {
    this.#jobs = jobs;
    this.#earliestAt = earliestAt;
    this.#boundAt = boundAt;
  }

  /** Tries one whole order. */
  order(jobs: readonly BenchJob[], taken: readonly Stretch[]): void {
    const hands = [...taken];
    const placed = new Map<string, Placed>();
    let finishAt = 0;
    for (const job of jobs) {
      this.spent++;
      const place = placeEarliest(job, this.#earliestAt, hands);
      if (!place) return;
      takeHands(hands, place);
      placed.set(job.id, place);
      finishAt = Math.max(finishAt, place.finishAt);
      if (this.best && finishAt >= this.best.finishAt) return;
    }
    this.best = { placed, finishAt };
  }

  get done(): boolean {
    return this.best !== undefined && this.best.finishAt <= this.#boundAt;
  }

  /**
   * Tries every order and, in it, every set-down worth trying that could still be better, as far as the budget goes.
   *
   * @param shut hands and hours that are gone for good
   */
  everyOrder(shut: readonly Stretch[]): void {
    const go = (
      left: readonly BenchJob[],
      stood: Map<string, number>,
      placed: Map<string, Placed>
    ): boolean => {
      const finishAt = Math.max(0, ...[...placed.values()].map((p) => p.finishAt));
      if (this.best && finishAt >= this.best.finishAt) return true;
      if (left.length === 0) {
        this.best = { placed, finishAt };
        return true;
      }
      const twins = new Set<string>();
      for (const job of left) {
        // Jars with the same tasks can change places: one of them stands for all.
        const shape = JSON.stringify(job.tasks);
        if (twins.has(shape)) continue;
        twins.add(shape);
        const rest = left.filter((j) => j !== job);
        const standing = this.#jobs.filter((j) => stood.has(j.id) || j === job);
        const { tailMs } = shapeOf(job, 0);
        for (const setDownAt of setDownsWorthTrying(job, this.#earliestAt, placed.values(), shut)) {
          if (this.done) return true;
          if (setDownAt + tailMs >= (this.best?.finishAt ?? Infinity)) break;
          if (this.spent++ > BUDGET) return false;
          const downs = new Map(stood).set(job.id, setDownAt);
          const together = arrange(standing, downs, shut);
          if (together && !go(rest, downs, together)) return false;
        }
      }
      return true;
    };
    go(this.#jobs, new Map(), new Map());
  }

  /** Moves one jar after another to another place in the order, as long as that helps. */
  improve(start: readonly BenchJob[], taken: readonly Stretch[]): void {
    let order = [...start];
    for (let round = 0; round < 3 && !this.done; round++) {
      const before = this.best?.finishAt ?? Infinity;
      for (let i = 0; i < order.length && this.spent < BUDGET && !this.done; i++) {
        const moved = [...order];
        const [job] = moved.splice(i, 1);
        moved.splice(0, 0, job);
        const was = this.best?.finishAt ?? Infinity;
        this.order(moved, taken);
        if ((this.best?.finishAt ?? Infinity) < was) order = moved;
      }
      if ((this.best?.finishAt ?? Infinity) >= before) return;
    }
  }
}

/** A job that cannot be met whole: what can be is, the rest stands where the method asks for it, with what is in its way. */
function placeAnyway(
  job: BenchJob,
  setDownAt: number,
  taken: readonly Stretch[],
  shut: readonly ShutHours[]
): { placed: Placed; unmet: Unmet[] } {
  const unmet: Unmet[] = [];
  const own: Stretch[] = [];
  const tasks = job.tasks.map((task): PlannedTask => {
    const at = (s: number) => setDownAt + Math.round(s * 1000);
    const length = Math.round(task.durationS * 1000);
    const [windowFromAt, windowToAt, askedAt] = [at(task.fromS), at(task.toS), at(task.atS)];
    const hands = merged([...taken, ...own]);
    const free = [askedAt, windowFromAt]
      .map((from) => nextClear(hands, from, length))
      .find((startAt) => startAt <= windowToAt);
    const startAt = free ?? askedAt;
    if (free === undefined) {
      const hour = shut.find((h) => h.fromAt < startAt + length && h.toAt > startAt);
      unmet.push({ jobId: job.id, kind: task.kind, layer: task.layer, why: hour?.why ?? 'hands' });
    }
    own.push({ from: startAt, to: startAt + length });
    const { kind, layer } = task;
    return {
      jobId: job.id,
      kind,
      layer,
      startAt,
      endAt: startAt + length,
      askedAt,
      windowFromAt,
      windowToAt
    };
  });
  return { placed: { setDownAt, tasks, finishAt: Math.max(setDownAt, ...tasks.map((t) => t.endAt)) }, unmet };
}

/** Moves every jar as far forward as the others let it: the end stays, and nobody waits for nothing. */
function moveForward(
  found: Found,
  jobs: readonly BenchJob[],
  earliestAt: number,
  taken: readonly Stretch[]
): void {
  const bySetDown = jobs
    .flatMap((job) => {
      const place = found.placed.get(job.id);
      return place ? [{ job, setDownAt: place.setDownAt }] : [];
    })
    .sort((a, b) => a.setDownAt - b.setDownAt);
  for (const { job, setDownAt } of bySetDown) {
    const others = [...found.placed].filter(([id]) => id !== job.id).flatMap(([, p]) => p.tasks);
    const hands = merged([...taken, ...others.map((t) => ({ from: t.startAt, to: t.endAt }))]);
    const sooner = placeEarliest(job, earliestAt, hands);
    if (sooner && sooner.setDownAt < setDownAt && sooner.finishAt <= found.finishAt)
      found.placed.set(job.id, sooner);
  }
}

/**
 * Timetable of a bench: set-down times and every hands-on task, none overlapping another (one pair of hands), each in
 * the window its method tolerates and outside the shut hours, the whole finishing soonest.
 *
 * Jars that stand, or whose set-down was chosen, keep it; the others take the earliest place left, in the best order
 * found: all orders are searched up to eight jars, the longest wait first and improvements of it beyond. How near the best
 * that is, `boundAt` proves; nothing more is claimed. What cannot be
 * met is placed where its method asks for it and named with what stands in the way.
 *
 * @param o.jobs jars with their tasks ({@link BenchTask}, relative to set-down)
 * @param o.earliestAt nothing starts before this, ms UTC
 * @param o.shut quiet hours and hours away, ms UTC, worked out by the caller for its time zone
 * @returns times in ms UTC; durations are true durations, whatever the local clock does
 * @throws {RangeProblem} for two jars with one id
 */
export function planBench(o: {
  jobs: readonly BenchJob[];
  earliestAt: number;
  shut?: readonly ShutHours[];
}): Timetable {
  const { jobs, earliestAt } = o;
  if (new Set(jobs.map((j) => j.id)).size < jobs.length) {
    throw new RangeProblem('jobs', 'Two jars have the same id.');
  }
  const shutHours = o.shut ?? [];
  const shut = shutStretches(shutHours);
  const unmet: Unmet[] = [];
  const placed = new Map<string, Placed>();
  // What has happened is not planned again: nothing starts before the earliest time.
  const taken: Stretch[] = merged([{ from: 0, to: earliestAt }, ...shut]);
  const keep = (id: string, place: Placed) => {
    placed.set(id, place);
    const own = place.tasks.map((task) => ({ from: task.startAt, to: task.endAt }));
    // What could not be met may overlap: the hands are gone all the same.
    taken.splice(0, taken.length, ...merged([...taken, ...own]));
  };

  for (const job of jobs) {
    if (job.setDownAt === undefined) continue;
    const place = placeFixed(job, job.setDownAt, taken);
    if (place) keep(job.id, place);
    else {
      const anyway = placeAnyway(job, job.setDownAt, taken, shutHours);
      unmet.push(...anyway.unmet);
      keep(job.id, anyway.placed);
    }
  }

  const free = jobs.filter((j) => j.setDownAt === undefined);
  const hopeless = free.filter((job) => !placeEarliest(job, earliestAt, [...taken]));
  const able = free.filter((job) => !hopeless.includes(job));
  const boundAt = lowerBound(able, earliestAt, shut);
  const search = new Search(able, earliestAt, boundAt);
  const longestFirst = [...able].sort((a, b) => shapeOf(b, 0).tailMs - shapeOf(a, 0).tailMs);
  search.order(longestFirst, taken);
  if (!search.done && able.length <= ALL_ORDERS_UP_TO) search.everyOrder([...taken]);
  else if (!search.done) search.improve(longestFirst, taken);
  if (search.best) moveForward(search.best, able, earliestAt, taken);
  for (const [id, place] of search.best?.placed ?? []) keep(id, place);

  for (const job of [...hopeless, ...able.filter((j) => !placed.has(j.id))]) {
    const place = placeEarliest({ ...job, tasks: job.tasks.filter((t) => t.atS <= 0) }, earliestAt, [
      ...taken
    ]);
    const anyway = placeAnyway(job, place?.setDownAt ?? earliestAt, taken, shutHours);
    unmet.push(...anyway.unmet);
    keep(job.id, anyway.placed);
  }

  const all = [...placed.values()];
  return {
    tasks: all.flatMap((p) => p.tasks).sort((a, b) => a.startAt - b.startAt),
    setDownAt: Object.fromEntries([...placed].map(([id, p]) => [id, p.setDownAt])),
    finishAt: Math.max(earliestAt, ...all.map((p) => p.finishAt)),
    boundAt: Math.max(boundAt, ...all.filter((_, i) => i < jobs.length - free.length).map((p) => p.finishAt)),
    unmet
  };
}
