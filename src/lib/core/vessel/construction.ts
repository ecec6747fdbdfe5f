import { RangeProblem, requirePositive } from '../errors.ts';
import { checkVessel } from './checks.ts';
import { volumeToHeight } from './geometry.ts';
import type { ProfilePoint, Vessel } from './vessel.ts';

/** A wall leaning more than this, mm of radius a mm of height, is a shoulder and no taper. */
const SHOULDER_LEAN = 0.14;

/**
 * The measures of a vessel from a few heights and inner diameters: its shoulder is where the wall first leans in more
 * than a taper does.
 *
 * @param points over the inside bottom, mm; sorted here; the first is taken for the bottom, the last for the rim
 * @throws {RangeProblem} on `profile`, saying what to measure
 */
export function vesselFromProfile(
  points: readonly ProfilePoint[],
  o: { kind: Vessel['kind']; baseThicknessMm: number; domeMm?: number; graduationMl?: number | null }
): Vessel {
  const profile = [...points].sort((a, b) => a.heightMm - b.heightMm);
  if (profile.length < 2) {
    throw new RangeProblem(
      'profile',
      'Give the inner diameter at two heights at least: at the bottom and at the rim.'
    );
  }
  for (const [i, { heightMm, diameterMm }] of profile.entries()) {
    if (!(diameterMm > 0) || !(heightMm >= 0) || !Number.isFinite(heightMm + diameterMm)) {
      throw new RangeProblem(
        'profile',
        'Each pair is a height over the inside bottom and a diameter above zero.'
      );
    }
    if (i > 0 && heightMm - profile[i - 1].heightMm < 0.5) {
      throw new RangeProblem('profile', `Two diameters are given for ${Math.round(heightMm)} mm. Keep one.`);
    }
  }
  if (profile[0].heightMm > 0.2 * profile[profile.length - 1].heightMm) {
    throw new RangeProblem(
      'profile',
      'The lowest diameter is taken high up the wall. Measure one near the bottom too.'
    );
  }
  profile[0] = { ...profile[0], heightMm: 0 };
  const shoulder = profile.findIndex((p, i) => {
    const next = profile[i + 1];
    return next && (p.diameterMm - next.diameterMm) / 2 / (next.heightMm - p.heightMm) > SHOULDER_LEAN;
  });
  const rim = profile[profile.length - 1];
  const shoulderHeightMm = shoulder > 0 ? profile[shoulder].heightMm : rim.heightMm;
  const vessel: Vessel = {
    kind: o.kind,
    innerHeightMm: rim.heightMm,
    innerDiameterMm: Math.max(...profile.map((p) => p.diameterMm)),
    baseThicknessMm: o.baseThicknessMm,
    shoulderHeightMm,
    mouthDiameterMm: rim.diameterMm,
    domeMm: o.domeMm ?? 0,
    profile,
    graduationMl: o.graduationMl ?? null
  };
  checkVessel(vessel);
  return vessel;
}

/**
 * The measures of a vessel from what can be had without reaching into it: its capacity to the rim, its outer sizes,
 * and the thickness of the glass. Where the mouth is narrower than the body, the shoulder is put where the capacity
 * asks for it; where it is not, the inner diameter follows from the capacity alone.
 *
 * @throws {RangeProblem} on `capacityMl` when the outer sizes cannot hold that much, or hold far more
 */
export function vesselFromOutside(o: {
  kind: Vessel['kind'];
  capacityMl: number;
  outerHeightMm: number;
  outerDiameterMm: number;
  mouthDiameterMm: number;
  baseThicknessMm: number;
  wallMm: number;
  domeMm?: number;
  graduationMl?: number | null;
}): Vessel {
  for (const key of [
    'capacityMl',
    'outerHeightMm',
    'outerDiameterMm',
    'mouthDiameterMm',
    'wallMm'
  ] as const) {
    requirePositive(key, o[key]);
  }
  const innerHeightMm = o.outerHeightMm - o.baseThicknessMm;
  const body = o.outerDiameterMm - 2 * o.wallMm;
  requirePositive('outerHeightMm', innerHeightMm);
  requirePositive('outerDiameterMm', body);
  const of = (innerDiameterMm: number, shoulderHeightMm: number): Vessel => ({
    kind: o.kind,
    innerHeightMm,
    innerDiameterMm,
    baseThicknessMm: o.baseThicknessMm,
    shoulderHeightMm,
    mouthDiameterMm: Math.min(o.mouthDiameterMm, innerDiameterMm),
    domeMm: o.domeMm ?? 0,
    profile: null,
    graduationMl: o.graduationMl ?? null
  });
  const narrows = o.mouthDiameterMm < body * 0.98;
  const holds = (v: Vessel) => volumeToHeight(v, innerHeightMm);
  const [least, most] = [holds(of(body, innerHeightMm * 0.2)), holds(of(body, innerHeightMm))];
  if (o.capacityMl > most * 1.05 || o.capacityMl < least * 0.8) {
    throw new RangeProblem(
      'capacityMl',
      `A vessel of these outer sizes holds ${Math.round(least)} to ${Math.round(most)} mL. Measure again.`
    );
  }
  let vessel: Vessel;
  if (narrows && o.capacityMl > least && o.capacityMl < most) {
    let [low, high] = [innerHeightMm * 0.2, innerHeightMm];
    for (let i = 0; i < 40; i++) {
      const mid = (low + high) / 2;
      if (holds(of(body, mid)) < o.capacityMl) low = mid;
      else high = mid;
    }
    vessel = of(body, (low + high) / 2);
  } else {
    const fit = Math.sqrt(o.capacityMl / most);
    vessel = of(body * fit, innerHeightMm);
  }
  checkVessel(vessel);
  return vessel;
}

/** A vessel with every diameter multiplied: to let its volume agree with weighed water. */
export function withWidths(v: Vessel, factor: number): Vessel {
  return {
    ...v,
    innerDiameterMm: v.innerDiameterMm * factor,
    mouthDiameterMm: v.mouthDiameterMm * factor,
    profile: v.profile?.map((p) => ({ heightMm: p.heightMm, diameterMm: p.diameterMm * factor })) ?? null
  };
}
