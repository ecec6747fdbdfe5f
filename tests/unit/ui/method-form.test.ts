import { expect } from 'chai';
import { draftOf, methodByKey, METHODS } from '../../../src/lib/core/index.ts';
import { durationText, methodForm, readMethodForm } from '../../../src/lib/ui/method/form.ts';
import { rulerTicks } from '../../../src/lib/ui/ruler/ticks.ts';

describe('a method as it is typed', () => {
  it('reads back as it was, for every method that can be changed', () => {
    for (const method of METHODS) {
      const form = methodForm(method);
      const { draft, errors } = readMethodForm(form);
      expect(errors, method.key).to.deep.equal({});
      const want = draftOf(method);
      expect(draft.soilShare).to.be.closeTo(want.soilShare, 0.001);
      expect({ ...draft, soilShare: 0 }).to.deep.equal({ ...want, soilShare: 0 });
    }
  });

  it('writes times as people do', () => {
    const times = [40, 60, 90, 7200, 5400, 23_400, 7260];
    expect(times.map(durationText)).to.deep.equal([
      '40 s',
      '1 min',
      '90 s',
      '2 h',
      '90 min',
      '6.5 h',
      '121 min'
    ]);
  });

  it('says each fault at its field, what cannot be read before what does not hold', () => {
    const form = methodForm(methodByKey('jar-timed'));
    form.soil = 'a third';
    form.dose = '';
    form.marks.sand = { at: 'soon', until: '' };
    form.marks.silt = { at: '30 s', until: '' };
    form.marks.clay = { at: '', until: '2 d' };
    form.shakeFrom = '7';
    const { errors } = readMethodForm(form);
    expect(errors.soilShare).to.match(/percentage/);
    expect(errors.dispersantMlPerL).to.match(/mL a litre/);
    expect(errors.sand).to.match(/no length of time/);
    expect(errors.agitate).to.match(/s, min or h/);
    expect(errors.clay).to.match(/no length of time/);
    form.marks.sand = { at: '1 min', until: '' };
    form.marks.clay = { at: '', until: '' };
    expect(readMethodForm(form).errors.silt).to.match(/after the sand: later than 1 min/);
  });
});

describe('an instrument method as it is typed', () => {
  it('says each fault at its reading', () => {
    const form = methodForm(methodByKey('hydrometer-2pt'));
    const typed = form.instrument!;
    expect(typed.readings).to.deep.equal([
      { at: '40 s', lead: '10 s' },
      { at: '6.5 h', lead: '10 s' }
    ]);
    typed.readings[1].at = 'later';
    typed.soil = 'some';
    const { errors } = readMethodForm(form);
    expect(errors['reading.1']).to.match(/no length of time/);
    expect(errors.soilG).to.match(/grams such as 40/);
    typed.readings[1].at = '2 h';
    typed.soil = '50,5';
    const { draft, errors: none } = readMethodForm(form);
    expect(none).to.deep.equal({});
    expect(draft.instrument).to.deep.include({ soilG: 50.5 });
    // An empty lead leaves it in.
    typed.readings[1].lead = '';
    expect(readMethodForm(form).errors['reading.1']).to.match(/catches grains/);
  });

  it('reads draws by their size', () => {
    const form = methodForm(methodByKey('pipette'));
    form.instrument!.limits = ['20', 'clay'];
    expect(readMethodForm(form).errors['reading.1']).to.match(/µm such as 20/);
    form.instrument!.depth = '';
    expect(readMethodForm(form).errors.depthMm).to.match(/mm such as 100/);
  });
});

describe('the graduations of a cylinder', () => {
  it('are as far apart as a mL is high, numbered by tens', () => {
    const ticks = rulerTicks(40, 'mL', 1.88);
    expect(ticks[10]).to.deep.include({ length: 1, label: '10' });
    expect(ticks[10].mm).to.be.closeTo(18.8, 1e-9);
    expect(ticks).to.have.length(22);
  });

  it('of a wide one are drawn every ten', () => {
    expect(rulerTicks(400, 'mL', 0.34)[10]).to.deep.include({ label: '100' });
  });
});
