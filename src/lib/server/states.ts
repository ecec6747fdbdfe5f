import { eq } from 'drizzle-orm';
import type { CommandName } from '../contract/commands.ts';
import { refusals } from '../words/refusals.ts';
import type { Reader } from './db.ts';
import { CommandProblem, FinishedProblem, found } from './problem.ts';
import { film, hole, run, test, trial } from './schema.ts';

type Row<T extends { $inferSelect: unknown }> = T['$inferSelect'];

/** States of what commands are about. A test that lies in the bin is in that state, whatever it was in before. */
export const STATES = {
  test: ['ready', 'running', 'read', 'finished', 'bin'],
  hole: ['dug', 'soaked', 'filled', 'finished'],
  trial: ['planned', 'formed', 'soaked', 'finished']
} as const;
type StateOf<S extends keyof typeof STATES> = (typeof STATES)[S][number];
export type TestState = StateOf<'test'>;
export type HoleState = StateOf<'hole'>;
export type TrialState = StateOf<'trial'>;

/** How a command is refused in a state that is not its own. */
type Refuse<R> = (row: R) => CommandProblem;
const says =
  (message: string): Refuse<unknown> =>
  () =>
    new CommandProblem(message, {}, 409);

type TestRow = Row<typeof test>;
type TestRule = {
  /** The test it names; that of the film it names; every jar of the plan; or each of several. */
  of: 'test' | 'film' | 'plan' | 'several';
  in: readonly TestState[];
  /** Only of tests that are read so. */
  by?: 'layers' | 'instrument';
  /** The run it names is on; and somebody saw it set down. */
  run?: 'on' | 'seen';
  /** Where another sentence than the usual says what to do. */
  refuse?: Partial<Record<TestState | 'instrument', Refuse<TestRow>>>;
};
type HoleRule = {
  of: 'hole';
  in: readonly HoleState[];
  refuse?: Partial<Record<HoleState, Refuse<Row<typeof hole>>>>;
};
type TrialRule = {
  of: 'trial';
  in: readonly TrialState[];
  refuse?: Partial<Record<TrialState, Refuse<Row<typeof trial>>>>;
};
export type Rule = TestRule | HoleRule | TrialRule;

const OPEN = ['ready', 'running', 'read'] as const;
const STANDS = ['running', 'read'] as const;
const ofTest = (states: readonly TestState[], more: Omit<TestRule, 'of' | 'in'> = {}): TestRule => ({
  of: 'test',
  in: states,
  ...more
});
const ofFilm = (states: readonly TestState[]): TestRule => ({ of: 'film', in: states });
const ofHole = (states: readonly HoleState[], refuse: HoleRule['refuse'] = {}): HoleRule => ({
  of: 'hole',
  in: states,
  refuse
});
const ofTrial = (states: readonly TrialState[], refuse: TrialRule['refuse'] = {}): TrialRule => ({
  of: 'trial',
  in: states,
  refuse
});

const { jars, results, cylinders, holes, trials } = refusals;
const standsAlready = says(jars.jarAlreadyStands);
const nothingToFinish = says(cylinders.setCylinderDownFirst);
const nothingRead = says(results.readItFirst);
const openAlready = says(results.testOpenAlready);
const notInBin = says(results.testNotBin);
const NOT_IN_BIN = { ready: notInBin, running: notInBin, read: notInBin, finished: notInBin };
const AT_WORK = ['dug', 'soaked', 'filled'] as const;
const MADE = ['formed', 'soaked'] as const;

/**
 * Which command is done in which state of a test, a hole or a set of trial pieces. What is not about one of them, or may be done of
 * it at any time, has no rule. This is the only place that says so: services ask for no state.
 */
export const RULES: Record<CommandName, Rule | null> = {
  'jar.prep': ofTest(OPEN),
  'jar.set-down': ofTest(['ready'], { refuse: { running: standsAlready, read: standsAlready } }),
  'jar.mark': ofTest(STANDS, { run: 'seen' }),
  'mark.height': ofTest(OPEN),
  'mark.correct': ofTest(OPEN),
  'mark.remove': ofTest(OPEN),
  'mark.pass': ofTest(STANDS, { run: 'on' }),
  'run.zero': ofTest(STANDS, { run: 'on' }),
  'run.stood': ofTest(STANDS, {
    run: 'on',
    by: 'layers',
    refuse: { instrument: says(jars.cylinderReadInstrumentNeeds) }
  }),
  'jar.top': ofTest(STANDS, { run: 'on' }),
  'top.remove': ofTest(OPEN),
  'jar.method': ofTest(OPEN),
  'jar.weigh': ofTest(OPEN),
  'jar.used': ofTest(OPEN),
  'jar.note': ofTest([...OPEN, 'finished']),
  'jar.shake-again': ofTest(STANDS, { run: 'on' }),
  'jar.read': ofTest(STANDS, { by: 'layers' }),
  'bench.plan': {
    of: 'plan',
    in: ['ready'],
    refuse: Object.fromEntries(
      [...STANDS, 'finished' as const].map((state) => [
        state,
        ({ code }: TestRow) => new CommandProblem(jars.standsAlready(code), {}, 409)
      ])
    )
  },
  'film.start': ofTest(OPEN),
  'film.frames': ofFilm(OPEN),
  'film.remove': ofFilm(OPEN),
  'cylinder.facts': ofTest(OPEN, { by: 'instrument' }),
  'gauge.take': ofTest(STANDS, { by: 'instrument', run: 'on' }),
  'gauge.enter': ofTest(OPEN, { by: 'instrument' }),
  'gauge.time': ofTest(OPEN, { by: 'instrument' }),
  'gauge.remove': ofTest(OPEN, { by: 'instrument' }),
  'cylinder.finish': ofTest(['running'], { by: 'instrument', refuse: { ready: nothingToFinish } }),
  'test.finish': ofTest(['read'], {
    by: 'layers',
    refuse: { ready: nothingRead, running: nothingRead, finished: says(results.testAlreadyFinished) }
  }),
  'test.reopen': ofTest(['finished'], {
    refuse: { ready: openAlready, running: openAlready, read: openAlready }
  }),
  'test.bin': ofTest([...OPEN, 'finished']),
  'test.restore': ofTest(['bin'], { refuse: NOT_IN_BIN }),

  'tests.bin': { of: 'several', in: [...OPEN, 'finished'] },
  'tests.restore': { of: 'several', in: ['bin'], refuse: NOT_IN_BIN },

  'hole.edit': ofHole(AT_WORK),
  'hole.soak': ofHole(['dug'], {
    soaked: says(holes.soakedAlready),
    filled: says(holes.soakedAlready)
  }),
  'hole.refill': ofHole(['dug', 'soaked'], { filled: says(holes.refilledAlready) }),
  'hole.read': ofHole(['filled']),
  'hole.height': ofHole(['filled']),
  'hole.unread': ofHole(['filled']),
  'hole.finish': ofHole(['filled'], {
    dug: says(holes.nothingSeen),
    soaked: says(holes.nothingSeen)
  }),
  'hole.reopen': ofHole(['finished'], {
    dug: says(holes.openAlready),
    soaked: says(holes.openAlready),
    filled: says(holes.openAlready)
  }),
  'hole.remove': null,

  'trial.edit': ofTrial(['planned', ...MADE]),
  'trial.form': ofTrial(['planned'], {
    formed: says(trials.formedAlready),
    soaked: says(trials.formedAlready)
  }),
  'trial.care': ofTrial(MADE),
  'trial.soak': ofTrial(['formed'], { soaked: says(trials.soakedAlready) }),
  'piece.keep': ofTrial(MADE),
  'piece.remove': ofTrial(MADE),
  'trial.finish': ofTrial(MADE),
  'trial.reopen': ofTrial(['finished'], {
    planned: says(trials.openAlready),
    formed: says(trials.openAlready),
    soaked: says(trials.openAlready)
  }),
  'trial.remove': null,
  'trial.plan': null,

  'hole.dig': null,
  'jar.prepare': null,
  'jar.stood': null,
  'bin.empty': null,
  undo: null,
  'sample.add': null,
  'sample.edit': null,
  'sample.hand': null,
  'sample.mix': null,
  'vessel.add': null,
  'method.save': null,
  'method.retire': null,
  'blank.add': null,
  'blank.read': null,
  'blank.unread': null,
  'lab.add': null,
  'lab.remove': null,
  'photo.add': null,
  'photo.remove': null,
  'site.add': null,
  'site.edit': null,
  'site.backdrop': null,
  'site.scale': null,
  'area.add': null,
  'area.edit': null,
  'area.remove': null,
  'spots.suggest': null,
  'spot.add': null,
  'spot.move': null,
  'spot.take': null,
  'spot.remove': null,
  'ground.import': null,
  'amend.add': null,
  'amend.remove': null,
  'judgement.keep': null,
  'judgement.remove': null,
  'bed.save': null,
  'bed.retire': null,
  'technique.save': null,
  'technique.retire': null,
  'figures.save': null,
  'figures.retire': null,
  'reminder.add': null,
  'reminder.done': null,
  'reminder.end': null,
  'view.keep': null,
  'view.remove': null,
  'folder.add': null,
  'folder.edit': null,
  'folder.remove': null,
  'profile.set': null
};

function stateOfTest({ binnedAt, status }: Pick<TestRow, 'binnedAt' | 'status'>): TestState {
  return binnedAt === null ? status : 'bin';
}

function stateOfHole(row: Pick<Row<typeof hole>, 'finishedAt' | 'refilledAt' | 'soakedAt'>): HoleState {
  if (row.finishedAt !== null) return 'finished';
  if (row.refilledAt !== null) return 'filled';
  return row.soakedAt === null ? 'dug' : 'soaked';
}

function stateOfTrial(row: Pick<Row<typeof trial>, 'finishedAt' | 'formedAt' | 'soakedAt'>): TrialState {
  if (row.finishedAt !== null) return 'finished';
  if (row.formedAt === null) return 'planned';
  return row.soakedAt === null ? 'formed' : 'soaked';
}

const usual = {
  test: {
    ready: says(results.setJarDownFirst),
    running: nothingRead,
    read: openAlready,
    finished: (row: TestRow) => new FinishedProblem(row),
    bin: says(refusals.tests.testInBin)
  } satisfies Record<TestState, Refuse<TestRow>>,
  hole: {
    dug: says(holes.notRefilled),
    soaked: says(holes.notRefilled),
    filled: says(holes.refilledAlready),
    finished: ({ code }) => new CommandProblem(holes.finished(code), {}, 409)
  } satisfies Record<HoleState, Refuse<Row<typeof hole>>>,
  trial: {
    planned: says(trials.formFirst),
    formed: says(trials.formedAlready),
    soaked: says(trials.soakedAlready),
    finished: ({ code }) => new CommandProblem(trials.finished(code), {}, 409)
  } satisfies Record<TrialState, Refuse<Row<typeof trial>>>
};

/** What commands with a rule name, each its own of these. */
type Named = {
  testId?: string;
  runId?: string;
  filmId?: string;
  holeId?: string;
  trialId?: string;
  jars?: readonly { testId: string }[];
  testIds?: readonly string[];
};

/**
 * Lets a command through where it may be done in the state of what it is about.
 *
 * @throws {CommandProblem} with what to do first; 404 where what it names is not here
 */
export async function requireState(db: Reader, name: CommandName, payload: object): Promise<void> {
  const rule = RULES[name];
  if (!rule) return;
  const named = payload as Named;
  if (rule.of === 'hole') {
    const row = found(
      (
        await db
          .select()
          .from(hole)
          .where(eq(hole.id, named.holeId ?? ''))
      )[0],
      'This hole'
    );
    const state = stateOfHole(row);
    if (!rule.in.includes(state)) throw (rule.refuse?.[state] ?? usual.hole[state])(row);
  } else if (rule.of === 'trial') {
    const row = found(
      (
        await db
          .select()
          .from(trial)
          .where(eq(trial.id, named.trialId ?? ''))
      )[0],
      'This set'
    );
    const state = stateOfTrial(row);
    if (!rule.in.includes(state)) throw (rule.refuse?.[state] ?? usual.trial[state])(row);
  } else {
    for (const id of await testsOf(db, rule.of, named)) await requireTest(db, rule, id, named.runId);
  }
}

async function testsOf(db: Reader, of: TestRule['of'], named: Named): Promise<string[]> {
  if (of === 'plan') return (named.jars ?? []).map((jar) => jar.testId);
  if (of === 'several') return [...(named.testIds ?? [])];
  if (of === 'test') return [named.testId ?? ''];
  const [row] = await db
    .select({ testId: film.testId })
    .from(film)
    .where(eq(film.id, named.filmId ?? ''));
  return [found(row, 'This film').testId];
}

async function requireTest(db: Reader, rule: TestRule, id: string, runId: string | undefined): Promise<void> {
  const row = found((await db.select().from(test).where(eq(test.id, id)))[0], 'This test');
  const state = stateOfTest(row);
  const wrong = rule.in.includes(state) ? undefined : (rule.refuse?.[state] ?? usual.test[state])(row);
  if (wrong && state !== 'ready') throw wrong;
  if (rule.by === 'layers' && row.cylinder)
    throw (rule.refuse?.instrument ?? says(results.testReadInstrument))(row);
  if (rule.by === 'instrument' && !row.cylinder) throw says(cylinders.testReadLayers)(row);
  // Of a run that has ended it is said so, though the jar waits to be set down anew.
  if (rule.run && runId !== undefined) await requireRun(db, rule, row, runId);
  if (wrong) throw wrong;
}

async function requireRun(
  db: Reader,
  { by, run: wanted }: TestRule,
  row: TestRow,
  id: string
): Promise<void> {
  const own = found((await db.select().from(run).where(eq(run.id, id)))[0], 'This run of the jar');
  if (own.testId !== row.id) throw says(refusals.tests.runBelongsAnotherJar(row.code))(row);
  const ended = by === 'instrument' ? cylinders.runHasEnded : refusals.tests.runHasEnded;
  if (own.endedAt !== null) throw says(ended)(row);
  if (wanted === 'seen' && own.stood !== null) throw says(refusals.marks.stoodAlreadyWhenMet(row.code))(row);
}
