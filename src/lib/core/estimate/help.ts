import { DEFAULT_SEED, normalStream } from '../certainty/draws.ts';
import { textureSystems } from '../texture/classify.ts';
import type { SystemId } from '../texture/types.ts';
import { timeOf, topOf, type Evidence } from './evidence/kinds.ts';
import { likelihoodOf } from './evidence/likelihood.ts';
import { WATER_GL } from './priors.ts';
import type { JarEstimate } from './estimate-jar.ts';
import type { ModelJar } from './forward.ts';
import { emptyMake, makeOf, UNKNOWNS } from './unknowns.ts';
import { weightsOf } from './weights.ts';

/**
 * What could be done next: read the bands, note the water, or read the top, each at a time, s after set-down; whether that
 * is to be waited for.
 */
export type Step = { kind: 'bands' | 'water' | 'top'; atS: number; waits: boolean };

/** A step with what it would bring: the likeliest class's chance on average over what might be seen, now and then. */
export type Help = Step & { now: number; then: number };

/** So many jars that could be this one, and so many of them in turn taken for it. */
const JARS = 1500;
const TRUTHS = 150;
/** A step that adds less than this to the chance helps nobody. */
const LEAST_GAIN = 0.02;
const MOST_STEPS = 3;

/** By these hours a jar has come to be worth another look, s. */
const LATER_S = [24 * 3600, 48 * 3600];
/** A look this much before them is as good as one then. */
const SOON = 0.8;

/** What could be done next of a jar that is known so far, and about how high its deposit is, mm. */
export function stepsAfter(evidence: readonly Evidence[]): { steps: Step[]; topMm: number } {
  const has = (kind: Evidence['kind']) => evidence.some((e) => e.kind === kind);
  const lastS = Math.max(1, ...evidence.map((e) => timeOf(e) ?? 0));
  const later = LATER_S.filter((s) => lastS < SOON * s);
  return {
    topMm: topOf(evidence),
    steps: [
      ...(has('bands')
        ? []
        : [{ kind: 'bands' as const, atS: Math.max(lastS, LATER_S[0]), waits: lastS < LATER_S[0] }]),
      ...(has('water') ? [] : [{ kind: 'water' as const, atS: lastS, waits: false }]),
      ...later.map((atS) => ({ kind: 'top' as const, atS, waits: true }))
    ]
  };
}

/** Evidence of a step with what was seen of one jar, errors as they are made. */
function seenAs(
  step: Step,
  seen: readonly number[],
  sigmas: readonly number[],
  normal: () => number
): Evidence {
  if (step.kind === 'water') {
    const ln = seen[0] + WATER_GL.blurLn * normal();
    const said = ln < Math.log(WATER_GL.clear) ? 'clear' : ln < Math.log(WATER_GL.cloudy) ? 'hazy' : 'cloudy';
    return { kind: 'water', atS: step.atS, seen: said };
  }
  const read = seen.map((mm, i) => Math.max(0, mm + sigmas[i] * normal()));
  if (step.kind === 'top') return { kind: 'mark', timeS: step.atS, heightMm: read[0] };
  // Tops come first among the heights, then the lines under them.
  const [clay, sand, silt] = read;
  const siltTopMm = Math.max(sand, silt);
  return { kind: 'bands', atS: step.atS, sandTopMm: sand, siltTopMm, clayTopMm: Math.max(siltTopMm, clay) };
}

const blank = (step: Step, topMm: number): Evidence => {
  if (step.kind === 'water') return { kind: 'water', atS: step.atS, seen: 'hazy' };
  if (step.kind === 'top') return { kind: 'mark', timeS: step.atS, heightMm: topMm };
  return { kind: 'bands', atS: step.atS, sandTopMm: topMm / 3, siltTopMm: (2 * topMm) / 3, clayTopMm: topMm };
};

type Ahead = ModelJar & Pick<JarEstimate, 'could'> & { topMm: number; steps: readonly Step[]; seed?: number };

/** Shares of the jars that could be this one, percent: sand, silt, clay, one jar after the other. */
export function sharesOfJars({ could }: Pick<JarEstimate, 'could'>): Float64Array {
  const count = Math.min(JARS, could.length / UNKNOWNS);
  const make = emptyMake();
  const out = new Float64Array(3 * count);
  for (let i = 0; i < count; i++) {
    const { sand, silt, clay } = makeOf(could, i * UNKNOWNS, make);
    out.set([100 * sand, 100 * silt, 100 * clay], 3 * i);
  }
  return out;
}

/**
 * What each step would bring, by simulation: of jars that could be this one some are taken for the truth in turn, what
 * would be read of them is drawn, and the others are weighed by it (expected value of information; Raiffa & Schlaifer 1961).
 *
 * @param o.could even draws of the unknowns from the posterior, one after the other
 * @param o.topMm about how high the deposit is, mm
 * @param among which of some groups each jar of {@link sharesOfJars} belongs to, from 0 on
 * @returns chance of the likeliest group now, and on average after each step
 */
export function lookAhead(o: Ahead, among: ArrayLike<number>): { now: number; then: number[] } {
  const count = among.length;
  const groups = 1 + Math.max(...Array.from(among));
  const make = emptyMake();
  const likeliest = (weights: (i: number) => number): number => {
    const chance = new Float64Array(groups);
    for (let i = 0; i < count; i++) chance[among[i]] += weights(i);
    return Math.max(...chance);
  };
  const then = o.steps.map((step): number => {
    const normal = normalStream(o.seed ?? DEFAULT_SEED);
    const { heights, seen: stride, look } = likelihoodOf({ ...o, evidence: [blank(step, o.topMm)] });
    const seen = new Float64Array(count * stride);
    for (let i = 0; i < count; i++) look(makeOf(o.could, i * UNKNOWNS, make), seen, i * stride);
    const sigmas = heights.map((h) => h.sigmaMm);
    let average = 0;
    for (let k = 0; k < TRUTHS; k++) {
      const truth = Math.floor((k * count) / TRUTHS);
      const own = [...seen.subarray(truth * stride, truth * stride + Math.max(1, heights.length))];
      const { score } = likelihoodOf({ ...o, evidence: [seenAs(step, own, sigmas, normal)] });
      const logs = new Float64Array(count);
      for (let i = 0; i < count; i++) logs[i] = score(seen, i * stride);
      const weights = weightsOf(logs, 1);
      average += likeliest((i) => weights[i]) / TRUTHS;
    }
    return average;
  });
  return { now: likeliest(() => 1 / count), then };
}

/**
 * What each step would bring the likeliest class, as {@link lookAhead}.
 *
 * @param o.classes chances by all draws: what is gained over those of `could` is added to the likeliest of them
 * @returns those that help, the most helpful first, at most three
 */
export function whatHelps(o: Ahead & Pick<JarEstimate, 'classes'>, system: SystemId = 'usda'): Help[] {
  const { indexByRules } = textureSystems[system];
  const shares = sharesOfJars(o);
  const among = Int32Array.from({ length: shares.length / 3 }, (_, i) =>
    indexByRules(shares[3 * i], shares[3 * i + 1], shares[3 * i + 2])
  );
  const ahead = lookAhead(o, among);
  const now = o.classes[0].probability;
  return o.steps
    .map((step, i): Help => ({ ...step, now, then: Math.min(1, now + ahead.then[i] - ahead.now) }))
    .filter((h) => h.then - h.now >= LEAST_GAIN)
    .sort((a, b) => b.then - a.then)
    .slice(0, MOST_STEPS);
}
