import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import { ulid } from 'ulid';
import {
  beginImport,
  importState,
  lookAtTable,
  stopImport,
  takeBackLost,
  undoImport
} from '../../../src/lib/server/imports.ts';
import { testDetail } from '../../../src/lib/server/repositories/tests.ts';
import { logLines } from '../../../src/lib/server/repositories/log.ts';
import { event, run, sample, tableImport, test as testTable } from '../../../src/lib/server/schema.ts';
import { addArea, openBench, type TestBench } from './bench.ts';
import { refusal } from './refusal.ts';

const TABLE =
  'Sample,Field,Date,Sand %,Silt %,Clay %,Notes\n' +
  'Oak corner,South bed,2024-04-14,60,25,15,limed\n' +
  'Oak corner,South bed,2024-09-20,58,26,16,\n' +
  'Old pond,Nowhere,2024-05-01,12,60,28,\n' +
  'Broken,,2024-05-01,60,60,28,\n';

describe('a table that is taken in', () => {
  let bench: TestBench;
  beforeEach(async () => {
    bench = await openBench();
  });
  afterEach(() => bench.close());

  const fileOf = (text: string) => ({
    bytes: new TextEncoder().encode(text),
    usual: 'mm' as const,
    now: bench.now
  });
  const take = async (text: string, id = ulid()) => {
    const { ended } = await beginImport(bench.store, fileOf(text), { id, name: 'table.csv', who: 'test' });
    await ended;
    return id;
  };
  const countOf = async (table: typeof testTable | typeof sample) =>
    (await bench.store.db.select().from(table)).length;

  it('becomes finished tests, on their day, of samples in areas that are known by name', async () => {
    const { areaId } = await addArea(bench);
    await take(TABLE);
    const lines = await logLines(bench.store, 'kept');
    expect(lines.map(({ code, sampleName, class: name }) => [code, sampleName, name])).to.deep.equal([
      ['S1b', 'Oak corner', 'sandy loam'],
      ['P1', 'Old pond', 'silty clay loam'],
      ['S1', 'Oak corner', 'sandy loam']
    ]);
    const [oak, pond] = await bench.store.db.select().from(sample).orderBy(sample.name);
    expect([oak.areaId, pond.areaId]).to.deep.equal([areaId, null]);
    expect(oak.details.takenOn).to.equal('2024-04-14');
    const [first] = await bench.store.db.select().from(testTable).where(eq(testTable.code, 'S1'));
    expect(first).to.include({ note: 'limed', status: 'finished' });
    const [stands] = await bench.store.db.select().from(run).where(eq(run.testId, first.id));
    expect(new Date(stands.setDownAt).toISOString().slice(0, 10)).to.equal('2024-04-14');
    const [other] = await bench.store.db.select().from(testTable).where(eq(testTable.code, 'P1'));
    expect(other.note).to.equal('From Nowhere');
  });

  it('tells before what it would do, and knows the same file again', async () => {
    await addArea(bench);
    const look = await lookAtTable(bench.store, fileOf(TABLE));
    expect(look).to.include({ good: 3, bad: 1, shares: 3, already: null });
    expect(look.unknownAreas).to.deep.equal([['Nowhere', 1]]);
    expect(await countOf(testTable)).to.equal(0);
    await take(TABLE);
    expect((await lookAtTable(bench.store, fileOf(TABLE))).already).to.include({
      name: 'table.csv',
      done: 3
    });
  });

  it('reads no row by an instrument, whose readings no table has', async () => {
    await take('Sample,Method,Sand,Clay\nPit,hydrometer-2pt,40,20\nHole,jar-timed,40,20\n');
    const tests = await bench.store.db.select().from(testTable).orderBy(testTable.code);
    expect(tests.map(({ code, methodKey, note }) => [code, methodKey, note])).to.deep.equal([
      ['H1', 'jar-timed', ''],
      ['P1', 'jar-bands', 'Method: hydrometer-2pt']
    ]);
  });

  it('joins a sample that is there, and gives its jars the next letters', async () => {
    await bench.do('sample.add', { sampleId: ulid(), name: 'Old pond', purpose: 'build' });
    await take('Sample,Sand,Clay\nold pond,12,28\n');
    expect(await countOf(sample)).to.equal(1);
    const codes = (await logLines(bench.store, 'kept')).map((line) => line.code);
    expect(codes).to.deep.equal(['P1']);
  });

  it('is estimated by mass where it tells heights and is short', async () => {
    await take('Sample,Sand mm,Silt mm,Clay mm\nBank,22,8.5,4.5\n');
    const [line] = await logLines(bench.store, 'kept');
    expect(line.read).to.include.keys('sand');
    expect(line.sand).not.to.equal(line.read?.sand);
  }).timeout(20_000);

  it('is done once however often it is sent', async () => {
    const id = await take(TABLE);
    await take(TABLE, id);
    expect(await countOf(testTable)).to.equal(3);
    expect((await bench.store.db.select().from(event)).map(({ what }) => what)).to.deep.equal(['import.add']);
    // Each of its tests tells in its history where it came from.
    for (const { id: testId } of await logLines(bench.store, 'kept')) {
      const { events } = (await testDetail(bench.store.db, testId))!;
      expect(events.map(({ what, detail }) => [what, detail.count])).to.deep.equal([['import.add', 3]]);
    }
  });

  it('is taken back in one press, but for what somebody went on with', async () => {
    const id = await take(TABLE);
    const [first, second] = await logLines(bench.store, 'kept');
    await bench.do('jar.note', { testId: first.id, kind: 'moved' });
    const own = {
      sampleId: second.sampleId,
      name: 'Old pond, east',
      purpose: 'garden' as const,
      details: {}
    };
    await bench.do('sample.edit', own);
    const undone = await undoImport(bench.store, id, { who: 'test', now: bench.now });
    expect(undone).to.include({ stayed: 1, undoneAt: bench.now });
    expect((await logLines(bench.store, 'kept')).map((line) => line.id)).to.deep.equal([first.id]);
    const names = (await bench.store.db.select().from(sample)).map(({ name }) => name);
    expect(names.sort()).to.deep.equal(['Oak corner', 'Old pond, east']);
    const again = undoImport(bench.store, id, { who: 'test', now: bench.now });
    expect((await refusal(again)).status).to.equal(409);
  });

  it('leaves nothing where it is stopped, or the server ends meanwhile', async () => {
    const rows = Array.from({ length: 900 }, (_, i) => `Pit ${i},${20 + (i % 40)},20`).join('\n');
    const id = ulid();
    const begun = await beginImport(bench.store, fileOf(`Sample,Sand,Clay\n${rows}\n`), {
      id,
      name: 'long.csv',
      who: 'test'
    });
    expect(begun.record).to.include({ rows: 900, finishedAt: null });
    while ((await countOf(testTable)) === 0) await new Promise((resolve) => setTimeout(resolve, 5));
    expect(stopImport(id)).to.equal(true);
    await begun.ended;
    expect([await countOf(testTable), await countOf(sample)]).to.deep.equal([0, 0]);
    expect((await refusal(importState(bench.store, id))).status).to.equal(404);
    // As a server leaves it that was killed in between.
    const kept = await take(TABLE);
    await bench.store.db.update(tableImport).set({ finishedAt: null }).where(eq(tableImport.id, kept));
    await takeBackLost(bench.store);
    expect([await countOf(testTable), await countOf(sample)]).to.deep.equal([0, 0]);
  });

  it('is refused where no row of it can be taken in, and nothing is written', async () => {
    const refused = await refusal(
      beginImport(bench.store, fileOf('a,b\n1,2\n'), { id: ulid(), name: 'x', who: 'test' })
    );
    expect(refused.fields.file).to.match(/columns/);
    expect(await bench.store.db.select().from(tableImport)).to.deep.equal([]);
  });
});
