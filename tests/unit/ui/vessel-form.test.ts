import { expect } from 'chai';
import { withWidths } from '../../../src/lib/core/index.ts';
import { folderTimes } from '../../../src/lib/ui/film/times.ts';
import {
  blankVessel,
  capacities,
  checkByWater,
  vesselOf,
  type VesselTexts
} from '../../../src/lib/ui/set/vessel.ts';

const typed = (o: Partial<VesselTexts>): VesselTexts => ({ ...blankVessel(), baseThicknessMm: '5 mm', ...o });
const inside = {
  innerHeightMm: '156',
  innerDiameterMm: '94',
  shoulderHeightMm: '128',
  mouthDiameterMm: '76'
};

describe('the form of a vessel', () => {
  it('takes measures from inside, in any unit', () => {
    const { vessel } = vesselOf(typed({ ...inside, innerDiameterMm: '9.4 cm', domeMm: '3' }), 'mm');
    expect(vessel).to.include({ innerDiameterMm: 94, shoulderHeightMm: 128, domeMm: 3, graduationMl: null });
    expect(capacities(vessel!).rimMl).to.be.within(1000, 1060);
  });

  it('asks nothing of a cylinder that it does not have', () => {
    const { vessel } = vesselOf(
      typed({ kind: 'cylinder', innerHeightMm: '205', innerDiameterMm: '26', graduationMl: '1' }),
      'mm'
    );
    expect(vessel).to.include({ shoulderHeightMm: 205, mouthDiameterMm: 26, graduationMl: 1 });
  });

  it('takes its outside and capacity, with the wall as usual where nothing is typed', () => {
    const outside = { outerHeightMm: '161', outerDiameterMm: '99', mouthDiameterMm: '76' };
    const { vessel } = vesselOf(typed({ way: 'outside', capacityMl: '980 mL', ...outside }), 'mm');
    expect(capacities(vessel!).rimMl).to.be.closeTo(980, 1);
    const wrong = vesselOf(typed({ way: 'outside', capacityMl: '5000', ...outside }), 'mm');
    expect(wrong.errors.capacityMl).to.match(/holds/);
    expect(vesselOf(typed({ way: 'outside', capacityMl: 'much', ...outside }), 'mm').errors).to.have.property(
      'capacityMl'
    );
  });

  it('takes widths at heights, skips empty rows, and says which row is wrong', () => {
    const pairs = [
      { height: '0', diameter: '60' },
      { height: '', diameter: '' },
      { height: '120', diameter: '84' }
    ];
    expect(vesselOf(typed({ way: 'profile', pairs }), 'mm').vessel!.profile).to.have.length(2);
    const bad = [...pairs, { height: '80', diameter: 'wide' }];
    expect(vesselOf(typed({ way: 'profile', pairs: bad }), 'mm').errors).to.have.property('pairs.3');
    expect(vesselOf(typed({ way: 'profile', pairs: pairs.slice(0, 1) }), 'mm').errors).to.have.property(
      'profile'
    );
  });

  it('says what is wrong beside each field', () => {
    const { errors, vessel } = vesselOf(
      typed({ ...inside, innerHeightMm: 'tall', baseThicknessMm: '' }),
      'mm'
    );
    expect(vessel).to.equal(undefined);
    expect(errors).to.have.keys('innerHeightMm', 'baseThicknessMm');
    expect(vesselOf(typed({ ...inside, shoulderHeightMm: '300' }), 'mm').errors).to.have.property(
      'shoulderHeightMm'
    );
  });

  it('is checked by weighed water, and can take its width from it', () => {
    const { vessel } = vesselOf(typed(inside), 'mm');
    const units = { length: 'mm' as const, temperature: 'C' as const };
    const water = (o: object) => checkByWater(vessel!, { waterG: '', toMm: '', tempC: '', ...o }, units);
    expect(water({})).to.eql({ errors: {} });
    expect(water({ waterG: '886 g', toMm: '128' }).check!.agrees).to.equal(true);
    const off = water({ waterG: '800', toMm: '128' }).check!;
    expect(off.agrees).to.equal(false);
    const { check } = checkByWater(
      withWidths(vessel!, off.diameterFactor),
      { waterG: '800', toMm: '128', tempC: '' },
      units
    );
    expect(check!.differencePct).to.be.closeTo(0, 1e-6);
    expect(water({ waterG: 'heavy' }).errors).to.have.property('waterG');
    expect(water({ waterG: '800', toMm: '900' }).errors).to.have.property('toMm');
    expect(water({ waterG: '800', tempC: '90' }).errors).to.have.property('tempC');
  });
});

describe('when pictures of a folder were taken', () => {
  const setDownAt = 1_000_000;
  const now = setDownAt + 100_000_000;
  const files = (names: string[], o: object = {}) =>
    names.map((name, i) => ({ name, lastModified: setDownAt + 1000 * (i + 1) * 60, ...o }));

  it('is told by the seconds in their names, whatever their order', () => {
    const { times } = folderTimes(files(['00000600s.png', '00000060s.png', '86400 s.jpg']), {
      setDownAt,
      now
    });
    expect(times!.map((t) => (t.at - setDownAt) / 1000)).to.eql([60, 600, 86_400]);
  });

  it('else by what the camera wrote, else by the files', () => {
    const named = ['a1.jpg', 'a2.jpg', 'a10.jpg'];
    const byFile = folderTimes(files(named), { setDownAt, now });
    expect(byFile.times!.map((t) => t.name)).to.eql(['a1.jpg', 'a2.jpg', 'a10.jpg']);
    const taken = files(named).map((f, i) => ({ ...f, takenAt: setDownAt + 5000 * (i + 1) }));
    expect(folderTimes(taken, { setDownAt, now }).times![2].at - setDownAt).to.equal(15_000);
  });

  it('is an even step where one is given', () => {
    const { times } = folderTimes(files(['a.jpg', 'b.jpg', 'c.jpg']), { setDownAt, now, everyS: 30 });
    expect(times!.map((t) => t.at - setDownAt)).to.eql([30_000, 60_000, 90_000]);
  });

  it('is asked for where it cannot be', () => {
    const error = (list: ReturnType<typeof files>, everyS?: number) =>
      folderTimes(list, { setDownAt, now, everyS }).error;
    expect(error(files(['a.jpg', 'b.jpg']))).to.match(/three pictures/);
    expect(error(files(['a.jpg', 'b.jpg', 'c.jpg']), 60_000)).to.match(/do not lie between/);
    expect(error(files(['a.jpg', 'b.jpg', 'c.jpg'], { lastModified: 5 }))).to.match(/do not lie between/);
    expect(error(files(['a.jpg', 'b.jpg', 'c.jpg'], { lastModified: now }))).to.match(/one time/);
  });
});
