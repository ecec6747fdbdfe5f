import { settlingVelocity } from '../physics/settling.ts';
import { FLOC_CROWDING } from './priors.ts';
import { BANDS, FLOC_SIZES, sizeClasses } from './sizes.ts';
import type { JarMake } from './unknowns.ts';

/** A class crowds the column fully until one part in so many of it is still up. */
export const CROWDS_UNTIL = 6;

/** First class of each band of sand, silt, clay and flocs, and the end of the last. */
const EDGES = [0];
for (const { classes } of [...BANDS, { classes: FLOC_SIZES.length }])
  EDGES.push(EDGES[EDGES.length - 1] + classes);
const KINDS = EDGES.length - 1;
const FLOCS = KINDS - 1;
const GRAINS = EDGES[FLOCS];

/** Shares of all solids that lie on the bottom, 0 to 1. */
export type Down = { sand: number; silt: number; clay: number; coarse: number };

/**
 * The solids of a jar that still fall, by size.
 *
 * A size that falls is down by `speed tau + met`: tau is the warped time of free fall, s, met how far up the bed has come
 * to meet it, as a share of the column. That is linear in both, so with sums from each size to the end of its band a band
 * costs the same for nine sizes as for one. Both only grow.
 */
export function suspension(o: { columnM: number; tempC: number; particleDensity: number }) {
  const grains = sizeClasses(o);
  const flocSpeed = settlingVelocity({ ...o, diameterUm: 1 });
  const share = new Float64Array(EDGES[KINDS]);
  /** Columns fallen in a second. */
  const speed = new Float64Array(EDGES[KINDS]);
  /** Sums to the end of the band of shares, shares by speed, and both by how coarse they look; each band has a slot more. */
  const sums = () => new Float64Array(EDGES[KINDS] + KINDS);
  const shares = sums();
  const speeds = sums();
  const coarseShares = sums();
  const coarseSpeeds = sums();
  /** Of each band: its first class that still falls, and its first that still crowds fully. */
  const falls = new Int32Array(KINDS);
  const crowds = new Int32Array(KINDS);
  const lies = new Float64Array(KINDS);
  const down: Down = { sand: 0, silt: 0, clay: 0, coarse: 0 };

  /** Shares of all solids by class, and how fast each falls, from what a jar is made of. */
  function spread(jar: JarMake): void {
    for (let b = 0; b < FLOCS; b++) {
      const { name } = BANDS[b];
      const tilt = jar.tilt[name];
      const mass = name === 'clay' ? jar.clay * (1 - jar.flocShare) : jar[name];
      let sum = 0;
      for (let c = EDGES[b]; c < EDGES[b + 1]; c++)
        sum += share[c] = Math.exp(tilt * grains[c].u) * grains[c].bent;
      for (let c = EDGES[b]; c < EDGES[b + 1]; c++) {
        share[c] *= mass / sum;
        speed[c] = (grains[c].speed * jar.speed) / o.columnM;
      }
    }
    for (let i = 0; i < FLOC_SIZES.length; i++) {
      const um = jar.flocUm * FLOC_SIZES[i];
      share[GRAINS + i] = (jar.clay * jar.flocShare) / FLOC_SIZES.length;
      speed[GRAINS + i] = (flocSpeed * um * um * jar.speed) / o.columnM;
    }
  }

  /**
   * Fills the column with a jar, all of it up. Flocs look like the clay they are of.
   *
   * @param classes shares of all solids by class, where they are not those of the jar
   */
  function fill(jar: JarMake, classes?: ArrayLike<number>): void {
    spread(jar);
    if (classes) share.set(classes);
    const eyeLn = Math.log(jar.eyeUm);
    for (let b = 0; b < KINDS; b++) {
      let end = EDGES[b + 1] + b;
      shares[end] = speeds[end] = coarseShares[end] = coarseSpeeds[end] = 0;
      for (let c = EDGES[b + 1] - 1; c >= EDGES[b]; c--, end--) {
        const coarse = b === FLOCS ? 0 : shareOver(grains[c], eyeLn);
        const moving = share[c] * speed[c];
        shares[end - 1] = shares[end] + share[c];
        speeds[end - 1] = speeds[end] + moving;
        coarseShares[end - 1] = coarseShares[end] + share[c] * coarse;
        coarseSpeeds[end - 1] = coarseSpeeds[end] + moving * coarse;
      }
      falls[b] = crowds[b] = EDGES[b];
    }
  }

  /** How much of the solids crowds the column now, as a share of all; flocs more than their grains. */
  function crowding(tau: number, met: number): number {
    let up = 0;
    for (let b = 0; b < KINDS; b++) {
      const end = EDGES[b + 1];
      while (falls[b] < end && speed[falls[b]] * tau + met >= 1) falls[b]++;
      if (falls[b] === end) continue;
      if (crowds[b] < falls[b]) crowds[b] = falls[b];
      while (crowds[b] < end && speed[crowds[b]] * tau + met > 1 - 1 / CROWDS_UNTIL) crowds[b]++;
      const p = falls[b] + b;
      const q = crowds[b] + b;
      const thins = (shares[p] - shares[q]) * (1 - met) - (speeds[p] - speeds[q]) * tau;
      up += (b === FLOCS ? FLOC_CROWDING : 1) * (shares[q] + CROWDS_UNTIL * thins);
    }
    return up;
  }

  /** What lies on the bottom by now; written over by the next call. */
  function settle(tau: number, met: number): Down {
    let coarse = 0;
    for (let b = 0; b < KINDS; b++) {
      const end = EDGES[b + 1];
      let c = falls[b];
      while (c < end && speed[c] * tau + met >= 1) c++;
      falls[b] = c;
      c += b;
      const all = EDGES[b] + b;
      lies[b] = shares[all] - shares[c] + speeds[c] * tau + shares[c] * met;
      coarse += coarseShares[all] - coarseShares[c] + coarseSpeeds[c] * tau + coarseShares[c] * met;
    }
    down.sand = lies[0];
    down.silt = lies[1];
    down.clay = lies[2] + lies[FLOCS];
    down.coarse = coarse;
    return down;
  }

  /** Of each class, coarse first and flocs last: its share of all solids, and columns that it falls in a second. */
  const classes = { share, speed, bands: EDGES };
  return { fill, crowding, settle, classes };
}

/** Share of a class that is coarser than a size, ln um. */
function shareOver({ topLn, bottomLn }: { topLn: number; bottomLn: number }, ln: number): number {
  return Math.min(1, Math.max(0, (topLn - ln) / (topLn - bottomLn)));
}
