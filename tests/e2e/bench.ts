import { execFile, spawn, type ChildProcess } from 'node:child_process';
import { copyFileSync, existsSync, mkdtempSync, rmSync, statSync } from 'node:fs';
import { mkdir } from 'node:fs/promises';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { ulid } from 'ulid';
import { test as base, expect, type Browser, type BrowserContext, type Page } from '@playwright/test';

/** A built server on a database of its own, whose clock and that of its pages are moved together. */
export class Bench {
  url = '';
  folder = mkdtempSync(join(tmpdir(), 'tivrel-e2e-'));
  pages: Page[] = [];
  /** Console errors and exceptions of every page; tests expect it to stay empty. */
  troubles: string[] = [];
  #child: ChildProcess | undefined;
  #port = 0;
  #shiftMs = 0;

  constructor(private browser: Browser) {}

  get database(): string {
    return `file:${join(this.folder, 'bench.db')}`;
  }

  /** @param o.fileKb what a file of the server may hold at most, as a disk that is full would have it */
  async start(env: Record<string, string> = {}, o: { fileKb?: number } = {}): Promise<void> {
    this.#port ||= await freePort();
    this.url = `http://127.0.0.1:${this.#port}`;
    const limit = o.fileKb ? `trap '' XFSZ; ulimit -f ${2 * o.fileKb}; ` : '';
    const child = spawn('sh', ['-c', `${limit}exec node build`], {
      env: {
        ...process.env,
        HOST: '127.0.0.1',
        BODY_SIZE_LIMIT: 'Infinity',
        PORT: String(this.#port),
        DATABASE_URL: this.database,
        NODE_ENV: 'test',
        TIVREL_TEST_CLOCK: String(this.#shiftMs),
        TIVREL_ROOT: process.cwd(),
        SHUTDOWN_TIMEOUT: '1',
        ...env
      },
      stdio: 'inherit'
    });
    this.#child = child;
    const state = () =>
      child.exitCode === null ? this.#alive() : Promise.reject(new Error('the server ended'));
    await expect.poll(state, { intervals: [50] }).toBe(true);
  }

  async #alive(): Promise<boolean> {
    return fetch(`${this.url}/api/v1/health`).then(
      (r) => r.ok,
      () => false
    );
  }

  async #shiftServer(shiftMs: number): Promise<void> {
    const answer = await fetch(`${this.url}/api/v1/test-clock`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ shiftMs })
    });
    expect(answer.ok).toBe(true);
  }

  /** Starts anew on the demo scenario, at the time it was made for, however long ago in the run that was. */
  async fill(): Promise<void> {
    await this.kill();
    const { file, madeMs } = await seeded();
    copyFileSync(file, join(this.folder, 'bench.db'));
    for (const part of ['-wal', '-shm']) rmSync(join(this.folder, `bench.db${part}`), { force: true });
    this.#shiftMs = Math.round(madeMs - Date.now());
    await this.start();
  }

  /** Ends the server at once, as a power cut would. */
  async kill(): Promise<void> {
    const child = this.#child;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const gone = new Promise((resolve) => child.once('exit', resolve));
    child.kill('SIGKILL');
    await gone;
  }

  /**
   * Opens a window with a clock of its own, at the bench's time. The worker that keeps the pages for offline use
   * fetches the whole application at a first visit, so it runs only where a test asks for it.
   */
  async open(path = '/', options: Parameters<Browser['newContext']>[0] = {}): Promise<Page> {
    const context = await this.browser.newContext({
      timezoneId: 'Europe/Oslo',
      locale: 'en-GB',
      serviceWorkers: 'block',
      ...options
    });
    return this.openIn(context, path);
  }

  async openIn(context: BrowserContext, path = '/'): Promise<Page> {
    const page = await context.newPage();
    await page.clock.install({ time: Date.now() + this.#shiftMs });
    page.on('console', (m) => {
      // A refusal is an answer, though the browser writes it down as a failed load.
      if (m.type() === 'error' && !/status of (409|422)/.test(m.text())) this.troubles.push(m.text());
      // A page that is drawn anew as it wakes loses what was typed until then.
      if (/hydration_mismatch/.test(m.text())) this.troubles.push(`${page.url()}: ${m.text()}`);
    });
    page.on('pageerror', (e) => this.troubles.push(e.message));
    this.pages.push(page);
    await page.goto(this.url + path);
    await ready(page);
    return page;
  }

  /** Lets time pass for the server and every open window. */
  async pass(seconds: number): Promise<void> {
    const ms = Math.round(seconds * 1000);
    this.#shiftMs += ms;
    await this.#shiftServer(ms);
    for (const page of this.pages) if (!page.isClosed()) await page.clock.fastForward(ms);
    // A window may measure its clock anew now; let it finish before time is moved again.
    await new Promise((resolve) => setTimeout(resolve, 300));
  }

  /** Lets time pass up to a time on the bench, ms UTC, however long the machine took until here. */
  async passTo(ms: number): Promise<void> {
    await this.pass(Math.max(0, ms - this.now()) / 1000);
  }

  /** Lets time pass while every open window sleeps: its timers do not run, then it wakes to another time. */
  async sleep(seconds: number): Promise<void> {
    const ms = Math.round(seconds * 1000);
    this.#shiftMs += ms;
    await this.#shiftServer(ms);
    for (const page of this.pages) if (!page.isClosed()) await page.clock.setSystemTime(this.now());
  }

  /** The time on the bench, ms UTC. */
  now(): number {
    return Date.now() + this.#shiftMs;
  }

  async close(): Promise<void> {
    for (const page of this.pages) if (!page.isClosed()) await page.context().close();
    await this.kill();
    rmSync(this.folder, { recursive: true, force: true });
  }
}

/** The page answers once its script runs: keys and queue are up, the clock is measured. */
export async function ready(page: Page): Promise<void> {
  await page.locator('html[data-awake]').waitFor();
}

/** Below what systems give out by themselves, and each worker has its own: no two servers are told the same one. */
const PORTS_FROM = 21_000;
const PORTS_EACH = 500;
let portsTaken = 0;

export async function freePort(): Promise<number> {
  const port = PORTS_FROM + test.info().parallelIndex * PORTS_EACH + (portsTaken++ % PORTS_EACH);
  const free = await new Promise<boolean>((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
  });
  return free ? port : freePort();
}

/**
 * A database with the demo scenario, made once in a run by whoever asks first: its pictures are drawn, which takes a
 * while. Whoever asks meanwhile waits for it.
 */
async function seeded(): Promise<{ file: string; madeMs: number }> {
  const folder = process.env.TIVREL_E2E_SHARED!;
  const [file, making, made] = ['demo.db', 'making', 'made'].map((name) => join(folder, name));
  const first = await mkdir(making).then(
    () => true,
    () => false
  );
  if (first) {
    const env = { ...process.env, DATABASE_URL: `file:${file}` };
    await promisify(execFile)('node', ['--import', 'tsx', 'scripts/seed-demo.ts'], { env });
    await mkdir(made);
  }
  await expect.poll(() => existsSync(made), { timeout: 200_000, intervals: [100] }).toBe(true);
  return { file, madeMs: statSync(made).mtimeMs };
}

export const test = base.extend<{ bench: Bench }>({
  bench: async ({ browser }, use) => {
    const bench = new Bench(browser);
    await bench.start();
    await use(bench);
    await bench.close();
  }
});

export { expect };

/** Sets a jar of a new sample by the form and stands it. Ends on the bench. */
export async function standJar(page: Page, name: string, method = 'Timed marks'): Promise<void> {
  await page.goto(new URL('/set', page.url()).href);
  await ready(page);
  const fresh = page.getByText('A new sample', { exact: true });
  if (await fresh.isVisible()) await fresh.click();
  await page.getByLabel('Where the soil came from').fill(name);
  await page.getByRole('radio', { name: new RegExp(method) }).check();
  await page.getByRole('button', { name: 'Prepare this jar' }).click();
  await expect(page.getByRole('heading', { name: /^Get .+ ready$/ })).toBeVisible();
  await page.getByRole('button', { name: 'Set down' }).click();
  await expect(page.getByRole('list', { name: 'Jars on the shelf' })).toBeVisible();
}

/** Does a command by the API, at the bench's time. */
export async function command(bench: Bench, name: string, payload: object): Promise<void> {
  const answer = await fetch(`${bench.url}/api/v1/commands/${name}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ commandId: ulid(), at: bench.now(), payload })
  });
  expect(answer.ok).toBe(true);
}

/** A sample and a prepared jar of it, by the API: a litre of glass by timed marks unless said otherwise. */
export async function jarByCommand(
  bench: Bench,
  name: string,
  o: { purpose?: string; stands?: boolean } & Record<string, unknown> = {}
): Promise<{ sampleId: string; testId: string; runId: string }> {
  const [sampleId, testId, runId] = [ulid(), ulid(), ulid()];
  const { purpose = 'garden', stands = false, ...jar } = o;
  await command(bench, 'sample.add', { sampleId, name, purpose });
  await command(bench, 'jar.prepare', {
    testId,
    sampleId,
    vesselId: 'jar-litre',
    methodKey: 'jar-timed',
    tempC: 18,
    soilMm: 43,
    waterMm: 128,
    dispersantMl: 4,
    ...jar
  });
  if (stands) await command(bench, 'jar.set-down', { testId, runId });
  return { sampleId, testId, runId };
}

/** Marks of a jar that stands, made when they are due and measured: layer, s after set-down, mm. */
export async function markInTurn(
  bench: Bench,
  { testId, runId }: { testId: string; runId: string },
  marks: readonly (readonly [layer: 'sand' | 'silt' | 'clay', s: number, mm: number])[],
  after?: (layer: 'sand' | 'silt' | 'clay') => Promise<void>
): Promise<void> {
  let gone = 0;
  for (const [layer, s, mm] of marks) {
    await bench.pass(s - gone);
    gone = s;
    const markId = ulid();
    await command(bench, 'jar.mark', { testId, runId, markId, layer });
    await command(bench, 'mark.height', { testId, markId, height: { mm, text: String(mm) } });
    await after?.(layer);
  }
}

/** The answer of a reading that is being typed, and the standard errors of its three shares together once it has settled, points. */
export function answerOn(page: Page) {
  const answer = page.getByRole('region', { name: 'By mass, from all that is known' });
  const settled = page.locator('[data-testid="headline"][aria-busy="false"]');
  const errors = async () => {
    await expect(settled).toBeVisible();
    const text = (await answer.getByText(/^Give or take/).textContent())!;
    return text.match(/\d+/g)!.reduce((sum, n) => sum + Number(n), 0);
  };
  return { answer, settled, errors };
}
