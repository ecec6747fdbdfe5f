import { expect } from 'chai';
import fc from 'fast-check';
import { areaOf, isInside, type EarthPlace, type Point } from '../../../src/lib/core/index.ts';
import type { SiteDetail } from '../../../src/lib/contract/records/ground.ts';
import { GeoJsonError, groundFromGeoJson, groundToGeoJson } from '../../../src/lib/formats/geojson.ts';

const site = (earth: EarthPlace | null, outline: Point[]): SiteDetail => ({
  id: 'site',
  name: 'Skarn Holm',
  createdAt: 0,
  sketch: { backdrop: null, scaled: true, earth },
  areas: [
    {
      id: 'north',
      siteId: 'site',
      code: 'N',
      name: 'North bed',
      purpose: 'garden',
      history: ['amended'],
      note: 'shell sand',
      outline,
      createdAt: 0,
      spots: [
        {
          id: 'one',
          areaId: 'north',
          no: 1,
          x: 2,
          y: 1,
          takenAt: Date.UTC(2026, 4, 4),
          depthFrom: { mm: 75, text: '75' },
          depthTo: { mm: 150, text: '150' },
          note: 'roots'
        }
      ],
      samples: []
    }
  ]
});
const BED: Point[] = [
  [0, 0],
  [0, 3],
  [4, 3],
  [4, 0]
];
const read = (value: unknown, earth: EarthPlace | null = null) =>
  groundFromGeoJson(typeof value === 'string' ? value : JSON.stringify(value), earth, 'build', isInside);
const refusal = (value: unknown): string => {
  try {
    read(value);
  } catch (problem) {
    if (problem instanceof GeoJsonError) return problem.message;
    throw problem;
  }
  return 'taken';
};
const collection = (...geometries: unknown[]) => ({
  type: 'FeatureCollection',
  features: geometries.map((geometry) => ({ type: 'Feature', geometry, properties: null }))
});
const square = (x: number, y: number, size: number) => [
  [x, y],
  [x + size, y],
  [x + size, y + size],
  [x, y + size],
  [x, y]
];

describe('areas and spots as GeoJSON', () => {
  it('are closed counter-clockwise rings, in local metres that say so, or in degrees', () => {
    const local = groundToGeoJson(site(null, BED));
    expect(local.localMetres).to.equal(true);
    const ring = (local.features[0].geometry as { coordinates: number[][][] }).coordinates[0];
    expect(ring).to.deep.equal([
      [4, 0],
      [4, 3],
      [0, 3],
      [0, 0],
      [4, 0]
    ]);
    expect(local.features[1].properties).to.include({ area: 'north', depthFromMm: 75, note: 'roots' });
    const onEarth = groundToGeoJson(site({ lat: 60, lon: 5, bearing: 0 }, BED));
    expect(onEarth).not.to.have.property('localMetres');
    expect((onEarth.features[1].geometry as { coordinates: number[] }).coordinates[0]).to.be.closeTo(
      5,
      0.001
    );
  });

  it('come back as they went, to the centimetre, on the earth and off it', () => {
    fc.assert(
      fc.property(
        fc.option(
          fc.record({
            lat: fc.double({ min: -70, max: 70, noNaN: true }),
            lon: fc.double({ min: -179, max: 179, noNaN: true }),
            bearing: fc.double({ min: 0, max: 359, noNaN: true })
          }),
          { nil: null }
        ),
        fc.double({ min: 1, max: 300, noNaN: true }),
        (earth, size) => {
          const outline = BED.map(([x, y]): Point => [x * size + 10, y * size + 5]);
          const one = site(earth, outline);
          one.areas[0].spots[0] = { ...one.areas[0].spots[0], x: 10 + 2 * size, y: 5 + size };
          const back = read(groundToGeoJson(one), earth);
          expect(back.local).to.equal(earth === null);
          expect(back.areas[0]).to.include({ name: 'North bed', purpose: 'garden', note: 'shell sand' });
          expect(back.areas[0].history).to.deep.equal(['amended']);
          expect(areaOf(back.areas[0].outline)).to.be.closeTo(areaOf(outline), 0.02 * size + 1e-3);
          expect(back.spots[0]).to.include({ depthFromMm: 75, depthToMm: 150, note: 'roots' });
          expect(back.spots[0].place[0]).to.be.closeTo(10 + 2 * size, 0.02);
          expect(back.spots[0].place[1]).to.be.closeTo(5 + size, 0.02);
          expect(back.left).to.deep.equal([]);
        }
      ),
      { numRuns: 60 }
    );
  });

  it('of others: polygons and parts of many, points by where they lie; the rest is counted, not lost in silence', () => {
    const found = read({
      ...collection(
        { type: 'MultiPolygon', coordinates: [[square(500, 500, 20)], [square(600, 500, 10)]] },
        { type: 'Polygon', coordinates: [square(700, 500, 30), square(705, 505, 3)] },
        { type: 'Point', coordinates: [510, 510] },
        { type: 'Point', coordinates: [900, 900] },
        { type: 'LineString', coordinates: [[0, 0]] },
        null
      )
    });
    expect(found.local).to.equal(true);
    expect(found.areas.map((a) => a.name)).to.deep.equal(['Area 1', 'Area 2', 'Area 3']);
    expect(found.areas.every((a) => a.purpose === 'build')).to.equal(true);
    expect(found.spots).to.have.length(1);
    expect(found.left).to.deep.equal([
      '1 hole in areas',
      '2 features neither area nor spot',
      '1 spot outside every area'
    ]);
  });

  it('in degrees give a site without a place one: north up, a little room below and left', () => {
    const { earth, areas } = read(collection({ type: 'Polygon', coordinates: [square(10, 50, 0.001)] }));
    expect(earth).to.include({ bearing: 0 });
    expect(Math.min(...areas[0].outline.map((p) => p[0]))).to.be.closeTo(3, 0.01);
    expect(areaOf(areas[0].outline)).to.be.closeTo(71.7 * 111.2, 40);
    expect(
      read(collection({ type: 'Polygon', coordinates: [square(10, 50, 0.001)] }), {
        lat: 50,
        lon: 10,
        bearing: 0
      }).earth
    ).to.equal(null);
  });

  it('are refused in words: no JSON, another shape, no areas, metres that claim to be degrees, too large', () => {
    expect(refusal('{')).to.match(/is not JSON/);
    expect(refusal({ type: 'Topology' })).to.match(/not a GeoJSON feature collection, but "Topology"/);
    expect(refusal([1, 2])).to.match(/not a GeoJSON feature collection/);
    expect(refusal({ type: 'FeatureCollection', features: [{ type: 'Thing' }] })).to.match(/at features\.0/);
    expect(refusal(collection({ type: 'Point', coordinates: [1, 2] }))).to.match(/no polygon/);
    expect(refusal(collection({ type: 'Polygon', coordinates: [[[1, 'b']]] }))).to.match(/cannot be read at/);
    expect(
      refusal({ ...collection({ type: 'Polygon', coordinates: [square(500, 0, 2)] }), localMetres: false })
    ).to.match(/no degrees/);
    expect(refusal(' '.repeat(2_000_001))).to.match(/over 2 MB/);
  });
});
