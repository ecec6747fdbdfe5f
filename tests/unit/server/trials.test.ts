import { expect } from 'chai';
import sharp from 'sharp';
import { ulid } from 'ulid';
import { USUAL_FIGURES } from '../../../src/lib/core/index.ts';
import type { PayloadInput } from '../../../src/lib/contract/commands.ts';
import { trialsDocument, trialsToCsv, trialsToJson } from '../../../src/lib/formats/trials.ts';
import { keepPhoto } from '../../../src/lib/server/photos.ts';
import { photosOf } from '../../../src/lib/server/repositories/photos.ts';
import { sampleById } from '../../../src/lib/server/repositories/samples.ts';
import { trialsOf } from '../../../src/lib/server/repositories/trials.ts';
import { withWaiting } from '../../../src/lib/contract/waiting.ts';
import {
  bestFirst,
  callsOfTrials,
  isRipe,
  tasksAhead,
  viewTrial
} from '../../../src/lib/workbench/trials.ts';
import { calling } from '../../../src/lib/workbench/press.ts';
import { openBench, START, type TestBench } from './bench.ts';
import { refusal } from './refusal.ts';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const length = (mm: number) => ({ mm, text: `${mm} mm` });
const gauge = (mpa: number) => ({ mpa, text: `${mpa} MPa` });
const sides = [length(100), length(49), length(60)] as [
  ReturnType<typeof length>,
  ReturnType<typeof length>,
  ReturnType<typeof length>
];

describe('trial pieces on record', () => {
  let bench: TestBench;
  let sampleId: string;
  beforeEach(async () => {
    bench = await openBench();
    sampleId = ulid();
    await bench.do('sample.add', { sampleId, name: 'Till bank', purpose: 'build' });
  });
  afterEach(() => bench.close());

  async function plan(o: Partial<PayloadInput<'trial.plan'>> = {}) {
    const trialId = ulid();
    const done = await bench.do('trial.plan', {
      trialId,
      sampleId,
      kind: 'block',
      piston: length(50),
      count: 3,
      soaked: 1,
      cureDays: 7,
      soakDays: 3,
      ...o
    });
    return { trialId, code: done.code };
  }
  const views = async () =>
    (await trialsOf(bench.store.db, { all: true })).trials.map((one) =>
      viewTrial(one, USUAL_FIGURES, bench.now)
    );
  const only = async () => (await views())[0];
  const tell = (trialId: string, no: number, seen: PayloadInput<'piece.keep'>['seen'], pieceId = ulid()) =>
    bench.do('piece.keep', { trialId, pieceId, no, seen });

  it('go from plan to forming, turning, soak and press, and call for each in its time', async () => {
    const { trialId, code } = await plan();
    expect(code).to.equal('T1t1');
    expect((await only()).step).to.include({ kind: 'form', state: 'ready' });
    expect(callsOfTrials(await views())).to.deep.equal([]);
    await bench.do('trial.form', { trialId });
    expect(callsOfTrials(await views())[0]).to.include({
      path: `/trials/${trialId}`,
      dueAt: START + DAY,
      line: 'Pieces T1t1, turn them'
    });
    expect(tasksAhead(await views()).map(({ task }) => task.key)).to.deep.equal([
      'turn-1',
      'turn-3',
      'soak',
      'dry'
    ]);
    bench.now += DAY;
    expect(calling(await views())?.step?.key).to.equal('turn-1');
    await bench.do('trial.care', { trialId, key: 'turn-1' });
    expect((await refusal(bench.do('trial.care', { trialId, key: 'turn-1' }))).message).to.match(/already/);
    expect(isRipe(await only(), (await only()).pieces[0], bench.now)).to.equal(false);
    bench.now = START + 7 * DAY;
    await bench.do('trial.care', { trialId, key: 'turn-3' });
    const view = await only();
    expect(view.step?.kind).to.equal('soak');
    expect([0, 2].map((i) => isRipe(view, view.pieces[i], bench.now))).to.deep.equal([true, false]);
    await tell(trialId, 1, { sides, gauge: gauge(13.79) });
    await tell(trialId, 2, { sides, gauge: gauge(12) });
    await bench.do('trial.soak', { trialId });
    bench.now += 3 * DAY;
    expect((await only()).step).to.include({ kind: 'wet', state: 'due' });
    await tell(trialId, 3, { sides, gauge: gauge(8), look: 'keeps' });
    expect((await only()).step?.kind).to.equal('finish');
    await bench.do('trial.finish', { trialId });
    const done = await only();
    expect(done.step).to.equal(undefined);
    expect(done.pieces[0].tells?.strengthMpa).to.be.closeTo(5.526, 0.001);
    expect(done.tells.says?.kind).to.equal('stabilised');
    expect((await refusal(tell(trialId, 1, { sides, gauge: gauge(1) }))).status).to.equal(409);
    await bench.do('trial.reopen', { trialId });
    await bench.do('trial.remove', { trialId });
    expect(await views()).to.deep.equal([]);
  });

  it('are told when they were formed and soaked before, and no other way round', async () => {
    const { trialId } = await plan();
    expect((await refusal(bench.do('trial.soak', { trialId }))).message).to.match(/not formed yet/);
    expect((await refusal(tell(trialId, 1, { sides, gauge: gauge(9) }))).message).to.match(/not formed yet/);
    const early = bench.now - 10 * DAY;
    expect(
      (await refusal(bench.do('trial.form', { trialId, formedAt: bench.now + DAY }))).fields
    ).to.have.keys('formedAt');
    await bench.do('trial.form', { trialId, formedAt: early });
    expect((await refusal(bench.do('trial.form', { trialId }))).message).to.match(/already/);
    expect((await refusal(tell(trialId, 3, { sides, gauge: gauge(9), look: 'keeps' }))).message).to.match(
      /into the water/
    );
    const before = await refusal(bench.do('trial.soak', { trialId, soakedAt: early - HOUR }));
    expect(before.fields.soakedAt).to.match(/before they were formed/);
    await bench.do('trial.soak', { trialId, soakedAt: bench.now - 2 * DAY });
    expect((await only()).trial.formedAt).to.equal(early);
  });

  it('are refused beside the field that cannot be, and lose nothing that was kept', async () => {
    const bad = async (o: Partial<PayloadInput<'trial.plan'>>) =>
      Object.keys((await refusal(plan(o))).fields);
    expect(await bad({ piston: length(0) })).to.deep.equal(['piston']);
    expect(await bad({ count: 0, soaked: 0 })).to.deep.equal(['count']);
    expect(await bad({ waterPct: 90 })).to.deep.equal(['waterPct']);
    expect(await bad({ binder: 'cement' })).to.deep.equal(['binderPct']);
    expect((await refusal(plan({ sampleId: ulid() }))).status).to.equal(404);
    const { trialId } = await plan();
    await bench.do('trial.form', { trialId });
    const pieceId = ulid();
    await tell(trialId, 1, { sides, gauge: gauge(9) }, pieceId);
    expect(Object.keys((await refusal(tell(trialId, 2, { sides }))).fields)).to.deep.equal(['gaugeMpa']);
    expect((await refusal(tell(trialId, 1, { sides, gauge: gauge(9) }))).fields.no).to.match(/already/);
    await tell(trialId, 1, { sides, gauge: gauge(10) }, pieceId);
    expect((await only()).pieces[0].record?.seen.gauge?.mpa).to.equal(10);
    const {
      id: _i,
      code: _c,
      kind: _k,
      sampleId: _s,
      sampleCode: _d,
      sampleName: _n,
      ...was
    } = (await only()).trial;
    const {
      pieces: _p,
      cared: _a,
      createdAt: _t,
      formedAt: _f,
      soakedAt: _w,
      finishedAt: _e,
      ...fields
    } = was;
    const edit = (o: object) => bench.do('trial.edit', { trialId, ...fields, ...o });
    expect((await refusal(edit({ soaked: 3 }))).fields.soaked).to.match(/told already/);
    await edit({ binder: 'lime', binderPct: 5, cureDays: 28 });
    expect((await only()).tasks.map((task) => task.key)).to.include('damp-7');
    await bench.do('piece.remove', { trialId, pieceId });
    expect((await only()).trial.pieces).to.have.length(0);
    expect((await refusal(bench.do('trial.finish', { trialId }))).message).to.match(/No piece/);
  });

  it('have pictures, which go with them and come back with them', async () => {
    const { trialId } = await plan();
    await bench.do('trial.form', { trialId });
    const pieceId = ulid();
    await tell(trialId, 1, { sides, gauge: gauge(9) }, pieceId);
    const grey = await sharp({ create: { width: 8, height: 8, channels: 3, background: '#888' } })
      .png()
      .toBuffer();
    const { id: fileId } = await keepPhoto(bench.store, grey, bench.now);
    await bench.do('photo.add', { photoId: ulid(), fileId, subject: 'piece', subjectId: pieceId });
    const pictures = () => photosOf(bench.store.db, 'piece', [pieceId]);
    expect(await pictures()).to.have.length(1);
    const done = await bench.do('piece.remove', { trialId, pieceId });
    expect(await pictures()).to.have.length(0);
    await bench.do('undo', { eventId: done.eventId });
    expect(await pictures()).to.have.length(1);
    await bench.do('trial.remove', { trialId });
    expect(await pictures()).to.have.length(0);
  });

  it('go out as JSON by their schema and as CSV, a line a piece', async () => {
    const { trialId } = await plan({ note: '=1+1', binder: 'cement', binderPct: 8 });
    await bench.do('trial.form', { trialId });
    await bench.do('trial.soak', { trialId }, bench.now + 1);
    await tell(trialId, 1, { sides, gauge: gauge(13.79) });
    await tell(trialId, 3, { look: 'falls' });
    const [one] = trialsDocument.parse(JSON.parse(JSON.stringify(trialsToJson(await views())))).trials;
    expect(one).to.include({ code: 'T1t1', binderPct: 8, says: 'falls' });
    expect(one.pieces.map((piece) => piece.strengthMpa?.toFixed(2))).to.deep.equal([
      '5.53',
      undefined,
      '0.00'
    ]);
    expect(one.pieces[0].strengthPsi).to.be.closeTo(801.5, 0.5);
    const csv = trialsToCsv(await views())
      .trim()
      .split('\r\n');
    expect(csv).to.have.length(4);
    expect(csv[1]).to.include("'=1+1");
    expect(csv[1]).to.include('100 x 49 x 60');
  });

  it('stand side by side, those that hold most in water first; an odd row is named and takes nothing with it', async () => {
    for (const wet of [3, 9]) {
      const { trialId } = await plan();
      await bench.do('trial.form', { trialId });
      bench.now += 1000;
      await bench.do('trial.soak', { trialId });
      await tell(trialId, 1, { sides, gauge: gauge(12) });
      await tell(trialId, 3, { sides, gauge: gauge(wet), look: 'keeps' });
    }
    expect(bestFirst(await views()).map(({ trial }) => trial.code)).to.deep.equal(['T1t2', 'T1t1']);
    await bench.store.client.execute("update trial set kind = 'moon' where code = 'T1t1'");
    await bench.store.client.execute('update trial_piece set seen = \'{"sides":3}\'');
    await bench.store.client.execute(
      "insert into trial select 'x', 'T1t9', 'block', sample_id, mix, binder, binder_pct, water_pct, pressure, piston, area_mm2, box, 1000000000, soaked, cure_days, soak_days, note, formed_at, soaked_at, cared, finished_at, created_at from trial where code = 'T1t2'"
    );
    const { trials, unreadable } = await trialsOf(bench.store.db, { all: true });
    expect(trials.map((one) => one.code)).to.deep.equal(['T1t2']);
    expect(unreadable.map((one) => one.name)).to.have.members(['T1t1', 'T1t9']);
    const odd = viewTrial(trials[0], USUAL_FIGURES, bench.now);
    expect(odd.tells.dry).to.equal(undefined);
    expect(odd.pieces[0].problem).to.be.a('string');
  });

  it('are made of a mix, which is a sample of its own and keeps what it was mixed of', async () => {
    const mixId = ulid();
    const mix = {
      parts: [
        { name: 'T1', buckets: 8 },
        { name: 'building sand', buckets: 2 }
      ],
      technique: 'rammed earth',
      on: 'mass' as const,
      shares: { sand: 60, silt: 20, clay: 20 },
      sd: { sand: 4, clay: 3 },
      query: 'ask=wall'
    };
    const { code } = await bench.do('sample.mix', { sampleId: mixId, name: 'Mix of the bank', mix });
    expect(code).to.equal('M1');
    await bench.do('sample.edit', {
      sampleId: mixId,
      name: 'Mix for the store',
      purpose: 'build',
      details: { driedH: 12 }
    });
    const kept = await sampleById(bench.store.db, mixId);
    expect(kept?.details).to.deep.equal({ driedH: 12, mix });
    expect((await plan({ sampleId: mixId })).code).to.equal('M1t1');
    const lame = { ...mix, shares: { sand: 60, silt: 60, clay: 20 } };
    const short = await refusal(bench.do('sample.mix', { sampleId: ulid(), name: 'Lame', mix: lame }));
    expect(short.fields).to.have.property('mix.shares');
  });

  it('are formed, cared for and put into water while the server is away', async () => {
    const { trialId } = await plan();
    const { trial } = await only();
    const at = bench.now + HOUR;
    const waiting = [
      { commandId: 'a', at, name: 'trial.form' as const, payload: { trialId } },
      { commandId: 'b', at: at + DAY, name: 'trial.care' as const, payload: { trialId, key: 'turn-1' } },
      { commandId: 'c', at: at + 2 * DAY, name: 'trial.soak' as const, payload: { trialId } }
    ];
    const [ahead] = withWaiting('trial', [trial], waiting);
    expect(ahead).to.include({ formedAt: at, soakedAt: at + 2 * DAY });
    expect(ahead.cared).to.deep.equal([{ key: 'turn-1', at: at + DAY }]);
    expect(withWaiting('trial', [ahead], waiting)[0].cared).to.have.length(1);
  });
});
