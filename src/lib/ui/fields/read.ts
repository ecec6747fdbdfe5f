import {
  lengthForField,
  LengthError,
  parseDuration,
  parseLength,
  parseWaterTemperature,
  RangeProblem,
  type LengthUnit,
  type TempUnit
} from '$lib/core';

/** A field that was read: a value, or the sentence that stands beside it. */
export type Read = { value: number; error?: undefined } | { value?: undefined; error: string };

function attempt(read: () => number): Read {
  try {
    return { value: read() };
  } catch (problem) {
    if (problem instanceof LengthError || problem instanceof RangeProblem) return { error: problem.message };
    throw problem;
  }
}

/** Reads a length field, mm. */
export function readLength(text: string, unit: LengthUnit): Read {
  return attempt(() => parseLength(text, unit));
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
  return attempt(() => parseWaterTemperature(text, unit));
}

/** Reads a duration field, s. */
export function readDuration(text: string): Read {
  return attempt(() => parseDuration(text));
}
