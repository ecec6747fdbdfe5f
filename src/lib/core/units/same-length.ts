/** Lengths nearer than this are one, mm: sums of decimals differ in their last digits only. */
const SAME_MM = 1e-6;
/** Digits of a sum of lengths that mean something, as parts of a mm. */
const PARTS = 1e9;

/** Whether two lengths in mm are one, whatever adding up decimals left in their last digits. */
export const isSameLength = (a: number, b: number): boolean => Math.abs(a - b) < SAME_MM;

/**
 * A sum of lengths in mm without what adding up decimals leaves behind.
 * @example addLengths(0.1, 17.6) // 17.7, not 17.700000000000003
 */
export function addLengths(...mm: number[]): number {
  return Math.round(mm.reduce((sum, one) => sum + one, 0) * PARTS) / PARTS;
}

/**
 * What is left of a length, mm: nothing where both are one; below zero where the part is more than the whole.
 * @example restOfLength(17.7, addLengths(0.1, 17.6)) // 0
 */
export function restOfLength(wholeMm: number, partMm: number): number {
  return isSameLength(wholeMm, partMm) ? 0 : wholeMm - partMm;
}
