import { command, expect, jarByCommand, ready, test } from './bench';

test('a long log draws what is in sight, is sorted by its heads, and goes on paper whole', async ({
  bench
}) => {
  const { sampleId } = await jarByCommand(bench, 'Boat store');
  const jar = {
    vesselId: 'jar-litre',
    methodKey: 'jar-timed',
    tempC: 18,
    soilMm: 43,
    waterMm: 128,
    dispersantMl: 4
  };
  for (let no = 2; no <= 150; no++) {
    const testId = `01M8FT${String(no).padStart(4, '0')}0000000000000000`.slice(0, 26);
    await command(bench, 'jar.prepare', { testId, sampleId, ...jar });
  }
  const page = await bench.open('/log?sort=sample');
  await expect(page.getByText('150 tests', { exact: false })).toBeVisible();
  const row = (code: string) => page.getByRole('link', { name: code, exact: true });
  await expect(row('B1')).toBeVisible();
  await expect.poll(() => page.getByRole('row').count()).toBeLessThan(90);
  await page.evaluate(() => scrollTo(0, document.body.scrollHeight));
  await expect(page.getByRole('row').last()).toBeInViewport();
  await expect(page.getByRole('table')).toHaveAttribute('aria-rowcount', '151');
  await page.evaluate(() => dispatchEvent(new Event('beforeprint')));
  expect(await page.getByRole('row').count()).toBe(151);
  await page.evaluate(() => dispatchEvent(new Event('afterprint')));

  await page.evaluate(() => scrollTo(0, 0));
  await page.getByRole('button', { name: 'Set down' }).click();
  await expect(page).toHaveURL(/\/log$/);
  await expect(page.getByRole('columnheader', { name: 'Set down' })).toHaveAttribute(
    'aria-sort',
    'descending'
  );
  expect(bench.troubles).toEqual([]);
});

test('the log is narrowed, goes out as it is shown, and several go into the bin with one undo', async ({
  bench
}) => {
  await jarByCommand(bench, 'Boat store', { purpose: 'build' });
  await jarByCommand(bench, 'Lower bank', { purpose: 'build', stands: true });
  await jarByCommand(bench, 'Walled garden');
  const page = await bench.open('/log');
  const row = (code: string) => page.getByRole('link', { name: code, exact: true });
  await page.getByText('Narrow', { exact: true }).click();
  await page.getByLabel('For').selectOption('Building');
  await expect(page.getByText('Narrowed by 1')).toBeVisible();
  await expect(row('W1')).toBeHidden();
  await expect(row('B1')).toBeVisible();
  await expect(page).toHaveURL(/purpose=build/);
  const address = await page.getByRole('link', { name: 'CSV' }).getAttribute('href');
  const csv = await (await fetch(bench.url + address!)).text();
  expect(csv.trim().split('\r\n')).toHaveLength(3);
  expect(csv).not.toContain('Walled garden');
  // In pages too it is what is shown, as a file and as a document.
  const page1 = await (await fetch(`${bench.url}/api/v1/tests?purpose=build&limit=1`)).json();
  const page2 = await fetch(`${bench.url}/api/v1/tests?purpose=build&limit=5&format=csv&after=${page1.next}`);
  expect(page1.tests.map((one: { code: string }) => one.code)).toEqual(['L1']);
  expect((await page2.text()).trim().split('\r\n')).toHaveLength(2);
  await page.reload();
  await ready(page);
  await expect(page.getByLabel('For')).toHaveValue('build');
  // The view is kept by a name, and is a press away from then on.
  await page.getByRole('button', { name: 'Keep this view' }).click();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('Give the view a name.')).toBeVisible();
  await page.getByLabel('What to call it').fill('For building');
  await page.getByRole('button', { name: 'Keep it' }).click();
  const view = page.getByRole('link', { name: 'For building' });
  await expect(view).toHaveAttribute('aria-current', 'page');
  await page.getByLabel('State').selectOption('settling');
  await expect(row('B1')).toBeHidden();
  await view.click();
  await expect(row('B1')).toBeVisible();
  await expect(page.getByLabel('State')).toHaveValue('');
  await page.getByRole('button', { name: 'Let go of For building' }).click();
  await expect(view).toBeHidden();
  await page.getByRole('button', { name: 'Show all' }).click();
  await expect(row('W1')).toBeVisible();
  await expect(page).toHaveURL(/\/log$/);

  await page.getByRole('button', { name: 'Choose several' }).click();
  const several = page.getByRole('region', { name: 'The tests that are chosen' });
  await expect(several).toContainText('None is chosen yet');
  await page.getByLabel('Choose B1', { exact: true }).check();
  await page.getByLabel('Choose W1', { exact: true }).check();
  await expect(several).toContainText('2 chosen');
  expect(await several.getByRole('link', { name: 'Labels of 2 samples' }).getAttribute('href')).toMatch(
    /samples=\w{26}%?2?C?,?\w{26}/
  );
  await several.getByRole('button', { name: 'Put in the bin' }).click();
  await expect(row('B1')).toBeHidden();
  await expect(row('L1')).toBeVisible();
  const undone = page.getByRole('status', { name: '2 tests are in the bin.' });
  await undone.getByRole('button', { name: 'Undo' }).click();
  await expect(row('B1')).toBeVisible();
  await expect(row('W1')).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('a day is typed as people write it, refused where there is none, and picked from a calendar', async ({
  bench
}) => {
  const { sampleId } = await jarByCommand(bench, 'Boat store');
  const page = await bench.open(`/samples/${sampleId}`);
  await page.getByRole('button', { name: 'Write up the sample' }).click();
  const day = page.getByLabel('Dug on');
  await day.fill('31.6.2025');
  await page.getByRole('button', { name: 'Keep the record' }).click();
  await expect(page.getByText('Write the day as 31 Mar 2026, 31/3/2026, or yesterday.')).toBeVisible();
  await expect(day).toHaveValue('31.6.2025');
  await day.fill('30.6.2025');
  await day.blur();
  await expect(day).toHaveValue('30 Jun 2025');
  await page.getByRole('button', { name: 'Pick the day from a calendar' }).click();
  await page.getByRole('button', { name: /12 June 2025/ }).click();
  await expect(day).toHaveValue('12 Jun 2025');
  await page.getByRole('button', { name: 'Keep the record' }).click();
  await expect(page.getByText('12 Jun 2025')).toBeVisible();
  await page.reload();
  await ready(page);
  await expect(page.getByText('12 Jun 2025')).toBeVisible();
  expect(bench.troubles).toEqual([]);
});
