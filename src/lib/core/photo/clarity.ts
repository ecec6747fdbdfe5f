import type { StripProfile } from './strip.ts';

/** Colourfulness from which water is called cloudy, CIELAB units: clear water before a pale wall stays under five. */
const CLOUDY_CHROMA = 9;
/** Water over the top line that is left out, mm, and the least that is needed to tell, mm. */
const MARGIN_MM = 3;
const LEAST_MM = 10;

/**
 * What a strip says of the water over the sediment: soil that is up gives it a colour of its own.
 *
 * @param topMm top of all that has settled, mm over the inside bottom
 * @returns undefined where the strip shows too little water to tell
 */
export function waterOnStrip(
  { colours, fromMm, rowMm }: Pick<StripProfile, 'colours' | 'fromMm' | 'rowMm'>,
  topMm: number
): 'clear' | 'cloudy' | undefined {
  const from = Math.ceil((topMm + MARGIN_MM - fromMm) / rowMm);
  const over = colours.slice(Math.max(0, from));
  if (over.length * rowMm < LEAST_MM) return undefined;
  const chroma = over.map(([, a, b]) => Math.hypot(a, b)).sort((x, y) => x - y);
  return chroma[chroma.length >> 1] > CLOUDY_CHROMA ? 'cloudy' : 'clear';
}
