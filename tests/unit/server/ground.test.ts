import { expect } from 'chai';
import { ulid } from 'ulid';
import { allAreas, siteDetail } from '../../../src/lib/server/repositories/sites.ts';
import { sampleById } from '../../../src/lib/server/repositories/samples.ts';
import { nextAreaCode, nextCode } from '../../../src/lib/server/services/codes.ts';
import { openBench, type TestBench } from './bench.ts';

const BED: [number, number][] = [
  [0, 0],
  [10, 0],
  [10, 6],
  [0, 6]
];
const refusal = async (
  work: Promise<unknown>
): Promise<{ message: string; fields: Record<string, string> }> =>
  work.then(
    () => {
      throw new Error('It was taken.');
    },
    (problem: { message: string; fields: Record<string, string> }) => problem
  );

describe('the ground', () => {
  let bench: TestBench;
  let siteId: string;
  const area = (name: string, outline = BED) => {
    const areaId = ulid();
    return bench
      .do('area.add', { areaId, siteId, name, purpose: 'garden', outline })
      .then((done) => ({ areaId, code: done.code }));
  };
  const suggest = async (areaId: string, n: number, seed = 7) => {
    const spotIds = Array.from({ length: n }, () => ulid());
    await bench.do('spots.suggest', { areaId, seed, spotIds });
    return spotIds;
  };
  const detail = async () => (await siteDetail(bench.store.db, siteId))!;

  beforeEach(async () => {
    bench = await openBench();
    siteId = ulid();
    await bench.do('site.add', { siteId, name: 'Skarn Holm' });
  });
  afterEach(() => bench.close());

  it('gives every area letters of its own, and its samples codes that begin with them', async () => {
    const north = await area('North bed');
    expect(north.code).to.equal('N');
    expect((await area('Nettle patch')).code).to.equal('NP');
    const add = (areaId: string | null, name: string) =>
      bench.do('sample.add', { sampleId: ulid(), name, purpose: 'garden', areaId });
    expect((await add(north.areaId, 'Walled garden')).code).to.equal('N1');
    expect((await add(null, 'Notch')).code).to.equal('N2');
    expect((await add(north.areaId, 'Below the amendment')).code).to.equal('N3');
    expect(nextCode('Kitchen', ['KB1', 'K4', 'K4b'])).to.equal('K5');
    expect(nextCode('Kitchen', ['KB1', 'K4'], 'KB')).to.equal('KB2');
    const codes: string[] = [];
    for (let i = 0; i < 1200; i++) codes.push(nextAreaCode('Ooo', codes));
    expect(new Set(codes).size).to.equal(1200);
    expect(codes.join('')).not.to.match(/[IOQZ\d]/);
  });

  it('refuses outlines that are no ground, beside the outline', async () => {
    const crossed: [number, number][] = [
      [0, 0],
      [6, 0],
      [6, 5],
      [2, -2],
      [0, 5]
    ];
    const { fields } = await refusal(area('Knot', crossed));
    expect(fields.outline).to.match(/cross/);
    const flat: [number, number][] = [
      [0, 0],
      [1, 1],
      [2, 2]
    ];
    expect((await refusal(area('Line', flat))).fields.outline).to.match(/encloses nothing/);
    const { areaId } = await area('Bed');
    const words = { name: 'Bed', purpose: 'garden' as const };
    const edit = bench.do('area.edit', { areaId, ...words, outline: crossed });
    expect((await refusal(edit)).fields.outline).to.match(/cross/);
    expect((await detail()).areas[0].outline).to.deep.equal(BED);
  });

  it('suggests spots again around those that were taken, and takes it back whole', async () => {
    const { areaId } = await area('Bed');
    const [first] = await suggest(areaId, 5);
    const depth = { mm: 75, text: '75' };
    await bench.do('spot.take', { spotId: first, taken: true, depthFrom: depth, note: 'roots' });
    const before = (await detail()).areas[0].spots;
    expect(before.map((s) => s.no)).to.deep.equal([1, 2, 3, 4, 5]);
    const spotIds = Array.from({ length: 3 }, () => ulid());
    const done = await bench.do('spots.suggest', { areaId, seed: 8, spotIds });
    const after = (await detail()).areas[0].spots;
    expect(after.map((s) => s.id)).to.deep.equal([first, ...spotIds]);
    expect(after.map((s) => s.no)).to.deep.equal([1, 2, 3, 4]);
    await bench.do('undo', { eventId: done.eventId });
    expect((await detail()).areas[0].spots).to.deep.equal(before);
    // Ids that are given out, of these spots or of others, are refused in a sentence, and nothing changes.
    const other = await area('Border');
    const others = await suggest(other.areaId, 2);
    for (const given of [before.slice(1).map((s) => s.id), others, [spotIds[0], spotIds[0]]]) {
      const problem = await refusal(bench.do('spots.suggest', { areaId, seed: 9, spotIds: given }));
      expect(problem.message).to.match(/is there already/);
    }
    expect((await detail()).areas[0].spots).to.deep.equal(before);
  });

  it('keeps a spot that a sample is mixed of, or a hole was dug at, when it suggests others', async () => {
    const { areaId } = await area('Bed');
    const [mixed, dug, free] = await suggest(areaId, 5);
    const sampleId = ulid();
    await bench.do('sample.add', { sampleId, name: 'Bed', purpose: 'garden', areaId, spotIds: [mixed] });
    const length = { mm: 300, text: '300' };
    await bench.do('hole.dig', { holeId: ulid(), areaId, spotId: dug, depth: length, width: length });
    await suggest(areaId, 8);
    const left = (await detail()).areas[0].spots.map((s) => s.id);
    expect(left).to.include.members([mixed, dug]);
    expect(left).not.to.include(free);
  });

  it('holds spots inside their area, keeps the time of the first tick, and refuses depths upside down', async () => {
    const { areaId } = await area('Bed');
    const spotId = ulid();
    await bench.do('spot.add', { spotId, areaId, place: [1, 1] });
    const out = await refusal(bench.do('spot.add', { spotId: ulid(), areaId, place: [11, 1] }));
    expect(out.fields.place).to.match(/outside Bed/);
    expect((await refusal(bench.do('spot.move', { spotId, place: [-1, 1] }))).fields.place).to.match(
      /outside/
    );
    await bench.do('spot.move', { spotId, place: [2, 3] });
    const at = bench.now - 60_000;
    await bench.do('spot.take', { spotId, taken: true }, at);
    await bench.do('spot.take', { spotId, taken: true, note: 'seen again' });
    const [spot] = (await detail()).areas[0].spots;
    expect(spot).to.include({ x: 2, y: 3, takenAt: at, note: 'seen again' });
    const upside = bench.do('spot.take', {
      spotId,
      taken: true,
      depthFrom: { mm: 150, text: '150' },
      depthTo: { mm: 75, text: '75' }
    });
    expect((await refusal(upside)).fields.depthTo).to.match(/below/);
    await bench.do('spot.take', { spotId, taken: false });
    expect((await detail()).areas[0].spots[0].takenAt).to.equal(null);
  });

  it('lets a composite know its spots, and neither spot nor area go while a sample is from them', async () => {
    const { areaId } = await area('Bed');
    const other = await area('Other bed');
    const spotIds = await suggest(areaId, 4);
    const sampleId = ulid();
    const add = (ids: string[], from: string | null) =>
      bench.do('sample.add', { sampleId, name: 'Bed', purpose: 'garden', areaId: from, spotIds: ids });
    expect((await refusal(add(spotIds, other.areaId))).fields.spotIds).to.match(/not in Other bed/);
    expect((await refusal(add(spotIds, null))).fields.spotIds).to.match(/which area/);
    expect((await refusal(add([spotIds[0], spotIds[0]], areaId))).fields.spotIds).to.match(/twice/);
    expect((await refusal(add([], ulid()))).fields.areaId).to.match(/not here/);
    await add(spotIds, areaId);
    expect((await sampleById(bench.store.db, sampleId))!.spotIds).to.deep.equal(spotIds);
    expect((await detail()).areas[0].samples.map((s) => s.code)).to.deep.equal(['B1']);
    expect((await refusal(bench.do('spot.remove', { spotId: spotIds[1] }))).message).to.match(/in B1/);
    expect((await refusal(bench.do('area.remove', { areaId }))).message).to.match(/from here: B1/);
    const edit = { sampleId, name: 'Bed', purpose: 'garden' as const, details: {} };
    await bench.do('sample.edit', { ...edit, areaId: null });
    const gone = await bench.do('area.remove', { areaId });
    expect((await allAreas(bench.store.db)).map((a) => a.name)).to.deep.equal(['Other bed']);
    await bench.do('undo', { eventId: gone.eventId });
    const back = (await detail()).areas.find((a) => a.id === areaId)!;
    expect(back.spots).to.have.length(4);
  });

  it('grows with its scale: areas, spots and all, and comes back by undo', async () => {
    const { areaId } = await area('Bed');
    await suggest(areaId, 4);
    const before = await detail();
    const scale = (distanceM: number, to: [number, number] = [5, 0]) =>
      bench.do('site.scale', { siteId, from: [0, 0], to, distanceM });
    const done = await scale(10);
    const after = await detail();
    expect(after.areas[0].outline[2]).to.deep.equal([20, 12]);
    expect(after.areas[0].spots[0].x).to.be.closeTo(2 * before.areas[0].spots[0].x, 1e-9);
    await bench.do('undo', { eventId: done.eventId });
    expect(await detail()).to.deep.equal(before);
    expect((await refusal(scale(10, [0, 0]))).fields.to).to.match(/are one/);
    expect((await refusal(scale(0))).fields.distanceM).to.match(/more than nothing/);
    // Scaled again and again nothing comes to lie beyond what a sketch may hold.
    await scale(50_000);
    expect((await refusal(scale(50_000))).fields.distanceM).to.match(/over a thousand kilometres/);
  });

  it('keeps a place on the earth, and refuses one off the globe', async () => {
    await bench.do('site.edit', { siteId, name: 'Holm', earth: { lat: 60.1, lon: 5, bearing: 12 } });
    expect(await detail()).to.deep.include({ name: 'Holm' });
    expect((await detail()).sketch.earth).to.deep.equal({ lat: 60.1, lon: 5, bearing: 12 });
    const off = bench.do('site.edit', { siteId, name: 'Holm', earth: { lat: 95, lon: 5, bearing: 0 } });
    expect((await refusal(off)).fields.lat).to.match(/latitude/);
    expect((await refusal(bench.do('site.edit', { siteId, name: ' ', earth: null }))).fields.name).to.match(
      /Name/
    );
  });

  it('brings in a file whole or not at all', async () => {
    const areaId = ulid();
    const fields = { name: 'Bank', purpose: 'build' as const };
    const spot = { spotId: ulid(), areaId, place: [1, 1] as [number, number] };
    const bad = bench.do('ground.import', {
      siteId,
      earth: null,
      areas: [
        { areaId, ...fields, outline: BED },
        { areaId: ulid(), ...fields, name: 'Flat', outline: BED.slice(0, 2) }
      ],
      spots: [spot]
    });
    expect((await refusal(bad)).fields['areas.1.outline']).to.match(/^Flat: .*three corners/);
    expect((await detail()).areas).to.deep.equal([]);
    const stray = bench.do('ground.import', { siteId, earth: null, areas: [], spots: [spot] });
    expect((await refusal(stray)).fields['spots.0.areaId']).to.match(/no area/);
    expect(
      (await refusal(bench.do('ground.import', { siteId, earth: null, areas: [], spots: [] }))).message
    ).to.match(/nothing in it/);
    await bench.do('ground.import', {
      siteId,
      earth: { lat: 1, lon: 2, bearing: 0 },
      areas: [{ areaId, ...fields, outline: BED }],
      spots: [spot, { ...spot, spotId: ulid() }]
    });
    const { areas, sketch } = await detail();
    expect(areas[0].spots.map((s) => s.no)).to.deep.equal([1, 2]);
    expect(sketch.earth?.lat).to.equal(1);
  });
});
