import { expect } from 'chai';
import fc from 'fast-check';
import {
  classifyTexture,
  convertLimit,
  countClasses,
  differenceOf,
  drawFractions,
  evenSigmas,
  fractionsFromGiven,
  fractionsUnder,
  joinReplicates,
  normalShare,
  RangeProblem,
  textureSystems,
  underAllSystems,
  workOutReading,
  type Compared,
  type Fractions,
  type SystemId
} from '../../../src/lib/core/index.ts';

const SYSTEMS = Object.keys(textureSystems) as SystemId[];
const anySoil = fc
  .tuple(fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }))
  .map(([a, b]): Fractions => {
    const [low, high] = a < b ? [a, b] : [b, a];
    return { sand: 100 * low, silt: 100 * (high - low), clay: 100 * (1 - high) };
  });
const wrong = (given: Partial<Fractions>) => {
  try {
    fractionsFromGiven(given);
  } catch (problem) {
    return (problem as RangeProblem).field;
  }
  return '';
};

describe('percentages as they are typed', () => {
  it('make a point of any two, and of three that agree', () => {
    expect(fractionsFromGiven({ sand: 40, clay: 20 })).to.deep.equal({ sand: 40, silt: 40, clay: 20 });
    expect(fractionsFromGiven({ silt: 100, clay: 0 })).to.deep.equal({ sand: 0, silt: 100, clay: 0 });
    const { sand, silt, clay } = fractionsFromGiven({ sand: 33, silt: 33, clay: 33 });
    expect(sand + silt + clay).to.be.closeTo(100, 1e-9);
  });

  it('are refused beside the part that is wrong', () => {
    expect(wrong({ sand: 40 })).to.equal('silt');
    expect(wrong({ sand: -1, clay: 20 })).to.equal('sand');
    expect(wrong({ sand: 60, clay: 60 })).to.equal('clay');
    expect(wrong({ sand: 40, silt: 40, clay: 25 })).to.equal('clay');
    expect(wrong({ sand: NaN, clay: 20 })).to.equal('sand');
  });
});

describe('one soil under every system', () => {
  it('has one class in each, by its own limits', () => {
    fc.assert(
      fc.property(anySoil, (f) => {
        const all = underAllSystems(f, 50);
        expect(all.map((u) => u.system)).to.deep.equal(SYSTEMS);
        for (const u of all) {
          const { sand, silt, clay } = u.fractions;
          expect(sand + silt + clay).to.be.closeTo(100, 1e-6);
          expect(classifyTexture(u.system, u.fractions).id).to.equal(u.class.id);
          expect(u.how).to.equal(textureSystems[u.system].limitsUm[1] === 50 ? 'measured' : 'interpolated');
        }
      })
    );
  });

  it('goes to another limit and back without loss, wherever the straight line is the same', () => {
    fc.assert(
      fc.property(anySoil, fc.constantFrom(20, 60, 63), (f, um) => {
        const there = convertLimit(f, 50, um);
        expect(there.clay).to.be.closeTo(f.clay, 1e-9);
        expect(there.sand + there.silt + there.clay).to.be.closeTo(100, 1e-9);
        if (um === 20) expect(there.sand).to.be.at.least(f.sand - 1e-9);
        else expect(there.sand).to.be.at.most(f.sand + 1e-9);
        // Of the part that is cut in two, the share that goes is known: it comes back with the same share.
        const moved = um === 20 ? there.sand - f.sand : f.sand - there.sand;
        const whole = um === 20 ? f.silt : f.sand;
        const share =
          um === 20 ? Math.log(50 / 20) / Math.log(50 / 2) : Math.log(um / 50) / Math.log(2000 / 50);
        expect(moved).to.be.closeTo(whole * share, 1e-9);
      })
    );
  });

  it('is read off a curve where there is one', () => {
    const curve = [
      { diameterUm: 2, percentFiner: 20 },
      { diameterUm: 50, percentFiner: 60 },
      { diameterUm: 63, percentFiner: 75 },
      { diameterUm: 2000, percentFiner: 100 }
    ];
    const f = { sand: 40, silt: 40, clay: 20 };
    expect(fractionsUnder('german', f, 50, curve)).to.deep.equal({
      fractions: { sand: 25, silt: 55, clay: 20 },
      how: 'curve'
    });
    expect(fractionsUnder('german', f, 50).how).to.equal('interpolated');
  });

  it('counts its draws by the limits of the system too', () => {
    const tops = { sand: 20, silt: 35, clay: 40 };
    for (const system of SYSTEMS) {
      const { result } = workOutReading({ tops, sigmaMm: 0.5 }, system, { draws: 4000 });
      const draws = drawFractions({
        layers: { gravelMm: 0, sandMm: 20, siltMm: 15, clayMm: 5 },
        sigmas: evenSigmas(0.5),
        draws: 4000
      });
      const limit = textureSystems[system].limitsUm[1];
      for (let i = 0; i < draws.kept * 3; i += 3) {
        const [sand, silt, clay] = draws.fractions.subarray(i, i + 3);
        const f = convertLimit({ sand, silt, clay }, 50, limit);
        draws.fractions.set([f.sand, f.silt, f.clay], i);
      }
      const counted = countClasses(system, draws);
      const total = result.classes.reduce((sum, c) => sum + c.probability, 0);
      expect(total, system).to.be.closeTo(1, 1e-9);
      for (const c of result.classes)
        expect(c.probability, `${system} ${c.id}`).to.be.closeTo(counted[c.id], 1e-9);
    }
  });
});

describe('two tests side by side', () => {
  const test = (o: Partial<Compared>): Compared => ({
    sampleId: 'a',
    methodKey: 'jar-timed',
    basis: 'height',
    fractions: { sand: 40, silt: 40, clay: 20 },
    sd: { sand: 2, silt: 2, clay: 1.5 },
    ...o
  });

  it('say how sure a difference is', () => {
    expect(normalShare(0)).to.be.closeTo(0.5, 1e-6);
    expect(normalShare(1.6449)).to.be.closeTo(0.95, 1e-4);
    expect(normalShare(-1.96)).to.be.closeTo(0.025, 1e-4);
    const more = test({ sampleId: 'b', fractions: { sand: 37, silt: 40.6, clay: 22.4 } });
    const d = differenceOf(test({}), more);
    expect(d.points.clay).to.be.closeTo(2.4, 1e-9);
    expect(d.more.clay).to.be.closeTo(normalShare(2.4 / Math.hypot(1.5, 1.5)), 1e-9);
    expect(d.surest).to.deep.include({ part: 'clay', secondHasMore: true });
    const back = differenceOf(more, test({}));
    expect(back.more.clay).to.be.closeTo(1 - d.more.clay, 1e-6);
  });

  it('tell the soil from the method', () => {
    const lies = (o: Partial<Compared>) => differenceOf(test({}), test(o)).lies;
    expect(lies({})).to.equal('repeat');
    expect(lies({ methodKey: 'jar-bands' })).to.equal('method');
    expect(lies({ basis: 'mass' })).to.equal('method');
    expect(lies({ sampleId: 'b' })).to.equal('soil');
    expect(lies({ sampleId: 'b', methodKey: 'hydrometer-2pt', basis: 'mass' })).to.equal('both');
    // By height another method marks elsewhere; estimates by mass have allowed for that.
    expect(lies({ sampleId: 'b', methodKey: 'jar-quick-marks' })).to.equal('both');
    const estimate = test({ basis: 'estimate' });
    const other = test({ sampleId: 'b', methodKey: 'jar-quick-marks', basis: 'estimate' });
    expect(differenceOf(estimate, other).lies).to.equal('soil');
  });

  it('join into their mean with their spread', () => {
    const { mean, spread } = joinReplicates([
      { sand: 40, silt: 40, clay: 20 },
      { sand: 44, silt: 38, clay: 18 }
    ]);
    expect(mean).to.deep.equal({ sand: 42, silt: 39, clay: 19 });
    expect(spread).to.equal(4);
  });
});
