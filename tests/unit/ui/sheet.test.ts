import { expect } from 'chai';
import { methodByKey } from '../../../src/lib/core/index.ts';
import { blankSheet, readSheet, type SheetTexts } from '../../../src/lib/ui/paper/sheet.ts';

const NOW = new Date(2026, 8, 14, 18, 0).getTime();
const at = (hour: number, minute: number) => new Date(2026, 8, 14, hour, minute).getTime();
const read = (method: string, texts: Partial<SheetTexts>) =>
  readSheet(
    { ...blankSheet(), ...texts },
    { method: methodByKey(method), length: 'mm', temperature: 'C', tempC: 18, now: NOW }
  );
const jar = (texts: Partial<SheetTexts>) => read('jar-timed', { setDown: '2026-09-14T09:00', ...texts });

describe('a field sheet', () => {
  it('is read mark by mark, with heights as they were written', () => {
    const sheet = jar({ after: { sand: '40 s', silt: '2 h' }, height: { sand: '4 cm' } });
    expect(sheet.errors).to.deep.equal({});
    expect(sheet.setDownAt).to.equal(at(9, 0));
    const [sand, silt, clay] = sheet.marks;
    expect(sand).to.deep.include({ afterS: 40, height: { mm: 40, text: '4 cm' } });
    expect(silt.afterS).to.equal(7200);
    expect(clay.afterS).to.equal(undefined);
  });

  it('says beside each field what is wrong with it', () => {
    expect(jar({ after: { sand: '2 h', silt: '40 s' } }).errors).to.have.keys('after-silt');
    expect(jar({ height: { sand: '40' } }).errors).to.have.keys('after-sand');
    expect(jar({ after: { silt: '12 h' } }).errors).to.have.keys('after-silt');
    expect(jar({ after: { sand: '40 s' }, height: { sand: 'a lot' } }).errors).to.have.keys('height-sand');
    expect(read('jar-timed', { setDown: '2026-09-15T09:00' }).errors).to.have.keys('setDown');
    expect(read('jar-timed', {}).setDownAt).to.equal(undefined);
  });

  it('takes a reading without a time at the time that is asked for, and one without a warmth at that of the jar', () => {
    const sheet = read('hydrometer-2pt', {
      setDown: '2026-09-14T09:00',
      value: { 0: '28.5' },
      after: { 1: '6 h 30 min' },
      temp: { 1: '19.5' }
    });
    expect(sheet.errors).to.deep.equal({});
    const [first, second] = sheet.readings;
    expect(first).to.include({ written: true, afterS: first.askedS, value: 28.5, tempC: 18 });
    expect(second).to.include({ written: true, afterS: 23_400, value: null, tempC: 19.5 });
  });

  it('asks for figures only where something is written', () => {
    const sheet = read('hydrometer-2pt', {
      setDown: '2026-09-14T09:00',
      value: { 0: 'x' },
      temp: { 1: 'warm' }
    });
    expect(sheet.errors).to.have.keys('value-0');
    expect(sheet.readings[1].written).to.equal(false);
  });
});
