import { expect, ready, test } from './bench';

test('methods stand side by side by what their marks cut, and move with the water', async ({ bench }) => {
  const page = await bench.open('/');
  await page.getByRole('link', { name: 'Plan' }).click();
  await expect(page.getByRole('heading', { name: 'What the marks mean' })).toBeVisible();
  await expect(page.getByText('Mark at 2 h: all coarser than 5.1 µm is down')).toHaveCount(2);
  const clay = page.getByRole('region', { name: 'True marks in this jar' }).getByRole('listitem').last();
  await expect(clay).toHaveText(/12 h 7 min/);

  // Colder and deeper: later, and coarser.
  await page.getByLabel('Water temperature', { exact: true }).fill('8');
  await expect(clay).toHaveText(/15 h|16 h/);
  await page.getByLabel('Water line, by sliding').fill('150');
  await expect(page.getByLabel('Water line at')).toHaveValue('150');
  await expect(clay).toHaveText(/18 h|19 h/);
  await page.getByLabel('Dry soil to').fill('x');
  await expect(page.getByText(/not a length|No number/)).toBeVisible();
  await page.reload();
  await ready(page);
  await expect(page.getByLabel('Dry soil to')).toHaveValue('x');
  await page.getByLabel('Dry soil to').fill('');

  // One that runs is set from its page; one that does not is listed with its steps.
  await page.getByRole('link', { name: 'Pipette' }).click();
  await expect(page.getByText('The bench does not lead through this one yet.')).toBeVisible();
  await expect(page.getByText(/Draw 20 or 25 mL/)).toBeVisible();
  await page.getByRole('link', { name: 'All methods' }).click();
  await page.getByRole('link', { name: 'Cylinder by volume' }).click();
  await page.getByRole('link', { name: 'Set a jar this way' }).click();
  await expect(page.getByRole('radio', { name: 'Cylinder by volume' })).toBeChecked();
  await expect(page.getByLabel('Which vessel?').last()).toHaveValue('cylinder-100');
  await expect(page.getByText(/Dry soil to 38 mm/)).toBeVisible();
  expect(bench.troubles).toEqual([]);
});
