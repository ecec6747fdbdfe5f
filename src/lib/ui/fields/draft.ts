import type { LengthUnit } from '$lib/core';
import type { Profile } from '$lib/words/profile';

/** A mesh is spoken of in mm, whatever the ruler, but for those who think in inches. */
export const meshUnit = (unit: LengthUnit): LengthUnit => (unit === 'in' ? 'in' : 'mm');

/** The units in which somebody types, by their profile. */
export type Units = Pick<Profile, 'length' | 'temperature'>;

/** Fields that hold lengths or temperatures, by their name or that of what they stand in: a figure there may lack its unit. */
export type Measured = {
  lengths?: readonly string[];
  temperatures?: readonly string[];
  /** Meshes are spoken of in mm, whatever the ruler, but for those who think in inches. */
  meshes?: readonly string[];
};

/** A figure without a unit. */
const BARE = /^[-\d\s.,/⁄½¼¾⅛⅜⅝⅞⅓⅔]*[\d½¼¾⅛⅜⅝⅞⅓⅔][\d\s.,/⁄½¼¾⅛⅜⅝⅞⅓⅔]*$/;

/**
 * What was typed under other units, as what it meant then: a figure without a unit gets the one that it was typed in, and is
 * otherwise left to the letter.
 *
 * @example underUnits({ soil: '3 1/2' }, { lengths: ['soil'] }, inches, metric) // { soil: '3 1/2 in' }
 */
export function underUnits<T>(typed: T, measured: Measured, was: Units, now: Units): T {
  const changed = (before: string, after: string) => (before === after ? undefined : before);
  const length = changed(was.length, now.length);
  const temperature = changed(`°${was.temperature}`, `°${now.temperature}`);
  const mesh = changed(meshUnit(was.length), meshUnit(now.length));
  const unitOf = (name: string, around: string | undefined) => {
    if (measured.lengths?.includes(name)) return length;
    if (measured.temperatures?.includes(name)) return temperature;
    return measured.meshes?.includes(name) ? mesh : around;
  };
  const walk = (value: unknown, unit: string | undefined): unknown => {
    if (typeof value === 'string') return unit && BARE.test(value) ? `${value.trim()} ${unit}` : value;
    if (Array.isArray(value)) return value.map((one) => walk(one, unit));
    if (!isRecord(value)) return value;
    return Object.fromEntries(
      Object.entries(value).map(([name, one]) => [name, walk(one, unitOf(name, unit))])
    );
  };
  return walk(typed, undefined) as T;
}

/** What was kept, the units that it was typed in, and when, ms; drafts of before those were kept have neither. */
export function draftOf(kept: unknown): { typed: unknown; units?: Units; at?: number } | undefined {
  if (kept === undefined || kept === null) return undefined;
  return isRecord(kept) && 'typed' in kept && isRecord(kept.units)
    ? { typed: kept.typed, units: kept.units as Units, at: Number(kept.at) || undefined }
    : { typed: kept };
}

/**
 * What is being entered, kept in this browser until it is saved, so that a reload loses nothing.
 * Storage may be refused or full: entry then goes on without it.
 */
export function readDraft(key: string): unknown {
  try {
    const text = localStorage.getItem(`tivrel:draft:${key}`);
    return text ? JSON.parse(text) : undefined;
  } catch {
    return undefined;
  }
}

export function keepDraft(key: string, value: unknown): void {
  try {
    localStorage.setItem(`tivrel:draft:${key}`, JSON.stringify(value));
  } catch {
    // No room or not allowed: the entry stays on the page.
  }
}

export function dropDraft(key: string): void {
  try {
    localStorage.removeItem(`tivrel:draft:${key}`);
  } catch {
    // Nothing was kept.
  }
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Plain values by name, and such within them: what an entry without fields of its own may hold. */
function plain(kept: Record<string, unknown>): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(kept).flatMap(([name, value]): [string, unknown][] =>
      ['string', 'number', 'boolean'].includes(typeof value)
        ? [[name, value]]
        : isRecord(value)
          ? [[name, plain(value)]]
          : []
    )
  );
}

/**
 * What of a kept draft fits the form as it is today: an earlier version, or another program, may have written anything.
 * A field whose kind is another is left as the form has it. A field of the form that holds nothing takes what was kept; a
 * form without fields of its own, as texts by number, takes plain values.
 *
 * @param form the form as it stands, before anything was entered
 */
export function fitted<T>(kept: unknown, form: T): T {
  if (form === null || form === undefined) return (kept ?? form) as T;
  if (!isRecord(form)) {
    return (typeof kept === typeof form && Array.isArray(kept) === Array.isArray(form) ? kept : form) as T;
  }
  if (!isRecord(kept)) return form;
  const named = Object.keys(form);
  if (named.length === 0) return plain(kept) as T;
  return Object.fromEntries(
    named.map((name) => [name, name in kept ? fitted(kept[name], form[name]) : form[name]])
  ) as T;
}
