import { expect } from 'chai';
import { type Fractions } from '../../../src/lib/core/index.ts';

export const HOUR = 3600;
export const TIMES = [60, 2 * HOUR, 48 * HOUR];
export const near = (a: Fractions, b: Fractions, points: number) => {
  for (const k of ['sand', 'silt', 'clay'] as const) expect(a[k], k).to.be.closeTo(b[k], points);
};
