import { expect } from 'chai';
import {
  fillPlan,
  methodByKey,
  STANDARD_VESSELS,
  usualVessel,
  volumeToHeight
} from '../../../src/lib/core/index.ts';
import { DEFAULT_PROFILE } from '../../../src/lib/words/profile.ts';
import { readAfter } from '../../../src/lib/ui/fields/after.ts';
import { readLength } from '../../../src/lib/workbench/entry/figure.ts';
import { formatFor } from '../../../src/lib/words/format.ts';
import { scaleOf } from '../../../src/lib/workbench/entry/scale.ts';
import { fillWords, prepareItems } from '../../../src/lib/ui/set/amounts.ts';
import { measuresInInches } from '../../../src/lib/ui/station/region.ts';
import { anyJar } from '../workbench/jar.ts';

const format = formatFor(DEFAULT_PROFILE, 'UTC');
const vessel = (id: string) => STANDARD_VESSELS.find((v) => v.id === id)!;
/** What a method asks for in its usual vessel, in words without their unbreakable spaces. */
function asked(key: string) {
  const method = methodByKey(key)!;
  const glass = usualVessel(method);
  const plan = fillPlan(method, glass);
  const words = fillWords(method, glass, plan.soilMm, plan.waterMm, format);
  return { method, glass, plan, words: [words.soil, words.water].map((w) => w.replaceAll('\u00a0', ' ')) };
}

describe('each method in its own words', () => {
  it('a cylinder by volume is filled by its lines', () => {
    const { glass, words } = asked('cylinder-volume');
    expect(glass.id).to.equal('cylinder-100');
    expect(words).to.deep.equal(['Dry soil to the 20 mL line', 'Water to the 100 mL line']);
  });
  it('equal parts are equal measures of the scale, and the bottle takes a bottle and equal measures', () => {
    const equal = asked('cylinder-equal');
    expect(equal.words[0]).to.equal('Dry soil to the 50 mL line');
    expect(equal.words[1]).to.equal('The same measure of water, 50 mL: it then stands at the 73 mL line');
    const bottle = asked('bottle-five-minute');
    expect(bottle.glass.id).to.equal('bottle-half-litre');
    // Water that is poured in: what stands over the grains, and what is between them.
    expect(bottle.plan.waterMl).to.be.closeTo(bottle.plan.soilMl, 0.02 * bottle.plan.soilMl);
    expect(bottle.words[0]).to.match(/^One measure of dry soil, \d+ mL: to 75 mm$/);
  });
  it('a jar is filled by a ruler', () => {
    expect(asked('jar-timed').words).to.deep.equal(['Dry soil to 43 mm', 'Water to 128 mm']);
  });
  it('whoever shakes again is not told to fill again', () => {
    const jar = anyJar({});
    const keys = (runs: { no: number }[]) => prepareItems(jar, runs, format).map(([key]) => key);
    expect(keys([])).to.include.members(['soil', 'water', 'shake']);
    expect(keys([{ no: 1 }])).to.deep.equal(['settled', 'shake', 'place']);
  });
});

describe('figures as they are written down', () => {
  it('a fraction on a metric ruler is asked about, with what it would be in inches', () => {
    expect(readLength('5/8', 'mm').error).to.match(/type 5\/8 in, which is 15\.9 mm/i);
    expect(readLength('2 5/8', 'cm').error).to.match(/6\.67 cm/);
    expect(readLength('5⅝', 'mm').error).to.match(/fraction/);
    expect(readLength('5/8 in', 'mm').value).to.be.closeTo(15.875, 1e-9);
    expect(readLength('5/8', 'in').value).to.be.closeTo(15.875, 1e-9);
    expect(readLength('1//2', 'mm').error).to.match(/fraction cannot be read/);
  });
  it('a field in mL takes a length that says its unit', () => {
    const glass = vessel('cylinder-100');
    const scale = scaleOf({ ruler: 'mL', unit: 'mm' }, { vessel: glass, waterMm: 180 });
    expect(scale.read('3 cm').value).to.be.closeTo(30, 1e-9);
    expect(volumeToHeight(glass, scale.read('34 mL').value!)).to.be.closeTo(34, 1e-6);
    expect(scale.read('34').value).to.equal(scale.read('34 mL').value);
  });
  it('the field sheet takes lengths of time and times of day', () => {
    const setDownAt = new Date(2026, 4, 4, 9, 0).getTime();
    const two = { setDownAt, askedS: 7200 };
    const value = (text: string, o: { setDownAt?: number; askedS: number } = two) => readAfter(text, o).value;
    expect(value('2 hours')).to.equal(7200);
    expect(value('1h30')).to.equal(5400);
    expect(value('2 h 5')).to.equal(7500);
    expect(value('at 11:05')).to.equal(7500);
    expect(value('11:05'), 'nearer to two hours than eleven minutes').to.equal(7500);
    expect(value('1:05', { setDownAt, askedS: 60 }), 'minutes and seconds').to.equal(65);
    expect(value('2:05 pm')).to.equal(5 * 3600 + 300);
    expect(value('8:30 am', { setDownAt, askedS: 86_400 }), 'the next morning').to.equal(23.5 * 3600);
    expect(readAfter('at 11:05', { askedS: 7200 }).error).to.match(/set-down first/);
    expect(readAfter('at 31:05', two).error).to.match(/no time of day/);
    expect(readAfter('soon', two).error).to.match(/no length of time/);
  });
  it('inches come first where the region measures in them', () => {
    expect(measuresInInches(['en-US', 'en'])).to.equal(true);
    expect(measuresInInches(['en', 'en-GB', 'en-US'])).to.equal(false);
    expect(measuresInInches(['de'])).to.equal(false);
  });
});
