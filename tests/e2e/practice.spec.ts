import { readFile } from 'node:fs/promises';
import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { DRILL_KEYS, makeTask, sheetTasks, trueTops, type SheetTask, type Task } from '../../src/lib/core';
import { expect, ready, test, type Bench } from './bench';

/** The jar, set down by its address, with the clock of the page in the test's hand. */
async function jarAt(bench: Bench, query: string, options: Parameters<Bench['open']>[1] = {}): Promise<Page> {
  const page = await bench.open(`/practice/jar?${query}`, options);
  await expect(page.getByRole('button', { name: 'Set it down' })).toBeVisible();
  return page;
}

/** Winds the jar with the keys of its slider, in steps of a 400th of the whole. */
async function wind(page: Page, to: 'Home' | 'End' | number): Promise<void> {
  const slider = page.getByRole('slider', { name: 'Wind to a time' });
  await slider.focus();
  if (typeof to === 'string') return page.keyboard.press(to);
  for (let i = 0; i < to; i++) await page.keyboard.press('PageUp');
}

test('a jar settles on the page: it is played, wound, taped, and tells what was cut', async ({ bench }) => {
  const page = await jarAt(bench, 'sand=40&clay=20');
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  await page.getByRole('button', { name: 'Set it down' }).click();
  const clock = page.getByText(/after set-down/);
  await expect(page.getByRole('img', { name: /^A jar,/ })).toBeVisible();
  // It plays by itself, and faster when asked.
  await expect(clock).toBeVisible();
  await page.getByText('1,000×', { exact: true }).click();
  await expect(page.getByText(/min .*after set-down/)).toBeVisible();
  await page.getByRole('button', { name: 'Hold' }).click();
  await wind(page, 'Home');
  await expect(page.getByText('Just set down')).toBeVisible();
  for (const steps of [12, 16, 6]) {
    await wind(page, steps);
    await page.getByRole('button', { name: 'Lay tape' }).click();
  }
  const tapes = page.getByRole('region', { name: 'Tapes' });
  await expect(tapes.getByRole('button', { name: /Take tape \d off/ })).toHaveCount(3);
  const truth = tapes.getByRole('row', { name: /^What is in it/ });
  await expect(truth).toContainText(/40\s%/);
  await expect(tapes.getByRole('row', { name: /^By height/ })).toContainText('points off');
  await expect(tapes.getByRole('row', { name: /as it is estimated/ })).toContainText(/\d+\s%/);
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  await tapes.getByRole('button', { name: 'Take tape 2 off' }).click();
  await expect(truth).toBeHidden();
  // The address brings the same jar back.
  await page.reload();
  await ready(page);
  await expect(page.getByRole('img', { name: /^A jar,/ })).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('a hidden soil is told when it is asked for, and a jar in a hurry holds at ten minutes', async ({
  bench
}) => {
  const page = await jarAt(bench, 'hidden=77&wrong=early+stones', { reducedMotion: 'reduce' });
  await page.getByRole('button', { name: 'Set it down' }).click();
  await page.getByText('10,000×', { exact: true }).click();
  await expect(page.getByText('10 min after set-down')).toBeVisible();
  await expect(page.getByText(/silt and clay that have yet to come down/)).toBeVisible();
  await expect(page.getByText(/A fifth of it is stones/)).toBeVisible();
  await page.getByRole('button', { name: 'Lay tape' }).click();
  const tapes = page.getByRole('region', { name: 'Tapes' });
  await expect(tapes.getByText('hidden').first()).toBeVisible();
  await tapes.getByRole('button', { name: 'Show what is in it' }).click();
  await expect(tapes.getByText('hidden')).toHaveCount(0);
  expect(bench.troubles).toEqual([]);
});

/** What a page was asked: the task of its drill is found by the seed that it sends. */
async function sentTask(page: Page): Promise<{ task: Promise<Task> }> {
  const sent = page.waitForRequest(
    (r) => r.method() === 'POST' && r.url().endsWith('/api/v1/practice/tries')
  );
  return {
    task: sent.then((r) => {
      const { key, seed, level } = r.postDataJSON() as { key: 'total'; seed: number; level: number };
      return makeTask(key, seed, level);
    })
  };
}

test('a drill is failed and passed by keys alone; it names the slip, gets harder, and is remembered by learner', async ({
  bench
}) => {
  const page = await bench.open('/practice/drills');
  // A task of clay that is no half of all: what the other two make is then no other slip as well.
  const seed = Array.from({ length: 99 }, (_, i) => i + 1).find((one) => {
    const { asked, truePct } = makeTask('total', one, 1);
    return asked === 'clay' && truePct < 40;
  })!;
  await page.evaluate((share) => (Math.random = () => share), (seed - 0.5) / 1e9);
  await page.getByLabel('Who practises').focus();
  await page.keyboard.type('12');
  await page.keyboard.press('Tab');
  await page.getByLabel('Which drills').selectOption('total');
  await page.getByRole('button', { name: 'Begin' }).focus();
  await page.keyboard.press('Enter');
  const share = page.getByLabel('Share, percent');
  const read = async () => {
    const rows = await page.getByRole('row').allTextContents();
    const mm = Object.fromEntries(
      rows.flatMap((row) => {
        const found = /(sand|silt|clay|water line)\s*(\d+)/.exec(row);
        return found ? [[found[1], Number(found[2])]] : [];
      })
    ) as Record<string, number>;
    const asked = /share is the (\w+),/.exec((await page.getByText(/share is the/).textContent())!)![1];
    return { asked: mm[asked], sum: mm.sand + mm.silt + mm.clay };
  };
  // Nothing typed, nothing scored.
  await page.getByRole('button', { name: 'Check' }).press('Enter');
  await expect(page.getByText('Answer first.')).toBeVisible();
  const failed = await sentTask(page);
  const first = await read();
  await share.fill(String(100 - (100 * first.asked) / first.sum));
  await share.press('Enter');
  await expect(page.getByText(/^Missed/)).toBeVisible();
  await expect(page.getByText('That is what the other two make together.')).toBeVisible();
  await expect(page.getByText(/The mineral layers together/)).toBeVisible();
  expect((await failed.task).key).toBe('total');
  for (let i = 0; i < 2; i++) {
    await page.getByRole('button', { name: 'Next task' }).focus();
    await page.keyboard.press('Enter');
    const { asked, sum } = await read();
    await share.fill(((100 * asked) / sum).toFixed(1));
    await share.press('Enter');
    await expect(page.getByText(/^Right/)).toBeVisible();
  }
  await page.getByRole('button', { name: 'Next task' }).press('Enter');
  await expect(page.getByText('The right total, level 2 of 5')).toBeVisible();
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  // Another device asks for the same learner.
  const other = await bench.open('/practice/drills');
  await other.getByLabel('Who practises').fill('12');
  await other.getByLabel('Who practises').press('Tab');
  await expect(other.getByText(/level 2 of 5, tried 3 times/)).toBeAttached();
  await other.getByRole('button', { name: 'Forget this history' }).click();
  await expect(other.getByText('Nothing has been tried yet.')).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('every drill fits a phone, hard ones too', async ({ bench }) => {
  const page = await bench.open('/practice/drills', {
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true
  });
  // Whoever has done each six times in a row is at the fourth level.
  const tries = DRILL_KEYS.flatMap((key) =>
    [1, 1, 2, 2, 3, 3].map((level) => ({ key, level, points: 100, at: 1 }))
  );
  await page.evaluate((kept) => localStorage.setItem('tivrel:tries', kept), JSON.stringify(tries));
  await page.reload();
  await ready(page);
  await page.getByRole('button', { name: 'Begin' }).click();
  for (const key of DRILL_KEYS) {
    await page.getByLabel('Which drills').selectOption(key);
    await expect(page.getByRole('heading', { name: /, level 4 of 5/ })).toBeVisible();
    if (key === 'when') await page.getByRole('button', { name: 'Start the clock' }).click();
    const wide = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(wide, key).toBeLessThanOrEqual(390);
    expect((await new AxeBuilder({ page }).setLegacyMode().analyze()).violations, key).toEqual([]);
  }
  expect(bench.troubles).toEqual([]);
});

test('marking in time: the clock of the jar runs, and a press is scored in seconds', async ({ bench }) => {
  const page = await bench.open('/practice/drills');
  await page.getByLabel('Which drills').selectOption('when');
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByRole('button', { name: 'Start the clock' }).click();
  // The clock of the page takes twelve seconds until it is due.
  await page.clock.fastForward(12_000);
  await page.getByRole('button', { name: 'Mark', exact: true }).click();
  await expect(page.getByText(/^(Right|Nearly|Missed) · \d+ of 100 points/)).toBeVisible();
  await page.getByRole('button', { name: 'Next task' }).click();
  await page.getByRole('button', { name: 'Start the clock' }).click();
  await page.getByRole('button', { name: 'Mark', exact: true }).click();
  await expect(page.getByText(/^Missed · 0 of 100 points, .* early/)).toBeVisible();
  await expect(page.getByText(/Pressed too soon/)).toBeVisible();
});

/** Does a task of a sheet as it is done rightly. */
async function solve(page: Page, task: SheetTask): Promise<void> {
  await page.getByRole('button', { name: new RegExp(`^Task ${task.no}:`) }).click();
  if (task.kind === 'drill' && task.task.key === 'order') {
    for (const [i, layer] of task.task.layers.entries())
      await page
        .getByLabel(i === 0 ? '1, the lowest' : String(i + 1), { exact: true })
        .selectOption(layer.kind);
    await page.getByRole('button', { name: 'Check' }).click();
    await expect(page.getByText(/^Right/)).toBeVisible();
  }
  if (task.kind === 'jar' && task.picture) {
    const tops = trueTops(task.picture);
    for (const [layer, mm] of [
      ['sand', tops.sandMm],
      ['silt', tops.siltMm],
      ['clay', tops.clayMm]
    ] as const)
      await page.getByLabel(`Top of the ${layer}, mm`).fill(String(mm));
    await page.getByRole('button', { name: 'Keep', exact: true }).click();
    await expect(page.getByText('100 of 100 points')).toBeVisible();
  }
}

test('a lesson from making to export: made, joined, filled, corrected, marked, taken away, deleted', async ({
  bench
}) => {
  const teacher = await bench.open('/practice/lessons');
  await teacher.getByRole('button', { name: 'Make the lesson' }).click();
  await expect(teacher.getByText('Add something to the sheet first.')).toBeVisible();
  await teacher.getByLabel('Name of the lesson').fill('First jars');
  await teacher.getByLabel('How many').selectOption('1');
  await teacher.getByRole('button', { name: 'Add this line' }).click();
  await teacher.getByText('A worked calculation', { exact: true }).click();
  await teacher.getByRole('button', { name: 'Add this line' }).click();
  await teacher.getByText('One jar that everybody reads', { exact: true }).click();
  await teacher.getByRole('button', { name: 'Add this line' }).click();
  await teacher.getByText('A real test to run', { exact: true }).click();
  await teacher.getByRole('button', { name: 'Add this line' }).click();
  await expect(teacher.getByText('Write something first.')).toBeVisible();
  await teacher.getByLabel('Which test, and how').fill('Set a jar of the north bed');
  await teacher.getByRole('button', { name: 'Add this line' }).click();
  await teacher.getByRole('button', { name: 'Make the lesson' }).click();
  await expect(teacher.getByText('Nobody has joined yet.')).toBeVisible();
  const code = (await teacher.getByText(/^[A-Z2-9]{6}$/).textContent())!;

  // Seen as a learner does, with nothing kept; and mended before it is handed out.
  await teacher.getByRole('link', { name: 'See it as a learner does' }).click();
  await teacher.getByRole('button', { name: /^Task 2:/ }).click();
  await teacher.getByLabel('Work out the three shares by height, a line a step.').fill('1 + 1 = 3');
  await teacher.getByRole('button', { name: 'Check it' }).click();
  await expect(teacher.getByText('0 of 100 points')).toBeVisible();
  await expect(teacher.getByText(/20 for the share of sand, which is not worked out/)).toBeVisible();
  expect((await new AxeBuilder({ page: teacher }).analyze()).violations).toEqual([]);
  await teacher.getByRole('link', { name: 'First jars' }).click();
  await expect(teacher.getByText('Nobody has joined yet.')).toBeVisible();
  await teacher.getByRole('button', { name: 'Mend the sheet' }).click();
  await teacher.getByText('A worked calculation', { exact: true }).click();
  await teacher.getByRole('button', { name: 'Add this line' }).click();
  await teacher.getByRole('button', { name: 'Take off: A worked calculation' }).last().click();
  await teacher.getByLabel('Name of the lesson').fill('Our first jars');
  await teacher.getByRole('button', { name: 'Keep the sheet so' }).click();
  await expect(teacher.getByRole('heading', { name: 'Our first jars' })).toBeVisible();

  const learner = await bench.open('/lesson', { viewport: { width: 390, height: 844 } });
  await learner.getByLabel('Code of the lesson').fill('NOSUCH');
  await learner.getByRole('button', { name: 'Next' }).click();
  await expect(learner.getByText('There is no lesson with this code')).toBeVisible();
  await learner.getByLabel('Code of the lesson').fill(code.toLowerCase());
  await learner.getByRole('button', { name: 'Next' }).click();
  await learner.getByLabel('Name or number').fill('11');
  await learner.getByLabel('Group, if you work in one').fill('Slip');
  await learner.getByRole('button', { name: 'Join' }).click();
  await expect(learner.getByText('11, group Slip · 0 of 4 done')).toBeVisible();
  expect((await new AxeBuilder({ page: learner }).analyze()).violations).toEqual([]);

  // The sheet is that of the seed, which the teacher's page knows.
  const lessonId = teacher.url().split('/').pop()!;
  const { createClient } = await import('@libsql/client');
  const db = createClient({ url: bench.database });
  const { rows } = await db.execute({ sql: 'select items, seed from lesson where id = ?', args: [lessonId] });
  db.close();
  const tasks = sheetTasks(JSON.parse(String(rows[0].items)), Number(rows[0].seed));
  await solve(learner, tasks[0]);
  await learner.getByRole('button', { name: /^Task 2:/ }).click();
  const sums = tasks[1];
  if (sums.kind !== 'calculation') throw new Error('the second is the calculation');
  const { sandMm, siltMm, clayMm } = sums.task;
  const total = sandMm + siltMm + clayMm;
  await learner
    .getByLabel('Work out the three shares by height, a line a step.')
    .fill(
      `${sandMm} + ${siltMm} + ${clayMm} = ${total + 1}\nsand ${sandMm} / ${total + 1} = ${((100 * sandMm) / (total + 1)).toFixed(1)} %`
    );
  await learner.getByRole('button', { name: 'Check it' }).click();
  await expect(learner.getByText(`The sides are not equal. It should be ${total}.`)).toBeVisible();
  await expect(learner.getByText('right, but it goes on with what slipped above')).toBeVisible();
  // What was typed stands there to be mended.
  await learner.getByRole('button', { name: 'Answer again' }).click();
  const work = learner.getByLabel('Work out the three shares by height, a line a step.');
  await expect(work).toHaveValue(/= /);
  const share = (name: string, mm: number) =>
    `${name} ${mm} / ${total} x 100 = ${((100 * mm) / total).toFixed(1)} %`;
  await work.fill(
    [
      `${sandMm} + ${siltMm} + ${clayMm} = ${total}`,
      share('sand', sandMm),
      share('silt', siltMm),
      share('clay', clayMm)
    ].join('\n')
  );
  await learner.getByRole('button', { name: 'Check it' }).click();
  await expect(learner.getByText('100 of 100 points')).toBeVisible();
  await solve(learner, tasks[2]);
  await learner.getByRole('button', { name: /^Task 4:/ }).click();
  await learner.getByLabel('What came of it').fill('N9: loam by height');
  await learner.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(learner.getByText('Your teacher marks this.')).toBeVisible();
  await learner.getByRole('button', { name: 'Hand in', exact: true }).click();
  await expect(learner.getByText('Handed in. Your teacher sees it now.')).toBeVisible();
  await expect(learner.getByRole('button', { name: 'Answer again' })).toBeHidden();

  // The teacher's window hears of it, marks with a press, takes the table away.
  await expect(teacher.getByRole('row', { name: /11 Slip handed in/ })).toBeVisible();
  await expect(teacher.getByText(/on average .* spread/).first()).toBeVisible();
  await teacher.getByRole('button', { name: 'Answers of 11' }).click();
  await expect(teacher.getByText('N9: loam by height')).toBeVisible();
  const own = teacher.getByLabel('Points for task 4 of 11, 0 to 100');
  await own.fill('170');
  await own.press('Enter');
  await expect(teacher.getByText('Give whole points from 0 to 100.')).toBeVisible();
  await own.fill('70');
  await own.press('Enter');
  await expect(teacher.getByRole('row', { name: /11 Slip handed in 100 100 100 70/ })).toBeVisible();
  await expect(learner.getByText('Your teacher gave 70 of 100 points.')).toBeVisible();
  await teacher.getByRole('button', { name: 'Mark task 4 of 11: 100' }).click();
  await expect(teacher.getByRole('row', { name: /11 Slip handed in 100 100 100 100 100/ })).toBeVisible();
  expect((await new AxeBuilder({ page: teacher }).analyze()).violations).toEqual([]);
  const saving = teacher.waitForEvent('download');
  await teacher.getByRole('link', { name: 'Table as CSV' }).click();
  const table = await readFile((await (await saving).path())!, 'utf8');
  expect(table).toMatch(/^name,group,/);
  expect(table).toMatch(/\r\n11,Slip,.*100\.0\r\n$/);
  await teacher.getByRole('button', { name: 'Delete the lesson and everybody in it' }).click();
  await expect(teacher.getByText('There is no lesson yet.')).toBeVisible();
  await learner.reload();
  await expect(learner.getByLabel('Code of the lesson')).toBeVisible();
  expect(bench.troubles.filter((line) => !/status of 404/.test(line))).toEqual([]);
});

test('learners of a lesson come in by its code alone where the bench has a door, and see nothing else', async ({
  bench
}) => {
  await bench.kill();
  await bench.start({ TIVREL_PASSPHRASE: 'cistern lantern' });
  const teacher = await bench.open('/');
  await teacher.getByLabel('Passphrase').fill('cistern lantern');
  await teacher.getByRole('button', { name: 'Enter' }).click();
  await teacher.waitForURL((url) => url.pathname === '/');
  await ready(teacher);
  const { id } = await teacher.evaluate(async () => {
    const items = [{ kind: 'drill', key: 'decision', level: 1, count: 1 }];
    const answer = await fetch('/api/v1/lessons', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ title: 'Shut', items })
    });
    return (await answer.json()) as { id: string };
  });
  await teacher.goto(`${bench.url}/practice/lessons/${id}`);
  const code = (await teacher.getByText(/^[A-Z2-9]{6}$/).textContent())!;
  const learner = await bench.open(`/lesson/${code}`);
  await learner.getByLabel('Name or number').fill('3');
  await learner.getByRole('button', { name: 'Join' }).click();
  await learner.getByRole('radio').first().check();
  await learner.getByRole('button', { name: 'Check' }).click();
  await expect(learner.getByText(/of 100 points/)).toBeVisible();
  await learner.getByRole('button', { name: 'Hand in', exact: true }).click();
  await expect(learner.getByText('Handed in.')).toBeVisible();
  await expect(learner.getByRole('navigation', { name: 'Stations' })).toBeHidden();
  await learner.goto(`${bench.url}/practice/lessons/${id}`);
  await expect(learner).toHaveURL(/\/enter/);
  const refused = await learner.evaluate(
    async (path) => (await fetch(path)).status,
    `/api/v1/lessons/${id}/table.csv`
  );
  expect(refused).toBe(401);
});

test('a cylinder run by hand tells a late lowering and a reading at the surface', async ({ bench }) => {
  const page = await bench.open('/practice/cylinder');
  await page.getByText('By my own hand', { exact: true }).click();
  await page.getByText('Hydrometer, two readings', { exact: true }).click();
  await page.getByRole('button', { name: 'Set down' }).click();
  await page.clock.fastForward(15_500);
  await page.getByRole('button', { name: 'Lower the bulb' }).click();
  await page.getByRole('button', { name: 'Read it' }).click();
  await page.getByRole('button', { name: 'Keep the reading' }).click();
  await expect(page.getByText('Give what the scale shows.').first()).toBeVisible();
  await page.getByLabel('Reading, g/L').fill('20');
  await page.getByLabel('Temperature, °C').fill('99');
  await page.getByLabel('Blank, g/L').fill('2');
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  await page.getByRole('button', { name: 'Keep the reading' }).click();
  await expect(page.getByText('Lowered too late: the bulb was still swinging.')).toBeVisible();
  await expect(page.getByText(/The thermometer was misread/)).toBeVisible();
  await page.getByRole('button', { name: 'Next reading' }).click();
  await page.getByRole('button', { name: 'Pass the time until then' }).click();
  await page.getByRole('button', { name: 'Lower the bulb' }).click();
  await page.clock.fastForward(10_000);
  await page.getByRole('button', { name: 'Read it' }).click();
  await page.getByLabel('Reading, g/L').fill('9');
  await page.getByLabel('Temperature, °C').fill('20');
  await page.getByRole('button', { name: 'Keep the reading' }).click();
  await page.getByRole('button', { name: 'Next reading' }).click();
  await expect(page.getByText('In the cylinder')).toBeVisible();
  expect(bench.troubles).toEqual([]);
});
