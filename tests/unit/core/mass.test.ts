import { expect } from 'chai';
import fc from 'fast-check';
import {
  clayStillUp,
  clearClayFloor,
  depositHeights,
  massFromBands,
  massFromTimedMarks,
  nonNegativeLeastSquares,
  RangeProblem,
  type Fractions
} from '../../../src/lib/core/index.ts';
import { HOUR, TIMES, near } from './weighed.ts';
const anySoil = fc
  .tuple(fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }))
  .map(([a, b]): Fractions => {
    const [low, high] = a < b ? [a, b] : [b, a];
    return { sand: 100 * low, silt: 100 * (high - low), clay: 100 * (1 - high) };
  });

describe('least squares without negatives', () => {
  it('is the plain answer where that has none below zero', () => {
    const x = nonNegativeLeastSquares(
      [
        [1, 0, 0],
        [1, 1, 0],
        [1, 1, 1]
      ],
      [2, 5, 9]
    );
    expect(x.map((v) => Math.round(v * 1e9) / 1e9)).to.deep.equal([2, 3, 4]);
  });

  it('gives nothing below zero, and nothing nearer can be found beside it', () => {
    const row = fc.tuple(...[0, 1, 2].map(() => fc.double({ min: 0, max: 2, noNaN: true })));
    fc.assert(
      fc.property(
        fc.array(fc.tuple(row, fc.double({ min: -3, max: 10, noNaN: true })), { minLength: 3, maxLength: 6 }),
        fc.array(fc.double({ min: 0, max: 0.3, noNaN: true }), { minLength: 3, maxLength: 3 }),
        (system, step) => {
          const [rows, b] = [system.map((s) => s[0]), system.map((s) => s[1])];
          const miss = (x: number[]) =>
            rows.reduce((sum, r, k) => sum + (r[0] * x[0] + r[1] * x[1] + r[2] * x[2] - b[k]) ** 2, 0);
          const x = nonNegativeLeastSquares(rows, b);
          expect(Math.min(...x)).to.be.at.least(0);
          for (const sign of [1, -1]) {
            const beside = x.map((v, i) => Math.max(0, v + sign * step[i]));
            expect(miss(x)).to.be.at.most(miss(beside) + 1e-6 * (1 + miss(beside)));
          }
        }
      )
    );
  });
});

describe('the estimate by mass', () => {
  it('gives 40/40/20 back from the heights 11.93, 22.14 and 29.05 mm', () => {
    const marks = [11.93, 22.14, 29.05].map((heightMm, i) => ({ timeS: TIMES[i], heightMm }));
    const found = massFromTimedMarks({ marks, columnMm: 140, tempC: 18 });
    near(found.fractions, { sand: 40, silt: 40, clay: 20 }, 0.5);
    expect(found.solidsKgM2).to.be.closeTo(40, 0.4);
    expect(found.column.phi0).to.be.closeTo(0.108, 0.001);
  });

  it('is the way back from the model: any soil, five depths, three temperatures, crowded or not', () => {
    fc.assert(
      fc.property(
        anySoil,
        fc.constantFrom(60, 100, 140, 200, 300),
        fc.constantFrom(8, 18, 28),
        fc.boolean(),
        fc.double({ min: 0.04, max: 0.32, noNaN: true }),
        (fractions, columnMm, tempC, hindered, load) => {
          const solidsKgM2 = load * columnMm;
          const heights = depositHeights({ fractions, timesS: TIMES, columnMm, tempC, solidsKgM2, hindered });
          const marks = heights.map((heightMm, i) => ({ timeS: TIMES[i], heightMm }));
          const found = massFromTimedMarks({ marks, columnMm, tempC, hindered });
          near(found.fractions, fractions, 0.5);
          expect(found.solidsKgM2 / solidsKgM2).to.be.closeTo(1, 0.01);
        }
      ),
      { numRuns: 60 }
    );
  });

  it('from more marks than three agrees with all of them, and late marks at their true times', () => {
    const fractions = { sand: 30, silt: 45, clay: 25 };
    const times = [75, 600, 7900, 80_000, 170_000];
    const o = { columnMm: 128, tempC: 15 };
    const heights = depositHeights({ ...o, fractions, timesS: times, solidsKgM2: 45 });
    const marks = heights.map((heightMm, i) => ({ timeS: times[i], heightMm }));
    near(massFromTimedMarks({ ...o, marks }).fractions, fractions, 0.3);
  });

  it('does not mind how large the jar is drawn or in which unit: heights and depth grow alike', () => {
    // Twice the depth takes four times... of nothing: only the ratio of height to load counts in clear water.
    const marks = [10, 20, 26].map((heightMm, i) => ({ timeS: TIMES[i], heightMm }));
    const thin = massFromTimedMarks({ marks, columnMm: 140, tempC: 18, hindered: false });
    const thick = massFromTimedMarks({
      marks: marks.map((m) => ({ ...m, heightMm: m.heightMm * 1.7 })),
      columnMm: 140,
      tempC: 18,
      hindered: false
    });
    near(thick.fractions, thin.fractions, 1e-6);
    expect(thick.solidsKgM2 / thin.solidsKgM2).to.be.closeTo(1.7, 1e-6);
  });

  it('is refused with a sentence: too few marks, two at one time, below the bottom, nothing settled', () => {
    const at = (...pairs: [number, number][]) => pairs.map(([timeS, heightMm]) => ({ timeS, heightMm }));
    for (const [marks, words] of [
      [at([60, 10], [7200, 20]), /three timed marks/],
      [at([60, 10], [60, 20], [99, 30]), /same time/],
      [at([60, -1], [7200, 20], [86_400, 30]), /below the inside bottom/],
      [at([60, 0], [7200, 0], [86_400, 0]), /hold no soil/]
    ] as const) {
      expect(() => massFromTimedMarks({ marks, columnMm: 140, tempC: 18 }))
        .to.throw(RangeProblem)
        .with.property('message')
        .match(words);
    }
  });

  it('from bands weighs each layer by how it packs, and adds what is still up', () => {
    const o = { columnMm: 140, tempC: 18, sandMm: 12, siltMm: 12, clayMm: 6, endS: 24 * HOUR };
    const clear = massFromBands({ ...o, clear: true });
    const loads = [12 * 1500, 12 * 1200, 6 * 800];
    const sum = loads.reduce((a, b) => a + b);
    near(
      clear.fractions,
      { sand: (100 * loads[0]) / sum, silt: (100 * loads[1]) / sum, clay: (100 * loads[2]) / sum },
      1e-6
    );
    const cloudy = massFromBands({ ...o, clear: false });
    expect(cloudy.fractions.clay).to.be.above(clear.fractions.clay + 5);
    expect(cloudy.solidsKgM2).to.be.above(clear.solidsKgM2);
    expect(() => massFromBands({ ...o, sandMm: 0, siltMm: 0, clayMm: 0, clear: true })).to.throw(
      RangeProblem
    );
    expect(() => massFromBands({ ...o, clayMm: -1, clear: true })).to.throw(RangeProblem);
  });

  it('raises the finest clay until clear water can be believed', () => {
    for (const cutUm of [0.3, 0.8, 1.2, 1.9]) {
      const floor = clearClayFloor(cutUm);
      expect(floor).to.be.within(0.2, 2);
      expect(1 - clayStillUp(cutUm, floor)).to.be.at.least(0.9499);
    }
    expect(clearClayFloor(0.1)).to.equal(0.2);
    expect(clayStillUp(1.14)).to.be.within(0.3, 0.7);
  });
});
