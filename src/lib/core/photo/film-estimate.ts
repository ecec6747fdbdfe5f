import { known, lastOf } from '../known.ts';
import { RangeProblem } from '../errors.ts';
import { massFromTimedMarks, type MassJar, type TimedHeight } from '../jar/mass.ts';
import { CLAY_LIMIT_UM, USDA_SAND_LIMIT_UM, type Fractions } from '../physics/bands.ts';
import { settledYet, TOP_SIGMA_MM, type SettledAnswer, type TopReading } from '../jar/settled.ts';
import { fitTop } from '../jar/top-fit.ts';
import { fallingFront, topAt, trackTop, type Film, type Front, type TopAt } from './height-time.ts';

/** Points of the curve that an estimate is made from, evenly spread over log time. */
const POINTS = 24;
/** A film must span this many times its first moment to hold sand and clay both. */
const SPAN_LEAST = 30;

/** What a film says of its jar: composition by mass, when sand and silt were down, and where the bed stood then. */
export type FilmEstimate = {
  fractions: Fractions;
  solidsKgM2: number;
  /** When the last of the sand, and of the silt, reached the bottom in this jar, s after set-down. */
  sandS: number;
  siltS: number;
  /** Top of the bed at those times and at the end, mm; left out where the film does not reach. */
  sandMm?: number;
  siltMm?: number;
  endMm: number;
};

/** The curve as heights at even steps of log time. */
export function curvePoints(curve: readonly TopAt[], n = POINTS): TimedHeight[] {
  const [from, to] = [curve[0].timeS, curve[curve.length - 1].timeS];
  return Array.from({ length: n }, (_, i) => {
    const timeS = Math.min(to, from * (to / from) ** (i / (n - 1)));
    return { timeS, heightMm: known(topAt(curve, timeS), 'these times lie on the curve') };
  });
}

/**
 * Estimates a jar from the curve of its sediment: as from timed marks, only that there are many of them.
 *
 * @param jar water line, warmth, and what is taken for granted
 * @throws {RangeProblem} on `film` for a curve that is too short, or as {@link massFromTimedMarks}
 */
export function filmEstimate(curve: readonly TopAt[], jar: MassJar): FilmEstimate {
  const last = curve.at(-1);
  if (curve.length < 5 || !last || last.timeS < SPAN_LEAST * curve[0].timeS) {
    throw new RangeProblem(
      'film',
      'The pictures do not span enough time yet: from the first minutes to hours after set-down.'
    );
  }
  const { fractions, solidsKgM2, column } = massFromTimedMarks({ ...jar, marks: curvePoints(curve) });
  const sandS = column.timeOfCut(jar.limitUm ?? USDA_SAND_LIMIT_UM);
  const siltS = column.timeOfCut(CLAY_LIMIT_UM);
  return {
    fractions,
    solidsKgM2,
    sandS,
    siltS,
    sandMm: topAt(curve, sandS),
    siltMm: topAt(curve, siltS),
    endMm: last.heightMm
  };
}

/** Tops that stand for the whole curve where only a few are kept. */
const TOPS_KEPT = 10;

/** A few tops of the curve, evenly over the later time that was filmed: what is kept as readings of the top. */
export function keptTops(curve: readonly TopAt[], n = TOPS_KEPT): TopReading[] {
  const last = curve.at(-1);
  if (!last) return [];
  const late = curve.filter((p) => p.timeS >= last.timeS / 8);
  const at = (i: number) => late[Math.round((i * (late.length - 1)) / (n - 1))];
  const kept = late.length <= n ? late : Array.from({ length: n }, (_, i) => at(i));
  return kept.map(({ timeS, heightMm }) => ({ timeS, heightMm: Math.round(heightMm * 10) / 10 }));
}

/** Everything that a film says. */
export type FilmReading = {
  curve: TopAt[];
  front?: Front;
  estimate?: FilmEstimate;
  /** Why there is no composition yet. */
  problem?: string;
  settled: SettledAnswer;
};

/**
 * Reads a film: the curve of the sediment, the falling front, the composition, and whether the jar is settled.
 *
 * @param o.loadKgM2 load by the dry fill, for what the film cannot tell yet
 * @throws {RangeProblem} on `film` for fewer than three pictures
 */
export function readFilm(o: { film: Film; jar: MassJar; waterMm: number; loadKgM2: number }): FilmReading {
  const curve = trackTop(o.film);
  const front = fallingFront(o.film, curve, { waterMm: o.waterMm, tempC: o.jar.tempC });
  let estimate: FilmEstimate | undefined;
  let problem: string | undefined;
  try {
    estimate = filmEstimate(curve, o.jar);
  } catch (error) {
    if (!(error instanceof RangeProblem)) throw error;
    problem = error.message;
  }
  const settled = settledYet({
    jar: { columnMm: o.jar.columnMm, tempC: o.jar.tempC, solidsKgM2: estimate?.solidsKgM2 ?? o.loadKgM2 },
    tops: keptTops(curve),
    nowS: lastOf(o.film.frames).timeS,
    clarity: 'unseen',
    sigmaMm: TOP_SIGMA_MM,
    fit: fitTop
  });
  return { curve, front, estimate, problem, settled };
}
