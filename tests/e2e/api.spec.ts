import { ulid } from 'ulid';
import { command, expect, jarByCommand, test } from './bench';

test('pictures by the API: taken, kept anew, and refused in words', async ({ bench }) => {
  const send = (body: BodyInit, type = 'application/octet-stream') =>
    fetch(`${bench.url}/api/v1/photos`, {
      method: 'POST',
      headers: type ? { 'content-type': type } : {},
      body
    });
  const { default: sharp } = await import('sharp');
  const picture = await sharp({ create: { width: 300, height: 200, channels: 3, background: '#8a6a3c' } })
    .webp()
    .toBuffer();
  const kept = await send(new Uint8Array(picture));
  expect(kept.status).toBe(201);
  const { id, width, height } = await kept.json();
  expect([width, height]).toEqual([300, 200]);
  const back = await fetch(`${bench.url}/api/v1/photos/${id}`);
  expect(back.headers.get('content-type')).toBe('image/jpeg');
  expect(back.headers.get('x-content-type-options')).toBe('nosniff');
  expect((await sharp(Buffer.from(await back.arrayBuffer())).metadata()).format).toBe('jpeg');
  // Asked for each time, and sent only where it is not there: whoever is let in no more sees it no more.
  expect(back.headers.get('cache-control')).toBe('private, no-cache');
  const again = { headers: { 'if-none-match': back.headers.get('etag')! } };
  expect((await fetch(`${bench.url}/api/v1/photos/${id}`, again)).status).toBe(304);
  const none = await send('<script>alert(1)</script>');
  expect(none.status).toBe(422);
  expect((await none.json()).fields.file).toMatch(/JPEG, PNG or WebP/);
  const unsaid = await send(new Uint8Array(picture), '');
  expect((await unsaid.json()).message).toMatch(/with a content-type/);
  const large = await send(new Uint8Array(15_200_000));
  expect((await large.json()).message).toMatch(/over 15 MB/);
  expect((await fetch(`${bench.url}/api/v1/photos/${ulid()}`)).status).toBe(404);

  const { sampleId } = await jarByCommand(bench, 'Till bank');
  const photoId = ulid();
  await command(bench, 'photo.add', { photoId, fileId: id, subject: 'sample', subjectId: sampleId });
  const page = await fetch(`${bench.url}/samples/${sampleId}`);
  expect(await page.text()).toContain(`/api/v1/photos/${id}`);
});

test('what is no command, no JSON, or too much is refused without harm', async ({ bench }) => {
  const post = (name: string, body: string) =>
    fetch(`${bench.url}/api/v1/commands/${name}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body
    });
  expect((await post('site.burn', '{}')).status).toBe(404);
  const broken = await post('site.add', '{"commandId"');
  expect(broken.status).toBe(400);
  expect((await broken.json()).message).toBe('The body is not JSON.');
  const long = await post('site.add', `{"payload":"${'x'.repeat(2_100_000)}"}`);
  expect(long.status).toBe(413);
  const siteId = ulid();
  await command(bench, 'site.add', { siteId, name: 'Skarn Holm' });
  const text = await (await fetch(`${bench.url}/api/v1/sites/${siteId}/geojson`)).json();
  expect(text).toEqual({ type: 'FeatureCollection', name: 'Skarn Holm', localMetres: true, features: [] });
  expect((await fetch(`${bench.url}/api/v1/sites/${ulid()}/geojson`)).status).toBe(404);
  expect((await fetch(`${bench.url}/plan/ground/${ulid()}`)).status).toBe(404);
  expect((await fetch(`${bench.url}/plan/methods/jar-of-dreams`)).status).toBe(404);
  expect((await fetch(`${bench.url}/plan/methods/jar-of-dreams/edit`)).status).toBe(404);
  const working = (id: string, paper = '') =>
    fetch(`${bench.url}/api/v1/tests/${id}/working.pdf${paper}`).then((answer) => answer.status);
  expect(await working(ulid())).toBe(404);
  const { testId } = await jarByCommand(bench, 'Till bank', { stands: true });
  expect(await working(testId), 'nothing has been read yet').toBe(409);
  expect(await working(testId, '?paper=slate')).toBe(400);
});

test('jars of one sample stand together; shaking counts up on the shelf', async ({ bench }) => {
  const page = await bench.open('/');
  const first = await jarByCommand(bench, 'Walled garden');
  await jarByCommand(bench, 'Till bank');
  const testId = ulid();
  await command(bench, 'jar.prepare', {
    testId,
    sampleId: first.sampleId,
    vesselId: 'jar-half-litre',
    methodKey: 'jar-timed',
    tempC: 18,
    soilMm: 31,
    waterMm: 92,
    dispersantMl: 2
  });
  const codes = () =>
    page
      .getByRole('list', { name: 'Jars on the shelf' })
      .getByRole('link')
      .evaluateAll((links) => links.map((l) => l.getAttribute('aria-label')!.split(' ')[1].replace(',', '')));
  await expect.poll(codes).toEqual(['W1', 'W1b', 'T1']);
  await command(bench, 'jar.prep', { testId, ticks: [], shakeStartedAt: bench.now() });
  await bench.pass(63);
  await expect(page.getByText(/^shaking 1:0\d of 10 min$/)).toBeVisible();
  await bench.pass(600);
  await expect(page.getByText('shaken enough', { exact: true })).toBeVisible();
  expect(bench.troubles).toEqual([]);
});
