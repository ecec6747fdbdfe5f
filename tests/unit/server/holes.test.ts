import { expect } from 'chai';
import { ulid } from 'ulid';
import type { PayloadInput } from '../../../src/lib/contract/commands.ts';
import { amendmentsOf } from '../../../src/lib/server/repositories/amendments.ts';
import { holesOf } from '../../../src/lib/server/repositories/holes.ts';
import { withWaiting } from '../../../src/lib/contract/waiting.ts';
import { callsOfHoles, emptyAt, groundOf, viewHole, waterNow } from '../../../src/lib/workbench/holes.ts';
import { calling } from '../../../src/lib/workbench/press.ts';
import { addArea, openBench, START, type TestBench } from './bench.ts';
import { refusal } from './refusal.ts';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const length = (mm: number) => ({ mm, text: `${mm} mm` });

describe('holes and amendments on record', () => {
  let bench: TestBench;
  let areaId: string;
  beforeEach(async () => {
    bench = await openBench();
    ({ areaId } = await addArea(bench));
  });
  afterEach(() => bench.close());

  async function dig(o: Partial<PayloadInput<'hole.dig'>> = {}) {
    const holeId = ulid();
    const done = await bench.do('hole.dig', { holeId, areaId, depth: length(300), width: length(300), ...o });
    return { holeId, code: done.code };
  }
  const only = async () => (await holesOf(bench.store.db, { all: true })).holes[0];
  const read = (
    holeId: string,
    seen: 'height' | 'gone' | 'still',
    mm: number | null = null,
    at = bench.now
  ) =>
    bench.do('hole.read', { holeId, readingId: ulid(), seen, height: mm === null ? null : length(mm) }, at);

  it('go from soak to refill to readings to conductivity, and call when they are to be looked at', async () => {
    const { holeId, code } = await dig();
    expect(code).to.equal('Sh1');
    await bench.do('hole.soak', { holeId });
    const call = callsOfHoles([viewHole(await only(), bench.now)])[0];
    expect(call).to.include({ path: `/holes/${holeId}`, dueAt: START + HOUR });
    bench.now += HOUR;
    expect(calling([viewHole(await only(), bench.now)])?.step).to.include({
      kind: 'refill',
      state: 'due'
    });
    await bench.do('hole.refill', { holeId });
    const refill = bench.now;
    bench.now += HOUR;
    const readingId = ulid();
    await bench.do('hole.read', { holeId, readingId, seen: 'height' });
    expect(viewHole(await only(), bench.now).open).to.have.length(1);
    expect((await refusal(bench.do('hole.finish', { holeId }))).message).to.match(/no height/);
    await bench.do('hole.height', { holeId, readingId, height: length(262) });
    const view = viewHole(await only(), bench.now);
    expect(view.outcome?.drainage.groundMmH).to.be.closeTo(8.01, 0.01);
    expect(view.outcome?.drainage.class).to.equal('well');
    expect(waterNow(view, bench.now)).to.be.closeTo(262, 1e-9);
    expect(waterNow(view, bench.now + HOUR)).to.be.closeTo(228, 1);
    expect(waterNow(view, emptyAt(view)! + 1)).to.equal(0);
    expect(emptyAt(view)).to.be.greaterThan(refill + 10 * HOUR);
    await bench.do('hole.finish', { holeId });
    // Nobody watches it any more: it stays as it was seen last.
    const finished = viewHole(await only(), bench.now + 100 * HOUR);
    expect(finished.step).to.equal(undefined);
    expect(waterNow(finished, bench.now + 100 * HOUR)).to.equal(262);
    expect((await refusal(read(holeId, 'gone'))).message).to.match(/Open it again/);
    expect((await holesOf(bench.store.db, { bench: true })).holes).to.have.length(0);
    expect(groundOf([await only()], bench.now)).to.include({ holes: 1, atMost: false });
  });

  it('are read afterwards too, in whatever order, and refused with a sentence where that cannot be', async () => {
    const { holeId } = await dig();
    expect((await refusal(read(holeId, 'gone'))).message).to.match(/Fill it again first/);
    await bench.do('hole.refill', { holeId, filled: length(280) });
    bench.now += 30 * HOUR;
    const told = (afterS: number, mm: number) =>
      bench.do('hole.read', { holeId, readingId: ulid(), seen: 'height', height: length(mm), afterS });
    await told(7200, 240);
    await told(3600, 262);
    expect((await only()).readings.map((r) => r.height?.mm)).to.eql([262, 240]);
    expect((await refusal(told(40 * 3600, 200))).fields).to.have.property('afterS');
    expect((await refusal(told(10_000, 250))).fields.height).to.match(/rose/);
    expect((await refusal(told(1800, 290))).fields.height).to.match(/higher than it was filled/);
    expect((await refusal(bench.do('hole.refill', { holeId }))).message).to.match(/already/);
    expect((await refusal(dig({ depth: length(0) }))).fields.depth).to.match(/from 100 mm/);
    expect(
      (await refusal(bench.do('hole.read', { holeId, readingId: ulid(), seen: 'still', afterS: -1 }))).fields
    ).to.have.property('afterS');
  });

  it('are undone, taken off and kept from losing their ground', async () => {
    const { holeId } = await dig();
    expect((await refusal(bench.do('area.remove', { areaId }))).message).to.match(/Sh1/);
    await bench.do('hole.refill', { holeId });
    bench.now += 1000;
    const done = await read(holeId, 'gone');
    await bench.do('undo', { eventId: done.eventId });
    expect((await only()).readings).to.have.length(0);
    await read(holeId, 'gone');
    await bench.do('hole.remove', { holeId });
    expect(await only()).to.equal(undefined);
    // A number is never given twice while one of them is there.
    expect((await dig()).code).to.equal('Sh1');
    expect((await dig()).code).to.equal('Sh2');
  });

  it('counts in what waits in the browser', async () => {
    const { holeId } = await dig();
    const [hole] = [await only()];
    const readingId = ulid();
    const command = <N extends 'hole.soak' | 'hole.refill' | 'hole.read' | 'hole.height'>(
      name: N,
      at: number,
      payload: PayloadInput<N>
    ) => ({ commandId: ulid(), name, at, payload });
    const [shown] = withWaiting(
      'hole',
      [hole],
      [
        command('hole.soak', START, { holeId }),
        command('hole.refill', START + HOUR, { holeId }),
        command('hole.read', START + 2 * HOUR, { holeId, readingId, seen: 'height' }),
        command('hole.height', START + 2 * HOUR, { holeId, readingId, height: length(262) })
      ]
    );
    expect(shown).to.include({ soakedAt: START, refilledAt: START + HOUR });
    expect(viewHole(shown, START + 2 * HOUR).outcome?.drainage.dropMmH).to.be.closeTo(38, 1e-6);
  });

  it('show the rest where a row of theirs is odd', async () => {
    const { holeId } = await dig();
    await dig();
    await bench.store.client.execute({
      sql: 'update hole set depth = ? where id = ?',
      args: ['{"mm":"x"}', holeId]
    });
    const { holes, unreadable } = await holesOf(bench.store.db, { all: true });
    expect(holes.map((h) => h.code)).to.eql(['Sh2']);
    expect(unreadable.map((u) => u.name)).to.eql(['Sh1']);
    await bench.do('hole.refill', { holeId: holes[0].id });
    bench.now += HOUR;
    await read(holes[0].id, 'still');
    await bench.store.client.execute("update hole_reading set seen = 'something'");
    expect(
      viewHole((await holesOf(bench.store.db, { all: true })).holes[0], bench.now).outcome?.kind
    ).to.equal('at-most');
  });

  it('keeps what was put into a bed, and not what is still to be done', async () => {
    const amendmentId = ulid();
    const entry = { amendmentId, areaId, doneOn: '2026-04-30', kind: 'compost' as const, litres: 440 };
    await bench.do('amend.add', entry);
    expect(await amendmentsOf(bench.store.db, areaId)).to.have.length(1);
    expect(
      (await refusal(bench.do('amend.add', { ...entry, amendmentId: ulid(), doneOn: '2027-01-01' }))).fields
    ).to.have.property('doneOn');
    expect(
      (await refusal(bench.do('amend.add', { ...entry, amendmentId: ulid(), litres: -3 }))).fields
    ).to.have.property('litres');
    expect((await refusal(bench.do('area.remove', { areaId }))).message).to.match(/put into it/);
    await bench.do('amend.remove', { amendmentId });
    await bench.do('area.remove', { areaId });
  });
});
