import { expect } from 'chai';
import fc from 'fast-check';
import {
  cutDiameter,
  cylinderDoubts,
  cylinderWorking,
  densityFactor,
  drawTime,
  effectiveDepth,
  finerAt,
  fractionsFromHydrometer,
  gradingCurve,
  gradingFigures,
  joinCurve,
  judgeCylinder,
  NINE_IN_TEN_SD,
  normalShare,
  pipetteFiner,
  RangeProblem,
  readableCurve,
  simulatedBalance,
  simulatedBlank,
  simulatedDraw,
  simulatedFiner,
  simulatedHydrometer,
  simulatedThermometer,
  sizeAt,
  sizeAtReading,
  USUAL_FACTS,
  workOutCylinder,
  workOutReadings,
  type CurveBand,
  type CylinderFacts,
  type CylinderInput,
  type Fractions,
  type SimulatedCylinder
} from '../../../src/lib/core/index.ts';

const HOUR = 3600;
const facts = (more: Partial<CylinderFacts> = {}): CylinderFacts => ({
  ...USUAL_FACTS,
  airDryG: 40,
  moisture: { wetG: 30.25, dryG: 30, tinG: 20 },
  ...more
});
const twoPoint = (more: Partial<CylinderInput> = {}): CylinderInput => ({
  scheme: 'two-point',
  facts: facts(),
  readings: [
    { no: 0, timeS: 40, value: 21, tempC: 20 },
    { no: 1, timeS: 6.5 * HOUR, value: 12, tempC: 20 }
  ],
  blanks: [{ timeS: 60, value: 2, tempC: 20 }],
  ...more
});
const problem = (work: () => unknown): RangeProblem => {
  try {
    work();
  } catch (e) {
    if (e instanceof RangeProblem) return e;
    throw e;
  }
  throw new Error('no problem was found');
};
const anySoil = fc
  .tuple(fc.double({ min: 0.02, max: 0.98, noNaN: true }), fc.double({ min: 0.02, max: 0.98, noNaN: true }))
  .map(([a, b]): Fractions => {
    const [low, high] = a < b ? [a, b] : [b, a];
    return { sand: 100 * low, silt: 100 * (high - low), clay: 100 * (1 - high) };
  });
const CURVE_TIMES = [30, 40, 60, 180, 600, 1800, 3600, 5400, 7200, 6.5 * HOUR, 24 * HOUR];

describe('hydrometer', () => {
  it('gives the fractions of the book', () => {
    const { fractions, ovenDryMassG } = fractionsFromHydrometer({
      airDryMassG: 40,
      waterContentPct: 2.5,
      sandReading: 21,
      clayReading: 12,
      blankAtSand: 2
    });
    expect(ovenDryMassG).to.be.closeTo(39.02, 0.005);
    expect(fractions.sand).to.be.closeTo(51.3, 0.05);
    expect(fractions.silt).to.be.closeTo(23.1, 0.05);
    expect(fractions.clay).to.be.closeTo(25.6, 0.05);
  });

  it('adds a blank below zero, and corrects for warmth only where there is no blank', () => {
    const o = { airDryMassG: 40, waterContentPct: 0, sandReading: 20, clayReading: 8, tempAtSandC: 23 };
    expect(fractionsFromHydrometer({ ...o, blankAtSand: -1 }).fractions.clay).to.be.closeTo(22.5, 1e-9);
    expect(fractionsFromHydrometer(o).fractions.clay).to.be.closeTo((100 * (8 + 1.08)) / 40, 1e-9);
  });

  it('cuts what the customary times cut', () => {
    const at = (scale: number, timeS: number) => sizeAtReading({ scale, timeS, tempC: 20 });
    expect(at(20, 40)).to.be.closeTo(60, 0.5);
    expect(at(12, 6.5 * HOUR)).to.be.closeTo(2.6, 0.05);
    expect(at(15, 2 * HOUR)).to.be.closeTo(4.6, 0.05);
    // K = d / sqrt(L / t): mm, cm, min.
    expect(cutDiameter({ timeS: 60, fallMm: 100, tempC: 20 }) / 1000 / Math.sqrt(10)).to.be.closeTo(
      0.01362,
      5e-5
    );
  });

  it('knows other grains and the other bulb', () => {
    expect(densityFactor(2650)).to.equal(1);
    expect(densityFactor(2720)).to.be.closeTo(0.985, 0.001);
    expect(effectiveDepth('152H', 20)).to.be.closeTo(130.2, 1e-9);
    const r = (20 * 1.65) / 2650;
    expect(effectiveDepth('151H', 1 + r)).to.be.closeTo(130.2, 1e-9);
    const [byGrams, byDensity] = (['152H', '151H'] as const).map((bulb) => {
      const scale = (g: number) => (bulb === '152H' ? g : 1 + (g * 1.65) / 2650);
      const input = twoPoint({ facts: facts({ bulb }) });
      input.readings = input.readings.map((x) => ({ ...x, value: scale(x.value) }));
      input.blanks = input.blanks.map((x) => ({ ...x, value: scale(x.value) }));
      return workOutCylinder(input, 'usda').fractions;
    });
    expect(byDensity.sand).to.be.closeTo(byGrams.sand, 1e-6);
    expect(byDensity.clay).to.be.closeTo(byGrams.clay, 1e-6);
  });

  it('names the reading, or the field, that cannot be right', () => {
    const read = (a: number, b: number) =>
      problem(() =>
        workOutCylinder(
          twoPoint({
            readings: [
              { no: 0, timeS: 40, value: a, tempC: 20 },
              { no: 1, timeS: 6.5 * HOUR, value: b, tempC: 20 }
            ]
          }),
          'usda'
        )
      );
    expect(read(45, 12).field).to.equal('reading.0');
    expect(read(15, 18).field).to.equal('reading.1');
    expect(read(15, -2).field).to.equal('reading.1');
    expect(read(90, 12).message).to.match(/in suspension|152H/);
    const fact = (more: Partial<CylinderFacts>) =>
      problem(() => workOutCylinder(twoPoint({ facts: facts(more) }), 'usda')).field;
    expect(fact({ moisture: { wetG: 29, dryG: 30, tinG: 20 } })).to.equal('moisture.wetG');
    expect(fact({ moisture: { wetG: 21, dryG: 20, tinG: 20 } })).to.equal('moisture.dryG');
    expect(fact({ particleDensity: 990 })).to.equal('particleDensity');
    expect(fact({ airDryG: 0 })).to.equal('airDryG');
    expect(fact({ sieves: [{ meshUm: 50, retainedG: 60 }] })).to.equal('sieves');
    expect(
      fact({
        sieves: [
          { meshUm: 50, retainedG: 6 },
          { meshUm: 50, retainedG: 1 }
        ]
      })
    ).to.equal('sieves');
    const twice = twoPoint();
    twice.readings[1] = { ...twice.readings[1], timeS: 40.2 };
    expect(problem(() => workOutCylinder(twice, 'usda')).message).to.contain('same second');
    expect(problem(() => workOutCylinder(twoPoint({ readings: [] }), 'usda')).field).to.equal('readings');
  });

  it('takes the blank that was read nearest in time', () => {
    const blanks = [
      { timeS: 30, value: 2, tempC: 20 },
      { timeS: 6.4 * HOUR, value: 1, tempC: 20 }
    ];
    const [sand, clay] = workOutCylinder(twoPoint({ blanks }), 'usda').readings;
    expect([sand.corrected, clay.corrected]).to.deep.equal([19, 11]);
  });

  it('takes the sand from a wet sieve where there is one', () => {
    const worked = workOutCylinder(
      twoPoint({ facts: facts({ sieves: [{ meshUm: 50, retainedG: 19.51 }] }) }),
      'usda'
    );
    expect(worked.sandFrom).to.equal('sieve');
    expect(readableCurve(worked)).to.equal(worked.curve);
    // Two readings alone make no curve that could be read between.
    expect(readableCurve(workOutCylinder(twoPoint(), 'usda'))).to.equal(undefined);
    expect(normalShare(NINE_IN_TEN_SD) - normalShare(-NINE_IN_TEN_SD)).to.be.closeTo(0.9, 1e-3);
    expect(worked.fractions.sand).to.be.closeTo(50, 0.02);
  });

  it('says what is doubtful, with the reading', () => {
    const kinds = (input: CylinderInput, dispersed = true) =>
      cylinderDoubts(input, workOutCylinder(input, 'usda'), { asked: [40, 6.5 * HOUR], dispersed }).map(
        (d) => ('no' in d ? `${d.kind} ${d.no}` : d.kind)
      );
    expect(kinds(twoPoint())).to.deep.equal(['sand-by-reading 0']);
    expect(kinds(twoPoint(), false)).to.include('not-dispersed');
    expect(kinds(twoPoint({ blanks: [] }))).to.include('no-blank');
    expect(kinds(twoPoint({ blanks: [{ timeS: 9 * HOUR, value: 2, tempC: 24 }] }))).to.include.members([
      'blank-after',
      'blank-warmth 0'
    ]);
    const late = twoPoint();
    late.readings[0] = { ...late.readings[0], timeS: 55 };
    expect(kinds(late)).to.include('late 0');
    const rising = twoPoint();
    rising.readings[1] = { ...rising.readings[1], value: 21.1 };
    expect(kinds(rising)).to.include('rises 1');
    expect(
      kinds(
        twoPoint({
          facts: facts({ airDryG: 9 }),
          readings: [
            { no: 0, timeS: 40, value: 6, tempC: 20 },
            { no: 1, timeS: 6.5 * HOUR, value: 1.97, tempC: 20 }
          ]
        })
      )
    ).to.include.members(['light', 'below-blank 1']);
  });

  it('shows its working, and every outcome in it is what was worked out', () => {
    const input = twoPoint();
    const worked = workOutCylinder(input, 'usda');
    const lines = cylinderWorking(input, worked);
    expect(lines.find((l) => l.key === 'dry')?.outcome).to.equal('39.02 g');
    expect(lines.find((l) => l.key === 'blank' && l.no === 0)?.numbers).to.equal('21.00 − 2.00');
    expect(lines.at(-1)?.outcome).to.equal('23.1 %');
    expect(lines.filter((l) => l.key === 'size').map((l) => l.outcome)).to.deep.equal(['59.8 µm', '2.61 µm']);
  });
});

describe('pipette', () => {
  it('draws when the size has fallen past the tip', () => {
    expect(drawTime({ limitUm: 2, depthMm: 100, tempC: 20 }) / HOUR).to.be.closeTo(7.73, 0.005);
    expect(
      pipetteFiner({ dryG: 0.105, dispersantG: 0.005, cylinderMl: 1000, pipetteMl: 20, ovenDryG: 10 })
    ).to.equal(50);
  });

  it('gives a simulated soil back, with the sand from a sieve', () => {
    const soil: Fractions = { sand: 30, silt: 45, clay: 25 };
    const held = facts({
      airDryG: 20,
      moisture: null,
      sieves: [{ meshUm: 50, retainedG: 6 }],
      pipette: { volumeMl: 20, depthMm: 100, dispersantG: 0.01 }
    });
    const cylinder: SimulatedCylinder = { fractions: soil, facts: held, tempC: 21, blank: 0 };
    const readings = [20, 2].map((limitUm, no) => {
      const timeS = drawTime({ limitUm, depthMm: 100, tempC: 21 });
      const balance = simulatedBalance(simulatedDraw(cylinder, timeS), no);
      return { no, timeS, value: balance.read()!, tempC: 21 };
    });
    const { result } = judgeCylinder({ scheme: 'pipette', facts: held, readings, blanks: [] }, 'usda', {
      draws: 400
    });
    expect(result.fractions.sand).to.be.closeTo(30, 0.1);
    expect(result.fractions.clay).to.be.closeTo(25, 0.6);
    expect(result.class.id).to.equal('loam');
    // Without the sand, what lies between 20 and 50 um cannot be told from it.
    const unsieved = { scheme: 'pipette' as const, facts: { ...held, sieves: [] }, readings, blanks: [] };
    const open = problem(() => workOutCylinder(unsieved, 'usda'));
    expect([open.field, open.message]).to.satisfy(
      ([field, message]: string[]) =>
        field === 'readings' && /coarsest draw cut \d+ µm.*Weigh what stayed/.test(message)
    );
    const light = readings.map((r) => ({ ...r, value: 0.005 }));
    const said = problem(() =>
      workOutCylinder({ scheme: 'pipette', facts: held, readings: light, blanks: [] }, 'usda')
    );
    expect(said.field).to.equal('reading.0');
  });
});

describe('grading curve', () => {
  it('rises whatever was read, and so do its sizes', () => {
    const anyReadings = fc.array(fc.double({ min: 0, max: 30, noNaN: true }), {
      minLength: 11,
      maxLength: 11
    });
    fc.assert(
      fc.property(anyReadings, (values) => {
        const curve = gradingCurve({
          readings: values.map((reading, i) => ({ timeS: CURVE_TIMES[i], reading, tempC: 20, blank: 1 })),
          ovenDryMassG: 40
        });
        for (let i = 1; i < curve.length; i++) {
          expect(curve[i].diameterUm).to.be.greaterThan(curve[i - 1].diameterUm);
          expect(curve[i].percentFiner).to.be.at.least(curve[i - 1].percentFiner);
        }
        const joined = joinCurve(
          curve.map((p) => ({ ...p, from: 'reading' as const })),
          []
        );
        const sizes = [10, 20, 30, 50, 60, 80]
          .map((p) => sizeAt(joined, p)?.value)
          .filter((x) => x !== undefined);
        for (let i = 1; i < sizes.length; i++) expect(sizes[i]).to.be.at.least(sizes[i - 1]);
      })
    );
  });

  it('gives any simulated soil back within six points, instruments and all', () => {
    let seed = 1;
    fc.assert(
      fc.property(anySoil, fc.constantFrom(12, 20, 28), (fractions, tempC) => {
        // With more of one the bend of this model soil at 2 or 50 µm is too sharp for the chord between two readings.
        fc.pre(fractions.clay < 60 && fractions.silt < 60);
        const held = facts();
        const cylinder: SimulatedCylinder = { fractions, facts: held, tempC, blank: 2 };
        const blanks = [{ timeS: 0, value: simulatedBlank(cylinder, seed++).read()!, tempC }];
        const readings = CURVE_TIMES.map((timeS, no) => ({
          no,
          timeS,
          value: simulatedHydrometer(cylinder, timeS, seed++).read()!,
          tempC: simulatedThermometer(tempC, seed++).read()!
        }));
        const { fractions: back } = workOutCylinder(
          { scheme: 'curve', facts: held, readings, blanks },
          'usda'
        );
        expect(back.clay).to.be.closeTo(fractions.clay, 6);
        expect(back.sand).to.be.closeTo(fractions.sand, 6);
      }),
      { numRuns: 300 }
    );
  });

  it('reads off between points in the logarithm of size, and a little beyond, and says so', () => {
    const curve = [
      { diameterUm: 2, percentFiner: 20 },
      { diameterUm: 20, percentFiner: 60 },
      { diameterUm: 2000, percentFiner: 100 }
    ];
    expect(finerAt(curve, Math.sqrt(40))).to.deep.equal({ value: 40, how: 'between' });
    expect(finerAt(curve, 1.5)?.how).to.equal('beyond');
    expect(finerAt(curve, 1.3)).to.equal(undefined);
    expect(finerAt(curve, 2000)?.value).to.equal(100);
    const { d50, d60, d10, cu } = gradingFigures(curve);
    expect(d60?.value).to.be.closeTo(20, 1e-9);
    expect(d50?.value).to.be.closeTo(2 * 10 ** 0.75, 1e-9);
    expect(d10).to.equal(undefined);
    expect(cu).to.equal(undefined);
  });

  it('says no size that lies between the coarsest reading and the 2 mm of which only the whole is known', () => {
    const curve = [
      { diameterUm: 2, percentFiner: 8, from: 'reading' as const },
      { diameterUm: 60, percentFiner: 55, from: 'reading' as const },
      { diameterUm: 2000, percentFiner: 100, from: 'whole' as const }
    ];
    const { d10, d50, d60, cu, cc } = gradingFigures(curve);
    expect(d10!.value).to.be.within(2, 60);
    expect(d50!.value).to.be.within(2, 60);
    expect([d60, cu, cc]).to.deep.equal([undefined, undefined, undefined]);
    const sieved = [
      ...curve.slice(0, 2),
      { diameterUm: 500, percentFiner: 90, from: 'sieve' as const },
      curve[2]
    ];
    expect(gradingFigures(sieved).d60!.value).to.be.within(60, 500);
  });

  it('joins meshes and readings, the mesh before the reading', () => {
    const curve = joinCurve(
      [
        { diameterUm: 2, percentFiner: 20, from: 'reading', no: 1 },
        { diameterUm: 70, percentFiner: 60, from: 'reading', no: 0 }
      ],
      [
        { diameterUm: 50, percentFiner: 55, from: 'sieve' },
        { diameterUm: 500, percentFiner: 90, from: 'sieve' }
      ]
    );
    expect(curve.map((p) => p.diameterUm)).to.deep.equal([2, 50, 500, 2000]);
  });

  it('has a band that holds the curve, and probabilities that sum to one', () => {
    const held = facts();
    const cylinder: SimulatedCylinder = {
      fractions: { sand: 40, silt: 35, clay: 25 },
      facts: held,
      tempC: 20,
      blank: 2
    };
    const readings = CURVE_TIMES.map((timeS, no) => ({
      no,
      timeS,
      value: simulatedHydrometer(cylinder, timeS, 50 + no).read()!,
      tempC: 20
    }));
    const input: CylinderInput = {
      scheme: 'curve',
      facts: held,
      readings,
      blanks: [{ timeS: 0, value: 2, tempC: 20 }]
    };
    const { result, band } = judgeCylinder(input, 'usda', { draws: 800 });
    const sum = result.classes.reduce((s, c) => s + c.probability, 0);
    expect(sum).to.be.closeTo(1, 1e-9);
    for (const { diameterUm, lowPct, highPct } of band) {
      const at = finerAt(result.curve, diameterUm)!.value;
      expect(at, String(diameterUm)).to.be.within(lowPct - 1.5, highPct + 1.5);
    }
    // 0.5 g/L of 39 g, reading and blank: about 1.8 points of clay.
    expect(result.sd.clay).to.be.within(1.2, 2.4);
    expect(simulatedFiner(cylinder.fractions, 50)).to.be.closeTo(60, 1e-9);
  });

  it('asks for a later reading where the clay cannot be told', () => {
    const input = twoPoint({ scheme: 'curve' });
    input.readings[1] = { ...input.readings[1], timeS: 1800, value: 15 };
    expect(problem(() => workOutCylinder(input, 'usda')).message).to.contain('Read once more later');
  });
});

describe('cylinders at their edges', () => {
  const curveOf = (values: number[], more: Partial<CylinderInput> = {}): CylinderInput => ({
    scheme: 'curve',
    facts: facts(),
    readings: values.map((value, no) => ({ no, timeS: CURVE_TIMES[no], value, tempC: 20 })),
    blanks: [{ timeS: 0, value: 2, tempC: 20 }],
    ...more
  });
  const VALUES = [30, 29, 28, 25, 22, 19, 17.5, 16.5, 16, 12, 9];

  it('works on the readings that there are before the whole can be told', () => {
    const some = curveOf(VALUES.slice(0, 5));
    const { readings, curve, figures } = workOutReadings(some);
    expect(readings).to.have.length(5);
    expect(curve.at(-1)).to.deep.include({ diameterUm: 2000, percentFiner: 100, from: 'whole' });
    expect(figures.d10).to.equal(undefined);
    expect(problem(() => workOutCylinder(some, 'usda')).field).to.equal('readings');
    expect(cylinderWorking(some, workOutReadings(some)).some((l) => l.key === 'silt')).to.equal(false);
  });

  it('reads a denser grain as finer and as less of it, and a meniscus as deeper', () => {
    const size = (more: object) => sizeAtReading({ scale: 20, timeS: 3600, tempC: 20, ...more });
    expect(size({ particleDensity: 2800 })).to.be.below(size({}));
    expect(size({ meniscus: 1 })).to.be.below(size({}));
    expect(size({ bulb: '151H', scale: 1.01245 })).to.be.closeTo(size({}), 0.05);
    const usual = workOutCylinder(curveOf(VALUES), 'usda').readings[3].finerPct;
    const dense = workOutCylinder(curveOf(VALUES, { facts: facts({ particleDensity: 2800 }) }), 'usda');
    expect(dense.readings[3].finerPct).to.be.closeTo(usual * densityFactor(2800), 1e-9);
    const half = workOutCylinder(curveOf(VALUES, { facts: facts({ cylinderMl: 500, airDryG: 20 }) }), 'usda');
    expect(half.readings[3].finerPct).to.be.closeTo(usual, 1e-9);
  });

  it('gives the same draw the same answer, and a wider band to a lighter soil', () => {
    const judge = (input: CylinderInput) => judgeCylinder(input, 'usda', { draws: 300 });
    const once = judge(curveOf(VALUES));
    expect(judge(curveOf(VALUES)).result.sd).to.deep.equal(once.result.sd);
    const light = curveOf(
      VALUES.map((v) => (v - 2) / 2 + 2),
      { facts: facts({ airDryG: 20 }) }
    );
    const width = ({ band }: { band: CurveBand }) => {
      const middle = band[Math.floor(band.length / 3)];
      return middle.highPct - middle.lowPct;
    };
    expect(width(judge(light))).to.be.above(1.5 * width(once));
  });

  it('has probabilities that agree with a direct count of shaken tests', () => {
    const { result } = judgeCylinder(curveOf(VALUES), 'usda', { draws: 1500, seed: 5 });
    const other = judgeCylinder(curveOf(VALUES), 'usda', { draws: 1500, seed: 6 }).result;
    for (const c of result.classes) {
      const again = other.classes.find((o) => o.id === c.id)?.probability ?? 0;
      // Two independent counts of 1,500: apart by under five of their standard errors.
      expect(Math.abs(c.probability - again), c.id).to.be.below(5 * Math.sqrt((2 * 0.25) / 1500));
    }
    expect(result.borderline).to.equal(result.probability < 0.8);
  });

  it('shows its working for another bulb, without a blank, with a meniscus, and for a draw', () => {
    const keys = (input: CylinderInput) => {
      const lines = cylinderWorking(input, workOutReadings(input));
      expect(
        lines.every((l) => l.symbols && l.numbers && !/NaN|undefined/.test(l.numbers + l.outcome))
      ).to.equal(true);
      return new Set(lines.map((l) => l.key));
    };
    expect(keys(curveOf(VALUES, { blanks: [] })))
      .to.include('warmth')
      .and.not.to.include('blank');
    const by151 = curveOf(
      VALUES.map((v) => 1 + (v * 1.65) / 2650),
      { facts: facts({ bulb: '151H', meniscus: 0.5 }), blanks: [] }
    );
    expect(keys(by151)).to.include('scale');
    expect(keys(curveOf(VALUES, { facts: facts({ particleDensity: 2700, moisture: null }) })))
      .to.include('grains')
      .and.not.to.include('water');
    const draw: CylinderInput = {
      scheme: 'pipette',
      facts: facts({ airDryG: 20, pipette: { volumeMl: 25, depthMm: 100, dispersantG: 0.1 } }),
      readings: [{ no: 0, timeS: 28_000, value: 0.2, tempC: 20 }],
      blanks: []
    };
    expect(keys(draw)).to.include('draw').and.not.to.include('finer');
  });

  it('refuses a pipette without its measures, a draw that is too heavy, and a reading before the set-down', () => {
    const draw = (value: number, pipette: CylinderFacts['pipette']): CylinderInput => ({
      scheme: 'pipette',
      facts: facts({ airDryG: 20, pipette }),
      readings: [{ no: 0, timeS: 28_000, value, tempC: 20 }],
      blanks: []
    });
    const usual = { volumeMl: 20, depthMm: 100, dispersantG: 0.1 };
    expect(problem(() => workOutReadings(draw(0.2, null))).field).to.equal('pipette.volumeMl');
    expect(problem(() => workOutReadings(draw(5, usual))).field).to.equal('reading.0');
    expect(problem(() => workOutReadings(draw(0.2, { ...usual, volumeMl: 2000 }))).field).to.equal(
      'pipette.volumeMl'
    );
    expect(problem(() => workOutReadings(draw(0.2, { ...usual, depthMm: 0 }))).field).to.equal(
      'pipette.depthMm'
    );
    expect(problem(() => workOutReadings(draw(0.2, { ...usual, dispersantG: -1 }))).field).to.equal(
      'pipette.dispersantG'
    );
    const early = curveOf(VALUES);
    early.readings[2] = { ...early.readings[2], timeS: -5 };
    expect(problem(() => workOutReadings(early)).field).to.equal('reading.2');
  });

  it('never reads more from a simulated hydrometer later than before, and floats deeper in clearer water', () => {
    fc.assert(
      fc.property(anySoil, fc.constantFrom(10, 20, 30), (fractions, tempC) => {
        const cylinder: SimulatedCylinder = { fractions, facts: facts(), tempC, blank: 3 };
        // Rounding to half a gram and a tenth of noise may lift a reading by one step.
        const values = CURVE_TIMES.map((timeS) => simulatedHydrometer(cylinder, timeS, 1).read()!);
        for (let i = 1; i < values.length; i++) expect(values[i]).to.be.at.most(values[i - 1] + 0.5);
        expect(effectiveDepth('152H', values.at(-1)!)).to.be.at.least(effectiveDepth('152H', values[0]));
      }),
      { numRuns: 40 }
    );
  });
});
