import { expect } from 'chai';
import Papa from 'papaparse';
import { ulid } from 'ulid';
import { logToCsv, testToCsv } from '../../../src/lib/formats/csv.ts';
import { logDocument, logToJson, testDocument, testToJson } from '../../../src/lib/formats/json.ts';
import { openApi, publishedSchemas } from '../../../src/lib/formats/openapi.ts';
import { logLines } from '../../../src/lib/server/repositories/log.ts';
import { testDetail } from '../../../src/lib/server/repositories/tests.ts';
import { ENTRY, openBench, standJar, START, type TestBench } from '../server/bench.ts';

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
    const { data } = Papa.parse<Record<string, string>>(logToCsv(await logLines(bench.store.db, 'kept')), {
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
    const [line] = await logLines(bench.store.db, 'kept');
    expect(logToCsv([{ ...line, sampleName: '=1+1' }])).to.contain("'=1+1");
  });

  it('is JSON that its own schema takes', async () => {
    const test = testToJson((await testDetail(bench.store.db, testId))!, bench.now);
    expect(testDocument.parse(JSON.parse(JSON.stringify(test)))).to.deep.equal(test);
    const log = logToJson(await logLines(bench.store.db, 'kept'), bench.now);
    expect(logDocument.parse(JSON.parse(JSON.stringify(log)))).to.deep.equal(log);
    expect(test.test.runs[0].marks[0].seconds).to.equal(61.5);
  });

  it('has published schemas and a described API', () => {
    expect(publishedSchemas().test).to.have.property('$schema');
    const api = openApi('1.0.0') as { paths: Record<string, unknown> };
    expect(Object.keys(api.paths)).to.include.members([
      '/api/v1/tests',
      '/api/v1/tests/{id}',
      '/api/v1/commands/jar.mark',
      '/api/v1/commands/undo'
    ]);
  });
});
