import { expect } from 'chai';
import fc from 'fast-check';
import {
  pointsTogether,
  scoreSheet,
  sharesOfTops,
  sheetTasks,
  slipsOfReading,
  spreadOf,
  swingingGL,
  trueTops,
  type HandReading
} from '../../../../src/lib/core/index.ts';

const SHOWN = { stemGL: 21, tempC: 19.4, blankGL: 2 };
const READING: HandReading = {
  dueS: 40,
  leadS: 10,
  loweredS: 30,
  readS: 40,
  meniscusGL: 1,
  typed: { stemGL: 21, tempC: 19.5, blankGL: 2 },
  shown: SHOWN
};

describe('a reading of an instrument by hand', () => {
  it('finds nothing at fault with a true reading, whatever it is', () => {
    const scale = fc.double({ min: -2, max: 50, noNaN: true });
    fc.assert(
      fc.property(fc.double({ min: 30, max: 90_000, noNaN: true }), scale, scale, (dueS, stemGL, blankGL) => {
        const shown = { ...SHOWN, stemGL, blankGL };
        const times = { dueS, loweredS: dueS - 10, readS: dueS };
        expect(slipsOfReading({ ...READING, ...times, typed: shown, shown })).to.deep.equal([]);
      })
    );
  });

  it('names what slipped, in the order in which it was done', () => {
    const slips = (o: Partial<HandReading>) => slipsOfReading({ ...READING, ...o });
    expect(slips({ loweredS: 38 })).to.deep.equal(['lowered-late']);
    expect(slips({ dueS: 3600, readS: 3600, loweredS: 3000 })).to.deep.equal(['lowered-early']);
    expect(slips({ readS: 35, loweredS: 25 })).to.deep.equal(['read-early']);
    expect(slips({ readS: 60, loweredS: 50 })).to.deep.equal(['read-late']);
    expect(slips({ typed: { stemGL: 22 } })).to.deep.equal(['read-at-surface']);
    expect(slips({ typed: { stemGL: 30 } })).to.deep.equal(['stem-misread']);
    expect(slips({ typed: { stemGL: 19 } })).to.deep.equal(['stem-misread']);
    expect(slips({ typed: { tempC: 21 } })).to.deep.equal(['thermometer']);
    expect(slips({ typed: { blankGL: 3 } })).to.deep.equal(['blank-misread']);
    // One that stays in was lowered long ago; what nobody reads is not misread.
    expect(slips({ leadS: 0, loweredS: 0, typed: {} })).to.deep.equal([]);
  });

  it('lets a bulb that was just lowered swing, and hang still in time', () => {
    expect(swingingGL(20, 0)).to.equal(23);
    expect(swingingGL(20, 10)).to.equal(20);
    expect(swingingGL(20, -5)).to.equal(swingingGL(20, 0));
  });
});

describe('a sheet', () => {
  it('is the same for the same seed, numbered through, and another for another', () => {
    const items = [
      { kind: 'drill' as const, key: 'lines' as const, level: 3, count: 3 },
      { kind: 'calculation' as const, level: 5 },
      { kind: 'jar' as const, code: null }
    ];
    const sheet = sheetTasks(items, 7);
    expect(sheetTasks(items, 7)).to.deep.equal(sheet);
    expect(sheetTasks(items, 8)).not.to.deep.equal(sheet);
    expect(sheet.map((task) => task.no)).to.deep.equal([1, 2, 3, 4, 5]);
    expect(new Set(sheet.slice(0, 3).map((task) => JSON.stringify(task))).size).to.equal(3);
    expect(scoreSheet(sheet[4], { kind: 'test', text: 'x' })).to.equal(undefined);
  });

  it('scores the true tops of its simulated jar in full, whatever the seed', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e6 }), (seed) => {
        const [jar] = sheetTasks([{ kind: 'jar', code: null }], seed);
        if (jar.kind !== 'jar' || !jar.picture) throw new Error('it is simulated');
        const tops = trueTops(jar.picture);
        expect(scoreSheet(jar, { kind: 'jar', tops })!.points).to.equal(100);
        const { sand, silt, clay } = sharesOfTops(tops);
        expect(sand + silt + clay).to.be.closeTo(100, 1e-9);
      })
    );
  });

  it('counts what is open or unmarked as nothing', () => {
    expect(pointsTogether([100, null, 50], 4)).to.equal(37.5);
    expect(pointsTogether([], 0)).to.equal(0);
  });

  it('tells how far readings of one jar lie apart', () => {
    expect(spreadOf([])).to.deep.equal([]);
    const [sand, silt] = spreadOf([
      { sandMm: 20, siltMm: 30, clayMm: 35 },
      { sandMm: 22, siltMm: 30, clayMm: 36 },
      { sandMm: 24, siltMm: 30, clayMm: 37 }
    ]);
    expect(sand).to.deep.include({ meanMm: 22, sdMm: 2 });
    expect(silt.sdMm).to.equal(0);
    expect(spreadOf([{ sandMm: 1, siltMm: 2, clayMm: 3 }])[0].sdMm).to.equal(0);
  });
});
