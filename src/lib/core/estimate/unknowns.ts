import { normalShare } from '../certainty/difference.ts';
import { PRIORS, SILT_LEAN } from './priors.ts';

/** Number of unknowns of a jar; each is a standard normal deviate before anything is read. */
export const UNKNOWNS = 16;
/** Place of the load among them. */
export const LOAD = 2;

/** A jar of one draw: everything that decides what it will look like. Shares 0 to 1, kg, m, um and s as named. */
export type JarMake = {
  sand: number;
  silt: number;
  clay: number;
  loadKgM2: number;
  tilt: { sand: number; silt: number; clay: number };
  packing: { sand: number; silt: number; clay: number };
  filling: number;
  sinking: number;
  flocShare: number;
  flocUm: number;
  speed: number;
  earlyMarkS: number;
  eyeUm: number;
};

/** A make to be written by {@link makeOf}. */
export const emptyMake = (): JarMake => ({
  sand: 0,
  silt: 0,
  clay: 0,
  loadKgM2: 0,
  tilt: { sand: 0, silt: 0, clay: 0 },
  packing: { sand: 0, silt: 0, clay: 0 },
  filling: 0,
  sinking: 0,
  flocShare: 0,
  flocUm: 0,
  speed: 1,
  earlyMarkS: 0,
  eyeUm: 0
});

const held = (x: number, low: number, high: number) => Math.min(high, Math.max(low, x));
/** A share that is never quite nothing, so that its logarithm stands. */
const LEAST_SHARE = 1e-4;
const some = (x: number) => held(x, LEAST_SHARE, 1);

/**
 * The jar that a point of the unknowns stands for. Shares are even over the triangle: the sand is one less a root of an even
 * number, the rest is split evenly. Sand comes first since it is what a jar says most surely: its lines then leave the other
 * two along one axis. Most jars have nearly no flocs or nearly only flocs.
 *
 * @param z so many deviates as {@link UNKNOWNS}, from `at` on
 * @param out written and returned
 */
export function makeOf(z: Float64Array, at: number, out: JarMake): JarMake {
  const rest = Math.sqrt(normalShare(z[at]));
  const split = normalShare(z[at + 1]);
  out.sand = some(1 - rest);
  out.clay = some(rest * split);
  out.silt = some(rest * (1 - split));
  const whole = out.sand + out.silt + out.clay;
  out.sand /= whole;
  out.silt /= whole;
  out.clay /= whole;
  out.loadKgM2 = Math.exp(PRIORS.loadLn.centre + PRIORS.loadLn.spread * z[at + LOAD]);
  return spreadOf(z, at, out);
}

/** What else decides the look of a jar whose shares and load stand in it: see {@link makeOf}. */
export function spreadOf(z: Float64Array, at: number, out: JarMake): JarMake {
  const { tilt, packing } = PRIORS;
  const { within } = SILT_LEAN;
  const lean =
    SILT_LEAN.sand * held(Math.log(out.sand / out.silt), -within, within) +
    SILT_LEAN.clay * held(Math.log(out.clay / out.silt), -within, within);
  out.tilt.sand = tilt.sand.centre + tilt.sand.spread * z[at + 3];
  out.tilt.silt = tilt.silt.centre + lean + tilt.silt.spread * z[at + 4];
  out.tilt.clay = tilt.clay.centre + tilt.clay.spread * z[at + 5];
  out.packing.sand = Math.exp(packing.sand.centre + packing.sand.spread * z[at + 6]);
  out.packing.silt = Math.exp(packing.silt.centre + packing.silt.spread * z[at + 7]);
  out.packing.clay = Math.exp(packing.clay.centre + packing.clay.spread * z[at + 8]);
  out.filling = held(PRIORS.filling.centre + PRIORS.filling.spread * z[at + 9], 0, 1);
  out.sinking = Math.max(0, PRIORS.sinking.centre + PRIORS.sinking.spread * z[at + 10]);
  out.flocShare = Math.sin((Math.PI / 2) * normalShare(z[at + 11])) ** 2;
  out.flocUm = Math.exp(PRIORS.flocLn.centre + PRIORS.flocLn.spread * z[at + 12]);
  out.speed = Math.exp(PRIORS.speedLn.centre + PRIORS.speedLn.spread * z[at + 13]);
  out.earlyMarkS = PRIORS.earlyMarkS.centre + PRIORS.earlyMarkS.spread * z[at + 14];
  out.eyeUm = Math.exp(PRIORS.eyeLn.centre + PRIORS.eyeLn.spread * z[at + 15]);
  return out;
}
