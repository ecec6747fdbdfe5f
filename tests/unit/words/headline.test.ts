import { expect } from 'chai';
import fc from 'fast-check';
import { chanceLine, chanceText, classChance, className, headline } from '../../../src/lib/words/headline.ts';

describe('a result in one line', () => {
  it('says three shares, the largest first, and the class as a soil', () => {
    expect(headline('clay', { sand: 18.2, silt: 31.7, clay: 50.1 })).to.equal(
      'Clay soil: 50\u00a0% clay, 32\u00a0% silt, 18\u00a0% sand'
    );
  });
  it('has whole percents that come to a hundred', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 100, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (sand, t) => {
          const silt = (100 - sand) * t;
          const said = headline('loam', { sand, silt, clay: 100 - sand - silt }).match(/\d+(?=\u00a0%)/g)!;
          expect(said.reduce((sum, n) => sum + Number(n), 0)).to.equal(100);
        }
      )
    );
  });
  it('says what the chance of the class counts, and that it is not known where it is not', () => {
    expect(chanceLine('clay', 0.996, 'reading')).to.match(
      /^The class is clay with over\s99\s%: that counts how far the lines/
    );
    expect(chanceLine('clay', 0.62, 'mass')).to.contain('how layers pack and settle');
    expect(chanceLine('clay', null, 'reading')).to.match(/too unsure to say how likely/);
    expect([chanceText(null), classChance('clay', null), classChance('clay', 0.62)]).to.deep.equal([
      'not known',
      'clay',
      'clay, class 62\u00a0%'
    ]);
  });
  it('says one of two, or none yet, in a list as on its page', () => {
    const chance = (name: string, probability: number) => ({ id: name, name, probability });
    const [first, next] = [chance('clay loam', 0.5), chance('clay', 0.36)];
    expect(classChance('clay loam', 0.5, { kind: 'one', first, next })).to.equal(
      'clay loam, class 50\u00a0%'
    );
    // The likeliest, as on its page, though the shares lie in another.
    expect(classChance('loam', 0.3, { kind: 'one', first, next })).to.equal('clay loam, class 50\u00a0%');
    expect(classChance('clay loam', 0.5, { kind: 'two', first, next, together: 0.86 })).to.equal(
      'clay loam or clay, one of them 86\u00a0%'
    );
    expect(classChance('clay loam', 0.5, { kind: 'unknown', first, next })).to.equal(
      'not known yet, likeliest clay loam 50\u00a0%'
    );
    expect(classChance('clay loam', 0.5, { kind: 'impossible', first, next })).to.equal(
      'no soil makes these heights'
    );
  });
  it('names the groups of FAO as textures', () => {
    expect([className('fao', 'medium fine'), className('usda', 'loam')]).to.deep.equal([
      'medium fine texture',
      'loam'
    ]);
  });
});
