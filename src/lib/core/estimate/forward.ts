import { QUARTZ_DENSITY } from '../physics/settling.ts';
import { CLAY_IN_SILT, CROWDED_MOST, CROWDING_POWER, SINK_S, SINK_SILT } from './priors.ts';
import { suspension } from './suspension.ts';
import type { JarMake } from './unknowns.ts';

/** Steps of time grow by this, from the first, s. */
const STEP_GROWTH = 1.5;
const FIRST_STEP_S = 3;
/** A step that ends so little before a time that is asked for tells nothing of its own, as a factor. */
const STEP_NEAR = 1.04;
/** No layer sinks by more than this share of it. */
export const SINKS_MOST = 0.9;

/** A jar run to its end, step by step: what lies at each time, and each step's layer. Heights in m. */
export type JarRun = {
  timesS: Float64Array;
  /** Top of the sediment at each time. */
  topM: Float64Array;
  /** Warped time of free fall that each time stands for, s. */
  tauS: Float64Array;
  /** How far up the bed has come to meet the grains by each time, as a share of the column. */
  met: Float64Array;
  /** The layer of each step as it came down: thickness, share of it that sinks away, share of sand, share that looks coarse. */
  layerM: Float64Array;
  sinks: Float64Array;
  sandShare: Float64Array;
  coarseShare: Float64Array;
};

/** Runs a jar over its times, s; what it returns is written over by the next call. `classes`: see `suspension.fill`. */
export type JarModel = ((jar: JarMake, classes?: ArrayLike<number>) => JarRun) & {
  timesS: Float64Array;
  /** Of each class of the last jar, coarse first: its share of all solids, columns that it falls in a second, where bands begin. */
  classes: { share: Float64Array; speed: Float64Array; bands: readonly number[] };
};

/** A jar as the model takes it: the column over the floor that grains come to rest on, mm, its warmth, density of grains. */
export type ModelJar = { columnMm: number; tempC: number; particleDensity?: number };

/** Times at which a jar is looked at, and enough between them, s. */
function stepTimes(asked: readonly number[]): Float64Array {
  const end = Math.max(FIRST_STEP_S, ...asked);
  const times = new Set<number>(asked.filter((s) => s > 0));
  for (let s = FIRST_STEP_S; s < end; s *= STEP_GROWTH) times.add(s);
  const ordered = [...times].sort((a, b) => a - b);
  return Float64Array.from(
    ordered.filter((s, i) => asked.includes(s) || i + 1 >= ordered.length || ordered[i + 1] / s > STEP_NEAR)
  );
}

/**
 * Thickness of what comes down together, m: fines fill the voids of what is coarser, somewhere between lying apart from it
 * and vanishing in it (Furnas 1931). Clay in silt first, then both in sand.
 *
 * @param sand, silt, clay kg/m2
 * @param density of grains, kg/m3
 */
function packedTogether(sand: number, silt: number, clay: number, jar: JarMake, density: number): number {
  const z = silt / jar.packing.silt;
  const c = clay / jar.packing.clay;
  const fines = z + c - CLAY_IN_SILT * (z + c - Math.max(z, silt / density + c));
  const s = sand / jar.packing.sand;
  return s + fines - jar.filling * (s + fines - Math.max(s, sand / density + fines));
}

/**
 * The forward model of a jar: grains of 25 sizes and two of flocs fall through a column that they crowd, meet a bed that
 * rises towards them, pack together as they come down, and sink.
 *
 * Speeds: Ferguson & Church 2004, flocs by Stokes. Crowding: Richardson & Zaki 1954.
 *
 * @param o.atS times that the jar is looked at, s after set-down
 */
export function jarModel(o: ModelJar & { atS: readonly number[] }): JarModel {
  const columnM = o.columnMm / 1000;
  const density = o.particleDensity ?? QUARTZ_DENSITY;
  const solids = suspension({ columnM, tempC: o.tempC, particleDensity: density });
  const timesS = stepTimes(o.atS);
  const n = timesS.length;
  const run: JarRun = {
    timesS,
    topM: new Float64Array(n),
    tauS: new Float64Array(n),
    met: new Float64Array(n),
    layerM: new Float64Array(n),
    sinks: new Float64Array(n),
    sandShare: new Float64Array(n),
    coarseShare: new Float64Array(n)
  };
  const sinkLeft = Float64Array.from(timesS, (s, i) => Math.exp(-(s - (i > 0 ? timesS[i - 1] : 0)) / SINK_S));

  function runJar(jar: JarMake, classes?: ArrayLike<number>): JarRun {
    solids.fill(jar, classes);
    const load = jar.loadKgM2;
    const phi0 = load / (density * columnM);
    let tau = 0;
    let met = 0;
    let was = 0;
    // The top is what stays of the layers, and what still has to sink out of them.
    let top = 0;
    let stays = 0;
    let fading = 0;
    let sand = 0;
    let silt = 0;
    let clay = 0;
    let coarse = 0;
    for (let i = 0; i < n; i++) {
      const crowd = Math.min(CROWDED_MOST, phi0 * solids.crowding(tau, met));
      tau += (timesS[i] - was) * Math.exp(CROWDING_POWER * Math.log(1 - crowd));
      was = timesS[i];
      // The growth of the step itself meets grains: twice.
      met = Math.max(met, top / columnM);
      let now = solids.settle(tau, met);
      const grown = packedTogether(
        load * (now.sand - sand),
        load * (now.silt - silt),
        load * (now.clay - clay),
        jar,
        density
      );
      met = Math.max(met, (top + grown) / columnM);
      now = solids.settle(tau, met);
      const dS = load * (now.sand - sand);
      const dZ = load * (now.silt - silt);
      const dC = load * (now.clay - clay);
      const layer = packedTogether(dS, dZ, dC, jar, density);
      const sum = dS + dZ + dC;
      const sinks = sum > 0 ? Math.min(SINKS_MOST, (jar.sinking * (dC + SINK_SILT * dZ)) / sum) : 0;
      fading = fading * sinkLeft[i] + layer * sinks;
      stays += layer * (1 - sinks);
      top = stays + fading;
      run.topM[i] = top;
      run.tauS[i] = tau;
      run.met[i] = met;
      run.layerM[i] = layer;
      run.sinks[i] = sinks;
      run.sandShare[i] = sum > 0 ? dS / sum : 0;
      run.coarseShare[i] = sum > 0 ? (load * (now.coarse - coarse)) / sum : 0;
      sand = now.sand;
      silt = now.silt;
      clay = now.clay;
      coarse = now.coarse;
    }
    return run;
  }
  return Object.assign(runJar, { timesS, classes: solids.classes });
}
