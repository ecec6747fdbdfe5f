import { diceOf } from '../dice.ts';
import { scoreOff, slipOf, type Score } from '../score.ts';

/** Heights as somebody noted them: one share is to be worked out, by height, as every worksheet does it. */
export type TotalTask = {
  key: 'total';
  level: number;
  seed: number;
  /** Thicknesses, mm; none where it is not there. */
  gravelMm: number;
  sandMm: number;
  siltMm: number;
  clayMm: number;
  organicsMm: number;
  waterMm: number;
  jarMm: number;
  /** Whether tops over the inside bottom are noted in place of thicknesses. */
  tops: boolean;
  asked: 'sand' | 'silt' | 'clay';
  truePct: number;
};
export type TotalGiven = { pct: number };

/** What rounding may leave, points. */
const FAIR_POINTS = 0.6;

/** By level: three thicknesses; with the water line; tops in place of thicknesses; an organic skin; gravel. */
export function totalTask(seed: number, level: number): TotalTask {
  const dice = diceOf(seed);
  const sandMm = dice.whole(10, 30);
  const siltMm = dice.whole(6, 22);
  const clayMm = dice.whole(3, 14);
  const gravelMm = level >= 5 ? dice.whole(3, 9) : 0;
  const organicsMm = level >= 4 ? dice.whole(2, 4) : 0;
  const asked = dice.pick(['sand', 'silt', 'clay'] as const);
  const sum = sandMm + siltMm + clayMm;
  const thick = { sand: sandMm, silt: siltMm, clay: clayMm }[asked];
  return {
    key: 'total',
    level,
    seed,
    gravelMm,
    sandMm,
    siltMm,
    clayMm,
    organicsMm,
    waterMm: level >= 2 ? sum + gravelMm + organicsMm + dice.whole(60, 90) : 0,
    jarMm: level >= 2 ? 168 : 0,
    tops: level >= 3,
    asked,
    truePct: (100 * thick) / sum
  };
}

/** Points off; and by which wrong total, where one leads there. */
export function scoreTotal(task: TotalTask, { pct }: TotalGiven): Score {
  const { gravelMm, sandMm, siltMm, clayMm, organicsMm, waterMm, jarMm, asked } = task;
  const thick = { sand: sandMm, silt: siltMm, clay: clayMm };
  const sum = sandMm + siltMm + clayMm;
  const top = gravelMm + sandMm + (asked === 'sand' ? 0 : siltMm) + (asked === 'clay' ? clayMm : 0);
  const over = (whole: number) => (whole > 0 ? (100 * thick[asked]) / whole : undefined);
  const slip = slipOf(
    pct,
    {
      'over-water': over(waterMm),
      'over-glass': over(jarMm),
      'with-organics': organicsMm > 0 ? over(sum + organicsMm) : undefined,
      'with-gravel': gravelMm > 0 ? over(sum + gravelMm) : undefined,
      'top-for-thickness': top !== thick[asked] ? (100 * top) / (sum + gravelMm) : undefined,
      'the-others': 100 - task.truePct
    },
    FAIR_POINTS
  );
  return scoreOff({ by: pct - task.truePct, unit: 'points' }, FAIR_POINTS, slip);
}
