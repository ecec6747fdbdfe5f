/**
 * Reads a number as people type it: a comma will do, and a minus of any kind.
 *
 * @returns NaN for what is no number
 */
export function readNumber(text: string): number {
  const plain = text.trim().replace(',', '.').replace('−', '-');
  return /^-?\d+(\.\d*)?$|^-?\.\d+$/.test(plain) ? Number(plain) : NaN;
}
