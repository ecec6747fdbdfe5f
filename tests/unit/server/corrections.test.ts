import { expect } from 'chai';
import { ulid } from 'ulid';
import type { CommandName, PayloadInput } from '../../../src/lib/contract/commands.ts';
import { CommandProblem } from '../../../src/lib/server/problem.ts';
import { testDetail } from '../../../src/lib/server/repositories/tests.ts';
import { ENTRY, openBench, prepareJar, standJar, START, type TestBench } from './bench.ts';

describe('what was pressed can be corrected for good', () => {
  let bench: TestBench;
  beforeEach(async () => (bench = await openBench()));
  afterEach(() => bench.close());

  async function refused<N extends CommandName>(name: N, payload: PayloadInput<N>, at?: number) {
    try {
      await bench.do(name, payload, at);
    } catch (problem) {
      expect(problem).to.be.instanceOf(CommandProblem);
      return problem as CommandProblem;
    }
    throw new Error(`${name} was taken.`);
  }
  const detail = async (id: string) => (await testDetail(bench.store.db, id))!;
  const marks = async (id: string) =>
    (await detail(id)).runs[0].marks.map((m) => [m.layer, (m.at - START) / 1000]);
  async function marked(seconds: Partial<Record<'sand' | 'silt' | 'clay', number>>) {
    const jar = await standJar(bench);
    const ids: Record<string, string> = {};
    bench.now = START + 3 * 86_400_000;
    for (const [layer, s] of Object.entries(seconds)) {
      ids[layer] = ulid();
      await bench.do(
        'jar.mark',
        { testId: jar.testId, runId: jar.runId, markId: ids[layer], layer: layer as 'sand' },
        START + s * 1000
      );
    }
    return { ...jar, ids };
  }

  it('a mark moves to another layer and another time, comes off, and each leaves its trace', async () => {
    const { testId, ids } = await marked({ silt: 110 });
    await bench.do('mark.correct', { testId, markId: ids.silt, layer: 'sand' });
    expect(await marks(testId)).to.deep.equal([['sand', 110]]);
    await bench.do('mark.correct', { testId, markId: ids.silt, at: START + 64_000 });
    expect(await marks(testId)).to.deep.equal([['sand', 64]]);
    await bench.do('mark.remove', { testId, markId: ids.silt });
    expect(await marks(testId)).to.deep.equal([]);
    const said = (await detail(testId)).events.filter((e) => e.what.startsWith('mark.'));
    expect(said.map((e) => [e.what, e.detail.layer, e.detail.wasLayer, e.detail.wasSeconds])).to.deep.equal([
      ['mark.remove', 'sand', undefined, undefined],
      ['mark.correct', 'sand', undefined, 110],
      ['mark.correct', 'sand', 'silt', undefined]
    ]);
  });

  it('a corrected time lies after the set-down, in the past, and on its side of the other marks', async () => {
    const { testId, ids } = await marked({ sand: 60, silt: 7200 });
    const time = async (markId: string, at: number) =>
      (await refused('mark.correct', { testId, markId, at })).fields.time;
    expect(await time(ids.sand, START)).to.match(/after the set-down/);
    expect(await time(ids.sand, bench.now + 60_000)).to.match(/in the future/);
    expect(await time(ids.sand, START + 7_300_000)).to.match(/wrong side of the silt/);
    expect(await time(ids.silt, START + 30_000)).to.match(/wrong side of the sand/);
    expect((await refused('mark.correct', { testId, markId: ids.sand })).fields.time).to.match(
      /another layer, or the time/
    );
  });

  it('a missed mark is passed over, and made after all', async () => {
    const { testId, runId } = await marked({});
    await bench.do('mark.pass', { testId, runId, layer: 'sand' });
    await bench.do('mark.pass', { testId, runId, layer: 'silt' });
    expect((await detail(testId)).run!.passed).to.deep.equal(['sand', 'silt']);
    await bench.do('mark.pass', { testId, runId, layer: 'sand', passed: false });
    expect((await detail(testId)).run!.passed).to.deep.equal(['silt']);
  });

  it('a wrong time zero is corrected with a reason, never past what was pressed', async () => {
    const { testId, runId } = await marked({ sand: 60 });
    await bench.do('run.zero', { testId, runId, setDownAt: START - 20_000, why: 'pressed late' });
    expect((await detail(testId)).run!.setDownAt).to.equal(START - 20_000);
    expect((await detail(testId)).events[0].detail).to.include({ why: 'pressed late', byS: -20 });
    const zero = (setDownAt: number, why = 'so') => refused('run.zero', { testId, runId, setDownAt, why });
    expect((await zero(START + 60_000)).fields.setDownAt).to.match(/marked or read before/);
    expect((await zero(bench.now + 60_000)).fields.setDownAt).to.match(/in the future/);
    expect((await zero(START - 30_000, ' ')).fields.why).to.match(/Say why/);
  });

  it('a reading of the top comes off', async () => {
    const { testId, runId } = await marked({});
    const topId = ulid();
    await bench.do('jar.top', { testId, runId, topId, height: { mm: 30, text: '30' } });
    await bench.do('top.remove', { testId, topId });
    expect((await detail(testId)).run!.tops).to.deep.equal([]);
    expect((await refused('top.remove', { testId, topId })).status).to.equal(404);
  });

  it('what belongs to another jar is refused', async () => {
    const { testId, runId, ids } = await marked({ sand: 60 });
    const other = await standJar(bench);
    bench.now += 60_000;
    const tries = [
      ['jar.mark', { testId: other.testId, runId, markId: ulid(), layer: 'silt' }],
      ['mark.height', { testId: other.testId, markId: ids.sand, height: null }],
      ['mark.correct', { testId: other.testId, markId: ids.sand, layer: 'silt' }],
      ['mark.remove', { testId: other.testId, markId: ids.sand }],
      ['mark.pass', { testId: other.testId, runId, layer: 'silt' }],
      ['run.zero', { testId: other.testId, runId, setDownAt: START, why: 'so' }],
      ['jar.top', { testId: other.testId, runId, topId: ulid(), height: { mm: 30, text: '30' } }],
      ['jar.shake-again', { testId: other.testId, runId, reason: 'knocked' }]
    ] as const;
    for (const [name, payload] of tries) {
      expect((await refused(name, payload as never)).message, name).to.match(/belongs to another jar/);
    }
    expect(await marks(testId)).to.deep.equal([['sand', 60]]);
  });

  it('a finished test is finished: what is pressed now is refused, what had waited becomes a note', async () => {
    const { testId, runId, ids } = await marked({ sand: 60 });
    const readingId = ulid();
    await bench.do('jar.read', { testId, readingId, entry: ENTRY });
    await bench.do('test.finish', { testId, readingId, resultId: ulid() });
    const finishedAt = bench.now;
    bench.now += 3_600_000;
    const before = JSON.stringify((await detail(testId)).runs);
    const tries = [
      ['jar.mark', { testId, runId, markId: ulid(), layer: 'silt' }],
      ['mark.height', { testId, markId: ids.sand, height: null }],
      ['mark.correct', { testId, markId: ids.sand, layer: 'silt' }],
      ['mark.remove', { testId, markId: ids.sand }],
      ['mark.pass', { testId, runId, layer: 'silt' }],
      ['run.zero', { testId, runId, setDownAt: START - 1000, why: 'so' }],
      ['jar.top', { testId, runId, topId: ulid(), height: { mm: 30, text: '30' } }],
      ['jar.prep', { testId, ticks: [], shakeStartedAt: null }],
      ['jar.set-down', { testId, runId: ulid() }],
      ['jar.shake-again', { testId, runId, reason: 'knocked' }],
      ['jar.method', { testId, methodKey: 'jar-bands' }]
    ] as const;
    for (const [name, payload] of tries) {
      const problem = await refused(name, payload as never);
      expect([problem.status, problem.message], name).to.deep.equal([
        409,
        'K1 is finished. Open it again before changing it.'.replace('K1', (await detail(testId)).code)
      ]);
    }
    // Pressed while the device was away, before anybody finished the test: it could not know.
    for (const [name, payload] of tries) await bench.do(name, payload as never, finishedAt - 60_000);
    const now = await detail(testId);
    expect(JSON.stringify(now.runs)).to.equal(before);
    expect(now.status).to.equal('finished');
    const notes = now.events.filter((e) => e.detail.after === 'finished');
    expect(notes.map((e) => [e.what, e.at])).to.have.deep.members(
      tries.map(([name]) => [name, finishedAt - 60_000])
    );
    expect(notes.find((e) => e.what === 'jar.mark')!.detail.layer).to.equal('silt');
  });

  it('a finished test never stands on the shelf again', async () => {
    const one = await standJar(bench);
    const readingId = ulid();
    await bench.do('jar.read', { testId: one.testId, readingId, entry: ENTRY });
    await bench.do('test.finish', { testId: one.testId, readingId, resultId: ulid() });
    const other = await standJar(bench);
    bench.now += 60_000;
    await refused('jar.shake-again', { testId: one.testId, runId: other.runId, reason: 'other' });
    expect((await detail(one.testId)).status).to.equal('finished');
  });

  it('the press of an instrument gets the time it truly had', async () => {
    const { testId, runId } = await standJar(bench, {
      methodKey: 'hydrometer-2pt',
      vesselId: 'cylinder-1000',
      soilMm: 11,
      waterMm: 342
    });
    bench.now = START + 60_000;
    const gaugeId = ulid();
    await bench.do('gauge.take', { testId, runId, gaugeId, no: 0, value: 21, tempC: 20 }, START + 55_000);
    await bench.do('gauge.time', { testId, gaugeId, at: START + 41_000 });
    expect((await detail(testId)).run!.gauges[0].at).to.equal(START + 41_000);
    expect((await detail(testId)).events[0].detail).to.include({ seconds: 41, wasSeconds: 55 });
    expect((await refused('gauge.time', { testId, gaugeId, at: START })).fields.time).to.match(
      /after the set-down/
    );
    expect((await refused('gauge.time', { testId, gaugeId, at: START + 9e6 })).fields.time).to.match(
      /future/
    );
  });

  it('a prepared jar still is', async () => {
    const { testId } = await prepareJar(bench);
    await bench.do('jar.prep', { testId, ticks: ['soil'], shakeStartedAt: null });
    expect((await detail(testId)).prep.ticks).to.deep.equal(['soil']);
  });
});
