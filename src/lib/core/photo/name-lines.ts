import type { LayerTops } from '../jar/layers.ts';

/** Layers that a line may be the top of, bottom first. */
const NAMES = ['sand', 'silt', 'clay'] as const;
type Name = (typeof NAMES)[number];

/** What leaving a layer without a line counts, mm: as much as a line that lies this far from where it is looked for. */
const WITHOUT_MM = 12;

/**
 * Says which lines are likely the tops of sand, silt and clay: in order from the bottom, each as near as can be to where
 * it is looked for. Without anything to go by the first three are taken.
 *
 * @param heightsMm bottom first
 * @param expected where the tops are looked for, mm
 * @returns a name, or nothing, for each line
 */
export function nameLines(heightsMm: readonly number[], expected: LayerTops = {}): (Name | '')[] {
  const out = heightsMm.map((): Name | '' => '');
  const asked = NAMES.filter((name) => expected[name] !== undefined);
  if (asked.length === 0) {
    const few: Record<number, Name[]> = { 1: ['clay'], 2: ['sand', 'clay'] };
    (few[heightsMm.length] ?? NAMES).forEach((name, i) => (out[i] = name));
    return out;
  }
  let least = Infinity;
  const choose = (at: number, from: number, cost: number, chosen: [Name, number][]): void => {
    if (cost >= least) return;
    if (at === asked.length) {
      least = cost;
      out.fill('');
      for (const [name, i] of chosen) out[i] = name;
      return;
    }
    for (let i = from; i < heightsMm.length; i++) {
      const away = Math.abs(heightsMm[i] - expected[asked[at]]!);
      choose(at + 1, i + 1, cost + away, [...chosen, [asked[at], i]]);
    }
    choose(at + 1, from, cost + WITHOUT_MM, chosen);
  };
  choose(0, 0, 0, []);
  return out;
}
