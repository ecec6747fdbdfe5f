import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { RangeProblem } from '../errors.ts';
import type { Fractions } from '../physics/bands.ts';
import type { Layers } from '../layers/layers.ts';

/** Standard errors of the boundaries, mm: the line each layer starts from and ends at. */
export type BoundarySigmas = { base: number; gravel: number; sand: number; silt: number; clay: number };

/** Usual reading errors of one line, mm. */
export const READING_SIGMA_MM = { ruler: 0.5, sixteenths: 0.8, eye: 2 } as const;

/** Default number of draws, and the seed that makes a result repeatable. */
export const DEFAULT_DRAWS = 20_000;
export const DEFAULT_SEED = 20_50_2;

/** The same reading error on every boundary. */
export function evenSigmas(mm: number): BoundarySigmas {
  return { base: mm, gravel: mm, sand: mm, silt: mm, clay: mm };
}

/** Bits of a seed, each moved by all of them (finish of MurmurHash3): neighbours then start far apart. */
function mixed(seed: number): number {
  let h = seed | 0;
  h = Math.imul(h ^ (h >>> 16), 0x85ebca6b);
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
  return h ^ (h >>> 16);
}

/** The first numbers of the generator still show its seed; so many are left out. */
const LEFT_OUT = 8;

/**
 * A stream of even numbers from 0 up to 1 over a seeded generator. The first of each stream can be used alone: over seeds in
 * a row they are numbers of their own.
 */
export function evenStream(seed: number): () => number {
  const generator = xoroshiro128plus(mixed(seed));
  for (let i = 0; i < LEFT_OUT; i++) generator.next();
  return () => uniformFloat64(generator);
}

/** A stream of standard normal deviates (Box & Muller 1958) over an {@link evenStream}. */
export function normalStream(seed: number): () => number {
  const even = evenStream(seed);
  let spare = 0;
  let hasSpare = false;
  return () => {
    if (hasSpare) {
      hasSpare = false;
      return spare;
    }
    const radius = Math.sqrt(-2 * Math.log(1 - even()));
    const angle = 2 * Math.PI * even();
    spare = radius * Math.sin(angle);
    hasSpare = true;
    return radius * Math.cos(angle);
  };
}

/** Draws of the fractions: triples sand, silt, clay in percent, one after the other. */
export type FractionDraws = { fractions: Float64Array; kept: number; asked: number };

/**
 * Monte Carlo of a reading: every boundary, not every thickness, gets its own normal error, so that neighbouring
 * layers trade against each other as they do in life. Draws whose lines cross are thrown away.
 *
 * @param o.layers thicknesses as read, mm
 * @param o.sigmas standard error of each boundary, mm
 * @returns the kept draws in percent; whether they are enough that is enough to say anything is for {@link tellsApart}
 * @throws {RangeProblem} for a negative error
 */
export function drawFractions(o: {
  layers: Layers;
  sigmas: BoundarySigmas;
  draws?: number;
  seed?: number;
}): FractionDraws {
  const { gravelMm, sandMm, siltMm, clayMm } = o.layers;
  for (const [name, sigma] of Object.entries(o.sigmas)) {
    if (!(sigma >= 0)) throw new RangeProblem(name, 'A reading error must be zero or more, in mm.');
  }
  const asked = o.draws ?? DEFAULT_DRAWS;
  const normal = normalStream(o.seed ?? DEFAULT_SEED);
  // The fines start at the gravel's top where there is gravel, else at the inside bottom.
  const floorSigma = gravelMm > 0 ? o.sigmas.gravel : o.sigmas.base;
  const tops = [gravelMm, gravelMm + sandMm, gravelMm + sandMm + siltMm, gravelMm + sandMm + siltMm + clayMm];
  // A layer that is not there has no line of its own: its top is the line below.
  const has = [sandMm > 0, siltMm > 0, clayMm > 0];
  const out = new Float64Array(asked * 3);
  let kept = 0;
  for (let i = 0; i < asked; i++) {
    const floor = tops[0] + floorSigma * normal();
    const sand = has[0] ? tops[1] + o.sigmas.sand * normal() : floor;
    const silt = has[1] ? tops[2] + o.sigmas.silt * normal() : sand;
    const clay = has[2] ? tops[3] + o.sigmas.clay * normal() : silt;
    const total = clay - floor;
    if (sand < floor || silt < sand || clay < silt || !(total > 0)) continue;
    const k = kept * 3;
    out[k] = (100 * (sand - floor)) / total;
    out[k + 1] = (100 * (silt - sand)) / total;
    out[k + 2] = (100 * (clay - silt)) / total;
    kept += 1;
  }
  return { fractions: out.subarray(0, kept * 3), kept, asked };
}

/** Share of the draws whose lines must not cross for the layers to be told apart at all. */
const TOLD_APART = 0.1;

/** Whether enough draws were kept to say how sure a class is. */
export function tellsApart({ kept, asked }: FractionDraws): boolean {
  return kept >= asked * TOLD_APART;
}

/** Mean and standard deviation of each fraction over the draws, percent. */
export function summariseDraws(draws: Pick<FractionDraws, 'fractions' | 'kept'>): {
  mean: Fractions;
  sd: Fractions;
} {
  const sum = [0, 0, 0];
  const square = [0, 0, 0];
  for (let i = 0; i < draws.kept * 3; i++) {
    const value = draws.fractions[i];
    sum[i % 3] += value;
    square[i % 3] += value * value;
  }
  const mean = sum.map((s) => s / draws.kept);
  const sd = square.map((q, i) => Math.sqrt(Math.max(0, q / draws.kept - mean[i] * mean[i])));
  return {
    mean: { sand: mean[0], silt: mean[1], clay: mean[2] },
    sd: { sand: sd[0], silt: sd[1], clay: sd[2] }
  };
}
