import { expect } from 'chai';
import fc from 'fast-check';
import { estimateJar, RangeProblem, type Evidence } from '../../../src/lib/core/index.ts';
import { jarModel } from '../../../src/lib/core/estimate/forward.ts';
import { linesOf, waterModel } from '../../../src/lib/core/estimate/looks.ts';
import { emptyMake, makeOf, UNKNOWNS, type JarMake } from '../../../src/lib/core/estimate/unknowns.ts';
import { MARK_S, readJar, runColumn, trueJar } from '../../jars/column.ts';
import { soilOf } from '../../jars/soil-of.ts';
import { holds } from '../../jars/region.ts';

const JAR = { columnMm: 160, tempC: 19 };
const MARKS: Evidence[] = [18, 27, 31, 32].map((heightMm, i) => ({
  kind: 'mark',
  timeS: MARK_S[i],
  heightMm
}));
const BANDS: Evidence = { kind: 'bands', atS: 172_800, sandTopMm: 18, siltTopMm: 28, clayTopMm: 32 };

const usual = (o: Partial<JarMake> = {}): JarMake => ({
  ...makeOf(new Float64Array(UNKNOWNS), 0, emptyMake()),
  ...o
});

describe('the forward model of a jar', () => {
  const look = (o: typeof JAR, jar: JarMake) => {
    const run = jarModel({ ...o, atS: MARK_S })(jar);
    const steps = MARK_S.map((s) => run.timesS.indexOf(s));
    const { sandM, siltM } = linesOf(run, steps[3]);
    return {
      tops: steps.map((i) => 1000 * run.topM[i]),
      sandMm: 1000 * sandM,
      siltMm: 1000 * siltM,
      midGL: waterModel(o)(jar, run.tauS[steps[3]])
    };
  };

  it('stands where a column of cells, in which every size falls by itself, comes to stand', () => {
    for (const [sand, silt, clay, loadKgM2, flocShare] of [
      [0.21, 0.66, 0.13, 32, 0.05],
      [0.17, 0.18, 0.65, 28, 0.95],
      [0.61, 0.09, 0.3, 16, 0.95],
      [0.43, 0.11, 0.46, 27, 0.05],
      [0.16, 0.57, 0.27, 55, 0.5]
    ]) {
      const jar = usual({ sand, silt, clay, loadKgM2, flocShare });
      const told = look(JAR, jar);
      const ran = runColumn(soilOf(jar), {
        ...JAR,
        loadKgM2,
        pack: jar.packing,
        filling: jar.filling,
        sinking: jar.sinking,
        eyeUm: jar.eyeUm,
        speedBy: jar.speed
      });
      const near = (mm: number) => 0.4 + 0.02 * mm;
      told.tops.forEach((mm, i) => expect(mm, `top ${i} of ${sand}`).to.be.closeTo(ran.tops[i], near(mm)));
      expect(told.sandMm, `sand of ${sand}`).to.be.closeTo(ran.sandMm, near(ran.sandMm));
      expect(told.siltMm, `silt of ${sand}`).to.be.closeTo(ran.siltMm, near(ran.siltMm));
      expect(Math.log(told.midGL)).to.be.closeTo(Math.log(ran.midGL), 0.15);
    }
  });

  it('loses nothing: in the end each band lies there with its own packing', () => {
    const alone = { filling: 0, sinking: 0, flocShare: 1, packing: { sand: 1500, silt: 1200, clay: 800 } };
    const jar = usual({ sand: 0.999, silt: 0.0005, clay: 0.0005, loadKgM2: 30, ...alone });
    expect(look(JAR, jar).tops[3]).to.be.closeTo((1000 * 30) / 1500, 0.05);
    const silt = usual({ sand: 0.0005, silt: 0.999, clay: 0.0005, loadKgM2: 30, ...alone });
    expect(look(JAR, silt).tops[3]).to.be.closeTo((1000 * 30) / 1200, 0.05);
  });

  it('keeps water cloudy while flocs are up, and clears it when they have come down', () => {
    const jar = usual({ flocShare: 1, sand: 0.2, silt: 0.2, clay: 0.6 });
    const { tauS, timesS } = jarModel({ ...JAR, atS: [60, 172_800] })(jar);
    const water = waterModel(JAR);
    expect(water(jar, tauS[timesS.indexOf(60)])).to.be.above((0.5 * 0.6 * jar.loadKgM2) / 0.16);
    expect(water(jar, tauS[timesS.indexOf(172_800)])).to.be.below(0.01);
  });

  it('never shrinks while nothing sinks, and crowded water is slower', () => {
    const deviates = fc.array(fc.double({ min: -2.5, max: 2.5, noNaN: true }), {
      minLength: UNKNOWNS,
      maxLength: UNKNOWNS
    });
    const model = jarModel({ ...JAR, atS: MARK_S });
    fc.assert(
      fc.property(deviates, (z) => {
        const jar = { ...makeOf(Float64Array.from(z), 0, emptyMake()), sinking: 0 };
        const { topM } = model(jar);
        for (let i = 1; i < topM.length; i++) expect(topM[i]).to.be.at.least(topM[i - 1] - 1e-12);
        expect(jar.sand + jar.silt + jar.clay).to.be.closeTo(1, 1e-9);
      }),
      { numRuns: 60 }
    );
    const fallen = (loadKgM2: number) => model(usual({ loadKgM2 })).tauS.at(-1) ?? 0;
    expect(fallen(60)).to.be.below(0.98 * fallen(15));
  });
});

describe('the estimate of a jar', () => {
  const quick = { ...JAR, effort: 'first' as const };
  const spread = (e: { sd: { sand: number; silt: number; clay: number } }) =>
    e.sd.sand + e.sd.silt + e.sd.clay;

  it('sums to a hundred in every draw, and is the same for the same seed', () => {
    const a = estimateJar({ ...quick, evidence: [...MARKS, BANDS], seed: 5 });
    const b = estimateJar({ ...quick, evidence: [...MARKS, BANDS], seed: 5 });
    expect(a.draws).to.deep.equal(b.draws);
    for (let i = 0; i < a.draws.length; i += 3)
      expect(a.draws[i] + a.draws[i + 1] + a.draws[i + 2]).to.be.closeTo(100, 1e-9);
    expect(a.fractions.sand + a.fractions.silt + a.fractions.clay).to.be.closeTo(100, 1e-9);
    expect(a.classes.reduce((sum, c) => sum + c.probability, 0)).to.be.closeTo(1, 1e-9);
  });

  it('does not depend on the order in which things became known', () => {
    const evidence: Evidence[] = [...MARKS, BANDS, { kind: 'water', atS: 172_800, seen: 'hazy' }];
    const a = estimateJar({ ...quick, evidence });
    const b = estimateJar({ ...quick, evidence: [...evidence].reverse() });
    expect(a.draws).to.deep.equal(b.draws);
  });

  it('narrows, on average, with what becomes known', () => {
    let [marks, bands, weighed] = [0, 0, 0];
    for (let seed = 1; seed <= 4; seed++) {
      const jar = trueJar(seed);
      const read = readJar(jar, 100 + seed);
      const of = (evidence: Evidence[]) =>
        spread(estimateJar({ columnMm: jar.columnMm, tempC: jar.tempC, evidence, effort: 'first' }));
      marks += of([...read.marks, ...read.fill]);
      bands += of([...read.marks, ...read.fill, ...read.bands, ...read.water]);
      weighed += of([...read.marks, ...read.fill, ...read.bands, ...read.water, ...read.weighed]);
    }
    expect(bands).to.be.below(0.9 * marks);
    expect(weighed).to.be.below(bands);
  });

  it('says how each height fits, and a line that cannot be one as far off', () => {
    const fits = estimateJar({ ...quick, evidence: [...MARKS, BANDS] }).fit;
    expect(fits.map((f) => f.line ?? f.kind)).to.deep.equal(['mark', 'mark', 'mark', 'mark', 'sand', 'silt']);
    for (const { residualMm, sigmaMm } of fits) expect(Math.abs(residualMm)).to.be.below(3 * sigmaMm);
    const odd: Evidence[] = [
      ...MARKS.slice(0, 2),
      { kind: 'mark', timeS: 7300, heightMm: 60 },
      ...MARKS.slice(2)
    ];
    const worst = Math.max(
      ...estimateJar({ ...quick, evidence: odd }).fit.map((f) => Math.abs(f.residualMm) / f.sigmaMm)
    );
    expect(worst).to.be.above(4);
  });

  it('ends, and says so, where no settling could make what was read', () => {
    const absurd: Evidence[] = [
      { kind: 'mark', timeS: 60, heightMm: 160 },
      { kind: 'mark', timeS: 7200, heightMm: 0 },
      { kind: 'mark', timeS: 86_400, heightMm: 159 },
      { kind: 'bands', atS: 172_800, sandTopMm: 0, siltTopMm: 0, clayTopMm: 0.1 },
      { kind: 'weighed', kgM2: 4000 }
    ];
    const e = estimateJar({ ...quick, evidence: absurd });
    expect(e.fractions.sand + e.fractions.silt + e.fractions.clay).to.be.closeTo(100, 1e-9);
    expect(Math.max(...e.fit.map((f) => Math.abs(f.residualMm) / f.sigmaMm))).to.be.above(10);
  });

  it('refuses what cannot stand in the jar, naming the field', () => {
    const refused = (evidence: Evidence[]) => {
      try {
        estimateJar({ ...quick, evidence });
      } catch (problem) {
        return (problem as RangeProblem).field;
      }
      return undefined;
    };
    expect(refused([])).to.equal('evidence');
    expect(refused([{ kind: 'mark', timeS: 60, heightMm: 161 }])).to.equal('heightMm');
    expect(refused([{ kind: 'mark', timeS: 0, heightMm: 20 }])).to.equal('timeS');
    expect(refused([{ ...BANDS, sandTopMm: 30 } as Evidence])).to.equal('bands');
    expect(refused([...MARKS, { kind: 'weighed', kgM2: -1 }])).to.equal('kgM2');
  });

  it('holds the truth in its region nine times in ten, on jars made another way', () => {
    let held = 0;
    const jars = 12;
    for (let i = 0; i < jars; i++) {
      // The first of those that the bench goes through.
      const jar = trueJar(1000 + i);
      const read = readJar(jar, 7000 + i);
      const evidence = [...read.marks, ...read.bands, ...read.water, ...read.fill];
      const e = estimateJar({ columnMm: jar.columnMm, tempC: jar.tempC, evidence });
      if (holds(e.draws, jar.fractions)) held++;
    }
    expect(held).to.be.within(9, jars);
  });
});
