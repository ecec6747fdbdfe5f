import { spawnSync } from 'node:child_process';
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  statSync,
  truncateSync,
  writeFileSync
} from 'node:fs';
import { join } from 'node:path';
import { expect } from 'chai';
import { createClient } from '@libsql/client';
import { ulid } from 'ulid';
import {
  backupTo,
  BackupProblem,
  checkBackup,
  inOneFile,
  restoreFrom
} from '../../../src/lib/server/backup.ts';
import { openStore, requireAlone } from '../../../src/lib/server/db.ts';
import { allSamples } from './all.ts';
import { openBench, type TestBench } from './bench.ts';

const ROOT = process.cwd();

describe('backup and restore', () => {
  let bench: TestBench;
  beforeEach(async () => (bench = await openBench()));
  afterEach(() => bench.close());
  const at = (name: string) => join(bench.folder, name);
  const sample = (name: string) => bench.do('sample.add', { sampleId: ulid(), name, purpose: 'garden' });
  /** A database that no server has open: the bench itself is held by this process until the end. */
  const file = () => at('own.db');
  const own = () => backupTo(bench.store, file(), ROOT);
  /** Another program writes a sample into it and is killed: what it wrote stands in the write-ahead file. */
  function killedAfter(name: string): void {
    const script = `
      import { createClient } from '@libsql/client';
      const client = createClient({ url: 'file:${file()}' });
      await client.execute('pragma journal_mode = wal');
      await client.execute("insert into sample (id, code, name, purpose, created_at) values ('${ulid()}', '${name}', '${name}', 'garden', 9)");
      process.kill(process.pid, 'SIGKILL');`;
    const { signal } = spawnSync('node', ['--input-type=module', '-e', script]);
    expect(signal).to.equal('SIGKILL');
    expect(statSync(`${file()}-wal`).size).to.be.greaterThan(0);
  }
  const refused = async (work: Promise<unknown>): Promise<string> => {
    const problem = await work.catch((error: unknown) => error);
    expect(problem).to.be.instanceOf(BackupProblem);
    return (problem as Error).message;
  };
  const restore = (backup: string) => restoreFrom(backup, file(), { root: ROOT, aside: at('old/aside.db') });
  const names = async (of = file()) => {
    const store = await openStore(`file:${of}`);
    const all = (await allSamples(store.db)).map((one) => one.name);
    store.close();
    return all;
  };

  it('copies while the bench is in use, whole or not at all, and counts what it copied', async () => {
    await sample('North');
    const copy = await backupTo(bench.store, at('b/one.db'), ROOT);
    expect(copy.rows.sample).to.equal(1);
    expect(await checkBackup(at('b/one.db'), ROOT)).to.deep.equal(copy);
    expect(readdirSync(at('b'))).to.eql(['one.db']);
    expect(await refused(backupTo(bench.store, at('b/one.db'), ROOT))).to.match(/already there/);
    // A kill left a half one: it is written anew, and never under its own name.
    writeFileSync(at('b/two.db.part'), 'half');
    await backupTo(bench.store, at('b/two.db'), ROOT);
    expect(readdirSync(at('b'))).to.eql(['one.db', 'two.db']);
    writeFileSync(at('plain'), '');
    expect(await refused(backupTo(bench.store, at('plain/x.db'), ROOT))).to.match(/cannot be written: /);
    expect(existsSync(at('plain/x.db'))).to.equal(false);
  });

  it('puts a backup back, keeps what was there, and loses nothing that stood in the write-ahead file', async () => {
    await sample('North');
    await backupTo(bench.store, at('one.db'), ROOT);
    await own();
    killedAfter('South');
    expect(await restore(at('one.db'))).to.equal(at('old/aside.db'));
    expect(await names()).to.eql(['North']);
    copyFileSync(at('old/aside.db'), at('aside-copy.db'));
    expect((await checkBackup(at('aside-copy.db'), ROOT)).rows.sample).to.equal(2);
    // Where nothing is there, nothing is kept aside.
    const fresh = at('fresh.db');
    const o = { root: ROOT, aside: at('old/second.db') };
    expect(await restoreFrom(at('aside-copy.db'), fresh, o)).to.equal(undefined);
    expect(await names(fresh)).to.eql(['North', 'South']);
    expect(readdirSync(bench.folder).filter((name) => name.includes('restoring'))).to.eql([]);
  });

  it('refuses what is no backup, before anything is moved', async () => {
    await sample('North');
    await backupTo(bench.store, at('good.db'), ROOT);
    await own();
    const before = readFileSync(file());
    writeFileSync(at('empty.db'), '');
    writeFileSync(at('letter.db'), 'Dear bench, this is a letter and no database at all.');
    copyFileSync(at('good.db'), at('half.db'));
    truncateSync(at('half.db'), 20_000);
    mkdirSync(at('folder.db'));
    const other = createClient({ url: `file:${at('other.db')}` });
    await other.execute('create table thing (id)');
    other.close();
    copyFileSync(at('good.db'), at('newer.db'));
    const newer = createClient({ url: `file:${at('newer.db')}` });
    for (let i = 0; i < 3; i++)
      await newer.execute(
        "insert into __drizzle_migrations (hash, created_at) values ('later', 9999999999999)"
      );
    newer.close();
    const cases: [string, RegExp][] = [
      ['missing.db', /is not there/],
      ['empty.db', /no backup of a bench/],
      ['letter.db', /no backup of a bench/],
      ['half.db', /damaged, or only half/],
      ['folder.db', /is a folder/],
      ['other.db', /no backup of a bench/],
      ['newer.db', /newer version/]
    ];
    for (const [name, why] of cases) expect(await refused(restore(at(name))), name).to.match(why);
    expect(readFileSync(file()).equals(before)).to.equal(true);
    expect(existsSync(at('old'))).to.equal(false);
  });

  it('refuses while a server has the database, and a second server on it', async () => {
    await sample('North');
    await backupTo(bench.store, at('good.db'), ROOT);
    const held = at('bench.db');
    expect(await refused(inOneFile(held))).to.match(/in use: stop the server first/);
    const onto = restoreFrom(at('good.db'), held, { root: ROOT, aside: at('old/aside.db') });
    expect(await refused(onto)).to.match(/in use: stop the server first/);
    const second = await openStore(bench.url);
    const alone = await requireAlone(second).catch((error: unknown) => error);
    expect((alone as Error).message).to.match(/in use by another server/);
    second.close();
    await sample('South');
    expect((await allSamples(bench.store.db)).map((one) => one.name)).to.eql(['North', 'South']);
    await own();
    const free = await openStore(`file:${file()}`);
    await requireAlone(free);
    free.close();
  });

  it('puts the old one back where the last step fails', async () => {
    await sample('North');
    await backupTo(bench.store, at('good.db'), ROOT);
    await own();
    // A folder where the old one is to be kept: it cannot be moved there.
    mkdirSync(at('old/aside.db/inside'), { recursive: true });
    expect(await refused(restore(at('good.db')))).to.match(/cannot be restored: /);
    expect(await names()).to.eql(['North']);
  });
});
