import { readFileSync } from 'node:fs';
import { execFileSync } from 'node:child_process';
import { expect, ready, test, type Bench } from './bench';

async function demo(bench: Bench): Promise<(code: string) => string> {
  await bench.fill();
  const { tests } = await (await fetch(`${bench.url}/api/v1/tests`)).json();
  return (code) => tests.find((t: { code: string }) => t.code === code).id;
}

test('the triangle: typed, dragged, moved by keys, zoomed, under every school', async ({ bench }) => {
  const id = await demo(bench);
  const page = await bench.open('/know');
  const class_ = page.locator('p.class');

  // Two of three make a point; the third is the rest. Three that disagree are refused beside the field.
  await page.getByLabel('Sand, %').fill('40');
  await page.getByLabel('Clay, %').fill('20');
  await expect(class_).toHaveText('Loam');
  await expect(page.getByLabel('Silt, %')).toHaveAttribute('placeholder', '40');
  await page.getByLabel('Silt, %').fill('50');
  await expect(page.getByRole('alert')).toContainText('come to 110.0 %');
  await page.getByLabel('Silt, %').fill('-5');
  await expect(page.getByRole('alert')).toContainText('between 0 and 100');
  await page.getByLabel('Silt, %').fill('');
  await expect(page.getByText(/Swap .* and it is/).first()).toBeVisible();
  const table = page.getByRole('table');
  await expect(table.getByRole('row')).toHaveCount(6);
  await expect(table.getByText('interpolated').first()).toBeVisible();

  // Keys swap a point of one for another.
  const triangle = page.getByRole('slider', { name: /Texture triangle/ });
  await triangle.focus();
  await page.keyboard.press('ArrowUp');
  await expect(triangle).toHaveAttribute('aria-valuenow', '21');
  await page.keyboard.press('Escape');
  await expect(class_).toHaveText(/Move over it/);

  // A finished test, by its code: tint, curve, and "what if" by dragging its point.
  await page.getByLabel('A test, by its code').fill('nowhere');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('No finished test is called nowhere');
  // Codes that begin with what is typed are offered, and taken by the arrow keys.
  await page.getByLabel('A test, by its code').fill('C1');
  await expect(page.getByRole('listbox').getByRole('option')).toHaveText([/^C1 /, /^C1c /, /^C1d /]);
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(new RegExp(id('C1d')));
  await expect(class_).toContainText(/Silt loam, class \d+\s%/);
  await expect(table.getByText('off its curve').first()).toBeVisible();
  const point = (await page.locator('circle.point').boundingBox())!;
  await page.mouse.move(point.x + point.width / 2, point.y + point.height / 2);
  await page.mouse.down();
  await page.mouse.move(point.x - 60, point.y + 10, { steps: 4 });
  await page.mouse.up();
  await page.mouse.move(5, 5);
  await expect(page.getByText(/What if C1d were: .*points more sand/)).toBeVisible();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(class_).toContainText('Silt loam');

  // Another school, by its own limits.
  await page.getByText('German', { exact: true }).first().click();
  await expect(class_).toContainText(/^(Lu|Ul)/);
  // The table goes by what was read, whatever is looked at.
  await expect(table.getByRole('row', { name: /USDA/ })).toContainText('as it stands');
  await page.reload();
  await ready(page);
  await expect(class_).toContainText(/^(Lu|Ul)/);
  await page.getByText('USDA', { exact: true }).first().click();

  // Filters, replicates and arrows.
  await page.getByLabel('Method').selectOption({ label: 'Timed marks' });
  await expect(page.getByText(/\d+ of \d+ tests/)).toBeVisible();
  await page.getByLabel('Method').selectOption('');
  await page.getByLabel('Join tests of one sample').check();
  await expect(page.locator('path.mean').first()).toBeAttached();
  await page.getByLabel('Arrows: before and after').check();
  await expect(page.locator('path.change').first()).toBeAttached();

  // Zoomed, the drawing shows less of the paper.
  const before = await triangle.getAttribute('viewBox');
  await page.getByRole('button', { name: 'Closer' }).click();
  expect(await triangle.getAttribute('viewBox')).not.toBe(before);
  await page.getByRole('button', { name: 'Whole triangle' }).click();
  expect(await triangle.getAttribute('viewBox')).toBe(before);

  // The wheel with Ctrl comes nearer to what lies under it; a hand that slides the drawing moves no soil.
  const paper = (await triangle.boundingBox())!;
  const [x, y] = [paper.x + paper.width / 2, paper.y + paper.height / 2];
  await page.mouse.move(x, y);
  await page.keyboard.down('Control');
  await page.mouse.wheel(0, -200);
  await page.keyboard.up('Control');
  await expect(triangle).not.toHaveAttribute('viewBox', before!);
  const near = await triangle.getAttribute('viewBox');
  const clay = await triangle.getAttribute('aria-valuenow');
  await page.mouse.move(x + 80, y - 40);
  await page.mouse.down();
  await page.mouse.move(x + 20, y, { steps: 4 });
  await page.mouse.up();
  await expect(triangle).not.toHaveAttribute('viewBox', near!);
  await expect(triangle).toHaveAttribute('aria-valuenow', clay!);
  await page.getByRole('button', { name: 'Whole triangle' }).click();
  await expect(triangle).toHaveAttribute('viewBox', before!);

  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as SVG' }).click();
  const svg = readFileSync(await (await saved).path(), 'utf8');
  expect(svg).toContain('Dots: finished tests');
  expect(svg).toContain('Soil Survey Manual');
  expect(bench.troubles).toEqual([]);
});

test('how it is read, with the usual slips; and tests side by side', async ({ bench }) => {
  const id = await demo(bench);
  const page = await bench.open('/know/how?sand=42&clay=18');
  await page.getByRole('button', { name: 'Next' }).click();
  await expect(page.getByText('Find 18 % on the left side.', { exact: false })).toBeVisible();
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'Next' }).click();
  await expect(page.getByText('All three meet in one point: loam.', { exact: false })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Next' })).toBeDisabled();
  await expect(page.getByText(/meets the clay line in silt loam, not in loam/)).toBeVisible();
  await expect(page.getByText(/The silt was read as 50 %/)).toBeVisible();

  await page.goto(`${bench.url}/know/compare`);
  await ready(page);
  for (const code of ['N1c', 'T1d']) {
    await page.getByLabel('Add a test').fill(code);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('link', { name: code, exact: true })).toBeVisible();
  }
  await expect(page.getByText(/over\s99\s% sure N1c has more sand/)).toBeVisible();
  await expect(page.getByText('Another soil on the same footing', { exact: false })).toBeVisible();
  await page.getByLabel('Add a test').fill('T1d');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('T1d stands there already');
  await page.goto(`${bench.url}/know/compare?tests=${['T1', 'T1b'].map(id).join(',')}`);
  await ready(page);
  // Each has one answer: there is no other view to choose.
  await expect(page.getByRole('radiogroup', { name: 'Jars' })).toHaveCount(0);
  await expect(page.getByText('The same soil by another method', { exact: false })).toBeVisible();
  await expect(page.getByText(/Mainland soil laboratory/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Take T1b out' }).click();
  await expect(page.getByRole('link', { name: 'T1b', exact: true })).toHaveCount(0);
  expect(bench.troubles).toEqual([]);
});

test('every example of the API’s page runs as it stands', async ({ bench }) => {
  const id = await demo(bench);
  const text = readFileSync('docs/api.md', 'utf8');
  const examples = [...text.matchAll(/```sh\n([\s\S]*?)```/g)].map((m) => m[1]);
  expect(examples.length).toBeGreaterThan(9);
  const answers = examples.map((example) => {
    const line = example.replaceAll('http://127.0.0.1:5180', bench.url).replaceAll(/\bTEST\b/g, id('T1d')!);
    return execFileSync('sh', ['-c', line], { encoding: 'utf8' });
  });
  expect(JSON.parse(answers[0]).class.name).toBe('loam');
  expect(JSON.parse(answers[0]).systems).toHaveLength(5);
  expect(JSON.parse(answers[1])).toMatchObject({ system: 'german', how: 'measured' });
  expect(JSON.parse(answers[2]).fields.clay).toContain('120.0 %');
  expect(JSON.parse(answers[3]).samples.length).toBeGreaterThan(8);
  expect(answers[5]).toMatch(/^code,sample,/);
  expect(JSON.parse(answers[6]).results.length).toBeGreaterThan(15);
  // Pages of a list: the first asked for says where the next begins.
  const { results, next } = JSON.parse(answers[7]);
  expect(results).toHaveLength(10);
  expect(next).toBe(results[9].testId);
  expect(JSON.parse(answers[8]).format).toBe('tivrel.log');
  expect(JSON.parse(answers[9]).holes).toHaveLength(4);
  expect(JSON.parse(answers[10]).amendments).toHaveLength(3);
  expect(answers[11]).toMatch(/^kept_utc,code,/);
  expect(JSON.parse(answers[12]).trials).toHaveLength(7);
  expect(answers[13]).toMatch(/^code,kind,/);
  expect(JSON.parse(answers[14]).folders[0].soils).toHaveLength(4);
  expect(JSON.parse(answers[15]).test.results[0].basis).toBe('by mass, weighed');
  expect(JSON.parse(answers[16]).runs[0].instrument).toHaveLength(2);
  expect(JSON.parse(answers[17]).eventId).toBe('01KAXXXXXXXXXXXXXXXXXXXXXX');
  expect(JSON.parse(answers[18]).fields).toHaveProperty('name');
});
