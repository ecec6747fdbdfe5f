import { diceOf } from '../dice.ts';
import type { Score } from '../score.ts';

/** Layers as they come down, bottom first. */
export const COMES_DOWN = ['gravel', 'coarse-sand', 'fine-sand', 'silt', 'clay', 'organics'] as const;
export type Comes = (typeof COMES_DOWN)[number] | 'sand';

/** A jar whose layers are to be named from the bottom up: what lies in it, thickness of each, mm. */
export type OrderTask = {
  key: 'order';
  level: number;
  seed: number;
  layers: { kind: Comes; thickMm: number }[];
  /** The names in no order, to be laid. */
  names: Comes[];
};
export type OrderGiven = { order: readonly string[] };

/** By level: with gravel from the second, organics from the third, two sands from the fourth. */
export function orderTask(seed: number, level: number): OrderTask {
  const dice = diceOf(seed);
  const kinds: Comes[] = [
    ...(level >= 2 ? (['gravel'] as const) : []),
    ...(level >= 4 ? (['coarse-sand', 'fine-sand'] as const) : (['sand'] as const)),
    'silt',
    'clay',
    ...(level >= 3 ? (['organics'] as const) : [])
  ];
  const layers = kinds.map((kind) => ({
    kind,
    thickMm: kind === 'organics' ? dice.whole(2, 4) : dice.whole(6, 22)
  }));
  let names = dice.shuffled(kinds);
  // Never laid out as it is to be answered.
  if (names.every((name, i) => name === kinds[i])) names = names.toReversed();
  return { key: 'order', level, seed, layers, names };
}

/** Points by how many stand in their place. */
export function scoreOrder({ layers }: OrderTask, { order }: OrderGiven): Score {
  const kinds = layers.map((layer) => layer.kind as string);
  const wrong = kinds.filter((kind, i) => order[i] !== kind).length;
  const points = Math.round((100 * (kinds.length - wrong)) / kinds.length);
  const upsideDown =
    order.length === kinds.length && kinds.every((kind, i) => order[kinds.length - 1 - i] === kind);
  const off = { by: wrong, unit: 'classes' } as const;
  if (wrong === 0) return { points, off };
  if (upsideDown) return { points, off, slip: 'upside-down' };
  return { points, off, slip: order.indexOf('clay') < order.indexOf('silt') ? 'clay-below' : undefined };
}
