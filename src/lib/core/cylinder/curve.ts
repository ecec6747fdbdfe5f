import { RangeProblem } from '../errors.ts';
import { SAND_TOP_UM } from '../physics/bands.ts';
import { correctedReading, percentFinerAt, sizeAtReading } from './hydrometer.ts';
import { QUARTZ_DENSITY } from '../physics/settling.ts';
import type { Bulb } from '../physics/bulb.ts';
import type { SieveMass } from './facts.ts';

/** A point of a grading curve, and what it stands on. */
export type CurvePoint = {
  diameterUm: number;
  percentFiner: number;
  /** A reading (its number), a mesh, or the top of the earth under 2 mm, which is known. */
  from: 'reading' | 'sieve' | 'whole';
  no?: number;
};

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
  return pools.flatMap(({ sum, points: members }) =>
    members.map((p) => ({ ...p, percentFiner: Math.min(100, Math.max(0, sum / members.length)) }))
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
