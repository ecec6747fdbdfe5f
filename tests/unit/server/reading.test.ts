import { expect } from 'chai';
import { ulid } from 'ulid';
import { encodeColours } from '../../../src/lib/contract/film.ts';
import type { PayloadInput } from '../../../src/lib/contract/commands.ts';
import { isShare, levelOf, volumeToHeight, type TextureResult } from '../../../src/lib/core/index.ts';
import { filmsOf } from '../../../src/lib/server/repositories/films.ts';
import { labPairs } from '../../../src/lib/server/repositories/lab.ts';
import { logLines } from '../../../src/lib/server/repositories/log.ts';
import { testDetail } from '../../../src/lib/server/repositories/tests.ts';
import { allVessels } from '../../../src/lib/server/repositories/vessels.ts';
import { ENTRY, jarSnapshot, openBench, standJar, type TestBench, STRIP } from './bench.ts';

type Entry = PayloadInput<'jar.read'>['entry'];
const HOUR = 3_600_000;

describe('readings on the server', () => {
  let bench: TestBench;
  beforeEach(async () => {
    bench = await openBench();
  });
  afterEach(() => bench.close());

  const fields = (work: Promise<unknown>) =>
    work.then(
      () => ({}) as Record<string, string>,
      (p: { fields: Record<string, string> }) => p.fields
    );

  async function finish(testId: string, entry: Entry): Promise<TextureResult> {
    bench.now += 26 * HOUR;
    const readingId = ulid();
    await bench.do('jar.read', { testId, readingId, entry });
    await bench.do('test.finish', { testId, readingId, resultId: ulid() });
    const { result } = jarSnapshot((await testDetail(bench.store.db, testId))!.results[0].snapshot);
    if (isShare(result)) throw new Error('a share was read');
    return result;
  }

  const cup = {
    name: 'Tapered tumbler',
    kind: 'jar' as const,
    innerHeightMm: 1,
    innerDiameterMm: 1,
    baseThicknessMm: 4,
    shoulderHeightMm: 1,
    mouthDiameterMm: 1,
    domeMm: 3,
    profile: [
      { heightMm: 150, diameterMm: 90 },
      { heightMm: 0, diameterMm: 60 }
    ],
    graduationMl: 50
  };

  describe('a vessel that is not straight', () => {
    it('is kept by its profile; the other measures follow from it', async () => {
      await bench.do('vessel.add', { vesselId: ulid(), ...cup });
      const kept = (await allVessels(bench.store.db)).find((v) => v.name === cup.name)!;
      expect(kept).to.include({ innerHeightMm: 150, innerDiameterMm: 90, mouthDiameterMm: 90, domeMm: 3 });
      expect(kept).to.include({ shoulderHeightMm: 150, graduationMl: 50 });
      expect(kept.profile![0]).to.eql({ heightMm: 0, diameterMm: 60 });
    });

    it('is refused beside the field', async () => {
      const add = (o: object) => fields(bench.do('vessel.add', { vesselId: ulid(), ...cup, ...o }));
      expect(await add({ domeMm: 60 })).to.have.property('domeMm');
      expect(await add({ graduationMl: 0 })).to.have.property('graduationMl');
      expect(await add({ profile: [{ heightMm: 0, diameterMm: 60 }] })).to.have.property('profile');
      const twice = [...cup.profile, { heightMm: 150.2, diameterMm: 91 }];
      expect((await add({ profile: twice })).profile).to.match(/Two diameters/);
    });

    it('has its heights read as volumes, in the result, the log and the answer', async () => {
      const vesselId = ulid();
      await bench.do('vessel.add', { vesselId, ...cup });
      const { testId } = await standJar(bench, { vesselId, soilMm: 40, waterMm: 130 });
      const lines = ENTRY.lines;
      const result = await finish(testId, { ...ENTRY, water: 'clear' });
      const vessel = (await allVessels(bench.store.db)).find((v) => v.id === vesselId)!;
      const ml = (mm: number) => volumeToHeight(vessel, mm);
      const whole = ml(lines.clay!.mm);
      expect(result.fractions.sand).to.be.closeTo((100 * ml(lines.sand!.mm)) / whole, 1e-6);
      expect(result.fractions.clay).to.be.closeTo(100 - (100 * ml(lines.silt!.mm)) / whole, 1e-6);
      expect(result.mlPerMm).to.be.closeTo(levelOf(vessel, 130).mlPerMm, 1e-9);
      expect(result.totalMm * result.mlPerMm!).to.be.closeTo(whole, 1e-6);
      const [line] = await logLines(bench.store, 'kept');
      expect(line.read!.sand).to.be.closeTo(result.fractions.sand, 1e-9);
      const { answer } = jarSnapshot((await testDetail(bench.store.db, testId))!.results[0].snapshot);
      const bands = answer!.strands.map((s) => s.evidence).find((e) => e.kind === 'bands')!;
      expect(bands).to.have.property('sandTopMm').closeTo(result.layers.sandMm, 1e-9);
      expect(bands).to.have.property('clayTopMm').closeTo(result.totalMm, 1e-9);
    });
  });

  describe('further lines', () => {
    const line = (mm: number) => ({ mm, text: String(mm) });

    it('of coarse sand, settled organics and the water are kept, and move no share', async () => {
      const { testId } = await standJar(bench);
      const more = { coarse: line(6), skin: line(ENTRY.lines.clay!.mm + 2), surface: line(120) };
      const plain = await finish((await standJar(bench)).testId, ENTRY);
      const result = await finish(testId, { ...ENTRY, lines: { ...ENTRY.lines, ...more } });
      expect(result.fractions).to.eql(plain.fractions);
      expect(result).to.include({ coarseMm: 6, skinMm: 2 });
    });

    it('must lie in order, the second reader’s too', async () => {
      const { testId } = await standJar(bench);
      const read = (entry: object) =>
        fields(bench.do('jar.read', { testId, readingId: ulid(), entry: { ...ENTRY, ...entry } }));
      expect(await read({ lines: { ...ENTRY.lines, coarse: line(500) } })).to.have.property('coarse');
      expect(await read({ lines: { ...ENTRY.lines, coarse: line(39) } })).to.have.property('sand');
      expect(await read({ lines: { ...ENTRY.lines, skin: line(1) } })).to.have.property('skin');
      const second = { by: 'Second', lines: { sand: line(30), silt: line(20) } };
      expect(await read({ second })).to.have.property('silt');
      expect(await read({ second: { ...second, by: ' ' } })).to.have.property('entry.second.by');
    });
  });

  it('of the top that lie under an earlier mark are refused, but for what a bed may pack', async () => {
    const { testId, runId } = await standJar(bench);
    bench.now += 61_000;
    const markId = ulid();
    await bench.do('jar.mark', { testId, runId, markId, layer: 'sand' });
    await bench.do('mark.height', { testId, markId, height: { mm: 20, text: '20' } });
    bench.now += HOUR;
    const top = (mm: number) =>
      fields(bench.do('jar.top', { testId, runId, topId: ulid(), height: { mm, text: String(mm) } }));
    expect((await top(12)).height).to.match(/under the sand mark/);
    expect(await top(19)).to.eql({});
    expect(await top(26)).to.eql({});
  });

  it('by two people are both kept, and the mean counts', async () => {
    const { testId } = await standJar(bench);
    const shifted = Object.fromEntries(
      Object.entries(ENTRY.lines).map(([k, l]) => [k, { mm: l.mm + 1, text: String(l.mm + 1) }])
    );
    const result = await finish(testId, {
      ...ENTRY,
      by: 'Keeper',
      second: { by: 'Gardener', lines: shifted }
    });
    expect(result.layers.sandMm).to.be.closeTo(ENTRY.lines.sand!.mm + 0.5, 1e-9);
    const [kept] = (await testDetail(bench.store.db, testId))!.readings;
    expect(kept.entry.lines.sand!.mm).to.equal(ENTRY.lines.sand!.mm);
    expect(kept.entry.second!.lines.sand!.mm).to.equal(ENTRY.lines.sand!.mm + 1);
  });

  it('pair with a laboratory by person and method, with the shares as they were read', async () => {
    const { testId, sampleId } = await standJar(bench);
    await bench.do('lab.add', {
      reportId: ulid(),
      sampleId,
      lab: 'Mainland laboratory',
      sand: 58,
      silt: 22,
      clay: 20,
      sandLimitUm: 63
    });
    expect(await labPairs(bench.store.db)).to.eql([]);
    const calibration = { pairs: 3, siltLog: -0.2, clayLog: -0.6 };
    const result = await finish(testId, { ...ENTRY, by: 'Keeper', calibration });
    expect(result.calibrated!.pairs).to.equal(3);
    const [pair] = await labPairs(bench.store.db);
    expect(pair).to.include({ testId, by: 'Keeper', methodKey: 'jar-timed' });
    expect(pair.jar).to.eql(result.calibrated!.asRead);
    expect(pair.lab.sand, 'under the limit of 50 um').to.be.above(58);
    await bench.do('test.bin', { testId });
    expect(await labPairs(bench.store.db)).to.eql([]);
  });

  describe('a film', () => {
    const strip = STRIP;
    const colours = encodeColours(Array.from({ length: 240 }, () => [50, 5, 20] as const));

    it('is kept picture by picture, taken off, and brought back', async () => {
      const { testId, runId } = await standJar(bench);
      const filmId = ulid();
      await bench.do('film.start', { filmId, testId, runId, source: 'camera', strip });
      for (const n of [1, 2]) {
        const frames = [1, 2, 3].map((i) => ({ at: bench.now + (3 * n + i) * 1000, colours }));
        await bench.do('film.frames', { filmId, frames });
      }
      const [film] = await filmsOf(bench.store.db, testId);
      expect(film.strip).to.eql(strip);
      expect(film.frames.map((f) => f.at - bench.now)).to.eql([4000, 5000, 6000, 7000, 8000, 9000]);
      const done = await bench.do('film.remove', { filmId });
      expect(await filmsOf(bench.store.db, testId)).to.eql([]);
      await bench.do('undo', { eventId: done.eventId });
      expect((await filmsOf(bench.store.db, testId))[0].frames).to.have.length(6);
    });

    it('is refused with a scale of nothing, of another jar, and without pictures', async () => {
      const { testId, runId } = await standJar(bench);
      const other = await standJar(bench);
      const start = (o: object) =>
        fields(bench.do('film.start', { filmId: ulid(), testId, runId, source: 'camera', strip, ...o }));
      expect(await start({ strip: { ...strip, high: strip.low } })).to.have.property('scale');
      expect(await start({ strip: { ...strip, widthPx: 0 } })).to.have.property('strip.widthPx');
      await bench
        .do('film.start', { filmId: ulid(), testId, runId: other.runId, source: 'camera', strip })
        .then(
          () => expect.fail('another jar'),
          (p: { status: number }) => expect(p.status).to.equal(409)
        );
      expect(await fields(bench.do('film.frames', { filmId: ulid(), frames: [] }))).to.have.property(
        'frames'
      );
      const bad = [{ at: bench.now, colours: 'not base 64!' }];
      expect(await fields(bench.do('film.frames', { filmId: ulid(), frames: bad }))).to.have.property(
        'frames.0.colours'
      );
    });
  });
});
