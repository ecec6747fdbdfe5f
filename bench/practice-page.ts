import { chromium } from '@playwright/test';
import browserConfig from '../playwright.config.ts';
import { median, report } from './measure.ts';

/** So long it is watched, ms, and what a frame may take at sixty a second. */
const WATCH_MS = 5000;
const FRAME_MS = 1000 / 60;

/** Times between frames that a page draws while it is watched, ms. */
const FRAMES = `new Promise((done) => {
  const times = [];
  let last = performance.now();
  const end = last + ${WATCH_MS};
  const beat = (now) => {
    times.push(now - last);
    last = now;
    if (now < end) requestAnimationFrame(beat);
    else done(times.slice(2));
  };
  requestAnimationFrame(beat);
})`;

const shareOf = (frames: number[], ms: number) => frames.filter((one) => one <= ms).length / frames.length;

/** The settling jar with its three thousand grains while it is played, by the page's own frames; beside the same page at rest. */
export async function benchPracticePage(base: string): Promise<void> {
  const browser = await chromium.launch(browserConfig.use!.launchOptions);
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`${base}/practice/jar`);
    await page.locator('html[data-awake]').waitFor();
    const atRest = (await page.evaluate(FRAMES)) as number[];
    await page.getByRole('button', { name: 'Set it down' }).click();
    await page.getByRole('img', { name: /^A jar,/ }).waitFor();
    await page.getByText('100×', { exact: true }).click();
    const played = (await page.evaluate(FRAMES)) as number[];
    report(
      'settling jar, 3,000 grains played',
      `${(1000 / (played.reduce((sum, ms) => sum + ms, 0) / played.length)).toFixed(0)} frames/s, median ${median(played).toFixed(1)} ms`,
      `${Math.round(100 * shareOf(played, 1.2 * FRAME_MS))} % of frames within 20 ms; at rest ${Math.round(100 * shareOf(atRest, 1.2 * FRAME_MS))} %, ${(1000 / (atRest.reduce((sum, ms) => sum + ms, 0) / atRest.length)).toFixed(0)} frames/s`
    );
  } finally {
    await browser.close();
  }
}
