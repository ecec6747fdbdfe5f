import { expect } from 'chai';
import { jarColumn, METHODS, readingDoubts, type DoubtFacts } from '../../../src/lib/core/index.ts';

const timed = METHODS.find((m) => m.key === 'jar-timed')!;
const school = METHODS.find((m) => m.key === 'cylinder-volume')!;
const jar = { columnMm: 140, tempC: 20, solidsKgM2: 40 };
const layers = { gravelMm: 0, sandMm: 20, siltMm: 14, clayMm: 8 };
const facts = (o: Partial<DoubtFacts> = {}): DoubtFacts => ({
  method: timed,
  column: jarColumn(jar),
  columnMm: jar.columnMm,
  tempC: jar.tempC,
  soilMm: 40,
  readS: 2 * 86_400,
  water: 'unseen',
  markedS: { sand: 61, silt: 7300, clay: 90_000 },
  layers,
  ...o
});

describe('what stands against a reading', () => {
  it('is nothing where it was made in its time', () => {
    expect(readingDoubts(facts())).to.deep.equal([]);
  });
  it('is the size of a mark that was made far from its time, with both sizes', () => {
    const [doubt, ...rest] = readingDoubts(facts({ markedS: { sand: 52 * 60, silt: 7300 } }));
    expect(rest).to.deep.equal([]);
    if (doubt.kind !== 'mark-size') throw new Error(doubt.kind);
    expect(doubt).to.include({ layer: 'sand', timeS: 3120 });
    // 100 mm and 30 min cut 7.86 um; 140 mm and 52 min cut sqrt(1.4 * 30 / 52) of that, a little more for the crowd.
    expect(doubt.cutUm).to.be.closeTo(7.86 * Math.sqrt((1.4 * 30) / 52), 0.8);
    expect(doubt.askedUm).to.be.within(45, 65);
  });
  it('is what silt leaves open where it was read before it was down, as a range that holds what was read', () => {
    const early = facts({ method: school, readS: 21 * 60, markedS: {} });
    const [doubt] = readingDoubts(early);
    if (doubt.kind !== 'too-soon') throw new Error(doubt.kind);
    const total = 42;
    for (const [part, mm] of [
      ['sand', 20],
      ['silt', 14],
      ['clay', 8]
    ] as const) {
      const { low, high } = doubt.shares[part];
      expect(low, part).to.be.at.most((100 * mm) / total + 1e-9);
      expect(high, part).to.be.at.least((100 * mm) / total - 1e-9);
      expect(high - low, part).to.be.above(5);
    }
    expect(doubt.siltDoneS).to.be.above(8 * 3600);
  });
  it('goes by what the dry fill leaves to come where nothing of the clay has settled', () => {
    const [doubt] = readingDoubts(
      facts({ readS: 60, markedS: {}, layers: { gravelMm: 0, sandMm: 20, siltMm: 0, clayMm: 0 } })
    );
    if (doubt.kind !== 'too-soon') throw new Error(doubt.kind);
    expect(doubt.shares.sand).to.deep.equal({ low: 50, high: 100 });
    expect(doubt.shares.clay).to.deep.equal({ low: 0, high: 50 });
  });
  it('is not said of clear water, of a share alone, or where nobody knows how long it stood', () => {
    const early = { readS: 3.5 * 3600, markedS: {} };
    expect(readingDoubts(facts({ ...early, water: 'cloudy' }))).to.have.length(1);
    expect(readingDoubts(facts({ ...early, water: 'clear' }))).to.deep.equal([]);
    expect(readingDoubts(facts({ ...early, layers: undefined }))).to.deep.equal([]);
    expect(readingDoubts(facts({ ...early, readS: undefined }))).to.deep.equal([]);
  });
});
