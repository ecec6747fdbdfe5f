import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ulid } from 'ulid';
import type { CommandDone, CommandName, PayloadInput } from '../../../src/lib/contract/commands.ts';
import { isJarSnapshot, type JarSnapshot, type Snapshot } from '../../../src/lib/contract/records/result.ts';
import { runCommand } from '../../../src/lib/server/commands.ts';
import { openStore, type Store } from '../../../src/lib/server/db.ts';
import { bringUpToDate } from '../../../src/lib/server/migrate.ts';

/** A bench on a real database file in a folder of its own, with a clock that the test moves. */
export type TestBench = {
  store: Store;
  folder: string;
  url: string;
  now: number;
  /** Does a command at the bench's time, or at another. */
  do<N extends CommandName>(
    name: N,
    payload: PayloadInput<N>,
    at?: number,
    commandId?: string
  ): Promise<CommandDone>;
  reopen(): Promise<void>;
  close(): void;
};

export const START = Date.UTC(2026, 4, 4, 9, 0);

export async function openBench(): Promise<TestBench> {
  const folder = mkdtempSync(join(tmpdir(), 'tivrel-'));
  const url = `file:${join(folder, 'bench.db')}`;
  const open = async () => {
    const store = await openStore(url);
    await bringUpToDate(store, process.cwd(), START);
    return store;
  };
  const bench: TestBench = {
    store: await open(),
    folder,
    url,
    now: START,
    do: (name, payload, at = bench.now, commandId = ulid()) =>
      runCommand(bench.store, name, { commandId, at, payload }, 'test', bench.now),
    async reopen() {
      bench.store.close();
      bench.store = await open();
    },
    close() {
      bench.store.close();
      rmSync(folder, { recursive: true, force: true });
    }
  };
  return bench;
}

/** A sample and a prepared jar of it. */
export async function prepareJar(
  bench: TestBench,
  o: Partial<PayloadInput<'jar.prepare'>> = {}
): Promise<{ sampleId: string; testId: string; code: string }> {
  const sampleId = o.sampleId ?? ulid();
  if (!o.sampleId)
    await bench.do('sample.add', { sampleId, name: 'Walled garden, north bed', purpose: 'garden' });
  const testId = ulid();
  const done = await bench.do('jar.prepare', {
    testId,
    vesselId: 'jar-litre',
    methodKey: 'jar-timed',
    tempC: 18,
    soilMm: 43,
    waterMm: 128,
    dispersantMl: 3.8,
    ...o,
    sampleId
  });
  return { sampleId, testId, code: done.code! };
}

/** An area of a site of its own. */
export async function addArea(
  bench: TestBench,
  name = 'South bed'
): Promise<{ siteId: string; areaId: string }> {
  const [siteId, areaId] = [ulid(), ulid()];
  await bench.do('site.add', { siteId, name: 'Skarn Holm' });
  const outline: [number, number][] = [
    [0, 0],
    [10, 0],
    [10, 10],
    [0, 10]
  ];
  await bench.do('area.add', { areaId, siteId, name, purpose: 'garden', outline });
  return { siteId, areaId };
}

/** Where the strip of a film lies. */
export const STRIP = {
  low: { at: [100, 500] as [number, number], heightMm: 0 },
  high: { at: [100, 100] as [number, number], heightMm: 120 },
  asidePx: 0,
  widthPx: 40,
  fromMm: 1,
  toMm: 118,
  rowMm: 117 / 240,
  rows: 240
};

/** A jar that stands. */
export async function standJar(
  bench: TestBench,
  o: Partial<PayloadInput<'jar.prepare'>> = {}
): Promise<{ sampleId: string; testId: string; runId: string }> {
  const { sampleId, testId } = await prepareJar(bench, o);
  const runId = ulid();
  await bench.do('jar.set-down', { testId, runId });
  return { sampleId, testId, runId };
}

const line = (mm: number) => ({ mm, text: String(mm) });
export const ENTRY = { ruler: 'mm' as const, lines: { sand: line(22), silt: line(30.5), clay: line(35) } };

/** What a finished jar kept; throws for a cylinder. */
export function jarSnapshot(snapshot: Snapshot): JarSnapshot {
  if (!isJarSnapshot(snapshot)) throw new Error('A cylinder test was kept.');
  return snapshot;
}
