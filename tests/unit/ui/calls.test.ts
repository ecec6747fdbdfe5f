import { expect } from 'chai';
import type { JarRecord } from '../../../src/lib/contract/records.ts';
import { METHODS, STANDARD_VESSELS } from '../../../src/lib/core/index.ts';
import { callsOf, waitingNow } from '../../../src/lib/ui/jar/calls.ts';
import { viewShelf } from '../../../src/lib/ui/jar/view.ts';

const START = Date.UTC(2026, 4, 4, 9);
const MINUTE = 60_000;

function jar(fields: Partial<JarRecord>): JarRecord {
  return {
    id: 'a',
    code: 'K1',
    sample: { id: 's', code: 'K1', name: 'North bed', purpose: 'garden', note: '', createdAt: 0 },
    vessel: STANDARD_VESSELS[1],
    methodKey: METHODS[0].key,
    methodVersion: 1,
    tempC: 18,
    soilMm: 43,
    waterMm: 128,
    dispersantMl: 4,
    note: '',
    prep: { ticks: [], shakeStartedAt: null },
    status: 'ready',
    createdAt: START,
    finishedAt: null,
    binnedAt: null,
    run: null,
    hasReading: false,
    ...fields
  };
}
const standing = jar({
  status: 'running',
  run: { id: 'r', no: 1, setDownAt: START, endedAt: null, endReason: null, marks: [] }
});

describe('what calls', () => {
  it('is the next timed step of every jar, at its time', () => {
    const [call] = callsOf(viewShelf([standing], START + MINUTE / 2));
    expect(call).to.include({ dueAt: START + MINUTE, line: 'Jar K1, mark the sand', jarId: 'a' });
  });

  it('has one key while the step stays the same, so that it calls once', () => {
    const keys = [0.5, 1, 1.5].map((m) => callsOf(viewShelf([standing], START + m * MINUTE))[0].key);
    expect(new Set(keys).size).to.equal(1);
  });

  it('is shaking too, once it has lasted as long as the method asks', () => {
    const shaken = jar({ prep: { ticks: [], shakeStartedAt: START } });
    const [call] = callsOf(viewShelf([shaken], START));
    expect(call).to.include({ dueAt: START + 10 * MINUTE, line: 'Jar K1, shaken long enough' });
    expect(callsOf(viewShelf([jar({})], START))).to.deep.equal([]);
  });

  it('keeps the screen on through a short wait and a while after, not through a long one', () => {
    const calls = callsOf(viewShelf([standing], START));
    expect([-6, -4, 0, 3, 7].map((m) => waitingNow(calls, START + (m + 1) * MINUTE))).to.deep.equal([
      false,
      true,
      true,
      true,
      false
    ]);
  });
});
