/**
 * How far each label is moved from its line so that none overlaps another: from the lowest upward, each at least `gap`
 * over the one before.
 *
 * @param places of the lines, px downward
 * @returns shifts in the order of `places`, zero or upward (negative)
 */
export function spreadMarks(places: readonly number[], gap: number): number[] {
  const order = [...places.keys()].sort((a, b) => places[b] - places[a]);
  const out = places.map(() => 0);
  let floor = Infinity;
  for (const i of order) {
    const at = Math.min(places[i], floor - gap);
    out[i] = at - places[i];
    floor = at;
  }
  return out;
}
