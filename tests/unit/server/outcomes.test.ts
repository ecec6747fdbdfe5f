import { expect } from 'chai';
import { ulid } from 'ulid';
import { pageOf } from '../../../src/lib/server/download.ts';
import {
  eachLine,
  eachShown,
  linesOfSample,
  logChoices,
  logLines,
  logPage
} from '../../../src/lib/server/repositories/log.ts';
import {
  areasWithPoints,
  countPoints,
  eachPoint,
  knowPoints,
  newestPoint,
  pointCells,
  pointChoices
} from '../../../src/lib/server/repositories/points.ts';
import { keptViews } from '../../../src/lib/server/repositories/views.ts';
import { NO_FILTER, type LogFilter } from '../../../src/lib/workbench/filter.ts';
import {
  codeKey,
  LOG_ORDER,
  LOG_SORTS,
  logAddress,
  readLogAddress
} from '../../../src/lib/workbench/find.ts';
import { eventsOfTest } from '../../../src/lib/server/events.ts';
import { all } from './all.ts';
import { addArea, ENTRY, openBench, prepareJar, standJar, type TestBench } from './bench.ts';
import { refusal } from './refusal.ts';

/** All that there is, newest first. */
const ALL = readLogAddress(new URLSearchParams());
const DAY_MS = 86_400_000;

describe('what came of tests', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await openBench()));
  afterEach(() => bench.close());

  async function finished(o: { sampleId?: string } = {}) {
    const stood = await standJar(bench, o);
    bench.now += 2 * DAY_MS;
    const readingId = ulid();
    await bench.do('jar.read', { testId: stood.testId, readingId, entry: ENTRY });
    await bench.do('test.finish', { testId: stood.testId, readingId, resultId: ulid() });
    return stood;
  }
  const sql = (text: string, ...args: string[]) => bench.store.client.execute({ sql: text, args });

  it('is known anew after any row it is made of was written, whoever wrote it', async () => {
    const { siteId, areaId } = await addArea(bench);
    const { testId, sampleId } = await finished();
    const line = async () => (await logLines(bench.store, 'kept'))[0];
    const point = async () => (await knowPoints(bench.store))[0];
    expect(await line()).to.include({ id: testId, status: 'finished', problem: null });
    expect((await point()).areaName).to.equal(null);
    await sql("update sample set name = 'Till bank', area_id = ? where id = ?", areaId, sampleId);
    expect((await line()).sampleName).to.equal('Till bank');
    expect(await point()).to.include({
      sampleName: 'Till bank',
      areaName: 'South bed',
      siteName: 'Skarn Holm'
    });
    await sql("update area set name = 'North bed' where id = ?", areaId);
    await sql("update site set name = 'Cistern' where id = ?", siteId);
    expect(await point()).to.include({ areaName: 'North bed', siteName: 'Cistern' });
    await sql('update run set set_down_at = set_down_at - 1000 where test_id = ?', testId);
    expect((await line()).setDownAt! % 60_000).to.equal(59_000);
    await sql(
      "update method set definition = json_set(definition, '$.name', 'Old marks') where key = 'jar-timed'"
    );
    expect((await line()).methodName).to.equal('Old marks');
    await sql('update result set reopened_at = 1 where test_id = ?', testId);
    expect(await line()).to.include({ class: null, mass: null });
    expect(await point()).to.equal(undefined);
    // Until it is kept it is read through the glass.
    const { sand } = await line();
    await sql('update vessel set dome_mm = 12');
    expect((await line()).sand).not.to.equal(sand);
    await sql('delete from reading where test_id = ?', testId);
    expect((await line()).sand).to.equal(null);
    await sql('delete from test where id = ?', testId);
    expect(await line()).to.equal(undefined);
  });

  it('stands on pages in each order, every test once', async () => {
    const { sampleId } = await finished();
    for (let i = 0; i < 11; i++) await prepareJar(bench, i < 4 ? { sampleId } : {});
    bench.now += DAY_MS;
    await finished({ sampleId });
    const whole = await logLines(bench.store, 'kept');
    for (const sort of LOG_SORTS) {
      const pages = [];
      for (let from = 0; from < 13; from += 5) {
        const { lines, found } = await logPage(bench.store, 'kept', { ...ALL, sort, from, most: 5 });
        expect(found).to.equal(13);
        pages.push(...lines);
      }
      expect(new Set(pages.map((line) => line.id)).size).to.equal(13);
      // As a list on the page would be put in order.
      expect(pages.map((line) => line.id)).to.eql([...pages].sort(LOG_ORDER[sort]).map((line) => line.id));
    }
    const own = await linesOfSample(bench.store, sampleId);
    expect(own.map((line) => line.id)).to.have.members(
      whole.filter((line) => line.sampleId === sampleId).map((line) => line.id)
    );
    // Pages that follow each other are the whole, as one that is sent at once.
    const followed = [];
    let after: string | undefined;
    do {
      const { items, next } = await pageOf(eachLine(bench.store, 'kept', { after, most: 4 }), 4);
      followed.push(...items);
      after = next ?? undefined;
    } while (after);
    expect(followed).to.eql(whole);
    const points = await all(eachPoint(bench.store));
    expect(points).to.have.length(2);
    expect(await all(eachPoint(bench.store, { after: points[0].id }))).to.eql([points[1]]);
  });

  it('is searched for what is written, and for no pattern', async () => {
    for (const name of ['Bed 100 % clay', 'Bed 100 x clay', 'Under_score']) {
      const sampleId = ulid();
      await bench.do('sample.add', { sampleId, name, purpose: 'garden' });
      await prepareJar(bench, { sampleId });
    }
    const names = async (text: string) => {
      const { lines, found } = await logPage(bench.store, 'kept', { ...ALL, text });
      expect(found).to.equal(lines.length);
      return lines.map((line) => line.sampleName);
    };
    expect(await names('100 % CLAY')).to.eql(['Bed 100 % clay']);
    expect(await names('r_s')).to.eql(['Under_score']);
    expect(await names("'; drop table")).to.eql([]);
    expect(await names('not set down')).to.have.length(3);
    // What was noted of a sample or a jar is found by it.
    await sql("update sample set note = 'By the OLD pump' where name = 'Under_score'");
    expect(await names('pump old')).to.eql(['Under_score']);
    await sql("update test set note = 'split spoon' where code = (select min(code) from test)");
    expect(await names('spoon')).to.have.length(1);
  });

  it('is narrowed by each of its fields, and an export holds what is shown', async () => {
    const { testId } = await finished();
    const ready = await prepareJar(bench);
    await sql('update sample set purpose = ? where id = ?', 'build', ready.sampleId);
    const [line] = (await logLines(bench.store, 'kept')).filter((one) => one.id === testId);
    const shown = async (filter: Partial<LogFilter>) => {
      const asked = { ...ALL, filter: { ...NO_FILTER, ...filter } };
      const lines = await all(eachShown(bench.store, asked));
      const page = await logPage(bench.store, 'kept', asked);
      expect(page.lines).to.eql(lines);
      expect(page.found).to.equal(lines.length);
      expect(await all(eachLine(bench.store, 'kept', { asked }))).to.eql(lines);
      // By the address it is the same.
      const address = logAddress('/log', asked);
      expect(readLogAddress(new URLSearchParams(address.split('?')[1])).filter).to.eql(asked.filter);
      return lines.map((one) => one.id);
    };
    expect(await shown({})).to.have.length(2);
    expect(await shown({ purpose: 'build' })).to.eql([ready.testId]);
    expect(await shown({ status: 'finished' })).to.eql([testId]);
    expect(await shown({ className: line.class! })).to.eql([testId]);
    expect(await shown({ methodKey: 'jar-timed', year: '2026' })).to.have.length(2);
    expect(await shown({ year: '1999' })).to.eql([]);
    expect(await shown({ trouble: 'yes' })).to.eql(line.doubtful ? [testId] : []);
    await sql("update test set method_key = 'lost' where id = ?", ready.testId);
    expect(await shown({ trouble: 'yes' })).to.include(ready.testId);
    const choices = await logChoices(bench.store);
    expect(choices.purpose.map((one) => one.label)).to.eql(['Building', 'Garden']);
    expect(choices.className.map((one) => one.value)).to.eql([line.class]);
  });

  it('is seen by views that are kept by a name, as the log itself writes what they ask for', async () => {
    const keep = (name: string, query: string) => bench.do('view.keep', { viewId: ulid(), name, query });
    await keep('Building', 'purpose=build&nothing=1&from=400');
    const [view] = await keptViews(bench.store.db);
    expect(view).to.include({ name: 'Building', query: 'purpose=build' });
    expect((await refusal(keep('Building', 'q=x'))).fields.name).to.match(/this name already/);
    expect((await refusal(keep('All', 'from=20'))).fields.name).to.match(/every test/);
    expect((await refusal(keep(' ', 'q=x'))).fields.name).to.match(/a name/);
    await bench.do('view.remove', { viewId: view.id });
    expect(await keptViews(bench.store.db)).to.eql([]);
  });

  it('goes into the bin with others, comes back with them, and says so in its history', async () => {
    const jars = [await prepareJar(bench), await prepareJar(bench)];
    const testIds = jars.map((jar) => jar.testId);
    const binned = await bench.do('tests.bin', { testIds: [...testIds, testIds[0]] });
    expect(await logLines(bench.store, 'kept')).to.eql([]);
    await refusal(bench.do('tests.bin', { testIds }));
    await bench.do('undo', { eventId: binned.eventId });
    expect(await logLines(bench.store, 'kept')).to.have.length(2);
    await bench.do('tests.bin', { testIds });
    // One that is not in the bin leaves the others there.
    await bench.do('test.restore', { testId: testIds[0] });
    await refusal(bench.do('tests.restore', { testIds }));
    expect(await logLines(bench.store, 'bin')).to.have.length(1);
    const history = await eventsOfTest(bench.store.db, { id: testIds[1], importId: null });
    expect(history.map((one) => one.what)).to.include.members(['tests.bin', 'jar.prepare']);
    await bench.do('bin.empty', {});
    const left = (await sql("select changes from event where what = 'tests.bin'")).rows;
    expect(left.map((row) => String(row.changes)).join('')).not.to.contain(testIds[1]);
  });

  it('is counted where it lies, and offers what there is to choose from', async () => {
    const { siteId, areaId } = await addArea(bench);
    const first = await finished();
    await sql('update sample set area_id = ? where id = ?', areaId, first.sampleId);
    const second = await finished();
    const cells = await pointCells(bench.store);
    expect(cells.reduce((sum, cell) => sum + cell.count, 0)).to.equal(2);
    const [point] = await knowPoints(bench.store, { testIds: [first.testId] });
    expect(cells.map(({ sand, clay }) => ({ sand, clay }))).to.deep.include({
      sand: Math.round(point.fractions.sand),
      clay: Math.round(point.fractions.clay)
    });
    expect(await countPoints(bench.store, { areaId })).to.equal(1);
    expect(await areasWithPoints(bench.store)).to.eql([{ id: areaId, name: 'South bed' }]);
    expect(await pointChoices(bench.store)).to.eql({
      siteId: [{ value: siteId, label: 'Skarn Holm' }],
      areaId: [{ value: areaId, label: 'South bed' }],
      year: [{ value: '2026', label: '2026' }],
      methodKey: [{ value: 'jar-timed', label: 'Timed marks' }]
    });
    expect((await knowPoints(bench.store, {}, 1)).map((p) => p.id)).to.eql([second.testId]);
    expect((await newestPoint(bench.store, { areaId }))?.id).to.equal(first.testId);
    const { code } = point;
    expect((await newestPoint(bench.store, { code: code.toLowerCase() }))?.id).to.equal(first.testId);
    expect(await newestPoint(bench.store, { code: 'none' })).to.equal(undefined);
  });

  it('has codes in the order of their numbers', () => {
    const codes = ['N10', 'N2b', 'N2', 'M100', 'N2c'];
    const inOrder = [...codes].sort((a, b) => (codeKey(a) < codeKey(b) ? -1 : 1));
    expect(inOrder).to.eql(['M100', 'N2', 'N2b', 'N2c', 'N10']);
  });
});
