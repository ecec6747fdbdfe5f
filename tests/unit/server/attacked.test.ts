import { expect } from 'chai';
import fc from 'fast-check';
import { createClient } from '@libsql/client';
import sharp from 'sharp';
import { ulid } from 'ulid';
import { commandNames, definitionOf } from '../../../src/lib/contract/commands.ts';
import { unseenIn } from '../../../src/lib/contract/unseen.ts';
import { csvFile } from '../../../src/lib/formats/csv-file.ts';
import type { Reader } from '../../../src/lib/server/db.ts';
import { databaseProblem } from '../../../src/lib/server/problem.ts';
import { keptTest } from '../../../src/lib/server/kept.ts';
import { keepPhoto, photoBytes, sweepFiles } from '../../../src/lib/server/photos.ts';
import { allSamples, csvOf } from './all.ts';
import { logLines } from '../../../src/lib/server/repositories/log.ts';
import { benchShelf, testDetail, UnreadableTest } from '../../../src/lib/server/repositories/tests.ts';
import { ENTRY, openBench, prepareJar, standJar, type TestBench } from './bench.ts';
import { refusal } from './refusal.ts';

const DAY_MS = 86_400_000;
/** What the checker itself would say, and no sentence of ours. */
const RAW = /Invalid|[Ee]xpected|received|Too (big|small)|Unrecognized|undefined|NaN/;

describe('what comes in from outside', () => {
  it('is refused in sentences, whatever it is', () => {
    const hostile = fc.oneof(
      fc.anything(),
      fc.constantFrom<unknown>(1e305, -1, 2 ** 60, 'x'.repeat(5000), '', null, [], {}, true)
    );
    for (const name of commandNames) {
      const schema = definitionOf(name).body;
      const keys = 'shape' in schema ? Object.keys(schema.shape as object) : ['testId'];
      fc.assert(
        fc.property(fc.dictionary(fc.constantFrom(...keys, 'more'), hostile), (payload) => {
          const checked = schema.safeParse(payload);
          for (const { message, path } of checked.error?.issues ?? []) {
            expect(message, `${name} ${path.join('.')}`).to.match(/^\p{Lu}.*[.:?]$/u);
            expect(message, `${name} ${path.join('.')}`).to.not.match(RAW);
          }
        }),
        { numRuns: 30 }
      );
      for (const { message } of schema.safeParse({}).error?.issues ?? []) expect(message).to.not.match(RAW);
    }
  });

  it('holds no character that cannot be seen, wherever it stands', () => {
    expect(unseenIn({ payload: { name: 'North\u0000bed' } })).to.equal('name');
    expect(unseenIn({ payload: { items: [{ theirs: 'a' }, { theirs: '\u0007' }] } })).to.equal(
      'items.1.theirs'
    );
    expect(unseenIn({ payload: { 'a\u0000': 1 } })).to.equal('payload');
    expect(unseenIn('\ud800')).to.equal('form');
    for (const fine of ['line\nbreak\tand tab', '🪣 bucket', 'Ærø', '', 3, null])
      expect(unseenIn({ payload: { fine } })).to.equal(undefined);
  });

  it('is text in a cell of CSV, whatever stands in its further lines', () => {
    for (const cell of ['=1+1', '=1+1\n', '+1\r\n=2', '-2\n', '@x', '\t=1', '\n=1']) {
      const [, row] = csvFile([{ cell }]).split(/\r\n(.*)/s);
      expect(row, JSON.stringify(cell)).to.match(/^"'/);
    }
    expect(csvFile([{ cell: 'plain = fine' }])).to.equal('cell\r\nplain = fine\r\n');
    expect(csvFile([{ cell: -3.5 }])).to.equal('cell\r\n-3.5\r\n');
  });
});

describe('the record under attack', () => {
  let bench: TestBench;
  beforeEach(async () => (bench = await openBench()));
  afterEach(() => bench.close());
  const db = () => bench.store.db;

  it('answers an id that is in use with a sentence, and changes nothing', async () => {
    const sampleId = ulid();
    await bench.do('sample.add', { sampleId, name: 'Bank', purpose: 'build' });
    const again = await refusal(bench.do('sample.add', { sampleId, name: 'Another', purpose: 'build' }));
    expect(again).to.include({ status: 409 });
    expect(again.message).to.match(/id is there already/);
    const failed = (code: string) =>
      databaseProblem(new Error('Failed query', { cause: Object.assign(new Error('x'), { code }) }));
    expect(failed('SQLITE_CONSTRAINT_FOREIGNKEY')?.status).to.equal(409);
    expect(failed('SQLITE_FULL')?.status).to.equal(507);
    expect(failed('SQLITE_BUSY')?.status).to.equal(503);
    expect(failed('SQLITE_ERROR')).to.equal(undefined);
    expect(databaseProblem(new Error('something else'))).to.equal(undefined);
  });

  it('takes nothing back that something has come to depend on', async () => {
    const later = async (what: Promise<{ eventId: string }>, then: () => Promise<unknown>) => {
      const { eventId } = await what;
      await then();
      const refused = await refusal(bench.do('undo', { eventId }));
      expect(refused.status).to.equal(409);
      expect(refused.message).to.match(/Something later builds on this/);
    };
    // A mark on a run, which would have gone with it.
    const { testId } = await prepareJar(bench);
    const runId = ulid();
    await later(bench.do('jar.set-down', { testId, runId }), () => {
      bench.now += 61_000;
      return bench.do('jar.mark', { testId, runId, markId: ulid(), layer: 'sand' }).then(() => {
        bench.now -= 61_000;
      });
    });
    expect((await testDetail(db(), testId))!.runs[0].marks).to.have.length(1);
    // A test on a sample, a picture of one, pieces of one, one in a folder.
    const added = (name: string) => {
      const sampleId = ulid();
      return { sampleId, done: bench.do('sample.add', { sampleId, name, purpose: 'build' }) };
    };
    const [a, b, c] = [added('One'), added('Two'), added('Three')];
    await later(a.done, () => prepareJar(bench, { sampleId: a.sampleId }));
    const set = { kind: 'ball' as const, count: 1, cureDays: 0 };
    await later(b.done, () => bench.do('trial.plan', { trialId: ulid(), sampleId: b.sampleId, ...set }));
    const items = [{ sampleId: c.sampleId, theirs: '1' }];
    await later(c.done, () => bench.do('folder.add', { folderId: ulid(), name: 'Soils', items }));
    // A piece that has told, on its set; a reading on a blank.
    const trialId = ulid();
    await later(bench.do('trial.plan', { trialId, sampleId: b.sampleId, ...set }), async () => {
      await bench.do('trial.form', { trialId });
      await bench.do('piece.keep', { trialId, pieceId: ulid(), no: 1, seen: { drop: 'few' } });
    });
    const blankId = ulid();
    await later(bench.do('blank.add', { blankId, name: 'Monday' }), () =>
      bench.do('blank.read', { blankId, readingId: ulid(), value: 2, tempC: 18 })
    );
    // A hole in an area that was drawn within the minute.
    const [siteId, areaId] = [ulid(), ulid()];
    await bench.do('site.add', { siteId, name: 'Skarn Holm' });
    const outline: [number, number][] = [
      [0, 0],
      [9, 0],
      [9, 9]
    ];
    await later(bench.do('area.add', { areaId, siteId, name: 'Bed', purpose: 'garden', outline }), () => {
      const length = { mm: 300, text: '300 mm' };
      return bench.do('hole.dig', { holeId: ulid(), areaId, depth: length, width: length });
    });
  });

  it('says over the whole what is wrong with the first, where it is, and how many more there are', async () => {
    const outline: [number, number][] = [
      [0, 0],
      [9, 0],
      [9, 9]
    ];
    const area = (name: string) => ({ areaId: ulid(), name, purpose: 'garden' as const, outline });
    const siteId = ulid();
    await bench.do('site.add', { siteId, name: 'Skarn Holm' });
    const bring = (names: string[]) =>
      refusal(bench.do('ground.import', { siteId, earth: null, areas: names.map(area), spots: [] }));
    expect((await bring(['Bed', ''])).message).to.match(/^Area 2: .*[nN]ame/);
    expect((await bring(['', 'x'.repeat(90)])).message).to.match(
      /^Area 1: .*\. 1 more needs another look\.$/
    );
    const twice = area('Bed');
    const double = { siteId, earth: null, areas: [twice, { ...twice }], spots: [] };
    expect((await refusal(bench.do('ground.import', double))).message).to.match(/id is there already/);
    expect((await refusal(bench.do('sample.add', {} as never))).message).to.match(
      /more need another look\.$/
    );
  });

  it('still takes back what nothing depends on', async () => {
    const sampleId = ulid();
    const { eventId } = await bench.do('sample.add', { sampleId, name: 'Bank', purpose: 'build' });
    await bench.do('undo', { eventId });
    expect((await refusal(bench.do('undo', { eventId }))).message).to.match(/undone already/);
  });

  it('keeps a picture that a reading or a kept result was read from', async () => {
    const grey = await sharp({ create: { width: 8, height: 8, channels: 3, background: '#888' } })
      .png()
      .toBuffer();
    const [read, loose] = [
      await keepPhoto(bench.store, grey, bench.now),
      await keepPhoto(bench.store, grey, bench.now)
    ];
    const { testId } = await standJar(bench);
    bench.now += 26 * 3_600_000;
    const readingId = ulid();
    await bench.do('jar.read', { testId, readingId, entry: { ...ENTRY, photoFileId: read.id } });
    await bench.do('test.finish', { testId, readingId, resultId: ulid() });
    expect(await sweepFiles(bench.store, bench.now + 2 * DAY_MS)).to.equal(1);
    expect(await photoBytes(bench.store, read.id)).to.be.instanceOf(Buffer);
    expect(await photoBytes(bench.store, loose.id)).to.equal(undefined);
    // The reading may go; what was kept of it still refers to the picture. An entry that is damaged stops nothing.
    await bench.store.client.execute("update reading set entry = '{'");
    expect(await sweepFiles(bench.store, bench.now + 2 * DAY_MS)).to.equal(0);
  });

  it('lets go of loose pictures among more than a statement takes variables', async () => {
    const many = 'with recursive n(i) as (select 1 union all select i + 1 from n where i < 33000)';
    await bench.store.client.execute(
      `${many} insert into photo_file (id, bytes, width, height, created_at) select 'F' || i, x'00', 1, 1, 0 from n`
    );
    await bench.store.client.execute(
      `${many} insert into photo (id, file_id, subject, subject_id, caption, created_at)
        select 'P' || i, 'F' || i, 'sample', 'x', '', 0 from n where i > 10`
    );
    expect(await sweepFiles(bench.store, bench.now)).to.equal(10);
  });

  it('names a test that cannot be shown, and goes on with the others', async () => {
    const { testId } = await standJar(bench);
    const other = await standJar(bench);
    await bench.store.client.execute({
      sql: "update test set method_key = 'lost' where id = ?",
      args: [testId]
    });
    const problem = await testDetail(db(), testId).catch((error: unknown) => error);
    expect(problem).to.be.instanceOf(UnreadableTest);
    expect((problem as Error).message).to.match(/^\w+ cannot be shown: .* stays as it is\.$/);
    expect(await keptTest(db(), testId)).to.equal(undefined);
    // What the database refuses is no fault of the row.
    const busy = { select: db().select.bind(db()) };
    let asked = 0;
    const refuses: Reader = {
      ...busy,
      select: ((...fields: []) => {
        if (asked++ > 0) throw Object.assign(new Error('x'), { code: 'SQLITE_BUSY' });
        return busy.select(...fields);
      }) as Reader['select']
    };
    expect((await refusal(testDetail(refuses, other.testId))).status).to.equal(503);
    expect((await benchShelf(db())).unreadable).to.have.length(1);
    expect((await logLines(bench.store, 'kept')).map((line) => line.id)).to.include(other.testId);
  });

  it('forgets the rows of an emptied bin everywhere, and takes nothing of it back', async () => {
    const { testId } = await prepareJar(bench);
    const other = await prepareJar(bench);
    const setDownAt = bench.now + 3_600_000;
    const plan = await bench.do('bench.plan', {
      jars: [
        { testId, setDownAt },
        { testId: other.testId, setDownAt }
      ]
    });
    const binned = await bench.do('test.bin', { testId });
    await bench.do('bin.empty', {});
    const left = await bench.store.client.execute({
      sql: 'select count(*) as n from event where changes like ? and what != ?',
      args: [`%${testId}%`, 'bin.empty']
    });
    expect(Number(left.rows[0].n)).to.equal(0);
    expect((await refusal(bench.do('undo', { eventId: binned.eventId }))).status).to.equal(409);
    // What the plan still holds can be taken back.
    await bench.do('undo', { eventId: plan.eventId });
    expect((await testDetail(db(), other.testId))!.plannedAt).to.equal(null);
  });

  it('waits for another program outside the event loop, and says so where it waits in vain', async () => {
    const other = createClient({ url: bench.url });
    const sample = (name: string) => bench.do('sample.add', { sampleId: ulid(), name, purpose: 'garden' });
    const held = await other.transaction('write');
    let ticks = 0;
    const ticking = setInterval(() => ticks++, 10);
    const waiting = sample('North');
    await new Promise((resolve) => setTimeout(resolve, 400));
    await held.rollback();
    await waiting;
    clearInterval(ticking);
    // Of forty ticks most came: nothing stood still.
    expect(ticks).to.be.greaterThan(4);
    const again = await other.transaction('write');
    const inVain = await refusal(sample('South'));
    expect(inVain).to.include({ status: 503 });
    expect(inVain.message).to.match(/Another program holds the record/);
    await again.rollback();
    other.close();
    await sample('West');
    expect((await allSamples(db())).map((one) => one.name)).to.eql(['North', 'West']);
  }).timeout(20_000);

  it('lists and exports more tests than a statement takes variables', async () => {
    const { testId } = await prepareJar(bench);
    const columns = (await bench.store.client.execute('pragma table_info(test)')).rows
      .map((row) => String(row.name))
      .filter((name) => name !== 'id' && name !== 'code');
    await bench.store.client.execute({
      sql: `with recursive n(i) as (select 1 union all select i + 1 from n where i < 33000)
        insert into test (id, code, ${columns.join(', ')})
        select 'T' || i, 'X' || i, ${columns.map((name) => `t.${name}`).join(', ')} from n, test t where t.id = ?`,
      args: [testId]
    });
    const lines = await logLines(bench.store, 'kept');
    expect(lines).to.have.length(33_001);
    expect((await csvOf(lines)).split('\r\n')).to.have.length(33_003);
    expect((await benchShelf(db())).jars).to.have.length(33_001);
  }).timeout(180_000);
});
