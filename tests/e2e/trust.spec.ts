import type { Route } from '@playwright/test';
import { ulid } from 'ulid';
import { command, expect, jarByCommand, ready, standJar, test } from './bench';

test('a reload and a killed server in mid-run lose nothing', async ({ bench }) => {
  const page = await bench.open('/');
  await standJar(page, 'Walled garden');
  await bench.pass(61);
  await page.getByRole('button', { name: 'Mark the sand on W1' }).click();
  await expect(page.getByText(/sand marked at 1:0\d/)).toBeVisible();
  await bench.kill();
  await bench.start();
  await page.reload();
  await ready(page);
  await expect(page.getByRole('link', { name: /W1 · mark the silt/ }).first()).toBeVisible();
  await page.getByRole('link', { name: /Open W1/ }).click();
  await expect(page.getByText('on time')).toBeVisible();
});

test('two open windows agree without being loaded anew', async ({ bench }) => {
  const laptop = await bench.open('/');
  await standJar(laptop, 'Walled garden');
  const phone = await bench.open('/', {
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true
  });
  await bench.pass(60.5);
  await phone.getByRole('button', { name: 'Mark the sand on W1' }).filter({ visible: true }).tap();
  await expect(laptop.getByText('Mark the silt', { exact: true })).toBeVisible();
  await laptop.getByRole('link', { name: /Open W1/ }).click();
  await laptop.getByLabel(/Height of the sand mark/).fill('21');
  await laptop.getByRole('button', { name: 'Keep height' }).click();
  await phone.getByRole('link', { name: /Open W1/ }).click();
  await expect(phone.getByText('21.0 mm').first()).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('a mark pressed while the server is away keeps its true time and is sent later', async ({ bench }) => {
  const page = await bench.open('/');
  await standJar(page, 'Walled garden');
  await bench.pass(61);
  await bench.kill();
  await page.getByRole('button', { name: 'Mark the sand on W1' }).click();
  await expect(page.getByText('1 entry waits to be sent.')).toBeVisible();
  // On the glass already: the next thing is the silt.
  await expect(page.getByText('Mark the silt', { exact: true })).toBeVisible();
  // The server comes back three minutes later; the mark does not move.
  await page.clock.fastForward(1000);
  await bench.start();
  await bench.pass(180);
  await expect(page.getByText('1 entry waits to be sent.')).toBeHidden();
  const tests = await (await fetch(`${bench.url}/api/v1/tests`)).json();
  const one = await (await fetch(`${bench.url}/api/v1/tests/${tests.tests[0].id}`)).json();
  const [mark] = one.test.runs[0].marks;
  expect(mark.seconds).toBeGreaterThan(59);
  expect(mark.seconds).toBeLessThan(150);
});

test('offline the bench still opens, and set-down and mark wait with their times through a reload', async ({
  bench
}) => {
  const page = await bench.open('/set', { serviceWorkers: 'allow' });
  await page.getByLabel('Where the soil came from').fill('Boat-store footing');
  await page.getByRole('button', { name: 'Prepare this jar' }).click();
  await expect(page.getByRole('heading', { name: 'Get B1 ready' })).toBeVisible();
  await page.evaluate(async () => (await navigator.serviceWorker.ready).active?.state);
  // Seen once while the server is there, these pages open without it.
  await page.reload();
  await ready(page);
  await page.goto(`${bench.url}/`);
  await ready(page);
  await page.getByRole('link', { name: /Open B1/ }).click();
  await expect(page.getByRole('heading', { name: 'Get B1 ready' })).toBeVisible();

  await page.context().setOffline(true);
  await page.getByRole('button', { name: 'Set down' }).click();
  await expect(page.getByText('1 entry waits to be sent.')).toBeVisible();
  // The page goes to the bench by itself; a second way there would cross it.
  await expect(page).toHaveURL(`${bench.url}/`);
  await ready(page);
  await bench.pass(61);
  await page.reload();
  await ready(page);
  await expect(page.getByText('1 entry waits to be sent.')).toBeVisible();
  await page.getByRole('button', { name: 'Mark the sand on B1' }).click();
  await expect(page.getByText('2 entries wait to be sent.')).toBeVisible();
  await page.context().setOffline(false);
  // The notice goes with the first entry that gets through; the mark is the second.
  const { tests } = await (await fetch(`${bench.url}/api/v1/tests`)).json();
  const seconds = async (): Promise<number | undefined> => {
    const one = await (await fetch(`${bench.url}/api/v1/tests/${tests[0].id}`)).json();
    return one.test.runs[0]?.marks[0]?.seconds;
  };
  await expect.poll(seconds).toBeGreaterThan(59);
  expect(await seconds()).toBeLessThan(90);
  await expect(page.getByText(/waits? to be sent/)).toBeHidden();
});

test('a server that dies while a page looks for news leaves the page as it stands', async ({ bench }) => {
  const page = await bench.open('/set');
  const left: string[] = [];
  page.on('framenavigated', (frame) => left.push(frame.url()));
  const news = () => command(bench, 'sample.add', { sampleId: ulid(), name: 'Till bank', purpose: 'garden' });
  const answers = [
    (route: Route) => route.abort('connectionrefused'),
    (route: Route) => route.fulfill({ status: 502, body: 'away' })
  ];
  for (const answer of answers) {
    await page.route('**/__data.json*', answer);
    for (let look = 0; look < 2; look++) {
      const asked = page.waitForRequest('**/__data.json*');
      await news();
      await (await asked).response();
    }
    await page.unroute('**/__data.json*');
    const told = page.waitForResponse((r) => r.url().includes('/__data.json') && r.ok());
    await news();
    await told;
  }
  expect(left).toEqual([]);
});

test('a press that waited and is then refused stays, with its time, until it has been read', async ({
  bench
}) => {
  const page = await bench.open('/');
  await standJar(page, 'Walled garden');
  await bench.pass(61);
  const { tests } = await (await fetch(`${bench.url}/api/v1/tests`)).json();
  const [{ id: testId }] = tests;
  await page.route('**/api/v1/commands/jar.mark', (route) => route.fulfill({ status: 401, body: '{}' }));
  await page.getByRole('button', { name: 'Mark the sand on W1' }).click();
  // A door that is shut is no judgement on the mark: it waits.
  await expect(page.getByText('1 entry waits to be sent.')).toBeVisible();
  await fetch(`${bench.url}/api/v1/commands/test.bin`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ commandId: ulid(), at: bench.now(), payload: { testId } })
  });
  await page.unroute('**/api/v1/commands/jar.mark');
  const note = page.getByText(/Not taken: .*Marked sand · \d\d:\d\d:\d\d\. This test lies in the bin/);
  await bench.pass(4);
  await expect(note).toBeVisible();
  await page.reload();
  await ready(page);
  await expect(note).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(note).toBeHidden();
  await page.reload();
  await ready(page);
  await expect(note).toBeHidden();
  expect(bench.troubles.filter((line) => !/status of 401/.test(line))).toEqual([]);
});

test('a device whose clock is an hour slow still marks the true time', async ({ bench }) => {
  const laptop = await bench.open('/');
  await standJar(laptop, 'Walled garden');
  const context = await laptop.context().browser()!.newContext();
  const phone = await context.newPage();
  await phone.clock.install({ time: bench.now() - 3_600_000 });
  await phone.goto(bench.url);
  await ready(phone);
  await expect(phone.getByRole('link', { name: /W1 · mark the sand in 0:/ })).toBeVisible();
  await bench.pass(62);
  await phone.clock.fastForward(62_000);
  await phone.getByRole('button', { name: 'Mark the sand on W1' }).filter({ visible: true }).click();
  await expect(laptop.getByText('Mark the silt', { exact: true })).toBeVisible();
  const tests = await (await fetch(`${bench.url}/api/v1/tests`)).json();
  const one = await (await fetch(`${bench.url}/api/v1/tests/${tests.tests[0].id}`)).json();
  expect(one.test.runs[0].marks[0].seconds).toBeGreaterThan(60);
  expect(one.test.runs[0].marks[0].seconds).toBeLessThan(90);
  await context.close();
});

test('the same mark pressed on two devices counts once, the earlier one', async ({ bench }) => {
  const laptop = await bench.open('/');
  await standJar(laptop, 'Walled garden');
  const phone = await bench.open('/', {
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true
  });
  await bench.pass(61);
  const { tests } = await (await fetch(`${bench.url}/api/v1/tests`)).json();
  const marks = async () => {
    const one = await (await fetch(`${bench.url}/api/v1/tests/${tests[0].id}`)).json();
    return one.test.runs[0].marks as { seconds: number }[];
  };
  // The phone has no signal when it is pressed, and is heard after the laptop.
  await phone.route('**/api/v1/commands/jar.mark', (route) => route.abort());
  await phone.getByRole('button', { name: 'Mark the sand on W1' }).filter({ visible: true }).tap();
  await expect(phone.getByText('1 entry waits to be sent.')).toBeVisible();
  await bench.pass(6);
  await laptop.getByRole('button', { name: 'Mark the sand on W1' }).click();
  await expect.poll(marks).toHaveLength(1);
  const [{ seconds: later }] = await marks();
  await phone.unroute('**/api/v1/commands/jar.mark');
  await expect.poll(async () => (await marks())[0].seconds).toBeLessThan(later - 4);
  expect(await marks()).toHaveLength(1);
  await laptop.getByRole('link', { name: /Open W1/ }).click();
  await expect(laptop.getByText('pressed twice, counted once, the earlier')).toBeVisible();
});

test('a server that is started again between due and mark costs no time', async ({ bench }) => {
  const page = await bench.open('/');
  await standJar(page, 'Walled garden');
  await bench.pass(62);
  const mark = page.getByRole('button', { name: 'Mark the sand on W1' });
  await expect(mark).toBeVisible();
  await bench.kill();
  await bench.start();
  await mark.click();
  await expect(page.getByText(/sand marked at 1:0\d|sand marked at 1:1\d/)).toBeVisible();
  const { tests } = await (await fetch(`${bench.url}/api/v1/tests`)).json();
  const one = await (await fetch(`${bench.url}/api/v1/tests/${tests[0].id}`)).json();
  expect(one.test.runs[0].marks[0].seconds).toBeGreaterThan(61);
  expect(one.test.runs[0].marks[0].seconds).toBeLessThan(85);
});

test('a tab that slept for six hours wakes to the right time, and calls once', async ({ bench }) => {
  const page = await bench.open('/');
  await command(bench, 'profile.set', { quietFrom: 0, quietTo: 0, spoken: 'on' });
  const said = () => page.evaluate(() => (globalThis as unknown as { said: string[] }).said);
  await page.goto(`${bench.url}/`);
  await ready(page);
  await page.evaluate(() => {
    const heard = globalThis as unknown as { said: string[] };
    heard.said = [];
    speechSynthesis.speak = (words) => void heard.said.push(words.text);
  });
  await jarByCommand(bench, 'Walled garden', { stands: true });
  const down = bench.now();
  await expect(page.getByRole('link', { name: /Open W1,/ })).toBeVisible();
  await bench.passTo(down + 51_000);
  await expect.poll(said).toEqual(['Jar W1, mark the sand in 10 seconds']);
  await bench.passTo(down + 61_000);
  await page.getByRole('button', { name: 'Mark the sand on W1' }).click();
  await expect(page.getByText('Mark the silt', { exact: true })).toBeVisible();
  await bench.sleep(6 * 3600);
  await expect(page.getByText(/^3 h 5\d min late|^4 h( \d min)? late/)).toBeVisible();
  await expect
    .poll(said)
    .toEqual(['Jar W1, mark the sand in 10 seconds', 'Jar W1, mark the sand', 'Jar W1, mark the silt']);
  await page.getByRole('button', { name: 'Mark the silt on W1' }).click();
  await expect(page.getByText(/silt marked at 6:0\d h/)).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('a night on which the clocks change is as long as it is', async ({ bench }) => {
  // The evening before the clocks go forward in Oslo, at 20:00 there.
  const evening = Date.UTC(2027, 2, 27, 19, 0);
  await bench.pass((evening - bench.now()) / 1000);
  const page = await bench.open('/');
  await command(bench, 'profile.set', { quietFrom: 0, quietTo: 0 });
  const { testId, runId } = await jarByCommand(bench, 'Walled garden', { stands: true });
  for (const [layer, pass] of [
    ['sand', 61],
    ['silt', 7140]
  ] as const) {
    await bench.pass(pass);
    await command(bench, 'jar.mark', { testId, runId, markId: ulid(), layer });
  }
  // A day of 24 hours from 20:00 ends at 21:00 by the new clock.
  await expect(page.getByText('tomorrow 21:00', { exact: true })).toBeVisible();
  await bench.pass(86_400 - 7201 - 1800);
  await expect(page.getByText(/^in (29|30):\d\d$/)).toBeVisible();
  await bench.pass(1801);
  await page.getByRole('button', { name: 'Mark the clay on W1' }).click();
  await expect(page.getByText(/clay marked at 24:0\d h/)).toBeVisible();
  const one = await (await fetch(`${bench.url}/api/v1/tests/${testId}`)).json();
  expect(one.test.runs[0].marks[2].seconds).toBeGreaterThan(86_400);
  expect(one.test.runs[0].marks[2].seconds).toBeLessThan(86_500);
  expect(bench.troubles).toEqual([]);
});

test('a shared bench asks for its passphrase and tells nothing before', async ({ bench }) => {
  await bench.kill();
  await bench.start({ TIVREL_PASSPHRASE: 'cistern lantern' });
  const shut = await fetch(`${bench.url}/api/v1/tests`);
  expect(shut.status).toBe(401);
  const foreign = await fetch(`${bench.url}/api/v1/commands/undo`, {
    method: 'POST',
    headers: { origin: 'http://elsewhere.example' },
    body: '{}'
  });
  expect(foreign.status).toBe(403);
  const context = await bench.open('/enter').then((p) => p.context());
  const page = context.pages()[0];
  await ready(page);
  // Before the door nothing is said of what waits, and nothing is asked of the server that it would refuse.
  await expect(page.getByText('Nothing is waiting')).toHaveCount(0);
  await expect(page.getByRole('navigation')).toHaveCount(0);
  expect(bench.troubles).toEqual([]);
  await page.getByLabel('Passphrase').fill('guess');
  await page.getByRole('button', { name: 'Enter' }).click();
  await expect(page.getByText('That is not the passphrase. Try again.')).toBeVisible();
  await page.getByLabel('Passphrase').fill('cistern lantern');
  await page.getByRole('button', { name: 'Enter' }).click();
  await expect(page.getByRole('heading', { name: 'The shelf is empty' })).toBeVisible();
  // Many guesses at once are no way round; who is in stays in.
  const guess = () =>
    fetch(`${bench.url}/enter`, { method: 'POST', body: new URLSearchParams({ passphrase: 'guess' }) });
  const answers = await Promise.all(Array.from({ length: 8 }, guess).map((a) => a.then((r) => r.text())));
  expect(answers.some((text) => /Too many wrong tries\. Wait \d+ s/.test(text))).toBe(true);
  // A refusal is no time: the clock keeps the offset that it had.
  await page.route('**/api/v1/clock', (route) => route.fulfill({ status: 401, json: { message: 'no' } }));
  await page.reload();
  await expect(page.getByRole('heading', { name: 'The shelf is empty' })).toBeVisible();
  await ready(page);
  expect(await page.evaluate(() => localStorage.getItem('tivrel:clock-offset'))).not.toBe('NaN');
  await page.unroute('**/api/v1/clock');
  // Signed out, the device shows nothing, and its cookie opens nothing any more, not even when it is put back.
  const pass = (await context.cookies()).filter((cookie) => cookie.name === 'tivrel-pass');
  expect(pass).toHaveLength(1);
  await page.goto(`${bench.url}/profile`);
  await ready(page);
  await page.getByRole('button', { name: 'Sign this device out' }).click();
  await expect(page.getByRole('heading', { name: 'Passphrase' })).toBeVisible();
  await context.addCookies(pass);
  await page.goto(`${bench.url}/log`);
  await expect(page).toHaveURL(/\/enter\?to=%2Flog$/);
  const shown = await fetch(`${bench.url}/enter`);
  expect(shown.headers.get('cache-control')).toBe('private, no-store');
  expect(shown.headers.get('content-security-policy')).toContain("form-action 'self'");
  const odd = await fetch(`${bench.url}/enter`, {
    method: 'POST',
    headers: { 'content-type': 'application/x-www-form-urlencoded; boundary=no' },
    body: '\u0000'
  });
  expect(odd.status).toBeLessThan(500);
});

test('words without an end push no page wide', async ({ bench }) => {
  const word = (letters: number) => 'w'.repeat(letters);
  const note = word(500);
  const { sampleId, testId } = await jarByCommand(bench, word(80), { purpose: 'build', stands: true, note });
  const [trialId, folderId] = [ulid(), ulid()];
  await command(bench, 'trial.plan', {
    trialId,
    sampleId,
    kind: 'ball',
    mix: word(300),
    count: 1,
    cureDays: 0,
    note
  });
  await command(bench, 'trial.form', { trialId });
  await command(bench, 'piece.keep', { trialId, pieceId: ulid(), no: 1, seen: { drop: 'few' }, note });
  const items = [{ sampleId, theirs: word(40) }];
  await command(bench, 'folder.add', { folderId, name: word(80), sender: word(120), note, items });
  const paths = [
    ...['/', '/log', '/read', '/trials', '/act/folders', '/plan/labels', `/samples/${sampleId}`],
    ...[`/tests/${testId}`, `/read/${testId}`, `/trials/${trialId}`, `/act/folders/${folderId}`]
  ];
  for (const width of [390, 1280]) {
    const page = await bench.open('/', { viewport: { width, height: 844 } });
    for (const path of paths) {
      await page.goto(bench.url + path);
      await ready(page);
      const wide = await page.evaluate(() => document.documentElement.scrollWidth);
      expect(wide, `${path} at ${width}`).toBeLessThanOrEqual(width);
    }
  }
});
