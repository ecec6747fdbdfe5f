import { expect } from 'chai';
import { ulid } from 'ulid';
import type { CommandName, PayloadInput } from '../../../src/lib/contract/commands.ts';
import { runCommand } from '../../../src/lib/server/commands.ts';
import { CommandProblem } from '../../../src/lib/server/problem.ts';
import { benchJars, testDetail } from '../../../src/lib/server/repositories/tests.ts';
import { ENTRY, openBench, prepareJar, standJar, START, type TestBench } from './bench.ts';

describe('every command at its edge', () => {
  let bench: TestBench;
  beforeEach(async () => (bench = await openBench()));
  afterEach(() => bench.close());

  /** Sends what no form would send. */
  async function refused(name: CommandName, payload: unknown): Promise<CommandProblem> {
    const body = { commandId: ulid(), at: bench.now, payload };
    try {
      await runCommand(bench.store, name, body, 'test', bench.now);
    } catch (problem) {
      expect(problem).to.be.instanceOf(CommandProblem);
      return problem as CommandProblem;
    }
    throw new Error(`${name} was taken: ${JSON.stringify(payload)}`);
  }
  const events = async () =>
    Number((await bench.store.client.execute('select count(*) as n from event')).rows[0].n);

  const good: { [N in CommandName]?: PayloadInput<N> } = {
    'sample.add': { sampleId: ulid(), name: 'North bed', purpose: 'garden' },
    'jar.prepare': {
      testId: ulid(),
      sampleId: 's',
      vesselId: 'jar-litre',
      methodKey: 'jar-timed',
      tempC: 18,
      soilMm: 43,
      waterMm: 128,
      dispersantMl: 4
    },
    'vessel.add': {
      vesselId: ulid(),
      name: 'Honey jar',
      kind: 'jar',
      innerHeightMm: 114,
      innerDiameterMm: 68,
      baseThicknessMm: 3,
      shoulderHeightMm: 90,
      mouthDiameterMm: 56
    },
    'site.add': { siteId: ulid(), name: 'Holm' },
    'area.add': {
      areaId: ulid(),
      siteId: 's',
      name: 'Bed',
      purpose: 'garden',
      outline: [
        [0, 0],
        [4, 0],
        [4, 3]
      ]
    },
    'site.scale': { siteId: 's', from: [0, 0], to: [5, 0], distanceM: 10 },
    'spots.suggest': { areaId: 'a', seed: 1, spotIds: [ulid()] },
    'spot.take': { spotId: 's', taken: true },
    'photo.add': { photoId: ulid(), fileId: 'f', subject: 'sample', subjectId: 's' },
    'jar.note': { testId: 't', kind: 'moved' },
    'jar.weigh': { testId: 't', weighed: { grams: 300, readsToG: 1 } },
    'jar.used': { testId: 't', used: {} },
    'ground.import': { siteId: 's', earth: null, areas: [], spots: [] }
  };
  const wrong: [CommandName, object, string, RegExp][] = [
    ['sample.add', { name: '   ' }, 'name', /Name the sample/],
    ['sample.add', { name: 'x'.repeat(81) }, 'name', /under 80 letters/],
    ['sample.add', { purpose: 'fishing' }, 'purpose', /./],
    ['sample.add', { sampleId: 'not an id' }, 'sampleId', /right form/],
    ['jar.prepare', { tempC: 41 }, 'tempC', /between 0 and 40/],
    ['jar.prepare', { tempC: 'warm' }, 'tempC', /temperature of the water/],
    ['jar.prepare', { soilMm: -1 }, 'soilMm', /below zero/],
    ['jar.prepare', { waterMm: Number.NaN }, 'waterMm', /Give the height/],
    ['jar.prepare', { dispersantMl: 501 }, 'dispersantMl', /./],
    ['vessel.add', { name: '' }, 'name', /name you will know it by/],
    ['vessel.add', { innerHeightMm: 0 }, 'innerHeightMm', /above zero/],
    ['vessel.add', { baseThicknessMm: 80 }, 'baseThicknessMm', /half the jar/],
    ['vessel.add', { shoulderHeightMm: 120 }, 'shoulderHeightMm', /between the bottom and the rim/],
    ['vessel.add', { mouthDiameterMm: 200 }, 'mouthDiameterMm', /far wider/],
    ['jar.prepare', { trueSandUm: 55 }, 'trueSandUm', /./],
    ['sample.add', { spotIds: ['somewhere'] }, 'spotIds', /which area/],
    ['sample.add', { details: { takenOn: '2031-01-01' } }, 'details.takenOn', /future/],
    ['sample.add', { details: { takenOn: 'May' } }, 'details.takenOn', /as a day/],
    ['site.add', { name: '' }, 'name', /Name the site/],
    ['site.add', { name: 'x'.repeat(81) }, 'name', /under 80/],
    [
      'area.add',
      {
        outline: [
          [0, 0],
          [1, 'b']
        ]
      },
      'outline.1.1',
      /./
    ],
    [
      'area.add',
      {
        outline: [
          [0, 0],
          [1, 1e9],
          [2, 0]
        ]
      },
      'outline.1.1',
      /./
    ],
    ['area.add', { outline: Array.from({ length: 501 }, (_, i) => [i, i * i]) }, 'outline', /500 corners/],
    ['area.add', { history: ['haunted'] }, 'history.0', /./],
    ['site.scale', { distanceM: 200_000 }, 'distanceM', /hundred kilometres/],
    ['site.scale', { distanceM: 'far' }, 'distanceM', /distance between the two points/],
    ['spots.suggest', { spotIds: [] }, 'spotIds', /from 1 to 12/],
    ['spots.suggest', { spotIds: Array.from({ length: 13 }, () => ulid()) }, 'spotIds', /from 1 to 12/],
    ['spot.take', { note: 'x'.repeat(501) }, 'note', /under 500/],
    ['photo.add', { subject: 'moon' }, 'subject', /./],
    ['jar.note', { kind: 'sang' }, 'kind', /./],
    ['jar.weigh', { weighed: { grams: 0, readsToG: 1 } }, 'weighed.grams', /more than nothing/],
    ['jar.weigh', { weighed: { grams: 30_000, readsToG: 1 } }, 'weighed.grams', /twenty kilograms/],
    ['jar.used', { used: { soil: '' } }, 'used.soil', /Say how much/],
    ['jar.used', { used: { shaken: 'x'.repeat(61) } }, 'used.shaken', /under 60/],
    ['jar.note', { words: 'x'.repeat(201) }, 'words', /under 200/],
    ['method.save', { draft: {} }, 'draft.soilShare', /share of the height/],
    ['ground.import', { areas: Array.from({ length: 201 }, () => ({})) }, 'areas', /200 areas/]
  ];
  for (const [name, change, field, words] of wrong) {
    it(`${name} with ${JSON.stringify(change).slice(0, 50)}: a sentence at ${field}`, async () => {
      const before = await events();
      const problem = await refused(name, { ...(good[name] as object), ...change });
      expect(problem.fields[field]).to.match(words);
      expect(problem.status).to.equal(422);
      expect(await events()).to.equal(before);
    });
  }

  it('answers 404 for what is not there, in words', async () => {
    const missing = ulid();
    for (const [name, payload] of [
      ['jar.prep', { testId: missing, ticks: [], shakeStartedAt: null }],
      ['jar.set-down', { testId: missing, runId: ulid() }],
      ['jar.mark', { testId: missing, runId: ulid(), markId: ulid(), layer: 'sand' }],
      ['jar.shake-again', { testId: missing, runId: ulid(), reason: 'foamed' }],
      ['jar.read', { testId: missing, readingId: ulid(), entry: ENTRY }],
      ['test.finish', { testId: missing, readingId: ulid(), resultId: ulid() }],
      ['test.reopen', { testId: missing, why: 'misread' }],
      ['test.bin', { testId: missing }],
      ['test.restore', { testId: missing }],
      ['sample.edit', { ...good['sample.add'], sampleId: missing, details: {} }],
      ['bench.plan', { jars: [{ testId: missing, setDownAt: START + 1 }] }],
      ['undo', { eventId: missing }],
      ['site.edit', { siteId: missing, name: 'Holm', earth: null }],
      ['site.backdrop', { siteId: missing, fileId: null }],
      ['site.scale', { ...good['site.scale'], siteId: missing }],
      ['area.add', { ...good['area.add'], siteId: missing }],
      ['area.edit', { ...good['area.add'], areaId: missing }],
      ['area.remove', { areaId: missing }],
      ['spots.suggest', { ...good['spots.suggest'], areaId: missing }],
      ['spot.add', { spotId: ulid(), areaId: missing, place: [1, 1] }],
      ['spot.move', { spotId: missing, place: [1, 1] }],
      ['spot.take', { spotId: missing, taken: true }],
      ['spot.remove', { spotId: missing }],
      ['ground.import', { ...good['ground.import'], siteId: missing }],
      ['photo.add', { ...good['photo.add'], subjectId: missing }],
      ['photo.remove', { photoId: missing }],
      ['jar.method', { testId: missing, methodKey: 'jar-timed' }],
      ['jar.note', { testId: missing, kind: 'moved' }],
      ['jar.weigh', { testId: missing, weighed: null }],
      ['jar.used', { testId: missing, used: {} }],
      ['method.retire', { methodKey: missing }]
    ] as [CommandName, object][]) {
      const problem = await refused(name, payload);
      expect(problem.status, name).to.equal(404);
      expect(problem.message, name).to.match(/is not here/);
    }
  });

  it('lets nothing happen to a test in the bin until it is taken out', async () => {
    const { testId, runId } = await standJar(bench);
    await bench.do('test.bin', { testId });
    for (const [name, payload] of [
      ['jar.mark', { testId, runId, markId: ulid(), layer: 'sand' }],
      ['jar.shake-again', { testId, runId, reason: 'knocked' }],
      ['jar.read', { testId, readingId: ulid(), entry: ENTRY }],
      ['jar.note', { testId, kind: 'moved' }],
      ['jar.weigh', { testId, weighed: null }],
      ['jar.method', { testId, methodKey: 'jar-bands' }],
      ['test.bin', { testId }]
    ] as [CommandName, object][]) {
      const problem = await refused(name, payload);
      expect(problem.status, name).to.equal(409);
      expect(problem.message).to.match(/Restore it first/);
    }
    await bench.do('test.restore', { testId });
    await bench.do('jar.mark', { testId, runId, markId: ulid(), layer: 'sand' });
    expect((await benchJars(bench.store.db))[0].run!.marks).to.have.length(1);
  });

  it('keeps each thing to its time: no mark after a shake, no reading before a set-down, no second finish', async () => {
    const fresh = await prepareJar(bench);
    expect(
      (await refused('jar.read', { testId: fresh.testId, readingId: ulid(), entry: ENTRY })).message
    ).to.match(/Set the jar down first/);
    const { testId, runId } = await standJar(bench);
    await bench.do('jar.shake-again', { testId, runId, reason: 'knocked' });
    expect((await refused('jar.mark', { testId, runId, markId: ulid(), layer: 'sand' })).message).to.match(
      /This run has ended/
    );
    await bench.do('jar.set-down', { testId, runId: ulid() });
    const readingId = ulid();
    await bench.do('jar.read', { testId, readingId, entry: ENTRY });
    await bench.do('test.finish', { testId, readingId, resultId: ulid() });
    expect((await refused('test.finish', { testId, readingId, resultId: ulid() })).message).to.match(
      /already finished/
    );
    expect((await refused('jar.read', { testId, readingId: ulid(), entry: ENTRY })).message).to.match(
      /Open it again before/
    );
    expect((await refused('test.reopen', { testId, why: '  ' })).fields.why).to.match(/Say why/);
    await bench.do('test.reopen', { testId, why: 'read the silt too low' });
    expect((await refused('test.reopen', { testId, why: 'again' })).message).to.match(/open already/);
    expect((await testDetail(bench.store.db, testId))!.results[0].reopenedAt).to.equal(bench.now);
  });

  it('refuses a reading that no jar can hold, at the line that is wrong', async () => {
    const { testId } = await standJar(bench);
    const read = (lines: object) =>
      refused('jar.read', { testId, readingId: ulid(), entry: { ruler: 'mm', lines } });
    const at = (mm: number) => ({ mm, text: String(mm) });
    expect((await read({ sand: at(30), silt: at(20) })).fields.silt).to.match(/lies below/);
    expect((await read({ sand: at(30), silt: at(40), clay: at(170) })).fields.clay).to.match(
      /only 156 mm high/
    );
    expect((await read({})).message).to.match(/at least one layer/);
    expect((await read({ sand: { ...at(30), sigmaMm: 60 }, silt: at(40) })).fields).to.have.property(
      'entry.lines.sand.sigmaMm'
    );
  });

  it('takes only methods it knows, and an instrument only in a cylinder', async () => {
    const { sampleId } = await prepareJar(bench);
    const problem = await refused('jar.prepare', {
      ...good['jar.prepare'],
      testId: ulid(),
      sampleId,
      methodKey: 'not-a-method'
    });
    expect(problem.fields.methodKey).to.match(/Choose one of the methods/);
    const inJar = await refused('jar.prepare', {
      ...good['jar.prepare'],
      testId: ulid(),
      sampleId,
      methodKey: 'hydrometer-2pt'
    });
    expect(inJar.fields.vesselId).to.match(/cylinder/);
  });
});
