import { expect } from 'chai';
import fc from 'fast-check';
import { commandNames } from '../../../src/lib/contract/commands.ts';
import {
  classifyTexture,
  judgeBore,
  swapsOf,
  TECHNIQUES,
  type Fractions,
  type JarAnswer
} from '../../../src/lib/core/index.ts';
import { soilTyped } from '../../../src/lib/workbench/act.ts';
import { t } from '../../../src/lib/words/index.ts';
import { answerHeadline, asReadText, byMassText, wholeShares } from '../../../src/lib/words/headline.ts';
import { swapText } from '../../../src/lib/words/swap.ts';
import { bedVerdict, boreVerdict } from '../../../src/lib/words/verdict.ts';
import { wallVerdict } from '../../../src/lib/words/wall.ts';

const point = fc
  .tuple(fc.integer({ min: 0, max: 1000 }), fc.integer({ min: 0, max: 1000 }))
  .filter(([a, b]) => a + b <= 1000)
  .map(([a, b]): Fractions => ({ sand: a / 10, silt: b / 10, clay: (1000 - a - b) / 10 }));

describe('sentences that agree', () => {
  it('every swap that is told makes the class that it tells, and nothing smaller does', () => {
    fc.assert(
      fc.property(point, fc.constantFrom('usda' as const, 'uk' as const, 'german' as const), (f, system) => {
        const own = classifyTexture(system, f).id;
        for (const { take, give, points, id } of swapsOf(system, f)) {
          const to = (by: number) => ({ ...f, [take]: f[take] - by, [give]: f[give] + by });
          expect(classifyTexture(system, to(points)).id).to.equal(id);
          expect(id).to.not.equal(own);
          expect(f[take]).to.be.at.least(points);
        }
        const [first] = swapsOf(system, f);
        if (first && first.points > 0.1)
          expect(
            classifyTexture(system, {
              ...f,
              [first.take]: f[first.take] - first.points + 0.1,
              [first.give]: f[first.give] + first.points - 0.1
            }).id
          ).to.equal(own);
      }),
      { numRuns: 600 }
    );
    // A change of three parts is no swap of two.
    expect(swapText('usda', { sand: 50, silt: 25, clay: 25 })).to.not.contain('sandy loam');
  });

  it('the class and the shares that are said together agree, or each class has its chance', () => {
    const answer = (fractions: Fractions, classes: [string, number][]) =>
      ({
        fractions,
        fit: [],
        classes: classes.map(([name, probability]) => ({ id: name.replaceAll(' ', '-'), name, probability }))
      }) as unknown as JarAnswer;
    const mean = { sand: 14, silt: 41, clay: 45 };
    const { id, name } = classifyTexture('usda', mean);
    expect(name).to.equal('silty clay');
    const apart = answer(mean, [['clay', 0.5]]);
    apart.classes.push({ id, name, probability: 0.28 });
    expect(answerHeadline(apart).replaceAll('\u00a0', ' ')).to.match(
      /^Clay \(50 %\) or silty clay \(28 %\) soil: 45 % clay, 41 % silt, 14 % sand$/
    );
    const agrees = answer({ sand: 20, silt: 25, clay: 55 }, []);
    agrees.classes.push({ ...classifyTexture('usda', agrees.fractions), probability: 0.9 });
    expect(answerHeadline(agrees)).to.match(/^Clay soil: 55/);
  });

  it('a bore names the same sand as the shares beside it', () => {
    fc.assert(
      fc.property(point, (shares) => {
        const soil = soilTyped(shares);
        const bore = judgeBore(soil);
        const said = boreVerdict(bore, 30, soil.fractions).replaceAll('\u00a0', ' ');
        expect(said).to.contain(`${wholeShares(soil.fractions).sand} %`);
      }),
      { numRuns: 60 }
    );
  });

  it('says which way mass went in this jar, and what its heights alone would be called', () => {
    expect(byMassText({ sand: 73, silt: 20, clay: 7 }, { sand: 64, silt: 27, clay: 9 })).to.equal(
      'By mass this jar has 64 % sand, 9 points less than by height.'
    );
    expect(byMassText({ sand: 40, silt: 40, clay: 20 }, { sand: 40, silt: 40, clay: 20 })).to.match(
      /the same/
    );
    expect(asReadText({ sand: 50, silt: 33, clay: 17 })).to.match(/50 · 33 · 17 .*: loam by height/);
  });

  it('tells a verdict under one half from its other side', () => {
    const bed = (chance: number) =>
      bedVerdict({
        profile: { id: 'a', version: 1, name: 'herbs', windows: [] } as never,
        chance,
        doubt: { of: 'drains' } as never
      }).replaceAll('\u00a0', ' ');
    expect(bed(0.28)).to.match(/^Most likely not for herbs as it is, with 72 %/);
    expect(bed(0.6)).to.match(/^May do for herbs: all that is asked holds with 60 %/);
    expect(bed(0.05)).to.match(/^Not as it is for herbs, with 95 %/);
    const [technique] = TECHNIQUES;
    const wall = (chance: number) =>
      wallVerdict(
        [
          {
            technique,
            on: 'heights',
            chance,
            windows: [],
            unknown: [],
            doubt: technique.windows[0],
            partly: false
          }
        ],
        []
      ).replaceAll('\u00a0', ' ');
    expect(wall(0.3)).to.match(/^Most likely not .* has 70 %/);
    expect(wall(0.02)).to.match(/^For no wall as it is: .* with 98 %/);
  });

  it('has a name for everything that can happen', () => {
    for (const name of [...commandNames, 'import.add', 'undo'])
      expect(t.test.events[name], name).to.be.a('string');
  });
});
