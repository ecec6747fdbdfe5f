import AxeBuilder from '@axe-core/playwright';
import { expect, ready, test, type Bench } from './bench';

/** Fills the bench's database with the demo scenario and gives the addresses of every view. */
async function demo(bench: Bench): Promise<{ name: string; path: string }[]> {
  await bench.fill();
  const { tests } = await (await fetch(`${bench.url}/api/v1/tests`)).json();
  const id = (code: string) => tests.find((t: { code: string }) => t.code === code).id;
  const ground = (await fetch(`${bench.url}/plan`, { redirect: 'manual' })).headers.get('location')!;
  const { features } = await (
    await fetch(`${bench.url}/api/v1/sites/${ground.split('/').pop()}/geojson`)
  ).json();
  const named = (name: string) => (f: { properties: { name: string } }) => f.properties.name === name;
  const peat = features.find(named('Peat hollow')).id;
  const { holes } = await (await fetch(`${bench.url}/api/v1/holes`)).json();
  const { judgements } = await (await fetch(`${bench.url}/api/v1/judgements`)).json();
  const { trials } = await (await fetch(`${bench.url}/api/v1/trials`)).json();
  const { folders } = await (await fetch(`${bench.url}/api/v1/folders`)).json();
  const set = (code: string) => trials.find((one: { code: string }) => one.code === code).id;
  const walled = judgements.find((one: { ask: string }) => one.ask === 'wall').id;
  const lessons = await (await fetch(`${bench.url}/practice/lessons`)).text();
  const lesson = /\/practice\/lessons\/(\w+)/.exec(lessons)![1];
  const one = await (await fetch(`${bench.url}/api/v1/tests/${id('H1')}`)).json();
  return [
    { name: 'bench', path: '/' },
    { name: 'ground', path: ground },
    { name: 'new site', path: '/plan?new' },
    { name: 'area', path: `${ground}?area=${peat}` },
    { name: 'walk', path: `${ground}/walk/${peat}` },
    { name: 'methods', path: '/plan/methods' },
    { name: 'timetable', path: '/plan/timetable' },
    { name: 'labels', path: '/plan/labels' },
    { name: 'gather', path: '/plan/gather' },
    { name: 'method', path: '/plan/methods/hydrometer-2pt' },
    { name: 'method editor', path: '/plan/methods/jar-timed/edit' },
    { name: 'instrument editor', path: '/plan/methods/hydrometer-2pt/edit' },
    { name: 'draw editor', path: '/plan/methods/pipette/edit' },
    { name: 'set', path: '/set' },
    { name: 'stands already', path: '/stands' },
    { name: 'prepare', path: `/set/${id('C1b')}` },
    { name: 'field sheet', path: `/set/${id('H1b')}/paper` },
    { name: 'read chooser', path: '/read' },
    { name: 'read', path: `/read/${id('P1')}` },
    { name: 'film', path: `/tests/${id('P1')}/film` },
    { name: 'film to be made', path: `/tests/${id('S1b')}/film` },
    { name: 'running test', path: `/tests/${id('S1b')}` },
    { name: 'finished test', path: `/tests/${id('H1')}` },
    { name: 'knocked test', path: `/tests/${id('L1')}` },
    { name: 'cylinder in work', path: `/read/${id('L1d')}/cylinder` },
    { name: 'cylinder finished', path: `/read/${id('C1d')}/cylinder` },
    { name: 'practice', path: '/practice' },
    { name: 'jar to be filled', path: '/practice/jar' },
    { name: 'settling jar', path: '/practice/jar?wrong=foam&set=1' },
    { name: 'drills', path: '/practice/drills' },
    { name: 'lessons', path: '/practice/lessons' },
    { name: 'lesson', path: `/practice/lessons/${lesson}` },
    { name: 'lesson to be joined', path: '/lesson/SKARN7' },
    { name: 'simulated cylinder', path: '/practice/cylinder' },
    { name: 'triangle', path: `/know?test=${id('C1d')}` },
    { name: 'how to read it', path: '/know/how' },
    { name: 'side by side', path: `/know/compare?tests=${['T1', 'T1b', 'T1d', 'N1c'].map(id).join(',')}` },
    { name: 'act on a bed', path: `/act?test=${id('H1')}` },
    { name: 'act on a bore', path: '/act?sand=31&clay=30&ask=bore' },
    { name: 'act on nothing yet', path: '/act' },
    { name: 'new hole', path: `/holes/new?area=${peat}` },
    { name: 'hole', path: `/holes/${holes.find((h: { code: string }) => h.code === 'PHh1').id}` },
    { name: 'act on ground with holes', path: `/act?ground=${features.find(named('South bed')).id}` },
    { name: 'kept verdict', path: `/act/kept/${judgements[0].id}` },
    { name: 'what beds are asked for', path: '/act/beds' },
    { name: 'what Act counts with', path: '/act/figures' },
    { name: 'a wall', path: '/act?sand=62&clay=20&ask=wall' },
    { name: 'a wall with its blend and pieces', path: `/act?test=${id('L1')}&ask=wall` },
    { name: 'kept verdict on a wall', path: `/act/kept/${walled}` },
    { name: 'new trial pieces', path: '/trials/new' },
    { name: 'blocks that were crushed', path: `/trials/${set('T1t3')}` },
    { name: 'blocks that cure', path: `/trials/${set('L1t3')}` },
    { name: 'soils and mixes side by side', path: '/trials' },
    { name: 'folders', path: '/act/folders' },
    { name: 'folder', path: `/act/folders/${folders[0].id}` },
    { name: 'what techniques ask', path: '/act/techniques' },
    { name: 'season to season', path: `/act/seasons/${features.find(named('North bed')).id}` },
    { name: 'log', path: '/log' },
    { name: 'bin', path: '/log/bin' },
    { name: 'log by area and season', path: '/log/groups' },
    { name: 'table to be taken in', path: '/log/import' },
    { name: 'report of a site', path: `/reports/site/${ground.split('/').pop()}` },
    { name: 'report of a test', path: `/reports/test/${id('H1')}` },
    { name: 'people', path: '/people' },
    { name: 'invited', path: '/join' },
    { name: 'sample', path: `/samples/${one.test.sample.id}` },
    { name: 'profile', path: '/profile' }
  ];
}

const EVERY_RULE = {
  resultTypes: ['violations' as const],
  runOnly: { type: 'tag' as const, values: ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice'] }
};
/** At night the page is the same but for its colours. */
const CONTRAST_ALONE = {
  resultTypes: ['violations' as const],
  runOnly: { type: 'rule' as const, values: ['color-contrast'] }
};

for (const half of ['even', 'odd'] as const) {
  test(`every view is free of accessibility violations and console errors, day and night: ${half}`, async ({
    bench
  }) => {
    test.setTimeout(900_000);
    const views = (await demo(bench)).filter((_, i) => i % 2 === (half === 'even' ? 0 : 1));
    const page = await bench.open('/', { reducedMotion: 'reduce' });
    const violations: string[] = [];
    for (const { name, path } of views) {
      await page.emulateMedia({ colorScheme: 'light' });
      await page.goto(bench.url + path);
      await ready(page);
      await expect(page.locator('main')).toBeVisible();
      for (const [colorScheme, rules] of [
        ['light', EVERY_RULE],
        ['dark', CONTRAST_ALONE]
      ] as const) {
        // The bench turns with the device, as at dusk.
        await page.emulateMedia({ colorScheme });
        await expect(page.locator('html')).toHaveAttribute('data-mode', colorScheme);
        // No frames of other places are on these pages: the checks run in one piece, without a second window.
        const found = await new AxeBuilder({ page }).setLegacyMode().options(rules).analyze();
        violations.push(
          ...found.violations.map((v) => `${name}: ${v.id} ${v.nodes.map((n) => n.target).join(' ')}`)
        );
      }
    }
    expect(violations).toEqual([]);
    expect(bench.troubles).toEqual([]);
  });
}

test('on a phone: nothing is cut off, targets are thumb-sized, the due jar is in the middle', async ({
  bench
}) => {
  const views = await demo(bench);
  const page = await bench.open('/', {
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true
  });
  for (const { name, path } of views) {
    await page.goto(bench.url + path);
    await ready(page);
    const wide = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(wide, `${name} is wider than the screen`).toBeLessThanOrEqual(390);
    const small = await page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('button.btn, a.btn, nav a, .input, .select')]
        .filter((el) => el.checkVisibility())
        .map((el) => ({
          what: el.textContent || el.getAttribute('aria-label'),
          height: el.getBoundingClientRect().height
        }))
        .filter((el) => el.height < 43.5)
    );
    expect(
      small.filter((s) => !/fuzzy/.test(String(s.what))),
      name
    ).toEqual([]);
  }
  await page.goto(bench.url);
  await ready(page);
  await bench.pass(200);
  const middle = async () => {
    const due = (await page.getByRole('link', { name: /Open S1b/ }).boundingBox())!;
    return due.x + due.width / 2;
  };
  // The shelf slides there.
  await expect.poll(async () => Math.abs((await middle()) - 195)).toBeLessThan(115);
  const thumb = page.getByRole('button', { name: 'Mark the silt on S1b' }).filter({ visible: true });
  // What is called changed as time passed: a press within two seconds would be asked which jar it was meant for.
  await bench.pass(3);
  const box = (await thumb.boundingBox())!;
  expect(box.height).toBeGreaterThanOrEqual(60);
  expect(box.y).toBeGreaterThan(700);
  await thumb.tap();
  await expect(page.getByText(/S1b: silt marked at 2:0\d h/)).toBeVisible();
});

test('a call sounds when a mark falls due, once, and not in quiet hours', async ({ bench }) => {
  const page = await bench.open('/');
  await page.evaluate(() => {
    const counted = globalThis as unknown as { tones: number; said: string[]; screens: number };
    counted.tones = 0;
    counted.said = [];
    counted.screens = 0;
    speechSynthesis.speak = (words) => void counted.said.push(words.text);
    const lock = { release: async () => {}, addEventListener: () => {} };
    Object.defineProperty(navigator, 'wakeLock', {
      value: { request: async () => ((counted.screens += 1), lock) }
    });
    const start = OscillatorNode.prototype.start;
    OscillatorNode.prototype.start = function (when) {
      counted.tones += 1;
      start.call(this, when);
    };
  });
  const tones = () => page.evaluate(() => (globalThis as unknown as { tones: number }).tones);
  // Quiet hours off, so that the hour of the run does not matter.
  const { ulid } = await import('ulid');
  const say = (name: string, payload: object) =>
    fetch(`${bench.url}/api/v1/commands/${name}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ commandId: ulid(), at: bench.now(), payload })
    }).then((r) => expect(r.ok).toBe(true));
  await say('profile.set', { quietFrom: 0, quietTo: 0, sound: 'bell', spoken: 'on' });
  const sampleId = ulid();
  await say('sample.add', { sampleId, name: 'Walled garden', purpose: 'garden' });
  const jar = async () => {
    const testId = ulid();
    const fill = { soilMm: 43, waterMm: 128, dispersantMl: 4 };
    await say('jar.prepare', {
      testId,
      sampleId,
      vesselId: 'jar-litre',
      methodKey: 'jar-timed',
      tempC: 18,
      ...fill
    });
    await say('jar.set-down', { testId, runId: ulid() });
  };
  await page.locator('body').click({ position: { x: 5, y: 300 } });
  await jar();
  await expect(page.getByRole('link', { name: /Open W1,/ })).toBeVisible();
  await bench.pass(61);
  await expect.poll(tones).toBe(4);
  const { said, screens } = await page.evaluate(() => {
    const { said, screens } = globalThis as unknown as { said: string[]; screens: number };
    return { said, screens };
  });
  expect(said).toEqual(['Jar W1, mark the sand']);
  // The minute was stood through with the screen on.
  expect(screens).toBe(1);
  await bench.pass(2);
  expect(await tones()).toBe(4);
  await say('profile.set', { quietFrom: 0, quietTo: 1439 });
  await jar();
  await expect(page.getByRole('link', { name: /Open W1b,/ })).toBeVisible();
  await bench.pass(61);
  await expect(page.getByRole('button', { name: 'Mark the sand on W1b' })).toBeVisible();
  expect(await tones()).toBe(4);
});

test('every way of calling can be tried, and says so when the browser refuses it', async ({ bench }) => {
  const page = await bench.open('/profile', { permissions: [] });
  await page.evaluate(() => {
    const counted = globalThis as unknown as { said: string[] };
    counted.said = [];
    speechSynthesis.speak = (words) => void counted.said.push(words.text);
    Object.defineProperty(navigator, 'wakeLock', {
      configurable: true,
      value: { request: async () => ({ release: async () => {}, addEventListener: () => {} }) }
    });
  });
  await page.getByRole('button', { name: 'Hear it' }).click();
  await expect(page.getByText('That was the call.')).toBeVisible();
  await page.getByRole('button', { name: 'Try it: Say it aloud' }).click();
  await expect(page.getByText('It was said.')).toBeVisible();
  expect(await page.evaluate(() => (globalThis as unknown as { said: string[] }).said)).toEqual([
    'Jar K3, mark the sand'
  ]);
  await page.getByRole('button', { name: 'Try it: Title and tab mark' }).click();
  await expect(page).toHaveTitle('● K3 · mark the sand now');
  await bench.pass(6);
  await expect(page).toHaveTitle('Profile · Tivrel');
  await page.getByRole('button', { name: 'Try it: Screen kept on' }).click();
  await expect(page.getByText('This browser keeps the screen on while a call is near.')).toBeVisible();

  await page.evaluate(() => {
    Object.defineProperty(navigator, 'wakeLock', { configurable: true, value: undefined });
    Reflect.deleteProperty(globalThis, 'speechSynthesis');
    Notification.requestPermission = async () => 'denied';
  });
  await page.getByRole('button', { name: 'Try it: Screen kept on' }).click();
  await expect(page.getByText('This browser lets the screen go dark.')).toBeVisible();
  await page.getByRole('button', { name: 'Try it: Say it aloud' }).click();
  await expect(page.getByText('This browser cannot speak.')).toBeVisible();
  await page.getByRole('button', { name: 'Try it: Notice of the browser' }).click();
  await expect(page.getByText('This browser shows no notices from this page.')).toBeVisible();
  expect(bench.troubles).toEqual([]);
});
