import { expect } from 'chai';
import { testDetail } from '../../../src/lib/server/repositories/tests.ts';
import { findingOf, resultOf } from '../../../src/lib/workbench/result.ts';
import { ENTRY, openBench, standJar, type TestBench } from '../server/bench.ts';
import { ulid } from 'ulid';

describe('the result in force', () => {
  let bench: TestBench;
  let testId: string;
  const detail = async () => (await testDetail(bench.store.db, testId))!;
  const readAndFinish = async (sandMm: number) => {
    const readingId = ulid();
    const lines = { ...ENTRY.lines, sand: { mm: sandMm, text: String(sandMm) } };
    await bench.do('jar.read', { testId, readingId, entry: { ...ENTRY, lines } });
    await bench.do('test.finish', { testId, readingId, resultId: ulid() });
    return readingId;
  };

  beforeEach(async () => {
    bench = await openBench();
    ({ testId } = await standJar(bench));
  });
  afterEach(() => bench.close());

  it('is none before a test is finished, nor while it is open again', async () => {
    expect(resultOf(await detail())).to.equal(undefined);
    await readAndFinish(20);
    expect(resultOf(await detail())?.kind).to.equal('jar');
    await bench.do('test.reopen', { testId, why: 'looked again' });
    expect(resultOf(await detail())).to.equal(undefined);
  });

  it('is the last that was kept, with the reading and the run it came from', async () => {
    await readAndFinish(20);
    await bench.do('test.reopen', { testId, why: 'looked again' });
    const second = await readAndFinish(24);
    const found = resultOf(await detail());
    expect(found).to.include({ kind: 'jar' });
    if (found?.kind !== 'jar') throw new Error('No jar was found.');
    expect(found.reading?.id).to.equal(second);
    expect(found.run?.id).to.equal(found.reading?.runId);
    expect(found.region.tops.sand).to.equal(24);
    const { sand, silt, clay } = (findingOf(found.snapshot) as { fractions: Record<string, number> })
      .fractions;
    expect(sand + silt + clay).to.be.closeTo(100, 1e-6);
  });

  it('draws its region through the shape of the glass', async () => {
    await readAndFinish(20);
    const straight = await detail();
    const tapered = {
      ...straight,
      vessel: {
        ...straight.vessel,
        profile: [
          { heightMm: 0, diameterMm: 60 },
          { heightMm: straight.vessel.innerHeightMm, diameterMm: 110 }
        ]
      }
    };
    const [a, b] = [straight, tapered].map((test) => resultOf(test));
    if (a?.kind !== 'jar' || b?.kind !== 'jar') throw new Error('both are of a jar');
    expect(a.region.tops.sand).to.equal(20);
    // Near the narrow bottom a height holds less than it does in a straight glass.
    expect(b.region.tops.sand).to.be.lessThan(19);
  });
});
