import { FILL } from '../priors.ts';
import type { Evidence } from './kinds.ts';

/** What a fill says of the solids over the floor, ln kg/m2. */
export type Fill = { ln: number; sigma: number };

/** No fill is taken for thinner, mm. */
const THINNEST_MM = 0.1;

/** What a piece of evidence says of the load, where it speaks of it: soil filled by height, or weighed. */
export function fillOf(e: Evidence): Fill | undefined {
  if (e.kind === 'dry-fill')
    return {
      ln: Math.log((FILL.kgM3 * Math.max(THINNEST_MM, e.heightMm)) / 1000),
      sigma: e.sigmaLn ?? FILL.heightLn
    };
  return e.kind === 'weighed' ? { ln: Math.log(e.kgM2), sigma: e.sigmaLn ?? FILL.weighedLn } : undefined;
}

/** Log chance of a fill, but for a constant, where the load is so much, ln kg/m2. */
export const logFill = ({ ln, sigma }: Fill, loadLn: number): number => -0.5 * ((loadLn - ln) / sigma) ** 2;
