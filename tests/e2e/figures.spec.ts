import Papa from 'papaparse';
import { roundShares } from '../../src/lib/core/index.ts';
import { command, expect, jarByCommand, markInTurn, ready, test, type Bench } from './bench';
import type { Page } from '@playwright/test';

const HOUR = 3600;
const LAYERS = ['sand', 'silt', 'clay'] as const;
const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

/** Sand, silt and clay that a headline tells, whole percent. */
function sharesIn(text: string): number[] {
  return LAYERS.map((layer) => Number(new RegExp(`(\\d+)\\s% ${layer}`).exec(text)![1]));
}

/** Looks a finished test up in every place that shows it: each says the same, under any profile. */
async function everywhere(bench: Bench, page: Page, testId: string): Promise<void> {
  const open = async (path: string) => {
    await page.goto(bench.url + path);
    await ready(page);
  };
  await open(`/tests/${testId}`);
  const headline = page.getByRole('region', { name: 'Result' }).getByTestId('headline');
  const text = (await headline.textContent())!;
  const shares = sharesIn(text);
  expect(shares.reduce((a, b) => a + b)).toBe(100);
  const { test: kept } = await (await fetch(`${bench.url}/api/v1/tests/${testId}`)).json();
  const [result] = kept.results;
  const exact = (result.answer ?? result).fractions as Record<(typeof LAYERS)[number], number>;
  expect(roundShares(LAYERS.map((layer) => exact[layer]))).toEqual(shares);

  await open('/log');
  const row = page.getByRole('row').filter({ hasText: new RegExp(`^${kept.code}`) });
  await expect(row).toContainText(shares.join(' · '));
  await open(`/samples/${kept.sample.id}`);
  await expect(page.getByRole('main')).toContainText(shares.join(' · '));
  await open(`/act?test=${testId}`);
  for (const [i, layer] of LAYERS.entries())
    await expect(page.getByText(`${shares[i]} % ${layer}`, { exact: true }).first()).toBeVisible();
  await open(`/reports/test/${testId}`);
  await expect(page.getByText(text.trim()).first()).toBeVisible();
  const csv = await (await fetch(`${bench.url}/api/v1/tests/${testId}?format=csv`)).text();
  const what = result.answer ? 'answer by mass' : 'share by height';
  const rows = Papa.parse<Record<string, string>>(csv, { header: true }).data;
  const told = rows.filter((row) => row.what === what);
  expect(told.map((row) => Number(row.value))).toEqual(
    LAYERS.map((layer) => Number(exact[layer].toFixed(2)))
  );
  // Another profile says it in other units, and no other figure.
  await command(bench, 'profile.set', { length: 'cm', temperature: 'F' });
  await open(`/tests/${testId}`);
  await expect(headline).toHaveText(text);
}

/** A jar that stands already, as somebody enters it, kept and finished. */
async function met(page: Page, fill: () => Promise<void>): Promise<string> {
  await fill();
  const settled = page.locator('[data-testid="headline"]:not([aria-busy="true"])');
  const said = (await settled.textContent())!;
  await page.getByRole('button', { name: 'Keep it on the bench' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('S1');
  const testId = page.url().split('/').pop()!;
  await expect(settled).toHaveText(said.trim());
  await page.getByRole('button', { name: 'Finish the test' }).click();
  await expect(page.getByRole('region', { name: 'Result' }).getByTestId('headline')).toHaveText(said.trim());
  return testId;
}

const field = (page: Page, layer: string) =>
  page.getByRole('textbox', { name: new RegExp(`^${layer}( ?:|$)`) });

test('bands in inches, on a phone: one answer from the hand to the verdict', async ({ bench }) => {
  await command(bench, 'profile.set', { length: 'in', temperature: 'F', volume: 'gal' });
  const page = await bench.open('/stands', { viewport: PHONE });
  const testId = await met(page, async () => {
    for (const [layer, text] of [
      ['Sand', '7/8'],
      ['Silt', '1 3/16'],
      ['Clay', '1 3/8']
    ])
      await field(page, layer).fill(text);
    await page.getByText('clear', { exact: true }).click();
  });
  await everywhere(bench, page, testId);
  expect(bench.troubles).toEqual([]);
});

test('thicknesses in mm: one answer from the hand to the verdict', async ({ bench }) => {
  const page = await bench.open('/stands', { viewport: DESK });
  const first = await met(page, async () => {
    await page.getByText('thicknesses', { exact: true }).click();
    for (const [layer, text] of [
      ['Sand', '21.5'],
      ['Silt', '8.4'],
      ['Clay', '5.1']
    ])
      await field(page, layer).fill(text);
    await page.getByText('hazy', { exact: true }).click();
  });
  await everywhere(bench, page, first);
  expect(bench.troubles).toEqual([]);
});

test('two shares of three, from somebody else: the third and the class are the same everywhere', async ({
  bench
}) => {
  const page = await bench.open('/stands', { viewport: DESK });
  const testId = await met(page, async () => {
    await page.getByText('somebody’s numbers', { exact: true }).click();
    await page.getByLabel('Sand', { exact: true }).fill('33.4');
    await page.getByLabel('Clay', { exact: true }).fill('13.3');
  });
  await everywhere(bench, page, testId);
  expect(bench.troubles).toEqual([]);
});

test('marks by the clock, in eighths, on a phone at the sink: one answer from the hand to the verdict', async ({
  bench
}) => {
  await command(bench, 'profile.set', { length: 'in', temperature: 'F', volume: 'gal' });
  const { testId, runId } = await jarByCommand(bench, 'Walled garden', { stands: true });
  await markInTurn(bench, { testId, runId }, [
    ['sand', 61, 22.225],
    ['silt', 2 * HOUR, 30.1625],
    ['clay', 26 * HOUR, 34.925]
  ]);
  const page = await bench.open(`/read/${testId}`, { viewport: PHONE });
  await expect(field(page, 'Sand')).toHaveValue('7/8');
  await page.getByText('clear', { exact: true }).click();
  const said = page.locator('[data-testid="headline"][aria-busy="false"]');
  await expect(said).toBeVisible();
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  const text = (await said.textContent())!.trim();
  await page.getByRole('button', { name: 'Finish the test' }).click();
  await expect(page.getByRole('region', { name: 'Result' }).getByTestId('headline')).toHaveText(text);
  await everywhere(bench, page, testId);
  expect(bench.troubles).toEqual([]);
});
