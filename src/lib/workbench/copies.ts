/** A copy of the record that was made by itself: its file, and what it held when it was checked. */
export type DayCopy = { name: string; at: number; bytes: number; tests: number; samples: number };

/** So many of the newest are kept, and the newest of so many months. */
const DAYS = 7;
const MONTHS = 12;
const COPY_EVERY_MS = 86_400_000;

const monthOf = ({ at }: DayCopy): string => new Date(at).toISOString().slice(0, 7);

/** The copies that are let go: all but the newest seven, and the newest of each of twelve months. */
export function copiesToLetGo(copies: readonly DayCopy[]): DayCopy[] {
  const newest = [...copies].sort((a, b) => b.at - a.at);
  const months = new Map<string, DayCopy>();
  for (const copy of newest) if (!months.has(monthOf(copy))) months.set(monthOf(copy), copy);
  const kept = new Set([...newest.slice(0, DAYS), ...[...months.values()].slice(0, MONTHS)]);
  return newest.filter((copy) => !kept.has(copy));
}

/** Whether another is to be made now. */
export function isCopyDue(copies: readonly DayCopy[], now: number): boolean {
  return copies.every((copy) => now - copy.at >= COPY_EVERY_MS);
}
