import { execFileSync, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Browser, type Page } from '@playwright/test';
import config from '../playwright.config.ts';

/** Takes the pictures in docs/screenshots from the demo data. */
const PORT = 5193;
const base = `http://127.0.0.1:${PORT}`;
const folder = mkdtempSync(join(tmpdir(), 'tivrel-shots-'));
const env = {
  ...process.env,
  DATABASE_URL: `file:${join(folder, 'demo.db')}`,
  HOST: '127.0.0.1',
  BODY_SIZE_LIMIT: 'Infinity',
  PORT: String(PORT),
  NODE_ENV: 'production'
};
execFileSync('node', ['--import', 'tsx', 'scripts/seed-demo.ts'], { env });
const server = spawn('node', ['build'], { env, stdio: 'ignore' });

const desk = { width: 1280, height: 800 };
const phone = { width: 390, height: 844 };

type Shot = {
  name: string;
  path: string;
  viewport: typeof desk;
  /** What somebody does before the picture is taken. */
  first?: (page: Page) => Promise<void>;
};

/** Reads from the kept picture: crosses on the bottom and the water line, as somebody would put them. */
async function layStrip(page: Page): Promise<void> {
  await page.getByText('from a picture').click();
  await page.getByRole('button', { name: 'Read from picture 1' }).click();
  const picture = page
    .getByRole('group', { name: 'The picture, with the scale and the strip on it' })
    .locator('image');
  for (const [handle, x, y] of [
    ['Lower known height', 0.489, 0.804],
    ['Upper known height', 0.507, 0.288]
  ] as const) {
    const cross = page.getByRole('button', { name: handle, exact: true }).locator('circle').first();
    await cross.scrollIntoViewIfNeeded();
    const [box, from] = [(await picture.boundingBox())!, (await cross.boundingBox())!];
    await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width * x, box.y + box.height * y, { steps: 4 });
    await page.mouse.up();
  }
  await page.waitForTimeout(900);
  await page.mouse.wheel(0, -2000);
}

/** The water is said, and the answer has settled. */
async function sayWater(page: Page): Promise<void> {
  await page.getByText('hazy', { exact: true }).click();
  await page.locator('[data-testid="headline"][aria-busy="false"]').waitFor();
  await page.evaluate(() => scrollTo(0, 0));
}

/** A film is worked out beside the page, which takes a while. */
const readFilm = (page: Page): Promise<void> => page.getByTestId('film-shares').waitFor();

/** The triangle with tests of one sample joined, and areas before and after. */
async function joinAndCompare(page: Page): Promise<void> {
  for (const name of ['Join tests of one sample', 'Arrows: before and after']) {
    await page.getByLabel(name).check();
  }
  await page.evaluate(() => scrollTo(0, 0));
  await page.mouse.move(5, 400);
}

/** Lays three tapes on the practice jar, at a minute, two hours and two days. */
async function layTapes(page: Page): Promise<void> {
  const slider = page.getByRole('slider', { name: 'Wind to a time' });
  await slider.waitFor();
  for (const steps of [12, 15, 9]) {
    await slider.focus();
    for (let i = 0; i < steps; i++) await page.keyboard.press('PageUp');
    await page.getByRole('button', { name: 'Lay tape' }).click();
  }
  // What three of them say is worked out.
  await page.getByText('points off').nth(2).waitFor();
}

/** A table of earlier jars, with its faults. */
async function chooseTable(page: Page): Promise<void> {
  await page.getByLabel('Choose a table').setInputFiles('static/try/earlier-jars.csv');
  await page.getByText('can be taken in').first().waitFor();
}

async function take(browser: Browser, shot: Shot): Promise<void> {
  const mobile = shot.viewport === phone;
  const context = await browser.newContext({
    viewport: shot.viewport,
    colorScheme: 'light',
    timezoneId: 'Europe/Oslo',
    locale: 'en-GB',
    hasTouch: mobile,
    isMobile: mobile,
    reducedMotion: 'reduce'
  });
  await context.addInitScript('globalThis.__name = (f) => f');
  // The lines for a first time have been read.
  await context.addInitScript(
    "for (const of of ['bench', 'prepare', 'read', 'know', 'log']) localStorage.setItem(`tivrel:draft:first:${of}`, 'true')"
  );
  const page = await context.newPage();
  await page.goto(base + shot.path);
  await page.locator('html[data-awake]').waitFor();
  await page.waitForTimeout(900);
  await shot.first?.(page);
  await page.waitForTimeout(500);
  // An answer that is still worked out is no picture of the page.
  await page.waitForFunction(() => !document.querySelector('[aria-busy="true"]'));
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
  const ground = (await fetch(`${base}/plan`, { redirect: 'manual' })).headers.get('location')!;
  const drawn = await fetch(`${base}/api/v1/sites/${ground.split('/').pop()}/geojson`);
  const { features } = (await drawn.json()) as { features: { id: string; properties: { name?: string } }[] };
  const areaOf = (name: string) => features.find((f) => f.properties.name === name)!.id;
  const { holes } = (await (await fetch(`${base}/api/v1/holes`)).json()) as {
    holes: { id: string; code: string }[];
  };
  const lessons = await (await fetch(`${base}/practice/lessons`)).text();
  const lesson = /\/practice\/lessons\/\w+/.exec(lessons)![0];
  const browser = await chromium.launch(config.use!.launchOptions);
  const shots: Shot[] = [
    { name: 'bench', path: '/', viewport: desk },
    { name: 'bench-phone', path: '/', viewport: phone },
    { name: 'ground', path: '/plan', viewport: desk },
    { name: 'timetable', path: '/plan/timetable', viewport: desk },
    { name: 'set', path: '/set', viewport: desk },
    { name: 'read', path: `/read/${id('P1')}`, viewport: desk, first: sayWater },
    { name: 'read-picture', path: `/read/${id('P1')}`, viewport: desk, first: layStrip },
    { name: 'cylinder', path: `/read/${id('L1d')}/cylinder`, viewport: desk },
    { name: 'triangle', path: `/know?test=${id('T1d')}`, viewport: desk, first: joinAndCompare },
    { name: 'act', path: `/act?test=${id('H1')}&bed=roots`, viewport: desk },
    { name: 'hole', path: `/holes/${holes.find((h) => h.code === 'PHh1')!.id}`, viewport: desk },
    { name: 'seasons', path: `/act/seasons/${areaOf('North bed')}`, viewport: desk },
    { name: 'film', path: `/tests/${id('P1')}/film`, viewport: desk, first: readFilm },
    { name: 'wall', path: `/act?test=${id('D1')}&ask=wall`, viewport: desk },
    { name: 'log', path: '/log?sort=sample', viewport: desk },
    { name: 'import', path: '/log/import', viewport: desk, first: chooseTable },
    { name: 'practice', path: '/practice/jar?sand=42&clay=20&set=1', viewport: desk, first: layTapes },
    { name: 'lesson', path: lesson, viewport: desk },
    { name: 'report', path: `/reports/site/${ground.split('/').pop()}`, viewport: desk }
  ];
  for (const shot of shots) await take(browser, shot);
  await browser.close();
} finally {
  server.kill();
  rmSync(folder, { recursive: true, force: true });
}
