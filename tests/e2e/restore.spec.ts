import AxeBuilder from '@axe-core/playwright';
import { expect, test, Bench, jarByCommand } from './bench';

/** Codes of the tests in the log, by the API. */
async function codes(bench: Bench): Promise<string[]> {
  const { tests } = (await (await fetch(`${bench.url}/api/v1/tests`)).json()) as {
    tests: { code: string }[];
  };
  return tests.map(({ code }) => code).sort();
}

test('the bench goes back to a copy from the page, and an archive brings it to another bench', async ({
  bench,
  browser
}) => {
  await bench.fill();
  const was = await codes(bench);
  const page = await bench.open('/profile');
  await page.getByRole('button', { name: 'Make a copy now' }).click();
  const again = page.getByRole('button', { name: /Go back to the copy of/ });
  await expect(again).toBeVisible();
  const saving = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save the whole bench as a file' }).click();
  const file = await (await saving).path();

  await jarByCommand(bench, 'Boat store');
  expect(await codes(bench)).toHaveLength(was.length + 1);
  await again.click();
  const sheet = page.getByRole('dialog', { name: 'Put this bench in the place of the one here?' });
  await expect(sheet).toContainText(`holds ${was.length} tests`);
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  await sheet.getByRole('button', { name: 'Leave it' }).click();
  expect(await codes(bench)).toHaveLength(was.length + 1);
  await again.click();
  await sheet.getByRole('button', { name: 'Put it in place' }).click();
  await expect(page.getByText(/is in place\.$/)).toBeVisible();
  expect(await codes(bench)).toEqual(was);
  // What was there is a copy too.
  await expect(again).toHaveCount(2);

  const other = new Bench(browser);
  await other.start();
  const empty = await other.open('/profile');
  await empty.getByLabel('Bring a bench back from a file').setInputFiles({
    name: 'no.zip',
    mimeType: 'application/zip',
    buffer: Buffer.from('no zip')
  });
  await expect(empty.getByRole('alert')).toContainText('choose the zip that was saved here');
  await empty.getByLabel('Bring a bench back from a file').setInputFiles(file);
  await empty.getByRole('button', { name: 'Put it in place' }).click();
  await expect(empty.getByText(/is in place\.$/)).toBeVisible();
  expect(await codes(other)).toEqual(was);
  // The pages show it at once, pictures too.
  await empty.goto(`${other.url}/log`);
  await expect(empty.getByText(`${was.length} tests`, { exact: true })).toBeVisible();
  expect([...bench.troubles, ...other.troubles]).toEqual([]);
  await other.close();
});
