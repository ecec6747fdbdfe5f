import { expect } from 'chai';
import { ulid } from 'ulid';
import type { PayloadInput } from '../../../src/lib/contract/commands.ts';
import { CommandProblem } from '../../../src/lib/server/problem.ts';
import { logLines } from '../../../src/lib/server/repositories/log.ts';
import { benchJars, testDetail } from '../../../src/lib/server/repositories/tests.ts';
import { allVessels } from '../../../src/lib/server/repositories/vessels.ts';
import { viewJar } from '../../../src/lib/workbench/jars.ts';
import { readShares } from '../../../src/lib/workbench/entry/shares.ts';
import { jarSnapshot, openBench, standJar, type TestBench } from './bench.ts';

const line = (mm: number) => ({ mm, text: String(mm) });
const ENTRY = { ruler: 'mm' as const, lines: { sand: line(46), silt: line(79), clay: line(92) } };

describe('a jar that stands already', () => {
  let bench: TestBench;
  beforeEach(async () => (bench = await openBench()));
  afterEach(() => bench.close());

  async function met(o: Partial<PayloadInput<'jar.stood'>> = {}) {
    const ids = { testId: ulid(), runId: ulid(), readingId: ulid(), sampleId: ulid() };
    const done = await bench.do('jar.stood', { ...ids, stood: 'yesterday', entry: ENTRY, ...o });
    return { ...ids, eventId: done.eventId };
  }
  const detail = async (id: string) => (await testDetail(bench.store.db, id))!;

  it('is on the bench with its reading, and nothing that nobody knows', async () => {
    const { testId, eventId } = await met();
    const jar = await detail(testId);
    expect(jar).to.include({ status: 'read', methodKey: 'jar-bands', code: 'S1' });
    expect(jar.vessel.id).to.equal('jar-unknown');
    expect(jar.run).to.include({ stood: 'yesterday', setDownAt: bench.now - 86_400_000 });
    expect(viewJar((await benchJars(bench.store.db))[0], bench.now).step).to.include({ kind: 'finish' });
    expect((await allVessels(bench.store.db)).map((v) => v.id)).not.to.include('jar-unknown');
    await bench.do('undo', { eventId: eventId! });
    expect(await logLines(bench.store, 'kept')).to.deep.equal([]);
  });

  it('is finished as it is, named later, and asked for no mark', async () => {
    const { testId, runId, readingId, sampleId } = await met({ vesselId: 'jar-litre' });
    await bench.do('sample.edit', { sampleId, name: 'Cistern pond', purpose: 'garden', details: {} });
    try {
      await bench.do('jar.mark', { testId, runId, markId: ulid(), layer: 'clay' });
      throw new Error('A mark without a time was taken.');
    } catch (problem) {
      expect((problem as CommandProblem).message).to.match(/stood already/);
    }
    await bench.do('jar.method', { testId, methodKey: 'jar-builder' });
    await bench.do('test.finish', { testId, readingId, resultId: ulid() });
    const [kept] = await logLines(bench.store, 'kept');
    expect(kept).to.include({ class: 'loam', sampleName: 'Cistern pond', methodKey: 'jar-builder' });
    expect(jarSnapshot((await detail(testId)).results[0].snapshot).doubts).to.deep.equal([]);
  });

  it('of an existing sample is its next jar', async () => {
    const { sampleId } = await standJar(bench);
    const { testId } = await met({ sampleId });
    expect((await detail(testId)).code).to.equal('W1b');
  });

  it('is refused where a reading would be: over the rim, out of order, a layer of nothing', async () => {
    const refused = async (o: Partial<PayloadInput<'jar.stood'>>) => {
      try {
        await met(o);
      } catch (problem) {
        return (problem as CommandProblem).fields;
      }
      throw new Error('It was taken.');
    };
    const lines = { sand: line(46), silt: line(79), clay: line(192) };
    expect((await refused({ vesselId: 'jar-litre', entry: { ruler: 'mm', lines } })).clay).to.match(
      /156 mm high/
    );
    expect(
      (await refused({ entry: { ruler: 'mm', lines: { sand: line(50), silt: line(40), clay: line(60) } } }))
        .silt
    ).to.match(/lies below/);
    expect(
      (await refused({ entry: { ruler: 'mm', lines: { sand: line(50), clay: line(60) } } })).silt
    ).to.match(/Was there none/);
    expect(await refused({ methodKey: 'pipette' })).to.have.property('methodKey');
    expect(await refused({ vesselId: 'gone' })).to.have.property('vesselId');
    expect(await logLines(bench.store, 'kept')).to.deep.equal([]);
  });

  it('keeps shares by eye as shares, with the error of an eye', async () => {
    const { entry, rest } = readShares({ sand: 'about half', silt: 'a quarter', clay: '' }, 'eye');
    expect(rest).to.deep.equal({ layer: 'clay', pct: 25 });
    const { testId, readingId } = await met({ entry });
    await bench.do('test.finish', { testId, readingId, resultId: ulid() });
    const kept = jarSnapshot((await detail(testId)).results[0].snapshot);
    if (kept.result.kind === 'share') throw new Error('A share.');
    expect(kept.entry.figures).to.equal('eye');
    expect(kept.entry.lines.sand).to.deep.equal({ mm: 50, text: 'about half' });
    expect(kept.result.fractions).to.deep.equal({ sand: 50, silt: 25, clay: 25 });
    expect(kept.result.sd.sand).to.be.within(4, 8);
    expect(kept.mass, 'shares weigh nothing').to.equal(undefined);
    expect(kept.doubts).to.deep.equal([]);
  });

  it('a clock that was started by mistake is let go, unless something was pressed by it', async () => {
    const { testId, runId } = await standJar(bench);
    bench.now += 600_000;
    await bench.do('run.stood', { testId, runId, stood: 'days' });
    const [jar] = await benchJars(bench.store.db);
    expect(viewJar(jar, bench.now).step).to.deep.equal({ kind: 'read', state: 'ready' });
    await bench.do('run.zero', {
      testId,
      runId,
      setDownAt: bench.now - 600_000,
      why: 'it was mine after all'
    });
    expect((await detail(testId)).run!.stood).to.equal(null);
    await bench.do('jar.mark', { testId, runId, markId: ulid(), layer: 'sand' });
    try {
      await bench.do('run.stood', { testId, runId, stood: 'days' });
      throw new Error('It was taken.');
    } catch (problem) {
      expect((problem as CommandProblem).message).to.match(/Take it off first/);
    }
  });
});
