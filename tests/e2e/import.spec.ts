import AxeBuilder from '@axe-core/playwright';
import { readFileSync } from 'node:fs';
import { expect, test, type Bench } from './bench';
import type { Page } from '@playwright/test';

const EXAMPLE = 'static/try/earlier-jars.csv';

/** Chooses a table on the page that takes one in. */
async function choose(page: Page, name: string, text: string): Promise<void> {
  const file = { name, mimeType: 'text/csv', buffer: Buffer.from(text) };
  await page.getByLabel('Choose a table').setInputFiles(file);
}

const testsThere = async (bench: Bench) =>
  ((await (await fetch(`${bench.url}/api/v1/tests`)).json()) as { tests: unknown[] }).tests.length;

test('a table with faults is matched by hand, told row by row, taken in partly, and taken back', async ({
  bench
}) => {
  const page = await bench.open('/log');
  await page.getByRole('link', { name: 'Take in a table' }).click();
  await choose(page, 'earlier-jars.csv', readFileSync(EXAMPLE, 'utf8'));
  await expect(page.getByText('15 rows: 10 can be taken in, 5 cannot')).toBeVisible();
  await expect(page.getByRole('cell', { name: '“31.02.2025” is no day' })).toBeVisible();
  await expect(page.getByRole('row', { name: /13 Sand % “eighty-four” is no figure/ })).toBeVisible();
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  expect(await testsThere(bench)).toBe(0);

  // A column that is none of them is left out; what it was taken for is free again.
  await page.getByLabel('What Date is').selectOption('left out');
  await expect(page.getByText('15 rows: 11 can be taken in, 4 cannot')).toBeVisible();
  await page.getByLabel('What Date is').selectOption('Day');
  await page.getByText('5/4/2026').click();
  await expect(page.getByText(/15 rows: [0-8] can be taken in/)).toBeVisible();
  await page.getByText('4.5.2026').click();
  await expect(page.getByText('15 rows: 10 can be taken in, 5 cannot')).toBeVisible();
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save this list as CSV' }).click();
  expect(readFileSync(await (await saving).path(), 'utf8')).toContain('8,Date,');

  await page.getByRole('button', { name: 'Take in 10 rows, leave 5 out' }).click();
  await expect(page.getByText('10 tests of earlier-jars.csv are in the log.')).toBeVisible();
  await page.getByRole('link', { name: 'See them in the log' }).first().click();
  await expect(page.getByText('10 tests', { exact: true })).toBeVisible();
  await page.getByRole('searchbox', { name: 'Find' }).fill('smells of the pond');
  await expect(page.getByRole('link', { name: 'Cistern pond' })).toBeVisible();
  await expect(page.getByText('8 May 2024')).toBeHidden();
  await expect(page.getByText(/9 May 2024/)).toBeVisible();

  await page.goto(`${bench.url}/log/import`);
  await choose(page, 'again.csv', readFileSync(EXAMPLE, 'utf8'));
  await expect(page.getByRole('alert')).toContainText('The same file, earlier-jars.csv, was taken in');
  await page.getByRole('button', { name: 'Take earlier-jars.csv back' }).click();
  await expect(page.getByText('earlier-jars.csv is taken back.')).toBeVisible();
  await expect.poll(() => testsThere(bench)).toBe(0);
  expect(bench.troubles).toEqual([]);
});

test('a table that is picked before the page is awake is looked through', async ({ bench }) => {
  const page = await bench.open('/log');
  let wake = () => {};
  const asleep = new Promise<void>((resolve) => (wake = resolve));
  await page.route('**/_app/immutable/**', async (route) => {
    await asleep;
    await route.continue();
  });
  await page.goto(`${bench.url}/log/import`, { waitUntil: 'commit' });
  await choose(page, 'earlier-jars.csv', readFileSync(EXAMPLE, 'utf8'));
  wake();
  await expect(page.getByText('15 rows: 10 can be taken in, 5 cannot')).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('what is no table is refused, a long one is stopped on the way and leaves nothing', async ({
  bench
}) => {
  const page = await bench.open('/log/import');
  await choose(page, 'sheet.xlsx', 'PK\u0003\u0004 and so on');
  await expect(page.getByRole('alert')).toContainText('Save the sheet as CSV first');
  await page.getByRole('button', { name: 'choose another' }).click();
  const rows = Array.from({ length: 20_000 }, (_, i) => `Pit ${i},${20 + (i % 40)},20`).join('\n');
  await choose(page, 'long.csv', `Sample,Sand,Clay\n${rows}\n`);
  await page.getByRole('button', { name: 'Take in 20,000 rows' }).click();
  await expect(page.getByText(/[1-9][\d,]* of 20,000 rows of long.csv are in the log/)).toBeVisible();
  // A reload finds it still under way.
  await page.reload();
  await page.getByRole('button', { name: 'Stop, and take it out again' }).click();
  await expect(page.getByText('long.csv was stopped: nothing of it is in the log.')).toBeVisible();
  await expect.poll(() => testsThere(bench)).toBe(0);
  const large = await fetch(`${bench.url}/api/v1/imports/look`, {
    method: 'POST',
    headers: { 'content-type': 'text/csv' },
    body: Buffer.alloc(52_000_000, 'a')
  });
  expect([large.status, await large.json()]).toEqual([
    413,
    expect.objectContaining({ message: expect.stringContaining('MB') })
  ]);
  expect(bench.troubles.filter((one) => !/404/.test(one))).toEqual([]);
});
