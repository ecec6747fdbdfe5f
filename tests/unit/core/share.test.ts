import { expect } from 'chai';
import fc from 'fast-check';
import {
  isShare,
  judgeReading,
  RangeProblem,
  type JarReading,
  type ShareResult
} from '../../../src/lib/core/index.ts';

const judge = (reading: Partial<JarReading>) =>
  judgeReading({ tops: {}, sigmaMm: 0.5, ...reading }, 'usda', { draws: 200 }).result;
const share = (reading: Partial<JarReading>): ShareResult => {
  const result = judge(reading);
  if (!isShare(result)) throw new Error('It is a texture.');
  return result;
};

describe('one share alone', () => {
  it('is the sand under its line, or the clay over the silt, of all that settled', () => {
    expect(share({ tops: { sand: 12 }, measuredTotalMm: 40 })).to.deep.include({
      kind: 'share',
      layer: 'sand',
      pct: 30,
      partMm: 12,
      totalMm: 40
    });
    expect(share({ tops: { silt: 30 }, measuredTotalMm: 40 })).to.include({
      layer: 'clay',
      pct: 25,
      partMm: 10
    });
    // Gravel is no part of it.
    expect(share({ tops: { gravel: 5, sand: 15 }, measuredTotalMm: 45 }).pct).to.equal(25);
  });

  it('needs nothing but one line and the whole: with two lines it is a texture', () => {
    expect(judge({ tops: { sand: 12, silt: 30 }, measuredTotalMm: 40 }).kind).to.equal('texture');
    expect(judge({ tops: { sand: 12, silt: 30, clay: 40 } }).kind).to.equal('texture');
    expect(() => judge({ tops: {} })).to.throw(RangeProblem);
  });

  it('has the standard error of its two lines: 12 of 40 mm at 0.5 mm is 1.3 points', () => {
    expect(share({ tops: { sand: 12 }, measuredTotalMm: 40 }).sd).to.be.closeTo(1.305, 1e-3);
    const fuzzy = share({ tops: { sand: 12 }, measuredTotalMm: 40, ownSigmaMm: { sand: 2 } });
    expect(fuzzy.sd).to.be.closeTo((100 * Math.sqrt(4 + 0.0225)) / 40, 1e-9);
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 10, max: 100, noNaN: true }),
        (part, total) => {
          const result = share({ tops: { sand: part * total }, measuredTotalMm: total });
          expect(result.pct).to.be.closeTo(100 * part, 1e-6);
          expect(result.sd).to.be.at.least(50 / total - 1e-9);
        }
      )
    );
  });

  it('is refused when the line lies outside the deposit, or nothing settled', () => {
    for (const reading of [
      { tops: { sand: 50 }, measuredTotalMm: 40 },
      { tops: { gravel: 10, sand: 5 }, measuredTotalMm: 40 },
      { tops: { gravel: 12, sand: 12 }, measuredTotalMm: 12 }
    ]) {
      expect(() => judge(reading), JSON.stringify(reading)).to.throw(RangeProblem);
    }
  });
});
