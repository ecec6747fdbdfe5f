import { z } from 'zod';
import {
  fromEarth,
  HISTORIES,
  toEarth,
  type EarthPlace,
  type History,
  type Outline,
  type Point,
  lastOf
} from '../core/index.ts';
import { PURPOSES, type Purpose } from '../contract/records/sample.ts';
import type { SiteDetail } from '../contract/records/ground.ts';
import { refusals } from '../words/refusals.ts';

/**
 * Areas and spots as GeoJSON. With a place on the earth the coordinates are longitude and latitude (RFC 7946); without
 * one they are metres on the sketch, east and north, and the collection says so in a member of its own,
 * `"localMetres": true`.
 */

type Properties = Record<string, string | number | boolean | string[] | null>;
type Geometry = { type: 'Polygon'; coordinates: number[][][] } | { type: 'Point'; coordinates: number[] };
type Feature = { type: 'Feature'; id: string; geometry: Geometry; properties: Properties };
export type GroundFile = {
  type: 'FeatureCollection';
  name: string;
  localMetres?: true;
  features: Feature[];
};

/** Digits after the point: a centimetre, in metres and in degrees. */
const [METRE_DIGITS, DEGREE_DIGITS] = [3, 8];

/** A site as GeoJSON. */
export function groundToGeoJson(site: SiteDetail): GroundFile {
  const { earth } = site.sketch;
  const digits = earth ? DEGREE_DIGITS : METRE_DIGITS;
  const place = (p: Point) => (earth ? toEarth(p, earth) : p).map((v) => Number(v.toFixed(digits)));
  const features = site.areas.flatMap((area): Feature[] => [
    {
      type: 'Feature',
      id: area.id,
      geometry: { type: 'Polygon', coordinates: [ringOf(area.outline).map(place)] },
      properties: {
        kind: 'area',
        code: area.code,
        name: area.name,
        purpose: area.purpose,
        history: area.history,
        note: area.note
      }
    },
    ...area.spots.map((spot): Feature => ({
      type: 'Feature',
      id: spot.id,
      geometry: { type: 'Point', coordinates: place([spot.x, spot.y]) },
      properties: {
        kind: 'spot',
        area: area.id,
        no: spot.no,
        takenAt: spot.takenAt === null ? null : new Date(spot.takenAt).toISOString(),
        depthFromMm: spot.depthFrom?.mm ?? null,
        depthToMm: spot.depthTo?.mm ?? null,
        note: spot.note
      }
    }))
  ]);
  return { type: 'FeatureCollection', name: site.name, ...(earth ? {} : { localMetres: true }), features };
}

/** The ring of an outline: closed, and counter-clockwise as the standard asks. */
function ringOf(outline: Outline): Point[] {
  let twice = 0;
  for (const [i, [x, y]] of outline.entries()) {
    const [x2, y2] = outline[(i + 1) % outline.length];
    twice += x * y2 - x2 * y;
  }
  const ring = twice < 0 ? [...outline].reverse() : [...outline];
  return [...ring, ring[0]];
}

/** A file that cannot be taken in, with a sentence that says why and what to do. */
export class GeoJsonError extends Error {
  constructor(message: string) {
    super(message);
    this.name = 'GeoJsonError';
  }
}

export type FoundArea = {
  /** Id in the file, or its place in it. */
  ref: string;
  name: string;
  purpose: Purpose;
  history: History[];
  note: string;
  outline: Point[];
};
export type FoundSpot = {
  areaRef: string;
  place: Point;
  depthFromMm: number | null;
  depthToMm: number | null;
  note: string;
};
/** What a file holds, in metres on the sketch. */
export type FoundGround = {
  areas: FoundArea[];
  spots: FoundSpot[];
  /** Where the sketch lies if the file says so and the site did not know. */
  earth: EarthPlace | null;
  /** Whether the file gave metres rather than degrees. */
  local: boolean;
  /** What was left out, in words. */
  left: string[];
};

/** Largest file that is read, bytes. */
export const GEOJSON_MOST = 2_000_000;

const coordinate = z.array(z.number()).min(2);
const geometry = z.union([
  z.object({ type: z.literal('Polygon'), coordinates: z.array(z.array(coordinate)).min(1) }),
  z.object({ type: z.literal('MultiPolygon'), coordinates: z.array(z.array(z.array(coordinate)).min(1)) }),
  z.object({ type: z.literal('Point'), coordinates: coordinate }),
  z.object({
    type: z.enum(['LineString', 'MultiLineString', 'MultiPoint', 'GeometryCollection'])
  })
]);
const collection = z.object({
  type: z.literal('FeatureCollection'),
  localMetres: z.boolean().optional(),
  features: z.array(
    z.object({
      type: z.literal('Feature'),
      id: z.union([z.string(), z.number()]).optional(),
      geometry: geometry.nullable(),
      properties: z.record(z.string(), z.unknown()).nullable().default({})
    })
  )
});

type RawArea = Omit<FoundArea, 'outline'> & { ring: Point[] };
type RawSpot = Omit<FoundSpot, 'place' | 'areaRef'> & { areaRef: string | undefined; at: Point };

function parse(text: string): z.output<typeof collection> {
  if (text.length > GEOJSON_MOST) {
    throw new GeoJsonError(refusals.ground.fileTooLarge);
  }
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    throw new GeoJsonError(refusals.ground.fileNotJson);
  }
  const read = collection.safeParse(raw);
  if (read.success) return read.data;
  const type = (raw as { type?: unknown } | null)?.type;
  if (type !== 'FeatureCollection') {
    throw new GeoJsonError(
      refusals.ground.notGeojsonFeatureCollection(
        typeof type === 'string' ? `, but "${type.slice(0, 30)}"` : ''
      )
    );
  }
  const { path, message } = read.error.issues[0];
  throw new GeoJsonError(refusals.ground.geojsonCannotRead(path.join('.'), message));
}

const text = (value: unknown, most: number) => (typeof value === 'string' ? value.trim().slice(0, most) : '');
const depth = (value: unknown) => (typeof value === 'number' && value >= 0 && value <= 3000 ? value : null);

/** The corners of a ring without the repeated last one. */
function cornersOf(ring: number[][]): Point[] {
  const corners = ring.map(([x, y]): Point => [x, y]);
  if (corners.length < 2) return corners;
  const [first, last] = [corners[0], lastOf(corners)];
  return first[0] === last[0] && first[1] === last[1] ? corners.slice(0, -1) : corners;
}

function sortOut(file: z.output<typeof collection>, purpose: Purpose) {
  const areas: RawArea[] = [];
  const spots: RawSpot[] = [];
  let [holes, others] = [0, 0];
  for (const [i, feature] of file.features.entries()) {
    const p = feature.properties ?? {};
    const shape = feature.geometry;
    const area = (rings: number[][][], ref: string) => {
      holes += rings.length - 1;
      const history = Array.isArray(p.history)
        ? HISTORIES.filter((h) => (p.history as unknown[]).includes(h))
        : [];
      areas.push({
        ref,
        name: text(p.name, 80) || `Area ${areas.length + 1}`,
        purpose: PURPOSES.find((q) => q === p.purpose) ?? purpose,
        history,
        note: text(p.note, 500),
        ring: cornersOf(rings[0])
      });
    };
    const ref = String(feature.id ?? `#${i}`);
    if (shape?.type === 'Polygon') area(shape.coordinates, ref);
    else if (shape?.type === 'MultiPolygon')
      shape.coordinates.forEach((rings, j) => area(rings, `${ref}/${j}`));
    else if (shape?.type === 'Point') {
      spots.push({
        areaRef: typeof p.area === 'string' || typeof p.area === 'number' ? String(p.area) : undefined,
        at: [shape.coordinates[0], shape.coordinates[1]],
        depthFromMm: depth(p.depthFromMm),
        depthToMm: depth(p.depthToMm),
        note: text(p.note, 500)
      });
    } else others += 1;
  }
  return { areas, spots, holes, others };
}

/**
 * Reads areas and spots from GeoJSON. Polygons become areas, points become spots of the area they name or lie in.
 * Coordinates are degrees, unless the file says `localMetres` or holds numbers that are no degrees.
 *
 * @param earth where the sketch lies, null if nobody knows: a file in degrees then says it
 * @param purpose what areas are for that do not say so
 * @param inside finds the area that a spot lies in
 * @throws {GeoJsonError} saying what to do
 */
export function groundFromGeoJson(
  fileText: string,
  earth: EarthPlace | null,
  purpose: Purpose,
  inside: (outline: Outline, place: Point) => boolean
): FoundGround {
  const file = parse(fileText);
  const { areas, spots, holes, others } = sortOut(file, purpose);
  if (areas.length === 0) throw new GeoJsonError(refusals.ground.noPolygon);
  const all = [...areas.flatMap((a) => a.ring), ...spots.map((s) => s.at)];
  const degrees = all.every(([x, y]) => Math.abs(x) <= 180 && Math.abs(y) <= 90);
  const local = file.localMetres ?? !degrees;
  if (!local && !degrees) throw new GeoJsonError(refusals.ground.someCoordinatesNoDegrees);
  const place = local ? null : (earth ?? cornerOf(all));
  const onSketch = (p: Point): Point => (place ? fromEarth(p, place) : p);
  const found = areas.map(({ ring, ...a }): FoundArea => ({ ...a, outline: ring.map(onSketch) }));
  const lost: RawSpot[] = [];
  const placed = spots.flatMap(({ at, areaRef, ...words }): FoundSpot[] => {
    const here = onSketch(at);
    const owner = found.find((a) => a.ref === areaRef) ?? found.find((a) => inside(a.outline, here));
    if (!owner) lost.push({ at, areaRef, ...words });
    return owner ? [{ ...words, areaRef: owner.ref, place: here }] : [];
  });
  const left = [
    holes > 0 ? `${holes} ${holes === 1 ? 'hole' : 'holes'} in areas` : '',
    others > 0 ? `${others} ${others === 1 ? 'feature' : 'features'} neither area nor spot` : '',
    lost.length > 0 ? `${lost.length} ${lost.length === 1 ? 'spot' : 'spots'} outside every area` : ''
  ].filter(Boolean);
  return { areas: found, spots: placed, earth: earth ? null : place, local, left };
}

/** Lower left corner of a sketch that holds all of it, with a little room, its upper edge to the north. */
function cornerOf(all: readonly Point[]): EarthPlace {
  const west = Math.min(...all.map((p) => p[0]));
  const south = Math.min(...all.map((p) => p[1]));
  const corner = { lon: west, lat: south, bearing: 0 };
  const [lon, lat] = toEarth([-ROOM_M, -ROOM_M], corner);
  return { lon, lat, bearing: 0 };
}

/** Room left of and below what was brought in, m. */
const ROOM_M = 3;
