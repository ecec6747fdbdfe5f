import AxeBuilder from '@axe-core/playwright';
import { expect, jarByCommand, ready, test, type Bench } from './bench';
import type { Browser, Page } from '@playwright/test';

/** A window of somebody else's device. */
async function device(bench: Bench, path: string): Promise<Page> {
  return bench.open(path);
}

async function invited(keeper: Page, role: string): Promise<string> {
  await keeper.getByText(role, { exact: true }).last().click();
  await keeper.getByRole('button', { name: 'Make an invitation' }).click();
  const code = keeper.getByLabel('Code of the invitation');
  await expect(keeper.getByText(`An invitation as ${role}`)).toBeVisible();
  return (await code.textContent())!.trim();
}

async function join(page: Page, code: string, name: string, passphrase: string): Promise<void> {
  await page.getByLabel('Code of the invitation').fill(code);
  await page.getByRole('button', { name: 'Go on' }).click();
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('Passphrase').fill(passphrase);
  await page.getByRole('button', { name: 'Come in' }).click();
  await page.waitForURL((url) => url.pathname === '/');
  await ready(page);
}

/** The first person takes the bench into keeping. */
async function keptBench(bench: Bench): Promise<Page> {
  const keeper = await bench.open('/people');
  await keeper.getByLabel('Name').fill('Lamp keeper');
  await keeper.getByLabel('Passphrase').fill('short');
  await keeper.getByRole('button', { name: 'Keep this bench' }).click();
  await expect(keeper.getByText('A passphrase needs at least 8 letters')).toBeVisible();
  await expect(keeper.getByLabel('Name')).toHaveValue('Lamp keeper');
  await keeper.getByLabel('Passphrase').fill('cistern lantern');
  await keeper.getByRole('button', { name: 'Keep this bench' }).click();
  await expect(keeper.getByRole('heading', { name: 'Invite somebody' })).toBeVisible();
  return keeper;
}

test('a crew comes in by invitations, each does what their role allows, and the record says who did what', async ({
  bench
}) => {
  const { testId } = await jarByCommand(bench, 'Boat store', { stands: true });
  const keeper = await keptBench(bench);
  expect((await new AxeBuilder({ page: keeper }).analyze()).violations).toEqual([]);
  // From now on nobody else sees anything.
  const stranger = await device(bench, '/log');
  await expect(stranger).toHaveURL(/\/enter\?to=%2Flog/);
  await expect(stranger.getByText('Boat store')).toBeHidden();

  const helper = await device(bench, '/join');
  await helper.getByLabel('Code of the invitation').fill('ABCD-EFGH-JKMN');
  await helper.getByRole('button', { name: 'Go on' }).click();
  await expect(helper.getByText('This invitation is not good')).toBeVisible();
  await join(helper, await invited(keeper, 'helper'), 'Garden crew', 'kale and leeks');
  const reader = await device(bench, '/join');
  await join(reader, await invited(keeper, 'reader'), 'Visitor', 'only looking on');

  await bench.pass(50);
  await helper.goto(`${bench.url}/tests/${testId}`);
  await ready(helper);
  await helper
    .getByRole('button', { name: /Mark the sand/ })
    .first()
    .click();
  await expect(helper.getByText('Garden crew').first()).toBeVisible();
  await reader.goto(`${bench.url}/tests/${testId}`);
  await ready(reader);
  await reader
    .getByRole('button', { name: /Mark the silt|Mark the clay/ })
    .first()
    .click();
  await expect(reader.getByText('You read here').first()).toBeVisible();
  const denied = await helper.request.post(`${bench.url}/api/v1/commands/bin.empty`, { data: {} });
  expect([denied.status(), (await denied.json()).message]).toEqual([
    403,
    'Only whoever keeps the bench does that.'
  ]);
  expect((await helper.goto(`${bench.url}/people`))?.status()).toBe(403);

  // The keeper lets the helper in no more: the device is out at its next step.
  await keeper.reload();
  await keeper.getByRole('button', { name: 'Let Garden crew in no more' }).click();
  await keeper.getByRole('dialog').getByRole('button', { name: 'Let in no more' }).click();
  await expect(keeper.getByText(/^until /)).toBeVisible();
  await helper.goto(`${bench.url}/log`);
  await expect(helper).toHaveURL(/\/enter/);
  await helper.getByLabel('Name').fill('Garden crew');
  await helper.getByLabel('Passphrase').fill('kale and leeks');
  await helper.getByRole('button', { name: 'Enter' }).click();
  await expect(helper.getByText('do not belong together')).toBeVisible();
  await keeper.goto(`${bench.url}/log?person=Garden+crew`);
  await expect(keeper.getByText('1 test', { exact: true })).toBeVisible();
  expect(bench.troubles.filter((one) => !/40[0134]/.test(one))).toEqual([]);
});

test('two people edit one sample at once: the second is shown both, and chooses', async ({ bench }) => {
  const { sampleId } = await jarByCommand(bench, 'Walled garden');
  const keeper = await keptBench(bench);
  const helper = await device(bench, '/join');
  await join(helper, await invited(keeper, 'helper'), 'Garden crew', 'kale and leeks');
  for (const page of [keeper, helper]) {
    await page.goto(`${bench.url}/samples/${sampleId}`);
    await ready(page);
    await page.getByRole('button', { name: 'Write up the sample' }).click();
  }
  const note = (page: Page) => page.getByLabel('Note', { exact: true });
  const keep = (page: Page) => page.getByRole('button', { name: 'Keep the record' }).click();
  await note(keeper).fill('by the tap');
  await keep(keeper);
  await expect(keeper.getByText('by the tap')).toBeVisible();
  await note(helper).fill('limed last year');
  await keep(helper);
  const both = helper.getByRole('alert').filter({ hasText: 'Lamp keeper changed this' });
  await expect(both.getByRole('row', { name: 'Note by the tap limed last year' })).toBeVisible();
  expect((await new AxeBuilder({ page: helper }).analyze()).violations).toEqual([]);
  await both.getByRole('button', { name: 'Take theirs into the form' }).click();
  await expect(note(helper)).toHaveValue('by the tap');
  await note(helper).fill('by the tap; limed last year');
  await keep(helper);
  await expect(helper.getByText('by the tap; limed last year')).toBeVisible();
  await expect(keeper.getByText('by the tap; limed last year')).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('what is typed at the door before the page is awake is what is sent', async ({ bench }) => {
  const keeper = await keptBench(bench);
  const code = await invited(keeper, 'helper');
  const page = await bench.open('/join');
  let wake = () => {};
  const sleepy = async (path: string, type: () => Promise<void>) => {
    const asleep = new Promise<void>((resolve) => (wake = resolve));
    await page.route('**/_app/immutable/**', async (route) => {
      await asleep;
      await route.continue();
    });
    await page.goto(bench.url + path, { waitUntil: 'commit' });
    await type();
    wake();
    await ready(page);
    await page.unroute('**/_app/immutable/**');
  };
  await sleepy('/join', () => page.getByLabel('Code of the invitation').fill(code));
  await page.getByRole('button', { name: 'Go on' }).click();
  await page.getByLabel('Name').fill('Garden crew');
  await page.getByLabel('Passphrase').fill('kale and leeks');
  await page.getByRole('button', { name: 'Come in' }).click();
  await page.waitForURL((url) => url.pathname === '/');
  // A page that is open would ask for news without a pass meanwhile.
  await page.goto('about:blank');
  await page.context().clearCookies();
  await sleepy('/enter', async () => {
    await page.getByLabel('Name').fill('Garden crew');
    await page.getByLabel('Passphrase').fill('kale and leeks');
  });
  await page.getByRole('button', { name: 'Enter' }).click();
  await page.waitForURL((url) => url.pathname === '/');
  expect(bench.troubles).toEqual([]);
});

test('what a device kept for when the server is away is shown no more once its session has ended', async ({
  bench,
  browser
}: {
  bench: Bench;
  browser: Browser;
}) => {
  await jarByCommand(bench, 'Boat store');
  const keeper = await keptBench(bench);
  const code = await invited(keeper, 'helper');
  const context = await browser.newContext({ serviceWorkers: 'allow' });
  const page = await bench.openIn(context, '/join');
  await join(page, code, 'Garden crew', 'kale and leeks');
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.goto(`${bench.url}/log`);
  await expect(page.getByRole('link', { name: 'Boat store' })).toBeVisible();
  const kept = () =>
    page.evaluate(async () => {
      const names = (await caches.keys()).filter((name) => name.startsWith('pages-'));
      const boxes = await Promise.all(names.map(async (name) => (await caches.open(name)).keys()));
      return boxes.flat().length;
    });
  await expect.poll(kept).toBeGreaterThan(0);
  // Of very many pages those that were seen last are kept.
  await page.evaluate(async () => {
    const pages = await caches.open((await caches.keys()).find((name) => name.startsWith('pages-'))!);
    for (let i = 0; i < 300; i++) await pages.put(`/samples/${i}`, new Response('seen before'));
  });
  await page.goto(`${bench.url}/log`);
  await expect.poll(kept).toBeLessThanOrEqual(200);
  const logKept = () => page.evaluate(async () => (await caches.match('/log', { ignoreVary: true }))?.status);
  await expect.poll(logKept).toBe(200);
  await keeper.reload();
  await keeper.getByRole('button', { name: /Sign out Garden crew/ }).click();
  await expect(keeper.getByRole('button', { name: /Sign out Garden crew/ })).toBeHidden();
  await page.goto(`${bench.url}/log`);
  await expect(page).toHaveURL(/\/enter/);
  await expect.poll(kept).toBe(0);
  await bench.kill();
  await page.goto(`${bench.url}/log`).catch(() => {});
  await expect(page.getByText('Boat store')).toBeHidden();
});
