import { expect } from 'chai';
import fc from 'fast-check';
import {
  compareUrgency,
  HAND_S,
  handIsOn,
  isAlarm,
  isPressing,
  markWindow,
  METHODS,
  nextStep,
  stepsAhead,
  timingOf,
  type NextStep
} from '../../../src/lib/core/index.ts';

const timed = METHODS.find((m) => m.key === 'jar-timed')!;
const bands = METHODS.find((m) => m.key === 'jar-bands')!;
const [sand, silt, clay] = timed.marks;
const T0 = Date.UTC(2026, 4, 4, 9);
const after = (s: number) => T0 + s * 1000;
const run = (o: object = {}) => ({ setDownAt: T0, marked: [], hasReading: false, ...o });

describe('the hand that pressed', () => {
  it('is on the glass for five seconds, and at once, though the shown time is still before its press', () => {
    expect(handIsOn(T0, T0 - 900)).to.equal(true);
    expect(handIsOn(T0, T0 + HAND_S * 1000 - 1)).to.equal(true);
    expect(handIsOn(T0, T0 + HAND_S * 1000)).to.equal(false);
    // A clock that was set back does not hold a button for ever.
    expect(handIsOn(T0, T0 - 3_600_000)).to.equal(false);
  });
});

describe('the window of a mark', () => {
  it('is a tenth to either side, a hand at least, or what the method gives', () => {
    expect(markWindow(sand)).to.deep.equal({ fromS: 54, untilS: 66 });
    expect(markWindow({ atS: 20 })).to.deep.equal({ fromS: 20 - HAND_S, untilS: 20 + HAND_S });
    expect(markWindow(clay).untilS).to.equal(172_800);
  });
  it('tells what is early, late, and so far off that another size is cut', () => {
    expect(timingOf(silt, 110)).to.deep.equal({ kind: 'early', offS: -7090, far: true });
    expect(timingOf(sand, 52 * 60)).to.deep.equal({ kind: 'late', offS: 3060, far: true });
    expect(timingOf(sand, 61)).to.include({ kind: 'on-time', far: false });
    expect(timingOf(silt, 6000)).to.include({ kind: 'early', far: false });
    expect(timingOf(sand, 80)).to.include({ kind: 'late', far: false });
  });
  it('never calls a late mark of the clay far: it closes the deposit', () => {
    fc.assert(
      fc.property(fc.double({ min: 90_000, max: 1e7, noNaN: true }), (s) => {
        expect(timingOf(clay, s).far).to.equal(false);
      })
    );
    expect(timingOf(clay, 2 * 3600).far).to.equal(true);
  });
});

describe('what is next', () => {
  it('passes a mark over that somebody passed, and reads by the method where the last was', () => {
    expect(nextStep(timed, run({ passed: ['sand'] }), after(300))).to.include({
      layer: 'silt',
      state: 'waiting'
    });
    const passedClay = run({ passed: ['clay'], marked: [{ layer: 'silt', at: after(7200) }] });
    expect(nextStep(timed, passedClay, after(7300))).to.include({
      kind: 'read',
      state: 'waiting',
      dueAt: after(86_400)
    });
    expect(stepsAhead(timed, run({ passed: ['silt'] }), after(1)).map((s) => s.layer)).to.deep.equal([
      'sand',
      'clay'
    ]);
  });
  it('reads a jar that stood already, and asks for no mark of it', () => {
    expect(nextStep(timed, run({ stoodAlready: true }), after(10))).to.deep.equal({
      kind: 'read',
      state: 'ready'
    });
  });
  it('calls a reading that falls due, and goes on calling it', () => {
    const due = nextStep(bands, run(), after(12 * 3600));
    const late = nextStep(bands, run(), after(3 * 86_400));
    expect([due, late].map((s) => [s.kind, s.state, isPressing(s), isAlarm(s)])).to.deep.equal([
      ['read', 'due', true, false],
      ['read', 'late', true, false]
    ]);
  });
  it('puts what closes first before the rest, and an unfinished cylinder behind what is due', () => {
    const read = nextStep(bands, run(), after(13 * 3600));
    const mark: NextStep = {
      kind: 'mark',
      layer: 'sand',
      dueAt: after(47_000),
      untilAt: after(47_006),
      state: 'due'
    };
    const finish: NextStep = { kind: 'finish', state: 'ready' };
    const lateMark: NextStep = { ...mark, state: 'late' };
    const lateRead = nextStep(bands, run(), after(3 * 86_400));
    const order = [finish, lateRead, lateMark, read, mark].sort(compareUrgency);
    expect(order).to.deep.equal([mark, read, lateMark, lateRead, finish]);
  });
});
