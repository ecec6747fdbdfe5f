import 'fake-indexeddb/auto';
import { expect } from 'chai';
import { openDB } from 'idb';
import { looks } from '../app/navigation.ts';
import { navigating } from '../app/state.ts';
import {
  CommandRefused,
  dismissRefusal,
  flush,
  outbox,
  send,
  startOutbox,
  withdraw
} from '../../../src/lib/browser/outbox.svelte.ts';
import { lookAgain } from '../../../src/lib/browser/look-again.ts';
import { allBoxed } from '../../../src/lib/browser/outbox-store.ts';

/** What the server makes of a command: an answer, a judgement, or no way to it. */
type Reply = { status: number; body?: object } | 'away';
type Asked = { name: string; commandId: string; at: number; payload: unknown };

const mark = { testId: 't', runId: 'r', markId: 'm', layer: 'sand' as const };
const done = { status: 200, body: { eventId: 'e', at: 1 } };
const refusal = {
  status: 422,
  body: { message: 'The sand is marked.', fields: { layer: 'Marked already.' } }
};

describe('the outbox', () => {
  let reply: (asked: Asked) => Reply | Promise<Reply>;
  let asked: Asked[];
  /** Nobody answers a look. */
  let nobody = false;
  const real = { fetch: globalThis.fetch, window: globalThis.window };
  let stop: (() => void) | undefined;
  /** Ends every look at the data as it comes, unless a test holds them. */
  let letLooksEnd: ReturnType<typeof setInterval> | undefined;

  const boxed = async () => {
    const db = await openDB('tivrel', 1);
    const all = await db.getAll('outbox');
    db.close();
    return all as (Asked & { refused?: string })[];
  };
  const until = async (what: () => boolean) => {
    for (let i = 0; i < 1000 && !what(); i++) await new Promise((resolve) => setTimeout(resolve, 5));
    expect(what()).to.equal(true);
  };
  const endLooks = () => looks.splice(0).forEach((look) => look.end());

  beforeEach(async () => {
    asked = [];
    reply = () => done;
    globalThis.window = new EventTarget() as unknown as Window & typeof globalThis;
    globalThis.fetch = (async (url: string, init?: { body: string; signal?: AbortSignal }) => {
      // A look asks whether anybody is there first.
      if (!init) return nobody ? Promise.reject(new TypeError('no way there')) : new Response('{}');
      const one = { name: url.split('/').at(-1)!, ...JSON.parse(init.body) } as Asked;
      asked.push(one);
      const givenUp = new Promise<'away'>((resolve) =>
        init.signal?.addEventListener('abort', () => resolve('away'))
      );
      const answer = await Promise.race([reply(one), givenUp]);
      if (answer === 'away') throw new TypeError('no way there');
      return new Response(JSON.stringify(answer.body ?? {}), { status: answer.status });
    }) as typeof fetch;
    letLooksEnd = setInterval(endLooks, 1);
  });
  afterEach(async () => {
    // Nothing is left for the next test.
    reply = () => done;
    await flush();
    for (const refused of outbox.refusals) await dismissRefusal(refused);
    clearInterval(letLooksEnd);
    endLooks();
    stop?.();
    stop = undefined;
    globalThis.fetch = real.fetch;
    globalThis.window = real.window;
    navigating.complete = null;
  });

  it('writes a press down before it asks the server, and strikes it off once it is known', async () => {
    let atAsking: Asked[] = [];
    reply = async () => {
      atAsking = await boxed();
      return done;
    };
    const sent = await send('jar.mark', mark, 5000);
    expect(sent).to.deep.equal({ done: true, answer: done.body });
    expect(atAsking).to.have.length(1);
    expect(atAsking[0]).to.deep.include({ name: 'jar.mark', at: 5000, payload: mark });
    expect(await boxed()).to.deep.equal([]);
    expect(outbox.waiting).to.deep.equal([]);
  });

  it('keeps presses with their times while the server is away, and sends them in their order', async () => {
    reply = () => 'away';
    const first = await send('jar.mark', mark, 5000);
    const second = await send('jar.mark', { ...mark, markId: 'n', layer: 'silt' }, 7000);
    expect(first.done).to.equal(false);
    expect(second.done).to.equal(false);
    expect(outbox.reachable).to.equal(false);
    expect(outbox.waiting.map((c) => c.at)).to.deep.equal([5000, 7000]);
    asked = [];
    reply = () => done;
    await flush();
    expect(asked.map((c) => c.at)).to.deep.equal([5000, 7000]);
    expect(outbox.reachable).to.equal(true);
    expect(await boxed()).to.deep.equal([]);
  });

  it('waits through every failure that judges nothing: a server in trouble, a passphrase that is asked for', async () => {
    for (const status of [500, 502, 401, 403, 429]) {
      reply = () => ({ status });
      expect((await send('jar.mark', mark)).done, String(status)).to.equal(false);
    }
    expect(outbox.waiting).to.have.length(5);
    expect(outbox.refusals).to.deep.equal([]);
  });

  it('tells who pressed when the server refuses, and keeps nothing of it', async () => {
    reply = () => refusal;
    const problem = await send('jar.mark', mark).catch((e: unknown) => e);
    expect(problem).to.be.instanceOf(CommandRefused);
    expect((problem as CommandRefused).fields).to.deep.equal({ layer: 'Marked already.' });
    expect(outbox.waiting).to.deep.equal([]);
    expect(outbox.refusals).to.deep.equal([]);
    expect(await boxed()).to.deep.equal([]);
  });

  it('leaves an entry that cannot be read where it is, says so, and sends the others', async () => {
    const db = await openDB('tivrel', 1);
    await db.put('outbox', { commandId: 'x', at: 'soon', name: 'jar.melt', payload: 7 });
    db.close();
    reply = () => 'away';
    await send('jar.mark', mark, 5000);
    reply = () => done;
    stop = await startOutbox();
    await until(() => outbox.waiting.length === 0);
    expect(outbox.unreadable).to.equal(1);
    expect((await boxed()).map((c) => c.name)).to.deep.equal(['jar.melt']);
    const again = await openDB('tivrel', 1);
    await again.clear('outbox');
    again.close();
  });

  it('keeps a press that waited and is then refused until somebody has read why', async () => {
    reply = () => 'away';
    await send('jar.mark', mark, 5000);
    reply = () => refusal;
    await flush();
    expect(outbox.waiting).to.deep.equal([]);
    expect(outbox.refusals).to.have.length(1);
    expect(outbox.refusals[0]).to.deep.include({ message: 'The sand is marked.' });
    expect(outbox.refusals[0].command.at).to.equal(5000);
    // A page that is opened later finds it too.
    expect((await boxed())[0].refused).to.equal('The sand is marked.');
    await dismissRefusal(outbox.refusals[0]);
    expect(await boxed()).to.deep.equal([]);
  });

  it('takes up what an earlier page left, the oldest first, and goes on when the network comes back', async () => {
    reply = () => 'away';
    await send('jar.mark', mark, 5000);
    const left = await boxed();
    await withdraw(left[0].commandId);
    expect(await boxed()).to.deep.equal([]);
    const db = await openDB('tivrel', 1);
    await db.put('outbox', { ...left[0], commandId: '01B', at: 9000 });
    await db.put('outbox', { ...left[0], commandId: '01A', at: 8000 });
    await db.put('outbox', { ...left[0], commandId: '019', at: 7000, refused: 'Too late.' });
    db.close();
    asked = [];
    stop = await startOutbox();
    expect(outbox.refusals.map((r) => r.message)).to.deep.equal(['Too late.']);
    await until(() => asked.length > 0);
    expect(outbox.waiting.map((c) => c.at)).to.deep.equal([8000, 9000]);
    reply = () => done;
    asked = [];
    window.dispatchEvent(new Event('online'));
    await until(() => outbox.waiting.length === 0);
    expect(asked.map((c) => c.at)).to.deep.equal([8000, 9000]);
  });

  it('keeps the order in which was pressed, though the clock of the device is set back meanwhile', async () => {
    reply = () => 'away';
    const now = Date.now.bind(Date);
    await send('jar.set-down', { testId: 't', runId: 'r' }, 5000);
    Date.now = () => now() - 3_600_000;
    await send('jar.mark', mark, 7000).finally(() => (Date.now = now));
    const names = (all: unknown[]) => all.map((one) => (one as Asked).name);
    expect(names(await boxed()), 'by their ids').to.deep.equal(['jar.mark', 'jar.set-down']);
    expect(names(await allBoxed())).to.deep.equal(['jar.set-down', 'jar.mark']);
  });

  it('opens its box anew where the browser has closed it, or another page has cleared it', async () => {
    reply = () => 'away';
    await send('jar.mark', mark, 5000);
    await new Promise((resolve) => {
      indexedDB.deleteDatabase('tivrel').onsuccess = resolve;
    });
    expect((await send('jar.mark', { ...mark, markId: 'n' }, 7000)).done).to.equal(false);
    expect((await boxed()).map((c) => c.at)).to.deep.equal([7000]);
    reply = () => done;
    asked = [];
    await flush();
    expect(asked.map((c) => c.at)).to.deep.equal([5000, 7000]);
    expect(await boxed()).to.deep.equal([]);
  });

  it('sends straight where the browser keeps nothing, says so, and tries on while the page stands', async () => {
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('no room', 'QuotaExceededError');
    };
    try {
      expect(await send('jar.mark', mark, 5000)).to.deep.include({ done: true });
      expect(outbox.unkept).to.equal(true);
      reply = () => 'away';
      expect((await send('jar.mark', { ...mark, markId: 'n' }, 7000)).done).to.equal(false);
      reply = () => done;
      asked = [];
      await flush();
      expect(asked.map((c) => c.at)).to.deep.equal([7000]);
    } finally {
      IDBObjectStore.prototype.put = put;
    }
    await send('jar.mark', { ...mark, markId: 'o' }, 9000);
    expect(outbox.unkept).to.equal(false);
  });

  it('sends each press once, however often it is told to', async () => {
    const gates: (() => void)[] = [];
    reply = () => new Promise((resolve) => gates.push(() => resolve(done)));
    const sent = send('jar.mark', mark);
    await until(() => gates.length === 1);
    const others = [flush(), flush()];
    gates[0]();
    await Promise.all([sent, ...others]);
    expect(asked).to.have.length(1);
  });

  it('gives up an answer that never comes, and sends the same press again', async () => {
    const timeout = AbortSignal.timeout.bind(AbortSignal);
    AbortSignal.timeout = () => timeout(20);
    reply = () => new Promise(() => {});
    const sent = await send('jar.mark', mark, 5000);
    expect(sent.done).to.equal(false);
    reply = () => done;
    await flush();
    AbortSignal.timeout = timeout;
    expect(asked.map((c) => c.at)).to.deep.equal([5000, 5000]);
    expect(new Set(asked.map((c) => c.commandId)).size).to.equal(1);
    expect(outbox.waiting).to.deep.equal([]);
  });

  it('takes a press back as long as it waits, and no longer', async () => {
    reply = () => 'away';
    const sent = await send('jar.mark', mark);
    if (sent.done) throw new Error('the server was away');
    expect(await withdraw(sent.commandId)).to.equal(true);
    expect(await withdraw(sent.commandId)).to.equal(false);
    expect(outbox.waiting).to.deep.equal([]);
  });

  it('does not keep what cannot wait: it is refused in words, and the form stays', async () => {
    reply = () => 'away';
    const problem = await send('sample.add', {
      sampleId: 's',
      name: 'Bed',
      purpose: 'garden'
    } as never).catch((e: unknown) => e);
    expect(problem).to.be.instanceOf(CommandRefused);
    expect((problem as Error).message).to.match(/cannot be reached/);
    expect(await boxed()).to.deep.equal([]);
  });

  describe('looking again', () => {
    beforeEach(() => clearInterval(letLooksEnd));

    it('counts several calls in a row as one', async () => {
      const all = [lookAgain(), lookAgain(), lookAgain()];
      await until(() => looks.length === 1);
      endLooks();
      await Promise.all(all);
      expect(looks).to.deep.equal([]);
    });

    it('is left where nobody answers, and begins anew when somebody does', async () => {
      nobody = true;
      const failed = await lookAgain().catch((problem: unknown) => problem);
      expect(failed).to.be.instanceOf(Error);
      expect(looks).to.deep.equal([]);
      nobody = false;
      const look = lookAgain();
      await until(() => looks.length === 1);
      endLooks();
      await look;
    });

    it('ends one look before the next begins', async () => {
      const first = lookAgain();
      await until(() => looks.length === 1);
      let ended = false;
      const second = lookAgain().then(() => (ended = true));
      await new Promise((resolve) => setTimeout(resolve, 60));
      expect(looks, 'the second waits').to.have.length(1);
      endLooks();
      await first;
      expect(ended).to.equal(false);
      await until(() => looks.length === 1);
      endLooks();
      await second;
    });

    it('lets a page change that begins when a look ends have its way', async () => {
      let arrived!: () => void;
      const first = lookAgain().then(() => {
        navigating.complete = new Promise<void>((resolve) => {
          arrived = () => {
            navigating.complete = null;
            resolve();
          };
        });
      });
      await until(() => looks.length === 1);
      const second = lookAgain();
      endLooks();
      await first;
      await new Promise((resolve) => setTimeout(resolve, 60));
      expect(looks, 'nothing is looked at while the page changes').to.deep.equal([]);
      arrived();
      await until(() => looks.length === 1);
      endLooks();
      await second;
    });

    it('goes on after a page change that was called off', async () => {
      navigating.complete = Promise.reject(new Error('called off'));
      navigating.complete.catch(() => {});
      const look = lookAgain();
      await until(() => looks.length === 1);
      endLooks();
      await look;
    });
  });
});
