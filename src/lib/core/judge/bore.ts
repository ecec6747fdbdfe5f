import { USUAL_FIGURES, type Figures } from './figures.ts';
import type { SoilDraws } from './soil-draws.ts';
import { OPEN } from './open.ts';

/** What the sand share says of a bore. */
export type BoreVerdict = {
  /** Mean sand, percent of sand, silt and clay together, and the chance that it reaches the line. */
  sand: number;
  chance: number;
  /** Nine draws in ten lie between these, percent of sand. */
  lowSand: number;
  highSand: number;
  holds: Uint8Array;
  /** `sand`: lift and suspend the cuttings; `clay`: keep it from swelling; near the line it is planned for sand. */
  plan: 'sand' | 'clay' | 'near';
};

/**
 * Judges a bore by its sand share: the chance to be at or over the line, and what to plan for.
 *
 * @param by the line, percent of sand, and how near to it one plans for the sandier case, points
 */
export function judgeBore(
  { shares }: Pick<SoilDraws, 'shares'>,
  { boreLinePct: line, boreNearPoints }: Pick<Figures, 'boreLinePct' | 'boreNearPoints'> = USUAL_FIGURES
): BoreVerdict {
  const count = shares.length / 3;
  const holds = new Uint8Array(count);
  let [sum, over] = [0, 0];
  for (let i = 0; i < count; i++) {
    sum += shares[3 * i];
    holds[i] = shares[3 * i] >= line ? 1 : 0;
    over += holds[i];
  }
  const [sand, chance] = [sum / count, over / count];
  const sorted = shares.filter((_, i) => i % 3 === 0).sort();
  const sandAt = (share: number) => sorted[Math.round(share * (count - 1))];
  const near = Math.abs(sand - line) <= boreNearPoints || (chance > OPEN.from && chance < OPEN.to);
  return {
    sand,
    chance,
    lowSand: sandAt(0.05),
    highSand: sandAt(0.95),
    holds,
    plan: near ? 'near' : sand >= line ? 'sand' : 'clay'
  };
}
