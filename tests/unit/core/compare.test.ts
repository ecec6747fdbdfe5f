import { expect } from 'chai';
import fc from 'fast-check';
import { compareWithLab, convertLimit, RangeProblem, SAND_LIMITS_UM } from '../../../src/lib/core/index.ts';

const loam = { sand: 40, silt: 40, clay: 20 };
const soils = fc
  .tuple(fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }))
  .map(([a, b]) => {
    const [low, high] = a < b ? [a, b] : [b, a];
    return { sand: 100 * low, silt: 100 * (high - low), clay: 100 * (1 - high) };
  });

describe('fractions under another limit', () => {
  it('lie on a straight line in log size: 40/40/20 by 63 um has 42.7 % sand by 50', () => {
    const moved = convertLimit(loam, 63, 50);
    expect(moved.sand).to.be.closeTo(42.68, 0.01);
    expect(moved.clay).to.equal(20);
    expect(convertLimit(loam, 50, 50)).to.deep.equal(loam);
    expect(convertLimit(loam, 20, 63).sand).to.be.closeTo(
      40 - (40 * Math.log(63 / 20)) / Math.log(100),
      1e-9
    );
  });

  it('sum to a hundred, keep the clay, and move one way only', () => {
    fc.assert(
      fc.property(
        soils,
        fc.constantFrom(...SAND_LIMITS_UM),
        fc.constantFrom(...SAND_LIMITS_UM),
        (f, from, to) => {
          const moved = convertLimit(f, from, to);
          expect(moved.sand + moved.silt + moved.clay).to.be.closeTo(100, 1e-9);
          expect(moved.clay).to.equal(f.clay);
          expect(Math.min(moved.sand, moved.silt)).to.be.at.least(-1e-9);
          if (to < from) expect(moved.sand).to.be.at.least(f.sand - 1e-9);
          if (to > from) expect(moved.sand).to.be.at.most(f.sand + 1e-9);
        }
      )
    );
    expect(() => convertLimit(loam, 1, 50)).to.throw(RangeProblem);
    expect(() => convertLimit(loam, 50, 3000)).to.throw(RangeProblem);
  });
});

describe('a jar beside a laboratory', () => {
  it('differs by points of soil that would have to be exchanged, and by class', () => {
    const same = compareWithLab({ jar: loam, lab: loam, labLimitUm: 50, system: 'usda' });
    expect(same).to.include({ points: 0, interpolated: false });
    expect(same.jarClass).to.deep.equal(same.labClass);
    const other = compareWithLab({
      jar: { sand: 60, silt: 30, clay: 10 },
      lab: { sand: 45, silt: 35, clay: 20 },
      labLimitUm: 50,
      system: 'usda'
    });
    expect(other.points).to.equal(15);
    expect(other.difference).to.deep.equal({ sand: 15, silt: -5, clay: -10 });
    expect(other.labClass.name).to.equal('loam');
    expect(other.jarClass.name).to.equal('sandy loam');
    const moved = compareWithLab({ jar: loam, lab: loam, labLimitUm: 63, system: 'usda' });
    expect(moved.interpolated).to.equal(true);
    expect(moved.points).to.be.closeTo(2.68, 0.01);
  });
});
