import { expect } from 'chai';
import fc from 'fast-check';
import {
  amendWith,
  barrowsAYear,
  bedFigures,
  BED_PROFILES,
  compostFor,
  costByBag,
  handAgainst,
  isSandIntoFines,
  judgeProfile,
  materialToMove,
  ORGANIC_UNKNOWN,
  RangeProblem,
  readTarget,
  seasonChanges,
  sharesAbout,
  soilDraws,
  whatSettles,
  type HandSays,
  type SeasonTest
} from '../../../../src/lib/core/index.ts';

const bed = { areaM2: 10, depthMm: 200, bulkGCm3: 1.3 };
const clay = { sand: 20, silt: 25, clay: 55 };
const sand = { sand: 95, silt: 3, clay: 2 };

describe('a material worked into a bed', () => {
  it('balances its mass, and lies between the bed and the material', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 50_000, noNaN: true }), (litres) => {
        const { mix, kg, risesMm } = amendWith({ soil: clay, bed, material: sand, litres });
        expect(mix.sand + mix.silt + mix.clay).to.be.closeTo(100, 1e-9);
        expect(mix.sand).to.be.within(20 - 1e-9, 95);
        expect(mix.sand).to.be.closeTo((2600 * 20 + kg * 95) / (2600 + kg), 1e-9);
        expect(risesMm).to.be.closeTo(litres / 10, 1e-9);
      })
    );
    expect(() => amendWith({ soil: clay, bed, material: sand, litres: -1 })).to.throw(RangeProblem);
    expect(() =>
      amendWith({ soil: clay, bed, material: { sand: 95, silt: 3, clay: 22 }, litres: 1 })
    ).to.throw(RangeProblem, /make 100/);
  });

  it('takes so much to move the class, and no less', () => {
    const least = materialToMove(clay, bed, sand)!;
    const at = (kg: number) =>
      amendWith({ soil: clay, bed, material: sand, litres: (1000 * kg) / 1300 }).to.id;
    expect(at(least.kg * 0.999)).to.equal('clay');
    expect(at(least.kg * 1.001)).to.equal(least.to.id);
    expect(least.barrows).to.equal(Math.ceil(least.m3 / 0.08 - 1e-9));
    // A soil that is put into itself moves nothing.
    expect(materialToMove(clay, bed, clay)).to.equal(undefined);
    expect([isSandIntoFines(clay, sand), isSandIntoFines(sand, sand), isSandIntoFines(clay, clay)]).to.eql([
      true,
      false,
      false
    ]);
  });
});

describe('compost by the barrow and by the bag', () => {
  it('comes to the organic share that the same volume was asked for', () => {
    const need = compostFor({ ...bed, fromPct: 2, toPct: 4 });
    const year = barrowsAYear({ ...bed, fromPct: 2, barrows: (1000 * need.m3) / 80 });
    expect(year.toPct).to.be.closeTo(4, 1e-9);
    expect(year.spreadMm).to.be.closeTo(need.spreadMm, 1e-9);
    expect(year.tooMuch).to.equal(false);
    expect(barrowsAYear({ ...bed, fromPct: 2, barrows: 7 }).tooMuch).to.equal(true);
    expect(() => barrowsAYear({ ...bed, fromPct: 2, barrows: -1 })).to.throw(RangeProblem);
    expect(costByBag(need, 6)).to.equal(6 * need.bags);
    expect(costByBag(need, -6)).to.equal(undefined);
  });
});

describe('a target', () => {
  it('is three shares that make 100, parted by a slash or a space', () => {
    expect(readTarget('30/40/30')).to.eql({ sand: 30, silt: 40, clay: 30 });
    expect(readTarget(' 30 40 30 ')).to.eql(readTarget('30/40/30'));
    for (const text of ['40/40/40', '40/60', 'loam', '-10/60/50', '40/40/20/0'])
      expect(() => readTarget(text), text).to.throw(RangeProblem, /make 100/);
  });
});

describe('what the hand says', () => {
  it('is named with a reason where the figures say otherwise, and left alone where they agree', () => {
    const silty = bedFigures({ sand: 20, silt: 68, clay: 12 }, 2.5);
    expect(handAgainst(['sticky', 'heavy'], silty, 68)).to.eql([
      { says: 'sticky', reason: 'silt-feels-like-clay' },
      { says: 'heavy', reason: 'compaction' }
    ]);
    expect(handAgainst(['smells' as HandSays], silty, 68), 'of another version').to.eql([]);
    const heavy = bedFigures(clay, 2.5);
    expect(handAgainst(['heavy', 'sticky', 'cracks', 'ponds'], heavy, 25)).to.eql([]);
    const sandy = bedFigures({ sand: 85, silt: 10, clay: 5 }, 2.5);
    expect(handAgainst(['ponds'], sandy, 10)).to.eql([{ says: 'ponds', reason: 'pan' }]);
  });
});

describe('an area from season to season', () => {
  const test = (at: number, sandPct: number, sd = 2): SeasonTest => ({
    id: String(at),
    at,
    sampleId: 's',
    methodKey: 'jar-timed',
    basis: 'estimate',
    fractions: { sand: sandPct, silt: 80 - sandPct, clay: 20 },
    sd: { sand: sd, silt: sd, clay: sd }
  });
  it('tells a change from the reading, in order of time', () => {
    const [first, second] = seasonChanges([test(3, 61), test(1, 60), test(2, 40)]);
    expect([first.from.at, first.to.at, second.to.at]).to.eql([1, 2, 3]);
    expect(first.real).to.equal(true);
    expect(first.parts[0]).to.include({ part: 'sand', points: -20 });
    expect(first.parts[0].sure).to.be.greaterThan(0.99);
    expect(seasonChanges([test(1, 60), test(2, 62)])[0].real).to.equal(false);
    expect(seasonChanges([test(1, 60)])).to.eql([]);
  });
});

describe('what would settle a bed', () => {
  it('is a hole where drainage is the one in doubt, and none where one was dug', () => {
    const shares = sharesAbout({ sand: 32, silt: 36, clay: 32 }, { sand: 9, clay: 7 });
    const drains = { ...BED_PROFILES[0], windows: [{ of: 'drains' as const, least: 3, reason: '' }] };
    const asked = { ask: 'bed' as const, profile: drains, organic: ORGANIC_UNKNOWN, ground: null };
    const steps = whatSettles({ shares, asked, without: ['ribbon'] });
    expect(steps[0].id).to.equal('hole');
    for (const step of steps) expect(step.then).to.be.at.least(step.now);
    const ground = { mmH: 3, atMost: false, lnSd: 0.5, holes: 1 };
    const dug = judgeProfile(drains, soilDraws(shares, ORGANIC_UNKNOWN, ground));
    expect(dug.chance).to.be.within(0.2, 0.8);
    expect(whatSettles({ shares, asked: { ...asked, ground } }).map((s) => s.id)).to.not.include('hole');
    // A hole says nothing of a bore.
    const bore = { ask: 'bore' as const, figures: { boreLinePct: 32, boreNearPoints: 5 } };
    const ofBore = whatSettles({ shares, asked: bore }).map((s) => s.id);
    expect(ofBore).to.include('second-jar');
    expect(ofBore).to.not.include('hole');
  });
});
