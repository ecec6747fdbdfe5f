import { expect } from 'chai';
import fc from 'fast-check';
import {
  amendWith,
  compostFor,
  FIGURE_IDS,
  FIGURE_SETS,
  FIGURES,
  figureSetProblems,
  figuresOf,
  judgeBore,
  sandToMove,
  sharesAbout,
  USUAL_FIGURES,
  wateringPlan,
  type FigureId
} from '../../../../src/lib/core/index.ts';

const [USUAL] = FIGURE_SETS;
/** The usual set with one figure changed. */
const setWith = (of: FigureId, value: number | null) => ({
  ...USUAL,
  figures: USUAL.figures.map((f) => (f.of === of ? { ...f, value } : f))
});
const LOAM = { sand: 40, clay: 20, organicPct: 2.5, rootDepthMm: 300, stonesPct: 0, needMmWeek: 25 };
const BED = { areaM2: 10, depthMm: 200, bulkGCm3: 1.3 };
const clay = { sand: 20, silt: 25, clay: 55 };

describe('figures to count with', () => {
  it('ship within their own bounds, each with its reason', () => {
    expect(figureSetProblems(USUAL)).to.eql([]);
    for (const { of, reason } of USUAL.figures) expect(reason, of).to.match(/\.$/);
    expect(USUAL_FIGURES).not.to.have.property('bagPrice');
  });

  it('are refused one by one where they cannot be, and taken within their bounds', () => {
    const ids = fc.constantFrom(...FIGURE_IDS);
    fc.assert(
      fc.property(ids, fc.double({ min: 0, max: 1, noNaN: true }), (of, share) => {
        const { least, most } = FIGURES[of];
        const value = Math.min(most, least + share * (most - least));
        expect(figureSetProblems(setWith(of, value))).to.eql([]);
        expect(figuresOf(setWith(of, value))[of]).to.equal(value);
        for (const beyond of [least - 1, most + 1, NaN]) {
          const [problem] = figureSetProblems(setWith(of, beyond));
          expect(problem.field).to.equal(`figures.${FIGURE_IDS.indexOf(of)}.value`);
        }
      })
    );
    expect(figureSetProblems(setWith('canL', null))[0].message).to.equal('Give a number.');
    expect(figureSetProblems(setWith('bagPrice', null))).to.eql([]);
    expect(figureSetProblems({ ...USUAL, name: ' ' })[0].field).to.equal('name');
  });

  it('take what a set of another version leaves out as it ships, and pass over what they do not know', () => {
    const odd = { figures: [{ of: 'moonPhase' as FigureId, value: 3, reason: '' }] };
    expect(figuresOf(odd)).to.eql(USUAL_FIGURES);
    expect(figureSetProblems({ name: 'old', ...odd })).to.eql([]);
  });

  it('are what water, compost, earth and bore are counted with', () => {
    const by = (of: FigureId, value: number) => figuresOf(setWith(of, value));
    const usual = wateringPlan(LOAM);
    expect(wateringPlan(LOAM, by('depletionPct', 25)).doseMm).to.be.closeTo(usual.doseMm / 2, 1e-9);
    expect(wateringPlan(LOAM, by('soaksBarePct', 60)).maxRateMmH).to.be.closeTo(2 * usual.maxRateMmH, 1e-9);
    expect(wateringPlan({ ...LOAM, areaM2: 10 }, by('canL', 5)).cans).to.equal(43);
    expect(wateringPlan(LOAM, by('thumbLoamMm', 9)).thumb.mm).to.be.closeTo(usual.thumb.mm / 2, 1e-9);
    const need = compostFor({ ...BED, fromPct: 2, toPct: 4 });
    const half = compostFor({ ...BED, fromPct: 2, toPct: 4 }, by('compostKgM3', 1200));
    expect(half.m3).to.be.closeTo(need.m3 / 2, 1e-9);
    expect(compostFor({ ...BED, fromPct: 2, toPct: 4 }, by('mostAYearMm', 20)).years).to.equal(3);
    const material = { sand: 95, silt: 3, clay: 2 };
    const one = { soil: clay, bed: BED, material, litres: 100 };
    expect(amendWith(one, by('looseKgM3', 650)).kg).to.be.closeTo(amendWith(one).kg / 2, 1e-9);
    expect(sandToMove(clay, BED, by('lorryM3', 0.5))!.lorries).to.be.greaterThan(
      sandToMove(clay, BED)!.lorries
    );
    const shares = sharesAbout({ sand: 37, silt: 33, clay: 30 }, { sand: 0.1, clay: 0.1 });
    expect(judgeBore({ shares }).plan).to.equal('sand');
    expect(judgeBore({ shares }, by('boreNearPoints', 8)).plan).to.equal('near');
    expect(judgeBore({ shares }, by('boreLinePct', 60)).plan).to.equal('clay');
  });
});
