import { expect } from 'chai';
import fc from 'fast-check';
import { checkCalculation, type Measured, type SumSlip } from '../../../../src/lib/core/index.ts';

const JAR: Measured = { sand: 20, silt: 15, clay: 5, gravel: 4, organics: 3, water: 120, jar: 168 };
const slipIn = (text: string, measured = JAR) =>
  checkCalculation(measured, text).lines.map((line) => line.slip ?? line.verdict);

describe('a worked calculation', () => {
  it('is right however it is written', () => {
    for (const text of [
      '20 + 15 + 5 = 40\nsand 20 / 40 = 0.5 = 50 %\nsilt 15/40 x 100 = 37.5 %\nclay 5 ÷ 40 × 100 = 12,5 %',
      'total: 20 mm + 15 mm + 5 mm = 40 mm\nsand: 20/40*100 = 50\nsilt: 15/40*100 = 37.5\nclay: 100 - 50 - 37.5 = 12.5',
      '20/(20+15+5) = 50%\n15/(20+15+5) = 38%\n5/(20+15+5) = 13%',
      'sand = 50 %\nsilt = 37.5 %\nclay = 12.5 %'
    ]) {
      const { right, points, lines } = checkCalculation(JAR, text);
      expect(
        lines.map((line) => line.slip),
        text
      ).to.deep.equal(lines.map(() => undefined));
      expect(right, text).to.equal(true);
      expect(points).to.equal(100);
    }
  });

  it('is read in inches and their fractions', () => {
    const inches = { sand: 1.375, silt: 0.75, clay: 0.5 };
    const { right, lines } = checkCalculation(
      inches,
      '1 3/8 + 3/4 + 1/2 = 2 5/8 in\n1⅜ / 2 5/8 = 52 %\nsilt ¾ / 2.625 = 29 %\nclay 1/2 / 2.625 = 19 %'
    );
    expect(lines.map((line) => line.slip)).to.deep.equal([undefined, undefined, undefined, undefined]);
    expect(right).to.equal(true);
  });

  const CASES: [SumSlip, string][] = [
    ['over-water', '20 / 120 = 17 %'],
    ['over-glass', 'sand 20 / 168 = 11.9 %'],
    ['with-gravel', '20 + 15 + 5 + 4 = 44'],
    ['with-organics', '20 + 15 + 5 + 3 = 43'],
    ['layer-left-out', 'sand 20 / 35 = 57.1 %'],
    ['upside-down', '40 / 20 = 2'],
    ['top-for-thickness', 'silt 39 / 40 = 97.5 %'],
    ['arithmetic', '20 + 15 + 5 = 41'],
    ['arithmetic', '20 / 40 = 0.6'],
    ['over-another', '20 / 37 = 54 %'],
    ['strange-number', '22 + 15 + 5 = 42'],
    ['another-share', 'sand = 55 %']
  ];
  for (const [slip, text] of CASES)
    it(`names ${slip} in "${text}"`, () => {
      expect(slipIn(text)).to.deep.equal([slip]);
      expect(checkCalculation(JAR, text).right).to.equal(false);
    });

  it('takes layers added one by one, and two alike one after the other', () => {
    const alike = { sand: 20, silt: 20, clay: 10, water: 120 };
    const text = '20 + 20 = 40\n40 + 10 = 50\n20 / 50 = 40 %\n20 / 50 = 40 %\n10 / 50 = 20 %';
    expect(checkCalculation(alike, text).lines.map((line) => line.slip)).to.deep.equal(
      Array(5).fill(undefined)
    );
    expect(checkCalculation(alike, text).right).to.equal(true);
  });

  it('blames the step that slipped, and not what goes on with it', () => {
    const { lines, right, points } = checkCalculation(
      JAR,
      '20 + 15 + 5 + 4 = 44\nsand 20 / 44 = 45.5 %\nsilt 15 / 44 = 34.1 %\nclay 5 / 44 = 11.4 %'
    );
    expect(lines.map((line) => line.verdict)).to.deep.equal(['slip', 'carried', 'carried', 'carried']);
    expect(lines[0]).to.include({ slip: 'with-gravel', should: 40 });
    const water = checkCalculation(JAR, 'sand 20 / 120 = 16.7 %\nsilt 15 / 120 = 12.5 %');
    expect(water.lines.map((line) => line.slip ?? line.verdict)).to.deep.equal(['over-water', 'carried']);
    expect(right).to.equal(false);
    expect(points).to.be.within(10, 60);
  });

  it('passes over what is no calculation, and never runs it', () => {
    const { lines, right } = checkCalculation(
      JAR,
      'first I added them up\nprocess.exit(1)\nsand = alert(1)\n= =\n20 //'
    );
    expect(lines.every((line) => line.verdict === 'unread')).to.equal(true);
    expect(right).to.equal(false);
    fc.assert(
      fc.property(fc.string({ maxLength: 200 }), (text) => void checkCalculation(JAR, text)),
      { numRuns: 500 }
    );
  });

  it('takes any three layers worked rightly, rounded as people round', () => {
    const mm = fc.integer({ min: 2, max: 60 });
    fc.assert(
      fc.property(mm, mm, mm, fc.integer({ min: 0, max: 1 }), (sand, silt, clay, digits) => {
        const total = sand + silt + clay;
        const share = (x: number) => ((100 * x) / total).toFixed(digits);
        const text = `${sand} + ${silt} + ${clay} = ${total}\nsand ${sand} / ${total} * 100 = ${share(sand)} %\nsilt ${silt} / ${total} * 100 = ${share(silt)} %\nclay ${clay} / ${total} * 100 = ${share(clay)} %`;
        const checked = checkCalculation({ sand, silt, clay, water: 300 }, text);
        expect(checked.lines.map((line) => line.slip)).to.deep.equal([
          undefined,
          undefined,
          undefined,
          undefined
        ]);
        expect(checked.points).to.equal(100);
      })
    );
  });

  it('names a wrong total whatever the layers', () => {
    const mm = fc.integer({ min: 5, max: 60 });
    fc.assert(
      fc.property(mm, mm, mm, fc.integer({ min: 2, max: 9 }), (sand, silt, clay, gravel) => {
        const total = sand + silt + clay;
        const measured = { sand, silt, clay, gravel, water: 300 };
        expect(slipIn(`${sand} + ${silt} + ${clay} + ${gravel} = ${total + gravel}`, measured)).to.deep.equal(
          ['with-gravel']
        );
        expect(slipIn(`sand ${sand} / 300 = ${((100 * sand) / 300).toFixed(1)} %`, measured)).to.deep.equal([
          'over-water'
        ]);
      })
    );
  });
});

describe('a calculation in the steps of whoever writes it', () => {
  const measured = { sand: 20, silt: 15, clay: 5 };
  it('is worth all points where every line is right, a share in two steps or three on one line', () => {
    const written = [
      '20 / 40 = 0.5\n0.5 x 100 = 50 %\n15 / 40 = 0.375\n0.375 x 100 = 37.5 %\n5 / 40 = 0.125\n0.125 x 100 = 12.5 %',
      'sand: 20/40 = 0.5\n0.5 x 100 = 50\nsilt: 15/40 = 0.375\n0.375 x 100 = 37.5\nclay: 5/40 = 0.125\n0.125 x 100 = 12.5',
      '20 + 15 + 5 = 40\nsand 20/40 = 0.5 = 50 %, silt 15/40 = 37.5 %, clay 5/40 = 12.5 %'
    ];
    for (const text of written) {
      const checked = checkCalculation(measured, text);
      expect(checked.points, text).to.equal(100);
      expect(checked.shares).to.deep.equal({ sand: 50, silt: 37.5, clay: 12.5 });
      expect(checked.lines.every((line) => line.verdict === 'right')).to.equal(true);
    }
    const slipped = checkCalculation(measured, '20 / 40 = 0.5\n0.5 x 100 = 5 %');
    expect(slipped.lines[1]).to.include({ verdict: 'slip', slip: 'arithmetic' });
  });

  it('says what every point that is missing went for', () => {
    const why = (text: string) => {
      const { points, lost } = checkCalculation(JAR, text);
      expect(points + lost.reduce((sum, one) => sum + one.points, 0), text).to.equal(100);
      expect(points, text).to.be.within(0, 100);
      return lost.map((one) => ('part' in one ? `${one.why} ${one.part}` : one.why));
    };
    expect(why('')).to.deep.equal([
      'share-missing sand',
      'share-missing silt',
      'share-missing clay',
      'few-lines'
    ]);
    expect(checkCalculation(JAR, '').points).to.equal(0);
    expect(why('20 + 15 + 5 = 40\nsand: 20 / 40 x 100 = 50 %\nsilt: 15 / 40 x 100 = 37.5 %')).to.deep.equal([
      'share-missing clay'
    ]);
    expect(why('20 + 15 + 5 = 40\nsand = 55 %')).to.include.members([
      'share-wrong sand',
      'slipped',
      'few-lines'
    ]);
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (text) => {
        const { right } = checkCalculation(JAR, text);
        expect(why(text).length === 0).to.equal(right);
      })
    );
  });
});
