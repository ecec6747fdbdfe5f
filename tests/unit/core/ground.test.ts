import { expect } from 'chai';
import fc from 'fast-check';
import {
  alongAxis,
  areaOf,
  centreOf,
  checkOutline,
  crossingOf,
  distance,
  distanceToEdge,
  innermost,
  isInside,
  middleOf,
  MOST_CORNERS,
  MOST_SPOTS,
  suggestSpots,
  walkingOrder,
  walkLength,
  type Outline,
  type Point
} from '../../../src/lib/core/index.ts';
import { refused } from './refused.ts';

const bed: Outline = [
  [0, 0],
  [4, 0],
  [4, 3],
  [0, 3]
];
/** A bent bank, like an L. */
const bent: Outline = [
  [0, 0],
  [20, 0],
  [20, 4],
  [5, 4],
  [5, 18],
  [0, 18]
];
const bowTie: Outline = [
  [0, 0],
  [4, 4],
  [4, 0],
  [0, 4]
];

/** A star-shaped outline: corners at growing angles around a middle, so that edges never cross. */
const outlines = fc
  .record({
    radii: fc.array(fc.double({ min: 2, max: 30, noNaN: true }), { minLength: 5, maxLength: 12 }),
    x: fc.double({ min: -200, max: 200, noNaN: true }),
    y: fc.double({ min: -200, max: 200, noNaN: true })
  })
  .map(({ radii, x, y }): Outline =>
    radii.map((r, i): Point => {
      const angle = (2 * Math.PI * i) / radii.length;
      return [x + r * Math.cos(angle), y + r * Math.sin(angle)];
    })
  );

describe('an area on the sketch', () => {
  it('is measured in square metres, whichever way round it is drawn', () => {
    expect(areaOf(bed)).to.equal(12);
    expect(areaOf([...bed].reverse())).to.equal(12);
    expect(areaOf(bent)).to.equal(20 * 4 + 5 * 14);
    expect(centreOf(bed)).to.deep.equal([2, 1.5]);
    fc.assert(
      fc.property(outlines, fc.double({ min: 0.1, max: 9, noNaN: true }), (outline, k) => {
        const grown = outline.map(([x, y]): Point => [x * k, y * k]);
        expect(areaOf(grown)).to.be.closeTo(areaOf(outline) * k * k, 1e-6 * areaOf(grown) + 1e-9);
      })
    );
  });

  it('is refused when it crosses itself, and says between which edges', () => {
    expect(crossingOf(bed)).to.equal(undefined);
    expect(crossingOf(bent)).to.equal(undefined);
    expect(crossingOf(bowTie)).to.deep.equal([0, 2]);
    expect(refused(() => checkOutline(bowTie)).message).to.match(/after corner 1 and after corner 3 cross/);
    const speck = bed.map(([x, y]): Point => [x / 100, y / 100]);
    expect(refused(() => checkOutline(speck)).message).to.match(/next to nothing/);
    const crossed: Outline = [
      [0, 0],
      [6, 0],
      [6, 5],
      [2, -2],
      [0, 5]
    ];
    expect(refused(() => checkOutline(crossed)).message).to.match(/cross. Move a corner/);
  });

  it('is refused when an edge folds back, a corner touches another edge, or it encloses nothing', () => {
    const spike: Outline = [
      [0, 0],
      [4, 0],
      [8, 0],
      [4, 0],
      [4, 3]
    ];
    const touching: Outline = [
      [0, 0],
      [6, 0],
      [6, 4],
      [3, 0],
      [0, 4]
    ];
    for (const outline of [spike, touching])
      expect(crossingOf(outline), String(outline)).not.to.equal(undefined);
    expect(refused(() => checkOutline(bed.slice(0, 2))).message).to.match(/at least three corners/);
    const flat: Outline = [
      [0, 0],
      [5, 5],
      [9, 9]
    ];
    expect(refused(() => checkOutline(flat)).message).to.match(/encloses nothing/);
    expect(
      refused(() =>
        checkOutline([
          [0, 0],
          [1, NaN],
          [2, 2]
        ])
      ).field
    ).to.equal('outline');
    expect(
      refused(() =>
        checkOutline([
          [0, 0],
          [2e6, 0],
          [2, 2]
        ])
      ).message
    ).to.match(/thousand kilometres/);
    const many = Array.from({ length: MOST_CORNERS + 1 }, (_, i): Point => [
      Math.cos((2 * Math.PI * i) / (MOST_CORNERS + 1)),
      Math.sin((2 * Math.PI * i) / (MOST_CORNERS + 1))
    ]);
    expect(refused(() => checkOutline(many)).message).to.match(/500 corners/);
    fc.assert(fc.property(outlines, (outline) => checkOutline(outline)));
  });

  it('knows what lies inside, how far the edge is, and where a label has room', () => {
    expect(isInside(bent, [2, 10])).to.equal(true);
    expect(isInside(bent, [12, 10])).to.equal(false);
    expect(distanceToEdge(bed, [2, 1])).to.equal(1);
    expect(distanceToEdge(bed, [6, 3])).to.equal(2);
    // The centre of gravity of the bend lies outside it; the label does not.
    expect(isInside(bent, innermost(bent))).to.equal(true);
    fc.assert(fc.property(outlines, (outline) => isInside(outline, innermost(outline))));
  });
});

describe('places along an area', () => {
  it('lie along its long axis, from its western end, wherever it is turned', () => {
    const strip: Outline = [
      [0, 0],
      [40, 0],
      [40, 4],
      [0, 4]
    ];
    const [near, middle, far] = alongAxis(strip, [
      [1, 2],
      [20, 2],
      [39, 2]
    ]);
    expect(near).to.be.closeTo(1, 0.5);
    expect(middle).to.be.closeTo(20, 0.3);
    expect(far - near).to.be.closeTo(38, 0.3);
    fc.assert(
      fc.property(fc.double({ min: -1.4, max: 1.4, noNaN: true }), (angle) => {
        const turn = ([x, y]: Point): Point => [
          x * Math.cos(angle) - y * Math.sin(angle),
          x * Math.sin(angle) + y * Math.cos(angle)
        ];
        const [a, b] = alongAxis(strip.map(turn), [turn([5, 2]), turn([30, 2])]);
        expect(Math.abs(b - a)).to.be.closeTo(25, 0.3);
      })
    );
    expect(
      middleOf([
        [0, 0],
        [4, 2]
      ])
    ).to.eql([2, 1]);
  });
});

describe('spots to sample', () => {
  it('are as many as asked, inside, away from edges, and the same for the same seed', () => {
    fc.assert(
      fc.property(outlines, fc.integer({ min: 1, max: MOST_SPOTS }), fc.nat(), (outline, count, seed) => {
        const spots = suggestSpots({ outline, count, seed });
        expect(spots).to.have.length(count);
        for (const spot of spots) expect(isInside(outline, spot)).to.equal(true);
        expect(suggestSpots({ outline, count, seed })).to.deep.equal(spots);
        expect(new Set(spots.map(String)).size).to.equal(count);
      }),
      { numRuns: 40 }
    );
  });

  it('keep off the edge and apart from each other', () => {
    for (const seed of [1, 2, 3, 4, 5]) {
      const spots = suggestSpots({ outline: bent, count: 5, seed });
      for (const spot of spots) expect(distanceToEdge(bent, spot)).to.be.above(0.6);
      for (const [i, a] of spots.entries()) {
        for (const b of spots.slice(i + 1)) expect(distance(a, b)).to.be.above(3);
      }
    }
    expect(suggestSpots({ outline: bent, count: 5, seed: 1 })).not.to.deep.equal(
      suggestSpots({ outline: bent, count: 5, seed: 2 })
    );
  });

  it('stand for like shares of the area: no part of it lies far from a spot', () => {
    const spots = suggestSpots({ outline: bed, count: 4, seed: 3 });
    for (let x = 0.1; x < 4; x += 0.2) {
      for (let y = 0.1; y < 3; y += 0.2) {
        expect(Math.min(...spots.map((s) => distance(s, [x, y])))).to.be.below(1.7);
      }
    }
  });

  it('are refused with a sentence: none, too many, a sliver, a crossed outline', () => {
    for (const count of [0, 13, 2.5, NaN]) {
      expect(refused(() => suggestSpots({ outline: bed, count, seed: 1 })).field).to.equal('count');
    }
    expect(refused(() => suggestSpots({ outline: bowTie, count: 4, seed: 1 })).field).to.equal('outline');
    const sliver: Outline = [
      [0, 0],
      [1000, 1000],
      [1000, 1000.00003]
    ];
    expect(refused(() => suggestSpots({ outline: sliver, count: 4, seed: 1 })).field).to.equal('outline');
  });

  it('are walked the shortest way: no other order is shorter', () => {
    const orders = (items: Point[]): Point[][] =>
      items.length < 2
        ? [items]
        : items.flatMap((item, i) =>
            orders([...items.slice(0, i), ...items.slice(i + 1)]).map((rest) => [item, ...rest])
          );
    const place = fc.tuple(
      fc.double({ min: 0, max: 50, noNaN: true }),
      fc.double({ min: 0, max: 50, noNaN: true })
    );
    fc.assert(
      fc.property(fc.array(place, { minLength: 1, maxLength: 6 }), (places) => {
        const best = Math.min(...orders(places).map(walkLength));
        const walked = walkingOrder(places);
        expect(walkLength(walked)).to.be.closeTo(best, 1e-9);
        expect([...walked].sort()).to.deep.equal([...places].sort());
        expect(walked[0][0]).to.be.at.most(walked.at(-1)![0]);
      }),
      { numRuns: 60 }
    );
    expect(refused(() => walkingOrder(Array.from({ length: 13 }, (_, i): Point => [i, 0]))).field).to.equal(
      'count'
    );
  });
});
