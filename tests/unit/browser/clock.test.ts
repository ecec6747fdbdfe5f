import { expect } from 'chai';
import { page } from '../app/state.ts';
import { clock, correctedNow, measureOffset, startClock } from '../../../src/lib/browser/clock.svelte.ts';

describe('the clock of a device', () => {
  const real = {
    fetch: globalThis.fetch,
    document: globalThis.document,
    localStorage: globalThis.localStorage
  };
  /** How far the server's clock is ahead of this one, ms, and how long each way to it and back takes. */
  let ahead = 0;
  let ways: [there: number, back: number][] = [];
  let asked = 0;
  let kept: Map<string, string>;
  const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

  beforeEach(() => {
    asked = 0;
    kept = new Map();
    globalThis.localStorage = {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => void kept.set(key, value)
    } as unknown as Storage;
    globalThis.document = Object.assign(new EventTarget(), {
      visibilityState: 'visible'
    }) as unknown as Document;
    globalThis.fetch = (async () => {
      const way = ways[asked++ % ways.length];
      if (!way) throw new TypeError('no way there');
      await wait(way[0]);
      const now = Date.now() + ahead;
      await wait(way[1]);
      return new Response(JSON.stringify({ now }));
    }) as typeof fetch;
  });
  let stop: (() => void) | undefined;
  afterEach(() => {
    stop?.();
    stop = undefined;
    Object.assign(globalThis, real);
  });
  const until = async (what: () => boolean) => {
    for (let i = 0; i < 1000 && !what(); i++) await wait(5);
    expect(what()).to.equal(true);
  };

  it('is set by the server’s, from the quickest of a few round trips', async () => {
    ahead = 3_600_000;
    // A slow way back alone would put the clock off by half of it.
    ways = [
      [0, 900],
      [60, 60],
      [0, 800]
    ];
    await measureOffset();
    expect(asked).to.equal(3);
    expect(correctedNow() - Date.now()).to.be.closeTo(3_600_000, 200);
    expect(Number(kept.get('tivrel:clock-offset'))).to.be.closeTo(3_600_000, 200);
  });

  it('asks once where the way is short, and again only while it is long', async () => {
    ahead = 60_000;
    ways = [
      [0, 0],
      [0, 900],
      [0, 900]
    ];
    await measureOffset();
    expect(asked).to.equal(1);
    expect(correctedNow() - Date.now()).to.be.closeTo(60_000, 100);
  });

  it('takes no measurement during which the clock was set, and of several the one that was begun last', async () => {
    ahead = 60_000;
    ways = [[0, 0]];
    await measureOffset();
    // The clock is set an hour back while the question is on its way.
    const truly = Date.now;
    ways = [[20, 20]];
    const measuring = measureOffset();
    await wait(5);
    Date.now = () => truly() - 3_600_000;
    await measuring;
    Date.now = truly;
    expect(correctedNow() - Date.now()).to.be.closeTo(60_000, 100);
    // A slow one from before the server's clock was another says nothing after a quick one.
    ways = [[0, 40]];
    const slow = measureOffset();
    ahead = 90_000;
    ways = [[0, 0]];
    await measureOffset();
    await slow;
    expect(correctedNow() - Date.now()).to.be.closeTo(90_000, 100);
  });

  it('keeps its last correction while the server cannot be reached', async () => {
    ahead = -60_000;
    ways = [[0, 0]];
    await measureOffset();
    ways = [];
    await measureOffset();
    expect(correctedNow() - Date.now()).to.be.closeTo(-60_000, 200);
  });

  it('shows the load’s time until it ticks, starts from what it kept, and measures anew when it is looked at', async () => {
    page.data.now = 1234;
    expect(clock.now).to.equal(1234);
    kept.set('tivrel:clock-offset', '90000');
    ways = [];
    const started = startClock();
    stop = started.stop;
    await started.measured;
    // It ticks once a second: between two ticks it may be that far behind.
    await until(() => Math.abs(clock.now - Date.now() - 90_000) < 1500);
    ahead = 5000;
    ways = [[0, 0]];
    document.dispatchEvent(new Event('visibilitychange'));
    await until(() => Math.abs(clock.now - Date.now() - 5000) < 1500);
    started.stop();
    // Once it is stopped, looking at it asks nothing.
    const before = asked;
    document.dispatchEvent(new Event('visibilitychange'));
    await wait(30);
    expect(asked).to.equal(before);
  });
});
