import { extractText } from 'unpdf';
import { CORE_VERSION } from '../../src/lib/core/version.ts';
import { readFileSync } from 'node:fs';
import { command, expect, jarByCommand, ready, standJar, test } from './bench';

const MINUTE = 60;
const HOUR = 3600;

test('one jar the whole way: set, shake, set down, mark, measure, read, finish, find it again', async ({
  bench
}) => {
  const page = await bench.open('/');
  await expect(page.getByRole('heading', { name: 'The shelf is empty' })).toBeVisible();
  await page.getByRole('link', { name: 'Set a jar' }).click();

  // The form answers as it is filled in.
  await page.getByLabel('Where the soil came from').fill('Walled garden, north bed');
  await expect(page.getByText('Dry soil to 43 mm,')).toBeVisible();
  await expect(page.getByText('all coarser than 66 µm is down')).toBeVisible();
  await expect(page.getByText('50 µm at 1 min 33 s')).toBeVisible();
  await page.getByLabel('Water temperature').fill('8');
  await expect(page.getByText(/50 µm at 2 min/)).toBeVisible();
  await page.getByLabel('Water temperature').fill('18');
  await page.getByRole('button', { name: 'Prepare this jar' }).click();

  // The checklist and the shake timer outlive a reload, however soon the one is pressed after the other.
  await expect(page.getByRole('heading', { name: 'Get W1 ready' })).toBeVisible();
  const soil = await page.getByLabel(/Dry soil to 43 mm/).elementHandle();
  const shake = await page.getByRole('button', { name: 'Start shaking' }).elementHandle();
  await page.evaluate((pressed) => pressed.forEach((one) => (one as HTMLElement).click()), [soil, shake]);
  await bench.pass(4 * MINUTE);
  await expect(page.getByRole('timer')).toHaveText(/^4:0\d$/);
  await page.reload();
  await ready(page);
  await expect(page.getByLabel(/Dry soil to 43 mm/)).toBeChecked();
  await bench.pass(7 * MINUTE);
  await expect(page.getByText('long enough')).toBeVisible();
  await page.getByRole('button', { name: 'Set down' }).click();

  // Nothing to do for a minute, then the jar calls.
  await expect(page.getByRole('link', { name: /W1 · mark the sand in 0:[2-5]\d/ })).toBeVisible();
  await bench.pass(61);
  await expect(page).toHaveTitle(/● W1 · mark the sand now/);
  await expect(page.locator('link[rel=icon][href="/favicon-due.svg"]')).toBeAttached();

  // A mark, taken back, and made again.
  await page.getByRole('button', { name: 'Mark the sand on W1' }).click();
  await expect(page.getByText(/W1: sand marked at 1:0\d\./)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Mark the sand on W1' })).toBeVisible();
  await page.getByRole('button', { name: 'Mark the sand on W1' }).click();
  await expect(page.getByRole('link', { name: /W1 · mark the silt/ }).first()).toBeVisible();

  // Its height may come later, in any unit.
  await page.getByRole('link', { name: 'Open W1, Walled garden, north bed' }).click();
  await page.getByLabel('Height of the sand mark on W1').fill('7/8"');
  await page.getByRole('button', { name: 'Keep height' }).click();
  await expect(page.getByText('22.2 mm').first()).toBeVisible();

  await bench.pass(2 * HOUR - 60);
  await page.getByRole('button', { name: 'Mark the silt now' }).click();
  await expect(page.getByText(/W1: silt marked at 2:0\d h\./)).toBeVisible();
  // Its place stays taken when the hand has gone: what stands beside it does not move.
  await bench.pass(10);
  await expect(page.getByRole('button', { name: 'Marked', exact: true })).toBeDisabled();
  await bench.pass(24 * HOUR);
  await page.getByRole('button', { name: 'Mark the clay now' }).click();
  await page.getByRole('main').getByRole('link', { name: 'Read the layers' }).click();

  // The sand line stands where it was measured; the others are dragged and typed.
  await expect(page.getByLabel(/Sand: Top of sand/)).toHaveValue('7/8"');
  const tape = page.getByRole('slider', { name: 'Tape at the top of the silt' });
  const box = (await tape.boundingBox())!;
  await page.mouse.move(box.x + box.width - 30, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width - 30, box.y + box.height / 2 - 60, { steps: 6 });
  await page.mouse.up();
  const silt = Number(await page.getByLabel(/Silt: Top of silt/).inputValue());
  expect(silt).toBeGreaterThan(22.2);
  await page.getByLabel(/Silt: Top of silt/).fill('31');
  await page.getByLabel(/Clay: Top of clay/).fill('36');
  await expect(page.getByTestId('as-read')).toContainText('62 · 24 · 14');
  await expect(
    page.getByRole('img', { name: /Texture triangle: 62 % sand, 24 % silt, 14 % clay, heights as read/ })
  ).toBeVisible();
  await page.getByText('Heights as read', { exact: true }).click();
  await expect(page.getByText('÷ 36.0 mm').first()).toBeVisible();
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  await page.getByRole('button', { name: 'Finish the test' }).click();

  // On record: result with its core version, the marks, the history.
  await expect(page.getByText(new RegExp(`Kept .*core ${CORE_VERSION}`))).toBeVisible();
  await expect(page.getByRole('region', { name: 'Result' })).toContainText(/ soil: \d+\s% sand/);
  await expect(page.getByText('undone', { exact: true })).toBeVisible();

  // Found again tomorrow.
  await bench.pass(24 * HOUR);
  await page.getByRole('link', { name: 'Log' }).click();
  await page.getByLabel('Find').fill('north loam');
  await expect(page.getByRole('row', { name: /W1 Walled garden, north bed/ })).toContainText(
    /5\d · \d\d · 1\d/
  );
  await page.reload();
  await ready(page);
  await expect(page.getByLabel('Find')).toHaveValue('north loam');

  const [csv] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'CSV' }).click()
  ]);
  expect(readFileSync((await csv.path())!, 'utf8')).toContain('W1,"Walled garden, north bed"');
  await page.getByRole('link', { name: 'W1', exact: true }).click();
  // The log has such a link of its own: not before the test is there.
  await expect(page.getByRole('heading', { name: 'W1', level: 1 })).toBeVisible();
  const [json] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'JSON' }).click()
  ]);
  const document = JSON.parse(readFileSync((await json.path())!, 'utf8'));
  expect(document.test.runs[0].marks.map((m: { layer: string }) => m.layer)).toEqual([
    'sand',
    'silt',
    'clay'
  ]);
  const working = page.getByRole('link', { name: 'Working as a PDF' });
  const file = await page.request.get(new URL((await working.getAttribute('href'))!, bench.url).href);
  const { text } = await extractText(new Uint8Array(await file.body()), { mergePages: true });
  expect(text).toContain('As read, by height');
  expect(bench.troubles).toEqual([]);
});

test('keys alone: set, set down, mark, read, finish', async ({ bench }) => {
  const page = await bench.open('/set');
  const key = (k: string) => page.keyboard.press(k);
  /** Tabs on until the wanted control has the focus. */
  const reach = async (name: RegExp) => {
    for (let i = 0; i < 60; i++) {
      await key('Tab');
      const label = await page.evaluate(() => {
        const at = document.activeElement as HTMLInputElement | null;
        const own = at?.labels?.[0]?.textContent ?? '';
        return `${at?.getAttribute('aria-label') ?? ''} ${own} ${at?.tagName === 'BODY' ? '' : (at?.textContent ?? '')}`;
      });
      if (name.test(label)) return;
    }
    throw new Error(`Nothing called ${name} can be reached with Tab.`);
  };
  await reach(/Where the soil came from/);
  await page.keyboard.type('Till bank');
  await reach(/Prepare this jar/);
  await key('Enter');
  await expect(page.getByRole('heading', { name: 'Get T1 ready' })).toBeVisible();
  await key('s');
  await expect(page.getByText('T1 stands. The clock runs.')).toBeVisible();
  await key('n');
  await expect(page.getByRole('link', { name: /Open T1/ })).toBeFocused();
  await bench.pass(60.5);
  await key('m');
  await expect(page.getByText(/T1: sand marked at 1:0\d/)).toBeVisible();
  await bench.pass(7200);
  await key('1');
  await key('m');
  await expect(page.getByText(/T1: silt marked at/)).toBeVisible();
  await bench.pass(90_000);
  await key('m');
  await expect(page.getByText(/T1: clay marked at/)).toBeVisible();
  await key('r');
  await expect(page.getByRole('slider', { name: 'Tape at the top of the sand' })).toBeVisible();
  await reach(/Tape at the top of the sand/);
  for (let i = 0; i < 4; i++) await key('ArrowUp');
  for (const line of [/Clay: Top of clay/, /Silt: Top of silt/, /Sand: Top of sand/]) {
    await reach(line);
    await key('Control+a');
    await page.keyboard.type({ C: '40', S: '32' }[line.source[0]]!);
    if (line.source.startsWith('Sand')) {
      await key('Control+a');
      await page.keyboard.type('20');
    }
  }
  await expect(page.getByTestId('as-read')).toContainText('50 · 30 · 20');
  await reach(/Keep this reading/);
  await key('Enter');
  await expect(page.getByRole('button', { name: 'Finish the test' })).toBeVisible();
  await reach(/Finish the test/);
  await key('Enter');
  await expect(page.getByRole('region', { name: 'Result' })).toBeVisible();
  await key('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await expect(async () => {
    await key('Escape');
    await expect(page.getByRole('dialog', { name: 'Keys' })).toBeHidden({ timeout: 500 });
  }).toPass();
  await key('/');
  await expect(page.getByLabel('Find')).toBeFocused();
  await page.keyboard.type('mnsr');
  await expect(page).toHaveURL(/q=mnsr/);
  expect(bench.troubles).toEqual([]);
});

test('late, replaced and knocked over: every mark and run stays in the record', async ({ bench }) => {
  const page = await bench.open('/');
  await standJar(page, 'Lower bank');
  await bench.pass(150);
  await expect(page.getByText(/1 min 3\d s late|1 min 2\d s late/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Mark the sand on L1' }).click();
  // So late it parts the soil at another size: asked about as it is kept.
  const asked = page.getByRole('dialog', { name: /The sand, at 2:3\d\?/ });
  await expect(asked).toContainText('too late');
  await asked.getByRole('button', { name: 'Keep it as it is' }).click();
  await page.getByRole('link', { name: /Open L1/ }).click();
  await expect(page.getByText(/a mark of \d+ µm, not the sand line/)).toBeVisible();
  await page.getByRole('button', { name: 'Shake again' }).click();
  await page.getByRole('dialog').getByLabel('knocked over or moved').check();
  await page.getByRole('button', { name: 'End this run' }).click();
  await expect(page.getByRole('heading', { name: 'Get L1 ready' })).toBeVisible();
  await page.getByRole('button', { name: 'Set down' }).click();
  await bench.pass(61);
  await page.getByRole('button', { name: 'Mark the sand on L1' }).click();
  await page.getByRole('link', { name: /Open L1/ }).click();
  await expect(page.getByRole('heading', { name: /Run 1 ended: knocked over or moved/ })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Run 2' })).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('a finished test can be opened again; deleted ones lie in the bin until it is emptied', async ({
  bench
}) => {
  const page = await bench.open('/');
  await standJar(page, 'Pond silt', 'Bands by eye');
  await bench.pass(20 * HOUR);
  await page.getByRole('button', { name: 'Read P1' }).click();
  await page.getByText('thicknesses', { exact: true }).click();
  await page.getByLabel(/Sand: Thickness of sand/).fill('4');
  await page.getByLabel(/Silt: Thickness of silt/).fill('24');
  await page.getByLabel(/Clay: Thickness of clay/).fill('5');
  await expect(page.getByTestId('as-read')).toContainText('12 · 73 · 15');
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  await page.getByRole('button', { name: 'Finish the test' }).click();
  await page.getByRole('button', { name: 'Open again' }).click();
  await page.getByLabel('Why is it opened again?').fill('read the silt too low');
  await page.getByRole('dialog').getByRole('button', { name: 'Open again' }).click();
  await expect(page.getByRole('heading', { name: 'Earlier results' })).toBeVisible();
  await expect(page.getByText('read the silt too low')).toBeVisible();

  await page.getByRole('button', { name: 'Put in the bin' }).click();
  await expect(page.getByText('Nothing is on record yet')).toBeVisible();
  await page.getByRole('status', { name: 'P1 is in the bin.' }).getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: 'P1', exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'P1', exact: true }).click();
  await page.getByRole('button', { name: 'Put in the bin' }).click();
  await page.getByRole('link', { name: 'Bin (1)' }).click();
  await page.getByRole('button', { name: 'Take out P1' }).click();
  await expect(page.getByText('The bin is empty.')).toBeVisible();
  await page.getByRole('link', { name: 'Back to the log' }).click();
  await page.getByRole('link', { name: 'P1', exact: true }).click();
  await page.getByRole('button', { name: 'Put in the bin' }).click();
  await page.getByRole('link', { name: 'Bin (1)' }).click();
  await page.getByRole('button', { name: 'Empty the bin' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Empty the bin' }).click();
  await expect(page.getByText('The bin is empty.').first()).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('is it settled: two answers, readings of the top, and the bench calls when the jar itself says so', async ({
  bench
}) => {
  const page = await bench.open('/');
  await command(bench, 'profile.set', { quietFrom: 0, quietTo: 0 });
  const { testId } = await jarByCommand(bench, 'Pond silt', { methodKey: 'jar-bands', stands: true });
  await page.goto(`${bench.url}/tests/${testId}`);
  await ready(page);
  const settled = page.getByRole('region', { name: 'Is it settled?' });
  await expect(settled).toContainText(/The finest silt is down (tomorrow )?\d\d:\d\d\./);
  await expect(settled).toContainText('read the top of the sediment four times');
  await page.getByLabel('Top of the sediment now').fill('deep');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(settled).toContainText('No number found');
  const readings: [number, string][] = [
    [2, '35.7'],
    [3, '33.5'],
    [4, '31.8']
  ];
  for (const [hours, mm] of readings) {
    await bench.pass(hours * 3600);
    await page.getByLabel('Top of the sediment now').fill(mm);
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(settled.getByText(`${mm} mm`)).toBeVisible();
  }
  await expect(settled).toContainText('1 more reading of the top');
  await bench.pass(2 * 3600);
  await page.getByLabel('Top of the sediment now').fill('31.25');
  await settled.getByText('cloudy', { exact: true }).click();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(settled).toContainText(/Readable after .*: the top will still move/);
  await expect(settled).toContainText(/% of the clay is still up/);
  await expect(settled.getByRole('img', { name: 'The top over time, 4 readings' })).toBeVisible();
  const { test: one } = await (await fetch(`${bench.url}/api/v1/tests/${testId}`)).json();
  expect(one.runs).toHaveLength(1);
  await page.goto(bench.url);
  await ready(page);
  await bench.pass(8 * 3600);
  await expect(page.getByRole('button', { name: 'Read P1' })).toBeVisible();
  expect(bench.troubles).toEqual([]);
});
