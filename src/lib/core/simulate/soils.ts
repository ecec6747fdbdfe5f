import { evenStream } from '../certainty/draws.ts';
import type { Fractions } from '../physics/bands.ts';

/** A soil of some seed, anywhere on the triangle but its very edge: shares in whole percent. */
export function soilOfSeed(seed: number): Fractions {
  const even = evenStream(seed);
  for (;;) {
    const rest = Math.sqrt(even());
    const clay = Math.round(100 * rest * even());
    const sand = Math.round(100 * (1 - rest));
    const silt = 100 - sand - clay;
    if (sand >= 4 && silt >= 4 && clay >= 3) return { sand, silt, clay };
  }
}
