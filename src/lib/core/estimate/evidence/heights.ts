import { EARLY_S, ERRORS } from '../priors.ts';
import type { Evidence } from './kinds.ts';
import { widerBy, type Wider } from './trouble.ts';

/** A height that was read, with what goes into its error, mm. */
export type Height = {
  kind: 'mark' | 'bands';
  line?: 'sand' | 'silt' | 'clay';
  timeS: number;
  readMm: number;
  sigmaMm: number;
  /** What of that error comes of trouble. */
  wider: readonly Wider[];
  /** Made in the first minutes, by a hand that takes seconds. */
  hurried: boolean;
  /** Places in the evidence of what it comes from. */
  from: number[];
};

/** Two heights of one top at one time stand for one: their model error is the same. */
const SAME_TIME = 1.02;

const errorOf = (lineMm: number, heightMm: number, { mm, share }: { mm: number; share: number }) =>
  Math.hypot(lineMm, mm, share * heightMm);

/** Heights that the model is held against: tops in the order of the evidence, then the lines under them. */
export function heightsOf(evidence: readonly Evidence[]): Height[] {
  type Top = Pick<Height, 'kind' | 'timeS' | 'readMm' | 'from'> & { lineMm: number };
  const tops: Top[] = [];
  const lines: Omit<Height, 'wider'>[] = [];
  evidence.forEach((e, i) => {
    if (e.kind === 'mark')
      tops.push({
        kind: 'mark',
        timeS: e.timeS,
        readMm: e.heightMm,
        lineMm: e.sigmaMm ?? ERRORS.line,
        from: [i]
      });
  });
  evidence.forEach((e, i) => {
    if (e.kind !== 'bands') return;
    const { sand = ERRORS.line, silt = ERRORS.line, clay = ERRORS.line } = e.sigmaMm ?? {};
    const at = { kind: 'bands' as const, timeS: e.atS, hurried: false, from: [i] };
    const { sandTopMm, siltTopMm, clayTopMm } = e;
    if (sandTopMm !== undefined)
      lines.push({
        ...at,
        line: 'sand',
        readMm: sandTopMm,
        sigmaMm: errorOf(sand, sandTopMm, ERRORS.sandLine)
      });
    if (siltTopMm !== undefined)
      lines.push({
        ...at,
        line: 'silt',
        readMm: siltTopMm,
        sigmaMm: errorOf(silt, siltTopMm, ERRORS.siltLine)
      });
    if (clayTopMm === undefined) return;
    const twin = tops.find((m) => m.timeS / e.atS < SAME_TIME && e.atS / m.timeS < SAME_TIME);
    if (!twin) tops.push({ kind: 'bands', timeS: e.atS, readMm: clayTopMm, lineMm: clay, from: [i] });
    else {
      // Read twice: the mean, weighed by the lines.
      const [a, c] = [1 / twin.lineMm ** 2, 1 / clay ** 2];
      twin.readMm = (a * twin.readMm + c * clayTopMm) / (a + c);
      twin.lineMm = 1 / Math.sqrt(a + c);
      twin.from.push(i);
    }
  });
  const all = [
    ...tops.map(({ lineMm, ...top }): Omit<Height, 'wider'> => ({
      ...top,
      ...(top.kind === 'bands' ? { line: 'clay' as const } : {}),
      sigmaMm: errorOf(lineMm, top.readMm, ERRORS.mark),
      hurried: top.kind === 'mark' && top.timeS <= EARLY_S
    })),
    ...lines
  ];
  return all.map((h): Height => {
    const wider = widerBy(evidence, h);
    return { ...h, sigmaMm: Math.hypot(h.sigmaMm, ...wider.map((w) => w.mm)), wider };
  });
}

/** The variance of a height, without the trouble in one place of the evidence, if wanted, mm2. */
function variance(h: Height, without: number): number {
  let s2 = h.sigmaMm * h.sigmaMm;
  if (without >= 0) for (const w of h.wider) if (w.from === without) s2 -= w.mm * w.mm;
  return s2;
}

/**
 * Log chance of heights that the model expects elsewhere, all under one error of the base: r' S^-1 r with
 * S = diag(sigma^2) + base^2. The line under clay has a Student tail, whose weight goes into the base's as it does in an
 * iterated fit.
 *
 * @param seen what the model expects, in the order of the heights, mm, from `at` on
 * @param without place in the evidence of a piece that is left out
 */
export function logHeights(
  heights: readonly Height[],
  seen: Float64Array,
  at: number,
  without: number
): number {
  let weights = 1 / ERRORS.base ** 2;
  let pull = 0;
  let square = 0;
  let tails = 0;
  const freedom = ERRORS.siltFreedom;
  for (let i = 0; i < heights.length; i++) {
    const h = heights[i];
    if (without >= 0 && h.from.includes(without)) continue;
    const r = h.readMm - seen[at + i];
    const s2 = variance(h, without);
    let w = 1 / s2;
    if (h.line === 'silt') {
      w = (freedom + 1) / (freedom * s2 + r * r);
      tails += -0.5 * (freedom + 1) * Math.log(1 + (r * r) / (freedom * s2)) + 0.5 * w * r * r;
    }
    weights += w;
    pull += w * r;
    square += w * r * r;
  }
  return tails - 0.5 * (square - (pull * pull) / weights);
}
