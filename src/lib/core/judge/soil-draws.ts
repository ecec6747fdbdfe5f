import { DEFAULT_SEED, normalStream } from '../certainty/draws.ts';
import type { Fractions } from '../physics/bands.ts';
import { groundDraws, type GroundDrainage } from './holes-together.ts';

/** Organic matter that nobody measured, percent: centre and spread. */
export const ORGANIC_UNKNOWN = { pct: 2.5, sd: 1 };
/** Kept within what the equations of soil water hold for, percent. */
const ORGANIC = { least: 0.2, most: 8 };

/** Soils that could be this one: shares of each in percent, sand, silt, clay in turn, and its organic matter. */
export type SoilDraws = {
  shares: Float64Array;
  organic: Float64Array;
  /** Conductivity of the ground by its drainage holes, mm/h; left out where none was dug. */
  drains?: Float64Array;
};

/**
 * Draws of a soil with its organic matter.
 * @param shares sand, silt and clay of each, percent, one after the other
 * @param organic percent, and its spread where it was not measured
 * @param ground how it drains by its holes, where any were dug
 */
export function soilDraws(
  shares: Float64Array,
  organic: { pct: number; sd: number },
  ground?: GroundDrainage | null
): SoilDraws {
  const normal = normalStream(DEFAULT_SEED + 1);
  const count = shares.length / 3;
  return {
    shares,
    ...(ground ? { drains: groundDraws(ground, count) } : {}),
    organic: Float64Array.from({ length: count }, () =>
      organic.sd === 0
        ? organic.pct
        : Math.min(ORGANIC.most, Math.max(ORGANIC.least, organic.pct + organic.sd * normal()))
    )
  };
}

/** So many draws stand for a soil that is known by its shares alone. */
const DRAWS = 300;

/** Writes shares that are none as the nearest that are. */
export function put(out: Float64Array, at: number, sand: number, clay: number): void {
  const s = Math.max(0, sand);
  const c = Math.max(0, clay);
  const over = Math.max(100, s + c) / 100;
  out.set([s / over, Math.max(0, 100 - s / over - c / over), c / over], at);
}

/** Draws about shares that are known with standard errors, points. */
export function sharesAbout(f: Fractions, sd: Pick<Fractions, 'sand' | 'clay'>): Float64Array {
  const normal = normalStream(DEFAULT_SEED);
  const out = new Float64Array(3 * DRAWS);
  for (let i = 0; i < DRAWS; i++) put(out, 3 * i, f.sand + sd.sand * normal(), f.clay + sd.clay * normal());
  return out;
}

/**
 * Soils of more clay than so much, percent, each as likely as the next; what is not clay is made even, and means nothing.
 *
 * @source none: nothing is known of them but that bound
 */
export function claysOver(pct: number): Float64Array {
  const out = new Float64Array(3 * DRAWS);
  for (let i = 0; i < DRAWS; i++) {
    const clay = pct + ((100 - pct) * (i + 0.5)) / DRAWS;
    put(out, 3 * i, (100 - clay) / 2, clay);
  }
  return out;
}

/** Percent of a soil of which one share alone was read: what is left stands as silt, and means nothing. */
export const oneShare = (layer: 'sand' | 'clay', pct: number): Fractions => ({
  sand: 0,
  silt: 100 - pct,
  clay: 0,
  [layer]: pct
});

/** The same draws about another soil, as unsure as they were: what if it were that? */
export function movedShares(shares: Float64Array, from: Fractions, to: Fractions): Float64Array {
  const by = { sand: to.sand - from.sand, clay: to.clay - from.clay };
  const out = new Float64Array(shares.length);
  for (let i = 0; i < shares.length; i += 3) put(out, i, shares[i] + by.sand, shares[i + 2] + by.clay);
  return out;
}

/**
 * A soil whose column has one of its two lines moved, sand below: the layers on both sides of it give and take.
 * @param at share under the line, percent; held between the lines about it
 */
export function moveLine({ sand, silt, clay }: Fractions, line: 'sand' | 'silt', at: number): Fractions {
  const held = (low: number, high: number) => Math.min(high, Math.max(low, at));
  if (line === 'sand') {
    const to = held(0, sand + silt);
    return { sand: to, silt: sand + silt - to, clay };
  }
  const to = held(sand, 100);
  return { sand, silt: to - sand, clay: 100 - to };
}
