/** Units in which people measure a jar. */
export type LengthUnit = 'mm' | 'cm' | 'in';

/** Why a length could not be read; each kind has its own sentence. */
export type LengthErrorKind =
  | 'empty'
  | 'no-number'
  | 'two-numbers'
  | 'bad-fraction'
  | 'zero-denominator'
  | 'negative'
  | 'unknown-unit'
  | 'ambiguous-comma'
  | 'two-units'
  | 'too-long';

/** A length that could not be read. The message says what to type instead. */
export class LengthError extends Error {
  readonly kind: LengthErrorKind;

  constructor(kind: LengthErrorKind, message: string) {
    super(message);
    this.name = 'LengthError';
    this.kind = kind;
  }
}

/** Millimetres in one of each unit. */
export const MM_PER: Readonly<Record<LengthUnit, number>> = { mm: 1, cm: 10, in: 25.4 };

const UNIT_WORDS: Record<string, LengthUnit> = {
  mm: 'mm',
  millimetre: 'mm',
  millimetres: 'mm',
  cm: 'cm',
  centimetre: 'cm',
  centimetres: 'cm',
  in: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in'
};

/** Unicode vulgar fractions by their value as text. */
const GLYPHS: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3'
};

/** Longest length that can be meant on a bench, in mm. */
const LONGEST_MM = 3000;

function normalise(text: string): string {
  let out = text.trim().toLowerCase();
  out = out.replace(/[½¼¾⅛⅜⅝⅞⅓⅔]/g, (glyph) => ` ${GLYPHS[glyph]}`);
  out = out
    .replace(/\u2044/g, '/')
    .replace(/[\u2033\u201c\u201d]|''/g, '"')
    .replace(/\u2212/g, '-');
  return out.replace(/\s+/g, ' ').trim();
}

function splitUnit(text: string, fallback: LengthUnit): { number: string; unit: LengthUnit } {
  const match = /^(.*?)\s*([a-zµ"'.]*[a-zµ"'])\.?$/.exec(text);
  if (!match) return { number: text, unit: fallback };
  const number = match[1].trim();
  const unit = UNIT_WORDS[match[2]];
  if (!/\d/.test(number)) {
    throw new LengthError('no-number', 'No number found. Type a length such as 47 mm, 4.7 cm or 3 1/2 in.');
  }
  if (/[a-z"]/.test(number)) {
    throw new LengthError('two-units', 'Give one length in one unit, such as 47 mm or 3 1/2 in.');
  }
  if (!unit) {
    throw new LengthError('unknown-unit', `"${match[2]}" is not a unit known here. Use mm, cm or in.`);
  }
  return { number, unit };
}

function readDecimal(text: string): number {
  if (/^[1-9]\d{0,2},\d{3}$/.test(text)) {
    const plain = text.replace(',', '');
    throw new LengthError(
      'ambiguous-comma',
      `"${text}" can be read two ways. Type ${plain}, or use a point.`
    );
  }
  return Number(text.replace(',', '.'));
}

function readNumber(text: string): number {
  const decimal = /^(?:\d+(?:[.,]\d*)?|[.,]\d+)$/;
  if (decimal.test(text)) return readDecimal(text);

  const fraction = /^(?:(\d+)(?:\s|\s?-\s?))?(\d+)\s?\/\s?(\d+)$/.exec(text);
  if (fraction) {
    const [, whole = '0', top, bottom] = fraction;
    if (Number(bottom) === 0) {
      throw new LengthError(
        'zero-denominator',
        'A fraction cannot be over zero. Type it like 3 1/2 or 7/16.'
      );
    }
    return Number(whole) + Number(top) / Number(bottom);
  }
  if (text.includes('/')) {
    throw new LengthError('bad-fraction', 'That fraction cannot be read. Type it like 3 1/2 or 7/16.');
  }
  if (/^[\d.,]+[\s-]+[\d.,]+$/.test(text)) {
    throw new LengthError(
      'two-numbers',
      'Two numbers stand here. Type one, such as 25, or a fraction like 2 1/2.'
    );
  }
  throw new LengthError(
    'no-number',
    'This is not a length. Type a length such as 47 mm, 4.7 cm or 3 1/2 in.'
  );
}

/**
 * Reads a length the way people write it: `47`, `4.7cm`, `3.5"`, `3 1/2 in`, `3-1/2"`, `7/16`, `1⅜"`, `0,9 cm`.
 *
 * @param text what was typed
 * @param defaultUnit the unit meant when none is written
 * @returns the length in mm, zero or more
 * @throws {LengthError} with a kind and a sentence that says what to type
 * @example parseLength('3 1/2 in', 'mm') // 88.9
 */
export function parseLength(text: string, defaultUnit: LengthUnit): number {
  const clean = normalise(text);
  if (clean === '') throw new LengthError('empty', 'Type a length, such as 47 mm or 3 1/2 in.');
  if (clean.startsWith('-')) {
    throw new LengthError('negative', 'A length cannot be below zero. Measure up from the inside bottom.');
  }
  const { number, unit } = splitUnit(clean, defaultUnit);
  const mm = readNumber(number) * MM_PER[unit];
  if (mm > LONGEST_MM) {
    throw new LengthError('too-long', `That is ${Math.round(mm / 1000)} m. Check the unit: mm, cm or in.`);
  }
  return mm;
}

/** Converts mm to the given unit. */
export function fromMm(mm: number, unit: LengthUnit): number {
  return mm / MM_PER[unit];
}

/**
 * Inches as the nearest sixteenth, reduced.
 * @example sixteenths(88.9) // '3 1/2'
 */
export function sixteenths(mm: number): string {
  let parts = Math.round((mm / 25.4) * 16);
  const whole = Math.floor(parts / 16);
  parts -= whole * 16;
  if (parts === 0) return String(whole);
  let over = 16;
  while (parts % 2 === 0) {
    parts /= 2;
    over /= 2;
  }
  return `${whole === 0 ? '' : `${whole} `}${parts}/${over}`;
}

/**
 * A length for display: mm to 0.1 where it matters, cm to 0.01, inches as a sixteenth beside the decimal.
 * @param digits mm digits after the point; cm and inch follow from it
 * @example formatLength(88.9, 'in') // '3 1/2 in (3.50)'
 */
export function formatLength(mm: number, unit: LengthUnit, digits = 0): string {
  if (unit === 'mm') return `${mm.toFixed(digits)} mm`;
  if (unit === 'cm') return `${(mm / 10).toFixed(digits + 1)} cm`;
  return `${sixteenths(mm)} in (${(mm / 25.4).toFixed(2)})`;
}

/** A length as it stands in an input field, so that parsing it gives the same length back. */
export function lengthForField(mm: number, unit: LengthUnit): string {
  if (unit === 'in') {
    const near = sixteenths(mm);
    return Math.abs(parseLength(near, 'in') - mm) < 0.005 ? near : trimZeros((mm / 25.4).toFixed(3));
  }
  return trimZeros(fromMm(mm, unit).toFixed(unit === 'mm' ? 1 : 2));
}

function trimZeros(text: string): string {
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text;
}
