import { expect } from 'chai';
import { z } from 'zod';
import { bringsMost, ROUTES } from '../../../src/lib/server/access.ts';
import { answering, bodyOf, isTooMuch, JSON_MOST } from '../../../src/lib/server/answer.ts';
import { asked } from '../../../src/lib/server/form.ts';
import { bodyRefused } from '../../../src/lib/server/gate.ts';

const sent = (body: string) => new Request('http://bench.local/', { method: 'POST', body });
const refusedBy = (code: string) => Object.assign(new Error('no'), { code });

describe('what a request brings', () => {
  it('is a code and a passphrase before the door, and no more anywhere than its route takes', () => {
    const open = Object.entries(ROUTES).filter(([, { changes }]) => changes === 'stranger');
    expect(open).to.have.length.greaterThan(5);
    for (const [id] of open) expect(bringsMost(id), id).to.be.at.most(64_000);
    expect(bringsMost('/enter')).to.equal(16_000);
    expect(bringsMost('/people')).to.equal(256_000);
    expect(bringsMost(null)).to.equal(256_000);
    const long = (bytes: number) => new Headers({ 'content-length': String(bytes) });
    expect(bodyRefused(16_000, long(16_000))).to.equal(undefined);
    expect(bodyRefused(16_000, new Headers())).to.equal(undefined);
    expect(bodyRefused(16_000, long(16_001))).to.deep.equal([
      413,
      'This is 17 kB; at most 16 kB are taken in here at once.'
    ]);
    expect(bodyRefused(16_000, new Headers({ 'transfer-encoding': 'chunked' }))?.[0]).to.equal(411);
  });

  it('is not read where it is nested deeper, or holds more, than anything that is sent', async () => {
    const nested = (depth: number) => '['.repeat(depth) + ']'.repeat(depth);
    expect(isTooMuch(nested(JSON_MOST.depth))).to.equal(false);
    expect(isTooMuch(nested(JSON_MOST.depth + 1))).to.equal(true);
    expect(isTooMuch('{"a":'.repeat(200_000))).to.equal(true);
    expect(isTooMuch(`[${'1,'.repeat(JSON_MOST.values + 1)}1]`)).to.equal(true);
    // Brackets and commas that somebody wrote are words.
    expect(isTooMuch(JSON.stringify({ note: `\\"${'[{,'.repeat(600_000)}` }))).to.equal(false);
    const deep = await answering(() => bodyOf(sent(nested(200_000)), z.unknown()));
    expect(deep.status).to.equal(413);
    expect((await deep.json()).message).to.match(/nested too deep/);
    const none = await answering(() => bodyOf(sent('{"a"'), z.unknown()));
    expect(none.status).to.equal(400);
  });

  it('is refused in a sentence where the disk is full or the file is held, to programs and beside a form', async () => {
    const full = await answering(() => Promise.reject(refusedBy('SQLITE_FULL')));
    expect([full.status, full.headers.get('retry-after')]).to.deep.equal([507, null]);
    const busy = await answering(() => Promise.reject(refusedBy('SQLITE_BUSY')));
    expect(busy.status).to.equal(503);
    expect(Number(busy.headers.get('retry-after'))).to.be.greaterThan(0);
    const form = await asked({ name: 'Ada' }, () => Promise.reject(refusedBy('SQLITE_BUSY')));
    expect(form).to.deep.include({ status: 503 });
    expect(form).to.have.nested.property('data.typed.name', 'Ada');
  });
});
