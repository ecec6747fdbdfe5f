import { ulid } from 'ulid';
import { command, expect, jarByCommand, ready, test } from './bench';

test('a method of one’s own: copied, mended, run, changed; the old jar keeps its version', async ({
  bench
}) => {
  const page = await bench.open('/plan/methods/jar-timed');
  await page.getByRole('link', { name: 'Copy and change it' }).click();
  await ready(page);
  await page.getByLabel('Name', { exact: true }).fill('Timed marks');
  await page.getByLabel('Mark the silt at').fill('30 s');
  await expect(page.getByText('The silt is marked after the sand: later than 1 min.')).toBeVisible();
  await page.getByLabel('Dry soil, %').fill('95');
  await expect(page.getByText(/above 0 and at most 90 %/)).toBeVisible();
  await page.reload();
  await ready(page);
  await expect(page.getByLabel('Mark the silt at')).toHaveValue('30 s');
  await page.getByRole('button', { name: 'Keep the method' }).click();
  await expect(page.getByLabel('Dry soil, %')).toBeFocused();
  await page.getByLabel('Dry soil, %').fill('25');
  await page.getByLabel('Mark the silt at').fill('1.5 h');
  await page.getByLabel('Reason for step 1').fill('Clods settle like stones.');
  // Steps are put in order by hand or by keys.
  const [first, second] = [
    page.getByLabel('Step 1', { exact: true }),
    page.getByLabel('Step 2', { exact: true })
  ];
  const [one, two] = [await first.inputValue(), await second.inputValue()];
  await page.getByRole('button', { name: 'Move step 1' }).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(first).toHaveValue(two);
  await expect(second).toHaveValue(one);
  await expect(page.getByLabel('Reason for step 2')).toHaveValue('Clods settle like stones.');
  await page.getByRole('button', { name: 'Keep the method' }).click();
  await expect(page.getByText('Another method has this name.').first()).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('Holm marks');
  await page.getByRole('button', { name: 'Keep the method' }).click();
  await expect(page.getByRole('heading', { name: 'Holm marks' })).toBeVisible();
  await expect(page.getByText('1 h 30 min').first()).toBeVisible();

  await page.getByRole('link', { name: 'Set a jar this way' }).click();
  await ready(page);
  await expect(page.getByRole('radio', { name: 'Holm marks' })).toBeChecked();
  await page.getByLabel('Where the soil came from').fill('Kitchen bed');
  await page.getByRole('button', { name: 'Prepare this jar' }).click();
  await expect(page.getByRole('heading', { name: 'Get K1 ready' })).toBeVisible();

  await page.goto(`${bench.url}/plan/methods`);
  await ready(page);
  await page.getByRole('link', { name: 'Holm marks' }).first().click();
  await page.getByRole('link', { name: 'Change it' }).click();
  await ready(page);
  await page.getByLabel('Name', { exact: true }).fill('Holm marks, slower');
  await page.getByLabel('Mark the silt at').fill('3 h');
  await page.getByRole('button', { name: 'Keep the method' }).click();
  await expect(page.getByText('Versions:')).toBeVisible();
  await page.goto(`${bench.url}/log`);
  await page.getByRole('link', { name: 'K1', exact: true }).click();
  await page.getByRole('link', { name: 'Holm marks, version 1' }).click();
  await expect(page.getByText('Version 1; the latest is 2.')).toBeVisible();
  // What acts on the whole method is offered where its latest version stands.
  await expect(page.getByRole('button', { name: 'Take off the list' })).toBeHidden();
  await expect(page.getByText('1 h 30 min').first()).toBeVisible();
  await page.getByRole('link', { name: 'To the latest' }).click();
  await page.getByRole('button', { name: 'Take off the list' }).click();
  await expect(page.getByText('Holm marks, slower is off the list.')).toBeVisible();
  await expect(page.getByRole('link', { name: 'Holm marks, slower' })).toBeHidden();
  expect(bench.troubles.filter((line) => !/422/.test(line))).toEqual([]);
});

test('a hydrometer method of one’s own: other times, another mass, run by them', async ({ bench }) => {
  const page = await bench.open('/plan/methods/hydrometer-2pt');
  await page.getByRole('link', { name: 'Copy and change it' }).click();
  await ready(page);
  await expect(page.getByLabel('Dry soil, %')).toHaveCount(0);
  await page.getByLabel('Name', { exact: true }).fill('Two hours');
  await page.getByLabel('Air-dry soil, g').fill('50');
  await page.getByLabel('Reading 2 at').fill('30 s');
  await expect(page.getByText('Readings go forward in time: later than 40 s.')).toBeVisible();
  await page.getByLabel('Reading 2 at').fill('2 h');
  await expect(page.getByRole('listitem').filter({ has: page.getByLabel('Reading 2 at') })).toContainText(
    /4\.\d µm/
  );
  await page.getByRole('button', { name: 'Add a reading' }).click();
  await page.getByLabel('Reading 3 at').fill('a day');
  await page.reload();
  await ready(page);
  await expect(page.getByLabel('Reading 3 at')).toHaveValue('a day');
  await page.getByRole('button', { name: 'Take off reading 3' }).click();
  await page.getByRole('button', { name: 'Keep the method' }).click();
  await expect(page.getByRole('heading', { name: 'Two hours', level: 1 })).toBeVisible();
  await page.getByRole('link', { name: 'Set a jar this way' }).click();
  await ready(page);
  await page.getByLabel('Where the soil came from').fill('Till bank');
  await expect(page.getByText('50 g of air-dry soil under 2 mm')).toBeVisible();
  await page.getByRole('button', { name: 'Prepare this jar' }).click();
  await page.getByRole('button', { name: 'Set down' }).click();
  const down = bench.now();
  await bench.passTo(down + 41_000);
  await page.getByRole('button', { name: 'Read now' }).click();
  await expect(page.getByRole('row', { name: /^2 2:00 h/ })).toBeVisible();
  await bench.passTo(down + 7_200_000 - 8000);
  await expect(page.getByText('Lower the hydrometer now, gently')).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('true marks: asked for when setting, called at their own times', async ({ bench }) => {
  const page = await bench.open('/set');
  await page.getByLabel('Where the soil came from').fill('Kitchen bed');
  await page.getByText('true marks, 63 and 2 µm').click();
  const table = page.getByRole('region', { name: 'For this jar' });
  await expect(table).toContainText('all coarser than 63 µm is down');
  await expect(table).toContainText('all coarser than 2.00 µm is down');
  await page.getByRole('button', { name: 'Prepare this jar' }).click();
  await expect(page.getByRole('heading', { name: 'Get K1 ready' })).toBeVisible();
  const { tests } = await (await fetch(`${bench.url}/api/v1/tests`)).json();
  const asked = async () => {
    const { test: one } = await (await fetch(`${bench.url}/api/v1/tests/${tests[0].id}`)).json();
    return one.method.marks as { layer: string; seconds: number }[];
  };
  const [sand, silt] = await asked();
  expect(sand.seconds).toBeGreaterThan(15);
  expect(sand.seconds).toBeLessThan(75);
  expect(silt.seconds).toBeGreaterThan(5 * 3600);
  await command(bench, 'jar.set-down', { testId: tests[0].id, runId: ulid() });
  await page.goto(bench.url);
  await ready(page);
  await bench.pass(sand.seconds);
  await expect(page.getByRole('button', { name: 'Mark the sand on K1' })).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('the five-minute bottle gives one share, and says of what', async ({ bench }) => {
  const page = await bench.open('/');
  const { testId } = await jarByCommand(bench, 'Pipe cutting', {
    purpose: 'bore',
    vesselId: 'jar-half-litre',
    methodKey: 'bottle-five-minute',
    tempC: 15,
    soilMm: 46,
    waterMm: 70,
    dispersantMl: 0,
    stands: true
  });
  await bench.pass(301);
  await page.getByRole('button', { name: 'Mark the sand on P1' }).click();
  await page.goto(`${bench.url}/read/${testId}`);
  await ready(page);
  await page.getByRole('textbox', { name: /^Sand ?:/ }).fill('12');
  await expect(page.getByText('The triangle answers as soon as two layers are placed.')).toBeVisible();
  await page.getByLabel('Whole deposit, measured apart').fill('40');
  await expect(page.getByTestId('headline')).toHaveText('Sand is 30 % of what settled');
  await expect(page.getByText('By reading error alone, 27 % to 33 %.')).toBeVisible();
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  await page.getByRole('button', { name: 'Finish the test' }).click();
  await expect(page.getByRole('status', { name: 'P1 is finished: 30 % sand.' })).toBeVisible();
  await page.getByRole('link', { name: 'Log', exact: true }).click();
  await expect(page.getByRole('row', { name: /P1/ })).toContainText('30 % sand');
  expect(bench.troubles).toEqual([]);
});

test('a graduated cylinder is read in mL, by its own marks', async ({ bench }) => {
  const page = await bench.open('/');
  const { testId } = await jarByCommand(bench, 'Shell sand', {
    purpose: 'lesson',
    vesselId: 'cylinder-100',
    methodKey: 'cylinder-volume',
    tempC: 20,
    soilMm: 38,
    waterMm: 188,
    dispersantMl: 0,
    stands: true
  });
  await bench.pass(1900);
  await page.goto(`${bench.url}/read/${testId}`);
  await ready(page);
  await expect(page.getByText('each line ± 0.5 mL')).toBeVisible();
  await page.getByRole('textbox', { name: /^Sand ?:/ }).fill('12 mL');
  // The rows of a school's sheet: gravel and humus stand there without being asked for.
  await expect(page.getByRole('textbox', { name: /^Gravel ?:/ })).toBeVisible();
  await page.getByLabel('Humus, floating').fill('1.5');
  await page.getByRole('textbox', { name: /^Silt ?:/ }).fill('much');
  await expect(page.getByText(/Give mL as the graduations show them/)).toBeVisible();
  await page.getByRole('textbox', { name: /^Silt ?:/ }).fill('16,5');
  await page.getByRole('textbox', { name: /^Clay ?:/ }).fill('20');
  await expect(page.getByTestId('as-read')).toContainText('60 · 23 · 17');
  await page.getByRole('slider', { name: /clay/i }).focus();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByRole('textbox', { name: /^Clay ?:/ })).toHaveValue('20.5');
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  await expect(page.getByRole('button', { name: 'Finish the test' })).toBeVisible();
  const { test: one } = await (await fetch(`${bench.url}/api/v1/tests/${testId}`)).json();
  expect(one.readings[0].entry.ruler).toBe('mL');
  expect(one.readings[0].entry.lines.sand.mm).toBeCloseTo(22.6, 1);
  expect(one.readings[0].entry.lines.gravel).toBe(undefined);
  expect(one.readings[0].entry.organics.text).toBe('1.5');
  expect(one.readings[0].entry.organics.mm).toBeCloseTo(2.8, 1);
  expect(bench.troubles).toEqual([]);
});

test('what happens to a standing jar is noted in one press; its method stays, and a copy is offered', async ({
  bench
}) => {
  const page = await bench.open('/');
  const { sampleId, testId } = await jarByCommand(bench, 'Till bank', {
    purpose: 'build',
    vesselId: 'jar-litre',
    methodKey: 'jar-timed',
    tempC: 18,
    soilMm: 43,
    waterMm: 128,
    dispersantMl: 4
  });
  await page.goto(`${bench.url}/tests/${testId}`);
  await ready(page);
  await page.getByLabel('Another method').selectOption({ label: 'Bands by eye' });
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByText('T1 goes by Bands by eye now.')).toBeVisible();
  await command(bench, 'jar.set-down', { testId, runId: ulid() });
  await page.getByRole('button', { name: 'foam on top' }).click();
  await expect(page.getByText('T1: foam on top, noted.')).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'Noted foam on top' })).toBeVisible();
  await page.getByLabel('Another method').selectOption({ label: 'Timed marks' });
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByText(/belong to its method/)).toBeVisible();
  await page.getByRole('link', { name: 'Set a copy of it that way' }).click();
  await expect(page.getByRole('radio', { name: 'Timed marks' })).toBeChecked();
  await expect(page.getByLabel('Choose a sample')).toHaveValue(sampleId);
  expect(bench.troubles.filter((line) => !/409/.test(line))).toEqual([]);
});
