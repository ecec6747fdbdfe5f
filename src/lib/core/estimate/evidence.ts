import { normalShare } from '../certainty/difference.ts';
import type { Water } from '../jar/clarity.ts';
import { jarModel, type JarRun, type ModelJar } from './forward.ts';
import { linesOf, waterModel } from './looks.ts';
import { EARLY_S, ERRORS, FILL, WATER_GL } from './priors.ts';
import type { JarMake } from './unknowns.ts';

/** What is known of a jar. Heights in mm over the inside bottom, or over the gravel; times in s after set-down. */
export type Evidence =
  /** The top of the sediment at a time, as a piece of tape has it. */
  | { kind: 'mark'; timeS: number; heightMm: number; sigmaMm?: number }
  /** The lines that an eye draws in the deposit. */
  | {
      kind: 'bands';
      atS: number;
      sandTopMm: number;
      siltTopMm: number;
      clayTopMm: number;
      sigmaMm?: { sand?: number; silt?: number; clay?: number };
    }
  | { kind: 'water'; atS: number; seen: Water }
  /** The soil as it was filled, dry: its height, or what it weighed over the floor of the vessel. */
  | { kind: 'dry-fill'; heightMm: number }
  | { kind: 'weighed'; kgM2: number; sigmaLn?: number }
  | { kind: 'dispersant'; used: boolean };

/** How one piece of evidence fits what the model expects: what was read less what was expected, and its error. */
export type Fit = {
  kind: Evidence['kind'];
  line?: 'sand' | 'silt' | 'clay';
  residualMm: number;
  sigmaMm: number;
};

/** A height with what goes into its error, mm. */
type Height = {
  kind: 'mark' | 'bands';
  line?: 'sand' | 'silt' | 'clay';
  step: number;
  timeS: number;
  readMm: number;
  sigmaMm: number;
  hurried: boolean;
};

/** Two heights of one top at one time stand for one: their model error is the same. */
const SAME_TIME = 1.02;
/** With a dispersant flocs are unlikely, without one likely: what is left to the unlikely. */
const AGAINST_DISPERSANT = 0.15;

const errorOf = (lineMm: number, heightMm: number, { mm, share }: { mm: number; share: number }) =>
  Math.hypot(lineMm, mm, share * heightMm);

const marksOf = (evidence: readonly Evidence[]) => evidence.filter((e) => e.kind === 'mark');
const bandsOf = (evidence: readonly Evidence[]) => evidence.filter((e) => e.kind === 'bands');

/** Heights that the model is held against, in order of time. */
function heightsOf(evidence: readonly Evidence[], stepOf: (timeS: number) => number): Height[] {
  const tops = marksOf(evidence).map((m) => ({
    kind: 'mark' as 'mark' | 'bands',
    timeS: m.timeS,
    readMm: m.heightMm,
    lineMm: m.sigmaMm ?? ERRORS.line
  }));
  const lines: Height[] = [];
  for (const b of bandsOf(evidence)) {
    const [sand, silt, clay] = [
      b.sigmaMm?.sand ?? ERRORS.line,
      b.sigmaMm?.silt ?? ERRORS.line,
      b.sigmaMm?.clay ?? ERRORS.line
    ];
    const at = { kind: 'bands' as const, step: stepOf(b.atS), timeS: b.atS, hurried: false };
    lines.push(
      { ...at, line: 'sand', readMm: b.sandTopMm, sigmaMm: errorOf(sand, b.sandTopMm, ERRORS.sandLine) },
      { ...at, line: 'silt', readMm: b.siltTopMm, sigmaMm: errorOf(silt, b.siltTopMm, ERRORS.siltLine) }
    );
    const twin = tops.find((m) => m.timeS / b.atS < SAME_TIME && b.atS / m.timeS < SAME_TIME);
    if (!twin) tops.push({ kind: 'bands', timeS: b.atS, readMm: b.clayTopMm, lineMm: clay });
    else {
      // Read twice: the mean, weighed by the lines.
      const [a, c] = [1 / twin.lineMm ** 2, 1 / clay ** 2];
      twin.readMm = (a * twin.readMm + c * b.clayTopMm) / (a + c);
      twin.lineMm = 1 / Math.sqrt(a + c);
    }
  }
  return [
    ...tops.map(({ kind, timeS, readMm, lineMm }): Height => ({
      kind,
      ...(kind === 'bands' ? { line: 'clay' as const } : {}),
      step: stepOf(timeS),
      timeS,
      readMm,
      sigmaMm: errorOf(lineMm, readMm, ERRORS.mark),
      hurried: kind === 'mark' && timeS <= EARLY_S
    })),
    ...lines
  ];
}

/** Log chance of what an eye said of water that holds so much, ln g/L. */
function logWater(seen: Water, ln: number): number {
  const under = (bound: number) => normalShare((Math.log(bound) - ln) / WATER_GL.blurLn);
  const [clear, notCloudy] = [under(WATER_GL.clear), under(WATER_GL.cloudy)];
  const chance = { clear, hazy: notCloudy - clear, cloudy: 1 - notCloudy }[seen];
  return Math.log(Math.max(1e-9, chance));
}

/** Water is not reckoned clearer than this, g/L. */
const LEAST_GL = 1e-4;

const logNormal = (x: number, sigma: number) => -0.5 * (x / sigma) ** 2;

/** What the model expects of one height that was read, and its error, mm. */
export type HeightRead = Pick<Height, 'kind' | 'line' | 'readMm' | 'sigmaMm'>;

/** The likelihood of a jar under all evidence, in two steps: what would be seen of it, and how likely that makes it. */
export type Likelihood = {
  /** Heights as read. What is seen of a jar begins with what it makes of each, mm; then comes the water of each look, ln g/L. */
  heights: readonly HeightRead[];
  /** How many figures are seen of a jar. */
  seen: number;
  /** Runs a jar and writes what would be seen of it. */
  look: (jar: JarMake, seen: Float64Array) => void;
  /** Log likelihood of a jar that is seen so, but for a constant. */
  score: (jar: JarMake, seen: Float64Array) => number;
  /** The load that the fill speaks of most surely, ln kg/m2, where it does. */
  load?: { ln: number; sigma: number };
};

/**
 * What makes a jar likely: the heights under one error of the base, the water, the fill, and the dispersant.
 *
 * The base is integrated out: r' S^-1 r with S = diag(sigma^2) + base^2. The line under clay has a Student tail, whose
 * weight goes into the base's as it does in an iterated fit.
 */
export function likelihoodOf(o: ModelJar & { evidence: readonly Evidence[] }): Likelihood {
  const { evidence } = o;
  const waters = evidence.filter((e) => e.kind === 'water');
  const atS = [
    ...marksOf(evidence).map((m) => m.timeS),
    ...bandsOf(evidence).map((b) => b.atS),
    ...waters.map((w) => w.atS)
  ];
  const model = jarModel({ ...o, atS });
  const water = waterModel(o);
  const stepOf = (timeS: number) => model.timesS.indexOf(timeS);
  const heights = heightsOf(evidence, stepOf);
  const looks = waters.map((w) => ({ step: stepOf(w.atS), seen: w.seen }));
  const lineSteps = [...new Set(heights.flatMap((h) => (h.line === 'sand' ? [h.step] : [])))];
  const fills = evidence.flatMap((e) =>
    e.kind === 'dry-fill'
      ? [{ ln: Math.log((FILL.kgM3 * Math.max(0.1, e.heightMm)) / 1000), sigma: FILL.heightLn }]
      : e.kind === 'weighed'
        ? [{ ln: Math.log(e.kgM2), sigma: e.sigmaLn ?? FILL.weighedLn }]
        : []
  );
  const dispersants = evidence.filter((e) => e.kind === 'dispersant');

  /** The top at the moment that a hurried hand marked it, m. */
  function hurriedTop(run: JarRun, { step, timeS }: Height, offS: number): number {
    const top = run.topM[step];
    const other = offS > 0 ? Math.min(step + 1, run.topM.length - 1) : step - 1;
    const otherS = other < 0 ? 0 : run.timesS[other];
    const otherM = other < 0 ? 0 : run.topM[other];
    return otherS === timeS ? top : top + ((otherM - top) * Math.max(-timeS, offS)) / (otherS - timeS);
  }

  function look(jar: JarMake, seen: Float64Array): void {
    const run = model(jar);
    for (const step of lineSteps) {
      const lines = linesOf(run, step);
      for (let i = 0; i < heights.length; i++) {
        if (heights[i].step !== step) continue;
        if (heights[i].line === 'sand') seen[i] = 1000 * lines.sandM;
        else if (heights[i].line === 'silt') seen[i] = 1000 * lines.siltM;
      }
    }
    for (let i = 0; i < heights.length; i++) {
      const h = heights[i];
      if (h.line === 'sand' || h.line === 'silt') continue;
      seen[i] = 1000 * (h.hurried ? hurriedTop(run, h, jar.earlyMarkS) : run.topM[h.step]);
    }
    for (let i = 0; i < looks.length; i++)
      seen[heights.length + i] = Math.log(Math.max(LEAST_GL, water(jar, run.tauS[looks[i].step])));
  }

  function score(jar: JarMake, seen: Float64Array): number {
    let log = 0;
    const loadLn = Math.log(jar.loadKgM2);
    for (const fill of fills) log += logNormal(loadLn - fill.ln, fill.sigma);
    for (const { used } of dispersants) {
      const flocs = used ? jar.flocShare : 1 - jar.flocShare;
      log += Math.log(1 - (1 - AGAINST_DISPERSANT) * flocs);
    }
    for (let i = 0; i < looks.length; i++) log += logWater(looks[i].seen, seen[heights.length + i]);
    let weights = 1 / ERRORS.base ** 2;
    let pull = 0;
    let square = 0;
    let tails = 0;
    const freedom = ERRORS.siltFreedom;
    for (let i = 0; i < heights.length; i++) {
      const h = heights[i];
      const r = h.readMm - seen[i];
      const s2 = h.sigmaMm * h.sigmaMm;
      let w = 1 / s2;
      if (h.line === 'silt') {
        w = (freedom + 1) / (freedom * s2 + r * r);
        tails += -0.5 * (freedom + 1) * Math.log(1 + (r * r) / (freedom * s2)) + 0.5 * w * r * r;
      }
      weights += w;
      pull += w * r;
      square += w * r * r;
    }
    return log + tails - 0.5 * (square - (pull * pull) / weights);
  }

  return {
    heights,
    seen: heights.length + looks.length,
    look,
    score,
    load: [...fills].sort((a, b) => a.sigma - b.sigma).at(0)
  };
}
