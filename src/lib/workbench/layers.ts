import type { ReadingEntry } from '../contract/records/reading.ts';

/** The three layers that a class is made of, bottom first. */
export const TEXTURE_LAYERS = ['sand', 'silt', 'clay'] as const;
export type TextureLayer = (typeof TEXTURE_LAYERS)[number];

/**
 * Layers whose top was not placed and of which nobody has said why. A layer is never nothing by silence: either none was seen,
 * or it was not read. One line beside the whole deposit is one share, and asks nothing.
 */
export function unansweredLayers(
  entry: Pick<ReadingEntry, 'lines' | 'unplaced'> & { measuredTotal?: unknown }
): TextureLayer[] {
  const placed = TEXTURE_LAYERS.filter((layer) => entry.lines[layer] !== undefined);
  const alone = placed.length === 1 && placed[0] !== 'clay';
  if (placed.length === 0 || (alone && entry.measuredTotal !== undefined)) return [];
  return TEXTURE_LAYERS.filter((layer) => !entry.lines[layer] && !entry.unplaced?.[layer]);
}
