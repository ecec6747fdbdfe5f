import { expect } from 'chai';
import {
  BED_PROFILES,
  movedShares,
  sharesAbout,
  TECHNIQUES,
  USUAL_FIGURES,
  type JarAnswer
} from '../../../src/lib/core/index.ts';
import { alongOf, alongText, LONGEST_M } from '../../../src/lib/contract/act.ts';
import {
  firstWatering,
  soilForBore,
  soilOf,
  soilTyped,
  stationsOf,
  TAKEN_FOR,
  usualVerdict,
  dueAgain,
  wateringTimes,
  whyNoSoil
} from '../../../src/lib/workbench/act.ts';
import { wallSoilTyped } from '../../../src/lib/workbench/wall.ts';
import { verdictLine } from '../../../src/lib/words/verdict.ts';
import type { Snapshot } from '../../../src/lib/contract/records/result.ts';

const SOIL = { sand: 40, silt: 35, clay: 25 };
const meanOf = (shares: Float64Array, part: number) => {
  let sum = 0;
  for (let i = part; i < shares.length; i += 3) sum += shares[i];
  return sum / (shares.length / 3);
};

describe('tests along an area', () => {
  it('stand where their samples were dug, and are no line at one place', () => {
    const tests = [
      { id: 'a', sampleId: 's1' },
      { id: 'b', sampleId: 's2' },
      { id: 'c', sampleId: 'nowhere' }
    ];
    const along = [
      { sampleId: 's1', atM: 3 },
      { sampleId: 's2', atM: 12.5 }
    ];
    expect(stationsOf(tests, along)).to.eql([
      { id: 'a', atM: 3 },
      { id: 'b', atM: 12.5 }
    ]);
    expect(stationsOf(tests, along.slice(1))).to.eql([]);
    expect(
      stationsOf(
        tests,
        along.map((s) => ({ ...s, atM: 3 }))
      )
    ).to.eql([]);
  });
});

describe('a soil in hand', () => {
  const result = { fractions: SOIL, sd: { sand: 2, silt: 3, clay: 2 } };
  const snapshot = (o: object) => o as unknown as Snapshot;

  it('is the answer of a jar, over the draws that it kept', () => {
    const answer = {
      fractions: SOIL,
      draws: [40, 35, 42, 33],
      classes: [{ id: 'loam', name: 'loam', probability: 0.9 }],
      fit: []
    } as unknown as JarAnswer;
    const soil = soilOf(snapshot({ answer, result }))!;
    expect(soil.basis).to.equal('estimate');
    expect([...soil.shares]).to.deep.equal([40, 35, 25, 42, 33, 25]);
  });

  it('is what was weighed, or else as sure as it is taken for', () => {
    expect(soilOf(snapshot({ kind: 'cylinder', result }))!.basis).to.equal('weighed');
    const read = soilOf(snapshot({ result }))!;
    expect(read.basis).to.equal('read');
    const typed = soilTyped(SOIL);
    expect(typed.basis).to.equal('typed');
    for (const { shares } of [read, typed]) {
      for (let i = 0; i < shares.length; i += 3) {
        expect(shares[i] + shares[i + 1] + shares[i + 2]).to.be.closeTo(100, 1e-9);
        expect(Math.min(...shares.subarray(i, i + 3))).to.be.at.least(0);
      }
      expect(meanOf(shares, 0)).to.be.closeTo(40, 2);
    }
    expect(TAKEN_FOR.read).to.be.above(TAKEN_FOR.typed);
  });

  it('is drawn towards what its ribbon says, and by nothing that no ribbon is', () => {
    const weighed = snapshot({ result: { fractions: SOIL } });
    const soil = soilOf(weighed)!;
    const pressed = soilOf(weighed, { ribbon: { mm: 75, text: '75' } })!;
    expect(pressed.ribbonMm).to.equal(75);
    expect(pressed.fractions.clay).to.be.above(soil.fractions.clay + 5);
    expect(pressed.shares).to.have.length(soil.shares.length);
    expect(soilOf(weighed, { ribbon: { mm: -3, text: '' } })).to.eql(soil);
  });

  it('is none where one share was read, or where no settling makes the heights', () => {
    const misfit = { classes: [{ id: 'loam', name: 'loam', probability: 0.9 }], draws: [40, 35] };
    const fit = [{ kind: 'mark', timeS: 60, sigmaMm: 1, residualMm: 9 }];
    const impossible = snapshot({ answer: { fractions: SOIL, ...misfit, fit }, result });
    expect(soilOf(impossible)).to.equal(undefined);
    expect(whyNoSoil(impossible)).to.equal('impossible');
    const share = snapshot({ result: { kind: 'share', layer: 'sand', pct: 40, sd: 3 } });
    expect(soilOf(share)).to.equal(undefined);
    // For a bore its sand will do; a bottle that read the clay alone will not.
    const bottle = soilForBore(share)!;
    expect(bottle).to.include({ basis: 'bottle', onlySand: true });
    expect(meanOf(bottle.shares, 0)).to.be.closeTo(40, 1.5);
    expect(soilForBore(snapshot({ result: { kind: 'share', layer: 'clay', pct: 40, sd: 3 } }))).to.equal(
      undefined
    );
    expect(soilForBore(impossible)).to.equal(undefined);
    expect(whyNoSoil(share)).to.equal('oneShare');
  });

  it('has a verdict for a garden, a bore and a wall, and none for a lesson', () => {
    const typed = soilTyped(SOIL);
    const soil = { soil: typed, bore: typed, wall: wallSoilTyped(typed) };
    const by = {
      profile: BED_PROFILES[0],
      figures: USUAL_FIGURES,
      ground: null,
      techniques: TECHNIQUES
    };
    expect(usualVerdict(soil, 'garden', by)).to.have.property('bed');
    expect(usualVerdict(soil, 'bore', by)).to.include({ line: 30 });
    const theirs = { ...by, figures: { ...USUAL_FIGURES, boreLinePct: 60 } };
    expect(usualVerdict(soil, 'bore', theirs)).to.include({ line: 60 });
    const wall = usualVerdict(soil, 'build', by)!;
    expect('wall' in wall && wall.wall.map((one) => one.technique.id)).to.deep.equal(
      TECHNIQUES.map((one) => one.id)
    );
    expect(verdictLine(wall)).to.match(/rammed|pressed|cob|cement/);
    expect(usualVerdict({ soil: typed }, 'build', by)).to.equal(undefined);
    expect(usualVerdict(soil, 'lesson', by)).to.equal(undefined);
    // Ground that lets nothing through is no bed, whatever its texture promises.
    const pan = { mmH: 0.1, atMost: false, lnSd: 0.5, holes: 1 };
    const verdict = usualVerdict(soil, 'garden', { ...by, ground: pan })!;
    expect('bed' in verdict && verdict.bed.chance).to.be.lessThan(0.01);
  });

  it('stays a soil when it is moved to the edge', () => {
    const moved = movedShares(sharesAbout(SOIL, { sand: 5, clay: 5 }), SOIL, { sand: 0, silt: 0, clay: 100 });
    for (let i = 0; i < moved.length; i += 3) {
      expect(moved[i] + moved[i + 1] + moved[i + 2]).to.be.closeTo(100, 1e-9);
      expect(Math.min(...moved.subarray(i, i + 3))).to.be.at.least(0);
    }
  });
});

describe('stations along a bore', () => {
  const id = (c: string) => c.repeat(26);

  it('are what an address holds, nearest first, and come back from it', () => {
    const stations = [
      { id: id('A'), atM: 0 },
      { id: id('B'), atM: 12.5 }
    ];
    expect(alongOf(alongText([...stations].reverse()))).to.deep.equal(stations);
    expect(alongOf(null)).to.deep.equal([]);
  });

  it('leave out what is none', () => {
    const odd = [
      `${id('A')}@-1`,
      `${id('A')}@`,
      `${id('A')}`,
      'drop table@3',
      `${id('A')}@${LONGEST_M + 1}`,
      `${id('A')}@x`,
      ''
    ];
    expect(alongOf(odd.join(','))).to.deep.equal([]);
    expect(alongOf(Array.from({ length: 50 }, (_, i) => `${id('C')}@${i}`).join(','))).to.have.length(20);
  });
});

describe('waterings', () => {
  it('begin tomorrow at seven, and come as often as the plan says', () => {
    // 22:40:30 UTC, in a zone an hour ahead.
    const now = Date.UTC(2026, 5, 1, 22, 40, 30);
    expect(firstWatering(now, 23 * 60 + 40)).to.equal(Date.UTC(2026, 5, 2, 6, 0));
    const DAY = 86_400_000;
    const days = (at: number[]) => at.map((one) => one / DAY);
    // A dose lasts a day and a half: at the hour of the first, never in the night between.
    expect(days(wateringTimes(0, 5, { doseMm: 6, needMmWeek: 28 }))).to.deep.equal([0, 1, 3, 4, 6]);
    expect(days(wateringTimes(0, 3, { doseMm: 3, needMmWeek: 28 }))).to.deep.equal([0, 0.5, 1.5]);
    // In February twice as much is wanted: from there on twice as often.
    const byMonth = Array.from({ length: 12 }, (_, i) => (i === 1 ? 56 : null));
    const february = Date.UTC(2026, 1, 1);
    const times = wateringTimes(february - 2 * DAY, 5, { doseMm: 8, needMmWeek: 28, byMonth });
    expect(days(times.map((at) => at - february))).to.deep.equal([-2, 0, 1, 2, 3]);
  });

  it('fall due again at the hour of before, whenever they were done', () => {
    const DAY = 86_400_000;
    const seven = Date.UTC(2026, 5, 2, 7);
    const done = seven + 8 * 3_600_000;
    expect(dueAgain(seven, done, 6 * DAY)).to.equal(seven + 6 * DAY);
    expect(dueAgain(seven, done, 2.4 * DAY)).to.equal(seven + 3 * DAY);
    expect(dueAgain(seven, seven - 3_600_000, DAY)).to.equal(seven + DAY);
    expect(dueAgain(seven, done, DAY / 2)).to.be.greaterThan(done);
  });
});
