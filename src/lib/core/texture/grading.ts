/** A value read off a curve: between two points, or drawn on beyond the finest. */
export type ReadOff = { value: number; how: 'between' | 'beyond' };

/** A point of a grading curve, um and percent. */
type Knot = { diameterUm: number; percentFiner: number };

/** How far beyond its finest point a curve may be drawn on, as a factor in size. */
const BEYOND_FACTOR = 1.5;

/**
 * Percent finer than a size: a straight line in (log size, percent finer) between neighbours, drawn on beyond the finest
 * point by at most a factor of 1.5 in size.
 *
 * @param curve finest first
 * @returns undefined where the curve does not reach
 */
export function finerAt(curve: readonly Knot[], diameterUm: number): ReadOff | undefined {
  if (curve.length === 0) return undefined;
  const last = curve[curve.length - 1];
  if (diameterUm >= last.diameterUm) {
    return last.percentFiner >= 100 - 1e-9 || diameterUm === last.diameterUm
      ? { value: last.percentFiner, how: 'between' }
      : undefined;
  }
  const first = curve[0];
  const beyond = diameterUm < first.diameterUm;
  if (beyond && (curve.length < 2 || first.diameterUm / diameterUm > BEYOND_FACTOR * (1 + 1e-9)))
    return undefined;
  const i = beyond ? 1 : curve.findIndex((p) => p.diameterUm >= diameterUm);
  const [a, b] = [curve[Math.max(0, i - 1)], curve[i]];
  if (a.diameterUm === b.diameterUm) return { value: b.percentFiner, how: 'between' };
  const share = Math.log(diameterUm / a.diameterUm) / Math.log(b.diameterUm / a.diameterUm);
  const value = a.percentFiner + share * (b.percentFiner - a.percentFiner);
  return { value: Math.min(100, Math.max(0, value)), how: beyond ? 'beyond' : 'between' };
}

/**
 * Size that a share of the soil is finer than, such as D10 for 10.
 *
 * @param pct percent
 * @returns um; undefined where the curve does not reach
 */
export function sizeAt(curve: readonly Knot[], pct: number): ReadOff | undefined {
  const i = curve.findIndex((p) => p.percentFiner >= pct);
  if (i < 0 || curve.length < 2) return undefined;
  if (i === 0) {
    if (curve[0].percentFiner === pct) return { value: curve[0].diameterUm, how: 'between' };
    const [a, b] = curve;
    const slope = (b.percentFiner - a.percentFiner) / Math.log(b.diameterUm / a.diameterUm);
    if (!(slope > 0)) return undefined;
    const value = a.diameterUm * Math.exp((pct - a.percentFiner) / slope);
    return a.diameterUm / value <= BEYOND_FACTOR ? { value, how: 'beyond' } : undefined;
  }
  const [a, b] = [curve[i - 1], curve[i]];
  const share = (pct - a.percentFiner) / (b.percentFiner - a.percentFiner);
  return { value: a.diameterUm * (b.diameterUm / a.diameterUm) ** share, how: 'between' };
}

/** Figures of a grading: sizes in um; uniformity Cu = D60/D10, curvature Cc = D30^2 / (D10 D60). */
export type GradingFigures = {
  d10?: ReadOff;
  d30?: ReadOff;
  d50?: ReadOff;
  d60?: ReadOff;
  cu?: number;
  cc?: number;
};

/**
 * D10, D30, D50, D60, Cu and Cc of a curve, inside what was read or sieved: up to 2 mm, of which only that all is finer is
 * known, a curve is a guess.
 */
export function gradingFigures(curve: readonly (Knot & { from?: string })[]): GradingFigures {
  const measured = curve.filter((p) => p.from !== 'whole');
  const inside = (pct: number) => {
    const read = sizeAt(measured, pct);
    return read?.how === 'between' ? read : undefined;
  };
  const [d10, d30, d50, d60] = [10, 30, 50, 60].map(inside);
  return {
    d10,
    d30,
    d50,
    d60,
    ...(d10 && d60 ? { cu: d60.value / d10.value } : {}),
    ...(d10 && d30 && d60 ? { cc: d30.value ** 2 / (d10.value * d60.value) } : {})
  };
}
