import { expect } from 'chai';
import { ulid } from 'ulid';
import { benchJars, testDetail } from '../../../src/lib/server/repositories/tests.ts';
import { ENTRY, jarSnapshot, openBench, prepareJar, standJar, START, type TestBench } from './bench.ts';
import { refusal } from './refusal.ts';
import type { JarSnapshot } from '../../../src/lib/contract/records/result.ts';

describe('what is refused', () => {
  let bench: TestBench;
  beforeEach(async () => (bench = await openBench()));
  afterEach(() => bench.close());

  const jars: [string, object, string][] = [
    ['a water line below the soil', { waterMm: 30 }, 'waterMm'],
    ['an overflowing vessel', { waterMm: 200 }, 'waterMm'],
    ['water too warm', { tempC: 60 }, 'tempC'],
    ['an unknown vessel', { vesselId: 'bucket' }, 'vesselId'],
    ['an unknown method', { methodKey: 'guess' }, 'methodKey']
  ];
  for (const [what, fields, field] of jars) {
    it(`${what}, beside its field`, async () => {
      const problem = await refusal(prepareJar(bench, fields));
      expect(problem.fields[field]).to.match(/[A-Z].+\./);
    });
  }
  it('a jar without a sample', async () => {
    const problem = await refusal(prepareJar(bench, { sampleId: 'none' }));
    expect(problem.fields.sampleId).to.match(/Choose the sample/);
  });
  it('a sample without a name', async () => {
    const problem = await refusal(
      bench.do('sample.add', { sampleId: ulid(), name: '  ', purpose: 'garden' })
    );
    expect(problem.fields.name).to.match(/Name the sample/);
  });
  it('a time in the future, but not a slightly fast clock', async () => {
    const { testId } = await prepareJar(bench);
    const problem = await refusal(bench.do('jar.set-down', { testId, runId: ulid() }, bench.now + 60_000));
    expect(problem.fields.at).to.match(/future/);
    await bench.do('jar.set-down', { testId, runId: ulid() }, bench.now + 800);
  });
  it('a mark older than the set-down', async () => {
    const { testId, runId } = await standJar(bench);
    await refusal(bench.do('jar.mark', { testId, runId, markId: ulid(), layer: 'sand' }, START - 1000));
  });
  it('setting down a jar that stands', async () => {
    const { testId } = await standJar(bench);
    expect((await refusal(bench.do('jar.set-down', { testId, runId: ulid() }))).status).to.equal(409);
  });
  it('layers in the wrong order, and heights over the rim', async () => {
    const { testId, runId } = await standJar(bench);
    const lines = { sand: { mm: 30, text: '30' }, silt: { mm: 20, text: '20' } };
    const order = await refusal(
      bench.do('jar.read', { testId, readingId: ulid(), entry: { ruler: 'mm', lines } })
    );
    expect(order.fields.silt).to.match(/below the top of the sand/);
    const markId = ulid();
    await bench.do('jar.mark', { testId, runId, markId, layer: 'sand' });
    const rim = await refusal(bench.do('mark.height', { testId, markId, height: { mm: 300, text: '300' } }));
    expect(rim.fields.height).to.match(/156 mm high/);
  });
  it('a vessel whose measures contradict each other, or whose name is taken', async () => {
    const measures = {
      kind: 'jar' as const,
      innerHeightMm: 120,
      innerDiameterMm: 80,
      baseThicknessMm: 4,
      shoulderHeightMm: 90,
      mouthDiameterMm: 70
    };
    const bad = await refusal(
      bench.do('vessel.add', { vesselId: ulid(), name: 'Squat', ...measures, shoulderHeightMm: 130 })
    );
    expect(bad.fields.shoulderHeightMm).to.match(/between the bottom and the rim/);
    await bench.do('vessel.add', { vesselId: ulid(), name: 'Squat', ...measures });
    const again = await refusal(bench.do('vessel.add', { vesselId: ulid(), name: 'Squat', ...measures }));
    expect(again.fields.name).to.match(/already there/);
  });
  it('what is not a command at all', async () => {
    const problem = await refusal(bench.do('jar.set-down', { testId: 'x', runId: 'not an id' }));
    expect(problem.fields.runId).to.be.a('string');
  });

  it('keeps the answer beside what was read: from its bands, its marks, the water and the fill', async () => {
    const finish = async (testId: string, fields: object = {}) => {
      const readingId = ulid();
      await bench.do('jar.read', { testId, readingId, entry: { ...ENTRY, ...fields } });
      await bench.do('test.finish', { testId, readingId, resultId: ulid() });
      return jarSnapshot((await testDetail(bench.store.db, testId))!.results[0].snapshot);
    };
    const kindsOf = ({ answer }: JarSnapshot) => answer!.strands.map((s) => s.evidence.kind).sort();
    const bands = await standJar(bench);
    bench.now += 26 * 3_600_000;
    const unseen = await finish(bands.testId);
    expect(kindsOf(unseen)).to.deep.equal(['bands', 'dispersant', 'dry-fill']);
    const marked = await standJar(bench);
    const start = bench.now;
    bench.now += 27 * 3_600_000;
    for (const [layer, seconds, mm] of [
      ['sand', 61, 22],
      ['silt', 7300, 30.5],
      ['clay', 93_600, 35]
    ] as const) {
      const markId = ulid();
      const { testId, runId } = marked;
      await bench.do('jar.mark', { testId, runId, markId, layer }, start + seconds * 1000);
      await bench.do('mark.height', { testId, markId, height: { mm, text: String(mm) } });
    }
    const seen = await finish(marked.testId, { water: 'clear' });
    expect(kindsOf(seen)).to.deep.equal(['bands', 'dispersant', 'dry-fill', 'mark', 'mark', 'mark', 'water']);
    // What was read is as it was: the answer stands over it.
    expect(seen.result).to.have.nested.property('class.name', 'sandy loam');
    const wide = ({ answer }: JarSnapshot) => answer!.sd.sand + answer!.sd.silt + answer!.sd.clay;
    expect(wide(seen)).to.be.below(wide(unseen));
  });

  it('reads the top while the jar stands, and tells the bench when it will stand still', async () => {
    const { testId, runId } = await standJar(bench);
    const start = bench.now;
    const HOUR_MS = 3_600_000;
    const read = (hours: number, mm: number, fields: object = {}) =>
      bench.do(
        'jar.top',
        { testId, runId, topId: ulid(), height: { mm, text: String(mm) }, ...fields },
        start + hours * HOUR_MS
      );
    bench.now += 40 * HOUR_MS;
    const run = async () => (await benchJars(bench.store.db))[0].run!;
    for (const [i, hours] of [2, 5, 9].entries()) await read(hours, [35.7, 33.5, 31.8][i]);
    expect((await run()).stillAt).to.equal(null);
    await read(20, 30.3, { water: 'cloudy' });
    const { stillAt, tops } = await run();
    expect(tops.map((r) => r.heightMm)).to.deep.equal([35.7, 33.5, 31.8, 30.3]);
    expect(tops.at(-1)!.water).to.equal('cloudy');
    // 8 mm that dwindle with a time constant of six hours are under half a millimetre after 16.6 h.
    expect((stillAt! - start) / HOUR_MS).to.be.closeTo(16.6, 1.5);
    // A reading of the same moment counts once, and harms nothing.
    await read(20, 30.4);
    expect((await run()).stillAt).to.be.a('number');
    const message = (work: Promise<unknown>) => work.then(String, (p: Error) => p.message);
    expect(await message(read(0, 30))).to.match(/older than the set-down/);
    expect(await message(read(21, 300))).to.match(/only 156 mm high/);
    await bench.do('jar.shake-again', { testId, runId, reason: 'knocked' });
    expect(await message(read(22, 30))).to.match(/This run has ended/);
  });
});
