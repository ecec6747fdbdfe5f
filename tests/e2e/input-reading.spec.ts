import { answerOn, expect, jarByCommand, markInTurn, ready, standJar, test } from './bench';

test('a reading: order, unreadable heights, fuzzy lines, sixteenths, and a sum that is asked about', async ({
  bench
}) => {
  const page = await bench.open('/');
  await standJar(page, 'Walled garden');
  await page.goto(`${bench.url}/read`);
  await ready(page);
  await page.getByRole('main').getByRole('link', { name: /W1/ }).click();
  await expect(page.getByText(/Read early: the method reads it/)).toBeVisible();
  const line = (layer: string) => page.getByLabel(new RegExp(`^${layer}: Top of`));
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  await expect(page.getByText(/Place at least two layer tops/)).toBeVisible();

  await line('Sand').fill('30');
  await line('Silt').fill('20');
  await expect(page.getByText(/top of the silt lies below the top of the sand/)).toBeVisible();
  await line('Silt').fill('1//2');
  await expect(page.getByText(/fraction cannot be read/)).toBeVisible();
  await page.reload();
  await ready(page);
  await expect(line('Silt')).toHaveValue('1//2');
  await line('Silt').fill('45');
  await line('Clay').fill('55');
  // The heights of these very lines, not of those half typed; no class by them.
  await expect(page.getByRole('img', { name: /55 % sand, 27 % silt, 18 % clay/ })).toBeVisible();
  const heights = page.getByTestId('as-read');
  await expect(heights).toContainText('Heights as read: 55 · 27 · 18 %');
  await expect(page.getByTestId('headline')).toHaveCount(0);

  // Over the rim, and a jar with nothing in it.
  await line('Clay').fill('170');
  await expect(page.getByText('This vessel is only 156 mm high inside. Measure again.')).toBeVisible();
  for (const layer of ['Sand', 'Silt', 'Clay']) await line(layer).fill('0');
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  await expect(
    page.getByRole('alert').getByText('Give at least one layer of sand, silt or clay.')
  ).toBeVisible();
  await line('Clay').fill('55');
  await line('Silt').fill('45');
  await line('Sand').fill('30');
  await expect(heights).toContainText('55 · 27 · 18');

  // A ruler on the table starts below the glass: the base is taken off, the layers stay.
  await page.getByText('on the table', { exact: true }).click();
  await expect(line('Sand')).toHaveValue('35');
  await expect(page.getByRole('slider', { name: 'Tape at the top of the clay' })).toHaveAttribute(
    'aria-valuetext',
    '60.0 mm'
  );
  await expect(heights).toContainText('55 · 27 · 18');
  await line('Sand').fill('4');
  await expect(page.getByText(/lies in the glass: the base alone reaches to 5/)).toBeVisible();
  await line('Sand').fill('35');
  await page.getByText('Heights as read', { exact: true }).click();
  await expect(page.getByText(/5.0 mm of glass were taken off every height first/)).toBeVisible();
  await page.getByText('at the inside bottom', { exact: true }).click();
  await expect(line('Sand')).toHaveValue('30');

  await page.getByText('not looked at', { exact: true }).click();
  await expect(page.getByTestId('headline')).toHaveText(/soil: |^Not known/);
  await line('Clay').fill('55');
  await page.getByRole('button', { name: 'Sand: fuzzy line' }).click();
  await page.getByLabel('How unsure is the sand line, plus or minus').fill('5');

  // Gravel is apart; the same jar in sixteenths.
  await page.getByRole('button', { name: '+ gravel' }).click();
  await line('Gravel').fill('2');
  await expect(page.getByText(/Gravel, apart: 4.% of the mineral layers/)).toBeVisible();
  await page.getByText('sixteenths', { exact: true }).click();
  await expect(line('Clay')).toHaveValue('2.165');
  await line('Clay').fill('2 3/16');
  await page.getByText('mm', { exact: true }).first().click();
  await expect(line('Clay')).toHaveValue('55.6');

  // The whole, measured apart.
  const total = page.getByLabel('Whole deposit, measured apart');
  await total.fill('56');
  await expect(page.getByText(/agrees within 0.4 mm/)).toBeVisible();
  await total.fill('70');
  await expect(
    page.getByText(
      /layers come to 14.4 mm less than the whole; reading error explains 1.4 mm. Which one is wrong\?/
    )
  ).toBeVisible();
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  await expect(page.getByText(/Say why the layers and the total differ/)).toBeVisible();
  await page.getByRole('button', { name: 'Neither: keep both and say why' }).click();
  await page.getByLabel('Why they differ').fill('the jar leans');
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  await page.getByRole('button', { name: 'Finish the test' }).click();
  await expect(page.getByText('Why they differ: the jar leans')).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('the answer moves with what becomes known: marks alone, the water, the bands, the weight; and is kept as it was shown', async ({
  bench
}) => {
  const page = await bench.open('/');
  const { testId, runId } = await jarByCommand(bench, 'Till bank', { stands: true });
  const marks = [
    ['sand', 60, 22],
    ['silt', 7200, 30],
    ['clay', 26 * 3600, 35]
  ] as const;
  await markInTurn(bench, { testId, runId }, marks, async (layer) => {
    // On the shelf too, where it waits.
    if (layer === 'silt') await expect(page.getByTestId('so-far-short')).toContainText('So far:');
  });
  // While it stands its marks say something already.
  await page.goto(`${bench.url}/tests/${testId}`);
  await ready(page);
  const soFar = page.getByRole('region', { name: 'What it says so far' });
  await expect(soFar.getByTestId('so-far')).toBeVisible();
  await expect(soFar.getByText(/Measure the bands you see/)).toBeVisible();

  await page.goto(`${bench.url}/read/${testId}`);
  await ready(page);
  // The water is asked about before anything is answered.
  await expect(page.getByText(/How does the water over it look\?/)).toBeVisible();
  await expect(page.getByTestId('headline')).toHaveCount(0);
  const { answer, settled, errors } = answerOn(page);
  const clay = async () => {
    await expect(settled).toBeVisible();
    return Number(/(\d+)\s% clay/.exec((await settled.textContent())!)![1]);
  };
  await page.getByText('not looked at', { exact: true }).click();
  const marksAlone = await errors();
  await expect(answer.getByText('What would say more')).toBeVisible();
  await page.getByText('clear', { exact: true }).click();
  await expect(answer.getByTestId('headline')).toHaveAttribute('aria-busy', 'true');
  const clear = await clay();
  await page.getByText('cloudy', { exact: true }).click();
  await expect(answer.getByTestId('headline')).toHaveAttribute('aria-busy', 'true');
  // Water that is still cloudy holds clay.
  expect(await clay()).toBeGreaterThan(clear);

  // Lines placed by eye are bands beside the marks, and say more.
  await page.getByRole('textbox', { name: /^Sand ?:/ }).fill('21');
  await page.getByRole('textbox', { name: /^Silt ?:/ }).fill('29');
  await expect(answer.getByTestId('headline')).toHaveAttribute('aria-busy', 'true');
  await expect.poll(errors).toBeLessThan(marksAlone);
  const sharp = await errors();

  // So does the weight of the dry soil; what is no weight of it is said beside its field.
  await page.goto(`${bench.url}/tests/${testId}`);
  await ready(page);
  await page.getByLabel('The dry soil in this jar').fill('31');
  await page.getByRole('button', { name: 'Keep weight' }).click();
  await expect(page.getByText(/mL of dry soil weigh about/)).toBeVisible();
  await page.getByLabel('The dry soil in this jar').fill('300');
  await page.getByRole('button', { name: 'Keep weight' }).click();
  await expect(page.getByText('300 g, on a scale that reads to 1 g')).toBeVisible();
  await page.goto(`${bench.url}/read/${testId}`);
  await ready(page);
  await expect.poll(errors).toBeLessThan(sharp);
  const weighed = await errors();
  // A fuzzy line makes it less sure.
  await page.getByRole('button', { name: 'Silt: fuzzy line' }).click();
  await page.getByLabel('How unsure is the silt line, plus or minus').fill('9');
  await expect(answer.getByTestId('headline')).toHaveAttribute('aria-busy', 'true');
  await expect.poll(errors).toBeGreaterThan(weighed);
  await answer.getByText('Why', { exact: true }).click();
  await expect(answer.getByRole('row', { name: /^the bands/ })).toBeVisible();
  await expect(answer.getByRole('row', { name: /^the water, cloudy/ })).toBeVisible();
  await expect(answer.getByRole('row', { name: /^the weight of the dry soil/ })).toBeVisible();
  const said = (await settled.textContent())!.trim();
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  await page.getByRole('button', { name: 'Finish the test' }).click();
  await expect(page.getByRole('heading', { name: 'T1', exact: true })).toBeVisible();
  await expect(page.getByTestId('headline')).toHaveText(said);
  expect(bench.troubles).toEqual([]);
});

test('trouble is named with why, what to do and what it does, while reading and afterwards', async ({
  bench
}) => {
  const page = await bench.open('/');
  const { testId } = await jarByCommand(bench, 'Till bank', { stands: true, dispersantMl: 0 });
  await bench.pass(7 * 3600);
  await page.goto(`${bench.url}/read/${testId}`);
  await ready(page);
  const trouble = page.getByRole('region', { name: 'What may have gone wrong' });
  await expect(trouble).toBeHidden();
  for (const [layer, mm] of [
    ['Sand', '18'],
    ['Silt', '30'],
    ['Clay', '36']
  ] as const) {
    await page.getByRole('textbox', { name: new RegExp(`^${layer} ?:`) }).fill(mm);
  }
  await expect(trouble.getByRole('heading', { level: 3 })).toHaveText(['No dispersant']);
  await page.getByText('clear', { exact: true }).click();
  await expect(trouble.getByRole('heading', { level: 3 })).toHaveText(['Clear too soon', 'No dispersant']);
  await expect(trouble).toContainText(/clear after 7 h, when \d+.% of the clay should still be up/);
  await expect(trouble).toContainText('Now: shake again with distilled or rain water and dispersant.');
  await expect(trouble).toContainText('Clay is understated');
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  await expect(page.getByRole('button', { name: 'Finish the test' })).toBeVisible();
  await page.goto(`${bench.url}/tests/${testId}`);
  await ready(page);
  await expect(trouble.getByRole('heading', { level: 3 })).toHaveText(['Clear too soon', 'No dispersant']);
  await page.getByRole('button', { name: 'knocked, stands on' }).click();
  await expect(trouble.getByRole('heading', { level: 3 }).first()).toHaveText('Knocked or moved');
  expect(bench.troubles).toEqual([]);
});
