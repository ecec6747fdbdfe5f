import { expect } from 'chai';
import { gravellyName, gravelVolumePct } from '../../../src/lib/core/index.ts';

describe('gravel', () => {
  it('is a share of the whole by volume: measured as it is, weighed by the densities of stone and earth', () => {
    expect(gravelVolumePct({ amount: 20, whole: 100, unit: 'mL' })).to.equal(20);
    // 200 g of stone are 75.5 mL, 800 g of earth 615.4.
    expect(gravelVolumePct({ amount: 200, whole: 1000, unit: 'g' })).to.be.closeTo(10.92, 0.01);
    expect(() => gravelVolumePct({ amount: 20, whole: 10, unit: 'g' })).to.throw(/at least what stayed/);
    expect(() => gravelVolumePct({ amount: 0, whole: 0, unit: 'g' })).to.throw(/at least/);
  });
  it('names a soil from 15, 35 and 60 percent up', () => {
    expect([14.9, 15, 34.9, 35, 60].map((pct) => gravellyName('loam', pct))).to.deep.equal([
      'loam',
      'gravelly loam',
      'gravelly loam',
      'very gravelly loam',
      'extremely gravelly loam'
    ]);
  });
});
