import { expect } from 'chai';
import { orderOf, readWritten } from '../../../src/lib/ui/fields/dates.ts';
import {
  dayText,
  readDay,
  readEarlier,
  readMoment,
  readTimeOfDay,
  timeOfDayText,
  wallText
} from '../../../src/lib/ui/fields/time.ts';

describe('times of day', () => {
  const read: [string, number | undefined][] = [
    ['22:00', 79_200],
    ['7', 25_200],
    ['10 pm', 79_200],
    ['6:30am', 23_400],
    ['12 am', 0],
    ['12:15 p.m.', 44_100],
    ['14:05:30', 50_730],
    ['24:00', undefined],
    ['13 pm', undefined],
    ['7:75', undefined],
    ['7:10:61', undefined],
    ['soon', undefined]
  ];
  for (const [text, seconds] of read)
    it(`reads ${text}`, () => expect(readTimeOfDay(text)).to.equal(seconds));
  it('are written so that they read back', () => {
    for (let s = 0; s < 86_400; s += 431) {
      expect(readTimeOfDay(timeOfDayText(s, '24'))).to.equal(s);
      expect(readTimeOfDay(timeOfDayText(s, '12'))).to.equal(s);
    }
  });
});

describe('days', () => {
  const read: [string, string | undefined][] = [
    ['31 Mar 2026', '2026-03-31'],
    ['1 September 2026', '2026-09-01'],
    ['31.3.2026', '2026-03-31'],
    ['3/4/2026', undefined],
    ['2026-3-31', '2026-03-31'],
    ['29 Feb 2024', '2024-02-29'],
    ['29 Feb 2026', undefined],
    ['31.6.2026', undefined],
    ['12 Foo 2026', undefined],
    ['yesterday', undefined]
  ];
  for (const [text, day] of read) it(`reads ${text}`, () => expect(readDay(text)).to.equal(day));
  it('are written so that they read back, and left alone where they are none', () => {
    for (let i = 0; i < 800; i += 7) {
      const day = new Date(Date.UTC(2025, 0, 1 + i)).toISOString().slice(0, 10);
      expect(readDay(dayText(day))).to.equal(day);
    }
    expect(dayText('soon')).to.equal('soon');
  });
});

describe('days as people write them', () => {
  const now = new Date(2026, 10, 30, 9, 15).getTime();
  const written: [string, string | undefined, string?][] = [
    ['11/29/2026', '2026-11-29'],
    ['Nov 29, 2026', '2026-11-29'],
    ['29/11/2026', '2026-11-29'],
    ['29.11.2026', '2026-11-29'],
    ['2026-11-29', '2026-11-29'],
    ['yesterday 14:10', '2026-11-29', '14:10'],
    ['yesterday at 2:10 pm', '2026-11-29', '14:10'],
    ['20 minutes ago', '2026-11-30', '08:55'],
    ['3 days ago', '2026-11-27'],
    ['last Tuesday', '2026-11-24'],
    ['31.6.2026', undefined],
    ['12 Foo 2026', undefined],
    ['soon', undefined],
    ['March', undefined],
    ['14:05', undefined]
  ];
  for (const [text, day, time] of written)
    it(`reads ${text}, in either order of day and month`, () => {
      for (const order of ['dmy', 'mdy'] as const)
        expect(readWritten(text, now, order)).to.deep.equal(day && { day, ...(time ? { time } : {}) });
    });
  it('reads what can be meant two ways by the way of the reader', () => {
    expect(readWritten('3/4/2026', now, 'dmy')).to.deep.equal({ day: '2026-04-03' });
    expect(readWritten('3/4/2026', now, 'mdy')).to.deep.equal({ day: '2026-03-04' });
    expect([orderOf('en-US'), orderOf('en-GB'), orderOf('de')]).to.deep.equal(['mdy', 'dmy', 'dmy']);
  });
  it('a moment comes back from the wall that it is shown by', () => {
    const at = new Date(2026, 10, 29, 14, 10, 5).getTime();
    expect(readMoment(wallText(at))).to.equal(at);
  });
});

describe('a moment that is told afterwards', () => {
  const now = new Date('2026-11-29T15:00').getTime();
  it('is one that has passed, after what it came after, or is asked for again', () => {
    const at = new Date('2026-11-28T14:10').getTime();
    expect(readEarlier('2026-11-28T14:10', { now })).to.deep.equal({ at });
    expect(readEarlier('2026-11-28T14:10', { now, after: at - 1 })).to.deep.equal({ at });
    expect(readEarlier('2026-11-28T14:10', { now, after: at }).error).to.match(/later time/);
    expect(readEarlier('2026-11-29T15:01', { now }).error).to.match(/still to come/);
    for (const text of ['', '2026-11-28', 'soonT10:00'])
      expect(readEarlier(text, { now }).error, text).to.match(/yesterday 14:10/);
  });
});
