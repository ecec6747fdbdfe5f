import { fillPlan, METHODS, readWhenDown, usualVessel, type Method } from '../../src/lib/core/index.ts';
import { expect, ready, test, type Bench } from './bench';
import type { Page } from '@playwright/test';

/** Tops that are typed in, mm, or mL where a cylinder is read by its scale; and what an instrument shows. */
const TOPS = { jar: { Sand: '18', Silt: '27', Clay: '32' }, cylinder: { Sand: '9', Silt: '15', Clay: '18' } };
const SHOWN = {
  'hydrometer-2pt': [21, 12],
  'hydrometer-curve': [31, 29, 27, 24, 21, 18, 16, 15, 14, 12, 11],
  pipette: [0.32, 0.2]
};

/** A jar by a method, from the form to the log, as a person with a clock would do it. */
async function walk(bench: Bench, page: Page, method: Method, phone: boolean): Promise<void> {
  await page.goto(`${bench.url}/set?method=${method.key}`);
  await ready(page);
  await page.getByLabel('Where the soil came from').fill(`Skarn Holm, ${method.name}`);
  await expect(page.getByLabel('Which vessel?').last()).toHaveValue(usualVessel(method).id);
  await page.getByRole('button', { name: 'Prepare this jar' }).click();
  const head = page.getByRole('heading', { name: /^Get .+ ready$/ });
  await expect(head).toBeVisible();
  const code = /^Get (.+) ready$/.exec((await head.textContent())!)![1];
  const id = /\/set\/(\w+)/.exec(page.url())![1];
  await page.getByRole('checkbox').first().check();
  await page.getByRole('button', { name: 'Set down' }).click();
  const down = bench.now();
  if (method.readings) {
    await instrument(bench, page, method, id, down);
  } else {
    await expect(page.getByRole('list', { name: 'Jars on the shelf' })).toBeVisible();
    for (const mark of method.marks) {
      await bench.passTo(down + mark.atS * 1000 + 800);
      await expect(page).toHaveTitle(new RegExp(`● ${code} · mark the ${mark.layer} now`));
      await page
        .getByRole('button', { name: `Mark the ${mark.layer} on ${code}` })
        .filter({ visible: true })
        .click();
      await expect(page.getByText(`${code}: ${mark.layer} marked at`)).toBeVisible();
    }
    if (method.marks.length === 0) {
      // The layers are called once silt is down in this jar, if the method says no later.
      const fill = fillPlan(method, usualVessel(method));
      const { end } = readWhenDown(method, { ...fill, tempC: 18 });
      await bench.passTo(down + end.fromS * 1000 + 800);
      await expect(page).toHaveTitle(new RegExp(`● ${code} · read the layers now`));
    }
    await page.goto(`${bench.url}/read/${id}`);
    await ready(page);
    await layers(page, method);
  }
  await page.goto(`${bench.url}/log`);
  await ready(page);
  await expect(page.getByRole('row', { name: new RegExp(`^${code} `) })).toContainText(
    method.key === 'bottle-five-minute'
      ? /\d+\s% sand/
      : /(class|one of them|likeliest [a-z ]+) (over\s)?\d+\s%/
  );
  if (phone)
    expect(await page.evaluate(() => document.documentElement.scrollWidth), method.key).toBeLessThanOrEqual(
      390
    );
}

async function layers(page: Page, method: Method): Promise<void> {
  const line = (layer: string) => page.getByRole('textbox', { name: new RegExp(`^${layer} ?: Top of`) });
  const tops = method.vesselKind === 'cylinder' ? TOPS.cylinder : TOPS.jar;
  if (method.key === 'bottle-five-minute') {
    await line('Sand').fill('30');
    await page.getByLabel('Whole deposit, measured apart').fill('62');
    await expect(page.getByTestId('headline')).toHaveText(/^Sand is 48\s% of what settled/);
  } else {
    for (const layer of ['Clay', 'Silt', 'Sand'] as const) await line(layer).fill(tops[layer]);
    await expect(page.getByTestId('as-read')).toContainText(/Heights as read: 5\d · \d+ · \d+ %/);
    await expect(page.getByText(/How does the water over it look/)).toBeVisible();
    await page.getByText('not looked at', { exact: true }).click();
    await expect(page.getByTestId('headline')).toBeVisible();
    // What was read before silt was down says so, with the range it leaves.
    const soon = page.getByText(/^Read too soon: at/);
    if (method.kind === 'jar') await expect(soon).toBeHidden();
    else await expect(soon).toBeVisible();
  }
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  await page.getByRole('button', { name: 'Finish the test' }).click();
  await expect(page.getByRole('region', { name: 'Result' })).toBeVisible();
}

async function instrument(bench: Bench, page: Page, method: Method, id: string, down: number): Promise<void> {
  await expect(page).toHaveURL(new RegExp(`/read/${id}/cylinder`));
  const values = SHOWN[method.key as 'pipette'];
  const press = page.getByRole('button', { name: method.kind === 'pipette' ? 'Drawn now' : 'Read now' });
  for (const [no, value] of values.entries()) {
    // A draw falls due by the warmth of its water: the page says when.
    const asked = await page
      .getByRole('row', { name: new RegExp(`^${no + 1} `) })
      .getByRole('cell')
      .nth(0)
      .textContent();
    await bench.passTo(down + secondsOf(asked!) * 1000 + 400);
    await press.click();
    const field = page.getByLabel(`Reading ${no + 1}`, { exact: true });
    await field.fill(String(value));
    await field.blur();
    await expect(field).toHaveValue(String(value));
    // The hand that pressed is off again before the next.
    if (no + 1 < values.length) await bench.pass(5);
  }
  await expect(
    page
      .getByText(/Nobody weighed how much water the air-dry soil held/)
      .or(page.getByText(/coarsest draw cut/))
  ).toBeVisible();
  if (method.kind === 'pipette') {
    await page.getByRole('button', { name: 'Add a mesh' }).click();
    await page.getByLabel('Mesh 1', { exact: true }).fill('50');
    await page.getByLabel('Stayed on mesh 1').fill('8');
    await page.getByRole('button', { name: 'Keep what was weighed' }).click();
  }
  await page.getByRole('button', { name: 'Finish and keep the result' }).click();
  await expect(page.getByTestId('headline')).toHaveText(/ soil: \d+\s% /);
}

/** A time on the sheet: `0:40`, `6:30 h`, `1 d 2 h`. */
function secondsOf(text: string): number {
  const days = /^(\d+) d (\d+) h$/.exec(text.trim());
  if (days) return Number(days[1]) * 86_400 + Number(days[2]) * 3600;
  const [, a, b, h] = /^(\d+):(\d\d)( h)?$/.exec(text.trim())!;
  return h ? Number(a) * 3600 + Number(b) * 60 : Number(a) * 60 + Number(b);
}

for (const [size, viewport] of [
  ['a desk', { width: 1280, height: 800 }],
  ['a phone', { width: 390, height: 844 }]
] as const) {
  test(`every method, from the form to the log, on ${size}`, async ({ bench }) => {
    test.setTimeout(900_000);
    const page = await bench.open('/', { viewport, hasTouch: size === 'a phone' });
    for (const method of METHODS) await walk(bench, page, method, size === 'a phone');
    await expect(page.getByRole('row')).toHaveCount(METHODS.length + 1);
    expect(bench.troubles).toEqual([]);
  });
}
