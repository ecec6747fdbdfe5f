import { answerUnder } from '$lib/core';
import type {
  CurveBand,
  CylinderInput,
  CylinderResult,
  DensityGrid,
  EstimateInput,
  Help,
  JarAnswer,
  JarReading,
  JarResult,
  planBench,
  readFilm,
  SettlingStep,
  SystemId,
  Timetable,
  ToSettle
} from '$lib/core';
import type { Estimated } from '$lib/workers/estimate.worker';
import { Latest } from './latest.svelte';
import {
  certaintyWorker,
  cylinderWorker,
  filmWorker,
  firstEstimateWorker,
  fullEstimateWorker,
  settleWorker,
  timetableWorker
} from './workers';

/** A worked-out reading, and the region for the triangle. */
export type Worked = { result: JarResult; region?: DensityGrid };

/** Works readings out in the worker. */
export class ReadingWork extends Latest<JarReading, Worked> {
  constructor() {
    super((reading) => certaintyWorker().judgeReading(reading, 'usda'));
  }
}

/** A change that is followed by another within this is not worked out in full, ms. */
const PAUSE_MS = 250;

/** Estimates jars in workers: a first answer at once, the full one when the entry rests. Call it while the page is set up. */
export class EstimateWork {
  readonly #first = new Latest<EstimateInput, Estimated>((input) => firstEstimateWorker().first(input));
  readonly #full = new Latest<EstimateInput, Estimated>((input) => fullEstimateWorker().full(input));
  #asked: string | undefined;
  #pause: ReturnType<typeof setTimeout> | undefined;

  /** Asks; undefined clears the answer. */
  ask(input: EstimateInput | undefined): void {
    const asked = input && JSON.stringify(input);
    if (asked === this.#asked) return;
    this.#asked = asked;
    clearTimeout(this.#pause);
    void this.#full.ask(undefined);
    void this.#first.ask(input);
    if (input) this.#pause = setTimeout(() => void this.#full.ask(input), PAUSE_MS);
  }

  get answer(): JarAnswer | undefined {
    return (this.#full.answer ?? this.#first.answer)?.answer;
  }

  /** What would make it surer, once it is worked out. */
  get helps(): readonly Help[] {
    return this.#full.answer?.helps ?? [];
  }

  /** Whether the answer is the full one. */
  get full(): boolean {
    return this.#full.answer !== undefined;
  }

  get problem(): string | undefined {
    return this.#first.problem;
  }
}

/** What jars that stand said last, by what was asked of them: every visit to the bench asks the same. */
const early = new Map<string, Promise<Estimated>>();
const MOST_EARLY = 60;

function earlyOf(input: EstimateInput): Promise<Estimated> {
  const asked = JSON.stringify(input);
  const known = early.get(asked);
  if (known) return known;
  const answer = firstEstimateWorker().early(input);
  early.set(asked, answer);
  answer.catch(() => early.delete(asked));
  for (const oldest of early.keys()) if (early.size > MOST_EARLY) early.delete(oldest);
  return answer;
}

/** Says of jars that still stand what is known so far. */
export class EarlyWork extends Latest<EstimateInput, Estimated> {
  constructor() {
    super(earlyOf);
  }
}

/** A cylinder test worked out, with its region and the band about its curve. */
export type JudgedCylinder = { result: CylinderResult; region: DensityGrid; band: CurveBand };

/** Works cylinder tests out in the worker. */
export class CylinderWork extends Latest<CylinderInput, JudgedCylinder> {
  constructor() {
    super((input) => cylinderWorker().judgeCylinder(input, 'usda'));
  }
}

/** What is asked: how sure is this test, under a system? */
export type TintQuestion =
  | { system: SystemId; answer: JarAnswer }
  | { system: SystemId; jar: JarReading }
  | { system: SystemId; cylinder: CylinderInput };

/** Probability of each class, and the 90 % region. */
export type Tint = {
  probabilities: Record<string, number>;
  region: DensityGrid | undefined;
  system: SystemId;
};

const byId = (classes: { id: string; probability: number }[]) =>
  Object.fromEntries(classes.map((c) => [c.id, c.probability]));

async function tint(question: TintQuestion): Promise<Tint> {
  const { system } = question;
  if ('answer' in question) return { ...answerUnder(question.answer, system), system };
  if ('cylinder' in question) {
    const { result, region } = await cylinderWorker().judgeCylinder(question.cylinder, system);
    return { probabilities: byId(result.classes), region, system };
  }
  const { result, region } = await certaintyWorker().judgeReading(question.jar, system);
  return { probabilities: result.kind === 'share' ? {} : byId(result.classes), region, system };
}

/** Works the tint of a test out in a worker, under any system. */
export class TintWork extends Latest<TintQuestion, Tint> {
  constructor() {
    super(tint);
  }
}

type FilmQuestion = Parameters<typeof readFilm>[0];
type FilmAnswer = ReturnType<typeof readFilm>;

/** Reads films in the worker. */
export class FilmWork extends Latest<FilmQuestion, FilmAnswer> {
  constructor() {
    super((question) => filmWorker().readFilm(question) as Promise<FilmAnswer>);
  }
}

/** What is known of a jar, and how long ago it was set down, s. */
type StandingJar = { input: EstimateInput; ageS: number };

/** Says in the worker what would settle a verdict: at once what needs no jar, then with what the jar would show. */
export class SettleWork {
  readonly #plain = new Latest<ToSettle, SettlingStep[]>((question) => settleWorker().whatSettles(question));
  readonly #ofJar = new Latest<{ to: ToSettle; jar: StandingJar }, SettlingStep[]>(({ to, jar }) =>
    settleWorker().ofJar(to, jar.input, jar.ageS)
  );

  /** Asks; undefined clears the answer. @param jar the jar that the soil was read from, where it is as it was read */
  ask(to: ToSettle | undefined, jar?: StandingJar): void {
    void this.#plain.ask(to);
    void this.#ofJar.ask(undefined);
    if (to && jar) void this.#ofJar.ask({ to, jar });
  }

  get steps(): readonly SettlingStep[] {
    return this.#ofJar.answer ?? this.#plain.answer ?? [];
  }
}

/** Makes timetables in the worker. */
export class PlanWork extends Latest<Parameters<typeof planBench>[0], Timetable> {
  constructor() {
    super((question) => timetableWorker().planBench(question));
  }
}
