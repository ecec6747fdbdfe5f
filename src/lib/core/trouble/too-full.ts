import { fillDoubts } from '../method/fill.ts';
import type { TroubleRule } from './types.ts';

/** Packed with soil: over half of the height to the shoulder, so that grains hinder each other and layers smear. */
export const tooFull: TroubleRule = ({ vessel, soilMm, column }) => {
  const doubt = fillDoubts(vessel, soilMm, column.phi0).find((d) => d.kind === 'too-full');
  if (doubt?.kind !== 'too-full') return undefined;
  return { id: 'too-full', sharePct: doubt.soilSharePct, speedPct: doubt.speedPct };
};
