import { expect } from 'chai';
import fc from 'fast-check';
import {
  estimateMass,
  evenSigmas,
  heightOfVolume,
  solidsFromDryFill,
  STANDARD_VESSELS,
  type MassInput
} from '../../../src/lib/core/index.ts';
import { HOUR, TIMES, near } from './weighed.ts';

describe('how sure an estimate by mass is', () => {
  const HEIGHTS = [11.93, 22.14, 29.05];
  const marks = (sigmaMm = 0.5) => HEIGHTS.map((heightMm, i) => ({ timeS: TIMES[i], heightMm, sigmaMm }));
  const input = (fields: Partial<MassInput> = {}): MassInput =>
    ({
      basis: 'marks',
      marks: marks(),
      jar: { columnMm: 140, tempC: 18 },
      gravelMm: 0,
      clarity: 'cloudy',
      dispersed: true,
      endS: 48 * HOUR,
      ...fields
    }) as MassInput;

  it('is the same for the same reading, sums to one, and names the class of the estimate itself', () => {
    const { estimate } = estimateMass(input(), 'usda');
    expect(estimateMass(input(), 'usda').estimate).to.deep.equal(estimate);
    near(estimate.fractions, { sand: 40, silt: 40, clay: 20 }, 0.5);
    expect(estimate.class.id).to.equal('loam');
    expect(estimate.classes.reduce((sum, c) => sum + c.probability, 0)).to.be.closeTo(1, 1e-9);
    expect(estimate.probability).to.equal(estimate.classes.find((c) => c.id === 'loam')!.probability);
    expect(estimate.probability).to.be.within(0.2, 0.6);
  });

  it('widens with the error of a line, and is wider than reading error alone: packing is not known', () => {
    const sd = (sigmaMm: number) =>
      estimateMass(input({ marks: marks(sigmaMm) } as object), 'usda').estimate.sd;
    expect(sd(2).sand).to.be.above(sd(0.5).sand);
    expect(sd(0).clay).to.be.above(3);
  });

  it('takes gravel off every height and off the water', () => {
    const raised = marks().map((m) => ({ ...m, heightMm: m.heightMm + 6 }));
    const gravelly = input({ marks: raised, gravelMm: 6, jar: { columnMm: 146, tempC: 18 } } as object);
    near(estimateMass(gravelly, 'usda').estimate.fractions, { sand: 40, silt: 40, clay: 20 }, 0.5);
  });

  it('says what is still up, as a range where nobody looked, and doubts what was not dispersed', () => {
    const cloudy = estimateMass(input(), 'usda').estimate;
    expect(cloudy.clayUpPct).to.be.within(30, 70);
    expect(cloudy).not.to.have.property('clayRange');
    const clear = estimateMass(input({ clarity: 'clear' }), 'usda').estimate;
    expect(clear.clayUpPct).to.equal(0);
    expect(clear.fractions.clay).to.be.below(cloudy.fractions.clay);
    const unseen = estimateMass(input({ clarity: 'unseen' }), 'usda').estimate;
    expect(unseen.clayRange!.clear).to.be.closeTo(clear.fractions.clay, 1e-9);
    expect(unseen.clayRange!.cloudy).to.be.closeTo(cloudy.fractions.clay, 1e-9);
    // Hazy: a clay between the two, and the same range.
    const hazy = estimateMass(input({ clarity: 'hazy' }), 'usda').estimate;
    expect(hazy.fractions.clay).to.be.within(clear.fractions.clay + 0.5, cloudy.fractions.clay - 0.5);
    expect(hazy.clayUpPct).to.be.within(5, cloudy.clayUpPct - 1);
    expect(hazy.clayRange).to.deep.equal({ ...unseen.clayRange, seen: 'hazy' });
    expect(estimateMass(input({ dispersed: false }), 'usda').estimate.doubtful).to.equal('not-dispersed');
  });

  it('works from bands too, and follows other packings', () => {
    const layers = { gravelMm: 0, sandMm: 12, siltMm: 10, clayMm: 7 };
    const bands = (jar: object = {}) =>
      estimateMass(
        input({
          basis: 'bands',
          layers,
          sigmas: evenSigmas(0.5),
          jar: { columnMm: 140, tempC: 18, ...jar }
        } as object),
        'usda'
      ).estimate;
    const usual = bands();
    expect(usual.basis).to.equal('bands');
    const denser = bands({ packing: { sand: 1500, silt: 1200, clay: 1200 } });
    expect(denser.fractions.clay).to.be.above(usual.fractions.clay + 4);
    const seen = (clarity: 'clear' | 'hazy' | 'cloudy') =>
      estimateMass(input({ basis: 'bands', layers, sigmas: evenSigmas(0.5), clarity } as object), 'usda')
        .estimate.fractions.clay;
    expect(seen('hazy')).to.be.within(seen('clear') + 0.5, seen('cloudy') - 0.5);
    expect(bands({ hindered: false }).fractions.clay).to.be.below(usual.fractions.clay);
  });
});

describe('what is still up when bands are read', () => {
  const vessel = STANDARD_VESSELS.find((v) => v.id === 'cylinder-100')!;
  const columnMm = heightOfVolume(vessel, 100);
  const soilMm = heightOfVolume(vessel, 20);
  it('is never more than was filled in, so that no jar is refused that stands there', () => {
    fc.assert(
      fc.property(
        fc.tuple(
          fc.integer({ min: 2, max: 20 }),
          fc.integer({ min: 0, max: 12 }),
          fc.integer({ min: 0, max: 8 })
        ),
        fc.constantFrom(60, 1260, 1800, 12_600, 86_400),
        fc.constantFrom('clear' as const, 'hazy' as const, 'cloudy' as const, 'unseen' as const),
        ([sandMm, siltMm, clayMm], endS, clarity) => {
          const fillKgM2 = solidsFromDryFill(soilMm);
          const layers = { gravelMm: 0, sandMm, siltMm, clayMm };
          const { estimate } = estimateMass(
            {
              basis: 'bands',
              jar: { columnMm, tempC: 20, fillKgM2 },
              gravelMm: 0,
              clarity,
              dispersed: true,
              endS,
              layers,
              sigmas: evenSigmas(0.5)
            },
            'usda',
            { draws: 50 }
          );
          const settled = (1.5 * sandMm + 1.2 * siltMm + 0.8 * clayMm) * 1;
          expect(estimate.solidsKgM2).to.be.at.most(Math.max(fillKgM2, settled) + 1e-6);
        }
      ),
      { numRuns: 80 }
    );
  });
  it('stands half-way where nobody looked, with both ends beside it, and is less sure for it', () => {
    const input = (clarity: 'clear' | 'cloudy' | 'hazy' | 'unseen') =>
      estimateMass(
        {
          basis: 'bands',
          jar: { columnMm: 128, tempC: 18, fillKgM2: 52 },
          gravelMm: 0,
          clarity,
          dispersed: true,
          endS: 86_400,
          layers: { gravelMm: 0, sandMm: 18, siltMm: 10, clayMm: 6 },
          sigmas: evenSigmas(0.5)
        },
        'usda',
        { draws: 1500 }
      ).estimate;
    const [clear, cloudy, hazy, unseen] = (['clear', 'cloudy', 'hazy', 'unseen'] as const).map(input);
    expect(unseen.fractions).to.deep.equal(hazy.fractions);
    expect(unseen.fractions.clay).to.be.within(clear.fractions.clay, cloudy.fractions.clay);
    expect(unseen.clayRange!.cloudy).to.be.closeTo(cloudy.fractions.clay, 1e-6);
    expect(unseen.sd.clay).to.be.above(hazy.sd.clay);
  });
});
