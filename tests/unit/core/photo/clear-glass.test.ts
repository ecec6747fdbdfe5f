import { expect } from 'chai';
import {
  clearAside,
  edgeOnStrip,
  fitStrip,
  labelOnStrip,
  segmentProfile,
  stripProfile
} from '../../../../src/lib/core/index.ts';
import { JARS, KINDS, shoot } from './set.ts';

describe('a strip on the glass', () => {
  it('warns where it lies on a label, wholly or in part, and nowhere else', () => {
    for (const [name, kind] of Object.entries(KINDS)) {
      for (const tops of JARS.slice(0, 2)) {
        const { picture, strip } = shoot(tops, kind);
        const label = labelOnStrip(stripProfile(picture, strip));
        expect(label !== undefined, name).to.equal(name === 'label');
      }
    }
    const { picture, strip } = shoot(JARS[0], KINDS.label);
    for (const asidePx of [15, 60, 105]) {
      const label = labelOnStrip(stripProfile(picture, { ...strip, asidePx }))!;
      expect(label.toMm - label.fromMm, `${asidePx} px aside`).to.be.within(8, 70);
    }
    expect(labelOnStrip(stripProfile(picture, { ...strip, asidePx: -70 })), 'beside it').to.equal(undefined);
  });

  it('warns on the edge of the glass, and finds clear glass from there and from a label', () => {
    const plain = shoot(JARS[0], {});
    const at = (asidePx: number) => edgeOnStrip(stripProfile(plain.picture, { ...plain.strip, asidePx }));
    expect([at(0), at(-60), at(60)]).to.deep.equal([false, false, false]);
    expect([at(-125), at(125), at(150)]).to.deep.equal([true, true, true]);
    expect(clearAside(plain.picture, plain.strip)).to.equal(undefined);
    const label = shoot(JARS[0], KINDS.label);
    for (const [picture, strip] of [
      [plain.picture, { ...plain.strip, asidePx: 150 }],
      [label.picture, { ...label.strip, asidePx: 60 }]
    ] as const) {
      const asidePx = clearAside(picture, strip)!;
      const profile = stripProfile(picture, { ...strip, asidePx });
      expect([labelOnStrip(profile), edgeOnStrip(profile)]).to.deep.equal([undefined, false]);
      const found = segmentProfile(profile).map((line) => line.heightMm);
      expect(found).to.have.length(3);
      found.forEach((mm, i) => expect(mm).to.be.closeTo(JARS[0][i], 0.5));
    }
  });

  it('is cut to what of it lies in the picture, and none where nothing does', () => {
    const { picture, strip } = shoot(JARS[0], {});
    const long = fitStrip({ ...strip, fromMm: -400, toMm: 900 }, picture)!;
    expect(() => stripProfile(picture, long)).not.to.throw();
    expect(long.fromMm).to.be.above(-100);
    expect(long.toMm).to.be.below(300);
    expect(fitStrip(strip, picture)).to.deep.equal(strip);
    expect(fitStrip({ ...strip, asidePx: 10_000 }, picture)).to.equal(undefined);
  });
});
