import { RangeProblem } from '../errors.ts';
import type { Point } from './polygon.ts';

/** Where a sketch lies on the earth: its lower left corner, degrees, and where its upper edge points. */
export type EarthPlace = {
  lat: number;
  lon: number;
  /** Bearing of the sketch's upward direction, degrees clockwise from north. */
  bearing: number;
};

/** Ellipsoid of WGS 84: semi-major axis, m, and first eccentricity squared. */
const AXIS_M = 6_378_137;
const ECCENTRICITY2 = 6.694_379_990_14e-3;
/** Nearer the poles than this a flat sketch has no east. */
const LAT_MOST = 89;

/** Metres in a degree of latitude and of longitude at a latitude, from the radii of curvature of WGS 84. */
function metresPerDegree(lat: number): { north: number; east: number } {
  const sin2 = Math.sin((lat * Math.PI) / 180) ** 2;
  const root = Math.sqrt(1 - ECCENTRICITY2 * sin2);
  const degree = Math.PI / 180;
  return {
    north: (degree * AXIS_M * (1 - ECCENTRICITY2)) / root ** 3,
    east: (degree * AXIS_M * Math.cos(lat * degree)) / root
  };
}

/**
 * Makes sure that a sketch can lie there.
 * @throws {RangeProblem} on `lat`, `lon` or `bearing`
 */
export function checkEarthPlace(place: EarthPlace): void {
  const within = (field: 'lat' | 'lon' | 'bearing', most: number, words: string) => {
    if (!(Math.abs(place[field]) <= most)) throw new RangeProblem(field, words);
  };
  within('lat', LAT_MOST, `Give the latitude in degrees from -${LAT_MOST} to ${LAT_MOST}.`);
  within('lon', 180, 'Give the longitude in degrees from -180 to 180.');
  within('bearing', 360, 'Give the bearing in degrees from 0 to 360.');
}

/**
 * Where a place of a sketch lies on the earth, as [longitude, latitude] in degrees. The sketch is taken as flat: right
 * to a centimetre within a kilometre.
 */
export function toEarth([x, y]: Point, place: EarthPlace): [number, number] {
  const turn = (place.bearing * Math.PI) / 180;
  const east = x * Math.cos(turn) + y * Math.sin(turn);
  const north = y * Math.cos(turn) - x * Math.sin(turn);
  const degree = metresPerDegree(place.lat);
  return [place.lon + east / degree.east, place.lat + north / degree.north];
}

/** Where a place on the earth, [longitude, latitude] in degrees, lies on a sketch: the inverse of {@link toEarth}. */
export function fromEarth([lon, lat]: readonly [number, number], place: EarthPlace): Point {
  const turn = (place.bearing * Math.PI) / 180;
  const degree = metresPerDegree(place.lat);
  // Across the line where longitudes start anew the short way counts.
  const east = (((((lon - place.lon + 540) % 360) + 360) % 360) - 180) * degree.east;
  const north = (lat - place.lat) * degree.north;
  return [east * Math.cos(turn) - north * Math.sin(turn), north * Math.cos(turn) + east * Math.sin(turn)];
}
