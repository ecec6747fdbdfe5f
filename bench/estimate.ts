import {
  classifyTexture,
  estimateJar,
  jarEstimator,
  normalStream,
  type Evidence
} from '../src/lib/core/index.ts';
import { jarModel } from '../src/lib/core/estimate/forward.ts';
import { likelihoodOf } from '../src/lib/core/estimate/evidence/likelihood.ts';
import { emptyMake, makeOf, UNKNOWNS } from '../src/lib/core/estimate/unknowns.ts';
import { MARK_S, readJar, trueJar, type TrueJar } from '../tests/jars/column.ts';
import { holds } from '../tests/jars/region.ts';
import { bareJar } from './bare-jar.ts';
import { median, medianMs, report } from './measure.ts';

const JARS = 100;
const SEED_PAIRS = 24;
/** So many jars the forward model is timed on. */
const MAKES = 1000;
const PARTS = ['sand', 'silt', 'clay'] as const;
/** What each way of reading a jar knows of it. */
const WAYS = {
  'four marks': ['marks', 'fill'],
  'marks and bands': ['marks', 'fill', 'bands', 'water'],
  'and soil weighed': ['marks', 'fill', 'bands', 'water', 'weighed']
} as const;

type Figures = {
  square: number;
  held: number;
  said: number;
  right: number;
  bins: [number, number, number][];
};

function measure(
  jars: { jar: TrueJar; read: ReturnType<typeof readJar> }[],
  kinds: readonly string[]
): Figures {
  const out: Figures = { square: 0, held: 0, said: 0, right: 0, bins: [] };
  for (const { jar, read } of jars) {
    const evidence = kinds.flatMap((kind): Evidence[] => read[kind as 'marks']);
    const e = estimateJar({ columnMm: jar.columnMm, tempC: jar.tempC, evidence });
    out.square += PARTS.reduce((sum, p) => sum + (e.fractions[p] - jar.fractions[p]) ** 2 / 3, 0);
    if (holds(e.draws, jar.fractions)) out.held++;
    const { id, probability } = e.classes[0];
    const right = id === classifyTexture('usda', jar.fractions).id ? 1 : 0;
    out.said += probability;
    out.right += right;
    const bin = (out.bins[Math.min(4, Math.floor(probability * 5))] ??= [0, 0, 0]);
    bin[0]++;
    bin[1] += probability;
    bin[2] += right;
  }
  return out;
}

/** How true the estimate of a jar is, on jars made another way; how steady over seeds; and what it costs. */
export function benchEstimate(): void {
  const jars = Array.from({ length: JARS }, (_, i) => ({
    jar: trueJar(1000 + i),
    read: readJar(trueJar(1000 + i), 7000 + i)
  }));
  const pct = (x: number, of: number) => `${((100 * x) / of).toFixed(0)} %`;
  console.log(`\nEstimate of a jar, on ${JARS} simulated jars:`);
  for (const [way, kinds] of Object.entries(WAYS)) {
    const f = measure(jars, kinds);
    const bins = f.bins.flatMap((bin) =>
      bin ? [`${pct(bin[1], bin[0])}/${pct(bin[2], bin[0])} (${bin[0]})`] : []
    );
    report(
      way,
      `${Math.sqrt(f.square / JARS).toFixed(1)} points rms, region holds ${pct(f.held, JARS)}`,
      `said ${pct(f.said, JARS)}, right ${pct(f.right, JARS)}; said/right by fifths: ${bins.join(', ')}`
    );
    const apart = jars.slice(0, SEED_PAIRS).map(({ jar, read }) => {
      const evidence = kinds.flatMap((kind): Evidence[] => read[kind as 'marks']);
      const [a, b] = [1, 2].map(
        (seed) => estimateJar({ columnMm: jar.columnMm, tempC: jar.tempC, evidence, seed }).fractions
      );
      return Math.max(...PARTS.map((p) => Math.abs(a[p] - b[p])));
    });
    report(
      '  two seeds apart, points',
      `${median(apart).toFixed(2)} (median), ${Math.max(...apart).toFixed(2)} (worst)`,
      `of ${SEED_PAIRS} jars, the largest of three means`
    );
  }

  const { jar, read } = jars[0];
  const o = {
    columnMm: jar.columnMm,
    tempC: jar.tempC,
    evidence: [...read.marks, ...read.bands, ...read.water, ...read.fill]
  };
  const likelihood = likelihoodOf(o);
  const make = emptyMake();
  const seen = new Float64Array(likelihood.seen);
  for (const effort of ['first', 'full'] as const) {
    const whole = medianMs(() => void estimateJar({ ...o, effort }), 5);
    const { calls } = estimateJar({ ...o, effort });
    const normal = normalStream(1);
    const z = new Float64Array(2000 * UNKNOWNS).map(() => normal());
    const alone = medianMs(() => {
      for (let i = 0; i < calls; i++) likelihood.look(makeOf(z, (i % 2000) * UNKNOWNS, make), seen, 0);
    }, 5);
    report(
      `estimate, ${effort}`,
      `${whole.toFixed(0)} ms`,
      `${(whole / alone).toFixed(2)} x its ${calls} calls of the model alone (${alone.toFixed(0)} ms)`
    );
  }
  const makes = Array.from({ length: MAKES }, (_, i) => {
    const normal = normalStream(i + 1);
    const z = Float64Array.from({ length: UNKNOWNS }, () => normal());
    return makeOf(z, 0, emptyMake());
  });
  const model = jarModel({ ...o, atS: MARK_S });
  const bare = bareJar(o, model.timesS);
  const last = model.timesS.length - 1;
  for (const one of makes.slice(0, 20))
    if (Math.abs(model(one).topM[last] - bare(one)) > 1e-9) throw new Error('The bare loop is another jar.');
  const whole = medianMs(() => makes.forEach((one) => void model(one)), 9);
  const loop = medianMs(() => makes.forEach((one) => void bare(one)), 9);
  report(
    'forward model of a jar',
    `${((1000 * whole) / MAKES).toFixed(1)} us`,
    `${(whole / loop).toFixed(2)} x a bare loop of its arithmetic (${((1000 * loop) / MAKES).toFixed(1)} us)`
  );
  const estimator = jarEstimator();
  estimator({ ...o, effort: 'first' });
  let turn = 0;
  const moved = medianMs(() => {
    const by = 0.1 * (turn++ % 5);
    const evidence = o.evidence.map((e, i) =>
      i === 1 && e.kind === 'mark' ? { ...e, heightMm: e.heightMm + by } : e
    );
    estimator({ ...o, evidence, effort: 'first' });
  }, 9);
  report('estimate, a tape moved', `${moved.toFixed(0)} ms`, 'the same draws weighed anew');
}
