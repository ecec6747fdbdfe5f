import { expect } from 'chai';
import fc from 'fast-check';
import { outcomeOf, readAmount } from '../../../src/lib/core/index.ts';

const TEASPOON = 4.92892;

describe('an amount as people measure it', () => {
  it('is read by the spoon, the drop, the cup and the scale', () => {
    for (const [text, ml] of [
      ['a teaspoon', TEASPOON],
      ['Teaspoon', TEASPOON],
      ['half a teaspoon', TEASPOON / 2],
      ['half a spoon', 1.5 * TEASPOON],
      ['1/2 tsp', TEASPOON / 2],
      ['1 1/2 tsp.', 1.5 * TEASPOON],
      ['two tablespoons', 6 * TEASPOON],
      ['3 drops', 0.15],
      ['a drop', 0.05],
      ['2 cups', 473.176],
      ['half a cup', 118.294],
      ['5 mL', 5],
      ['2,5 ml', 2.5],
      ['0.5 L', 500]
    ] as const)
      expect(readAmount(text), text).to.have.property('ml').closeTo(ml, 1e-3);
    expect(readAmount('2 g')).to.deep.equal({ grams: 2 });
    expect(readAmount('half an ounce')).to.have.property('grams').closeTo(14.175, 1e-3);
  });

  it('is asked for again in words that say how, whatever was typed', () => {
    for (const text of ['', '5', 'some', 'spoon of love', '-1 tsp', '0 mL', 'a'])
      expect(outcomeOf(() => readAmount(text)).problem?.message, text).to.match(/with its measure/);
    fc.assert(
      fc.property(fc.string({ maxLength: 30 }), (text) => {
        const { done, problem } = outcomeOf(() => readAmount(text));
        if (done) expect('ml' in done ? done.ml : done.grams).to.be.above(0);
        else expect(problem?.field).to.equal('amount');
      })
    );
  });
});
