import { expect } from 'chai';
import fc from 'fast-check';
import {
  grainHeights,
  heightTimePicture,
  jarOfSettings,
  linesNow,
  lying,
  momentOf,
  scatterGrains,
  STANDARD_VESSELS,
  tapeCut,
  tapesSay,
  trackJar,
  truthOf,
  waterAt,
  wholeOf,
  type JarSettings,
  type PracticeJar
} from '../../../../src/lib/core/index.ts';
import { jarModel } from '../../../../src/lib/core/estimate/forward.ts';
import { linesOf, waterModel } from '../../../../src/lib/core/estimate/looks.ts';
import { MARK_S, runColumn } from '../../../jars/column.ts';
import { soilOf } from '../../../jars/soil-of.ts';

const JAR: PracticeJar = {
  fractions: { sand: 40, silt: 40, clay: 20 },
  soilMm: 40,
  waterMm: 128,
  innerDiameterMm: 94,
  tempC: 18,
  dispersant: true,
  hardWater: false,
  shakenMin: 10,
  mishaps: [],
  seed: 0
};
const soils = fc
  .tuple(fc.integer({ min: 5, max: 85 }), fc.integer({ min: 3, max: 60 }))
  .filter(([sand, clay]) => sand + clay <= 95)
  .map(([sand, clay]) => ({ sand, silt: 100 - sand - clay, clay }));
const jars = fc.record({
  fractions: soils,
  soilMm: fc.integer({ min: 10, max: 42 }),
  tempC: fc.integer({ min: 4, max: 30 }),
  seed: fc.integer({ min: 0, max: 1000 })
});
const of = (f: { sand: number; silt: number; clay: number }) => f.sand + f.silt + f.clay;

describe('the settling jar', () => {
  it('stands where the forward model has it, at any time that it is asked for, within half a percent', () => {
    fc.assert(
      fc.property(jars, fc.double({ min: Math.log(2), max: Math.log(600_000), noNaN: true }), (o, ln) => {
        const track = trackJar({ ...JAR, ...o });
        const timeS = Math.exp(ln);
        // The model asked at close steps that are none of the jar's own, and at the time itself.
        const atS = [timeS];
        for (let s = 0.043; s < timeS; s *= 1.05) atS.push(s);
        const run = jarModel({ columnMm: 128, tempC: o.tempC, atS })(track.jar.make);
        const model = 1000 * run.topM[run.timesS.indexOf(timeS)];
        expect(momentOf(track, timeS).topMm).to.be.closeTo(model, 0.005 * model);
      }),
      { numRuns: 60 }
    );
  });

  it('stands within half a percent of the column of what the estimate takes it for, at its own wider steps', () => {
    fc.assert(
      fc.property(jars, (o) => {
        const track = trackJar({ ...JAR, ...o, soilMm: Math.min(o.soilMm, 30) });
        const run = jarModel({ columnMm: 128, tempC: o.tempC, atS: MARK_S })(track.jar.make);
        for (const s of MARK_S)
          expect(momentOf(track, s).topMm).to.be.closeTo(1000 * run.topM[run.timesS.indexOf(s)], 0.005 * 128);
      }),
      { numRuns: 60 }
    );
  });

  it('stands where a column of cells does, in which every size falls by itself: overfilled too', () => {
    for (const [sand, silt, clay] of [
      [20, 20, 60],
      [5, 15, 80],
      [40, 40, 20]
    ])
      for (const soilMm of [40, 90]) {
        const track = trackJar({ ...JAR, fractions: { sand, silt, clay }, soilMm, shakenMin: 30 });
        const { make, columnMm, tempC } = track.jar;
        const cells = runColumn(soilOf(make), {
          columnMm,
          tempC,
          loadKgM2: make.loadKgM2,
          pack: make.packing,
          filling: make.filling,
          sinking: make.sinking,
          eyeUm: make.eyeUm,
          speedBy: make.speed
        });
        MARK_S.forEach((s, i) =>
          expect(momentOf(track, s).topMm, `${clay} % of clay, ${soilMm} mm, ${s} s`).to.be.closeTo(
            cells.tops[i],
            0.4 + 0.02 * cells.tops[i]
          )
        );
      }
  });

  it('draws its lines and clears its water as the estimate does', () => {
    const track = trackJar(JAR);
    const { timesS, tauS } = track.settlings[0];
    const atS = [...timesS];
    const run = jarModel({ columnMm: 128, tempC: 18, atS })(track.jar.make);
    const step = timesS.findIndex((s) => s > 90_000);
    const moment = momentOf(track, timesS[step]);
    const lines = linesOf(run, step);
    expect(linesNow(track, moment).sandMm).to.be.closeTo(1000 * lines.sandM, 0.05);
    expect(linesNow(track, moment).siltMm).to.be.closeTo(1000 * lines.siltM, 0.05);
    const gL = waterModel({ columnMm: 128, tempC: 18 })(track.jar.make, tauS[step]);
    expect(of(waterAt(moment, 0.5))).to.be.closeTo(gL, 0.02 * gL);
  });

  it('loses no soil: what lies grows, and all of it lies or is in the water', () => {
    fc.assert(
      fc.property(jars, (o) => {
        const track = trackJar({ ...JAR, ...o });
        let before = 0;
        for (const timeS of [0, 1, 30, 60, 600, 7200, 90_000, 600_000]) {
          const lies = of(lying(track, momentOf(track, timeS)));
          expect(lies).to.be.at.least(before - 1e-9);
          before = lies;
        }
        expect(before).to.be.at.most(of(wholeOf(track)) + 1e-9);
        const truth = truthOf(track);
        expect(truth.sand).to.be.closeTo(o.fractions.sand, 0.01);
        expect(truth.clay).to.be.closeTo(o.fractions.clay, 0.01);
      }),
      { numRuns: 40 }
    );
  });

  it('lays as many grains as mass: on the bed what lies, in the water what does not', () => {
    for (const mishaps of [[], ['knocked']] as const) {
      const track = trackJar({ ...JAR, mishaps });
      const grains = scatterGrains(track, 3000, 1);
      const heights = new Float32Array(3000);
      for (const timeS of [1, 20, 60, 600, 1200, 7200, 172_800]) {
        const moment = momentOf(track, timeS);
        grainHeights(track, grains, moment, heights);
        const share = heights.filter((mm) => mm <= moment.topMm + 1e-4).length / heights.length;
        const lies = of(lying(track, moment)) / of(wholeOf(track));
        expect(share, `${mishaps.join()} ${timeS} s`).to.be.closeTo(lies, 0.025);
        expect(Math.max(...heights)).to.be.at.most(128);
        expect(Math.min(...heights)).to.be.at.least(0);
      }
    }
  });

  it('tells what a tape cuts, and what three of them say', () => {
    const track = trackJar(JAR);
    const sand = tapeCut(track, 60);
    expect(sand.heightMm).to.equal(momentOf(track, 60).topMm);
    expect(sand.below.sand).to.be.above(90);
    expect(sand.below.silt).to.be.within(5, 60);
    expect(tapesSay(track, [{ timeS: 60 }, { timeS: 7200 }])).to.equal(undefined);
    const says = tapesSay(track, [{ timeS: 172_800 }, { timeS: 60 }, { timeS: 7200 }])!;
    // Marked by the clock, fines under the sand mark make a soil look coarser than it is.
    expect(says.byMass.sand).to.be.above(41);
    expect(says.byHeight.sand + says.byHeight.silt + says.byHeight.clay).to.be.closeTo(100, 1e-6);
    expect(tapeCut(track, 0).below.sand).to.equal(0);
  });

  const vessel = STANDARD_VESSELS.find((one) => one.id === 'jar-litre')!;
  const settings: JarSettings = {
    fractions: JAR.fractions,
    soilMm: 43,
    waterMm: 128,
    tempC: 18,
    shakenMin: 10,
    dispersant: true,
    hardWater: false,
    wrong: []
  };
  const topAt = (o: Partial<JarSettings>, timeS: number) =>
    momentOf(trackJar(jarOfSettings({ ...settings, ...o }, vessel).jar), timeS);

  it('shows what goes wrong', () => {
    const usual = topAt({}, 60);
    expect(topAt({ wrong: ['cold'] }, 60).topMm).to.be.below(usual.topMm);
    expect(topAt({ wrong: ['overfilled'] }, 3600).topMm).to.be.above(1.5 * topAt({}, 3600).topMm);
    expect(topAt({ wrong: ['little'] }, 172_800).topMm).to.be.below(10);
    // Flocs bring the clay down within hours.
    const flocs = trackJar(jarOfSettings({ ...settings, wrong: ['flocs'] }, vessel).jar);
    expect(lying(flocs, momentOf(flocs, 7200)).clay / wholeOf(flocs).clay).to.be.above(0.8);
    const plain = trackJar(jarOfSettings(settings, vessel).jar);
    expect(lying(plain, momentOf(plain, 7200)).clay / wholeOf(plain).clay).to.be.below(0.5);
    expect(jarOfSettings({ ...settings, wrong: ['early'] }, vessel).readAtS).to.equal(600);
    // Stones raise the floor; a lean raises what is read; foam holds fines back for good; crumbs lie with the sand.
    expect(topAt({ wrong: ['stones'] }, 0).topMm).to.be.above(3);
    const leaning = trackJar(jarOfSettings({ ...settings, wrong: ['tilted'] }, vessel).jar);
    expect(tapeCut(leaning, 60).heightMm - momentOf(leaning, 60).topMm).to.be.closeTo(4.9, 0.2);
    const foamy = trackJar(jarOfSettings({ ...settings, wrong: ['foam'] }, vessel).jar);
    expect(lying(foamy, momentOf(foamy, 604_800)).silt / wholeOf(foamy).silt).to.be.closeTo(0.92, 0.005);
    const crumbly = trackJar(jarOfSettings({ ...settings, shakenMin: 1 }, vessel).jar);
    expect(tapeCut(crumbly, 60).below.clay).to.be.above(tapeCut(plain, 60).below.clay + 10);
  });

  it('sends a third of the bed up again at a knock, and lets it settle anew', () => {
    const knocked = trackJar({ ...JAR, mishaps: ['knocked'] });
    const before = momentOf(knocked, 890).topMm;
    const after = momentOf(knocked, 930).topMm;
    expect(after).to.be.within(0.6 * before, 0.95 * before);
    expect(of(lying(knocked, momentOf(knocked, 604_800)))).to.be.closeTo(
      of(lying(trackJar(JAR), momentOf(trackJar(JAR), 604_800))),
      0.04 * of(wholeOf(knocked))
    );
  });

  it('pictures itself in whole colours, the same every time', () => {
    const data = heightTimePicture(trackJar(JAR), 40, 30);
    expect(data).to.have.length(40 * 30 * 4);
    expect(data).to.deep.equal(heightTimePicture(trackJar(JAR), 40, 30));
  });

  it('refuses a jar without soil or water', () => {
    expect(() => trackJar({ ...JAR, soilMm: 0 })).to.throw('above zero');
    expect(() => trackJar({ ...JAR, waterMm: Number.NaN })).to.throw('above zero');
  });
});
