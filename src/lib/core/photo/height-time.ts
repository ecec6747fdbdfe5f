import { lastOf } from '../known.ts';
import { RangeProblem } from '../errors.ts';
import { cutDiameter } from '../physics/settling.ts';
import type { LabColour } from './picture.ts';
import { segmentProfile, type Boundary } from './segment.ts';
import type { Strip, StripProfile } from './strip.ts';

/** Where the strip of a film lies in its pictures, and the rows that are kept of each. */
export type FilmStrip = Strip & { rowMm: number; rows: number };

/** Rows kept of a picture of a film. */
export const FILM_ROWS = 240;

/** One picture of a film: when, s after set-down, and the colours of its strip, bottom first. */
export type Frame = { timeS: number; colours: readonly LabColour[] };

/** A height-time picture: frames in order of time. */
export type Film = { fromMm: number; rowMm: number; frames: readonly Frame[] };

/** Top of the sediment in one frame; undefined where it could not be told. */
export type TopAt = { timeS: number; heightMm: number; sigmaMm: number };

/** The rows of a profile as means of an even number of rows. */
export function filmColumn(profile: StripProfile, rows = FILM_ROWS): LabColour[] {
  const { colours } = profile;
  return Array.from({ length: rows }, (_, i) => {
    const from = Math.floor((i * colours.length) / rows);
    const to = Math.max(from + 1, Math.floor(((i + 1) * colours.length) / rows));
    const sum = [0, 0, 0];
    for (let j = from; j < to; j++) for (let k = 0; k < 3; k++) sum[k] += colours[j][k];
    return [sum[0] / (to - from), sum[1] / (to - from), sum[2] / (to - from)];
  });
}

/** When the next picture is to be taken, s after set-down: every few seconds at first, then ever more seldom. */
export function nextFrameS(timeS: number): number {
  return timeS + Math.min(900, Math.max(4, 0.06 * timeS));
}

/** A line of a film may be fainter than one in a single picture: it is borne out by the frames around it. */
const LINE_LEAST = 0.2;
/** What being the uppermost line counts beside its confidence; what a millimetre of rise, and of fall, costs. */
const UPPERMOST = 0.7;
const RISE_COST = 0.06;
const FALL_COST = 0.5;
/** Cost of leaving a frame without a top. */
const LEFT_OUT = 0.3;

/**
 * Follows the top of the sediment through a film: of the lines of each frame the one that is uppermost, plain, and
 * goes on from the frame before. The whole path is chosen at once, by dynamic programming.
 *
 * @returns the frames in which a top was found, in order of time
 * @throws {RangeProblem} on `film` for fewer than three frames
 */
export function trackTop(film: Film): TopAt[] {
  const { frames, fromMm, rowMm } = film;
  if (frames.length < 3) {
    throw new RangeProblem('film', 'Three pictures at least make a row. Take or add more.');
  }
  const lines = frames.map((f) =>
    segmentProfile({
      fromMm: fromMm + rowMm / 2,
      rowMm,
      colours: [...f.colours],
      kept: [],
      minConfidence: LINE_LEAST
    })
  );
  type Node = { line: Boundary | undefined; score: number; from: number; lastMm: number };
  const steps: Node[][] = [];
  lines.forEach((found, i) => {
    const before = steps[i - 1] ?? [{ line: undefined, score: 0, from: -1, lastMm: NaN }];
    const options: (Boundary | undefined)[] = [...found, undefined];
    steps.push(
      options.map((line, k) => {
        const own = line ? line.confidence + (k === found.length - 1 ? UPPERMOST : 0) : -LEFT_OUT;
        let best: Node = { line, score: -Infinity, from: -1, lastMm: NaN };
        before.forEach((node, from) => {
          const move = line && !Number.isNaN(node.lastMm) ? line.heightMm - node.lastMm : 0;
          const score = node.score + own - (move < 0 ? -move * FALL_COST : move * RISE_COST);
          const lastMm = line ? line.heightMm : node.lastMm;
          if (score > best.score) best = { line, score, from, lastMm };
        });
        return best;
      })
    );
  });
  const path: TopAt[] = [];
  let at = lastOf(steps).reduce((best, node, i, all) => (node.score > all[best].score ? i : best), 0);
  for (let i = frames.length - 1; i >= 0; i--) {
    const node = steps[i][at];
    if (node.line) {
      path.unshift({
        timeS: frames[i].timeS,
        heightMm: node.line.heightMm,
        sigmaMm: Math.hypot(node.line.sigmaMm, rowMm / 2)
      });
    }
    at = node.from;
  }
  return path;
}

/**
 * Height of the sediment at a time, read off its curve: a straight line over log time between two tops.
 * @returns mm; undefined outside the time that was filmed
 */
export function topAt(curve: readonly TopAt[], timeS: number): number | undefined {
  const after = curve.findIndex((p) => p.timeS >= timeS);
  if (after === -1) return undefined;
  if (after === 0) return curve[0].timeS === timeS ? curve[0].heightMm : undefined;
  const [a, b] = [curve[after - 1], curve[after]];
  const t = Math.log(timeS / a.timeS) / Math.log(b.timeS / a.timeS);
  return a.heightMm + t * (b.heightMm - a.heightMm);
}

/** Where the cloud of one frame is half as thick as at the bed. */
export type FrontAt = { timeS: number; heightMm: number };

/** The falling front of the cloud, and the grains that fall with it. */
export type Front = { points: FrontAt[]; mmPerHour: number; diameterUm: number };

/** Part of the column, from the bed to the water line, in which the front is followed. */
const FRONT_FROM = 0.12;
const FRONT_TO = 0.88;

/**
 * The falling front: in each frame the height at which the water is half-way from the clearest water of the film to
 * the cloud over the bed. It falls along a straight line from the water line; the slope is the speed of the grains
 * that it leaves behind, and their size follows by Stokes.
 *
 * @param waterMm water line over the inside bottom, mm
 * @returns undefined where the water clears nowhere, or all at once
 */
export function fallingFront(
  film: Film,
  tops: readonly TopAt[],
  o: { waterMm: number; tempC: number }
): Front | undefined {
  const { frames, fromMm, rowMm } = film;
  const rowOf = (mm: number) => Math.round((mm - fromMm) / rowMm);
  const last = frames.at(-1)?.colours;
  if (!last || tops.length === 0) return undefined;
  // The clearest water there is: the brightest of the uppermost rows of all frames.
  const clear = frames.map((f) => f.colours[f.colours.length - 2]).reduce((a, b) => (b[0] > a[0] ? b : a));
  const points: FrontAt[] = [];
  for (const frame of frames) {
    const top = tops.findLast((p) => p.timeS <= frame.timeS)?.heightMm ?? tops[0].heightMm;
    const low = rowOf(top) + Math.ceil(2 / rowMm);
    const cloud = frame.colours[low];
    const way = cloud?.map((v, k) => clear[k] - v) ?? [0, 0, 0];
    const size = Math.hypot(...way);
    // Cloud that hardly differs from clear water has no front.
    if (!cloud || size < 8) continue;
    const share = (row: number) =>
      frame.colours[row].reduce((sum, v, k) => sum + (v - cloud[k]) * way[k], 0) / (size * size);
    let row = frame.colours.length - 1;
    while (row > low && share(row) > 0.5) row -= 1;
    const heightMm = fromMm + (row + 0.5) * rowMm;
    const part = (heightMm - top) / (o.waterMm - top);
    if (part > FRONT_FROM && part < FRONT_TO) points.push({ timeS: frame.timeS, heightMm });
  }
  if (points.length < 3) return undefined;
  // A line through the water line at set-down: fall = speed * time, by least squares.
  const [tt, tf] = points.reduce(
    ([a, b], p) => [a + p.timeS * p.timeS, b + p.timeS * (o.waterMm - p.heightMm)],
    [0, 0]
  );
  const mmPerS = tf / tt;
  if (!(mmPerS > 0)) return undefined;
  return {
    points,
    mmPerHour: mmPerS * 3600,
    diameterUm: cutDiameter({ timeS: 1, fallMm: mmPerS, tempC: o.tempC })
  };
}
