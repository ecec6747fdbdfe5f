import { expect } from 'chai';
import fc from 'fast-check';
import { methodByKey } from '../../../src/lib/core/index.ts';
import type { ReadingEntry } from '../../../src/lib/contract/records/reading.ts';
import { ReadingForm } from '../../../src/lib/ui/read/form.svelte.ts';
import { startTexts, textsOf, type ReadingTexts } from '../../../src/lib/ui/read/texts.ts';

import type { TestDetail } from '../../../src/lib/contract/records/result.ts';
import { anyJar, anyRun } from '../workbench/jar.ts';
import { JAR, CYLINDER, TUMBLER, form, lines, unplaced, kept } from './reading.ts';

describe('another ruler, another way of writing', () => {
  const RULERS: ReadingEntry['ruler'][] = ['mm', 'sixteenths', 'eye'];
  const moves = fc.array(
    fc.oneof(
      fc.constantFrom(...RULERS).map((ruler) => (f: ReadingForm) => f.setRuler(ruler)),
      fc
        .constantFrom('heights' as const, 'thicknesses' as const)
        .map((m) => (f: ReadingForm) => f.setMode(m)),
      fc.constantFrom('inside' as const, 'table' as const).map((z) => (f: ReadingForm) => f.setZero(z))
    ),
    { minLength: 1, maxLength: 6 }
  );

  it('moves no line, no band, and neither the whole nor what floats', () => {
    const glasses = fc.constantFrom({ vessel: JAR }, { vessel: TUMBLER, waterMm: 110 });
    fc.assert(
      fc.property(moves, glasses, (steps, glass) => {
        const typed = form(
          {
            lines: lines({ sand: '22', silt: '30.5', clay: '35' }),
            sigmas: lines({ silt: '1.5' }),
            pair: true,
            secondBy: 'Arne',
            second: lines({ sand: '23', silt: '31', clay: '35' }),
            total: '36',
            floating: true,
            organics: '2'
          },
          glass
        );
        for (const step of steps) step(typed);
        expect(typed.errors).to.deep.equal({});
        const entry = typed.entry!;
        // A sixteenth is 1.6 mm: half of it is lost each time a height is written anew.
        const near = 0.85 * steps.length;
        expect(entry.lines.sand!.mm).to.be.closeTo(22, near);
        expect(entry.lines.clay!.mm).to.be.closeTo(35, 3 * near);
        expect(entry.lines.silt!.sigmaMm).to.be.closeTo(1.5, near);
        expect(entry.second!.lines.sand!.mm).to.be.closeTo(23, near);
        expect(entry.measuredTotal!.mm).to.be.closeTo(36, near);
        expect(entry.organics!.mm).to.be.closeTo(2, near);
      })
    );
  });

  it('writes a fuzzy line and the whole with the unit they were typed in', () => {
    const typed = form({ ...kept, sigmas: lines({ silt: '0.5' }), total: '36' });
    typed.setRuler('sixteenths');
    expect(typed.texts.sigmas.silt).to.equal('0.5 mm');
    expect(typed.texts.total).to.equal('36 mm');
    typed.setRuler('mm');
    expect(typed.entry!.lines.silt!.sigmaMm).to.equal(0.5);
    const graded = form(
      { ruler: 'mL', lines: lines({ sand: '8', silt: '14' }), total: '20' },
      { vessel: CYLINDER }
    );
    const whole = graded.entry!.measuredTotal!.mm;
    graded.setRuler('mm');
    expect(graded.entry!.measuredTotal!.mm).to.be.closeTo(whole, 0.06);
    graded.setRuler('mL');
    expect(graded.texts.total).to.equal('20');
  });

  it('reads what was kept, or typed, under another unit as what it meant', () => {
    const entry = form({ ...kept, zero: 'table', sigmas: lines({ silt: '1.5' }), total: '36' }).entry!;
    for (const unit of ['mm', 'cm', 'in'] as const) {
      const again = form(textsOf(entry, unit, JAR), { unit });
      expect(again.errors, unit).to.deep.equal({});
      for (const name of ['sand', 'silt', 'clay'] as const)
        expect(again.entry!.lines[name]!.mm, unit).to.be.closeTo(entry.lines[name]!.mm, 0.06);
      expect(again.entry!.lines.silt!.sigmaMm, unit).to.be.closeTo(1.5, 0.01);
      expect(again.entry!.measuredTotal!.mm, unit).to.be.closeTo(36, 0.01);
    }
    const graded = form(
      { ruler: 'mL', lines: lines({ sand: '8', silt: '14' }), sigmas: lines({ silt: '2' }), unplaced },
      { vessel: CYLINDER }
    );
    const read = textsOf(graded.entry!, 'cm', CYLINDER);
    expect(read.lines).to.include({ sand: '8', silt: '14' });
    expect(read.sigmas.silt).to.equal('2');

    const draft: Partial<ReadingTexts> = { ...kept, unit: 'mm', total: '36' };
    const metric = form({}, { unit: 'cm' });
    metric.takeDraft(draft);
    expect(metric.tops).to.deep.equal({ sand: 22, silt: 30.5, clay: 35 });
    expect(metric.texts.lines.sand).to.equal('2.2');
    expect(metric.entry!.measuredTotal).to.deep.equal({ mm: 36, text: '36 mm' });
    // Under the same unit, and from before units were kept, a draft stays to the letter.
    const same = form();
    same.takeDraft({ lines: lines({ sand: '2,2 cm', silt: '30' }) });
    expect(same.texts.lines.sand).to.equal('2,2 cm');
  });

  it('leaves what cannot be read as it was typed', () => {
    const typed = form({ lines: lines({ sand: '22', silt: 'thirty' }), total: 'forty' });
    typed.setRuler('sixteenths');
    typed.setMode('thicknesses');
    expect(typed.texts.lines.silt).to.equal('thirty');
    expect(typed.texts.total).to.equal('forty');
  });
});

describe('what a reading starts from', () => {
  const sandMark = { id: 'm', layer: 'sand' as const, at: 60_000, heightMm: 22, heightText: '22' };
  const run = anyRun({ id: 'r', marks: [sandMark] });
  const detail = (o: Partial<TestDetail>): TestDetail => ({
    ...anyJar({ run }),
    runs: [run],
    readings: [],
    results: [],
    events: [],
    ...o
  });
  const entry = form(kept).entry as ReadingEntry;

  it('takes the heights of the marks where nothing was read, in the unit of the hand', () => {
    expect(startTexts(detail({}), 'mm').lines.sand).to.equal('22');
    expect(startTexts(detail({}), 'in').ruler).to.equal('sixteenths');
  });

  it('takes the last reading of this run, and none of a run before', () => {
    const reading = { id: 'x', runId: 'r', at: 1, entry };
    expect(startTexts(detail({ readings: [reading] }), 'mm').lines.silt).to.equal('30.5');
    expect(startTexts(detail({ readings: [{ ...reading, runId: 'q' }] }), 'mm').lines.silt).to.equal('');
  });

  it('reads a graduated cylinder by its graduations, unless tape was measured', () => {
    const byVolume = {
      vessel: { ...CYLINDER, id: 'cylinder-100', name: 'Cylinder' },
      method: methodByKey('cylinder-volume')!
    };
    expect(startTexts(detail({ ...byVolume, run: anyRun({ id: 'r', marks: [] }) }), 'mm').ruler).to.equal(
      'mL'
    );
    expect(startTexts(detail(byVolume), 'mm').ruler).to.equal('mm');
  });
});
