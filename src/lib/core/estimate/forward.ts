import { CLAY_LIMIT_UM, SAND_TOP_UM, USDA_SAND_LIMIT_UM } from '../physics/bands.ts';
import { grainVelocity, QUARTZ_DENSITY, settlingVelocity } from '../physics/settling.ts';
import {
  CLAY_IN_SILT,
  CROWDED_MOST,
  CROWDING_POWER,
  FLOC_CROWDING,
  PRIORS,
  SINK_S,
  SINK_SILT
} from './priors.ts';
import type { JarMake } from './unknowns.ts';

/** Finest clay of the model, um. */
const CLAY_END_UM = 0.05;
/** Bands of the model, coarse first, and the classes each is cut into, even in the logarithm of size. */
export const BANDS = [
  { name: 'sand', fromUm: USDA_SAND_LIMIT_UM, toUm: SAND_TOP_UM, classes: 7 },
  { name: 'silt', fromUm: CLAY_LIMIT_UM, toUm: USDA_SAND_LIMIT_UM, classes: 9 },
  { name: 'clay', fromUm: CLAY_END_UM, toUm: CLAY_LIMIT_UM, classes: 9 }
] as const;
const GRAINS = BANDS.reduce((sum, { classes }) => sum + classes, 0);
/** Flocs are a band of two classes behind the grains, a factor apart from their middle. */
const FLOC_APART = 1.4;
const CLASSES = GRAINS + 2;
/** First class of each band of sand, silt, clay and flocs, and the end of the last. */
const EDGES = [0, BANDS[0].classes, BANDS[0].classes + BANDS[1].classes, GRAINS, CLASSES];
const KINDS = EDGES.length - 1;
const FLOCS = KINDS - 1;
/** A class crowds the column fully until this much of it is still up. */
const CROWDS_UNTIL = 6;
/** Steps of time grow by this, from the first, s. */
const STEP_GROWTH = 1.5;
const FIRST_STEP_S = 3;

/** A jar run to its end, step by step: what lies at each time, and each step's layer. Heights in m. */
export type JarRun = {
  timesS: Float64Array;
  /** Top of the sediment at each time. */
  topM: Float64Array;
  /** Warped time of free fall that each time stands for, s. */
  tauS: Float64Array;
  /** The layer of each step as it came down: thickness, share of it that sinks away, share of sand, share that looks coarse. */
  layerM: Float64Array;
  sinks: Float64Array;
  sandShare: Float64Array;
  coarseShare: Float64Array;
};

/** Runs a jar over its times, s; what it returns is written over by the next call. */
export type JarModel = ((jar: JarMake) => JarRun) & { timesS: Float64Array };

/** Times at which a jar is looked at, and enough between them, s. */
function stepTimes(asked: readonly number[]): Float64Array {
  const end = Math.max(FIRST_STEP_S, ...asked);
  const times = new Set<number>(asked.filter((s) => s > 0));
  for (let s = FIRST_STEP_S; s < end; s *= STEP_GROWTH) times.add(s);
  const ordered = [...times].sort((a, b) => a - b);
  // A step that ends just before a time that is asked for tells nothing of its own.
  return Float64Array.from(
    ordered.filter((s, i) => asked.includes(s) || i + 1 >= ordered.length || ordered[i + 1] / s > 1.04)
  );
}

/**
 * The forward model of a jar: grains of 25 sizes and two of flocs fall through a column that they crowd, meet a bed that
 * rises towards them, pack together as they come down, and sink.
 *
 * Speeds: Ferguson & Church 2004, flocs by Stokes. Crowding: Richardson & Zaki 1954. Mixed packing: fines fill the voids of
 * what is coarser, between lying apart and filling them wholly.
 *
 * @param o.columnMm water over the floor that grains come to rest on, mm
 * @param o.atS times that the jar is looked at, s after set-down
 */
export function jarModel(o: {
  columnMm: number;
  tempC: number;
  particleDensity?: number;
  atS: readonly number[];
}): JarModel {
  const columnM = o.columnMm / 1000;
  const density = o.particleDensity ?? QUARTZ_DENSITY;
  const timesS = stepTimes(o.atS);
  const n = timesS.length;
  const run: JarRun = {
    timesS,
    topM: new Float64Array(n),
    tauS: new Float64Array(n),
    layerM: new Float64Array(n),
    sinks: new Float64Array(n),
    sandShare: new Float64Array(n),
    coarseShare: new Float64Array(n)
  };
  const sinkLeft = Float64Array.from(timesS, (s, i) => Math.exp(-(s - (i > 0 ? timesS[i - 1] : 0)) / SINK_S));
  /** Of each grain class: its place in its band, u, the exponent of its bend, its speed and its size's logarithm. */
  const u = new Float64Array(GRAINS);
  const bent = new Float64Array(GRAINS);
  const grainSpeed = new Float64Array(GRAINS);
  const sizeLn = new Float64Array(GRAINS);
  const halfLn = new Float64Array(GRAINS);
  let k = 0;
  for (const { name, fromUm, toUm, classes } of BANDS) {
    const wideLn = Math.log(toUm / fromUm) / classes;
    for (let i = 0; i < classes; i++, k++) {
      sizeLn[k] = Math.log(toUm) - (i + 0.5) * wideLn;
      halfLn[k] = wideLn / 2;
      u[k] = 1 - (2 * i + 1) / classes;
      bent[k] = Math.exp(PRIORS.bend[name] * u[k] * u[k]);
      grainSpeed[k] = grainVelocity({
        diameterUm: Math.exp(sizeLn[k]),
        tempC: o.tempC,
        particleDensity: density
      });
    }
  }
  const flocSpeed = settlingVelocity({ diameterUm: 1, tempC: o.tempC, particleDensity: density });

  const share = new Float64Array(CLASSES);
  const speed = new Float64Array(CLASSES);
  /**
   * Sums from a class to the end of its band, of shares, of shares by speed, and of both by how coarse they look. A class
   * that still falls is down by `speed tau + met`, so what a band has on the bottom is linear in both between two classes.
   * Each band has a slot more than classes: the sum of nothing.
   */
  const suffix = () => new Float64Array(CLASSES + KINDS);
  const [shares, speeds, coarseShares, coarseSpeeds] = [suffix(), suffix(), suffix(), suffix()];
  /** Of each band: its first class that still falls, and its first that still crowds fully. */
  const falls = new Int32Array(KINDS);
  const crowds = new Int32Array(KINDS);
  const down = new Float64Array(KINDS);

  /** Shares of all solids by class, and their sums. */
  function fill(jar: JarMake): void {
    const inGrains = [jar.sand, jar.silt, jar.clay * (1 - jar.flocShare)];
    const tilts = [jar.tilt.sand, jar.tilt.silt, jar.tilt.clay];
    for (let b = 0; b < FLOCS; b++) {
      let sum = 0;
      for (let c = EDGES[b]; c < EDGES[b + 1]; c++) sum += share[c] = Math.exp(tilts[b] * u[c]) * bent[c];
      for (let c = EDGES[b]; c < EDGES[b + 1]; c++) {
        share[c] *= inGrains[b] / sum;
        speed[c] = (grainSpeed[c] * jar.speed) / columnM;
      }
    }
    for (let i = 0; i < 2; i++) {
      const um = i === 0 ? jar.flocUm * FLOC_APART : jar.flocUm / FLOC_APART;
      share[GRAINS + i] = (jar.clay * jar.flocShare) / 2;
      speed[GRAINS + i] = (flocSpeed * um * um * jar.speed) / columnM;
    }
    const eyeLn = Math.log(jar.eyeUm);
    for (let b = 0; b < KINDS; b++) {
      let end = EDGES[b + 1] + b;
      shares[end] = speeds[end] = coarseShares[end] = coarseSpeeds[end] = 0;
      for (let c = EDGES[b + 1] - 1; c >= EDGES[b]; c--, end--) {
        const coarse =
          b === FLOCS ? 1 : Math.min(1, Math.max(0, (sizeLn[c] + halfLn[c] - eyeLn) / (2 * halfLn[c])));
        const moving = share[c] * speed[c];
        shares[end - 1] = shares[end] + share[c];
        speeds[end - 1] = speeds[end] + moving;
        coarseShares[end - 1] = coarseShares[end] + share[c] * coarse;
        coarseSpeeds[end - 1] = coarseSpeeds[end] + moving * coarse;
      }
      falls[b] = crowds[b] = EDGES[b];
    }
  }

  function runJar(jar: JarMake): JarRun {
    fill(jar);
    const load = jar.loadKgM2;
    const phi0 = load / (density * columnM);
    const { packing } = jar;
    let tau = 0;
    let h = 0;
    let stays = 0;
    let fading = 0;
    let was = 0;
    let met = 0;
    let sand = 0;
    let silt = 0;
    let clay = 0;
    let looksCoarse = 0;
    for (let i = 0; i < n; i++) {
      const dt = timesS[i] - was;
      was = timesS[i];
      let up = 0;
      for (let b = 0; b < KINDS; b++) {
        if (falls[b] === EDGES[b + 1]) continue;
        while (falls[b] < EDGES[b + 1] && speed[falls[b]] * tau + met >= 1) falls[b]++;
        if (crowds[b] < falls[b]) crowds[b] = falls[b];
        while (crowds[b] < EDGES[b + 1] && speed[crowds[b]] * tau + met > 1 - 1 / CROWDS_UNTIL) crowds[b]++;
        const p = falls[b] + b;
        const q = crowds[b] + b;
        const thins = (shares[p] - shares[q]) * (1 - met) - (speeds[p] - speeds[q]) * tau;
        up += (b === FLOCS ? FLOC_CROWDING : 1) * (shares[q] + CROWDS_UNTIL * thins);
      }
      tau += dt * Math.exp(CROWDING_POWER * Math.log(1 - Math.min(CROWDED_MOST, phi0 * up)));
      let dS = 0;
      let dZ = 0;
      let dC = 0;
      let v = 0;
      // The growth of the step itself meets grains: twice.
      for (let pass = 0; pass < 2; pass++) {
        met = Math.max(met, (h + v) / columnM);
        for (let b = 0; b < KINDS; b++) {
          let c = falls[b];
          if (c === EDGES[b + 1]) {
            // All of it lies on the bottom.
            down[b] = shares[EDGES[b] + b];
            continue;
          }
          while (c < EDGES[b + 1] && speed[c] * tau + met >= 1) c++;
          falls[b] = c;
          c += b;
          down[b] = shares[EDGES[b] + b] - shares[c] + speeds[c] * tau + shares[c] * met;
        }
        dS = load * (down[0] - sand);
        dZ = load * (down[1] - silt);
        dC = load * (down[2] + down[FLOCS] - clay);
        const zs = dZ / packing.silt;
        const cs = dC / packing.clay;
        const fines = zs + cs - CLAY_IN_SILT * (zs + cs - Math.max(zs, dZ / density + cs));
        const ss = dS / packing.sand;
        v = ss + fines - jar.filling * (ss + fines - Math.max(ss, dS / density + fines));
      }
      sand = down[0];
      silt = down[1];
      clay = down[2] + down[FLOCS];
      let coarseNow = 0;
      for (let b = 0; b < KINDS; b++) {
        const c = falls[b] + b;
        coarseNow +=
          coarseShares[EDGES[b] + b] - coarseShares[c] + coarseSpeeds[c] * tau + coarseShares[c] * met;
      }
      const sum = dS + dZ + dC;
      const sinks = sum > 0 ? Math.min(0.9, (jar.sinking * (dC + SINK_SILT * dZ)) / sum) : 0;
      // What still has to sink fades, step by step.
      fading = fading * sinkLeft[i] + v * sinks;
      stays += v * (1 - sinks);
      h = stays + fading;
      run.topM[i] = h;
      run.tauS[i] = tau;
      run.layerM[i] = v;
      run.sinks[i] = sinks;
      run.sandShare[i] = sum > 0 ? dS / sum : 0;
      run.coarseShare[i] = sum > 0 ? (load * (coarseNow - looksCoarse)) / sum : 0;
      looksCoarse = coarseNow;
    }
    return run;
  }
  return Object.assign(runJar, { timesS });
}
