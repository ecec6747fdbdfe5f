import { expect } from 'chai';
import fc from 'fast-check';
import {
  checkVessel,
  heightOfVolume,
  innerRadiusAt,
  isStraight,
  levelOf,
  STANDARD_VESSELS,
  vesselFromOutside,
  vesselFromProfile,
  volumeCheck,
  volumeToHeight,
  withWidths,
  type ProfilePoint,
  type Vessel
} from '../../../src/lib/core/index.ts';
import { fieldOf } from './refused.ts';

const litre = STANDARD_VESSELS.find((v) => v.id === 'jar-litre')!;
const GLASS = { kind: 'jar' as const, baseThicknessMm: 4 };
const taper = vesselFromProfile(
  [
    { heightMm: 0, diameterMm: 60 },
    { heightMm: 120, diameterMm: 84 }
  ],
  GLASS
);

describe('the shape of a vessel', () => {
  it('gives the volume of a cylinder, a cone and a dome', () => {
    expect(volumeToHeight(litre, 100)).to.be.closeTo((Math.PI * 47 * 47 * 100) / 1000, 1e-9);
    // A frustum: pi h (r1^2 + r1 r2 + r2^2) / 3.
    expect(volumeToHeight(taper, 120)).to.be.closeTo(
      (Math.PI * 120 * (30 * 30 + 30 * 42 + 42 * 42)) / 3000,
      1e-9
    );
    const domed: Vessel = { ...litre, domeMm: 8 };
    const cap = (Math.PI * 8 * (3 * 47 * 47 + 8 * 8)) / 6 / 1000;
    expect(volumeToHeight(litre, 50) - volumeToHeight(domed, 50)).to.be.closeTo(cap, 1e-9);
    expect(volumeToHeight(domed, 0)).to.be.closeTo(0, 1e-9);
  });

  it('finds the height of a volume again', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 119, noNaN: true }), (h) => {
        for (const v of [taper, { ...taper, domeMm: 6 }]) {
          expect(heightOfVolume(v, volumeToHeight(v, h))).to.be.closeTo(h, 1e-6);
        }
      })
    );
  });

  it('knows a straight wall from a taper, a bulge and a dome', () => {
    expect(STANDARD_VESSELS.every(isStraight)).to.equal(true);
    expect(isStraight(taper)).to.equal(false);
    expect(isStraight({ ...litre, domeMm: 4 })).to.equal(false);
    // Measured at the bottom and over the shoulder only, it still leans.
    const points = [
      { heightMm: 0, diameterMm: 60 },
      { heightMm: litre.innerHeightMm, diameterMm: 110 }
    ];
    expect(isStraight({ ...litre, profile: points })).to.equal(false);
  });

  it('puts the shoulder where the wall leans in, and never on a taper', () => {
    expect(taper.shoulderHeightMm).to.equal(120);
    const jar = vesselFromProfile(
      [
        { heightMm: 150, diameterMm: 60 },
        { heightMm: 2, diameterMm: 80 },
        { heightMm: 110, diameterMm: 82 },
        { heightMm: 130, diameterMm: 66 }
      ],
      GLASS
    );
    expect(jar.shoulderHeightMm).to.equal(110);
    expect(jar.innerDiameterMm).to.equal(82);
    expect(jar.mouthDiameterMm).to.equal(60);
    expect(innerRadiusAt(jar, 120)).to.be.closeTo(37, 1e-9);
  });

  it('makes a straight vessel of a straight profile', () => {
    const straight = vesselFromProfile(
      [
        { heightMm: 0, diameterMm: 94 },
        { heightMm: 128, diameterMm: 94 },
        { heightMm: 156, diameterMm: 76 }
      ],
      GLASS
    );
    expect(isStraight(straight)).to.equal(true);
    for (const h of [10, 100, 140, 156]) {
      expect(volumeToHeight(straight, h)).to.be.closeTo(volumeToHeight(litre, h), 1e-9);
    }
  });

  it('turns heights into those of a straight vessel of the same floor', () => {
    const level = levelOf(taper, 100);
    expect(level.levelMm(100)).to.be.closeTo(100, 1e-9);
    expect(level.levelMm(50), 'narrow below').to.be.below(50);
    expect(level.areaRatio(10)).to.be.below(1);
    expect(level.areaRatio(95)).to.be.above(1);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 156, noNaN: true }), (h) => {
        if (h <= litre.shoulderHeightMm) expect(levelOf(litre, 100).levelMm(h)).to.be.closeTo(h, 1e-9);
      })
    );
  });

  it('refuses profiles that cannot be', () => {
    const of = (points: ProfilePoint[]) => fieldOf(() => vesselFromProfile(points, GLASS));
    expect(of([{ heightMm: 0, diameterMm: 60 }])).to.equal('profile');
    const top = { heightMm: 100, diameterMm: 60 };
    expect(of([{ heightMm: 0, diameterMm: 0 }, top])).to.equal('profile');
    expect(of([{ heightMm: 99.8, diameterMm: 61 }, top, { heightMm: 0, diameterMm: 60 }])).to.equal(
      'profile'
    );
    expect(of([{ heightMm: 60, diameterMm: 60 }, top])).to.equal('profile');
    expect(fieldOf(() => checkVessel({ ...litre, domeMm: 40 }))).to.equal('domeMm');
  });
});

describe('a vessel by its outside', () => {
  const outside = {
    kind: 'jar' as const,
    outerHeightMm: 161,
    outerDiameterMm: 99,
    mouthDiameterMm: 76,
    baseThicknessMm: 5,
    wallMm: 2.5
  };

  it('holds what it is said to hold', () => {
    for (const capacityMl of [900, 980, 1020]) {
      const v = vesselFromOutside({ ...outside, capacityMl });
      expect(volumeToHeight(v, v.innerHeightMm)).to.be.closeTo(capacityMl, 1);
      expect(v.innerHeightMm).to.equal(156);
    }
    const cup = vesselFromOutside({ ...outside, mouthDiameterMm: 94, capacityMl: 1050 });
    expect(cup.shoulderHeightMm).to.equal(cup.innerHeightMm);
    expect(volumeToHeight(cup, 156)).to.be.closeTo(1050, 1e-6);
  });

  it('refuses a capacity that its sizes cannot have', () => {
    expect(fieldOf(() => vesselFromOutside({ ...outside, capacityMl: 2000 }))).to.equal('capacityMl');
    expect(fieldOf(() => vesselFromOutside({ ...outside, capacityMl: 100 }))).to.equal('capacityMl');
    expect(fieldOf(() => vesselFromOutside({ ...outside, capacityMl: NaN }))).to.equal('capacityMl');
  });
});

describe('weighed water', () => {
  it('agrees with the measures within what a ruler allows', () => {
    const ml = volumeToHeight(litre, 128);
    const good = volumeCheck(litre, { waterG: ml * 0.9982, toMm: 128 });
    expect(good.agrees).to.equal(true);
    expect(good.differencePct).to.be.closeTo(0, 0.01);
    const wide = volumeCheck(litre, { waterG: ml * 0.9, toMm: 128 });
    expect(wide.agrees).to.equal(false);
    expect(wide.differencePct).to.be.above(10);
    const fitted = volumeCheck(withWidths(litre, wide.diameterFactor), { waterG: ml * 0.9, toMm: 128 });
    expect(fitted.differencePct).to.be.closeTo(0, 1e-9);
  });

  it('asks for a weight and a height that can be', () => {
    expect(fieldOf(() => volumeCheck(litre, { waterG: 0, toMm: 100 }))).to.equal('waterG');
    expect(fieldOf(() => volumeCheck(litre, { waterG: 500, toMm: 300 }))).to.equal('toMm');
  });
});
