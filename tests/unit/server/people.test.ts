import { readdirSync, readFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import { ulid } from 'ulid';
import { withTable } from '../../../scripts/who-may.ts';
import { ROUTES, roleRefused } from '../../../src/lib/server/access.ts';
import { runCommand } from '../../../src/lib/server/commands.ts';
import { whoIsIn } from '../../../src/lib/server/entering.ts';
import { announce, newsStream } from '../../../src/lib/server/live.ts';
import { ALL_TRIES, Guesses, OWN_TRIES } from '../../../src/lib/server/door.ts';
import {
  acceptInvite,
  allPeople,
  changePassphrase,
  changeRole,
  endPerson,
  firstKeeper,
  invitePerson,
  openInvites,
  peopleThere,
  tryPerson,
  withdrawInvite
} from '../../../src/lib/server/people.ts';
import { logChoices, logPage } from '../../../src/lib/server/repositories/log.ts';
import { event, session } from '../../../src/lib/server/schema.ts';
import { MeanwhileProblem } from '../../../src/lib/server/seen.ts';
import { enteredBy, openSession, sessionsOf } from '../../../src/lib/server/sessions.ts';
import { readLogAddress } from '../../../src/lib/workbench/find.ts';
import { openBench, prepareJar, START, type TestBench } from './bench.ts';
import { refusal } from './refusal.ts';

const DAY = 86_400_000;
const KEEPER = { name: 'Lamp keeper', passphrase: 'cistern lantern' };
const HELPER = { name: 'Garden crew', passphrase: 'kale and leeks' };

describe('people on one bench', () => {
  let bench: TestBench;
  let keeper: string;
  const by = (who = 'Lamp keeper') => ({ who, now: bench.now });
  beforeEach(async () => {
    bench = await openBench();
    keeper = await firstKeeper(bench.store, KEEPER, by('computer'));
  });
  afterEach(() => bench.close());

  const invited = async (as: 'keeper' | 'helper' | 'reader', given = HELPER) =>
    acceptInvite(bench.store, await invitePerson(bench.store, as, by()), given, bench.now);
  const tries = (given: { name: string; passphrase: string }, guesses = new Guesses(), from = '10.0.0.1') =>
    tryPerson(bench.store, given, from, guesses);

  it('begin with a keeper, and come in by an invitation that is good once, for a week', async () => {
    expect(await refusal(firstKeeper(bench.store, HELPER, by()))).to.include({ status: 409 });
    const code = await invitePerson(bench.store, 'helper', by());
    expect(code).to.match(/^[A-Z2-9]{4}-[A-Z2-9]{4}-[A-Z2-9]{4}$/);
    expect(await openInvites(bench.store.db, bench.now)).to.have.length(1);
    const kept = JSON.stringify((await bench.store.client.execute('select * from invite')).rows);
    expect(kept).not.to.contain(code.slice(0, 4));
    // As somebody types it.
    await acceptInvite(bench.store, code.toLowerCase().replaceAll('-', ' '), HELPER, bench.now);
    const [, other] = (await allPeople(bench.store.db)).map(({ name, role }) => [name, role]);
    expect(other).to.deep.equal(['Lamp keeper', 'keeper']);
    expect(await peopleThere(bench.store.db)).to.equal(2);
    const again = { name: 'Somebody else', passphrase: 'quite another' };
    expect((await refusal(acceptInvite(bench.store, code, again, bench.now))).fields.code).to.match(/used/);
    const old = await invitePerson(bench.store, 'reader', by());
    expect((await refusal(acceptInvite(bench.store, old, again, bench.now + 8 * DAY))).status).to.equal(404);
    const [open] = await openInvites(bench.store.db, bench.now);
    await withdrawInvite(bench.store, open.id, by());
    expect((await refusal(acceptInvite(bench.store, old, again, bench.now))).status).to.equal(404);
    const same = await refusal(invited('reader', { ...HELPER, name: 'lamp KEEPER' }));
    expect(same.fields.name).to.match(/called so already/);
  });

  it('take no name that looks like somebody’s, of today or of before: with other letters, or with some that are not seen', async () => {
    const gone = await invited('helper', { ...HELPER, name: 'Ivar' });
    await endPerson(bench.store, gone, by());
    for (const name of [
      'L\u0430mp keeper',
      'Lamp\u200b keeper',
      'Lamp  keeper',
      'Iv\u0430r',
      'lvar',
      '\u0399var'
    ])
      expect((await refusal(invited('reader', { ...HELPER, name }))).fields.name, name).to.match(
        /called so|looks the same/
      );
    // A name in another alphabet is as good as any.
    await invited('reader', { ...HELPER, name: '\u041e\u043b\u044c\u0433\u0430' });
  });

  it('give a name and a passphrase, of which only an argon2 digest is kept; guesses are limited', async () => {
    expect(await tries(KEEPER)).to.deep.equal({ personId: keeper });
    expect(await tries({ ...KEEPER, name: ' lamp keeper ' })).to.deep.equal({ personId: keeper });
    expect(await tries({ ...KEEPER, passphrase: 'cistern lantern ' })).to.equal('wrong');
    // Capitals of any language, and letters that are written in two ways.
    const other = await invited('helper', { name: 'Ærøe Å', passphrase: 'over the sound' });
    expect(await tries({ name: 'ærøe A\u030a', passphrase: 'over the sound' })).to.deep.equal({
      personId: other
    });
    expect((await refusal(invited('helper', { name: 'ÆRØE Å', passphrase: 'another one' }))).status).to.equal(
      409
    );
    expect(await tries({ name: 'nobody', passphrase: 'cistern lantern' })).to.equal('wrong');
    const { rows } = await bench.store.client.execute('select digest from person');
    expect(String(rows[0].digest)).to.match(/^\$argon2id\$/);
    const guesses = new Guesses();
    const many = await Promise.all(
      Array.from({ length: OWN_TRIES.points + 3 }, (_, i) =>
        tries({ ...KEEPER, passphrase: `guess ${i}` }, guesses)
      )
    );
    expect(many.filter((one) => one === 'wrong')).to.have.length(OWN_TRIES.points);
    expect(await tries(KEEPER, guesses)).to.have.property('waitS');
    expect(await tries(KEEPER, guesses, '10.0.0.9')).to.deep.equal({ personId: keeper });
    // Sixty strangers, each with a few guesses at the keeper's name: whoever came in from home before still does, others wait.
    for (let i = 0; i < ALL_TRIES.points + 5; i++) {
      await guesses.count(`10.0.2.${i}`, 'lamp keeper');
      await guesses.count(`10.0.2.${i}`);
    }
    expect(await tries(KEEPER, guesses, '10.0.0.7')).to.have.property('waitS');
    expect(await tries(KEEPER, guesses, '10.0.0.9')).to.deep.equal({ personId: keeper });
    for (let i = 0; i < OWN_TRIES.points; i++) await guesses.count('10.0.0.9', 'lamp keeper');
    expect(await tries(KEEPER, guesses, '10.0.0.9'), 'its own are counted there too').to.have.property(
      'waitS'
    );
  }).timeout(20_000);

  it('come by routes of which it is said who may, every one of them', () => {
    const there = readdirSync('src/routes', { recursive: true, encoding: 'utf8' })
      .filter((file) => /\+(page\.svelte|page\.server\.ts|server\.ts)$/.test(file))
      .map((file) => `/${dirname(file)}`.replace('/.', '/'));
    expect(Object.keys(ROUTES).sort()).to.deep.equal([...new Set(there)].sort());
  });

  it('stands in the documentation as it is: written anew by `npx tsx scripts/who-may.ts`', () => {
    const text = readFileSync('docs/trust.md', 'utf8');
    expect(withTable(text)).to.equal(text);
  });

  it('may do what their role does, and no more', () => {
    const table = (method: string, routeId: string, params: Record<string, string> = {}) =>
      (['keeper', 'helper', 'reader'] as const).map(
        (role) => roleRefused(role, { method, routeId, params }) === undefined
      );
    expect(table('GET', '/log')).to.deep.equal([true, true, true]);
    expect(table('POST', '/api/v1/commands/[name]', { name: 'jar.mark' })).to.deep.equal([true, true, false]);
    expect(table('POST', '/api/v1/imports')).to.deep.equal([true, true, false]);
    expect(table('DELETE', '/api/v1/imports/[id]')).to.deep.equal([true, true, false]);
    expect(table('POST', '/api/v1/commands/[name]', { name: 'bin.empty' })).to.deep.equal([
      true,
      false,
      false
    ]);
    expect(table('POST', '/api/v1/restore/[id]')).to.deep.equal([true, false, false]);
    expect(table('GET', '/api/v1/archive.zip')).to.deep.equal([true, false, false]);
    expect(table('GET', '/people')).to.deep.equal([true, false, false]);
    expect(table('POST', '/people/own')).to.deep.equal([true, true, true]);
    expect(table('POST', '/leave')).to.deep.equal([true, true, true]);
    expect(table('GET', '/nobody/has/said'), 'denied unless said').to.deep.equal([false, false, false]);
  });

  it('are out on every device at once when they are let in no more, and the bench is never without a keeper', async () => {
    const helper = await invited('helper');
    const cookie = await openSession(bench.store, { personId: helper }, 'phone', bench.now);
    const entered = await enteredBy(bench.store, undefined, cookie, bench.now);
    expect(entered?.person).to.deep.equal({ id: helper, name: 'Garden crew', role: 'helper' });
    expect(await sessionsOf(bench.store, entered?.sessionId)).to.have.length(1);
    await endPerson(bench.store, helper, by());
    expect(await enteredBy(bench.store, undefined, cookie, bench.now)).to.equal(undefined);
    expect(await tries(HELPER)).to.equal('wrong');
    expect((await refusal(endPerson(bench.store, keeper, by()))).message).to.match(/keep the bench/);
    expect((await refusal(changeRole(bench.store, keeper, 'reader', by()))).status).to.equal(409);
    // They come back by another invitation, as the same person.
    expect(await invited('keeper')).to.equal(helper);
    await changeRole(bench.store, keeper, 'reader', by());
    const what = (await bench.store.db.select().from(event)).map((one) => one.what);
    expect(what).to.include.members(['person.join', 'person.invite', 'person.end', 'person.role']);
  }).timeout(20_000);

  it('leave no way in behind: an invitation ends with whoever made it and keeps the bench no more', async () => {
    const other = await invited('keeper');
    const mine = { who: HELPER.name, now: bench.now };
    const [first, second] = [
      await invitePerson(bench.store, 'keeper', mine),
      await invitePerson(bench.store, 'keeper', by())
    ];
    await changeRole(bench.store, other, 'reader', by());
    expect(await openInvites(bench.store.db, bench.now)).to.have.length(1);
    const again = { name: 'Somebody else', passphrase: 'quite another' };
    expect((await refusal(acceptInvite(bench.store, first, again, bench.now))).fields).to.have.key('code');
    await changeRole(bench.store, other, 'keeper', by());
    const third = await invitePerson(bench.store, 'keeper', mine);
    await endPerson(bench.store, other, by());
    expect((await refusal(acceptInvite(bench.store, third, again, bench.now))).fields).to.have.key('code');
    expect(await acceptInvite(bench.store, second, again, bench.now)).to.be.a('string');
  }).timeout(20_000);

  it('hear no more news once they are out', async () => {
    const helper = await invited('helper');
    const cookie = await openSession(bench.store, { personId: helper }, 'phone', bench.now);
    const stillIn = async () => (await whoIsIn(bench.store, undefined, cookie, bench.now)).isIn;
    const stop = new AbortController();
    const reader = newsStream(stop.signal, stillIn).body!.getReader();
    await reader.read();
    await changeRole(bench.store, helper, 'reader', by());
    expect(new TextDecoder().decode((await reader.read()).value)).to.contain('person.role');
    await endPerson(bench.store, helper, by());
    announce({ what: 'person.invite', testId: null });
    const heard: string[] = [];
    for (let one = await reader.read(); !one.done; one = await reader.read())
      heard.push(new TextDecoder().decode(one.value));
    expect(heard).to.deep.equal([]);
  }).timeout(20_000);

  it('take another passphrase, which signs their other devices out', async () => {
    const [own, other] = [
      await openSession(bench.store, { personId: keeper }, 'computer', bench.now),
      await openSession(bench.store, { personId: keeper }, 'phone', bench.now)
    ];
    const { sessionId } = (await enteredBy(bench.store, undefined, own, bench.now))!;
    const change = (now: string, next: string) =>
      changePassphrase(
        bench.store,
        keeper,
        { now, next },
        { ...by(), sessionId, from: '10.0.0.1', guesses: new Guesses() }
      );
    expect((await refusal(change('wrong', 'another lantern'))).fields).to.have.key('now');
    const guesses = new Guesses();
    const guess = (now: string) =>
      refusal(
        changePassphrase(
          bench.store,
          keeper,
          { now, next: 'another lantern' },
          { ...by(), sessionId, from: '10.0.0.1', guesses }
        )
      );
    for (let i = 0; i < OWN_TRIES.points; i++) await guess(`wrong ${i}`);
    expect(await guess(KEEPER.passphrase), 'guessed at too often').to.include({ status: 429 });
    expect((await refusal(change(KEEPER.passphrase, 'short'))).fields).to.have.key('next');
    await change(KEEPER.passphrase, 'another lantern');
    expect(await enteredBy(bench.store, undefined, other, bench.now)).to.equal(undefined);
    expect(await enteredBy(bench.store, undefined, own, bench.now)).not.to.equal(undefined);
    expect(await tries({ ...KEEPER, passphrase: 'another lantern' })).to.deep.equal({ personId: keeper });
    expect(await bench.store.db.select().from(session).where(eq(session.personId, keeper))).to.have.length(1);
  }).timeout(20_000);

  it('stand in the record by name, and the log is narrowed to what one of them did', async () => {
    const { testId } = await prepareJar(bench);
    await prepareJar(bench);
    const mark = { commandId: ulid(), at: bench.now, payload: { testId, kind: 'moved' } };
    await runCommand(bench.store, 'jar.note', mark, 'Garden crew', bench.now);
    const page = (query: string) => logPage(bench.store, 'kept', readLogAddress(new URLSearchParams(query)));
    expect((await page('person=Garden+crew')).lines.map((line) => line.id)).to.deep.equal([testId]);
    expect((await page('person=Nobody')).found).to.equal(0);
    const names = (await logChoices(bench.store)).person.map(({ label }) => label);
    expect(names).to.include.members(['Garden crew', 'test']);
  });
});

describe('two edits of one record at once', () => {
  let bench: TestBench;
  beforeEach(async () => (bench = await openBench()));
  afterEach(() => bench.close());

  it('show the second what the first made of it, and keep what the second then chooses', async () => {
    const sampleId = ulid();
    await bench.do('sample.add', { sampleId, name: 'North bed', purpose: 'garden' });
    const seen = { name: 'North bed', purpose: 'garden', note: '', details: {}, areaId: null, spotIds: [] };
    const edit = (name: string, note: string, was: object | undefined, who: string) =>
      runCommand(
        bench.store,
        'sample.edit',
        {
          commandId: ulid(),
          at: bench.now,
          payload: { sampleId, name, purpose: 'garden', note, details: {} },
          ...(was ? { seen: was } : {})
        },
        who,
        bench.now
      );
    await edit('North bed', 'by the tap', seen, 'Lamp keeper');
    const problem = (await refusal(edit('North bed, upper', '', seen, 'Garden crew'))) as MeanwhileProblem;
    expect(problem).to.be.instanceOf(MeanwhileProblem);
    expect(problem.status).to.equal(409);
    expect(problem.meanwhile).to.deep.equal({ who: 'Lamp keeper', at: START, now: { note: 'by the tap' } });
    // Both of one mind is no quarrel; a program that says nothing of what it saw writes as before.
    await edit('North bed', 'by the tap', seen, 'Garden crew');
    await edit('North bed, upper', '', { ...seen, ...problem.meanwhile.now }, 'Garden crew');
    await edit('North bed', '', undefined, 'program');
    const changes = (await bench.store.db.select().from(event)).filter(({ what }) => what === 'sample.edit');
    expect(changes.map(({ who }) => who)).to.deep.equal([
      'Lamp keeper',
      'Garden crew',
      'Garden crew',
      'program'
    ]);
    expect(JSON.stringify(changes)).to.contain('by the tap');
  });
});
