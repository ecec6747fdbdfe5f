import { jarModel, type JarRun, type ModelJar } from '../forward.ts';
import { linesOf } from '../looks.ts';
import type { JarMake } from '../unknowns.ts';
import { byEyeSight } from './by-eye.ts';
import { calibrationSight } from './calibration.ts';
import { logDispersant } from './dispersant.ts';
import { heightsOf, logHeights, type Height } from './heights.ts';
import { timesOf, type Evidence } from './kinds.ts';
import { fillOf, logFill, type Fill } from './load.ts';
import type { Sight } from './sight.ts';
import { waterSight } from './water.ts';

/** How one piece of evidence fits what the model expects: what was read less what was expected, and its error. */
export type Fit = {
  kind: Evidence['kind'];
  line?: 'sand' | 'silt' | 'clay';
  timeS: number;
  residualMm: number;
  sigmaMm: number;
};

/** The likelihood of a jar under all evidence, in two steps: what would be seen of it, and how likely that makes it. */
export type Likelihood = {
  /**
   * Heights as read. What is seen of a jar begins with what it makes of each, mm; then comes what each further sight of it
   * shows; at the end what only the fill and the dispersant speak of: the load, ln kg/m2, and the share of flocs.
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

/** Evidence that looks at a run in a way of its own. */
function sightOf(
  e: Evidence,
  from: number,
  o: { jar: ModelJar; stepOf: (timeS: number) => number }
): Sight | undefined {
  if (e.kind === 'water') return waterSight(e, from, o);
  if (e.kind === 'by-eye') return byEyeSight(e, from, o);
  return e.kind === 'calibration' ? calibrationSight(e, from, o) : undefined;
}

/** What makes a jar likely: each kind of evidence in its own file. */
export function likelihoodOf(o: ModelJar & { evidence: readonly Evidence[] }): Likelihood {
  const { evidence } = o;
  const model = jarModel({
    ...o,
    atS: evidence.flatMap(timesOf)
  });
  const stepOf = (timeS: number) => model.timesS.indexOf(timeS);
  const heights = heightsOf(evidence);
  const steps = heights.map((h) => stepOf(h.timeS));
  const lineSteps = [
    ...new Set(heights.flatMap((h, i) => (h.line === 'sand' || h.line === 'silt' ? [steps[i]] : [])))
  ];
  let place = heights.length;
  const sights = evidence.flatMap((e, from) => {
    const sight = sightOf(e, from, { jar: o, stepOf });
    if (!sight) return [];
    const at = place;
    place += sight.figures;
    return [{ ...sight, at }];
  });
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

  const loadAt = place;
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
    for (const sight of sights) sight.look(run, jar, seen, at + sight.at);
    seen[at + loadAt] = Math.log(jar.loadKgM2);
    seen[at + flocsAt] = jar.flocShare;
  }

  function score(seen: Float64Array, at: number, without = -1): number {
    let log = logHeights(heights, seen, at, without);
    for (const fill of fills) if (fill.from !== without) log += logFill(fill, seen[at + loadAt]);
    for (const { used, from } of dispersants)
      if (from !== without) log += logDispersant(used, seen[at + flocsAt]);
    for (const sight of sights) if (sight.from !== without) log += sight.score(seen, at + sight.at);
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
      sights.map((s) => s.name)
    ]),
    look,
    score,
    load: [...fills].sort((a, b) => a.sigma - b.sigma).at(0)
  };
}
