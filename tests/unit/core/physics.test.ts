import { expect } from 'chai';
import fc from 'fast-check';
import {
  cutDiameter,
  cutDiameterForDisplay,
  depositHeights,
  grainDiameter,
  grainVelocity,
  RangeProblem,
  settledShare,
  settlingColumn,
  settlingTime,
  settlingVelocity,
  startSpeed,
  suspendedShare,
  waterDensity,
  waterViscosity
} from '../../../src/lib/core/index.ts';

describe('water', () => {
  const table: [number, number, number][] = [
    [10, 1.307, 999.7],
    [20, 1.002, 998.2],
    [25, 0.8902, 997.04]
  ];
  for (const [tempC, mPas, kgM3] of table) {
    it(`has the published viscosity and density at ${tempC} degC`, () => {
      expect(waterViscosity(tempC) * 1000).to.be.closeTo(mPas, 5e-5);
      expect(waterDensity(tempC)).to.be.closeTo(kgM3, 5e-3);
    });
  }
  it('grows thinner as it warms', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 39, noNaN: true }), (tempC) => {
        expect(waterViscosity(tempC + 1)).to.be.below(waterViscosity(tempC));
      })
    );
  });
  for (const tempC of [-0.1, 40.1, NaN]) {
    it(`refuses ${tempC} degC with a typed error`, () => {
      expect(() => waterViscosity(tempC))
        .to.throw(RangeProblem)
        .with.property('field', 'tempC');
      expect(() => waterDensity(tempC)).to.throw(RangeProblem);
    });
  }
});

describe('settling', () => {
  it('meets the check values at 20 degC', () => {
    expect(settlingTime({ diameterUm: 50, fallMm: 150, tempC: 20 })).to.be.closeTo(66.8, 0.05);
    expect(settlingTime({ diameterUm: 2, fallMm: 100, tempC: 20 }) / 3600).to.be.closeTo(7.73, 0.005);
    const cut = (timeS: number) => cutDiameter({ timeS, fallMm: 100, tempC: 20 });
    expect(cut(60)).to.be.closeTo(43.1, 0.05);
    expect(cut(1800)).to.be.closeTo(7.86, 0.006);
    expect(cut(7200)).to.be.closeTo(3.93, 0.005);
    expect(cut(86_400)).to.be.closeTo(1.14, 0.006);
    expect(grainVelocity({ diameterUm: 100, tempC: 20 }) * 1000).to.be.closeTo(7.5, 0.05);
    expect(grainVelocity({ diameterUm: 1000, tempC: 20 }) * 1000).to.be.closeTo(126, 0.5);
  });
  it('turns diameter into time and back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 2000, noNaN: true }),
        fc.double({ min: 1, max: 39, noNaN: true }),
        (diameterUm, tempC) => {
          const timeS = settlingTime({ diameterUm, fallMm: 120, tempC });
          expect(cutDiameter({ timeS, fallMm: 120, tempC }) / diameterUm).to.be.closeTo(1, 1e-9);
          const velocity = grainVelocity({ diameterUm, tempC });
          expect(grainDiameter({ velocity, tempC }) / diameterUm).to.be.closeTo(1, 1e-8);
        }
      )
    );
  });
  it('agrees with Stokes for fine grains and falls below it for coarse ones', () => {
    expect(
      grainVelocity({ diameterUm: 2, tempC: 20 }) / settlingVelocity({ diameterUm: 2, tempC: 20 })
    ).to.be.closeTo(1, 0.01);
    expect(grainVelocity({ diameterUm: 1000, tempC: 20 })).to.be.below(
      settlingVelocity({ diameterUm: 1000, tempC: 20 }) / 4
    );
  });
  it('shows Stokes to 60 um and the law for natural grains above', () => {
    const fine = { timeS: 60, fallMm: 100, tempC: 20 };
    expect(cutDiameterForDisplay(fine)).to.equal(cutDiameter(fine));
    const coarse = { timeS: 5, fallMm: 150, tempC: 20 };
    expect(cutDiameterForDisplay(coarse)).to.be.above(cutDiameter(coarse));
  });
  it('refuses grains that would float and sizes that are none', () => {
    expect(() => settlingVelocity({ diameterUm: 5, tempC: 20, particleDensity: 990 })).to.throw(RangeProblem);
    expect(() => settlingVelocity({ diameterUm: 0, tempC: 20 })).to.throw(RangeProblem);
    expect(() => settlingTime({ diameterUm: 5, fallMm: -1, tempC: 20 })).to.throw(RangeProblem);
  });
});

describe('what lies on the bottom', () => {
  const silt = { fromUm: 2, toUm: 50 };
  it('meets the check values for silt', () => {
    expect(settledShare(silt, 50)).to.be.closeTo(0.1551, 5e-5);
    expect(settledShare(silt, 4.8)).to.be.closeTo(0.856, 5e-4);
  });
  it('agrees with a direct sum over grain sizes', () => {
    for (const cut of [0.5, 3, 17, 49, 80]) {
      const n = 20_000;
      let sum = 0;
      for (let i = 0; i < n; i++) {
        const d = 2 * (50 / 2) ** ((i + 0.5) / n);
        sum += Math.min(1, (d / cut) ** 2) / n;
      }
      expect(settledShare(silt, cut)).to.be.closeTo(sum, 1e-6);
    }
  });
  it('leaves up at a depth only what is finer than the cut there', () => {
    expect(suspendedShare(silt, 60)).to.equal(1);
    expect(suspendedShare(silt, 1)).to.equal(0);
    expect(suspendedShare(silt, 10)).to.be.closeTo(0.5, 1e-9);
  });
});

describe('deposit heights', () => {
  const jar = { fractions: { sand: 40, silt: 40, clay: 20 }, columnMm: 140, tempC: 18, solidsKgM2: 40 };
  const timesS = [60, 7200, 86_400, 172_800];

  it('meet the check values with crowding', () => {
    expect(settlingColumn(jar).phi0).to.be.closeTo(0.108, 5e-4);
    const heights = depositHeights({ ...jar, timesS });
    [11.93, 22.14, 27.55, 29.05].forEach((mm, i) => expect(heights[i]).to.be.closeTo(mm, 0.01));
  });
  it('read the usual way as 41.1/35.1/23.8', () => {
    const [sand, silt, , clay] = depositHeights({ ...jar, timesS });
    expect((100 * sand) / clay).to.be.closeTo(41.1, 0.06);
    expect((100 * (silt - sand)) / clay).to.be.closeTo(35.1, 0.06);
    expect((100 * (clay - silt)) / clay).to.be.closeTo(23.8, 0.06);
  });
  it('need no correction in thin suspension', () => {
    const thin = { ...jar, solidsKgM2: 0.01, timesS };
    const free = depositHeights({ ...thin, hindered: false });
    depositHeights(thin).forEach((mm, i) => expect(mm / free[i]).to.be.closeTo(1, 1e-3));
  });
  it('come later in a crowd, and never fall', () => {
    const arbitrary = fc.record({
      sand: fc.integer({ min: 0, max: 100 }),
      rest: fc.double({ min: 0, max: 1, noNaN: true }),
      solidsKgM2: fc.double({ min: 1, max: 80, noNaN: true }),
      tempC: fc.double({ min: 5, max: 30, noNaN: true })
    });
    fc.assert(
      fc.property(arbitrary, ({ sand, rest, solidsKgM2, tempC }) => {
        const silt = (100 - sand) * rest;
        const o = {
          fractions: { sand, silt, clay: 100 - sand - silt },
          columnMm: 150,
          tempC,
          solidsKgM2,
          timesS: [10, 60, 600, 7200, 86_400, 1e7]
        };
        const crowded = depositHeights(o);
        const free = depositHeights({ ...o, hindered: false });
        crowded.forEach((mm, i) => {
          expect(mm).to.be.at.most(free[i] + 1e-9);
          if (i > 0) expect(mm).to.be.at.least(crowded[i - 1] - 1e-9);
        });
      }),
      { numRuns: 60 }
    );
  });
  it('end at the packed height of everything', () => {
    const [mm] = depositHeights({ ...jar, timesS: [1e9] });
    expect(mm).to.be.closeTo(1000 * 40 * (0.4 / 1500 + 0.4 / 1200 + 0.2 / 800), 1e-3);
  });
  it('warp time both ways', () => {
    const column = settlingColumn(jar);
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 1e7, noNaN: true }), (timeS) => {
        expect(column.realTime(column.warpedTime(timeS)) / timeS).to.be.closeTo(1, 1e-9);
        expect(column.warpedTime(timeS)).to.be.at.most(timeS * (1 + 1e-9));
      })
    );
    expect(column.warpedTime(1e-4) / 1e-4).to.be.closeTo(startSpeed(column.phi0), 1e-3);
    expect(column.cutUm(column.timeOfCut(2))).to.be.closeTo(2, 1e-6);
  });
  it('keep all that fell: what is up and what lies sum to the whole', () => {
    const column = settlingColumn(jar);
    for (const timeS of [30, 3600, 86_400]) {
      const n = 4000;
      let up = 0;
      for (let i = 0; i < n; i++) up += column.suspendedAt(timeS, ((i + 0.5) / n) * jar.columnMm) / n;
      const free = settlingColumn({ ...jar, packing: { sand: 1000, silt: 1000, clay: 1000 } });
      expect(up + free.heightMm(timeS) / jar.solidsKgM2).to.be.closeTo(1, 2e-3);
    }
  });
  it('are nothing before set-down, and refused for impossible jars', () => {
    expect(settlingColumn(jar).heightMm(0)).to.equal(0);
    expect(settlingColumn(jar).suspendedAt(0, 50)).to.equal(1);
    expect(() => settlingColumn({ ...jar, solidsKgM2: 400 })).to.throw(RangeProblem, /less soil/);
    expect(() => settlingColumn({ ...jar, fractions: { sand: 40, silt: 40, clay: 30 } })).to.throw(
      RangeProblem,
      /sum to 100/
    );
    expect(() => settlingColumn({ ...jar, columnMm: 0 })).to.throw(RangeProblem);
  });
});
