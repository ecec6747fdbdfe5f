import { normalShare } from '../../certainty/difference.ts';
import type { Water } from '../../jar/clarity.ts';
import type { ModelJar } from '../forward.ts';
import { waterModel } from '../looks.ts';
import { WATER_GL } from '../priors.ts';
import type { Evidence } from './kinds.ts';
import type { Sight } from './sight.ts';

/** Never quite impossible: an eye may be mistaken. */
const LEAST = 1e-9;
/** Water is not reckoned clearer than this, g/L. */
const LEAST_GL = 1e-4;

/** Log chance of what an eye says of water that holds so much in mid column, ln g/L. */
function logWater(seen: Water, ln: number): number {
  const under = (bound: number) => normalShare((Math.log(bound) - ln) / WATER_GL.blurLn);
  const [clear, notCloudy] = [under(WATER_GL.clear), under(WATER_GL.cloudy)];
  const chance = { clear, hazy: notCloudy - clear, cloudy: 1 - notCloudy }[seen];
  return Math.log(Math.max(LEAST, chance));
}

/** What the water over the sediment looks like: seen of a jar is what it holds in mid column, ln g/L. */
export function waterSight(
  e: Extract<Evidence, { kind: 'water' }>,
  from: number,
  o: { jar: ModelJar; stepOf: (timeS: number) => number }
): Sight {
  const water = waterModel(o.jar);
  const step = o.stepOf(e.atS);
  return {
    from,
    name: `water ${e.atS}`,
    figures: 1,
    look: (run, jar, seen, at) => {
      seen[at] = Math.log(Math.max(LEAST_GL, water(jar, run.tauS[step])));
    },
    score: (seen, at) => logWater(e.seen, seen[at])
  };
}
