import { expect } from 'chai';
import { ulid } from 'ulid';
import type { PayloadInput } from '../../../src/lib/contract/commands.ts';
import {
  judgementsDocument,
  judgementsToCsv,
  judgementsToJson
} from '../../../src/lib/formats/judgements.ts';
import { keptLine } from '../../../src/lib/words/verdict.ts';
import { judgementsOf } from '../../../src/lib/server/repositories/judgements.ts';
import { offeredProfiles } from '../../../src/lib/server/repositories/profiles.ts';
import { remindersOf } from '../../../src/lib/server/repositories/reminders.ts';
import { callsOfReminders, remindersNear } from '../../../src/lib/workbench/reminders.ts';
import { openBench, START, type TestBench } from './bench.ts';
import { refusal } from './refusal.ts';

const DAY = 86_400_000;
const typed = { sand: 44, silt: 38, clay: 18 };

describe('judgements, beds and reminders on record', () => {
  let bench: TestBench;
  beforeEach(async () => (bench = await openBench()));
  afterEach(() => bench.close());

  const keep = (o: Partial<PayloadInput<'judgement.keep'>> = {}) => {
    const judgementId = ulid();
    const payload = { judgementId, testId: null, typed, ask: 'bed' as const, query: 'sand=44&clay=18', ...o };
    return bench.do('judgement.keep', payload).then(() => judgementId);
  };
  const windows = [{ of: 'digs' as const, most: 5, reason: 'Fine seed.' }];

  it('keep the version they were made by, whatever is asked afterwards', async () => {
    const id = await keep();
    const before = (await judgementsOf(bench.store.db, { id }))[0].kept;
    await bench.do('bed.save', {
      bedKey: 'vegetables',
      fromKey: 'vegetables',
      name: 'a vegetable bed',
      windows
    });
    const [bed] = await offeredProfiles(bench.store.db, 'bed');
    expect(bed).to.include({ changed: true, own: false });
    expect(bed.profile).to.deep.include({ version: 2, windows });
    expect((await judgementsOf(bench.store.db, { id }))[0].kept).to.eql(before);
    const anew = (await judgementsOf(bench.store.db, { id: await keep() }))[0].kept;
    if (anew.ask !== 'bed' || before.ask !== 'bed') throw new Error('both are beds');
    expect([before.profile.version, anew.profile.version]).to.eql([1, 2]);
    expect(anew.chance).to.be.lessThan(before.chance);
    // Put back it is as it ships; the next change is a version of its own all the same.
    await bench.do('bed.retire', { bedKey: 'vegetables' });
    expect((await offeredProfiles(bench.store.db, 'bed'))[0]).to.deep.include({ changed: false });
    await bench.do('bed.save', {
      bedKey: 'vegetables',
      fromKey: 'vegetables',
      name: 'a vegetable bed',
      windows
    });
    expect((await offeredProfiles(bench.store.db, 'bed'))[0].profile.version).to.equal(3);
  });

  it('hold the figures they were counted with, and their version', async () => {
    const figures = [{ of: 'boreLinePct' as const, value: 45, reason: 'Our crew.' }];
    const save = (o: Partial<PayloadInput<'figures.save'>> = {}) =>
      bench.do('figures.save', { figuresKey: 'usual', fromKey: 'usual', name: 'our figures', figures, ...o });
    const before = await keep({ ask: 'bore' });
    await save();
    const [set] = await offeredProfiles(bench.store.db, 'figures');
    expect(set).to.include({ changed: true, own: false });
    const kept = async (id: string) => (await judgementsOf(bench.store.db, { id }))[0].kept;
    expect(await kept(before)).to.deep.include({ line: 30 });
    expect((await kept(before)).by).to.include({ id: 'usual', version: 1 });
    const after = await kept(await keep({ ask: 'bore' }));
    expect(after).to.deep.include({ line: 45 });
    expect(after.by).to.include({ version: 2, name: 'our figures' });
    expect(after.by?.figures).to.include({ boreLinePct: 45, needMmWeek: 25 });
    // A line that was typed for this bore alone stands.
    expect(await kept(await keep({ ask: 'bore', linePct: 20 }))).to.deep.include({ line: 20 });
    // A copy has a key and a name of its own; beds know nothing of it.
    const own = `own-${ulid().toLowerCase()}`;
    expect((await refusal(save({ figuresKey: own }))).fields).to.have.property('name');
    await save({ figuresKey: own, name: 'the dry side' });
    expect((await offeredProfiles(bench.store.db, 'figures')).map((o) => o.own)).to.eql([false, true]);
    expect((await offeredProfiles(bench.store.db, 'bed')).every((o) => !o.own)).to.equal(true);
    await bench.do('figures.retire', { figuresKey: 'usual' });
    expect(await kept(await keep({ ask: 'bore' }))).to.deep.include({ line: 30 });
    const wild = [{ ...figures[0], value: 300 }];
    expect((await refusal(save({ figures: wild }))).fields).to.have.property('figures.0.value');
    expect((await refusal(keep({ figuresKey: 'nowhere' }))).fields).to.have.property('figuresKey');
  });

  it('of walls hold every technique as it was asked, what no jar says, and the mix that stood there', async () => {
    const soil = { sand: 62, silt: 18, clay: 20 };
    const wall = {
      gravelPct: 10,
      stoneMm: 4,
      signs: ['cloudy' as const],
      blend: { techniqueKey: 'rammed', materials: 'own~~~~~~;30/50~~~~~~', batch: '12' }
    };
    const only = async (id: string) => (await judgementsOf(bench.store.db, { id }))[0].kept;
    const kept = await only(await keep({ ask: 'wall', typed: soil, wall }));
    if (kept.ask !== 'wall') throw new Error('It is of a wall.');
    expect(kept.said.map((one) => one.technique.id)).to.deep.equal([
      'cob',
      'pressed',
      'rammed',
      'stabilised'
    ]);
    expect(kept.facts).to.deep.equal({ gravelPct: 10, stoneMm: 4 });
    expect(kept.said[0]).to.not.have.property('holds');
    expect(kept.blend?.parts.reduce((sum, part) => sum + part.buckets, 0)).to.equal(12);
    expect(kept.blend?.said.technique.id).to.equal('rammed');
    const [out] = judgementsDocument.parse(
      JSON.parse(JSON.stringify(judgementsToJson(await judgementsOf(bench.store.db))))
    ).judgements;
    expect(out).to.include({ ask: 'wall' });
    expect(out.verdict).to.equal(keptLine(kept));
    expect(out.techniques).to.have.length(4);
    expect(out.blend?.technique.chance).to.equal(kept.blend?.said.chance);
    expect(judgementsToCsv(await judgementsOf(bench.store.db))).to.include(' x ');
    // By hand it is kept as it was changed; without one there is none.
    const byHand = { ...wall, blend: { ...wall.blend, buckets: [1, 11] } };
    const hand = await only(await keep({ ask: 'wall', typed: soil, wall: byHand }));
    expect(hand.ask === 'wall' && hand.blend?.parts.map((part) => part.buckets)).to.deep.equal([1, 11]);
    const plain = await only(await keep({ ask: 'wall', typed: soil }));
    expect(plain.ask === 'wall' && plain.blend).to.equal(undefined);
    const stone = await refusal(keep({ ask: 'wall', typed: soil, wall: { stoneMm: -1 } }));
    expect(stone.fields).to.have.property('stoneMm');
    const none = { ...wall, blend: { ...wall.blend, techniqueKey: 'gone' } };
    expect((await refusal(keep({ ask: 'wall', typed: soil, wall: none }))).fields).to.have.property('wall');
    const mud = { ...wall, blend: { ...wall.blend, materials: 'own~0~~~~~' } };
    expect((await refusal(keep({ ask: 'wall', typed: soil, wall: mud }))).fields.wall).to.match(
      /bucket weighs/
    );
  });

  it('refuse what cannot be asked or judged, beside its field', async () => {
    const save = (o: Partial<PayloadInput<'bed.save'>>) =>
      refusal(
        bench.do('bed.save', { bedKey: 'vegetables', fromKey: 'vegetables', name: 'beans', windows, ...o })
      );
    expect((await save({ name: '' })).fields).to.have.property('name');
    expect((await save({ name: 'root crops' })).fields.name).to.match(/Another one/);
    expect((await save({ windows: [] })).fields).to.have.property('windows');
    expect((await save({ windows: [{ of: 'sand' }] })).fields).to.have.property('windows.0.least');
    expect((await save({ windows: [{ of: 'sand', least: 40, most: 40 }] })).fields).to.have.property(
      'windows.0.most'
    );
    expect((await save({ windows: [...windows, ...windows] })).fields).to.have.property('windows.1.of');
    expect((await save({ bedKey: 'somebody-elses' })).fields).to.have.property('bedKey');
    expect((await refusal(bench.do('bed.retire', { bedKey: 'roots' }))).message).to.match(/as it ships/);
    expect((await refusal(keep({ typed: { sand: 90, silt: 90, clay: 90 } }))).fields).to.have.property(
      'typed'
    );
    expect((await refusal(keep({ typed: null }))).fields).to.have.property('testId');
    expect((await refusal(keep({ typed: null, testId: ulid() }))).fields).to.have.property('testId');
    expect((await refusal(keep({ organicPct: 60 }))).fields).to.have.property('organicPct');
    expect((await refusal(keep({ bedKey: 'nowhere' }))).fields).to.have.property('bedKey');
  });

  it('let techniques be changed, with what is best within what is asked', async () => {
    const save = (o: Partial<PayloadInput<'technique.save'>> = {}) =>
      bench.do('technique.save', {
        techniqueKey: 'cob',
        fromKey: 'cob',
        name: 'our cob',
        on: 'mass',
        windows: [{ of: 'clay', least: 10, most: 30, best: { least: 15, most: 20 } }],
        ...o
      });
    await save();
    const [cob, pressed] = await offeredProfiles(bench.store.db, 'technique');
    expect(cob.profile).to.deep.include({ version: 2, name: 'our cob', on: 'mass' });
    expect(pressed.changed).to.equal(false);
    const clay = { of: 'clay' as const, least: 10, most: 30 };
    expect(
      (await refusal(save({ windows: [{ ...clay, best: { least: 5, most: 20 } }] }))).fields
    ).to.have.property('windows.0.best.least');
    expect(
      (await refusal(save({ windows: [{ ...clay, best: { least: 20, most: 15 } }] }))).fields
    ).to.have.property('windows.0.best.most');
    // A copy of what goes through a press does so too.
    const own = `own-${ulid().toLowerCase()}`;
    await save({ techniqueKey: own, fromKey: 'pressed', name: 'our blocks' });
    const ours = (await offeredProfiles(bench.store.db, 'technique')).find((o) => o.own)!.profile;
    expect(ours).to.include({ pressed: true, version: 1, basis: pressed.profile.basis });
    await bench.do('technique.retire', { techniqueKey: 'cob' });
    expect((await offeredProfiles(bench.store.db, 'technique'))[0].profile.name).to.equal('cob and adobe');
  });

  it('show the rest where a row of theirs is odd', async () => {
    const [one, two] = [await keep(), await keep({ ask: 'bore' })];
    await bench.store.client.execute({
      sql: `update judgement set kept = '{"ask":"bore","line":30,"verdict":{"plan":"x","sand":1,"chance":1}}' where id = ?`,
      args: [one]
    });
    expect((await judgementsOf(bench.store.db)).map((j) => j.id)).to.eql([two]);
    await bench.do('bed.save', { bedKey: 'roots', fromKey: 'roots', name: 'root crops', windows });
    await bench.store.client.execute(`update judging_profile set definition = '{"windows":[]}'`);
    expect((await offeredProfiles(bench.store.db, 'bed')).every((b) => !b.changed)).to.equal(true);
    // One that holds another kind is none of its own.
    const [figures] = await offeredProfiles(bench.store.db, 'figures');
    await bench.store.client.execute({
      sql: 'update judging_profile set definition = ?',
      args: [JSON.stringify(figures.profile)]
    });
    expect((await offeredProfiles(bench.store.db, 'bed')).every((b) => !b.changed)).to.equal(true);
  });

  it('calls for what is to be done, again and again or once', async () => {
    const add = (o: Partial<PayloadInput<'reminder.add'>>) => {
      const reminderId = ulid();
      const payload = { reminderId, kind: 'water' as const, name: 'Water S1', dueAt: START + DAY, ...o };
      return bench.do('reminder.add', payload).then(() => reminderId);
    };
    expect((await refusal(add({ dueAt: START - 1 }))).fields).to.have.property('dueAt');
    const often = await add({ everyMs: 4 * DAY, litres: 120 });
    const once = await add({ kind: 'test', name: 'Test the south bed again', dueAt: START + 2 * DAY });
    const all = await remindersOf(bench.store.db);
    expect(all.map((r) => r.id)).to.eql([often, once]);
    expect(remindersNear(all, START)).to.have.length(0);
    expect(remindersNear(all, START + 8 * 3_600_000).map((r) => r.id)).to.eql([often]);
    expect(callsOfReminders(all)[0]).to.include({ dueAt: START + DAY, line: 'Water S1' });
    bench.now += 1.5 * DAY;
    await bench.do('reminder.done', { reminderId: often });
    await bench.do('reminder.done', { reminderId: once });
    expect((await remindersOf(bench.store.db)).map((r) => r.dueAt)).to.eql([START + 6 * DAY]);
    await bench.do('reminder.end', { reminderId: often });
    expect(await remindersOf(bench.store.db)).to.eql([]);
    expect((await refusal(bench.do('reminder.done', { reminderId: often }))).status).to.equal(404);
  });

  it('what the hand says stays with the sample when its form is kept', async () => {
    const sampleId = ulid();
    const form = { sampleId, name: 'South bed', purpose: 'garden' as const };
    await bench.do('sample.add', form);
    const ribbon = { mm: 30, text: '30' };
    await bench.do('sample.hand', { sampleId, ribbon });
    await bench.do('sample.hand', { sampleId, hand: ['heavy', 'ponds'] });
    await bench.do('sample.edit', { ...form, name: 'South bed, lower end', details: { look: 'grey' } });
    const details = async () =>
      JSON.parse(String((await bench.store.client.execute('select details from sample')).rows[0].details));
    expect(await details()).to.eql({ look: 'grey', hand: ['heavy', 'ponds'], ribbon });
    const long = { sampleId, ribbon: { mm: 900, text: '900' } };
    expect((await refusal(bench.do('sample.hand', long))).fields).to.have.property('ribbon');
    await bench.do('sample.hand', { sampleId, ribbon: null });
    expect(await details()).to.eql({ look: 'grey', hand: ['heavy', 'ponds'] });
  });
});
