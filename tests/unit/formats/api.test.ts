import { expect } from 'chai';
import { RangeProblem } from '../../../src/lib/core/index.ts';
import {
  classifyAnswer,
  classifyQuery,
  classifyToJson,
  readingsDocument,
  readingsToJson,
  resultsDocument,
  resultsToJson,
  samplesDocument,
  samplesJsonParts
} from '../../../src/lib/formats/api-json.ts';
import { eachSample } from '../../../src/lib/server/repositories/samples.ts';
import { whole } from '../server/all.ts';
import { knowPoints } from '../../../src/lib/server/repositories/points.ts';
import { testDetail } from '../../../src/lib/server/repositories/tests.ts';
import { ulid } from 'ulid';
import { ENTRY, openBench, standJar, type TestBench } from '../server/bench.ts';

const classify = (query: Record<string, string>) => classifyToJson(classifyQuery.parse(query));

describe('smaller answers of the API', () => {
  it('classify a soil by two or three shares, under any system and limit', () => {
    const loam = classify({ sand: '40', clay: '20' });
    expect(loam).to.deep.include({ system: 'usda', class: { id: 'loam', name: 'loam' }, how: 'measured' });
    expect(classifyAnswer.parse(loam).systems).to.have.length(5);
    expect(classify({ sand: '40', clay: '20', system: 'german' }).how).to.equal('interpolated');
    expect(classify({ sand: '40', clay: '20', system: 'german', limit: '63' }).how).to.equal('measured');
    expect(() => classify({ sand: '40', silt: '40', clay: '40' })).to.throw(RangeProblem, '120.0 %');
    expect(() => classify({ sand: '40' })).to.throw(RangeProblem, 'two of the three');
    for (const wrong of [{ system: 'moon' }, { limit: '55' }, { sand: 'much' }]) {
      expect(
        classifyQuery.safeParse({ sand: '40', clay: '20', ...wrong }).success,
        JSON.stringify(wrong)
      ).to.equal(false);
    }
  });

  describe('of a bench', () => {
    let bench: TestBench;
    before(async () => void (bench = await openBench()));
    after(() => bench.close());

    it('give samples, readings and results as their schemas say', async () => {
      const { testId, sampleId } = await standJar(bench);
      bench.now += 26 * 3_600_000;
      const readingId = ulid();
      await bench.do('jar.read', { testId, readingId, entry: ENTRY });
      expect(await knowPoints(bench.store)).to.deep.equal([]);
      await bench.do('test.finish', { testId, readingId, resultId: ulid() });
      const { db } = bench.store;
      const parsed = <T>(document: { parse: (x: unknown) => T }, x: unknown) =>
        document.parse(JSON.parse(JSON.stringify(x)));
      expect(
        parsed(samplesDocument, JSON.parse(await whole(samplesJsonParts(eachSample(db))))).samples[0].id
      ).to.equal(sampleId);
      const [one] = parsed(resultsDocument, resultsToJson(await knowPoints(bench.store))).results;
      expect(one).to.include({ testId, basis: 'height', method: 'jar-timed' });
      expect(one.fractions.sand + one.fractions.silt + one.fractions.clay).to.be.closeTo(100, 1e-6);
      // The answer is by mass; what was read by height stands where it always stood.
      expect(one).to.include({ answerBasis: 'estimate' });
      expect(one.answer).to.deep.equal(one.byMass);
      expect(one.answer.sand).not.to.be.closeTo(one.fractions.sand, 0.1);
      const read = parsed(readingsDocument, readingsToJson((await testDetail(db, testId))!));
      expect(read.layers[0].lines).to.deep.equal({ sand: 22, silt: 30.5, clay: 35 });
      expect(await knowPoints(bench.store, { testIds: [] })).to.deep.equal([]);
      expect(await knowPoints(bench.store, { testIds: [testId] })).to.have.length(1);
      // Opened again it is no result; in the bin it is none either.
      await bench.do('test.reopen', { testId, why: 'read anew' });
      expect(await knowPoints(bench.store)).to.deep.equal([]);
    });
  });
});
