import { RangeProblem } from '../errors.ts';

/** A picture in memory: rows from the top, four bytes a point (red, green, blue, opacity), sRGB. */
export type Picture = { width: number; height: number; data: Uint8ClampedArray };

/** A place in a picture, px from its upper left corner. */
export type Pixel = readonly [x: number, y: number];

/** A colour in CIELAB under D65: lightness 0-100, red-green, yellow-blue. */
export type LabColour = readonly [l: number, a: number, b: number];

/** Most points a picture may have, so that a page is not brought down by one. */
export const PICTURE_MOST_POINTS = 80_000_000;

/**
 * Checks the size of a picture.
 * @throws {RangeProblem} on `picture`, saying what to do
 */
export function checkPicture(o: { width: number; height: number }): void {
  if (!(o.width >= 40 && o.height >= 40)) {
    throw new RangeProblem(
      'picture',
      'This picture is too small to read. Choose one of at least 40 points a side.'
    );
  }
  if (o.width * o.height > PICTURE_MOST_POINTS) {
    throw new RangeProblem('picture', 'This picture has over 80 million points. Make it smaller first.');
  }
}

/** sRGB byte to linear light. Source: IEC 61966-2-1. */
const LINEAR = Float64Array.from({ length: 256 }, (_, i) => {
  const c = i / 255;
  return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
});

/** Cube root of CIELAB with its straight foot. Source: CIE 15. */
const cube = (t: number) => (t > 216 / 24389 ? Math.cbrt(t) : (24389 / 27 / 116) * t + 16 / 116);

/**
 * Colour of a point in CIELAB (D65).
 *
 * Source: IEC 61966-2-1 for sRGB, CIE 15 for L*a*b*.
 * @example labOf(255, 255, 255) // [100, 0, 0]
 */
export function labOf(red: number, green: number, blue: number): LabColour {
  const [r, g, b] = [LINEAR[red], LINEAR[green], LINEAR[blue]];
  const x = cube((0.4124564 * r + 0.3575761 * g + 0.1804375 * b) / 0.95047);
  const y = cube(0.2126729 * r + 0.7151522 * g + 0.072175 * b);
  const z = cube((0.0193339 * r + 0.119192 * g + 0.9503041 * b) / 1.08883);
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)];
}

/** Steps between two points of a picture that are told apart. */
const BETWEEN = 256;

/**
 * The colour of a place, between the two points of the picture next to it down or across: the nearest alone would shift what is
 * read by half a point. Places outside take the edge.
 *
 * @param across between points side by side, else between points one over the other
 */
export function colourAt({ width, height, data }: Picture, [x, y]: Pixel, across: boolean): LabColour {
  const [along, beside] = across ? [x, y] : [y, x];
  const [long, wide] = across ? [width, height] : [height, width];
  const fixed = Math.min(wide - 1, Math.max(0, Math.round(beside)));
  const held = Math.min(long - 1, Math.max(0, along));
  const first = Math.floor(held);
  const share = Math.round(BETWEEN * (held - first));
  const at = (i: number) => 4 * (across ? fixed * width + i : i * width + fixed);
  const [p, q] = [at(first), at(Math.min(long - 1, first + 1))];
  const mixed = (k: number) => (data[p + k] * (BETWEEN - share) + data[q + k] * share + BETWEEN / 2) >> 8;
  return labOf(mixed(0), mixed(1), mixed(2));
}

/**
 * The colour of a place in CIELAB as sRGB bytes: the inverse of {@link labOf}, held within what a screen can show.
 */
export function rgbOf([l, a, b]: LabColour): [number, number, number] {
  const back = (f: number) => (f ** 3 > 216 / 24389 ? f ** 3 : ((f - 16 / 116) * 116 * 27) / 24389);
  const f = (l + 16) / 116;
  const [x, y, z] = [0.95047 * back(f + a / 500), back(f), 1.08883 * back(f - b / 200)];
  const linear = [
    3.2404542 * x - 1.5371385 * y - 0.4985314 * z,
    -0.969266 * x + 1.8760108 * y + 0.041556 * z,
    0.0556434 * x - 0.2040259 * y + 1.0572252 * z
  ];
  return linear.map((c) => {
    const s = c <= 0.0031308 ? 12.92 * c : 1.055 * c ** (1 / 2.4) - 0.055;
    return Math.round(255 * Math.min(1, Math.max(0, s)));
  }) as [number, number, number];
}
