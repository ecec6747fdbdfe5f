import { expect } from 'chai';
import { ulid } from 'ulid';
import { toCylinderInput } from '../../../src/lib/contract/cylinder.ts';
import { isJarSnapshot } from '../../../src/lib/contract/records/result.ts';
import { nextStep, USUAL_FACTS, type CylinderFacts } from '../../../src/lib/core/index.ts';
import { testToCsv } from '../../../src/lib/formats/csv.ts';
import { testToJson } from '../../../src/lib/formats/json.ts';
import { testDocument } from '../../../src/lib/formats/json-schema.ts';
import { allBlanks, blankById } from '../../../src/lib/server/repositories/blanks.ts';
import { logLines } from '../../../src/lib/server/repositories/log.ts';
import { benchJars, testDetail } from '../../../src/lib/server/repositories/tests.ts';
import { ENTRY, openBench, prepareJar, standJar, type TestBench } from './bench.ts';

const HOUR = 3_600_000;

describe('a cylinder test', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await openBench()));
  afterEach(() => bench.close());

  const facts: CylinderFacts = { ...USUAL_FACTS, airDryG: 40, moisture: { wetG: 30.25, dryG: 30, tinG: 20 } };
  const stand = (methodKey = 'hydrometer-2pt') => standJar(bench, { methodKey, vesselId: 'cylinder-1000' });
  const problem = (promise: Promise<unknown>) =>
    promise.then(
      () => ({}) as Record<string, string>,
      (p: { fields: Record<string, string> }) => p.fields
    );
  const detail = async (id: string) => (await testDetail(bench.store.db, id))!;
  const read = (o: { testId: string; runId: string }, no: number, value: number | null, at: number) => {
    const gaugeId = ulid();
    return bench.do('gauge.take', { ...o, gaugeId, no, value, tempC: 20 }, at).then(() => gaugeId);
  };
  async function blankOf(at: number, ...values: [number, number][]): Promise<string> {
    const blankId = ulid();
    await bench.do('blank.add', { blankId, name: 'Cylinder 9' });
    for (const [after, value] of values) {
      await bench.do('blank.read', { blankId, readingId: ulid(), value, tempC: 20 }, at + after);
    }
    return blankId;
  }

  it('goes from set-down over its readings to a kept result by mass', async () => {
    const { testId, runId } = await stand();
    const start = bench.now;
    bench.now += 7 * HOUR;
    const blankId = await blankOf(start, [60_000, 2]);
    await bench.do('cylinder.facts', { testId, facts, blankId });
    await read({ testId, runId }, 0, 21, start + 40_000);
    const late = await read({ testId, runId }, 1, null, start + 6.5 * HOUR);
    await bench.do('gauge.enter', { testId, gaugeId: late, value: 12, tempC: 20 });
    await bench.do('cylinder.finish', { testId, resultId: ulid() });
    const done = await detail(testId);
    expect(done.status).to.equal('finished');
    const { snapshot } = done.results[0];
    if (isJarSnapshot(snapshot)) throw new Error('a jar was kept');
    expect(snapshot.result.fractions.sand).to.be.closeTo(51.3, 0.05);
    expect(snapshot.result.fractions.clay).to.be.closeTo(25.6, 0.05);
    expect(snapshot.input.blanks).to.have.length(1);
    const [line] = await logLines(bench.store, 'kept');
    expect(line.class).to.equal('sandy clay loam');
    expect(line.mass?.clay).to.be.closeTo(25.6, 0.05);
    expect(testToCsv(done))
      .to.match(/instrument reading 2/)
      .and.match(/share by mass/);
    const out = testDocument.parse(JSON.parse(JSON.stringify(testToJson(done, bench.now))));
    expect(out.test.results[0].basis).to.equal('by mass, weighed');
    expect(out.test.runs[0].instrument.map((r) => r.value)).to.deep.equal([21, 12]);
    // Opened again it is a cylinder in work, with everything that was entered.
    await bench.do('test.reopen', { testId, why: 'the tin was wrong' });
    expect((await detail(testId)).status).to.equal('running');
  });

  it('leads from reading to reading, and passes over one that nobody took', async () => {
    const { testId, runId } = await stand('hydrometer-curve');
    const start = bench.now;
    bench.now += 2 * HOUR;
    const step = async (seconds: number) => {
      const [jar] = await benchJars(bench.store.db);
      const run = jar.run!;
      const facts = { setDownAt: run.setDownAt, marked: [], hasReading: false, gauged: run.gauges };
      const { kind, no, state } = nextStep(jar.method, facts, start + seconds * 1000);
      return `${kind} ${no} ${state}`;
    };
    expect(await step(5)).to.equal('lower 0 waiting');
    expect(await step(22)).to.equal('lower 0 due');
    expect(await step(31)).to.equal('gauge 0 due');
    await read({ testId, runId }, 0, null, start + 31_000);
    expect(await step(33)).to.equal('gauge 1 waiting');
    expect(await step(41)).to.equal('gauge 1 due');
    // The minute has come: what was not read at 40 s is passed over.
    expect(await step(61)).to.equal('gauge 2 due');
    expect(await step(200)).to.equal('gauge 3 late');
    for (let no = 2; no < 11; no++) await read({ testId, runId }, no, null, start + 60_000 * no);
    expect(await step(7000)).to.equal('finish undefined ready');
  });

  it('gives a draw by pipette the time that its depth and water ask for', async () => {
    const { testId } = await stand('pipette');
    const before = await detail(testId);
    const [, clay] = before.method.readings!;
    expect(clay.atS! / 3600).to.be.within(7.7, 8.4);
    const { facts: own } = before.cylinder!;
    const shallow = { ...own, pipette: { ...own.pipette!, depthMm: 50 } };
    await bench.do('cylinder.facts', { testId, facts: shallow, blankId: null });
    expect((await detail(testId)).method.readings![1].atS! * 2).to.be.closeTo(clay.atS!, 2);
  });

  it('takes a blank once or at each time, shared by two tests', async () => {
    const one = await stand();
    const two = await stand();
    const start = bench.now;
    bench.now += 7 * HOUR;
    const blankId = await blankOf(start, [50_000, -1], [6.5 * HOUR, -2]);
    for (const o of [one, two]) {
      await bench.do('cylinder.facts', { testId: o.testId, facts, blankId });
      await read(o, 0, 20, start + 40_000);
      await read(o, 1, 8, start + 6.5 * HOUR);
      const held = await detail(o.testId);
      const input = toCylinderInput(held, held.run, await blankById(bench.store.db, blankId))!;
      expect(input.blanks.map((b) => b.value)).to.deep.equal([-1, -2]);
    }
    const [blank] = await allBlanks(bench.store.db);
    await bench.do('blank.unread', { readingId: blank.readings[1].id });
    expect((await allBlanks(bench.store.db))[0].readings).to.have.length(1);
  });

  it('refuses what cannot be, beside its field, and keeps what was entered', async () => {
    const { testId, runId } = await stand();
    const start = bench.now;
    bench.now += 7 * HOUR;
    const wrong = (more: object) =>
      problem(bench.do('cylinder.facts', { testId, facts: { ...facts, ...more }, blankId: null }));
    expect(await wrong({ moisture: { wetG: 29, dryG: 30, tinG: 20 } })).to.have.property('moisture.wetG');
    expect(await wrong({ particleDensity: 900 })).to.have.property('particleDensity');
    expect(await wrong({ airDryG: -4 })).to.have.property('facts.airDryG');
    expect(await problem(read({ testId, runId }, 0, 21, start - 1000))).to.have.property('at');
    expect(await problem(read({ testId, runId }, 0, 99, start + 40_000))).to.have.property('value');
    await read({ testId, runId }, 0, 12, start + 40_000);
    await read({ testId, runId }, 1, 21, start + 6.5 * HOUR);
    expect(await problem(bench.do('cylinder.finish', { testId, resultId: ulid() }))).to.have.property(
      'reading.1'
    );
    expect((await detail(testId)).run!.gauges).to.have.length(2);
    const jar = await standJar(bench);
    expect((await detail(jar.testId)).cylinder).to.equal(null);
    const byLayers = bench.do('jar.read', { testId, readingId: ulid(), entry: ENTRY });
    expect(
      await byLayers.then(
        () => '',
        (p: Error) => p.message
      )
    ).to.contain('with an instrument');
    const taken = bench.do('gauge.take', { ...jar, gaugeId: ulid(), no: 0 }, bench.now);
    expect(
      await taken.then(
        () => '',
        (p: Error) => p.message
      )
    ).to.contain('by its layers');
  });

  it('takes back a reading, what was weighed, and a finish, as they were', async () => {
    const { testId, runId } = await stand();
    const start = bench.now;
    bench.now += 7 * HOUR;
    const before = (await detail(testId)).cylinder;
    const kept = await bench.do('cylinder.facts', { testId, facts, blankId: null });
    await bench.do('undo', { eventId: kept.eventId });
    expect((await detail(testId)).cylinder).to.deep.equal(before);
    const taken = await bench.do(
      'gauge.take',
      { testId, runId, gaugeId: ulid(), no: 0, value: 21, tempC: 20 },
      start + 40_000
    );
    await bench.do('undo', { eventId: taken.eventId });
    expect((await detail(testId)).run!.gauges).to.deep.equal([]);
    await read({ testId, runId }, 0, 21, start + 40_000);
    const last = await read({ testId, runId }, 1, 12, start + 6.5 * HOUR);
    const finished = await bench.do('cylinder.finish', { testId, resultId: ulid() });
    expect(await problem(bench.do('gauge.remove', { testId, gaugeId: last }))).to.deep.equal({});
    expect((await detail(testId)).run!.gauges).to.have.length(2);
    await bench.do('undo', { eventId: finished.eventId });
    const again = await detail(testId);
    expect(again.status).to.equal('running');
    expect(again.results).to.deep.equal([]);
    await bench.do('gauge.remove', { testId, gaugeId: last });
    expect((await detail(testId)).run!.gauges).to.have.length(1);
  });

  it('keeps the readings of a run that was mixed again, and takes none for it any more', async () => {
    const { testId, runId } = await stand();
    const start = bench.now;
    bench.now += HOUR;
    await read({ testId, runId }, 0, 21, start + 40_000);
    await bench.do('jar.shake-again', { testId, runId, reason: 'knocked' });
    const refused = read({ testId, runId }, 1, 12, bench.now);
    expect(
      await refused.then(
        () => '',
        (p: Error) => p.message
      )
    ).to.contain('mixed again');
    const second = ulid();
    await bench.do('jar.set-down', { testId, runId: second });
    const both = await detail(testId);
    expect(both.runs.map((r) => r.gauges.length)).to.deep.equal([1, 0]);
    expect(toCylinderInput(both, both.run, undefined)!.readings).to.deep.equal([]);
  });

  it('keeps a blank that it counts with, and does without one that was taken back', async () => {
    const { testId } = await stand();
    const blankId = ulid();
    const made = await bench.do('blank.add', { blankId, name: 'Cylinder 9' });
    const counted = await bench.do('cylinder.facts', { testId, facts, blankId });
    const early = bench.do('undo', { eventId: made.eventId }).then(
      () => '',
      (p: Error) => p.message
    );
    expect(await early).to.match(/Undo that first/);
    await bench.do('undo', { eventId: counted.eventId });
    await bench.do('undo', { eventId: made.eventId });
    expect(await blankById(bench.store.db, blankId)).to.equal(undefined);
    const missing = bench.do('cylinder.facts', { testId, facts, blankId });
    expect(
      await missing.then(
        () => '',
        (p: Error) => p.message
      )
    ).to.contain('This blank');
    expect(
      await problem(bench.do('blank.read', { blankId, readingId: ulid(), value: 2, tempC: 20 }))
    ).to.deep.equal({});
    expect(
      await problem(bench.do('blank.read', { blankId, readingId: ulid(), value: 200, tempC: 20 }))
    ).to.have.property('value');
    expect(await problem(bench.do('blank.add', { blankId: ulid(), name: ' ' }))).to.have.property('name');
  });

  it('sets a jar by an instrument only where there is a cylinder, and gives it what it weighs by', async () => {
    const { testId } = await prepareJar(bench);
    expect(await problem(bench.do('jar.method', { testId, methodKey: 'pipette' }))).to.have.property(
      'methodKey'
    );
    const tall = await prepareJar(bench, { vesselId: 'cylinder-1000', methodKey: 'cylinder-volume' });
    expect((await detail(tall.testId)).cylinder).to.equal(null);
    await bench.do('jar.method', { testId: tall.testId, methodKey: 'pipette' });
    const { cylinder } = await detail(tall.testId);
    expect(cylinder?.facts.pipette).to.include({ volumeMl: 20, depthMm: 100 });
    expect(cylinder?.facts.airDryG).to.equal(20);
    await bench.do('jar.method', { testId: tall.testId, methodKey: 'cylinder-volume' });
    expect((await detail(tall.testId)).cylinder).to.equal(null);
  });
});
