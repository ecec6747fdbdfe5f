import { RangeProblem } from '../errors.ts';

/** Hydrometers by their scale: grams a litre, or relative density. */
export const BULBS = ['152H', '151H'] as const;
export type Bulb = (typeof BULBS)[number];

/** Relative density of grains that the scale in grams a litre was made for. */
export const SCALE_GRAINS = 2.65;

/**
 * A reading in grams a litre, whatever the bulb: a 151H shows relative density, which is turned into the grams of
 * usual grains (2.65) that would weigh the water down as much.
 *
 * @param scale as read: g/L of a 152H, relative density (about 1.000-1.038) of a 151H
 * @returns g/L
 */
export function readingInGrams(bulb: Bulb, scale: number): number {
  return bulb === '152H' ? scale : ((scale - 1) * 1000 * SCALE_GRAINS) / (SCALE_GRAINS - 1);
}

/**
 * Effective depth of a bulb: how far over its middle the suspension has cleared. 152H: `16.3 - 0.164 R` cm; a 151H
 * has the same body, so the same line over its own scale.
 *
 * @param scale as read
 * @param meniscus g/L that a reading at its top is raised by
 * @returns mm
 * @throws {RangeProblem} for a reading off the scale
 */
export function effectiveDepth(bulb: Bulb, scale: number, meniscus = 0): number {
  const grams = readingInGrams(bulb, scale);
  if (!(grams >= -10 && grams <= 65)) {
    throw new RangeProblem(
      'value',
      bulb === '152H'
        ? 'A 152H shows -5 to 60 g/L. Read it again.'
        : 'A 151H shows about 0.995 to 1.038. Read it again.'
    );
  }
  return 10 * (16.3 - 0.164 * (grams + meniscus));
}
