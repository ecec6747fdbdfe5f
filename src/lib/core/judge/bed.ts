import { RangeProblem } from '../errors.ts';

/** A bed by what is worked: area, depth, and how dense it lies. */
export type Bed = { areaM2: number; depthMm: number; bulkGCm3: number };

/** A bed where nobody says how large it is, and how deep it is worked. */
export const USUAL_BED: Pick<Bed, 'areaM2' | 'depthMm'> = { areaM2: 10, depthMm: 200 };

/** The largest bed, m2. */
const AREA_MOST = 1e6;

/** A value outside its bounds, as a list of one problem; none where it is inside. */
export const outside = (
  field: string,
  value: number,
  low: number,
  high: number,
  words: string
): RangeProblem[] => (value >= low && value <= high ? [] : [new RangeProblem(field, words)]);

/** An area that no bed has, m2. */
export const areaProblem = (areaM2: number): RangeProblem[] =>
  outside('areaM2', areaM2, Number.MIN_VALUE, AREA_MOST, 'Give the area of the bed, above 0 m².');

/** What no bed is, a sentence a field; empty where all of it can be. */
export const bedProblems = ({ areaM2, depthMm, bulkGCm3 }: Bed): RangeProblem[] => [
  ...areaProblem(areaM2),
  ...outside('depthMm', depthMm, 10, 1000, 'Give the depth that is worked, from 10 mm to 1 m.'),
  ...outside('bulkGCm3', bulkGCm3, 0.3, 2.2, 'Give the density of the soil from 0.3 to 2.2 g/cm³.')
];

/** @throws {RangeProblem} the first of them, where there is one */
export function throwFirst(problems: readonly RangeProblem[]): void {
  if (problems.length > 0) throw problems[0];
}

/** Mass of the dry soil of a bed, kg: a millimetre over a square metre is a litre. @throws {RangeProblem} on its fields */
export function bedMass(bed: Bed): number {
  throwFirst(bedProblems(bed));
  return bed.areaM2 * bed.depthMm * bed.bulkGCm3;
}

/** Whole ones that hold so much: a hair over a whole one is that one. */
export const whole = (much: number, each: number): number => Math.ceil(much / each - 1e-9);
