import { expect } from 'chai';
import { ulid } from 'ulid';
import { CORE_VERSION, fillPlan, volumeToHeight } from '../../../src/lib/core/index.ts';
import { isDispersed } from '../../../src/lib/contract/records/jar.ts';
import { testToCsv } from '../../../src/lib/formats/csv.ts';
import { testToJson } from '../../../src/lib/formats/json.ts';
import { formatFor } from '../../../src/lib/words/format.ts';
import { DEFAULT_PROFILE } from '../../../src/lib/words/profile.ts';
import { doseWords } from '../../../src/lib/workbench/used.ts';
import { logLines } from '../../../src/lib/server/repositories/log.ts';
import { sampleById } from '../../../src/lib/server/repositories/samples.ts';
import { benchJars, testDetail } from '../../../src/lib/server/repositories/tests.ts';
import { ENTRY, openBench, prepareJar, standJar, START, type TestBench } from './bench.ts';
import { refusal } from './refusal.ts';

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
    const [line] = await logLines(bench.store, 'kept');
    expect(line).to.include({ code: 'W1', class: 'sandy loam', status: 'finished' });
    expect(await benchJars(bench.store.db)).to.have.length(0);
  });

  it('keeps the weight of its soil, taken back and refused beside its field', async () => {
    const { testId } = await standJar(bench);
    const weighed = { grams: 312, readsToG: 1 };
    await bench.do('jar.weigh', { testId, weighed });
    expect((await testDetail(bench.store.db, testId))!.weighed).to.deep.equal(weighed);
    const { fields } = await refusal(bench.do('jar.weigh', { testId, weighed: { grams: 31, readsToG: 1 } }));
    expect(fields.grams).to.match(/weigh about/);
    expect((await testDetail(bench.store.db, testId))!.weighed).to.deep.equal(weighed);
    await bench.do('jar.weigh', { testId, weighed: null });
    expect((await testDetail(bench.store.db, testId))!.weighed).to.equal(null);
  });

  it('counts a dispersant as used once somebody says so: by a tick, or in their own measure', async () => {
    const { testId } = await prepareJar(bench, { dispersantMl: 3.8, notMeasured: ['tempC', 'dispersantMl'] });
    const jar = async () => (await testDetail(bench.store.db, testId))!;
    const prep = (ticks: string[]) => bench.do('jar.prep', { testId, ticks, shakeStartedAt: null });
    const dispersed = async () => isDispersed(await jar());
    expect(await dispersed()).to.equal(undefined);
    expect(testToJson(await jar(), bench.now).test).to.include({ dispersantMl: null, waterTempC: null });
    await prep(['dose']);
    expect(await dispersed()).to.equal(true);
    await prep([]);
    expect(await dispersed()).to.equal(undefined);
    const used = {
      dispersant: { kind: 'washing-up' as const, text: 'half a teaspoon' },
      soil: '1 cup',
      shaken: '6 min'
    };
    await bench.do('jar.used', { testId, used });
    const told = await jar();
    expect(told.dispersantMl).to.be.closeTo(2.46, 0.01);
    expect(told.used).to.deep.equal(used);
    expect(volumeToHeight(told.vessel, told.soilMm)).to.be.closeTo(236.6, 0.1);
    expect(told.notMeasured).to.deep.equal(['tempC']);
    const said = 'half a teaspoon of washing-up liquid';
    const format = formatFor(DEFAULT_PROFILE, 'UTC');
    expect(doseWords(told, format)).to.equal(said);
    expect(testToCsv(told)).to.contain('half a teaspoon of washing-up');
    expect(told.events[0]).to.deep.include({ what: 'jar.used' });
    // None is a dose too; what is taken back is as advised again, and not told.
    await bench.do('jar.used', { testId, used: { dispersant: { kind: 'none', text: '' } } });
    expect(await dispersed()).to.equal(false);
    await bench.do('jar.used', { testId, used: {} });
    const advised = fillPlan(told.method, told.vessel, { soilMm: told.soilMm, waterMm: told.waterMm });
    expect(await jar()).to.deep.include({ dispersantMl: advised.dispersantMl, used: {} });
    expect(await dispersed()).to.equal(undefined);
    for (const [wrong, field, message] of [
      [{ dispersant: { kind: 'other' as const, text: 'some' } }, 'used.dispersant.text', /with its measure/],
      [{ soil: '300 g' }, 'used.soil', /by a measure/],
      [{ soil: '40 cups' }, 'soilMm', /./],
      [{ soaked: 'long' }, 'used.soaked', /12 min/]
    ] as const)
      expect((await refusal(bench.do('jar.used', { testId, used: wrong }))).fields[field], field).to.match(
        message
      );
  });

  it('keeps what happened while it stood with the run that was on, unless it is taken back', async () => {
    const { testId, runId } = await standJar(bench);
    bench.now = START + 60_000;
    await bench.do('jar.note', { testId, kind: 'knocked' });
    const moved = await bench.do('jar.note', { testId, kind: 'moved' });
    await bench.do('undo', { eventId: moved.eventId });
    await bench.do('jar.shake-again', { testId, runId, reason: 'knocked' });
    bench.now = START + 120_000;
    await bench.do('jar.set-down', { testId, runId: ulid() });
    await bench.do('jar.note', { testId, kind: 'foamed' });
    const { runs } = (await testDetail(bench.store.db, testId))!;
    expect(runs.map((r) => r.notes)).to.deep.equal([
      [{ kind: 'knocked', at: START + 60_000 }],
      [{ kind: 'foamed', at: START + 120_000 }]
    ]);
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
    expect(await logLines(bench.store, 'bin')).to.have.length(1);
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
