import { expect } from 'chai';
import fc from 'fast-check';
import {
  applyCalibration,
  calibrate,
  DEFAULT_PACKING,
  pairLines,
  pointsApart,
  RangeProblem,
  marksAgainstBands,
  workOutReading,
  type Fractions
} from '../../../src/lib/core/index.ts';

const soil = fc
  .tuple(fc.integer({ min: 5, max: 90 }), fc.integer({ min: 5, max: 90 }), fc.integer({ min: 5, max: 90 }))
  .map(([a, b, c]): Fractions => {
    const sum = a + b + c;
    return { sand: (100 * a) / sum, silt: (100 * b) / sum, clay: (100 * c) / sum };
  });

describe('calibrating jars against a laboratory', () => {
  const jars: Fractions[] = [
    { sand: 40, silt: 35, clay: 25 },
    { sand: 60, silt: 25, clay: 15 },
    { sand: 20, silt: 50, clay: 30 },
    { sand: 35, silt: 30, clay: 35 }
  ];
  const truth = { siltLog: -0.1, clayLog: -0.7 };
  const pairs = jars.map((jar) => ({ jar, lab: applyCalibration(jar, truth) }));

  it('finds what every jar is off by, shrunk towards the usual packing by n / (n + 2)', () => {
    const { calibration } = calibrate(pairs);
    const usual = Math.log(DEFAULT_PACKING.clay / DEFAULT_PACKING.sand);
    expect(calibration.clayLog).to.be.closeTo((4 * truth.clayLog + 2 * usual) / 6, 1e-9);
    expect(calibration.pairs).to.equal(4);
  });

  it('says how far jars were off before, after, and with each left out', () => {
    const told = calibrate(pairs);
    expect(told.helps).to.equal(true);
    expect(told.after).to.be.below(told.before);
    expect(told.leaveOneOut).to.be.at.least(told.after).and.below(told.before);
  });

  it('claims nothing where it does not help', () => {
    // Jars that are right already: the usual packing moves them away.
    const told = calibrate(jars.slice(0, 2).map((jar) => ({ jar, lab: jar })));
    expect(told.before).to.equal(0);
    expect(told.helps).to.equal(false);
    // Jars that are off at random: what the others teach misleads.
    const random = calibrate([
      { jar: jars[0], lab: { sand: 60, silt: 30, clay: 10 } },
      { jar: jars[0], lab: { sand: 10, silt: 20, clay: 70 } }
    ]);
    expect(random.helps).to.equal(false);
  });

  it('takes nothing as half a point, and leaves what is nothing at nothing', () => {
    const none = { sand: 70, silt: 30, clay: 0 };
    const { calibration } = calibrate([
      { jar: none, lab: none },
      { jar: none, lab: none }
    ]);
    expect(Number.isFinite(calibration.clayLog)).to.equal(true);
    expect(applyCalibration(none, calibration).clay).to.equal(0);
  });

  it('needs two pairs', () => {
    expect(() => calibrate([pairs[0]])).to.throw(RangeProblem, 'Two jars');
    expect(() => calibrate([])).to.throw(RangeProblem);
  });

  it('moves fractions and back, and always to a hundred', () => {
    fc.assert(
      fc.property(soil, fc.double({ min: -2, max: 2, noNaN: true }), (f, shift) => {
        const there = applyCalibration(f, { siltLog: shift, clayLog: -shift });
        expect(there.sand + there.silt + there.clay).to.be.closeTo(100, 1e-9);
        const back = applyCalibration(there, { siltLog: -shift, clayLog: shift });
        expect(pointsApart(f, back)).to.be.closeTo(0, 1e-9);
      })
    );
  });

  it('moves a reading, its class and its chance, and keeps what was read', () => {
    const reading = { tops: { sand: 20, silt: 35, clay: 50 }, sigmaMm: 0.5 };
    const { result: plain } = workOutReading(reading, 'usda');
    const { result: moved } = workOutReading(
      { ...reading, calibration: { pairs: 4, siltLog: 0, clayLog: -1.2 } },
      'usda'
    );
    expect(moved.calibrated).to.eql({ asRead: plain.fractions, pairs: 4 });
    expect(moved.fractions.clay).to.be.below(plain.fractions.clay - 10);
    expect(moved.class.id).not.to.equal(plain.class.id);
    expect(moved.mean.clay).to.be.closeTo(moved.fractions.clay, 1);
    expect(moved.layers).to.eql(plain.layers);
  });
});

describe('two people reading one jar', () => {
  it('count as the mean, with their difference in its error', () => {
    const pair = pairLines(
      { tops: { sand: 20, silt: 30 }, sigmas: { sand: 0.5, silt: 0.5 } },
      { tops: { sand: 22, silt: 30 }, sigmas: { sand: 0.5, silt: 0.5 } }
    );
    expect(pair.tops).to.eql({ sand: 21, silt: 30 });
    expect(pair.sigmas.silt).to.be.closeTo(0.5 / Math.SQRT2, 1e-9);
    expect(pair.sigmas.sand).to.be.closeTo(Math.hypot(0.5 / Math.SQRT2, 1), 1e-9);
  });

  it('keep the lines that only one of them saw', () => {
    const pair = pairLines(
      { tops: { sand: 20 }, sigmas: { sand: 0.5 } },
      { tops: { silt: 30 }, sigmas: { silt: 2 } }
    );
    expect(pair).to.eql({ tops: { sand: 20, silt: 30 }, sigmas: { sand: 0.5, silt: 2 } });
  });

  it('make a result surer where they agree, and less sure where they do not', () => {
    const sd = (second: number) => {
      const { tops, sigmas } = pairLines(
        { tops: { sand: 20, silt: 35, clay: 40 }, sigmas: { sand: 0.5, silt: 0.5, clay: 0.5 } },
        { tops: { sand: second, silt: 35, clay: 40 }, sigmas: { sand: 0.5, silt: 0.5, clay: 0.5 } }
      );
      return workOutReading({ tops, sigmaMm: 0.5, ownSigmaMm: sigmas }, 'usda').result.sd.sand;
    };
    const alone = workOutReading({ tops: { sand: 20, silt: 35, clay: 40 }, sigmaMm: 0.5 }, 'usda').result.sd
      .sand;
    expect(sd(20)).to.be.below(alone);
    expect(sd(23)).to.be.above(alone);
  });
});

describe('timed marks beside the bands seen at the end', () => {
  const marks = [
    { layer: 'sand' as const, heightMm: 20 },
    { layer: 'silt' as const, heightMm: 33 },
    { layer: 'clay' as const, heightMm: null }
  ];

  it('says what each difference means', () => {
    const means = (tops: object) => marksAgainstBands(marks, tops, 0.5).map((m) => m.means);
    expect(means({ sand: 20.5, silt: 33 })).to.eql(['alike', 'alike']);
    expect(means({ sand: 17, silt: 36 })).to.eql(['sank', 'finer']);
    const clay = [{ layer: 'clay' as const, heightMm: 38 }];
    expect(marksAgainstBands(clay, { clay: 42 }, 0.5)[0].means).to.equal('arrived');
    expect(marksAgainstBands(clay, { clay: 34 }, 0.5)[0].means).to.equal('sank');
  });

  it('sets only those side by side that are known both ways', () => {
    expect(marksAgainstBands(marks, { clay: 40 }, 0.5)).to.eql([]);
    const [sand] = marksAgainstBands(marks, { sand: 24 }, 2);
    expect(sand).to.include({ layer: 'sand', markMm: 20, bandMm: 24, byMm: 4, means: 'alike' });
    expect(sand.allowedMm).to.be.closeTo(2 * Math.SQRT2 * 2, 1e-9);
  });
});
