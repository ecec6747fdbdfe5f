import { cpSync, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { openStore, type Store } from '../../../src/lib/server/db.ts';
import { bringUpToDate, migrationsUpTo } from '../../../src/lib/server/migrate.ts';
import { logLines } from '../../../src/lib/server/repositories/log.ts';
import { offeredProfiles } from '../../../src/lib/server/repositories/profiles.ts';
import { benchJars, testDetail } from '../../../src/lib/server/repositories/tests.ts';

/** Rows as the first version wrote them: one finished test with a mark and a reading, one jar that stands. */
async function fillFirstVersion(store: Store): Promise<void> {
  const entry = JSON.stringify({
    ruler: 'mm',
    lines: { sand: { mm: 20, text: '20' }, silt: { mm: 35, text: '35' }, clay: { mm: 40, text: '40' } }
  });
  const prep = JSON.stringify({ ticks: [], shakeStartedAt: null });
  const vessel = ['jar-litre', 'One-litre jar', 'jar', 156, 94, 5, 128, 76, 0];
  const statements: [string, (string | number | null)[]][] = [
    [
      'insert into sample (id, code, name, purpose, note, created_at) values (?, ?, ?, ?, ?, ?)',
      ['s', 'K1', 'North bed', 'garden', 'by the tap', 1]
    ],
    [
      'insert into vessel (id, name, kind, inner_height_mm, inner_diameter_mm, base_thickness_mm, shoulder_height_mm, mouth_diameter_mm, created_at) values (?, ?, ?, ?, ?, ?, ?, ?, ?)',
      vessel
    ],
    ...(['finished', 'running'] as const).map((status): [string, (string | number | null)[]] => [
      'insert into test (id, code, sample_id, vessel_id, method_key, method_version, temp_c, soil_mm, water_mm, dispersant_ml, note, prep, status, created_at, finished_at, binned_at) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
      [
        status,
        status === 'finished' ? 'K1' : 'K1b',
        's',
        'jar-litre',
        'jar-timed',
        1,
        18,
        43,
        128,
        3.8,
        '',
        prep,
        status,
        2,
        null,
        null
      ]
    ]),
    ['insert into run (id, test_id, no, set_down_at) values (?, ?, ?, ?)', ['r1', 'finished', 1, 1000]],
    ['insert into run (id, test_id, no, set_down_at) values (?, ?, ?, ?)', ['r2', 'running', 1, 5000]],
    [
      'insert into mark (id, run_id, layer, at, height_mm, height_text) values (?, ?, ?, ?, ?, ?)',
      ['m1', 'r2', 'sand', 66_000, 22.2, '7/8 in']
    ],
    [
      'insert into reading (id, test_id, run_id, at, entry) values (?, ?, ?, ?, ?)',
      ['g1', 'finished', 'r1', 90_000_000, entry]
    ]
  ];
  for (const [sql, args] of statements) await store.client.execute({ sql, args });
}

describe('a bench from an earlier version', () => {
  const total = (JSON.parse(readFileSync('drizzle/meta/_journal.json', 'utf8')) as { entries: unknown[] })
    .entries.length;
  let folder: string;
  beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'tivrel-old-'))));
  afterEach(() => rmSync(folder, { recursive: true, force: true }));

  for (let from = 1; from < total; from++) {
    it(`comes along from migration ${from} of ${total}: backed up first, nothing lost, new fields empty`, async () => {
      const url = `file:${join(folder, 'bench.db')}`;
      let store = await openStore(url);
      await migrate(store.db, { migrationsFolder: migrationsUpTo(from, folder) });
      await fillFirstVersion(store);
      store.close();

      store = await openStore(url);
      await bringUpToDate(store, process.cwd(), 42);
      expect(readdirSync(join(folder, 'backups'))).to.deep.equal(['before-migration-42.db']);
      const [jar] = await benchJars(store.db);
      expect(jar).to.include({ code: 'K1b', plannedAt: null });
      expect(jar.sample).to.deep.include({ name: 'North bed', note: 'by the tap', details: {} });
      expect(jar.run!.marks[0]).to.include({ at: 66_000, heightText: '7/8 in' });
      const test = (await testDetail(store.db, 'finished'))!;
      expect(test.readings[0].entry.lines.sand!.mm).to.equal(20);
      expect((await logLines(store, 'kept')).map((l) => l.sand)).to.have.members([50, null]);

      // A second start has nothing to do, and copies nothing.
      await bringUpToDate(store, process.cwd(), 43);
      expect(existsSync(join(folder, 'backups', 'before-migration-43.db'))).to.equal(false);
      store.close();
    });
  }

  it('brings beds that were changed along as what is judged by', async () => {
    const url = `file:${join(folder, 'bench.db')}`;
    let store = await openStore(url);
    await migrate(store.db, { migrationsFolder: migrationsUpTo(14, folder) });
    const windows = [{ of: 'digs', most: 5, reason: 'Fine seed.' }];
    const bed = { id: 'roots', version: 2, name: 'carrots', basis: '', windows };
    await store.client.execute({
      sql: 'insert into bed_profile (id, key, version, definition, created_at) values (?, ?, ?, ?, ?)',
      args: ['roots@2', 'roots', 2, JSON.stringify(bed), 1]
    });
    store.close();
    store = await openStore(url);
    await bringUpToDate(store, process.cwd(), 42);
    const beds = await offeredProfiles(store.db, 'bed');
    expect(beds.filter((o) => o.changed).map((o) => o.profile)).to.deep.equal([bed]);
    store.close();
  });

  it('stays as it was where a migration fails half-way, with the copy that was made before', async () => {
    const url = `file:${join(folder, 'bench.db')}`;
    let store = await openStore(url);
    await migrate(store.db, { migrationsFolder: migrationsUpTo(1, folder) });
    await fillFirstVersion(store);
    await bringUpToDate(store, process.cwd(), 41);
    const rows = async () => {
      const { rows: tests } = await store.client.execute('select * from test order by id');
      const { rows: tables } = await store.client.execute('select name from sqlite_master order by name');
      return JSON.stringify([tests, tables]);
    };
    const before = await rows();
    store.close();
    // A later version whose second statement cannot be done.
    const root = join(folder, 'later');
    cpSync('drizzle', join(root, 'drizzle'), { recursive: true });
    const file = join(root, 'drizzle', 'meta', '_journal.json');
    const journal = JSON.parse(readFileSync(file, 'utf8')) as { entries: object[] };
    journal.entries.push({
      idx: total,
      version: '6',
      when: Date.now() + 1e9,
      tag: 'broken',
      breakpoints: true
    });
    writeFileSync(file, JSON.stringify(journal));
    const parts = ['create table half (id text)', 'alter table no_such_table add half text'];
    writeFileSync(join(root, 'drizzle', 'broken.sql'), parts.join(';\n--> statement-breakpoint\n'));
    store = await openStore(url);
    const failed = await bringUpToDate(store, root, 42).catch((problem: Error) => problem);
    expect(failed).to.be.instanceOf(Error);
    expect(await rows()).to.equal(before);
    expect(readdirSync(join(folder, 'backups'))).to.include('before-migration-42.db');
    // The version that was there goes on with it.
    await bringUpToDate(store, process.cwd(), 43);
    expect(await logLines(store, 'kept')).to.have.length(2);
    store.close();
  });
});
