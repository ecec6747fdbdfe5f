import { RangeProblem } from '../errors.ts';

/** Grain density of stones, and of fine earth as it lies with its pores, g/cm3. */
const STONE_DENSITY = 2.65;
const FINE_EARTH_DENSITY = 1.3;

/**
 * Gravel that was screened out, as percent by volume of the whole soil: stones by their own volume, the fine earth with its
 * pores.
 *
 * @param o.amount what stayed on the sieve, and `o.whole` what was put on it, in one unit
 * @param o.unit grams, or mL in one measure
 * @throws {RangeProblem} on `whole` where it is less than the gravel, or nothing
 * @example gravelVolumePct({ amount: 200, whole: 1000, unit: 'g' }) // 10.9
 */
export function gravelVolumePct(o: { amount: number; whole: number; unit: 'g' | 'mL' }): number {
  if (!(o.whole > 0) || !(o.whole >= o.amount)) {
    throw new RangeProblem(
      'whole',
      'The whole sample is at least what stayed on the sieve. Weigh or measure both alike.'
    );
  }
  if (o.unit === 'mL') return (100 * o.amount) / o.whole;
  const stones = o.amount / STONE_DENSITY;
  return (100 * stones) / (stones + (o.whole - o.amount) / FINE_EARTH_DENSITY);
}

/** Words before a class name, by gravel over the whole soil, percent by volume, from each bound up. */
const WORDS: readonly [number, string][] = [
  [60, 'extremely gravelly'],
  [35, 'very gravelly'],
  [15, 'gravelly']
];

/**
 * The name of a soil with its gravel.
 * Source: Soil Survey Manual, rock fragment modifiers.
 *
 * @param volumePct gravel, percent by volume of the whole
 * @example gravellyName('loam', 20) // 'gravelly loam'
 */
export function gravellyName(className: string, volumePct: number): string {
  const word = WORDS.find(([from]) => volumePct >= from - 1e-9)?.[1];
  return word ? `${word} ${className}` : className;
}
