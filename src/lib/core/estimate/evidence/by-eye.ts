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

/** How high a share by eye reaches, mm: dry soil settles to about the height it was filled to. */
export const heightByEye = (pct: number, soilMm: number): number => (pct / 100) * soilMm;

/**
 * Shares by eye from lines of a deposit of any height, gravel taken off: percent of what lies over it.
 *
 * @param lines tops of sand, silt and clay, and the error of a line, all in one unit
 * @returns undefined where one of them was not seen
 */
export function sharesByEye(lines: {
  sand?: number;
  silt?: number;
  clay?: number;
  sigma?: number;
}): Pick<Extract<Evidence, { kind: 'by-eye' }>, 'sandTopPct' | 'siltTopPct' | 'sigmaPct'> | undefined {
  const { sand, silt, clay, sigma } = lines;
  if (sand === undefined || silt === undefined || !clay) return undefined;
  const percent = (line: number) => (100 * line) / clay;
  return {
    sandTopPct: percent(sand),
    siltTopPct: percent(silt),
    ...(sigma ? { sigmaPct: percent(sigma) } : {})
  };
}
