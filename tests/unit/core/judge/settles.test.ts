import { expect } from 'chai';
import fc from 'fast-check';
import {
  BED_PROFILES,
  jarEstimator,
  RangeProblem,
  ribbonClay,
  sharesAbout,
  TECHNIQUES,
  weighByRibbon,
  whatSettles,
  whatSettlesOfJar,
  type Asked,
  type Evidence
} from '../../../../src/lib/core/index.ts';
import { sharesOfJars } from '../../../../src/lib/core/estimate/help.ts';

const DAY = 86_400;
const clayUnder = (most: number): Asked => ({
  ask: 'bed',
  profile: { ...BED_PROFILES[0], windows: [{ of: 'clay', most, reason: '' }] },
  organic: { pct: 2.5, sd: 0 },
  ground: null
});

describe('a ribbon', () => {
  it('says a loam to 25 mm, a clay loam to 50, a clay over it', () => {
    expect([0, 25, 50].map(ribbonClay)).to.eql([8, 27, 40]);
    expect(ribbonClay(12.5)).to.be.closeTo(17.5, 1e-9);
    expect(ribbonClay(180)).to.equal(65);
    for (const mm of [-1, 300, NaN]) expect(() => ribbonClay(mm)).to.throw(RangeProblem, /0 to 200/);
  });

  it('draws a soil towards what it says, and no further; the mean is that of the draws', () => {
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 60 }), fc.integer({ min: 0, max: 120 }), (clay, mm) => {
        const shares = sharesAbout({ sand: 30, silt: 70 - clay, clay }, { sand: 4, clay: 6 });
        const { fractions, shares: drawn } = weighByRibbon(shares, mm);
        const says = ribbonClay(mm);
        // Draws that could be the soil keep it between the two, within what 300 of them tell.
        expect(fractions.clay).to.be.within(Math.min(clay, says) - 1.5, Math.max(clay, says) + 1.5);
        let mean = 0;
        for (let i = 2; i < drawn.length; i += 3) mean += (3 * drawn[i]) / drawn.length;
        expect(mean).to.be.closeTo(fractions.clay, 0.5);
      })
    );
  });
});

describe('what would settle a verdict on a jar', () => {
  const bands: Evidence = { kind: 'bands', atS: DAY, sandTopMm: 18, siltTopMm: 28, clayTopMm: 32 };
  const jar = { columnMm: 160, tempC: 19, evidence: [{ kind: 'dry-fill', heightMm: 30 } as Evidence, bands] };
  const estimate = jarEstimator()({ ...jar, effort: 'first' });
  const shares = sharesOfJars(estimate);

  it('is its water first, where nobody noted it, and never promises less than now', () => {
    const steps = whatSettlesOfJar({ shares, asked: clayUnder(12) }, { ...jar, ...estimate }, DAY);
    expect(steps[0].id).to.equal('note-water');
    for (const { now, then } of steps) expect(then).to.be.above(now);
    const noted = {
      ...jar,
      evidence: [...jar.evidence, { kind: 'water', atS: DAY, seen: 'clear' } as Evidence]
    };
    const told = whatSettlesOfJar({ shares, asked: clayUnder(12) }, { ...noted, ...estimate }, DAY);
    expect(told.map((s) => s.id)).to.not.include('note-water');
    expect(whatSettlesOfJar({ shares, asked: clayUnder(60) }, { ...jar, ...estimate }, DAY)).to.eql([]);
  });

  it('is another look at what may still stand, at its hour or now where that has gone by', () => {
    // Read within the first hours much of it is still coming down.
    const early = {
      ...jar,
      evidence: [jar.evidence[0], { kind: 'mark', timeS: 3600, heightMm: 20 } as Evidence]
    };
    const known = jarEstimator()({ ...early, effort: 'first' });
    const could = sharesOfJars(known);
    const look = (ageS: number) =>
      whatSettlesOfJar(
        { shares: could, asked: clayUnder(25), without: ['ribbon'] },
        { ...early, ...known },
        ageS
      );
    const again = look(7200).find((s) => s.id === 'read-again')!;
    expect(again.atS).to.be.oneOf([DAY, 2 * DAY]);
    expect(look(5 * DAY).find((s) => s.id === 'read-again')!.atS).to.equal(5 * DAY);
    expect(look(30 * DAY).map((s) => s.id)).to.not.include('read-again');
  });

  it('is no ribbon of a soil that is not in hand', () => {
    const o = { shares, asked: clayUnder(12) };
    expect(whatSettles(o).map((s) => s.id)).to.include('ribbon');
    expect(whatSettles({ ...o, without: ['ribbon'] }).map((s) => s.id)).to.not.include('ribbon');
  });

  it('is another jar where a wall goes by heights, and what shows mass where it goes by mass', () => {
    const shares = sharesAbout({ sand: 50, silt: 26, clay: 24 }, { sand: 6, clay: 6 });
    const facts = { gravelPct: 0, stoneMm: 4, organicPct: 0 };
    const technique = (on: 'heights' | 'mass') => ({
      ...TECHNIQUES[1],
      on,
      windows: [{ of: 'clay' as const, most: 24, reason: '' }]
    });
    const steps = (on: 'heights' | 'mass') =>
      whatSettles({ shares, asked: { ask: 'wall', technique: technique(on), facts } }).map((step) => step.id);
    expect(steps('heights')).to.deep.equal(['second-jar']);
    expect(steps('mass')).to.include('weighed-jar');
    expect(steps('mass')).to.not.include('hole');
    const sure = { ...technique('mass'), windows: [{ of: 'clay' as const, most: 60, reason: '' }] };
    expect(whatSettles({ shares, asked: { ask: 'wall', technique: sure, facts } })).to.deep.equal([]);
  });
});
