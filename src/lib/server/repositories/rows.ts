/** A row that cannot be shown, and why. */
export type Unreadable = { name: string; why: string };

/**
 * Shows every row that can be shown, and says of the rest which they are: one odd row must not take a list down with it.
 *
 * @param nameOf what a row is called where it cannot be shown
 */
export function readableRows<R, T>(
  rows: readonly R[],
  nameOf: (row: R) => string,
  show: (row: R) => T
): { shown: T[]; unreadable: Unreadable[] } {
  const shown: T[] = [];
  const unreadable: Unreadable[] = [];
  for (const row of rows) {
    try {
      shown.push(show(row));
    } catch (problem) {
      unreadable.push({ name: nameOf(row), why: whyNot(problem) });
    }
  }
  return { shown, unreadable };
}

/** What went wrong, in a sentence. */
export function whyNot(problem: unknown): string {
  return problem instanceof Error ? problem.message : String(problem);
}
