/**
 * A value that is there, though its type cannot say so.
 *
 * @param why what makes it certain: the words of the error where it is missing after all
 * @example known(vessels.find((v) => v.id === id), 'every method names a vessel that ships')
 */
export function known<T>(value: T | null | undefined, why: string): T {
  if (value === null || value === undefined) throw new Error(`Missing, though ${why}.`);
  return value;
}

/** The last of a list that has one; an error where it is empty. */
export function lastOf<T>(items: readonly T[]): T {
  return known(items.at(-1), 'this list is never empty');
}
