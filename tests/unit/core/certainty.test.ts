import { expect } from 'chai';
import fc from 'fast-check';
import {
  classProbabilities,
  densityGrid,
  drawFractions,
  evenSigmas,
  normalStream,
  RangeProblem,
  summariseDraws
} from '../../../src/lib/core/index.ts';

const layers = { gravelMm: 0, sandMm: 20, siltMm: 15, clayMm: 5 };

describe('normal deviates', () => {
  it('have mean 0, spread 1, and repeat with their seed', () => {
    const next = normalStream(7);
    const values = Array.from({ length: 40_000 }, next);
    const mean = values.reduce((a, b) => a + b, 0) / values.length;
    const spread = Math.sqrt(values.reduce((a, b) => a + b * b, 0) / values.length);
    expect(mean).to.be.closeTo(0, 0.02);
    expect(spread).to.be.closeTo(1, 0.02);
    expect(normalStream(7)()).to.equal(values[0]);
    expect(normalStream(8)()).not.to.equal(values[0]);
  });

  it('are deviates of their own over seeds in a row, from the first on', () => {
    // Each simulated instrument takes the first of a stream of its own.
    const first = Array.from({ length: 4000 }, (_, seed) => normalStream(seed)());
    const mean = (v: number[]) => v.reduce((a, b) => a + b) / v.length;
    expect(mean(first)).to.be.closeTo(0, 0.06);
    expect(mean(first.map((x) => x * x))).to.be.closeTo(1, 0.08);
    expect(Math.max(...first.map(Math.abs))).to.be.within(2.8, 5);
    for (const apart of [1, 2, 8, 64]) {
      const together = mean(first.slice(apart).map((x, i) => x * first[i]));
      expect(together, `${apart} apart`).to.be.closeTo(0, 0.06);
    }
  });
});

describe('how sure', () => {
  it('has a spread of the sand share close to 1.5 points for 20/15/5 mm at half a millimetre', () => {
    const { sd, mean } = classProbabilities({ layers, sigmas: evenSigmas(0.5), system: 'usda' });
    expect(sd.sand).to.be.closeTo(1.5, 0.05);
    expect(mean.sand).to.be.closeTo(50, 0.1);
  });
  it('has probabilities that sum to 1 and repeat exactly', () => {
    const mm = fc.double({ min: 1, max: 60, noNaN: true });
    fc.assert(
      fc.property(mm, mm, mm, (sandMm, siltMm, clayMm) => {
        const o = {
          layers: { gravelMm: 0, sandMm, siltMm, clayMm },
          sigmas: evenSigmas(0.5),
          system: 'usda' as const,
          draws: 1000
        };
        const { probabilities } = classProbabilities(o);
        expect(Object.values(probabilities).reduce((a, b) => a + b, 0)).to.be.closeTo(1, 1e-9);
        expect(classProbabilities(o).probabilities).to.deep.equal(probabilities);
      }),
      { numRuns: 40 }
    );
  });
  it('is certain without error, and less sure with more', () => {
    const sure = classProbabilities({ layers, sigmas: evenSigmas(0), system: 'usda' }).probabilities;
    expect(sure).to.deep.equal({ loam: 1 });
    const rough = classProbabilities({ layers, sigmas: evenSigmas(2), system: 'usda' }).probabilities;
    expect(rough.loam).to.be.below(0.8);
  });
  it('moves boundaries, not thicknesses: a shared line trades one layer for the next', () => {
    const sigmas = { base: 0, gravel: 0, sand: 1, silt: 0, clay: 0 };
    const draws = drawFractions({ layers, sigmas, draws: 2000 });
    for (let i = 0; i < draws.kept; i++) {
      expect(draws.fractions[3 * i] + draws.fractions[3 * i + 1]).to.be.closeTo(87.5, 1e-9);
      expect(draws.fractions[3 * i + 2]).to.be.closeTo(12.5, 1e-9);
    }
    const { sd } = summariseDraws(draws);
    expect(sd.sand).to.be.closeTo(2.5, 0.15);
    expect(sd.silt).to.be.closeTo(sd.sand, 1e-9);
  });
  it('takes the gravel line as the floor of the fines', () => {
    const sigmas = { base: 5, gravel: 0, sand: 0, silt: 0, clay: 0 };
    const { sd } = summariseDraws(drawFractions({ layers: { ...layers, gravelMm: 4 }, sigmas }));
    expect(sd.sand).to.be.closeTo(0, 1e-9);
  });
  it('throws crossed draws away', () => {
    const draws = drawFractions({ layers: { ...layers, clayMm: 0.5 }, sigmas: evenSigmas(1) });
    expect(draws.kept).to.be.below(draws.asked);
    expect(Math.min(...draws.fractions.subarray(0, 3 * draws.kept))).to.be.at.least(0);
  });
  it('keeps a missing layer missing', () => {
    const { mean, sd } = classProbabilities({
      layers: { ...layers, clayMm: 0 },
      sigmas: evenSigmas(0.5),
      system: 'usda'
    });
    expect(mean.clay).to.equal(0);
    expect(sd.clay).to.equal(0);
  });
  it('refuses negative errors and lines nobody can tell apart', () => {
    expect(() => drawFractions({ layers, sigmas: evenSigmas(-1) })).to.throw(RangeProblem);
    const thin = { gravelMm: 0, sandMm: 0.01, siltMm: 0.01, clayMm: 0.01 };
    expect(() =>
      classProbabilities({ layers: thin, sigmas: evenSigmas(20), draws: 400, system: 'usda' })
    ).to.throw(RangeProblem, /too unsure/);
  });
});

describe('the region', () => {
  it('has all its mass on the grid', () => {
    const grid = densityGrid(drawFractions({ layers, sigmas: evenSigmas(0.5) }));
    expect(grid.values.reduce((a, b) => a + b, 0)).to.be.closeTo(1, 1e-6);
  });
  it('grows with the share it is to hold', () => {
    const draws = drawFractions({ layers, sigmas: evenSigmas(0.5) });
    const cells = (share: number) => {
      const grid = densityGrid(draws, share);
      return grid.values.filter((v) => v >= grid.level).length;
    };
    expect(cells(0.5)).to.be.below(cells(0.9));
    expect(cells(0.9)).to.be.below(cells(0.99));
  });
});
