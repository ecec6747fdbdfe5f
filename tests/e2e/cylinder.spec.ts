import { extractText } from 'unpdf';
import { command, expect, jarByCommand, ready, test } from './bench';

const HOUR = 3600;

test('a hydrometer test the whole way: cued, read, blank, weighed, warned, finished', async ({ bench }) => {
  const page = await bench.open('/');
  await page.goto(`${bench.url}/set?method=hydrometer-2pt`);
  await ready(page);
  await page.getByLabel('Where the soil came from').fill('Till bank');
  await expect(page.getByText('40 g of air-dry soil under 2 mm')).toBeVisible();
  await expect(page.getByLabel('Which vessel?')).toHaveValue('cylinder-1000');
  await page.getByRole('button', { name: 'Prepare this jar' }).click();
  await page.getByLabel(/Weigh 40 g of air-dry soil/).check();
  await page.getByRole('button', { name: 'Set down' }).click();
  const down = bench.now();

  // The clock leads: lower at 30 s, read at 40 s.
  const now = page.getByRole('region', { name: 'What is due next' });
  await expect(page.getByText(/Lower the hydrometer in 0:[12]\d/)).toBeVisible();
  await bench.passTo(down + 31_000);
  await expect(page.getByText('Lower the hydrometer now, gently')).toBeVisible();
  await bench.passTo(down + 40_000);
  await expect(page.getByText('Read it at the scale, at eye level.')).toBeVisible();
  await page.getByRole('button', { name: 'Read now' }).click();
  await expect(page.getByText(/C?.*: reading 1 taken/)).toBeVisible();
  const first = page.getByLabel('Reading 1', { exact: true });
  await first.fill('twenty');
  await first.blur();
  await expect(page.getByRole('alert').filter({ hasText: 'as a number' })).toBeVisible();
  // Typed over at once, the last figure counts.
  await first.fill('31');
  await first.blur();
  await first.fill('21');
  await first.blur();
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect(first).toHaveValue('21');

  // A blank of its own, below zero at first and then put right.
  await page.getByLabel('Name of the blank').fill('Cylinder 9');
  await page.getByRole('button', { name: 'Start a blank' }).click();
  await page.getByLabel('Blank reads').fill('2');
  await page.getByRole('button', { name: 'Read the blank now' }).click();
  await expect(page.getByRole('row', { name: /^1 0:40/ })).toContainText('19.0');

  // What was weighed: moist below dry is refused beside its field, and stays as typed.
  await page.getByLabel('The soil was oven-dry').uncheck();
  await page.getByLabel('Moist, with tin').fill('29');
  await page.getByLabel('Dry, with tin').fill('30');
  await page.getByLabel('Tin alone').fill('20');
  await page.getByRole('button', { name: 'Keep what was weighed' }).click();
  await expect(
    page.getByText('Moist soil cannot weigh less than the same soil dry.', { exact: false })
  ).toBeVisible();
  await expect(page.getByLabel('Moist, with tin')).toHaveValue('29');
  await page.getByLabel('Moist, with tin').fill('30,25');
  await page.getByRole('button', { name: 'Keep what was weighed' }).click();
  await expect(page.getByText('Kept.')).toBeVisible();

  await bench.passTo(down + 6.5 * HOUR * 1000 - 9000);
  await expect(page.getByText('Lower the hydrometer now, gently')).toBeVisible();
  await bench.passTo(down + 6.5 * HOUR * 1000);
  await page.getByRole('button', { name: 'Read now' }).click();
  const second = page.getByLabel('Reading 2', { exact: true });
  await second.fill('23');
  await second.blur();
  // Grains only fall: the reading is named, and nothing is lost.
  await expect(page.getByRole('alert').filter({ hasText: 'higher than an earlier one' })).toBeVisible();
  await second.fill('12');
  await second.blur();

  // The check values of the book: 51.3, 23.1, 25.6.
  const result = page.getByRole('region', { name: 'Result' });
  await expect(result.getByRole('row', { name: /Sand 51 %/ })).toBeVisible();
  await expect(result.getByRole('row', { name: /Clay 26 %/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /Oven-dry mass/ })).toContainText('39.02 g');
  await expect(page.getByText(/What these times cut here/)).toBeVisible();
  // Printed, the working is on paper and the forms are not.
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('row', { name: /Oven-dry mass/ })).toBeVisible();
  await expect(page.getByLabel('Air-dry soil')).toBeHidden();
  expect((await page.pdf({ format: 'A4' })).length).toBeGreaterThan(20_000);
  await page.emulateMedia({ media: null });
  const working = page.getByRole('link', { name: 'Working as a PDF' });
  const file = await page.request.get(new URL((await working.getAttribute('href'))!, bench.url).href);
  expect(file.headers()['content-type']).toBe('application/pdf');
  expect((await extractText(new Uint8Array(await file.body()), { mergePages: true })).text).toContain(
    '39.02'
  );

  await page.getByRole('button', { name: 'Finish and keep the result' }).click();
  await expect(page.getByTestId('headline')).toContainText('Sandy clay loam');
  await expect(now).toHaveCount(0);
  expect(bench.troubles).toEqual([]);
});

test('a grading curve: read off by hand, saved as a picture', async ({ bench }) => {
  const { testId, runId } = await jarByCommand(bench, 'Cistern pond silt', {
    methodKey: 'hydrometer-curve',
    vesselId: 'cylinder-1000',
    soilMm: 11,
    waterMm: 342,
    stands: true
  });
  const page = await bench.open(`/read/${testId}`);
  await expect(page).toHaveURL(/\/cylinder$/);
  await bench.pass(25 * HOUR);
  const values = [30, 29, 28, 25, 22, 19, 17.5, 16.5, 16, 12, 9];
  for (const [i, value] of values.entries()) {
    const field = page.getByLabel(`Reading ${i + 1}`, { exact: true });
    await field.fill(String(value));
    await field.blur();
    await expect(page.getByRole('button', { name: `Take reading ${i + 1} back` })).toBeVisible();
  }
  const curve = page.getByRole('slider', { name: /^Grading curve/ });
  await expect(curve).toBeVisible();
  await expect(page.getByRole('definition').first()).toContainText(/µm|not reached/);
  await curve.focus();
  await page.keyboard.press('ArrowRight');
  await expect(curve).toHaveAttribute('aria-valuetext', /% finer than 5\d/);
  await expect(page.getByText(/No blank was read/)).toBeVisible();
  for (const kind of ['SVG', 'PNG'] as const) {
    const saved = page.waitForEvent('download');
    await page.getByRole('button', { name: `Save as ${kind}` }).click();
    const { readFileSync } = await import('node:fs');
    const bytes = readFileSync(await (await saved).path());
    if (kind === 'PNG') {
      const { default: sharp } = await import('sharp');
      const { width = 0 } = await sharp(bytes).metadata();
      expect(width).toBeGreaterThan(3000);
    } else {
      expect(bytes.toString()).toContain('Circles: readings');
      expect(bytes.toString()).toContain('@font-face');
    }
  }
  void runId;
  expect(bench.troubles).toEqual([]);
});

test('a reading pressed while the server is away keeps its time', async ({ bench }) => {
  const { testId } = await jarByCommand(bench, 'Lower bank', {
    methodKey: 'hydrometer-2pt',
    vesselId: 'cylinder-1000',
    soilMm: 11,
    waterMm: 342,
    stands: true
  });
  const page = await bench.open(`/read/${testId}/cylinder`);
  const { runs } = await (await fetch(`${bench.url}/api/v1/tests/${testId}/readings`)).json();
  // However long the page took to open.
  await bench.passTo(Date.parse(runs[0].setDownAt) + 41_000);
  await bench.kill();
  // The same key that marks a jar takes the moment of a reading.
  await page.keyboard.press('m');
  await expect(page.getByRole('row', { name: /^1 0:40 0:[45]\d/ })).toBeVisible();
  await bench.start();
  await expect
    .poll(async () => {
      const { runs } = await (await fetch(`${bench.url}/api/v1/tests/${testId}/readings`)).json();
      return runs[0].instrument.length;
    })
    .toBe(1);
});

test('a simulated cylinder runs a day at speed, labelled, and says how near it came', async ({ bench }) => {
  const page = await bench.open('/practice/cylinder');
  await page.getByRole('button', { name: 'Set it down' }).click();
  for (let i = 0; i < 13; i++) await page.clock.runFor(1000);
  await expect(page.getByText('simulated').first()).toBeVisible();
  await expect(page.getByText(/The readings gave it back within/)).toBeVisible();
  const off = await page.getByText(/gave it back within/).textContent();
  expect(Number(/within ([\d.]+) points/.exec(off!)![1])).toBeLessThan(9);
  await command(bench, 'blank.add', { blankId: '01KB0000000000000000000000', name: 'Cylinder 9' });
  expect(bench.troubles).toEqual([]);
});

test('a field sheet of a cylinder is typed in afterwards, with its times as they were', async ({ bench }) => {
  const { testId } = await jarByCommand(bench, 'Heap of topsoil', {
    methodKey: 'hydrometer-2pt',
    vesselId: 'cylinder-1000',
    soilMm: 11,
    waterMm: 342
  });
  const page = await bench.open(`/set/${testId}/paper`);
  const began = new Date(bench.now() - 7 * HOUR * 1000);
  const local = new Intl.DateTimeFormat('sv-SE', {
    timeZone: 'Europe/Oslo',
    dateStyle: 'short',
    timeStyle: 'medium'
  }).format(began);
  await page.getByLabel('Set down at, to the second').fill(local.replace(' ', 'T'));
  await page.getByLabel('Time of reading 1').fill('55 s');
  await page.getByLabel('Reading 1', { exact: true }).fill('much');
  await expect(page.getByRole('alert')).toContainText('as a number');
  await page.getByLabel('Reading 1', { exact: true }).fill('20');
  await page.getByLabel('Reading 2', { exact: true }).fill('11');
  await page.getByRole('button', { name: 'Keep what was written' }).click();
  await expect(page).toHaveURL(/\/cylinder$/);
  await expect(page.getByRole('row', { name: /^1 0:40 0:55/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /^2 6:30 h 6:30 h/ })).toBeVisible();
  // Late by fifteen seconds: said, with the size it cut.
  await expect(page.getByText(/Reading 1 was made at 55 s, not 40 s/)).toBeVisible();
  expect(bench.troubles).toEqual([]);
});
