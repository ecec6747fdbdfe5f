import {
  BED_PROFILES,
  bedFigures,
  judgeBore,
  jarEstimator,
  judgeProfile,
  ORGANIC_UNKNOWN,
  sharesAbout,
  judgeTechnique,
  mixOf,
  solveBlend,
  TECHNIQUES,
  type Material,
  soilDraws,
  USUAL_FIGURES,
  whatSettles,
  whatSettlesOfJar
} from '../src/lib/core/index.ts';
import { medianMs, report } from './measure.ts';

const DRAWS = 5000;

/** A judgement of a bed against the bare loop of its figures and windows; and what would settle one that is open. */
export function benchJudge(): void {
  const few = sharesAbout({ sand: 31, silt: 39, clay: 30 }, { sand: 6, clay: 7 });
  const shares = Float64Array.from({ length: 3 * DRAWS }, (_, i) => few[i % few.length]);
  const draws = soilDraws(shares, { pct: 2.5, sd: 1 });
  const [profile] = BED_PROFILES;
  const whole = medianMs(() => void judgeProfile(profile, draws), 25);
  let held = 0;
  const bare = medianMs(() => {
    for (let i = 0; i < DRAWS; i++) {
      const figures = bedFigures(
        { sand: shares[3 * i], silt: shares[3 * i + 1], clay: shares[3 * i + 2] },
        draws.organic[i]
      );
      if (figures.drains >= 3 && figures.stores >= 8 && figures.digs <= 35 && figures.caps <= 1.6) held++;
    }
  }, 25);
  if (held === 0) throw new Error('no soil held');
  report(
    'judgement of a bed, 5,000 draws',
    `${whole.toFixed(2)} ms`,
    `${(whole / bare).toFixed(2)} x the bare loop of its windows (${bare.toFixed(2)} ms)`
  );
  const kept = soilDraws(few, { pct: 2.5, sd: 1 });
  const asked = { ask: 'bore' as const, figures: USUAL_FIGURES };
  const settles = medianMs(() => void whatSettles({ shares: few, asked }), 9);
  const judged = medianMs(() => void judgeBore(kept), 25);
  report(
    'what would settle it, 300 draws',
    `${settles.toFixed(1)} ms`,
    `${(settles / judged).toFixed(0)} x the judgement itself (${judged.toFixed(3)} ms)`
  );
  const input = {
    columnMm: 160,
    tempC: 19,
    evidence: [
      { kind: 'dry-fill' as const, heightMm: 30 },
      { kind: 'bands' as const, atS: 86_400, sandTopMm: 18, siltTopMm: 28, clayTopMm: 32 }
    ]
  };
  const windows = [{ of: 'clay' as const, most: 12, reason: '' }];
  const bed = {
    ask: 'bed' as const,
    profile: { ...profile, windows },
    organic: ORGANIC_UNKNOWN,
    ground: null
  };
  const estimate = jarEstimator()({ ...input, effort: 'first' });
  const of = { shares: estimate.draws.slice(0, 900), asked: bed };
  const ofJar = medianMs(() => void whatSettlesOfJar(of, { ...input, ...estimate }, 86_400), 5);
  const anew = medianMs(() => void jarEstimator()({ ...input, effort: 'first' }), 5);
  report(
    'the same with what the jar would show',
    `${ofJar.toFixed(0)} ms`,
    `${(ofJar / anew).toFixed(2)} x the first answer it needs (${anew.toFixed(0)} ms)`
  );
}

/** Sand and clay of eight materials to hand, percent. */
const TO_HAND = [
  [20, 55],
  [95, 2],
  [10, 12],
  [60, 20],
  [40, 30],
  [75, 8],
  [30, 45],
  [55, 25]
];

/** A blend of eight materials against judging one mix of them: what the program and the search cost over the verdict. */
export function benchBlend(): void {
  const materials = TO_HAND.map(([sand, clay], i): Material => ({
    name: String(i),
    shares: { sand, silt: 100 - sand - clay, clay },
    sd: { sand: 3, clay: 3 },
    gravelPct: i,
    stoneMm: 4,
    organicPct: 0,
    moisturePct: 10,
    bucketKg: 14
  }));
  for (const technique of TECHNIQUES) {
    const solved = medianMs(() => void solveBlend({ technique, materials, buckets: 20 }), 9);
    const buckets = materials.map(() => 2);
    const judged = medianMs(() => {
      const mix = mixOf(materials, buckets);
      if (mix) judgeTechnique(technique, mix);
    }, 9);
    report(
      `a blend of 8 materials, ${technique.name}`,
      `${solved.toFixed(1)} ms`,
      `${(solved / judged).toFixed(1)} x judging one mix of them (${judged.toFixed(2)} ms)`
    );
  }
}
