import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { ulid } from 'ulid';
import { fillPlan, methodByKey, STANDARD_VESSELS } from '../src/lib/core/index.ts';
import type { CommandName, PayloadInput } from '../src/lib/contract/commands.ts';
import { runCommand } from '../src/lib/server/commands.ts';
import { openStore } from '../src/lib/server/db.ts';
import { bringUpToDate } from '../src/lib/server/migrate.ts';
import { median, report } from './measure.ts';

const PORT = 5191;
const PLAIN_PORT = 5192;
const JARS = 30;
const REQUESTS = 400;
const AT_ONCE = 8;

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

/** Requests a second that an address answers, a few at a time. */
async function rate(url: string): Promise<number> {
  for (let i = 0; i < 40; i++) await (await fetch(url)).arrayBuffer();
  let left = REQUESTS;
  const start = performance.now();
  const work = async () => {
    while (left-- > 0) await (await fetch(url)).arrayBuffer();
  };
  await Promise.all(Array.from({ length: AT_ONCE }, work));
  return REQUESTS / ((performance.now() - start) / 1000);
}

/** A server that sends the same bytes without making them: the reference. */
function plainServer(body: Buffer): Promise<Server> {
  const server = createServer((_, response) =>
    response.writeHead(200, { 'content-type': 'text/html' }).end(body)
  );
  return new Promise((resolve) => server.listen(PLAIN_PORT, '127.0.0.1', () => resolve(server)));
}

/** Compressed script that the first load of the bench asks for, bytes. */
async function scriptWeight(base: string): Promise<{ compressed: number; raw: number; files: number }> {
  const html = await (await fetch(base)).text();
  const seen = new Set<string>();
  const wanted = [...html.matchAll(/["'(]\.?(\/_app\/immutable\/[^"')]+\.js)/g)].map((m) => m[1]);
  let compressed = 0;
  let raw = 0;
  while (wanted.length > 0) {
    const path = wanted.pop()!;
    if (seen.has(path)) continue;
    seen.add(path);
    const text = await (await fetch(base + path)).text();
    raw += text.length;
    compressed += gzipSync(text).length;
    // Static imports belong to the first load; dynamic ones wait until they are wanted.
    for (const m of text.matchAll(
      /(?:^|[;}\s])(?:import|export)[^"'()]*?from\s*["'](\.[^"']+\.js)["']|(?:^|[;}\s])import\s*["'](\.[^"']+\.js)["']/g
    )) {
      wanted.push(new URL(m[1] ?? m[2], `http://x${path}`).pathname);
    }
  }
  return { compressed, raw, files: seen.size };
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
  const base = `http://127.0.0.1:${PORT}`;
  const jars = await fillShelf(url);
  const child = spawn('node', ['build'], {
    env: {
      ...process.env,
      HOST: '127.0.0.1',
      PORT: String(PORT),
      DATABASE_URL: url,
      NODE_ENV: 'production',
      SHUTDOWN_TIMEOUT: '1'
    },
    stdio: ['ignore', 'ignore', 'inherit']
  });
  try {
    for (let i = 0; i < 100; i++) {
      if (
        await fetch(`${base}/api/v1/health`).then(
          (r) => r.ok,
          () => false
        )
      )
        break;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
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

    const marks = median(await markTimes(base, jars, '/api/v1/commands/jar.mark'));
    const nothing = median(await markTimes(base, jars, '/api/v1/commands/none'));
    report(
      'a mark acknowledged, median',
      `${marks.toFixed(1)} ms`,
      `${(marks / nothing).toFixed(1)} x a refused request that writes nothing (${nothing.toFixed(1)} ms)`
    );
  } finally {
    child.kill();
    rmSync(folder, { recursive: true, force: true });
  }
}
