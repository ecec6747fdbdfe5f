import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { command, expect, jarByCommand, test } from './bench.ts';
import { LITRE, put, withCamera } from './picture.ts';

const HOUR = 3600;

/** Sand, silt and clay as the page says them. */
async function sharesOf(page: Page): Promise<number[]> {
  const text = await page.getByTestId('film-shares').innerText();
  return ['sand', 'silt', 'clay'].map((name) => Number(new RegExp(`(\\d+)\\s%\\s${name}`).exec(text)![1]));
}
const apart = (a: number[], b: number[]) => a.reduce((sum, v, i) => sum + Math.abs(v - b[i]), 0) / 2;

test('a folder of pictures becomes a height-time picture that reads the jar', async ({ bench }) => {
  const { testId } = await jarByCommand(bench, 'Walled garden', { stands: true });
  await bench.pass(50 * HOUR);
  const times = Array.from({ length: 26 }, (_, i) => Math.round(10 * (172_800 / 10) ** (i / 25)));
  const files = [];
  for (const s of times) {
    const answer = await fetch(
      `${bench.url}/api/v1/bench-camera/${testId}/picture.png?seconds=${s}&width=360&height=480&tilt=0&sand=50&silt=30&clay=20`
    );
    const buffer = Buffer.from(await answer.arrayBuffer());
    files.push({ name: `${String(s).padStart(8, '0')}s.png`, mimeType: 'image/png', buffer });
  }
  const page = await bench.open(`/tests/${testId}`);
  await page.getByRole('link', { name: 'Height-time picture' }).click();
  await page.getByText('a folder of pictures').click();

  // Two pictures are no row, and a step that leaves the run is refused; the choice stays.
  await page.getByLabel('Choose the pictures').setInputFiles(files.slice(0, 2));
  await put(page, 'Lower known height', 0.5, LITRE.bottom);
  await put(page, 'Upper known height', 0.5, LITRE.water);
  await page.getByRole('button', { name: 'Make the picture' }).click();
  await expect(page.getByText('Choose three pictures at least', { exact: false })).toBeVisible();
  await page.getByLabel('Choose the pictures').setInputFiles(files);
  await put(page, 'Lower known height', 0.5, LITRE.bottom);
  await put(page, 'Upper known height', 0.5, LITRE.water);
  await page.getByLabel('One picture every').fill('5 h');
  await page.getByRole('button', { name: 'Make the picture' }).click();
  await expect(page.getByText('These times do not lie between', { exact: false })).toBeVisible();
  await page.getByLabel('One picture every').fill('');
  await page.getByRole('button', { name: 'Make the picture' }).click();

  await expect(page.getByRole('img', { name: /Height-time picture of 26 pictures/ })).toBeVisible();
  await expect(page.getByTestId('film-shares')).toBeVisible();
  // Heights alone leave silt and clay open: so says the chance beside them.
  expect(apart(await sharesOf(page), [50, 30, 20])).toBeLessThan(15);
  await expect(page.getByText(/^The class is clay loam with \d+\s%/)).toBeVisible();

  await page.getByRole('button', { name: 'Keep the tops as readings' }).click();
  await expect(page.getByText(/^\d+ readings of the top kept\.$/)).toBeVisible();
  await page.getByRole('button', { name: 'Put these heights into the reading' }).click();
  await expect(page.getByLabel('Clay: Top of clay')).toHaveValue(/^\d\d(\.\d)?$/);
  await expect(page.getByTestId('as-read')).toBeVisible();
  await page.goto(`${bench.url}/tests/${testId}`);
  await expect(page.getByRole('img', { name: /The top over time, \d+ readings/ })).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('a simulated jar, filmed through the browser’s own camera, gives its composition back', async ({
  bench
}) => {
  const { testId, runId } = await jarByCommand(bench, 'Walled garden');
  const soil = [40, 40, 20];
  const times = [30, 60, 120, 240, 600, 1800, 5400, 16_200, 50_000, 150_000];
  // Long enough that a slow machine takes each picture while it shows.
  const HOLD_S = 3;
  const answer = await fetch(
    `${bench.url}/api/v1/bench-camera/${testId}/film.y4m?width=480&height=640&hold=${HOLD_S * 5}` +
      `&seconds=${times.join(',')}&tilt=0&sand=${soil[0]}&silt=${soil[1]}&clay=${soil[2]}`
  );
  const path = join(bench.folder, 'film.y4m');
  writeFileSync(path, Buffer.from(await answer.arrayBuffer()));
  const browser = await withCamera(path);
  try {
    // Only now: the first picture is of half a minute after it.
    await command(bench, 'jar.set-down', { testId, runId });
    const setDownAt = bench.now();
    const page = await bench.openIn(await browser.newContext({ locale: 'en-GB' }), `/tests/${testId}/film`);
    // The film runs in real time from here, and begins anew after the last picture.
    await page.waitForFunction(() => (document.querySelector('video')?.videoWidth ?? 0) > 0);
    const began = Date.now();
    const showing = async (i: number) => {
      const loop = times.length * HOLD_S * 1000;
      const wanted = (i * HOLD_S + 0.4) * 1000;
      const gone = (Date.now() - began) % loop;
      await new Promise((done) => setTimeout(done, (wanted - gone + loop) % loop));
    };
    /** Lets the bench be that long after set-down: what is due on the page is then taken. */
    const becomes = (s: number) => bench.passTo(setDownAt + s * 1000);

    await page.getByRole('button', { name: 'Take a first picture' }).click();
    await put(page, 'Lower known height', 0.5, LITRE.bottom);
    await put(page, 'Upper known height', 0.5, LITRE.water);
    await showing(0);
    await becomes(times[0]);
    await page.getByRole('button', { name: 'Begin to film' }).click();
    await expect(page.getByText('Filming: 1 picture.')).toBeVisible();
    for (let i = 1; i < times.length; i++) {
      await showing(i);
      await becomes(times[i]);
      await expect(page.getByText(`Filming: ${i + 1} pictures.`)).toBeVisible();
    }
    await page.getByRole('button', { name: 'Stop filming' }).click();
    await expect(page.getByTestId('film-shares')).toBeVisible();
    // The bed of 52 kg a square metre of 40/40/20 stands 37.5 mm high at the last picture.
    const last = page.getByRole('row', { name: /last picture/ });
    await expect(last).toContainText(/3[678]\.\d mm/);
    // The film goes by true time: on a slow machine an early picture is taken late, and a height at a wrong time
    // moves the shares. That exact times give them back is held by the folder above.
    expect(apart(await sharesOf(page), soil)).toBeLessThan(25);
    expect(bench.troubles).toEqual([]);
  } finally {
    await browser.close();
  }
});
