import {
  lengthForField,
  LengthError,
  parseDuration,
  parseLength,
  parseWaterTemperature,
  RangeProblem,
  type LengthUnit,
  type TempUnit
} from '../../core/index.ts';
import { t } from '../../words/index.ts';

/** A field that was read: a value, or the sentence that stands beside it. */
export type Read = { value: number; error?: undefined } | { value?: undefined; error: string };

function valueOrProblem(read: () => number): Read {
  try {
    return { value: read() };
  } catch (problem) {
    if (problem instanceof LengthError || problem instanceof RangeProblem) return { error: problem.message };
    throw problem;
  }
}

/** A fraction without a unit: nobody has a ruler in eighths of a millimetre. */
const BARE_FRACTION = /^[\d\s-]*\d\s*[/⁄]\s*\d+$|^[\d\s-]*[½¼¾⅛⅜⅝⅞⅓⅔]$/;

/** Reads a length field, mm. A fraction on a metric ruler is asked about. */
export function readLength(text: string, unit: LengthUnit): Read {
  if (unit !== 'in' && BARE_FRACTION.test(text.trim())) {
    const inches = valueOrProblem(() => parseLength(text, 'in'));
    if (inches.value !== undefined) {
      return { error: t.fields.fraction(text.trim(), lengthForField(inches.value, unit), unit) };
    }
  }
  return valueOrProblem(() => parseLength(text, unit));
}

/** Lengths that differ by less are one, mm: what is typed is rounded to a tenth. */
const SAME_MM = 0.06;

/** A kept length for its field: as it was typed, or written anew where that would mean another under the unit of today. */
export function keptLength(line: { mm: number; text: string } | null | undefined, unit: LengthUnit): string {
  if (!line) return '';
  const read = line.text === '' ? undefined : readLength(line.text, unit).value;
  return read !== undefined && Math.abs(read - line.mm) < SAME_MM ? line.text : lengthForField(line.mm, unit);
}

/** Reads a water temperature field, degC. */
export function readTemperature(text: string, unit: TempUnit): Read {
  return valueOrProblem(() => parseWaterTemperature(text, unit));
}

/** Reads a duration field, s. */
export function readDuration(text: string): Read {
  return valueOrProblem(() => parseDuration(text));
}

export { readNumber } from '../../core/index.ts';
