import { RangeProblem, requirePositive } from '../errors.ts';
import { waterDensity } from '../physics/water.ts';

/** Measures of a vessel. Heights are from the inside bottom unless said otherwise. */
export type Vessel = {
  kind: 'jar' | 'cylinder';
  /** Inside bottom to rim, mm. */
  innerHeightMm: number;
  /** Inner diameter of the straight part, mm. */
  innerDiameterMm: number;
  /** Glass under the inside bottom, mm: what a ruler on the table must take off. */
  baseThicknessMm: number;
  /** Height at which the wall stops being straight, mm. */
  shoulderHeightMm: number;
  /** Inner diameter of the mouth, mm. */
  mouthDiameterMm: number;
  /** How far the middle of the bottom stands over its edge, mm: a pushed-up base. None unless given. */
  domeMm?: number;
  /** The wall where it is neither straight nor a plain shoulder: heights and inner diameters, bottom first. */
  profile?: ProfilePoint[] | null;
  /** What a line of the vessel's own scale stands for, mL; none where it has no scale. */
  graduationMl?: number | null;
};

/** An inner diameter at a height over the inside bottom, mm. */
export type ProfilePoint = { heightMm: number; diameterMm: number };

/** A vessel with a name, as it is chosen. */
export type NamedVessel = Vessel & { id: string; name: string };

const STANDARD: [string, string, Vessel['kind'], number, number, number, number, number][] = [
  // id, name, kind, inner height, inner diameter, base, shoulder, mouth
  ['jar-half-litre', 'Half-litre jar', 'jar', 116, 79, 4, 92, 66],
  ['jar-litre', 'One-litre jar', 'jar', 156, 94, 5, 128, 76],
  ['jar-litre-tall', 'Tall one-litre jar', 'jar', 176, 88, 5, 146, 70],
  ['jar-two-litre', 'Two-litre jar', 'jar', 224, 112, 6, 190, 88],
  ['jar-pint', 'Pint jar', 'jar', 120, 74, 4, 98, 60],
  ['jar-quart', 'Quart jar', 'jar', 168, 88, 4, 140, 62],
  ['bottle-half-litre', 'Half-litre bottle', 'jar', 190, 62, 3, 150, 26],
  ['cylinder-100', '100 mL cylinder', 'cylinder', 205, 26, 3, 205, 26],
  ['cylinder-1000', '1000 mL cylinder', 'cylinder', 410, 61, 6, 410, 61]
];

/** The vessels that ship. Typical measures: check your own with a ruler and change them. */
export const STANDARD_VESSELS: readonly NamedVessel[] = STANDARD.map(
  ([id, name, kind, innerHeightMm, innerDiameterMm, baseThicknessMm, shoulderHeightMm, mouthDiameterMm]) => ({
    id,
    name,
    kind,
    innerHeightMm,
    innerDiameterMm,
    baseThicknessMm,
    shoulderHeightMm,
    mouthDiameterMm,
    domeMm: 0,
    profile: null,
    graduationMl: { 'cylinder-100': 1, 'cylinder-1000': 10 }[id] ?? null
  })
);

/**
 * Stands in for a vessel that nobody noted: straight, so that heights stand for volumes, and higher than any jar. It is
 * drawn and checked against, but never offered.
 */
export const UNKNOWN_VESSEL: NamedVessel = {
  id: 'jar-unknown',
  name: 'Vessel not noted',
  kind: 'jar',
  innerHeightMm: 250,
  innerDiameterMm: 90,
  baseThicknessMm: 0,
  shoulderHeightMm: 250,
  mouthDiameterMm: 90,
  domeMm: 0,
  profile: null,
  graduationMl: null
};

/** A wall leaning more than this, mm of radius a mm of height, is a shoulder and no taper. */
const SHOULDER_LEAN = 0.14;
/** A wall whose diameter keeps within this share below the shoulder is straight. */
const STRAIGHT_WITHIN = 0.005;

/** The wall as heights and diameters, bottom first: as it was measured, or a straight wall and a cone to the mouth. */
export function wallOf(v: Vessel): readonly ProfilePoint[] {
  if (v.profile && v.profile.length >= 2) return v.profile;
  const straight = [
    { heightMm: 0, diameterMm: v.innerDiameterMm },
    { heightMm: v.shoulderHeightMm, diameterMm: v.innerDiameterMm }
  ];
  return v.shoulderHeightMm < v.innerHeightMm
    ? [...straight, { heightMm: v.innerHeightMm, diameterMm: v.mouthDiameterMm }]
    : straight;
}

/** Inner radius at a height, mm: straight lines between the measured diameters, held beyond the ends. */
export function innerRadiusAt(v: Vessel, heightMm: number): number {
  const wall = wallOf(v);
  const above = wall.findIndex((p) => p.heightMm >= heightMm);
  if (above === 0) return wall[0].diameterMm / 2;
  if (above === -1) return wall[wall.length - 1].diameterMm / 2;
  const [low, high] = [wall[above - 1], wall[above]];
  const t = (heightMm - low.heightMm) / (high.heightMm - low.heightMm);
  return (low.diameterMm + t * (high.diameterMm - low.diameterMm)) / 2;
}

/** Volume of a cap of a sphere that stands `rise` high over a circle of radius `r`, cut off above `heightMm`, mm3. */
function domeVolume(r: number, rise: number, heightMm: number): number {
  if (!(rise > 0)) return 0;
  const sphere = (r * r + rise * rise) / (2 * rise);
  const cap = (h: number) => (Math.PI * h * h * (3 * sphere - h)) / 3;
  return cap(rise) - cap(Math.max(0, rise - Math.min(heightMm, rise)));
}

/**
 * Inner volume up to a height: frustums of cones between the measured diameters, less the dome of the base.
 *
 * @param heightMm over the inside bottom at the wall, mm
 * @returns mL
 */
export function volumeToHeight(vessel: Vessel, heightMm: number): number {
  const h = Math.min(Math.max(heightMm, 0), vessel.innerHeightMm);
  let mm3 = -domeVolume(innerRadiusAt(vessel, 0), vessel.domeMm ?? 0, h);
  const wall = wallOf(vessel);
  for (let i = 1; i < wall.length && wall[i - 1].heightMm < h; i++) {
    const rise = Math.min(h, wall[i].heightMm) - wall[i - 1].heightMm;
    const r = wall[i - 1].diameterMm / 2;
    const top = innerRadiusAt(vessel, wall[i - 1].heightMm + rise);
    mm3 += (Math.PI * rise * (r * r + r * top + top * top)) / 3;
  }
  return mm3 / 1000;
}

/**
 * Height to which a volume fills a vessel: the inverse of {@link volumeToHeight}, by halving.
 *
 * @param ml mL
 * @returns mm over the inside bottom, the rim at most
 */
export function heightOfVolume(vessel: Vessel, ml: number): number {
  let low = 0;
  let high = vessel.innerHeightMm;
  for (let i = 0; i < 40; i++) {
    const mid = (low + high) / 2;
    if (volumeToHeight(vessel, mid) < ml) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}

/** Whether heights stand for volumes as they are: a flat bottom, and a straight wall up to the shoulder. */
export function isStraight(v: Vessel): boolean {
  if ((v.domeMm ?? 0) > 0) return false;
  const r = innerRadiusAt(v, 0);
  return wallOf(v)
    .filter((p) => p.heightMm <= v.shoulderHeightMm)
    .every((p) => Math.abs(p.diameterMm / 2 - r) <= STRAIGHT_WITHIN * r);
}

/**
 * Heights as they would be in a straight vessel of the same floor as this one has on average under the water: volume
 * over the mean area, so that thicknesses compare as volumes and the water line keeps its height.
 *
 * @param waterMm the water line, mm
 * @returns `levelMm` of a height, mm; `areaRatio` by which an error of a height grows there; `mlPerMm`
 */
export function levelOf(
  vessel: Vessel,
  waterMm: number
): { levelMm(heightMm: number): number; areaRatio(heightMm: number): number; mlPerMm: number } {
  const mlPerMm = volumeToHeight(vessel, waterMm) / waterMm;
  const levelMm = (h: number) => volumeToHeight(vessel, h) / mlPerMm;
  return {
    levelMm,
    areaRatio: (h) => levelMm(Math.max(0, h - 0.5) + 1) - levelMm(Math.max(0, h - 0.5)),
    mlPerMm
  };
}

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

/**
 * Sets the volume by the measures of a vessel against water that was weighed in it.
 *
 * @param waterG mass of the water, g
 * @param toMm how high it stood over the inside bottom, mm
 * @param tempC warmth of the water, degC; 20 unless given
 * @returns both volumes in mL, the difference in percent of the weighed one, what the ruler allows (half a mm on each
 *   diameter and on the height), whether they agree, and by what all diameters would have to be multiplied
 * @throws {RangeProblem} on `waterG` or `toMm`
 */
export function volumeCheck(
  vessel: Vessel,
  o: { waterG: number; toMm: number; tempC?: number }
): {
  byMeasuresMl: number;
  weighedMl: number;
  differencePct: number;
  allowedPct: number;
  agrees: boolean;
  diameterFactor: number;
} {
  if (!(o.waterG > 0) || !Number.isFinite(o.waterG)) {
    throw new RangeProblem('waterG', 'Give the weight of the water alone, in grams: full less empty.');
  }
  if (!(o.toMm > 0) || o.toMm > vessel.innerHeightMm + 1e-9) {
    throw new RangeProblem('toMm', 'Give how high the water stood over the inside bottom, the rim at most.');
  }
  const weighedMl = (1000 * o.waterG) / waterDensity(o.tempC ?? 20);
  const byMeasuresMl = volumeToHeight(vessel, o.toMm);
  const differencePct = (100 * (byMeasuresMl - weighedMl)) / weighedMl;
  const allowedPct = 100 * Math.hypot((2 * 0.5) / vessel.innerDiameterMm, 0.5 / o.toMm) * 2;
  return {
    byMeasuresMl,
    weighedMl,
    differencePct,
    allowedPct,
    agrees: Math.abs(differencePct) <= allowedPct,
    diameterFactor: Math.sqrt(weighedMl / byMeasuresMl)
  };
}

/** A vessel with every diameter multiplied: to let its volume agree with weighed water. */
export function widened(v: Vessel, factor: number): Vessel {
  return {
    ...v,
    innerDiameterMm: v.innerDiameterMm * factor,
    mouthDiameterMm: v.mouthDiameterMm * factor,
    profile: v.profile?.map((p) => ({ heightMm: p.heightMm, diameterMm: p.diameterMm * factor })) ?? null
  };
}

/**
 * Checks the measures of a vessel against each other.
 * @throws {RangeProblem} naming the field and what to measure
 */
export function checkVessel(v: Vessel): void {
  requirePositive('innerHeightMm', v.innerHeightMm);
  requirePositive('innerDiameterMm', v.innerDiameterMm);
  requirePositive('mouthDiameterMm', v.mouthDiameterMm);
  if (!(v.baseThicknessMm >= 0) || v.baseThicknessMm > v.innerHeightMm / 2) {
    throw new RangeProblem(
      'baseThicknessMm',
      'The base is thicker than half the jar. Measure the glass below the inside bottom.'
    );
  }
  if (!(v.shoulderHeightMm > 0) || v.shoulderHeightMm > v.innerHeightMm) {
    throw new RangeProblem('shoulderHeightMm', 'The shoulder must lie between the bottom and the rim.');
  }
  if (v.mouthDiameterMm > v.innerDiameterMm * 1.5) {
    throw new RangeProblem('mouthDiameterMm', 'The mouth is far wider than the jar. Measure both inside.');
  }
  if (!((v.domeMm ?? 0) >= 0) || (v.domeMm ?? 0) > v.innerDiameterMm / 4) {
    throw new RangeProblem(
      'domeMm',
      'The dome is higher than a quarter of the width. Measure its middle again.'
    );
  }
}
