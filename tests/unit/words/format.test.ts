import { expect } from 'chai';
import { DEFAULT_PROFILE } from '../../../src/lib/words/profile.ts';
import { formatFor } from '../../../src/lib/words/format.ts';

const NOON = Date.UTC(2026, 4, 4, 10); // noon in Oslo, a Monday
const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const oslo = formatFor(DEFAULT_PROFILE, 'Europe/Oslo');

describe('times as the viewer likes them', () => {
  it('show as much of the date as is needed', () => {
    expect(oslo.when(NOON + HOUR, NOON)).to.equal('13:00');
    expect(oslo.when(NOON + 14 * HOUR, NOON)).to.equal('tomorrow 02:00');
    expect(oslo.when(NOON - DAY, NOON)).to.equal('yesterday 12:00');
    expect(oslo.when(NOON + 3 * DAY, NOON)).to.equal('Thu 12:00');
    expect(oslo.when(NOON + 40 * DAY, NOON)).to.equal('13 Jun 2026, 12:00');
    expect(oslo.when(NOON - 400 * DAY, NOON)).to.match(/Mar 2025, /);
  });

  it('are in the viewer’s zone and clock', () => {
    const lima = formatFor({ ...DEFAULT_PROFILE, clock: '12' }, 'America/Lima');
    expect(lima.time(NOON)).to.match(/^5:00\s?am$/);
    expect(lima.toTheSecond(NOON + 7000)).to.match(/^5:00:07\s?am$/);
    expect(lima.minuteOfDay(NOON)).to.equal(300);
    expect(oslo.minuteOfDay(NOON)).to.equal(720);
    expect(oslo.toTheSecond(NOON + 7000)).to.equal('12:00:07');
  });

  it('know today by the local day, not by twenty-four hours', () => {
    const late = Date.UTC(2026, 4, 4, 21, 50); // 23:50
    expect(oslo.when(late + 15 * 60_000, late)).to.equal('tomorrow 00:05');
    expect(oslo.when(late - 23 * HOUR, late)).to.equal('00:50');
  });

  it('have a local day, and show a calendar day as it was written, in any zone', () => {
    const early = Date.UTC(2026, 4, 3, 22, 30); // half past midnight in Oslo
    expect(oslo.isoDay(early)).to.equal('2026-05-04');
    expect(formatFor(DEFAULT_PROFILE, 'America/Lima').isoDay(early)).to.equal('2026-05-03');
    for (const zone of ['Europe/Oslo', 'America/Lima', 'Pacific/Auckland']) {
      expect(formatFor(DEFAULT_PROFILE, zone).dayOf('2026-05-04')).to.equal('4 May 2026');
    }
  });

  it('keep their sense when the clocks change', () => {
    const before = Date.UTC(2026, 9, 24, 22); // midnight before the long day
    expect(oslo.time(before + 2 * HOUR)).to.equal('02:00');
    expect(oslo.time(before + 3 * HOUR)).to.equal('02:00');
    expect(oslo.time(before + 4 * HOUR)).to.equal('03:00');
  });

  it('are one formatter for one profile and zone', () => {
    expect(formatFor({ ...DEFAULT_PROFILE }, 'Europe/Oslo')).to.equal(oslo);
    expect(formatFor({ ...DEFAULT_PROFILE, clock: '12' }, 'Europe/Oslo')).not.to.equal(oslo);
  });
});

describe('measures as the viewer likes them', () => {
  const imperial = formatFor({ ...DEFAULT_PROFILE, length: 'in', temperature: 'F', volume: 'gal' }, 'UTC');

  it('are in mm, degC and litres', () => {
    expect(oslo.length(43)).to.equal('43 mm');
    expect(oslo.length(22.25, 1)).to.equal('22.3 mm');
    expect(oslo.temp(18)).to.equal('18 °C');
    expect(oslo.volume(753)).to.equal('753 mL');
    expect(oslo.dose(3.77)).to.equal('3.8 mL');
  });

  it('are in sixteenths, degF, quarts and spoons', () => {
    expect(imperial.length(88.9)).to.equal('3 1/2 in (3.50)');
    expect(imperial.temp(18)).to.match(/^64(\.4)? °F$/);
    expect(imperial.volume(946)).to.equal('1.00 qt');
    expect(imperial.dose(3.77)).to.equal('3/4 tsp (3.8 mL)');
  });
});
