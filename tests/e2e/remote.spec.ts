import { join } from 'node:path';
import { startStandIn } from '../standin/start';
import { Bench, expect, freePort, jarByCommand, ready, test } from './bench';

test('two servers on one database agree within a second, and a mark outlives a database that is away', async ({
  browser
}) => {
  const one = new Bench(browser);
  const two = new Bench(browser);
  const port = await freePort();
  const file = join(one.folder, 'shared.db');
  let standIn = await startStandIn(file, port);
  const env = { DATABASE_URL: standIn.url };
  // At the same moment: one of them brings the database up to date.
  await Promise.all([one.start(env), two.start(env)]);
  const { testId } = await jarByCommand(one, 'Boat store', { stands: true });
  const here = await one.open('/');
  const there = await two.open('/');
  await expect(there.getByRole('link', { name: /Open B1/ })).toBeVisible();
  await jarByCommand(one, 'Lower bank', { stands: true });
  const began = Date.now();
  await expect(there.getByRole('link', { name: /Open L1/ })).toBeVisible();
  test
    .info()
    .annotations.push({ type: 'the other server shows it after', description: `${Date.now() - began} ms` });

  await here.goto(`${one.url}/tests/${testId}`);
  // From here on a press is never lost.
  await ready(here);
  await expect(here.getByRole('heading', { name: /B1/ }).first()).toBeVisible();
  await standIn.end();
  await here.keyboard.press('m');
  await expect(here.getByText(/waits?|waiting/i).first()).toBeVisible();
  standIn = await startStandIn(file, port);
  await there.goto(`${two.url}/tests/${testId}`);
  await expect(there.getByRole('listitem').filter({ hasText: 'Marked' }).first()).toBeVisible();
  const { test: kept } = (await (await fetch(`${two.url}/api/v1/tests/${testId}`)).json()) as {
    test: { runs: { marks: unknown[] }[] };
  };
  expect(kept.runs[0].marks).toHaveLength(1);
  await one.close();
  await two.close();
  await standIn.end();
});
