import { ulid } from 'ulid';
import { command, expect, jarByCommand, ready, test, type Bench } from './bench.ts';
import { heightAt, LITRE, put } from './picture.ts';

const HOUR = 3600;
const line = (mm: number) => ({ mm, text: String(mm) });

/** A finished jar with a laboratory report of its sample. */
async function pairWithLab(
  bench: Bench,
  name: string,
  tops: readonly [number, number, number],
  lab: { sand: number; silt: number; clay: number }
): Promise<void> {
  const { sampleId, testId } = await jarByCommand(bench, name, { stands: true });
  await bench.pass(26 * HOUR);
  const readingId = ulid();
  const lines = { sand: line(tops[0]), silt: line(tops[1]), clay: line(tops[2]) };
  await command(bench, 'jar.read', { testId, readingId, entry: { ruler: 'mm', by: 'Keeper', lines } });
  await command(bench, 'test.finish', { testId, readingId, resultId: ulid() });
  await command(bench, 'lab.add', { reportId: ulid(), sampleId, lab: 'Mainland', sandLimitUm: 50, ...lab });
}

test('a tapered glass: given by widths at heights, checked by water, read by volume', async ({ bench }) => {
  const page = await bench.open('/set');
  await page.getByLabel('Where the soil came from').fill('Walled garden');
  await page.getByRole('button', { name: 'Add your own' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Tumbler');
  await page.getByText('width at heights', { exact: true }).click();
  await page.getByRole('button', { name: 'Keep this vessel' }).click();
  await expect(
    page.getByText('Give the inner diameter at two heights at least', { exact: false })
  ).toBeHidden();
  await page.getByLabel('Thickness of the base').fill('4');
  await expect(
    page.getByText('Give the inner diameter at two heights at least', { exact: false })
  ).toBeVisible();
  await page.getByLabel('Height inside 1').fill('0');
  await page.getByLabel('Inner width there 1').fill('60');
  await page.getByLabel('Height inside 2').fill('150');
  await page.getByLabel('Inner width there 2').fill('wide');
  await expect(page.getByText(/This is not a length|No number found/)).toBeVisible();
  await page.reload();
  await ready(page);
  await page.getByRole('button', { name: 'Add your own' }).click();
  await expect(page.getByLabel('Inner width there 2')).toHaveValue('wide');
  await page.getByLabel('Inner width there 2').fill('90');
  await expect(page.getByText('Not straight: layers will be counted by volume.')).toBeVisible();

  await page.getByText('Check it with water').click();
  await page.getByLabel('Weight of the water').fill('670');
  await expect(page.getByText('That is within what a ruler allows', { exact: false })).toBeVisible();
  await page.getByLabel('Weight of the water').fill('500');
  await page.getByRole('button', { name: 'take the width from the water' }).click();
  await expect(page.getByText('That is within what a ruler allows', { exact: false })).toBeVisible();
  await expect(page.getByLabel('Inner width there 1')).not.toHaveValue('60');
  // What is described and not kept is not the vessel of the list.
  await page.getByRole('button', { name: 'Prepare this jar' }).click();
  const unkept = page.getByText('Keep the vessel that you describe below', { exact: false });
  await expect(unkept).toBeVisible();
  await page.getByRole('button', { name: 'Keep this vessel' }).click();
  // Pressed at once: it waits until the vessel is kept.
  await page.getByRole('button', { name: 'Prepare this jar' }).click();
  await expect(unkept).toBeHidden();
  await expect(page.getByText(/Walled garden · .+ · Tumbler · /)).toBeVisible();
  await page.getByRole('button', { name: 'Set down' }).click();
  await expect(page.getByRole('list', { name: 'Jars on the shelf' })).toBeVisible();
  await bench.pass(26 * HOUR);
  await page.goto(`${bench.url}/read`);
  await ready(page);
  await page.getByRole('main').getByRole('link', { name: /W1/ }).click();
  await expect(page.getByText('Heights are read as volumes', { exact: false })).toBeVisible();
  for (const [layer, mm] of [
    ['Sand', '20'],
    ['Silt', '40'],
    ['Clay', '50']
  ]) {
    await page.getByLabel(new RegExp(`^${layer}: Top of`)).fill(mm);
  }
  // By height sand would be 40 %; the glass is narrower below.
  await expect(page.getByRole('img', { name: /3[678] % sand/ })).toBeVisible();
  await page.getByText('Heights as read', { exact: true }).click();
  await expect(page.getByText(/\d+\.\d mL ÷ \d+\.\d mL/).first()).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('two people, further lines, and marks beside bands', async ({ bench }) => {
  const { testId, runId } = await jarByCommand(bench, 'Walled garden', { stands: true });
  for (const [at, layer, mm] of [
    [60, 'sand', 20],
    [2 * HOUR, 'silt', 33],
    [26 * HOUR, 'clay', 40]
  ] as const) {
    await bench.pass(at === 60 ? 60 : at === 2 * HOUR ? 2 * HOUR - 60 : 24 * HOUR);
    const markId = ulid();
    await command(bench, 'jar.mark', { testId, runId, markId, layer });
    await command(bench, 'mark.height', { testId, markId, height: line(mm) });
  }
  const page = await bench.open(`/read/${testId}`);
  const field = (layer: string) => page.getByLabel(new RegExp(`^${layer}: Top of`));
  await expect(field('Sand')).toHaveValue('20');
  await expect(page.getByTestId('as-read')).toBeVisible();

  // The eye sees the sand line higher than its mark.
  await field('Sand').fill('23');
  const sides = page.getByRole('region', { name: 'Marks and bands' });
  await expect(sides.getByText('+3.0 mm')).toBeVisible();
  await expect(sides.getByText('The sand line lies over its mark', { exact: false })).toBeVisible();

  // Lines that move no share, and one that is named as what it is.
  await page.getByRole('button', { name: '+ coarse sand' }).click();
  await page.getByLabel(/^Coarse sand: Top of/).fill('9');
  await expect(page.getByText('Of the sand 9.0 mm are coarse and 14.0 mm fine.')).toBeVisible();
  await page.getByRole('button', { name: '+ settled organics' }).click();
  await page.getByLabel(/^Settled organics: Top of/).fill('39');
  await expect(
    page.getByText('The top of the settled organics lies below the top of the clay', { exact: false })
  ).toBeVisible();
  await page.getByLabel(/^Settled organics: Top of/).fill('42');
  await expect(page.getByText('2.0 mm of settled organics lie on top and do not count.')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'A dark skin on top' })).toBeVisible();

  // A second person: both are kept, and what they differ by is said.
  await page.getByRole('button', { name: '+ a second person reads too' }).click();
  await page.getByLabel('Top of silt, second reader').fill('36');
  await expect(page.getByText('Say who the second reader is, in a word.')).toBeVisible();
  await page.getByLabel('Second reader', { exact: true }).fill('Gardener');
  await expect(page.getByText('differ by 3.0 mm')).toBeVisible();

  await page.getByText('cloudy', { exact: true }).click();

  await page.getByRole('button', { name: 'Keep this reading' }).click();
  await expect(page.getByText('Reading kept.').first()).toBeVisible();
  await page.reload();
  await ready(page);
  await expect(page.getByLabel('Top of silt, second reader')).toHaveValue('36');
  expect(bench.troubles).toEqual([]);
});

test('jars calibrated against a laboratory: shown before and after, used when asked, and marked', async ({
  bench
}) => {
  // By height this keeper's jars overstate clay.
  await pairWithLab(bench, 'North bed', [20, 35, 50], { sand: 50, silt: 34, clay: 16 });
  await pairWithLab(bench, 'South bed', [12, 30, 45], { sand: 36, silt: 45, clay: 19 });
  const { testId } = await jarByCommand(bench, 'Till bank', { stands: true });
  await bench.pass(26 * HOUR);
  const page = await bench.open(`/read/${testId}`);
  for (const [layer, mm] of [
    ['Sand', '16'],
    ['Silt', '32'],
    ['Clay', '46']
  ]) {
    await page.getByLabel(new RegExp(`^${layer}: Top of`)).fill(mm);
  }
  await expect(page.getByRole('img', { name: /35 % sand, 35 % silt, 30 % clay/ })).toBeVisible();
  await page.getByText('Calibrated against a laboratory', { exact: true }).click();
  await expect(
    page.getByText('No jar by the method Timed marks has a laboratory report', { exact: false })
  ).toBeVisible();
  await page.getByLabel('Who reads').fill('Keeper');
  await expect(page.getByRole('rowheader', { name: 'calibrated by the others alone' })).toBeVisible();
  await page.getByLabel('Use it for this reading; the result will say so').check();
  await expect(
    page.getByText('Calibrated by 2 jars with a laboratory report. As read: 35 % sand', { exact: false })
  ).toBeVisible();
  await expect(page.getByRole('img', { name: /4\d % sand/ })).toBeVisible();
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  await page.getByRole('button', { name: 'Finish the test' }).click();
  await expect(
    page.getByText('Calibrated by 2 jars with a laboratory report.', { exact: false })
  ).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('a glass traced on a picture gives its widths; a jar over the shoulder shows where it cannot be read', async ({
  bench
}) => {
  const { testId } = await jarByCommand(bench, 'Walled garden', { stands: true });
  await bench.pass(26 * HOUR);
  const answer = await fetch(
    `${bench.url}/api/v1/bench-camera/${testId}/picture.png?width=600&height=800&tilt=0&label=false`
  );
  const picture = { name: 'jar.png', mimeType: 'image/png', buffer: Buffer.from(await answer.arrayBuffer()) };
  const page = await bench.open('/set');
  await page.getByRole('button', { name: 'Add your own' }).click();
  await page.getByText('width at heights', { exact: true }).click();
  await page.getByRole('button', { name: 'Trace it on a picture' }).click();
  await page.getByLabel('Choose a picture').setInputFiles(picture);
  await put(page, 'Lower known height', 0.5, LITRE.bottom);
  await put(page, 'Upper known height', 0.5, LITRE.water);
  await page.getByLabel('Height at the upper cross').fill('128');
  // The inside of the wall: 47 mm from the axis, up to the shoulder.
  const wall = 0.5 + (47 * 0.92) / 171.2;
  for (const [i, mm] of [3, 40, 80, 110, 127].entries()) {
    await put(page, `Point ${i + 1} of the wall`, wall, heightAt(mm));
  }
  await page.getByRole('button', { name: 'Use these widths' }).click();
  for (const i of [1, 3, 5]) {
    const width = Number(
      (await page.getByLabel(`Inner width there ${i}`).inputValue()).replace(/[^\d.]/g, '')
    );
    expect(Math.abs(width - 94)).toBeLessThan(2);
  }

  await page.goto(`${bench.url}/read/${testId}`);
  await ready(page);
  await page.getByLabel(/^Sand: Top of/).fill('90');
  await page.getByLabel(/^Silt: Top of/).fill('120');
  await page.getByLabel(/^Clay: Top of/).fill('140');
  await expect(page.getByText('not readable above the shoulder')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Over the shoulder' })).toBeVisible();
  await page.getByRole('slider', { name: 'Tape at the top of the clay' }).press('PageDown');
  await expect(page.getByLabel(/^Clay: Top of/)).toHaveValue('139');
  expect(bench.troubles).toEqual([]);
});

test('heights that cannot come from one settling are said to be so, and the reading stands', async ({
  bench
}) => {
  const { testId, runId } = await jarByCommand(bench, 'Path edge', { stands: true });
  await bench.pass(2 * HOUR);
  const at = bench.now();
  for (const [layer, mm] of [
    ['sand', 20],
    ['silt', 33],
    ['clay', 40]
  ] as const) {
    const markId = ulid();
    const envelope = { commandId: ulid(), at, payload: { testId, runId, markId, layer } };
    await fetch(`${bench.url}/api/v1/commands/jar.mark`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(envelope)
    });
    await command(bench, 'mark.height', { testId, markId, height: line(mm) });
  }
  const page = await bench.open(`/read/${testId}`);
  await page.getByText('not looked at', { exact: true }).click();
  await expect(page.getByText(/These heights cannot well come from one settling/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  await expect(page.getByRole('button', { name: /^Finish/ })).toBeVisible();
});
