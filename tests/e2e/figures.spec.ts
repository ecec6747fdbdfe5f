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
  await expect(settled).toHaveText(/ soil: /);
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

async function fillLayers(page: Page, ...texts: string[]): Promise<void> {
  for (const [i, layer] of ['Sand', 'Silt', 'Clay'].entries()) await field(page, layer).fill(texts[i]);
}

/** A jar or cylinder that stands already: what somebody does on the page, and on which screen. */
type Walk = { name: string; viewport: typeof DESK; profile?: object; fill: (page: Page) => Promise<void> };

const INCHES = { length: 'in', temperature: 'F', volume: 'gal' };
const press = (page: Page, text: string) => page.getByText(text, { exact: true }).click();

const WALKS: Walk[] = [
  {
    name: 'bands in inches',
    viewport: PHONE,
    profile: INCHES,
    fill: async (page) => {
      await fillLayers(page, '7/8', '1 3/16', '1 3/8');
      await press(page, 'clear');
    }
  },
  {
    name: 'thicknesses in mm',
    viewport: DESK,
    fill: async (page) => {
      await press(page, 'thicknesses');
      await fillLayers(page, '21.5', '8.4', '5.1');
      await press(page, 'hazy');
    }
  },
  {
    name: 'two shares of three, from somebody else',
    viewport: DESK,
    fill: async (page) => {
      await press(page, 'somebody’s numbers');
      await page.getByLabel('Sand', { exact: true }).fill('33.4');
      await page.getByLabel('Clay', { exact: true }).fill('13.3');
    }
  },
  {
    name: 'shares by eye in quarters',
    viewport: PHONE,
    fill: async (page) => {
      await press(page, 'shares by eye');
      await page.getByLabel('Sand', { exact: true }).fill('half');
      await page.getByLabel('Silt', { exact: true }).fill('a quarter');
      await press(page, 'clear');
    }
  },
  {
    name: 'a cylinder by its mL',
    viewport: DESK,
    fill: async (page) => {
      await page.getByLabel('Its vessel').selectOption({ label: '100 mL cylinder' });
      await press(page, 'mL');
      await fillLayers(page, '8', '14', '16');
      await press(page, 'hazy');
    }
  },
  {
    name: 'a cylinder with gravel below and humus afloat',
    viewport: PHONE,
    fill: async (page) => {
      await page.getByLabel('Its vessel').selectOption({ label: '100 mL cylinder' });
      await page.getByRole('button', { name: 'gravel' }).click();
      await field(page, 'Gravel').fill('4');
      await fillLayers(page, '22', '31', '36');
      await page.getByRole('button', { name: 'floating organics' }).click();
      await page.getByRole('textbox', { name: 'Floating organics' }).fill('3');
      await press(page, 'clear');
    }
  }
];

for (const { name, viewport, profile, fill } of WALKS)
  test(`${name}: one answer from the hand to the verdict`, async ({ bench }) => {
    if (profile) await command(bench, 'profile.set', profile);
    const page = await bench.open('/stands', { viewport });
    await everywhere(bench, page, await met(page, () => fill(page)));
    expect(bench.troubles).toEqual([]);
  });

test('marks by the clock, in eighths, on a phone at the sink: one answer from the hand to the verdict', async ({
  bench
}) => {
  await command(bench, 'profile.set', INCHES);
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
