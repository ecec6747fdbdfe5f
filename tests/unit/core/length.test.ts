import { expect } from 'chai';
import fc from 'fast-check';
import {
  formatLength,
  LengthError,
  lengthForField,
  parseLength,
  sixteenths,
  type LengthErrorKind,
  type LengthUnit
} from '../../../src/lib/core/index.ts';

describe('lengths as people write them', () => {
  const accepted: [string, LengthUnit, number][] = [
    ['47', 'mm', 47],
    ['47 mm', 'in', 47],
    ['4.7cm', 'mm', 47],
    ['3.5"', 'mm', 88.9],
    ['3 1/2 in', 'mm', 88.9],
    ['3-1/2"', 'mm', 88.9],
    ['7/16', 'in', 11.1125],
    ['1⅜"', 'mm', 34.925],
    ['3½ in', 'mm', 88.9],
    ['0,9 cm', 'mm', 9],
    ['  12.5  MM ', 'in', 12.5],
    ['2 inches', 'mm', 50.8],
    ["4''", 'mm', 101.6],
    ['1⁄4', 'in', 6.35],
    ['.5 cm', 'mm', 5],
    ['0', 'mm', 0]
  ];
  for (const [text, unit, mm] of accepted) {
    it(`reads ${JSON.stringify(text)}`, () => expect(parseLength(text, unit)).to.be.closeTo(mm, 1e-9));
  }

  const refused: [string, LengthErrorKind][] = [
    ['', 'empty'],
    ['   ', 'empty'],
    ['1//8', 'bad-fraction'],
    ['2 5', 'two-numbers'],
    ['-3', 'negative'],
    ['1/0', 'zero-denominator'],
    ['about a thumb', 'no-number'],
    ['12 furlongs', 'unknown-unit'],
    ['4 mm 2 cm', 'two-units'],
    ['1,250', 'ambiguous-comma'],
    ['40 m', 'unknown-unit'],
    ['5000', 'too-long'],
    ['1.2.3', 'no-number'],
    ['1/2/3', 'bad-fraction']
  ];
  for (const [text, kind] of refused) {
    it(`refuses ${JSON.stringify(text)} as ${kind}, saying what to do`, () => {
      expect(() => parseLength(text, 'mm'))
        .to.throw(LengthError)
        .that.satisfies((e: LengthError) => e.kind === kind && /[A-Z].{10,}\.$/.test(e.message));
    });
  }

  it('shows inches as the nearest sixteenth, reduced, beside the decimal', () => {
    expect(formatLength(88.9, 'in')).to.equal('3 1/2 in (3.50)');
    expect(sixteenths(25.4 * 0.4375)).to.equal('7/16');
    expect(sixteenths(25.4)).to.equal('1');
    expect(sixteenths(0)).to.equal('0');
    expect(sixteenths(25.4 * 1.99)).to.equal('2');
  });

  it('writes a field that reads back the same', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 400, noNaN: true }),
        fc.constantFrom<LengthUnit>('mm', 'cm', 'in'),
        (mm, unit) => {
          expect(parseLength(lengthForField(mm, unit), unit)).to.be.closeTo(mm, 0.06);
        }
      )
    );
  });

  it('reads any sixteenth it shows', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 640 }), (n) => {
        const mm = (n / 16) * 25.4;
        expect(parseLength(sixteenths(mm), 'in')).to.be.closeTo(mm, 1e-9);
      })
    );
  });

  it('never throws anything but a LengthError', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 12 }), (text) => {
        try {
          expect(parseLength(text, 'mm')).to.be.within(0, 3000);
        } catch (problem) {
          expect(problem).to.be.instanceOf(LengthError);
        }
      }),
      { numRuns: 500 }
    );
  });
});
