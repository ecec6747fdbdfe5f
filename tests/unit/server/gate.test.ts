import { expect } from 'chai';
import { readConfig } from '../../../src/lib/server/config.ts';
import { hostAllowed, originAllowed, passToken, sameText } from '../../../src/lib/server/gate.ts';

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
    expect(readConfig({ HOST: '0.0.0.0', TIVREL_PASSPHRASE: 'long enough' }).passphrase).to.equal(
      'long enough'
    );
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
  it('never shows the passphrase in its token', () => {
    const token = passToken('a long secret');
    expect(token).not.to.contain('secret');
    expect(sameText(token, passToken('a long secret'))).to.equal(true);
    expect(sameText(token, passToken('another secret'))).to.equal(false);
  });
});
