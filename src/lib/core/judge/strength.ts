import { RangeProblem } from '../errors.ts';
import { studentShare } from '../certainty/difference.ts';

/** No small press shows more, MPa. */
export const MOST_GAUGE_MPA = 100;
/** Pistons and loaded areas that somebody has, mm and mm2. */
const PISTON_MM = { least: 5, most: 500 };
const AREA_MM2 = { least: 100, most: 1_000_000 };

/** What no press and no block can be, a sentence a field; what is left out can be. */
export function pressProblems(o: { gaugeMpa?: number; pistonMm?: number; areaMm2?: number }): RangeProblem[] {
  const out: RangeProblem[] = [];
  const check = (ok: boolean, field: string, message: string) => {
    if (!ok) out.push(new RangeProblem(field, message));
  };
  const within = (x: number | undefined, { least, most }: { least: number; most: number }) =>
    x === undefined || (x >= least && x <= most);
  check(
    within(o.gaugeMpa, { least: 0, most: MOST_GAUGE_MPA }),
    'gaugeMpa',
    `Give what the gauge showed as it broke, from 0 to ${MOST_GAUGE_MPA} MPa.`
  );
  check(
    within(o.pistonMm, PISTON_MM),
    'pistonMm',
    `Give the width of the piston, from ${PISTON_MM.least} to ${PISTON_MM.most} mm.`
  );
  check(
    within(o.areaMm2, AREA_MM2),
    'areaMm2',
    `Give the area that was pressed, from ${AREA_MM2.least} to ${AREA_MM2.most.toLocaleString('en-GB')} mm².`
  );
  return out;
}

/**
 * Strength of a block from the gauge of a press: force on the piston, over the area that was pressed.
 *
 * @param o.gaugeMpa pressure of the oil as it broke, MPa
 * @param o.pistonMm width of the round piston, mm
 * @param o.areaMm2 loaded area of the block, mm2
 * @returns force, kN, and strength, MPa
 * @throws {RangeProblem} as {@link pressProblems}
 * @example blockStrength({ gaugeMpa: 13.79, pistonMm: 50, areaMm2: 4900 }) // 27.1 kN, 5.53 MPa
 */
export function blockStrength(o: { gaugeMpa: number; pistonMm: number; areaMm2: number }): {
  forceKn: number;
  strengthMpa: number;
} {
  const [problem] = pressProblems(o);
  if (problem) throw problem;
  const newton = o.gaugeMpa * Math.PI * (o.pistonMm / 2) ** 2;
  return { forceKn: newton / 1000, strengthMpa: newton / o.areaMm2 };
}

/**
 * Few pieces tell little of their own spread: it is taken for a fifth of their mean with the weight of three pieces; set by
 * hand.
 */
const USUAL_SPREAD = { share: 0.2, weight: 3 };

/** Strengths of pieces of one kind, MPa: what they come to, and how surely. */
export type Strengths = {
  count: number;
  mean: number;
  lowest: number;
  highest: number;
  /** Standard deviation of one piece, with what is usual counted in. */
  sd: number;
  /** Standard error of the mean, and its degrees of freedom. */
  se: number;
  df: number;
};

/** @returns undefined where there are none */
export function strengthsOf(values: readonly number[]): Strengths | undefined {
  const count = values.length;
  if (count === 0) return undefined;
  const mean = values.reduce((a, b) => a + b, 0) / count;
  const { share, weight } = USUAL_SPREAD;
  const squares = values.reduce((sum, x) => sum + (x - mean) ** 2, 0);
  const df = weight + count - 1;
  const sd = Math.sqrt((weight * (share * mean) ** 2 + squares) / df);
  return {
    count,
    mean,
    lowest: Math.min(...values),
    highest: Math.max(...values),
    sd,
    se: sd / Math.sqrt(count),
    df
  };
}

/** From where to where their mean may lie, one standard error to each side, MPa: above nothing, for no strength is below it. */
export const aboutMean = ({ mean, se }: Strengths): { from: number; to: number } => ({
  from: mean - se,
  to: mean + se
});

/** The chance that such pieces hold a strength on average. @param bound MPa */
export function chanceToHold({ mean, se, df }: Strengths, bound: number): number {
  if (se === 0) return mean >= bound ? 1 : 0;
  return studentShare((mean - bound) / se, df);
}

/** The chance that the first are stronger on average than the second (Welch 1947); even where both are nothing. */
export function chanceStronger(a: Strengths, b: Strengths): number {
  const [va, vb] = [a.se ** 2, b.se ** 2];
  if (va + vb === 0) return a.mean === b.mean ? 0.5 : a.mean > b.mean ? 1 : 0;
  const df = (va + vb) ** 2 / (va ** 2 / a.df + vb ** 2 / b.df);
  return studentShare((a.mean - b.mean) / Math.sqrt(va + vb), df);
}
