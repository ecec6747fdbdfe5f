import { expect } from 'chai';
import {
  cutDiameter,
  cylinderDoubts,
  cylinderWorking,
  densityFactor,
  effectiveDepth,
  fractionsFromHydrometer,
  NINE_IN_TEN_SD,
  normalShare,
  readableCurve,
  sizeAtReading,
  workOutCylinder,
  type CylinderFacts,
  type CylinderInput
} from '../../../src/lib/core/index.ts';
import { HOUR, facts, twoPoint } from './cylinders.ts';
import { refused } from './refused.ts';

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
      refused(() =>
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
      refused(() => workOutCylinder(twoPoint({ facts: facts(more) }), 'usda')).field;
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
    expect(refused(() => workOutCylinder(twice, 'usda')).message).to.contain('same second');
    expect(refused(() => workOutCylinder(twoPoint({ readings: [] }), 'usda')).field).to.equal('readings');
  });

  it('takes the blank that was read nearest in time', () => {
    const blanks = [
      { timeS: 30, value: 2, tempC: 20 },
      { timeS: 6.4 * HOUR, value: 1, tempC: 20 }
    ];
    const [sand, clay] = workOutCylinder(twoPoint({ blanks }), 'usda').readings;
    expect([sand.hydrometer?.corrected, clay.hydrometer?.corrected]).to.deep.equal([19, 11]);
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
