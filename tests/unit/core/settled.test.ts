import { expect } from 'chai';
import fc from 'fast-check';
import {
  fitTop,
  readableAt,
  RangeProblem,
  settledYet,
  solidsFromDryFill,
  type TopReading
} from '../../../src/lib/core/index.ts';

const HOUR = 3600;
const curve = (end: number, left: number, constantS: number, times: number[]): TopReading[] =>
  times.map((timeS) => ({ timeS, heightMm: end + left * Math.exp(-timeS / constantS) }));
const TIMES = [2, 5, 9, 20, 30].map((h) => h * HOUR);
const jar = { columnMm: 128, tempC: 18, solidsKgM2: solidsFromDryFill(43) };
const ask = (tops: TopReading[], nowS: number, clarity: 'clear' | 'cloudy' | 'unseen' = 'unseen') =>
  settledYet({ jar, tops, nowS, sigmaMm: 0.5, clarity, fit: fitTop });

describe('the top of the sediment', () => {
  it('is followed to its end, whether it rises or falls', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 15, max: 90, noNaN: true }),
        fc.double({ min: 2, max: 14, noNaN: true }),
        fc.constantFrom(1, -1),
        fc.double({ min: 4, max: 24, noNaN: true }),
        (end, size, sign, hours) => {
          const fit = fitTop(curve(end, sign * size, hours * HOUR, TIMES))!;
          expect(fit.endMm).to.be.closeTo(end, 0.1);
          expect(fit.leftMm).to.be.closeTo(sign * size, 0.2);
          expect(fit.constantS / HOUR).to.be.closeTo(hours, 0.5);
          expect(fit.errorMm).to.be.below(0.02);
        }
      ),
      { numRuns: 40 }
    );
  });

  it('is read to half a millimetre and still followed to about one', () => {
    for (const [i, hours] of [5, 8, 12].entries()) {
      const tops = curve(30, 9, hours * HOUR, TIMES).map((t, k) => ({
        ...t,
        heightMm: t.heightMm + 0.3 * Math.sin(7 * k + i)
      }));
      expect(fitTop(tops)!.endMm).to.be.closeTo(30, 1.2);
    }
  });

  it('has no end in sight where it does not bend, and one that has stopped is at its end', () => {
    const straight = TIMES.map((timeS) => ({ timeS, heightMm: 20 + timeS / HOUR / 4 }));
    expect(fitTop(straight)).to.equal(undefined);
    const still = TIMES.map((timeS) => ({ timeS, heightMm: 31 }));
    expect(fitTop(still)).to.include({ endMm: 31, leftMm: 0 });
  });

  it('is refused with fewer than four readings, or out of order', () => {
    expect(() => fitTop(curve(30, 5, HOUR, TIMES.slice(0, 3)))).to.throw(RangeProblem, /1 more/);
    expect(() =>
      fitTop(
        curve(
          30,
          5,
          HOUR,
          [3, 2, 4, 5].map((h) => h * HOUR)
        )
      )
    ).to.throw(RangeProblem, /forward/);
    expect(() => fitTop(TIMES.map((timeS) => ({ timeS, heightMm: -1 })))).to.throw(RangeProblem);
  });
});

describe('is it settled', () => {
  it('has two answers: silt by the clock of 2 um, the top by its own', () => {
    const answer = ask([], 3 * HOUR);
    // A grain of 2 um falls 128 mm of water at 18 degC in 10.4 h; crowded by the fill, an eighth to a quarter slower.
    expect(answer.siltDoneS / HOUR).to.be.within(11.7, 13);
    expect(answer.top).to.deep.equal({ kind: 'few', missing: 4 });
  });

  it('says when the top will stand still, and that it does once what is left is under the reading error', () => {
    const tops = curve(30, 8, 6 * HOUR, TIMES);
    const moving = ask(tops, 9 * HOUR).top;
    if (moving.kind !== 'moving') throw new Error(`The top is ${moving.kind}.`);
    // 8 exp(-t/6 h) = 0.5 mm after 16.6 h.
    expect(moving.stillAtS / HOUR).to.be.closeTo(16.6, 0.3);
    expect(moving.leftMm).to.be.closeTo(8 * Math.exp(-1.5), 0.1);
    const later = ask(tops, 17 * HOUR);
    expect(later.top).to.include({ kind: 'still' });
    // Silt is done after 12 h here, so that the top has the last word.
    expect(later.readableAtS! / HOUR).to.be.closeTo(16.6, 0.3);
    expect(
      ask(
        TIMES.map((timeS) => ({ timeS, heightMm: timeS / HOUR })),
        30 * HOUR
      ).top.kind
    ).to.equal('unsure');
  });

  it('does not call a jar readable while silt comes down, nor by a curve that its readings do not lie on', () => {
    const quick = curve(
      30,
      8,
      0.5 * HOUR,
      [0.2, 0.6, 1.2, 2.5].map((h) => h * HOUR)
    );
    const answer = ask(quick, 3 * HOUR);
    expect(answer.top.kind).to.equal('still');
    expect(answer.readableAtS).to.equal(answer.siltDoneS);
    expect(readableAt(jar, quick, 0.5)).to.equal(answer.siltDoneS);
    // A jar of 34 % clay over its first hour and a half: growth that slows without an end.
    const growing = [
      [120, 23.5],
      [480, 28.5],
      [1200, 32],
      [2700, 35],
      [5400, 37.5]
    ].map(([timeS, heightMm]) => ({
      timeS,
      heightMm
    }));
    expect(ask(growing, 5700).top.kind).to.equal('unsure');
    expect(readableAt(jar, growing, 0.5)).to.equal(undefined);
    expect(readableAt(jar, growing.slice(0, 3), 0.5)).to.equal(undefined);
  });

  it('gives what is still up as a range, which the look of the water narrows', () => {
    const unseen = ask([], 24 * HOUR).stillUpPct;
    expect(unseen.low).to.be.below(unseen.high);
    const cloudy = ask([], 24 * HOUR, 'cloudy').stillUpPct;
    expect(cloudy.low).to.equal(cloudy.high);
    const clear = ask([], 24 * HOUR, 'clear').stillUpPct;
    expect(clear.high).to.be.at.most(5.01);
    expect(ask([], 60, 'cloudy').stillUpPct.high).to.be.above(95);
  });
});
