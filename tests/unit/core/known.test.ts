import { expect } from 'chai';
import { known, lastOf } from '../../../src/lib/core/index.ts';

describe('what is known to be there', () => {
  it('is handed on, nothing and naught told apart', () => {
    expect(known(0, 'a height may be none')).to.equal(0);
    expect(known('', 'a note may be empty')).to.equal('');
    expect(lastOf([3, 1, 2])).to.equal(2);
  });

  it('fails with the reason where it is missing after all', () => {
    expect(() => known(undefined, 'every run has a start')).to.throw('every run has a start');
    expect(() => known(null, 'every run has a start')).to.throw('every run has a start');
    expect(() => lastOf([])).to.throw('never empty');
  });
});
