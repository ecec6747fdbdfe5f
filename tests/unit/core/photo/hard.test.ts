import { expect } from 'chai';
import { nameLines, segmentProfile, stripProfile } from '../../../../src/lib/core/index.ts';
import { HARD, hardPicture } from './hard.ts';

const EACH = 4;
const NAMES = ['sand', 'silt', 'clay'] as const;

describe('lines of hard pictures', () => {
  it('are found within a millimetre, with their names and errors, and hardly a false one', async () => {
    let [lines, near, halfNear, inOne, inTwo, falses, named] = [0, 0, 0, 0, 0, 0, 0];
    const offs: number[] = [];
    for (const kind of HARD) {
      for (let seed = 0; seed < EACH; seed++) {
        const { picture, strip, tops, expected } = await hardPicture(kind, seed);
        const found = segmentProfile(stripProfile(picture, strip));
        found.forEach(({ heightMm }, i) => {
          if (i > 0) expect(heightMm - found[i - 1].heightMm, kind).to.be.at.least(1.4);
        });
        const right = new Set<number>();
        tops.forEach((top) => {
          lines += 1;
          const at = found.findIndex(({ heightMm }) => Math.abs(heightMm - top) <= 1);
          if (at < 0 || right.has(at)) return;
          right.add(at);
          const off = Math.abs(found[at].heightMm - top);
          near += 1;
          offs.push(off);
          if (off <= 0.5) halfNear += 1;
          if (off <= found[at].sigmaMm) inOne += 1;
          if (off <= 2 * found[at].sigmaMm) inTwo += 1;
        });
        falses += found.length - right.size;
        const names = nameLines(
          found.map((line) => line.heightMm),
          expected
        );
        const rightly = NAMES.every((name, i) => {
          const line = found[names.indexOf(name)] as (typeof found)[number] | undefined;
          return line !== undefined && Math.abs(line.heightMm - tops[i]) <= 1;
        });
        if (rightly && names.filter((name) => name !== '').length === 3) named += 1;
      }
    }
    const pictures = HARD.length * EACH;
    // A point of these pictures is 0.4 mm: lines are found between points.
    expect(offs.sort((a, b) => a - b)[offs.length >> 1], 'middle error').to.be.below(0.06);
    expect(near / lines, 'within 1 mm').to.be.at.least(0.97);
    expect(halfNear / lines, 'within half').to.be.at.least(0.95);
    // Of 130 lines two in three lie within one error, give or take eight in a hundred.
    expect(inOne / near, 'within one error').to.be.within(0.6, 0.8);
    expect(inTwo / near, 'within two errors').to.be.at.least(0.93);
    expect(falses / pictures, 'false lines').to.be.at.most(0.15);
    expect(named / pictures, 'named').to.be.at.least(0.85);
  });

  it('shows the top of the sand by its grain where silt over it has the same colour', async () => {
    for (let seed = 0; seed < 6; seed++) {
      const { picture, strip, tops } = await hardPicture('by grain', seed);
      const profile = stripProfile(picture, strip);
      const heights = (found: { heightMm: number }[]) => found.map((line) => line.heightMm);
      const found = heights(segmentProfile(profile));
      // Silt and clay, finer than a point of the picture, stay one.
      expect(found).to.have.length(2);
      expect(found[0]).to.be.closeTo(tops[0], 2);
      expect(found[1]).to.be.closeTo(tops[2], 1);
      expect(heights(segmentProfile({ ...profile, grain: undefined }))).to.have.length(1);
    }
  });
});
