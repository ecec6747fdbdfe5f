import { expect } from 'chai';
import {
  judgeReading,
  judgeTechnique,
  known,
  TECHNIQUES,
  type JarReading
} from '../../../src/lib/core/index.ts';
import type { JarSnapshot } from '../../../src/lib/contract/records/result.ts';
import type { LabReport } from '../../../src/lib/contract/records/sample.ts';
import { judgedBy, LAB_POINTS, type FinishedTest } from '../../../src/lib/workbench/judged-by.ts';

const lab = (o: Partial<LabReport> = {}): LabReport => ({
  id: 'lab',
  sampleId: 's',
  lab: 'Holm laboratory',
  reportedOn: null,
  sand: 60,
  silt: 28,
  clay: 12,
  sandLimitUm: 50,
  organicPct: null,
  note: '',
  createdAt: 1,
  ...o
});
const jar = (
  id: string,
  tops: JarReading['tops'],
  o: Partial<JarSnapshot> = {},
  totalMm?: number
): FinishedTest => ({
  id,
  code: id.toUpperCase(),
  snapshot: {
    readingId: 'r',
    entry: { ruler: 'mm', lines: {} },
    methodKey: 'jar-bands',
    methodVersion: 1,
    result: judgeReading({ tops, sigmaMm: 0.5, measuredTotalMm: totalMm }, 'usda').result,
    ...o
  }
});
const cylinder: FinishedTest = {
  id: 'c',
  code: 'C',
  snapshot: {
    kind: 'cylinder',
    methodKey: 'hydrometer-2pt',
    methodVersion: 1,
    input: {} as never,
    result: {
      fractions: { sand: 50, silt: 30, clay: 20 },
      sd: { sand: 2, silt: 2, clay: 2 }
    } as never
  }
};
const old = jar('a', { sand: 40, silt: 60, clay: 100 });
const newer = jar('b', { sand: 30, silt: 60, clay: 100 });

describe('what a sample is judged by', () => {
  it('is a laboratory before an instrument, an instrument before a jar, a jar before one share', () => {
    const share = jar('d', { silt: 70 }, {}, 100);
    const tests = [old, cylinder, newer, share];
    const by = (labs: LabReport[], of: FinishedTest[], inHand?: string) =>
      known(judgedBy({ details: {}, labs, tests: of }, inHand), 'something is on record');
    const all = by([lab(), lab({ id: 'later', lab: 'Other', sand: 61, silt: 27 })], tests);
    expect(all.by).to.deep.equal({ kind: 'laboratory', id: 'later', name: 'Other' });
    expect(all.soil!.fractions).to.deep.equal({ sand: 61, silt: 27, clay: 12 });
    expect(all.others.map((one) => one.name)).to.deep.equal(['Holm laboratory', 'C', 'B', 'A', 'D']);
    expect(by([], tests).by.kind).to.equal('cylinder');
    expect(by([], [old, newer, share]).by.id, 'the newest jar').to.equal('b');
    expect(by([], [old, newer, share], 'a').by.id, 'the one in hand').to.equal('a');
    expect(by([lab()], tests, 'a').by.kind, 'a jar in hand is no laboratory').to.equal('laboratory');
    expect(by([], [share]).by.kind).to.equal('share');
    expect(judgedBy({ details: {}, labs: [], tests: [] })).to.equal(undefined);
  });

  it('takes a laboratory by its own limits and its own error, and heights from the jar', () => {
    const by = known(judgedBy({ details: {}, labs: [lab()], tests: [newer] }), 'a report stands');
    const clays = Array.from({ length: by.soil!.shares.length / 3 }, (_, i) => by.soil!.shares[3 * i + 2]);
    const mean = clays.reduce((a, b) => a + b) / clays.length;
    const sd = Math.sqrt(clays.reduce((sum, c) => sum + (c - mean) ** 2, 0) / clays.length);
    expect(mean).to.be.closeTo(12, 0.6);
    expect(sd).to.be.closeTo(LAB_POINTS, 0.6);
    expect(by.wall!.mass).to.equal(by.soil!.shares);
    expect(by.wall!.heights![2], 'the clay of the jar').to.be.closeTo(40, 6);
    // Sand from 63 um is sand from 50 um and something.
    const other = known(judgedBy({ details: {}, labs: [lab({ sandLimitUm: 63 })], tests: [] }), 'a report');
    expect(other.soil!.fractions.sand).to.be.greaterThan(60);
  });

  it('lets a share of clay alone reach the clay of every technique', () => {
    const share = jar('d', { silt: 80 }, {}, 100);
    const { wall, soil } = known(judgedBy({ details: {}, labs: [], tests: [share] }), 'a share stands');
    expect(soil).to.equal(undefined);
    expect(wall!.only?.layer).to.equal('clay');
    for (const technique of TECHNIQUES) {
      const said = judgeTechnique(technique, wall!);
      const clay = said?.windows.find((one) => one.window.of === 'clay');
      expect(clay?.chance ?? 1, technique.id).to.be.greaterThan(0.2);
    }
  });

  it('puts what stands against a reading into its verdict', () => {
    const pressed = known(
      TECHNIQUES.find((one) => one.id === 'pressed'),
      'it ships'
    );
    const tops = { sand: 60, silt: 80, clay: 100 };
    const soon = {
      kind: 'too-soon' as const,
      readS: 1800,
      siltDoneS: 40_000,
      shares: { sand: { low: 17, high: 60 }, silt: { low: 6, high: 77 }, clay: { low: 6, high: 77 } }
    };
    const chance = (doubts: JarSnapshot['doubts']) => {
      const by = known(judgedBy({ details: {}, labs: [], tests: [jar('a', tops, { doubts })] }), 'a jar');
      expect(by.doubts).to.deep.equal(doubts ?? []);
      return judgeTechnique(pressed, by.wall!)!.chance;
    };
    expect(chance([])).to.be.greaterThan(0.95);
    expect(chance([soon])).to.be.within(0.15, 0.8);
    const mark = { kind: 'mark-size' as const, layer: 'silt' as const, timeS: 9, cutUm: 20, askedUm: 2 };
    expect(chance([mark])).to.be.lessThan(0.9);
  });
});
