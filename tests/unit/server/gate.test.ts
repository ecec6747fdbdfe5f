import { inspect } from 'node:util';
import { expect } from 'chai';
import { readConfig } from '../../../src/lib/server/config.ts';
import { ALL_TRIES, Door, OWN_TRIES } from '../../../src/lib/server/door.ts';
import { hostAllowed, originAllowed } from '../../../src/lib/server/gate.ts';

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

  it('is not kept: neither the door nor its cookie holds it, and a cookie is good for one bench', async () => {
    const token = await door().token();
    expect(inspect(door(), { depth: 9, showHidden: true })).not.to.contain('lantern');
    expect(token).not.to.contain('lantern');
    expect(await door().knows(token), 'after a restart').to.equal(true);
    expect(await door().knows('')).to.equal(false);
    expect(await door().knows(`${token}x`)).to.equal(false);
    expect(await new Door('cistern lantern', 'file:b.db').knows(token)).to.equal(false);
    expect(await new Door('cistern latern', 'file:a.db').knows(token)).to.equal(false);
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
