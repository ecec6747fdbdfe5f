import { jarModel, type JarRun } from '../../estimate/forward.ts';
import { SINK_S } from '../../estimate/priors.ts';
import { BANDS, FLOC_SIZES, sizeClasses, type SizeClass } from '../../estimate/sizes.ts';
import { settlingVelocity, QUARTZ_DENSITY } from '../../physics/settling.ts';
import { KNOCK, modelledJar, type ModelledJar, type PracticeJar } from './practice-jar.ts';

/** How long a practice jar is followed, s: a week. */
export const TRACK_END_S = 604_800;
const FIRST_S = 0.05;
const STEP = 1.045;

/** One settling, from an even suspension on: the second begins where a jar was knocked. Heights in mm over the inside bottom. */
export type Settling = {
  /** When it begins, s after set-down; its own times count from there. */
  fromS: number;
  floorMm: number;
  columnMm: number;
  loadKgM2: number;
  /** Of each step: its end, the warped time, how far the bed meets the grains (share of the column), its layer as it came down, and the share of it that sinks. */
  timesS: Float64Array;
  tauS: Float64Array;
  met: Float64Array;
  layerMm: Float64Array;
  sinks: Float64Array;
  /** Of each step's layer: shares of what falls as sand and of what looks coarse. */
  sandShare: Float64Array;
  coarseShare: Float64Array;
  /** Of each class, coarse first and flocs last: its share of these solids, columns it falls in a second, its size. */
  share: Float64Array;
  speed: Float64Array;
  /** The fastest and the slowest of each class. */
  fast: Float64Array;
  slow: Float64Array;
  sizeUm: Float64Array;
  /** 0 sand, 1 silt, 2 clay. */
  band: Uint8Array;
  /** Of each layer of the settling before, the share that was left lying. */
  keptBefore?: Float64Array;
};

/** A practice jar over a week. */
export type JarTrack = { jar: ModelledJar; settlings: readonly Settling[] };

function settlingOf(
  o: { fromS: number; floorMm: number; columnMm: number; loadKgM2: number; jar: ModelledJar },
  classes?: ArrayLike<number>
): Settling {
  const { jar, columnMm, loadKgM2, fromS, floorMm } = o;
  const atS: number[] = [];
  for (let s = FIRST_S; s < TRACK_END_S - fromS; s *= STEP) atS.push(s);
  atS.push(TRACK_END_S - fromS);
  const water = { tempC: jar.tempC, particleDensity: QUARTZ_DENSITY };
  const model = jarModel({ columnMm, ...water, atS });
  const run: JarRun = model({ ...jar.make, loadKgM2 }, classes);
  const { share, speed } = model.classes;
  const perSecond = (v: number) => (v * jar.make.speed * 1000) / columnMm;
  const grains: SizeClass[] = sizeClasses(water);
  const flocs = FLOC_SIZES.map((by) => jar.make.flocUm * by);
  const flocSpeeds = flocs.map((diameterUm) => perSecond(settlingVelocity({ ...water, diameterUm })));
  return {
    fromS,
    floorMm,
    columnMm,
    loadKgM2,
    timesS: run.timesS,
    tauS: run.tauS,
    met: run.met,
    layerMm: run.layerM.map((m) => 1000 * m),
    sinks: run.sinks,
    sandShare: run.sandShare,
    coarseShare: run.coarseShare,
    share: share.slice(),
    speed: speed.slice(),
    fast: Float64Array.from([...grains.map((g) => perSecond(g.topSpeed)), ...flocSpeeds]),
    slow: Float64Array.from([...grains.map((g) => perSecond(g.bottomSpeed)), ...flocSpeeds]),
    sizeUm: Float64Array.from([...grains.map((g) => Math.exp((g.topLn + g.bottomLn) / 2)), ...flocs]),
    band: Uint8Array.from([
      ...grains.map((g) => BANDS.findIndex((b) => b.name === g.band)),
      ...flocs.map(() => 2)
    ])
  };
}

/** Share of a class that lies at a step, 0 to 1. */
export const downAt = (s: Settling, c: number, step: number): number =>
  step < 0 ? 0 : Math.min(1, s.speed[c] * s.tauS[step] + s.met[step]);

/** Share of a layer's height that is left at a time, s after the settling began. */
export const leftOf = (s: Settling, step: number, sinceS: number): number =>
  1 - s.sinks[step] * (1 - Math.exp(-Math.max(0, sinceS - s.timesS[step]) / SINK_S));

/**
 * Follows a practice jar from set-down over a week: the forward model of the estimate, at steps so close that nobody sees them.
 * A knock sends the upper part of the bed up again with what was still up, and all of that settles anew on the rest.
 *
 * @throws {RangeProblem} for a fill or a water line that is not above zero
 */
export function trackJar(o: PracticeJar): JarTrack {
  const jar = modelledJar(o);
  const first = settlingOf({
    fromS: 0,
    floorMm: jar.floorMm,
    columnMm: jar.columnMm,
    loadKgM2: jar.make.loadKgM2,
    jar
  });
  if (jar.knockS === undefined) return { jar, settlings: [first] };
  return { jar, settlings: knocked(first, jar) };
}

function knocked(first: Settling, jar: ModelledJar): Settling[] {
  const end = first.timesS.findIndex((s) => s >= KNOCK.atS);
  const atS = first.timesS[end];
  const left = Array.from({ length: end + 1 }, (_, i) => first.layerMm[i] * leftOf(first, i, atS));
  const whole = left.reduce((sum, mm) => sum + mm, 0);
  let stays = whole * (1 - KNOCK.upShare);
  /** Of each step's layer the share that stays lying. */
  const kept = left.map((mm) => {
    const share = mm > 0 ? Math.min(1, Math.max(0, stays / mm)) : 1;
    stays -= mm * share;
    return share;
  });
  const up = first.share.map((share, c) => {
    let rises = share * (1 - downAt(first, c, end));
    kept.forEach(
      (keeps, i) => (rises += share * (1 - keeps) * (downAt(first, c, i) - downAt(first, c, i - 1)))
    );
    return rises;
  });
  const all = up.reduce((sum, share) => sum + share, 0);
  const bedMm = whole * (1 - KNOCK.upShare);
  const cut = (column: Float64Array) => column.slice(0, end + 1);
  const before: Settling = {
    ...first,
    timesS: cut(first.timesS),
    tauS: cut(first.tauS),
    met: cut(first.met),
    layerMm: cut(first.layerMm),
    sinks: cut(first.sinks),
    sandShare: cut(first.sandShare),
    coarseShare: cut(first.coarseShare)
  };
  const after = settlingOf(
    {
      fromS: atS,
      floorMm: first.floorMm + bedMm,
      columnMm: first.columnMm - bedMm,
      loadKgM2: first.loadKgM2 * all,
      jar
    },
    up.map((share) => share / all)
  );
  return [before, { ...after, keptBefore: Float64Array.from(kept) }];
}
