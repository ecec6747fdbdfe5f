import { expect } from 'chai';
import fc from 'fast-check';
import {
  judgeTechnique,
  otherBasis,
  sharesAbout,
  signSays,
  TECHNIQUES,
  wallFactProblems,
  WALL_OF,
  type Technique,
  type WallSoil
} from '../../../../src/lib/core/index.ts';

const [cob, pressed, rammed, stabilised] = TECHNIQUES;
const soil = (sand: number, clay: number, sd: number, o: Partial<WallSoil> = {}): WallSoil => {
  const shares = sharesAbout({ sand, silt: 100 - sand - clay, clay }, { sand: sd, clay: sd });
  return { heights: shares, mass: shares, gravelPct: 0, stoneMm: 4, organicPct: 0, ...o };
};
const said = (technique: Technique, of: WallSoil) => judgeTechnique(technique, of)!;
const windowOf = (technique: Technique, of: WallSoil, name: string) =>
  said(technique, of).windows.find((w) => w.window.of === name)!;

describe('techniques of earth building', () => {
  it('ship with windows that a soil can pass, best within hard, each with its reason', () => {
    for (const { windows, name } of TECHNIQUES)
      for (const { least = 0, most = Infinity, best, reason, of } of windows) {
        expect(least, `${name} ${of}`).to.be.below(most);
        expect(reason, `${name} ${of}`).to.match(/\.$/);
        if (best?.least !== undefined) expect(best.least).to.be.at.least(least);
        if (best?.most !== undefined) expect(best.most).to.be.at.most(most);
      }
    expect(TECHNIQUES.map((t) => t.on)).to.eql(['heights', 'heights', 'mass', 'heights']);
  });

  it('take a soil that is right, and name what is in doubt of one that is not', () => {
    expect(said(cob, soil(65, 22, 1)).chance).to.equal(1);
    expect(said(pressed, soil(60, 21, 1)).chance).to.equal(1);
    expect(said(rammed, soil(65, 15, 1)).chance).to.equal(1);
    expect(said(pressed, soil(40, 50, 1)).doubt?.of).to.equal('clay');
    expect(said(stabilised, soil(55, 32, 0.5)).chance).to.equal(0);
    expect(said(pressed, soil(55, 32, 0.5)).chance).to.equal(1);
    // Silt in the place of clay.
    expect(said(cob, soil(60, 12, 1)).doubt?.of).to.equal('clayToSilt');
  });

  it('have the chance that all windows hold at once, counted over the draws', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...TECHNIQUES),
        fc.integer({ min: 20, max: 80 }),
        fc.integer({ min: 2, max: 20 }),
        fc.integer({ min: 0, max: 40 }),
        (technique, sand, clay, gravelPct) => {
          const of = soil(sand, clay, 6, { gravelPct });
          const { chance, windows, holds, doubt } = said(technique, of);
          const shares = of[technique.on]!;
          let held = 0;
          for (let i = 0; i < shares.length; i += 3) {
            const fine = 1 - gravelPct / 100;
            const figures = {
              grit: gravelPct + fine * shares[i],
              silt: fine * shares[i + 1],
              clay: fine * shares[i + 2],
              clayToSilt: shares[i + 2] / Math.max(0.5, shares[i + 1]),
              stone: 4,
              organic: 0
            };
            const ok = technique.windows.every(
              ({ of, least = -1, most = 1e9 }) => figures[of] >= least && figures[of] <= most
            );
            if (ok) held++;
          }
          expect(chance).to.be.closeTo((3 * held) / shares.length, 1e-12);
          expect(holds.reduce((a, b) => a + b, 0)).to.equal(held);
          for (const w of windows) expect(w.chance).to.be.at.least(chance);
          expect(windows.find((w) => w.window === doubt)!.chance).to.equal(
            Math.min(...windows.map((w) => w.chance!))
          );
        }
      )
    );
  });

  it('count gravel with the sand, and let it thin the clay', () => {
    const bare = windowOf(pressed, soil(30, 40, 0.1), 'grit').spread!.middle;
    const stony = windowOf(pressed, soil(30, 40, 0.1, { gravelPct: 30 }), 'grit').spread!.middle;
    expect(bare).to.be.closeTo(30, 0.5);
    expect(stony).to.be.closeTo(51, 0.5);
    expect(windowOf(pressed, soil(30, 40, 0.1, { gravelPct: 30 }), 'clay').spread!.middle).to.be.closeTo(
      28,
      0.5
    );
  });

  it('go on what is known alone: one share, a stone nobody measured, heights in the place of mass', () => {
    const clayOnly = soil(40, 20, 1, { only: { layer: 'clay', pct: 20 }, mass: undefined });
    const judged = said(pressed, clayOnly);
    expect(judged.unknown).to.eql(['grit']);
    expect(judged.chance).to.be.above(0.99);
    expect([judged.partly, said(cob, soil(65, 20, 1)).partly]).to.eql([true, false]);
    expect(said(cob, clayOnly).unknown).to.eql(['grit', 'clayToSilt']);
    // Where nothing is known nothing speaks for it.
    const nothing = said(cob, { ...clayOnly, stoneMm: undefined, organicPct: undefined });
    expect([nothing.chance, nothing.doubt]).to.eql([0, undefined]);
    expect(said(cob, soil(65, 20, 1, { stoneMm: undefined, organicPct: undefined })).unknown).to.eql([
      'stone',
      'organic'
    ]);
    expect(said(rammed, soil(65, 15, 1, { mass: undefined })).on).to.equal('heights');
    expect(said(cob, soil(65, 20, 1, { heights: undefined })).on).to.equal('mass');
    expect(judgeTechnique(cob, { gravelPct: 0 })).to.equal(undefined);
  });

  it('say what the other basis says where the two part, and no more', () => {
    const heights = soil(40, 20, 1).heights;
    const apart = soil(65, 15, 1, { heights });
    expect(otherBasis(said(rammed, apart), apart)).to.include({ on: 'heights', chance: 0 });
    const alike = soil(65, 15, 1);
    expect(otherBasis(said(rammed, alike), alike)).to.equal(undefined);
    expect(otherBasis(said(rammed, apart), { ...apart, heights: undefined })).to.equal(undefined);
  });

  it('refuse facts that no soil has, and take none for one that can be', () => {
    expect(wallFactProblems({ gravelPct: 140, stoneMm: NaN, organicPct: -1 }).map((p) => p.field)).to.eql([
      'gravelPct',
      'stoneMm',
      'organicPct'
    ]);
    expect(wallFactProblems({ gravelPct: 0, stoneMm: 500 })).to.eql([]);
  });

  it('heed what was seen beside the jar', () => {
    expect(TECHNIQUES.map((t) => signSays('smeared', t))).to.eql(Array(4).fill('refused'));
    expect(TECHNIQUES.map((t) => signSays('sticky', t))).to.eql([undefined, 'refused', undefined, 'refused']);
    expect(signSays('cloudy', cob)).to.equal('warns');
    expect(new Set(WALL_OF).size).to.equal(WALL_OF.length);
  });
});
