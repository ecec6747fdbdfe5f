import { expect } from 'chai';
import fc from 'fast-check';
import {
  BORDERLINE,
  checkReading,
  heightOfVolume,
  layersAsRead,
  RangeProblem,
  STANDARD_VESSELS,
  volumeToHeight,
  workOutReading,
  type JarReading
} from '../../../src/lib/core/index.ts';

const thick = () => fc.double({ min: 3, max: 60, noNaN: true });
const anyReading = fc.tuple(thick(), thick(), thick()).map(([sand, silt, clay]): JarReading => ({
  tops: { sand, silt: sand + silt, clay: sand + silt + clay },
  sigmaMm: 0.5
}));
const work = (reading: JarReading, draws = 2000) => workOutReading(reading, 'usda', { draws }).result;

describe('a reading worked out', () => {
  it('is whole: fractions sum to 100, probabilities to 1, the class is one of them', () => {
    fc.assert(
      fc.property(anyReading, (reading) => {
        const { fractions, classes, probability, borderline, mean } = work(reading, 500);
        expect(fractions.sand + fractions.silt + fractions.clay).to.be.closeTo(100, 1e-9);
        expect(mean.sand + mean.silt + mean.clay).to.be.closeTo(100, 1e-6);
        expect(classes.reduce((sum, c) => sum + c.probability, 0)).to.be.closeTo(1, 1e-9);
        expect(probability).to.be.within(0, 1);
        expect(borderline).to.equal(probability! < BORDERLINE);
      }),
      { numRuns: 60 }
    );
  });

  it('does not change with the size of the jar, but grows surer', () => {
    fc.assert(
      fc.property(anyReading, (reading) => {
        const twice: JarReading = {
          ...reading,
          tops: {
            sand: reading.tops.sand! * 2,
            silt: reading.tops.silt! * 2,
            clay: reading.tops.clay! * 2
          }
        };
        const [one, two] = [work(reading), work(twice)];
        expect(two.fractions.sand).to.be.closeTo(one.fractions.sand, 1e-9);
        expect(two.class).to.deep.equal(one.class);
        expect(two.sd.sand).to.be.below(one.sd.sand);
      }),
      { numRuns: 40 }
    );
  });

  it('keeps gravel out of the fractions, and counts it over all mineral layers', () => {
    fc.assert(
      fc.property(anyReading, thick(), (reading, gravel) => {
        const { sand, silt, clay } = reading.tops;
        const lifted = work({
          ...reading,
          tops: { gravel, sand: sand! + gravel, silt: silt! + gravel, clay: clay! + gravel }
        });
        const plain = work(reading);
        expect(lifted.fractions.sand).to.be.closeTo(plain.fractions.sand, 1e-6);
        expect(lifted.gravelPct).to.be.closeTo((100 * gravel) / (gravel + clay!), 1e-6);
      }),
      { numRuns: 40 }
    );
  });

  it('grows less sure where a line is fuzzy, and only there', () => {
    const reading: JarReading = { tops: { sand: 20, silt: 35, clay: 40 }, sigmaMm: 0.5 };
    const plain = work(reading, 20_000);
    const fuzzy = work({ ...reading, ownSigmaMm: { sand: 2 } }, 20_000);
    expect(fuzzy.sd.sand).to.be.above(2 * plain.sd.sand);
    expect(fuzzy.sd.clay).to.be.closeTo(plain.sd.clay, 0.15);
  });

  it('repeats to the last figure, and answers other draws for another seed', () => {
    const reading: JarReading = { tops: { sand: 21, silt: 30, clay: 36 }, sigmaMm: 0.5 };
    expect(work(reading)).to.deep.equal(work(reading));
    const other = workOutReading(reading, 'usda', { draws: 2000, seed: 8 }).result;
    expect(other.mean).not.to.deep.equal(work(reading).mean);
    expect(other.mean.sand).to.be.closeTo(work(reading).mean.sand, 0.2);
  });

  it('gives the nearest other class by an exchange that takes from one part and gives to another', () => {
    fc.assert(
      fc.property(anyReading, (reading) => {
        const { nearest, class: own } = work(reading, 100);
        expect(nearest.id).not.to.equal(own.id);
        expect(nearest.points).to.be.at.least(0);
        expect(nearest.take).not.to.equal(nearest.give);
      }),
      { numRuns: 60 }
    );
  });

  it('is refused over the rim or under the bottom, at the line that is wrong', () => {
    const check = (tops: JarReading['tops']) => () =>
      checkReading({ tops, sigmaMm: 0.5 }, { innerHeightMm: 156 });
    expect(check({ sand: 20, silt: 30, clay: 156 })).not.to.throw();
    expect(check({ sand: 20, silt: 30, clay: 156.1 }))
      .to.throw(RangeProblem)
      .with.property('field', 'clay');
    expect(check({ sand: -1 }))
      .to.throw(RangeProblem)
      .with.property('field', 'sand');
    expect(check({ gravel: 5, sand: 4 }))
      .to.throw(RangeProblem)
      .with.property('field', 'sand');
  });
});

describe('volumes in a vessel', () => {
  it('turn into heights and back', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...STANDARD_VESSELS),
        fc.double({ min: 0.01, max: 1, noNaN: true }),
        (vessel, share) => {
          const heightMm = vessel.innerHeightMm * share;
          expect(heightOfVolume(vessel, volumeToHeight(vessel, heightMm))).to.be.closeTo(heightMm, 1e-6);
        }
      )
    );
  });

  it('end at the rim', () => {
    for (const vessel of STANDARD_VESSELS)
      expect(heightOfVolume(vessel, 1e6)).to.be.closeTo(vessel.innerHeightMm, 1e-6);
  });

  it('as read is the same in any unit and any size of vessel', () => {
    const layer = fc.double({ min: 0.5, max: 60, noNaN: true });
    fc.assert(
      fc.property(layer, layer, layer, fc.double({ min: 0.03, max: 30, noNaN: true }), (a, b, c, scale) => {
        const of = (k: number) => layersAsRead({ sandMm: a * k, siltMm: b * k, clayMm: c * k }).fractions;
        for (const part of ['sand', 'silt', 'clay'] as const) {
          expect(of(scale)[part]).to.be.closeTo(of(1)[part], 1e-9);
        }
      })
    );
  });
});
