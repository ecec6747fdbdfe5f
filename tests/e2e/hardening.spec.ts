import { execFile } from 'node:child_process';
import { readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { createClient } from '@libsql/client';
import { ulid } from 'ulid';
import { Crowd } from '../hardening/crowd';
import { command, expect, ready, test, type Bench } from './bench';

/** Sends a sample of some weight; the status, and the sentence of a refusal. */
async function sample(bench: Bench, sampleId: string): Promise<{ status: number; message: string }> {
  const payload = { sampleId, name: 'Till bank', purpose: 'garden', note: 'n'.repeat(400) };
  const answer = await fetch(`${bench.url}/api/v1/commands/sample.add`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ commandId: ulid(), at: bench.now(), payload })
  });
  return { status: answer.status, message: answer.ok ? '' : (await answer.json()).message };
}

test('a crowd of 500 windows and 200 slow clients holds nobody up, and leaves nothing behind', async ({
  bench
}) => {
  const crowd = new Crowd(bench.url);
  await crowd.gather(500, 200);
  const page = await bench.open('/log');
  await command(bench, 'sample.add', { sampleId: ulid(), name: 'Till bank', purpose: 'garden' });
  await expect.poll(() => crowd.heard('sample.add')).toBe(500);
  await page.goto(`${bench.url}/plan`);
  await ready(page);
  crowd.leave();
  await command(bench, 'sample.add', { sampleId: ulid(), name: 'North bed', purpose: 'garden' });
  const { samples } = await (await fetch(`${bench.url}/api/v1/samples`)).json();
  expect(samples).toHaveLength(2);
  expect(bench.troubles).toEqual([]);
});

test('a disk that is full refuses with a sentence, shows all there is, and loses nothing', async ({
  bench
}) => {
  await bench.kill();
  const { size } = statSync(join(bench.folder, 'bench.db'));
  await bench.start({}, { fileKb: Math.ceil(size / 1024) + 1500 });
  const kept: string[] = [];
  let full: Awaited<ReturnType<typeof sample>> | undefined;
  for (let i = 0; i < 3000 && !full; i++) {
    const id = ulid();
    const answer = await sample(bench, id);
    if (answer.status === 200) kept.push(id);
    else full = answer;
  }
  expect(full?.status).toBe(507);
  expect(full?.message).toMatch(/disk/);
  expect(kept.length).toBeGreaterThan(20);
  for (const path of ['/', '/log', '/set', '/know']) {
    expect((await fetch(bench.url + path)).status, path).toBe(200);
  }
  // With room again it goes on; all that was acknowledged is there, and nothing else.
  await bench.kill();
  await bench.start();
  const id = ulid();
  expect((await sample(bench, id)).status).toBe(200);
  const { samples } = await (await fetch(`${bench.url}/api/v1/samples`)).json();
  expect(samples.map((one: { id: string }) => one.id).sort()).toEqual([...kept, id].sort());
});

test('a copy of the record is made from its page, looked through, and said plainly where it cannot be', async ({
  bench
}) => {
  await command(bench, 'sample.add', { sampleId: ulid(), name: 'Till bank', purpose: 'garden' });
  const page = await bench.open('/profile');
  const copies = page.getByRole('region', { name: 'Copies of the record' });
  await expect(copies).toContainText('None was made yet');
  const now = copies.getByRole('button', { name: 'Make a copy now' });
  const inTheWay = join(bench.folder, 'backups');
  writeFileSync(inTheWay, '');
  await now.click();
  await expect(copies.getByRole('alert')).toContainText(
    /could not be made.*cannot be written: there is no such place/
  );
  rmSync(inTheWay);
  await now.click();
  await expect(copies.getByRole('listitem')).toContainText('0 tests, 1 sample,');
  await expect(copies.getByRole('alert')).toBeHidden();
  await expect(copies).toContainText('./tivrel restore');
  expect(bench.troubles.filter((line) => !/status of 507/.test(line))).toEqual([]);
});

/** Addresses of all pages, with ids of what is there in place of each name in brackets. */
async function addresses(bench: Bench): Promise<string[]> {
  const client = createClient({ url: bench.database });
  const ids = async (query: string) =>
    (await client.execute(query)).rows.map((row) => encodeURIComponent(String(row.id)));
  const some = (table: string) => ids(`select id from ${table} order by random() limit 8`);
  const of: Record<string, string[]> = {
    '/act/folders/[id]': await some('folder'),
    '/act/kept/[id]': await some('judgement'),
    '/act/seasons/[area]': await some('area'),
    '/holes/[id]': await some('hole'),
    '/plan/ground/[id]': await some('site'),
    '/samples/[id]': await some('sample'),
    '/trials/[id]': await some('trial'),
    '/plan/methods/[key]': await ids('select distinct key as id from method')
  };
  const walks = await client.execute('select site_id, id from area limit 8');
  const tests = [
    ...(await some('test')),
    ...(await ids("select id from test where status = 'finished' limit 8"))
  ];
  client.close();
  const pages = readdirSync('src/routes', { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('+page.svelte'))
    .map((file) => `/${file.replace(/\/?\+page\.svelte$/, '')}`);
  return pages.flatMap((page) => {
    if (!page.includes('[')) return [page];
    if (page.includes('/walk/')) return walks.rows.map((row) => `/plan/ground/${row.site_id}/walk/${row.id}`);
    const known = Object.keys(of).find((one) => page.startsWith(one));
    return (known ? of[known] : tests).map((id) => page.replace(/\[\w+\]/, id));
  });
}

test('every page opens after an attack of commands of all kinds', async ({ bench }) => {
  await bench.kill();
  const attacker = ['--import', 'tsx', 'tests/hardening/attacker.ts', bench.database];
  const { TIVREL_ATTACKS = '1500', TIVREL_SEED = '7' } = process.env;
  test.setTimeout(400_000 + 10 * Number(TIVREL_ATTACKS));
  await promisify(execFile)('node', [...attacker, TIVREL_ATTACKS, TIVREL_SEED]);
  await bench.start();
  const asked = await addresses(bench);
  expect(asked.length).toBeGreaterThan(80);
  const failed: string[] = [];
  for (const path of asked) {
    const answer = await fetch(bench.url + path, { signal: AbortSignal.timeout(20_000) });
    await answer.text();
    if (answer.status >= 500) failed.push(`${answer.status} ${path}`);
  }
  expect(failed).toEqual([]);
});
