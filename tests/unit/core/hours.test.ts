import { expect } from 'chai';
import fc from 'fast-check';
import {
  afterOpenTime,
  insertStretch,
  lastClear,
  merged,
  nextClear,
  type Stretch
} from '../../../src/lib/core/timetable/hours.ts';

const anyStretches = fc
  .array(fc.tuple(fc.integer({ min: 0, max: 200 }), fc.integer({ min: 1, max: 30 })), { maxLength: 8 })
  .map((raw) => merged(raw.map(([from, length]) => ({ from, to: from + length }))));
const clear = (taken: readonly Stretch[], from: number, length: number) =>
  taken.every((t) => t.to <= from || t.from >= from + length);

describe('stretches of time', () => {
  it('are put in order and joined where they touch', () => {
    const out = merged([
      { from: 30, to: 40 },
      { from: 5, to: 10 },
      { from: 10, to: 12 },
      { from: 35, to: 50 },
      { from: 60, to: 60 }
    ]);
    expect(out).to.deep.equal([
      { from: 5, to: 12 },
      { from: 30, to: 50 }
    ]);
  });

  it('leave a next clear start that is clear, and the first one', () => {
    fc.assert(
      fc.property(
        anyStretches,
        fc.integer({ min: 0, max: 230 }),
        fc.integer({ min: 1, max: 20 }),
        (taken, from, length) => {
          const start = nextClear(taken, from, length);
          expect(clear(taken, start, length)).to.equal(true);
          for (let t = from; t < start; t++) expect(clear(taken, t, length)).to.equal(false);
        }
      )
    );
  });

  it('leave a last clear start that is clear, and the last one, or none', () => {
    fc.assert(
      fc.property(
        anyStretches,
        fc.integer({ min: 0, max: 120 }),
        fc.integer({ min: 0, max: 120 }),
        fc.integer({ min: 1, max: 20 }),
        (taken, from, span, length) => {
          const to = from + span;
          const start = lastClear(taken, from, to, length);
          for (let t = start === undefined ? from : start + 1; t <= to; t++) {
            expect(clear(taken, t, length)).to.equal(false);
          }
          if (start === undefined) return;
          expect(clear(taken, start, length)).to.equal(true);
          expect(start).to.be.within(from, to);
        }
      )
    );
  });

  it('stay in order when one more is put in', () => {
    fc.assert(
      fc.property(
        anyStretches,
        fc.integer({ min: 0, max: 230 }),
        fc.integer({ min: 1, max: 20 }),
        (taken, from, length) => {
          const start = nextClear(taken, from, length);
          const more = [...taken];
          insertStretch(more, { from: start, to: start + length });
          for (let i = 1; i < more.length; i++) expect(more[i].from).to.be.at.least(more[i - 1].to);
        }
      )
    );
  });

  it('count open time only', () => {
    const night = [{ from: 10, to: 20 }];
    expect(afterOpenTime(night, 0, 5)).to.equal(5);
    expect(afterOpenTime(night, 0, 10)).to.equal(10);
    expect(afterOpenTime(night, 0, 15)).to.equal(25);
    expect(afterOpenTime(night, 12, 3)).to.equal(23);
    fc.assert(
      fc.property(
        anyStretches,
        fc.integer({ min: 0, max: 200 }),
        fc.integer({ min: 1, max: 60 }),
        (taken, from, length) => {
          const end = afterOpenTime(taken, from, length);
          let open = 0;
          for (let t = from; t < end; t++) if (clear(taken, t, 1)) open++;
          expect(open).to.equal(length);
        }
      )
    );
  });
});
