import { TOP_LINES, type JarTops } from './sheet.ts';

/** What a class made of one line: every reading, its mean and standard deviation, mm. */
export type LineSpread = { line: keyof JarTops; readings: number[]; meanMm: number; sdMm: number };

/**
 * How far the readings of one jar lie apart, line by line.
 *
 * @returns for one reading a spread of 0; nothing for none
 */
export function spreadOf(tops: readonly JarTops[]): LineSpread[] {
  if (tops.length === 0) return [];
  return TOP_LINES.map((line) => {
    const readings = tops.map((one) => one[line]);
    const meanMm = readings.reduce((sum, mm) => sum + mm, 0) / readings.length;
    const squares = readings.reduce((sum, mm) => sum + (mm - meanMm) ** 2, 0);
    return {
      line,
      readings,
      meanMm,
      sdMm: readings.length > 1 ? Math.sqrt(squares / (readings.length - 1)) : 0
    };
  });
}
