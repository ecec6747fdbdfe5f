import { expect } from 'chai';
import {
  answerOf,
  answerUnder,
  estimateJar,
  inkOf,
  jarEstimator,
  KEPT_DRAWS,
  misfitOf,
  normalStream,
  notKnownYet,
  pullOf,
  RangeProblem,
  verdictOf,
  whatHelps,
  type ClassChance,
  type EstimateInput,
  type Evidence,
  type Fit,
  type Fractions,
  type JarEstimate
} from '../../../src/lib/core/index.ts';
import { likelihoodOf } from '../../../src/lib/core/estimate/evidence/likelihood.ts';
import { stepsAfter } from '../../../src/lib/core/estimate/help.ts';
import { emptyMake, makeOf, UNKNOWNS } from '../../../src/lib/core/estimate/unknowns.ts';

const MARKS: Evidence[] = [
  { kind: 'mark', timeS: 60, heightMm: 18 },
  { kind: 'mark', timeS: 7200, heightMm: 27 },
  { kind: 'mark', timeS: 86_400, heightMm: 31 }
];
const FILL: Evidence = { kind: 'dry-fill', heightMm: 30 };
const BANDS: Evidence = { kind: 'bands', atS: 172_800, sandTopMm: 18, siltTopMm: 28, clayTopMm: 32 };
const jar = (evidence: Evidence[]): EstimateInput => ({
  columnMm: 160,
  tempC: 19,
  effort: 'first',
  evidence: [FILL, ...evidence]
});

describe('an answer as it is kept', () => {
  const estimate = estimateJar(jar([...MARKS, BANDS]));
  const answer = answerOf(estimate);

  it('holds shares, covariance, chances and thinned draws that say the same as all of them', () => {
    expect(answer.draws).to.have.length(2 * KEPT_DRAWS);
    expect(answer.class.id).to.equal(answer.classes[0].id);
    const sand = answer.draws.filter((_, i) => i % 2 === 0);
    const mean = sand.reduce((a, b) => a + b) / sand.length;
    expect(mean).to.be.closeTo(answer.fractions.sand, 0.6);
    const spread = Math.sqrt(sand.reduce((sum, s) => sum + (s - mean) ** 2, 0) / sand.length);
    expect(spread).to.be.closeTo(answer.sd.sand, 0.3 * answer.sd.sand);
    // Shares sum to a hundred, so the third error follows from the covariance.
    const { sd, sandSilt } = answer;
    expect(Math.sqrt(sd.sand ** 2 + sd.silt ** 2 + 2 * sandSilt)).to.be.closeTo(sd.clay, 0.01);
  });

  it('is small enough for a list of thousands', () => {
    expect(JSON.stringify(answer).length).to.be.below(8000);
  });

  it('stands under other systems by its draws, and under its own by all of them', () => {
    const own = answerUnder(answer, 'usda');
    for (const { id, probability } of answer.classes) expect(own.probabilities[id]).to.equal(probability);
    for (const system of ['uk', 'fao', 'german'] as const) {
      const { probabilities, region } = answerUnder(answer, system);
      expect(Object.values(probabilities).reduce((a, b) => a + b)).to.be.closeTo(1, 1e-9);
      expect(region.values.reduce((a, b) => a + b)).to.be.closeTo(1, 0.02);
    }
  });

  it('lays its ink denser inward: each layer holds less than the one before', () => {
    const { level, ink } = inkOf(answer);
    [level, ...ink].forEach((one, i, all) => {
      if (i > 0) expect(one).to.be.at.least(all[i - 1]);
    });
  });
});

describe('what an answer comes to', () => {
  const chances = (...probabilities: number[]): ClassChance[] =>
    probabilities.map((probability, i) => ({ id: String(i), name: String(i), probability }));
  const fit = (...off: number[]): Fit[] =>
    off.map((o) => ({ kind: 'mark', timeS: 60, residualMm: o, sigmaMm: 1 }));
  const kind = (classes: ClassChance[], ...off: number[]) => verdictOf({ classes, fit: fit(...off) }).kind;

  it('is one class, one of two, not known yet, or none at all', () => {
    expect(kind(chances(0.85, 0.15))).to.equal('one');
    expect(kind(chances(0.5, 0.35, 0.15))).to.equal('two');
    expect(kind(chances(0.5, 0.2, 0.15, 0.15))).to.equal('one');
    expect(kind(chances(0.3, 0.3, 0.2, 0.2))).to.equal('unknown');
    expect(kind(chances(1))).to.equal('one');
    expect(kind(chances(0.99, 0.01), 0.1, 8)).to.equal('impossible');
  });

  it('names the height that does not fit', () => {
    expect(misfitOf(fit(0.5, -1, 1.5))).to.equal(undefined);
    expect(misfitOf(fit(0.5, -3.5, 1))!.residualMm).to.equal(-3.5);
    expect(misfitOf(fit(2.2, 2.1, -2.3))!.residualMm).to.equal(-2.3);
    expect(misfitOf([])).to.equal(undefined);
  });
});

const PARTS = ['sand', 'silt', 'clay'] as const;

describe('an estimator', () => {
  let full: JarEstimate;
  before(() => void (full = estimateJar({ ...jar([...MARKS, BANDS]), effort: 'full' })));

  it('weighs its draws anew when a tape moves, and comes near to what it would say afresh', () => {
    const estimate = jarEstimator();
    estimate(jar([...MARKS, BANDS]));
    const nudged: Evidence[] = [{ kind: 'mark', timeS: 60, heightMm: 18.1 }, ...MARKS.slice(1), BANDS];
    const again = estimate(jar(nudged));
    expect(again.calls).to.be.below(9500);
    for (const part of PARTS) expect(again.fractions[part]).to.be.closeTo(full.fractions[part], 2.5);
  });

  it('draws anew where a tape was dragged far from where its draws lie', () => {
    const estimate = jarEstimator();
    estimate(jar([...MARKS, BANDS]));
    const far: Evidence[] = [
      { kind: 'mark', timeS: 60, heightMm: 6 },
      { kind: 'mark', timeS: 7200, heightMm: 10 },
      MARKS[2],
      { ...BANDS, sandTopMm: 6, siltTopMm: 11 } as Evidence
    ];
    const again = estimate(jar(far));
    const fresh = estimateJar(jar(far));
    for (const part of PARTS) expect(again.fractions[part]).to.be.closeTo(fresh.fractions[part], 3);
  });

  it('takes a line alone, of those of the bands', () => {
    const lone = (o: object): Evidence => ({ kind: 'bands', atS: 172_800, ...o });
    const [sandy, silty] = [24, 8].map((sandTopMm) => estimateJar(jar([lone({ sandTopMm, clayTopMm: 32 })])));
    expect(sandy.fractions.sand).to.be.above(silty.fractions.sand + 25);
    expect(sandy.fit.map((f) => f.line)).to.have.members(['clay', 'sand']);
    expect(() => estimateJar(jar([lone({})]))).to.throw(RangeProblem);
  });

  it('moves no share by more than a point for a tenth of a millimetre', () => {
    const nudged: Evidence[] = [{ kind: 'mark', timeS: 60, heightMm: 18.1 }, ...MARKS.slice(1), BANDS];
    const b = estimateJar({ ...jar(nudged), effort: 'full' });
    for (const part of PARTS) expect(b.fractions[part]).to.be.closeTo(full.fractions[part], 1);
  });

  it('gives two seeds that agree, and halves that do', () => {
    const b = estimateJar({ ...jar([...MARKS, BANDS]), effort: 'full', seed: 2 });
    expect(full.settled && b.settled).to.equal(true);
    for (const part of PARTS) expect(b.fractions[part]).to.be.closeTo(full.fractions[part], 1.5);
  });

  it('says what the answer would be without each thing that is known', () => {
    const { strands, fractions } = estimateJar({
      ...jar([...MARKS, BANDS, { kind: 'water', atS: 172_800, seen: 'cloudy' }]),
      effort: 'full'
    });
    const without = (kind: Evidence['kind']) => strands.find((s) => s.evidence.kind === kind)!.without!;
    // Cloudy water speaks for clay: without it there is less.
    expect(without('water').clay).to.be.below(fractions.clay);
    // As if it had never been known.
    const marksOnly = estimateJar({
      ...jar([...MARKS, { kind: 'water', atS: 172_800, seen: 'cloudy' }]),
      effort: 'full'
    });
    expect(without('bands').sand).to.be.closeTo(marksOnly.fractions.sand, 5);
    const bands = strands.find((s) => s.evidence.kind === 'bands')!;
    const pull = pullOf(bands, { fractions })!;
    expect(pull.points).to.be.closeTo(fractions[pull.part] - bands.without![pull.part], 1e-9);
    expect(notKnownYet({ strands })).to.equal('time');
    expect(notKnownYet({ strands: strands.filter((s) => s.evidence.kind !== 'water') })).to.equal('water');
    const alone = estimateJar(jar([MARKS[0]])).strands.find((s) => s.evidence.kind === 'mark')!;
    expect(alone.without).to.equal(undefined);
  });
});

describe('trouble', () => {
  const knock = (atS: number): Evidence => ({ kind: 'trouble', id: 'knocked', atS });
  const spread = ({ sd }: { sd: Fractions }) => sd.sand + sd.silt + sd.clay;

  it('makes what was read after it less sure, and leaves what was marked before as it was', () => {
    const sigmas = (evidence: Evidence[]) => estimateJar(jar(evidence)).fit.map((f) => f.sigmaMm);
    const [sand, silt, clay, top, line] = sigmas([...MARKS, BANDS, knock(10_000)]);
    const [sandBefore, siltBefore, clayBefore, topBefore, lineBefore] = sigmas([...MARKS, BANDS]);
    expect([sand, silt]).to.deep.equal([sandBefore, siltBefore]);
    expect(clay).to.be.above(clayBefore);
    expect(top).to.be.above(topBefore);
    expect(line).to.be.above(2 * lineBefore);
  });

  it('widens the answer, which says what it would be without it', () => {
    const calm = estimateJar({ ...jar([...MARKS, BANDS]), effort: 'full' });
    const after = estimateJar({ ...jar([...MARKS, BANDS, knock(0)]), effort: 'full' });
    expect(spread(after)).to.be.above(1.1 * spread(calm));
    const { without } = after.strands.find((s) => s.evidence.kind === 'trouble')!;
    for (const part of ['sand', 'silt', 'clay'] as const)
      expect(without![part]).to.be.closeTo(calm.fractions[part], 3);
  });
});

describe('what would help', () => {
  it('is what is not known yet: bands beside marks, the water, another look while it settles', () => {
    const kinds = (evidence: Evidence[]) =>
      stepsAfter(evidence).steps.map((s) => `${s.kind} ${s.atS / 3600}`);
    expect(kinds(MARKS)).to.deep.equal(['bands 24', 'water 24', 'top 48']);
    expect(kinds([BANDS])).to.deep.equal(['water 48']);
    expect(kinds([MARKS[0]])).to.deep.equal(['bands 24', 'water 0.016666666666666666', 'top 24', 'top 48']);
  });

  it('is said with what it would bring, and the promise is kept on average', () => {
    const input = jar(MARKS);
    const estimate = estimateJar({ ...input, effort: 'full' });
    const helps = whatHelps({ ...input, ...estimate, ...stepsAfter(input.evidence) });
    expect(helps[0].kind).to.equal('bands');
    expect(helps[0].now).to.be.closeTo(estimate.classes[0].probability, 0.05);
    // Bands of jars that could be this one, read as they would be, and the whole estimated anew.
    const { could } = estimate;
    const blank: Evidence = { kind: 'bands', atS: 86_400, sandTopMm: 10, siltTopMm: 20, clayTopMm: 30 };
    const { heights, seen: stride, look } = likelihoodOf({ ...input, evidence: [blank] });
    const normal = normalStream(3);
    const truths = 6;
    let then = 0;
    for (let i = 0; i < truths; i++) {
      const place = Math.floor(((i + 0.5) * could.length) / UNKNOWNS / truths);
      const seen = new Float64Array(stride);
      look(makeOf(could, place * UNKNOWNS, emptyMake()), seen, 0);
      const [clay, sand, silt] = heights.map((h, j) => Math.max(0, seen[j] + h.sigmaMm * normal()));
      const siltTopMm = Math.max(sand, silt);
      const read: Evidence = { ...blank, sandTopMm: sand, siltTopMm, clayTopMm: Math.max(siltTopMm, clay) };
      then += estimateJar(jar([...MARKS, read])).classes[0].probability / truths;
    }
    expect(then).to.be.above(helps[0].now);
    expect(then).to.be.closeTo(helps[0].then, 0.2);
  });
});

describe('shares by eye', () => {
  const byEye = (sigmaPct?: number): Evidence => ({
    kind: 'by-eye',
    atS: 172_800,
    sandTopPct: 56,
    siltTopPct: 87,
    ...(sigmaPct ? { sigmaPct } : {})
  });

  it('say what the same lines say that a ruler read, and less surely', () => {
    const measured = estimateJar(jar([BANDS]));
    const judged = estimateJar(jar([byEye()]));
    for (const part of ['sand', 'silt', 'clay'] as const)
      expect(judged.fractions[part], part).to.be.closeTo(measured.fractions[part], judged.sd[part]);
    expect(judged.sd.sand).to.be.above(measured.sd.sand);
    expect(estimateJar(jar([byEye(12)])).sd.sand).to.be.above(judged.sd.sand);
  });

  it('are an answer of their own where not even the fill is known', () => {
    const { settled, fractions } = estimateJar({ columnMm: 160, tempC: 18, evidence: [byEye()] });
    expect(settled).to.equal(true);
    expect(fractions.sand).to.be.within(45, 70);
  });
});

describe('what jars differ from a laboratory by', () => {
  const eye = { by: 'eye' as const, timeS: 172_800 };
  const pairs = (n: number, clayLog: number): Evidence => ({
    kind: 'calibration',
    pairs: n,
    siltLog: -0.2,
    clayLog,
    lines: { sand: eye, silt: eye, clay: eye }
  });
  const clayWith = (...more: Evidence[]) => estimateJar(jar([BANDS, ...more])).fractions.clay;

  it('draws the answer its way, more so the more jars say it', () => {
    const alone = clayWith();
    const few = clayWith(pairs(1, -1.5));
    const many = clayWith(pairs(20, -1.5));
    expect(few).to.be.below(alone - 0.5);
    expect(many).to.be.below(few);
    expect(clayWith(pairs(20, 0.5))).to.be.above(alone + 0.5);
  });

  it('is a strand of the answer like any other', () => {
    const { strands } = estimateJar(jar([BANDS, pairs(4, -0.6)]));
    const strand = strands.find((one) => one.evidence.kind === 'calibration')!;
    expect(strand.without!.clay).to.be.closeTo(clayWith(), 1.5);
  });
});
