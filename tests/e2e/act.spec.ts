import { readFileSync } from 'node:fs';
import ICAL from 'ical.js';
import { expect, ready, test } from './bench';

/** How many pages a PDF has. */
const pagesOf = (pdf: Buffer) => pdf.toString('latin1').match(/\/Type\s*\/Page\b/g)?.length;

test('from a finished jar to a watering plan in the calendar, and several along a bore', async ({
  bench
}) => {
  await bench.fill();
  const { tests } = await (await fetch(`${bench.url}/api/v1/tests`)).json();
  const id = tests.find((t: { code: string }) => t.code === 'H1').id;
  const page = await bench.open(`/tests/${id}`);
  await page.getByRole('link', { name: 'Act on it' }).click();
  const verdict = page.getByTestId('act-verdict');
  await expect(verdict).toContainText(/vegetable bed.*\d\d\s%/);
  await expect(page.getByLabel('Which soil?')).toHaveValue(id);

  // What if it had more clay? All that hangs on it moves, and can be put back.
  const before = await verdict.innerText();
  const silt = page.getByRole('slider', { name: 'Top of the silt' });
  await silt.focus();
  for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowDown');
  await expect(page.getByText(/What if it had 12\.0 points more clay, 12\.0 less silt/)).toBeVisible();
  await expect(verdict).not.toHaveText(before);
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(verdict).toHaveText(before);

  // A figure opens into its working.
  await page.getByRole('button', { name: /mm an hour$/ }).click();
  await expect(page.getByText(/A drainage hole decides/)).toBeVisible();

  // The bed: what no bed has is refused beside its field, what was typed stays.
  const dose = page.getByTestId('act-dose');
  await page.getByLabel('Need, mm a week').fill('900');
  await expect(page.getByRole('alert')).toContainText('the hottest week takes some 60');
  await expect(page.getByLabel('Need, mm a week')).toHaveValue('900');
  await page.getByLabel('Area, m²').fill('-4');
  await expect(page.getByRole('alert')).toHaveCount(2);
  await page.getByLabel('Need, mm a week').fill('35');
  await expect(page.getByRole('alert')).toContainText('above 0 m²');
  await page.getByLabel('Area, m²').fill('8');
  await page.getByLabel('Depth of the roots').fill('250 mm');
  const [, mm, days] = /(\d+) mm every ([\d.]+) days/.exec(await dose.innerText())!.map(Number);
  await expect(page.getByText(/L at a time: \d+ cans/)).toBeVisible();

  // The address holds it all.
  await expect(page).toHaveURL(/need=35/);
  await page.reload();
  await ready(page);
  await expect(dose).toHaveText(`${mm} mm every ${days.toFixed(1)} days`);

  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Into the calendar' }).click()
  ]);
  const events = new ICAL.Component(
    ICAL.parse(readFileSync(await download.path(), 'utf8'))
  ).getAllSubcomponents('vevent');
  expect(events).toHaveLength(12);
  const [first, second] = events.map((e) => new ICAL.Event(e));
  expect(first.summary).toMatch(/^Water the bed: \d+ L$/);
  const apart = second.startDate.toUnixTime() - first.startDate.toUnixTime();
  expect(apart / 86_400).toBeCloseTo(days, 0);

  // Several bottles along a bore stand as a strip by distance.
  await page.goto(`${bench.url}/act?ask=bore`);
  await ready(page);
  const strip = page.getByRole('region', { name: 'Along the line' });
  const put = async (name: RegExp, metres: string) => {
    const test = strip.getByLabel('A finished test');
    await test.selectOption({
      label: (await test.locator('option').allInnerTexts()).find((o) => name.test(o))!
    });
    await strip.getByLabel('Metres from the start').fill(metres);
    await strip.getByRole('button', { name: 'Put it on the line' }).click();
  };
  await strip.getByRole('button', { name: 'Put it on the line' }).click();
  await expect(strip.getByRole('alert')).toHaveCount(2);
  await put(/^C1 ·/, '-3');
  await expect(strip.getByRole('alert')).toContainText('from 0 to 10,000 m');
  await expect(strip.getByLabel('Metres from the start')).toHaveValue('-3');
  await put(/^C1 ·/, '40');
  await expect(strip.getByRole('listitem')).toHaveText([/^C1 at 40 m: \d+\s% sand, over the line with/]);
  await put(/^N1 ·/, '8');
  // The nearest comes first, and the address keeps them.
  await expect(strip.getByRole('listitem')).toHaveText([/^N1 at 8 m/, /^C1 at 40 m/]);
  await page.reload();
  await ready(page);
  await expect(strip.getByRole('img', { name: /2 bottles along the line/ })).toBeVisible();
  await strip.getByRole('button', { name: 'take N1 off' }).click();
  await expect(strip.getByRole('listitem')).toHaveText([/^C1 at 40 m/]);
  expect(bench.troubles).toEqual([]);
});

test('two percentages: compost for a bed, its purpose, and the line of a bore', async ({ bench }) => {
  const page = await bench.open('/act');
  await expect(page.getByText(/Choose a finished test/)).toBeVisible();
  await page.getByLabel('Sand, %').fill('30');
  await page.getByLabel('Clay, %').fill('80');
  await expect(page.getByRole('alert')).toContainText('110');
  await page.getByLabel('Clay, %').fill('30');
  const verdict = page.getByTestId('act-verdict');
  await expect(verdict).toContainText('vegetable bed');
  await page.getByLabel('For what?').selectOption('herbs of dry ground');
  await expect(verdict).toContainText(/^Not as it is for herbs/);

  // Compost: what is wanted, as a layer and in barrows; nothing where it is there already.
  const compost = page.getByTestId('act-compost');
  await page.getByLabel('Organic matter, %').fill('2');
  await expect(compost).toContainText(/\d+ L: a layer of \d+ mm/);
  await page.getByLabel('Organic matter wanted, %').fill('45');
  await expect(page.getByRole('alert')).toContainText('Compost is 40 % organic itself');
  await page.getByLabel('Organic matter wanted, %').fill('8');
  await expect(page.getByText(/^Over \d years: more than 50 mm/)).toBeVisible();
  await page.getByLabel('Organic matter wanted, %').fill('1');
  await expect(compost).toHaveText('Nothing needs doing: it has that much already.');
  await page.getByRole('button', { name: 'And sand into it?' }).click();
  await expect(page.getByText(/t of sand, .* of 6 m³.* Do not/)).toBeVisible();

  // A bore at the line: the sandier case, and what would settle it.
  await page.getByText('a bore or trench').click();
  await expect(verdict).toContainText('Plan for the sandier case');
  const steps = page.getByRole('region', { name: 'What would settle it' });
  await expect(steps.getByRole('listitem').first()).toContainText(/now \d\d\s% sure, then about \d\d\s%/);
  await page.getByLabel('Line between clay and sandy ground, % sand').fill('120');
  await expect(page.getByRole('alert')).toContainText('between 0 and 100 %');
  await page.getByLabel('Line between clay and sandy ground, % sand').fill('60');
  await expect(verdict).toContainText(/^Clay ground/);
  await expect(page).toHaveURL(/ask=bore/);

  // Whether a laboratory would decide.
  await page.getByRole('button', { name: 'Is a laboratory worth its fee?' }).click();
  await expect(page.getByTestId('act-lab')).toContainText(/^No: the verdict is sure enough/);
  await page.getByLabel('Nutrients or acidity are the question').check();
  await expect(page.getByTestId('act-lab')).toContainText(/^Yes: no jar says/);
  expect(bench.troubles).toEqual([]);
});

test('the calendar of waterings refuses what no bed is', async ({ bench }) => {
  const ask = (query: string) => fetch(`${bench.url}/api/v1/watering.ics?${query}`);
  const bed = 'sand=40&clay=20&organicPct=2.5&from=1800000000000';
  expect((await ask(`${bed}&rootDepthMm=300&times=3`)).status).toBe(200);
  const refused = await ask(`${bed}&rootDepthMm=0`);
  expect(refused.status).toBe(422);
  expect((await refused.json()).fields).toHaveProperty('rootDepthMm');
  expect((await ask(`${bed}&rootDepthMm=300&times=900`)).status).toBe(422);
  expect((await ask('sand=40')).status).toBe(422);
});

test('a verdict is kept by the version it was made with; beds are changed, copied and put back', async ({
  bench
}) => {
  const page = await bench.open('/act?sand=44&clay=18');
  const verdict = page.getByTestId('act-verdict');
  await expect(verdict).toContainText('vegetable bed');
  const said = await verdict.innerText();
  // What was dragged is no soil that there is.
  await page.getByRole('slider', { name: 'Top of the sand' }).press('ArrowUp');
  await expect(page.getByRole('button', { name: 'Keep this verdict' })).toBeDisabled();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await page.getByRole('button', { name: 'Keep this verdict' }).click();
  await expect(page.getByText('The verdict is kept.')).toBeVisible();

  await page.getByRole('link', { name: 'What is asked' }).click();
  const vegetables = page.getByRole('region', { name: 'a vegetable bed' });
  await vegetables.getByRole('button', { name: /^Change/ }).click();
  const clay = vegetables.getByRole('group', { name: 'Clay' });
  await clay.getByLabel('At least').fill('40');
  await vegetables.getByRole('button', { name: 'Keep' }).click();
  await expect(vegetables.getByRole('alert')).toContainText('has to be more than the least');
  await clay.getByLabel('At least').fill('');
  await clay.getByLabel('At most').fill('5');
  await vegetables.getByRole('button', { name: 'Keep' }).click();
  await expect(vegetables).toContainText('version 2, changed');
  await page.goto(`${bench.url}/act?sand=44&clay=18`);
  await ready(page);
  await expect(verdict).toContainText(/^Not as it is for a vegetable bed/);

  // The one that was kept stands as it was, on the bench too.
  await page.goto(bench.url);
  await ready(page);
  await expect(page.getByRole('region', { name: 'What was decided lately' })).toContainText(said);
  await page.getByRole('link', { name: 'Percentages from elsewhere' }).click();
  await expect(verdict).toHaveText(said);
  await expect(page.getByText(/By version 1 of what was asked/)).toBeVisible();

  await page.goto(`${bench.url}/act/beds`);
  await ready(page);
  await vegetables.getByRole('button', { name: 'Put back as it ships' }).click();
  await expect(vegetables).not.toContainText('changed');
  const roots = page.getByRole('region', { name: 'root crops' }).first();
  await roots.getByRole('button', { name: /^Copy/ }).click();
  await roots.getByLabel('Good for what?').fill('a vegetable bed');
  await roots.getByRole('button', { name: 'Keep' }).click();
  await expect(roots.getByRole('alert')).toContainText('Another one has this name');
  await roots.getByLabel('Good for what?').fill('early potatoes');
  await roots.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByRole('region', { name: 'early potatoes' })).toContainText('your own');

  // Needs, prices and rules of thumb alike.
  await page.goto(`${bench.url}/act/figures`);
  await ready(page);
  const figures = page.getByRole('region', { name: 'the usual figures' });
  await figures.getByRole('button', { name: /^Change/ }).click();
  await figures.getByLabel('Need of a bed, mm a week').fill('900');
  await figures.getByLabel('Price of a bag', { exact: true }).fill('6.5');
  await figures.getByRole('button', { name: 'Keep' }).click();
  await expect(figures.getByRole('alert')).toHaveText('Give it from 1 to 150.');
  await expect(figures.getByLabel('Price of a bag', { exact: true })).toHaveValue('6.5');
  await figures.getByLabel('Need of a bed, mm a week').fill('40');
  await figures.getByRole('button', { name: 'Keep' }).click();
  await expect(figures).toContainText('version 2, changed');
  await page.goto(`${bench.url}/act?sand=44&clay=18`);
  await ready(page);
  await expect(page.getByLabel('Need, mm a week')).toHaveAttribute('placeholder', '40');
  await expect(page.getByText(/\d+\.\d\d in all, by the bag/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep this verdict' }).click();
  await page.getByRole('region', { name: 'Kept verdicts' }).waitFor();
  await page.goto(`${bench.url}/act/figures`);
  await ready(page);
  await figures.getByRole('button', { name: /^Put back/ }).click();
  await expect(figures).not.toContainText('changed');
  // The verdict holds the version it was counted with.
  await page.goto(bench.url);
  await ready(page);
  await page.getByRole('link', { name: 'Percentages from elsewhere' }).first().click();
  await expect(page.getByText('Counted with the usual figures, version 2.')).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('an area from compost to season: noted, compared, and called for again; hand and hole beside the jar', async ({
  bench
}) => {
  await bench.fill();
  const { judgements } = await (await fetch(`${bench.url}/api/v1/judgements`)).json();
  const south = judgements.find((j: { sample: string }) => /south bed/.test(j.sample));
  const page = await bench.open(`/act?test=${south.testId}`);
  // All of it prints to one page.
  await expect(page.getByRole('region', { name: 'Drainage holes' })).toBeVisible();
  expect(pagesOf(await page.pdf({ format: 'Letter' }))).toBe(1);
  // The hole rules over the texture, and says so where its figure opens.
  await page.getByRole('button', { name: '4.1 mm an hour' }).click();
  await expect(page.getByText(/By the drainage hole of this area/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Drainage holes' })).toContainText('Not soaked first.');

  await page.getByLabel('is dusty when dry').check();
  await expect(page.getByText(/You say it is dusty when dry; the figures say otherwise/)).toBeVisible();
  await page.getByLabel('water stands on it').check();
  await page.reload();
  await ready(page);
  await expect(page.getByLabel('water stands on it')).toBeChecked();

  await page.getByLabel('Aimed at, sand / silt / clay').fill('40/40/40');
  await expect(page.getByRole('alert')).toContainText('three shares that make 100');
  await page.getByLabel('Aimed at, sand / silt / clay').fill('30/40/30');
  await expect(page.getByText(/\d+ points from 30\/40\/30/)).toBeVisible();
  const material = page.getByRole('button', { name: 'Another material' });
  await material.click();
  await page.getByLabel('Sand, %').fill('80');
  await page.getByLabel('Clay, %').fill('60');
  await expect(page.getByRole('alert')).toContainText(/100/);
  await page.getByLabel('Clay, %').fill('4');
  await page.getByLabel('How much, L loose').fill('500');
  await expect(page.getByTestId('act-material')).toContainText(/% sand/);

  // Two beds side by side, and barrows a year.
  await page.getByLabel('Beside another soil').selectOption({ label: 'N1 · Walled garden, north bed' });
  await expect(page.getByTestId('act-beside')).toContainText(/^N1: \d+ mm every/);
  await page.getByLabel('Area, m²').fill('20');
  await page.getByLabel('Or so many barrows a year').fill('10');
  await expect(page.getByTestId('act-barrows')).toContainText('10 barrows a year bring it from 2.5 to');
  await page.getByRole('button', { name: 'Onto the bench' }).click();
  await page.getByRole('button', { name: 'Note it as done' }).click();
  await page.getByLabel('How much, L').first().fill('-4');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('above 0');
  await page.getByLabel('How much, L').first().fill('800');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('South bed: compost noted.')).toBeVisible();

  await page.getByRole('link', { name: 'Season to season' }).click();
  await expect(page.getByRole('img', { name: /Tests of South bed/ })).toBeVisible();
  await expect(page.getByText(/· compost · 800 L/)).toBeVisible();
  await expect(page.getByRole('region', { name: /^From S1 to S1c/ })).toContainText(
    /points (more|less), with/
  );
  await page.getByRole('button', { name: 'in a year' }).click();
  await expect(page.getByRole('button', { name: 'take off' }).first()).toBeVisible();
  const calendar = await (await fetch(`${bench.url}/api/v1/reminders.ics`)).text();
  // With them what is to be done with the pieces that cure.
  const entries = new ICAL.Component(ICAL.parse(calendar)).getAllSubcomponents('vevent');
  const ofPieces = entries.filter((e) => String(e.getFirstPropertyValue('summary')).startsWith('L1t3: '));
  expect([entries.length - ofPieces.length, ofPieces.length]).toEqual([3, 4]);

  // The watering stands on the bench until it is done, then waits for its next day.
  await page.goto(bench.url);
  await ready(page);
  await bench.pass(30 * 3600);
  const due = page.getByRole('region', { name: 'To be done' });
  await due.getByRole('button', { name: /Done: Water S1/ }).click();
  await expect(due.getByText(/Water S1/)).toHaveCount(0);
  expect(bench.troubles).toEqual([]);
});

test('an open verdict is settled step by step; bottles stand along a bore by their spots', async ({
  bench
}) => {
  await bench.fill();
  const { tests } = await (await fetch(`${bench.url}/api/v1/tests`)).json();
  const idOf = (code: string) => tests.find((t: { code: string }) => t.code === code).id;
  const page = await bench.open(`/act?test=${idOf('H1')}&bed=roots`);
  const settle = page.getByRole('region', { name: 'What would settle it' });
  await expect(settle.getByRole('listitem').first()).toContainText(
    /A ribbon, pressed by hand:\s+now \d\d\s%.*then about \d\d\s%/
  );
  await settle.getByRole('link', { name: /A ribbon/ }).click();
  const ribbon = page.getByLabel('Its ribbon, when it broke');
  await expect(ribbon).toBeInViewport();
  const before = await page.getByTestId('act-verdict').innerText();
  await ribbon.fill('900 mm');
  await ribbon.press('Enter');
  await expect(page.getByRole('alert')).toContainText('from 0 to 200 mm');
  await ribbon.fill('20 mm');
  await ribbon.press('Enter');
  await expect(page.getByText('And by its ribbon of 20 mm.')).toBeVisible();
  await expect(page.getByTestId('act-verdict')).not.toHaveText(before);
  await expect(settle.getByRole('link', { name: /A ribbon/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Keep this verdict' }).click();
  // One was kept of it before: the newest stands first, once it is there.
  const kept = page.getByRole('region', { name: 'Kept verdicts' }).getByRole('link');
  await expect(kept).toHaveCount(2);
  await kept.first().click();
  await expect(page.getByText(/And by its ribbon of 20 mm/)).toBeVisible();

  await page.goto(`${bench.url}/act?test=${idOf('P2')}&ask=bore`);
  await ready(page);
  const strip = page.getByRole('region', { name: 'Along the line' });
  await strip.getByRole('button', { name: 'By their spots, along the area' }).click();
  await expect(strip.getByRole('listitem').filter({ hasText: /^P[2-5] at/ })).toHaveText([
    /^P2 at [\d.]+ m: \d+\s% sand.*sandy\./,
    /^P3 at/,
    /^P4 at/,
    /^P5 at [\d.]+ m: \d+\s% sand.*clay\./
  ]);
  expect(pagesOf(await page.pdf({ format: 'Letter' }))).toBe(1);

  // What was taken to build with is asked for a wall first.
  await page.goto(`${bench.url}/tests/${idOf('L1')}`);
  await ready(page);
  await page.getByRole('link', { name: 'Act on it' }).click();
  await expect(page.getByRole('table', { name: 'Every technique at once' })).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('a soil against every technique of building at once, by what the jar and the eye say', async ({
  bench
}) => {
  const page = await bench.open('/act?sand=62&clay=20');
  // By keys alone.
  await page.getByRole('radio', { name: 'a wall' }).press('Space');
  const verdict = page.getByTestId('act-verdict');
  await expect(verdict).toHaveText(/^Meets the \w+ windows that are known of [\w ]+, with .*%\.$/);
  await expect(page.getByText(/A jar alone never says yes/)).toBeVisible();
  const table = page.getByRole('table', { name: 'Every technique at once' });
  const row = (name: RegExp) => table.getByRole('row', { name });
  await expect(row(/^pressed blocks/)).toContainText('nobody measured it');
  await page.getByLabel('Biggest stone, mm').fill('9');
  await expect(row(/^pressed blocks/)).toContainText('under 1 %');
  await expect(verdict).not.toContainText('pressed blocks');
  await page.getByLabel('Gravel, % of the whole').fill('140');
  await expect(page.getByRole('alert')).toContainText('from 0 to 100 %');
  await page.getByLabel('Gravel, % of the whole').fill('10');
  await expect(
    page.getByRole('img', { name: /^Biggest stone at most 6 mm; the soil lies from 9/ })
  ).toHaveCount(2);
  await page.getByRole('checkbox', { name: 'It is topsoil' }).check();
  await expect(verdict).toHaveText(/^For no wall as it is\. Refused: topsoil/);
  await page.getByRole('checkbox', { name: 'It is topsoil' }).uncheck();
  const before = await row(/^rammed earth/).innerText();
  for (let i = 0; i < 8; i++) await page.getByRole('slider', { name: 'Top of the sand' }).press('PageDown');
  await expect(page.getByText(/What if it had/)).toBeVisible();
  expect(await row(/^rammed earth/).innerText()).not.toBe(before);
  await page.getByRole('button', { name: 'Put it back' }).click();
  // The address holds it all.
  await page.reload();
  await ready(page);
  await expect(page.getByLabel('Biggest stone, mm')).toHaveValue('9');
  expect(pagesOf(await page.pdf({ format: 'Letter' }))).toBe(1);

  // A blend: in buckets, by hand, and what cannot be beside its field.
  const blend = page.getByRole('region', { name: 'A blend' });
  const answer = page.getByTestId('blend-answer');
  await blend.getByLabel('For what?').selectOption({ label: 'rammed earth' });
  await expect(answer).toHaveText(
    /^10 buckets of this soil: meets the windows that are known of rammed earth, with/
  );
  await blend.getByRole('button', { name: 'One bucket less of this soil' }).press('Enter');
  await blend.getByRole('button', { name: 'One bucket more of building sand' }).press('Enter');
  await expect(answer).toHaveText(
    /^9 buckets of this soil, 1 bucket of building sand: meets the windows that are known .*, with/
  );
  await blend.getByRole('button', { name: 'Back to the answer' }).click();
  await expect(answer).toHaveText(/^10 buckets/);
  await blend.getByLabel('A bucket, kg').first().fill('0');
  await expect(page.getByRole('alert')).toContainText('above 0 and up to 100 kg');
  await blend.getByLabel('A bucket, kg').first().fill('15');
  await blend.getByLabel('Water, % of dry').first().fill('90');
  await expect(page.getByRole('alert')).toContainText('more is mud');
  await blend.getByLabel('Water, % of dry').first().fill('12');
  await blend.getByLabel('Buckets there are').first().fill('4');
  await expect(answer).toHaveText(/^No mix of these meets the windows of rammed earth: .* in the way\.$/);
  await expect(
    blend.getByText(/What is missing is a (clay|silty) soil: at least \d+\s% of the mix/)
  ).toBeVisible();
  await blend.getByRole('button', { name: 'Another material' }).click();
  await blend.getByLabel('Sand, %').fill('80');
  await blend.getByLabel('Clay, %').fill('60');
  await blend.getByRole('button', { name: 'Put it to the materials' }).click();
  await expect(page.getByRole('alert')).toContainText('together no more than 100 %');
  await blend.getByLabel('Sand, %').fill('15');
  await blend.getByLabel('Clay, %').fill('50');
  await blend.getByRole('button', { name: 'Put it to the materials' }).click();
  await expect(answer).toHaveText(
    /^4 buckets of this soil, .*soil of 15 % sand, 50 % clay: meets the windows/
  );
  await page.reload();
  await ready(page);
  await expect(answer).toHaveText(
    /^4 buckets of this soil, .*soil of 15 % sand, 50 % clay: meets the windows/
  );

  await page.getByRole('link', { name: 'What is asked' }).click();
  const cob = page.getByRole('region', { name: 'cob and adobe' });
  await cob.getByRole('button', { name: /^Change/ }).click();
  const grit = cob.getByRole('group', { name: 'Sand and gravel' });
  await grit.getByLabel('Best from').fill('30');
  await cob.getByRole('button', { name: 'Keep' }).click();
  await expect(cob.getByRole('alert')).toContainText('has to lie within what is asked');
  await grit.getByLabel('Best from').fill('55');
  await grit.getByLabel('At most').fill('90');
  await cob.getByRole('button', { name: 'Keep' }).click();
  await expect(cob).toContainText('version 2, changed');
  await expect(cob).toContainText('Sand and gravel at least 50 %, at most 90 %, best at least 55 %');
  await cob.getByRole('button', { name: /^Put back/ }).click();
  await expect(cob).toContainText('version 1');
  expect(bench.troubles).toEqual([]);
});
