import { RangeProblem } from '../errors.ts';
import { colourAt, type LabColour, type Picture, type Pixel } from './picture.ts';

/** A place in a picture whose height over the inside bottom is known, mm, and how far off that may be. */
export type KnownHeight = { at: Pixel; heightMm: number; sigmaMm?: number };

/** A strip on the glass: along the line of two known heights, moved aside, from one height to another. */
export type Strip = {
  low: KnownHeight;
  high: KnownHeight;
  /** How far the middle of the strip lies to the right of that line, px. */
  asidePx: number;
  widthPx: number;
  fromMm: number;
  toMm: number;
};

/** Mean colours of the rows of a strip, bottom first. */
export type StripProfile = {
  /** Height of the middle of the first row over the inside bottom, mm. */
  fromMm: number;
  /** Height of a row, mm. */
  rowMm: number;
  colours: LabColour[];
  /** Share of each row that was left after glare and label had been trimmed, 0-1. */
  kept: number[];
  /** How much light differs from grain to grain along each row, L*. */
  grain?: number[];
  /** What the scale goes by, where its error is known. */
  scale?: readonly { heightMm: number; sigmaMm: number }[];
  /** The same rows in {@link STRIP_PARTS} parts from left to right, none where most of one was trimmed: a line goes through all. */
  parts?: (LabColour | undefined)[][];
};

/** Parts of a row that are told apart. */
const STRIP_PARTS = 6;
/** Points of the picture between which a row's grain is looked for: nearer ones share their light. */
const GRAIN_PX = 2;
/** Error of a height that somebody puts a cross on by hand, on a ruler or a line, mm. Set by hand. */
export const CROSS_SIGMA_MM = 0.3;
/** Points looked at across a row: enough for a firm mean, few enough for a large picture. */
const ACROSS = 48;
/** Most rows of a profile: a tenth of a millimetre on a usual jar. */
const MOST_ROWS = 1600;
/** A point is trimmed when it lies this many median deviations from the median of its row. */
const TRIM = 3;
/** Least deviation that is trimmed, L*: grain of the soil itself stays in. */
const TRIM_LEAST = 5;

/**
 * Checks two known heights against each other.
 * @throws {RangeProblem} on `scale`, saying what to do
 */
export function checkScale({ low, high }: Pick<Strip, 'low' | 'high'>): void {
  const apartPx = Math.hypot(high.at[0] - low.at[0], high.at[1] - low.at[1]);
  if (apartPx < 20) {
    throw new RangeProblem('scale', 'Both places of the ruler lie on one point. Put them well apart.');
  }
  if (!(Math.abs(high.heightMm - low.heightMm) >= 1)) {
    throw new RangeProblem('scale', 'Both places have the same height. Give each its own.');
  }
  if (Math.min(low.heightMm, high.heightMm) < -100 || Math.max(low.heightMm, high.heightMm) > 3000) {
    throw new RangeProblem('scale', 'A height is out of all measure. Give mm over the inside bottom.');
  }
}

/** Picture points a millimetre, and the directions up the glass and across it to the right, px for px. */
export function stripAxes({ low, high }: Pick<Strip, 'low' | 'high'>): {
  pxPerMm: number;
  up: Pixel;
  right: Pixel;
} {
  const rise = high.heightMm - low.heightMm;
  const [dx, dy] = [(high.at[0] - low.at[0]) / rise, (high.at[1] - low.at[1]) / rise];
  const pxPerMm = Math.hypot(dx, dy);
  const up: Pixel = [dx / pxPerMm, dy / pxPerMm];
  return { pxPerMm, up, right: [-up[1], up[0]] };
}

/** Where a height of the strip lies in the picture, px. */
export function pixelOfHeight(strip: Pick<Strip, 'low' | 'high' | 'asidePx'>, heightMm: number): Pixel {
  const { pxPerMm, up, right } = stripAxes(strip);
  const along = (heightMm - strip.low.heightMm) * pxPerMm;
  return [
    strip.low.at[0] + up[0] * along + right[0] * strip.asidePx,
    strip.low.at[1] + up[1] * along + right[1] * strip.asidePx
  ];
}

/** The height over the inside bottom of a place in the picture, mm. */
export function heightOfPixel(strip: Pick<Strip, 'low' | 'high'>, [x, y]: Pixel): number {
  const { pxPerMm, up } = stripAxes(strip);
  return strip.low.heightMm + ((x - strip.low.at[0]) * up[0] + (y - strip.low.at[1]) * up[1]) / pxPerMm;
}

/** How far to the right of the line of the two known heights a place in the picture lies, px. */
export function asideOfPixel(strip: Pick<Strip, 'low' | 'high'>, [x, y]: Pixel): number {
  const { right } = stripAxes(strip);
  return (x - strip.low.at[0]) * right[0] + (y - strip.low.at[1]) * right[1];
}

/**
 * Robust mean colour of a row: points far from the median lightness, glare and label, are left out.
 * @param lag samples that grain is told between
 */
function rowMean(
  ls: Float64Array,
  as: Float64Array,
  bs: Float64Array,
  lag: number
): { colour: LabColour; kept: number; parts: (LabColour | undefined)[]; grain: number } {
  const sorted = Float64Array.from(ls).sort();
  const median = sorted[sorted.length >> 1];
  const away = sorted.map((l) => Math.abs(l - median)).sort();
  const allowed = Math.max(TRIM_LEAST, TRIM * 1.4826 * away[away.length >> 1]);
  let [n, l, a, b] = [0, 0, 0, 0];
  const parts = Array.from({ length: STRIP_PARTS }, () => ({ all: 0, n: 0, l: 0, a: 0, b: 0 }));
  const isKept = (i: number) => Math.abs(ls[i] - median) <= allowed;
  let [pairs, apart] = [0, 0];
  for (let i = 0; i < ls.length; i++) {
    if (i + lag < ls.length && isKept(i) && isKept(i + lag)) {
      pairs += 1;
      apart += Math.abs(ls[i + lag] - ls[i]);
    }
    const part = parts[Math.min(STRIP_PARTS - 1, Math.floor((i * STRIP_PARTS) / ls.length))];
    part.all += 1;
    if (!isKept(i)) continue;
    part.n += 1;
    part.l += ls[i];
    part.a += as[i];
    part.b += bs[i];
    n += 1;
    l += ls[i];
    a += as[i];
    b += bs[i];
  }
  return {
    colour: [l / n, a / n, b / n],
    kept: n / ls.length,
    grain: pairs > 0 ? apart / pairs : 0,
    parts: parts.map((p) => (p.n > p.all / 2 ? [p.l / p.n, p.a / p.n, p.b / p.n] : undefined))
  };
}

/**
 * The colour profile of a strip on the glass: for each row the robust mean in CIELAB.
 *
 * @param mostRows fewer are read faster
 * @returns rows bottom first, a point of the picture high, 1600 at most
 * @throws {RangeProblem} on `scale` for a scale of nothing, on `strip` for one that is too thin, too short or lies
 *   outside the picture
 */
export function stripProfile(picture: Picture, strip: Strip, mostRows = MOST_ROWS): StripProfile {
  checkScale(strip);
  const { pxPerMm, up, right } = stripAxes(strip);
  /** The glass lies on its side in the picture. */
  const lies = Math.abs(up[0]) > Math.abs(up[1]);
  if (!(strip.widthPx >= 3)) {
    throw new RangeProblem('strip', 'The strip is too thin. Make it at least three points wide.');
  }
  const rows = Math.min(mostRows, Math.floor((strip.toMm - strip.fromMm) * pxPerMm));
  if (!(rows >= 30)) {
    throw new RangeProblem(
      'strip',
      'The strip is too short. Draw it from the inside bottom to the water line.'
    );
  }
  const inside = [strip.fromMm, strip.toMm].every((mm) => {
    const [x, y] = pixelOfHeight(strip, mm);
    return x >= 0 && y >= -1 && x < picture.width && y <= picture.height;
  });
  if (!inside)
    throw new RangeProblem('strip', 'The strip leaves the picture. Move it back, or make it shorter.');
  const rowMm = (strip.toMm - strip.fromMm) / rows;
  const across = Math.min(ACROSS, Math.round(strip.widthPx));
  const [ls, as, bs] = [0, 1, 2].map(() => new Float64Array(across));
  const colours: LabColour[] = [];
  const kept: number[] = [];
  const grain: number[] = [];
  const lag = Math.max(1, Math.round((GRAIN_PX * across) / strip.widthPx));
  const parts: (LabColour | undefined)[][] = [];
  for (let row = 0; row < rows; row++) {
    const [cx, cy] = pixelOfHeight(strip, strip.fromMm + (row + 0.5) * rowMm);
    for (let i = 0; i < across; i++) {
      const aside = ((i + 0.5) / across - 0.5) * strip.widthPx;
      const at: Pixel = [cx + right[0] * aside, cy + right[1] * aside];
      [ls[i], as[i], bs[i]] = colourAt(picture, at, lies);
    }
    const mean = rowMean(ls, as, bs, lag);
    colours.push(mean.colour);
    kept.push(mean.kept);
    grain.push(mean.grain);
    parts.push(mean.parts);
  }
  return { fromMm: strip.fromMm + rowMm / 2, rowMm, colours, kept, grain, parts, ...scaleOf(strip) };
}

/** The error of a scale, where it is told. */
function scaleOf({ low, high }: Strip): Pick<StripProfile, 'scale'> {
  if (low.sigmaMm === undefined || high.sigmaMm === undefined) return {};
  return { scale: [low, high].map(({ heightMm, sigmaMm = 0 }) => ({ heightMm, sigmaMm })) };
}

/** What the error of a scale makes of a height, mm: both ends by their distance from it. */
export function scaleSigma(scale: NonNullable<StripProfile['scale']>, heightMm: number): number {
  const [low, high] = scale;
  const share = (heightMm - low.heightMm) / (high.heightMm - low.heightMm);
  return Math.hypot((1 - share) * low.sigmaMm, share * high.sigmaMm);
}

/**
 * The same strip, cut to what of it lies in the picture.
 *
 * @param size of the picture, px
 * @returns undefined where nothing of it does
 */
export function fitStrip(strip: Strip, size: { width: number; height: number }): Strip | undefined {
  const { pxPerMm, up } = stripAxes(strip);
  let [fromMm, toMm] = [strip.fromMm, strip.toMm];
  const [x, y] = pixelOfHeight(strip, 0);
  for (const [start, step, most] of [
    [x, up[0] * pxPerMm, size.width - 1],
    [y, up[1] * pxPerMm, size.height]
  ]) {
    if (Math.abs(step) < 1e-9) {
      if (start < 0 || start > most) return undefined;
      continue;
    }
    const [a, b] = [(0 - start) / step, (most - start) / step];
    fromMm = Math.max(fromMm, Math.min(a, b));
    toMm = Math.min(toMm, Math.max(a, b));
  }
  return toMm > fromMm ? { ...strip, fromMm, toMm } : undefined;
}

/** How to spread the colours of a strip over the whole range: shown = slope * light + intercept, of 0-1. */
export type Stretch = { slope: number; intercept: number };

/**
 * The stretch that makes pale lines plain: the 2nd and 98th of a hundred rows by lightness go to dark and bright.
 * The relation is that of sRGB values, taken near enough as L over 100.
 */
export function contrastStretch({ colours }: Pick<StripProfile, 'colours'>): Stretch {
  const light = colours.map(([l]) => l / 100).sort((a, b) => a - b);
  const at = (share: number) => light[Math.min(light.length - 1, Math.floor(share * light.length))];
  const [dark, bright] = [at(0.02), at(0.98)];
  const slope = Math.min(8, 0.84 / Math.max(bright - dark, 0.01));
  return { slope, intercept: 0.08 - slope * dark };
}
