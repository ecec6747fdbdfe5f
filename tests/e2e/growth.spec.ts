import { execFile } from 'node:child_process';
import { promisify } from 'node:util';
import { expect, ready, test } from './bench';

test('in a record of thousands everything is found: in the log, on the triangle, by its code', async ({
  bench
}) => {
  await bench.fill();
  await bench.kill();
  await promisify(execFile)('node', ['--import', 'tsx', 'tests/hardening/grow.ts', bench.database, '3000']);
  await bench.start();
  const page = await bench.open('/log');
  const count = page.getByText(/^1 to 150 of \d,\d{3} tests$/);
  await expect(count).toBeVisible();
  await expect(page.getByRole('table')).toHaveAttribute('aria-rowcount', '151');
  // The next page holds others, and the first is a press away.
  const first = await page.getByRole('row').nth(1).getByRole('link').first().textContent();
  await page.getByRole('link', { name: 'After these' }).press('Enter');
  await expect(page.getByText(/^151 to 300 of/)).toBeVisible();
  await expect(page.getByRole('row').nth(1).getByRole('link').first()).not.toHaveText(first!);
  // By the key: the list above may still be measured, and move what is under a pointer.
  await page.getByRole('link', { name: 'Before these' }).press('Enter');
  await expect(count).toBeVisible();
  // What is typed is looked for among all of them, and the address says so.
  const find = page.getByLabel('Find');
  await find.fill('c1n90 finished');
  await expect(page.getByText('1 test', { exact: true })).toBeVisible();
  await expect(page.getByRole('link', { name: 'C1N90', exact: true })).toBeVisible();
  await expect(page).toHaveURL(/q=c1n90\+finished/);
  await expect(find).toBeFocused();
  await page.reload();
  await ready(page);
  await expect(page.getByRole('link', { name: 'C1N90', exact: true })).toBeVisible();
  await find.fill('');
  await expect(count).toBeVisible();
  await page.getByText('class', { exact: true }).first().click();
  await expect(page.getByRole('row').nth(1)).toContainText(/^L1\S*Lower bank.*clay or clay loam/);
  // While the server is away the lines that are here are searched, and that is said.
  await bench.kill();
  await find.fill('nothing of the kind');
  await expect(page.getByText('only the tests on this page were searched')).toBeVisible();
  await bench.start();
  await find.fill('');
  await expect(page.getByText('only the tests on this page were searched')).toBeHidden();

  await page.goto(`${bench.url}/know`);
  await ready(page);
  await expect(
    page.getByText(/The newest 2,000 are dots; all 2,\d{3} are the shade behind them/)
  ).toBeVisible();
  // An old one is found by its code, and comes into hand.
  const code = page.getByRole('combobox', { name: /A test, by its code/ });
  await code.fill('C1N90');
  await code.blur();
  await expect(page.getByRole('link', { name: /C1N90/ })).toBeVisible();
  // A filter is answered for all there are.
  await page.getByLabel('Method').selectOption({ label: 'Pipette' });
  await expect(page.getByText(/^\d+ of 2,\d{3} tests/)).toBeVisible();
  await expect(page).toHaveURL(/method=/);
  expect(bench.troubles.filter((line) => !/net::ERR_/.test(line))).toEqual([]);
});
