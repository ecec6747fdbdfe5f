import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { ulid } from 'ulid';
import { command, expect, jarByCommand, ready, test, type Bench } from './bench';

/** Presses places of the sheet, given as shares of its width and height. */
async function pressSheet(page: Page, places: [number, number][]): Promise<void> {
  const sheet = page.getByRole('group', { name: /^Sketch of/ });
  const box = (await sheet.boundingBox())!;
  for (const [x, y] of places) await sheet.click({ position: { x: x * box.width, y: y * box.height } });
}

async function startSite(bench: Bench): Promise<Page> {
  const page = await bench.open('/plan');
  await expect(page.getByRole('heading', { name: 'Where is the ground?' })).toBeVisible();
  await page.getByRole('button', { name: 'Start the sketch' }).click();
  await expect(page.getByText('Name the site: where the ground lies.')).toBeVisible();
  await page.getByLabel('Name of the site').fill('Skarn Holm');
  await page.getByRole('button', { name: 'Start the sketch' }).click();
  await expect(page.getByRole('heading', { name: 'Skarn Holm', level: 1 })).toBeVisible();
  return page;
}

async function keepArea(page: Page, name: string): Promise<void> {
  await page.getByLabel('Name of the area').fill(name);
  await page.getByRole('button', { name: 'Keep the area' }).click();
  await expect(page.getByText(`${name} is on the sketch.`)).toBeVisible();
}

test('the ground: an area drawn, mended, its spots walked in the field, and mixed into a sample', async ({
  bench
}) => {
  const page = await startSite(bench);
  await page.getByRole('button', { name: 'Draw an area' }).click();
  // A bow tie: it crosses itself, is refused in words, and nothing of it is lost.
  await pressSheet(page, [
    [0.2, 0.2],
    [0.6, 0.7],
    [0.6, 0.2]
  ]);
  await page.reload();
  await ready(page);
  await pressSheet(page, [[0.2, 0.7]]);
  await page.getByRole('button', { name: 'Close the outline', exact: true }).click();
  await expect(page.getByText(/cross. Move a corner/)).toBeVisible();
  await page.getByRole('button', { name: 'draw on' }).click();
  for (let i = 0; i < 3; i++) await page.keyboard.press('Backspace');
  await pressSheet(page, [
    [0.6, 0.2],
    [0.6, 0.7],
    [0.2, 0.7]
  ]);
  await page.getByRole('button', { name: 'Close the outline here' }).click();
  await page.getByRole('checkbox', { name: 'amended' }).check();
  await keepArea(page, 'North bed');
  const panel = page.getByRole('region', { name: /North bed/ });
  await expect(panel).toContainText('m² · amended');
  await expect(panel).toContainText('from 75 mm to 150 mm');
  await expect(panel).toContainText('Sample below the amendment');
  const size = async () => Number(/([\d.]+) m²/.exec((await panel.textContent())!)![1]);
  const before = await size();

  // A corner by keys: ten presses with shift are ten metres. Onto the other side it crosses, and is put back.
  const corner = page.getByRole('button', { name: /^Corner 1,/ });
  await corner.focus();
  await page.keyboard.press('Shift+ArrowLeft');
  await expect(page.getByText('North bed: outline kept.')).toBeVisible();
  await expect.poll(size).toBeGreaterThan(before);
  const box = (await corner.boundingBox())!;
  const sheet = (await page.getByRole('group', { name: /^Sketch of/ }).boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(sheet.x + sheet.width * 0.5, sheet.y + sheet.height * 0.99, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByText(/cross. Move a corner/)).toBeVisible();
  await page.getByRole('button', { name: 'Put it back as it was' }).click();
  await expect(page.getByText(/cross. Move a corner/)).toBeHidden();

  await page.getByLabel('How many').fill('40');
  await expect(page.getByText('Give a whole number from 1 to 12.')).toBeVisible();
  await page.getByLabel('How many').fill('4');
  await page.getByRole('button', { name: 'Suggest spots' }).click();
  await expect(panel).toContainText('0 of 4 spots taken');
  await page.getByRole('button', { name: 'Put one by hand' }).click();
  await pressSheet(page, [[0.4, 0.5]]);
  await expect(panel).toContainText('0 of 5 spots taken');
  await page.getByRole('button', { name: 'Press inside the area' }).click();
  await page.getByRole('button', { name: 'Take off spot 2' }).click();
  await expect(panel).toContainText('0 of 4 spots taken');
  await page.getByRole('button', { name: /^Spot 1:/ }).focus();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByText('Spot moved.')).toBeVisible();

  // In the field, where there is no signal.
  await page.getByRole('link', { name: 'Walk the spots' }).click();
  await ready(page);
  await expect(page.getByRole('heading', { name: 'Walk North bed' })).toBeVisible();
  const item = (no: number) => page.getByRole('listitem').filter({ hasText: `Spot ${no}` });
  await item(1).getByLabel('Depth from').fill('3 in');
  await item(1).getByLabel('to', { exact: true }).fill('50 mm');
  await expect(item(1)).toContainText('The lower end must lie below');
  await item(1).getByLabel('to', { exact: true }).fill('6 in');
  await page.context().setOffline(true);
  await page.getByRole('button', { name: 'Spot 1 is taken' }).click();
  await expect(page.getByText('1 of 4 spots taken.')).toBeVisible();
  await page.context().setOffline(false);
  await page.evaluate(() => window.dispatchEvent(new Event('online')));
  await expect(page.getByText('1 entry waits to be sent')).toBeHidden();
  for (const no of [3, 4, 5]) await page.getByRole('button', { name: `Spot ${no} is taken` }).click();
  await page.getByRole('button', { name: 'Mix the 4 into one sample' }).click();
  await expect(page.getByRole('heading', { name: /N1 North bed/ })).toBeVisible();
  await expect(page.getByText('1, 3, 4, 5', { exact: true })).toBeVisible();
  // One spot's depth is not the composite's.
  await expect(page.getByText('76 mm – 152 mm')).toBeHidden();
  expect(bench.troubles.filter((line) => !/ERR_INTERNET_DISCONNECTED/.test(line))).toEqual([]);
});

test('on a slow line ticked spots stay ticked, and the press that follows is not lost', async ({ bench }) => {
  const [siteId, areaId] = [ulid(), ulid()];
  await command(bench, 'site.add', { siteId, name: 'Skarn Holm' });
  await command(bench, 'area.add', {
    areaId,
    siteId,
    name: 'North bed',
    purpose: 'garden',
    outline: [
      [0, 0],
      [30, 0],
      [30, 20],
      [0, 20]
    ]
  });
  const spotIds = Array.from({ length: 4 }, () => ulid());
  await command(bench, 'spots.suggest', { areaId, seed: 7, spotIds });
  const page = await bench.open(`/plan/ground/${siteId}/walk/${areaId}`);
  // Every other look at the data is slow, and somebody else is busy too: one look begins before another has ended.
  let looks = 0;
  await page.route('**/__data.json*', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, looks++ % 2 === 0 ? 60 : 400));
    await route.continue();
  });
  await page.evaluate(() => {
    const seen: string[] = ((globalThis as { seen?: string[] }).seen = []);
    const look = () => {
      const line = /\d of 4 spots taken/.exec(document.body.innerText)?.[0];
      if (line && line !== seen.at(-1)) seen.push(line);
    };
    new MutationObserver(look).observe(document.body, {
      subtree: true,
      childList: true,
      characterData: true
    });
  });
  let others = true;
  const busy = (async () => {
    for (let n = 1; others; n++) {
      await command(bench, 'site.edit', { siteId, name: `Skarn Holm ${n}`, earth: null });
      await new Promise((resolve) => setTimeout(resolve, 25));
    }
  })();
  for (const no of [1, 2, 3, 4]) await page.getByRole('button', { name: `Spot ${no} is taken` }).click();
  await expect(page.getByText('4 of 4 spots taken.')).toBeVisible();
  await page.getByRole('button', { name: 'Mix the 4 into one sample' }).click();
  await expect(page.getByRole('heading', { name: /N1 North bed/ })).toBeVisible();
  others = false;
  await busy;
  const seen = await page.evaluate(() => (globalThis as { seen?: string[] }).seen);
  expect(seen).toEqual([1, 2, 3, 4].map((n) => `${n} of 4 spots taken`));
  expect(bench.troubles).toEqual([]);
});

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
  const page = await startSite(bench);
  await page.getByRole('button', { name: 'Draw an area' }).click();
  await page.getByLabel('Across').fill('6');
  await page.getByLabel('Up the sheet').fill('5');
  await page.getByRole('button', { name: 'Put down a rectangle' }).click();
  await keepArea(page, 'Till bank');
  await page.getByRole('button', { name: 'Suggest spots' }).click();
  await expect(page.getByText('0 of 5 spots taken')).toBeVisible();
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

test('a sample has pictures, its area and its spots', async ({ bench }) => {
  const page = await startSite(bench);
  await page.getByRole('button', { name: 'Draw an area' }).click();
  await page.getByLabel('Across').fill('6');
  await page.getByLabel('Up the sheet').fill('5');
  await page.getByRole('button', { name: 'Put down a rectangle' }).click();
  await keepArea(page, 'Till bank');
  await page.getByRole('button', { name: 'Suggest spots' }).click();
  await expect(page.getByText('0 of 5 spots taken')).toBeVisible();
  const sampleId = ulid();
  const payload = { sampleId, name: 'Bank above the landing', purpose: 'build' };
  const answer = await fetch(`${bench.url}/api/v1/commands/sample.add`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ commandId: ulid(), at: bench.now(), payload })
  });
  expect(answer.ok).toBe(true);
  await page.goto(`${bench.url}/samples/${sampleId}`);
  await ready(page);
  await page.getByRole('button', { name: 'Write up the sample' }).click();
  await page.getByLabel('Area').selectOption({ label: 'T · Till bank, Skarn Holm' });
  for (const no of ['1', '3']) await page.getByRole('checkbox', { name: no, exact: true }).check();
  await page.getByRole('button', { name: 'Keep the record' }).click();
  await expect(page.getByText('Till bank, Skarn Holm')).toBeVisible();
  await expect(page.getByText('1, 3', { exact: true })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Its area on the sketch' })).toBeVisible();

  const picture = join(bench.folder, 'bank.webp');
  execFileSync('node', [
    '-e',
    `import('sharp').then((s) => s.default({ create: { width: 90, height: 60, channels: 3, background: '#8a6a3c' } }).webp().toFile(${JSON.stringify(picture)}))`
  ]);
  await page.getByLabel('Add a picture').setInputFiles(picture);
  await expect(page.getByText('Picture of B1 kept.')).toBeVisible();
  await expect(page.getByRole('img', { name: /Picture of B1/ })).toHaveJSProperty('naturalWidth', 90);
  await page.getByRole('button', { name: 'take off' }).click();
  await expect(page.getByRole('img', { name: /Picture of B1/ })).toBeHidden();
  const said = page.getByRole('status', { name: 'Picture taken off.' });
  await said.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('img', { name: /Picture of B1/ })).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('a laboratory report stands beside the jars of its sample, point by point', async ({ bench }) => {
  const page = await bench.open('/');
  const { sampleId, testId } = await jarByCommand(bench, 'Till bank', { purpose: 'build', stands: true });
  await bench.pass(26 * 3600);
  const line = (mm: number) => ({ mm, text: String(mm) });
  const readingId = ulid();
  const lines = { sand: line(22), silt: line(30.5), clay: line(35) };
  await command(bench, 'jar.read', { testId, readingId, entry: { ruler: 'mm', water: 'clear', lines } });
  await command(bench, 'test.finish', { testId, readingId, resultId: ulid() });
  await page.goto(`${bench.url}/samples/${sampleId}`);
  await ready(page);
  const lab = page.getByRole('region', { name: 'Laboratory' });
  await lab.getByRole('button', { name: 'Enter a report' }).click();
  await lab.getByRole('button', { name: 'Keep the report' }).click();
  await expect(lab.getByText('Give percent as a number, such as 34.5.')).toHaveCount(3);
  await lab.getByLabel('Laboratory').fill('Mainland laboratory');
  await lab.getByLabel('Sand, %').fill('68');
  await lab.getByLabel('Silt, %').fill('22');
  await lab.getByLabel('Clay, %').fill('20');
  await lab.getByRole('button', { name: 'Keep the report' }).click();
  await expect(lab.getByText(/come to 100, give or take one/)).toBeVisible();
  await page.reload();
  await ready(page);
  await expect(lab.getByLabel('Sand, %')).toHaveValue('68');
  await lab.getByLabel('Clay, %').fill('10');
  await lab.getByLabel('It parts silt from sand at').selectOption('63 µm');
  await lab.getByRole('button', { name: 'Keep the report' }).click();
  await expect(lab.getByText('68 % sand, 22 % silt, 10 % clay: sandy loam.')).toBeVisible();
  await expect(lab.getByText('Measured by 63 µm, moved to 50 µm')).toBeVisible();
  await expect(lab.getByRole('row', { name: /T1 by height/ })).toContainText('the same');
  await expect(lab.getByRole('row', { name: /T1 by mass/ })).toBeVisible();
  await expect(lab.getByText(/is nearer to the laboratory, by \d/)).toBeVisible();
  await lab.getByRole('button', { name: 'take off' }).click();
  await expect(lab.getByText('No report of this sample is on record.')).toBeVisible();
  expect(bench.troubles).toEqual([]);
});
