import { outcomeOf, RangeProblem } from '../errors.ts';
import { parseShare } from './share.ts';

/** Units of volume in the profile. */
export type VolumeUnit = 'L' | 'gal';

const ML_PER_TEASPOON = 4.92892;
const ML_PER_US_QUART = 946.353;

/** A water volume for display: litres, or US quarts for people who work in gallons. */
export function formatVolume(ml: number, unit: VolumeUnit): string {
  if (unit === 'gal') return `${(ml / ML_PER_US_QUART).toFixed(2)} qt`;
  return ml >= 1000 ? `${(ml / 1000).toFixed(2)} L` : `${Math.round(ml)} mL`;
}

/** A dose for display: mL, or teaspoons to the nearest quarter beside the mL. */
export function formatDose(ml: number, unit: VolumeUnit): string {
  const plain = `${ml < 10 ? ml.toFixed(1).replace(/\.0$/, '') : Math.round(ml)} mL`;
  if (unit === 'L') return plain;
  const quarters = Math.max(1, Math.round((ml / ML_PER_TEASPOON) * 4));
  const wholes = Math.floor(quarters / 4);
  const rest = ['', '1/4', '1/2', '3/4'][quarters % 4];
  return `${[wholes || '', rest].filter(Boolean).join(' ')} tsp (${plain})`;
}

/**
 * Measures of a kitchen, mL: US spoons, cups and quarts, and a drop as pharmacies count it. A spoon alone is the large one.
 *
 * @source NIST Handbook 44, appendix C, for spoons, cups and quarts; 20 drops of water a millilitre
 */
const MEASURES_ML: [RegExp, number][] = [
  [/^(tsp|tea ?spoons?( ?fuls?)?)$/, ML_PER_TEASPOON],
  [/^(tbsp|table ?spoons?( ?fuls?)?|spoons?( ?fuls?)?)$/, 3 * ML_PER_TEASPOON],
  [/^drops?$/, 0.05],
  [/^cups?( ?fuls?)?$/, 236.588],
  [/^(qt|quarts?)$/, ML_PER_US_QUART],
  [/^(ml|millilit(re|er)s?|cc)$/, 1],
  [/^(l|lit(re|er)s?)$/, 1000]
];
/** Weights, g. */
const WEIGHTS_G: [RegExp, number][] = [
  [/^(g|grams?)$/, 1],
  [/^(kg|kilos?)$/, 1000],
  [/^(oz|ounces?)$/, 28.349523]
];

/** How many of a measure: 2, 1/2, 1 1/2, a, half a, three quarters of a. */
function countOf(text: string): number {
  const plain = text
    .trim()
    .replace(/\s+(of )?an?$|^an?\s+(?=\S)/, '')
    .trim();
  if (plain === '' || /^an?$|^one$/.test(plain)) return 1;
  const mixed = /^(\d+)(?:\s+|\s*\+\s*)(\d+)\s*\/\s*(\d+)$/.exec(plain);
  if (mixed) return Number(mixed[1]) + Number(mixed[2]) / Number(mixed[3]);
  const fraction = /^(\d+)\s*\/\s*(\d+)$/.exec(plain);
  if (fraction) return Number(fraction[1]) / Number(fraction[2]);
  const number = Number(plain.replace(',', '.'));
  if (Number.isFinite(number)) return number;
  const words = ['two', 'three', 'four', 'five', 'six'].indexOf(plain);
  if (words >= 0) return words + 2;
  return (outcomeOf(() => parseShare(plain)).done ?? NaN) / 100;
}

/**
 * Reads an amount as people measure it in a kitchen: `a teaspoon`, `half a spoon`, `3 drops`, `2 cups`, `5 mL`, `2 g`.
 *
 * @returns mL, or grams where it was weighed
 * @throws {RangeProblem} on `amount` with what to type instead
 * @example readAmount('half a teaspoon') // { ml: 2.46446 }
 */
export function readAmount(text: string): { ml: number } | { grams: number } {
  const match = /^(.*?)\s*([a-z][a-z ]*?)\.?$/.exec(text.trim().toLowerCase());
  const words = match?.[2].split(' ') ?? [];
  // The longest end that is a measure: what stands before it is how many.
  for (let from = 0; from < words.length; from++) {
    const unit = words.slice(from).join(' ');
    const count = () => countOf([match?.[1] ?? '', ...words.slice(0, from)].join(' '));
    const measure = MEASURES_ML.find(([name]) => name.test(unit));
    if (measure && count() > 0) return { ml: count() * measure[1] };
    const weight = WEIGHTS_G.find(([name]) => name.test(unit));
    if (weight && count() > 0) return { grams: count() * weight[1] };
  }
  throw new RangeProblem(
    'amount',
    'Say how much, with its measure: a teaspoon, 1/2 tbsp, 3 drops, 5 mL or 2 g.'
  );
}

/** A gram of dispersant in powder fills about so much, mL: set by hand, for the estimate asks only whether there was any. */
const POWDER_ML_PER_G = 1;

/** A dose as the record counts it, mL. */
export const doseMl = (amount: ReturnType<typeof readAmount>): number =>
  'ml' in amount ? amount.ml : amount.grams * POWDER_ML_PER_G;
