import Papa from 'papaparse';
import { extractText, getDocumentProxy } from 'unpdf';
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

const plain = (text: string) => text.replace(/\s+/g, ' ').trim();

/** What a PDF says, its lines in a row. */
async function paperOf(bench: Bench, path: string): Promise<string> {
  const answer = await fetch(`${bench.url}/api/v1/${path}`);
  expect(answer.ok).toBe(true);
  const pdf = await getDocumentProxy(new Uint8Array(await answer.arrayBuffer()));
  return plain((await extractText(pdf, { mergePages: true })).text);
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
  await open(`/know/compare?tests=${testId}`);
  const beside = LAYERS.map((layer, i) => `${shares[i]} % ${layer}`).join(', ');
  await expect(page.getByRole('img', { name: `${kept.code}: ${beside}` })).toBeVisible();
  await open(`/reports/test/${testId}`);
  await expect(page.getByText(text.trim()).first()).toBeVisible();
  expect(await paperOf(bench, `reports/test/${testId}/report.pdf`)).toContain(plain(text));
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

/** Says that the water is clear, keeps what was read and finishes it: the answer stays what it was. */
async function keepAndFinish(page: Page): Promise<void> {
  await page.getByText('clear', { exact: true }).click();
  const said = page.locator('[data-testid="headline"][aria-busy="false"]');
  await expect(said).toBeVisible();
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  const text = (await said.textContent())!.trim();
  await page.getByRole('button', { name: 'Finish the test' }).click();
  await expect(page.getByRole('region', { name: 'Result' }).getByTestId('headline')).toHaveText(text);
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
      await page.getByLabel('Sand', { exact: true }).fill('33.5');
      await page.getByLabel('Clay', { exact: true }).fill('13.5');
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
  await keepAndFinish(page);
  await everywhere(bench, page, testId);
  expect(bench.troubles).toEqual([]);
});

test('a jar rolled and left overnight, with two lines: one share in every place', async ({ bench }) => {
  await command(bench, 'profile.set', INCHES);
  const page = await bench.open('/stands', { viewport: PHONE });
  await field(page, 'Sand').fill('2 1/2');
  await page.getByLabel('Whole deposit, measured apart').fill('5 3/8');
  const said = page.getByTestId('headline');
  await expect(said).toHaveText('Sand is 47 % of what settled');
  await page.getByRole('button', { name: 'Keep it on the bench' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('S1');
  const testId = page.url().split('/').pop()!;
  await page.getByRole('button', { name: 'Finish the test' }).click();
  await expect(page.getByRole('status', { name: 'S1 is finished: 47 % sand.' })).toBeVisible();
  const { test: kept } = await (await fetch(`${bench.url}/api/v1/tests/${testId}`)).json();
  expect(kept.results[0].share.pct).toBeCloseTo((100 * 2.5) / 5.375, 6);
  for (const [path, text] of [
    [`/tests/${testId}`, /Sand is 47\s% of what settled/],
    ['/log', /47\s% sand/],
    [`/samples/${kept.sample.id}`, /47\s% sand/],
    [`/act?test=${testId}&ask=bore`, /47\s% of it is sand/],
    [`/reports/test/${testId}`, /Sand is 47\s% of what settled/],
    [`/reports/sample/${kept.sample.id}`, /47\s%/]
  ] as const) {
    await page.goto(bench.url + path);
    await ready(page);
    await expect(
      page.getByRole('main').getByText(text).filter({ visible: true }).first(),
      path
    ).toBeVisible();
  }
  expect(await paperOf(bench, `reports/test/${testId}/report.pdf`)).toContain('Sand is 47 % of what settled');
  const csv = await (await fetch(`${bench.url}/api/v1/tests/${testId}?format=csv`)).text();
  expect(csv).toContain((250 / 5.375).toFixed(2));
  expect(bench.troubles).toEqual([]);
});

test('two jars whose marks are typed in from a paper, one of them late: one answer each, and side by side', async ({
  bench
}) => {
  const names = ['Front bed', 'Back bed'];
  const jars = [];
  for (const name of names) jars.push(await jarByCommand(bench, name));
  const at = new Date(Math.round(bench.now() / 1000) * 1000);
  await bench.pass(3 * 24 * HOUR);
  const wall = new Intl.DateTimeFormat('sv-SE', {
    timeZone: 'Europe/Oslo',
    dateStyle: 'short',
    timeStyle: 'medium'
  });
  const [day, time] = wall.format(at).split(' ');
  const page = await bench.open('/', { viewport: DESK });
  const typed = [
    { after: ['62', '2:00 h', '26 h'], height: ['21', '30', '34.5'], seconds: [62, 7200, 93_600] },
    // The second was forgotten until the morning.
    { after: ['1:04', '9:40 h', '27 h'], height: ['14', '29', '36'], seconds: [64, 34_800, 97_200] }
  ];
  for (const [i, { testId }] of jars.entries()) {
    await page.goto(`${bench.url}/set/${testId}/paper`);
    await ready(page);
    await page.getByLabel('Set down at, to the second').fill(day);
    await page.getByLabel('Time of day').fill(time);
    for (const [at, layer] of LAYERS.entries()) {
      const { after, height } = typed[i];
      await page
        .getByLabel(`When the ${layer} was marked, after set-down`)
        .fill(/^\d+$/.test(after[at]) ? `${after[at]} s` : after[at]);
      await page.getByLabel(`Height of the ${layer} mark`).fill(height[at]);
    }
    await page.getByRole('button', { name: 'Keep what was written' }).click();
    await expect(page.getByText(/: typed in from paper\.$/)).toBeVisible();
    const { test: one } = await (await fetch(`${bench.url}/api/v1/tests/${testId}`)).json();
    expect(one.runs[0].marks.map((m: { seconds: number }) => m.seconds)).toEqual(typed[i].seconds);
    await page.goto(`${bench.url}/read/${testId}`);
    await ready(page);
    for (const [at, layer] of ['Sand', 'Silt', 'Clay'].entries())
      await expect(field(page, layer)).toHaveValue(typed[i].height[at]);
    await keepAndFinish(page);
  }
  for (const { testId } of jars) await everywhere(bench, page, testId);
  expect(bench.troubles).toEqual([]);
});

test('a builder’s jar with gravel, blended in buckets: the shares and the mix are said one way', async ({
  bench
}) => {
  const { testId, runId } = await jarByCommand(bench, 'Lower bank', {
    purpose: 'build',
    methodKey: 'jar-builder'
  });
  await command(bench, 'jar.set-down', { testId, runId });
  await bench.pass(50 * HOUR);
  const page = await bench.open(`/read/${testId}`, { viewport: DESK });
  await page.getByRole('button', { name: 'gravel' }).click();
  await field(page, 'Gravel').fill('2');
  await fillLayers(page, '16', '28', '48');
  await keepAndFinish(page);
  await page.goto(`${bench.url}/act?test=${testId}&ask=wall`);
  await ready(page);
  const blend = page.getByRole('region', { name: 'A blend' });
  await blend.getByLabel('For what?').selectOption({ label: 'pressed blocks' });
  const answer = page.getByTestId('blend-answer');
  await expect(answer).toHaveText(/buckets? of L1, \d+ buckets? of building sand: /);
  const mix = plain((await answer.textContent())!);
  await page.getByRole('button', { name: 'Keep this verdict' }).click();
  await page.reload();
  await ready(page);
  await expect(answer).toHaveText(mix);
  await page.getByRole('link', { name: /^\d+ \w+ \d{4}$/ }).click();
  await expect(page.getByText(mix)).toBeVisible();
  await everywhere(bench, page, testId);
  expect(bench.troubles).toEqual([]);
});
