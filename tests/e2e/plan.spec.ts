import { ulid } from 'ulid';
import { command, expect, ready, test } from './bench';

test('methods stand side by side by what their marks cut, and move with the water', async ({ bench }) => {
  const page = await bench.open('/');
  await page.getByRole('link', { name: 'Plan' }).click();
  await page.getByRole('link', { name: 'Methods', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'What the marks mean' })).toBeVisible();
  await expect(page.getByText('Mark at 2 h: all coarser than 5.1 µm is down')).toHaveCount(2);
  const clay = page.getByRole('region', { name: 'True marks in this jar' }).getByRole('listitem').last();
  await expect(clay).toHaveText(/12 h 7 min/);

  // Colder and deeper: later, and coarser.
  await page.getByLabel('Water temperature', { exact: true }).fill('8');
  await expect(clay).toHaveText(/15 h|16 h/);
  const slide = page.getByRole('slider', { name: 'Water line, by sliding' });
  for (let mm = 128; mm < 150; mm++) await slide.press('ArrowRight');
  await expect(page.getByLabel('Water line at')).toHaveValue('150');
  await expect(clay).toHaveText(/18 h|19 h/);
  await page.getByLabel('Dry soil to').fill('x');
  await expect(page.getByText(/not a length|No number/)).toBeVisible();
  await page.reload();
  await ready(page);
  await expect(page.getByLabel('Dry soil to')).toHaveValue('x');
  await page.getByLabel('Dry soil to').fill('');

  await page.getByRole('link', { name: 'Pipette' }).click();
  await expect(page.getByText(/Draw 20 or 25 mL/)).toBeVisible();
  await page.getByRole('link', { name: 'All methods' }).click();
  await page.getByRole('link', { name: 'Cylinder by volume' }).click();
  await page.getByRole('link', { name: 'Set a jar this way' }).click();
  await expect(page.getByRole('radio', { name: 'Cylinder by volume' })).toBeChecked();
  await expect(page.getByLabel('Which vessel?').last()).toHaveValue('cylinder-100');
  await expect(page.getByText(/Dry soil to the 20\smL line/)).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('three jars are planned so that no hands are wanted twice at once, and the bench leads through it', async ({
  bench
}) => {
  const page = await bench.open('/');
  // Quiet hours off, so that the hour of the run does not matter.
  await command(bench, 'profile.set', { quietFrom: 0, quietTo: 0 });
  for (const name of ['Walled garden', 'Till bank', 'Pond silt']) {
    const sampleId = ulid();
    await command(bench, 'sample.add', { sampleId, name, purpose: 'garden' });
    const fill = { soilMm: 43, waterMm: 128, dispersantMl: 4, tempC: 18 };
    await command(bench, 'jar.prepare', {
      testId: ulid(),
      sampleId,
      vesselId: 'jar-litre',
      methodKey: 'jar-timed',
      ...fill
    });
  }
  // What they ask for, summed up; ticks outlive a reload.
  await page.goto(`${bench.url}/plan/gather`);
  await ready(page);
  await expect(page.getByText('3 × One-litre jar')).toBeVisible();
  await page.getByRole('checkbox', { name: /of water; rain/ }).check();
  await page.reload();
  await ready(page);
  await expect(page.getByRole('checkbox', { name: /of water; rain/ })).toBeChecked();
  await page.goto(bench.url);
  await ready(page);

  await page.getByRole('link', { name: 'Plan when to set down 3 jars' }).click();
  await expect(page.getByText(/No other plan could end a minute sooner|at the very most/)).toBeVisible();
  const flag = (code: string) => page.getByRole('slider', { name: `Set-down of ${code}` });
  const minuteOf = async (code: string) => Number(await flag(code).getAttribute('aria-valuenow'));
  const minutes = await Promise.all(['W1', 'T1', 'P1'].map(minuteOf));
  const apart = [...minutes].sort((a, b) => a - b).map((m, i, all) => (i === 0 ? 99 : m - all[i - 1]));
  expect(Math.min(...apart)).toBeGreaterThanOrEqual(10);

  // One is moved by keys and by hand; the others make room, and Delete frees it.
  const before = await minuteOf('T1');
  await flag('T1').press('PageUp');
  await expect.poll(() => minuteOf('T1')).toBe(before + 60);
  await flag('T1').press('Delete');
  await expect.poll(() => minuteOf('T1')).toBe(before);
  const box = (await flag('P1').boundingBox())!;
  await page.mouse.move(box.x + 10, box.y + 10);
  await page.mouse.down();
  await page.mouse.move(box.x + 130, box.y + 10, { steps: 5 });
  await page.mouse.up();
  await expect.poll(() => minuteOf('P1')).toBeGreaterThan(Math.max(...minutes));
  await page.getByRole('button', { name: 'Free all flags' }).click();
  await page.getByLabel('At home from').fill('noon');
  await expect(page.getByText(/Type a time such as/)).toBeVisible();
  await page.getByLabel('At home from').fill('');

  // One stays out; the rest is kept, and the bench says what comes.
  await page.getByRole('checkbox', { name: /P1/ }).uncheck();
  await expect(flag('P1')).toBeHidden();
  await page.getByRole('button', { name: 'Keep this plan' }).click();
  await expect(page.getByText('2 jars are planned.')).toBeVisible();
  await expect(page.getByRole('link', { name: /[WT]1 · shake (in|now)/ })).toBeVisible();
  const file = await (await fetch(`${bench.url}/api/v1/plan.ics`)).text();
  expect(file.match(/BEGIN:VEVENT/g)!.length).toBeGreaterThanOrEqual(11);
  // It gives the times of the plan: no two tasks want hands at once.
  const times = (key: string) =>
    [...file.matchAll(new RegExp(`${key}:(\\d{4})(\\d\\d)(\\d\\dT\\d\\d)(\\d\\d)(\\d\\dZ)`, 'g'))].map((m) =>
      Date.parse(`${m[1]}-${m[2]}-${m[3]}:${m[4]}:${m[5]}`)
    );
  // A calendar shows a minute at least; tape is on in a third of it.
  const spans = times('DTSTART').map((from, i) => {
    const to = times('DTEND')[i];
    return { from, to: to - from > 60_000 ? to : from + 10_000 };
  });
  spans.sort((a, b) => a.from - b.from);
  for (const [i, { from }] of spans.entries())
    if (i > 0) expect(from).toBeGreaterThanOrEqual(spans[i - 1].to);
  const wrong = await fetch(`${bench.url}/api/v1/plan.ics?homeFrom=soon`);
  expect(wrong.status).toBe(400);

  await bench.pass(70);
  const due = page.getByRole('link', { name: /[WT]1 · shake(, .* late| now)/ });
  await expect(due).toBeVisible();
  const code = (await due.textContent())!.slice(0, 2);
  await page.getByRole('button', { name: `Prepare ${code}` }).click();
  await page.getByRole('button', { name: 'Start shaking' }).click();
  await expect(page.getByRole('link', { name: new RegExp(`${code} · set down in`) })).toBeVisible();
  await bench.pass(601);
  await page.getByRole('button', { name: 'Set down' }).click();
  await expect(page.getByText(`${code} stands. The clock runs.`)).toBeVisible();

  // Late against it? What remains is planned again around what stands.
  await page.goto(`${bench.url}/plan/timetable`);
  await ready(page);
  await expect(page.getByRole('group', { name: 'The plan, a lane a jar' })).toContainText(code);
  await page.getByRole('button', { name: 'Drop the plan' }).click();
  await expect(page.getByText('The plan is dropped.')).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('labels by the thousand are drawn beside the server: how far they are is told, and they can be stopped', async ({
  bench
}) => {
  for (let i = 0; i < 60; i++)
    await command(bench, 'sample.add', { sampleId: ulid(), name: 'Till bank', purpose: 'garden' });
  const page = await bench.open('/plan/labels');
  await page.getByLabel('Of each').fill('20');
  const make = page.getByRole('button', { name: '1200 labels on 50 pages, PDF' });
  await make.click();
  await expect(page.getByRole('progressbar', { name: 'Drawing 50 pages.' })).toBeVisible();
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(make).toBeVisible();
  await make.click();
  await expect
    .poll(() => page.getByRole('progressbar').evaluate((bar) => (bar as HTMLProgressElement).value))
    .toBeGreaterThan(0);
  const open = page.getByRole('link', { name: 'Open 1200 labels on 50 pages' });
  // Drawn beside whatever else the machine does.
  await expect(open).toHaveAttribute('href', /^blob:/);
  // Of another choice other sheets are made.
  await page.getByLabel('Of each').fill('19');
  await expect(open).toBeHidden();
  expect(bench.troubles.filter((line) => !/status of 404/.test(line))).toEqual([]);
});

test('labels of chosen samples come as a PDF that opens each sample', async ({ bench }) => {
  const page = await bench.open('/');
  for (const name of ['Walled garden', 'Till bank']) {
    await command(bench, 'sample.add', { sampleId: ulid(), name, purpose: 'garden' });
  }
  await page.goto(`${bench.url}/plan/labels`);
  await ready(page);
  await expect(page.getByRole('link', { name: '2 labels on one page, PDF' })).toBeVisible();
  await page.getByRole('checkbox', { name: /T1/ }).uncheck();
  await page.getByLabel('Of each').fill('4');
  await page.getByLabel('Sheet of labels').selectOption('letter-10');
  await page.getByLabel('Start at label').fill('9');
  const make = page.getByRole('link', { name: '4 labels on 2 pages, PDF' });
  const answer = await fetch(new URL((await make.getAttribute('href'))!, bench.url));
  expect(answer.headers.get('content-type')).toBe('application/pdf');
  expect(
    Buffer.from(await answer.arrayBuffer())
      .subarray(0, 5)
      .toString()
  ).toBe('%PDF-');
  await page.getByRole('checkbox', { name: /W1/ }).uncheck();
  await expect(page.getByText('Choose at least one sample.')).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('a sheet that was filled in by hand is typed in afterwards, with its own times', async ({ bench }) => {
  const page = await bench.open('/');
  const sampleId = ulid();
  const testId = ulid();
  await command(bench, 'sample.add', { sampleId, name: 'Till bank', purpose: 'build' });
  const fill = { soilMm: 43, waterMm: 128, dispersantMl: 4, tempC: 18 };
  await command(bench, 'jar.prepare', {
    testId,
    sampleId,
    vesselId: 'jar-litre',
    methodKey: 'jar-timed',
    ...fill
  });
  await bench.pass(3 * 86_400);
  await page.goto(`${bench.url}/set/${testId}`);
  await ready(page);
  await page.getByRole('link', { name: 'On paper instead' }).click();
  const keep = () => page.getByRole('button', { name: 'Keep what was written' }).click();
  await keep();
  await expect(page.getByText(/Give the moment the jar was set down/)).toBeVisible();

  // Two days ago, by the clock on the wall there.
  const at = new Date(Math.round((bench.now() - 2 * 86_400_000) / 1000) * 1000);
  const wall = new Intl.DateTimeFormat('sv-SE', {
    timeZone: 'Europe/Oslo',
    dateStyle: 'short',
    timeStyle: 'medium'
  });
  const [day, time] = wall.format(at).split(' ');
  await page.getByLabel('Set down at, to the second').fill(day);
  await page.getByLabel('Time of day').fill(time);
  const after = (layer: string) => page.getByLabel(`When the ${layer} was marked, after set-down`);
  await after('sand').fill('90');
  await expect(page.getByText(/Say whether that is s, min or h/)).toBeVisible();
  await after('sand').fill('1:12');
  await page.getByLabel('Height of the sand mark').fill('7/8 in');
  await after('silt').fill('40 s');
  await expect(page.getByText(/earlier than the mark before it/)).toBeVisible();
  await page.reload();
  await ready(page);
  await expect(after('silt')).toHaveValue('40 s');
  await after('silt').fill('80 h');
  await expect(page.getByText(/lies in the future/)).toBeVisible();
  await after('silt').fill('2:03 h');
  await keep();
  await expect(page.getByText('T1: typed in from paper.')).toBeVisible();
  const { test: one } = await (await fetch(`${bench.url}/api/v1/tests/${testId}`)).json();
  expect(one.runs[0].setDownAt).toBe(at.toISOString());
  expect(one.runs[0].marks.map((m: { seconds: number }) => m.seconds)).toEqual([72, 7380]);
  expect(one.runs[0].marks[0].heightText).toBe('7/8 in');
  expect(bench.troubles).toEqual([]);
});
