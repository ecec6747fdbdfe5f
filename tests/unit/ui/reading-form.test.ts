import { expect } from 'chai';
import { volumeToHeight } from '../../../src/lib/core/index.ts';
import { readingEntry } from '../../../src/lib/contract/commands/jars.ts';
import { blankTexts, mergeTexts, textsOf, type KeptTexts } from '../../../src/lib/workbench/entry/texts.ts';
import { JAR, CYLINDER, TUMBLER, form, lines, unplaced, kept } from './reading.ts';

describe('a reading as it is typed', () => {
  it('is an entry from two layers on, with each height as it was typed', () => {
    const one = form({ lines: lines({ sand: '22' }) });
    expect(one.entry).to.equal(undefined);
    expect(one.problem).to.match(/two layer tops/);
    one.texts.lines.silt = '3,05 cm';
    expect(one.entry, 'clay is asked about').to.equal(undefined);
    expect(one.problem).to.match(/top of the clay is not placed/);
    one.texts.unplaced.clay = 'none';
    expect(one.entry!.lines).to.deep.equal({
      sand: { mm: 22, text: '22' },
      silt: { mm: 30.5, text: '3,05 cm' }
    });
    expect(one.reading!.tops).to.deep.equal({ sand: 22, silt: 30.5 });
    expect(one.problem).to.equal(undefined);
    expect(readingEntry.parse(one.entry)).to.deep.equal(one.entry);
  });

  it('lets the third layer follow from two and the whole, and never takes one for nothing by silence', () => {
    const thick = form({ way: 'thicknesses', lines: lines({ sand: '46', clay: '13' }), total: '92' });
    expect(thick.followed).to.deep.equal({ layer: 'silt', mm: 33 });
    expect(thick.entry!.lines.silt!.mm).to.equal(79);
    expect(thick.entry!.lines.clay!.mm).to.equal(92);
    thick.texts.total = '50';
    expect(thick.errors.measuredTotal).to.match(/more than this whole/);
    // Of heights the whole is the top of the clay.
    const heights = form({ lines: lines({ sand: '46', silt: '79' }), total: '92' });
    expect(heights.followed).to.deep.equal({ layer: 'clay', mm: 13 });
    expect(heights.entry!.lines.clay!.mm).to.equal(92);
    const open = form({ lines: lines({ sand: '46', clay: '92' }), total: '92' });
    expect(open.followed, 'the whole says nothing of the silt').to.equal(undefined);
    expect(open.unanswered).to.deep.equal(['silt']);
    open.texts.unplaced.silt = 'not-read';
    expect(open.entry!.unplaced).to.deep.equal({ silt: 'not-read' });
    expect(open.reading).to.deep.include({ tops: { sand: 46 }, measuredTotalMm: 92 });
    open.texts.unplaced.silt = 'none';
    expect(open.reading!.tops).to.deep.equal({ sand: 46, clay: 92 });
    // In mL the third follows as a volume.
    const graded = form(
      { ruler: 'mL', way: 'thicknesses', lines: lines({ sand: '8', silt: '6' }), total: '20' },
      { vessel: CYLINDER, waterMm: 188 }
    );
    expect(volumeToHeight(CYLINDER, graded.followed!.mm)).to.be.closeTo(6, 1e-6);
    expect(volumeToHeight(CYLINDER, graded.tops.clay!)).to.be.closeTo(20, 1e-6);
  });

  it('keeps a line that is a mark to the last digit, with its time', () => {
    const mark = { timeS: 61, heightMm: 22.25 };
    const marked = form({
      lines: lines({ sand: '22.3', silt: '30', clay: '35' }),
      exact: [{ field: 'sand', text: '22.3', mm: 22.25, mark }]
    });
    expect(marked.entry!.lines.sand).to.deep.equal({ mm: 22.25, text: '22.3', markS: 61 });
    expect(marked.entry!.lines.silt).to.deep.equal({ mm: 30, text: '30' });
    marked.texts.lines.sand = '23';
    expect(marked.entry!.lines.sand).to.deep.equal({ mm: 23, text: '23' });
  });

  it('takes lines of a picture or a film over as numbers, on whatever ruler stands where', () => {
    const found = form({ lines: lines({ skin: '60' }), skin: true, zero: 'table', way: 'thicknesses' });
    found.takeLines([
      { name: 'clay', heightMm: 35.04 },
      { name: 'sand', heightMm: 22.26, sigmaMm: 0.4 },
      { name: 'silt', heightMm: 30.51 }
    ]);
    const { sand, silt, clay } = found.entry!.lines;
    expect([sand?.mm, silt?.mm, clay?.mm]).to.deep.equal([22.26, 30.51, 35.04]);
    expect(sand).to.include({ sigmaMm: 0.4 });
    expect(found.texts.way).to.equal('heights');
    // What is typed over it afterwards is what counts.
    found.setTop('silt', 31);
    expect(found.entry!.lines.silt?.mm).to.equal(31);
  });

  it('is one share where a single line and the whole were measured', () => {
    expect(form({ lines: lines({ sand: '12' }), total: '40' }).entry!.measuredTotal).to.deep.equal({
      mm: 40,
      text: '40'
    });
    expect(form({ lines: lines({ clay: '12' }), total: '40' }).entry).to.equal(undefined);
  });

  it('says each fault at its field and keeps nothing while there is one', () => {
    const wrong: [KeptTexts, string, RegExp][] = [
      [{ lines: lines({ sand: 'high', silt: '30' }) }, 'sand', /No number/],
      [{ lines: lines({ sand: '31', silt: '30' }) }, 'silt', /./],
      [{ lines: lines({ sand: '22', silt: '400' }) }, 'silt', /only .* high/],
      [{ ...kept, zero: 'table', lines: lines({ sand: '3', silt: '30' }) }, 'sand', /./],
      [{ ...kept, sigmas: lines({ silt: 'fuzzy' }) }, 'silt-sigma', /No number/],
      [{ ...kept, total: 'all' }, 'measuredTotal', /No number/],
      [{ ...kept, floating: true, organics: 'some' }, 'organics', /No number/],
      [{ ...kept, pair: true, second: lines({ sand: '23' }) }, 'secondBy', /./],
      [
        { ...kept, pair: true, secondBy: 'Arne', second: lines({ sand: '31', silt: '30' }) },
        'silt-second',
        /./
      ]
    ];
    for (const [texts, field, words] of wrong) {
      const typed = form(texts);
      expect(typed.errors[field], field).to.match(words);
      expect(typed.entry, field).to.equal(undefined);
      expect(typed.problem, field).to.be.a('string');
    }
    // What is not shown is not held against anybody.
    expect(form({ ...kept, organics: 'some' }).errors).to.deep.equal({});
  });

  it('takes the glass off heights of a ruler on the table, and off nothing else', () => {
    const typed = form({ ...kept, zero: 'table' });
    expect(typed.tops.sand).to.equal(22 - JAR.baseThicknessMm);
    expect(typed.entry!.rulerZero).to.equal('table');
    typed.setWay('thicknesses');
    expect(typed.offsetMm).to.equal(0);
    expect(typed.tops.sand).to.be.closeTo(22 - JAR.baseThicknessMm, 0.06);
  });

  it('keeps two people’s lines, and what else was noted', () => {
    const typed = form({
      ...kept,
      by: ' Signe ',
      pair: true,
      secondBy: 'Arne',
      second: lines({ sand: '23', silt: '31' }),
      sigmas: lines({ silt: '1.5' }),
      water: 'hazy',
      gravel: true,
      floating: true,
      organics: '2',
      sumNote: 'the skin was left out'
    });
    const entry = typed.entry!;
    expect(entry).to.deep.include({
      by: 'Signe',
      water: 'hazy',
      sumNote: 'the skin was left out',
      second: { by: 'Arne', lines: { sand: { mm: 23, text: '23' }, silt: { mm: 31, text: '31' } } },
      organics: { mm: 2, text: '2' }
    });
    expect(entry.lines.silt!.sigmaMm).to.equal(1.5);
    expect(typed.bands).to.deep.equal([{ line: 'silt', topMm: 30.5, sigmaMm: 1.5 }]);
    expect(readingEntry.parse(entry)).to.deep.equal(entry);
  });

  it('comes back from what was kept as it was typed', () => {
    const full: KeptTexts = {
      ...kept,
      by: 'Signe',
      pair: true,
      secondBy: 'Arne',
      second: lines({ sand: '23', silt: '31' }),
      sigmas: lines({ silt: '1.5' }),
      total: '36',
      water: 'clear'
    };
    const entry = form(full).entry!;
    const again = form(textsOf(entry, 'mm', { vessel: JAR, waterMm: 120 }));
    expect(again.entry).to.deep.equal(entry);
    // A draft from before a field was there lacks it, and is filled up.
    const old: KeptTexts = { lines: { sand: '22' }, way: 'heights' };
    expect(mergeTexts(blankTexts('mm', 'mm'), old).sigmas.clay).to.equal('');
  });

  it('reads graduations as volumes, and adds them up as volumes', () => {
    const typed = form(
      { ruler: 'mL', lines: lines({ sand: '8', silt: '14' }), unplaced },
      { vessel: CYLINDER }
    );
    expect(typed.rulers[0]).to.equal('mL');
    expect(volumeToHeight(CYLINDER, typed.tops.silt!)).to.be.closeTo(14, 1e-6);
    expect(typed.entry!.rulerSigmaMm).to.be.closeTo(0.5 * typed.mmPerMl, 1e-9);
    typed.setWay('thicknesses');
    expect(typed.texts.lines).to.include({ sand: '8', silt: '6' });
    expect(typed.tapeText(typed.tops.silt!)).to.equal('14');
    typed.texts.lines.silt = 'six';
    expect(typed.errors.silt).to.match(/mL/);
    // A glass without a scale is not read by one.
    expect(form({}, { vessel: { ...TUMBLER, graduationMl: undefined } }).rulers).not.to.include('mL');
  });

  it('lets a tape be dragged between its neighbours, and moves no other', () => {
    const typed = form(kept);
    expect(typed.limits('silt', 120)).to.deep.equal({ low: 22, high: 35 });
    typed.setTop('silt', 28);
    expect(typed.tops).to.deep.equal({ sand: 22, silt: 28, clay: 35 });
    typed.setTop('gravel', 4);
    expect(typed.linesShown).to.include('gravel');
    typed.setWay('thicknesses');
    typed.setTop('sand', 20);
    expect(typed.tops.sand).to.be.closeTo(20, 0.06);
    expect(typed.tops.clay).to.be.closeTo(35, 0.06);
  });
});
