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
