import { expect } from 'chai';
import { ulid } from 'ulid';
import { draftOf, methodByKey, METHODS, trueMarks } from '../../../src/lib/core/index.ts';
import { offeredMethods, versionsOf } from '../../../src/lib/server/repositories/methods.ts';
import { logLines } from '../../../src/lib/server/repositories/log.ts';
import { benchJars, testDetail } from '../../../src/lib/server/repositories/tests.ts';
import { ENTRY, openBench, prepareJar, standJar, type TestBench } from './bench.ts';

const ownKey = () => `own-${ulid().toLowerCase()}`;
const refusal = (work: Promise<unknown>) =>
  work.then(
    () => ({ message: 'taken', fields: {} as Record<string, string>, status: 0 }),
    (p: { message: string; fields: Record<string, string>; status: number }) => p
  );

describe('methods', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await openBench()));
  afterEach(() => bench.close());

  const save = (methodKey: string, fields: object = {}, fromKey = 'jar-timed') =>
    bench.do('method.save', {
      methodKey,
      fromKey,
      draft: { ...draftOf(methodByKey('jar-timed')), name: 'Ours', ...fields }
    });
  const detail = async (id: string) => (await testDetail(bench.store.db, id))!;

  it('that ship are on offer, and every version of them is written down', async () => {
    const offered = await offeredMethods(bench.store.db);
    expect(offered.map((m) => m.method.key)).to.deep.equal(METHODS.map((m) => m.key));
    expect((await versionsOf(bench.store.db, 'jar-timed'))[0].method).to.deep.equal(methodByKey('jar-timed'));
    await bench.reopen();
    expect(await versionsOf(bench.store.db, 'jar-timed')).to.have.length(1);
  });

  it('of one’s own keep their versions, and old tests show the one they used', async () => {
    const key = ownKey();
    await save(key);
    const first = await prepareJar(bench, { methodKey: key });
    const marks = [{ layer: 'sand' as const, atS: 40 }];
    await save(key, { marks, name: 'Ours, quicker' }, key);
    const second = await prepareJar(bench, { methodKey: key });
    expect((await detail(first.testId)).method).to.include({ name: 'Ours', version: 1 });
    expect((await detail(first.testId)).method.marks).to.have.length(3);
    expect((await detail(second.testId)).method).to.deep.include({
      name: 'Ours, quicker',
      version: 2,
      marks
    });
    const versions = await versionsOf(bench.store.db, key);
    expect(versions.map((v) => v.method.version)).to.deep.equal([2, 1]);
    // The stand goes on naming what it was copied from.
    expect(versions[0].method.stand).to.contain('Timed marks');
    const lines = await logLines(bench.store, 'kept');
    expect(lines.map((l) => l.methodName).sort()).to.deep.equal(['Ours', 'Ours, quicker']);
    expect((await offeredMethods(bench.store.db)).at(-1)).to.deep.include({ own: true });
  });

  it('of one’s own are refused beside the field: order of marks, a name that is taken, one that ships', async () => {
    const bad = save(ownKey(), {
      marks: [
        { layer: 'sand', atS: 7200 },
        { layer: 'silt', atS: 60 }
      ]
    });
    expect((await refusal(bad)).fields.silt).to.match(/after the sand/);
    expect((await refusal(save(ownKey(), { name: 'timed MARKS' }))).fields.name).to.match(/Another method/);
    expect((await refusal(save('jar-timed'))).message).to.match(/ships is not changed/);
    expect((await refusal(save(ownKey(), {}, 'nothing'))).status).to.equal(404);
    const key = ownKey();
    await save(key);
    expect((await refusal(save(ownKey()))).fields.name).to.match(/Another method/);
    await save(key, {}, key);
  });

  it('go off the list but stay with their tests; undo brings them back, unless a jar was set by them', async () => {
    const key = ownKey();
    const made = await save(key);
    const { testId } = await prepareJar(bench, { methodKey: key });
    expect((await refusal(bench.do('undo', { eventId: made.eventId }))).message).to.match(/it stays/);
    const gone = await bench.do('method.retire', { methodKey: key });
    expect((await offeredMethods(bench.store.db)).some((m) => m.own)).to.equal(false);
    expect((await refusal(prepareJar(bench, { methodKey: key }))).fields.methodKey).to.match(/Choose one/);
    expect((await detail(testId)).method.name).to.equal('Ours');
    await bench.do('undo', { eventId: gone.eventId });
    expect((await offeredMethods(bench.store.db)).some((m) => m.own)).to.equal(true);
    expect((await refusal(bench.do('method.retire', { methodKey: 'jar-timed' }))).message).to.match(/stays/);
  });

  it('with true marks follow the depth and water of the jar', async () => {
    const { testId } = await prepareJar(bench, { trueSandUm: 63 });
    const jar = { columnMm: 128, tempC: 18, solidsKgM2: 43 * 1.2 };
    const marks = trueMarks(methodByKey('jar-timed'), jar, 63);
    expect((await detail(testId)).method.marks).to.deep.equal(marks);
    expect((await benchJars(bench.store.db))[0].method.marks).to.deep.equal(marks);
  });

  it('change while a jar waits, and not once it stands', async () => {
    const { testId } = await prepareJar(bench, { trueSandUm: 50 });
    await bench.do('jar.method', { testId, methodKey: 'jar-bands' });
    expect(await detail(testId)).to.include({ methodKey: 'jar-bands', marks: null });
    expect((await refusal(bench.do('jar.method', { testId, methodKey: 'guess' }))).fields.methodKey).to.match(
      /Choose/
    );
    const { testId: standing } = await standJar(bench);
    const no = await refusal(bench.do('jar.method', { testId: standing, methodKey: 'jar-bands' }));
    expect(no).to.include({ status: 409 });
    expect(no.message).to.match(/belong to its method.*copy/);
    expect((await detail(standing)).methodKey).to.equal('jar-timed');
  });
});

describe('a jar', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await openBench()));
  afterEach(() => bench.close());

  it('has notes with their time, which can be taken back', async () => {
    const { testId } = await standJar(bench);
    const done = await bench.do('jar.note', { testId, kind: 'topped-up', words: '25 mL' }, bench.now - 5000);
    const events = async () => (await testDetail(bench.store.db, testId))!.events;
    const note = (await events()).find((e) => e.what === 'jar.note')!;
    expect(note).to.include({ at: bench.now - 5000, undoneAt: null });
    expect(note.detail).to.include({ note: 'topped-up', words: '25 mL' });
    await bench.do('undo', { eventId: done.eventId });
    expect((await events()).find((e) => e.id === note.id)!.undoneAt).to.equal(bench.now);
  });

  it('of which one share was read is finished with that share, and no class', async () => {
    const { testId } = await standJar(bench);
    const line = (mm: number) => ({ mm, text: String(mm) });
    const entry = { ruler: 'mm' as const, lines: { sand: line(12) }, measuredTotal: line(40) };
    const readingId = ulid();
    await bench.do('jar.read', { testId, readingId, entry });
    await bench.do('test.finish', { testId, readingId, resultId: ulid() });
    const [line1] = await logLines(bench.store, 'kept');
    expect(line1).to.include({ sand: 30, silt: null, clay: null, class: null, status: 'finished' });
    const { testId: other } = await standJar(bench);
    await bench.do('jar.read', { testId: other, readingId: ulid(), entry: ENTRY });
    const lines = await logLines(bench.store, 'kept');
    expect(lines.find((l) => l.id === other)!.silt).to.be.closeTo(24.3, 0.1);
    const lone = { ruler: 'mm' as const, lines: { sand: line(50) }, measuredTotal: line(40) };
    const bad = bench.do('jar.read', { testId: other, readingId: ulid(), entry: lone });
    expect((await refusal(bad)).fields.sand).to.match(/outside the deposit/);
  });
});
