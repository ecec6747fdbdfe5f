import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { ulid } from 'ulid';
import { runCommand } from '../src/lib/server/commands.ts';
import { openStore } from '../src/lib/server/db.ts';
import { bringUpToDate } from '../src/lib/server/migrate.ts';
import browserConfig from '../playwright.config.ts';
import { DOTS_MOST } from '../src/lib/workbench/points.ts';
import { median, report } from './measure.ts';
import { serve } from './serving.ts';

const PORT = 5193;
const POINTS = 50_000;
const SAMPLES = 200;
const MOVES = 120;

/** A bench with many kept results, written straight into its tables: only reading them is measured. */
async function fillPoints(url: string): Promise<void> {
  const store = await openStore(url);
  const now = Date.now();
  await bringUpToDate(store, process.cwd(), now);
  const samples: string[] = [];
  for (let i = 0; i < SAMPLES; i++) {
    const sampleId = ulid();
    samples.push(sampleId);
    const payload = { sampleId, name: `Bed ${i}`, purpose: 'garden' };
    await runCommand(store, 'sample.add', { commandId: ulid(), at: now - 1000, payload }, 'bench', now);
  }
  let seed = 7;
  const next = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
  const prep = JSON.stringify({ ticks: [], shakeStartedAt: null });
  for (let from = 0; from < POINTS; from += 1000) {
    const statements = Array.from({ length: 1000 }, (_, k) => {
      const id = ulid();
      const sand = 100 * Math.sqrt(next()) * 0.98;
      const silt = (100 - sand) * next();
      const fractions = { sand, silt, clay: 100 - sand - silt };
      const snapshot = JSON.stringify({
        readingId: id,
        entry: { ruler: 'mm', lines: {} },
        methodKey: 'jar-timed',
        methodVersion: 1,
        result: { system: 'usda', fractions }
      });
      return [
        {
          sql: 'insert into test (id, code, sample_id, vessel_id, method_key, method_version, temp_c, soil_mm, water_mm, dispersant_ml, note, prep, status, created_at) values (?,?,?,?,?,?,?,?,?,?,?,?,?,?)',
          args: [
            id,
            `P${from + k}`,
            samples[(from + k) % SAMPLES],
            'jar-litre',
            'jar-timed',
            1,
            18,
            43,
            128,
            4,
            '',
            prep,
            'finished',
            now - (from + k) * 60_000
          ]
        },
        {
          sql: 'insert into result (id, test_id, at, core_version, snapshot) values (?,?,?,?,?)',
          args: [ulid(), id, now, '1.2.0', snapshot]
        }
      ];
    }).flat();
    await store.client.batch(statements, 'write');
  }
  store.close();
}

/** Moves over the triangle, one a frame: the time of each frame, ms. */
function hover(page: Page): Promise<number[]> {
  return page.evaluate(async (moves) => {
    const svg = document.querySelector('#triangle')!;
    const box = svg.getBoundingClientRect();
    const times: number[] = [];
    let last = performance.now();
    for (let i = 0; i < moves; i++) {
      const at = {
        clientX: box.x + box.width * (0.3 + 0.4 * (i / moves)),
        clientY: box.y + box.height * 0.7
      };
      svg.dispatchEvent(new PointerEvent('pointermove', { bubbles: true, ...at }));
      await new Promise((done) => requestAnimationFrame(done));
      times.push(performance.now() - last);
      last = performance.now();
    }
    return times;
  }, MOVES);
}

/** The triangle with 50,000 points: opened, painted and moved over, against the time of a frame. */
export async function benchKnowPage(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'tivrel-know-'));
  const url = `file:${join(folder, 'bench.db')}`;
  await fillPoints(url);
  const { base, end } = await serve(url, PORT);
  const browser = await chromium.launch(browserConfig.use!.launchOptions);
  try {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    const open = performance.now();
    await page.goto(`${base}/know`);
    await page.locator('html[data-awake]').waitFor();
    const opened = performance.now() - open;
    await hover(page);
    const many = await hover(page);
    const zoom = await page.evaluate(async () => {
      const times: number[] = [];
      for (let i = 0; i < 8; i++) {
        const start = performance.now();
        [...document.querySelectorAll('button')]
          .find((b) => b.textContent === (i % 2 ? 'Further off' : 'Closer'))!
          .click();
        await new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
        times.push(performance.now() - start);
      }
      return times;
    });
    report(
      `triangle, ${POINTS} points opened`,
      `${opened.toFixed(0)} ms to a page awake`,
      `from the server's tables to the painted dots, the newest ${DOTS_MOST} over a shade of all`
    );
    report(
      'moved over, frame by frame',
      `${median(many).toFixed(1)} ms a frame, worst ${Math.max(...many).toFixed(0)} ms`,
      `${(median(many) / (1000 / 60)).toFixed(2)} of a frame at sixty a second`
    );
    report(
      'all of them painted anew (zoom)',
      `${median(zoom).toFixed(0)} ms`,
      `${(median(zoom) / (1000 / 60)).toFixed(1)} frames`
    );
  } finally {
    await browser.close();
    await end();
    rmSync(folder, { recursive: true, force: true });
  }
}
