import { labOf, type Picture } from './picture.ts';
import { CROSS_SIGMA_MM, pixelOfHeight, stripAxes, type Strip } from './strip.ts';

/** What marks of a ruler lie apart, mm: millimetres, and sixteenths of an inch. */
const MARKS_MM = [1, 25.4 / 16] as const;
/** The two crosses may be so far off, as a factor either way: marks are looked for within. */
const OFF_MOST = 1.25;
/** Steps along the ruler and across the picture, mm; neither is finer than the picture. */
const ALONG = { mm: 0.15, px: 0.5 };
const ACROSS = { mm: 0.4, px: 2 };
/** Marks are seen from so many points of the picture a mark on, and so many marks make a ruler. */
const LEAST = { px: 2.4, marks: 30 };
/** What is wider than a mark is light and shade: means over so many marks are taken off. */
const EVEN_MARKS = 3;
/** Marks differ from the ruler's face by so much at least on the whole, L*; so many of them are tried first. */
const PLAIN_LEAST = 3;
const SOME_MARKS = 40;
/** So much of what is left is the beat of the marks, where there is a ruler. */
const BEAT_LEAST = 0.25;

/** A ruler that was seen: picture points a millimetre by it, and how far it lies to the right of the crosses, px. */
export type RulerSeen = { pxPerMm: number; asidePx: number };

/**
 * Finds a ruler beside the glass by the beat of its marks: light along lines beside that of the two crosses, and how much of it
 * goes up and down once a mark (a Fourier sum at each distance of marks that the crosses allow).
 *
 * @param strip two known heights, about right: within a quarter
 * @returns undefined where there is none, or where it is too small to be told
 */
export function seenRuler(picture: Picture, strip: Pick<Strip, 'low' | 'high'>): RulerSeen | undefined {
  const { pxPerMm, up, right } = stripAxes(strip);
  const longMm = Math.abs(strip.high.heightMm - strip.low.heightMm);
  const step = Math.max(ALONG.mm, ALONG.px / pxPerMm);
  const n = Math.floor(longMm / step);
  const [x0, y0] = pixelOfHeight({ ...strip, asidePx: 0 }, Math.min(strip.low.heightMm, strip.high.heightMm));
  const across = Math.max(ACROSS.px, ACROSS.mm * pxPerMm);
  const reach = Math.ceil(Math.hypot(picture.width, picture.height) / across);
  let best: (RulerSeen & { beat: number }) | undefined;
  for (const markMm of MARKS_MM) {
    if (markMm * pxPerMm < LEAST.px || longMm / markMm < LEAST.marks) continue;
    const fine = search(longMm, n, step, markMm);
    // Most lines hold no ruler: a part of each says so.
    const some = Math.min(n, Math.round((SOME_MARKS * markMm) / step));
    const coarse = search(some * step, some, step, markMm);
    for (let i = -reach; i <= reach; i++) {
      const light = lightAlong(picture, {
        at: [x0 + right[0] * i * across, y0 + right[1] * i * across],
        by: [up[0] * step * pxPerMm, up[1] * step * pxPerMm],
        n
      });
      const even = light && lessMean(light, Math.round((EVEN_MARKS * markMm) / step));
      if (!even) continue;
      const found = coarse(even) && fine(even);
      if (found && (!best || found.beat > best.beat))
        best = { beat: found.beat, pxPerMm: pxPerMm * found.by, asidePx: i * across };
    }
  }
  return best && { pxPerMm: best.pxPerMm, asidePx: best.asidePx };
}

/** Tries distances of marks within what the crosses allow, as near to each other as beats over that length are told apart. */
function search(longMm: number, n: number, step: number, markMm: number) {
  const apart = (0.25 * markMm) / longMm;
  const factors: number[] = [];
  for (let by = 1 / OFF_MOST; by <= OFF_MOST; by += apart) factors.push(by);
  const beats = factors.map((by) => beatOf(n, step, markMm * by));
  return (values: Float64Array): { beat: number; by: number } | undefined => {
    const square = values.subarray(0, n).reduce((sum, v) => sum + v * v, 0);
    const shares = beats.map((beat) => beat(values) / square);
    const top = shares.reduce((k, share, j) => (share > shares[k] ? j : k), 0);
    if (!(shares[top] >= BEAT_LEAST)) return undefined;
    // Its crest lies between the distances that were tried.
    const [a, b, c] = [shares[top - 1] ?? shares[top], shares[top], shares[top + 1] ?? shares[top]];
    const bend = a - 2 * b + c;
    return { beat: b, by: factors[top] + (bend < 0 ? (0.5 * apart * (a - c)) / bend : 0) };
  };
}

/** Lightness along a line of the picture; undefined where it leaves it. */
function lightAlong(
  { width, height, data }: Picture,
  { at: [x, y], by: [dx, dy], n }: { at: [number, number]; by: [number, number]; n: number }
): Float64Array | undefined {
  const inside = (px: number, py: number) => px >= 0 && py >= 0 && px <= width - 1 && py <= height - 1;
  if (!inside(x, y) || !inside(x + dx * n, y + dy * n)) return undefined;
  return Float64Array.from({ length: n }, (_, i) => {
    const at = 4 * (Math.round(y + dy * i) * width + Math.round(x + dx * i));
    return labOf(data[at], data[at + 1], data[at + 2])[0];
  });
}

/** What is left of values when the means around them are taken off; undefined where hardly anything is. */
function lessMean(values: Float64Array, around: number): Float64Array | undefined {
  const half = Math.max(1, around >> 1);
  const sums = new Float64Array(values.length + 1);
  for (let i = 0; i < values.length; i++) sums[i + 1] = sums[i] + values[i];
  let square = 0;
  const left = values.map((v, i) => {
    const [from, to] = [Math.max(0, i - half), Math.min(values.length, i + half + 1)];
    const off = v - (sums[to] - sums[from]) / (to - from);
    square += off * off;
    return off;
  });
  return square > PLAIN_LEAST ** 2 * values.length ? left : undefined;
}

/** What goes up and down once in so many mm, as a share of the sum of squares of values when divided by it. */
function beatOf(n: number, step: number, mm: number): (values: Float64Array) => number {
  const turn = (2 * Math.PI * step) / mm;
  const cos = Float64Array.from({ length: n }, (_, i) => Math.cos(turn * i));
  const sin = Float64Array.from({ length: n }, (_, i) => Math.sin(turn * i));
  return (values) => {
    let [c, s] = [0, 0];
    for (let i = 0; i < n; i++) {
      c += values[i] * cos[i];
      s += values[i] * sin[i];
    }
    return (2 * (c * c + s * s)) / n;
  };
}

/**
 * The height of the upper of two crosses by a ruler, from the lower one on, mm; and whether that is what was said of it, within
 * two errors of a cross.
 *
 * @param pxPerMm by the ruler
 */
export function heightByRuler(
  { low, high }: Pick<Strip, 'low' | 'high'>,
  pxPerMm: number
): { highMm: number; agrees: boolean } {
  const alongMm = Math.hypot(high.at[0] - low.at[0], high.at[1] - low.at[1]) / pxPerMm;
  const highMm = low.heightMm + Math.sign(high.heightMm - low.heightMm) * alongMm;
  return { highMm, agrees: Math.abs(highMm - high.heightMm) < 2 * CROSS_SIGMA_MM };
}
