import { RangeProblem } from '../errors.ts';

const GRAMS = { g: 1, kg: 1000, oz: 28.349523, lb: 453.59237 } as const;

/**
 * Reads a weight as people type it.
 *
 * @returns g, above zero
 * @throws {RangeProblem} on `grams` when it is none
 * @example parseWeight('0,31 kg') // 310
 */
export function parseWeight(text: string): number {
  const match = /^(\d+(?:[.,]\d+)?|[.,]\d+)\s*(g|kg|oz|lb)?$/i.exec(text.trim());
  const unit = (match?.[2]?.toLowerCase() ?? 'g') as keyof typeof GRAMS;
  const grams = match ? Number(match[1].replace(',', '.')) * GRAMS[unit] : NaN;
  if (!(grams > 0))
    throw new RangeProblem('grams', 'Type the weight of the soil as a number, such as 312 or 11 oz.');
  return grams;
}

/** A weight for display: to a gram, to a tenth of one where it is little. */
export function formatWeight(grams: number): string {
  return `${grams >= 100 ? Math.round(grams) : Math.round(grams * 10) / 10} g`;
}
