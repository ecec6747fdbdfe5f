import { expect } from 'chai';
import { fitStrip, labelOnStrip, stripProfile } from '../../../../src/lib/core/index.ts';
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
