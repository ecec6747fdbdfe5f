import { RangeProblem } from '../errors.ts';
import { SAND_TOP_UM } from '../physics/bands.ts';
import { correctedReading, percentFinerAt, sizeAtReading } from './hydrometer.ts';
import { QUARTZ_DENSITY } from '../physics/settling.ts';
import type { Bulb, SieveMass } from './facts.ts';

/** A point of a grading curve, and what it stands on. */
export type CurvePoint = {
  diameterUm: number;
  percentFiner: number;
  /** A reading (its number), a mesh, or the top of the earth under 2 mm, which is known. */
  from: 'reading' | 'sieve' | 'whole';
  no?: number;
};

/** How far beyond its finest reading a curve may be drawn on, as a factor in size. */
export const BEYOND_FACTOR = 1.5;

/**
 * Makes percent finer rise with size by pooling neighbours that fall (isotonic regression, Ayer et al. 1955): a
 * suspension can only lose grains, so a reading that rises within its error is an error.
 *
 * @param points sorted by size
 */
export function monotone(points: readonly CurvePoint[]): CurvePoint[] {
  const pools: { sum: number; points: CurvePoint[] }[] = [];
  for (const point of points) {
    pools.push({ sum: point.percentFiner, points: [point] });
    while (pools.length > 1) {
      const [low, high] = pools.slice(-2);
      if (low.sum / low.points.length <= high.sum / high.points.length) break;
      pools.splice(-2, 2, { sum: low.sum + high.sum, points: [...low.points, ...high.points] });
    }
  }
  return pools.flatMap(({ sum, points: held }) =>
    held.map((p) => ({ ...p, percentFiner: Math.min(100, Math.max(0, sum / held.length)) }))
  );
}

/** Percent finer at each mesh, from what stayed on it and on the coarser ones. */
export function sievePoints(sieves: readonly SieveMass[], ovenDryG: number): CurvePoint[] {
  let retained = 0;
  return [...sieves]
    .sort((a, b) => b.meshUm - a.meshUm)
    .map(({ meshUm, retainedG }) => {
      retained += retainedG;
      return {
        diameterUm: meshUm,
        percentFiner: 100 * Math.max(0, 1 - retained / ovenDryG),
        from: 'sieve' as const
      };
    });
}

/**
 * Joins readings and meshes into one curve up to 2 mm, finest first. Where a mesh is as fine as a reading, the mesh
 * counts: it was weighed.
 */
export function joinCurve(readings: readonly CurvePoint[], sieves: readonly CurvePoint[]): CurvePoint[] {
  const finestMesh = Math.min(Infinity, ...sieves.map((s) => s.diameterUm));
  const top: CurvePoint = { diameterUm: SAND_TOP_UM, percentFiner: 100, from: 'whole' };
  const all = [
    ...readings.filter((r) => r.diameterUm < Math.min(finestMesh, SAND_TOP_UM)),
    ...sieves.filter((s) => s.diameterUm < SAND_TOP_UM),
    top
  ].sort((a, b) => a.diameterUm - b.diameterUm);
  return monotone(all);
}

/**
 * Grading curve of a hydrometer test: size and percent finer at each reading, finest first, rising.
 *
 * @param o.readings time, s; reading and blank, g/L (blank in its sign; left out: corrected for temperature); degC
 * @param o.ovenDryMassG g in one litre
 * @returns um and percent, one point a reading
 * @throws {RangeProblem} for two readings at one time, or fewer than one reading
 */
export function gradingCurve(o: {
  readings: readonly { timeS: number; reading: number; tempC: number; blank?: number }[];
  ovenDryMassG: number;
  particleDensity?: number;
  meniscus?: number;
  bulb?: Bulb;
}): { diameterUm: number; percentFiner: number }[] {
  const particleDensity = o.particleDensity ?? QUARTZ_DENSITY;
  if (o.readings.length === 0) throw new RangeProblem('readings', 'Read the hydrometer at least once.');
  const times = new Set(o.readings.map((r) => r.timeS));
  if (times.size < o.readings.length) {
    throw new RangeProblem('readings', 'Two readings stand at the same second. Take one of them back.');
  }
  const points = o.readings
    .map((r, no): CurvePoint => ({
      diameterUm: sizeAtReading({
        bulb: o.bulb,
        scale: r.reading,
        meniscus: o.meniscus,
        timeS: r.timeS,
        tempC: r.tempC,
        particleDensity
      }),
      percentFiner: percentFinerAt(
        correctedReading(r.reading, r.tempC, r.blank),
        particleDensity,
        o.ovenDryMassG
      ),
      from: 'reading',
      no
    }))
    .sort((a, b) => a.diameterUm - b.diameterUm);
  return monotone(points).map(({ diameterUm, percentFiner }) => ({ diameterUm, percentFiner }));
}

/** A value read off a curve: between two points, or drawn on beyond the finest. */
export type ReadOff = { value: number; how: 'between' | 'beyond' };

type Knot = Pick<CurvePoint, 'diameterUm' | 'percentFiner'>;

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
export function gradingFigures(curve: readonly (Knot & Partial<Pick<CurvePoint, 'from'>>)[]): GradingFigures {
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
