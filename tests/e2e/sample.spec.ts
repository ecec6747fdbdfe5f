import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import { ulid } from 'ulid';
import { command, expect, jarByCommand, ready, test } from './bench';
import { startArea } from './sketch';

test('a sample has pictures, its area and its spots', async ({ bench }) => {
  const page = await startArea(bench);
  const sampleId = ulid();
  const payload = { sampleId, name: 'Bank above the landing', purpose: 'build' };
  const answer = await fetch(`${bench.url}/api/v1/commands/sample.add`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ commandId: ulid(), at: bench.now(), payload })
  });
  expect(answer.ok).toBe(true);
  await page.goto(`${bench.url}/samples/${sampleId}`);
  await ready(page);
  await page.getByRole('button', { name: 'Write up the sample' }).click();
  await page.getByLabel('Area').selectOption({ label: 'T · Till bank, Skarn Holm' });
  for (const no of ['1', '3']) await page.getByRole('checkbox', { name: no, exact: true }).check();
  await page.getByRole('button', { name: 'Keep the record' }).click();
  await expect(page.getByText('Till bank, Skarn Holm')).toBeVisible();
  await expect(page.getByText('1, 3', { exact: true })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Its area on the sketch' })).toBeVisible();

  const picture = join(bench.folder, 'bank.webp');
  execFileSync('node', [
    '-e',
    `import('sharp').then((s) => s.default({ create: { width: 90, height: 60, channels: 3, background: '#8a6a3c' } }).webp().toFile(${JSON.stringify(picture)}))`
  ]);
  await page.getByLabel('Add a picture').setInputFiles(picture);
  await expect(page.getByText('Picture of B1 kept.')).toBeVisible();
  await expect(page.getByRole('img', { name: /Picture of B1/ })).toHaveJSProperty('naturalWidth', 90);
  await page.getByRole('button', { name: 'take off' }).click();
  await expect(page.getByRole('img', { name: /Picture of B1/ })).toBeHidden();
  const said = page.getByRole('status', { name: 'Picture taken off.' });
  await said.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('img', { name: /Picture of B1/ })).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('a laboratory report stands beside the jars of its sample, point by point', async ({ bench }) => {
  const page = await bench.open('/');
  const { sampleId, testId } = await jarByCommand(bench, 'Till bank', { purpose: 'build', stands: true });
  await bench.pass(26 * 3600);
  const line = (mm: number) => ({ mm, text: String(mm) });
  const readingId = ulid();
  const lines = { sand: line(22), silt: line(30.5), clay: line(35) };
  await command(bench, 'jar.read', { testId, readingId, entry: { ruler: 'mm', water: 'clear', lines } });
  await command(bench, 'test.finish', { testId, readingId, resultId: ulid() });
  await page.goto(`${bench.url}/samples/${sampleId}`);
  await ready(page);
  const lab = page.getByRole('region', { name: 'Laboratory' });
  await lab.getByRole('button', { name: 'Enter a report' }).click();
  await lab.getByRole('button', { name: 'Keep the report' }).click();
  await expect(lab.getByText('Give percent as a number, such as 34.5.')).toHaveCount(3);
  await lab.getByLabel('Laboratory').fill('Mainland laboratory');
  await lab.getByLabel('Sand, %').fill('68');
  await lab.getByLabel('Silt, %').fill('22');
  await lab.getByLabel('Clay, %').fill('20');
  await lab.getByRole('button', { name: 'Keep the report' }).click();
  await expect(lab.getByText(/come to 100, give or take one/)).toBeVisible();
  await page.reload();
  await ready(page);
  await expect(lab.getByLabel('Sand, %')).toHaveValue('68');
  await lab.getByLabel('Clay, %').fill('10');
  await lab.getByLabel('It parts silt from sand at').selectOption('63 µm');
  await lab.getByRole('button', { name: 'Keep the report' }).click();
  await expect(lab.getByText('68 % sand, 22 % silt, 10 % clay: sandy loam.')).toBeVisible();
  await expect(lab.getByText('Measured by 63 µm, moved to 50 µm')).toBeVisible();
  await expect(lab.getByRole('row', { name: /T1 by height/ })).toContainText('the same');
  await expect(lab.getByRole('row', { name: /T1 by mass/ })).toBeVisible();
  await expect(lab.getByText(/is nearer to the laboratory, by \d/)).toBeVisible();
  await lab.getByRole('button', { name: 'take off' }).click();
  await expect(lab.getByText('No report of this sample is on record.')).toBeVisible();
  expect(bench.troubles).toEqual([]);
});
