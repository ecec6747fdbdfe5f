import { expect } from 'chai';
import { readLength, readTemperature } from '../../../src/lib/workbench/entry/figure.ts';
import { draftOf, fitted, underUnits } from '../../../src/lib/ui/fields/draft.ts';

describe('a kept draft', () => {
  const form = {
    name: '',
    temp: '18',
    way: 'heights',
    pair: false,
    lines: { sand: '', silt: '' },
    spots: ['a']
  };

  it('comes back field by field', () => {
    const kept = { name: 'Terrace', pair: true, lines: { sand: '40' }, spots: [] };
    expect(fitted(kept, form)).to.deep.equal({
      ...form,
      name: 'Terrace',
      pair: true,
      lines: { sand: '40', silt: '' },
      spots: []
    });
  });

  it('of another kind, or of no form at all, leaves the form as it is', () => {
    for (const odd of [null, 7, 'text', [], { name: 7, lines: 'none', spots: {}, pair: 'yes', gone: 1 }]) {
      expect(fitted(odd, form), JSON.stringify(odd)).to.deep.equal(form);
    }
  });

  it('of entries by number keeps plain values, and nothing else', () => {
    const kept = { 1: { value: '30', temp: '18' }, 2: 'x', 3: 4, 4: null, 5: [1] };
    expect(fitted(kept, {})).to.deep.equal({ 1: { value: '30', temp: '18' }, 2: 'x', 3: 4 });
  });

  it('of something that was not begun is taken as it was kept', () => {
    expect(fitted({ closed: true }, null)).to.deep.equal({ closed: true });
  });
});

describe('a draft under other units', () => {
  const inches = { length: 'in', temperature: 'F' } as const;
  const metric = { length: 'cm', temperature: 'C' } as const;
  const measured = { lengths: ['soil', 'height'], temperatures: ['temp'], meshes: ['sieve'] };

  it('is what it meant when it was typed: a bare figure gets its unit, and all else stays to the letter', () => {
    const typed = {
      soil: ' 3 1/2 ',
      water: '5',
      temp: '64',
      sieve: '2',
      height: { sand: '⅞', silt: '2,5 cm', clay: '' },
      name: '18'
    };
    expect(underUnits(typed, measured, inches, metric)).to.deep.equal({
      soil: '3 1/2 in',
      water: '5',
      temp: '64 °F',
      sieve: '2 in',
      height: { sand: '⅞ in', silt: '2,5 cm', clay: '' },
      name: '18'
    });
    expect(underUnits({ temp: '18' }, measured, metric, inches)).to.deep.equal({ temp: '18 °C' });
    expect(underUnits(typed, measured, inches, inches)).to.deep.equal(typed);
    // A mesh is in mm for centimetres too.
    const sieve = { sieve: '2' };
    expect(underUnits(sieve, measured, metric, { length: 'mm', temperature: 'C' })).to.deep.equal(sieve);
    expect(underUnits(sieve, measured, metric, inches)).to.deep.equal({ sieve: '2 mm' });
  });

  it('can be read as it is written then', () => {
    expect(readLength('3 1/2 in', 'cm').value).to.be.closeTo(88.9, 1e-9);
    expect(readTemperature('18 °C', 'F').value).to.equal(18);
    expect(readTemperature('64 °F', 'C').value).to.be.closeTo(17.78, 0.01);
  });

  it('is known from one of before units were kept', () => {
    expect(draftOf({ typed: { a: '1' }, units: metric, at: 5 })).to.deep.equal({
      typed: { a: '1' },
      units: metric,
      at: 5
    });
    expect(draftOf({ a: '1' })).to.deep.equal({ typed: { a: '1' } });
    expect(draftOf(undefined)).to.equal(undefined);
  });
});
