import { expect } from 'chai';
import fc from 'fast-check';
import Papa from 'papaparse';
import { logCsvParts } from '../../../src/lib/formats/log-csv.ts';
import { line } from '../workbench/line.ts';
import { isShare } from '../../../src/lib/core/index.ts';
import { lookThrough, workThrough, type TableAsked } from '../../../src/lib/formats/table/look.ts';
import { readDay } from '../../../src/lib/formats/table/rows.ts';
import { recordsOf, TABLE_MOST, textOf } from '../../../src/lib/formats/table/text.ts';

const asked = (text: string | Uint8Array, o: Partial<TableAsked> = {}): TableAsked => ({
  bytes: typeof text === 'string' ? new TextEncoder().encode(text) : text,
  usual: 'mm',
  today: '2026-05-04',
  areas: [],
  methods: [],
  ...o
});
const look = (text: string, o: Partial<TableAsked> = {}) => lookThrough(asked(text, o));
const worked = (text: string, o: Partial<TableAsked> = {}) => [...workThrough(asked(text, o))];
const fractionsOf = (text: string, o: Partial<TableAsked> = {}) =>
  worked(text, o).map(({ result }) =>
    isShare(result)
      ? [result.layer, Math.round(result.pct * 10) / 10]
      : [result.fractions.sand, result.fractions.silt, result.fractions.clay].map(
          (v) => Math.round(v * 10) / 10
        )
  );

describe('the columns of a table', () => {
  const named = (head: string, row = '1,2,3') => look(`${head}\n${row}\n`).matching;

  it('are told by their heads, in some languages and with units', () => {
    expect(named('Sample,Date,Sand %,Silt %,Clay %,Remarks', 'a,2024-05-01,40,40,20,x').fields).to.deep.equal(
      ['name', 'takenOn', 'sand', 'silt', 'clay', 'note']
    );
    expect(named('Probe;Tiefe;Sand;Schluff;Ton', 'a;0-10 cm;40;40;20').fields).to.deep.equal([
      'name',
      'depth',
      'sand',
      'silt',
      'clay'
    ]);
    expect(named('sand_mm,silt_mm,clay_mm', '22,8,5')).to.include({ figures: 'thickness', unit: 'mm' });
    expect(named('depthFrom,depthTo (in),sand,clay', '0,6,40,20').depthUnit).to.equal('cm');
  });

  it('are percent, parts, thicknesses or tops by what they come to', () => {
    const figures = (rows: string) => look(`sand,silt,clay\n${rows}\n`).matching.figures;
    expect(figures('40,40,20\n10,60,30')).to.equal('percent');
    expect(figures('0.4,0.4,0.2\n0.1,0.6,0.3')).to.equal('fraction');
    expect(figures('22,8,5\n30,9,3')).to.equal('thickness');
    expect(figures('22,30,35\n30,39,42')).to.equal('tops');
    const guessed = look('sand,silt,clay\n22,8,5\n').unsure;
    expect(guessed).to.include.members(['figures', 'unit']);
  });

  it('may have no head', () => {
    const { matching, good } = look('40,40,20\n30,50,20\n');
    expect(matching).to.include({ head: 0 });
    expect(matching.fields).to.deep.equal(['', '', '']);
    expect(good).to.equal(0);
    const fields = { ...matching, fields: ['sand', 'silt', 'clay'] as typeof matching.fields };
    expect(look('40,40,20\n30,50,20\n', { matching: fields }).good).to.equal(2);
  });

  it('tell days in one of three orders, and say when they could be two', () => {
    const days = (cells: string[]) => {
      const { matching, unsure } = look(`date,sand,clay\n${cells.map((c) => `${c},40,20`).join('\n')}\n`);
      return [matching.days, unsure.includes('days')];
    };
    expect(days(['2024-05-01'])).to.deep.equal(['ymd', false]);
    expect(days(['5/1/2024', '5/31/2024'])).to.deep.equal(['mdy', false]);
    expect(days(['1/5/2024', '31/5/2024'])).to.deep.equal(['dmy', false]);
    expect(days(['1.5.2024'])).to.deep.equal(['dmy', false]);
    expect(days(['1/5/2024'])).to.deep.equal(['dmy', true]);
    expect(readDay('5/4/24', 'mdy')).to.equal('2024-05-04');
    expect(readDay('4 May 2024', 'mdy')).to.equal('2024-05-04');
    expect(readDay('2024-05-04T10:00', 'dmy')).to.equal('2024-05-04');
    expect(readDay('30.02.2024', 'dmy')).to.equal(undefined);
  });
});

describe('the rows of a table', () => {
  it('come back as they were, whatever stands between cells, decimals and letters', () => {
    const share = fc.integer({ min: 1, max: 600 }).map((n) => n / 10);
    const row = fc.record({ sand: share, clay: fc.integer({ min: 1, max: 399 }).map((n) => n / 10) });
    const writing = fc.constantFrom(
      [',', 'point'],
      [';', 'comma'],
      ['\t', 'comma'],
      ['|', 'point'],
      [';', 'point']
    );
    fc.assert(
      fc.property(
        fc.array(row, { minLength: 1, maxLength: 30 }),
        writing,
        fc.string(),
        (rows, [delimiter, mark], odd) => {
          const text = (n: number) => (mark === 'comma' ? n.toFixed(1).replace('.', ',') : n.toFixed(1));
          const name = `Pit, "${odd.replaceAll(/[\p{C}]/gu, '').slice(0, 40)}"`;
          const table = Papa.unparse(
            {
              fields: ['sample', 'sand', 'silt', 'clay'],
              data: rows.map(({ sand, clay }) => [name, text(sand), text(100 - sand - clay), text(clay)])
            },
            { delimiter }
          );
          const found = look(table);
          expect(found.problems).to.deep.equal([]);
          const back = worked(table);
          expect(back.length).to.equal(rows.length);
          back.forEach(({ result, name: own }, i) => {
            expect(own).to.equal(name.replace(/\s+/g, ' ').trim());
            if (isShare(result)) throw new Error('a texture was written');
            expect(result.fractions.sand).to.be.closeTo(rows[i].sand, 1e-9);
            expect(result.fractions.clay).to.be.closeTo(rows[i].clay, 1e-9);
          });
        }
      ),
      { numRuns: 40 }
    );
  });

  it('are shares in percent or parts, two of three, or one alone', () => {
    expect(fractionsOf('sand,silt,clay\n40,40,20\n52.5,,17.5\n')).to.deep.equal([
      [40, 40, 20],
      [52.5, 30, 17.5]
    ]);
    expect(fractionsOf('sand,silt,clay\n0.4,0.4,0.2\n')).to.deep.equal([[40, 40, 20]]);
    expect(fractionsOf('sample,clay %\na,18\n')).to.deep.equal([['clay', 18]]);
  });

  it('are heights: how thick each layer is, how high it reaches, with the whole, in inches', () => {
    expect(fractionsOf('sand mm,silt mm,clay mm\n20,10,10\n')).to.deep.equal([[50, 25, 25]]);
    expect(fractionsOf('sand mm,silt mm,clay mm,total mm\n20,10,,40\n')).to.deep.equal([[50, 25, 25]]);
    expect(fractionsOf('gravel mm,sand mm,silt mm,clay mm\n5,20,10,10\n')).to.deep.equal([[50, 25, 25]]);
    expect(fractionsOf('sand top mm,silt top mm,clay top mm\n20,30,40\n')).to.deep.equal([[50, 25, 25]]);
    expect(fractionsOf('sand (in),silt (in),clay (in)\n1 1/2,3/4,3/4\n')).to.deep.equal([[50, 25, 25]]);
    expect(fractionsOf('sand mm,silt mm,clay mm\n20,0,10\n')[0].slice(1)).to.deep.equal([0, 33.3]);
    expect(fractionsOf('sand mm,total mm\n10,40\n')).to.deep.equal([['sand', 25]]);
    // A jar with heights may be estimated by mass, somebody's shares may not.
    expect(worked('sand mm,silt mm,clay mm\n20,10,10\n')[0].estimate).to.be.an('object');
    expect(worked('sand,silt,clay\n40,40,20\n')[0].estimate).to.equal(undefined);
  });

  it('that cannot be are named by row and column, with what to do', () => {
    const { good, bad, problems } = look(
      'sample,date,depth cm,sand,silt,clay\n' +
        'a,31.02.2024,0-10,40,40,20\n' +
        'b,1.2.2024,0-10,40,40,30\n' +
        'c,1.2.2024,20-10,40,40,20\n' +
        'd,1.2.2024,0-10,forty,40,20\n' +
        'e,1.2.2027,0-10,40,40,20\n' +
        'f,1.2.2024,0-10,,,\n' +
        'g,1.2.2024,0-10,-4,,\n' +
        'h,1.2.2024,0-10,40,40,20\n'
    );
    expect([good, bad]).to.deep.equal([1, 7]);
    expect(problems.map(({ no, column }) => [no, column])).to.deep.equal([
      [2, 1],
      [3, 5],
      [4, 2],
      [5, 3],
      [6, 1],
      [7, 3],
      [8, 3]
    ]);
    for (const { message } of problems) expect(message).to.match(/\.$/);
    const heights = look(
      'sand mm,silt mm,clay mm,total mm\n20,10,,\n20,10,10,15\n20,30,,40\n20,10,10,40.5\n'
    );
    expect(heights.problems.map(({ no, column }) => [no, column])).to.deep.equal([
      [2, 2],
      [3, 3],
      [4, 3]
    ]);
  });

  it('keep what has no place of its own in their note', () => {
    const [row] = worked(
      'No,sample,crop,sand %,silt %,clay %,gravel %,remarks\n17,a,beans,40,40,20,12,wet\n',
      {
        matching: {
          ...look('No,sample,crop,sand %,silt %,clay %,gravel %,remarks\n17,a,beans,40,40,20,12,wet\n')
            .matching,
          fields: ['theirs', 'name', 'note', 'sand', 'silt', 'clay', 'gravel', 'note']
        }
      }
    );
    expect(row.note).to.equal('No: 17; crop: beans; gravel %: 12; wet');
  });
});

describe('what the bench itself hands out', () => {
  it('comes in again with the same shares, day, place and method, as CSV of the log', async () => {
    const share = fc.integer({ min: 100, max: 5000 }).map((n) => n / 100);
    const day = fc.integer({ min: Date.UTC(2010, 0, 1, 12), max: Date.UTC(2026, 3, 1) });
    const text = fc
      .string({ unit: 'grapheme', minLength: 1, maxLength: 30 })
      .filter((s) => /^[^\p{C}=+@-]+$/u.test(s.trim()) && s.trim() !== '');
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.record({ sand: share, clay: share, day, name: text }), { minLength: 1, maxLength: 15 }),
        async (all) => {
          const lines = all.map(({ sand, clay, day: setDownAt, name }, i) => ({
            ...line(`K${i}`),
            sampleName: name.trim(),
            setDownAt,
            sand,
            silt: 100 - sand - clay,
            clay
          }));
          let csv = '';
          async function* some() {
            yield lines;
          }
          for await (const part of logCsvParts(some())) csv += part;
          const back = worked(csv, { methods: ['jar-timed'] });
          expect(back.length).to.equal(lines.length);
          back.forEach((row, i) => {
            if (isShare(row.result)) throw new Error('a texture was written');
            expect(row.result.fractions.sand).to.be.closeTo(all[i].sand, 0.011);
            expect(row.result.fractions.clay).to.be.closeTo(all[i].clay, 0.011);
            expect(row).to.include({
              name: lines[i].sampleName.replace(/\s+/g, ' '),
              takenOn: new Date(all[i].day).toISOString().slice(0, 10),
              methodName: 'jar-timed'
            });
          });
        }
      ),
      { numRuns: 40 }
    );
  });
});

describe('a document of tests', () => {
  const saved = (o: object) => ({
    id: '01M8FT00000000000000000001',
    code: 'K1',
    sample: 'North bed',
    purpose: 'garden',
    method: 'jar-timed',
    methodName: 'Timed marks',
    share: null,
    status: 'finished',
    setDownAt: '2026-04-14T09:00:00.000Z',
    finishedAt: null,
    waterTempC: 18,
    fractions: { sand: 60, silt: 25, clay: 15 },
    answer: null,
    gravelPct: 0,
    class: 'sandy loam',
    probability: 0.8,
    verdict: null,
    problem: null,
    ...o
  });
  const log = (tests: object[]) =>
    JSON.stringify({
      format: 'tivrel.log',
      version: 1,
      exportedAt: '2026-05-04T09:00:00.000Z',
      next: null,
      tests
    });

  it('by the published schemas comes in as the rows of a table, with the same shares', () => {
    const share = fc.integer({ min: 1, max: 500 }).map((n) => n / 10);
    fc.assert(
      fc.property(
        fc.array(fc.record({ sand: share, clay: share.map((n) => n / 2) }), { minLength: 1, maxLength: 20 }),
        (all) => {
          const tests = all.map(({ sand, clay }) =>
            saved({ fractions: { sand, silt: 100 - sand - clay, clay } })
          );
          const back = worked(log(tests));
          back.forEach(({ result }, i) => {
            if (isShare(result)) throw new Error('a texture was written');
            expect(result.fractions.sand).to.be.closeTo(all[i].sand, 1e-9);
            expect(result.fractions.clay).to.be.closeTo(all[i].clay, 1e-9);
          });
          expect(back).to.have.length(all.length);
        }
      ),
      { numRuns: 30 }
    );
    const [row] = worked(log([saved({ answer: { sand: 50, silt: 30, clay: 20 } })]));
    expect(row).to.include({
      name: 'North bed',
      takenOn: '2026-04-14',
      methodName: 'jar-timed',
      purpose: 'garden'
    });
    expect(row.note).to.equal('Their number: K1');
    expect(fractionsOf(log([saved({ answer: { sand: 50, silt: 30, clay: 20 } })]))).to.deep.equal([
      [50, 30, 20]
    ]);
    expect(look(log([saved({ fractions: null }), saved({})]))).to.include({ good: 1, bad: 1 });
  });

  it('of another kind is refused in a sentence', () => {
    expect(() => look('{"format": "other"}')).to.throw(/published schemas/);
    expect(() => look('{"format": ')).to.throw(/cut off/);
  });
});

describe('a hostile table', () => {
  const refused = (bytes: Uint8Array | string, says: RegExp) =>
    expect(() => lookThrough(asked(bytes))).to.throw(says);

  it('is refused in a sentence', () => {
    refused(new Uint8Array(), /empty/);
    refused(new Uint8Array([0x50, 0x4b, 3, 4, 1]), /CSV/);
    refused(new Uint8Array([0x25, 0x50, 0x44, 0x46]), /PDF/);
    refused(new Uint8Array([1, 0, 0, 2]), /no text/);
    refused(`${'a,'.repeat(10_000)}\n`, /columns/);
    refused(`sand,clay\n"40,20\n`, /quotation mark/);
    refused(`sand,clay\n${'4'.repeat(3000)},20\n`, /letters/);
    expect(() => textOf(new Uint8Array(TABLE_MOST.bytes + 1))).to.throw(/MB/);
    expect(() => [...recordsOf('1,2\n'.repeat(TABLE_MOST.rows + 1), ',')]).to.throw(/rows/);
  });

  it('is refused before it is worked through, however long it is', () => {
    refused('\n'.repeat(3_000_000), /over 200,000 rows/);
    refused(`[${'1,'.repeat(2_000_000)}1]`, /Line 1 has over 400,000 letters/);
    refused('{"tests":'.repeat(500_000), /begins like JSON, but is none/);
    const head =
      '{"format":"tivrel.log","version":1,"exportedAt":"2026-05-04T09:00:00.000Z","next":null,"tests":[';
    refused(`${head}${'{},'.repeat(150_000)}{}]}`, /neither a log nor a test/);
    refused(`${head}${'{},'.repeat(200_000)}{}]}`, /over 200,000 rows/);
    refused(`{"test":{"runs":[${'{},'.repeat(700_000)}{}]}}`, /neither a log nor a test/);
  });

  it('has its lines ended as any system ends them, from the first to the last of many', () => {
    const rows = Array.from({ length: 1200 }, (_, i) => `Pit ${i},40,20`);
    for (const end of ['\n', '\r\n', '\r'])
      expect(look(['Sample,Sand,Clay', ...rows].join(end)), JSON.stringify(end)).to.include({
        good: 1200,
        bad: 0
      });
  });

  it('is read in other encodings, and its formulas stay text', () => {
    const utf16 = new Uint8Array([
      0xff,
      0xfe,
      ...new Uint8Array(new Uint16Array([...'sand,clay\n40,20\n'].map((c) => c.charCodeAt(0))).buffer)
    ]);
    expect(lookThrough(asked(utf16))).to.include({ encoding: 'UTF-16', good: 1 });
    const old = new Uint8Array([
      ...new TextEncoder().encode('sample,sand,clay\nB'),
      0xf6,
      ...new TextEncoder().encode('den,40,20\n')
    ]);
    expect(lookThrough(asked(old))).to.include({ encoding: 'Windows-1252', good: 1 });
    expect([...workThrough(asked(old))][0].name).to.equal('Böden');
    const [row] = worked('sample,sand,clay\n"=HYPERLINK(""http://x"")",40,20\n');
    expect(row.name).to.equal('=HYPERLINK("http://x")');
  });

  it('of any text either reads or is refused in a sentence', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 400 }), (bytes) => {
        try {
          const found = lookThrough(asked(bytes));
          expect(found.good + found.bad).to.be.at.least(0);
        } catch (problem) {
          expect((problem as Error).name).to.equal('TableProblem');
        }
      })
    );
  });
});

describe('a table as somebody keeps it', () => {
  it('leaves out totals, averages and units, by name, and skips the lines over its headings', () => {
    const found = look(
      [
        'Jars of the walled garden (cm),,,,',
        'read in April,,,,',
        'Name,When,Sand,Silt,Clay,What I saw',
        ',dd/mm/yyyy,cm,cm,cm,',
        'North bed,29/04/2026,2,1.5,0.5,clear',
        'Mean Street,30/04/2026,2.4,1.2,0.4,',
        'Average,,2.2,1.35,0.45,',
        'Total:,,4.4,2.7,0.9,'
      ].join('\n')
    );
    expect(found.heads.slice(0, 2)).to.deep.equal(['Name', 'When']);
    expect(found.matching).to.deep.include({ head: 3, figures: 'thickness', unit: 'cm', days: 'dmy' });
    expect(found.matching.fields).to.deep.equal(['name', 'takenOn', 'sand', 'silt', 'clay', 'note']);
    expect(found.leftOut.map((row) => row.no)).to.deep.equal([4, 7, 8]);
    expect([found.good, found.bad]).to.deep.equal([2, 0]);
  });

  it('takes its columns from the row that somebody says, and guesses anew', () => {
    const text = 'a,b,c,d\nname,sand (cm),silt (cm),clay (cm)\nNorth,2,1.5,0.5\nSouth,2.4,1.2,0.4';
    expect(look(text).heads).to.deep.equal(['a', 'b', 'c', 'd']);
    const told = look(text, { head: 2 });
    expect(told.heads).to.deep.equal(['name', 'sand (cm)', 'silt (cm)', 'clay (cm)']);
    expect(told.matching).to.deep.include({ head: 2, unit: 'cm', fields: ['name', 'sand', 'silt', 'clay'] });
    expect([told.good, told.bad]).to.deep.equal([2, 0]);
    expect(told.top.map((row) => row.no)).to.deep.equal([1, 2, 3, 4]);
    // What it was told stays, with all else that is changed after.
    const changed = look(text, { matching: { ...told.matching, unit: 'mm' } });
    expect([changed.heads[1], changed.good]).to.deep.equal(['sand (cm)', 2]);
    expect(look(text, { head: 0 }).matching.head).to.equal(0);
    expect(look('x,y,z\n1,sand,silt\nNorth,2,1.5', { head: 2 }).heads).to.deep.equal(['1', 'sand', 'silt']);
  });

  it('reads shares in words, and asks where a comma stands among points', () => {
    const words = look('name,sand,silt,clay\nA,half,a quarter,1/4\nB,50,25,25');
    expect([words.good, words.bad]).to.deep.equal([2, 0]);
    const mixed = look('name,sand,silt\nA,"0,050",39.5\nB,40.5,39.5\nC,41.5,38.5');
    expect(mixed.problems.map((one) => [one.no, one.column])).to.deep.equal([[2, 1]]);
    expect(mixed.problems[0].message).to.match(/comma where other figures have a point/);
  });

  it('does not take the order of days from a row that begins with its year', () => {
    const days = look('name,date,sand,silt\nA,03/04/2025,40,40\nB,2025-04-05,40,40');
    expect(days.unsure).to.include('days');
    expect(look('name,date,sand,silt\nA,2025-04-03,40,40').unsure).to.not.include('days');
  });

  it('lets no control characters into a name', () => {
    const rows = worked('name,sand,silt\nNorth\u0007 bed\u202e,40,40');
    expect(rows.map((row) => row.name)).to.deep.equal(['North bed']);
  });
});
