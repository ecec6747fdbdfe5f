import { expect } from 'chai';
import fc from 'fast-check';
import {
  BED_PROFILES,
  bedFigures,
  judgeBore,
  judgeProfile,
  laboratoryWorth,
  normalStream,
  soilDraws,
  USUAL_FIGURES,
  whatSettles,
  type Fractions
} from '../../../../src/lib/core/index.ts';

/** Draws about a soil, so many points wide. */
function about({ sand, clay }: Pick<Fractions, 'sand' | 'clay'>, sd: number, count = 300): Float64Array {
  const normal = normalStream(3);
  const out = new Float64Array(3 * count);
  for (let i = 0; i < count; i++) {
    const s = Math.min(95, Math.max(2, sand + sd * normal()));
    const c = Math.min(98 - s, Math.max(1, clay + sd * normal()));
    out.set([s, 100 - s - c, c], 3 * i);
  }
  return out;
}

describe('a judgement', () => {
  it('has the chance that all windows hold at once, counted over the draws', () => {
    const draws = soilDraws(about({ sand: 40, clay: 28 }, 8), { pct: 2.5, sd: 1 });
    for (const profile of BED_PROFILES) {
      let count = 0;
      draws.organic.forEach((organic, i) => {
        const [sand, silt, clay] = draws.shares.subarray(3 * i, 3 * i + 3);
        const figures: Record<string, number> = {
          sand,
          silt,
          clay,
          ...bedFigures({ sand, silt, clay }, organic)
        };
        if (
          profile.windows.every(
            (w) => figures[w.of] >= (w.least ?? -Infinity) && figures[w.of] <= (w.most ?? Infinity)
          )
        )
          count++;
      });
      const judged = judgeProfile(profile, draws);
      expect(judged.chance).to.equal(count / draws.organic.length);
      expect(judged.chance).to.be.at.most(Math.min(...judged.windows.map((w) => w.chance)));
      expect(judged.windows.find((w) => w.window === judged.doubt)!.chance).to.equal(
        Math.min(...judged.windows.map((w) => w.chance))
      );
    }
  });

  it('is sure of what is far inside, and of what is far outside', () => {
    const [vegetables, , dry] = BED_PROFILES;
    const loam = soilDraws(about({ sand: 45, clay: 18 }, 1), { pct: 4, sd: 0 });
    expect(judgeProfile(vegetables, loam).chance).to.equal(1);
    const clay = soilDraws(about({ sand: 15, clay: 60 }, 2), { pct: 4, sd: 0 });
    expect(judgeProfile(vegetables, clay).chance).to.equal(0);
    expect(judgeProfile(dry, clay).doubt.of).to.be.oneOf(['drains', 'warms', 'digs']);
  });
});

describe('a bore', () => {
  it('goes by the sand share and its chance to be over the line; near it, by the sandier case', () => {
    expect(judgeBore({ shares: about({ sand: 60, clay: 20 }, 5) })).to.include({ plan: 'sand', chance: 1 });
    expect(judgeBore({ shares: about({ sand: 10, clay: 50 }, 3) })).to.include({ plan: 'clay', chance: 0 });
    expect(judgeBore({ shares: about({ sand: 27, clay: 40 }, 3) }).plan).to.equal('near');
    expect(
      judgeBore({ shares: about({ sand: 27, clay: 40 }, 3) }, { boreLinePct: 50, boreNearPoints: 5 }).plan
    ).to.equal('clay');
  });
});

describe('what would settle a verdict', () => {
  it('never promises less than there is, at most three, cheapest first, and only where it is open', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 70 }),
        fc.integer({ min: 5, max: 30 }),
        fc.integer({ min: 2, max: 12 }),
        (sand, clay, sd) => {
          const shares = about({ sand, clay }, sd);
          const figures = { boreLinePct: 35, boreNearPoints: 5 };
          const { chance } = judgeBore({ shares }, figures);
          const steps = whatSettles({ shares, asked: { ask: 'bore', figures } });
          if (chance < 0.2 || chance > 0.8) expect(steps).to.eql([]);
          expect(steps.length).to.be.at.most(3);
          for (const step of steps) expect(step.then).to.be.above(step.now);
          for (let i = 1; i < steps.length; i++) expect(steps[i].then).to.be.above(steps[i - 1].then);
        }
      ),
      { numRuns: 40 }
    );
  });

  it('trusts a laboratory most where sand decides', () => {
    const shares = about({ sand: 31, clay: 30 }, 9);
    const steps = whatSettles({ shares, asked: { ask: 'bore', figures: USUAL_FIGURES } });
    expect(steps.at(-1)!.then).to.be.above(0.85);
    expect(steps[0].now).to.be.below(0.7);
  });
});

describe('whether a laboratory is worth its fee', () => {
  it('is so where something hangs on it that a jar cannot say, or where it would decide', () => {
    const none: [] = [];
    expect(laboratoryWorth({ chance: 0.5, differs: true, reasons: none })).to.eql({
      worth: true,
      why: 'open'
    });
    expect(laboratoryWorth({ chance: 0.5, differs: false, reasons: none })).to.eql({
      worth: false,
      why: 'same'
    });
    expect(laboratoryWorth({ chance: 0.95, differs: true, reasons: none })).to.eql({
      worth: false,
      why: 'sure'
    });
    expect(laboratoryWorth({ chance: 0.95, differs: false, reasons: ['food-doubtful'] })).to.eql({
      worth: true,
      why: 'asked'
    });
  });
});
