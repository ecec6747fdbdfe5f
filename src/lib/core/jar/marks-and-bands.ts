import type { LayerTops } from '../layers/layers.ts';

/** A layer as its timed mark has it and as the eye sees it at the end. */
export type MarkAgainstBand = {
  layer: 'sand' | 'silt' | 'clay';
  markMm: number;
  bandMm: number;
  /** The line seen at the end less the mark, mm. */
  byMm: number;
  /** What two standard errors of two lines allow, mm. */
  allowedMm: number;
  /**
   * `alike`; `sank`: the line lies lower than its mark, the bed has packed since; `finer`: the eye's line lies higher,
   * what came down after the mark looks like the layer under it; `arrived`: more has come down since the last mark.
   */
  means: 'alike' | 'sank' | 'finer' | 'arrived';
};

/**
 * Sets the timed marks of a jar beside the lines seen at the end, where both are known.
 *
 * @param marks heights of the tape, mm over the inside bottom
 * @param tops lines read at the end, mm
 * @param sigmaMm reading error of one line, mm
 */
export function marksAgainstBands(
  marks: readonly { layer: 'sand' | 'silt' | 'clay'; heightMm: number | null }[],
  tops: LayerTops,
  sigmaMm: number
): MarkAgainstBand[] {
  const allowedMm = 2 * Math.SQRT2 * sigmaMm;
  const out: MarkAgainstBand[] = [];
  for (const layer of ['sand', 'silt', 'clay'] as const) {
    const markMm = marks.find((m) => m.layer === layer)?.heightMm;
    const bandMm = tops[layer];
    if (markMm === undefined || markMm === null || bandMm === undefined) continue;
    const byMm = bandMm - markMm;
    const higher = layer === 'clay' ? 'arrived' : 'finer';
    const means = Math.abs(byMm) <= allowedMm + 1e-9 ? 'alike' : byMm < 0 ? 'sank' : higher;
    out.push({ layer, markMm, bandMm, byMm, allowedMm, means });
  }
  return out;
}
