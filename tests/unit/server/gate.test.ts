import { inspect } from 'node:util';
import { expect } from 'chai';
import { readConfig } from '../../../src/lib/server/config.ts';
import { ALL_TRIES, Door, OWN_TRIES } from '../../../src/lib/server/door.ts';
import { hostAllowed, originAllowed, ownPath } from '../../../src/lib/server/gate.ts';
import { endSession, enteredBy, openSession, SESSION } from '../../../src/lib/server/sessions.ts';
import { openBench, type TestBench } from './bench.ts';

describe('configuration', () => {
  it('binds to loopback and keeps a file by default', () => {
    expect(readConfig({ HOST: '127.0.0.1' })).to.include({
      databaseUrl: 'file:data/tivrel.db',
      testClockMs: undefined
    });
  });
  it('refuses an open address without a passphrase', () => {
    expect(() => readConfig({ HOST: '0.0.0.0' })).to.throw(/TIVREL_PASSPHRASE/);
    expect(() => readConfig({ HOST: '0.0.0.0', TIVREL_PASSPHRASE: 'short' })).to.throw(/8 letters/);
    expect(readConfig({ HOST: '0.0.0.0', TIVREL_PASSPHRASE: 'long enough' }).door).to.be.instanceOf(Door);
  });
  it('refuses the test clock in production', () => {
    expect(() => readConfig({ HOST: '127.0.0.1', TIVREL_TEST_CLOCK: '1', NODE_ENV: 'production' })).to.throw(
      /for tests/
    );
    expect(() => readConfig({ HOST: '127.0.0.1', TIVREL_TEST_CLOCK: '1' })).to.throw(/for tests/);
    expect(readConfig({ HOST: '127.0.0.1', TIVREL_TEST_CLOCK: '1', NODE_ENV: 'test' }).testClockMs).to.equal(
      1
    );
  });
});

describe('the door', () => {
  const config = readConfig({ HOST: '127.0.0.1', TIVREL_HOSTS: 'bench.local' });
  it('answers to its own names only', () => {
    expect(hostAllowed(config, '127.0.0.1:3160')).to.equal(true);
    expect(hostAllowed(config, 'localhost')).to.equal(true);
    expect(hostAllowed(config, 'bench.local:80')).to.equal(true);
    expect(hostAllowed(config, 'elsewhere.example')).to.equal(false);
    expect(hostAllowed(config, null)).to.equal(false);
  });
  it('takes changes from its own pages and from programs, not from other sites', () => {
    expect(originAllowed('POST', 'http://127.0.0.1:3160', '127.0.0.1:3160')).to.equal(true);
    expect(originAllowed('POST', null, '127.0.0.1:3160')).to.equal(true);
    expect(originAllowed('POST', 'http://elsewhere.example', '127.0.0.1:3160')).to.equal(false);
    expect(originAllowed('POST', 'null', '127.0.0.1:3160')).to.equal(false);
    expect(originAllowed('GET', 'http://elsewhere.example', '127.0.0.1:3160')).to.equal(true);
  });
});

describe('the passphrase', () => {
  const door = () => new Door('cistern lantern', 'file:a.db');

  it('is not kept: the door does not hold it, and tells one from another', async () => {
    expect(inspect(door(), { depth: 9, showHidden: true })).not.to.contain('lantern');
    const own = await door().fingerprint();
    expect(own).not.to.contain('lantern');
    expect(await door().fingerprint(), 'after a restart').to.equal(own);
    expect(await new Door('cistern lantern', 'file:b.db').fingerprint()).not.to.equal(own);
    expect(await new Door('cistern latern', 'file:a.db').fingerprint()).not.to.equal(own);
  });

  it('lets in who has it, however often', async () => {
    const shared = door();
    for (let i = 0; i < 2 * OWN_TRIES.points; i++) {
      expect(await shared.try('cistern lantern', '10.0.0.1')).to.equal('in');
    }
  });

  it('takes few wrong tries from one address, made at once or in turn, and says how long to wait', async () => {
    const shared = door();
    const many = await Promise.all(
      Array.from({ length: 3 * OWN_TRIES.points }, (_, i) => shared.try(`guess ${i}`, '10.0.0.1'))
    );
    expect(many.filter((tried) => tried === 'wrong')).to.have.length(OWN_TRIES.points);
    const refused = await shared.try('cistern lantern', '10.0.0.1');
    expect(refused).to.have.property('waitS').within(1, OWN_TRIES.duration);
    expect(await shared.try('cistern lantern', '10.0.0.2'), 'another device').to.equal('in');
  });

  it('takes few from all addresses together', async () => {
    const shared = door();
    const tries = await Promise.all(
      Array.from({ length: ALL_TRIES.points + 5 }, (_, i) => shared.try('guess', `10.0.1.${i}`))
    );
    expect(tries.filter((tried) => tried === 'wrong')).to.have.length(ALL_TRIES.points);
  });
});

describe('a session', () => {
  let bench: TestBench;
  beforeEach(async () => (bench = await openBench()));
  afterEach(() => bench.close());
  const door = new Door('cistern lantern', 'file:a.db');
  const known = (cookie: string, now = bench.now, by = door) =>
    enteredBy(bench.store, by, cookie, now).then((one) => one !== undefined);
  const DAY_MS = 86_400_000;

  it('is a random cookie of which only a digest is kept, and is ended by signing out', async () => {
    const [one, two] = [
      await openSession(bench.store, { door }, 'computer', bench.now),
      await openSession(bench.store, { door }, 'computer', bench.now)
    ];
    expect(one).not.to.equal(two);
    expect(one).to.have.length(43);
    const rows = JSON.stringify((await bench.store.client.execute('select * from session')).rows);
    expect(rows).not.to.contain(one);
    expect([await known(one), await known(two), await known(''), await known(`${one}x`)]).to.eql([
      true,
      true,
      false,
      false
    ]);
    await endSession(bench.store, one);
    expect([await known(one), await known(two)]).to.eql([false, true]);
    await bench.reopen();
    expect(await known(two), 'after a restart').to.equal(true);
  });

  it('is ended by another passphrase, by age, and where nobody is seen for long', async () => {
    const cookie = await openSession(bench.store, { door }, 'computer', bench.now);
    expect(await known(cookie, bench.now, new Door('another lantern', 'file:a.db'))).to.equal(false);
    expect(await known(cookie, bench.now + SESSION.idleMs + DAY_MS)).to.equal(false);
    let now = bench.now;
    while (now - bench.now < SESSION.mostMs - SESSION.idleMs) {
      now += SESSION.idleMs - DAY_MS;
      expect(await known(cookie, now)).to.equal(true);
    }
    expect(await known(cookie, bench.now + SESSION.mostMs + DAY_MS)).to.equal(false);
    // The next that comes in sweeps those that have ended.
    await openSession(bench.store, { door }, 'computer', bench.now + SESSION.mostMs + DAY_MS);
    expect((await bench.store.client.execute('select count(*) as n from session')).rows[0].n).to.equal(1);
  });
});

describe('where one goes after the door', () => {
  it('is a page of this bench, however the address is written', () => {
    expect(['/log?sort=sample', '/', null, 'plan'].map(ownPath)).to.eql([
      '/log?sort=sample',
      '/',
      '/',
      '/plan'
    ]);
    const away = [
      '//evil.example',
      '/\\evil.example',
      '/\t/evil.example',
      '\\\\evil.example',
      'https://evil.example',
      'javascript:1',
      '/\n/evil.example',
      '/.//evil.example',
      './/evil.example',
      '/x/..//evil.example',
      '/%2e//evil.example',
      '/./\\evil.example'
    ];
    expect(away.map(ownPath)).to.eql(away.map(() => '/'));
  });
});
