import { ulid } from 'ulid';
import { command, expect, jarByCommand, markInTurn, ready, standJar, test } from './bench';

const MINUTE = 60;
const HOUR = 3600;

test('a key acts on the jar on its page, marks what the title calls once, and asks before the next', async ({
  bench
}) => {
  const stands = await jarByCommand(bench, 'Walled garden', { stands: true });
  await bench.pass(20);
  await jarByCommand(bench, 'Lower bank', { stands: true });
  const own = await jarByCommand(bench, 'Till bank');
  await jarByCommand(bench, 'Heap of topsoil');
  // On the page of one jar that jar, though others wait too; and no mark of another.
  const page = await bench.open(`/set/${own.testId}`);
  await page.keyboard.press('m');
  await expect(page.getByText('Nothing is to be marked on this jar.')).toBeVisible();
  await page.keyboard.press('s');
  await expect(page.getByText('T1 stands. The clock runs.')).toBeVisible();

  // Sand marks are due on all that stand: the title calls one of them, the one that can be saved best.
  await page.goto(bench.url);
  await ready(page);
  await bench.pass(62);
  await expect(page).toHaveTitle(/● (W1|L1|T1) · mark the sand/);
  const called = /● (\w+) ·/.exec(await page.title())![1];
  for (let i = 0; i < 3; i++) await page.keyboard.press('m');
  const asked = page.getByRole('dialog', { name: /^Mark the sand on/ });
  await expect(asked).toContainText(`The sand of ${called} was marked`);
  await asked.getByRole('button', { name: 'Leave it' }).click();
  const marks = async () =>
    (await (await fetch(`${bench.url}/api/v1/tests/${stands.testId}/readings`)).json()).runs[0].marks.length;
  // A press that was on its way when the page changed is sent by the next one.
  await page.goto(`${bench.url}/log`);
  await ready(page);
  const all = await page.request.get(`${bench.url}/api/v1/tests`);
  const tests = ((await all.json()) as { tests: { id: string }[] }).tests;
  const marksOfAll = async () => {
    const counts = await Promise.all(
      tests.map(async ({ id }) => {
        const read = await (await fetch(`${bench.url}/api/v1/tests/${id}/readings`)).json();
        return (read.runs as { marks: unknown[] }[]).reduce((sum, run) => sum + run.marks.length, 0);
      })
    );
    return counts.reduce((a, b) => a + b);
  };
  await expect.poll(marksOfAll).toBe(1);
  expect(await marks()).toBe(called === 'W1' ? 1 : 0);
  expect(bench.troubles).toEqual([]);
});

test('a press in the breath in which another jar is called is asked for its jar, and keeps its moment', async ({
  bench
}) => {
  const first = await jarByCommand(bench, 'Walled garden', { stands: true });
  await bench.pass(120);
  const second = await jarByCommand(bench, 'Lower bank', { stands: true });
  const page = await bench.open('/');
  const { runs } = await (await fetch(`${bench.url}/api/v1/tests/${second.testId}/readings`)).json();
  const dueAt = Date.parse(runs[0].setDownAt) + MINUTE * 1000;
  await bench.passTo(dueAt - 10_000);
  await expect(page.getByRole('button', { name: 'Mark the sand on W1' }).first()).toBeVisible();
  // Just due comes before long due: the header, the title and the button change to the second jar together. The clock of the
  // page stands in that breath, however long the machine takes.
  await page.clock.pauseAt(dueAt + 1000);
  await expect(page).toHaveTitle(/L1 · mark the sand/);
  await page.getByRole('button', { name: 'Mark the sand on L1' }).first().click();
  const asked = page.getByRole('dialog', { name: /^Which jar, at \d\d:\d\d:\d\d\?/ });
  await expect(asked).toBeVisible();
  const at = /at (\S+)\?/.exec((await asked.textContent())!)![1];
  // However long it is thought over, the mark is of the press.
  await page.clock.resume();
  await bench.pass(40);
  await asked.getByRole('button', { name: 'The sand of W1' }).click();
  await expect(page.getByText(/W1: sand marked at/)).toBeVisible();
  const marksOf = async (testId: string) => {
    const [run] = (await (await fetch(`${bench.url}/api/v1/tests/${testId}/readings`)).json()).runs;
    return (run.marks as { seconds: number }[]).map((m) => Date.parse(run.setDownAt) + m.seconds * 1000);
  };
  await expect.poll(async () => (await marksOf(first.testId)).length).toBe(1);
  const [mark] = await marksOf(first.testId);
  const clock = new Intl.DateTimeFormat('en-GB', { timeStyle: 'medium', timeZone: 'Europe/Oslo' });
  expect(clock.format(mark)).toBe(at);
  expect(await marksOf(second.testId)).toEqual([]);
  expect(bench.troubles).toEqual([]);
});

test('under a mouse that moves about the shelf what is called stays, and is called once it has rested', async ({
  bench
}) => {
  await jarByCommand(bench, 'Walled garden', { stands: true });
  await bench.pass(120);
  const { testId } = await jarByCommand(bench, 'Lower bank', { stands: true });
  const page = await bench.open('/');
  const { runs } = await (await fetch(`${bench.url}/api/v1/tests/${testId}/readings`)).json();
  // Its sand is called a minute after set-down: the mouse moves about the other jar meanwhile.
  await bench.passTo(Date.parse(runs[0].setDownAt) + 57_000);
  await page
    .getByRole('button', { name: 'Mark the sand on W1' })
    .first()
    .evaluate((button) => {
      const move = () =>
        button.dispatchEvent(new PointerEvent('pointermove', { bubbles: true, pointerType: 'mouse' }));
      const moving = setInterval(move, 200);
      move();
      addEventListener('rest', () => clearInterval(moving), { once: true });
    });
  await bench.pass(4);
  await expect(page.getByRole('button', { name: 'Mark the sand on L1' }).first()).toBeVisible();
  await expect(page).toHaveTitle(/W1 · mark the sand/);
  await page.evaluate(() => dispatchEvent(new Event('rest')));
  await bench.pass(6);
  await expect(page).toHaveTitle(/L1 · mark the sand/);
  expect(bench.troubles).toEqual([]);
});

test('a mark that is far off is asked about as it is kept, and everything pressed can be corrected', async ({
  bench
}) => {
  const page = await bench.open('/');
  await standJar(page, 'Walled garden');
  await bench.pass(62);
  await page.getByRole('button', { name: 'Mark the sand on W1' }).click();
  await page.getByRole('link', { name: /Open W1/ }).click();
  await bench.pass(48);
  // The silt at 1:50: kept with its time, and asked about.
  await page.getByRole('button', { name: 'Mark the silt early' }).click();
  const asked = page.getByRole('dialog', { name: /The silt, at 1:5\d\?/ });
  await expect(asked).toContainText('too early');
  await asked.getByRole('button', { name: 'Take it off' }).click();
  await expect(page.getByText('W1: the silt mark is taken off.')).toBeVisible();

  // A missed mark: passed over, made after all, at the time it truly had.
  await bench.pass(26 * HOUR);
  await page.getByRole('button', { name: 'Pass the silt over' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Silt passed over' })).toBeVisible();
  await page.getByRole('button', { name: 'make it after all' }).click();
  await page.getByRole('button', { name: 'I marked the silt earlier' }).click();
  const earlier = page.getByRole('dialog', { name: 'I marked the silt earlier' });
  await earlier.getByLabel('Truly marked, after set-down').fill('soon');
  await earlier.getByRole('button', { name: 'Keep the mark' }).click();
  await expect(earlier.getByText('That is no length of time.', { exact: false })).toBeVisible();
  await earlier.getByLabel('Truly marked, after set-down').fill('2 h 5');
  await earlier.getByRole('button', { name: 'Keep the mark' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: /^2:05 h/ })).toBeVisible();

  // Corrected: a time on the wrong side is refused beside its field, a right one kept.
  await page.getByRole('button', { name: /Correct the silt mark at 2:05 h/ }).click();
  const correct = page.getByRole('dialog', { name: 'The silt mark at 2:05 h' });
  await correct.getByLabel('Truly marked, after set-down').fill('30 s');
  await correct.getByRole('button', { name: 'Keep the correction' }).click();
  await expect(correct.getByText(/wrong side of the sand mark/)).toBeVisible();
  await correct.getByLabel('Truly marked, after set-down').fill('1h50');
  await correct.getByRole('button', { name: 'Keep the correction' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: /^1:50 h/ })).toBeVisible();

  await page.getByRole('button', { name: 'Correct time zero' }).click();
  const zero = page.getByRole('dialog', { name: 'When did W1 stand still?' });
  await zero.getByRole('button', { name: 'Correct it' }).click();
  await expect(zero.getByText('Say why in a few words', { exact: false })).toBeVisible();
  const history = page.getByRole('listitem').filter({ hasText: 'Mark corrected' });
  await zero.getByRole('button', { name: 'Leave it' }).click();
  await expect(history).toContainText('silt, 1:50 h, was 2:05 h');
  expect(bench.troubles).toEqual([]);
});

test('a line marked at another size warns in the headline, on the page and when finished', async ({
  bench
}) => {
  const { testId, runId } = await jarByCommand(bench, 'Walled garden', { stands: true });
  await markInTurn(bench, { testId, runId }, [
    ['sand', 52 * 60, 24],
    ['silt', 2 * HOUR, 30],
    ['clay', 26 * HOUR, 36]
  ]);
  const page = await bench.open(`/read/${testId}`);
  await expect(page.getByTestId('doubt')).toHaveText(
    /^Doubtful: the sand line was marked at 52:0\d and parts the soil at 7\.9 µm instead of/
  );
  // Placed by eye it is a line of its own again.
  await page.getByRole('textbox', { name: /^Sand ?: Top of/ }).fill('20');
  await expect(page.getByTestId('doubt')).toHaveCount(0);
  await page.getByRole('textbox', { name: /^Sand ?: Top of/ }).fill('24');
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  await page.getByRole('button', { name: 'Finish the test' }).click();
  await expect(page.getByRole('region', { name: 'Result' }).getByTestId('doubt')).toContainText(
    'It is a mark of that size'
  );
  expect(bench.troubles).toEqual([]);
});

test('a jar that stands already: from the empty shelf to a class in one press and three fields', async ({
  bench
}) => {
  const page = await bench.open('/');
  await page.getByRole('link', { name: 'It stands already' }).click();
  const field = (layer: string) => page.getByRole('textbox', { name: new RegExp(`^${layer} ?: `) });
  await field('Sand').fill('46');
  await field('Silt').fill('79');
  await field('Clay').fill('92');
  await expect(page.getByTestId('as-read')).toContainText('50 · 36 · 14');
  const settled = page.locator('[data-testid="headline"][aria-busy="false"]');
  await expect(settled).toHaveText(/ soil: \d+\s% /);
  const said = (await settled.textContent())!.trim();

  // Two thicknesses and the whole: the third follows; a reload loses nothing.
  await page.getByText('thicknesses', { exact: true }).click();
  await expect(field('Clay')).toHaveValue('13');
  await field('Silt').fill('');
  await page.getByLabel('Whole deposit, measured apart').fill('92');
  await expect(page.getByText('33.0 mm: follows from the whole')).toBeVisible();
  await page.reload();
  await ready(page);
  await expect(settled).toHaveText(said);
  // One alone is one share.
  await field('Sand').fill('');
  await expect(page.getByTestId('headline')).toHaveText(/^Clay is 14\s% of what settled/);
  await field('Sand').fill('46');
  await expect(settled).toHaveText(said);
  await page.getByRole('button', { name: 'Keep it on the bench' }).click();
  await expect(page.getByRole('heading', { name: 'S1', level: 1 })).toBeVisible();
  await page.getByRole('button', { name: /Finish the test/ }).click();
  await expect(page.getByRole('region', { name: 'Result' })).toContainText(/ soil: \d+\s% /);
  await expect(page.getByText('stood since the day before when it was met')).toBeVisible();

  // Shares by eye stay what they are, and say what they can.
  await page.goto(`${bench.url}/stands`);
  await ready(page);
  await page.getByText('shares by eye', { exact: true }).click();
  await page.getByLabel('Sand', { exact: true }).fill('about half');
  await page.getByLabel('Silt', { exact: true }).fill('a quarter');
  await expect(page.getByText('25 %: the rest')).toBeVisible();
  await expect(page.getByTestId('as-read')).toContainText('50 · 25 · 25');
  await expect(settled).toHaveText(/(\d+)\s% sand/);
  await page.getByLabel('Clay', { exact: true }).fill('much');
  await expect(page.getByText('Say it as a share: 50, 1/4, half or two thirds.')).toBeVisible();
  await page.getByLabel('Clay', { exact: true }).fill('');
  await page.getByLabel('Where the soil came from').fill('Hollow, peat');
  await page.getByRole('button', { name: 'Keep it on the bench' }).click();
  await expect(page.getByRole('heading', { name: 'H1', level: 1 })).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('set down by mistake on a jar that stands: its clock is let go', async ({ bench }) => {
  const page = await bench.open('/');
  await standJar(page, 'Cistern pond');
  await page.getByRole('link', { name: /Open C1/ }).click();
  await page.getByRole('button', { name: 'It stood already' }).click();
  const sheet = page.getByRole('dialog', { name: 'C1 stood already?' });
  await sheet.getByText('some days', { exact: true }).click();
  await sheet.getByRole('button', { name: 'It stood already' }).click();
  await expect(page.getByText('stood some days when it was met')).toBeVisible();
  await expect(page.getByRole('link', { name: /C1 · read the layers/ }).first()).toBeVisible();
  // The log does not say that it is not set down while it stands.
  await page.goto(`${bench.url}/log`);
  await expect(page.getByRole('row').filter({ hasText: 'C1' })).toContainText('entered');
  await expect(page.getByText('Not set down yet')).toBeHidden();
  expect(bench.troubles).toEqual([]);
});

test('seven windows of one browser share one stream, and a mark in the last is on the first', async ({
  bench,
  browser
}) => {
  await jarByCommand(bench, 'Walled garden', { stands: true });
  const context = await browser.newContext({
    timezoneId: 'Europe/Oslo',
    locale: 'en-GB',
    serviceWorkers: 'block'
  });
  // Windows of one browser share one clock: time has passed before they are opened.
  await bench.pass(61);
  const windows = [];
  for (let i = 0; i < 7; i++) windows.push(await bench.openIn(context));
  const last = windows.at(-1)!;
  await last.getByRole('button', { name: 'Mark the sand on W1' }).click();
  for (const page of windows.slice(0, -1)) {
    await expect(page.getByRole('link', { name: /W1 · mark the silt/ }).first()).toBeVisible();
  }
  // The window that listens closes: another takes over, and what happens before it can listen is not lost.
  let listening = () => {};
  const held = new Promise<void>((go) => (listening = go));
  await context.route('**/api/v1/stream', (route) => held.then(() => route.continue()));
  await windows[0].close();
  await command(bench, 'sample.add', { sampleId: ulid(), name: 'Till bank', purpose: 'garden' });
  await jarByCommand(bench, 'Lower bank', { stands: true });
  listening();
  for (const page of windows.slice(1))
    await expect(page.getByRole('link', { name: /Open L1/ })).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('where the region measures in inches that is asked once, on the first start', async ({ bench }) => {
  const page = await bench.open('/', { locale: 'en-US' });
  const asked = page.getByRole('region', { name: 'Inches or millimetres' });
  await asked.getByRole('button', { name: 'Inches' }).click();
  await expect(asked).toBeHidden();
  await page.goto(`${bench.url}/stands`);
  await ready(page);
  await expect(page.getByRole('textbox', { name: /^Sand ?: / })).toHaveAttribute('placeholder', 'in');
  await page.getByRole('textbox', { name: /^Sand ?: / }).fill('1 5/8');
  await expect(page.getByText('This is not a length', { exact: false })).toBeHidden();
  expect(bench.troubles).toEqual([]);
});
