import { RangeProblem } from '../errors.ts';
import { addLengths, isSameLength, restOfLength } from '../units/same-length.ts';
import { checkLineOrder, LAYER_ORDER, type LayerName, type LayerTops } from './layers.ts';

/** Layers that a class is made of: each was seen, or somebody says that there was none. */
const TEXTURE = ['sand', 'silt', 'clay'] as const;
type TextureLayer = (typeof TEXTURE)[number];

/** Layers as somebody noted them, mm: how thick each is, or how high its top stands; and the whole deposit, where it was measured. */
export type NotedLayers = Partial<Record<LayerName | 'total', number>>;

/** The same as lines over the inside bottom, mm; layers of which there was none; and the whole, where it was measured apart. */
export type StackedLayers = { tops: LayerTops; none: TextureLayer[]; measuredTotalMm?: number };

/**
 * Lines over the inside bottom from layers as somebody noted them. Of thicknesses one may be missing where the whole is known, of tops
 * that of the clay; one layer beside the whole is a share by itself.
 *
 * @param by what the figures are
 * @throws {RangeProblem} on the layer that is missing, or lies below the one under it; on `total` where it is less than its layers
 * @example stackedTops({ sand: 20, silt: 10, total: 40 }, 'thickness').tops // { sand: 20, silt: 30, clay: 40 }
 */
export function stackedTops(noted: NotedLayers, by: 'thickness' | 'tops'): StackedLayers {
  const missing = TEXTURE.filter((layer) => noted[layer] === undefined);
  const { total } = noted;
  // Of clay alone its top is the whole, and says nothing of its own.
  const alone = by === 'thickness' ? missing.includes('silt') : noted.sand !== undefined;
  if (missing.length === 2 && total !== undefined && alone) return oneBesideTotal(noted, total);
  const known = by === 'thickness' ? { ...noted } : { ...noted, clay: noted.clay ?? total };
  if (by === 'thickness' && missing.length === 1 && total !== undefined) {
    const rest = restOfLength(total, addLengths(...LAYER_ORDER.map((layer) => noted[layer] ?? 0)));
    if (rest < 0) {
      throw new RangeProblem(
        'total',
        'The layers come to more than the whole. Check which of them is wrong.'
      );
    }
    known[missing[0]] = addLengths(rest);
  }
  const open = TEXTURE.find((layer) => known[layer] === undefined);
  if (open) {
    throw new RangeProblem(
      open,
      `The ${open} is missing. Type 0 where there was none, or leave this row out.`
    );
  }
  const out: StackedLayers = { tops: {}, none: [] };
  let below = 0;
  for (const layer of LAYER_ORDER) {
    const own = known[layer];
    if (own === undefined) continue;
    const top = by === 'thickness' ? addLengths(below, own) : own;
    if (!isSameLength(top, below)) out.tops[layer] = top;
    else if (layer !== 'gravel') out.none.push(layer);
    below = top;
  }
  checkLineOrder(out.tops);
  if (below === 0) throw new RangeProblem('sand', 'No layer has a height.');
  return by === 'thickness' && missing.length === 0 && total !== undefined
    ? { ...out, measuredTotalMm: total }
    : out;
}

/** Sand beside the whole, or clay over the rest of it. */
function oneBesideTotal(noted: NotedLayers, totalMm: number): StackedLayers {
  const layer = noted.sand === undefined ? 'clay' : 'sand';
  const mm = noted[layer] ?? 0;
  const rest = restOfLength(totalMm, mm);
  if (rest < 0) throw new RangeProblem('total', 'The whole is less than a layer of it. Check both.');
  const tops = layer === 'sand' ? { sand: mm } : { silt: rest };
  return { tops, none: [], measuredTotalMm: totalMm };
}
