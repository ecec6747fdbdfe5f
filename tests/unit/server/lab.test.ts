import { expect } from 'chai';
import { ulid } from 'ulid';
import { labReports } from '../../../src/lib/server/repositories/lab.ts';
import { linesOfSample, logLines } from '../../../src/lib/server/repositories/log.ts';
import { besideLab, nearerView } from '../../../src/lib/workbench/lab.ts';
import { ENTRY, openBench, standJar, type TestBench } from './bench.ts';

describe('a laboratory report', () => {
  let bench: TestBench;
  let sampleId: string;
  beforeEach(async () => {
    bench = await openBench();
    sampleId = ulid();
    await bench.do('sample.add', { sampleId, name: 'Till bank', purpose: 'build' });
  });
  afterEach(() => bench.close());
  const add = (fields: object = {}) =>
    bench.do('lab.add', {
      reportId: ulid(),
      sampleId,
      lab: 'Mainland laboratory',
      sand: 58,
      silt: 22,
      clay: 20,
      sandLimitUm: 50,
      ...fields
    });
  const fields = (work: Promise<unknown>) =>
    work.then(
      () => ({}) as Record<string, string>,
      (p: { fields: Record<string, string> }) => p.fields
    );

  it('is kept as it stands on paper, taken off, and brought back', async () => {
    await add({ reportedOn: '2026-05-01', organicPct: 0.6, sand: 58.4 });
    const [report] = await labReports(bench.store.db, [sampleId]);
    expect(report).to.include({ lab: 'Mainland laboratory', sand: 58.4, organicPct: 0.6, sandLimitUm: 50 });
    const done = await bench.do('lab.remove', { reportId: report.id });
    expect(await labReports(bench.store.db, [sampleId])).to.deep.equal([]);
    await bench.do('undo', { eventId: done.eventId });
    expect(await labReports(bench.store.db, [sampleId])).to.deep.equal([report]);
  });

  it('is refused beside the field: no name, no hundred, over a hundred, a limit of no school, no sample', async () => {
    expect((await fields(add({ lab: ' ' }))).lab).to.match(/Name the laboratory/);
    expect((await fields(add({ sand: 50 }))).clay).to.match(/come to 100/);
    expect((await fields(add({ clay: -1 }))).clay).to.match(/below zero/);
    expect((await fields(add({ silt: 122 }))).silt).to.match(/over 100/);
    expect(await fields(add({ sandLimitUm: 55 }))).to.have.property('sandLimitUm');
    expect((await fields(add({ reportedOn: 'May' }))).reportedOn).to.match(/as a day/);
    expect(await fields(add({ sampleId: ulid() }))).to.deep.equal({});
    expect(await labReports(bench.store.db, [sampleId])).to.deep.equal([]);
  });

  it('stands beside every finished jar of its sample, by height and by mass', async () => {
    const { testId, sampleId: own } = await standJar(bench);
    bench.now += 26 * 3_600_000;
    const readingId = ulid();
    await bench.do('jar.read', { testId, readingId, entry: { ...ENTRY, water: 'clear' } });
    await bench.do('test.finish', { testId, readingId, resultId: ulid() });
    await standJar(bench);
    await add({ sampleId: own, sand: 70, silt: 22, clay: 8 });
    const [report] = await labReports(bench.store.db, [own]);
    const rows = besideLab(report, await linesOfSample(bench.store, own));
    expect(rows.map((r) => [r.code, r.view])).to.deep.equal([
      ['W1', 'byHeight'],
      ['W1', 'byMass']
    ]);
    // Each view has its own figures, and the nearer one is said.
    expect(rows[1].difference.clay).not.to.be.closeTo(rows[0].difference.clay, 0.1);
    const nearer = rows[1].points < rows[0].points ? 'byMass' : 'byHeight';
    expect(nearerView(rows)).to.deep.include({ view: nearer });
    expect(nearerView([])).to.equal(undefined);
  });

  it('stands beside a cylinder by mass alone: nothing of it was read by height', async () => {
    await add();
    const [report] = await labReports(bench.store.db, [sampleId]);
    const { testId } = await standJar(bench);
    const [line] = (await logLines(bench.store, 'kept')).filter((l) => l.id === testId);
    const shares = { sand: 60, silt: 25, clay: 15 };
    const rows = besideLab(report, [{ ...line, status: 'finished', ...shares, mass: shares }]);
    expect(rows.map((r) => r.view)).to.deep.equal(['byMass']);
    expect(nearerView(rows)).to.equal(undefined);
  });
});
