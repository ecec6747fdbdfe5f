import { ulid } from 'ulid';
import { command, expect, ready, test } from './bench';

const MINUTE = 60;
const HOUR = 3600;

test('a drainage hole: dug, soaked, filled again, read when it calls, and finished', async ({ bench }) => {
  const siteId = ulid();
  await command(bench, 'site.add', { siteId, name: 'Skarn Holm' });
  await command(bench, 'area.add', {
    areaId: ulid(),
    siteId,
    name: 'South bed',
    purpose: 'garden',
    outline: [
      [0, 0],
      [10, 0],
      [10, 8],
      [0, 8]
    ]
  });
  const page = await bench.open('/holes/new');
  // What no hole is stands beside its field, and what was typed stays.
  await page.getByLabel('Depth', { exact: true }).fill('2 mm');
  await page.getByLabel('ground water stands in it').check();
  await page.getByRole('button', { name: 'It is dug' }).click();
  await expect(page.getByRole('alert')).toContainText('from 100 mm to 1.5 m');
  await expect(page.getByLabel('Depth', { exact: true })).toHaveValue('2 mm');
  await page.getByLabel('Depth', { exact: true }).fill('300 mm');
  await page.getByRole('button', { name: 'It is dug' }).click();
  await expect(page.getByRole('heading', { name: 'Drainage hole Sh1' })).toBeVisible();

  // Filled before it was told: when is asked, and what is no time that has passed is refused.
  await page.getByRole('button', { name: 'It was earlier' }).click();
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await expect(page.getByText('Give the day and the time, such as yesterday 14:10.')).toBeVisible();
  const when = page.getByRole('textbox', { name: 'When it was' });
  await when.fill('yesterday 14:10');
  await when.blur();
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await expect(page.getByText('Fill it again once it has gone')).toBeVisible();
  const soaked = page.getByRole('status', { name: 'Sh1: filled to soak.' });
  await soaked.getByRole('button', { name: 'Undo' }).click();
  // Keys alone from here to the refill.
  await page.getByRole('button', { name: 'Filled: let it sink in' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('Fill it again once it has gone')).toBeVisible();
  await bench.pass(HOUR + 60);
  await expect(page).toHaveTitle(/● Sh1 · fill it again/);
  await page.getByLabel('Filled so high, if not to the brim').fill('500 mm');
  await page.getByRole('button', { name: 'Filled again: start the clock' }).click();
  await expect(page.getByRole('alert')).toContainText('higher than the hole is deep');
  await page.getByLabel('Filled so high, if not to the brim').fill('');
  await page.getByRole('button', { name: 'Filled again: start the clock' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('Measure from the bottom up to the water')).toBeVisible();

  // What was measured wrong is corrected, and what cannot be is refused.
  await page.getByRole('button', { name: 'Correct its measures and notes' }).click();
  await page.getByLabel('on a slope').check();
  await page.getByLabel('Depth', { exact: true }).fill('2500 mm');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('from 100 mm to 1.5 m');
  await page.getByLabel('Depth', { exact: true }).fill('300 mm');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText(/300 mm wide · .*on a slope/)).toBeVisible();

  // The bench calls for it, and takes the moment of the press; the height is measured afterwards.
  await page.goto(bench.url);
  await ready(page);
  await bench.pass(30 * MINUTE);
  const due = page.getByRole('complementary', { name: 'Due' });
  await expect(due).toContainText(/Sh1 · read the water/);
  await page.keyboard.press('m');
  await expect(page.getByRole('status', { name: /^Sh1/ })).toBeVisible();
  await due.getByRole('link').click();
  const water = page.getByLabel('Water over the bottom');
  await water.fill('310 mm');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('higher than it was filled');
  await expect(water).toHaveValue('310 mm');
  await water.fill('281 mm');
  await water.press('Enter');
  await expect(page.getByTestId('hole-result')).toHaveText('Well drained.');

  // What was seen and not pressed is told afterwards.
  await bench.pass(90 * MINUTE);
  await page.getByRole('button', { name: 'Tell what was seen before' }).click();
  await page.getByLabel('How long after the refill').fill('1 h');
  await page.getByLabel('Water over the bottom').fill('262 mm');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('The water falls 38 mm an hour (1.5 in).')).toBeVisible();
  await expect(page.getByText(/The ground itself lets 8\.\d mm an hour through/)).toBeVisible();
  await expect(page.getByText('The last two stretches agree.')).toBeVisible();
  await page.getByRole('button', { name: 'Finish' }).click();
  await expect(page.getByRole('button', { name: 'Open it again' })).toBeVisible();
  await page.goto(bench.url);
  await ready(page);
  await expect(page.getByRole('region', { name: 'Holes in the ground' })).toHaveCount(0);

  const { holes } = await (await fetch(`${bench.url}/api/v1/holes`)).json();
  expect(holes[0]).toMatchObject({
    code: 'Sh1',
    class: 'well',
    atMost: false,
    notes: expect.arrayContaining(['slope', 'water-table'])
  });
  expect(holes[0].groundMmH).toBeCloseTo(8, 0);
  const csv = await (await fetch(`${bench.url}/api/v1/holes?format=csv`)).text();
  expect(csv.trim().split('\r\n')).toHaveLength(3);
  expect(bench.troubles).toEqual([]);
});

test('a hole that is read while the server is away loses nothing', async ({ bench }) => {
  const siteId = ulid();
  const [areaId, holeId] = [ulid(), ulid()];
  await command(bench, 'site.add', { siteId, name: 'Skarn Holm' });
  await command(bench, 'area.add', {
    areaId,
    siteId,
    name: 'South bed',
    purpose: 'garden',
    outline: [
      [0, 0],
      [10, 0],
      [10, 8]
    ]
  });
  const length = { mm: 300, text: '300 mm' };
  await command(bench, 'hole.dig', { holeId, areaId, depth: length, width: length });
  await command(bench, 'hole.refill', { holeId });
  const page = await bench.open(`/holes/${holeId}`);
  await expect(page.getByText('It was not soaked first')).toBeVisible();
  await bench.kill();
  await page.clock.fastForward(1000);
  await page.getByRole('button', { name: 'It has gone' }).click();
  await expect(page.getByTestId('hole-result')).toHaveText('Drains very quickly.');
  await bench.start();
  await expect
    .poll(async () => (await (await fetch(`${bench.url}/api/v1/holes`)).json()).holes[0].readings.length)
    .toBe(1);
});
