import type { FractionDraws } from '../certainty/draws.ts';
import { densityGrid, type DensityGrid } from '../certainty/region.ts';
import { USDA_SAND_LIMIT_UM, type Fractions } from '../physics/bands.ts';
import { textureSystems } from '../texture/classify.ts';
import { convertLimit } from '../texture/limits.ts';
import type { SystemId } from '../texture/types.ts';
import type { Evidence } from './evidence/kinds.ts';
import type { Fit } from './evidence/likelihood.ts';
import type { JarEstimate } from './estimate-jar.ts';
import type { Strand } from './strands.ts';
import { chancesOf, type ClassChance } from './summary.ts';
import { drawByWeight } from './weights.ts';

/** An estimate as it is kept: what lists, comparisons and judgements need, so that none of them samples anew. */
export type JarAnswer = {
  /** By mass, percent. */
  fractions: Fractions;
  /** Standard errors, points, and the covariance of sand and silt, points squared. */
  sd: Fractions;
  sandSilt: number;
  /** The likeliest class, and how likely it is. */
  class: { id: string; name: string };
  probability: number;
  /** Chances of the classes, likeliest first. */
  classes: ClassChance[];
  /** Some of the draws: sand and silt of each in turn, percent, to a tenth. */
  draws: number[];
  fit: Fit[];
  strands: Strand[];
  settled: boolean;
};

/** How many draws are kept. */
export const KEPT_DRAWS = 300;

const tenth = (x: number) => Math.round(10 * x) / 10;

/** What is kept of an estimate. */
export function answerOf(e: JarEstimate): JarAnswer {
  const count = e.draws.length / 3;
  const even = new Float64Array(count).fill(1 / count);
  const draws: number[] = [];
  for (const i of drawByWeight(even, Math.min(KEPT_DRAWS, count), 0.5))
    draws.push(tenth(e.draws[3 * i]), tenth(e.draws[3 * i + 1]));
  let product = 0;
  for (let i = 0; i < count; i++)
    product += ((e.draws[3 * i] - e.fractions.sand) * (e.draws[3 * i + 1] - e.fractions.silt)) / count;
  const [{ id, name, probability }] = e.classes;
  return {
    fractions: e.fractions,
    sd: e.sd,
    sandSilt: product,
    class: { id, name },
    probability,
    classes: e.classes.filter((c) => c.probability >= 0.001),
    draws,
    fit: e.fit,
    strands: e.strands,
    settled: e.settled
  };
}

/**
 * An answer under a system: the chances of its classes, and where the draws lie on the triangle. The chances of the system
 * that it was kept under are those that were counted over all draws.
 */
export function answerUnder(
  answer: JarAnswer,
  system: SystemId
): { probabilities: Record<string, number>; region: DensityGrid } {
  const draws = drawsOf(answer);
  const limitUm = textureSystems[system].limitsUm[1];
  for (let i = 0; limitUm !== USDA_SAND_LIMIT_UM && i < draws.kept; i++) {
    const [sand, silt, clay] = draws.fractions.subarray(3 * i, 3 * i + 3);
    const moved = convertLimit({ sand, silt, clay }, USDA_SAND_LIMIT_UM, limitUm);
    draws.fractions.set([moved.sand, moved.silt, moved.clay], 3 * i);
  }
  const classes = system === 'usda' ? answer.classes : chancesOf(system, draws.fractions);
  return {
    probabilities: Object.fromEntries(classes.map((c) => [c.id, c.probability])),
    region: densityGrid(draws)
  };
}

/** Where the draws of an answer lie on the triangle. */
export const inkOf = (answer: Pick<JarAnswer, 'draws'>): DensityGrid => densityGrid(drawsOf(answer));

/** The kept draws of an answer: sand, silt and clay, percent. */
export function drawsOf({ draws }: Pick<JarAnswer, 'draws'>): FractionDraws {
  const kept = draws.length / 2;
  const fractions = new Float64Array(3 * kept);
  for (let i = 0; i < kept; i++) {
    const [sand, silt] = [draws[2 * i], draws[2 * i + 1]];
    fractions.set([sand, silt, Math.max(0, 100 - sand - silt)], 3 * i);
  }
  return { fractions, kept, asked: kept };
}

/** A class alone, or two that are the truth together. */
const SURE = 0.8;
/** Where no class passes this nothing is known yet. */
const KNOWN = 1 / 3;

/**
 * What an answer comes to in words: one class; one of two, where both together are sure and the first alone is not; not
 * known yet, where none passes a third; or none at all, where no settling makes such heights.
 */
export type Verdict =
  | { kind: 'one'; first: ClassChance; next: ClassChance | undefined }
  | { kind: 'two'; first: ClassChance; next: ClassChance; together: number }
  | { kind: 'unknown' | 'impossible'; first: ClassChance; next: ClassChance | undefined };

/** Chances of classes, likeliest first, and how the heights fit where it goes by heights. */
export type Chances = Pick<JarAnswer, 'classes'> & Partial<Pick<JarAnswer, 'fit'>>;

/** What to say of an answer: of a jar, or of a cylinder. */
export function verdictOf({ classes, fit = [] }: Chances): Verdict {
  const [first, next] = classes as [ClassChance, ClassChance | undefined];
  if (fit.some((f) => offOf(f) > MISFIT.impossible)) return { kind: 'impossible', first, next };
  if (first.probability < KNOWN) return { kind: 'unknown', first, next };
  const together = first.probability + (next?.probability ?? 0);
  if (next && first.probability < SURE && together >= SURE) return { kind: 'two', first, next, together };
  return { kind: 'one', first, next };
}

/**
 * A height further off than this, in its own errors, does not fit; nor does a whole jar that is this far off on average;
 * beyond the last no settling makes it.
 */
const MISFIT = { one: 3, all: 2, impossible: 6 };
const offOf = (f: Fit) => Math.abs(f.residualMm) / f.sigmaMm;

/** Whether heights cannot well come from one settling, and which height is furthest off. */
export function misfitOf(fit: readonly Fit[]): Fit | undefined {
  if (fit.length === 0) return undefined;
  const worst = fit.reduce((a, b) => (offOf(b) > offOf(a) ? b : a));
  const all = Math.sqrt(fit.reduce((sum, f) => sum + offOf(f) ** 2, 0) / fit.length);
  return offOf(worst) > MISFIT.one || all > MISFIT.all ? worst : undefined;
}

const PARTS = ['sand', 'silt', 'clay'] as const;

/** The share that a piece of evidence moves most, and by how many points; undefined where that cannot be said. */
export function pullOf(
  { without }: Strand,
  { fractions }: Pick<JarAnswer, 'fractions'>
): { part: (typeof PARTS)[number]; points: number } | undefined {
  if (!without) return undefined;
  const moved = PARTS.map((part) => ({ part, points: fractions[part] - without[part] }));
  return moved.reduce((a, b) => (Math.abs(b.points) > Math.abs(a.points) ? b : a));
}

/** What an answer does not go by yet, what says most first; only time where it goes by all of it. */
export function notKnownYet({ strands }: Pick<JarAnswer, 'strands'>): 'bands' | 'water' | 'mark' | 'time' {
  const lacks = (kind: Evidence['kind']) => !strands.some((s) => s.evidence.kind === kind);
  return (['bands', 'water', 'mark'] as const).find(lacks) ?? 'time';
}
