import type { Fractions } from '../physics/bands.ts';

const PARTS = ['sand', 'silt', 'clay'] as const;
type Part = (typeof PARTS)[number];

/** A test as it is compared. */
export type Compared = {
  sampleId: string;
  methodKey: string;
  /** Whether its shares are by height, as read; a jar's estimate by mass; or weighed. */
  basis: 'height' | 'estimate' | 'mass';
  fractions: Fractions;
  /** Standard error of each share, points. */
  sd: Fractions;
};

/** How two tests differ, and what the difference can be put down to. */
export type Difference = {
  /** Second less first, points. */
  points: Fractions;
  /** For each part, how sure it is that the second has more, 0-1. */
  more: Fractions;
  /** The part whose difference is surest, and how sure that is. */
  surest: { part: Part; sure: number; secondHasMore: boolean };
  /**
   * `repeat`: one soil by one method, so only reading and sampling can differ; `method`: one soil by two methods or on two
   * bases, so the difference is the method's; `soil`: two soils on one footing (by height that is one method, for its marks
   * cut where they cut); `both`: two soils and two methods, so
   * neither can be told from the other.
   */
  lies: 'repeat' | 'method' | 'soil' | 'both';
};

/** What shares can be compared across soils: heights only of one method, for others mark elsewhere. */
const footing = ({ basis, methodKey }: Compared) => (basis === 'height' ? `height ${methodKey}` : basis);

/** Standard normal distribution function, by the error function of Abramowitz & Stegun 7.1.26; within 1.5e-7. */
export function normalShare(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const poly =
    ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) * t;
  const erf = 1 - poly * Math.exp(-x * x);
  return z >= 0 ? (1 + erf) / 2 : (1 - erf) / 2;
}

/**
 * Distribution function of Student's t, by the normal deviate of Wallace (1959); within 0.002 from three degrees of freedom on.
 * @example studentShare(1, 3) // 0.805
 */
export function studentShare(t: number, df: number): number {
  const z = ((8 * df + 1) / (8 * df + 3)) * Math.sqrt(df * Math.log1p((t * t) / df));
  return normalShare(t >= 0 ? z : -z);
}

/** Standard deviations to either side of the mean that hold nine in ten of a normal distribution. */
export const NINE_IN_TEN_SD = 1.645;

/** Smallest standard error that a difference is judged by, points: nothing is read more finely than this. */
const LEAST_SD = 0.3;

/**
 * Sets two tests against each other: by how many points they differ, how sure each difference is (both errors taken as
 * normal and apart), and whether it can be the soil's.
 */
export function differenceOf(first: Compared, second: Compared): Difference {
  const points = { sand: 0, silt: 0, clay: 0 };
  const more = { sand: 0.5, silt: 0.5, clay: 0.5 };
  for (const part of PARTS) {
    points[part] = second.fractions[part] - first.fractions[part];
    const sd = Math.max(LEAST_SD, Math.hypot(first.sd[part], second.sd[part]));
    more[part] = normalShare(points[part] / sd);
  }
  const [part] = [...PARTS].sort(
    (a, b) => Math.abs(more[b] - 0.5) - Math.abs(more[a] - 0.5) || Math.abs(points[b]) - Math.abs(points[a])
  );
  const secondHasMore = more[part] >= 0.5;
  const sameSoil = first.sampleId === second.sampleId;
  const sameWay = first.methodKey === second.methodKey && first.basis === second.basis;
  return {
    points,
    more,
    surest: { part, sure: secondHasMore ? more[part] : 1 - more[part], secondHasMore },
    lies: sameSoil ? (sameWay ? 'repeat' : 'method') : footing(first) === footing(second) ? 'soil' : 'both'
  };
}

/** Mean of several tests of one soil, and the largest spread between two of them, points. */
export function joinReplicates(all: readonly Fractions[]): { mean: Fractions; spread: number } {
  const mean = { sand: 0, silt: 0, clay: 0 };
  for (const f of all) for (const part of PARTS) mean[part] += f[part] / all.length;
  let spread = 0;
  for (const a of all)
    for (const b of all) for (const part of PARTS) spread = Math.max(spread, Math.abs(a[part] - b[part]));
  return { mean, spread };
}
