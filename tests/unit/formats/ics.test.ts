import { expect } from 'chai';
import ICAL from 'ical.js';
import { tasksToIcs } from '../../../src/lib/formats/ics.ts';

describe('the calendar file', () => {
  const at = Date.UTC(2026, 9, 25, 0, 40); // in the night in which clocks go back in much of Europe
  const text = tasksToIcs(
    [
      {
        id: 'a-mark-sand',
        at,
        durationS: 20,
        summary: 'K1: mark the sand',
        description: 'Bed; north, by the wall'
      },
      {
        id: 'a-read',
        at: at + 26 * 3_600_000,
        durationS: 300,
        summary: 'K1: read the layers',
        description: 'Bed'
      }
    ],
    at - 1000
  );
  const events = new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent');

  it('reads back, times in UTC', () => {
    const [first, second] = events.map((e) => new ICAL.Event(e));
    expect(events).to.have.length(2);
    expect(first.startDate.toJSDate().getTime()).to.equal(at);
    expect(first.summary).to.equal('K1: mark the sand');
    expect(first.description).to.equal('Bed; north, by the wall');
    expect(second.startDate.toJSDate().getTime() - at).to.equal(26 * 3_600_000);
    expect(first.duration.toSeconds()).to.equal(60);
  });

  it('warns two minutes before each', () => {
    for (const event of events) {
      const alarm = event.getFirstSubcomponent('valarm')!;
      expect(String(alarm.getFirstPropertyValue('trigger'))).to.equal('-PT2M');
    }
  });
});
