import { expect } from 'chai';
import { callsNow, callsOf, waitingNow } from '../../../src/lib/workbench/calls.ts';
import { viewShelf } from '../../../src/lib/workbench/jars.ts';
import { START, anyJar as jar, anyRun } from './jar.ts';

const MINUTE = 60_000;
const standing = jar({
  status: 'running',
  run: anyRun()
});

describe('what calls', () => {
  it('is the next timed step of every jar, at its time', () => {
    const call = callsOf(viewShelf([standing], START + MINUTE / 2)).at(-1);
    expect(call).to.include({ dueAt: START + MINUTE, line: 'Jar K1, mark the sand', path: '/tests/a' });
  });

  it('has one key while the step stays the same, so that it calls once', () => {
    const keys = [0.5, 1, 1.5].map((m) => callsOf(viewShelf([standing], START + m * MINUTE))[0].key);
    expect(new Set(keys).size).to.equal(1);
  });

  it('has a cue ahead of a mark: ten seconds where one stands by, two minutes where one must come over', () => {
    const [cue] = callsOf(viewShelf([standing], START));
    expect(cue).to.include({ dueAt: START + 50_000, beforeAt: START + MINUTE });
    expect(cue.line).to.equal('Jar K1, mark the sand in 10 seconds');
    const later = structuredClone(standing);
    later.run!.marks.push({ id: 'm', layer: 'sand', at: START + MINUTE, heightMm: null, heightText: null });
    const [far] = callsOf(viewShelf([later], START + 2 * MINUTE));
    expect(far).to.include({ dueAt: START + 118 * MINUTE, line: 'Jar K1, mark the silt in 2 minutes' });
  });

  it('is called once each, the most pressing first; a cue whose time has come gives way', () => {
    const other = { ...structuredClone(standing), id: 'b', code: 'K2' };
    other.run = { ...other.run!, id: 'q', setDownAt: START - 20_000 };
    const calls = callsOf(viewShelf([standing, other], START + 40_000));
    const lines = (at: number, made = new Set<string>()) =>
      callsNow(calls, made, START + at).map((c) => c.line);
    expect(lines(29_000)).to.deep.equal([]);
    expect(lines(31_000)).to.deep.equal(['Jar K2, mark the sand in 10 seconds']);
    // K2 is due, K1 is ahead of its time: what is due comes first.
    expect(lines(52_000)).to.deep.equal(['Jar K2, mark the sand', 'Jar K1, mark the sand in 10 seconds']);
    expect(lines(61_000)).to.deep.equal(['Jar K2, mark the sand', 'Jar K1, mark the sand']);
    expect(lines(61_000, new Set(['q:mark:sand']))).to.deep.equal(['Jar K1, mark the sand']);
  });

  it('is shaking too, once it has lasted as long as the method asks', () => {
    const shaken = jar({ prep: { ticks: [], shakeStartedAt: START } });
    const [call] = callsOf(viewShelf([shaken], START));
    expect(call).to.include({ dueAt: START + 10 * MINUTE, line: 'Jar K1, shaken long enough' });
    expect(callsOf(viewShelf([jar({})], START))).to.deep.equal([]);
  });

  it('of a planned jar is to shake it, then to set it down', () => {
    const plannedAt = START + 30 * MINUTE;
    const [shake] = callsOf(viewShelf([jar({ plannedAt })], START));
    expect(shake).to.include({ dueAt: START + 20 * MINUTE, line: 'Jar K1, shake it now' });
    const shaking = jar({ plannedAt, prep: { ticks: [], shakeStartedAt: START + 21 * MINUTE } });
    const calls = callsOf(viewShelf([shaking], START + 22 * MINUTE));
    expect(calls.map((c) => c.line)).to.deep.equal(['Jar K1, set it down']);
    expect(calls[0].dueAt).to.equal(START + 31 * MINUTE);
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
