import { RangeProblem } from '../errors.ts';

/** Words for shares, as fractions of the whole. */
const WORDS: Record<string, number> = {
  none: 0,
  nothing: 0,
  all: 1,
  half: 1 / 2,
  third: 1 / 3,
  thirds: 1 / 3,
  quarter: 1 / 4,
  quarters: 1 / 4,
  fourth: 1 / 4,
  fifth: 1 / 5,
  fifths: 1 / 5,
  sixth: 1 / 6,
  eighth: 1 / 8,
  eighths: 1 / 8,
  tenth: 1 / 10,
  tenths: 1 / 10
};
const COUNTS: Record<string, number> = { a: 1, an: 1, one: 1, two: 2, three: 3, four: 4, five: 5 };

/**
 * Reads a share of a whole as people say it: `50`, `50 %`, `1/4`, `about half`, `a quarter`, `two thirds`, `none`.
 *
 * @returns percent, 0-100
 * @throws {RangeProblem} on `share` with what to type instead
 * @example parseShare('about a quarter') // 25
 */
export function parseShare(text: string): number {
  const clean = text
    .trim()
    .toLowerCase()
    .replace(/^(about|roughly|nearly|around|ca\.?|~)\s*/, '')
    .replace(',', '.');
  const said = (pct: number) => {
    if (pct >= 0 && pct <= 100) return pct;
    throw new RangeProblem('share', 'A share lies between nothing and all, 0 to 100 %.');
  };
  const percent = /^(\d+(?:\.\d+)?)\s*(?:%|percent)?$/.exec(clean);
  if (percent) return said(Number(percent[1]));
  const fraction = /^(\d+)\s*\/\s*(\d+)$/.exec(clean);
  if (fraction && Number(fraction[2]) > 0) return said((100 * Number(fraction[1])) / Number(fraction[2]));
  const words = clean.split(/[\s-]+/).filter(Boolean);
  const unit = WORDS[words.at(-1) ?? ''];
  const count = words.length === 1 ? 1 : words.length === 2 ? COUNTS[words[0]] : undefined;
  if (unit !== undefined && count !== undefined) return said(100 * count * unit);
  throw new RangeProblem('share', 'Say it as a share: 50, 1/4, half or two thirds.');
}
