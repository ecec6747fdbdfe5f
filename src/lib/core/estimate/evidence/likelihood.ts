import { jarModel, type JarRun, type ModelJar } from '../forward.ts';
import { linesOf, waterModel } from '../looks.ts';
import type { JarMake } from '../unknowns.ts';
import { logDispersant } from './dispersant.ts';
import { heightsOf, logHeights, type Height } from './heights.ts';
import { timeOf, type Evidence } from './kinds.ts';
import { fillOf, logFill, type Fill } from './load.ts';
import { logWater } from './water.ts';

/** How one piece of evidence fits what the model expects: what was read less what was expected, and its error. */
export type Fit = {
  kind: Evidence['kind'];
  line?: 'sand' | 'silt' | 'clay';
  timeS: number;
  residualMm: number;
  sigmaMm: number;
};

/** Water is not reckoned clearer than this, g/L. */
const LEAST_GL = 1e-4;

/** The likelihood of a jar under all evidence, in two steps: what would be seen of it, and how likely that makes it. */
export type Likelihood = {
  /**
   * Heights as read. What is seen of a jar begins with what it makes of each, mm; then comes the water of each look, ln g/L;
   * at the end what only the fill and the dispersant speak of: the load, ln kg/m2, and the share of flocs.
   */
  heights: readonly Height[];
  /** How many figures are seen of a jar. */
  seen: number;
  /** Names what is looked at: where two are the same, what was seen under one can be scored by the other. */
  looksAt: string;
  /** Runs a jar and writes what would be seen of it, from a place on. */
  look: (jar: JarMake, seen: Float64Array, at: number) => void;
  /**
   * Log likelihood of what is seen, but for a constant; without the piece of evidence in one place, if wanted.
   * @param at where what is seen of a jar begins
   */
  score: (seen: Float64Array, at: number, without?: number) => number;
  /** The load that the fill speaks of most surely, where it does. */
  load?: Fill;
};

/** What makes a jar likely: the heights, the water, the fill, and the dispersant, each in its own file. */
export function likelihoodOf(o: ModelJar & { evidence: readonly Evidence[] }): Likelihood {
  const { evidence } = o;
  const model = jarModel({
    ...o,
    atS: evidence.flatMap((e) => timeOf(e) ?? [])
  });
  const water = waterModel(o);
  const stepOf = (timeS: number) => model.timesS.indexOf(timeS);
  const heights = heightsOf(evidence);
  const steps = heights.map((h) => stepOf(h.timeS));
  const lineSteps = [
    ...new Set(heights.flatMap((h, i) => (h.line === 'sand' || h.line === 'silt' ? [steps[i]] : [])))
  ];
  const waters = evidence.flatMap((e, from) =>
    e.kind === 'water' ? [{ step: stepOf(e.atS), atS: e.atS, seen: e.seen, from }] : []
  );
  const fills = evidence.flatMap((e, from) => {
    const fill = fillOf(e);
    return fill ? [{ ...fill, from }] : [];
  });
  const dispersants = evidence.flatMap((e, from) =>
    e.kind === 'dispersant' ? [{ used: e.used, from }] : []
  );

  /** The top at the moment that a hurried hand marked it, m. */
  function hurriedTop(run: JarRun, step: number, timeS: number, offS: number): number {
    const top = run.topM[step];
    const other = offS > 0 ? Math.min(step + 1, run.topM.length - 1) : step - 1;
    const otherS = other < 0 ? 0 : run.timesS[other];
    const otherM = other < 0 ? 0 : run.topM[other];
    return otherS === timeS ? top : top + ((otherM - top) * Math.max(-timeS, offS)) / (otherS - timeS);
  }

  const waterAt = heights.length;
  const loadAt = waterAt + waters.length;
  const flocsAt = loadAt + 1;

  function look(jar: JarMake, seen: Float64Array, at: number): void {
    const run = model(jar);
    for (const step of lineSteps) {
      const lines = linesOf(run, step);
      for (let i = 0; i < heights.length; i++) {
        if (steps[i] !== step) continue;
        if (heights[i].line === 'sand') seen[at + i] = 1000 * lines.sandM;
        else if (heights[i].line === 'silt') seen[at + i] = 1000 * lines.siltM;
      }
    }
    for (let i = 0; i < heights.length; i++) {
      const { line, hurried, timeS } = heights[i];
      if (line === 'sand' || line === 'silt') continue;
      seen[at + i] = 1000 * (hurried ? hurriedTop(run, steps[i], timeS, jar.earlyMarkS) : run.topM[steps[i]]);
    }
    for (let i = 0; i < waters.length; i++)
      seen[at + waterAt + i] = Math.log(Math.max(LEAST_GL, water(jar, run.tauS[waters[i].step])));
    seen[at + loadAt] = Math.log(jar.loadKgM2);
    seen[at + flocsAt] = jar.flocShare;
  }

  function score(seen: Float64Array, at: number, without = -1): number {
    let log = logHeights(heights, seen, at, without);
    for (const fill of fills) if (fill.from !== without) log += logFill(fill, seen[at + loadAt]);
    for (const { used, from } of dispersants)
      if (from !== without) log += logDispersant(used, seen[at + flocsAt]);
    for (let i = 0; i < waters.length; i++)
      if (waters[i].from !== without) log += logWater(waters[i].seen, seen[at + waterAt + i]);
    return log;
  }

  return {
    heights,
    seen: flocsAt + 1,
    looksAt: JSON.stringify([
      o.columnMm,
      o.tempC,
      o.particleDensity,
      heights.map(({ kind, line, timeS }) => [kind, line, timeS]),
      waters.map((w) => w.atS)
    ]),
    look,
    score,
    load: [...fills].sort((a, b) => a.sigma - b.sigma).at(0)
  };
}
