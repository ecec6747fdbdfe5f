import { expect } from 'chai';
import fc from 'fast-check';
import {
  bedBand,
  bedChanges,
  bedFigures,
  bedOutlook,
  bulkDensity,
  classifyTexture,
  compostFor,
  crustIndex,
  drainageClass,
  drainageFromHole,
  holeAgainstTexture,
  massToMoveClass,
  mixSoils,
  moveLine,
  organicWith,
  sandToMove,
  soilWater,
  wateringPlan,
  wateringProblems,
  type Fractions
} from '../../../../src/lib/core/index.ts';
import { fieldOf } from '../refused.ts';

/** Soils all over the triangle. */
export const soils = fc
  .tuple(fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }))
  .map(([a, b]): Fractions => {
    const rest = Math.sqrt(a);
    return { sand: 100 * (1 - rest), silt: 100 * rest * (1 - b), clay: 100 * rest * b };
  });
const organics = fc.double({ min: 0, max: 8, noNaN: true });
const LOAM = { sand: 40, clay: 20, organicPct: 2.5 };

describe('water in soil', () => {
  it('is that of Saxton & Rawls', () => {
    const loam = soilWater(LOAM);
    expect(loam.wiltingPct).to.be.closeTo(13.7, 0.05);
    expect(loam.fieldCapacityPct).to.be.closeTo(28, 0.05);
    expect(loam.saturationPct).to.be.closeTo(45.9, 0.05);
    expect(loam.conductivityMmH).to.be.closeTo(15.5, 0.05);
    const sand = soilWater({ sand: 88, clay: 5, organicPct: 2.5 });
    expect(sand.wiltingPct).to.be.closeTo(5, 0.05);
    expect(sand.fieldCapacityPct).to.be.closeTo(10.3, 0.05);
    expect(sand.saturationPct).to.be.closeTo(46.2, 0.05);
    expect(sand.conductivityMmH).to.be.closeTo(108.1, 0.1);
    expect(bulkDensity(loam)).to.be.closeTo(1.43, 0.01);
  });

  it('is that of the edge beyond the soils it was fitted to, and says so', () => {
    const heavy = soilWater({ sand: 10, clay: 80, organicPct: 2 });
    expect(heavy.atEdge).to.equal(true);
    expect(heavy.conductivityMmH).to.be.above(0);
    expect(soilWater({ ...LOAM, organicPct: 12 })).to.deep.equal({
      ...soilWater({ ...LOAM, organicPct: 8 }),
      atEdge: true
    });
    expect(fieldOf(() => soilWater({ ...LOAM, organicPct: 40 }))).to.equal('organicPct');
    expect(fieldOf(() => soilWater({ ...LOAM, sand: 90 }))).to.equal('clay');
  });

  it('gives figures for any soil', () => {
    fc.assert(
      fc.property(soils, organics, (soil, organicPct) => {
        for (const figure of Object.values(bedFigures(soil, organicPct)))
          expect(figure).to.be.a('number').and.satisfy(Number.isFinite);
      })
    );
  });
});

describe('a watering plan', () => {
  const plan = (o: Partial<Parameters<typeof wateringPlan>[0]> = {}) =>
    wateringPlan({ ...LOAM, rootDepthMm: 300, stonesPct: 0, needMmWeek: 25, ...o });

  it('has the doses of loam, sand and stony clay', () => {
    const loam = plan();
    expect(loam.storeMm).to.be.closeTo(42.8, 0.05);
    expect(loam.doseMm).to.be.closeTo(21.4, 0.05);
    expect(loam.intervalDays).to.be.closeTo(6, 0.05);
    expect(loam.maxRateMmH).to.be.closeTo(4.6, 0.06);
    const sand = plan({ sand: 88, clay: 5 });
    expect([sand.storeMm, sand.doseMm, sand.intervalDays].map((x) => x.toFixed(1))).to.eql([
      '15.8',
      '7.9',
      '2.2'
    ]);
    expect(sand.maxRateMmH).to.be.closeTo(32, 0.5);
    const clay = plan({ sand: 20, clay: 55, stonesPct: 10 });
    expect([clay.storeMm, clay.doseMm, clay.intervalDays].map((x) => x.toFixed(1))).to.eql([
      '31.3',
      '15.7',
      '4.4'
    ]);
    expect(clay.maxRateMmH).to.be.closeTo(0.3, 0.01);
    expect([sand, loam, clay].map((p) => p.drip.how)).to.eql(['close', 'between', 'wide']);
  });

  it('gives what is needed in a week, whatever the soil; stores fall with stones and rise with depth', () => {
    fc.assert(
      fc.property(soils, organics, fc.integer({ min: 5, max: 140 }), (soil, organicPct, needMmWeek) => {
        const one = plan({ ...soil, organicPct, needMmWeek });
        expect((one.doseMm * 7) / one.intervalDays).to.be.closeTo(needMmWeek, 1e-9);
        expect(plan({ ...soil, organicPct, stonesPct: 20 }).storeMm).to.be.below(one.storeMm);
        expect(plan({ ...soil, organicPct, rootDepthMm: 400 }).storeMm).to.be.above(one.storeMm);
      })
    );
  });

  it('runs a sprinkler that is too fast in spells that bring the whole dose and let no more than 5 mm stand', () => {
    const { spell, doseMm, maxRateMmH } = plan({ rateMmH: 20 });
    expect(spell!.runH * (20 - maxRateMmH)).to.be.at.most(5 + 1e-9);
    expect(spell!.runH * 20 * spell!.times).to.be.at.least(doseMm - 1e-9);
    expect(plan({ rateMmH: 3 }).spell).to.equal(undefined);
  });

  it('goes by the ground of the holes for how fast water may come, and by the soil for what it stores', () => {
    const [texture, pan] = [plan({}), plan({ groundMmH: 0.5 })];
    expect(pan.doseMm).to.equal(texture.doseMm);
    expect(pan.maxRateMmH).to.be.closeTo(0.15, 1e-9);
    expect(pan.drip.how).to.equal('wide');
    expect(plan({ groundMmH: 9000 }).maxRateMmH).to.equal(texture.maxRateMmH);
  });

  it('refuses what no bed has', () => {
    expect(fieldOf(() => plan({ rootDepthMm: 0 }))).to.equal('rootDepthMm');
    expect(fieldOf(() => plan({ needMmWeek: 900 }))).to.equal('needMmWeek');
    expect(fieldOf(() => plan({ stonesPct: 100 }))).to.equal('stonesPct');
    expect(fieldOf(() => plan({ depletion: 1 }))).to.equal('depletion');
    expect(fieldOf(() => plan({ rateMmH: 0 }))).to.equal('rateMmH');
    expect(fieldOf(() => plan({ areaM2: -4 }))).to.equal('areaM2');
    // Each field that is wrong says so, not the first alone.
    const wrong = wateringProblems({ rootDepthMm: 0, stonesPct: 100, needMmWeek: 900, areaM2: -4 });
    expect(wrong.map((p) => p.field)).to.eql(['rootDepthMm', 'stonesPct', 'needMmWeek', 'areaM2']);
    expect(plan({ areaM2: 8 })).to.include({ litres: 8 * plan().doseMm, cans: 18 });
  });
});

describe('capping', () => {
  it('is the index of silt over clay and organic matter', () => {
    expect(crustIndex({ silt: 65, clay: 12, organicPct: 1.5 })).to.be.closeTo(2.71, 0.005);
    expect(bedBand('caps', 2.71)).to.equal(3);
    expect(bedBand('digs', 14.9)).to.equal(0);
    expect(bedBand('digs', 15)).to.equal(1);
  });
});

describe('a drainage hole', () => {
  const hole = (readings: [number, number][]) =>
    drainageFromHole({ radiusMm: 150, readings: readings.map(([timeS, heightMm]) => ({ timeS, heightMm })) });

  it('tells how fast its water falls, and how much of that the ground below takes', () => {
    const {
      dropMmH,
      groundMmH,
      class: of
    } = hole([
      [0, 300],
      [3600, 262]
    ]);
    expect(dropMmH).to.be.closeTo(38, 1e-9);
    expect(groundMmH).to.be.closeTo(8, 0.05);
    expect(of).to.equal('well');
    expect([4.9, 5, 25, 50, 150].map(drainageClass)).to.eql([
      'very-slow',
      'slow',
      'well',
      'quick',
      'very-quick'
    ]);
  });

  it('takes the last stretch, and says whether it was steady', () => {
    expect(
      hole([
        [0, 300],
        [1800, 250],
        [5400, 200]
      ])
    ).to.include({ dropMmH: 50, steady: false });
    expect(
      hole([
        [0, 300],
        [3600, 250],
        [7200, 205]
      ])
    ).to.include({ dropMmH: 45, steady: true });
  });

  it('is gone in seconds, or still there next day', () => {
    expect(
      hole([
        [0, 300],
        [40, 0]
      ]).class
    ).to.equal('very-quick');
    const still = hole([
      [0, 300],
      [86_400, 280]
    ]);
    expect(still.class).to.equal('very-slow');
    expect(holeAgainstTexture(still.groundMmH, 15.5)).to.equal('slower');
    expect(holeAgainstTexture(8, 15.5)).to.equal('alike');
    expect(holeAgainstTexture(200, 15.5)).to.equal('faster');
  });

  it('gives the conductivity back from which its water fell', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 500, noNaN: true }),
        fc.integer({ min: 40, max: 400 }),
        (k, radiusMm) => {
          const at = (s: number) =>
            (300 + radiusMm / 2) * Math.exp((-2 * k * s) / 3600 / radiusMm) - radiusMm / 2;
          const timeS = Math.min(3600, (3600 * radiusMm * 0.2) / k);
          const found = drainageFromHole({
            radiusMm,
            readings: [0, timeS].map((s) => ({ timeS: s, heightMm: at(s) }))
          });
          expect(found.groundMmH / k).to.be.closeTo(1, 1e-6);
        }
      )
    );
  });

  it('refuses water that rises, two readings at a time, and one alone', () => {
    expect(
      fieldOf(() =>
        hole([
          [0, 300],
          [60, 310]
        ])
      )
    ).to.equal('readings.1');
    expect(
      fieldOf(() =>
        hole([
          [0, 300],
          [0, 290]
        ])
      )
    ).to.equal('readings.1');
    expect(fieldOf(() => hole([[0, 300]]))).to.equal('readings');
    expect(fieldOf(() => drainageFromHole({ radiusMm: 0, readings: [] }))).to.equal('radiusMm');
  });
});

describe('compost', () => {
  const BED = { areaM2: 10, depthMm: 200, bulkGCm3: 1.3 };

  it('is a balance of organic mass', () => {
    const need = compostFor({ ...BED, fromPct: 2, toPct: 4 });
    expect(need.dryKg).to.be.closeTo(144, 0.5);
    expect(need.moistKg).to.be.closeTo(263, 0.5);
    expect(need.m3).to.be.closeTo(0.44, 0.005);
    expect(need.spreadMm).to.be.closeTo(44, 0.5);
    expect([need.years, need.barrows, need.bags]).to.eql([1, 6, 11]);
    expect(compostFor({ ...BED, fromPct: 2, toPct: 5 }).years).to.equal(2);
    expect(compostFor({ ...BED, fromPct: 4, toPct: 3 })).to.include({ dryKg: 0, years: 1 });
  });

  it('to a target and back gives the target', () => {
    fc.assert(
      fc.property(organics, fc.double({ min: 0, max: 10, noNaN: true }), (fromPct, more) => {
        const { m3 } = compostFor({ ...BED, fromPct, toPct: fromPct + more });
        expect(organicWith({ ...BED, fromPct, litres: 1000 * m3 })).to.be.closeTo(fromPct + more, 1e-9);
      })
    );
  });

  it('refuses what no bed is', () => {
    expect(fieldOf(() => compostFor({ ...BED, areaM2: -1, fromPct: 2, toPct: 4 }))).to.equal('areaM2');
    expect(fieldOf(() => compostFor({ ...BED, depthMm: 0, fromPct: 2, toPct: 4 }))).to.equal('depthMm');
    expect(fieldOf(() => compostFor({ ...BED, fromPct: 2, toPct: 45 }))).to.equal('toPct');
    expect(fieldOf(() => organicWith({ ...BED, fromPct: 2, litres: -3 }))).to.equal('litres');
  });
});

describe('the lines of a bed', () => {
  it('have the chance that the draws come to the same word', () => {
    const soil = { sand: 40, silt: 40, clay: 20 };
    const shares = Float64Array.from([40, 40, 20, 40, 40, 20, 20, 20, 60, 20, 20, 60]);
    const draws = { shares, organic: new Float64Array(4).fill(2.5) };
    for (const { line, figure, band, chance } of bedOutlook(soil, 2.5, draws)) {
      expect(figure).to.equal(bedFigures(soil, 2.5)[line]);
      const heavy = bedBand(line, bedFigures({ sand: 20, silt: 20, clay: 60 }, 2.5)[line]);
      expect(chance, line).to.equal(heavy === band ? 1 : 0.5);
    }
  });

  it('that change with organic matter are told before and after, the others not', () => {
    const changes = bedChanges({ sand: 40, silt: 40, clay: 20 }, 2, 5);
    expect(changes.map((c) => c.line))
      .to.include('feeds')
      .and.not.include('digs');
    for (const { line, before, after } of changes) if (line === 'feeds') expect(after - before).to.equal(6);
    expect(bedChanges({ sand: 40, silt: 40, clay: 20 }, 2, 2)).to.eql([]);
  });
});

describe('the column of a soil', () => {
  it('stays a soil whichever line is moved, and gives back what it took', () => {
    fc.assert(
      fc.property(
        soils,
        fc.constantFrom('sand' as const, 'silt' as const),
        fc.integer({ min: -20, max: 120 }),
        (soil, line, at) => {
          const to = moveLine(soil, line, at);
          expect(to.sand + to.silt + to.clay).to.be.closeTo(100, 1e-9);
          expect(Math.min(to.sand, to.silt, to.clay)).to.be.at.least(-1e-9);
          expect(line === 'sand' ? to.clay : to.sand).to.equal(line === 'sand' ? soil.clay : soil.sand);
          const back = moveLine(to, line, line === 'sand' ? soil.sand : soil.sand + soil.silt);
          expect(back.silt).to.be.closeTo(soil.silt, 1e-9);
        }
      )
    );
  });
});

describe('mixing soils', () => {
  it('balances their masses', () => {
    expect(
      mixSoils([
        { kg: 3, sand: 20, silt: 40, clay: 40 },
        { kg: 1, sand: 100, silt: 0, clay: 0 }
      ])
    ).to.eql({ kg: 4, sand: 40, silt: 30, clay: 30 });
    expect(fieldOf(() => mixSoils([{ kg: 1, sand: 60, silt: 30, clay: 30 }]))).to.equal('0.sand');
    expect(fieldOf(() => mixSoils([{ kg: -1, sand: 60, silt: 30, clay: 10 }]))).to.equal('0.kg');
  });

  it('says what it would take to move a bed by sand, and nothing of a bed that is sand', () => {
    const bed = { areaM2: 10, depthMm: 200, bulkGCm3: 1.3 };
    const { kg, m3, lorries } = sandToMove({ sand: 20, silt: 25, clay: 55 }, bed)!;
    expect(m3).to.be.closeTo(kg / 1500, 1e-9);
    expect(lorries).to.equal(Math.ceil(m3 / 6));
    expect(sandToMove({ sand: 70, silt: 20, clay: 10 }, bed)).to.equal(undefined);
    expect(fieldOf(() => sandToMove({ sand: 20, silt: 25, clay: 55 }, { ...bed, areaM2: 0 }))).to.equal(
      'areaM2'
    );
  });

  it('finds the least of a material that moves a class: a little less leaves it where it was', () => {
    const sand = { sand: 95, silt: 3, clay: 2 };
    fc.assert(
      fc.property(soils, (soil) => {
        const moved = massToMoveClass({ ...soil, kg: 1000 }, sand);
        const own = classifyTexture('usda', soil).id;
        if (!moved) return own === classifyTexture('usda', sand).id;
        const less = mixSoils([
          { ...soil, kg: 1000 },
          { ...sand, kg: 0.999 * moved.kg - 0.01 < 0 ? 0 : 0.999 * moved.kg - 0.01 }
        ]);
        return moved.to.id !== own && classifyTexture('usda', less).id === own;
      }),
      { numRuns: 60 }
    );
  });
});
