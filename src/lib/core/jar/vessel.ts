import { RangeProblem, requirePositive } from '../errors.ts';

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
};

/** A vessel with a name, as it is chosen. */
export type NamedVessel = Vessel & { id: string; name: string };

const STANDARD: [string, string, Vessel['kind'], number, number, number, number, number][] = [
  // id, name, kind, inner height, inner diameter, base, shoulder, mouth
  ['jar-half-litre', 'Half-litre jar', 'jar', 116, 79, 4, 92, 66],
  ['jar-litre', 'One-litre jar', 'jar', 156, 94, 5, 128, 76],
  ['jar-litre-tall', 'Tall one-litre jar', 'jar', 176, 88, 5, 146, 70],
  ['jar-two-litre', 'Two-litre jar', 'jar', 224, 112, 6, 190, 88],
  ['cylinder-100', '100 mL cylinder', 'cylinder', 205, 26, 3, 205, 26],
  ['cylinder-1000', '1000 mL cylinder', 'cylinder', 410, 61, 6, 410, 61]
];

/** The six vessels that ship. Typical measures: check your own with a ruler and change them. */
export const STANDARD_VESSELS: readonly NamedVessel[] = STANDARD.map(
  ([id, name, kind, innerHeightMm, innerDiameterMm, baseThicknessMm, shoulderHeightMm, mouthDiameterMm]) => ({
    id,
    name,
    kind,
    innerHeightMm,
    innerDiameterMm,
    baseThicknessMm,
    shoulderHeightMm,
    mouthDiameterMm
  })
);

/**
 * Inner volume up to a height: a straight wall to the shoulder, a cone frustum from there to the mouth.
 *
 * @param heightMm over the inside bottom, mm
 * @returns mL
 */
export function volumeToHeight(vessel: Vessel, heightMm: number): number {
  const h = Math.min(Math.max(heightMm, 0), vessel.innerHeightMm);
  const straight = Math.min(h, vessel.shoulderHeightMm);
  const r = vessel.innerDiameterMm / 2;
  let mm3 = Math.PI * r * r * straight;
  if (h > vessel.shoulderHeightMm) {
    const rise = h - vessel.shoulderHeightMm;
    const t = rise / (vessel.innerHeightMm - vessel.shoulderHeightMm);
    const top = r + t * (vessel.mouthDiameterMm / 2 - r);
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
}
