import { mkdtempSync, rmSync } from 'node:fs';
import { Agent, createServer, get, type Server } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { ulid } from 'ulid';
import { fillPlan, methodByKey, STANDARD_VESSELS } from '../src/lib/core/index.ts';
import type { CommandName, PayloadInput } from '../src/lib/contract/commands.ts';
import { runCommand } from '../src/lib/server/commands.ts';
import { openStore } from '../src/lib/server/db.ts';
import { bringUpToDate } from '../src/lib/server/migrate.ts';
import browserConfig from '../playwright.config.ts';
import { median, report } from './measure.ts';
import { benchPicturePage } from './picture-page.ts';
import { benchPracticePage } from './practice-page.ts';
import { serve } from './serving.ts';

const PORT = 5191;
const PLAIN_PORT = 5192;
const JARS = 30;
const WARM_UP = 300;
const REQUESTS = 600;
const AT_ONCE = 16;

/** Thirty jars at different stages. */
async function fillShelf(url: string): Promise<{ testId: string; runId: string }[]> {
  const store = await openStore(url);
  const now = Date.now();
  await bringUpToDate(store, process.cwd(), now);
  const play = <N extends CommandName>(name: N, at: number, payload: PayloadInput<N>) =>
    runCommand(store, name, { commandId: ulid(), at, payload }, 'bench', at);
  const jars: { testId: string; runId: string }[] = [];
  const method = methodByKey('jar-timed');
  for (let i = 0; i < JARS; i++) {
    const vessel = STANDARD_VESSELS[i % 4];
    const plan = fillPlan(method, vessel);
    const at = now - (i * 47 + 1) * 60_000;
    const [sampleId, testId, runId] = [ulid(), ulid(), ulid()];
    await play('sample.add', at - 9000, { sampleId, name: `Bed ${i}`, purpose: 'garden' });
    const fill = { soilMm: plan.soilMm, waterMm: plan.waterMm, dispersantMl: plan.dispersantMl };
    await play('jar.prepare', at - 8000, {
      testId,
      sampleId,
      vesselId: vessel.id,
      methodKey: method.key,
      tempC: 10 + (i % 12),
      ...fill
    });
    await play('jar.set-down', at, { testId, runId });
    await play('jar.mark', at + 59_000, { testId, runId, markId: ulid(), layer: 'sand' });
    jars.push({ testId, runId });
  }
  store.close();
  return jars;
}

const agent = new Agent({ keepAlive: true, maxSockets: AT_ONCE });

/** One request, its answer read and dropped: the client must not cost what it measures. */
function ask(url: string): Promise<void> {
  return new Promise((resolve, reject) => {
    get(url, { agent }, (response) => {
      if (response.statusCode !== 200) reject(new Error(`${url} answered ${response.statusCode}`));
      response.resume().on('end', resolve);
    }).on('error', reject);
  });
}

/** Requests a second that an address answers, a few at a time. */
async function rate(url: string): Promise<number> {
  const round = async (count: number) => {
    let left = count;
    const start = performance.now();
    const work = async () => {
      while (left-- > 0) await ask(url);
    };
    await Promise.all(Array.from({ length: AT_ONCE }, work));
    return count / ((performance.now() - start) / 1000);
  };
  await round(WARM_UP);
  return round(REQUESTS);
}

/** A server that sends the same bytes without making them: the reference. */
function plainServer(body: Buffer): Promise<Server> {
  const server = createServer((_, response) =>
    response.writeHead(200, { 'content-type': 'text/html' }).end(body)
  );
  return new Promise((resolve) => server.listen(PLAIN_PORT, '127.0.0.1', () => resolve(server)));
}

/** Script that a browser fetches for its first load of a page, as it comes over the wire and unpacked, bytes. */
async function scriptWeight(address: string): Promise<{ compressed: number; raw: number; files: number }> {
  const browser = await chromium.launch(browserConfig.use!.launchOptions);
  try {
    const context = await browser.newContext({ serviceWorkers: 'block' });
    const page = await context.newPage();
    const sums: Promise<{ compressed: number; raw: number }>[] = [];
    page.on('requestfinished', (request) => {
      if (request.resourceType() !== 'script') return;
      const sum = async () => {
        const { responseBodySize } = await request.sizes();
        const body = await (await request.response())!.body();
        return { compressed: responseBodySize, raw: body.length };
      };
      sums.push(sum());
    });
    await page.goto(address);
    await page.locator('html[data-awake]').waitFor();
    const all = await Promise.all(sums);
    const total = (key: 'compressed' | 'raw') => all.reduce((sum, one) => sum + one[key], 0);
    return { compressed: total('compressed'), raw: total('raw'), files: all.length };
  } finally {
    await browser.close();
  }
}

/** Milliseconds of a frame at sixty a second. */
const FRAME_MS = 1000 / 60;
/** Seconds of the shelf that are watched. */
const WATCHED_S = 12;

/**
 * Work that the browser does for the shelf in each second, in which every clock, cloud and countdown moves on once: as
 * the browser counts its own tasks.
 */
async function redrawTimes(base: string): Promise<{ shelfMs: number; emptyMs: number }> {
  const browser = await chromium.launch(browserConfig.use!.launchOptions);
  try {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    const session = await page.context().newCDPSession(page);
    await session.send('Performance.enable');
    const busy = async () => {
      const { metrics } = await session.send('Performance.getMetrics');
      return 1000 * metrics.find((m) => m.name === 'TaskDuration')!.value;
    };
    const aSecond = async (path: string) => {
      await page.goto(base + path);
      await page.locator('html[data-awake]').waitFor();
      await page.waitForTimeout(1500);
      const before = await busy();
      await page.waitForTimeout(WATCHED_S * 1000);
      return ((await busy()) - before) / WATCHED_S;
    };
    return { shelfMs: await aSecond('/'), emptyMs: await aSecond('/log/bin') };
  } finally {
    await browser.close();
  }
}

async function markTimes(
  base: string,
  jars: { testId: string; runId: string }[],
  name: string
): Promise<number[]> {
  const times: number[] = [];
  for (let i = 0; i < 120; i++) {
    const { testId, runId } = jars[i % jars.length];
    const payload = { testId, runId, markId: ulid(), layer: 'silt' };
    const body = JSON.stringify({ commandId: ulid(), at: Date.now(), payload });
    const start = performance.now();
    const answer = await fetch(base + name, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body
    });
    await answer.arrayBuffer();
    if (!answer.ok && name.includes('jar.mark')) throw new Error(`A mark was not taken: ${answer.status}`);
    times.push(performance.now() - start);
  }
  return times.slice(20);
}

/** Server-rendered bench, script weight and the time a mark takes to be acknowledged. */
export async function benchServer(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'tivrel-bench-'));
  const url = `file:${join(folder, 'bench.db')}`;
  const jars = await fillShelf(url);
  const { base, end } = await serve(url, PORT);
  try {
    const body = Buffer.from(await (await fetch(base)).arrayBuffer());
    const rendered = await rate(`${base}/`);
    const plain = await plainServer(body);
    const sent = await rate(`http://127.0.0.1:${PLAIN_PORT}/`);
    plain.close();
    report(
      `bench page, ${JARS} vessels`,
      `${rendered.toFixed(0)} requests a second`,
      `${(sent / rendered).toFixed(1)} x slower than sending the same ${Math.round(body.length / 1024)} kB ready-made (${sent.toFixed(0)} a second)`
    );

    const weight = await scriptWeight(base);
    report(
      'first load of the bench',
      `${(weight.compressed / 1000).toFixed(0)} kB of compressed script`,
      `${weight.files} files, ${(weight.raw / 1000).toFixed(0)} kB before compression`
    );

    for (const path of ['/plan', '/plan/methods', '/plan/timetable']) {
      const page = await scriptWeight(base + path);
      report(
        `first load of ${path}`,
        `${(page.compressed / 1000).toFixed(0)} kB of compressed script`,
        `${(page.compressed / weight.compressed).toFixed(2)} of the bench's, ${page.files} files`
      );
    }

    const { shelfMs, emptyMs } = await redrawTimes(base);
    report(
      `shelf redrawn, ${JARS} vessels`,
      `${((100 * shelfMs) / FRAME_MS).toFixed(0)} % of one frame a second`,
      `${shelfMs.toFixed(1)} ms of work in each second, once; a page without jars ${emptyMs.toFixed(1)} ms`
    );

    await benchPicturePage(base, jars[0].testId);
    await benchPracticePage(base);
    const marks = median(await markTimes(base, jars, '/api/v1/commands/jar.mark'));
    const nothing = median(await markTimes(base, jars, '/api/v1/commands/none'));
    report(
      'a mark acknowledged, median',
      `${marks.toFixed(1)} ms`,
      `${(marks / nothing).toFixed(1)} x a refused request that writes nothing (${nothing.toFixed(1)} ms)`
    );
  } finally {
    await end();
    rmSync(folder, { recursive: true, force: true });
  }
}
