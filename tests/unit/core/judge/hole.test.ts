import { expect } from 'chai';
import fc from 'fast-check';
import {
  drainageFromHole,
  emptiesIn,
  groundDraws,
  groundFromHoles,
  holeOutcome,
  HOLE_PLAN,
  holeProblems,
  nextOfHole,
  RangeProblem,
  waterInHole,
  type HoleReading
} from '../../../../src/lib/core/index.ts';

const MINUTE = 60;
const HOUR = 3600;
const hole = { radiusMm: 150, filledMm: 300 };
const height = (timeS: number, heightMm: number | null): HoleReading => ({ timeS, seen: 'height', heightMm });

describe('a drainage hole', () => {
  it('falls as its conductivity says, and the other way round, from the refill until it is empty', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 50, max: 400, noNaN: true }),
        fc.double({ min: 100, max: 800, noNaN: true }),
        fc.double({ min: 0.1, max: 2000, noNaN: true }),
        (radiusMm, heightMm, groundMmH) => {
          const emptyS = emptiesIn({ radiusMm, heightMm, groundMmH });
          const half = waterInHole({ radiusMm, heightMm, groundMmH, afterS: emptyS / 2 });
          const { groundMmH: again } = drainageFromHole({
            radiusMm,
            readings: [
              { timeS: 0, heightMm },
              { timeS: emptyS / 2, heightMm: half }
            ]
          });
          expect(again).to.be.closeTo(groundMmH, 1e-6 * groundMmH);
          expect(waterInHole({ radiusMm, heightMm, groundMmH, afterS: emptyS })).to.be.closeTo(0, 1e-6);
          expect(waterInHole({ radiusMm, heightMm, groundMmH, afterS: 2 * emptyS })).to.equal(0);
        }
      )
    );
    expect(waterInHole({ radiusMm: 150, heightMm: 300, groundMmH: 8.05, afterS: HOUR })).to.be.closeTo(
      262,
      0.3
    );
  });

  it('takes "gone in 40 seconds" for a reading, and "still there next day" for a bound', () => {
    const gone = holeOutcome({ ...hole, readings: [{ timeS: 40, seen: 'gone', heightMm: null }] })!;
    expect(gone.kind).to.equal('measured');
    expect(gone.drainage.dropMmH).to.be.closeTo(27_000, 1);
    expect(gone.drainage.class).to.equal('very-quick');
    expect(gone.emptyAfterS).to.equal(40);
    const still = holeOutcome({ ...hole, readings: [{ timeS: 24 * HOUR, seen: 'still', heightMm: null }] })!;
    expect(still.kind).to.equal('at-most');
    expect(still.drainage.dropMmH).to.be.closeTo(12.5, 0.01);
    expect(still).to.include({ emptyAfterS: 24 * HOUR, poor: true });
    expect(gone.poor).to.equal(false);
    // Whatever the ground is that lets water stand, it is under the bound.
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: still.drainage.groundMmH - 0.01, noNaN: true }),
        (groundMmH) => {
          expect(
            waterInHole({ radiusMm: 150, heightMm: 300, groundMmH, afterS: 24 * HOUR })
          ).to.be.greaterThan(0);
        }
      )
    );
  });

  it('leaves out what is not measured yet, and comes to nothing without anything seen', () => {
    expect(holeOutcome({ ...hole, readings: [] })).to.equal(undefined);
    expect(holeOutcome({ ...hole, readings: [height(HOUR, null)] })).to.equal(undefined);
    const read = holeOutcome({ ...hole, readings: [height(60, null), height(HOUR, 262)] })!;
    expect(read.drainage.dropMmH).to.be.closeTo(38, 1e-9);
  });

  it('says of readings that cannot be which of them it is, by its place among all', () => {
    const problem = (readings: HoleReading[]) => {
      try {
        holeOutcome({ ...hole, readings });
        return undefined;
      } catch (error) {
        return (error as RangeProblem).field;
      }
    };
    expect(problem([height(60, null), height(HOUR, 310)])).to.equal('readings.1');
    expect(problem([height(HOUR, 262), height(2 * HOUR, null), height(3 * HOUR, 270)])).to.equal(
      'readings.2'
    );
    expect(problem([height(HOUR, 262), height(HOUR, 250)])).to.equal('readings.1');
    const gone = { timeS: 40, seen: 'gone' as const, heightMm: null };
    const still = { timeS: HOUR, seen: 'still' as const, heightMm: null };
    expect(problem([gone, still])).to.equal('readings.1');
    expect(holeProblems({ depthMm: 0, widthMm: 300 }).map((p) => p.field)).to.eql(['depth']);
    expect(holeProblems({ depthMm: 300, widthMm: 5000 }).map((p) => p.field)).to.eql(['width']);
  });

  it('waits for the soak, the refill, and readings until two stretches agree, it is empty, or a day has gone', () => {
    const T = 1_000_000_000_000;
    const bare = { soakedAt: null, refilledAt: null, finishedAt: null, readings: [], steady: false };
    expect(nextOfHole(bare, T)).to.eql({ kind: 'soak', state: 'ready' });
    const soaked = { ...bare, soakedAt: T };
    const look = { kind: 'refill', dueAt: T + 1000 * HOLE_PLAN.soakS };
    expect(nextOfHole(soaked, T)).to.eql({ ...look, state: 'waiting' });
    expect(nextOfHole(soaked, look.dueAt)).to.eql({ ...look, state: 'due' });
    expect(nextOfHole(soaked, look.dueAt + 11 * MINUTE * 1000)).to.eql({ ...look, state: 'late' });
    const filled = { ...soaked, refilledAt: T };
    const due = (times: number[], more = {}) => {
      const readings = times.map((timeS) => ({ timeS, seen: 'height' as const }));
      return nextOfHole({ ...filled, readings, ...more }, T);
    };
    expect(due([])).to.include({ kind: 'read', dueAt: T + 1000 * HOLE_PLAN.readS[0] });
    // One that was read a little early or late stands for the time that was meant.
    expect(due([25 * MINUTE])).to.include({ dueAt: T + 1000 * HOLE_PLAN.readS[1] });
    expect(due([31 * MINUTE, 58 * MINUTE])).to.include({ dueAt: T + 1000 * HOLE_PLAN.readS[2] });
    expect(due([31 * MINUTE, 58 * MINUTE], { steady: true })).to.eql({ kind: 'finish', state: 'ready' });
    expect(due([23 * HOUR])).to.eql({ kind: 'finish', state: 'ready' });
    expect(nextOfHole({ ...filled, readings: [{ timeS: 40, seen: 'gone' }] }, T)?.kind).to.equal('finish');
    expect(nextOfHole({ ...filled, finishedAt: T }, T)).to.equal(undefined);
  });

  it('lets soaked and measured holes rule over dry ones and bounds, and parts as they part', () => {
    const says = (groundMmH: number, o = {}) => ({ groundMmH, atMost: false, soaked: true, ...o });
    expect(groundFromHoles([])).to.equal(undefined);
    const ruled = groundFromHoles([says(8), says(800, { soaked: false }), says(4, { atMost: true })])!;
    expect(ruled.mmH).to.be.closeTo(8, 1e-9);
    expect(ruled).to.include({ holes: 1, atMost: false });
    expect(groundFromHoles([says(800, { soaked: false })])?.mmH).to.be.closeTo(800, 1e-9);
    expect(groundFromHoles([says(4.8, { atMost: true }), says(9, { atMost: true })])).to.include({
      mmH: 4.8,
      atMost: true
    });
    const two = groundFromHoles([says(1), says(100)])!;
    expect(two.mmH).to.be.closeTo(10, 1e-9);
    expect(two.lnSd).to.be.greaterThan(3);
    expect(two.parts).to.be.closeTo(100, 1e-6);
    expect(groundFromHoles([says(8), says(12)])).to.not.have.property('parts');
    const under = groundDraws({ mmH: 5, atMost: true, lnSd: 1, holes: 1 }, 500);
    expect(Math.max(...under)).to.be.at.most(5);
    const about = groundDraws({ mmH: 5, atMost: false, lnSd: 0.5, holes: 1 }, 2000);
    expect(about.filter((k) => k > 5).length / 2000).to.be.closeTo(0.5, 0.04);
  });
});
