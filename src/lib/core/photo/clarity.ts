import type { Water } from '../jar/clarity.ts';
import type { StripProfile } from './strip.ts';

/**
 * Colourfulness from which water is called hazy, and cloudy, CIELAB units: clear water before a pale wall stays under five;
 * through water of eight the wall still shows.
 */
const HAZY_CHROMA = 6;
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
): Water | undefined {
  const from = Math.ceil((topMm + MARGIN_MM - fromMm) / rowMm);
  const over = colours.slice(Math.max(0, from));
  if (over.length * rowMm < LEAST_MM) return undefined;
  const sorted = over.map(([, a, b]) => Math.hypot(a, b)).sort((x, y) => x - y);
  const chroma = sorted[sorted.length >> 1];
  if (chroma > CLOUDY_CHROMA) return 'cloudy';
  return chroma > HAZY_CHROMA ? 'hazy' : 'clear';
}
