import { expect } from 'chai';
import { ulid } from 'ulid';
import {
  isShare,
  judgeReading,
  judgeTechnique,
  sharesRead,
  STANDARD_VESSELS,
  TECHNIQUES,
  type LineName,
  type Fractions,
  type JarResult
} from '../../../src/lib/core/index.ts';
import { metEstimate } from '../../../src/lib/contract/met.ts';
import { toEstimate } from '../../../src/lib/contract/evidence.ts';
import { toJarReading } from '../../../src/lib/contract/reading.ts';
import type { ReadingEntry } from '../../../src/lib/contract/records/reading.ts';
import { isJarSnapshot } from '../../../src/lib/contract/records/result.ts';
import { resultsToJson } from '../../../src/lib/formats/api-json.ts';
import { testToCsv } from '../../../src/lib/formats/csv.ts';
import { workThrough } from '../../../src/lib/formats/table/look.ts';
import { logDocument, testDocument } from '../../../src/lib/formats/json-schema.ts';
import { judgementsToJson } from '../../../src/lib/formats/judgements.ts';
import { logToJson, testToJson } from '../../../src/lib/formats/json.ts';
import { knownSoil } from '../../../src/lib/server/kept.ts';
import { linesOfSample, logLines } from '../../../src/lib/server/repositories/log.ts';
import { judgementsOf } from '../../../src/lib/server/repositories/judgements.ts';
import { knowPoints, sharesAlone } from '../../../src/lib/server/repositories/points.ts';
import { testDetail } from '../../../src/lib/server/repositories/tests.ts';
import { reportOf } from '../../../src/lib/server/reports.ts';
import { blankSheet, readSheet } from '../../../src/lib/ui/paper/sheet.ts';
import { wallText } from '../../../src/lib/ui/fields/time.ts';
import { readEntry } from '../../../src/lib/workbench/entry/read-entry.ts';
import { rewritten } from '../../../src/lib/workbench/entry/rewrite.ts';
import { rulerFor } from '../../../src/lib/workbench/entry/scale.ts';
import {
  blankTexts,
  mergeTexts,
  startTexts,
  type KeptTexts
} from '../../../src/lib/workbench/entry/texts.ts';
import { judgedBy } from '../../../src/lib/workbench/judged-by.ts';
import { findingOf, resultOf } from '../../../src/lib/workbench/result.ts';
import { DEFAULT_PROFILE } from '../../../src/lib/words/profile.ts';
import { resultHeadline, wholeShares } from '../../../src/lib/words/headline.ts';
import { openBench, prepareJar, type TestBench } from './bench.ts';

const vessel = (id: string) => STANDARD_VESSELS.find((v) => v.id === id)!;
const lines = (typed: Partial<Record<LineName, string>>) => typed as Record<LineName, string>;

type Unit = 'mm' | 'cm' | 'in';
const UNITS: Unit[] = ['mm', 'cm', 'in'];
type Way = {
  name: string;
  texts: KeptTexts;
  unit?: Unit;
  glass?: 'cylinder-100';
  says: Fractions | { clay: number } | { sand: number };
};

/** Every way in which a reading is entered, each in a unit of its own, and what it says in shares of the deposit. */
const WAYS: Way[] = [
  {
    name: 'heights in mm',
    texts: { lines: lines({ sand: '20', silt: '35', clay: '40' }), water: 'hazy' },
    says: { sand: 50, silt: 37.5, clay: 12.5 }
  },
  {
    name: 'heights in cm',
    unit: 'cm',
    texts: { lines: lines({ sand: '2', silt: '3,5', clay: '4' }), water: 'hazy' },
    says: { sand: 50, silt: 37.5, clay: 12.5 }
  },
  {
    name: 'thicknesses in sixteenths',
    unit: 'in',
    texts: { way: 'thicknesses', lines: lines({ sand: '1 1/4', silt: '5/8', clay: '1/8' }), water: 'hazy' },
    says: { sand: 62.5, silt: 31.25, clay: 6.25 }
  },
  {
    name: 'two thicknesses and the whole',
    texts: { way: 'thicknesses', lines: lines({ sand: '50', clay: '15' }), total: '100', water: 'clear' },
    says: { sand: 50, silt: 35, clay: 15 }
  },
  {
    name: 'a ruler on the table',
    texts: { zero: 'table', lines: lines({ sand: '25', silt: '40', clay: '45' }), water: 'hazy' },
    says: { sand: 50, silt: 37.5, clay: 12.5 }
  },
  {
    name: 'graduations in mL',
    glass: 'cylinder-100',
    texts: { ruler: 'mL', lines: lines({ sand: '8', silt: '14', clay: '16' }), water: 'hazy' },
    says: { sand: 50, silt: 37.5, clay: 12.5 }
  },
  {
    name: 'shares by eye',
    texts: { way: 'eye', shares: { sand: '70', silt: '27', clay: '3' }, water: 'hazy' },
    says: { sand: 70, silt: 27, clay: 3 }
  },
  {
    name: 'shares in words',
    texts: { way: 'eye', shares: { sand: 'about half', silt: 'a quarter', clay: '' } },
    says: { sand: 50, silt: 25, clay: 25 }
  },
  {
    name: 'somebody’s numbers',
    texts: { way: 'others', shares: { sand: '33', silt: '53', clay: '14' }, by: 'a neighbour' },
    says: { sand: 33, silt: 53, clay: 14 }
  },
  {
    name: 'one share of clay',
    texts: { way: 'eye', shares: { sand: '', silt: '', clay: '1/4' } },
    says: { clay: 25 }
  },
  {
    name: 'one line and the whole',
    texts: { lines: lines({ sand: '63.5' }), total: '136.5' },
    says: { sand: (100 * 63.5) / 136.5 }
  },
  {
    name: 'lines of a picture',
    texts: {
      lines: lines({ sand: '22.3', silt: '30.5', clay: '35' }),
      sigmas: lines({ sand: '0.42 mm' }),
      exact: [{ field: 'sand', text: '22.3', mm: 22.2615 }],
      photoFileId: 'p',
      water: 'cloudy'
    },
    says: { sand: (100 * 22.2615) / 35, silt: (100 * (30.5 - 22.2615)) / 35, clay: (100 * 4.5) / 35 }
  }
];

const sharesOf = (result: JarResult): Partial<Fractions> =>
  isShare(result) ? { [result.layer]: result.pct } : result.fractions;

function near(found: Partial<Fractions> | null, said: Way['says'], where: string, points = 1e-6) {
  for (const [layer, pct] of Object.entries(said))
    expect(found?.[layer as 'sand'], `${where}: ${layer}`).to.be.closeTo(pct, points);
}

describe('what is entered arrives unchanged', () => {
  let bench: TestBench;
  before(async () => (bench = await openBench()));
  after(() => bench.close());

  /** What is typed on a page under a unit of the profile, on a glass. */
  const typed = (way: Way, unit: Unit = way.unit ?? 'mm') =>
    mergeTexts(blankTexts(way.texts.ruler ?? rulerFor(unit), unit), way.texts);

  for (const way of WAYS)
    it(`${way.name}: on every page, paper and file, through units, a reload, a correction and finishing`, async () => {
      const glass = { vessel: vessel(way.glass ?? 'jar-litre'), waterMm: 0 };
      glass.waterMm = glass.vessel.shoulderHeightMm;
      const texts = typed(way);
      const typing = readEntry(texts, glass);
      expect(typing.problem, 'it can be kept').to.equal(undefined);
      const entry = typing.entry!;
      near(sharesOf(judgeReading(typing.reading!, 'usda').result), way.says, 'while it is typed');
      // A reload takes the draft up; the profile may be another by then.
      for (const unit of UNITS) {
        const draft = JSON.parse(JSON.stringify(texts)) as KeptTexts;
        const reloaded = readEntry(mergeTexts(blankTexts(rulerFor(unit), unit), draft), glass);
        expect(reloaded.entry, `a draft under ${unit}`).to.deep.equal(entry);
      }

      const ids = { testId: ulid(), runId: ulid(), readingId: ulid(), sampleId: ulid() };
      await bench.do('jar.stood', { ...ids, stood: 'days', vesselId: way.glass ?? 'jar-litre', entry });
      const { db } = bench.store;
      const detail = async () => (await testDetail(db, ids.testId))!;
      const kept = (await detail()).readings[0].entry;
      expect(kept, 'kept as it was made').to.deep.equal(entry);

      // Opened again it stands as it was typed, whatever the unit of today; nothing that is looked at changes it.
      for (const unit of UNITS) {
        const test = await detail();
        const again = startTexts(test, unit);
        expect(readEntry(again, test).entry, `opened under ${unit}`).to.deep.equal(entry);
        let turned = again;
        for (const to of [
          { ruler: 'sixteenths' },
          { way: 'thicknesses' },
          { zero: 'inside' },
          { way: 'heights' },
          { ruler: again.ruler, zero: again.zero },
          { way: again.way }
        ] as const)
          turned = rewritten(turned, to, test);
        const came = readEntry(turned, test);
        near(
          sharesOf(judgeReading(came.reading!, 'usda').result),
          way.says,
          `turned about under ${unit}`,
          1e-5
        );
        expect(came.entry!.figures).to.equal(entry.figures);
      }
      // The answer on the page of the jar that stands, and on that of the kept one: from the same evidence.
      const read = await detail();
      const stands = metEstimate(entry, { vessel: read.vessel, vesselKnown: true, stood: 'days' });
      const page = toEstimate(read, read.run, kept, read.readings[0].at);
      expect(page, 'evidence').to.deep.equal(stands);

      // A correction that corrects nothing.
      const corrected = {
        testId: ids.testId,
        readingId: ulid(),
        entry: readEntry(startTexts(read, 'in'), read).entry as ReadingEntry
      };
      await bench.do('jar.read', corrected);
      expect((await detail()).readings[1].entry).to.deep.equal(entry);
      await bench.do('test.finish', { testId: ids.testId, readingId: corrected.readingId, resultId: ulid() });

      // Finished: every page, paper and file.
      const test = await detail();
      const inForce = resultOf(test)!;
      if (!isJarSnapshot(inForce.snapshot)) throw new Error('No jar.');
      expect(inForce.snapshot.entry).to.deep.equal(entry);
      near(sharesOf(inForce.snapshot.result), way.says, 'the result');
      const answer = inForce.snapshot.answer;
      expect(answer === undefined, 'an answer where there is evidence').to.equal(page === undefined);
      const [line] = await linesOfSample(bench.store, ids.sampleId);
      const all = await logLines(bench.store, 'kept');
      expect(
        all.find((one) => one.id === ids.testId),
        'log and sample'
      ).to.deep.include({ sand: line.sand, clay: line.clay });
      near(line.read ?? (line as Fractions), way.says, 'the log');
      if (answer) near(line as Fractions, answer.fractions, 'the answer in the log');
      const json = testToJson(test, bench.now).test;
      expect(json.readings[1].entry).to.deep.equal(entry);
      expect([json.drySoilMm, json.waterTempC, json.runs[0].setDownAt], 'nobody measured it').to.deep.equal([
        null,
        null,
        null
      ]);
      const logged = logToJson([line], bench.now).tests[0];
      expect(logged.setDownAt).to.equal(null);
      const csv = testToCsv(test);
      expect(csv).to.contain('stood already').and.not.contain('set down,');
      if (entry.figures) expect(csv, 'shares are no heights').to.not.contain('layer top');
      const one = way.says as Fractions;
      if (one.silt !== undefined) {
        near(logged.fractions, one, 'the log as JSON');
        const finding = findingOf(inForce.snapshot);
        if (finding.kind === 'share') throw new Error('It has three shares.');
        near(finding.read ?? finding.fractions, one, 'side by side with others');
        if (answer) near(finding.fractions, answer.fractions, 'the answer side by side');
        const [point] = await knowPoints(bench.store, { testIds: [ids.testId] });
        near(point.read ?? point.fractions, one, 'the triangle');
        near(resultsToJson([point]).results[0].fractions, one, 'the API');
        if (answer) near(point.fractions, answer.fractions, 'the answer on the triangle');
      }
      const known = await knownSoil(db, test.sample);
      const judged = judgedBy(known, test.id)!;
      if (answer) near(judged.soil!.fractions, answer.fractions, 'Act');
      else if (one.silt !== undefined) near(judged.soil!.fractions, one, 'Act');
      else {
        const [[layer, pct]] = Object.entries(way.says);
        expect(judged.wall!.only?.layer, 'Act has the share').to.equal(layer);
        expect(judged.wall!.only?.pct).to.be.closeTo(pct, 1e-6);
        if (layer === 'sand') expect(wholeShares(judged.bore!.fractions).sand).to.equal(Math.round(pct));
      }
      const report = await reportOf(bench.store, 'sample', ids.sampleId, {
        profile: { ...DEFAULT_PROFILE, length: 'in' },
        zone: 'UTC',
        now: bench.now
      });
      const cells = report!.parts.flatMap((part) => part.table?.rows ?? []).flat();
      const shown = answer?.fractions ?? one;
      const whole =
        shown.silt === undefined ? Object.values(shown).map(Math.round) : Object.values(wholeShares(shown));
      for (const pct of whole) expect(cells, 'the report').to.include(`${pct} %`);
      const paper = await reportOf(bench.store, 'test', ids.testId, {
        profile: DEFAULT_PROFILE,
        zone: 'UTC',
        now: bench.now
      });
      expect(JSON.stringify(paper), 'the working').to.not.contain('set down Mon');
      expect(JSON.stringify(paper)).to.contain('stood some days when it was met');
      expect(sharesOf(sharesRead(toJarReading(entry, test)) as JarResult)).to.deep.equal(
        sharesOf(inForce.snapshot.result)
      );
    });

  it('no line, clay up to the top: kept, finished, judged and told as over half clay, and never as a figure', async () => {
    const glass = { vessel: vessel('jar-litre'), waterMm: vessel('jar-litre').shoulderHeightMm };
    const texts = mergeTexts(blankTexts('mm', 'mm'), { way: 'smeared', water: 'cloudy' });
    const { entry, problem } = readEntry(texts, glass);
    expect(problem).to.equal(undefined);
    const ids = { testId: ulid(), runId: ulid(), readingId: ulid(), sampleId: ulid() };
    await bench.do('jar.stood', { ...ids, stood: 'days', vesselId: 'jar-litre', entry: entry! });
    const detail = async () => (await testDetail(bench.store.db, ids.testId))!;
    const standing = await detail();
    expect(standing.readings[0].entry).to.deep.equal(entry);
    expect(readEntry(startTexts(standing, 'in'), standing).entry).to.deep.equal(entry);
    // By heights again there is no figure that nobody typed.
    const byHeights = rewritten(startTexts(standing, 'mm'), { way: 'heights' }, standing);
    expect(Object.values(byHeights.lines).join('') + Object.values(byHeights.shares).join('')).to.equal('');
    const finish = { testId: ids.testId, readingId: ids.readingId, resultId: ulid() };
    await bench.do('test.finish', finish);
    const test = await detail();
    const kept = resultOf(test)!;
    if (!isJarSnapshot(kept.snapshot) || !isShare(kept.snapshot.result)) throw new Error('It is a share.');
    expect(kept.snapshot.answer).to.equal(undefined);
    expect(resultHeadline(kept.snapshot.result).replaceAll('\u00a0', ' ')).to.equal(
      'Clay: over 50 %, no line was seen'
    );
    const [line] = await linesOfSample(bench.store, ids.sampleId);
    expect(line).to.include({ sand: null, silt: null, clay: null, clayOver: 50, class: null });
    const log = logDocument.parse(JSON.parse(JSON.stringify(logToJson([line], bench.now))));
    expect(log.tests[0].share).to.deep.equal({ layer: 'clay', pct: 50, orMore: true });
    const alone = await sharesAlone(bench.store, { sampleIds: [ids.sampleId] });
    expect(alone.map(({ id, layer }) => [id, layer])).to.deep.equal([[ids.testId, 'clay']]);
    for (const saved of [log, testToJson(test, bench.now)]) {
      const bytes = new TextEncoder().encode(JSON.stringify(saved));
      const usual = { today: '2026-05-04', areas: [], methods: [] };
      const [row] = [...workThrough({ bytes, usual: 'mm', ...usual })];
      expect(row.entry?.figures, 'a document that comes in again').to.equal('smeared');
    }
    const [result] = testDocument.parse(JSON.parse(JSON.stringify(testToJson(test, bench.now)))).test.results;
    expect(result.share).to.deep.equal({ layer: 'clay', pct: 50, orMore: true });
    expect(testToCsv(test)).to.contain('"share by height, over"');
    const judged = judgedBy(await knownSoil(bench.store.db, test.sample), test.id)!;
    // Every window that asks for little clay refuses it; a bed and a bore are not judged by it.
    for (const technique of TECHNIQUES) {
      const said = judgeTechnique(technique, judged.wall!);
      const clay = technique.windows.some((w) => w.of === 'clay' && (w.most ?? 100) < 50);
      if (clay) expect(said?.chance, technique.id).to.equal(0);
    }
    expect([judged.soil, judged.bore]).to.deep.equal([undefined, undefined]);
    // A verdict that is kept of it is refused by that sign, and holds no figure of clay.
    const keep = { judgementId: ulid(), testId: ids.testId, ask: 'wall' as const, query: '' };
    await bench.do('judgement.keep', { ...keep, wall: {} });
    const [judgement] = judgementsToJson(
      await judgementsOf(bench.store.db, { id: keep.judgementId })
    ).judgements;
    expect(judgement.soil).to.deep.equal({ sand: null, silt: null, clay: null, clayOver: 50 });
    expect(judgement.verdict).to.match(/over half of it is clay/);
    const by = { profile: DEFAULT_PROFILE, zone: 'UTC', now: bench.now };
    const report = await reportOf(bench.store, 'sample', ids.sampleId, by);
    expect(JSON.stringify(report)).to.contain('> 50 %');
    const paper = JSON.stringify(await reportOf(bench.store, 'test', ids.testId, by)).replaceAll(
      '\u00a0',
      ' '
    );
    expect(paper).to.contain('over 50 %, no line was seen').and.not.contain('Standard error');
  });

  it('a layer that was not read is no layer of nothing: without a whole there are no shares', async () => {
    const glass = { vessel: vessel('jar-litre'), waterMm: vessel('jar-litre').shoulderHeightMm };
    const said = (texts: KeptTexts) => {
      const { reading, problem } = readEntry(mergeTexts(blankTexts('mm', 'mm'), texts), glass);
      return reading ? sharesOf(judgeReading(reading, 'usda').result) : problem;
    };
    const two = lines({ sand: '20', silt: '35' });
    const unread = { clay: 'not-read' } as KeptTexts['unplaced'];
    expect(said({ lines: two, unplaced: unread })).to.match(/Without the top of the clay/);
    expect(said({ lines: two, unplaced: unread, total: '40' })).to.deep.equal({
      sand: 50,
      silt: 37.5,
      clay: 12.5
    });
    const none = { silt: 'none', clay: 'none' } as KeptTexts['unplaced'];
    expect(said({ lines: lines({ sand: '20' }), unplaced: none })).to.deep.equal({
      sand: 100,
      silt: 0,
      clay: 0
    });
    // A program is told the same, and has to say what the page would ask.
    const line = (mm: number) => ({ mm, text: '' });
    const stand = (entry: object) =>
      bench.do('jar.stood', {
        ...{ testId: ulid(), runId: ulid(), readingId: ulid(), sampleId: ulid() },
        stood: 'days',
        vesselId: 'jar-litre',
        entry: { ruler: 'mm', ...entry } as ReadingEntry
      });
    const refused = async (entry: object) =>
      stand(entry).then(
        () => 'kept',
        (problem: Error) => problem.message
      );
    expect(await refused({ lines: { sand: line(20) } })).to.match(/top of the silt was not placed/);
    const half = { lines: { sand: line(20), silt: line(35) }, unplaced: unread };
    expect(await refused(half)).to.match(/Without the top of the clay/);
    expect(await refused({ ...half, measuredTotal: line(40) })).to.equal('kept');
    expect(await refused({ lines: { sand: line(20) }, measuredTotal: line(40) })).to.equal('kept');
  });

  it('marks of a field sheet stand in the reading as they were written, under every unit, to the last digit', async () => {
    for (const [length, texts] of [
      ['in', { sand: '7/8', silt: '1 3/16', clay: '1 3/8' }],
      ['cm', { sand: '2,2', silt: '3', clay: '3.5 cm' }],
      ['mm', { sand: '22', silt: '30 mm', clay: '1.4 in' }]
    ] as const) {
      const runId = ulid();
      const { testId } = await prepareJar(bench);
      const prepared = (await testDetail(bench.store.db, testId))!;
      const setDownAt = bench.now;
      const sheet = readSheet(
        {
          ...blankSheet(),
          setDown: wallText(setDownAt),
          after: { sand: '61 s', silt: '2 h', clay: '26 h' },
          height: texts
        },
        { method: prepared.method, length, temperature: 'C', tempC: 18, now: setDownAt + 1e9 }
      );
      expect(sheet.errors).to.deep.equal({});
      await bench.do('jar.set-down', { testId, runId });
      for (const { mark, afterS, height } of sheet.marks) {
        const markId = ulid();
        bench.now = setDownAt + afterS! * 1000;
        await bench.do('jar.mark', { testId, runId, markId, layer: mark.layer as 'sand' });
        await bench.do('mark.height', { testId, markId, height: height! });
      }
      const test = (await testDetail(bench.store.db, testId))!;
      for (const unit of UNITS) {
        const { entry } = readEntry(startTexts(test, unit), test);
        for (const { mark, height, afterS } of sheet.marks)
          expect(entry!.lines[mark.layer as 'sand'], `${length} under ${unit}`).to.deep.include({
            mm: height!.mm,
            markS: afterS
          });
      }
      const rows = testToCsv(test);
      for (const text of Object.values(texts)) expect(rows, length).to.contain(text.replaceAll('"', '""'));
    }
  });

  it('a row of a table, and what a program sends, say in the log, the files and Act what they said there', async () => {
    const table = 'Name,Sand (cm),Silt (cm),Clay (cm)\nTable bed,2,1.5,0.5\n';
    const [row] = [
      ...workThrough({
        bytes: new TextEncoder().encode(table),
        usual: 'in',
        today: '2026-05-04',
        areas: [],
        methods: []
      })
    ];
    const numbers: ReadingEntry = {
      ruler: 'mm',
      lines: { sand: { mm: 20, text: '' }, silt: { mm: 35, text: '' }, clay: { mm: 40, text: '' } }
    };
    const said = { sand: 50, silt: 37.5, clay: 12.5 };
    for (const [name, entry] of [
      ['a row', row.entry],
      ['a program', numbers]
    ] as const) {
      const ids = { testId: ulid(), runId: ulid(), readingId: ulid(), sampleId: ulid() };
      await bench.do('jar.stood', { ...ids, stood: 'unknown', vesselId: null, entry });
      await bench.do('test.finish', { testId: ids.testId, readingId: ids.readingId, resultId: ulid() });
      const test = (await testDetail(bench.store.db, ids.testId))!;
      for (const unit of UNITS)
        near(
          sharesOf(judgeReading(readEntry(startTexts(test, unit), test).reading!, 'usda').result),
          said,
          `${name} opened under ${unit}`
        );
      const [line] = await linesOfSample(bench.store, ids.sampleId);
      near(line.read ?? (line as Fractions), said, `${name} in the log`);
      const json = testToJson(test, bench.now).test;
      near(json.results[0].fractions, said, `${name} as JSON`);
      const [point] = await knowPoints(bench.store, { testIds: [ids.testId] });
      near(point.read ?? point.fractions, said, `${name} on the triangle`);
      const answer = json.results[0].answer?.fractions;
      const judged = judgedBy(await knownSoil(bench.store.db, test.sample), test.id)!;
      near(judged.soil!.fractions, answer ?? said, `${name} in Act`);
    }
  });
});
