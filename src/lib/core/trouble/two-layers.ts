import type { TroubleRule } from './types.ts';

/** Only two of the three layers were seen: the third is thin, or still up. */
export const twoLayers: TroubleRule = ({ reading, method }) => {
  if (!reading || method.kind === 'bottle') return undefined;
  const { sand, silt, clay } = reading.tops;
  if (sand === undefined) return undefined;
  if (clay !== undefined && silt === undefined) return { id: 'two-layers', missing: 'silt' };
  if (silt !== undefined && (clay === undefined || clay - silt < 1e-6)) {
    return { id: 'two-layers', missing: 'clay' };
  }
  return undefined;
};
