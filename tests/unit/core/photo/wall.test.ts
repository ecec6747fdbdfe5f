import { expect } from 'chai';
import fc from 'fast-check';
import {
  asideOfPixel,
  labOf,
  mirroredWall,
  pictureKind,
  requireStill,
  rgbOf,
  traceWall
} from '../../../../src/lib/core/index.ts';
import { fieldOf } from '../refused.ts';

describe('a picture by its first bytes', () => {
  const bytes = (...parts: (string | number[])[]) =>
    Uint8Array.from(parts.flatMap((p) => (typeof p === 'string' ? [...p].map((c) => c.charCodeAt(0)) : p)));
  const size = (n: number) => [n >>> 24, (n >>> 16) & 255, (n >>> 8) & 255, n & 255];
  const png = (w: number, h: number, ...chunks: [string, number[]][]) =>
    bytes(
      [0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10],
      size(13),
      'IHDR',
      size(w),
      size(h),
      [8, 2, 0, 0, 0, 0, 0, 0, 0],
      ...chunks.flatMap(([name, data]) => [size(data.length), name, data, [0, 0, 0, 0]])
    );
  const still = (b: Uint8Array) => fieldOf(() => requireStill(b));

  it('is told whatever its name says, with its size', () => {
    expect(pictureKind(png(640, 480, ['IDAT', [1, 2]]))).to.eql({
      kind: 'png',
      moves: false,
      width: 640,
      height: 480
    });
    const jpeg = bytes([0xff, 0xd8, 0xff, 0xe0, 0, 4, 0, 0, 0xff, 0xc2, 0, 11, 8, 1, 224, 2, 128, 3, 0, 0]);
    expect(pictureKind(jpeg)).to.eql({ kind: 'jpeg', moves: false, width: 640, height: 480 });
    const webp = (flags: number) =>
      bytes('RIFF', [0, 0, 0, 0], 'WEBP', 'VP8X', [10, 0, 0, 0, flags, 0, 0, 0, 127, 2, 0, 223, 1, 0, 0, 0]);
    expect(pictureKind(webp(0))).to.eql({ kind: 'webp', moves: false, width: 640, height: 480 });
    expect(pictureKind(webp(2)).moves).to.equal(true);
    expect(pictureKind(png(9, 9, ['acTL', [0]], ['IDAT', [0]])).moves).to.equal(true);
  });

  it('is refused when it is empty, no picture, moves, is HEIC or a hundred megapixels', () => {
    expect(still(png(640, 480, ['IDAT', [0]]))).to.equal('none');
    for (const bad of [
      new Uint8Array(),
      bytes('this is a letter, whatever it is called'),
      png(640, 480, ['acTL', [0]], ['IDAT', [0]]),
      bytes([0, 0, 0, 24], 'ftypheic', [0, 0, 0, 0, 0]),
      png(10_000, 10_000, ['IDAT', [0]])
    ]) {
      expect(still(bad)).to.equal('picture');
    }
    expect(() => requireStill(bytes([0, 0, 0, 24], 'ftypheic', [0, 0, 0, 0, 0]))).to.throw(/Save it as JPEG/);
  });

  it('has colours that come back from CIELAB', () => {
    fc.assert(
      fc.property(fc.nat(255), fc.nat(255), fc.nat(255), (r, g, b) => {
        expect(rgbOf(labOf(r, g, b))).to.eql([r, g, b]);
      })
    );
  });
});

describe('a wall traced on a picture', () => {
  // Upright, and leaning a little: five points of the picture a millimetre.
  const axes = [
    { low: { at: [300, 700] as const, heightMm: 0 }, high: { at: [300, 200] as const, heightMm: 100 } },
    { low: { at: [300, 700] as const, heightMm: 0 }, high: { at: [330, 200] as const, heightMm: 100 } }
  ];

  it('gives twice the way from the axis as width, lowest first', () => {
    const wall = traceWall(axes[0], [
      [500, 450],
      [450, 700],
      [440, 720]
    ]);
    expect(wall).to.eql([
      { heightMm: 0, diameterMm: 60 },
      { heightMm: 0, diameterMm: 56 },
      { heightMm: 50, diameterMm: 80 }
    ]);
  });

  it('lies as far on the other side, however the vessel leans', () => {
    for (const axis of axes) {
      const wall = [
        { heightMm: 5, diameterMm: 60 },
        { heightMm: 90, diameterMm: 70 }
      ];
      traceWall(axis, mirroredWall(axis, wall)).forEach((p, i) => {
        expect(p.heightMm).to.be.closeTo(wall[i].heightMm, 1e-9);
        expect(p.diameterMm).to.be.closeTo(wall[i].diameterMm, 1e-9);
      });
      expect(asideOfPixel(axis, mirroredWall(axis, wall)[0])).to.be.below(0);
    }
  });
});
