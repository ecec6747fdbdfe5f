import { expect } from 'chai';
import fc from 'fast-check';
import { judgeReading, parseShare } from '../../../src/lib/core/index.ts';
import { toJarReading } from '../../../src/lib/contract/reading.ts';
import { readShares } from '../../../src/lib/workbench/entry/shares.ts';

const texts = (o: Partial<Record<'sand' | 'silt' | 'clay', string>>) => ({
  sand: '',
  silt: '',
  clay: '',
  ...o
});

describe('a share as people say it', () => {
  it('is a number, a fraction or a word', () => {
    const said: [string, number][] = [
      ['50', 50],
      ['12,5 %', 12.5],
      ['1/4', 25],
      ['about half', 50],
      ['a quarter', 25],
      ['two thirds', 200 / 3],
      ['three-quarters', 75],
      ['none', 0],
      ['~30%', 30]
    ];
    for (const [text, pct] of said) expect(parseShare(text), text).to.be.closeTo(pct, 1e-9);
  });
  it('is refused with what to type where it is none', () => {
    for (const text of ['', 'much', '1/0', 'two', 'half a bit', '1/2/3', '-5'])
      expect(() => parseShare(text), text).to.throw(/share/i);
    expect(() => parseShare('120')).to.throw(/0 to 100/);
    expect(() => parseShare('three halves')).to.throw(/share/i);
  });
});

describe('shares in place of heights', () => {
  it('come back as they were said', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 98 }), fc.integer({ min: 1, max: 98 }), (sand, silt) => {
        fc.pre(sand + silt < 100);
        const { entry } = readShares(texts({ sand: String(sand), silt: String(silt) }), 'others');
        const { result } = judgeReading(toJarReading(entry!), 'usda', { draws: 400 });
        if (result.kind === 'share') throw new Error('A share.');
        expect(result.fractions.sand).to.be.closeTo(sand, 1e-9);
        expect(result.fractions.silt).to.be.closeTo(silt, 1e-9);
      }),
      { numRuns: 40 }
    );
  });
  it('are one share where only sand or clay was said, and nothing where only silt was', () => {
    const clay = readShares(texts({ clay: '1/4' }), 'eye').entry!;
    expect(judgeReading(toJarReading(clay), 'usda').result).to.deep.include({
      kind: 'share',
      layer: 'clay',
      pct: 25
    });
    const sand = readShares(texts({ sand: 'a third' }), 'eye').entry!;
    expect(judgeReading(toJarReading(sand), 'usda').result).to.deep.include({ layer: 'sand' });
    expect(readShares(texts({ silt: '30' }), 'eye').errors.silt).to.match(/Silt alone/);
  });
  it('say what is wrong beside its field, and are never scaled in silence', () => {
    expect(readShares(texts({ sand: 'much', silt: '20' }), 'eye').errors).to.have.keys('sand');
    expect(readShares(texts({ sand: '60', silt: '30', clay: '30' }), 'eye').errors.clay).to.match(/120/);
    expect(readShares(texts({ sand: '80', silt: '30' }), 'eye').errors.silt).to.match(/over 100/);
    expect(readShares(texts({}), 'eye')).to.deep.equal({ errors: {} });
  });
});
