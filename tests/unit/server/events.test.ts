import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { expect } from 'chai';
import { ulid } from 'ulid';
import { openStore } from '../../../src/lib/server/db.ts';
import { runCommand } from '../../../src/lib/server/commands.ts';
import { announce, latestNews, newsStream } from '../../../src/lib/server/live.ts';
import { backupTo } from '../../../src/lib/server/backup.ts';
import { bringUpToDate } from '../../../src/lib/server/migrate.ts';
import { readProfile } from '../../../src/lib/server/repositories/profile.ts';
import { allVessels } from '../../../src/lib/server/repositories/vessels.ts';
import { benchJars, testDetail } from '../../../src/lib/server/repositories/tests.ts';
import { ENTRY, openBench, prepareJar, standJar, START, type TestBench } from './bench.ts';
import { refusal } from './refusal.ts';

describe('events and undo', () => {
  let bench: TestBench;
  beforeEach(async () => (bench = await openBench()));
  afterEach(() => bench.close());

  it('does a command that arrives twice once, and answers alike', async () => {
    const { testId, runId } = await standJar(bench);
    const commandId = ulid();
    const payload = { testId, runId, markId: ulid(), layer: 'sand' as const };
    const first = await bench.do('jar.mark', payload, bench.now, commandId);
    const second = await bench.do('jar.mark', payload, bench.now, commandId);
    expect(second).to.deep.equal(first);
    expect((await benchJars(bench.store.db))[0].run!.marks).to.have.length(1);
  });

  it('counts a mark that two devices pressed once, the earlier one; one device may mark again', async () => {
    const { testId, runId } = await standJar(bench);
    const [laptop, phone] = [ulid(), ulid()];
    const start = bench.now;
    bench.now += 3_600_000;
    const press = (seconds: number, device: string | undefined, layer: 'sand' | 'silt' = 'sand') => {
      const at = start + seconds * 1000;
      const payload = { testId, runId, markId: ulid(), layer };
      return runCommand(
        bench.store,
        'jar.mark',
        { commandId: ulid(), at, device, payload },
        'test',
        bench.now
      );
    };
    const times = async () =>
      (await benchJars(bench.store.db))[0].run!.marks.map((m) => [m.layer, (m.at - start) / 1000]);
    await press(64, laptop);
    // The phone was away: its press is older and comes later.
    const { eventId } = await press(61, phone);
    expect(await times()).to.deep.equal([['sand', 61]]);
    await press(70, phone);
    expect(await times()).to.deep.equal([['sand', 61]]);
    await bench.do('undo', { eventId });
    expect(await times()).to.deep.equal([['sand', 64]]);
    // Made again on purpose, by the same hand: both stay, and the later one stands.
    await press(80, laptop);
    expect(await times()).to.deep.equal([
      ['sand', 64],
      ['sand', 80]
    ]);
    // Long after, or of another layer, it is a mark of its own.
    await press(300, phone);
    await press(301, laptop, 'silt');
    expect(await times()).to.have.length(4);
    // A program that says no device is taken at its word.
    await press(302, undefined, 'silt');
    expect(await times()).to.have.length(5);
  });

  it('takes back a mark, a set-down, a shake and a bin, each as it was', async () => {
    const { testId } = await prepareJar(bench);
    const state = async () => JSON.stringify(await benchJars(bench.store.db));
    const steps: (() => Promise<{ eventId: string }>)[] = [];
    const runId = ulid();
    steps.push(() => bench.do('jar.set-down', { testId, runId }));
    steps.push(() => bench.do('jar.mark', { testId, runId, markId: ulid(), layer: 'sand' }));
    steps.push(() => bench.do('jar.shake-again', { testId, runId, reason: 'foamed' }));
    steps.push(() => bench.do('test.bin', { testId }));
    for (const step of steps) {
      const before = await state();
      const { eventId } = await step();
      expect(await state()).not.to.equal(before);
      await bench.do('undo', { eventId });
      expect(await state()).to.equal(before);
      if (step !== steps.at(-1)) await step();
    }
    const events = (await testDetail(bench.store.db, testId))!.events;
    expect(events.filter((e) => e.undoneAt !== null)).to.have.length(4);
  });

  it('refuses to undo twice, too late, or under something that builds on it', async () => {
    const { testId, runId } = await standJar(bench);
    const markId = ulid();
    const { eventId } = await bench.do('jar.mark', { testId, runId, markId, layer: 'sand' });
    await bench.do('mark.height', { testId, markId, height: { mm: 20, text: '20' } });
    await bench.do('undo', { eventId }).then(
      () => expect.fail('built on'),
      (e: Error) => expect(e.message).to.match(/later builds on this/)
    );
    const second = await bench.do('jar.mark', { testId, runId, markId: ulid(), layer: 'silt' });
    await bench.do('undo', { eventId: second.eventId });
    await bench.do('undo', { eventId: second.eventId }).then(
      () => expect.fail('twice'),
      (e: Error) => expect(e.message).to.match(/undone already/)
    );
    const third = await bench.do('jar.mark', { testId, runId, markId: ulid(), layer: 'silt' });
    bench.now += 120_000;
    await bench.do('undo', { eventId: third.eventId }).then(
      () => expect.fail('late'),
      (e: Error) => expect(e.message).to.match(/too late/)
    );
  });

  it('says of a command by the id of another that it is none, and does nothing', async () => {
    const { testId, runId } = await standJar(bench);
    const commandId = ulid();
    await bench.do('jar.note', { testId, kind: 'moved', words: '' }, bench.now, commandId);
    const mark = { testId, runId, markId: ulid(), layer: 'sand' as const };
    const problem = await refusal(bench.do('jar.mark', mark, bench.now, commandId));
    expect(problem.message).to.match(/is there already/);
    expect((await benchJars(bench.store.db))[0].run!.marks).to.eql([]);
  });

  it('does not undo a reading that a result was made of, nor a plan of jars that are gone for good', async () => {
    const { testId } = await standJar(bench);
    const readingId = ulid();
    const read = await bench.do('jar.read', { testId, readingId, entry: ENTRY });
    await bench.do('test.finish', { testId, readingId, resultId: ulid() });
    await bench.do('test.reopen', { testId, why: 'another look' });
    const problem = await refusal(bench.do('undo', { eventId: read.eventId }));
    expect(problem.message).to.match(/later builds on this/);
    expect((await testDetail(bench.store.db, testId))!.readings).to.have.length(1);

    const jar = await prepareJar(bench);
    const jars = [{ testId: jar.testId, setDownAt: bench.now + 3_600_000 }];
    const planned = await bench.do('bench.plan', { jars });
    await bench.do('test.bin', { testId: jar.testId });
    await bench.do('bin.empty', {});
    const gone = await refusal(bench.do('undo', { eventId: planned.eventId }));
    expect(gone.message).to.equal('This cannot be undone.');
  });

  it('takes two hundred overlapping commands without losing one', async () => {
    const { testId, runId } = await standJar(bench);
    const marks = Array.from({ length: 200 }, () =>
      bench.do('jar.mark', { testId, runId, markId: ulid(), layer: 'sand' })
    );
    await Promise.all(marks);
    expect((await benchJars(bench.store.db))[0].run!.marks).to.have.length(200);
  });

  it('answers shared reads from memory until the next write, and never with what was before it', async () => {
    const { testId, runId } = await standJar(bench);
    const shared = () => bench.store.shared('bench', benchJars);
    const first = await shared();
    expect(await shared()).to.equal(first);
    const writing = bench.do('jar.mark', { testId, runId, markId: ulid(), layer: 'sand' });
    // Asked for while the write is under way: whatever it answers, it may not be kept.
    await Promise.all([shared(), writing]);
    expect((await shared())[0].run!.marks).to.have.length(1);
  });

  it('writes nothing of a command that fails half-way', async () => {
    const { testId, runId } = await standJar(bench);
    const markId = ulid();
    await bench.do('jar.mark', { testId, runId, markId, layer: 'sand' });
    const rows = async () =>
      Number((await bench.store.client.execute('select count(*) as n from event')).rows[0].n);
    const before = await rows();
    // The same mark id again breaks the primary key after the service has answered.
    await bench.do('jar.mark', { testId, runId, markId, layer: 'silt' }).then(
      () => expect.fail('taken'),
      () => undefined
    );
    expect(await rows()).to.equal(before);
  });

  it('keeps the profile, field by field', async () => {
    expect(await readProfile(bench.store.db)).to.include({ length: 'mm', quietFrom: 1320 });
    await bench.do('profile.set', { length: 'in' });
    await bench.do('profile.set', { clock: '12', quietFrom: 0, quietTo: 0 });
    expect(await readProfile(bench.store.db)).to.include({
      length: 'in',
      clock: '12',
      quietFrom: 0,
      temperature: 'C'
    });
  });

  it('tells open windows of every command', async () => {
    const stop = new AbortController();
    const reader = newsStream(stop.signal).body!.getReader();
    await reader.read();
    announce({ what: 'jar.mark', testId: 'x' });
    expect(new TextDecoder().decode((await reader.read()).value)).to.equal(
      `id: ${latestNews()}\ndata: {"what":"jar.mark","testId":"x"}\n\n`
    );
    stop.abort();
    await reader.cancel();
  });

  it('lets a window go that never reads, and keeps nothing for it', async () => {
    const stop = new AbortController();
    const reader = newsStream(stop.signal).body!.getReader();
    for (let i = 0; i < 1000; i++) announce({ what: 'jar.mark', testId: 'x' });
    let heard = 0;
    while (!(await reader.read()).done) heard++;
    expect(heard).to.be.within(2, 300);
  });

  it('names the latest news to a window that begins to listen, which may have missed some', async () => {
    const onPage = latestNews();
    announce({ what: 'jar.mark', testId: 'x' });
    expect(latestNews()).not.to.equal(onPage);
    const stop = new AbortController();
    const reader = newsStream(stop.signal).body!.getReader();
    expect(new TextDecoder().decode((await reader.read()).value)).to.contain(
      `id: ${latestNews()}\nevent: latest\n`
    );
    stop.abort();
    await reader.cancel();
  });
});

describe('the database file', () => {
  it('ships six vessels, once', async () => {
    const bench = await openBench();
    await bench.reopen();
    expect(await allVessels(bench.store.db)).to.have.length(9);
    bench.close();
  });

  it('is copied before a migration when it holds something', async () => {
    const bench = await openBench();
    await standJar(bench);
    // An older file: the last migration has not been applied yet as far as it knows.
    await bench.store.client.execute('delete from __drizzle_migrations');
    await bench.store.client.execute(
      "insert into __drizzle_migrations (hash, created_at) values ('older', 0)"
    );
    const journal = join(bench.folder, 'drizzle', 'meta');
    const { mkdirSync, writeFileSync } = await import('node:fs');
    mkdirSync(journal, { recursive: true });
    const entries = [0, 1].map((idx) => ({
      idx,
      version: '6',
      when: idx + 1,
      tag: `000${idx}_step`,
      breakpoints: true
    }));
    writeFileSync(
      join(journal, '_journal.json'),
      JSON.stringify({ version: '7', dialect: 'sqlite', entries })
    );
    writeFileSync(join(bench.folder, 'drizzle', '0000_step.sql'), 'select 1;');
    writeFileSync(
      join(bench.folder, 'drizzle', '0001_step.sql'),
      'alter table sample add column depth real;'
    );
    await bringUpToDate(bench.store, bench.folder, START);
    const copies = readdirSync(join(bench.folder, 'backups'));
    expect(copies).to.deep.equal([`before-migration-${START}.db`]);
    const copy = await openStore(`file:${join(bench.folder, 'backups', copies[0])}`);
    expect(await benchJars(copy.db)).to.have.length(1);
    copy.close();
    bench.close();
  });

  it('can be backed up while in use, never over something else', async () => {
    const bench = await openBench();
    await standJar(bench);
    const target = join(bench.folder, 'copy.db');
    await backupTo(bench.store, target);
    expect(existsSync(target)).to.equal(true);
    await backupTo(bench.store, target).then(
      () => expect.fail('overwritten'),
      (e: Error) => expect(e.message).to.match(/already there/)
    );
    bench.close();
  });
});
