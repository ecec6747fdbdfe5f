import { grainVelocity, QUARTZ_DENSITY } from '../physics/settling.ts';
import { BANDS, type JarRun } from './forward.ts';
import { PRIORS, SINK_S } from './priors.ts';
import type { JarMake } from './unknowns.ts';

/** Solids in mid column at a time of a run, g/L, of a jar that was just run by its model. */
export function waterModel(o: {
  columnMm: number;
  tempC: number;
  particleDensity?: number;
}): (jar: JarMake, tauS: number) => number {
  const columnM = o.columnMm / 1000;
  const particleDensity = o.particleDensity ?? QUARTZ_DENSITY;
  const bands = BANDS.map(({ name, fromUm, toUm, classes }) => {
    const wideLn = Math.log(toUm / fromUm) / classes;
    const edges = Array.from({ length: classes + 1 }, (_, i) =>
      Math.log(
        grainVelocity({ diameterUm: Math.exp(Math.log(toUm) - i * wideLn), tempC: o.tempC, particleDensity })
      )
    );
    const u = Array.from({ length: classes }, (_, i) => 1 - (2 * i + 1) / classes);
    return { name, edges, u, bent: u.map((x) => Math.exp(PRIORS.bend[name] * x * x)) };
  });
  return (jar, tauS) => {
    const speedLn = Math.log(columnM / 2 / Math.max(1, tauS) / jar.speed);
    let left = 0;
    for (const { name, edges, u, bent } of bands) {
      // All of a band that falls faster is down.
      if (speedLn <= edges[edges.length - 1]) continue;
      let sum = 0;
      let up = 0;
      for (let i = 0; i < u.length; i++) {
        const weight = Math.exp(jar.tilt[name] * u[i]) * bent[i];
        sum += weight;
        const [fast, slow] = [edges[i], edges[i + 1]];
        if (speedLn > slow) up += weight * Math.min(1, (speedLn - slow) / (fast - slow));
      }
      left += ((name === 'clay' ? jar.clay * (1 - jar.flocShare) : jar[name]) * up) / sum;
    }
    return (jar.loadKgM2 / columnM) * left;
  };
}

/**
 * Where an eye draws the two lines in the deposit of a run at a time: where what came down turns less than half sand, and
 * less than half coarser than the eye's size. Each step's layer counts from its middle to the next one's.
 *
 * @param at step of the look
 * @returns heights, m
 */
export function linesOf(run: JarRun, at: number): { sandM: number; siltM: number } {
  const { timesS, layerM, sinks } = run;
  let [y, sandM, siltM] = [0, -1, -1];
  let [midY, sand, coarse] = [0, 1, 1];
  for (let i = 0; i <= at; i++) {
    const sunk = sinks[i] * (1 - Math.exp(-(timesS[at] - timesS[i]) / SINK_S));
    const thick = layerM[i] * (1 - sunk);
    const mid = y + thick / 2;
    if (sandM < 0 && run.sandShare[i] < 0.5)
      sandM = midY + ((mid - midY) * (sand - 0.5)) / (sand - run.sandShare[i]);
    if (siltM < 0 && run.coarseShare[i] < 0.5)
      siltM = midY + ((mid - midY) * (coarse - 0.5)) / (coarse - run.coarseShare[i]);
    [midY, sand, coarse] = [mid, run.sandShare[i], run.coarseShare[i]];
    y += thick;
  }
  if (sandM < 0) sandM = y;
  if (siltM < 0) siltM = y;
  return { sandM, siltM: Math.max(sandM, siltM) };
}
