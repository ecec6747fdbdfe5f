import fc from 'fast-check';
import {
  USUAL_FACTS,
  type CylinderFacts,
  type CylinderInput,
  type Fractions
} from '../../../src/lib/core/index.ts';

export const HOUR = 3600;
export const facts = (more: Partial<CylinderFacts> = {}): CylinderFacts => ({
  ...USUAL_FACTS,
  airDryG: 40,
  moisture: { wetG: 30.25, dryG: 30, tinG: 20 },
  ...more
});
export const twoPoint = (more: Partial<CylinderInput> = {}): CylinderInput => ({
  scheme: 'two-point',
  facts: facts(),
  readings: [
    { no: 0, timeS: 40, value: 21, tempC: 20 },
    { no: 1, timeS: 6.5 * HOUR, value: 12, tempC: 20 }
  ],
  blanks: [{ timeS: 60, value: 2, tempC: 20 }],
  ...more
});
export const anySoil = fc
  .tuple(fc.double({ min: 0.02, max: 0.98, noNaN: true }), fc.double({ min: 0.02, max: 0.98, noNaN: true }))
  .map(([a, b]): Fractions => {
    const [low, high] = a < b ? [a, b] : [b, a];
    return { sand: 100 * low, silt: 100 * (high - low), clay: 100 * (1 - high) };
  });
export const CURVE_TIMES = [30, 40, 60, 180, 600, 1800, 3600, 5400, 7200, 6.5 * HOUR, 24 * HOUR];
