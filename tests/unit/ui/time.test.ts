import { expect } from 'chai';
import { parseTimeOfDay, timeOfDayText } from '../../../src/lib/ui/fields/time.ts';

describe('times of day', () => {
  const read: [string, number | undefined][] = [
    ['22:00', 1320],
    ['7', 420],
    ['10 pm', 1320],
    ['6:30am', 390],
    ['12 am', 0],
    ['12:15 pm', 735],
    ['24:00', undefined],
    ['13 pm', undefined],
    ['7:75', undefined],
    ['soon', undefined]
  ];
  for (const [text, minutes] of read)
    it(`reads ${text}`, () => expect(parseTimeOfDay(text)).to.equal(minutes));
  it('are written so that they read back', () => {
    for (let m = 0; m < 1440; m += 7) {
      expect(parseTimeOfDay(timeOfDayText(m, '24'))).to.equal(m);
      expect(parseTimeOfDay(timeOfDayText(m, '12'))).to.equal(m);
    }
  });
});
