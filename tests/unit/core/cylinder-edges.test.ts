import { expect } from 'chai';
import fc from 'fast-check';
import {
  cylinderWorking,
  densityFactor,
  drawTime,
  effectiveDepth,
  judgeCylinder,
  pipetteFiner,
  simulatedBalance,
  simulatedDraw,
  simulatedHydrometer,
  sizeAtReading,
  workOutCylinder,
  workOutReadings,
  type CurveBand,
  type CylinderFacts,
  type CylinderInput,
  type Fractions,
  type SimulatedCylinder
} from '../../../src/lib/core/index.ts';
import { HOUR, facts, anySoil, CURVE_TIMES } from './cylinders.ts';
import { refused } from './refused.ts';

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
    expect(refused(() => workOutCylinder(some, 'usda')).field).to.equal('readings');
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
    expect(refused(() => workOutReadings(draw(0.2, null))).field).to.equal('pipette.volumeMl');
    expect(refused(() => workOutReadings(draw(5, usual))).field).to.equal('reading.0');
    expect(refused(() => workOutReadings(draw(0.2, { ...usual, volumeMl: 2000 }))).field).to.equal(
      'pipette.volumeMl'
    );
    expect(refused(() => workOutReadings(draw(0.2, { ...usual, depthMm: 0 }))).field).to.equal(
      'pipette.depthMm'
    );
    expect(refused(() => workOutReadings(draw(0.2, { ...usual, dispersantG: -1 }))).field).to.equal(
      'pipette.dispersantG'
    );
    const early = curveOf(VALUES);
    early.readings[2] = { ...early.readings[2], timeS: -5 };
    expect(refused(() => workOutReadings(early)).field).to.equal('reading.2');
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
    const open = refused(() => workOutCylinder(unsieved, 'usda'));
    expect([open.field, open.message]).to.satisfy(
      ([field, message]: string[]) =>
        field === 'readings' && /coarsest draw cut \d+ µm.*Weigh what stayed/.test(message)
    );
    const light = readings.map((r) => ({ ...r, value: 0.005 }));
    const said = refused(() =>
      workOutCylinder({ scheme: 'pipette', facts: held, readings: light, blanks: [] }, 'usda')
    );
    expect(said.field).to.equal('reading.0');
  });
});
