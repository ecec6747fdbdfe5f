import { known } from '../known.ts';
import type { LayerTops } from '../layers/layers.ts';

/** Layers that a line may be the top of, bottom first. */
const NAMES = ['sand', 'silt', 'clay'] as const;
type Name = (typeof NAMES)[number];

/** What leaving a layer without a line counts, mm: as much as a line that lies this far from where it is looked for. */
const WITHOUT_MM = 12;
/** What stretching all of the deposit to e times its height counts, mm: the total is less sure than its shares. */
const STRETCH_MM = 15;
/** What leaving a line over the clay without a name counts, mm. */
const OVER_MM = 4;
/** Stretches beyond this factor are none: the line is another. */
const STRETCH_MOST = 2;

/**
 * Says which lines are likely the tops of sand, silt and clay: in order from the bottom, each as near as can be to where
 * it is looked for, the whole stretched to what was found. Without anything to go by three lines are named by their order,
 * and of more or fewer none: names are asked.
 *
 * @param heightsMm bottom first
 * @param expected where the tops are looked for, mm
 * @returns a name, or nothing, for each line
 */
export function nameLines(heightsMm: readonly number[], expected: LayerTops = {}): (Name | '')[] {
  const asked = NAMES.filter((name) => expected[name] !== undefined);
  const expectedMm = (name: Name) => known(expected[name], 'only lines that are expected are asked for');
  let best = { cost: Infinity, names: heightsMm.map((): Name | '' => '') };
  // Nothing to go by but their order: three lines are those three.
  if (asked.length === 0) return heightsMm.length === NAMES.length ? [...NAMES] : best.names;
  const top = expected.clay ?? Math.max(...asked.map(expectedMm));
  // The uppermost of the deposit may be any of the lines: each is tried, and no stretch at all.
  const tries = [
    { stretch: 1, over: 0 },
    ...heightsMm.map((h, i) => ({ stretch: h / top, over: heightsMm.length - 1 - i }))
  ];
  for (const { stretch, over } of tries) {
    if (!(stretch > 1 / STRETCH_MOST && stretch < STRETCH_MOST)) continue;
    const start = STRETCH_MM * Math.abs(Math.log(stretch)) + OVER_MM * over;
    // One line alone says nothing of a stretch.
    const least = stretch === 1 ? 0 : 2;
    const found = nearest(
      heightsMm,
      asked,
      (name) => stretch * expectedMm(name),
      { start, least },
      best.cost
    );
    if (found) best = found;
  }
  return best.names;
}

/** The names that cost least, if they cost less than `most`; of fewer than `least` lines none. */
function nearest(
  heightsMm: readonly number[],
  asked: readonly Name[],
  at: (name: Name) => number,
  o: { start: number; least: number },
  most: number
): { cost: number; names: (Name | '')[] } | undefined {
  let best: { cost: number; names: (Name | '')[] } | undefined;
  const choose = (no: number, from: number, cost: number, chosen: [Name, number][]): void => {
    if (cost >= (best?.cost ?? most)) return;
    if (no === asked.length) {
      if (chosen.length < o.least) return;
      const names = heightsMm.map((): Name | '' => '');
      for (const [name, i] of chosen) names[i] = name;
      best = { cost, names };
      return;
    }
    for (let i = from; i < heightsMm.length; i++) {
      choose(no + 1, i + 1, cost + Math.abs(heightsMm[i] - at(asked[no])), [...chosen, [asked[no], i]]);
    }
    choose(no + 1, from, cost + WITHOUT_MM, chosen);
  };
  choose(0, 0, o.start, []);
  return best;
}
