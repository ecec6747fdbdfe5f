import { expect } from 'chai';
import { tests } from '../../../demo/scenario/tests.ts';
import {
  amendmentsDocument,
  amendmentsToCsv,
  amendmentsToJson,
  holesDocument,
  holesToCsv,
  holesToJson
} from '../../../src/lib/formats/beds.ts';
import {
  judgementsDocument,
  judgementsToCsv,
  judgementsToJson
} from '../../../src/lib/formats/judgements.ts';
import { toFrames } from '../../../src/lib/contract/film.ts';
import { findTroubles, pointsApart, readFilm } from '../../../src/lib/core/index.ts';
import { filmsOf } from '../../../src/lib/server/repositories/films.ts';
import { photosOf } from '../../../src/lib/server/repositories/photos.ts';
import { seedDemo } from '../../../demo/seed.ts';
import { amendmentsOf } from '../../../src/lib/server/repositories/amendments.ts';
import { USUAL_FIGURES } from '../../../src/lib/core/index.ts';
import { trialsDocument, trialsToJson } from '../../../src/lib/formats/trials.ts';
import { allFolders } from '../../../src/lib/server/repositories/folders.ts';
import { trialsOf } from '../../../src/lib/server/repositories/trials.ts';
import { byPress } from '../../../src/lib/workbench/press.ts';
import { viewTrial } from '../../../src/lib/workbench/trials.ts';
import { keptLine } from '../../../src/lib/words/verdict.ts';
import { holesOf } from '../../../src/lib/server/repositories/holes.ts';
import { judgementsOf } from '../../../src/lib/server/repositories/judgements.ts';
import { sharesAlone } from '../../../src/lib/server/repositories/points.ts';
import { logLines } from '../../../src/lib/server/repositories/log.ts';
import { allSites, siteDetail } from '../../../src/lib/server/repositories/sites.ts';
import { testDetail } from '../../../src/lib/server/repositories/tests.ts';
import { troubleFacts } from '../../../src/lib/workbench/troubles.ts';
import { jarSnapshot, openBench, START, type TestBench } from './bench.ts';

describe('the demo scenario', () => {
  let bench: TestBench;
  before(async () => {
    bench = await openBench();
    await seedDemo(bench.store, START);
  });
  after(() => bench.close());

  it('holds a site of six areas, whose samples bear their letters and know their spots', async () => {
    const [site] = await allSites(bench.store.db);
    const { areas, name } = (await siteDetail(bench.store.db, site.id))!;
    expect(name).to.equal('Skarn Holm');
    expect(areas.map((a) => a.code)).to.deep.equal(['N', 'S', 'T', 'L', 'P', 'PH']);
    for (const area of areas)
      for (const sample of area.samples) expect(sample.code).to.match(new RegExp(`^${area.code}\\d`));
    const peat = areas.at(-1)!;
    expect(peat.spots.filter((s) => s.takenAt !== null)).to.have.length(2);
  });

  it('has a kept plan, jars at every stage, and results that carry their answer', async () => {
    const lines = await logLines(bench.store, 'kept');
    expect(new Set(lines.map((l) => l.status))).to.deep.equal(new Set(['ready', 'running', 'finished']));
    const details = await Promise.all(lines.map(async (l) => (await testDetail(bench.store.db, l.id))!));
    expect(details.filter((d) => d.status === 'ready' && d.plannedAt !== null)).to.have.length(1);
    // A bottle reads its sand alone: it has no answer.
    const finished = details.filter(
      (one) => one.status === 'finished' && !one.cylinder && one.methodKey !== 'bottle-five-minute'
    );
    const cylinders = details.filter((one) => one.cylinder);
    expect(cylinders.map((c) => [c.methodKey, c.status]).sort()).to.deep.equal([
      ['hydrometer-2pt', 'finished'],
      ['hydrometer-curve', 'finished'],
      ['hydrometer-curve', 'running'],
      ['pipette', 'finished']
    ]);
    for (const d of finished)
      expect(jarSnapshot(d.results[0].snapshot).answer, d.code).to.include({ settled: true });
  });

  it('has healthy jars, in which no rule finds trouble, and six that are each in one of their own', async () => {
    const lines = await logLines(bench.store, 'kept');
    const troubled: string[] = [];
    for (const line of lines) {
      const detail = (await testDetail(bench.store.db, line.id))!;
      const last = detail.readings.at(-1);
      const facts = troubleFacts(detail, last?.entry, last?.at);
      const ids = facts ? findTroubles(facts).map((t) => t.id) : [];
      expect(ids.length, `${detail.code} by ${detail.methodKey}: ${ids.join()}`).to.be.at.most(1);
      troubled.push(...ids);
    }
    expect(troubled.sort()).to.eql(tests.flatMap((t) => t.trouble ?? []).sort());
    expect(troubled).to.have.length(6);
  });

  it('has pictures of the bench camera of four jars, and a film that reads its own', async () => {
    const lines = await logLines(bench.store, 'kept');
    const photos = await photosOf(
      bench.store.db,
      'test',
      lines.map((l) => l.id)
    );
    expect(photos).to.have.length(4);
    const films = (await Promise.all(lines.map((l) => filmsOf(bench.store.db, l.id)))).flat();
    expect(films).to.have.length(1);
    const detail = (await testDetail(bench.store.db, films[0].testId))!;
    const { fromMm, rowMm } = films[0].strip;
    const frames = toFrames(films[0].frames, detail.runs[0].setDownAt);
    const read = readFilm({
      film: { fromMm, rowMm, frames },
      jar: { columnMm: detail.waterMm, tempC: detail.tempC },
      waterMm: detail.waterMm,
      loadKgM2: 50
    });
    expect(pointsApart(read.estimate!.fractions, { sand: 62, silt: 24, clay: 14 })).to.be.below(6);
  });

  it('has verdicts, holes and amendments that go out by their schemas, a bottle with its sand alone', async () => {
    const { db } = bench.store;
    const judgements = await judgementsOf(db);
    const { holes } = await holesOf(db, { all: true });
    const amendments = await amendmentsOf(db);
    const json = judgementsDocument.parse(judgementsToJson(judgements));
    expect(json.judgements.map((j) => j.ask)).to.eql(['bore', 'bed', 'wall', 'wall', 'bed', 'bed', 'wall']);
    const bottle = json.judgements[0];
    expect(bottle).to.deep.include({ basis: 'bottle', linePct: 30, profile: null, ribbonMm: null });
    expect(bottle.figures).to.eql({ id: 'usual', version: 1, name: 'the usual figures' });
    expect(bottle.soil).to.include({ silt: null, clay: null });
    expect(bottle.verdict).to.match(/^Sandy ground/);
    expect((await sharesAlone(bench.store, { layer: 'sand' })).map((b) => b.code)).to.eql([
      'P2',
      'P3',
      'P4',
      'P5'
    ]);
    // The verdict stands in the log, with its test.
    const line = (await logLines(bench.store, 'kept')).find((l) => l.code === bottle.code);
    expect(line?.act?.line).to.equal(bottle.verdict);
    const drained = holesDocument.parse(holesToJson(holes, START)).holes;
    expect(drained.map((h) => [h.code, h.class, h.atMost, h.soakedAt !== null])).to.eql([
      ['Nh1', 'very-quick', false, true],
      ['Sh1', 'slow', true, true],
      ['Sh2', 'slow', false, false],
      ['PHh1', 'well', false, true]
    ]);
    expect(amendmentsDocument.parse(amendmentsToJson(amendments)).amendments).to.have.length(3);
    const lines = (csv: string) => csv.trim().split('\r\n').length - 1;
    expect(lines(judgementsToCsv(judgements))).to.equal(7);
    expect(lines(holesToCsv(holes, START))).to.equal(1 + 1 + 3 + 3);
    expect(lines(amendmentsToCsv(amendments))).to.equal(3);
    expect(holesToCsv([], START).trim().split(',')).to.include('ground_mm_h');
  });

  it('has a soil that is right for a wall, one too fat that a blend mends, one too silty that none does', async () => {
    const walls = (await judgementsOf(bench.store.db)).flatMap(({ code, kept }) =>
      kept.ask === 'wall' ? [{ code, kept }] : []
    );
    const of = (code: string) => walls.find((one) => one.code === code)!.kept;
    expect(keptLine(of('D1'))).to.match(/^Meets all three windows of pressed blocks/);
    expect(keptLine(of('L1'))).to.match(/sand and gravel\.$/);
    expect(of('L1').blend!.said.chance).to.be.greaterThan(0.5);
    expect(of('C1c').noBlend?.blocks).to.include('clayToSilt');
  });

  it('has two sets of blocks of which one fails wet, pieces for the oven, and a folder that gathers them', async () => {
    const { trials } = await trialsOf(bench.store.db, { all: true });
    const views = trials.map((one) => viewTrial(one, USUAL_FIGURES, START));
    expect(trialsDocument.parse(trialsToJson(views)).trials).to.have.length(7);
    expect(views.map(({ trial, tells }) => [trial.code, tells.says?.kind])).to.eql([
      ['T1t1', 'binds'],
      ['T1t2', 'shrinks-little'],
      ['T1t3', 'weak-wet'],
      ['T1t4', 'stabilised'],
      ['L1t1', 'whole'],
      ['L1t2', 'cracks'],
      ['L1t3', undefined]
    ]);
    expect(byPress(views).map(({ step }) => step)).to.deep.include({
      key: 'damp-3',
      kind: 'damp',
      state: 'waiting',
      dueAt: views[6].trial.formedAt! + 3 * 86_400_000
    });
    const [folder] = await allFolders(bench.store.db);
    expect(folder.items.map((item) => item.theirs)).to.eql(['H-1', 'H-2', 'H-3', 'H-4']);
  });
});
