import { depositTop, type LayerRule } from './types.ts';

/** Share of stones from which a soil has not been screened, percent of all that settled. */
const STONY_PCT = 35;

/** Stones dominate: the sample was not screened. */
export const stones: LayerRule = (facts) => {
  const [gravelMm, totalMm] = [facts.reading?.tops.gravel, depositTop(facts)];
  if (gravelMm === undefined || totalMm === undefined || !(totalMm > 0)) return undefined;
  const gravelPct = (100 * gravelMm) / totalMm;
  return gravelPct > STONY_PCT ? { id: 'stones', gravelPct } : undefined;
};
