import { expect } from 'chai';
import fc from 'fast-check';
import { decodeColours, encodeColours, toFrames } from '../../../../src/lib/contract/film.ts';
import {
  curvePoints,
  fallingFront,
  filmColumn,
  filmEstimate,
  nextFrameS,
  pointsApart,
  RangeProblem,
  settlingColumn,
  settlingScene,
  fitTop,
  settledYet,
  STANDARD_VESSELS,
  stripProfile,
  takePicture,
  topAt,
  trackTop,
  type Film,
  type Fractions
} from '../../../../src/lib/core/index.ts';

const vessel = STANDARD_VESSELS.find((v) => v.id === 'jar-litre')!;
const WATER = 128;
const HOUR = 3600;

const filmed = new Map<number, Film>();

/** A jar filmed for two days by a camera on a stand; each soil is filmed once. */
function filmJar(fractions: Fractions): Film {
  const there = filmed.get(fractions.sand);
  if (there) return there;
  const jar = { fractions, columnMm: WATER, tempC: 18, solidsKgM2: 40 };
  const frames: { timeS: number; colours: Film['frames'][number]['colours'] }[] = [];
  for (let timeS = 5; timeS < 48 * HOUR; timeS = Math.max(nextFrameS(timeS), timeS * 1.25)) {
    const { picture, truth } = takePicture(settlingScene(vessel, jar, timeS), {
      widthPx: 240,
      heightPx: 320,
      seed: Math.round(timeS),
      noise: 4,
      glare: 0.5,
      label: true
    });
    const profile = stripProfile(picture, {
      low: { at: truth.pixelOf(0), heightMm: 0 },
      high: { at: truth.pixelOf(WATER), heightMm: WATER },
      asidePx: 0,
      widthPx: 30,
      fromMm: 1,
      toMm: 122
    });
    frames.push({ timeS, colours: filmColumn(profile) });
  }
  const film = { fromMm: 1, rowMm: 121 / 240, frames };
  filmed.set(fractions.sand, film);
  return film;
}

describe('a height-time picture', () => {
  const soils: Fractions[] = [
    { sand: 40, silt: 40, clay: 20 },
    { sand: 60, silt: 25, clay: 15 },
    { sand: 20, silt: 50, clay: 30 }
  ];

  it('shows the sediment growing: its top is followed to within 2 mm, nine times in ten', () => {
    for (const fractions of soils) {
      const column = settlingColumn({ fractions, columnMm: WATER, tempC: 18, solidsKgM2: 40 });
      const curve = trackTop(filmJar(fractions));
      const near = curve.filter((p) => Math.abs(p.heightMm - column.heightMm(p.timeS)) <= 2).length;
      expect(near / curve.length).to.be.at.least(0.9);
    }
  });

  it('gives the composition back within six points, and when sand and silt were down', () => {
    for (const fractions of soils) {
      const found = filmEstimate(trackTop(filmJar(fractions)), { columnMm: WATER, tempC: 18 });
      const column = settlingColumn({ fractions, columnMm: WATER, tempC: 18, solidsKgM2: 40 });
      expect(pointsApart(found.fractions, fractions)).to.be.below(6);
      expect(found.sandS / column.timeOfCut(50)).to.be.within(0.85, 1.15);
      expect(found.siltS / column.timeOfCut(2)).to.be.within(0.9, 1.1);
      expect(found.sandMm!).to.be.closeTo(column.heightMm(column.timeOfCut(50)), 2.5);
      expect(found.endMm).to.be.closeTo(column.heightMm(44 * HOUR), 1);
    }
  });

  it('tells from the curve alone whether the jar is settled', () => {
    const curve = trackTop(filmJar(soils[0]));
    const said = settledYet({
      jar: { columnMm: WATER, tempC: 18, solidsKgM2: 40 },
      tops: curve.slice(-8),
      nowS: 44 * HOUR,
      clarity: 'unseen',
      sigmaMm: 0.5,
      fit: fitTop
    });
    expect(said.siltDoneS).to.be.below(24 * HOUR);
    expect(said.top.kind).not.to.equal('few');
  });

  it('sees clay fall as a front, and knows its size', () => {
    // Water that clears from the top as grains of 5 um fall: a sharp front along a straight line.
    const speed = 0.0205; // mm/s
    const frames = Array.from({ length: 12 }, (_, i) => {
      const timeS = 300 * (i + 1);
      const front = WATER - speed * timeS;
      const colours = Array.from({ length: 240 }, (_, row) => {
        const mm = 1 + (row + 0.5) * (121 / 240);
        return mm < 20
          ? ([44, 7, 18] as const)
          : mm < front
            ? ([58, 12, 20] as const)
            : ([84, -2, 3] as const);
      });
      return { timeS, colours };
    });
    const film = { fromMm: 1, rowMm: 121 / 240, frames };
    const front = fallingFront(film, trackTop(film), { waterMm: WATER, tempC: 20 })!;
    expect(front.mmPerHour).to.be.closeTo(speed * 3600, 2);
    expect(front.diameterUm).to.be.closeTo(4.78, 0.15);
  });

  it('has no front where the water stays as it is', () => {
    const colours = Array.from({ length: 240 }, (_, row) => (row < 40 ? [44, 7, 18] : [84, -2, 3]) as never);
    const film = { fromMm: 1, rowMm: 0.5, frames: [1, 2, 3, 4].map((t) => ({ timeS: 60 * t, colours })) };
    expect(fallingFront(film, trackTop(film), { waterMm: WATER, tempC: 20 })).to.equal(undefined);
  });

  it('needs three pictures, and for a composition a span of time', () => {
    const one = { timeS: 5, colours: Array.from({ length: 240 }, () => [50, 0, 0] as const) };
    expect(() => trackTop({ fromMm: 0, rowMm: 0.5, frames: [one, one] })).to.throw(
      RangeProblem,
      'Three pictures'
    );
    const curve = [60, 70, 80, 90, 100].map((timeS) => ({ timeS, heightMm: 10, sigmaMm: 0.5 }));
    expect(() => filmEstimate(curve, { columnMm: WATER, tempC: 18 })).to.throw(RangeProblem, 'span');
  });

  it('reads the curve between its points, and nowhere beyond', () => {
    const curve = [
      { timeS: 10, heightMm: 5, sigmaMm: 0.5 },
      { timeS: 1000, heightMm: 15, sigmaMm: 0.5 }
    ];
    expect(topAt(curve, 100)).to.be.closeTo(10, 1e-9);
    expect(topAt(curve, 10)).to.equal(5);
    expect(topAt(curve, 5)).to.equal(undefined);
    expect(topAt(curve, 2000)).to.equal(undefined);
    expect(curvePoints(curve, 3).map((p) => p.heightMm)).to.eql([5, 10, 15]);
  });

  it('is taken ever more seldom, and never more than a quarter of an hour apart', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1e6, noNaN: true }), (t) => {
        const gap = nextFrameS(t) - t;
        expect(gap).to.be.within(3.99, 900.01);
      })
    );
  });
});

describe('the pictures of a film as they are kept', () => {
  it('come back to within a step of their bytes', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.double({ min: 0, max: 100, noNaN: true }),
            fc.double({ min: -120, max: 120, noNaN: true }),
            fc.double({ min: -120, max: 120, noNaN: true })
          ),
          { minLength: 1, maxLength: 60 }
        ),
        (colours) => {
          const back = decodeColours(encodeColours(colours));
          expect(back).to.have.length(colours.length);
          back.forEach((c, i) => c.forEach((v, k) => expect(v).to.be.closeTo(colours[i][k], 0.51)));
        }
      )
    );
  });

  it('are taken in order of time, after set-down, one a moment', () => {
    const colours = encodeColours([[50, 0, 0]]);
    const frames = [3000, 1000, 500, 3000].map((at, i) => ({ id: String(i), at, colours }));
    expect(toFrames(frames, 1000).map((f) => f.timeS)).to.eql([2]);
  });
});
