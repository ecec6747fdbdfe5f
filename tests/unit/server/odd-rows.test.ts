import { expect } from 'chai';
import fc from 'fast-check';
import { ulid } from 'ulid';
import { readWallTime } from '../../../src/lib/contract/wall-time.ts';
import type { PayloadInput } from '../../../src/lib/contract/commands.ts';
import { logToJson } from '../../../src/lib/formats/json.ts';
import { logDocument } from '../../../src/lib/formats/json-schema.ts';
import { CommandProblem } from '../../../src/lib/server/problem.ts';
import { labPairs, labReports } from '../../../src/lib/server/repositories/lab.ts';
import { csvOf } from './all.ts';
import { draftOf, methodByKey } from '../../../src/lib/core/index.ts';
import { offeredMethods, versionsOf } from '../../../src/lib/server/repositories/methods.ts';
import { logChoices, logLines } from '../../../src/lib/server/repositories/log.ts';
import { knowPoints } from '../../../src/lib/server/repositories/points.ts';
import { benchShelf, testDetail } from '../../../src/lib/server/repositories/tests.ts';
import { besideLab } from '../../../src/lib/workbench/lab.ts';
import { ENTRY, openBench, standJar, type TestBench } from './bench.ts';

const line = (mm: number) => ({ mm, text: String(mm) });

describe('no row takes a page down', () => {
  let bench: TestBench;
  before(async () => (bench = await openBench()));
  after(() => bench.close());
  const db = () => bench.store.db;

  it('a reading that enters can be listed, exported and finished, however thin its layers', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.tuple(
          fc.integer({ min: 1, max: 60 }),
          fc.integer({ min: 0, max: 6 }),
          fc.integer({ min: 0, max: 6 })
        ),
        fc.constantFrom('mm' as const, 'eye' as const, 'sixteenths' as const),
        async ([sand, silt, clay], ruler) => {
          const { testId } = await standJar(bench);
          bench.now += 48 * 3_600_000;
          const readingId = ulid();
          const lines = {
            sand: line(sand),
            silt: line(sand + silt / 2),
            clay: line(sand + (silt + clay) / 2)
          };
          await bench.do('jar.read', { testId, readingId, entry: { ruler, lines } });
          const own = async () => (await logLines(bench.store, 'kept')).find((l) => l.id === testId)!;
          const read = await own();
          expect(read.problem).to.equal(null);
          expect(read.sand! + read.silt! + read.clay!).to.be.closeTo(100, 1e-9);
          await bench.do('test.finish', { testId, readingId, resultId: ulid() });
          expect((await own()).class).to.be.a('string');
          await bench.do('test.bin', { testId });
        }
      ),
      { numRuns: 8 }
    );
    await logLines(bench.store, 'bin');
  });

  it('layers too thin to tell apart leave the answer wide, and the shares as read stand', async () => {
    const { testId } = await standJar(bench);
    const readingId = ulid();
    const lines = { sand: line(0.01), silt: line(0.02), clay: line(0.03) };
    await bench.do('jar.read', { testId, readingId, entry: { ruler: 'eye', lines } });
    await bench.do('test.finish', { testId, readingId, resultId: ulid() });
    const [kept] = (await logLines(bench.store, 'kept')).filter((l) => l.id === testId);
    expect(kept.problem).to.equal(null);
    expect(kept.probability).to.be.below(0.5);
    expect(kept.read!.sand).to.be.closeTo(100 / 3, 1e-6);
  });

  it('a row that no reader can show is named in the log, and the rest is shown', async () => {
    const bad = await standJar(bench);
    await bench.do('jar.read', { testId: bad.testId, readingId: ulid(), entry: ENTRY });
    const crossed = JSON.stringify({
      ruler: 'mm',
      lines: { sand: line(40), silt: line(20), clay: line(50) }
    });
    await bench.store.client.execute({
      sql: 'update reading set entry = ? where test_id = ?',
      args: [crossed, bad.testId]
    });
    const lines = await logLines(bench.store, 'kept');
    expect(lines.find((l) => l.id === bad.testId)!.problem).to.match(/lies below/);
    expect(lines.filter((l) => l.problem === null)).not.to.have.length(0);
    expect(await csvOf(lines)).to.match(/lies below/);
    const json = logToJson(lines, bench.now);
    expect(logDocument.parse(JSON.parse(JSON.stringify(json)))).to.deep.equal(json);
  });

  it('a jar by a method that nobody knows is named, and the shelf stands', async () => {
    const odd = await standJar(bench);
    const { code } = (await testDetail(db(), odd.testId))!;
    await bench.store.client.execute({
      sql: "update test set method_key = 'lost' where id = ?",
      args: [odd.testId]
    });
    const shelf = await benchShelf(db());
    expect(shelf.unreadable.map((r) => r.name)).to.deep.equal([code]);
    expect(shelf.jars.map((j) => j.id)).not.to.include(odd.testId);
    expect((await logLines(bench.store, 'kept')).find((l) => l.id === odd.testId)!.problem).to.match(
      /No method/
    );
  });

  it('a result whose method is lost stands on the triangle by its key, one without a sample is left out', async () => {
    const finished = async () => {
      const { testId } = await standJar(bench);
      const readingId = ulid();
      await bench.do('jar.read', { testId, readingId, entry: ENTRY });
      await bench.do('test.finish', { testId, readingId, resultId: ulid() });
      return testId;
    };
    const [whole, noMethod, noSample] = [await finished(), await finished(), await finished()];
    const ids = async () =>
      (await knowPoints(bench.store, { testIds: [whole, noMethod, noSample] })).map((p) => p.id);
    expect(await ids()).to.have.members([whole, noMethod, noSample]);
    const run = (sql: string, args: string[] = []) => bench.store.client.execute({ sql, args });
    await run("update test set method_key = 'lost' where id = ?", [noMethod]);
    await run('pragma foreign_keys = off');
    await run("update test set sample_id = 'lost' where id = ?", [noSample]);
    await run('pragma foreign_keys = on');
    const points = await knowPoints(bench.store, { testIds: [whole, noMethod, noSample] });
    expect(points.map((p) => p.id)).to.have.members([whole, noMethod]);
    expect(points.find((p) => p.id === noMethod)!.methodName).to.equal('lost');
    await run('delete from result where test_id = ?', [noSample]);
    await bench.do('test.bin', { testId: noMethod });
  });

  it('a method of another shape is offered to nobody, its tests say so, and its next version is kept', async () => {
    const methodKey = `own-${ulid().toLowerCase()}`;
    const draft = { ...draftOf(methodByKey('jar-timed')), name: 'Marks of the yard' };
    await bench.do('method.save', { methodKey, fromKey: 'jar-timed', draft });
    const { testId } = await standJar(bench, { methodKey });
    await bench.store.client.execute({
      sql: `update method set definition = '{"key":7}' where key = ?`,
      args: [methodKey]
    });
    const offered = async () => (await offeredMethods(db())).map((one) => one.method.key);
    expect(await offered()).not.to.include(methodKey);
    expect(await versionsOf(db(), methodKey)).to.eql([]);
    const line = async () => (await logLines(bench.store, 'kept')).find((l) => l.id === testId)!;
    expect((await line()).problem).to.match(/No method/);
    expect((await logChoices(bench.store)).methodKey.map((one) => one.value)).to.include(methodKey);
    await bench.do('method.save', { methodKey, fromKey: 'jar-timed', draft });
    expect(await offered()).to.include(methodKey);
    await bench.do('test.bin', { testId });
  });

  it('a laboratory report that misses 100 by one is one everywhere; a worse one is refused, and shown if it is there', async () => {
    const { testId, sampleId } = await standJar(bench);
    const readingId = ulid();
    await bench.do('jar.read', { testId, readingId, entry: ENTRY });
    await bench.do('test.finish', { testId, readingId, resultId: ulid() });
    const report = (clay: number): PayloadInput<'lab.add'> => ({
      reportId: ulid(),
      sampleId,
      lab: 'Harbour laboratory',
      sand: 60,
      silt: 25,
      clay,
      sandLimitUm: 63
    });
    const mine = async () => (await logLines(bench.store, 'kept')).filter((l) => l.id === testId);
    for (const clay of [14, 15, 16]) {
      await bench.do('lab.add', report(clay));
      const kept = (await labReports(db(), [sampleId])).at(-1)!;
      const [row] = besideLab(kept, await mine());
      expect(row.labClass.name).to.equal('sandy loam');
      expect((await labPairs(db())).find((p) => p.testId === testId)!.lab.clay).to.be.closeTo(clay, 0.2);
      await bench.do('lab.remove', { reportId: kept.id });
    }
    try {
      await bench.do('lab.add', report(12));
      throw new Error('A report of 97 % was taken.');
    } catch (problem) {
      expect((problem as CommandProblem).fields.clay).to.match(/come to 100/);
    }
    await bench.do('lab.add', report(15));
    await bench.store.client.execute({
      sql: 'update lab_report set clay = 50 where sample_id = ?',
      args: [sampleId]
    });
    const [kept] = await labReports(db(), [sampleId]);
    expect(besideLab(kept, await mine())).to.deep.equal([]);
    expect((await labPairs(db())).filter((p) => p.testId === testId)).to.deep.equal([]);
    await bench.do('lab.remove', { reportId: kept.id });
  });

  it('a column of JSON that does not fit is read as blank, and the row stays as it is', async () => {
    const { testId } = await standJar(bench);
    const set = (prep: string) =>
      bench.store.client.execute({ sql: 'update test set prep = ? where id = ?', args: [prep, testId] });
    const prep = async () => (await testDetail(db(), testId))?.prep;
    for (const odd of ['', 'null,', '7', '[]', '{"ticks":7,"shakeStartedAt":null}']) {
      await set(odd);
      expect(await prep(), odd).to.deep.equal({ ticks: [], shakeStartedAt: null });
    }
    const [row] = (await bench.store.client.execute(`select prep from test where id = '${testId}'`)).rows;
    expect(row.prep).to.equal('{"ticks":7,"shakeStartedAt":null}');
    // A field of a later version comes through.
    await set('{"ticks":["water"],"shakeStartedAt":null,"later":1}');
    expect(await prep()).to.deep.equal({ ticks: ['water'], shakeStartedAt: null, later: 1 });
  });

  it('a camera whose clock was never set says nothing of when', () => {
    expect(readWallTime('0000-00-00T00:00')).to.equal(null);
    expect(readWallTime('2026-02-30T10:00')).to.equal(null);
    expect(readWallTime('2026-13-01T10:00')).to.equal(null);
    expect(readWallTime('2026-05-04T24:10')).to.equal(null);
    expect(readWallTime('2026-05-04T09:30')).to.equal('2026-05-04T09:30');
    expect(readWallTime(null)).to.equal(null);
  });

  it('a layer is never nothing by silence', async () => {
    const { testId } = await standJar(bench);
    const read = (entry: object) =>
      bench.do('jar.read', { testId, readingId: ulid(), entry: entry as PayloadInput<'jar.read'>['entry'] });
    const lines = { sand: line(46), clay: line(92) };
    try {
      await read({ ruler: 'mm', lines });
      throw new Error('A layer of nothing was taken.');
    } catch (problem) {
      expect((problem as CommandProblem).fields.silt).to.match(/Was there none, or was it not read/);
    }
    await read({ ruler: 'mm', lines, unplaced: { silt: 'not-read' } });
    const own = async () => (await logLines(bench.store, 'kept')).find((l) => l.id === testId)!;
    expect(await own()).to.include({ sand: 50, silt: null, clay: null });
    await read({ ruler: 'mm', lines, unplaced: { silt: 'none' } });
    expect(await own()).to.include({ sand: 50, silt: 0, clay: 50 });
  });
});
