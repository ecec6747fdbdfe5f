import { normalShare } from '../../certainty/difference.ts';
import type { Water } from '../../jar/clarity.ts';
import { WATER_GL } from '../priors.ts';

/** Never quite impossible: an eye may be mistaken. */
const LEAST = 1e-9;

/** Log chance of what an eye says of water that holds so much in mid column, ln g/L. */
export function logWater(seen: Water, ln: number): number {
  const under = (bound: number) => normalShare((Math.log(bound) - ln) / WATER_GL.blurLn);
  const [clear, notCloudy] = [under(WATER_GL.clear), under(WATER_GL.cloudy)];
  const chance = { clear, hazy: notCloudy - clear, cloudy: 1 - notCloudy }[seen];
  return Math.log(Math.max(LEAST, chance));
}
