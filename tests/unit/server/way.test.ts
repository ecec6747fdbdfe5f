import { expect } from 'chai';
import { ulid } from 'ulid';
import { CORE_VERSION } from '../../../src/lib/core/index.ts';
import { logLines } from '../../../src/lib/server/repositories/log.ts';
import { sampleById } from '../../../src/lib/server/repositories/samples.ts';
import { benchJars, testDetail } from '../../../src/lib/server/repositories/tests.ts';
import { CommandProblem } from '../../../src/lib/server/problem.ts';
import { ENTRY, jarSnapshot, openBench, prepareJar, standJar, START, type TestBench } from './bench.ts';

/** Awaits a refusal and gives it back. */
async function refusal(doing: Promise<unknown>): Promise<CommandProblem> {
  try {
    await doing;
  } catch (problem) {
    expect(problem).to.be.instanceOf(CommandProblem);
    return problem as CommandProblem;
  }
  throw new Error('It was taken, but should have been refused.');
}

describe('one jar from set-down to the record', () => {
  let bench: TestBench;
  beforeEach(async () => (bench = await openBench()));
  afterEach(() => bench.close());

  it('goes the whole way, each step kept with its true time', async () => {
    const { testId, runId } = await standJar(bench);
    bench.now = START + 61_000;
    const markId = ulid();
    await bench.do('jar.mark', { testId, runId, markId, layer: 'sand' });
    await bench.do('mark.height', { testId, markId, height: { mm: 22, text: '22' } });
    bench.now = START + 90_000_000;
    const readingId = ulid();
    await bench.do('jar.read', { testId, readingId, entry: ENTRY });
    await bench.do('test.finish', { testId, readingId, resultId: ulid() });

    const test = (await testDetail(bench.store.db, testId))!;
    expect(test.status).to.equal('finished');
    expect(test.run!.setDownAt).to.equal(START);
    expect(test.run!.marks[0]).to.include({ at: START + 61_000, heightMm: 22, heightText: '22' });
    expect(test.results[0].coreVersion).to.equal(CORE_VERSION);
    expect(test.results[0].snapshot.result).to.have.nested.property('class.name', 'sandy loam');
    expect(test.events.map((e) => e.what).reverse()).to.deep.equal([
      'jar.prepare',
      'jar.set-down',
      'jar.mark',
      'mark.height',
      'jar.read',
      'test.finish'
    ]);
    const [line] = await logLines(bench.store.db, 'kept');
    expect(line).to.include({ code: 'W1', class: 'sandy loam', status: 'finished' });
    expect(await benchJars(bench.store.db)).to.have.length(0);
  });

  it('is the same after the server has been closed and opened again', async () => {
    const { testId, runId } = await standJar(bench);
    await bench.do('jar.mark', { testId, runId, markId: ulid(), layer: 'sand' });
    const before = await benchJars(bench.store.db);
    await bench.reopen();
    expect(await benchJars(bench.store.db)).to.deep.equal(before);
  });

  it('keeps how a sample was taken, in the words that were typed', async () => {
    const { sampleId } = await prepareJar(bench);
    const fields = { sampleId, name: 'North bed', purpose: 'garden' as const, note: '' };
    const mm = (value: number, text: string) => ({ mm: value, text });
    const details = {
      takenOn: '2026-05-03',
      depthFrom: mm(76.2, '3"'),
      depthTo: mm(152.4, '6"'),
      driedH: 24
    };
    const done = await bench.do('sample.edit', { ...fields, details });
    expect(await sampleById(bench.store.db, sampleId)).to.deep.include({ name: 'North bed', details });
    const wrong = (change: object) =>
      refusal(bench.do('sample.edit', { ...fields, details: { ...details, ...change } }));
    expect((await wrong({ depthTo: mm(50, '50') })).fields).to.have.property('details.depthTo');
    expect((await wrong({ takenOn: '2026-06-01' })).fields['details.takenOn']).to.match(/future/);
    expect((await wrong({ takenOn: 'last week' })).fields['details.takenOn']).to.match(/such as/);
    expect((await wrong({ sieve: mm(0, '0') })).fields['details.sieve']).to.match(/mesh/);
    await bench.do('undo', { eventId: done.eventId });
    expect((await sampleById(bench.store.db, sampleId))!.details).to.deep.equal({});
  });

  it('gives jars the times of a plan, all at once, and takes them back', async () => {
    const first = await prepareJar(bench);
    const second = await prepareJar(bench);
    const plan = (setDownAt: number | null) =>
      bench.do('bench.plan', {
        jars: [
          { testId: first.testId, setDownAt },
          { testId: second.testId, setDownAt: setDownAt && setDownAt + 660_000 }
        ]
      });
    const planned = async () => (await benchJars(bench.store.db)).map((j) => j.plannedAt);
    const done = await plan(bench.now + 3_600_000);
    expect(await planned()).to.deep.equal([bench.now + 3_600_000, bench.now + 4_260_000]);
    await bench.do('undo', { eventId: done.eventId });
    expect(await planned()).to.deep.equal([null, null]);
    expect((await refusal(plan(bench.now - 60_000))).message).to.match(/lies in the past/);
    await bench.do('jar.set-down', { testId: second.testId, runId: ulid() });
    expect((await refusal(plan(bench.now + 3_600_000))).message).to.match(/stands already/);
    expect(await planned()).to.deep.equal([null, null]);
  });

  it('gives codes fit for tape: letter and number, then letters for more jars of the same soil', async () => {
    const first = await prepareJar(bench);
    const second = await prepareJar(bench, { sampleId: first.sampleId });
    const third = await prepareJar(bench, { sampleId: first.sampleId });
    const other = await prepareJar(bench);
    expect([first.code, second.code, third.code, other.code]).to.deep.equal(['W1', 'W1b', 'W1c', 'W2']);
  });

  it('keeps a knocked-over run and starts a new one', async () => {
    const { testId, runId } = await standJar(bench);
    await bench.do('jar.mark', { testId, runId, markId: ulid(), layer: 'sand' });
    bench.now += 600_000;
    await bench.do('jar.shake-again', { testId, runId, reason: 'knocked' });
    expect((await benchJars(bench.store.db))[0]).to.include({ status: 'ready', run: null });
    const late = await refusal(bench.do('jar.mark', { testId, runId, markId: ulid(), layer: 'silt' }));
    expect(late.status).to.equal(409);
    await bench.do('jar.set-down', { testId, runId: ulid() });
    const test = (await testDetail(bench.store.db, testId))!;
    expect(test.runs.map((r) => [r.no, r.endReason, r.marks.length])).to.deep.equal([
      [1, 'knocked', 1],
      [2, null, 0]
    ]);
  });

  it('keeps a mark that was replaced', async () => {
    const { testId, runId } = await standJar(bench);
    await bench.do('jar.mark', { testId, runId, markId: ulid(), layer: 'sand' });
    bench.now += 5000;
    await bench.do('jar.mark', { testId, runId, markId: ulid(), layer: 'sand' });
    expect((await testDetail(bench.store.db, testId))!.run!.marks).to.have.length(2);
  });

  it('opens a finished test again, and leaves a trace', async () => {
    const { testId } = await standJar(bench);
    const readingId = ulid();
    await bench.do('jar.read', { testId, readingId, entry: ENTRY });
    await bench.do('test.finish', { testId, readingId, resultId: ulid() });
    expect(
      (await refusal(bench.do('jar.read', { testId, readingId: ulid(), entry: ENTRY }))).status
    ).to.equal(409);
    await bench.do('test.reopen', { testId, why: 'misread the silt' });
    await bench.do('test.finish', { testId, readingId, resultId: ulid() });
    const test = (await testDetail(bench.store.db, testId))!;
    expect(test.results).to.have.length(2);
    expect(test.results.filter((r) => r.reopenedAt === null)).to.have.length(1);
    expect(test.events.find((e) => e.what === 'test.reopen')!.detail.why).to.equal('misread the silt');
  });

  it('asks about a sum that does not agree, and takes a reason for it', async () => {
    const { testId } = await standJar(bench);
    const off = { ...ENTRY, measuredTotal: { mm: 50, text: '50' } };
    const readingId = ulid();
    await bench.do('jar.read', { testId, readingId, entry: off });
    const asked = await refusal(bench.do('test.finish', { testId, readingId, resultId: ulid() }));
    expect(asked.fields).to.have.property('measuredTotal');
    const explained = ulid();
    await bench.do('jar.read', {
      testId,
      readingId: explained,
      entry: { ...off, sumNote: 'jar stood askew' }
    });
    await bench.do('test.finish', { testId, readingId: explained, resultId: ulid() });
    expect((await testDetail(bench.store.db, testId))!.readings).to.have.length(2);
  });

  it('moves tests to the bin and back, and empties it for good', async () => {
    const { testId } = await standJar(bench);
    await bench.do('test.bin', { testId });
    expect(await benchJars(bench.store.db)).to.have.length(0);
    expect(await logLines(bench.store.db, 'bin')).to.have.length(1);
    expect((await refusal(bench.do('jar.set-down', { testId, runId: ulid() }))).status).to.equal(409);
    await bench.do('test.restore', { testId });
    expect(await benchJars(bench.store.db)).to.have.length(1);
    await bench.do('test.bin', { testId });
    const emptied = await bench.do('bin.empty', {});
    expect(await testDetail(bench.store.db, testId)).to.equal(undefined);
    const counts = await bench.store.client.execute(
      `select (select count(*) from run) as runs, (select count(*) from event where test_id is not null and changes <> '[]') as told`
    );
    expect(counts.rows[0]).to.include({ runs: 0, told: 0 });
    expect((await refusal(bench.do('undo', { eventId: emptied.eventId }))).status).to.equal(409);
  });
});

describe('what is refused', () => {
  let bench: TestBench;
  beforeEach(async () => (bench = await openBench()));
  afterEach(() => bench.close());

  const jars: [string, object, string][] = [
    ['a water line below the soil', { waterMm: 30 }, 'waterMm'],
    ['an overflowing vessel', { waterMm: 200 }, 'waterMm'],
    ['water too warm', { tempC: 60 }, 'tempC'],
    ['an unknown vessel', { vesselId: 'bucket' }, 'vesselId'],
    ['an unknown method', { methodKey: 'guess' }, 'methodKey']
  ];
  for (const [what, fields, field] of jars) {
    it(`${what}, beside its field`, async () => {
      const problem = await refusal(prepareJar(bench, fields));
      expect(problem.fields[field]).to.match(/[A-Z].+\./);
    });
  }
  it('a jar without a sample', async () => {
    const problem = await refusal(prepareJar(bench, { sampleId: 'none' }));
    expect(problem.fields.sampleId).to.match(/Choose the sample/);
  });
  it('a sample without a name', async () => {
    const problem = await refusal(
      bench.do('sample.add', { sampleId: ulid(), name: '  ', purpose: 'garden' })
    );
    expect(problem.fields.name).to.match(/Name the sample/);
  });
  it('a time in the future, but not a slightly fast clock', async () => {
    const { testId } = await prepareJar(bench);
    const problem = await refusal(bench.do('jar.set-down', { testId, runId: ulid() }, bench.now + 60_000));
    expect(problem.fields.at).to.match(/future/);
    await bench.do('jar.set-down', { testId, runId: ulid() }, bench.now + 800);
  });
  it('a mark older than the set-down', async () => {
    const { testId, runId } = await standJar(bench);
    await refusal(bench.do('jar.mark', { testId, runId, markId: ulid(), layer: 'sand' }, START - 1000));
  });
  it('setting down a jar that stands', async () => {
    const { testId } = await standJar(bench);
    expect((await refusal(bench.do('jar.set-down', { testId, runId: ulid() }))).status).to.equal(409);
  });
  it('layers in the wrong order, and heights over the rim', async () => {
    const { testId, runId } = await standJar(bench);
    const lines = { sand: { mm: 30, text: '30' }, silt: { mm: 20, text: '20' } };
    const order = await refusal(
      bench.do('jar.read', { testId, readingId: ulid(), entry: { ruler: 'mm', lines } })
    );
    expect(order.fields.silt).to.match(/below the top of the sand/);
    const markId = ulid();
    await bench.do('jar.mark', { testId, runId, markId, layer: 'sand' });
    const rim = await refusal(bench.do('mark.height', { testId, markId, height: { mm: 300, text: '300' } }));
    expect(rim.fields.height).to.match(/156 mm high/);
  });
  it('a vessel whose measures contradict each other, or whose name is taken', async () => {
    const measures = {
      kind: 'jar' as const,
      innerHeightMm: 120,
      innerDiameterMm: 80,
      baseThicknessMm: 4,
      shoulderHeightMm: 90,
      mouthDiameterMm: 70
    };
    const bad = await refusal(
      bench.do('vessel.add', { vesselId: ulid(), name: 'Squat', ...measures, shoulderHeightMm: 130 })
    );
    expect(bad.fields.shoulderHeightMm).to.match(/between the bottom and the rim/);
    await bench.do('vessel.add', { vesselId: ulid(), name: 'Squat', ...measures });
    const again = await refusal(bench.do('vessel.add', { vesselId: ulid(), name: 'Squat', ...measures }));
    expect(again.fields.name).to.match(/already there/);
  });
  it('what is not a command at all', async () => {
    const problem = await refusal(bench.do('jar.set-down', { testId: 'x', runId: 'not an id' }));
    expect(problem.fields.runId).to.be.a('string');
  });

  it('keeps the estimate by mass beside what was read: from marks where they have heights, else from bands', async () => {
    const finish = async (testId: string, fields: object = {}) => {
      const readingId = ulid();
      await bench.do('jar.read', { testId, readingId, entry: { ...ENTRY, ...fields } });
      await bench.do('test.finish', { testId, readingId, resultId: ulid() });
      return jarSnapshot((await testDetail(bench.store.db, testId))!.results[0].snapshot);
    };
    const bands = await standJar(bench);
    bench.now += 26 * 3_600_000;
    const weighed = (await finish(bands.testId)).mass!;
    expect(weighed.basis).to.equal('bands');
    expect(weighed.clayRange).to.have.keys('clear', 'cloudy');
    const marked = await standJar(bench);
    const start = bench.now;
    bench.now += 27 * 3_600_000;
    for (const [layer, seconds, mm] of [
      ['sand', 61, 22],
      ['silt', 7300, 30.5],
      ['clay', 93_600, 35]
    ] as const) {
      const markId = ulid();
      const { testId, runId } = marked;
      await bench.do('jar.mark', { testId, runId, markId, layer }, start + seconds * 1000);
      await bench.do('mark.height', { testId, markId, height: { mm, text: String(mm) } });
    }
    const seen = await finish(marked.testId, { water: 'clear' });
    expect(seen.mass).to.include({ basis: 'marks', clayUpPct: 0 });
    expect(seen.mass).not.to.have.property('clayRange');
    // What was read is as it was: the estimate stands beside it.
    expect(seen.result).to.have.nested.property('class.name', 'sandy loam');
    const assumed = await standJar(bench);
    bench.now += 26 * 3_600_000;
    const packing = { sand: 1500, silt: 1200, clay: 1300 };
    const other = (await finish(assumed.testId, { assumed: { packing, hindered: false } })).mass!;
    expect(other.fractions.clay).to.be.above(weighed.fractions.clay);
  });

  it('reads the top while the jar stands, and tells the bench when it will stand still', async () => {
    const { testId, runId } = await standJar(bench);
    const start = bench.now;
    const HOUR_MS = 3_600_000;
    const read = (hours: number, mm: number, fields: object = {}) =>
      bench.do(
        'jar.top',
        { testId, runId, topId: ulid(), height: { mm, text: String(mm) }, ...fields },
        start + hours * HOUR_MS
      );
    bench.now += 40 * HOUR_MS;
    const run = async () => (await benchJars(bench.store.db))[0].run!;
    for (const [i, hours] of [2, 5, 9].entries()) await read(hours, [35.7, 33.5, 31.8][i]);
    expect((await run()).stillAt).to.equal(null);
    await read(20, 30.3, { water: 'cloudy' });
    const { stillAt, tops } = await run();
    expect(tops.map((r) => r.heightMm)).to.deep.equal([35.7, 33.5, 31.8, 30.3]);
    expect(tops.at(-1)!.water).to.equal('cloudy');
    // 8 mm that dwindle with a time constant of six hours are under half a millimetre after 16.6 h.
    expect((stillAt! - start) / HOUR_MS).to.be.closeTo(16.6, 1.5);
    // A reading of the same moment counts once, and harms nothing.
    await read(20, 30.4);
    expect((await run()).stillAt).to.be.a('number');
    const message = (work: Promise<unknown>) => work.then(String, (p: Error) => p.message);
    expect(await message(read(0, 30))).to.match(/older than the set-down/);
    expect(await message(read(21, 300))).to.match(/only 156 mm high/);
    await bench.do('jar.shake-again', { testId, runId, reason: 'knocked' });
    expect(await message(read(22, 30))).to.match(/This run has ended/);
  });
});
