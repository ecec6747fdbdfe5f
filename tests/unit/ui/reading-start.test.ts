import { expect } from 'chai';
import fc from 'fast-check';
import { methodByKey } from '../../../src/lib/core/index.ts';
import type { ReadingEntry } from '../../../src/lib/contract/records/reading.ts';
import { ReadingForm } from '../../../src/lib/ui/read/form.svelte.ts';
import { readAnew } from '../../../src/lib/workbench/entry/read-entry.ts';
import { readingEntry } from '../../../src/lib/contract/commands/jars.ts';
import { startTexts, textsOf, type KeptTexts } from '../../../src/lib/workbench/entry/texts.ts';

import type { TestDetail } from '../../../src/lib/contract/records/result.ts';
import { anyJar, anyRun } from '../workbench/jar.ts';
import { JAR, CYLINDER, TUMBLER, form, lines, kept } from './reading.ts';

describe('another ruler, another way of writing', () => {
  const RULERS: ReadingEntry['ruler'][] = ['mm', 'sixteenths', 'eye'];
  const moves = fc.array(
    fc.oneof(
      fc.constantFrom(...RULERS).map((ruler) => (f: ReadingForm) => f.setRuler(ruler)),
      fc.constantFrom('heights' as const, 'thicknesses' as const).map((m) => (f: ReadingForm) => f.setWay(m)),
      fc.constantFrom('inside' as const, 'table' as const).map((z) => (f: ReadingForm) => f.setZero(z))
    ),
    { minLength: 1, maxLength: 6 }
  );

  const typed = {
    lines: lines({ sand: '22', silt: '30.5', clay: '35.1' }),
    sigmas: lines({ silt: '1.5' }),
    pair: true,
    secondBy: 'Arne',
    second: lines({ sand: '23', silt: '31', clay: '35.2' }),
    total: '36',
    floating: true,
    organics: '2'
  };
  const glasses = fc.constantFrom({ vessel: JAR }, { vessel: TUMBLER, waterMm: 110 }, { vessel: CYLINDER });

  it('moves nothing by a hair, however often it is written in another way, and comes back to what was typed', () => {
    fc.assert(
      fc.property(moves, glasses, (steps, glass) => {
        const moved = form(typed, glass);
        const was = moved.entry!;
        for (const step of steps) step(moved);
        expect(moved.errors).to.deep.equal({});
        const entry = moved.entry!;
        for (const name of ['sand', 'silt', 'clay'] as const) {
          expect(entry.lines[name]!.mm).to.be.closeTo(was.lines[name]!.mm, 1e-6);
          expect(entry.second!.lines[name]!.mm).to.be.closeTo(was.second!.lines[name]!.mm, 1e-6);
        }
        expect(entry.lines.silt!.sigmaMm).to.be.closeTo(1.5, 1e-9);
        expect(entry.measuredTotal!.mm).to.be.closeTo(36, 1e-9);
        expect(entry.organics!.mm).to.be.closeTo(2, 1e-9);
        moved.setRuler('mm');
        moved.setWay('heights');
        moved.setZero('inside');
        expect(moved.entry).to.deep.equal(was);
        expect(moved.texts.lines).to.include(typed.lines);
        expect(moved.texts.second).to.include(typed.second);
        expect(moved.texts).to.include({ total: '36', organics: '2' });
      })
    );
  });

  it('keeps what follows from the whole as what follows, through another unit and another way', () => {
    const thick = form({ way: 'thicknesses', lines: lines({ sand: '50', clay: '15' }), total: '100' });
    expect(thick.followed).to.deep.equal({ layer: 'silt', mm: 35 });
    thick.setRuler('sixteenths');
    expect(thick.texts.lines.silt).to.equal('');
    expect(thick.followed!.mm).to.be.closeTo(35, 1e-9);
    thick.setWay('heights');
    expect(thick.texts.lines.clay, 'its top is the whole').to.equal('');
    expect(thick.followed).to.include({ layer: 'clay' });
    expect(thick.entry!.lines.silt!.mm).to.be.closeTo(85, 1e-9);
    thick.setWay('thicknesses');
    thick.setRuler('mm');
    expect(thick.texts.lines).to.include({ sand: '50', silt: '', clay: '15' });
    expect(thick.followed).to.deep.equal({ layer: 'silt', mm: 35 });
    // Clay alone, of a whole.
    const alone = form({ way: 'thicknesses', lines: lines({ clay: '15' }), total: '100' });
    expect(alone.entry!.lines.silt!.mm).to.equal(85);
    alone.setWay('heights');
    expect(alone.entry!.lines).to.have.keys('silt');
    alone.setWay('thicknesses');
    expect(alone.texts.lines).to.include({ silt: '', clay: '15' });
  });

  it('leaves thicknesses that were typed among the heights to be read as thicknesses', () => {
    const inches = form({ ruler: 'sixteenths', lines: lines({ sand: '5/8', silt: '1/8', clay: '1/4' }) });
    expect(inches.errors.silt).to.match(/lies below/);
    inches.setWay('thicknesses');
    expect(inches.texts.lines).to.include({ sand: '5/8', silt: '1/8', clay: '1/4' });
    expect(inches.tops.clay).to.be.closeTo(25.4, 1e-9);
  });

  it('adds up tenths of a millimetre to the whole, and never leaves a layer of nothing', () => {
    const tenths = fc.integer({ min: 1, max: 400 }).map((n) => n / 10);
    const asTyped = (n: number) => String(Math.round(10 * n) / 10);
    fc.assert(
      fc.property(tenths, tenths, tenths, (sand, silt, clay) => {
        const total = asTyped(sand + silt + clay);
        const all = { sand: asTyped(sand), silt: asTyped(silt), clay: asTyped(clay) };
        const whole = form({ way: 'thicknesses', lines: lines(all), total });
        expect(whole.errors).to.deep.equal({});
        expect(whole.reading!.tops.clay).to.equal(Number(total));
        const two = form({
          way: 'thicknesses',
          lines: lines({ sand: all.sand, silt: all.silt }),
          total: asTyped(sand + silt)
        });
        expect(two.errors).to.deep.equal({});
        expect(two.followed).to.deep.equal({ layer: 'clay', mm: 0 });
        expect(two.entry!.lines.clay!.mm).to.equal(two.entry!.lines.silt!.mm);
      })
    );
  });

  it('offers centimetres for what they are, and keeps millimetres millimetres', () => {
    const metric = form({}, { unit: 'cm' });
    expect(metric.texts.ruler).to.equal('cm');
    expect(metric.rulers).to.deep.equal(['mm', 'cm', 'sixteenths', 'eye']);
    metric.setRuler('mm');
    Object.assign(metric.texts.lines, { sand: '10', silt: '25', clay: '42' });
    expect(metric.tops).to.deep.equal({ sand: 10, silt: 25, clay: 42 });
    metric.setRuler('cm');
    expect(metric.texts.lines).to.include({ sand: '1', silt: '2.5', clay: '4.2' });
  });

  it('writes a fuzzy line and the whole anew, exactly, and they come back as they were typed', () => {
    const fuzzy = form({ ...kept, sigmas: lines({ silt: '0.5' }), total: '36' });
    fuzzy.setRuler('sixteenths');
    expect(fuzzy.texts.sigmas.silt).to.equal('0.02');
    expect(fuzzy.entry!.lines.silt!.sigmaMm).to.equal(0.5);
    fuzzy.setRuler('mm');
    expect(fuzzy.texts.sigmas.silt).to.equal('0.5');
    const graded = form(
      { ruler: 'mL', lines: lines({ sand: '8', silt: '14' }), total: '20' },
      { vessel: CYLINDER }
    );
    const whole = graded.entry!.measuredTotal!.mm;
    graded.setRuler('mm');
    expect(graded.entry!.measuredTotal!.mm).to.be.closeTo(whole, 1e-9);
    graded.setRuler('mL');
    expect(graded.texts.total).to.equal('20');
  });

  it('opens a reading in the way and the unit in which it was made, whatever the unit of today', () => {
    const GLASS = { vessel: JAR, waterMm: 120 };
    const made = [
      form({ ...kept, zero: 'table', sigmas: lines({ silt: '1.5' }), total: '36' }),
      form({
        way: 'thicknesses',
        ruler: 'sixteenths',
        lines: lines({ sand: '5/8', silt: '3/8', clay: '1/8' })
      }),
      form({ way: 'thicknesses', lines: lines({ sand: '50', clay: '15' }), total: '100' }),
      form({ way: 'eye', shares: { sand: 'about half', silt: 'a quarter', clay: '' }, water: 'hazy' }),
      form({ way: 'others', shares: { sand: '33', silt: '53', clay: '14' }, by: 'a neighbour' }),
      form({ way: 'eye', shares: { sand: '', silt: '', clay: '1/4' } })
    ];
    for (const one of made) {
      const entry = one.entry!;
      expect(readingEntry.parse(entry)).to.deep.equal(entry);
      for (const unit of ['mm', 'cm', 'in'] as const) {
        const again = new ReadingForm(textsOf(entry, unit, GLASS), GLASS);
        expect(again.entry, unit).to.deep.equal(entry);
        const { typed: asTyped } = entry;
        expect(readAnew({ ...entry, lines: {}, typed: asTyped! }, GLASS)).to.deep.equal({ entry });
      }
    }
  });

  it('reads what was kept as numbers as what it meant, to the last digit', () => {
    const GLASS = { vessel: JAR, waterMm: 120 };
    const { typed: _, ...entry } = form({
      ...kept,
      zero: 'table',
      sigmas: lines({ silt: '1.5' }),
      total: '36'
    }).entry!;
    for (const unit of ['mm', 'cm', 'in'] as const) {
      const again = new ReadingForm(textsOf(entry, unit, GLASS), GLASS);
      expect(again.errors, unit).to.deep.equal({});
      for (const name of ['sand', 'silt', 'clay'] as const)
        expect(again.entry!.lines[name]!.mm, unit).to.be.closeTo(entry.lines[name]!.mm, 1e-9);
      expect(again.entry!.lines.silt!.sigmaMm, unit).to.equal(1.5);
      expect(again.entry!.measuredTotal!.mm, unit).to.equal(36);
    }
    for (const [texts, way] of [
      [{ sand: '33', silt: '53', clay: '14' }, 'others'],
      [{ sand: '', silt: '', clay: '30' }, 'eye'],
      [{ sand: '40', silt: '', clay: '' }, 'eye']
    ] as const) {
      const { typed: __, ...shares } = form({ way, shares: { ...texts } }).entry!;
      const again = new ReadingForm(textsOf(shares, 'mm', GLASS), GLASS);
      expect(again.texts.shares).to.deep.equal(texts);
      expect(again.entry!.figures).to.equal(way);
    }
  });

  it('takes a draft up in the unit that it was typed in', () => {
    const draft: KeptTexts = { ...kept, ruler: 'mm', unit: 'mm', total: '36' };
    const metric = form({}, { unit: 'cm' });
    metric.takeDraft(draft);
    expect(metric.tops).to.deep.equal({ sand: 22, silt: 30.5, clay: 35 });
    expect(metric.texts.lines.sand).to.equal('22');
    expect(metric.fieldUnit).to.equal('mm');
  });

  it('leaves what cannot be read as it was typed', () => {
    const typed = form({ lines: lines({ sand: '22', silt: 'thirty' }), total: 'forty' });
    typed.setRuler('sixteenths');
    typed.setWay('thicknesses');
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
