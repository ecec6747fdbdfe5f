import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import { ulid } from 'ulid';
import { runCommand } from '../../../src/lib/server/commands.ts';
import { openStore, type Store } from '../../../src/lib/server/db.ts';
import { bringUpToDate } from '../../../src/lib/server/migrate.ts';
import { hearOthers, latestNews } from '../../../src/lib/server/live.ts';
import { logLines } from '../../../src/lib/server/repositories/log.ts';
import { benchJars } from '../../../src/lib/server/repositories/tests.ts';
import type { CommandName } from '../../../src/lib/contract/commands.ts';
import { startStandIn, type StandIn } from '../../standin/start.ts';
import { START } from './bench.ts';
import { refusal } from './refusal.ts';

const freePort = () =>
  new Promise<number>((resolve) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => resolve(port));
    });
  });

describe('a database on a server of its own (a stand-in, in a process of its own)', () => {
  let folder: string;
  let port: number;
  let standIn: StandIn;
  const opened: Store[] = [];
  beforeEach(async () => {
    folder = mkdtempSync(join(tmpdir(), 'tivrel-remote-'));
    port = await freePort();
    standIn = await startStandIn(join(folder, 'bench.db'), port);
  });
  afterEach(async () => {
    for (const store of opened.splice(0)) store.close();
    await standIn.end();
    rmSync(folder, { recursive: true, force: true });
  });

  const open = async () => {
    const store = await openStore(standIn.url);
    opened.push(store);
    return store;
  };
  const does = (store: Store, name: CommandName, payload: object, commandId = ulid()) =>
    runCommand(store, name, { commandId, at: START, payload }, 'test', START);
  const jar = async (store: Store) => {
    const [sampleId, testId, runId] = [ulid(), ulid(), ulid()];
    await does(store, 'sample.add', { sampleId, name: 'Boat store', purpose: 'build' });
    const set = {
      vesselId: 'jar-litre',
      methodKey: 'jar-timed',
      tempC: 18,
      soilMm: 43,
      waterMm: 128,
      dispersantMl: 4
    };
    await does(store, 'jar.prepare', { testId, sampleId, ...set });
    await does(store, 'jar.set-down', { testId, runId });
    return { testId, runId };
  };

  it('is brought up to date once by two servers that start at the same moment', async () => {
    const stores = [await open(), await open()];
    await Promise.all(stores.map((store) => bringUpToDate(store, process.cwd(), START)));
    const { rows } = await stores[0].client.execute(
      'select hash, count(*) as n from __drizzle_migrations group by hash'
    );
    expect(rows.length).to.be.greaterThan(15);
    expect(rows.every(({ n }) => Number(n) === 1)).to.equal(true);
    const triggers = await stores[1].client.execute(
      "select count(*) as n from sqlite_master where type = 'trigger'"
    );
    expect(Number(triggers.rows[0].n)).to.equal(30);
  }).timeout(30_000);

  it('takes commands as a file does: done once, undone, refused in a sentence; and two servers agree', async () => {
    const [one, two] = [await open(), await open()];
    await bringUpToDate(one, process.cwd(), START);
    const { testId, runId } = await jar(one);
    const mark = { testId, runId, markId: ulid(), layer: 'sand' };
    const commandId = ulid();
    await does(two, 'jar.mark', mark, commandId);
    await does(two, 'jar.mark', mark, commandId);
    expect((await benchJars(one.db))[0].run?.marks.map(({ layer }) => layer)).to.deep.equal(['sand']);
    expect((await logLines(one, 'kept')).map(({ code }) => code)).to.deep.equal(['B1']);
    await does(one, 'undo', { eventId: commandId });
    expect((await benchJars(two.db))[0].run?.marks).to.deep.equal([]);
    // An id that is given out, and a run that is not there, are said in words, as by a file.
    const sample = { sampleId: ulid(), name: 'x', purpose: 'build' };
    expect((await refusal(does(one, 'sample.add', sample, commandId))).status).to.equal(409);
    const again = await refusal(does(two, 'jar.mark', { ...mark, runId: 'gone' }));
    expect(again.status).to.equal(404);
  }).timeout(30_000);

  it('tells the windows of one server what another wrote', async () => {
    const [one, two] = [await open(), await open()];
    await bringUpToDate(one, process.cwd(), START);
    const stop = hearOthers(one);
    const before = latestNews();
    // Written by no command of this process, until it is heard of.
    while (latestNews() === before) {
      await two.client.execute({
        sql: "insert into event (id, at, received_at, who, what, detail, changes) values (?, 1, 1, 'other', 'jar.mark', '{}', '[]')",
        args: [ulid()]
      });
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
    stop();
  }).timeout(30_000);

  it('serves two that write at once, one after the other, and loses none of it', async () => {
    const [one, two] = [await open(), await open()];
    await bringUpToDate(one, process.cwd(), START);
    const { testId } = await jar(one);
    const notes = Array.from({ length: 20 }, (_, i) =>
      does(i % 2 ? one : two, 'jar.note', { testId, kind: 'moved', words: String(i) })
    );
    await Promise.all(notes);
    const { rows } = await two.client.execute("select count(*) as n from event where what = 'jar.note'");
    expect(Number(rows[0].n)).to.equal(20);
  }).timeout(30_000);

  it('that does not answer is a sentence, and a mark that is sent again is there, once', async () => {
    const store = await open();
    await bringUpToDate(store, process.cwd(), START);
    const { testId, runId } = await jar(store);
    const mark = { testId, runId, markId: ulid(), layer: 'sand' };
    const commandId = ulid();
    await standIn.end();
    const away = await refusal(does(store, 'jar.mark', mark, commandId));
    expect(away).to.include({ status: 503 });
    expect(away.message).to.match(/does not answer.*Nothing is lost/);
    standIn = await startStandIn(join(folder, 'bench.db'), port);
    await does(store, 'jar.mark', mark, commandId);
    await does(store, 'jar.mark', mark, commandId);
    expect((await benchJars(store.db))[0].run?.marks).to.have.length(1);
  }).timeout(30_000);
});
