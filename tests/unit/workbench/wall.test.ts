import { expect } from 'chai';
import type { Snapshot } from '../../../src/lib/contract/records/result.ts';
import { judgeTechnique, TECHNIQUES, USUAL_FIGURES } from '../../../src/lib/core/index.ts';
import { wallSoilOf, wallSoilTyped } from '../../../src/lib/workbench/wall.ts';
import { soilTyped } from '../../../src/lib/workbench/act.ts';
import fc from 'fast-check';
import { blendOf, blendText, MOST_ROWS } from '../../../src/lib/contract/act.ts';
import { batchOf, groundOf, groundTyped, materialsOf, rowsOf } from '../../../src/lib/workbench/blend.ts';
import { besideMix } from '../../../src/lib/workbench/promise.ts';
import { wallVerdict } from '../../../src/lib/words/wall.ts';

const result = {
  fractions: { sand: 60, silt: 18, clay: 22 },
  sd: { sand: 1, silt: 1, clay: 1 },
  gravelPct: 12,
  totalMm: 50,
  skinMm: 1
};
const snapshot = (o: object) => o as unknown as Snapshot;
const mm = (n: number) => ({ mm: n, text: String(n) });

describe('a soil for a wall', () => {
  it('is what was read by height, the answer by mass, and what was noted beside the jar', () => {
    const soil = wallSoilOf(snapshot({ result }), { sieve: mm(6) })!;
    expect(soil).to.include({ gravelPct: 12, stoneMm: 6, organicPct: 2 });
    expect(soil.heights).to.have.length(900);
    expect(soil.mass).to.have.length(900);
  });

  it('takes heights as they were read, not as they were moved by pairs', () => {
    const moved = { ...result, calibrated: { asRead: { sand: 30, silt: 30, clay: 40 }, pairs: 3 } };
    const { heights } = wallSoilOf(snapshot({ result: moved }), {})!;
    let sand = 0;
    for (let i = 0; i < heights!.length; i += 3) sand += (3 * heights![i]) / heights!.length;
    expect(sand).to.be.closeTo(30, 1);
  });

  it('takes gravel that was weighed where none was read, and an instrument’s mass', () => {
    const gravel = { amount: 200, unit: 'g' as const, whole: 1000 };
    const none = { ...result, gravelPct: 0 };
    expect(wallSoilOf(snapshot({ result: none }), { gravel })!.gravelPct).to.equal(20);
    const cylinder = wallSoilOf(snapshot({ kind: 'cylinder', result }), {})!;
    expect(cylinder.heights).to.equal(undefined);
    expect(cylinder.mass).to.have.length(900);
  });

  it('is one share where one was read', () => {
    const soil = wallSoilOf(snapshot({ result: { kind: 'share', layer: 'clay', pct: 45, sd: 2 } }), {})!;
    expect(soil.only?.layer).to.equal('clay');
    expect(soil.mass).to.equal(undefined);
    expect(judgeTechnique(TECHNIQUES[1], soil)!.chance).to.be.below(0.01);
  });

  it('comes to a sentence for the technique that suits it best of those that nothing refuses', () => {
    const of = (sand: number, clay: number) => {
      const soil = wallSoilTyped(soilTyped({ sand, silt: 100 - sand - clay, clay }));
      return TECHNIQUES.map((technique) => judgeTechnique(technique, soil)!);
    };
    expect(wallVerdict(of(62, 20), [])).to.match(/^Meets the \w+ windows that are known of /);
    expect(wallVerdict(of(20, 55), [])).to.match(/^For no wall as it is: nearest is /);
    expect(wallVerdict(of(62, 20), ['topsoil'])).to.match(/^For no wall as it is\. Refused: topsoil/);
    expect(wallVerdict(of(62, 20), ['sticky'])).to.not.match(/block/);
    // What nobody measured is not claimed; one share is no soil.
    expect(wallVerdict(of(62, 20), [])).to.match(/^Meets the two windows that are known of /);
    const clay = wallSoilOf(snapshot({ result: { kind: 'share', layer: 'clay', pct: 20, sd: 2 } }), {})!;
    const judged = TECHNIQUES.map((technique) => judgeTechnique(technique, clay)!);
    expect(wallVerdict(judged, [])).to.match(/^One share alone says too little/);
  });
});

describe('materials of a blend', () => {
  it('come back from an address as they were typed, but for what parts them', () => {
    const text = fc.string({ maxLength: 30 });
    const row = fc.record({
      of: text,
      bucketKg: text,
      moisture: text,
      gravel: text,
      most: text,
      price: text,
      carry: text
    });
    const bare = (s: string) => s.replace(/[;~]/g, '');
    fc.assert(
      fc.property(fc.array(row, { maxLength: MOST_ROWS }), (rows) => {
        const said = rows.map((r) => Object.fromEntries(Object.entries(r).map(([k, v]) => [k, bare(v)])));
        expect(blendOf(blendText(rows))).to.eql(said);
      })
    );
    expect(blendOf('')).to.eql([]);
    expect(blendOf(Array(20).fill('own').join(';'))).to.have.length(MOST_ROWS);
  });

  it('are a soil by what the technique is judged on, or percentages that make one', () => {
    const soil = wallSoilOf(snapshot({ result }), { sieve: mm(6) })!;
    const ground = groundOf(soil, 'heights')!;
    expect(ground.shares.sand).to.be.closeTo(60, 0.5);
    expect(ground.sd.clay).to.be.closeTo(1, 0.2);
    expect(ground).to.include({ gravelPct: 12, stoneMm: 6, organicPct: 2 });
    expect(groundOf({ ...soil, only: { layer: 'clay', pct: 20 } }, 'heights')).to.equal(undefined);
    expect(groundTyped('95/2')!.shares).to.eql({ sand: 95, silt: 3, clay: 2 });
    expect(groundTyped('60/20/8')!.sd).to.eql({ sand: 8, clay: 8 });
    for (const none of ['60/20/90', '60/20/', '', '95', '80/60', '-3/10', 'a/b', '/'])
      expect(groundTyped(none)).to.equal(undefined);
  });

  it('are counted with as they are typed, with what is usual where nothing is', () => {
    const own = wallSoilTyped(soilTyped({ sand: 40, silt: 30, clay: 30 }));
    const others = [{ id: 'X', code: 'T1', soil: wallSoilOf(snapshot({ result }), { sieve: mm(6) })! }];
    const rows = blendOf('own~15~12~~3~2,5~40;95/2;X;gone');
    const known = materialsOf(rows, { own, name: 'L1', others }, 'heights', USUAL_FIGURES);
    expect(known.map(({ at, material }) => [at, material.name])).to.eql([
      [0, 'L1'],
      [1, 'building sand'],
      [2, 'T1']
    ]);
    expect(known[0].material).to.include({ bucketKg: 15, moisturePct: 12, most: 3, price: 2.5, carryM: 40 });
    expect(known[2].material).to.include({ gravelPct: 12, stoneMm: 6, bucketKg: USUAL_FIGURES.bucketKg });
    expect(rowsOf('').map((row) => row.of)).to.eql(['own', '95/2']);
    expect([batchOf('', USUAL_FIGURES), batchOf('24', USUAL_FIGURES)]).to.eql([
      USUAL_FIGURES.batchBuckets,
      24
    ]);
  });

  it('promise a jar, and the read jar stands beside it by the basis of the technique', () => {
    const mix = {
      parts: [{ name: 'L1', buckets: 10 }],
      technique: 'pressed blocks',
      on: 'heights' as const,
      shares: { sand: 61, silt: 18, clay: 21 },
      sd: { sand: 2, clay: 2 },
      query: ''
    };
    const beside = besideMix(snapshot({ result }), { mix })!;
    expect(beside.within).to.equal(true);
    expect(beside.points.sand).to.be.closeTo(-1, 0.5);
    expect(besideMix(snapshot({ result }), {})).to.equal(undefined);
    const one = snapshot({ result: { kind: 'share', layer: 'clay', pct: 45, sd: 2 } });
    expect(besideMix(one, { mix })).to.equal(undefined);
  });
});
