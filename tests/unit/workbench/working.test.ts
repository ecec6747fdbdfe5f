import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { expect } from 'chai';
import { ulid } from 'ulid';
import { extractText } from 'unpdf';
import { DEFAULT_PROFILE, type Profile } from '../../../src/lib/words/profile.ts';
import { heightOfVolume, USUAL_FACTS, type CurvePoint } from '../../../src/lib/core/index.ts';
import { inFaces } from '../../../src/lib/formats/pdf.ts';
import { workPdf } from '../../../src/lib/formats/work-pdf.ts';
import type { WorkSheet } from '../../../src/lib/workbench/working/types.ts';
import { allBlanks } from '../../../src/lib/server/repositories/blanks.ts';
import { testDetail } from '../../../src/lib/server/repositories/tests.ts';
import { formatFor } from '../../../src/lib/words/format.ts';
import { frameOf } from '../../../src/lib/workbench/triangle/frame.ts';
import { curveFigure, triangleFigure } from '../../../src/lib/workbench/working/figures.ts';
import { workSheet } from '../../../src/lib/workbench/working/sheet.ts';
import { ENTRY, openBench, standJar, type TestBench } from '../server/bench.ts';

const HOUR = 3_600_000;
const require = createRequire(import.meta.url);
const { create } = require('fontkit') as {
  create(bytes: Buffer): { hasGlyphForCodePoint(point: number): boolean };
};
const faces = {
  Text: create(
    readFileSync(
      require.resolve('@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff')
    )
  ),
  Signs: create(readFileSync(require.resolve('dejavu-fonts-ttf/ttf/DejaVuSans.ttf')))
};

describe('the working on paper', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await openBench()));
  afterEach(() => bench.close());

  async function sheetOf(testId: string, profile: Partial<Profile> = {}): Promise<WorkSheet | undefined> {
    const { db } = bench.store;
    const format = formatFor({ ...DEFAULT_PROFILE, ...profile }, 'Europe/Oslo');
    return workSheet((await testDetail(db, testId))!, await allBlanks(db), format);
  }
  const textOf = async (sheet: WorkSheet, paper: 'A4' | 'Letter' = 'A4') => {
    const bytes = await workPdf(sheet, paper);
    const { text } = await extractText(bytes, { mergePages: true });
    return text.replace(/\s+/g, ' ');
  };
  const words = (sheet: WorkSheet): string[] => [
    sheet.title,
    sheet.result,
    sheet.foot,
    ...sheet.facts,
    ...sheet.under,
    ...sheet.notes,
    ...sheet.tables.flatMap((table) => [...table.head, ...table.rows.flat()])
  ];

  async function cylinder(methodKey: string, readings: [number, number][], blank?: number) {
    const { testId, runId } = await standJar(bench, { methodKey, vesselId: 'cylinder-1000' });
    const start = bench.now;
    bench.now += 30 * HOUR;
    let blankId: string | null = null;
    if (blank !== undefined) {
      blankId = ulid();
      await bench.do('blank.add', { blankId, name: 'Cylinder 9' });
      await bench.do('blank.read', { blankId, readingId: ulid(), value: blank, tempC: 20 }, start + 60_000);
    }
    await bench.do('cylinder.facts', {
      testId,
      facts: { ...USUAL_FACTS, airDryG: 40, moisture: { wetG: 30.25, dryG: 30, tinG: 20 } },
      blankId
    });
    for (const [no, [seconds, value]] of readings.entries()) {
      const at = start + seconds * 1000;
      await bench.do('gauge.take', { testId, runId, gaugeId: ulid(), no, value, tempC: 20 }, at);
    }
    return testId;
  }

  it('of a cylinder has every formula in symbols and in numbers, and what comes of it', async () => {
    const testId = await cylinder(
      'hydrometer-2pt',
      [
        [40, 21],
        [6.5 * 3600, 12]
      ],
      2
    );
    await bench.do('cylinder.finish', { testId, resultId: ulid() });
    const sheet = (await sheetOf(testId))!;
    // The check values of the book.
    expect(sheet.result).to.match(/^Sandy clay loam soil: 51\s% sand, 26\s% clay, 23\s% silt$/);
    expect(sheet.under[0]).to.match(/^The class is sandy clay loam with .+ instrument/);
    expect(sheet.triangle!.svg).to.contain('clay');
    expect(sheet.figures, 'two readings make no curve').to.equal(undefined);
    const [readings, formulas] = sheet.tables;
    expect(readings.rows.map((r) => r.at(-1))).to.deep.equal(['48.7 %', '25.6 %']);
    const row = (what: string) => formulas.rows.find((r) => r[1] === what)!.slice(2);
    expect(row('Oven-dry mass')).to.deep.equal(['Mₛ = M / (1 + w/100)', '40.00 / (1 + 2.50/100)', '39.02 g']);
    expect(row('Corrected for the blank')).to.deep.equal(['R′ = R − R₀', '21.00 − 2.00', '19.00 g/L']);
    const text = await textOf(sheet);
    for (const said of ['39.02 g', '21.00 − 2.00', 'Cylinder 9', 'Sandy clay loam', '51.3 %'])
      expect(text).to.contain(said);
  });

  it('of a cylinder goes as far as its readings go', async () => {
    const none = await cylinder('hydrometer-2pt', []);
    expect(await sheetOf(none)).to.equal(undefined);
    const one = (await sheetOf(await cylinder('hydrometer-2pt', [[40, 21]])))!;
    expect(one.result).to.contain('Two readings');
    expect(one.tables[0].rows).to.have.length(1);
    expect(one.facts.join()).to.contain('no blank');
    expect(one.foot).to.contain('Not finished');
    // A blank that nobody has read corrects nothing, and is not named.
    const unread = await cylinder('hydrometer-2pt', [[40, 21]]);
    const blankId = ulid();
    await bench.do('blank.add', { blankId, name: 'Cylinder 9' });
    const { facts } = (await testDetail(bench.store.db, unread))!.cylinder!;
    await bench.do('cylinder.facts', { testId: unread, facts, blankId });
    expect((await sheetOf(unread))!.facts.join()).to.contain('no blank');
  });

  it('of a cylinder read by its graduations speaks mL from the reading to the paper', async () => {
    const { testId } = await standJar(bench, { methodKey: 'cylinder-volume', vesselId: 'cylinder-100' });
    bench.now += 24 * HOUR;
    const vessel = (await testDetail(bench.store.db, testId))!.vessel;
    const top = (ml: number) => ({ mm: heightOfVolume(vessel, ml), text: String(ml) });
    const readingId = ulid();
    await bench.do('jar.read', {
      testId,
      readingId,
      entry: { ruler: 'mL', lines: { sand: top(12), silt: top(16.5), clay: top(20) } }
    });
    await bench.do('test.finish', { testId, readingId, resultId: ulid() });
    const sheet = (await sheetOf(testId))!;
    const asRead = sheet.tables.find((table) => table.title?.startsWith('As read'))!;
    expect(asRead.rows.slice(0, 3).map((row) => row.slice(0, 3))).to.have.deep.members([
      ['Sand', '12.0 mL', '100 × 12.0 mL / 20.0 mL'],
      ['Silt', '4.5 mL', '100 × 4.5 mL / 20.0 mL'],
      ['Clay', '3.5 mL', '100 × 3.5 mL / 20.0 mL']
    ]);
    expect(await textOf(sheet)).to.contain('12.0 mL');
  });

  it('of a jar has its marks, its layers as read and the answer, in the reader’s units', async () => {
    const { testId, runId } = await standJar(bench);
    const start = bench.now;
    const marks = { sand: [60, 22], silt: [7200, 30.5], clay: [24 * 3600, 35] } as const;
    bench.now += 26 * HOUR;
    for (const [layer, [seconds, mm]] of Object.entries(marks)) {
      const markId = ulid();
      const at = start + seconds * 1000;
      await bench.do('jar.mark', { testId, runId, markId, layer: layer as keyof typeof marks }, at);
      await bench.do('mark.height', { testId, markId, height: { mm, text: String(mm) } });
    }
    expect(await sheetOf(testId)).to.equal(undefined);
    const readingId = ulid();
    await bench.do('jar.read', { testId, readingId, entry: { ...ENTRY, by: 'Signe' } });
    await bench.do('test.finish', { testId, readingId, resultId: ulid() });
    const sheet = (await sheetOf(testId))!;
    const titles = sheet.tables.map((table) => table.title);
    expect(titles[0]).to.equal('Marks on the glass');
    expect(titles.slice(1, 3)).to.deep.equal(['By mass, from all that is known', 'As read, by height']);
    expect(sheet.tables[2].rows.map((r) => r.slice(2, 4))).to.deep.equal([
      ['100 × 22.0 mm / 35.0 mm', '62.9 %'],
      ['100 × 8.5 mm / 35.0 mm', '24.3 %'],
      ['100 × 4.5 mm / 35.0 mm', '12.9 %']
    ]);
    expect(sheet.facts.join()).to.contain('Read by Signe');
    const inches = (await sheetOf(testId, { length: 'in' }))!;
    expect(inches.tables[2].rows[0][1]).to.match(/in/);
    expect(sheet.under.join()).to.contain('Heights as read: 63 · 24 · 13 %');
    expect(await textOf(sheet, 'Letter')).to.contain('100 × 22.0 mm / 35.0 mm');
  });

  it('of a five-minute bottle is one share of what settled', async () => {
    const { testId } = await standJar(bench, { methodKey: 'bottle-five-minute' });
    bench.now += HOUR;
    const readingId = ulid();
    const entry = {
      ruler: 'mm' as const,
      lines: { sand: { mm: 20, text: '20' } },
      measuredTotal: { mm: 50, text: '50' }
    };
    await bench.do('jar.read', { testId, readingId, entry });
    await bench.do('test.finish', { testId, readingId, resultId: ulid() });
    const sheet = (await sheetOf(testId))!;
    expect(sheet.result).to.match(/Sand is 40\s?%/);
    expect(sheet.under[0]).to.equal('100 × 20.0 mm / 50.0 mm = 40.0 %');
  });

  it('draws the soil where its three reading lines meet, and the curve through its points', () => {
    const soil = { sand: 40, silt: 40, clay: 20 };
    const { svg } = triangleFigure(soil, 'usda', 'loam');
    const at = frameOf(430).place(soil);
    expect(svg).to.contain(`<circle cx="${at.x}" cy="${at.y}"`);
    expect(svg.match(/stroke-dasharray/g)).to.have.length(3);
    expect(svg.match(/#dfe5f7/g), 'one class is its own').to.have.length(1);
    const points: CurvePoint[] = [
      { diameterUm: 0.2, percentFiner: 3, from: 'reading' },
      { diameterUm: 2, percentFiner: 20, from: 'reading' },
      { diameterUm: 20, percentFiner: 45, from: 'reading' },
      { diameterUm: 63, percentFiner: 62, from: 'sieve' },
      { diameterUm: 2000, percentFiner: 100, from: 'whole' }
    ];
    const curve = curveFigure(points, 'usda').svg;
    // What lies beyond the paper is left out.
    expect(curve.match(/<circle/g)).to.have.length(2);
    expect(curve.match(/<rect/g)).to.have.length(1);
    for (const drawn of [svg, curve]) {
      expect(drawn).not.to.match(/NaN|undefined|Infinity/);
      expect((drawn.match(/<text/g) ?? []).length).to.equal((drawn.match(/<\/text>/g) ?? []).length);
    }
  });

  it('has a face for each of its characters', async () => {
    const testId = await cylinder('hydrometer-curve', [
      [30, 30],
      [40, 29],
      [60, 28]
    ]);
    const signs = new Set<string>();
    const sheet = (await sheetOf(testId))!;
    for (const text of words(sheet)) {
      for (const run of inFaces(text) as { text: string; font?: 'Signs' }[]) {
        for (const char of run.text) {
          expect(faces[run.font ?? 'Text'].hasGlyphForCodePoint(char.codePointAt(0)!), char).to.equal(true);
          if (run.font) signs.add(char);
        }
      }
    }
    expect([...signs]).to.include.members(['ρ', 'ₛ', '√', 'η', '₀', 'µ']);
  });
});
