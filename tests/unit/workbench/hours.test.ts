import { expect } from 'chai';
import fc from 'fast-check';
import { isQuiet, quietBetween, shutHours } from '../../../src/lib/workbench/hours.ts';
import { formatFor } from '../../../src/lib/words/format.ts';
import { DEFAULT_PROFILE } from '../../../src/lib/words/profile.ts';
import { START } from './jar.ts';

const HOUR = 3_600_000;

describe('shut hours', () => {
  const quiet = { from: 22 * 60, to: 7 * 60 };
  const none = { from: 0, to: 0 };
  const hours = (o: Parameters<typeof shutHours>[0], at: number, days = 2) =>
    shutHours(o, 'Europe/Oslo', at, days);

  it('are the local nights, the one that is running included', () => {
    const [first, second] = hours({ quiet }, Date.UTC(2026, 4, 4, 1));
    expect(first).to.deep.equal({
      fromAt: Date.UTC(2026, 4, 3, 20),
      toAt: Date.UTC(2026, 4, 4, 5),
      why: 'quiet'
    });
    expect(second.fromAt - first.fromAt).to.equal(24 * HOUR);
  });

  it('follow the local clock when it changes, so that one night is an hour longer', () => {
    const nights = hours({ quiet }, Date.UTC(2026, 9, 24, 12), 3);
    expect(nights.map((n) => (n.toAt - n.fromAt) / HOUR)).to.deep.equal([10, 9, 9]);
  });

  it('are the hours away from home too; equal ends mean none', () => {
    const away = hours({ quiet: none, home: { from: 8 * 60, to: 18 * 60 } }, Date.UTC(2026, 4, 4, 7), 1);
    expect(away).to.deep.equal([
      { fromAt: Date.UTC(2026, 4, 4, 16), toAt: Date.UTC(2026, 4, 5, 6), why: 'away' }
    ]);
    expect(hours({ quiet: none }, START)).to.deep.equal([]);
  });
});

describe('quiet hours', () => {
  const quiet = { from: 22 * 60, to: 7 * 60 };
  const zone = 'Europe/Oslo';
  // Summer time ends on 25 October 2026 at 3:00, 1:00 UTC.
  const evening = Date.UTC(2026, 9, 24, 18);

  it('between two moments are as long as the night is, when the clocks change too', () => {
    const nights = quietBetween(quiet, zone, evening, evening + 18 * HOUR);
    expect(nights).to.deep.equal([{ fromAt: Date.UTC(2026, 9, 24, 20), toAt: Date.UTC(2026, 9, 25, 6) }]);
    // After the change: 22:00 is 21:00 UTC.
    const next = quietBetween(quiet, zone, Date.UTC(2026, 9, 25, 0), Date.UTC(2026, 9, 25, 22));
    expect(next).to.deep.equal([
      { fromAt: Date.UTC(2026, 9, 25, 0), toAt: Date.UTC(2026, 9, 25, 6) },
      { fromAt: Date.UTC(2026, 9, 25, 21), toAt: Date.UTC(2026, 9, 25, 22) }
    ]);
  });

  it('hold at a moment as they do on the ribbon and in the timetable', () => {
    const at = (...[d, h, m]: number[]) => isQuiet(quiet, zone, Date.UTC(2026, 9, d, h, m));
    expect([at(24, 19, 59), at(24, 20, 0), at(25, 5, 59), at(25, 6, 0)]).to.deep.equal([
      false,
      true,
      true,
      false
    ]);
    expect(isQuiet({ from: 0, to: 0 }, zone, evening)).to.equal(false);
    // A rest at noon, inside one day.
    const noon = { from: 12 * 60, to: 13 * 60 };
    expect(isQuiet(noon, zone, Date.UTC(2026, 9, 24, 10, 30))).to.equal(true);
    expect(isQuiet(noon, zone, Date.UTC(2026, 9, 24, 11, 30))).to.equal(false);
  });

  it('go by the local clock, whatever the hours, the zone and the moment', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1439 }),
        fc.integer({ min: 0, max: 1439 }),
        // Zones whose clocks do not change in the year.
        fc.constantFrom('UTC', 'Asia/Kathmandu', 'America/Phoenix', 'Pacific/Kiritimati'),
        fc.integer({ min: Date.UTC(2026, 0, 1), max: Date.UTC(2026, 11, 31) }),
        (from, to, place, at) => {
          const minute = formatFor(DEFAULT_PROFILE, place).minuteOfDay(at);
          const inside =
            from < to ? from <= minute && minute < to : from > to && (minute >= from || minute < to);
          expect(isQuiet({ from, to }, place, at)).to.equal(inside);
          expect(quietBetween({ from, to }, place, at, at + 1)).to.have.length(inside ? 1 : 0);
        }
      ),
      { numRuns: 200 }
    );
  });
});
