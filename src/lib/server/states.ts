import { eq } from 'drizzle-orm';
import { definitionOf, type CommandName } from '../contract/commands.ts';
import type { HoleState, Sentence, TestRule, TestState, TrialState } from '../contract/commands/states.ts';
import { refusals } from '../words/refusals.ts';
import type { Reader } from './db.ts';
import { CommandProblem, FinishedProblem, found } from './problem.ts';
import { film, hole, run, test, trial } from './schema.ts';

type Row<T extends { $inferSelect: unknown }> = T['$inferSelect'];
type TestRow = Row<typeof test>;

/** How a command is refused in a state that is not its own. */
type Refuse<R> = (row: R) => CommandProblem;
const says =
  (sentence: Sentence): Refuse<{ code: string }> =>
  ({ code }) =>
    new CommandProblem(typeof sentence === 'string' ? sentence : sentence(code), {}, 409);

const { results, cylinders, holes, trials } = refusals;

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
    running: says(results.readItFirst),
    read: says(results.testOpenAlready),
    finished: (row: TestRow) => new FinishedProblem(row),
    bin: says(refusals.tests.testInBin)
  } satisfies Record<TestState, Refuse<TestRow>>,
  hole: {
    dug: says(holes.notRefilled),
    soaked: says(holes.notRefilled),
    filled: says(holes.refilledAlready),
    finished: says(holes.finished)
  } satisfies Record<HoleState, Refuse<Row<typeof hole>>>,
  trial: {
    planned: says(trials.formFirst),
    formed: says(trials.formedAlready),
    soaked: says(trials.soakedAlready),
    finished: says(trials.finished)
  } satisfies Record<TrialState, Refuse<Row<typeof trial>>>
};

/** The refusal of a state: in the command's own words, or the usual ones. */
function refusedIn<S extends string, R extends { code: string }>(
  state: S,
  own: Partial<Record<S, Sentence>> | undefined,
  usually: Record<S, Refuse<R>>
): Refuse<R> {
  const sentence = own?.[state];
  return sentence === undefined ? usually[state] : says(sentence);
}

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
  const rule = definitionOf(name).states;
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
    if (!rule.in.includes(state)) throw refusedIn(state, rule.refuse, usual.hole)(row);
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
    if (!rule.in.includes(state)) throw refusedIn(state, rule.refuse, usual.trial)(row);
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
  const wrong = rule.in.includes(state) ? undefined : refusedIn(state, rule.refuse, usual.test)(row);
  if (wrong && state !== 'ready') throw wrong;
  if (rule.by === 'layers' && row.cylinder)
    throw says(rule.refuse?.instrument ?? results.testReadInstrument)(row);
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
