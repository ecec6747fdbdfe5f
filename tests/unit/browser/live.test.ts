import { expect } from 'chai';
import { looks } from '../app/navigation.ts';
import { startLive } from '../../../src/lib/browser/live.ts';

/** The server's stream, as a test lets it speak. */
class Stream extends EventTarget {
  static last: Stream;
  onopen: (() => void) | null = null;
  onmessage: ((event: { data: string; lastEventId: string }) => void) | null = null;
  constructor() {
    super();
    Stream.last = this;
  }
  close(): void {}
}

describe('news of the server', () => {
  const real = Object.fromEntries(
    ['window', 'navigator', 'location', 'EventSource', 'fetch'].map((name) => [
      name,
      Object.getOwnPropertyDescriptor(globalThis, name)
    ])
  );
  let stop = () => {};
  let nobody = false;
  let shown = 'a-0';

  before(() => {
    const put = (name: string, value: unknown) =>
      Object.defineProperty(globalThis, name, { value, configurable: true, writable: true });
    put('window', globalThis);
    put('navigator', {});
    put('location', { pathname: '/log', href: 'http://bench.local/log' });
    put('EventSource', Stream);
    put('fetch', () =>
      nobody ? Promise.reject(new TypeError('no way there')) : Promise.resolve(new Response())
    );
    stop = startLive(() => shown);
  });
  after(() => {
    stop();
    for (const [name, own] of Object.entries(real)) {
      if (own) Object.defineProperty(globalThis, name, own);
      else Reflect.deleteProperty(globalThis, name);
    }
  });

  const until = async (what: () => boolean) => {
    while (!what()) await new Promise((resolve) => setTimeout(resolve, 5));
  };
  const tell = (id: string) => Stream.last.onmessage!({ data: '{"what":"jar.mark"}', lastEventId: id });

  it('makes a page look again, and once more where that look failed, until it shows them', async () => {
    nobody = true;
    let asked = 0;
    const plain = globalThis.fetch;
    globalThis.fetch = (...of) => (asked++, plain(...of));
    tell('a-1');
    await until(() => asked > 0);
    nobody = false;
    await until(() => looks.length > 0);
    shown = 'a-1';
    looks.splice(0).forEach((look) => look.end());
    // Of what it shows it hears nothing new.
    const before = asked;
    tell('a-1');
    await new Promise((resolve) => setTimeout(resolve, 30));
    expect([asked, looks.length]).to.eql([before, 0]);
    globalThis.fetch = plain;
  }).timeout(20_000);
});
