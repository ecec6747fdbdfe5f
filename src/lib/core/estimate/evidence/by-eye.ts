import { linesOf } from '../looks.ts';
import { ERRORS } from '../priors.ts';
import type { Evidence } from './kinds.ts';
import type { Sight } from './sight.ts';

/** Shares of a deposit that an eye judged without a ruler: seen of a jar is where its lines lie, percent of its height. */
export function byEyeSight(
  e: Extract<Evidence, { kind: 'by-eye' }>,
  from: number,
  o: { stepOf: (timeS: number) => number }
): Sight {
  const step = o.stepOf(e.atS);
  const sigma = Math.hypot(e.sigmaPct ?? ERRORS.byEye.pct, ERRORS.byEye.modelPct);
  return {
    from,
    name: `by-eye ${e.atS}`,
    figures: 2,
    look(run, _, seen, at) {
      const { sandM, siltM } = linesOf(run, step);
      seen[at] = (100 * sandM) / run.topM[step];
      seen[at + 1] = (100 * siltM) / run.topM[step];
    },
    score: (seen, at) =>
      -0.5 * (((e.sandTopPct - seen[at]) / sigma) ** 2 + ((e.siltTopPct - seen[at + 1]) / sigma) ** 2)
  };
}
