import { expect } from 'chai';
import { dayText, readDay, readTimeOfDay, timeOfDayText } from '../../../src/lib/ui/fields/time.ts';

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
    ['3/4/2026', '2026-04-03'],
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
