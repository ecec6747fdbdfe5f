import { expect } from 'chai';
import fc from 'fast-check';
import {
  formatCountdown,
  formatDose,
  formatDuration,
  formatTapeTime,
  formatTemperature,
  formatVolume,
  parseDuration,
  parseWaterTemperature,
  RangeProblem,
  roundShares
} from '../../../src/lib/core/index.ts';

describe('temperature', () => {
  it('reads degrees in either unit', () => {
    expect(parseWaterTemperature('18', 'C')).to.equal(18);
    expect(parseWaterTemperature('64.4', 'F')).to.be.closeTo(18, 1e-9);
    expect(parseWaterTemperature('68 F', 'C')).to.be.closeTo(20, 1e-9);
    expect(parseWaterTemperature('18,5 °C', 'F')).to.equal(18.5);
  });
  for (const text of ['', 'warm', '-1', '41', '200 F', '18 K']) {
    it(`refuses ${JSON.stringify(text)}`, () => {
      expect(() => parseWaterTemperature(text, 'C'))
        .to.throw(RangeProblem)
        .with.property('field', 'tempC');
    });
  }
  it('is shown without a needless decimal', () => {
    expect(formatTemperature(18, 'C')).to.equal('18 °C');
    expect(formatTemperature(18.5, 'C')).to.equal('18.5 °C');
    expect(formatTemperature(20, 'F')).to.equal('68 °F');
  });
});

describe('amounts', () => {
  it('gives water in litres or quarts', () => {
    expect(formatVolume(753, 'L')).to.equal('753 mL');
    expect(formatVolume(1250, 'L')).to.equal('1.25 L');
    expect(formatVolume(946.353, 'gal')).to.equal('1.00 qt');
  });
  it('gives a dose in mL, with quarter teaspoons for those who use them', () => {
    expect(formatDose(3.77, 'L')).to.equal('3.8 mL');
    expect(formatDose(3.77, 'gal')).to.equal('3/4 tsp (3.8 mL)');
    expect(formatDose(7.4, 'gal')).to.equal('1 1/2 tsp (7.4 mL)');
  });
});

describe('durations', () => {
  it('are given in the two units that matter', () => {
    expect(formatDuration(45)).to.equal('45 s');
    expect(formatDuration(93)).to.equal('1 min 33 s');
    expect(formatDuration(7290)).to.equal('2 h 2 min');
    expect(formatDuration(172_800)).to.equal('48 h');
    expect(formatDuration(6 * 86_400 + 7200)).to.equal('6 d 2 h');
  });
  it('never carry a sixtieth minute or second', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 2e6, noNaN: true }), (s) => {
        expect(formatDuration(s)).not.to.match(/\b60 (s|min)\b/);
      })
    );
  });
  it('count down to the second that still runs', () => {
    expect(formatCountdown(192)).to.equal('3:12');
    expect(formatCountdown(0.4)).to.equal('0:01');
    expect(formatCountdown(0)).to.equal('0:00');
    expect(formatCountdown(7509)).to.equal('2:05:09');
  });
  it('are short on tape', () => {
    expect(formatTapeTime(64)).to.equal('1:04');
    expect(formatTapeTime(7320)).to.equal('2:02 h');
    expect(formatTapeTime(93_600)).to.equal('26:00 h');
    expect(formatTapeTime(4 * 86_400)).to.equal('4 d 0 h');
  });
});

describe('durations as people write them', () => {
  const read: [string, number][] = [
    ['65 s', 65],
    ['1:05', 65],
    ['1 min 5 s', 65],
    ['2h', 7200],
    ['2:02 h', 7320],
    ['26:00:30', 93_630],
    ['1,5 h', 5400],
    ['1 d 2 h', 93_600]
  ];
  for (const [text, seconds] of read)
    it(`reads ${text}`, () => expect(parseDuration(text)).to.equal(seconds));

  it('asks for a unit where there is none, and says what to type', () => {
    expect(() => parseDuration('90')).to.throw(/s, min or h/);
    for (const text of ['', 'soon', '1:75', '2 h and a bit', '-5 s']) {
      expect(() => parseDuration(text), text).to.throw(RangeProblem, /such as 65 s/);
    }
  });
});

describe('largest-remainder rounding', () => {
  it('keeps the sum at 100', () => {
    expect(roundShares([33.4, 33.3, 33.3])).to.deep.equal([34, 33, 33]);
    fc.assert(
      fc.property(
        fc.tuple(
          fc.double({ min: 0.01, max: 1, noNaN: true }),
          fc.double({ min: 0, max: 1, noNaN: true }),
          fc.double({ min: 0, max: 1, noNaN: true })
        ),
        (parts) => {
          const sum = parts.reduce((a, b) => a + b, 0);
          const shares = parts.map((p) => (100 * p) / sum);
          const rounded = roundShares(shares);
          expect(rounded.reduce((a, b) => a + b, 0)).to.equal(100);
          rounded.forEach((r, i) => expect(Math.abs(r - shares[i])).to.be.below(1 + 1e-6));
        }
      )
    );
  });
});
