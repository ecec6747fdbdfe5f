import { expect } from 'chai';
import { keptLength } from '../../../src/lib/workbench/entry/figure.ts';
import type { SampleRecord } from '../../../src/lib/contract/records/sample.ts';
import { DEFAULT_PROFILE } from '../../../src/lib/words/profile.ts';
import { methodByKey, STANDARD_VESSELS } from '../../../src/lib/core/index.ts';
import { formOf, readSampleForm, type SampleForm } from '../../../src/lib/ui/sample/form.ts';
import { answerForm, jarOf, placeholder, takenFor, USUAL_TEMP_C } from '../../../src/lib/ui/set/form.ts';

const litre = STANDARD_VESSELS.find((v) => v.id === 'jar-litre')!;
const timed = methodByKey('jar-timed');

describe('the answer to a jar that is to be set', () => {
  const answer = (form: Partial<Record<'temp' | 'soil' | 'water', string>>, profile = DEFAULT_PROFILE) =>
    answerForm({ temp: '18', soil: '', water: '', ...form }, timed, litre, profile);

  it('is what the method asks for while nothing else is typed', () => {
    const a = answer({});
    expect(a).to.deep.include({ tempC: 18, soilMm: 43, waterMm: 128, errors: {}, doubts: [] });
    expect(a.plan!.dispersantMl).to.be.closeTo(3.8, 0.1);
    expect(a.report!.marks.map((m) => m.layer)).to.deep.equal(['sand', 'silt', 'clay']);
    expect(jarOf(a)).to.deep.equal({ columnMm: 128, tempC: 18, solidsKgM2: 51.6 });
  });

  it('follows one’s own heights, the amounts with them', () => {
    const a = answer({ soil: '2 in', water: '5 in' });
    expect(a.soilMm).to.be.closeTo(50.8, 1e-9);
    expect(a.plan!.soilMl).to.be.above(answer({}).plan!.soilMl);
    expect(a.asked!.soilMm).to.equal(43);
  });

  it('says each fault at its field, and works nothing out meanwhile', () => {
    const faults: [Parameters<typeof answer>[0], 'temp' | 'soilMm' | 'waterMm', RegExp][] = [
      [{ temp: '50' }, 'temp', /between 0 and 40/],
      [{ temp: 'cool' }, 'temp', /as a number/],
      [{ soil: '1//2' }, 'soilMm', /fraction/],
      [{ soil: '200' }, 'soilMm', /only 156 mm high/],
      [{ soil: '0' }, 'soilMm', /height of the dry soil/],
      [{ water: '40' }, 'waterMm', /below the soil line/],
      [{ water: '160' }, 'waterMm', /overflow/]
    ];
    for (const [form, field, words] of faults) {
      const a = answer(form);
      expect(a.errors[field], JSON.stringify(form)).to.match(words);
      expect(jarOf(a)).to.equal(undefined);
      if (field !== 'temp') expect(a.report).to.equal(undefined);
    }
  });

  it('takes the warmth for granted where none is typed, and the dispersant until somebody says what went in', () => {
    expect(answer({ temp: '' }).tempC).to.equal(USUAL_TEMP_C);
    expect(takenFor({ temp: '' }, timed)).to.deep.equal(['tempC', 'dispersantMl']);
    expect(takenFor({ temp: '12' }, timed)).to.deep.equal(['dispersantMl']);
    expect(takenFor({ temp: '12' }, methodByKey('jar-plain'))).to.deep.equal([]);
    expect(takenFor({ temp: '12' }, methodByKey('pipette'))).to.deep.equal([]);
  });

  it('doubts a fill with its figures', () => {
    expect(answer({ soil: '85' }).doubts.map((d) => d.kind)).to.deep.equal(['too-full']);
    expect(answer({ soil: '15' }).doubts.map((d) => d.kind)).to.deep.equal(['too-thin']);
  });

  it('waits for a vessel, and greys a field in the viewer’s unit', () => {
    expect(answerForm({ temp: '18', soil: '', water: '' }, timed, undefined, DEFAULT_PROFILE).plan).to.equal(
      undefined
    );
    expect(placeholder(43, DEFAULT_PROFILE)).to.equal('43 mm');
    expect(placeholder(50.8, { ...DEFAULT_PROFILE, length: 'in' })).to.equal('2 in');
    expect(placeholder(undefined, DEFAULT_PROFILE)).to.equal('');
  });
});

describe('the record of a sample as it is typed', () => {
  const sample: SampleRecord = {
    id: 's',
    code: 'K1',
    name: 'North bed',
    purpose: 'garden',
    note: 'by the tap',
    areaId: null,
    spotIds: [],
    createdAt: 0,
    details: {
      takenOn: '2026-05-03',
      depthFrom: { mm: 76.2, text: '3"' },
      depthTo: { mm: 152.4, text: '6"' },
      driedH: 24,
      sieve: { mm: 2, text: '2 mm' },
      gravel: { amount: 120, unit: 'mL' },
      look: 'grey'
    }
  };
  const read = (change: Partial<SampleForm>) => readSampleForm({ ...formOf(sample, 'mm'), ...change }, 'mm');

  it('reads back as it was, to the letter', () => {
    const { details, errors } = readSampleForm(formOf(sample, 'mm'), 'mm');
    expect(errors).to.deep.equal({});
    expect(details.depthFrom!.text).to.equal('3"');
    expect(details.depthFrom!.mm).to.be.closeTo(76.2, 1e-9);
    expect({
      ...details,
      depthFrom: sample.details.depthFrom,
      depthTo: sample.details.depthTo
    }).to.deep.equal(sample.details);
  });

  it('shows what was typed without a unit as what it meant, under any unit of today', () => {
    const inches = {
      ...sample,
      details: { depthFrom: { mm: 76.2, text: '3' }, sieve: { mm: 2, text: '2' } }
    };
    for (const unit of ['mm', 'cm', 'in'] as const) {
      const { details } = readSampleForm(formOf(inches, unit), unit);
      expect(details.depthFrom!.mm, unit).to.be.closeTo(76.2, 0.06);
      expect(details.sieve!.mm, unit).to.be.closeTo(2, 0.06);
    }
    expect(formOf(inches, 'in').depthFrom).to.equal('3');
    expect(formOf(inches, 'mm').depthFrom).to.equal('76.2');
    expect(keptLength(null, 'mm')).to.equal('');
    expect(keptLength({ mm: 40, text: '' }, 'cm')).to.equal('4');
  });

  it('leaves out what nobody noted', () => {
    const blank = Object.fromEntries(
      Object.keys(formOf(sample, 'mm')).map((k) => [k, ''])
    ) as unknown as SampleForm;
    expect(readSampleForm({ ...blank, gravelUnit: 'g' }, 'mm')).to.deep.equal({ details: {}, errors: {} });
  });

  it('says each fault at its field', () => {
    expect(read({ depthTo: '50' }).errors.depthTo).to.match(/below the upper/);
    expect(read({ depthFrom: 'a spade' }).errors.depthFrom).to.match(/length|number/i);
    expect(read({ dried: 'a day' }).errors.dried).to.match(/such as 24/);
    expect(read({ gravel: '-3' }).errors.gravel).to.match(/such as 120/);
    expect(read({ sieve: '2 5' }).errors.sieve).to.match(/Two numbers/);
  });

  it('takes a mesh in mm from people who work in cm', () => {
    expect(readSampleForm({ ...formOf(sample, 'mm'), sieve: '4' }, 'cm').details.sieve!.mm).to.equal(4);
    expect(readSampleForm({ ...formOf(sample, 'mm'), depthFrom: '4' }, 'cm').details.depthFrom!.mm).to.equal(
      40
    );
  });
});
