import AxeBuilder from '@axe-core/playwright';
import { expect, ready, standJar, test } from './bench';

test('what cannot be set is said beside its field, and what was typed stays', async ({ bench }) => {
  const page = await bench.open('/set');
  const go = () => page.getByRole('button', { name: 'Prepare this jar' }).click();
  await go();
  await expect(page.getByText('Name the sample: where the soil came from.')).toBeVisible();

  const temperature = page.getByLabel('Water temperature');
  for (const [text, words] of [
    ['99', /between 0 and 40 °C/],
    ['warm', /Type the water temperature as a number/]
  ] as const) {
    await temperature.fill(text);
    await expect(page.getByText(words)).toBeVisible();
    await expect(temperature).toHaveAttribute('aria-invalid', 'true');
    await go();
    await expect(temperature).toHaveValue(text);
  }
  await temperature.fill('18');

  const soil = page.getByLabel('Dry soil to');
  const lengths: [string, RegExp][] = [
    ['1//8', /fraction cannot be read/],
    ['2 5', /Two numbers stand here/],
    ['-3', /cannot be below zero/],
    ['1/0', /cannot be over zero/],
    ['a thumb', /not a length|No number/],
    ['4 furlongs', /not a unit known here/],
    ['1,250', /can be read two ways/],
    ['4 mm 2 cm', /one length in one unit/]
  ];
  for (const [text, words] of lengths) {
    await soil.fill(text);
    await expect(page.getByText(words)).toBeVisible();
    await expect(soil).toHaveValue(text);
  }
  await soil.fill('60');
  const water = page.getByLabel('Water line at');
  await water.fill('50');
  await expect(page.getByText(/water line is below the soil line/)).toBeVisible();
  await water.fill('170');
  await expect(page.getByText(/would overflow: it is 156 mm high/)).toBeVisible();

  // A reload keeps the entry; a mended form goes through.
  await page.getByLabel('Where the soil came from').fill('Peat hollow');
  await page.reload();
  await ready(page);
  await expect(page.getByLabel('Where the soil came from')).toHaveValue('Peat hollow');
  await expect(water).toHaveValue('170');
  await page.getByRole('button', { name: 'back to what the method asks' }).click();
  await go();
  await expect(page.getByRole('heading', { name: 'Get P1 ready' })).toBeVisible();

  // One that is on record but not chosen.
  await page.goto(`${bench.url}/set`);
  await ready(page);
  await page.getByText('One I have', { exact: true }).click();
  await go();
  await expect(page.getByText('Choose the sample this jar is for, or name a new one.')).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('too much soil and too little are doubted with their figures', async ({ bench }) => {
  const page = await bench.open('/set');
  await page.getByLabel('Dry soil to').fill('85');
  await expect(page.getByText(/fills 66.% of the jar. Grains start at only \d+.%/)).toBeVisible();
  await page.getByLabel('Dry soil to').fill('15');
  await expect(page.getByText(/Only about 15 mm will settle/)).toBeVisible();
});

test('a vessel of one’s own is checked measure by measure, then can be used', async ({ bench }) => {
  const page = await bench.open('/set');
  await page.getByRole('button', { name: 'Add your own' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Honey jar');
  await page.getByLabel('Inner height, bottom to rim').fill('4 1/2 in');
  await page.getByLabel('Inner width').fill('68');
  await page.getByLabel('Thickness of the base').fill('x');
  await page.getByLabel('Height of the shoulder, inside').fill('130');
  await page.getByLabel('Width of the mouth, inside').fill('56');
  await page.getByRole('button', { name: 'Keep this vessel' }).click();
  await expect(page.getByText(/This is not a length|No number found/)).toBeVisible();
  await page.getByLabel('Thickness of the base').fill('3');
  await page.getByRole('button', { name: 'Keep this vessel' }).click();
  await expect(page.getByText('The shoulder must lie between the bottom and the rim.').first()).toBeVisible();
  await page.getByLabel('Height of the shoulder, inside').fill('90');
  await page.getByRole('button', { name: 'Keep this vessel' }).click();
  await expect(page.getByText('114 mm high and 68 mm wide inside, base 3 mm')).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('the profile is kept at once and shows everywhere', async ({ bench }) => {
  const page = await bench.open('/');
  await standJar(page, 'Walled garden');
  await page.getByRole('link', { name: 'Profile' }).click();
  await page.getByText('inches', { exact: true }).click();
  await page.getByText('°F', { exact: true }).click();
  await page.getByText('quarts, teaspoons', { exact: true }).click();
  await page.getByText('6:40 pm', { exact: true }).click();
  await expect(page.getByLabel('from', { exact: true })).toHaveValue('10:00 pm');
  await page.getByLabel('from', { exact: true }).fill('half past');
  await page.getByLabel('from', { exact: true }).blur();
  await expect(page.getByText(/Type a time such as/)).toBeVisible();
  await expect(page.getByLabel('from', { exact: true })).toHaveValue('half past');
  await page.getByLabel('from', { exact: true }).fill('11 pm');
  await page.getByLabel('from', { exact: true }).blur();
  await expect(page.getByLabel('from', { exact: true })).toHaveValue('11:00 pm');
  await page.getByText('night', { exact: true }).click();
  await expect(page.locator('html')).toHaveAttribute('data-mode', 'dark');
  const other = await bench.open('/set');
  await expect(other.locator('html')).toHaveAttribute('data-mode', 'dark');
  await expect(other.getByText(/Dry soil to 1 11\/16 in \(1\.69\)/)).toBeVisible();
  await expect(other.getByText(/3\/4 tsp/)).toBeVisible();
  await expect(other.getByLabel('Water temperature')).toHaveAttribute('placeholder', '64.4 °F');
  expect(bench.troubles).toEqual([]);
});

test('a sample is written up: guided by its purpose, each slip beside its field, nothing lost', async ({
  bench
}) => {
  const page = await bench.open('/');
  await standJar(page, 'Till bank');
  await page.getByRole('link', { name: 'Log' }).click();
  await page.getByRole('link', { name: 'Till bank', exact: true }).click();
  await page.getByRole('button', { name: 'Write up the sample' }).click();
  await expect(page.getByText(/75 to 150 mm, not just the top/)).toBeVisible();
  await page.getByText('Building', { exact: true }).click();
  await expect(page.getByText(/below the topsoil/)).toBeVisible();
  await page.getByLabel('Depth from').fill('16 in');
  await page.getByLabel('to', { exact: true }).fill('300');
  await expect(page.getByText('The lower end must lie below the upper one.')).toBeVisible();
  await page.getByLabel('Dried, hours').fill('a day');
  await expect(page.getByText(/Give hours as a number/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep the record' }).click();
  await page.reload();
  await ready(page);
  await expect(page.getByLabel('Dried, hours')).toHaveValue('a day');
  await page.getByLabel('Dried, hours').fill('24');
  await page.getByLabel('to', { exact: true }).fill('60 cm');
  await page.getByLabel('Gravel screened out').fill('210');
  await page.getByLabel('Colour, smell, feel, rattle').fill('Rattles.');
  const found = await new AxeBuilder({ page }).analyze();
  expect(found.violations.map((v) => v.id)).toEqual([]);
  await page.getByRole('button', { name: 'Keep the record' }).click();
  await expect(page.getByText('T1: record kept.')).toBeVisible();
  await expect(page.getByText('406 mm – 600 mm')).toBeVisible();
  await expect(page.getByText('210 g')).toBeVisible();
  await page.reload();
  await ready(page);
  await expect(page.getByText('Building ·')).toBeVisible();
  expect(bench.troubles).toEqual([]);
});
