import { createReadStream, createWriteStream, existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect } from 'chai';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { createHash } from 'node:crypto';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { archiveParts } from '../../../src/lib/formats/archive/write.ts';
import { seedDemo } from '../../../demo/seed.ts';
import { benchTables, rowsOf, sumOf, unpackArchive, writeArchive } from '../../../src/lib/server/archive.ts';
import { Copies } from '../../../src/lib/server/copies.ts';
import { openStore, type Store } from '../../../src/lib/server/db.ts';
import { migrationsUpTo } from '../../../src/lib/server/migrate.ts';
import { freshen } from '../../../src/lib/server/outcomes.ts';
import { putBack } from '../../../src/lib/server/put-back.ts';
import { logLines } from '../../../src/lib/server/repositories/log.ts';
import { restoreWaiting, takeUpArchive, takeUpCopy } from '../../../src/lib/server/restoring.ts';
import { openBench, prepareJar, START, type TestBench } from './bench.ts';
import { refusal } from './refusal.ts';

const ROOT = process.cwd();
const zipOf = (bench: TestBench) => join(bench.folder, 'bench.zip');
const save = (bench: TestBench) => writeArchive({ url: bench.url }, zipOf(bench), { root: ROOT, now: START });
const bodyOf = (file: string) => Readable.toWeb(createReadStream(file)) as ReadableStream<Uint8Array>;

/** The sum of each table, and of the pictures. */
async function sumsOf({ client }: Pick<Store, 'client'>): Promise<Record<string, string>> {
  const sums: Record<string, string> = {};
  for (const table of await benchTables(client)) sums[table] = await sumOf(client, table);
  const { rows } = await client.execute('select id, hex(bytes) as b from photo_file order by id');
  sums.pictures = createHash('sha256').update(JSON.stringify(rows)).digest('hex');
  return sums;
}

describe('an archive there and back', () => {
  let bench: TestBench;
  let other: TestBench;
  before(async () => {
    bench = await openBench();
    await seedDemo(bench.store, START);
    await save(bench);
  });
  after(() => bench.close());
  beforeEach(async () => (other = await openBench()));
  afterEach(() => other.close());

  it('brings a whole bench to another, row by row and picture by picture, with what came of each test', async () => {
    await prepareJar(other);
    const copies = new Copies(join(other.folder, 'bench.db'), ROOT);
    const before = await sumsOf(bench.store);
    const up = await takeUpArchive(bodyOf(zipOf(bench)), 'bench.zip', { root: ROOT, now: START });
    expect(up.found).to.include({ pictures: up.found.rows.photo_file });
    expect(up.found.rows.test).to.be.greaterThan(20);
    // Looked through only: nothing of the other bench is changed yet.
    expect(await logLines(other.store, 'kept')).to.have.length(1);
    await restoreWaiting(other.store, up.id, { copies, who: 'test', now: START });
    const { event: now, ...rows } = await sumsOf(other.store);
    const { event: was, ...old } = before;
    expect(rows).to.deep.equal(old);
    expect(now).not.to.equal(was);
    const last = await other.store.client.execute("select detail from event where what = 'bench.restore'");
    expect(JSON.parse(String(last.rows[0].detail))).to.deep.equal({ name: 'bench.zip' });
    const lines = await logLines(bench.store, 'kept');
    expect(await logLines(other.store, 'kept')).to.deep.equal(lines);
    // It is written to as before, and what is written is worked out anew.
    const { testId } = await prepareJar(other);
    expect((await logLines(other.store, 'kept')).map((line) => line.id)).to.include(testId);
    // What was there stands among the copies, and goes back the same way.
    const [copy] = copies.list();
    const back = await takeUpCopy(copies, copy.name, { root: ROOT, now: START });
    await restoreWaiting(other.store, back.id, { copies: undefined, who: 'test', now: START });
    expect(await logLines(other.store, 'kept')).to.have.length(1);
    expect(
      (await refusal(restoreWaiting(other.store, back.id, { copies, who: 'test', now: START }))).status
    ).to.equal(404);
  }).timeout(120_000);

  it('loses nothing that is written meanwhile: it waits, and comes into the bench that was put back', async () => {
    const copies = new Copies(join(other.folder, 'bench.db'), ROOT);
    let meanwhile: ReturnType<typeof prepareJar> | undefined;
    const make = copies.make.bind(copies);
    copies.make = async (now) => {
      const made = await make(now);
      // Somebody presses in the moment after what was there has been copied.
      meanwhile ??= prepareJar(other);
      return made;
    };
    const up = await takeUpArchive(bodyOf(zipOf(bench)), 'bench.zip', { root: ROOT, now: START });
    const [first, second] = await Promise.allSettled(
      [1, 2].map(() => restoreWaiting(other.store, up.id, { copies, who: 'test', now: START }))
    );
    expect([first.status, second.status]).to.deep.equal(['fulfilled', 'rejected']);
    expect(second).to.have.nested.property('reason.status', 409);
    const { testId } = await meanwhile!;
    expect((await logLines(other.store, 'kept')).map((line) => line.id)).to.include(testId);
  }).timeout(60_000);

  it('makes a copy of its own where one was just being made, which lacks what was written since', async () => {
    const copies = new Copies(join(other.folder, 'bench.db'), ROOT);
    const daily = copies.make(START - 60_000);
    await prepareJar(other);
    const up = await takeUpArchive(bodyOf(zipOf(bench)), 'bench.zip', { root: ROOT, now: START });
    await daily;
    const slow = copies.make(START - 30_000);
    await restoreWaiting(other.store, up.id, { copies, who: 'test', now: START });
    await slow;
    expect(copies.list().find((copy) => copy.at >= START)?.tests).to.equal(1);
  }).timeout(60_000);

  it('leaves all as it was where it does not come to its end', async () => {
    await prepareJar(other);
    await freshen(other.store);
    const before = await sumsOf(other.store);
    const database = join(other.folder, 'unpacked.db');
    await unpackArchive(zipOf(bench), database, ROOT);
    const failed = await putBack(other.store, database, 'insert into no_such_table values (1)').catch(
      (problem: Error) => problem.message
    );
    expect(failed).to.match(/no_such_table/);
    expect(await sumsOf(other.store)).to.deep.equal(before);
    await prepareJar(other);
    expect(await logLines(other.store, 'kept')).to.have.length(2);
  }).timeout(60_000);

  it('of an older version is brought up to date; of a newer one it is refused', async () => {
    const url = `file:${join(other.folder, 'old.db')}`;
    const old = await openStore(url);
    await migrate(old.db, { migrationsFolder: migrationsUpTo(18, other.folder) });
    await old.client.execute(
      "insert into sample (id, code, name, purpose, note, details, spot_ids, created_at) values ('s', 'K1', 'North bed', 'garden', 'by the tap', '{}', '[]', 1)"
    );
    const rows: Record<string, number> = {};
    for (const table of await benchTables(old.client)) rows[table] = table === 'sample' ? 1 : 0;
    const parts = archiveParts({
      manifest: {
        format: 'tivrel.archive',
        version: 1,
        madeAt: '2026-05-04T09:00:00.000Z',
        migrations: 18,
        rows,
        pictures: 0
      },
      rowsOf: (table) => rowsOf(old.client, table),
      async *pictures() {},
      async *testsCsv() {}
    });
    const target = join(other.folder, 'old.zip');
    await pipeline(parts, createWriteStream(target));
    old.close();
    const up = await takeUpArchive(bodyOf(target), 'old.zip', { root: ROOT, now: START });
    await restoreWaiting(other.store, up.id, { copies: undefined, who: 'test', now: START });
    const [sample] = (await other.store.client.execute('select name, import_id from sample')).rows;
    expect([sample.name, sample.import_id]).to.deep.equal(['North bed', null]);

    const files = unzipSync(readFileSync(zipOf(bench)));
    const newer = { ...JSON.parse(new TextDecoder().decode(files['tivrel-archive.json'])), migrations: 999 };
    writeFileSync(target, zipSync({ 'tivrel-archive.json': strToU8(JSON.stringify(newer)) }));
    const refused = await refusal(takeUpArchive(bodyOf(target), 'x.zip', { root: ROOT, now: START }));
    expect(refused.message).to.match(/newer version/);
  }).timeout(60_000);

  it('is refused where its rows cannot be, or a picture is none', async () => {
    const files = unzipSync(readFileSync(zipOf(bench)));
    const text = (name: string) => new TextDecoder().decode(files[name]);
    const changed = async (own: Record<string, Uint8Array>) => {
      const all = { ...files, ...own };
      const { 'sums.json': _, ...rest } = all;
      const sums = Object.fromEntries(
        Object.entries(rest).map(([name, bytes]) => [
          name,
          createHash('sha256').update(bytes).digest('base64url')
        ])
      );
      // In the order in which they were written.
      const target = join(other.folder, 'changed.zip');
      writeFileSync(target, zipSync({ ...rest, 'sums.json': strToU8(JSON.stringify(sums)) }, { level: 1 }));
      return (await refusal(takeUpArchive(bodyOf(target), 'x.zip', { root: ROOT, now: START }))).message;
    };
    const [first, ...rest] = text('rows/test.jsonl').split('\n');
    const lost = { ...JSON.parse(first), sample_id: 'nowhere' };
    expect(
      await changed({ 'rows/test.jsonl': strToU8([JSON.stringify(lost), ...rest].join('\n')) })
    ).to.match(/refers to one that is not there/);
    const more = { ...JSON.parse(first), evil: 1 };
    expect(
      await changed({ 'rows/test.jsonl': strToU8([JSON.stringify(more), ...rest].join('\n')) })
    ).to.match(/other columns/);
    const twice = [first, first, ...rest.slice(1)].join('\n');
    expect(await changed({ 'rows/test.jsonl': strToU8(twice) })).to.match(/cannot be/);
    expect(await changed({ 'rows/session.jsonl': strToU8('{"id":"x"}\n') })).to.match(/session/);
    // What lies in a row is looked at as well as that it is there.
    for (const [table, column, value] of [
      ['run', 'set_down_at', 'yesterday'],
      ['run', 'passed', '"sand"'],
      ['sample', 'details', '[]'],
      ['sample', 'spot_ids', '{}'],
      ['reading', 'entry', '"a text"'],
      ['test', 'prep', '3'],
      ['result', 'snapshot', '[]']
    ]) {
      const name = `rows/${table}.jsonl`;
      const [own, ...others] = text(name).split('\n');
      const row = { ...JSON.parse(own) };
      expect(row, `${table}.${column}`).to.have.property(column);
      const odd = [JSON.stringify({ ...row, [column]: value }), ...others].join('\n');
      expect(await changed({ [name]: strToU8(odd) }), `${table}.${column}`).to.match(
        new RegExp(`row of ${table} in this archive cannot be read: its ${column}`)
      );
    }
    const picture = Object.keys(files).find((name) => name.startsWith('pictures/'))!;
    expect(await changed({ [picture]: strToU8('<svg onload="x()"/>') })).to.match(/none that was kept/);
    expect(existsSync(join(other.folder, 'unpacked.db'))).to.equal(false);
    expect(await logLines(other.store, 'kept')).to.deep.equal([]);
  }).timeout(120_000);
});
