import { RangeProblem } from '../errors.ts';
import { pressProblems } from './strength.ts';

/** Trial pieces: a ball that is dropped, a ribbon, a box in which it shrinks, blocks that are crushed. */
export const TRIAL_KINDS = ['ball', 'ribbon', 'box', 'block'] as const;
export type TrialKind = (typeof TRIAL_KINDS)[number];

/** What is mixed in, percent of the dry mass. */
export const BINDERS = ['none', 'cement', 'lime'] as const;
export type Binder = (typeof BINDERS)[number];

/** A set of pieces as it is planned. */
export type TrialPlan = {
  kind: TrialKind;
  binder: Binder;
  /** Percent of the dry mass; 0 without one. */
  binderPct: number;
  /** So many pieces, and so many of them are soaked before they are crushed: the last ones. */
  count: number;
  soaked: number;
  cureDays: number;
  soakDays: number;
  /** Water at forming, percent of the dry mass; forming pressure, MPa; null where nobody noted it. */
  waterPct: number | null;
  pressureMpa: number | null;
  /** Of the press, mm; of the area that it loads, mm2, where it is not the whole block. */
  pistonMm: number | null;
  areaMm2: number | null;
  /** Inner length of the box, mm. */
  boxMm: number | null;
};

/** First trial of a binder, percent. */
export const FIRST_BINDER_PCT = 8;
const MOST = { count: 50, cureDays: 365, soakDays: 60, binderPct: 25, waterPct: 60, pressureMpa: 200 };
const BOX_MM = { least: 50, most: 3000 };

/** Whether pieces dry before they tell anything. */
export const cures = (kind: TrialKind): boolean => kind === 'box' || kind === 'block';

/** What no set of pieces can be, a sentence a field of {@link TrialPlan}; empty where it can. */
export function trialProblems(o: TrialPlan): RangeProblem[] {
  const out: RangeProblem[] = [];
  const check = (ok: boolean, field: string, message: string) => {
    if (!ok) out.push(new RangeProblem(field, message));
  };
  const whole = (x: number, least: number, most: number) => Number.isInteger(x) && x >= least && x <= most;
  const upTo = (x: number | null, most: number) => x === null || (x >= 0 && x <= most);
  check(whole(o.count, 1, MOST.count), 'count', `Give how many pieces, from 1 to ${MOST.count}.`);
  check(
    whole(o.soaked, 0, o.kind === 'block' ? Math.max(0, o.count) : 0),
    'soaked',
    o.kind === 'block' ? 'Give how many are soaked: no more than there are.' : 'Only blocks are soaked.'
  );
  check(upTo(o.cureDays, MOST.cureDays), 'cureDays', `Give the days of curing, up to ${MOST.cureDays}.`);
  check(upTo(o.soakDays, MOST.soakDays), 'soakDays', `Give the days in water, up to ${MOST.soakDays}.`);
  check(
    o.binder === 'none' || (o.binderPct > 0 && o.binderPct <= MOST.binderPct),
    'binderPct',
    `Give how much of it, above 0 and up to ${MOST.binderPct} % of the dry mass.`
  );
  check(
    upTo(o.waterPct, MOST.waterPct),
    'waterPct',
    `Give the water at forming, up to ${MOST.waterPct} % of the dry mass: more is mud.`
  );
  check(
    upTo(o.pressureMpa, MOST.pressureMpa),
    'pressure',
    `Give the pressure it was formed at, up to ${MOST.pressureMpa} MPa.`
  );
  const { pistonMm, areaMm2, boxMm } = o;
  for (const { field, message } of pressProblems({
    ...(pistonMm === null ? {} : { pistonMm }),
    ...(areaMm2 === null ? {} : { areaMm2 })
  }))
    check(false, field === 'pistonMm' ? 'piston' : field, message);
  check(
    o.kind !== 'box' || (boxMm !== null && boxMm >= BOX_MM.least && boxMm <= BOX_MM.most),
    'box',
    `Give how long the box is inside, from ${BOX_MM.least} mm to ${BOX_MM.most / 1000} m.`
  );
  return out;
}

/** Whether a piece is one of those that are soaked. @param no from 1 up */
export const isSoaked = ({ count, soaked }: Pick<TrialPlan, 'count' | 'soaked'>, no: number): boolean =>
  no > count - soaked;

/** How pieces are cared for while they cure, days after forming: turned so that they dry evenly, or kept damp with a binder. */
const CARE = { turn: [1, 3], damp: [1, 3, 7] } as const;
export type Care = keyof typeof CARE;

export type TrialTaskKind = 'form' | 'try' | Care | 'measure' | 'dry' | 'soak' | 'wet' | 'finish';

/** Something that is done with a set. `dueAt` ms UTC, left out where it waits for nobody; `day` after forming by the plan. */
export type TrialTask = { key: string; kind: TrialTaskKind; dueAt?: number; day?: number; done: boolean };

/** How far a set is. Times in ms UTC. */
export type TrialState = TrialPlan & {
  formedAt: number | null;
  soakedAt: number | null;
  finishedAt: number | null;
  /** Keys of the care that was given. */
  cared: readonly string[];
  /** Numbers of the pieces that have told what they tell. */
  told: readonly number[];
};

const DAY_MS = 86_400_000;

/** All that is done with a set, in order; what waits on the forming or the soak has its time once that is known. @param now ms UTC */
export function trialTasks(o: TrialState, now: number): TrialTask[] {
  const { formedAt, soakedAt } = o;
  const numbers = Array.from({ length: o.count }, (_, i) => i + 1);
  const toldAll = (nos: readonly number[]) => nos.every((no) => o.told.includes(no));
  const after = (from: number | null, days: number, day = days) => ({
    day,
    ...(from === null ? {} : { dueAt: Math.round(from + days * DAY_MS) })
  });
  const out: TrialTask[] = [{ key: 'form', kind: 'form', done: formedAt !== null }];
  if (!cures(o.kind)) {
    out.push({ key: 'try', kind: 'try', done: toldAll(numbers) });
  } else {
    const care: Care = o.binder === 'none' ? 'turn' : 'damp';
    for (const day of CARE[care].filter((d) => d < o.cureDays)) {
      const key = `${care}-${day}`;
      out.push({ key, kind: care, ...after(formedAt, day), done: o.cared.includes(key) });
    }
    const dry = numbers.filter((no) => !isSoaked(o, no));
    const wet = numbers.filter((no) => isSoaked(o, no));
    if (o.kind === 'box')
      out.push({ key: 'measure', kind: 'measure', ...after(formedAt, o.cureDays), done: toldAll(numbers) });
    else {
      if (wet.length > 0)
        out.push({ key: 'soak', kind: 'soak', ...after(formedAt, o.cureDays), done: soakedAt !== null });
      if (dry.length > 0)
        out.push({ key: 'dry', kind: 'dry', ...after(formedAt, o.cureDays), done: toldAll(dry) });
      if (wet.length > 0)
        out.push({
          key: 'wet',
          kind: 'wet',
          ...after(soakedAt, o.soakDays, o.cureDays + o.soakDays),
          done: toldAll(wet)
        });
    }
  }
  // Care that nobody gave holds up nothing: it has gone by once the cure is over.
  const cured = formedAt !== null && now >= formedAt + o.cureDays * DAY_MS;
  if (cured || soakedAt !== null || toldAll(numbers))
    out.forEach((task) => (task.done ||= task.kind === 'turn' || task.kind === 'damp'));
  out.push({ key: 'finish', kind: 'finish', done: o.finishedAt !== null });
  return out;
}

/** How many days a set has been formed. @param now ms UTC */
export const daysFormed = (formedAt: number, now: number): number => (now - formedAt) / DAY_MS;

/** What a set waits for. */
export type TrialStep = { key: string; kind: TrialTaskKind } & (
  { state: 'ready'; dueAt?: undefined } | { state: 'waiting' | 'due' | 'late'; dueAt: number }
);

/** Late from here on: half a day. */
const LATE_MS = DAY_MS / 2;

/** What a set waits for next: of what has a time the earliest. Undefined once it is finished. @param now ms UTC */
export function nextOfTrial(o: TrialState, now: number): TrialStep | undefined {
  if (o.finishedAt !== null) return undefined;
  const open = trialTasks(o, now).filter((task) => !task.done);
  if (o.formedAt === null) return { key: 'form', kind: 'form', state: 'ready' };
  const timed = open.flatMap(({ key, kind, dueAt }) => (dueAt === undefined ? [] : [{ key, kind, dueAt }]));
  if (timed.length === 0) {
    const { key, kind } = open[0];
    return { key, kind, state: 'ready' };
  }
  const next = timed.reduce((a, b) => (b.dueAt < a.dueAt ? b : a));
  const state = now < next.dueAt ? 'waiting' : now <= next.dueAt + LATE_MS ? 'due' : 'late';
  return { ...next, state };
}
