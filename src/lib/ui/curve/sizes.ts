/** A size with the digits it deserves, um: three figures under ten, whole numbers over a hundred. */
export function sizeText(um: number): string {
  return um >= 100 ? um.toFixed(0) : um >= 10 ? um.toFixed(1) : um.toFixed(2);
}
