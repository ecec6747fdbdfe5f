import { expect } from 'chai';
import fc from 'fast-check';
import {
  checkCorners,
  checkPicture,
  checkScale,
  contrastStretch,
  glassCorners,
  heightOfPixel,
  homography,
  labOf,
  mapPixel,
  pixelOfHeight,
  layeredScene,
  seenRuler,
  segmentProfile,
  straighten,
  STANDARD_VESSELS,
  stripProfile,
  takePicture,
  type Corners,
  type LabColour,
  type Shot
} from '../../../../src/lib/core/index.ts';
import { JARS, shoot } from './set.ts';
import { fieldOf } from '../refused.ts';

describe('colours', () => {
  it('are those of CIELAB under D65', () => {
    const close = (c: LabColour, to: number[]) => c.forEach((v, i) => expect(v).to.be.closeTo(to[i], 0.05));
    close(labOf(255, 255, 255), [100, 0, 0]);
    close(labOf(0, 0, 0), [0, 0, 0]);
    close(labOf(255, 0, 0), [53.24, 80.09, 67.2]);
    close(labOf(119, 119, 119), [50.03, 0, 0]);
  });
});

describe('straightening', () => {
  const square: Corners = [
    [100, 50],
    [300, 60],
    [310, 390],
    [90, 400]
  ];
  const upright: Corners = [
    [0, 0],
    [200, 0],
    [200, 300],
    [0, 300]
  ];

  it('takes corners to corners, and back', () => {
    const [there, back] = [homography(square, upright), homography(upright, square)];
    square.forEach((p, i) => {
      mapPixel(there, p).forEach((v, k) => expect(v).to.be.closeTo(upright[i][k], 1e-6));
    });
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 200 }), fc.integer({ min: 0, max: 300 }), (x, y) => {
        mapPixel(there, mapPixel(back, [x, y])).forEach((v, k) => expect(v).to.be.closeTo([x, y][k], 1e-6));
      })
    );
  });

  it('refuses corners that are crossed or lie on one another', () => {
    const [a, b, c, d] = square;
    expect(fieldOf(() => checkCorners([b, a, c, d]))).to.equal('corners');
    expect(fieldOf(() => checkCorners([a, c, b, d]))).to.equal('corners');
    expect(
      fieldOf(() => checkCorners([d, c, b, a])),
      'the other way round'
    ).to.equal('corners');
    expect(fieldOf(() => checkCorners([a, [101, 51], c, d]))).to.equal('corners');
    expect(fieldOf(() => checkCorners(square))).to.equal('none');
  });

  it('keeps the size, and greys what the old picture did not show', () => {
    const data = new Uint8ClampedArray(4 * 200 * 200).fill(255);
    const out = straighten({ width: 200, height: 200, data }, [
      [40, 40],
      [160, 60],
      [160, 150],
      [40, 170]
    ]);
    expect([out.width, out.height]).to.eql([200, 200]);
    expect(out.data[4 * (100 * 200 + 100)]).to.equal(255);
    expect(out.data.includes(128)).to.equal(true);
  });
});

describe('the scale of a picture', () => {
  const low = { at: [100, 500] as const, heightMm: 0 };
  const high = { at: [110, 100] as const, heightMm: 100 };

  it('turns heights into places and back, leaning or not', () => {
    fc.assert(
      fc.property(fc.double({ min: -20, max: 150, noNaN: true }), (mm) => {
        const at = pixelOfHeight({ low, high, asidePx: 37 }, mm);
        expect(heightOfPixel({ low, high }, at)).to.be.closeTo(mm, 1e-9);
      })
    );
  });

  it('reads upside down as well: the higher place may be given first', () => {
    expect(heightOfPixel({ low: high, high: low }, [105, 300])).to.be.closeTo(50, 0.1);
  });

  it('refuses two clicks on one point, and two places of one height', () => {
    expect(fieldOf(() => checkScale({ low, high: { at: [101, 500], heightMm: 100 } }))).to.equal('scale');
    expect(fieldOf(() => checkScale({ low, high: { ...high, heightMm: 0.2 } }))).to.equal('scale');
    expect(fieldOf(() => checkScale({ low, high: { ...high, heightMm: 5000 } }))).to.equal('scale');
  });

  it('refuses strips that are too thin, too short or outside, and pictures of no size', () => {
    const { picture, strip } = shoot(JARS[0], {});
    expect(fieldOf(() => stripProfile(picture, { ...strip, widthPx: 2 }))).to.equal('strip');
    expect(fieldOf(() => stripProfile(picture, { ...strip, toMm: 2 }))).to.equal('strip');
    expect(fieldOf(() => stripProfile(picture, { ...strip, toMm: 400 }))).to.equal('strip');
    expect(fieldOf(() => stripProfile(picture, { ...strip, asidePx: 4000 }))).to.equal('strip');
    expect(fieldOf(() => checkPicture({ width: 10, height: 10 }))).to.equal('picture');
    expect(fieldOf(() => checkPicture({ width: 10_000, height: 10_000 }))).to.equal('picture');
  });

  it('leaves glare out of the colour of a row', () => {
    const row = (kind: object) => {
      const { picture, strip } = shoot(JARS[0], kind);
      const { colours, kept } = stripProfile(picture, strip);
      return { l: colours[60][0], kept: kept[60] };
    };
    const [bare, lit] = [row({ asidePx: -30 }), row({ asidePx: -30, glare: 0.8 })];
    expect(lit.kept).to.be.below(0.9);
    expect(lit.l).to.be.closeTo(bare.l, 2);
  });

  it('spreads a pale strip over the whole range', () => {
    const { slope, intercept } = contrastStretch({ colours: [30, 40, 50].map((l) => [l, 0, 0] as const) });
    expect(slope * 0.3 + intercept).to.be.closeTo(0.08, 1e-9);
    expect(slope * 0.5 + intercept).to.be.closeTo(0.92, 1e-9);
    expect(contrastStretch({ colours: [[40, 0, 0]] }).slope, 'of one colour').to.equal(8);
  });
});

describe('the colours of a strip', () => {
  const SIZE = 120;
  /** Dark under an edge, light over it; the edge lies between points, upright or with the glass on its side. */
  const edgeAt = (edge: number, lies: boolean) => {
    const data = new Uint8ClampedArray(4 * SIZE * SIZE);
    for (let y = 0; y < SIZE; y++)
      for (let x = 0; x < SIZE; x++) {
        // A point that the edge goes through is partly of both.
        const over = Math.min(1, Math.max(0, (lies ? x : SIZE - 1 - y) - edge + 0.5));
        data.fill(60 + 130 * over, 4 * (y * SIZE + x), 4 * (y * SIZE + x) + 3);
      }
    return { width: SIZE, height: SIZE, data };
  };

  it('put an edge between points where it is, upright and lying', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 40, max: 80, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.boolean(),
        (edge, shift, lies) => {
          const place = (mm: number): [number, number] => (lies ? [mm, 60] : [60, SIZE - 1 - mm]);
          const found = segmentProfile(
            stripProfile(edgeAt(edge, lies), {
              low: { at: place(0), heightMm: 0 },
              high: { at: place(100), heightMm: 100 },
              asidePx: 0,
              widthPx: 20,
              fromMm: 5 + shift,
              toMm: 105 + shift
            })
          );
          expect(found).to.have.length(1);
          expect(found[0].heightMm).to.be.closeTo(edge, 0.25);
        }
      )
    );
  });
});

describe('a ruler beside the glass', () => {
  const vessel = STANDARD_VESSELS.find((v) => v.id === 'jar-litre')!;
  const pictured = (o: { ruler: boolean; tiltDeg?: number; widthPx?: number }) => {
    const { widthPx = 720 } = o;
    return takePicture(layeredScene({ vessel, waterMm: 128, layers: [{ kind: 'sand', topMm: 30 }] }), {
      noise: 3,
      shade: 0.2,
      label: true,
      glare: 0.4,
      seed: 3,
      ...o,
      widthPx,
      heightPx: (4 * widthPx) / 3
    });
  };
  const scale = ({ truth }: ReturnType<typeof pictured>, off: number) => ({
    low: { at: truth.pixelOf(0), heightMm: 0 },
    high: { at: truth.pixelOf(128), heightMm: 128 * off }
  });

  it('tells the scale to a thousandth by its marks, however far off the crosses are', () => {
    for (const off of [1, 0.88, 1.13])
      for (const tiltDeg of [0, 2]) {
        const shot = pictured({ ruler: true, tiltDeg });
        const [a, b] = [shot.truth.pixelOf(0), shot.truth.pixelOf(128)];
        const pxPerMm = Math.hypot(b[0] - a[0], b[1] - a[1]) / 128;
        const seen = seenRuler(shot.picture, scale(shot, off))!;
        expect(seen.pxPerMm / pxPerMm, `${off} ${tiltDeg}`).to.be.closeTo(1, 0.001);
        // It stands to the left of the glass.
        expect(seen.asidePx).to.be.below((-vessel.innerDiameterMm / 2) * pxPerMm);
      }
  });

  it('is not seen where there is none, nor where its marks are finer than the picture', () => {
    const none = pictured({ ruler: false });
    expect(seenRuler(none.picture, scale(none, 1))).to.equal(undefined);
    const small = pictured({ ruler: true, widthPx: 240 });
    expect(seenRuler(small.picture, scale(small, 1))).to.equal(undefined);
  });
});

describe('corners on the walls of a jar', () => {
  const vessel = STANDARD_VESSELS.find((v) => v.id === 'jar-litre')!;
  const pictured = (shot: Partial<Shot>, turbidity = 0.2) =>
    takePicture(layeredScene({ vessel, waterMm: 128, turbidity, layers: [{ kind: 'silt', topMm: 30 }] }), {
      widthPx: 720,
      heightPx: 960,
      seed: 3,
      noise: 3,
      ...shot
    });

  it('lie on them to a millimetre wherever they are proposed, leaning, labelled, beside a ruler, in clear water and murk', () => {
    const shots = [
      {},
      { tiltDeg: 4, keystone: 0.1, ruler: true },
      { tiltDeg: -6, keystone: -0.1, shade: 0.5 },
      { tiltDeg: 3, label: true, glare: 0.6, ruler: true }
    ];
    const taken = [0, 0.2, 0.7].flatMap((turbidity) => shots.map((shot) => pictured(shot, turbidity)));
    let proposed = 0;
    for (const { picture, truth } of taken) {
      const corners = glassCorners(picture, truth.pixelOf(0), truth.pixelOf(128));
      if (corners) proposed += 1;
      corners?.forEach(([x, y], i) => {
        const wall = (i === 0 || i === 3 ? -1 : 1) * (vessel.innerDiameterMm / 2 + 2.6);
        const [a, b] = [truth.pixelOf(0, wall), truth.pixelOf(128, wall)];
        const there = a[0] + ((b[0] - a[0]) * (y - a[1])) / (b[1] - a[1]);
        expect(Math.abs(x - there) / truth.pxPerMm).to.be.below(1);
      });
    }
    expect(proposed).to.be.at.least(11);
  });

  it('are not proposed in a picture without a jar', () => {
    const grey = { width: 400, height: 400, data: new Uint8ClampedArray(640_000).fill(150) };
    expect(glassCorners(grey, [200, 350], [200, 50])).to.equal(undefined);
  });
});
