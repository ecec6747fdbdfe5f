import { expect } from 'chai';
import { ulid } from 'ulid';
import type { Command, CommandName, PayloadInput } from '../../../src/lib/contract/commands.ts';
import type { JarRecord } from '../../../src/lib/contract/records/jar.ts';
import { siteDetail } from '../../../src/lib/server/repositories/sites.ts';
import { benchJars } from '../../../src/lib/server/repositories/tests.ts';
import { withWaiting } from '../../../src/lib/contract/waiting.ts';
import { openBench, prepareJar, START, type TestBench } from './bench.ts';

/** What a window cannot know before the server has answered. */
function asWaiting(jar: JarRecord): object {
  // A run that has ended is kept in the window for its number alone.
  if (!jar.run || jar.run.endedAt !== null) return { ...jar, run: null };
  const plain = <T extends { pending?: boolean }>({ pending: _, ...rest }: T) => rest;
  const run = {
    ...plain(jar.run),
    stillAt: null,
    marks: jar.run.marks.map(plain),
    tops: jar.run.tops.map(plain),
    gauges: jar.run.gauges.map(plain)
  };
  return { ...jar, run };
}

describe('what a window shows of a command that waits', () => {
  let bench: TestBench;
  beforeEach(async () => (bench = await openBench()));
  afterEach(() => bench.close());

  /** Does commands one after another; before each, the window has to show what the server then says. */
  async function agreed(testId: string, steps: { name: CommandName; payload: object; afterS: number }[]) {
    const jar = async () => (await benchJars(bench.store.db)).find((j) => j.id === testId)!;
    for (const { name, payload, afterS } of steps) {
      bench.now = START + afterS * 1000;
      const waiting = { commandId: ulid(), name, at: bench.now, payload } as Command;
      const [shown] = withWaiting('jar', [await jar()], [waiting]);
      await bench.do(name, payload as PayloadInput<CommandName>, bench.now);
      expect(asWaiting(shown), name).to.deep.equal(asWaiting(await jar()));
    }
  }

  it('is what the server then says: a jar from its ticks to its second shaking', async () => {
    const { testId } = await prepareJar(bench);
    const [runId, markId, topId] = [ulid(), ulid(), ulid()];
    await agreed(testId, [
      { name: 'jar.prep', payload: { testId, ticks: ['water'], shakeStartedAt: START }, afterS: 1 },
      { name: 'jar.set-down', payload: { testId, runId }, afterS: 600 },
      { name: 'jar.mark', payload: { testId, runId, markId, layer: 'sand' }, afterS: 660 },
      { name: 'mark.height', payload: { testId, markId, height: { mm: 21.4, text: '21.4' } }, afterS: 700 },
      {
        name: 'jar.top',
        payload: { testId, runId, topId, height: { mm: 60, text: '6 cm' }, water: 'hazy' },
        afterS: 4000
      },
      { name: 'jar.shake-again', payload: { testId, runId, reason: 'knocked' }, afterS: 5000 }
    ]);
  });

  it('is what the server then says: a cylinder whose figures are typed afterwards', async () => {
    const { testId } = await prepareJar(bench, {
      vesselId: 'cylinder-1000',
      methodKey: 'hydrometer-2pt',
      soilMm: 20,
      waterMm: 340
    });
    const [runId, gaugeId] = [ulid(), ulid()];
    await agreed(testId, [
      { name: 'jar.set-down', payload: { testId, runId }, afterS: 10 },
      { name: 'gauge.take', payload: { testId, runId, gaugeId, no: 0 }, afterS: 50 },
      { name: 'gauge.enter', payload: { testId, gaugeId, value: 28.5, tempC: 19 }, afterS: 90 }
    ]);
  });

  it('is what the server then says: a spot ticked in the field, and unticked', async () => {
    const [siteId, areaId, spotId] = [ulid(), ulid(), ulid()];
    await bench.do('site.add', { siteId, name: 'Skarn Holm' });
    const outline: [number, number][] = [
      [0, 0],
      [10, 0],
      [10, 10]
    ];
    await bench.do('area.add', { areaId, siteId, name: 'Terrace', purpose: 'garden', history: [], outline });
    await bench.do('spot.add', { spotId, areaId, place: [8, 4] });
    const spots = async () => (await siteDetail(bench.store.db, siteId))!.areas[0].spots;
    for (const taken of [true, false]) {
      bench.now += 60_000;
      const payload = {
        spotId,
        taken,
        depthFrom: { mm: 50, text: '5 cm' },
        depthTo: { mm: 200, text: '20 cm' },
        note: 'Roots'
      };
      const waiting = { commandId: ulid(), name: 'spot.take', at: bench.now, payload } as Command;
      const shown = withWaiting('spot', await spots(), [waiting]);
      await bench.do('spot.take', payload, bench.now);
      expect(shown).to.deep.equal(await spots());
    }
  });
});
