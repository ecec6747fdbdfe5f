import { ulid } from 'ulid';
import { command, expect, jarByCommand, markInTurn, ready, test, type Bench } from './bench';

const DAY = 86_400;

/** A finished jar of a soil, its heights as they are read, mm. */
async function finishedJar(
  bench: Bench,
  name: string,
  [sand, silt, clay]: [number, number, number],
  sampleId?: string
): Promise<{ testId: string; sampleId: string }> {
  const jar = sampleId
    ? { sampleId, testId: ulid(), runId: ulid() }
    : await jarByCommand(bench, name, { purpose: 'build', stands: true });
  const { testId, runId } = jar;
  if (sampleId) {
    const set = { vesselId: 'jar-litre', methodKey: 'jar-timed', tempC: 18 };
    await command(bench, 'jar.prepare', {
      testId,
      sampleId,
      ...set,
      soilMm: 43,
      waterMm: 128,
      dispersantMl: 4
    });
    await command(bench, 'jar.set-down', { testId, runId });
  }
  await markInTurn(bench, { testId, runId }, [
    ['sand', 60, sand],
    ['silt', 7200, silt],
    ['clay', DAY, clay]
  ]);
  const line = (mm: number) => ({ mm, text: `${mm} mm` });
  const readingId = ulid();
  const lines = { sand: line(sand), silt: line(silt), clay: line(clay) };
  await command(bench, 'jar.read', { testId, readingId, entry: { ruler: 'mm', lines } });
  await command(bench, 'test.finish', { testId, readingId, resultId: ulid() });
  return jar;
}

test('from the jar to the crushed block, by keys alone, each thing when it calls', async ({ bench }) => {
  const { testId } = await finishedJar(bench, 'Draw-well seam', [31, 39, 50]);
  const page = await bench.open(`/tests/${testId}`);
  // The finished test says what it comes to for a wall, and leads there.
  await expect(page.getByText(/windows .*(pressed blocks|cob|rammed|cement)/)).toBeVisible();
  await page.getByRole('link', { name: 'Act on it' }).press('Enter');
  await expect(page.getByTestId('act-verdict')).toHaveText(/pressed blocks|rammed earth|cob and adobe/);
  await page.getByRole('link', { name: 'Make trial pieces' }).press('Enter');
  await expect(page.getByRole('heading', { name: 'Make trial pieces' })).toBeVisible();
  await expect(page.getByLabel('Of which soil?')).toHaveValue(/.+/);

  // What no set can be stands beside its field, and what was typed stays; the board shows the set as it will stand.
  await page.getByLabel('How many?').fill('2');
  await page.getByLabel('Width of the piston that crushes them').fill('0 mm');
  await page.getByLabel('Water at forming, % of dry').fill('90');
  await page.getByRole('button', { name: 'Set it on the bench' }).press('Enter');
  await expect(page.getByText('no more than there are')).toBeVisible();
  await expect(page.getByText('Give the width of the piston, from 5 to 500 mm.')).toBeVisible();
  await expect(page.getByText('more is mud')).toBeVisible();
  await page.getByLabel('How many of them are soaked?').fill('1');
  await page.getByLabel('Width of the piston that crushes them').fill('50 mm');
  await page.getByLabel('Water at forming, % of dry').fill('9');
  await page.getByLabel('Pressure at forming').fill('2000 psi');
  await page.getByLabel('With cement or lime?').selectOption('cement');
  await expect(page.getByLabel('How much of it, % of dry')).toHaveValue('8');
  await expect(page.getByLabel('Days of curing')).toHaveValue('28');
  await expect(page.getByTestId('board').getByRole('img', { name: /2 not made yet/ })).toBeVisible();
  await expect(page.getByTestId('board')).toContainText('look, and crush them wet');
  await page.getByRole('button', { name: 'Set it on the bench' }).press('Enter');
  await expect(page.getByRole('heading', { name: 'Blocks D1t1' })).toBeVisible();
  await expect(page.getByText('formed with 9 % of water at 13.8 MPa (2000 psi)')).toBeVisible();

  // Formed, kept damp, and called from the bench when the time has come.
  await page.getByRole('button', { name: 'They are formed' }).press('Enter');
  await expect(page.getByText('Keep them damp: wet the sacking')).toBeVisible();
  await page.goto(bench.url);
  await ready(page);
  await expect(page.getByRole('region', { name: 'Trial pieces on the bench' })).toContainText(
    '2 blocks · 8 % cement'
  );
  for (const days of [1, 2, 4]) {
    await bench.pass(days * DAY);
    await expect(page).toHaveTitle(/● D1t1 · wet them/);
    await page.getByRole('button', { name: 'Wetted' }).press('Enter');
    await expect(page).not.toHaveTitle(/●/);
  }
  await bench.pass(21 * DAY + 60);
  await expect(page.getByRole('complementary', { name: 'Due' })).toContainText(
    'D1t1 · put them into water now'
  );
  await page.getByRole('button', { name: 'They lie in the water' }).press('Enter');
  await page.getByRole('complementary', { name: 'Due' }).getByRole('link').press('Enter');

  // The dry one under the press: bad figures are told beside their fields, good ones work themselves out.
  const first = page.getByRole('listitem').filter({ hasText: 'Piece 1' });
  await first.getByLabel('Length').fill('100');
  await first.getByLabel('Width').fill('49');
  await first.getByLabel('Height').fill('60');
  await first.getByLabel('Dry mass, g').fill('55');
  await first.getByLabel('Gauge as it broke').fill('hard');
  await first.getByRole('button', { name: 'Keep this piece' }).press('Enter');
  await expect(first.getByText('such as 13.8 MPa or 2000 psi')).toBeVisible();
  await expect(first.getByText(/Look at mass and sides again/)).toBeVisible();
  await first.getByLabel('Dry mass, g').fill('550');
  await first.getByLabel('Gauge as it broke').fill('2000 psi');
  await first.getByRole('button', { name: 'Keep this piece' }).press('Enter');
  await expect(
    first.getByText('2000 psi on a piston of 50 mm is 27.1 kN; over 4900 mm²: 5.5 MPa (800 psi)')
  ).toBeVisible();
  await expect(page.getByTestId('trial-verdict')).toHaveText(/^Decent for a small block, dry/);

  // The soaked one, three days on, by the simulated press: marked as such.
  await bench.pass(3 * DAY);
  const second = page.getByRole('listitem').filter({ hasText: 'Piece 2' });
  await second.getByRole('button', { name: 'Keep this piece' }).press('Enter');
  await expect(second.getByText('Say what it looks like after the soak.')).toBeVisible();
  await second.getByLabel('After the soak it').selectOption({ label: 'keeps its shape' });
  await expect(second.getByLabel('Width')).toHaveValue('49');
  await second.getByRole('button', { name: 'Crush it on the simulated press' }).press('Enter');
  await expect(second.getByLabel('Gauge as it broke')).toHaveValue(/^\d+(\.\d)? MPa$/);
  await second.getByRole('button', { name: 'Keep this piece' }).press('Enter');
  await expect(second.getByText('simulated', { exact: true })).toBeVisible();
  await expect(page.getByTestId('trial-verdict')).toHaveText(/after the soak/);
  await expect(page.getByText(/Wet it holds \d+ % of what it holds dry\./)).toBeVisible();
  await page.getByRole('button', { name: 'Finish' }).first().press('Enter');
  await expect(page.getByRole('button', { name: 'Open it again' })).toBeVisible();

  const { trials } = await (await fetch(`${bench.url}/api/v1/trials`)).json();
  expect(trials[0].pieces.map((one: { simulated: boolean }) => one.simulated)).toEqual([false, true]);
  expect(trials[0].pieces[0].strengthMpa).toBeCloseTo(5.526, 2);
  expect(bench.troubles).toEqual([]);
});

test('pieces go into the water while the server is away, with their true time', async ({ bench }) => {
  const sampleId = ulid();
  const trialId = ulid();
  await command(bench, 'sample.add', { sampleId, name: 'Till bank', purpose: 'build' });
  const set = { kind: 'block', count: 2, soaked: 1, cureDays: 7, soakDays: 3 };
  await command(bench, 'trial.plan', { trialId, sampleId, ...set });
  const page = await bench.open(`/trials/${trialId}`);
  await page.getByRole('button', { name: 'They were formed before' }).click();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('alert')).toHaveText(/Give the day and the time/);
  await bench.kill();
  const at = bench.now();
  await page.getByRole('button', { name: 'They are formed' }).click();
  await expect(page.getByText('Turn them, so that they dry evenly')).toBeVisible();
  await page.clock.fastForward(60_000);
  await bench.start();
  const formed = async () => (await (await fetch(`${bench.url}/api/v1/trials`)).json()).trials[0].formedAt;
  await expect.poll(formed).not.toBe(null);
  expect(Math.abs(Date.parse(await formed()) - at)).toBeLessThan(30_000);
});

test('a mix becomes a sample, and the jar of it stands beside what it promised', async ({ bench }) => {
  const { testId } = await finishedJar(bench, 'Lower bank', [16, 28, 48]);
  const page = await bench.open(`/act?test=${testId}&ask=wall&technique=pressed`);
  const answer = page.getByTestId('blend-answer');
  await expect(answer).toHaveText(/buckets? of L1, \d buckets? of building sand: the windows .* hold with/);
  await page.getByRole('button', { name: 'Keep this verdict' }).click();
  await expect(page.getByRole('heading', { name: 'Kept verdicts' })).toBeVisible();
  await expect(page.getByText('Mix it as the blend bench says, and run a jar of the mix.')).toBeVisible();
  await page.getByRole('link', { name: /^\d+ \w+ \d{4}$/ }).click();
  await expect(page.getByRole('table', { name: 'Every technique at once' })).toBeVisible();
  await expect(
    page.getByText(/buckets? of building sand: the windows .*of pressed blocks hold with/)
  ).toBeVisible();
  await page.getByRole('link', { name: 'Judge it anew' }).click();
  await page.getByRole('button', { name: 'Run a jar of this mix' }).click();
  // The jar of the mix is set like any other; the sample keeps what was promised.
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(page).toHaveURL(/set\?sample=/);
  const mixId = new URL(page.url()).searchParams.get('sample')!;
  await page.goto(`${bench.url}/samples/${mixId}`);
  await ready(page);
  const promise = page.getByRole('region', { name: 'What the mix promised' });
  await expect(promise).toContainText('For pressed blocks, heights as read.');
  await expect(promise).toContainText('No jar of it is finished yet.');
  await finishedJar(bench, '', [26, 36, 48], mixId);
  await page.reload();
  await ready(page);
  await expect(promise.getByRole('link', { name: /^What M1 read$/ })).toBeVisible();
  await expect(promise.getByText(/^(As promised|Not as promised)/)).toBeVisible();
  await promise.getByRole('link', { name: /^What M1 read$/ }).click();
  await expect(page.getByRole('region', { name: 'What the mix promised' })).toBeVisible();
  expect(bench.troubles).toEqual([]);
});

test('soils that somebody sent are reported on one paper, under their numbers', async ({ bench }) => {
  await bench.fill();
  const page = await bench.open('/act?sand=62&clay=20&ask=wall');
  await page.getByRole('link', { name: 'Folders for clients' }).click();
  await page.getByRole('button', { name: 'A new folder' }).click();
  await page.getByRole('button', { name: 'Make the folder' }).click();
  await expect(page.getByRole('alert')).toContainText('Give the folder a name.');
  await page.getByLabel('What is it called?').fill('Two soils for a store');
  await page.getByLabel('Who sent the soils?').fill('a neighbour');
  const pick = async (at: number, code: RegExp, theirs: string) => {
    const soil = page.getByLabel('Sample').nth(at);
    const label = await soil.getByRole('option', { name: code }).first().textContent();
    await soil.selectOption({ label: label! });
    await page.getByLabel('Their number').nth(at).fill(theirs);
  };
  await pick(0, /^T1 /, '17');
  await page.getByRole('button', { name: 'Another soil' }).click();
  await pick(1, /^T1 /, '18');
  await page.getByRole('button', { name: 'Make the folder' }).click();
  await expect(page.getByRole('alert')).toContainText('in the folder already');
  await pick(1, /^C1 /, '18');
  await page.getByRole('button', { name: 'Make the folder' }).click();
  await expect(page.getByRole('heading', { name: 'Two soils for a store' })).toBeVisible();
  const first = page.getByRole('region', { name: '17' });
  await expect(first).toContainText('our T1');
  await expect(first).toContainText(/Stabilised: holds 3\.4 MPa/);
  await expect(first).toContainText('local codes and a licensed engineer come next');
  await expect(page.getByRole('region', { name: '18' })).toContainText('No mix of C1c, S2 meets');
  const { folders } = await (await fetch(`${bench.url}/api/v1/folders`)).json();
  expect(folders[0].soils.map((soil: { theirs: string }) => soil.theirs)).toEqual(['17', '18']);

  // Side by side: which mix to build with, and how sure.
  await page.getByRole('link', { name: 'Soils and mixes side by side' }).click();
  await expect(page.getByTestId('beside-verdict')).toHaveText(
    /^T1t4 holds more wet than T1t3, with over\s99\s%\.$/
  );
  await expect(page.getByRole('row', { name: /^T1t3/ })).toContainText('fails wet');
  expect(bench.troubles).toEqual([]);
});
