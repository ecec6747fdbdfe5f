import type {
  CurveBand,
  CylinderInput,
  CylinderResult,
  DensityGrid,
  JarReading,
  JarResult,
  MassEstimate,
  MassInput,
  planBench,
  readFilm,
  SystemId,
  Timetable
} from '$lib/core';
import { Latest } from './latest.svelte';
import { certaintyWorker, cylinderWorker, filmWorker, timetableWorker } from './workers';

/** A worked-out reading, and the region for the triangle. */
export type Worked = { result: JarResult; region?: DensityGrid };

/** Works readings out in the worker. */
export class ReadingWork extends Latest<JarReading, Worked> {
  constructor() {
    super((reading) => certaintyWorker().judgeReading(reading, 'usda'));
  }
}

/** An estimate by mass, and the region for the triangle. */
export type Weighed = { estimate: MassEstimate; region: DensityGrid };

/** Weighs layers in the worker; what cannot be weighed has no answer. */
export class MassWork extends Latest<MassInput, Weighed> {
  constructor() {
    super((input) => certaintyWorker().estimateMass(input, 'usda'));
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
  { system: SystemId; jar: JarReading } | { system: SystemId; cylinder: CylinderInput };

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

/** Makes timetables in the worker. */
export class PlanWork extends Latest<Parameters<typeof planBench>[0], Timetable> {
  constructor() {
    super((question) => timetableWorker().planBench(question));
  }
}
