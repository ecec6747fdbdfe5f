import AxeBuilder from '@axe-core/playwright';
import { ulid } from 'ulid';
import { command, expect, jarByCommand, ready, test } from './bench';

/** What somebody else made of a jar, kept and finished where it was entered, and judged by the laboratory once it has spoken. */
test('numbers and shares by eye go from the hand to the verdict as they were entered, in other units too', async ({
  bench
}) => {
  const page = await bench.open('/stands');
  await page.getByText('somebody’s numbers', { exact: true }).click();
  for (const [layer, pct] of [
    ['Sand', '33'],
    ['Silt', '53'],
    ['Clay', '14']
  ])
    await page.getByLabel(layer, { exact: true }).fill(pct);
  const said = /^Silt loam soil: 53\s% silt, 33\s% sand, 14\s% clay$/;
  await expect(page.getByTestId('headline')).toHaveText(said);
  await page.getByLabel('Whose numbers').fill('a neighbour');
  await page.getByRole('button', { name: 'Keep it on the bench' }).click();
  // No detour: it stands as it was entered, and is finished from there; nobody claims when it was set down.
  await expect(page.getByRole('heading', { name: 'S1', level: 1 })).toBeVisible();
  await expect(page.getByText('stood since the day before when it was met')).toBeVisible();
  await expect(page.getByLabel('Silt', { exact: true })).toHaveValue('53');
  await expect(page.getByRole('slider')).toHaveCount(0);
  expect((await new AxeBuilder({ page }).setLegacyMode().analyze()).violations).toEqual([]);
  await page.reload();
  await ready(page);
  await expect(page.getByTestId('headline')).toHaveText(said);
  await page.getByRole('button', { name: 'Finish the test' }).click();
  await expect(page.getByRole('region', { name: 'Result' }).getByTestId('headline')).toHaveText(said);
  await page.goto(`${bench.url}/log`);
  await expect(page.getByRole('row').filter({ hasText: 'S1' })).toContainText('33 · 53 · 14');
  await expect(page.getByRole('row').filter({ hasText: 'S1' })).toContainText('entered');

  // A laboratory speaks: from then on the sample is judged by it, and the numbers stand beside it.
  await page
    .getByRole('row')
    .filter({ hasText: 'S1' })
    .getByRole('link', { name: 'Soil not named yet' })
    .click();
  const lab = page.getByRole('region', { name: 'Laboratory' });
  await lab.getByRole('button', { name: 'Enter a report' }).click();
  await lab.getByLabel('Laboratory').fill('Holm laboratory');
  for (const [share, pct] of [
    ['Sand, %', '20'],
    ['Silt, %', '60'],
    ['Clay, %', '20']
  ])
    await lab.getByLabel(share).fill(pct);
  await lab.getByRole('button', { name: 'Keep the report' }).click();
  await expect(page.getByTestId('judged-by')).toContainText('judged by the report of Holm laboratory');
  await expect(page.getByTestId('judged-by')).toContainText('jar S1');
  await page.goto(`${bench.url}/log`);
  await page.getByRole('link', { name: 'S1', exact: true }).click();
  await expect(page.getByTestId('judged-by')).toContainText('Silt loam soil: 60');
  await page.getByRole('link', { name: 'Act on it' }).click();
  await expect(page.getByText('By the report of Holm laboratory', { exact: false })).toBeVisible();
  await expect(page.getByText('A second jar')).toHaveCount(0);
  expect(bench.troubles).toEqual([]);
});

test('what is typed keeps its unit through another profile, another ruler and a reload', async ({
  bench
}) => {
  const { testId } = await jarByCommand(bench, 'Walled garden', { stands: true });
  await bench.pass(26 * 3600);
  const page = await bench.open(`/read/${testId}`);
  const field = (layer: string) => page.getByRole('textbox', { name: new RegExp(`^${layer} ?: `) });
  await page.getByText('sixteenths', { exact: true }).click();
  await field('Sand').fill('7/8');
  await field('Silt').fill('1 1/4');
  await field('Clay').fill('1 3/8');
  await expect(page.getByTestId('as-read')).toContainText('64 · 27 · 9');
  for (const ruler of ['mm', 'sixteenths']) await page.getByText(ruler, { exact: true }).first().click();
  await expect(field('Silt')).toHaveValue('1 1/4');
  await page.getByText('thicknesses', { exact: true }).click();
  await expect(field('Silt')).toHaveValue('3/8');
  await page.getByText('heights', { exact: true }).last().click();
  await expect(field('Silt')).toHaveValue('1 1/4');
  await page.reload();
  await ready(page);
  await expect(field('Clay')).toHaveValue('1 3/8');
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  await expect(page.getByRole('button', { name: 'Finish the test' })).toBeVisible();
  await page.reload();
  await ready(page);
  await expect(field('Silt')).toHaveValue('1 1/4');
  await expect(page.getByTestId('as-read')).toContainText('64 · 27 · 9');
  expect(bench.troubles).toEqual([]);
});

test('what was read yesterday is told today, with its own time', async ({ bench }) => {
  const { testId } = await jarByCommand(bench, 'Walled garden', { stands: true });
  await bench.pass(40 * 3600);
  const page = await bench.open(`/read/${testId}`);
  for (const [layer, mm] of [
    ['Sand', '22'],
    ['Silt', '30'],
    ['Clay', '35']
  ])
    await page.getByRole('textbox', { name: new RegExp(`^${layer} ?: Top of`) }).fill(mm);
  await page.getByRole('button', { name: 'It was read earlier' }).click();
  await page.getByRole('button', { name: 'Keep this reading', exact: true }).click();
  await expect(page.getByText('Give the day and the time, such as yesterday 14:10.')).toBeVisible();
  const moment = page.getByRole('textbox', { name: 'When it was read' });
  await moment.fill('3 days ago 9:00');
  await moment.blur();
  await page.getByRole('button', { name: 'Keep this reading', exact: true }).click();
  await expect(page.getByText('Give a later time.', { exact: false })).toBeVisible();
  const read = new Date(bench.now() - 14 * 3600_000);
  const wall = new Intl.DateTimeFormat('sv-SE', {
    dateStyle: 'short',
    timeStyle: 'short',
    timeZone: 'Europe/Oslo'
  }).format(read);
  await moment.fill(wall);
  await moment.blur();
  await page.getByRole('button', { name: 'Keep this reading', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Finish the test' })).toBeVisible();
  const { test: kept } = await (await fetch(`${bench.url}/api/v1/tests/${testId}`)).json();
  expect(Math.abs(Date.parse(kept.readings[0].at) - read.getTime())).toBeLessThan(60_000);
  expect(bench.troubles).toEqual([]);
});

test('a jar without a line is kept and finished as over half clay, and refused for a wall', async ({
  bench
}) => {
  const page = await bench.open('/stands', { viewport: { width: 390, height: 844 } });
  await page.getByText('no line', { exact: true }).click();
  const said = /^Clay: over 50\s%, no line was seen$/;
  await expect(page.getByTestId('headline')).toHaveText(said);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await page.getByRole('button', { name: 'Keep it on the bench' }).click();
  await expect(page.getByTestId('headline')).toHaveText(said);
  await page.getByRole('button', { name: 'Finish the test' }).click();
  const result = page.getByRole('region', { name: 'Result' });
  await expect(result.getByTestId('headline')).toHaveText(said);
  await result.getByRole('link', { name: 'Act on it' }).click();
  await page.getByText('a wall', { exact: true }).click();
  await expect(page.getByLabel('No line could be read: clay up to the shoulder')).toBeChecked();
  await expect(page.getByRole('main')).toContainText('Refused: over half of it is clay.');
  // What it was judged by, and no bench that one share cannot go to.
  await expect(page.getByText('in which no line was seen: over 50 % of it is clay.')).toBeVisible();
  await expect(page.getByText('one share alone cannot be mixed', { exact: false })).toBeVisible();
  await page.goto(`${bench.url}/log`);
  await expect(page.getByText('over 50 % clay')).toBeVisible();
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  expect(bench.troubles).toEqual([]);
});

test('a clay that was not read is no clay of nothing, and the whole brings it back', async ({ bench }) => {
  const page = await bench.open('/stands');
  await page.getByRole('textbox', { name: /^Sand/ }).fill('20');
  await page.getByRole('textbox', { name: /^Silt/ }).fill('35');
  await page.getByText('it was not read', { exact: true }).click();
  await expect(page.getByText('Without the top of the clay there is no whole to share.')).toBeVisible();
  await expect(page.getByTestId('headline')).toHaveCount(0);
  await page.getByLabel('Whole deposit, measured apart').fill('40');
  await expect(page.getByText('5.0 mm: follows from the whole')).toBeVisible();
  await expect(page.getByText(/^Heights as read: 50 · 38 · 12 %/)).toBeVisible();
  await expect(page.getByText(/agrees within/)).toHaveCount(0);
  expect(bench.troubles).toEqual([]);
});

test('what is typed beside the jar is kept as it is set down, and what cannot be read holds the page', async ({
  bench
}) => {
  const { testId } = await jarByCommand(bench, 'Walled garden');
  const page = await bench.open(`/set/${testId}`);
  await page.getByLabel('The dry soil in this jar').fill('about a lot');
  await page.getByRole('button', { name: 'Say what was used' }).click();
  await page.getByLabel('Dispersant', { exact: true }).selectOption('dishwasher detergent');
  await page.getByLabel('So much of it').fill('half a teaspoon');
  await page.getByRole('button', { name: 'Set down' }).click();
  // The clock runs from the press; the weight stands where it was typed until it can be read.
  await expect(page.getByText(/^Set down /)).toBeVisible();
  await expect(page.getByText('half a teaspoon of dishwasher detergent')).toBeVisible();
  const weight = page.getByLabel('The dry soil in this jar');
  await expect(weight).toHaveAttribute('aria-invalid', 'true');
  await weight.fill('310 g');
  await page.getByRole('button', { name: 'Keep weight' }).click();
  await page.goto(`${bench.url}/tests/${testId}`);
  await expect(page.getByText('half a teaspoon of dishwasher detergent').first()).toBeVisible();
  await expect(page.getByText('310 g').first()).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('a bed that was watered yesterday is told today, and calls a week after that at its own hour', async ({
  bench
}) => {
  const day = 24 * 3600_000;
  const dueAt = bench.now() + 3600_000;
  const water = { reminderId: ulid(), kind: 'water', name: 'Water the south bed', dueAt, everyMs: 7 * day };
  await command(bench, 'reminder.add', water);
  await bench.pass(2 * 3600);
  const page = await bench.open('/');
  await page.getByRole('button', { name: 'It was earlier: Water the south bed' }).click();
  const when = page.getByRole('textbox', { name: 'When it was' });
  await when.fill('tomorrow 9:00');
  await when.blur();
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await expect(page.getByText('That is still to come. Give a time that has passed.')).toBeVisible();
  const wall = new Intl.DateTimeFormat('sv-SE', {
    dateStyle: 'short',
    timeStyle: 'short',
    timeZone: 'Europe/Oslo'
  });
  await when.fill(wall.format(dueAt - day));
  await when.blur();
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await expect(page.getByText('Water the south bed', { exact: false }).first()).toBeVisible();
  const calendar = await (await fetch(`${bench.url}/api/v1/reminders.ics`)).text();
  const [, start] = /DTSTART:(\d{8}T\d{4})/.exec(calendar)!;
  // A week from then, at the hour at which it was due before.
  expect(start).toBe(new Date(dueAt + 6 * day).toISOString().replace(/[-:]/g, '').slice(0, 13));
  expect(bench.troubles).toEqual([]);
});
