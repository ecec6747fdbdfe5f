import type { LayerRule } from './types.ts';

/** Only two of the three layers were seen: the third is thin, or still up. */
export const twoLayers: LayerRule = ({ reading }) => {
  if (!reading) return undefined;
  const { sand, silt, clay } = reading.tops;
  if (sand === undefined) return undefined;
  if (clay !== undefined && silt === undefined) return { id: 'two-layers', missing: 'silt' };
  if (silt !== undefined && (clay === undefined || clay - silt < 1e-6)) {
    return { id: 'two-layers', missing: 'clay' };
  }
  return undefined;
};
