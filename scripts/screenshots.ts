import { execFileSync, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Browser } from '@playwright/test';
import config from '../playwright.config.ts';

/** Takes the pictures in docs/screenshots from the demo data. */
const PORT = 5193;
const base = `http://127.0.0.1:${PORT}`;
const folder = mkdtempSync(join(tmpdir(), 'tivrel-shots-'));
const env = {
  ...process.env,
  DATABASE_URL: `file:${join(folder, 'demo.db')}`,
  HOST: '127.0.0.1',
  PORT: String(PORT),
  NODE_ENV: 'production'
};
execFileSync('node', ['--import', 'tsx', 'scripts/seed-demo.ts'], { env });
const server = spawn('node', ['build'], { env, stdio: 'ignore' });

const desk = { width: 1280, height: 800 };
const phone = { width: 390, height: 844 };

type Shot = { name: string; path: string; viewport: typeof desk; dark?: boolean };

async function take(browser: Browser, shot: Shot): Promise<void> {
  const mobile = shot.viewport === phone;
  const context = await browser.newContext({
    viewport: shot.viewport,
    colorScheme: shot.dark ? 'dark' : 'light',
    timezoneId: 'Europe/Oslo',
    hasTouch: mobile,
    isMobile: mobile,
    reducedMotion: 'reduce'
  });
  const page = await context.newPage();
  await page.goto(base + shot.path);
  await page.locator('html[data-awake]').waitFor();
  await page.waitForTimeout(900);
  await page.screenshot({ path: join('docs', 'screenshots', `${shot.name}.png`) });
  await context.close();
}

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
  const { tests } = (await (await fetch(`${base}/api/v1/tests`)).json()) as {
    tests: { code: string; id: string }[];
  };
  const id = (code: string) => tests.find((t) => t.code === code)!.id;
  const one = await fetch(`${base}/api/v1/tests/${id('T1')}`);
  const { test } = (await one.json()) as { test: { sample: { id: string } } };
  const browser = await chromium.launch(config.use!.launchOptions);
  const shots: Shot[] = [
    { name: 'bench', path: '/', viewport: desk },
    { name: 'bench-phone', path: '/', viewport: phone },
    { name: 'bench-night', path: '/', viewport: desk, dark: true },
    { name: 'plan', path: '/plan', viewport: desk },
    { name: 'timetable', path: '/plan/timetable', viewport: desk },
    { name: 'gather', path: '/plan/gather', viewport: desk },
    { name: 'labels', path: '/plan/labels', viewport: desk },
    { name: 'method', path: '/plan/methods/jar-timed', viewport: desk },
    { name: 'set', path: '/set', viewport: desk },
    { name: 'prepare', path: `/set/${id('C1b')}`, viewport: desk },
    { name: 'read', path: `/read/${id('C2')}`, viewport: desk },
    { name: 'result', path: `/tests/${id('H1')}`, viewport: desk },
    { name: 'sample', path: `/samples/${test.sample.id}`, viewport: desk },
    { name: 'log', path: '/log', viewport: desk },
    { name: 'profile', path: '/profile', viewport: desk }
  ];
  for (const shot of shots) await take(browser, shot);
  await browser.close();
} finally {
  server.kill();
  rmSync(folder, { recursive: true, force: true });
}
