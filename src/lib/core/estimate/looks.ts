import { QUARTZ_DENSITY, settlingVelocity } from '../physics/settling.ts';
import type { JarRun, ModelJar } from './forward.ts';
import { SINK_S } from './priors.ts';
import { BANDS, FLOC_SIZES, sizeClasses } from './sizes.ts';
import type { JarMake } from './unknowns.ts';

/**
 * Solids in mid column at a warped time of a run, s, in g/L: of each size what has not fallen half the column. Within a
 * class mass is even in the logarithm of size.
 */
export function waterModel(o: ModelJar): (jar: JarMake, tauS: number) => number {
  const columnM = o.columnMm / 1000;
  const water = { tempC: o.tempC, particleDensity: o.particleDensity ?? QUARTZ_DENSITY };
  const classes = sizeClasses(water).map((c) => ({
    bandNo: BANDS.findIndex((band) => band.name === c.band),
    u: c.u,
    bent: c.bent,
    fastLn: Math.log(c.topSpeed),
    slowLn: Math.log(c.bottomSpeed)
  }));
  const flocSpeed = settlingVelocity({ ...water, diameterUm: 1 });
  const all = new Float64Array(BANDS.length);
  const up = new Float64Array(BANDS.length);
  const tilts = new Float64Array(BANDS.length);
  return (jar, tauS) => {
    /** What falls slower than this is still up, m/s. */
    const slower = columnM / 2 / Math.max(1, tauS) / jar.speed;
    const slowerLn = Math.log(slower);
    for (let b = 0; b < BANDS.length; b++) {
      all[b] = up[b] = 0;
      tilts[b] = jar.tilt[BANDS[b].name];
    }
    for (let k = 0; k < classes.length; k++) {
      const { bandNo, u, bent, fastLn, slowLn } = classes[k];
      const mass = Math.exp(tilts[bandNo] * u) * bent;
      all[bandNo] += mass;
      if (slowerLn > slowLn) up[bandNo] += mass * Math.min(1, (slowerLn - slowLn) / (fastLn - slowLn));
    }
    const [sand, silt, clay] = [0, 1, 2];
    const flocsUp = FLOC_SIZES.filter((by) => flocSpeed * (jar.flocUm * by) ** 2 < slower).length;
    const clayUp =
      ((1 - jar.flocShare) * up[clay]) / all[clay] + (jar.flocShare * flocsUp) / FLOC_SIZES.length;
    const share = (jar.sand * up[sand]) / all[sand] + (jar.silt * up[silt]) / all[silt] + jar.clay * clayUp;
    return (jar.loadKgM2 / columnM) * share;
  };
}

/** An eye draws a line where less than this share is of what lies below it. */
const HALF = 0.5;

/**
 * Where an eye draws the two lines in the deposit of a run at a time: where what came down turns less than half sand, and
 * less than half coarser than the eye's size. Each step's layer counts from its middle to the next one's.
 *
 * @param at step of the look
 * @returns heights, m
 */
export function linesOf(run: JarRun, at: number): { sandM: number; siltM: number } {
  const { timesS, layerM, sinks, sandShare, coarseShare } = run;
  let top = 0;
  let middle = 0;
  let sand = 1;
  let coarse = 1;
  let sandM: number | undefined;
  let siltM: number | undefined;
  for (let i = 0; i <= at; i++) {
    const sunk = sinks[i] * (1 - Math.exp(-(timesS[at] - timesS[i]) / SINK_S));
    const thick = layerM[i] * (1 - sunk);
    const next = top + thick / 2;
    const crossing = (from: number, to: number) => middle + ((next - middle) * (from - HALF)) / (from - to);
    if (sandM === undefined && sandShare[i] < HALF) sandM = crossing(sand, sandShare[i]);
    if (siltM === undefined && coarseShare[i] < HALF) siltM = crossing(coarse, coarseShare[i]);
    middle = next;
    sand = sandShare[i];
    coarse = coarseShare[i];
    top += thick;
  }
  const sandLine = sandM ?? top;
  return { sandM: sandLine, siltM: Math.max(sandLine, siltM ?? top) };
}
