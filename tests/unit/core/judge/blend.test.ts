import { expect } from 'chai';
import fc from 'fast-check';
import {
  besidePromise,
  blendProblems,
  judgeBuckets,
  mixOf,
  RangeProblem,
  sieved,
  solveBlend,
  TECHNIQUES,
  type Material,
  type Technique,
  type WallWindow
} from '../../../../src/lib/core/index.ts';

const [cob, pressed, rammed] = TECHNIQUES;
const material = (name: string, sand: number, clay: number, o: Partial<Material> = {}): Material => ({
  name,
  shares: { sand, silt: 100 - sand - clay, clay },
  sd: { sand: 2, clay: 2 },
  gravelPct: 0,
  stoneMm: 4,
  organicPct: 0,
  moisturePct: 10,
  bucketKg: 14,
  ...o
});
const fat = material('fat clay', 20, 55);
const sand = material('beach sand', 95, 2, { bucketKg: 16, moisturePct: 4 });
const silt = material('pond silt', 10, 12);

/** Shares of a mix on average, counted bucket by bucket. */
function figures(
  materials: readonly Material[],
  buckets: readonly number[]
): Record<WallWindow['of'], number> {
  let [all, grit, siltKg, clay] = [0, 0, 0, 0];
  materials.forEach((m, j) => {
    const kg = (buckets[j] * m.bucketKg) / (1 + m.moisturePct / 100);
    const fine = (kg * (100 - m.gravelPct)) / 100;
    all += kg;
    grit += kg - fine + (fine * m.shares.sand) / 100;
    siltKg += (fine * m.shares.silt) / 100;
    clay += (fine * m.shares.clay) / 100;
  });
  const pct = (kg: number) => (100 * kg) / all;
  return {
    grit: pct(grit),
    silt: pct(siltKg),
    clay: pct(clay),
    clayToSilt: clay / siltKg,
    stone: 0,
    organic: 0
  };
}
const fits = (technique: Technique, of: Record<WallWindow['of'], number>, by = 0) =>
  technique.windows.every(
    (w) => of[w.of] >= (w.least ?? -Infinity) - by && of[w.of] <= (w.most ?? Infinity) + by
  );
const added = (materials: readonly Material[], buckets: readonly number[]) =>
  materials.reduce(
    (sum, m, j) => sum + (j === 0 ? 0 : (buckets[j] * m.bucketKg) / (1 + m.moisturePct / 100)),
    0
  );

describe('a blend', () => {
  it('answers in whole buckets that meet every window, with the least that is added', () => {
    const blend = solveBlend({ technique: pressed, materials: [fat, sand], buckets: 10 });
    if (blend.kind !== 'blend') throw new Error(blend.kind);
    expect(blend.buckets.reduce((a, b) => a + b, 0)).to.equal(10);
    expect(blend.buckets).to.eql([6, 4]);
    expect(fits(pressed, figures([fat, sand], blend.buckets))).to.equal(true);
    expect(fits(pressed, figures([fat, sand], [7, 3]))).to.equal(false);
    expect(blend.said.chance).to.be.within(0.5, 1);
    // Another sand is not mixed in where one will do.
    const other = material('path sand', 90, 4, { bucketKg: 16, moisturePct: 4 });
    const few = solveBlend({ technique: pressed, materials: [fat, other, sand], buckets: 10 });
    expect(few.kind === 'blend' && few.buckets.filter((n) => n > 0)).to.have.length(2);
    // A soil that is right already wants nothing.
    const right = material('right', 62, 22);
    const alone = solveBlend({ technique: pressed, materials: [right, sand], buckets: 8 });
    expect(alone).to.deep.include({ kind: 'blend', buckets: [8, 0], cost: 0 });
  });

  it('is never worse than the best of all whole buckets there are, and finds one where there is one', () => {
    const shares = fc.record({
      sand: fc.integer({ min: 0, max: 95 }),
      clay: fc.integer({ min: 0, max: 60 })
    });
    const one = fc
      .record({
        f: shares.filter(({ sand, clay }) => sand + clay <= 99),
        bucketKg: fc.integer({ min: 8, max: 20 }),
        moisturePct: fc.integer({ min: 0, max: 30 }),
        gravelPct: fc.integer({ min: 0, max: 30 })
      })
      .map(({ f, ...rest }) => material('any', f.sand, f.clay, rest));
    fc.assert(
      fc.property(
        fc.constantFrom(cob, pressed, rammed),
        fc.array(one, { minLength: 1, maxLength: 3 }),
        fc.integer({ min: 1, max: 14 }),
        (technique, materials, buckets) => {
          let best = Infinity;
          const last = materials.length - 1;
          const count = (j: number, left: number, x: number[]): void => {
            if (j < last) for (let n = 0; n <= left; n++) count(j + 1, left - n, [...x, n]);
            else if (fits(technique, figures(materials, [...x, left]), 1e-9))
              best = Math.min(best, added(materials, [...x, left]));
          };
          count(0, buckets, []);
          const blend = solveBlend({ technique, materials, buckets });
          if (blend.kind !== 'blend') expect(best).to.equal(Infinity);
          else {
            expect(blend.cost).to.be.at.most(1.02 * best + 1e-6);
            expect(fits(technique, figures(materials, blend.buckets), 1e-6)).to.equal(true);
          }
        }
      ),
      { numRuns: 150 }
    );
  });

  it('takes no more of a material than there is, and the cheapest where each has its price', () => {
    const little = { ...sand, most: 2 };
    expect(solveBlend({ technique: pressed, materials: [fat, little], buckets: 10 }).kind).to.equal('none');
    const short = {
      materials: [
        { ...fat, most: 5 },
        { ...sand, most: 2.5 }
      ],
      buckets: 10
    };
    expect(blendProblems(short)[0].message).to.match(/^There are 7 buckets of all/);
    expect(() => solveBlend({ technique: pressed, ...short })).to.throw(RangeProblem);
    const grit = material('bought grit', 95, 2, { bucketKg: 16, moisturePct: 4, price: 5 });
    const priced = [{ ...fat, price: 0 }, { ...sand, price: 1 }, grit];
    const blend = solveBlend({ technique: pressed, materials: priced, buckets: 10 });
    expect(blend).to.deep.include({ kind: 'blend', buckets: [6, 4, 0], cost: 4 });
  });

  it('says which window stands in the way, what is missing, and how near one comes', () => {
    const why = (technique: Technique, ...materials: Material[]) => {
      const blend = solveBlend({ technique, materials, buckets: 10 });
      if (blend.kind !== 'none') throw new Error(blend.kind);
      return { blocks: blend.blocks.map((w) => w.of), missing: blend.missing, nearest: blend.nearest };
    };
    const lean = why(pressed, sand);
    expect(lean.blocks).to.eql(['clay']);
    expect(lean.missing?.kind).to.equal('clay soil');
    const heavy = why(rammed, material('clay', 46, 38, {}));
    expect(heavy.blocks).to.eql(['clay']);
    const silty = why(rammed, material('loess', 50, 12));
    expect(silty.blocks).to.eql(['silt']);
    expect(silty.missing?.kind).to.equal('sand');
    expect(silty.missing!.sharePct).to.be.closeTo(100 * (1 - 30 / 38), 0.5);
    expect(why(cob, material('lean silt', 60, 10)).blocks).to.eql(['clayToSilt']);
    expect(why(rammed, material('topsoil', 65, 15, { organicPct: 5 })).blocks).to.eql(['organic']);
    const fatAlone = why(pressed, fat, silt);
    expect(fatAlone.missing?.kind).to.equal('sand');
    expect(fatAlone.nearest.reduce((a, b) => a + b, 0)).to.be.closeTo(10, 1e-6);
    // It can be done, but not in one bucket.
    expect(solveBlend({ technique: pressed, materials: [fat, sand], buckets: 1 }).kind).to.equal('part');
  });

  it('is as sure as its soils are, each with an error of its own', () => {
    const sure = judgeBuckets(pressed, [{ ...fat, sd: { sand: 0, clay: 0 } }, sand], [5, 5])!.said;
    const unsure = judgeBuckets(pressed, [{ ...fat, sd: { sand: 12, clay: 12 } }, sand], [5, 5])!.said;
    expect(sure.chance).to.equal(1);
    expect(unsure.chance).to.be.below(0.95);
    const mix = mixOf([fat, sand], [5, 5])!;
    for (let i = 0; i < mix.mass!.length; i += 3)
      expect(mix.mass![i] + mix.mass![i + 1] + mix.mass![i + 2]).to.be.closeTo(100, 1e-6);
    expect(mixOf([fat, sand], [0, 0])).to.equal(undefined);
  });

  it('sieves out stones that are too big, and the gravel with them', () => {
    const stony = material('till', 50, 25, { gravelPct: 40, stoneMm: 40 });
    const through = sieved(stony, 6);
    expect(through.stoneMm).to.equal(6);
    expect(through.gravelPct).to.be.within(10, 30);
    expect(sieved(stony, 2).gravelPct).to.equal(0);
    expect(sieved(stony, 60)).to.equal(stony);
    // What is judged and what is shown are the same, sieved soil.
    const mixed = judgeBuckets(rammed, [stony, sand], [2, 1])!;
    expect(mixed.said.windows.find((w) => w.window.of === 'stone')!.spread!.high).to.equal(20);
    const blend = solveBlend({ technique: pressed, materials: [stony], buckets: 4 });
    if (blend.kind !== 'blend') throw new Error(blend.kind);
    expect(blend.said.windows.find((w) => w.window.of === 'stone')!.chance).to.equal(1);
  });

  it('refuses what no material is, naming the field', () => {
    const fieldOf = (o: Partial<Material>, buckets = 10) =>
      blendProblems({ materials: [{ ...fat, ...o }], buckets })[0]?.field;
    expect(fieldOf({ bucketKg: 0 })).to.equal('materials.0.bucketKg');
    expect(fieldOf({ moisturePct: 90 })).to.equal('materials.0.moisturePct');
    expect(fieldOf({ shares: { sand: 50, silt: 50, clay: 50 } })).to.equal('materials.0.sand');
    expect(fieldOf({ gravelPct: 100 })).to.equal('materials.0.gravelPct');
    expect(fieldOf({ most: -1 })).to.equal('materials.0.most');
    expect(fieldOf({}, 2.5)).to.equal('buckets');
    expect(fieldOf({})).to.equal(undefined);
    expect(() => solveBlend({ technique: cob, materials: [], buckets: 5 })).to.throw(
      RangeProblem,
      /one to 8/
    );
  });

  it('is carried the least way where every way is known, and costs the least where every price is', () => {
    const near = material('near', 70, 20, { carryM: 5 });
    const far = material('far', 70, 20, { carryM: 200 });
    const by = (o: Partial<Material>, p: Partial<Material>) => {
      const blend = solveBlend({
        technique: cob,
        materials: [
          { ...far, ...o },
          { ...near, ...p }
        ],
        buckets: 10
      });
      return blend.kind === 'blend' ? blend.buckets : undefined;
    };
    expect(by({}, {})).to.deep.equal([0, 10]);
    expect(by({ price: 1 }, { price: 3 })).to.deep.equal([10, 0]);
    // Where one way is not known, the least is added to the first.
    expect(by({}, { carryM: undefined })).to.deep.equal([10, 0]);
    expect(
      blendProblems({ materials: [{ ...near, carryM: -1 }], buckets: 1 }).map((p) => p.field)
    ).to.deep.equal(['materials.0.carryM']);
  });

  it('stands beside a jar of it: as promised within the errors of both, or not', () => {
    const promised = { shares: { sand: 60, silt: 20, clay: 20 }, sd: { sand: 3, clay: 2 } };
    const read = (sandPct: number, clay: number) => ({
      shares: { sand: sandPct, silt: 100 - sandPct - clay, clay },
      sd: { sand: 4, clay: 3 }
    });
    const near = besidePromise(promised, read(55, 23));
    expect(near.points).to.deep.equal({ sand: -5, silt: 2, clay: 3 });
    expect(near.within).to.equal(true);
    expect(besidePromise(promised, read(60, 30)).within).to.equal(false);
    expect(besidePromise(promised, read(45, 20)).within).to.equal(false);
  });
});
