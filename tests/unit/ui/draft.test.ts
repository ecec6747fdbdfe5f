import { expect } from 'chai';
import { fitted } from '../../../src/lib/ui/fields/draft.ts';

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
