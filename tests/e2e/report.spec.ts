import AxeBuilder from '@axe-core/playwright';
import { readFileSync } from 'node:fs';
import { expect, test } from './bench';

test('a site is handed out under its letterhead: on the page, on paper, as PDF, as a file that opens by itself', async ({
  bench,
  browser
}) => {
  await bench.fill();
  const page = await bench.open('/profile');
  await page.getByLabel('Letterhead of reports').fill('Skarn Holm\nthe caretaker crew');
  await page.getByLabel('Letterhead of reports').blur();
  await expect(page.getByText('Kept.')).toBeVisible();
  await page.goto(`${bench.url}/plan`);
  await page.getByRole('link', { name: 'Report' }).click();
  const sheet = page.getByRole('article');
  await expect(sheet.getByRole('heading', { name: 'Soil of Skarn Holm' })).toBeVisible();
  await expect(sheet.getByText('the caretaker crew')).toBeVisible();
  await expect(sheet.getByRole('cell', { name: 'N1c', exact: true })).toBeVisible();
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await page.emulateMedia({ media: 'screen' });

  const saving = page.waitForEvent('download');
  await page.getByRole('link', { name: 'One HTML file' }).click();
  const file = await (await saving).path();
  const alone = await browser.newContext({ offline: true });
  const opened = await alone.newPage();
  const asked: string[] = [];
  opened.on('request', (request) => void asked.push(request.url()));
  await opened.setContent(readFileSync(file, 'utf8'));
  await expect(opened.getByRole('heading', { name: 'Soil of Skarn Holm' })).toBeVisible();
  await expect(opened.getByRole('img', { name: 'On the texture triangle' })).toBeVisible();
  expect(asked).toEqual([]);
  await alone.close();

  const pdf = await page.getByRole('link', { name: 'PDF' }).getAttribute('href');
  const answer = await fetch(bench.url + pdf!);
  expect([answer.status, answer.headers.get('content-type')]).toEqual([200, 'application/pdf']);
  expect((await fetch(`${bench.url}${pdf}?paper=A9`)).status).toBe(400);
  expect(bench.troubles).toEqual([]);
});
