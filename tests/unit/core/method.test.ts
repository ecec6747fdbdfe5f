import { expect } from 'chai';
import {
  compareUrgency,
  cutReport,
  METHODS,
  methodByKey,
  nextStep,
  stepsAhead,
  windowEnd,
  type NextStep
} from '../../../src/lib/core/index.ts';

const T0 = Date.UTC(2026, 2, 29, 0, 30); // an hour before clocks change in much of Europe
const after = (s: number) => T0 + s * 1000;
const timed = methodByKey('jar-timed');
const bands = methodByKey('jar-bands');
const running = (...marked: { layer: string; at: number }[]) => ({
  setDownAt: T0,
  marked,
  hasReading: false
});

describe('methods as data', () => {
  it('are the four that ship, each complete and in order', () => {
    expect(METHODS.map((m) => m.key)).to.deep.equal([
      'jar-timed',
      'jar-half-hour',
      'jar-bands',
      'jar-builder'
    ]);
    for (const m of METHODS) {
      expect(m.fill.soilShare).to.be.within(0.2, 0.67);
      expect(m.end.fromS).to.be.below(m.end.toS);
      expect(m.agitate.fromS).to.be.at.most(m.agitate.toS);
      m.marks.forEach((mark, i) => {
        expect(windowEnd(mark)).to.be.above(mark.atS);
        if (i > 0) expect(mark.atS).to.be.above(m.marks[i - 1].atS);
      });
    }
    expect(() => methodByKey('jar-of-dreams')).to.throw(/jar-of-dreams/);
  });
});

describe('the next step', () => {
  it('is to set down, then each mark, then to read, then to finish', () => {
    expect(nextStep(timed, { marked: [], hasReading: false }, T0)).to.deep.equal({
      kind: 'set-down',
      state: 'ready'
    });
    expect(nextStep(timed, running(), after(10))).to.include({
      kind: 'mark',
      layer: 'sand',
      state: 'waiting',
      dueAt: after(60)
    });
    const sand = { layer: 'sand', at: after(61) };
    const silt = { layer: 'silt', at: after(7200) };
    const clay = { layer: 'clay', at: after(90_000) };
    expect(nextStep(timed, running(sand), after(70))).to.include({ layer: 'silt', dueAt: after(7200) });
    expect(nextStep(timed, running(sand, silt), after(8000))).to.include({
      layer: 'clay',
      dueAt: after(86_400),
      untilAt: after(172_800)
    });
    expect(nextStep(timed, running(sand, silt, clay), after(90_001))).to.deep.equal({
      kind: 'read',
      state: 'ready'
    });
    expect(nextStep(timed, { ...running(sand), hasReading: true }, after(99))).to.deep.equal({
      kind: 'finish',
      state: 'ready'
    });
  });
  it('falls due, then late, then missed, by the second', () => {
    const state = (s: number) => nextStep(timed, running(), after(s)).state;
    expect([59.9, 60, 66, 66.1, 7199, 7200].map(state)).to.deep.equal([
      'waiting',
      'due',
      'due',
      'late',
      'late',
      'missed'
    ]);
  });
  it('passes over a mark once a later one is on', () => {
    expect(nextStep(timed, running({ layer: 'silt', at: after(7200) }), after(7300))).to.include({
      layer: 'clay'
    });
  });
  it('waits for bands until their hour, and says nothing of hours that were changed', () => {
    expect(nextStep(bands, running(), after(11 * 3600))).to.include({
      kind: 'read',
      state: 'waiting',
      dueAt: T0 + 12 * 3_600_000
    });
    expect(nextStep(bands, running(), after(12 * 3600)).state).to.equal('ready');
  });
});

describe('the bench in order of urgency', () => {
  it('puts due before late before coming before ready', () => {
    const steps: NextStep[] = [
      { kind: 'read', state: 'ready' },
      { kind: 'mark', layer: 'silt', state: 'waiting', dueAt: 50 },
      { kind: 'mark', layer: 'sand', state: 'late', dueAt: 10 },
      { kind: 'mark', layer: 'clay', state: 'waiting', dueAt: 40 },
      { kind: 'mark', layer: 'sand', state: 'due', dueAt: 20 }
    ];
    expect([...steps].sort(compareUrgency).map((s) => s.dueAt)).to.deep.equal([20, 10, 40, 50, undefined]);
  });
  it('lists what lies ahead of one jar', () => {
    const ahead = stepsAhead(timed, running(), after(30));
    expect(ahead.map((s) => s.layer)).to.deep.equal(['sand', 'silt', 'clay']);
    expect(stepsAhead(bands, running(), after(30)).map((s) => s.kind)).to.deep.equal(['read']);
    expect(stepsAhead(timed, { marked: [], hasReading: false }, T0)).to.deep.equal([]);
  });
});

describe('what the marks mean', () => {
  const jar = { columnMm: 128, tempC: 18, solidsKgM2: 51.6 };
  it('gives the size each mark cuts, and when the limits really fall due', () => {
    const report = cutReport(timed, jar);
    expect(report.marks.map((m) => m.layer)).to.deep.equal(['sand', 'silt', 'clay']);
    expect(report.marks[0].cutUm).to.be.above(report.marks[1].cutUm);
    expect(report.trueMarks.map((m) => m.diameterUm)).to.deep.equal([50, 2]);
    const at = {
      ...timed,
      marks: report.trueMarks.map((m, i) => ({ layer: (['sand', 'silt'] as const)[i], atS: m.atS }))
    };
    cutReport(at, jar).marks.forEach((m, i) => expect(m.cutUm).to.be.closeTo([50, 2][i], 1e-6));
  });
  it('waits longer in cold water and in a crowd', () => {
    const silt = (o: object) => cutReport(timed, { ...jar, ...o }).trueMarks[1].atS;
    expect(silt({ tempC: 8 })).to.be.above(silt({ tempC: 18 }) * 1.25);
    expect(silt({ hindered: false })).to.be.below(silt({}));
    expect(cutReport(timed, jar).startSpeedPct).to.be.within(40, 60);
  });
});
