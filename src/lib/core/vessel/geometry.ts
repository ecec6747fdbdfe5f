import type { ProfilePoint, Vessel } from './vessel.ts';

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
  // Between two measured diameters the wall leans evenly: the shoulder itself tells what no point below it does.
  const radii = wallOf(v)
    .filter((p) => p.heightMm <= v.shoulderHeightMm)
    .map((p) => p.diameterMm / 2);
  return [...radii, innerRadiusAt(v, v.shoulderHeightMm)].every(
    (radius) => Math.abs(radius - r) <= STRAIGHT_WITHIN * r
  );
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
