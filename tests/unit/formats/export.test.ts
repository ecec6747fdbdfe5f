import { expect } from 'chai';
import Papa from 'papaparse';
import { ulid } from 'ulid';
import { commandNames } from '../../../src/lib/contract/commands.ts';
import { classifyTexture } from '../../../src/lib/core/index.ts';
import { testToCsv } from '../../../src/lib/formats/csv.ts';
import { logToJson, testToJson } from '../../../src/lib/formats/json.ts';
import { logDocument, testDocument } from '../../../src/lib/formats/json-schema.ts';
import { openApi, publishedSchemas } from '../../../src/lib/formats/openapi.ts';
import { csvOf } from '../server/all.ts';
import { logLines } from '../../../src/lib/server/repositories/log.ts';
import { testDetail } from '../../../src/lib/server/repositories/tests.ts';
import { ENTRY, openBench, prepareJar, standJar, START, type TestBench } from '../server/bench.ts';

describe('what goes out', () => {
  let bench: TestBench;
  let testId: string;
  before(async () => {
    bench = await openBench();
    const stood = await standJar(bench);
    testId = stood.testId;
    const markId = ulid();
    bench.now += 61_500;
    await bench.do('jar.mark', { testId, runId: stood.runId, markId, layer: 'sand' });
    await bench.do('mark.height', { testId, markId, height: { mm: 22.23, text: '7/8"' } });
    const { runId } = stood;
    await bench.do('jar.top', {
      testId,
      runId,
      topId: ulid(),
      height: { mm: 33, text: '33' },
      water: 'cloudy'
    });
    const readingId = ulid();
    await bench.do('jar.read', {
      testId,
      readingId,
      entry: { ...ENTRY, organics: { mm: 3, text: '3' }, measuredTotal: { mm: 35, text: '35' } }
    });
    await bench.do('test.finish', { testId, readingId, resultId: ulid() });
    await bench.do('sample.add', { sampleId: ulid(), name: '=cmd()', purpose: 'lesson' });
  });
  after(() => bench.close());

  it('is a log in CSV with units in its heads', async () => {
    const { data } = Papa.parse<Record<string, string>>(await csvOf(await logLines(bench.store, 'kept')), {
      header: true,
      skipEmptyLines: true
    });
    expect(data).to.have.length(1);
    expect(data[0]).to.include({
      code: 'W1',
      set_down_utc: new Date(START).toISOString(),
      class_usda: 'sandy loam',
      sand_pct: '62.86'
    });
  });

  it('is a test in CSV with every mark and layer top', async () => {
    const text = testToCsv((await testDetail(bench.store.db, testId))!);
    const { data } = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
    expect(data.find((r) => r.what === 'mark')).to.include({
      layer: 'sand',
      seconds: '61.5',
      value: '22.23',
      text: '7/8"'
    });
    expect(data.filter((r) => r.what === 'layer top')).to.have.length(3);
    expect(data.find((r) => r.what === 'top of sediment')).to.include({ value: '33.00', text: 'cloudy' });
    expect(
      data.filter((r) => r.what === 'share by height').reduce((sum, r) => sum + Number(r.value), 0)
    ).to.be.closeTo(100, 0.02);
    expect(data.map((r) => r.what)).to.include.members([
      'floating organics',
      'measured total',
      'class usda',
      'core version'
    ]);
  });

  it('never hands a spreadsheet a formula', async () => {
    const [line] = await logLines(bench.store, 'kept');
    expect(await csvOf([{ ...line, sampleName: '=1+1' }])).to.contain("'=1+1");
  });

  it('is JSON that its own schema takes', async () => {
    const test = testToJson((await testDetail(bench.store.db, testId))!, bench.now);
    expect(testDocument.parse(JSON.parse(JSON.stringify(test)))).to.deep.equal(test);
    const log = logToJson(await logLines(bench.store, 'kept'), bench.now);
    expect(logDocument.parse(JSON.parse(JSON.stringify(log)))).to.deep.equal(log);
    expect(test.test.runs[0].marks[0].seconds).to.equal(61.5);
    // Read a minute after set-down: what is still up is no more than was filled in.
    const { fractions } = test.test.results[0].answer!;
    expect(fractions.sand + fractions.silt + fractions.clay).to.be.closeTo(100, 1e-6);
  });

  it('says of a single share what it is of, and no class', async () => {
    const stood = await standJar(bench);
    const line = (mm: number) => ({ mm, text: String(mm) });
    const readingId = ulid();
    const entry = { ruler: 'mm' as const, lines: { silt: line(30) }, measuredTotal: line(40) };
    await bench.do('jar.read', { testId: stood.testId, readingId, entry });
    await bench.do('test.finish', { testId: stood.testId, readingId, resultId: ulid() });
    const detail = (await testDetail(bench.store.db, stood.testId))!;
    const { results } = testDocument.parse(JSON.parse(JSON.stringify(testToJson(detail, bench.now)))).test;
    const share = { layer: 'clay', pct: 25, orMore: false };
    expect(results[0]).to.deep.include({ share, class: null, fractions: null });
    const csv = Papa.parse<Record<string, string>>(testToCsv(detail), { header: true }).data;
    const shares = csv.filter((r) => r.what === 'share by height').map((r) => [r.layer, r.value]);
    expect(shares).to.deep.equal([['clay', '25.00']]);
    const lines = await logLines(bench.store, 'kept');
    const log = logToJson(lines, bench.now).tests.find((t) => t.id === stood.testId)!;
    expect(log).to.deep.include({ fractions: null, share, class: null });
    const row = Papa.parse<Record<string, string>>(await csvOf(lines), { header: true }).data.find(
      (r) => r.id === stood.testId
    )!;
    expect(row).to.include({ clay_pct: '25.00', sand_pct: '', class_usda: '', method_name: 'Timed marks' });
  });

  it('carries the answer beside what was read, in JSON and in CSV', async () => {
    const stood = await standJar(bench);
    const readingId = ulid();
    bench.now += 26 * 3_600_000;
    await bench.do('jar.read', { testId: stood.testId, readingId, entry: { ...ENTRY, water: 'clear' } });
    await bench.do('test.finish', { testId: stood.testId, readingId, resultId: ulid() });
    const detail = (await testDetail(bench.store.db, stood.testId))!;
    const { answer, byMass, fractions } = testDocument.parse(
      JSON.parse(JSON.stringify(testToJson(detail, bench.now)))
    ).test.results[0];
    expect(byMass).to.equal(null);
    expect(fractions!.sand).to.be.closeTo((100 * 22) / 35, 1e-9);
    expect(answer!.draws).to.have.length(300);
    expect(answer!.classes.reduce((sum, c) => sum + c.probability, 0)).to.be.closeTo(1, 0.02);
    const csv = Papa.parse<Record<string, string>>(testToCsv(detail), { header: true }).data;
    const sum = csv.filter((r) => r.what === 'answer by mass').reduce((a, r) => a + Number(r.value), 0);
    expect(sum).to.be.closeTo(100, 0.02);
    expect(csv.find((r) => r.what === 'answer class usda')!.text).to.equal(answer!.classes[0].class);
    // The class of its own heights stands beside that of the answer.
    const log = Papa.parse<Record<string, string>>(await csvOf(await logLines(bench.store, 'kept')), {
      header: true
    }).data;
    expect(log.find((r) => r.code === detail.code)).to.include({
      class_usda: answer!.classes[0].class,
      class_usda_as_read: classifyTexture('usda', fractions!).name
    });
  });

  it('says which method a jar was set by, with its own marks where they are true ones', async () => {
    const { testId: id } = await prepareJar(bench, { trueSandUm: 50 });
    const { method } = testToJson((await testDetail(bench.store.db, id))!, bench.now).test;
    expect(method).to.include({ key: 'jar-timed', name: 'Timed marks' });
    expect(method.marks[0].seconds).to.be.within(80, 110);
    expect(method.marks[1].seconds).to.be.above(36_000);
  });

  it('describes its API by the rules of OpenAPI 3.1', async () => {
    const { Validator } = await import('@seriousme/openapi-schema-validator');
    const { valid, errors } = await new Validator().validate(JSON.parse(JSON.stringify(openApi('1.0.0'))));
    expect(errors ?? []).to.deep.equal([]);
    expect(valid).to.equal(true);
  });

  it('has published schemas and a described API', () => {
    expect(publishedSchemas().test).to.have.property('$schema');
    const api = openApi('1.0.0') as { paths: Record<string, unknown> };
    expect(Object.keys(api.paths)).to.include.members([
      '/api/v1/tests',
      '/api/v1/tests/{id}',
      '/api/v1/commands/jar.mark',
      '/api/v1/commands/undo',
      '/api/v1/photos',
      '/api/v1/sites/{id}/geojson',
      '/api/v1/plan.ics',
      '/api/v1/watering.ics',
      '/api/v1/holes',
      '/api/v1/amendments',
      '/api/v1/judgements',
      '/api/v1/reminders.ics',
      '/api/v1/samples',
      '/api/v1/results',
      '/api/v1/classify',
      '/api/v1/tests/{id}/readings',
      '/api/v1/labels.pdf',
      '/api/v1/archive.zip',
      '/api/v1/imports/{id}',
      '/api/v1/reports/{kind}/{id}/report.pdf'
    ]);
    // Every command is described by the schema that checks it.
    for (const name of commandNames) {
      const path = api.paths[`/api/v1/commands/${name}`] as { post: { requestBody: unknown } };
      expect(JSON.stringify(path.post.requestBody), name).to.contain('commandId');
    }
  });
});
