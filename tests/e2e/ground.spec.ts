import { ulid } from 'ulid';
import { command, expect, ready, test } from './bench';
import { pressSheet, startSite, keepArea } from './sketch';

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
    // From what stands there before the first press on: it only ever goes up.
    look();
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
  expect(seen).toEqual([0, 1, 2, 3, 4].map((n) => `${n} of 4 spots taken`));
  expect(bench.troubles).toEqual([]);
});
