import { logRatios } from '../../certainty/calibration.ts';
import type { JarRun } from '../forward.ts';
import { linesOf } from '../looks.ts';
import { CALIBRATED } from '../priors.ts';
import type { Evidence, ReadLine } from './kinds.ts';
import type { Sight } from './sight.ts';

/**
 * What jars of one person differ from a laboratory by: seen of a jar is how far its mass lies from its heights as they are
 * read so, ln of silt and of clay to sand. A Student tail, for now and then a soil is another than those of the pairs.
 */
export function calibrationSight(
  e: Extract<Evidence, { kind: 'calibration' }>,
  from: number,
  o: { stepOf: (timeS: number) => number }
): Sight {
  const { sand, silt, clay } = e.lines;
  const steps = { sand: o.stepOf(sand.timeS), silt: o.stepOf(silt.timeS), clay: o.stepOf(clay.timeS) };
  const heightM = (run: JarRun, { by }: ReadLine, step: number, line: 'sandM' | 'siltM') =>
    by === 'clock' ? run.topM[step] : linesOf(run, step)[line];
  const { scatterLn, freedom } = CALIBRATED;
  const square = scatterLn ** 2 * (1 + 1 / e.pairs);
  return {
    from,
    name: `calibration ${JSON.stringify(e.lines)}`,
    figures: 2,
    look(run, jar, seen, at) {
      const top = run.topM[steps.clay];
      const sandM = Math.min(top, heightM(run, sand, steps.sand, 'sandM'));
      const siltM = Math.min(top, Math.max(sandM, heightM(run, silt, steps.silt, 'siltM')));
      const percent = (part: number) => (100 * part) / top;
      const read = logRatios({
        sand: percent(sandM),
        silt: percent(siltM - sandM),
        clay: percent(top - siltM)
      });
      const made = logRatios({ sand: 100 * jar.sand, silt: 100 * jar.silt, clay: 100 * jar.clay });
      seen[at] = made.silt - read.silt;
      seen[at + 1] = made.clay - read.clay;
    },
    score(seen, at) {
      const off = ((e.siltLog - seen[at]) ** 2 + (e.clayLog - seen[at + 1]) ** 2) / square;
      return -0.5 * (freedom + 2) * Math.log(1 + off / freedom);
    }
  };
}
