import { expect } from 'chai';
import type { MarkRecord, RunRecord } from '../../../src/lib/contract/records/run.ts';
import { DEFAULT_PROFILE } from '../../../src/lib/words/profile.ts';
import { methodByKey } from '../../../src/lib/core/index.ts';
import { standingMarks } from '../../../src/lib/contract/reading.ts';
import { formatFor } from '../../../src/lib/words/format.ts';
import {
  aheadOnBench,
  byUrgency,
  comesAfter,
  cutOfMark,
  drawnMoment,
  expectedLines,
  pictureOf,
  viewJar,
  viewShelf
} from '../../../src/lib/workbench/jars.ts';
import { chanceText } from '../../../src/lib/words/headline.ts';
import { cutText, dueLine, stepTime, stepTitle } from '../../../src/lib/words/steps.ts';
import { tapesOf } from '../../../src/lib/workbench/tapes.ts';
import { START, anyJar, anyRun } from './jar.ts';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const format = formatFor(DEFAULT_PROFILE, 'UTC');
const mark = (layer: MarkRecord['layer'], at: number, heightMm: number | null = null): MarkRecord => ({
  id: `${layer}${at}`,
  layer,
  at,
  heightMm,
  heightText: heightMm === null ? null : String(heightMm)
});
const run = (marks: MarkRecord[] = [], setDownAt = START): RunRecord =>
  anyRun({ id: `run${setDownAt}`, setDownAt, marks });
const standing = (marks: MarkRecord[] = [], setDownAt = START, id = 'a') =>
  anyJar({ id, status: 'running', run: run(marks, setDownAt) });

describe('what a jar waits for, in words', () => {
  const at = (ms: number, jar = standing()) => viewJar(jar, START + ms).step;

  it('counts down, calls, and says how late it is', () => {
    expect(dueLine('K1', at(20_000), format, START + 20_000)).to.equal('K1 · mark the sand in 0:40');
    expect(dueLine('K1', at(61_000), format, START + 61_000)).to.equal('K1 · mark the sand now');
    expect(dueLine('K1', at(3 * MINUTE), format, START + 3 * MINUTE)).to.equal(
      'K1 · mark the sand, 2 min late'
    );
    expect(stepTime(at(5 * HOUR), format, START + 5 * HOUR)).to.equal('4 h 59 min late');
    expect(stepTitle(at(5 * HOUR))).to.equal('Sand mark missed');
  });

  it('gives a time of day for what is far off, and nothing for what waits for nobody', () => {
    const marked = standing([mark('sand', START + MINUTE)]);
    const step = at(2 * MINUTE, marked);
    expect(dueLine('K1', step, format, START + 2 * MINUTE)).to.equal('K1 · mark the silt 11:00');
    const read = at(25 * HOUR, standing([mark('clay', START + 24 * HOUR)]));
    expect(stepTime(read, format, START + 25 * HOUR)).to.equal('ready');
    expect(dueLine('K1', viewJar(anyJar({}), START).step, format, START)).to.equal('K1 · set down');
    expect(stepTime(viewJar(anyJar({}), START).step, format, START)).to.equal('when shaken');
  });

  it('never rounds near certainty up, and gives sizes the digits they deserve', () => {
    expect(chanceText(0.996)).to.match(/^over/);
    expect(chanceText(0.624)).to.equal('62\u00a0%');
    expect([66.4, 5.13, 1.404].map(cutText)).to.deep.equal(['66', '5.1', '1.40']);
  });
});

describe('many jars', () => {
  const now = START + 62_000;
  const due = standing([], START, 'due');
  const late = standing([], START - 10 * MINUTE, 'late');
  const waiting = standing([], START + 40_000, 'waiting');
  const free = anyJar({ id: 'free' });

  it('stand in the order of urgency: due, late, waiting, whenever', () => {
    const order = byUrgency(viewShelf([free, waiting, late, due], now)).map((v) => v.jar.id);
    expect(order).to.deep.equal(['due', 'late', 'waiting', 'free']);
  });

  it('show every step ahead by time, planned set-downs with them', () => {
    const planned = anyJar({ id: 'planned', plannedAt: now + 30 * MINUTE });
    const steps = aheadOnBench(viewShelf([due, planned], now), now);
    expect(steps.map((s) => `${s.jar.id} ${s.layer ?? s.kind}`)).to.deep.equal([
      'due sand',
      'planned shake',
      'due silt',
      'due clay'
    ]);
    const times = steps.map((s) => s.dueAt!);
    expect(times).to.deep.equal([...times].sort((a, b) => a - b));
  });
});

describe('marks and pictures', () => {
  it('let a later mark of a layer stand for an earlier one', () => {
    const marks = [
      mark('sand', START + 90_000),
      mark('silt', START + 2 * HOUR),
      mark('sand', START + 60_000)
    ];
    expect(standingMarks(marks).map((m) => m.id)).to.deep.equal([
      `sand${START + 90_000}`,
      `silt${START + 2 * HOUR}`
    ]);
  });

  it('draw a jar only once it stands, its deposit growing and its water clearing', () => {
    expect(pictureOf(viewJar(anyJar({}), START), START)).to.equal(undefined);
    const early = pictureOf(viewJar(standing(), START), START + MINUTE)!;
    const laterOn = pictureOf(viewJar(standing(), START), START + 5 * HOUR)!;
    expect(laterOn.depositMm).to.be.above(early.depositMm);
    expect(laterOn.turbidity[1]).to.be.below(early.turbidity[1]);
  });

  it('put tape where it was measured, else where the level should have been, and the next one in pen', () => {
    const jar = standing([mark('sand', START + 60_000, 21), mark('silt', START + 2 * HOUR)]);
    const now = START + 25 * HOUR;
    const view = viewJar(jar, now);
    const tapes = tapesOf(view, pictureOf(view, now), true);
    expect(tapes.map((tape) => [tape.label, tape.state])).to.deep.equal([
      ['1:00', 'on'],
      ['2:00 h', 'guess'],
      ['clay', 'next']
    ]);
    expect(tapes[0].heightMm).to.equal(21);
    expect(tapes[1].heightMm).to.be.above(21);
    expect(tapesOf(viewJar(anyJar({}), now), undefined, true)).to.deep.equal([]);
  });

  it('give the size a mark cuts in its jar: later is finer', () => {
    const cuts = [60, 600, 7200].map((s) => cutOfMark(standing(), s));
    expect(cuts[0]).to.be.closeTo(66, 1);
    expect(cuts[1]).to.be.below(cuts[0]);
    expect(cuts[2]).to.be.closeTo(5.1, 0.1);
  });

  it('are drawn by the second while a jar is young, then every quarter of a minute, never ahead of time', () => {
    const run = anyRun();
    expect(drawnMoment(null, START + 7)).to.equal(START + 7);
    expect(drawnMoment(run, START + 61_234)).to.equal(START + 61_234);
    const old = [0, 1, 14, 15, 29].map((s) => drawnMoment(run, START + 3_600_000 + s * 1000) - START);
    expect(old).to.deep.equal([3_600_000, 3_600_000, 3_600_000, 3_615_000, 3_615_000]);
  });

  it('are read when their own top says so, rather than when the method does', () => {
    const start = START;
    const bands = anyJar({
      status: 'running',
      methodKey: 'jar-bands',
      method: methodByKey('jar-bands'),
      run: { ...run(), setDownAt: start, stillAt: start + 30 * 3_600_000 }
    });
    const [view] = viewShelf([bands], start + 3_600_000);
    expect(view.step).to.include({ kind: 'read', dueAt: start + 30 * 3_600_000, state: 'waiting' });
    const [without] = viewShelf([{ ...bands, run: { ...bands.run!, stillAt: null } }], start + 3_600_000);
    expect(without.step.dueAt).to.equal(start + methodByKey('jar-bands').end.fromS * 1000);
  });
});

describe('what comes after what is called', () => {
  it('is the next mark of the same jar, where no other jar wants hands before it', () => {
    const jar = anyJar({
      status: 'running',
      run: anyRun()
    });
    const now = START + 61_000;
    const views = viewShelf([jar], now);
    expect(views[0].step).to.include({ layer: 'sand', state: 'due' });
    expect(comesAfter(views, views[0], now)).to.include({ layer: 'silt', dueAt: START + 7_200_000 });
    const last = viewShelf([{ ...jar, status: 'read' }], now);
    expect(comesAfter(last, last[0], now)).to.equal(undefined);
  });
});

describe('where the lines of a jar are looked for', () => {
  it('hangs each over the one below, with the layers where they should lie by now', () => {
    for (const hours of [0.01, 1, 24]) {
      const view = viewJar(standing(), START + hours * HOUR);
      const at = expectedLines(view, START + hours * HOUR);
      expect(at.coarse).to.be.below(at.sand);
      expect(at.silt, String(hours)).to.be.at.least(at.sand);
      expect(at.clay).to.be.at.least(at.silt);
      expect(at.skin).to.be.above(at.clay);
      expect(at.surface).to.equal(view.jar.waterMm);
    }
  });

  it('has somewhere to hang a line where nothing has come down', () => {
    const at = expectedLines(viewJar(anyJar({}), START), START);
    expect(at.sand).to.be.above(0);
    expect(at.clay).to.be.at.least(10);
  });
});
