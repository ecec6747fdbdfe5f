import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from './bench';
import { keepArea, pressSheet, startArea, startSite } from './sketch';

test('a picture under the sketch is scaled by two points, and areas with it', async ({ bench }) => {
  const page = await startSite(bench);
  const plan = join(bench.folder, 'plan.png');
  const script = `import('sharp').then((s) => s.default({ create: { width: 1600, height: 1000, channels: 3, background: '#dfe5de' } }).png().toFile(${JSON.stringify(plan)}))`;
  execFileSync('node', ['-e', script]);
  await page.getByText('Paper and scale').click();
  const file = page.getByLabel('Lay a picture under it');
  const note = join(bench.folder, 'note.png');
  writeFileSync(note, 'This is no picture.');
  await file.setInputFiles(note);
  await expect(page.getByText('This is not a picture Tivrel can open.')).toBeVisible();
  await file.setInputFiles(plan);
  await expect(page.getByText('The picture is under the sketch.')).toBeVisible();
  await expect(page.getByText('Press a point whose distance to another you know.')).toBeVisible();
  await pressSheet(page, [
    [0.2, 0.5],
    [0.6, 0.5]
  ]);
  await page.getByLabel('Distance between them').fill('far');
  await page.getByRole('button', { name: 'Scale the sketch' }).click();
  await expect(page.getByText('Give a distance such as 12.5 m or 40 ft.')).toBeVisible();
  await page.getByLabel('Distance between them').fill('100 m');
  await page.getByRole('button', { name: 'Scale the sketch' }).click();
  await expect(page.getByText('The sketch is to scale.')).toBeVisible();

  // By its measures, for those who do not draw.
  await page.getByRole('button', { name: 'Draw an area' }).click();
  await page.getByLabel('Across').fill('4 ells');
  await page.getByLabel('Up the sheet').fill('10 m');
  await page.getByRole('button', { name: 'Put down a rectangle' }).click();
  await expect(page.getByText(/"ells" is no unit/)).toBeVisible();
  await page.getByLabel('Across').fill('4');
  await page.getByRole('button', { name: 'Put down a rectangle' }).click();
  await expect(page.getByText('40 m²')).toBeVisible();
  await keepArea(page, 'Boat-store footing');
  expect(bench.troubles).toEqual([]);
});

test('areas and spots go out as GeoJSON and come back; what is none is refused in words', async ({
  bench
}) => {
  const page = await startArea(bench);
  await page.getByText('Name and place on the earth').click();
  await page.getByLabel('Latitude').fill('north');
  await page.getByRole('button', { name: 'Keep name and place' }).click();
  await expect(page.getByText('Give degrees as a number, such as 60.39.').first()).toBeVisible();
  await page.getByLabel('Latitude').fill('61.5');
  await page.getByLabel('Longitude').fill('4.2');
  await page.getByRole('button', { name: 'Keep name and place' }).click();
  await expect(page.getByText('Skarn Holm: kept.')).toBeVisible();

  await page.getByText('GeoJSON', { exact: true }).click();
  const saving = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save as GeoJSON' }).click();
  const saved = await (await saving).path();
  const { features } = JSON.parse(readFileSync(saved, 'utf8'));
  expect(features).toHaveLength(6);
  expect(features[0].geometry.coordinates[0][0][1]).toBeCloseTo(61.5, 2);

  const chooser = page.getByLabel('Bring in GeoJSON');
  const wrong = join(bench.folder, 'wrong.geojson');
  writeFileSync(wrong, '{"type":"Feature"}');
  await chooser.setInputFiles(wrong);
  await expect(page.getByText(/not a GeoJSON feature collection/)).toBeVisible();
  writeFileSync(wrong, `{"type":"FeatureCollection","features":[]}${' '.repeat(50_000_000)}`);
  await chooser.setInputFiles(wrong);
  await expect(page.getByText(/over 2 MB/)).toBeVisible();
  const again = join(bench.folder, 'again.geojson');
  writeFileSync(again, readFileSync(saved));
  await chooser.setInputFiles(again);
  await expect(
    page.getByText('again.geojson: one area, 5 spots. Its numbers are longitude and latitude.')
  ).toBeVisible();
  await page.getByRole('button', { name: 'Put them on the sketch' }).click();
  await expect(page.getByText('One area and 5 spots brought in.')).toBeVisible();
  await page.getByRole('button', { name: 'All areas' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Till bank' })).toHaveCount(2);
  expect(bench.troubles).toEqual([]);
});
