import { expect } from 'chai';
import { ulid } from 'ulid';
import { pageOf } from '../../../src/lib/server/download.ts';
import { eachLine, linesOfSample, logLines, logPage } from '../../../src/lib/server/repositories/log.ts';
import {
  areasWithPoints,
  countPoints,
  eachPoint,
  knowPoints,
  newestPoint,
  pointCells,
  pointChoices
} from '../../../src/lib/server/repositories/points.ts';
import { codeKey, LOG_ORDER, LOG_SORTS } from '../../../src/lib/workbench/find.ts';
import { all } from './all.ts';
import { ENTRY, openBench, prepareJar, standJar, type TestBench } from './bench.ts';

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
    const [siteId, areaId] = [ulid(), ulid()];
    await bench.do('site.add', { siteId, name: 'Skarn Holm' });
    const outline: [number, number][] = [
      [0, 0],
      [10, 0],
      [10, 8]
    ];
    await bench.do('area.add', { areaId, siteId, name: 'South bed', purpose: 'garden', outline });
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
        const { lines, found } = await logPage(bench.store, 'kept', { text: '', sort, from, most: 5 });
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
      const { lines, found } = await logPage(bench.store, 'kept', { text, sort: 'date', from: 0, most: 9 });
      expect(found).to.equal(lines.length);
      return lines.map((line) => line.sampleName);
    };
    expect(await names('100 % CLAY')).to.eql(['Bed 100 % clay']);
    expect(await names('r_s')).to.eql(['Under_score']);
    expect(await names("'; drop table")).to.eql([]);
    expect(await names('not set down')).to.have.length(3);
  });

  it('is counted where it lies, and offers what there is to choose from', async () => {
    const [siteId, areaId] = [ulid(), ulid()];
    await bench.do('site.add', { siteId, name: 'Skarn Holm' });
    await bench.do('area.add', {
      areaId,
      siteId,
      name: 'South bed',
      purpose: 'garden',
      outline: [
        [0, 0],
        [10, 0],
        [10, 8]
      ]
    });
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
      sites: [{ value: siteId, label: 'Skarn Holm' }],
      areas: [{ value: areaId, label: 'South bed' }],
      years: [{ value: '2026', label: '2026' }],
      methods: [{ value: 'jar-timed', label: 'Timed marks' }]
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
